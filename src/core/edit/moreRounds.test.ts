import { analyseToy } from '../toy/analyse';
import { withMoreRounds } from './moreRounds';

const text = `Head
R1: 6 sc in ring [6]
R2: inc x 6 [12]
R3: (sc, inc) x 6 [18]
R4-R6: sc around [18]
R7: (sc, dec) x 6 [12]
R8: dec x 6 [6]
Eyes: 7 mm, between R4 and R5, 4 showing
`;

test('two plain rounds more: counted through, the decreases move up, the eyes stay', () => {
  const longer = withMoreRounds(text, { part: 'head', label: 5, words: 'sc around' }, 2);
  const [head] = analyseToy(longer).parts;
  expect(head!.checks.map(({ round, worked, ok }) => [round, worked, ok])).toEqual(
    [6, 12, 18, 18, 18, 18, 18, 18, 12, 6].map((worked, i) => [i + 1, worked, true]),
  );
  expect(head!.eyes?.gap).toEqual([4, 5]);
});

test('a round that changes the count is not worked once more by itself; nor one that is not there', () => {
  expect(withMoreRounds(text, { part: 'head', label: 3, words: '(sc, inc) x 6' }, 1)).toBe(text);
  expect(withMoreRounds(text, { part: 'head', label: 19, words: 'sc around' }, 1)).toBe(text);
  expect(withMoreRounds(text, { part: 'tail', label: 5, words: 'sc around' }, 1)).toBe(text);
});
