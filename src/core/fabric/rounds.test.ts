import { analyseToy } from '../toy/analyse';
import { buildSheet } from '../toy/sheet/buildSheet';
import { patternForOthers } from '../toy/sheet/forOthers';
import { orderWords } from '../toy/orderWords';
import { tasksOf } from '../toy/tasksOf';
import { isRowAndRound, roundNumbered } from './rounds';

/** Six rows of ten to and fro, then six rounds about their edge that count from 1 again. */
const rowsThenRounds = `Bag
Ch 11
Row 1: sc in 2nd ch from hook, sc across, turn
Rows 2-6: ch 1, sc in each st across, turn
Round 1: sc around
Rounds 2-6: sc around
`;

const bag = (more: string) => analyseToy(rowsThenRounds + more);
const told = (more: string) =>
  bag(more)
    .problems.filter(({ code }) => code === 'row-and-round')
    .map(({ line, facts }) => [line, facts]);

describe('from the number of a round to the round', () => {
  test('of a row and a round with one number the round is meant', () => {
    const { fabric } = bag('').parts[0]!;
    expect([...fabric.label]).toEqual([1, 2, 3, 4, 5, 6, 1, 2, 3, 4, 5, 6]);
    expect(roundNumbered(fabric, 3)).toBe(9);
    expect(isRowAndRound(fabric, 3)).toBe(true);
  });

  test('what no round has is not there', () => {
    const { fabric } = bag('').parts[0]!;
    expect(roundNumbered(fabric, 7)).toBe(0);
    expect(isRowAndRound(fabric, 7)).toBe(false);
  });

  test('rounds that count on from the rows need no telling', () => {
    const { fabric } = analyseToy('Ball\nR1: 6 sc in ring\nR2: inc around\nR3-R5: sc around').parts[0]!;
    expect(roundNumbered(fabric, 3)).toBe(3);
    expect(isRowAndRound(fabric, 3)).toBe(false);
  });
});

describe('a sentence that names such a number is told what is taken', () => {
  test('of a feature', () => {
    const toy = bag('8 mm eyes between rounds 3 and 4, 4 stitches showing.');
    expect(toy.parts[0]!.eyes?.line).toBe(9);
    expect(told('8 mm eyes between rounds 3 and 4, 4 stitches showing.')).toEqual([
      [7, { part: 'Bag', round: 3 }],
    ]);
  });

  test('of a part that is sewn on', () => {
    const handle = 'Handle\nR1: 6 sc in ring\nR2-R5: sc around\nSew the handle to round 5 of the bag.';
    expect(told(handle)).toEqual([[10, { part: 'Bag', round: 5 }]]);
  });

  test('and no other', () => {
    expect(told('8 mm eyes, 2 rounds from the edge, 4 stitches showing.')).toEqual([]);
  });
});

// The last stop is after round 6, not after row 6.
test('a stop stands behind its round, and not behind the row of that number too', () => {
  const toy = bag('');
  const [part] = toy.parts;
  expect(part!.stops.stops.map(({ after, row }) => [after, row])).toEqual([[6, 12]]);
  const onSheet = buildSheet(toy).parts[0]!.lines;
  expect(onSheet.map((line) => (line.kind === 'round' ? line.label : line.kind))).toEqual([
    // The chain it is begun with, which has a line of its own.
    'marks',
    'Row 1',
    'Row 2–6',
    'R1',
    'R2–6',
    'stop',
  ]);
  const { lines } = patternForOthers(toy, { terms: 'us', hand: 'right' });
  const kinds = lines.flatMap(({ kind, text }) => (kind === 'stop' ? [kind] : (/^R\w*/.exec(text) ?? [])));
  expect(kinds).toEqual(['Row', 'Row', 'R1', 'stop']);
  const said = lines.flatMap(({ text }) => / (across|around)\b/.exec(text)?.[1] ?? []);
  expect(said).toEqual(['across', 'across', 'around']);
  expect(orderWords(toy).map(({ words }) => words)).toContain('Row 1 to round 6');
});

// A slip of the pen: two rounds 9. What is worked into the second is told there, and not at the first.
test('of two rounds with one number each has what is worked into it', () => {
  const toy = analyseToy(
    'Body\nR1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4: (2 sc, inc) x 6\nR5-R9: sc around\nR9: 6 sc, 4 sc through left arm, 8 sc, 4 sc through right arm, 2 sc\nR10: sc around\n\nArm (make 2)\nR1: 6 sc in ring\nR2: (2 sc, inc) x 2\nR3-R6: sc around\n',
  );
  expect(toy.joined.joins.map(({ row, round }) => [row, round])).toEqual([
    [10, 9],
    [10, 9],
  ]);
  const nines = tasksOf(toy).filter((task) => task.kind === 'round' && task.label === 9);
  expect(nines.map((task) => task.kind === 'round' && task.asides.length > 0)).toEqual([false, true]);
});
