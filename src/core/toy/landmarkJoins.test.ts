import { analyseToy } from './analyse';

// The body is 24 around from round 4 on, and its colour changes between rounds 14 and 15. An arm of six stitches reaches one round and a
// bit to either side of its middle, a flat edge none.
const body = (sentence: string, { start = '', more = '' } = {}) =>
  analyseToy(
    [
      'Lean: 0\nGauge: 5 mm x 5 mm\nYarn brown: medium, brown\nYarn white: medium, white\nBody\nin brown',
      start,
      'R1: 6 sc in ring [6]\nR2: inc x 6 [12]\nR3: (sc, inc) x 6 [18]\nR4: (2 sc, inc) x 6 [24]\nR5-R14: sc around [24]\nR15-R20: in white, sc around [24]',
      more,
      '\nArm (make 2)\nin brown\nR1: 6 sc in ring [6]\nR2-R6: sc around [6]\n\nAssembly',
      sentence,
    ]
      .filter((line) => line !== '')
      .join('\n'),
  );
const roundsOf = (toy: ReturnType<typeof body>) => toy.joined.joins.map(({ round }) => round);

test.each([
  ['Sew the arms to the body 2 rounds above the colour change, one on each side.', '', 13],
  ['Sew the arms to the body 1 round below the colour change, one on each side.', '', 15],
  ['Sew the arms to the body 3 rounds above the colour change, one on each side.', 'Start: bottom', 17],
  ['Flatten the arms and sew them to the sides of the body, just above the colour change.', '', 14],
  ['Flatten the arms and sew them to the sides of the body, just below the colour change.', '', 15],
  [
    'Flatten the arms and sew them to the sides of the body, just above the colour change.',
    'Start: bottom',
    15,
  ],
  [
    'Flatten the arms and sew them to the sides of the body, right behind the colour change.',
    'Start: bottom',
    15,
  ],
  // A ring of six is 9.5 mm across: its middle lies a round off, and its upper edge on the change.
  ['Sew the arms to the sides of the body, right behind the colour change.', '', 15],
])('%s %s', (sentence, start, round) => {
  const toy = body(sentence, { start });
  expect(roundsOf(toy)).toEqual([round, round]);
  expect(toy.problems.map(({ code }) => code)).not.toContain('words-unused');
});

test('of several it is asked which, and from it is asked to which side', () => {
  const twice = body('Sew the arms to the sides of the body, just below the colour change.', {
    more: 'R21-R24: in brown, sc around [24]',
  });
  expect(roundsOf(twice)).toEqual([null, null]);
  expect(twice.problems.map(({ code }) => code)).toContain('join-row-missing');
  const aside = body('Sew the arms to the body 2 rounds from the colour change, one on each side.');
  expect(roundsOf(aside)).toEqual([null, null]);
});

test.each([
  'Sew the arms to the sides of the body on round 9, only the outer edge.',
  'Sew the arms to the sides of the body on round 9 as a triangle.',
])('%s is told to be left out', (sentence) => {
  expect(body(sentence).problems.map(({ code }) => code)).toContain('words-unused');
});
