import * as fc from 'fast-check';
import { analyseToy } from '../toy/analyse';
import { joinPart } from '../toy/joinAll';
import { checkPinned, type PinnedUnit } from './pinned';

/** A body of 36 stitches from round 6 to 19; its front at 18½, a quarter of a round from it 9½ and 27½. */
function body(...header: string[]) {
  const lines = [
    'Gauge: 5 mm x 4 mm',
    'Lean: 0',
    ...header,
    'Body',
    'R1: 6 sc in ring',
    'R2: inc x 6',
    'R3: (sc, inc) x 6',
    'R4: (2 sc, inc) x 6',
    'R5: (3 sc, inc) x 6',
    'R6: (4 sc, inc) x 6',
    'R7-R19: sc around',
    '',
    'Arm (make 2)',
    'R1: 6 sc in ring',
    'R2: inc x 6',
    'R3-R6: sc around',
    'Sew the arms to the sides of the body on round 12.',
  ];
  const toy = analyseToy(lines.join('\n'));
  return { wall: joinPart(toy.parts[0]!), front: toy.joined.fronts.get('body')!, joins: toy.joined.joins };
}
const at = (round: number, stitch: number, top: PinnedUnit['top'] = null): PinnedUnit => ({
  middle: { round, stitch },
  top,
});
const names = { left: 'left arm', right: 'right arm' };
const check = (left: PinnedUnit, right: PinnedUnit, ...header: string[]) => {
  const { wall, front } = body(...header);
  return checkPinned(wall, front, names, { left, right })!;
};

test('as planned nothing is to be moved', () => {
  const { joins } = body();
  expect(joins.map(({ round, stitch }) => [round, stitch])).toEqual([
    [12, 9.5],
    [12, 27.5],
  ]);
  expect(check(at(12, 9.5), at(12, 27.5))).toMatchObject({
    level: true,
    even: true,
    turned: null,
    moves: [],
  });
});

// Nine stitches from the front on the left, seven and a half on the right: 1½ stitches of 5 mm.
test('one nearer to the front: by how much, and what to move, one way or the other', () => {
  const found = check(at(12, 9.5), at(12, 26));
  expect(found).toMatchObject({ level: true, even: false });
  expect(found.leftFurtherMm).toBeCloseTo(7.5, 1);
  expect(found.moves).toEqual([
    'Move the right arm to round 12, stitch 27½.',
    'Or move the left arm to round 12, stitch 11.',
  ]);
});

test.each([
  [[], 'left'],
  [['Start: bottom'], 'right'],
] as const)('two rounds further on the left: lower where the body begins at the top %s', (header, lower) => {
  const { wall, front } = body();
  const start = header.length > 0 ? ('bottom' as const) : ('top' as const);
  const stood = { ...wall, orientation: { ...wall.orientation, start } };
  const pair = { left: at(14, 9.5), right: at(12, 27.5) };
  const turned = start === 'bottom' ? { left: at(14, 27.5), right: at(12, 9.5) } : pair;
  const found = checkPinned(stood, front, names, turned)!;
  expect(found).toMatchObject({ level: false, lower, even: true });
  expect(found.levelMm).toBeCloseTo(8, 1);
});

test('half a round, or half a stitch, is as near as anyone can pin', () => {
  expect(check(at(12, 9.5), at(12.5, 27))).toMatchObject({ level: true, even: true });
});

// A top pin three rounds (12 mm) up and three stitches (15 mm) away from the front leans by 51 degrees.
test('equally turned or not, where the top pins are counted', () => {
  const straight = check(at(12, 9.5, { round: 9, stitch: 9.5 }), at(12, 27.5, { round: 9, stitch: 27.5 }));
  expect(straight.turned).toBe(true);
  const leaning = check(at(12, 9.5, { round: 9, stitch: 6.5 }), at(12, 27.5, { round: 9, stitch: 27.5 }));
  expect(leaning.turned).toBe(false);
  expect(leaning.leftLeansMoreDeg).toBeCloseTo(51.3, 0);
  const alike = check(at(12, 9.5, { round: 9, stitch: 6.5 }), at(12, 27.5, { round: 9, stitch: 30.5 }));
  expect(alike.turned).toBe(true);
});

test('a round or a stitch that is not there is not counted', () => {
  const { wall, front } = body();
  for (const bad of [at(40, 9), at(0, 9), at(12, 40), at(12, 0)])
    expect(checkPinned(wall, front, names, { left: bad, right: at(12, 27) })).toBeNull();
});

test('what it says to move makes the pair even; both hands, both ends', () => {
  const stitch = fc.integer({ min: 2, max: 34 }).map((half) => half / 2);
  fc.assert(
    fc.property(
      stitch,
      stitch,
      fc.integer({ min: 8, max: 17 }),
      fc.constantFrom([], ['Hand: left']),
      (one, other, round, header) => {
        const { wall, front } = body(...header);
        const pair = { left: at(12, one), right: at(round, 18.5 + other) };
        const found = checkPinned(wall, front, names, pair)!;
        if (found.moves.length === 0) return;
        const [, to, stitchTo] = /round (\d+)½?, stitch (\d+½?)/.exec(found.moves[0]!)!;
        const moved = Number(stitchTo!.replace('½', '')) + (stitchTo!.endsWith('½') ? 0.5 : 0);
        const after = checkPinned(wall, front, names, { left: pair.left, right: at(Number(to), moved) })!;
        expect([after.level, after.even]).toEqual([true, true]);
      },
    ),
    { numRuns: 60 },
  );
});

// A flat ear of six places along its round has no top: its outer end tells whether it is turned like the other.
test('the outer ends of two flat ears: level with their middles, or one of them two rounds up', () => {
  const flat = (leftEnd: number, rightEnd: number) =>
    check(at(12, 9.5, { round: leftEnd, stitch: 7 }), at(12, 27.5, { round: rightEnd, stitch: 30 }));
  expect(flat(12, 12).turned).toBe(true);
  expect(flat(10, 10).turned).toBe(true);
  expect(flat(12, 10).turned).toBe(false);
});
