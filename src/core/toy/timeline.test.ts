import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { analyseToy } from './analyse';
import { partTimeline, toyTimeline } from './timeline';

/** 24 stitches at 5 mm, then 18, 12 and 6: openings of 38.2, 28.6, 19.1 and 9.5 mm after rounds 8 to 11. */
const head = `Gauge: 5 mm x 5 mm
Head
R1: 6 sc in ring
R2: inc x 6
R3: (sc, inc) x 6
R4: (2 sc, inc) x 6
R5-R8: sc around
R9: (2 sc, dec) x 6
R10: (sc, dec) x 6
R11: dec x 6
Insert 9 mm safety eyes between R5 and R6, 5 showing.
Stuff.`;

test('the windows of a part along its rounds, worked out by hand', () => {
  const { labels, openings, bars, stops } = partTimeline(analyseToy(head).parts[0]!);
  expect(labels).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11]);
  expect(openings.map((mm) => Math.round(mm * 10) / 10).slice(-4)).toEqual([38.2, 28.6, 19.1, 9.5]);
  // Washers are easy at 25 mm until round 9, possible at 16 until round 10.
  expect(bars[0]).toEqual({ title: 'Seat the eyes', earliest: 6, easy: 9, latest: 10, at: 9 });
  expect(bars.map(({ title, at }) => [title, at])).toEqual([
    ['Seat the eyes', 9],
    ['Stuff the bulk', 9],
    ['Top up the stuffing', 10],
    ['Close', 11],
  ]);
  expect(stops).toEqual([9, 10, 11]);
});

test('rounds whose numbers begin anew lie where they are worked', () => {
  const twice = 'Tail\nR1: 6 sc in ring\nR2: inc x 6\nR3: sc around\nR3: sc around\nR4: dec x 6\nStuff.';
  const { labels, bars } = partTimeline(analyseToy(twice).parts[0]!);
  expect(labels.at(-1)).toBe(4);
  expect(bars.at(-1)?.at).toBe(labels.length);
});

const demo = (name: string) => analyseToy(readFileSync(resolve(__dirname, '../../../demo', name), 'utf8'));

test.each(['otter.txt', 'owl.txt', 'toadstool.txt', 'hedgehog.txt', 'frog.txt'])(
  '%s in time: one thing after the other, and every thread leads to a moment after its piece is there',
  (name) => {
    const toy = demo(name);
    const { lanes, threads, minutes } = toyTimeline(toy);
    const bars = lanes.flatMap((lane) => lane.bars).sort((a, b) => a.from - b.from);
    bars.forEach((bar, i) => expect(bar.from).toBeGreaterThanOrEqual((bars[i - 1]?.to ?? 0) - 1e-9));
    expect(bars.at(-1)!.to).toBeLessThanOrEqual(minutes);
    expect(lanes.length).toBe(new Set(toy.order.steps.map(({ part, unit }) => `${part}#${unit}`)).size);
    for (const { lane, onto, from, to } of threads) {
      expect(from).toBeLessThanOrEqual(to);
      expect(lane).not.toBe(onto);
      // It is crocheted before it is used.
      const lastWork = lanes[lane]!.bars.filter(({ kind }) => kind === 'work').at(-1)!.to;
      expect(lastWork).toBeLessThanOrEqual(to + 1e-9);
    }
    const sewnOrWorkedIn = toy.joined.joins.filter(({ kind }) => kind !== 'worked-on').length;
    expect(threads.length).toBe(sewnOrWorkedIn);
  },
);
