import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import * as fc from 'fast-check';
import { roundCount } from '../fabric/fabric';
import { analyseToy } from '../toy/analyse';
import type { PartAnalysis } from '../toy/analysis';
import { sizeOfPart } from '../toy/stuffedPart';
import { newlyOpen } from './compareToys';
import { isStretched, notStretchedWords, stretchPart, type StretchedPart } from './stretch';
import { heightOfToy, sizeAlongAxis, stretchToSize, stretchToy, stretchToyTo } from './stretchTo';

const demo = (name: string) => readFileSync(join(__dirname, '../../../demo', `${name}.txt`), 'utf8');
const countsOf = ({ fabric }: PartAnalysis) =>
  Array.from({ length: fabric.rounds }, (_, i) => roundCount(fabric, i + 1));

/** A head of increases to 30, five plain rounds, a ridge and a stripe, and decreases back; the tail tells. */
const head = (more = '') => `Toy: Try
Gauge: 5 mm x 5 mm

Head
in brown
R1: 6 sc in mr [6]
R2: inc x 6 [12]
R3: (sc, inc) x 6 [18]
R4: (sc 2, inc) x 6 [24]
R5: (sc 3, inc) x 6 [30]
R6: BLO sc around [30]
R7: sc around in white [30]
R8-R10: sc around [30]
Brush it.
R11: (sc 3, dec) x 6 [24]
R12: (sc 2, dec) x 6 [18]
R13: (sc, dec) x 6 [12]
R14: dec x 6 [6]
Eyes: 8 mm, between R8 and R9, 6 showing
Stuff firmly. Close the hole.
${more}`;

const stretched = (text: string, id: string, wide: number, high: number, round = 0): StretchedPart => {
  const found = stretchPart(text, analyseToy(text), id, { wide, high, round });
  if (!isStretched(found)) throw new Error(`not stretched: ${found.why} ${found.round}`);
  return found;
};

test('as it is: the same rounds, and nothing else of the text differs', () => {
  const found = stretched(head(), 'head', 1, 1);
  expect(found.counts).toEqual([6, 12, 18, 24, 30, 30, 30, 30, 30, 30, 24, 18, 12, 6]);
  expect(found.text).toBe(head());
});

// A fifth wider: 36 stitches, one increase and one decrease more; sixes all through, no round that jumps.
test('wider: another increase, multiples of the start, ridge and stripe once each, eyes beside the rounds they were', () => {
  const { text, counts } = stretched(head(), 'head', 1.2, 1);
  expect(Math.max(...counts)).toBe(36);
  expect(counts.every((count) => count % 6 === 0)).toBe(true);
  counts.slice(1).forEach((count, i) => expect(Math.abs(count - counts[i]!)).toBeLessThanOrEqual(6));
  expect(text.match(/BLO/g)).toHaveLength(1);
  expect(text.match(/in white/g)).toHaveLength(1);
  const { parts, problems } = analyseToy(text);
  expect(problems.filter(({ severity }) => severity === 'error')).toEqual([]);
  const [part] = parts;
  // The white round lies as far up the piece as it did: the 7th of 14.
  const white = countsOf(part!).findIndex(
    (_, i) => part!.fabric.palette[part!.fabric.colour[part!.fabric.offset[i]!]!] === 'white',
  );
  expect((white + 1) / counts.length).toBeCloseTo(7 / 14, 1);
  expect(part!.eyes!.gap[0] - (white + 1)).toBe(1);
  expect(text.indexOf('Brush it.')).toBeGreaterThan(text.indexOf('in white'));
});

test('what stands between rounds and beside them stays as it is written', () => {
  const said = (text: string) => text.split('\n').filter((line) => !/^(?:R\d|Eyes)/.test(line));
  expect(said(stretched(head(), 'head', 1.2, 1.2).text)).toEqual(said(head()));
});

// A stripe of four rounds, and ribs of four, in the middle of twelve plain rounds.
test.each([
  ['a stripe', 'R8-R11: sc around in white [24]'],
  ['ribs', 'R8-R11: BLO sc around [24]'],
])('%s becomes as much wider or narrower as the piece', (_name, four) => {
  const text = `Gauge: 5 mm x 5 mm\n\nBody\nin brown\nR1: 6 sc in mr [6]\nR2: inc x 6 [12]\nR3: (sc, inc) x 6 [18]\nR4: (sc 2, inc) x 6 [24]\nR5-R7: sc around [24]\n${four}\nR12-R16: sc around [24]\nLeave it open.\n`;
  const marked = (of: string): number[] => {
    const { fabric } = analyseToy(of).parts[0]!;
    return Array.from({ length: fabric.rounds }, (_, i) => i + 1).filter((round) => {
      const stitch = fabric.offset[round - 1]!;
      return (
        fabric.palette[fabric.colour[stitch]!] === 'white' ||
        (round > 1 && fabric.into[stitch] !== fabric.into[fabric.offset[1]!])
      );
    });
  };
  expect(marked(text)).toEqual([8, 9, 10, 11]);
  for (const [high, least, most] of [
    [2, 7, 9],
    [1.5, 5, 7],
    [0.5, 1, 3],
  ] as const) {
    const rounds = marked(stretched(text, 'body', 1, high).text);
    expect(rounds.length).toBeGreaterThanOrEqual(least);
    expect(rounds.length).toBeLessThanOrEqual(most);
    expect(rounds.at(-1)! - rounds[0]!).toBe(rounds.length - 1);
  }
});

test('a colour that a shaped round has alone is not guessed at, and spikes are named with their round', () => {
  const tinted = head().replace('R11: (sc 3, dec) x 6 [24]', 'R11: (sc 3 in white, dec in white) x 6 [24]');
  const found = stretchPart(tinted, analyseToy(tinted), 'head', { wide: 1.2, high: 1, round: 0 });
  expect(found).toEqual({ why: 'work', round: null });
  const spiky = head().replace(
    'R8-R10: sc around [30]',
    'R8: sc 4, (ch 3, sl st in 2nd ch from hook, sl st), sc 26 [30]\nR9-R10: sc around [30]',
  );
  expect(stretchPart(spiky, analyseToy(spiky), 'head', { wide: 1.2, high: 1, round: 0 })).toEqual({
    why: 'work',
    round: 8,
  });
});

test('longer by half: plain rounds more, as wide as it was', () => {
  const before = analyseToy(head()).parts[0]!;
  const { text, counts } = stretched(head(), 'head', 1, 1.5);
  expect(Math.max(...counts)).toBe(30);
  const [was, is] = [sizeOfPart(before), sizeOfPart(analyseToy(text).parts[0]!)];
  expect(is.heightMm / was.heightMm).toBeGreaterThan(1.35);
  expect(is.heightMm / was.heightMm).toBeLessThan(1.65);
  expect(is.widthMm / was.widthMm).toBeCloseTo(1, 1);
});

test('rounder: a barrel comes nearer to a ball', () => {
  const barrel = head()
    .replace('R8-R10', 'R8-R16')
    .replace('R11:', 'R17:')
    .replace('R12:', 'R18:')
    .replace('R13:', 'R19:')
    .replace('R14:', 'R20:');
  const { counts } = stretched(barrel, 'head', 1, 1, 1);
  const plain = (of: readonly number[]) => of.filter((count) => count === Math.max(...of)).length;
  expect(plain(counts)).toBeLessThan(12);
  // A piece with an open end has no ball to become.
  const open = head().replace('Stuff firmly. Close the hole.', 'Leave it open.');
  expect(stretched(open, 'head', 1, 1, 1).counts).toEqual(stretched(open, 'head', 1, 1).counts);
});

test('in UK terms, in joined rounds and left open at its end', () => {
  const owl = demo('owl').replace('Terms: US', 'Terms: US');
  const wide = stretched(owl, 'body', 1.3, 1);
  expect(wide.text).toMatch(/^R\d+: ch 1, \(sc 6, inc\) x 7, sl st to first st \[56\]$/m);
  const uk = demo('hedgehog');
  expect(stretched(uk, 'body', 1.25, 1.25).text).toMatch(
    /^R9: \(7 dc, inc\)|^R9: \(dc 7, inc\) x 6 \[54\]$/m,
  );
  const leg = stretched(demo('otter'), 'leg', 1.3, 1);
  expect(leg.counts).toEqual([6, 12, 18, 24, 24, 24, 18, 18, 18, 18]);
});

test.each([
  ['otter', 'head', 'work', 14],
  ['toadstool', 'arms', 'not-round', null],
  ['toadstool', 'skirt', 'not-round', null],
])('the %s’s %s stays as it is', (name, id, why, round) => {
  const text = demo(name);
  const found = stretchPart(text, analyseToy(text), id, { wide: 1.2, high: 1, round: 0 });
  expect(found).toEqual({ why, round });
  expect(isStretched(found) ? '' : notStretchedWords('Head', found)).toMatch(/by hand\.$/);
});

test('a round whose line says more is not touched', () => {
  const text = head().replace('R11: (sc 3, dec) x 6 [24]', 'R11: (sc 3, dec) x 6 [24]. Stuff it now.');
  expect(stretchPart(text, analyseToy(text), 'head', { wide: 1.2, high: 1, round: 0 })).toMatchObject({
    why: 'line',
    round: 11,
  });
});

test('what names a stitch by its number is told', () => {
  const text = head(
    '\nEar (make 2)\nR1: 6 sc in mr [6]\nR2: inc x 6 [12]\nSew the ears to the head on round 5, at stitches 8 and 23.\n',
  );
  const { text: wider, toLookAt } = stretched(text, 'head', 1.2, 1);
  expect(toLookAt).toEqual(['Sew the ears to the head on round 5, at stitches 8 and 23']);
  expect(wider).toContain('at stitches 8 and 23');
});

test('what begins in the loops of a stretched part goes by that round still; what does not fit then is told', () => {
  const text = demo('toadstool');
  const toy = analyseToy(text);
  const longer = stretched(text, 'stem', 1, 1.4);
  const after = analyseToy(longer.text);
  // Round 14 is the last before the ridge: so it is in the longer stem.
  const ridge = /^R(\d+): BLO sc around \[24\]$/m.exec(longer.text)![1]!;
  expect(longer.text).toContain(`in the front loops of R${Number(ridge) - 1} of the stem, sc around [24]`);
  expect(after.joined.workedOn.map(({ path }) => path!.length)).toEqual([24]);
  expect(newlyOpen(toy, after)).toEqual([]);
  const wider = analyseToy(stretched(text, 'stem', 1.3, 1).text);
  expect(newlyOpen(toy, wider).map(({ code }) => code)).toContain('count-mismatch');
});

test('a whole toy at once: every part that can, the eyes with it, and what stays is told', () => {
  const text = demo('toadstool');
  const toy = analyseToy(text);
  const { text: larger, left } = stretchToy(text, toy, 1.25);
  const after = analyseToy(larger);
  expect(left.map(({ part }) => part)).toEqual(['Skirt', 'Arms']);
  for (const name of ['Stem', 'Cap']) {
    const of = (which: typeof toy) => sizeOfPart(which.parts.find(({ source }) => source.name === name)!);
    expect(of(after).widthMm / of(toy).widthMm).toBeGreaterThan(1.12);
    expect(of(after).widthMm / of(toy).widthMm).toBeLessThan(1.38);
  }
});

test.each([
  ['hedgehog', 90],
  ['hedgehog', 50],
  ['toadstool', 140],
  ['otter', 190],
  ['owl', 80],
])('the %s to %d mm comes nearer than its parts stretched by that share once', (name, wanted) => {
  const text = demo(name);
  const toy = analyseToy(text);
  const off = (of: string) => Math.abs(heightOfToy(analyseToy(of)) - wanted);
  const once = off(stretchToy(text, toy, wanted / heightOfToy(toy)).text);
  const found = off(stretchToyTo(text, toy, wanted).text);
  expect(found).toBeLessThanOrEqual(once);
  // A small toy goes by whole rounds, of 3.7 mm and more: of its body, and of what stands on it.
  expect(found).toBeLessThan(Math.max(0.1 * wanted, 2 * 3.7));
});

test('property: what comes out counts, has no round that jumps, and is as much wider as was asked, to a start', () => {
  const pieces = [
    ['otter', 'body'],
    ['otter', 'tail'],
    ['frog', 'head'],
    ['hedgehog', 'body'],
    ['toadstool', 'cap'],
    ['owl', 'body'],
  ] as const;
  const analysed = pieces.map(([name, id]) => ({ text: demo(name), toy: analyseToy(demo(name)), id }));
  fc.assert(
    fc.property(
      fc.constantFrom(...analysed),
      fc.double({ min: 0.5, max: 2, noNaN: true }),
      fc.double({ min: 0.5, max: 2, noNaN: true }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      ({ text, toy, id }, wide, high, round) => {
        const found = stretchPart(text, toy, id, { wide, high, round });
        if (!isStretched(found)) return expect(found.why).toBe('too-small');
        const part = analyseToy(found.text, { searches: false }).parts.find(
          ({ source }) => source.id === id,
        )!;
        expect(countsOf(part)).toEqual(found.counts);
        const before = countsOf(toy.parts.find(({ source }) => source.id === id)!);
        const [start = 0] = before;
        expect(Math.abs(Math.max(...found.counts) - wide * Math.max(...before))).toBeLessThanOrEqual(
          1.5 * start,
        );
        found.counts
          .slice(1)
          .forEach((count, i) => expect(Math.abs(count - found.counts[i]!)).toBeLessThanOrEqual(start));
      },
    ),
    { numRuns: 60 },
  );
});

// Of counts that are multiples of six, 60 stitches come nearest to 80 mm, and 54 to 75.
test.each([
  [80, 59],
  [75, 70],
  [50, 45],
  [68, 90],
])('the hedgehog’s body to %d by %d mm: within half a step of the counts', (acrossMm, alongMm) => {
  const text = demo('hedgehog');
  const found = stretchToSize(text, analyseToy(text), 'body', { wanted: { acrossMm, alongMm }, round: 0 });
  if (!isStretched(found)) throw new Error(found.why);
  const is = sizeAlongAxis(analyseToy(found.text).parts.find(({ source }) => source.id === 'body')!);
  // Six stitches of 4.5 mm are 8.6 mm of width; a round is 3.7 mm high.
  expect(Math.abs(is.acrossMm - acrossMm)).toBeLessThan(8.6 / 2 + 1.5);
  expect(Math.abs(is.alongMm - alongMm)).toBeLessThan(5.5);
});
