import * as fc from 'fast-check';
import { analyseToy } from '../../toy/analyse';
import { workLine } from '../../__tests__/workLine';
import { evenRound } from '../../fabric/evenRound';
import type { Gauge } from '../gauge';
import { sizeOf } from '../profile';
import {
  formRounds,
  forms,
  formText,
  repeatStarts,
  roundsFromCounts,
  type Form,
  type FormKind,
} from './formText';
import { rememberedCounts } from './meridian';

const gauge: Gauge = { widthMm: 5, heightMm: 4.8, assumed: false };
const kinds = Object.keys(forms) as FormKind[];
const exact = (form: Omit<Form, 'start'>, own: Gauge) => formRounds({ ...form, start: null }, own).counts;

describe('even rounds', () => {
  test.each([
    [6, 12, 'inc around'],
    [12, 18, '(sc, inc) x 6'],
    [18, 24, '(sc 2, inc) x 6'],
    [48, 42, '(sc 6, dec) x 6'],
    [12, 6, 'dec around'],
    [20, 20, 'sc around'],
    [20, 26, '(sc 2, inc, sc 2, inc, sc 3, inc) x 2'],
    [10, 11, 'sc 9, inc'],
  ])('%i to %i: %s', (from, to, words) => {
    expect(evenRound(from, to)).toBe(words);
  });

  test('staggered, the changes move by half a gap', () => {
    expect(evenRound(18, 24, true)).toBe('sc, inc, (sc 2, inc) x 5, sc');
    expect(evenRound(48, 42, true)).toBe('sc 3, dec, (sc 6, dec) x 5, sc 3');
  });

  test('any count from half to double is reached exactly, with gaps that differ by at most one', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 4, max: 120 }),
        fc.double({ min: 0.5, max: 2, noNaN: true }),
        fc.boolean(),
        (from, share, stagger) => {
          const to = Math.max(Math.ceil(from / 2), Math.min(2 * from, Math.round(from * share)));
          const words = evenRound(from, to, stagger)!;
          const { made, used } = workLine(`R5: ${words}`, from);
          expect({ made, used }).toEqual({ made: to, used: from });
        },
      ),
      { numRuns: 300 },
    );
  });

  test('what one round can’t reach is refused', () => {
    expect(evenRound(10, 21)).toBeNull();
    expect(evenRound(10, 4)).toBeNull();
    expect(evenRound(0, 4)).toBeNull();
  });
});

describe('forms', () => {
  test('a ball’s counts come from its circle', () => {
    const counts = exact({ kind: 'ball', widthMm: 76.4, heightMm: 0 }, gauge);
    expect(counts[0]).toBe(6);
    expect(Math.max(...counts)).toBe(48);
    expect(counts.at(-1)).toBe(6);
    expect(counts).toHaveLength(24);
  });

  test('any ball is as wide as asked and nearly as high, and mirror-equal', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 30, max: 160 }),
        fc.double({ min: 3, max: 9, noNaN: true }),
        (width, stitch) => {
          const own = { widthMm: stitch, heightMm: stitch * 0.96, assumed: false };
          fc.pre(width > stitch * 8);
          const counts = exact({ kind: 'ball', widthMm: width, heightMm: 0 }, own);
          expect(counts).toEqual([...counts].reverse());
          expect(Math.abs((Math.max(...counts) * stitch) / Math.PI - width)).toBeLessThan(stitch);
          counts.forEach((count, i) => {
            if (i > 0) expect(count <= 2 * counts[i - 1]! && 2 * count >= counts[i - 1]!).toBe(true);
          });
        },
      ),
      { numRuns: 60 },
    );
  });

  test.each(kinds)('a %s adds up at every size, in both terms', (kind) => {
    for (const scale of [0.6, 1, 1.7, 2.6]) {
      const { width, height, name } = forms[kind];
      const form = { kind, widthMm: width * scale, heightMm: (height ?? 0) * scale, start: null };
      const us = analyseToy(formText(form, name, gauge, 'us'));
      expect(us.problems).toEqual([]);
      const uk = analyseToy(`Terms: UK\n${formText(form, name, gauge, 'uk')}`);
      expect(uk.problems).toEqual([]);
      expect(uk.parts[0]?.checks.map((check) => check.worked)).toEqual(
        us.parts[0]?.checks.map((check) => check.worked),
      );
    }
  });

  test.each(['ball', 'egg', 'tube', 'circle'] as const)('a %s comes out as wide as asked', (kind) => {
    const toy = analyseToy(
      `Gauge: 5 x 4.8\n${formText({ kind, widthMm: 60, heightMm: 90, start: null }, 'Part', gauge, 'us')}`,
    );
    expect(Math.abs(sizeOf(toy.parts[0]!.profile).widthMm - 60)).toBeLessThan(5);
  });

  test('plain rounds are gathered into one line', () => {
    expect(roundsFromCounts([6, 12, 12, 12, 6], true)).toEqual([
      'R1: 6 sc in magic ring [6]',
      'R2: inc around [12]',
      'R3-R4: sc around [12]',
      'R5: dec around [6]',
    ]);
  });
});

/** Every way to go on from a start by one start more, less or none, kept with how far off it is. */
function bruteForce(room: readonly number[], start: number, closed: boolean): number {
  let best = Infinity;
  const goOn = (round: number, times: number, off: number) => {
    const stitches = room[round];
    if (stitches === undefined) return;
    const now = off + (start * times - stitches) ** 2;
    if (round === room.length - 1) {
      if (!closed || times === 1) best = Math.min(best, now);
      return;
    }
    for (const next of [times - 1, times, times + 1]) if (next >= 1) goOn(round + 1, next, now);
  };
  goOn(0, 1, 0);
  return best;
}

describe('rounds that a hand can remember', () => {
  test('no other such rounds come nearer to the form, and each is plain or one repeat', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 2, max: 40, noNaN: true }), { minLength: 1, maxLength: 8 }),
        fc.constantFrom(...repeatStarts),
        fc.boolean(),
        (room, start, closed) => {
          const counts = rememberedCounts(room, start, closed);
          expect(counts[0]).toBe(start);
          counts.forEach((count, i) => {
            expect(count % start).toBe(0);
            if (i > 0) expect(Math.abs(count - counts[i - 1]!)).toBeLessThanOrEqual(start);
          });
          if (closed) expect(counts.at(-1)).toBe(start);
          const off = counts.reduce((sum, count, i) => sum + (count - room[i]!) ** 2, 0);
          expect(off).toBeCloseTo(bruteForce(room, start, closed), 6);
        },
      ),
      { numRuns: 150 },
    );
  });

  test('a ball of 70 mm in sixes: up by six, plain rounds in between, and down again', () => {
    const form: Form = { kind: 'ball', widthMm: 70, heightMm: 0, start: 6 };
    const { counts, offMm } = formRounds(form, gauge);
    expect([...new Set(counts)].sort((a, b) => a - b)).toEqual([6, 12, 18, 24, 30, 36, 42]);
    expect(counts).toEqual([...counts].reverse());
    // Three stitches off at most: half of a six, in mm of the width.
    expect(offMm).toBeLessThan((3.2 * gauge.widthMm) / Math.PI);
    const bodies = roundsFromCounts(counts, false).map((line) => line.replace(/^[^:]+: | \[.*$/g, ''));
    for (const body of bodies)
      expect(body).toMatch(/^(?:6 sc in magic ring|(?:inc|dec|sc) around|\(sc(?: \d)?, (?:inc|dec)\) x 6)$/);
  });

  test.each(kinds)('%s in sixes, sevens and eights adds up', (kind) => {
    for (const start of repeatStarts) {
      const { width, height, name } = forms[kind];
      const form: Form = { kind, widthMm: width, heightMm: height ?? 0, start };
      expect(analyseToy(formText(form, name, gauge, 'us')).problems).toEqual([]);
    }
  });
});
