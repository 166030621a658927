import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { analyseToy } from '../toy/analyse';
import { splitSentences } from './sentence/split';
import { tokensOf } from './sentence/tokens';
import { problemCodes } from '../words/problems/codes';
import { readSentences } from './sentence/readSentences';

/** The page of what is read, as it stands in the docs and in the app. */
const page = readFileSync(join(__dirname, '../../../docs/notation.md'), 'utf8');
const sentences = page
  .slice(page.indexOf('\n## Sentences'), page.indexOf('\n## Codes'))
  .split('\n')
  .filter((line) => line.startsWith('    '))
  .map((line) => line.trim());

test('every code of a problem is listed with what it means, and no other', () => {
  const listed = [...page.matchAll(/^\| `([a-z-]+)` \| (.*) \|$/gm)].map(([, code, meaning]) => [
    code,
    meaning,
  ]);
  const wanted = Object.entries(problemCodes);
  expect(listed).toEqual(wanted);
});

test('there are examples to go by', () => {
  expect(sentences.length).toBeGreaterThan(30);
});

// `or:` on the page joins two ways of saying one thing.
test.each(sentences)('is read whole, as the page says: %s', (line) => {
  const steps = readSentences(line, 1);
  expect(steps).toHaveLength(splitSentences(tokensOf(line)).length);
  for (const step of steps)
    expect([step.text, step.kind === 'feature' && step.unused]).not.toEqual([step.text, expect.any(Array)]);
});

const below = 'R1: 6 sc in ring [6]\nR2: inc x 6 [12]\nR3: (sc, inc) x 6 [18]\nR4: (sc 2, inc) x 6 [24]\n';
const manners = [...page.matchAll(/^\| `((?:[^`])+)` \| ([\d, ]+) \|$/gm)].map(
  ([, said = '', counts = '']) => [said.replaceAll('\\|', '|'), counts.split(', ').map(Number)] as const,
);

test('there are manners to go by', () => {
  expect(manners.length).toBeGreaterThanOrEqual(35);
});

test.each(manners)('comes to what the page says: %s', (said, counts) => {
  const toy = analyseToy(`Terms: US\nYarn cream: cream\nYarn grey: grey\n${below}${said}`);
  const worked = toy.parts.flatMap(({ checks }) => checks.map((check) => check.worked));
  expect([said, worked, toy.problems]).toEqual([said, [6, 12, 18, 24, ...counts], []]);
});

const split = (text: string) =>
  splitSentences(tokensOf(text)).map((tokens) => tokens.map(({ image }) => image).join(' '));

test.each([
  ['Stuff firmly. Close the hole.', 2],
  ['Eyes: 8 mm; R8-9; 7 showing', 1],
  ['Embroider the mouth; stuff the head', 2],
  ['Left eye at stitch 12. Right eye at stitch 18.', 1],
  ['Left eye at stitch 12. Nose below it. Right eye at stitch 18.', 3],
  ['Sew the nose 2 rounds below; leave a long tail', 2],
  ['. ; .', 0],
  ['', 0],
])('“%s” is %i', (text, count) => {
  expect(split(text)).toHaveLength(count);
});
