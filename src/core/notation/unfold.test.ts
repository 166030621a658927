import { analyseToy } from '../toy/analyse';
import { applyEdits } from './applyEdits';
import { unfolded } from './unfold';

test.each([
  ['R1: 6 sc in ring (6) R2: inc x 6 (12)', ['R1: 6 sc in ring (6)', 'R2: inc x 6 (12)']],
  [
    'Rnd 1: 6 sc in MR; Rnd 2: inc around; Rnd 3: *sc, inc* around',
    ['Rnd 1: 6 sc in MR', 'Rnd 2: inc around', 'Rnd 3: *sc, inc* around'],
  ],
  ['1. 6 sc in MR (6) 2. inc x 6 (12)', ['1. 6 sc in MR (6)', '2. inc x 6 (12)']],
  ['Ch 6. Rnd 1: sc in 2nd ch from hook, sc 4', ['Ch 6.', 'Rnd 1: sc in 2nd ch from hook, sc 4']],
  ['Make a magic ring. R1: 6 sc into the ring.', ['Make a magic ring.', 'R1: 6 sc into the ring.']],
  [
    'R8: sc around (24). Put the eyes between R6 and R7. R9: sc around (24)',
    ['R8: sc around (24). Put the eyes between R6 and R7.', 'R9: sc around (24)'],
  ],
  [
    'With brown, make a magic ring. Round 1: 6 sc in ring. Rounds 2-4: inc x 6. Round 5: sc around. Close.',
    [
      'With brown, make a magic ring.',
      'Round 1: 6 sc in ring.',
      'Rounds 2-4: inc x 6.',
      'Round 5: sc around. Close.',
    ],
  ],
  [
    'Round one: six sc in a magic ring. Rounds two to four: sc around. Round five: inc x 6 (twelve)',
    ['Round one: six sc in a magic ring.', 'Rounds two to four: sc around.', 'Round five: inc x 6 (twelve)'],
  ],
])('%s: each round has a line of its own', (line, lines) => {
  expect(unfolded(line)).toEqual({ text: lines.join('\n'), from: lines.map(() => 1) });
});

test.each([
  'R5: sc in FLO of R3: 24',
  'Repeat R2: 12',
  'R5 & R6: sc around',
  'R5-R9: sc around (24)',
  'Sew the ears to R3, R4: see picture',
  'Head: R1: 6 sc in ring',
  'Sew the ears on. R1: see above.',
  'Use white. R1: 6 sc in ring',
])('%s stays one line', (line) => {
  expect(unfolded(line).text).toBe(line);
});

test('such lines are asked about once, kept, and mended by one tap', () => {
  const text = 'Head\nR1: 6 sc in ring (6) R2: inc x 6 (12)\nR3: sc around (12). R4: dec x 6 (6)\n';
  const toy = analyseToy(text);
  const found = toy.problems.filter(({ code }) => code === 'rounds-on-one-line');
  expect(found.map(({ line }) => line)).toEqual([2]);
  expect(toy.pattern.notes.map(({ line }) => line)).toEqual([2, 3]);
  const mended = applyEdits(text, found[0]!.suggestions[0]!.edits);
  expect(analyseToy(mended).parts[0]!.checks.map(({ worked }) => worked)).toEqual([6, 12, 12, 6]);
  expect(analyseToy(mended).problems.filter(({ severity }) => severity === 'error')).toEqual([]);
});

test('a line of very many rounds is divided into all of them', () => {
  const rounds = Array.from({ length: 120 }, (_, i) => `R${i + 1}: sc 6`);
  expect(unfolded(rounds.join(' ')).text.split('\n')).toEqual(rounds);
});
