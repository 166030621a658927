import * as fc from 'fast-check';
import { buildFabric } from '../fabric/buildFabric';
import { readPattern } from '../notation/readPattern';
import { roundStarts, stitchAtAzimuth, stitchAzimuth, turn, wrapAngle } from './azimuth';
import { frontView } from './frontView';
import type { Gauge } from './gauge';
import { fabricMap, mapPoint } from './map';
import { openingMm, profileOf, sizeOf } from './profile';

const gauge: Gauge = { widthMm: 5, heightMm: 4.8, assumed: false };
const fabricOf = (text: string) => buildFabric(readPattern(text).parts[0]!, 'us').fabric;
const tube = fabricOf('R1: ch 24, join, sc in each ch around\nR2-R11: sc around');
const disc = fabricOf(
  'R1: 6 sc in ring\nR2: inc around\nR3: (sc, inc) x 6\nR4: (2 sc, inc) x 6\nR5: (3 sc, inc) x 6',
);

describe('profile', () => {
  test('a tube of n stitches has circumference n·w and the height of its rounds', () => {
    const profile = profileOf(tube, gauge);
    for (const radius of profile.radius) expect(2 * Math.PI * radius).toBeCloseTo(24 * 5, 6);
    expect(sizeOf(profile).heightMm).toBeCloseTo(11 * 4.8, 6);
  });

  test('six increases a round make a nearly flat disc', () => {
    const { widthMm, heightMm } = sizeOf(profileOf(disc, gauge));
    expect(widthMm).toBeCloseTo((30 * 5) / Math.PI, 6);
    expect(heightMm).toBeLessThan(widthMm * 0.1);
  });

  test('counts from n = 2πR·sin θ/w make a sphere', () => {
    const radius = 40;
    const counts: number[] = [];
    for (let s = gauge.heightMm; s < Math.PI * radius - 2; s += gauge.heightMm)
      counts.push(Math.max(4, Math.round((2 * Math.PI * radius * Math.sin(s / radius)) / gauge.widthMm)));
    // Counts of any size are worked as a round of as many stitches into what is there.
    const text = counts
      .map((n, i) => {
        if (i === 0) return `R1: ${n} sc in ring`;
        const before = counts[i - 1]!;
        return n >= before
          ? `R${i + 1}: inc ${n - before}, sc around`
          : `R${i + 1}: dec ${before - n}, sc around`;
      })
      .join('\n');
    const size = sizeOf(profileOf(fabricOf(text), gauge));
    expect(size.heightMm / size.widthMm).toBeGreaterThan(0.93);
    expect(size.heightMm / size.widthMm).toBeLessThan(1.07);
  });

  test('a part in rows is as wide as its longest row', () => {
    const bib = fabricOf(
      'Row 1: ch 21, sc in 2nd ch from hook and in each ch across, turn\nRows 2-12: ch 1, sc across, turn',
    );
    const size = sizeOf(profileOf(bib, gauge), bib);
    expect(size.widthMm).toBeCloseTo(100, 6);
    expect(size.heightMm).toBeCloseTo(12 * 4.8, 6);
  });

  test('twice the gauge is twice the size', () => {
    const once = sizeOf(profileOf(disc, gauge));
    const twice = sizeOf(profileOf(disc, { ...gauge, widthMm: 10, heightMm: 9.6 }));
    expect(twice.widthMm).toBeCloseTo(2 * once.widthMm, 6);
    expect(twice.heightMm).toBeCloseTo(2 * once.heightMm, 6);
  });

  test('taller stitches make a higher round', () => {
    const plain = sizeOf(profileOf(fabricOf('R1: ch 20, join, sc around\nR2: sc around'), gauge)).heightMm;
    expect(
      sizeOf(profileOf(fabricOf('R1: ch 20, join, sc around\nR2: dc around'), gauge)).heightMm - plain,
    ).toBeCloseTo(2.1 * 4.8 - 4.8, 6);
  });

  test('the opening is n·w/π across', () => {
    expect(openingMm(tube, gauge, 3)).toBeCloseTo((24 * 5) / Math.PI, 9);
  });
});

describe('lean', () => {
  test('a plain spiral wanders by the lean a round, against the direction of work', () => {
    const starts = roundStarts(tube, 0.23);
    for (let round = 1; round < tube.rounds; round += 1)
      expect(starts[round]! - starts[round - 1]!).toBeCloseTo((-0.23 * turn) / 24, 9);
  });

  test('joined rounds stand straight above each other', () => {
    const joined = fabricOf('Rounds: joined\nR1: 12 sc in ring\nR2-R9: sc around, sl st to first st');
    expect(Math.max(...roundStarts(joined, null).map(Math.abs))).toBeCloseTo(0, 9);
  });

  test('even increases do not turn the round beyond half a stitch', () => {
    const starts = roundStarts(disc, 0);
    for (let round = 1; round < disc.rounds; round += 1)
      expect(Math.abs(starts[round]! - starts[round - 1]!)).toBeLessThan(turn / 12);
  });

  test('a stitch and its azimuth lead to each other', () => {
    const starts = roundStarts(disc, 0.25);
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 5 }),
        fc.double({ min: 0, max: 0.999, noNaN: true }),
        (round, share) => {
          const stitch = 0.5 + share * round * 6;
          expect(
            stitchAtAzimuth(disc, starts, round, stitchAzimuth(disc, starts, round, stitch)),
          ).toBeCloseTo(stitch, 6);
        },
      ),
    );
  });

  test('angles come back into one turn', () => {
    expect(wrapAngle(3 * Math.PI + 0.1)).toBeCloseTo(-Math.PI + 0.1, 9);
    expect(wrapAngle(-7)).toBeCloseTo(-7 + turn, 9);
  });
});

describe('drawings', () => {
  const starts = roundStarts(tube, 0.25);
  const profile = profileOf(tube, gauge);
  const view = {
    fabric: tube,
    starts,
    profile,
    gauge,
    lean: 0.25,
    front: 1,
    dir: 1 as const,
    start: 'top' as const,
    lying: false,
  };

  test('the map is as wide as the longest round, with a V for every stitch', () => {
    const map = fabricMap(view);
    expect(map.width).toBeCloseTo(120, 6);
    expect(map.points).toHaveLength(24 * 11 * 6);
    for (const value of map.points) expect(Math.abs(value)).toBeLessThan(80);
  });

  test('the front is in the middle; turning the hand mirrors the map', () => {
    expect(mapPoint(view, 4, 1).x).toBeCloseTo(0, 9);
    const other = mapPoint({ ...view, dir: -1 }, 4, 1.4);
    expect(other.x).toBeCloseTo(-mapPoint(view, 4, 1.4).x, 9);
  });

  test('starting at the bottom turns the map upside down', () => {
    expect(mapPoint({ ...view, start: 'bottom' }, 4, 1).y).toBeCloseTo(11 * 4.8 - 4 * 4.8, 9);
  });

  test('the front view shows the near half', () => {
    const { colour } = frontView(view);
    expect(colour.length).toBeGreaterThan(11 * 10);
    expect(colour.length).toBeLessThan(11 * 14);
  });
});
