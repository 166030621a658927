import * as fc from 'fast-check';
import { featureHead } from '../__tests__/featureCorpus';
import { applyEdits } from '../notation/applyEdits';
import { analyseFaces as analyseToy } from '../__tests__/faces';

/** Words of placing sentences in any order: nonsense, half sentences, contradictions. */
const words = [
  ...'eyes eye nose mouth cheeks brows lashes whiskers spots patch button bow hair sculpt'.split(' '),
  'key ring',
  'the left',
  'right side',
  'on both sides of',
  'between R8 and R9',
  'from R9 to R20',
  '2 rounds',
  '3 stitches',
  'stitches 4 and 30',
  '40 rounds',
  '0 apart',
  '6 showing',
  '8 mm',
  '400 mm',
  'wide',
  'high',
  'above',
  'below',
  'level with',
  'outside',
  'from the front line',
  'in the middle',
  'at the back',
  'on the ridge',
  'the neck',
  'colour change',
  'from the base',
  'from the top',
  'live edge',
  'through the start',
  'the inner edge of',
  'felt circles',
  'of',
  'satin',
  'a straight line',
  'sleeping',
  'safety',
  'embroider',
  'sew',
  'insert',
  ';',
  '.',
  ',',
  'and',
  'over',
  'behind',
  'in the splits',
  'a gap of',
  'one round lower',
  'midway',
];
const bodies = [
  featureHead,
  'Head\nR1: 6 sc in ring\nR2: inc x 6\n',
  'Bib\nRow 1: ch 11, sc in 2nd ch from hook and in each ch across, turn\nRows 2-9: ch 1, sc across, turn\n',
  'Dot\nR1: 6 sc in ring\n',
  'Empty:\n',
];
const soup = fc
  .record({
    said: fc.array(fc.constantFrom(...words), { minLength: 2, maxLength: 14 }),
    body: fc.constantFrom(...bodies),
    header: fc.constantFrom('', 'Start: bottom\n', 'Start: left\n', 'Start: right\n', 'Rounds: joined\n'),
    hand: fc.constantFrom('', 'Hand: left\n'),
  })
  .map(
    ({ said, body, header, hand }) => `${hand}${body.replace(/^(.+)\n/, `$1\n${header}`)}${said.join(' ')}\n`,
  );

test('whatever is said, every place is a hole there is', () => {
  fc.assert(
    fc.property(soup, (text) => {
      for (const { eyes, features } of analyseToy(text).parts) {
        for (const { from: stitch, of } of eyes?.units ?? [])
          expect([stitch >= 1 && stitch <= of, text]).toEqual([true, text]);
        for (const { units, needle } of features) {
          for (const { from, to, of, toOf, azimuth } of units)
            expect([
              from >= 1 &&
                from <= of &&
                to >= 1 &&
                to <= toOf &&
                Number.isInteger(from) &&
                Number.isInteger(to) &&
                Number.isFinite(azimuth),
              text,
            ]).toEqual([true, text]);
          for (const { hole } of needle?.points ?? []) expect([hole >= 1, text]).toEqual([true, text]);
        }
      }
    }),
    { numRuns: 400 },
  );
});

test('every remedy is a text that is read, with the same parts in it', () => {
  fc.assert(
    fc.property(soup, (text) => {
      const toy = analyseToy(text);
      for (const { suggestions } of toy.parts.flatMap(({ eyes, features }) => [
        ...(eyes?.problems ?? []),
        ...features.flatMap(({ problems }) => problems),
      ])) {
        for (const { title, edits } of suggestions) {
          expect(title).not.toBe('');
          expect(analyseToy(applyEdits(text, edits)).parts.map(({ source }) => source.name)).toEqual(
            toy.parts.map(({ source }) => source.name),
          );
        }
      }
    }),
    { numRuns: 120 },
  );
});

test('a problem says something, in words without undefined, null or NaN', () => {
  fc.assert(
    fc.property(soup, (text) => {
      for (const { message } of analyseToy(text).parts.flatMap(({ eyes, features }) => [
        ...(eyes?.problems ?? []),
        ...features.flatMap(({ problems }) => problems),
      ])) {
        expect(message).toMatch(/\w.*[.?:]$/s);
        expect(message).not.toMatch(/undefined|NaN|null|Infinity/);
      }
    }),
    { numRuns: 300 },
  );
});
