import { analyseToy } from '../toy/analyse';

/** Six rows of ten: 10 along the top, 10 along the foundation, 6 down each side make 32. */
const patch = `Patch
Ch 11
Row 1: sc in 2nd ch from hook, sc across, turn [10]
Rows 2-6: ch 1, sc in each st across, turn [10]
`;

const told = (line: string) =>
  analyseToy(patch + line).problems.map(({ code, severity, facts }) => [
    code,
    severity,
    facts.made,
    facts.room,
  ]);

describe('a round along the sides of rows', () => {
  test.each([
    ['Round 7: sc around the edge', 10],
    ['Round 1: sc evenly around', 10],
    ['Sc evenly around the edge.', 10],
    ['Row 7: sc down the side, sc along the bottom, sc up the other side.', 3],
  ])('%s is no count along the last row, and says so', (line, made) => {
    expect(told(line)).toEqual([['edging', 'error', made, 32]]);
  });

  test('its own total holds for what comes after it', () => {
    const toy = analyseToy(
      `${patch}Round 1: sc evenly around, 3 sc in each corner [40]\nRound 2: sc around [40]`,
    );
    expect(toy.problems.map(({ code }) => code)).toEqual(['edging']);
    expect(toy.parts[0]!.checks.at(-1)).toMatchObject({ worked: 40, below: 40, ok: true });
  });

  test('where only the word around says it, it is an aside', () => {
    expect(told('Round 7: sc around')).toEqual([['edging', 'info', 10, 32]]);
  });

  test.each(['Round 7: sc around [10]', 'Row 7: ch 1, dec at both sides [8]', 'Row 7: sc across'])(
    '%s goes along the last row',
    (line) => {
      expect(told(line).filter(([code]) => code === 'edging')).toEqual([]);
    },
  );

  test('rows that were joined go round by themselves', () => {
    expect(told('Row 7: sc across, join with sl st\nRound 8: sc around')).toEqual([]);
  });
});
