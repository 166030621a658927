import * as fc from 'fast-check';
import { applyEdits } from '../notation/applyEdits';
import { readPattern } from '../notation/readPattern';
import { arbitraryPart, textOf } from '../__tests__/arbitraryPart';
import { analyseToy } from '../toy/analyse';
import { checkRounds } from './checkRounds';

const head = [
  'Head',
  'R1: 6 sc in magic ring [6]',
  'R2: inc x 6 [12]',
  'R3: (sc, inc) x 6 [18]',
  'R4: (sc 2, inc) x 6 [24]',
  'R5-R8: sc around [24]',
  'R9: (sc 2, dec) x 6 [18]',
  'R10: (sc, dec) x 6 [12]',
  'R11: dec x 6 [6]',
];
const withLine = (at: number, line: string) =>
  head.map((text, index) => (index === at ? line : text)).join('\n');
const errors = (text: string) => analyseToy(text).problems.filter((problem) => problem.severity === 'error');

test('a clean head has the counts worked by hand and no problem', () => {
  const toy = analyseToy(head.join('\n'));
  expect(toy.parts[0]?.checks.map((check) => check.worked)).toEqual([
    6, 12, 18, 24, 24, 24, 24, 24, 18, 12, 6,
  ]);
  expect(toy.problems).toEqual([]);
});

test.each([
  ['a wrong total', 4, 'R4: (sc 2, inc) x 6 [25]', 'count-mismatch', 4, 'R4: (sc 2, inc) x 6 [24]'],
  [
    'a wrong number of repeats',
    4,
    'R4: (sc 2, inc) x 5 [24]',
    'count-mismatch',
    4,
    'R4: (sc 2, inc) x 6 [24]',
  ],
  [
    'a wrong number of stitches',
    4,
    'R4: (sc 3, inc) x 6 [24]',
    'not-enough-stitches',
    4,
    'R4: (sc 2, inc) x 6 [24]',
  ],
  [
    'a repeat that does not fill the round',
    4,
    'R4: (sc 3, inc) around',
    'repeat-remainder',
    4,
    'R4: (sc 2, inc) around',
  ],
  [
    'a decrease for an increase',
    4,
    'R4: (sc 2, dec) x 6 [24]',
    'not-enough-stitches',
    4,
    'R4: (sc 2, inc) x 6 [24]',
  ],
  ['an unknown word', 4, 'R4: (sx 2, inc) x 6 [24]', 'unknown-stitch', 4, 'R4: (sc 2, inc) x 6 [24]'],
])('%s is named, with its place and a suggestion that mends it', (_, at, line, code, round, mended) => {
  const text = withLine(at, line);
  const found = errors(text).find((problem) => problem.code === code);
  expect(found).toMatchObject({ part: 'Head', round, line: at + 1 });
  expect(found?.suggestions.slice(0, 3).map((suggestion) => suggestion.edits[0]?.text)).toContain(mended);
  const [first] = found?.suggestions.filter((suggestion) => suggestion.edits[0]?.text === mended) ?? [];
  expect(errors(applyEdits(text, first?.edits ?? []))).toEqual([]);
});

test('one slip is reported once, not in every round after it', () => {
  expect(errors(withLine(4, 'R4: (sc 2, inc) x 5 [24]')).map((problem) => problem.line)).toEqual([5]);
});

test('a stitch left over can be worked plain', () => {
  const text = 'Arm\nR1: 7 sc in ring\nR2: sc around\nR3: (sc, inc) x 3';
  const [left] = errors(text);
  expect(left?.code).toBe('stitches-left');
  expect(left?.suggestions.map((suggestion) => suggestion.edits[0]?.text)).toContain('R3: (sc, inc) x 3, sc');
});

test('rounds that are missing or come twice are named and can be mended', () => {
  const missing = errors('Head\nR1: 6 sc in ring\nR2: inc around\nR4: sc around [12]');
  expect(missing.map((problem) => problem.code)).toEqual(['round-missing']);
  expect(missing[0]?.suggestions[0]?.edits).toEqual([{ line: 3, text: 'R3: sc around', insertAfter: true }]);
  const twice = 'Head\nR1: 6 sc in ring\nR2: inc around\nR2: sc around\nR3-R4: sc around';
  const [again] = errors(twice);
  expect(again).toMatchObject({ code: 'round-duplicate', line: 4 });
  expect(errors(applyEdits(twice, again?.suggestions[0]?.edits ?? []))).toEqual([]);
});

test('a text that says closed with more than twelve left is not closed', () => {
  const [open] = errors('Head\nR1: 6 sc in ring\nR2: inc around\nR3: (sc, inc) x 6\nClose the hole.');
  expect(open).toMatchObject({ code: 'not-closed', line: 5 });
});

test('counts equal a naive walk for any part that adds up', () => {
  fc.assert(
    fc.property(arbitraryPart, (rounds) => {
      const part = readPattern(textOf(rounds)).parts[0];
      const { checks, problems } = checkRounds(part!, 'us');
      expect(checks.map((check) => check.worked)).toEqual(rounds.map((round) => round.count));
      expect(problems).toEqual([]);
    }),
    { numRuns: 150 },
  );
});

test('no text of any kind throws', () => {
  const words = fc.constantFrom(
    'R4:',
    'sc',
    'inc',
    'dec',
    '(',
    ')',
    '[',
    ']',
    '*',
    'x',
    '6',
    '12',
    'around',
    'repeat',
    'from',
    'ch',
    'in',
    'ring',
    'next',
    'until',
    'to',
    'last',
    'each',
    '\n',
    ',',
    'BLO',
    'change',
    'R2-R',
    'Head',
    'join',
    '99999999',
    'twice',
    ';',
    '=',
    'make',
  );
  const soup = fc.array(words, { maxLength: 60 }).map((list) => list.join(' '));
  fc.assert(
    fc.property(
      fc.oneof(soup, fc.string({ maxLength: 200, unit: 'binary' }), fc.string({ maxLength: 200 })),
      (text) => {
        const toy = analyseToy(text);
        expect(Array.isArray(toy.problems)).toBe(true);
      },
    ),
    { numRuns: 500 },
  );
});

test('a megabyte of noise is refused with a clear message', () => {
  const [problem] = analyseToy('x9 ('.repeat(260_000)).problems;
  expect(problem).toMatchObject({ code: 'too-long', severity: 'error' });
  expect(problem?.message).toMatch(/Paste one toy at a time/);
});
