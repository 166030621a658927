import { analyseToy } from '../toy/analyse';
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
