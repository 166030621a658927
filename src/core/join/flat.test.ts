import * as vec3 from 'gl-matrix/vec3';
import * as fc from 'fast-check';
import { analyseToy } from '../toy/analyse';
import { assembled } from '../toy/assembled';
import { joinPart } from '../toy/joinAll';
import { roundCount } from '../fabric/fabric';
import { stitchAzimuth } from '../shape/azimuth';
import { joinDirections } from './directions';
import type { Join } from './joined';
import { outlineOf } from './outline';
import { placeOf, sizeOfToy, type PosedUnit } from './pose/posed';
import { alongAt } from './wall';

interface Worked {
  hand?: string;
  start?: string;
  side?: string;
  own?: string;
  lean?: string;
}

/** A body of 24, a pocket of five stitches and four rows, an ear of three rows that narrows from 6 to 2. Stitches and rows are 5 mm. */
const toy = (
  sentences: string,
  { hand = '', start = '', side = '', own = '', lean = 'Lean: 0' }: Worked = {},
) =>
  analyseToy(
    [
      'Gauge: 5 mm x 5 mm',
      lean,
      hand,
      'Body',
      start,
      side,
      'R1: 6 sc in mr [6]\nR2: inc x 6 [12]\nR3: (sc, inc) x 6 [18]\nR4: (2 sc, inc) x 6 [24]\nR5-R14: sc around [24]',
      '\nPocket',
      own,
      'Ch 6\nRow 1: sc in 2nd ch from hook and in each ch across [5]\nRow 2-4: ch 1, turn, sc across [5]',
      '\nEar (make 2)',
      own,
      'Ch 7\nRow 1: sc in 2nd ch from hook and in each ch across [6]\nRow 2: ch 1, turn, dec, sc 2, dec [4]\nRow 3: ch 1, turn, dec x 2 [2]',
      '\nFeeler',
      'Ch 11\nRow 1: sl st in 2nd ch from hook and in each ch across [10]',
      '\nAssembly',
      sentences,
    ]
      .filter((line) => line !== '')
      .join('\n'),
  );

const stitches = ({ path }: Join) => path!.map(({ round, stitch }) => [round, stitch]);

// The middle at 12½ on round 8. Tops and feet are two rows off it, and five stitches 10½ to 14½ fall one way, all of them: five in a row of
// 10 to 15. The ends of rows lie 2½ stitches off: 10 and 15, between rounds 6 and 10.
test('a pocket is sewn down all round', () => {
  const [join] = toy('Sew the pocket to the front of the body at R8.').joined.joins;
  expect(join!.kind).toBe('outline');
  const [tops, left, feet, right] = [
    stitches(join!).slice(0, 5),
    stitches(join!).slice(5, 9),
    stitches(join!).slice(9, 14),
    stitches(join!).slice(14),
  ];
  const isOneByOne = (row: number[][]) => row.every(([, stitch], i) => stitch === row[0]![1]! + i);
  expect(isOneByOne(tops.toReversed())).toBe(true);
  expect(isOneByOne(feet)).toBe(true);
  expect([...tops, ...feet].every(([, stitch]) => stitch! >= 10 && stitch! <= 15)).toBe(true);
  expect([tops, feet].map((row) => new Set(row.map(([round]) => round)))).toEqual([
    new Set([10]),
    new Set([6]),
  ]);
  expect(new Set(left.map(([, stitch]) => stitch))).toEqual(new Set([10]));
  expect(new Set(right.map(([, stitch]) => stitch))).toEqual(new Set([15]));
  expect(join!.covers!.rounds).toEqual([6, 10]);
});

test('a flat piece is not turned by stitches: it is told, and stands as it would', () => {
  const [plain, turned] = ['', ', turned 2 stitches clockwise'].map((words) =>
    toy(`Sew the pocket to the front of the body at R8${words}.`),
  );
  expect(turned!.joined.joins[0]!.path).toEqual(plain!.joined.joins[0]!.path);
  expect(turned!.problems.map(({ code }) => code)).toContain('stance-unused');
});

test('what is said to be covered is what is sewn to', () => {
  for (const at of ['R8', 'R9']) {
    const [join] = toy(`Sew the pocket to the front of the body at ${at}.`).joined.joins;
    const rows = join!.path!.map(({ row }) => row);
    expect(join!.covers!.rows).toEqual([Math.min(...rows), Math.max(...rows)]);
    expect(join!.covers!.stitches).toEqual([10, 15]);
  }
});

test('its stitches go by the names of their rows, and its pins are the middles of its sides', () => {
  const analysis = toy('Sew the pocket to the front of the body at R8.');
  const [join] = analysis.joined.joins;
  const said = joinDirections(
    join!,
    analysis.joined,
    analysis.parts.map((part) => joinPart(part)),
  );
  expect(said.pins).toEqual([
    expect.stringMatching(/^top: under row 1, stitch 3 to round 6, stitch 1[23]$/),
    expect.stringMatching(/^bottom: row 4, stitch 3 to round 10, stitch 1[23]$/),
    expect.stringMatching(/^left: the left end of row [23] .*to round 8, stitch 10$/),
    expect.stringMatching(/^right: the right end of row [23] .*to round 8, stitch 15$/),
  ]);
  expect(said.path[0]).toMatch(/^row 4, stitch 1 to round 10, stitch 1[45]$/);
});

// Six stitches about 6½ are 4 to 9, two are 6 and 7.
test.each([
  ['by their first row', [4, 5, 6, 7, 8, 9]],
  ['by their last row', [6, 7]],
])('ears sewn %s', (words, expected) => {
  const { joins } = toy(`Sew the ears to the sides of the body on round 8, ${words}.`).joined;
  expect(joins.map(({ kind }) => kind)).toEqual(['by-row', 'by-row']);
  const own = joins[0]!.path!.map(({ stitch }) => stitch);
  expect([...own].sort((a, b) => a - b)).toEqual(expected);
});

test.each([
  ['Sew the ears to the sides of the body on round 8.', 'join-flat-how'],
  ['Sew the pocket to the front of the body at R13.', 'join-over-edge'],
  ['Sew the ears to the sides of the body on round 8 all round their edges.', 'join-flat'],
  ['Appliqué the pocket to the front of the body at R8.', 'join-flat'],
])('%s is told by %s', (sentence, code) => {
  expect(toy(sentence).problems.map((one) => one.code)).toContain(code);
});

const own = (analysis: ReturnType<typeof toy>, { unit }: Join): PosedUnit =>
  assembled(analysis).find((one) => one.unit.part === unit.part && one.unit.unit === unit.unit)!;

/** Where a stitch of an outline, or of a row that is sewn, is drawn. */
function drawnAt(posed: PosedUnit, { at, row, stitch }: { at: string; row: number; stitch: number }): vec3 {
  const ring = at === 'foot' ? 0 : at === 'top' ? row : row - 0.5;
  const count = roundCount(posed.part.fabric, row);
  const around = (share: number) =>
    placeOf(posed, { along: alongAt(posed.surface, ring), azimuth: Math.PI * share });
  if (at === 'left end') return around(0);
  if (at === 'right end') return around(1);
  // Which way a row runs is told by its colour: the stitch at the left is the first or the last.
  const isFirstLeft = posed.sheet!.stitchAt(row, 0.001) === 0;
  const share = (stitch - 0.5) / count;
  return around(isFirstLeft ? share : 1 - share);
}

const wallPlace = (wall: PosedUnit, row: number, stitch: number): vec3 =>
  placeOf(wall, {
    along: alongAt(wall.surface, row),
    azimuth: stitchAzimuth(wall.part.fabric, wall.part.starts, row, stitch),
  });

// Half a stitch and half a row, two millimetres of fabric, and what the wall curves.
const withinMm = 6.5;

test('what is flat is drawn as it is sewn, with either hand, from either end, turned or not', () => {
  fc.assert(
    fc.property(
      fc.record({
        hand: fc.constantFrom('', 'Hand: left'),
        start: fc.constantFrom('', 'Start: bottom'),
        side: fc.constantFrom('', 'Side: in'),
        own: fc.constantFrom('', 'Start: bottom'),
        lean: fc.constantFrom('Lean: 0', 'Lean: 0.25'),
      }),
      fc.constantFrom(
        'Sew the pocket to the front of the body at R8.',
        'Sew the pocket to the back of the body at R9, turned 40 degrees clockwise.',
        'Sew the ears to the sides of the body on round 8 all round their edges, turned 90 degrees anticlockwise.',
        'Sew the ears to the sides of the body on round 9 by their first row.',
        'Sew the ears to the body on round 7, 4 stitches from the front, by their last row, drooping 20 degrees.',
      ),
      (worked, sentence) => {
        const analysis = toy(sentence, worked);
        const { joins } = analysis.joined;
        const wall = assembled(analysis).find(({ unit }) => unit.part === 'body')!;
        expect(joins.length).toBeGreaterThan(0);
        for (const join of joins) {
          const posed = own(analysis, join);
          const isLast = join.sentence.sewnBy === 'last row';
          const row = isLast ? posed.part.fabric.rounds : 1;
          const edge =
            join.kind === 'outline'
              ? outlineOf(posed.part)
              : join.path!.map((_, i) => ({ at: isLast ? 'top' : 'foot', row, stitch: i + 1 }));
          expect(join.path).toHaveLength(edge.length);
          const off = join.path!.map((sewn, i) =>
            vec3.distance(drawnAt(posed, edge[i]!), wallPlace(wall, sewn.row, sewn.stitch)),
          );
          expect(Math.max(...off)).toBeLessThan(withinMm);
        }
      },
    ),
    { numRuns: 60 },
  );
});

test('each stitch of an outline once, a step at a time', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 2, max: 9 }),
      fc.integer({ min: 2, max: 8 }),
      fc.integer({ min: 8, max: 12 }),
      (wide, high, at) => {
        const [join] = analyseToy(
          `Gauge: 5 mm x 5 mm\nBody\nR1: 6 sc in mr\nR2: inc x 6\nR3: (sc, inc) x 6\nR4: (2 sc, inc) x 6\nR5: (3 sc, inc) x 6\nR6-R20: sc around\n\nPatch\nCh ${wide + 1}\nRow 1: sc in 2nd ch from hook and in each ch across [${wide}]\nRow 2-${high}: ch 1, turn, sc across [${wide}]\n\nAssembly\nSew the patch to the front of the body on round ${at}, all round its edge.`,
        ).joined.joins;
        const path = join!.path!;
        expect(path.map(({ edge }) => edge)).toEqual(path.map((_, i) => i + 1));
        expect(path).toHaveLength(2 * wide + 2 * high);
        for (const [i, { row }] of path.entries())
          expect(Math.abs(row - path[(i + 1) % path.length]!.row)).toBeLessThanOrEqual(2);
      },
    ),
    { numRuns: 40 },
  );
});

describe('flat pieces have their place in the toy that is put together', () => {
  test('a pocket lies on the body, and the toy is as high as without it', () => {
    const [withIt, without] = [toy('Sew the pocket to the front of the body at R8.'), toy('')];
    const body = sizeOfToy(assembled(without).slice(0, 1));
    const posed = assembled(withIt);
    expect(posed.find(({ unit }) => unit.part === 'pocket')!.loose).toBe(false);
    const { heightMm, depthMm } = sizeOfToy(posed);
    expect(heightMm).toBeCloseTo(body.heightMm, 0);
    expect(depthMm).toBeGreaterThan(body.depthMm);
    expect(depthMm).toBeLessThan(body.depthMm + 4);
  });

  test('a feeler hangs by its end, and lies beside the toy where nothing joins it', () => {
    const posed = assembled(toy('Sew the feeler to the body on round 6, at the back.'));
    const feeler = posed.find(({ unit }) => unit.part === 'feeler')!;
    const ends = [0, Math.PI].map((azimuth) => placeOf(feeler, { along: 0, azimuth })[1]!);
    expect(Math.abs(ends[0]! - ends[1]!)).toBeGreaterThan(40);
    expect(assembled(toy('')).find(({ unit }) => unit.part === 'feeler')!.loose).toBe(true);
  });

  test('what is pulled through sticks out on both sides, what hangs has its thread', () => {
    const through = assembled(toy('Pull the feeler through the body from side to side at R8.'));
    const strand = through.find(({ unit }) => unit.part === 'feeler')!;
    const alone = sizeOfToy(assembled(toy('')).slice(0, 1));
    expect(sizeOfToy(through).heightMm).toBeCloseTo(alone.heightMm, 6);
    const xs = [0, Math.PI].map((azimuth) => placeOf(strand, { along: 0, azimuth })[0]!);
    expect(Math.min(...xs)).toBeLessThan(-18);
    expect(Math.max(...xs)).toBeGreaterThan(18);
    const hung = assembled(toy('Hang the pocket from the body at R10, at the back, by a 3 cm chain.'));
    const pocket = hung.find(({ unit }) => unit.part === 'pocket')!;
    expect(pocket.thread![0][1]! - pocket.thread![1][1]!).toBeCloseTo(30, 3);
  });
});
