import { analyseToy } from '../toy/analyse';

/** A mitten of 12 stitches with something in round 5 and a body of 24; its front is opposite the start: at stitch 6½. */
const toy = (round5: string, sentence = 'Sew the mittens to the sides of the body on round 8.', more = '') =>
  analyseToy(
    `Gauge: 5 mm x 5 mm\nLean: 0\n\nBody\nR1: 6 sc in mr\nR2: inc x 6\nR3: (sc, inc) x 6\nR4: (2 sc, inc) x 6\nR5-R14: sc around\n\nMitten (make 2)\n${more}R1: 6 sc in mr\nR2: inc x 6\nR3-R4: sc around\n${round5}\nR6-R9: sc around\n\nAssembly\n${sentence}`,
  );
const told = (...args: Parameters<typeof toy>) =>
  toy(...args).problems.filter(({ code }) => code === 'units-mirrored');

// A thumb between stitches 3 and 4 lies 3 stitches before the front at 6½; its mirror image as far behind it, at 9½: behind stitch 9.
test('a thumb on one side: the two of a pair are told apart, with the stitch of each', () => {
  const [one, ...more] = told('R5: sc 3, (ch 4, sl st in 2nd ch from hook, sl st 2), sc 9 [12]');
  expect(more).toEqual([]);
  expect(one!.severity).toBe('warning');
  expect(one!.message).toContain('in round 5 behind stitch 9 instead of 3');
});

// A tall stitch 4 of 12 is 2½ before the front; with a bend there the front would be there too, so the piece says where its own is.
test('a taller stitch on one side of a front that is said: at the stitch as far behind it', () => {
  const said = 'Front: stitch 6 of round 3\n';
  const found = told('R5: sc 3, tr, sc 8 [12]', undefined, said);
  const at = /at stitch (\d+) instead of 4/.exec(found[0]?.message ?? '')?.[1];
  expect(at).toBe('8');
});

test('before the first stitch of a round, and one off the mirror image of another', () => {
  const grown = '(ch 4, sl st in 2nd ch from hook, sl st 2)';
  const [first] = told(`R5: ${grown}, sc 12 [12]`);
  // Before the first is half way round from the front: it has no side.
  expect(first).toBeUndefined();
  const [off] = told(`R5: sc 3, ${grown}, sc 7, ${grown}, sc 2 [12]`);
  expect(off!.message).toContain('behind stitch 9 instead of 3');
  expect(off!.message).toContain('behind stitch 2 instead of 10');
});

test.each([
  ['', ''],
  ['Lean: 0.25', ''],
  ['Hand: left', ''],
  ['', 'Start: bottom\n'],
  ['', 'Start: top\n'],
])('worked so, the mirror image of the mirror image is the piece itself (%s %s)', (header, own) => {
  const grown = '(ch 4, sl st in 2nd ch from hook, sl st 2)';
  const after = (stitch: number): number => {
    const text = toy(`R5: sc ${stitch}, ${grown}, sc ${12 - stitch} [12]`, undefined, own).text;
    const { problems } = analyseToy(
      header ? text.replace('Lean: 0', header.startsWith('Lean') ? header : `Lean: 0\n${header}`) : text,
    );
    const message = problems.find(({ code }) => code === 'units-mirrored')?.message ?? '';
    return Number(/behind stitch (\d+) instead/.exec(message)?.[1]);
  };
  for (const stitch of [2, 3, 4, 8, 9]) expect(after(after(stitch))).toBe(stitch);
});

test.each([
  ['nothing stands out', 'R5: sc around'],
  ['all of a round is tall', 'R5: dc around'],
  [
    'two, one on each side',
    'R5: sc 3, (ch 4, sl st in 2nd ch from hook, sl st 2), sc 6, (ch 4, sl st in 2nd ch from hook, sl st 2), sc 3 [12]',
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
