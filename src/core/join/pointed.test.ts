import { assembled } from '../toy/assembled';
import { analyseToy } from '../toy/analyse';
import { placeOf } from './pose/posed';

interface Worked {
  hand?: string;
  start?: string;
  lean?: string;
  end?: string;
}

const triangle =
  'Ear (make 2)\nRow 1: ch 2, sc in 2nd ch from hook, turn [1]\nRow 2: ch 1, inc, turn [2]\nRow 3: ch 1, inc, sc, turn [3]\nRow 4: ch 1, inc, sc 2, turn [4]\nRow 5: ch 1, inc, sc 3, turn [5]\nRow 6: ch 1, inc, sc 4 [6]';
const cone =
  'Ear (make 2)\nR1: 4 sc in mr [4]\nR2: inc x 4 [8]\nR3: (sc, inc) x 4 [12]\nR4-R7: sc around [12]\nDo not stuff.';
const square =
  'Ear (make 2)\nCh 7\nRow 1: sc in 2nd ch from hook and in each ch across [6]\nRow 2-6: ch 1, turn, sc across [6]';

/** A head of 16 rounds, 30 stitches at its widest; stitches and rows are 5 mm, so each round is 5 mm further along, also where it lies flat. */
const toy = (
  piece: string,
  sentence: string,
  { hand = '', start = '', lean = 'Lean: 0', end = 'Stuff firmly. Close.' }: Worked = {},
) =>
  analyseToy(
    [
      'Gauge: 5 mm x 5 mm',
      lean,
      hand,
      'Head',
      start,
      'R1: 6 sc in mr [6]\nR2: inc x 6 [12]\nR3: (sc, inc) x 6 [18]\nR4: (sc 2, inc) x 6 [24]\nR5: (sc 3, inc) x 6 [30]\nR6-R12: sc around [30]\nR13: (sc 3, dec) x 6 [24]\nR14: (sc 2, dec) x 6 [18]\nR15: (sc, dec) x 6 [12]\nR16: dec x 6 [6]',
      end,
      `\n${piece}\n\nAssembly\n${sentence}`,
    ]
      .filter((line) => line !== '')
      .join('\n'),
  );
const byCrown =
  'Sew the ears to the head, one on each side, their points at the middle of the crown, only their outer edges sewn.';

const sewn = (piece: string, sentence: string, worked?: Worked) =>
  toy(piece, sentence, worked).joined.joins.map(
    ({ path }) => path?.map(({ round, stitch }) => [round, stitch]) ?? null,
  );
const run = (round: number, from: number, to: number) =>
  Array.from({ length: Math.abs(to - from) + 1 }, (_, i) => [round, from + i * Math.sign(to - from)]);

// Six rows of 5 mm are six rounds of 5 mm: round 6 of 30 stitches, its sides at 8 and 23. The last row is even: with the first row below it
// runs to the right as one worked right-handed looks at it, with its point above to the left. Stitches of the head run to the right.
test.each<[string, Worked, number[][][]]>([
  ['by the start on top', {}, [run(6, 11, 6), run(6, 26, 21)]],
  // A left-handed piece is the mirror image, and so is the head: the same numbers, the other way about.
  ['left-handed', { hand: 'Hand: left' }, [run(6, 26, 21), run(6, 11, 6)]],
])('a triangle with its point at the crown, %s', (_name, worked, [left, right]) => {
  const found = sewn(triangle, byCrown, worked);
  const { joins } = toy(triangle, byCrown, worked).joined;
  expect(joins.map(({ kind }) => kind)).toEqual(['by-row', 'by-row']);
  const bySide = (side: string) => found[joins.findIndex(({ unit }) => unit.side === side)];
  expect([bySide('left'), bySide('right')]).toEqual([left, right]);
});

// From the bottom up the crown is the end: 16 rounds and the cap of 6 · 5 / 2π = 4.8 mm over them, 84.8 in all; 30 mm before that is 54.8:
// round 11. Its stitches run to the left.
test('a head from the bottom up has its crown at its end', () => {
  const joins = toy(triangle, byCrown, { start: 'Start: bottom' }).joined.joins;
  expect(joins.map(({ round }) => round)).toEqual([11, 11]);
  expect(sewn(triangle, byCrown, { start: 'Start: bottom' })[0]).toEqual(run(11, 21, 26));
});

// Seven rounds of 5 mm; round 7 has 30, its sides at 8 and 23: six places each.
test('an ear in rounds is pressed flat and sewn by its open edge', () => {
  const { joins } = toy(cone, byCrown).joined;
  expect(joins.map(({ kind, round }) => [kind, round])).toEqual([
    ['flattened', 7],
    ['flattened', 7],
  ]);
  const places = new Set(joins[0]!.path!.map(({ stitch }) => stitch));
  expect([...places].sort((a, b) => a - b)).toEqual([6, 7, 8, 9, 10, 11]);
});

test('it goes by the round also where rounds lean, and lies with its point at the crown', () => {
  const found = toy(triangle, byCrown, { lean: 'Lean: 0.25' });
  const [left] = found.joined.joins;
  expect(left!.round).toBe(6);
  const posed = assembled(found).find(({ unit }) => unit.side === 'left')!;
  const head = assembled(found).find(({ part }) => part.part.name === 'Head')!;
  const crown = placeOf(head, { along: 0, azimuth: 0 });
  // Its first row is one stitch, its last lies on round 6: the one is near the crown, the other is not.
  const [tip, foot] = [0.02, 0.98].map((share) =>
    placeOf(posed, { along: share * posed.surface.along.at(-1)!, azimuth: 0 }),
  );
  const far = (place: ArrayLike<number>) =>
    Math.hypot(place[0]! - crown[0]!, place[1]! - crown[1]!, place[2]! - crown[2]!);
  expect(far(tip!)).toBeLessThan(9);
  expect(far(foot!)).toBeGreaterThan(15);
});

test.each<[string, string, string, Worked]>(
  [
    [
      'the middle of what',
      triangle,
      'Sew the ears to the head, their points at the middle, only their outer edges sewn.',
    ],
    ['no point', square, byCrown],
  ].map(([name, piece, sentence]) => [name!, piece!, sentence!, {}]),
)('%s is asked', (_name, piece, sentence, worked) => {
  const { problems, joined } = toy(piece, sentence, worked);
  expect(problems.map(({ code }) => code)).toContain('join-point');
  expect(joined.joins.every(({ path }) => path === null)).toBe(true);
});

test.each([
  ['an end that is open', 'of the end', { end: 'Leave the bottom open.' }],
  ['a head that is too small', 'of the crown', {}],
])('%s has no such place', (_name, where, worked) => {
  const long = triangle.replace('sc 4 [6]', 'sc 4, turn [6]\nRow 7-30: ch 1, sc across, turn [6]');
  const piece = where === 'of the crown' ? long : triangle;
  const { problems } = toy(piece, byCrown.replace('of the crown', where), worked);
  expect(problems.map(({ code }) => code)).toContain('join-row-missing');
});

test('with rounds that say where, what is said of the point is told to be left out', () => {
  const { problems, joined } = toy(
    triangle,
    byCrown.replace('to the head,', 'to the head on round 8, by the last row,'),
  );
  expect(joined.joins[0]!.round).toBe(8);
  expect(problems.map(({ code }) => code)).toContain('words-unused');
});
