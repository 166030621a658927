import { analyseToy } from '../toy/analyse';
import { nextStep } from './nextStep';

const ball =
  'Head\nR1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4-R8: sc around\nR9: (sc, dec) x 6\nR10: dec x 6';

test.each([
  ['Toy: New toy\n\nHead\n', 'Write the first round'],
  [`${ball} [7]`, 'Round 10 does not add up'],
  ['Head\nR1: 6 dc in ring', 'Say whether it is in US or UK terms'],
  [`${ball}\nEyes: 7 mm, between R5 and R6`, 'One thing to look at'],
  [ball, 'Head, after round 8: stuff the bulk'],
])('%#: %s', (text, words) => {
  expect(nextStep(analyseToy(text))).toBe(words);
});
