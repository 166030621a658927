import { applyEdits } from '../notation/applyEdits';
import { brokenCorpus } from '../__tests__/brokenCorpus';
import { patternCorpus } from '../__tests__/patternCorpus';
import { analyseToy } from './analyse';

test.each(patternCorpus.map((found) => [found.name, found] as const))(
  'a whole pattern: %s',
  (_, { text, terms, parts, notes }) => {
    const toy = analyseToy(text);
    expect(
      toy.parts.map((part) => ({
        name: part.source.name,
        make: part.source.make,
        counts: part.checks.map((check) => check.worked),
        start: part.fabric.start,
      })),
    ).toEqual(parts);
    expect(toy.problems.filter((problem) => problem.severity === 'error')).toEqual([]);
    expect(toy.pattern.terms.value).toBe(terms);
    expect(toy.pattern.notes).toHaveLength(notes);
  },
);

test('both corpora are large enough to mean something', () => {
  expect(patternCorpus.length).toBeGreaterThanOrEqual(12);
  expect(brokenCorpus.length).toBeGreaterThanOrEqual(30);
});

test.each(brokenCorpus)('broken: %s', (_, text, code, line, mended) => {
  const problem = analyseToy(text).problems.find((found) => found.code === code);
  expect(problem).toMatchObject({ code, line });
  const suggestion = problem?.suggestions
    .slice(0, 3)
    .find((found) => found.edits.some((edit) => edit.text === mended));
  expect({
    offered: problem?.suggestions.slice(0, 3).map((found) => found.edits[0]?.text),
    has: Boolean(suggestion),
  }).toMatchObject({ has: true });
  const after = analyseToy(applyEdits(text, suggestion?.edits ?? [])).problems;
  expect(after.filter((found) => found.code === code)).toEqual([]);
  expect(after.filter((found) => found.severity === 'error').length).toBeLessThanOrEqual(
    code === 'not-closed' ? 1 : 0,
  );
});

test.each([
  [
    'Body\nR1: 6 sc in ring\nR2-R9: sc around\nEar (make 2)\nR1: 6 sc in ring\nArm (make 2)\nR1: 6 sc in ring\nSew the ears to the body.',
    [['Arm', 'part-unused']],
  ],
  [
    'Body\nR1: 6 sc in ring\nR2-R9: sc around\nEar (make 2)\nR1: 6 sc in ring\nSew one ear to the body.',
    [['Ear', 'part-count']],
  ],
  [
    'Body\nR1: 6 sc in ring\nR2-R9: sc around\nEar (make 2)\nR1: 6 sc in ring\nSew one ear left, sew one ear right.',
    [],
  ],
  ['Body\nR1: 6 sc in ring\nR2-R9: sc around\nEar (make 2)\nR1: 6 sc in ring\nSew both ears on.', []],
  [
    'Body\nR1: 6 sc in ring\nR2-R9: sc around\nEar (make 2)\nR1: 6 sc in ring\nLeave a tail and sew to the head.',
    [],
  ],
  ['Body\nR1: 6 sc in ring\nR2-R9: sc around\nEar (make 2)\nR1: 6 sc in ring', []],
])('parts without a place: %#', (text, wanted) => {
  expect(
    analyseToy(text)
      .problems.filter((problem) => problem.code.startsWith('part-'))
      .map((problem) => [problem.part, problem.code]),
  ).toEqual(wanted);
});
