import { analyseToy } from '../toy/analyse';

/** A mitten of 12 stitches with something in round 5 and a body of 24; its front is opposite the start: at stitch 6½. */
const toy = (round5: string, sentence = 'Sew the mittens to the sides of the body on round 8.', more = '') =>
  analyseToy(
    `Gauge: 5 mm x 5 mm\nLean: 0\n\nBody\nR1: 6 sc in mr\nR2: inc x 6\nR3: (sc, inc) x 6\nR4: (2 sc, inc) x 6\nR5-R14: sc around\n\nMitten (make 2)\n${more}R1: 6 sc in mr\nR2: inc x 6\nR3-R4: sc around\n${round5}\nR6-R9: sc around\n\nAssembly\n${sentence}`,
  );
const told = (...args: Parameters<typeof toy>) =>
  toy(...args).problems.filter(({ code }) => code === 'units-mirrored');

// A thumb after stitch 3 lies 3½ stitches before the front; its mirror image as far behind it: at stitch 10.
test('a thumb on one side: the two of a pair are told apart, with the stitch of each', () => {
  const [one, ...more] = told('R5: sc 3, (ch 4, sl st in 2nd ch from hook, sl st 2), sc 9 [12]');
  expect(more).toEqual([]);
  expect(one!.severity).toBe('warning');
  expect(one!.message).toContain('in round 5 at stitch 10 instead of 3');
});

test.each([
  ['nothing stands out', 'R5: sc around'],
  ['all of a round is tall', 'R5: dc around'],
  [
    'two, one on each side',
    'R5: sc 3, (ch 4, sl st in 2nd ch from hook, sl st 2), sc 7, (ch 4, sl st in 2nd ch from hook, sl st 2), sc 2 [12]',
  ],
  ['a bend, which is the front', 'R5: sc 5, dc 2, sc 5 [12]'],
])('%s: a pair may be worked alike', (_name, round5) => {
  expect(told(round5)).toEqual([]);
});

test('one alone, or two that are no pair, have no mirror image', () => {
  const thumb = 'R5: sc 3, (ch 4, sl st in 2nd ch from hook, sl st 2), sc 9 [12]';
  expect(told(thumb, 'Sew one mitten to the back of the body on round 8.')).toEqual([]);
  expect(
    told(
      thumb,
      'Sew one mitten to the front of the body on round 6. Sew one mitten to the back of the body on round 8.',
    ),
  ).toEqual([]);
});
