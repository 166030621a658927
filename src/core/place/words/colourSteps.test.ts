import { analyseToy } from '../../toy/analyse';
import { colourSteps, eyeColourCheck } from '../words/colourSteps';
import { landmarkWords } from '../words/fromThere';

const text = (header: string, eyes: string) =>
  `${header}Head\nin brown\nR1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4-R6: sc around\nR7: sc 5, change to cream, sc 7, change to brown, sc 6\nR8: sc around\n${eyes}\n`;
const part = (header = '', eyes = 'Eyes: 6 mm, between R6 and R7, at stitches 8 and 11.') =>
  analyseToy(text(header, eyes)).parts[0]!;

// Round 7: brown over holes 1 to 5 and 13 to 18, cream over 6 to 12.
test.each([
  [8, 'foot', { back: 2, on: 4 }],
  [11, 'foot', { back: 5, on: 1 }],
  [6, 'foot', { back: 0, on: 6 }],
  [3, 'foot', { back: 8, on: 2 }],
  [8, 'split', { back: 3, on: 4 }],
  [12, 'split', { back: 7, on: 0 }],
] as const)('from hole %i (%s)', (hole, seat, steps) => {
  expect(colourSteps(part().fabric, 6, hole, seat)).toEqual(steps);
});

test('a round of one colour has no change', () => {
  expect(colourSteps(part().fabric, 3, 4, 'foot')).toEqual({ back: null, on: null });
  expect(
    eyeColourCheck(
      part('', 'Eyes: 6 mm, between R4 and R5, 4 apart.').form,
      part('', 'Eyes: 6 mm, between R4 and R5, 4 apart.').eyes!,
    ),
  ).toBeNull();
});

test('on a flat piece the edge is no change of colour', () => {
  const bib = analyseToy(
    'Bib\nRow 1: in white, ch 11, sc in 2nd ch from hook and in each ch across, turn\nRow 2: ch 1, sc 6, change to red, sc 4, turn',
  ).parts[0]!;
  expect(colourSteps(bib.fabric, 1, 3, 'foot')).toEqual({ back: null, on: 3 });
});

test.each([
  [
    '',
    'from the left eye’s hole 2 stitches to the colour change on its left; from the right eye’s hole 1 stitch to the colour change on its right',
  ],
  [
    'Hand: left\n',
    'from the left eye’s hole 1 stitch to the colour change on its left; from the right eye’s hole 2 stitches to the colour change on its right',
  ],
])('in words, as one looks at the face (%j)', (header, words) => {
  const { form, eyes } = part(header);
  expect(eyeColourCheck(form, eyes!)).toBe(`Check: ${words}.`);
});

test('of several changes of colour each is told by the colour that comes in; of one there is no need', () => {
  const words = (rounds: string, line: number) =>
    landmarkWords(
      analyseToy(
        `Head\nin brown\nR1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4-R6: sc around\n${rounds}\nR9-R12: sc around\n`,
      ).parts[0]!.form,
      line,
    );
  expect(words('R7: change to cream, sc around\nR8: change to brown, sc around', 4)).toEqual([
    '2 rounds above the change to cream',
    '3 rounds above the change to brown',
    '8 rounds from the last round',
  ]);
  expect(words('R7: change to cream, sc around\nR8: sc around', 4)).toEqual([
    '2 rounds above the colour change',
    '8 rounds from the last round',
  ]);
});
