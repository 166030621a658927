import * as fc from 'fast-check';
import type { Fabric } from '../fabric/fabric';
import { analyseToy } from '../toy/analyse';
import { footprintOf, isFootprint, type Edge } from './footprint';
import { pinsAbout } from './pins';
import { coversOf, sewingPath } from './sewing';
import { alongAt, inSpace, rowAt, straightAcross, wallOf, type Wall, type WallPoint } from './wall';

/** A ball of a radius, as a wall of many rings. */
function ball(radius: number, rings: number): Wall {
  const angles = Array.from({ length: rings + 1 }, (_, i) => (Math.PI * i) / rings);
  return {
    fabric: { rounds: rings } as Fabric,
    starts: new Float64Array(rings),
    closed: true,
    along: Float64Array.from(angles, (angle) => radius * angle),
    radius: Float64Array.from(angles, (angle) => radius * Math.sin(angle)),
    z: Float64Array.from(angles, (angle) => radius * (1 - Math.cos(angle))),
  };
}
const away = (a: readonly number[], b: readonly number[]) =>
  Math.hypot(...a.map((value, i) => value - b[i]!));

test('on a ball straight ways are great circles, also over the poles', () => {
  const radius = 30;
  const wall = ball(radius, 240);
  fc.assert(
    fc.property(
      fc.double({ min: 0.2, max: 2.9, noNaN: true }),
      fc.double({ min: -Math.PI, max: Math.PI, noNaN: true }),
      fc.double({ min: 1, max: 80, noNaN: true }),
      (polar, heading, length) => {
        const from: WallPoint = { along: radius * polar, azimuth: 0.4 };
        const to = straightAcross(wall, from, heading, length)!;
        const [a, b] = [inSpace(wall, from), inSpace(wall, to)];
        // The chord of a great circle.
        const chord = 2 * radius * Math.abs(Math.sin(length / radius / 2));
        expect(Math.abs(away(a, b) - chord)).toBeLessThan(0.25);
      },
    ),
    { numRuns: 200 },
  );
});

test.each([
  [8, 20],
  [12, 30],
  [20, 30],
  [24, 25],
])('the ring of %i stitches of 5 mm on a ball of %i mm: R·sin(ρ/R) = m·w/2π', (count, radius) => {
  const wall = ball(radius, 300);
  const edge: Edge = { count, stitchMm: 5, held: 'round' };
  const wanted = radius * Math.asin((count * 5) / (2 * Math.PI) / radius);
  for (const polar of [0, 0.15, 0.6, 1.57, 2.4]) {
    const found = footprintOf(wall, edge, {
      centre: { along: radius * polar, azimuth: 1 },
      heading: 0.3,
      sense: 1,
    });
    if (!isFootprint(found)) throw new Error(found.why);
    expect(found.reachMm / wanted).toBeGreaterThan(0.99);
    expect(found.reachMm / wanted).toBeLessThan(1.01);
  }
});

test('an edge longer than the widest way round has no ring', () => {
  const wall = ball(20, 200);
  const edge: Edge = { count: 30, stitchMm: 5, held: 'round' };
  const laid = { centre: { along: 30, azimuth: 0 }, heading: 0, sense: 1 } as const;
  expect(footprintOf(wall, edge, laid)).toEqual({ why: 'wider-than-wall' });
});

const texts = {
  tube: 'R1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4: (2 sc, inc) x 6\nR5: (3 sc, inc) x 6\nR6-R30: sc around\n',
  ball: 'R1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4: (2 sc, inc) x 6\nR5: (3 sc, inc) x 6\nR6: (4 sc, inc) x 6\nR7-R13: sc around\nR14: (4 sc, dec) x 6\nR15: (3 sc, dec) x 6\nR16: (2 sc, dec) x 6\nR17: (sc, dec) x 6\nR18: dec x 6\n',
  cone: 'R1: 6 sc in ring\nR2: sc around\nR3: (sc, inc) x 3\nR4: sc around\nR5: (2 sc, inc) x 3\nR6: sc around\nR7: (3 sc, inc) x 3\nR8: sc around\nR9: (4 sc, inc) x 3\nR10: sc around\nR11: (5 sc, inc) x 3\nR12: sc around\nR13: (6 sc, inc) x 3\nR14: (7 sc, inc) x 3\nR15-R20: sc around\n',
};
const walls = Object.entries(texts).flatMap(([name, text]) =>
  ['Lean: 0', 'Lean: 0.25'].map((lean) => {
    const [part] = analyseToy(`Gauge: 5 mm x 4.6 mm\n${lean}\nBody\n${text}`).parts;
    return [`${name}, ${lean}`, wallOf(part!.fabric, part!.starts, part!.profile, name === 'ball')] as const;
  }),
);

describe.each(walls)('sewing onto a %s', (_, wall) => {
  const stitchPlace = (round: number, stitch: number): WallPoint => {
    const from = wall.fabric.offset[round - 1]!;
    const count = wall.fabric.offset[round]! - from;
    return {
      along: alongAt(wall, round),
      azimuth: wall.starts[round - 1]! + (2 * Math.PI * (stitch - 0.5)) / count,
    };
  };

  test('every edge stitch once, within half a row and half a stitch of the ring, once around', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 6, max: 18 }),
        fc.double({ min: 1.2, max: 14, noNaN: true }),
        fc.double({ min: 0, max: 6, noNaN: true }),
        fc.double({ min: 0, max: 6, noNaN: true }),
        (count, row, azimuth, heading) => {
          const centre = { along: alongAt(wall, row), azimuth };
          const edge: Edge = { count, stitchMm: 5, held: 'round' };
          const found = footprintOf(wall, edge, { centre, heading, sense: 1 });
          if (!isFootprint(found)) return;
          const path = sewingPath(wall, found, true);
          expect(path.map((stitch) => stitch.edge)).toEqual(Array.from({ length: count }, (__, j) => j + 1));
          path.forEach(({ row, stitch }, j) => {
            const point = found.points[j]!;
            const off = Math.abs(rowAt(wall, point.along) - row);
            // Where the plain path is uneven a better one may be one round off.
            expect(off).toBeLessThanOrEqual(1.51);
            const at = stitchPlace(row, stitch);
            const [a, b] = [inSpace(wall, at), inSpace(wall, { ...point, along: at.along })];
            expect(away(a, b)).toBeLessThan(5 * 1.6);
          });
          expect(pinsAbout(found, path, { centre, heading, sense: 1 }).length).toBeGreaterThanOrEqual(2);
          const { rows } = coversOf(wall, found, centre);
          expect(rows[0]).toBeLessThanOrEqual(Math.ceil(row));
          expect(rows[1]).toBeGreaterThanOrEqual(Math.floor(row));
        },
      ),
      { numRuns: 60 },
    );
  });

  test('a flat edge lies along its round: ⌊m/2⌋ places, front and back layer in one', () => {
    const row = 8;
    const centre = { along: alongAt(wall, row), azimuth: 1 };
    const found = footprintOf(
      wall,
      { count: 11, stitchMm: 5, held: 'flattened' },
      { centre, heading: Math.PI / 2, sense: 1 },
    );
    if (!isFootprint(found)) throw new Error(found.why);
    expect(new Set(found.points.map(({ azimuth }) => azimuth.toFixed(6))).size).toBe(5);
    for (let j = 0; j < 5; j += 1) expect(found.points[j]).toEqual(found.points[10 - j]);
  });
});
