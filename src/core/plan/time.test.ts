import { minutesOf, paceWith, readPace, usualPace } from './time';
import type { Step } from './order';

const step = (of: Partial<Step>): Step =>
  ({ do: 'work', part: 'p', unit: 1, from: 1, to: 1, stitches: 0, about: null, ...of }) as Step;

test('stitches at her own pace, sewing as much quicker, and stops as usual', () => {
  const quick = paceWith({ stitchesPerMinute: 32, sewnPerMinute: null, acts: {} });
  // 96 stitches: 6 minutes at 16, 3 at 32. 12 sewn: 2 minutes to begin and 4 at 3 a minute, or 2 at 6.
  expect(minutesOf(step({ stitches: 96 }))).toBe(6);
  expect(minutesOf(step({ stitches: 96 }), quick)).toBe(3);
  expect(minutesOf(step({ do: 'sew', stitches: 12 }))).toBe(6);
  expect(minutesOf(step({ do: 'sew', stitches: 12 }), quick)).toBe(4);
  expect(minutesOf(step({ do: 'seat-eyes' }), quick)).toBe(usualPace.acts['seat-eyes']);
  expect(paceWith(null)).toBe(usualPace);
});

test('what she has done at stops and sewn takes her own time', () => {
  const own = paceWith({ stitchesPerMinute: null, sewnPerMinute: 5, acts: { stuff: 9 } });
  expect(minutesOf(step({ do: 'stuff' }), own)).toBe(9);
  expect(minutesOf(step({ do: 'close' }), own)).toBe(usualPace.acts.close);
  expect(minutesOf(step({ do: 'sew', stitches: 20 }), own)).toBe(6);
  expect(minutesOf(step({ stitches: 96 }), own)).toBe(6);
});

const stitches = (stitchesPerMinute: number) => ({ stitchesPerMinute, sewnPerMinute: null, acts: {} });
const known = { stitchesPerMinute: 20, sewnPerMinute: 4.5, acts: { stuff: 7 } };

test.each([
  [null, null],
  ['', null],
  ['0', null],
  ['900', null],
  ['quick', null],
  // As it was kept before acts were timed.
  ['14.5', stitches(14.5)],
  [JSON.stringify(known), known],
  [JSON.stringify({ ...known, acts: { stuff: -1 } }), null],
  [JSON.stringify({ ...known, acts: { dance: 5 } }), null],
  ['{}', null],
])('kept as %s', (kept, pace) => {
  expect(readPace(kept)).toEqual(pace);
});
