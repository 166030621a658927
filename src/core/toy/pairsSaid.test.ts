import { places, toyOfParts } from '../__tests__/toyOfParts';
import { analyseToy } from './analyse';

// A body that begins at the bottom: as one looks at its front its smaller stitches are on the right. A head that begins at the top: left.
const toy = (sentence: string) => toyOfParts(sentence, { start: 'bottom' });
const codesOf = (sentence: string) => analyseToy(toy(sentence)).problems.map(({ code }) => code);

const arms = [
  ['right arm', 20, 6],
  ['left arm', 20, 19],
];
const ears = [
  ['left ear', 6, 8],
  ['right ear', 6, 23],
];

test.each([
  ['Attach one arm to stitch 6 of R20 and the other to stitch 19 of the body.', arms],
  ['Attach one arm to stitch 6 of R20 and one to stitch 19.', arms],
  ['The first arm goes at stitch 6 of R20 and the second at stitch 19.', arms],
  ['Sew the right arm to stitch 6 of R20 and the left one to stitch 19.', arms],
  ['The right arm is sewn to stitch 6 of R20, the left one to stitch 19.', arms],
  ['Sew one ear at stitch 8 of round 6 and the other one at stitch 23 of the head.', ears],
  ['Sew one ear at stitch 8, round 6 of the head, and the other at stitch 23.', ears],
  ['Sew the left ear at stitch 8 of round 6 of the head, the other at stitch 23.', ears],
  ['Sew the first ear to st 8 of R6 of the head and the second to st 23.', ears],
])('the second of a pair goes by the name of the first: %s', (sentence, expected) => {
  expect(places(toy(sentence))).toEqual(expected);
  expect(codesOf(sentence)).not.toContain('join-side');
  expect(codesOf(sentence)).not.toContain('part-count');
});

test('of two that are named by one side each is called by its own', () => {
  const sides = 'Sew the left arm to the left side of the body on R20 and the right one to the right side.';
  expect(codesOf(sides)).not.toContain('join-side');
  const wrong = 'Sew the left arm to stitch 6 of R20 and the right one to stitch 19.';
  expect(codesOf(wrong).filter((code) => code === 'join-side')).toHaveLength(2);
});

test('one on each of two parts, and two by their numbers', () => {
  const { joins } = analyseToy(toy('Sew one arm to the head on R6 and the other to the body on R6.')).joined;
  expect(joins.map(({ on, round }) => [on.part, round])).toEqual([
    ['head', 6],
    ['body', 6],
  ]);
  const two = 'Sew the first and second legs to the body on R5, 4 stitches from the front.';
  expect(analyseToy(toy(two)).joined.joins.map(({ unit, round }) => [unit.unit, round])).toEqual([
    [1, 5],
    [2, 5],
  ]);
});

test('one alone keeps the stitch it is said to go at', () => {
  expect(places(toy('Sew one ear on stitch 8 of round 6 of the head.'))).toEqual([['ear', 6, 8]]);
});

test.each([
  ['Sew the ears to the third round of the head, one on each side.', 3],
  ['Sew the arms to the twentieth round of the body at the sides.', 20],
  ['Sew the tail to the sixth round of the body at the back.', 6],
])('a round that is said by a word: %s', (sentence, round) => {
  expect(new Set(places(toy(sentence)).map(([, at]) => at))).toEqual(new Set([round]));
});

test.each([
  'Arms: attach at R21, directly below the head, one at each side.',
  'Attach the arms at R21, just under the head, on both sides.',
  'Sew the arms on R21, just above the tail, one on each side.',
])('what is right beside another part is not sewn to that: %s', (sentence) => {
  const { joins } = analyseToy(toy(sentence)).joined;
  expect(joins.map(({ on, round }) => [on.part, round])).toEqual([
    ['body', 21],
    ['body', 21],
  ]);
});

// The middle of 23, 24, 1 and 2 is half a stitch before 1, in a round of 24 only.
test.each(['over stitches 23 to 2', 'between stitches 24 and 1'])(
  'stitches that go over the start of a round are asked about: %s',
  (words) => {
    const sentence = `Sew the tail ${words} of R6 of the body.`;
    expect(codesOf(sentence)).toContain('words-unused');
    expect(places(toy(sentence))).not.toContainEqual(['tail', 6, 23]);
    expect(places(toy(sentence))).not.toContainEqual(['tail', 6, 24]);
  },
);
