import { readPattern } from '../readPattern';

const head = 'Head\nR1: 6 sc in mr\nR2: inc x 6\nR3: (sc, inc) x 6\nR4-R12: sc around\n';
const read = (lines: string) => {
  const { parts, notes } = readPattern(head + lines);
  const steps = parts[0]!.steps.flatMap((step) =>
    step.kind === 'feature' ? [[step.feature, step.gap ?? step.round ?? null]] : [],
  );
  return { steps, notes: notes.map(({ text }) => text) };
};

test.each([
  ['Eyes: 8 mm.\nBetween R7 and R8, 5 showing.', [7, 8]],
  ['Insert 8 mm eyes.\nPlace them between R7 and R8, 5 showing.', [7, 8]],
  ['Eyes: 8 mm.\nInsert between R7 and R8.', [7, 8]],
])('a line that goes on about the eyes says where they are: %s', (lines, gap) => {
  expect(read(lines).steps).toContainEqual(['eyes', gap]);
});

const eyes = 'Insert 8 mm eyes between R7 and R8, 5 showing.';
test.each([
  'Embroider a star on round 11, 4 stitches wide.',
  'Stitch a heart at stitch 5 of round 11.',
  'Embroider the tongue between R10 and R11, 3 stitches wide.',
  'Add two small claws between R10 and R11.',
])('what is put on and not known moves no eyes, and is kept: %s', (line) => {
  expect(read(`${eyes}\n${line}`)).toEqual({ steps: [['eyes', [7, 8]]], notes: [line] });
});

test('a stitched beak is what the nose of another animal is', () => {
  expect(read(`${eyes}\nEmbroider a beak between R9 and R10, 3 stitches wide.`).steps).toEqual([
    ['eyes', [7, 8]],
    ['nose', [9, 10]],
  ]);
});

test('a sentence on the same line that is not understood is kept as a note', () => {
  expect(read(`${eyes} Embroider a tongue between R10 and R11.`)).toEqual({
    steps: [['eyes', [7, 8]]],
    notes: ['Embroider a tongue between R10 and R11'],
  });
});
