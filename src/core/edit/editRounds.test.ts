import { analyseToy } from '../toy/analyse';
import { deleteRound, duplicateRound, insertRound, moveRound, roundCards, setRound } from './editRounds';

const text =
  'Head\nR1: 6 sc in ring [6]\nA note.\nR2: inc x 6 [12]\nR3-R5: sc around [12]\nR6: dec x 6 [6]\nStuff.\n\nTail\nR1: 5 sc in ring\n';
const part = analyseToy(text).parts[0]!.source;
const cards = roundCards(part);
const counts = (changed: string) =>
  analyseToy(changed)
    .parts[0]!.checks.map((check) => `${check.round}:${check.worked}`)
    .join(' ');

test('cards are lines, with what they say', () => {
  expect(cards.map(({ first, last, body }) => [first, last, body])).toEqual([
    [1, 1, '6 sc in ring'],
    [2, 2, 'inc x 6'],
    [3, 5, 'sc around'],
    [6, 6, 'dec x 6'],
  ]);
});

test('a round is put in and the ones after it are numbered on', () => {
  const changed = insertRound(text, part, { after: cards[1]!, body: '(sc, inc) x 6', count: 18 });
  expect(changed.split('\n').slice(3, 7)).toEqual([
    'R2: inc x 6 [12]',
    'R3: (sc, inc) x 6 [18]',
    'R4-R6: sc around [12]',
    'R7: dec x 6 [6]',
  ]);
  expect(changed).toContain('Tail\nR1: 5 sc in ring');
  expect(
    insertRound('Head\n', analyseToy('## Head\n').parts[0]!.source, {
      after: null,
      body: '6 sc in magic ring',
      count: 6,
    }),
  ).toBe('Head\nR1: 6 sc in magic ring [6]\n');
});

test('duplicating, deleting and moving keep notes in place and numbers in order', () => {
  expect(counts(duplicateRound(text, part, cards[2]!))).toBe('1:6 2:12 3:12 4:12 5:12 6:12 7:12 8:12 9:6');
  expect(counts(deleteRound(text, part, cards[2]!))).toBe('1:6 2:12 3:6');
  const moved = moveRound(text, part, cards[2]!, -1);
  expect(moved.split('\n').slice(1, 6)).toEqual([
    'R1: 6 sc in ring [6]',
    'A note.',
    'R2-R4: sc around [12]',
    'R5: inc x 6 [12]',
    'R6: dec x 6 [6]',
  ]);
  expect(moveRound(text, part, cards[0]!, -1)).toBe(text);
});

test('a round is written anew under its own label', () => {
  expect(setRound(text, cards[2]!, 'sc 11, inc', 13).split('\n')[4]).toBe('R3-R5: sc 11, inc [13]');
});

describe('sentences follow the numbers', () => {
  const face =
    'Head\nFront: stitch 4 of round 4\nR1: 6 sc in ring\nR2: inc x 6\nR3-R7: sc around\nR8: dec x 6\nEyes: 8 mm, between R4 and R5, 5 apart. After round 6, stuff.\nMouth between rounds 5 and 6; nose 2 rounds from the end.\n';
  const source = () => analyseToy(face).parts[0]!.source;

  test('a round put in before them moves them on; one put in after them does not', () => {
    const before = insertRound(face, source(), { after: roundCards(source())[0]!, body: 'sc around' });
    expect(before).toContain('between R5 and R6, 5 apart. After round 7, stuff.');
    expect(before).toContain('Mouth between rounds 6 and 7');
    expect(before).toContain('Front: stitch 4 of round 5');
    expect(before).toContain('nose 2 rounds from the end');
    const after = insertRound(face, source(), { after: roundCards(source()).at(-1)!, body: 'sc around' });
    expect(after).toContain('between R4 and R5, 5 apart. After round 6, stuff.');
  });

  test('a line taken out moves them back', () => {
    const changed = deleteRound(face, source(), roundCards(source())[1]!);
    expect(changed).toContain('between R3 and R4, 5 apart. After round 5, stuff.');
    expect(changed).toContain('Front: stitch 4 of round 3');
  });

  // A round put in after R1: what is on four and later moves on by one, however it is said.
  test.each([
    ['Eyes: 8 mm, between the 4th and 5th round, 5 apart.', 'between the 5th and 6th round, 5 apart'],
    ['Eyes: 8 mm, between rounds four and five, 5 apart.', 'between rounds 5 and 6, 5 apart'],
    ['Eyes: 8 mm, between 4 and 5, 5 apart.', 'between 5 and 6, 5 apart'],
    ['Eyes: 8 mm, R4/5, 5 apart.', 'R5/6, 5 apart'],
    ['8 mm eyes between rows 5 & 4, 5 apart', 'between rows 6 & 5, 5 apart'],
    [
      'Mouth from stitch 3 of round 5 to stitch 6 of round 5',
      'from stitch 3 of round 6 to stitch 6 of round 6',
    ],
    [
      'Left eye, 8 mm: between R4 and R5 at stitch 3. Right eye: between R4 and R5 at stitch 9.',
      'between R5 and R6 at stitch 3. Right eye: between R5 and R6 at stitch 9',
    ],
    ['Embroider the nose on the 3rd round, 2 wide', 'on the 4th round, 2 wide'],
    ['Hair from R3 to R6, 1 wide', 'from R4 to R7, 1 wide'],
    ['Stuff after round 6, 20 mm of it', 'after round 7, 20 mm of it'],
    ['Nose 3 rounds from the end, 4 stitches wide', '3 rounds from the end, 4 stitches wide'],
    ['Mouth between rounds 2 and 3 from the end', 'between rounds 2 and 3 from the end'],
  ])('%s', (sentence, moved) => {
    const of = `Head\nR1: 6 sc in ring\nR2: inc x 6\nR3-R7: sc around\nR8: dec x 6\n${sentence}\n`;
    const { source: part } = analyseToy(of).parts[0]!;
    expect(insertRound(of, part, { after: roundCards(part)[0]!, body: 'sc around' })).toContain(moved);
  });

  test('the eyes stay on the same stitches', () => {
    const changed = analyseToy(
      insertRound(face, source(), { after: roundCards(source())[0]!, body: 'sc around' }),
    ).parts[0]!;
    expect(changed.eyes!.line).toBe(analyseToy(face).parts[0]!.eyes!.line + 1);
    expect(changed.eyes!.apart).toBe(5);
  });
});
