import { loopsInFront } from './loopsBehind';
import * as fc from 'fast-check';
import { arbitraryPart, textOf } from '../__tests__/arbitraryPart';
import { lineCorpus } from '../__tests__/lineCorpus';
import { analyseToy } from '../toy/analyse';
import type { Item } from './ast';
import { readWorkLine } from './grammar';
import { stitchKind } from './stitchKinds';
import type { Terms } from './terms';
import { writeItems } from './writeItems';
import { writeLine } from './writeLine';
import { convertTerms, writePattern } from './writePattern';

/** What an item means, without where it stands. */
function meaning(item: Item, terms: Terms = 'us'): unknown {
  if (item.type === 'group')
    return { ...item, span: 0, items: item.items.map((inner) => meaning(inner, terms)) };
  if (item.type === 'work')
    return {
      ...item,
      span: 0,
      word: stitchKind(item.word, terms),
      bare: Boolean(item.bare),
      openEnded: false,
      pair: false,
      colour: item.colour,
      loops: item.loops,
    };
  return { ...item, span: 0 };
}
const meanings = (items: readonly Item[]) => items.map((item) => meaning(item));
const understood = (items: readonly Item[]): boolean =>
  items.every((item) => item.type !== 'unknown' && (item.type !== 'group' || understood(item.items)));

const known = lineCorpus.map(([line]) => line).filter((line) => understood(readWorkLine(line).items));

test('nearly all of the corpus is fully understood', () => {
  expect(known.length / lineCorpus.length).toBeGreaterThan(0.9);
});

test.each(known)('written and read again: %s', (line) => {
  const read = readWorkLine(line);
  const again = readWorkLine(writeLine(read, 'us'));
  // A ring says its stitches as a number; a lone stitch stays a lone stitch.
  const loose = (items: Item[]) =>
    JSON.parse(JSON.stringify(meanings(items)).replaceAll('"bare":true', '"bare":false'));
  expect(loose(again.items)).toEqual(loose(read.items));
  expect(again.total?.value).toBe(read.total?.value);
});

const span = { from: 0, to: 0 };
const extent = fc.oneof(
  fc.integer({ min: 2, max: 40 }).map((n) => ({ kind: 'count' as const, n })),
  fc.constant({ kind: 'around' as const }),
  fc.integer({ min: 1, max: 9 }).map((n) => ({ kind: 'leave' as const, n })),
);
const work = fc
  .record({
    type: fc.constant('work' as const),
    word: fc.constantFrom('sc' as const, 'hdc' as const, 'dc' as const, 'tr' as const),
    shape: fc.constantFrom<[number, number]>([1, 1], [2, 1], [3, 1], [4, 1], [1, 2], [1, 3]),
    extent,
    loops: fc.constantFrom(undefined, 'front' as const, 'back' as const),
    colour: fc.constantFrom(undefined, 'B', 'red'),
  })
  .map(({ shape: [make, together], loops, colour, ...rest }): Item => ({
    ...rest,
    make,
    together,
    target: 'next',
    fromHook: 0,
    span,
    ...(loops ? { loops } : {}),
    ...(colour ? { colour } : {}),
  }));
const other = fc.oneof(
  fc.integer({ min: 1, max: 9 }).map((n): Item => ({ type: 'skip', n, span })),
  fc.constantFrom('A', 'cream').map((name): Item => ({ type: 'colour', name, span })),
  fc.constantFrom('front' as const, 'back' as const).map((loops): Item => ({ type: 'loops', loops, span })),
);
const group = fc
  .record({
    items: fc.array(work, { minLength: 1, maxLength: 4 }),
    extent,
    orMore: fc.constant(false),
    intoOne: fc.constant(false),
  })
  .map((made): Item => ({ type: 'group', ...made, span }));

test('any items are the same when written and read again', () => {
  fc.assert(
    fc.property(fc.array(fc.oneof(work, other, group), { minLength: 1, maxLength: 6 }), (items) => {
      // Loops behind the one thing they are for are read as said before it.
      const meant = meanings(loopsInFront(items, ''));
      expect(meanings(readWorkLine(`R2: ${writeItems(items, 'us')}`).items)).toEqual(meant);
    }),
    { numRuns: 300 },
  );
});

const counts = (text: string) =>
  analyseToy(text).parts.map((part) => [
    part.source.name,
    part.source.make,
    part.checks.map((check) => [check.round, check.worked, check.stated]),
    [...part.fabric.kind],
  ]);

test('any generated part survives write-and-read, and writing twice is writing once', () => {
  fc.assert(
    fc.property(arbitraryPart, (rounds) => {
      const text = textOf(rounds, 'A note first.\n\n');
      const written = writePattern(text);
      expect(counts(written)).toEqual(counts(text));
      expect(writePattern(written)).toBe(written);
      expect(written.startsWith('A note first.')).toBe(true);
    }),
    { numRuns: 60 },
  );
});

test('notes, headings and sentences stay as they are, in their places', () => {
  const text =
    'My bear\n\nHead (make 2)\nRnd 1. 6 sc in mr (6)\nHugs!\nRnd 2. 2 sc in each st (12)\nStuff lightly.';
  expect(writePattern(text).split('\n')).toEqual([
    'My bear',
    '',
    'Head (make 2)',
    'R1: 6 sc in ring [6]',
    'Hugs!',
    'R2: inc around [12]',
    'Stuff lightly.',
  ]);
});

test('US to UK and back is lossless', () => {
  const text =
    'Terms: US\nHead\nRnd 1. Single crochet 6 in ring (6)\nRnd 2: 2 Sc in each st; a lovely sc round\nRnd 3: (SC, sc2tog) x 4, hdc 2, dc, tr in next\nWork 3 dc tall. Stuff.';
  const uk = convertTerms(text, 'uk');
  expect(uk).toContain('Terms: UK');
  expect(uk).toContain('Double crochet 6 in ring');
  expect(uk).toContain('(DC, dc2tog) x 4, htr 2, tr, dtr in next');
  expect(convertTerms(uk, 'us')).toBe(text);
  expect(counts(uk)).toEqual(counts(text));
});

test('a text that only its words tell apart is declared when it is changed', () => {
  const uk = convertTerms('Head\nR1: 6 sc in ring\nR2: 2 sc in each st', 'uk');
  expect(uk).toBe('Terms: UK\nHead\nR1: 6 dc in ring\nR2: 2 dc in each st');
});
