import { analyseToy } from '../toy/analyse';
import { readPattern } from './readPattern';

const rounds = 'R1: 6 sc in ring\nR2: inc x 6\nR3-R6: sc around\n';
const starts = (text: string) => readPattern(text).parts.map(({ start }) => start);

test.each([
  ['Body, worked from the bottom up', 'bottom'],
  ['Body (from the feet up)', 'bottom'],
  ['Body - bottom up', 'bottom'],
  ['Body: start at the feet', 'bottom'],
  ['Head and body (in one piece, from the feet up)', 'bottom'],
  ['Body\nThe body is worked from the bottom up.', 'bottom'],
  ['Body\nWorked bottom to top.', 'bottom'],
  ['Body\nWe start at the bottom of the body and work up.', 'bottom'],
  ['All parts are worked from the bottom up.\nBody', 'bottom'],
  ['Body\nStart: top\nWorked from the bottom up.', 'top'],
  ['Body, top down', 'top'],
  ['Body\nWorked from the neck down.', 'top'],
  ['Left-handed, worked from the bottom up\nBody', 'bottom'],
  ['Right-handed; start at the feet and work up.\nBody', 'bottom'],
  ['Body', 'top'],
])('%s: round 1 is at the %s', (heading, start) => {
  expect(starts(`${heading}\n${rounds}`)).toEqual([start]);
  expect(readPattern(`${heading}\n${rounds}`).notes).toEqual([]);
});

test('said of one part, it holds for that one, wherever it stands', () => {
  expect(starts(`Head\n${rounds}Body\nThe head is worked bottom up.\n${rounds}`)).toEqual(['bottom', 'top']);
});

test('where a feature begins says nothing of the part', () => {
  expect(starts(`Head\n${rounds}Embroider the mouth, start at the bottom of the nose.`)).toEqual(['top']);
});

test('a body that grows out of legs begins below: its left and right are those of a start at the bottom', () => {
  const legs = 'Legs (make 2)\nR1: 6 sc in ring\nR2: inc x 6\n';
  const body = 'R3: sc 12 on leg 1, sc 12 on leg 2\nR4-R9: sc around\n9 mm eyes between R7 and R8, 5 apart\n';
  const grown = analyseToy(legs + body).parts.at(-1)!;
  const [left, right] = grown.eyes!.units;
  expect(grown.source.start).toBe('bottom');
  expect(left!.from).toBeGreaterThan(right!.from);
});

test('a line Start: over all parts is of all of them, and makes no part of its own; a part’s own line holds against it', () => {
  const { parts, problems } = readPattern(
    'Start: bottom\nTerms: US\nBody\nR1: 6 sc in ring\n\nHead\nStart: top\nR1: 6 sc in ring\n',
  );
  expect(parts.map(({ name, start }) => [name, start])).toEqual([
    ['Body', 'bottom'],
    ['Head', 'top'],
  ]);
  expect(problems).toEqual([]);
});
