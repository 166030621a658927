import * as fc from 'fast-check';
import { arbitraryPart, textOf, type RoundText } from '../__tests__/arbitraryPart';
import { applyEdits } from '../notation/applyEdits';
import { analyseToy } from './analyse';
import { readDocument } from '../keep/document';
import { deleteRound, duplicateRound, insertRound, moveRound, roundCards } from '../edit/editRounds';
import { buildSheet } from './sheet/buildSheet';
import { sheetHtml } from './sheet/sheetHtml';

const errors = (text: string) => analyseToy(text).problems.filter((problem) => problem.severity === 'error');
const withEyes = fc
  .record({
    rounds: arbitraryPart,
    at: fc.double({ min: 0, max: 0.999, noNaN: true }),
    apart: fc.integer({ min: 1, max: 12 }),
    header: fc.constantFrom('', 'Hand: left\n', 'Lean: 0.1\n', 'Gauge: 8 x 7\n'),
  })
  .filter(({ rounds }) => rounds.length > 3)
  .map(({ rounds, at, apart, header }) => {
    const gap = 1 + Math.floor(at * (rounds.length - 1));
    return {
      rounds,
      text: `${header}${textOf(rounds)}Eyes: 8 mm, between R${gap} and R${gap + 1}, ${apart} apart\n`,
    };
  });

/** Changes one number of one repeat, as a slip of the pen does. */
function slip(rounds: readonly RoundText[], at: number): { text: string; round: number } | null {
  const candidates = rounds
    .map((round, index) => ({ round, index }))
    .filter(({ round }) => /x \d+ \[/.test(round.line));
  const chosen = candidates[Math.floor(at * candidates.length)];
  if (!chosen) return null;
  const line = chosen.round.line.replace(/x (\d+) \[/, (_, n: string) => `x ${Number(n) - 1} [`);
  return {
    text: textOf(rounds.map((round, index) => (index === chosen.index ? { ...round, line } : round))),
    round: chosen.index + 1,
  };
}

test('a slip in one number is found in its round, and one of the first three suggestions puts the part right', () => {
  let tried = 0;
  fc.assert(
    fc.property(arbitraryPart, fc.double({ min: 0, max: 0.999, noNaN: true }), (rounds, at) => {
      const slipped = slip(rounds, at);
      fc.pre(slipped !== null);
      tried += 1;
      const [first] = errors(slipped!.text);
      expect(first?.round).toBe(slipped!.round);
      const mended = first!.suggestions
        .slice(0, 3)
        .map((suggestion) => errors(applyEdits(slipped!.text, suggestion.edits)).length);
      expect(Math.min(...mended)).toBe(0);
    }),
    { numRuns: 40 },
  );
  expect(tried).toBeGreaterThan(10);
});

test('a pair of eyes is always two holes of its round, as far apart as asked, and never more than half a stitch off', () => {
  fc.assert(
    fc.property(withEyes, ({ text }) => {
      const { eyes } = analyseToy(text).parts[0]!;
      expect(Math.abs(eyes!.missStitches)).toBeLessThanOrEqual(0.5 + 1e-9);
      for (const post of eyes!.units) {
        expect(post.from).toBeGreaterThanOrEqual(1);
        expect(post.from).toBeLessThanOrEqual(post.of);
      }
      const [left, right] = eyes!.units;
      const between = (Math.abs(right!.from - left!.from) + left!.of) % left!.of;
      expect([eyes!.apart! % left!.of, (left!.of - eyes!.apart!) % left!.of]).toContain(between);
      expect(eyes!.straightMm).toBeLessThanOrEqual(eyes!.surfaceMm + 1e-9);
    }),
    { numRuns: 120 },
  );
});

test('every remedy offered for the eyes is a sentence that is read, and takes the problem away or makes it less', () => {
  fc.assert(
    fc.property(withEyes, ({ text }) => {
      const before = analyseToy(text).parts[0]!.eyes!;
      for (const problem of before.problems.filter((found) => found.code === 'not-centred')) {
        for (const suggestion of problem.suggestions) {
          const after = analyseToy(applyEdits(text, suggestion.edits)).parts[0]!.eyes!;
          expect(Math.abs(after.missStitches)).toBeLessThan(Math.abs(before.missStitches));
        }
      }
    }),
    { numRuns: 80 },
  );
});

test('stops come in order, inside their windows, with eyes before stuffing and closing last', () => {
  fc.assert(
    fc.property(withEyes, ({ text }) => {
      const { stops: plan, eyes } = analyseToy(text).parts[0]!;
      const { stops } = plan;
      const acts = stops.flatMap((stop) => stop.acts.map((act) => act.act));
      stops.forEach((stop, index) => {
        expect(stop.after).toBeGreaterThanOrEqual(stop.earliest);
        expect(stop.after).toBeLessThanOrEqual(stop.latest);
        if (index > 0) expect(stop.after).toBeGreaterThanOrEqual(stops[index - 1]!.after);
      });
      const seated = acts.indexOf('seat-eyes');
      // What lies before a neck is filled before the eyes behind it are in.
      const filledBefore = stops
        .flatMap((stop) => stop.acts)
        .slice(0, Math.max(0, seated))
        .filter(({ act }) => act === 'stuff');
      for (const { fills } of filledBefore) expect(fills!.to).toBeLessThan(eyes!.gap[0]);
      expect(['close', 'cut']).toContain(acts.at(-1));
      const named = stops.flatMap(({ acts: all }) => all.map(({ act, fills }) => `${act} ${fills?.from}`));
      expect(new Set(named).size).toBe(named.length);
    }),
    { numRuns: 120 },
  );
});

test('whatever is done with the cards, the rounds stay numbered from one on, and the notes stay', () => {
  const act = fc.record({
    kind: fc.constantFrom('insert', 'duplicate', 'delete', 'up', 'down'),
    at: fc.double({ min: 0, max: 0.999, noNaN: true }),
  });
  fc.assert(
    fc.property(arbitraryPart, fc.array(act, { maxLength: 8 }), (rounds, acts) => {
      let text = `${textOf(rounds)}A note to keep.\n\nTail:\nR1: 5 sc in ring [5]\n`;
      for (const { kind, at } of acts) {
        const { source } = analyseToy(text).parts[0]!;
        const cards = roundCards(source);
        const card = cards[Math.floor(at * cards.length)];
        if (!card || (kind === 'delete' && cards.length === 1)) continue;
        if (kind === 'insert') text = insertRound(text, source, { after: card, body: 'sc around' });
        else if (kind === 'duplicate') text = duplicateRound(text, source, card);
        else if (kind === 'delete') text = deleteRound(text, source, card);
        else text = moveRound(text, source, card, kind === 'up' ? -1 : 1);
      }
      const toy = analyseToy(text);
      const numbers = toy.parts[0]!.source.rounds.map((round) => round.number);
      expect(numbers).toEqual(numbers.map((_, index) => index + 1));
      expect(toy.pattern.notes.map((note) => note.text)).toEqual(['A note to keep.']);
      expect(toy.parts[1]!.checks.map((check) => check.worked)).toEqual([5]);
    }),
    { numRuns: 60 },
  );
});

test('the sheet of any part has every round once, and only markup of its own', () => {
  fc.assert(
    fc.property(withEyes, fc.string({ maxLength: 30 }), ({ text, rounds }, note) => {
      // A word first, so that no string of signs makes it a round.
      const sheet = buildSheet(analyseToy(`${text}\nRemember ${note.replace(/[\r\n]/g, ' ')} <i>so</i>`));
      const covered = sheet.parts[0]!.lines.flatMap((line) => {
        if (line.kind !== 'round') return [];
        const [from = 0, to = from] = (line.label.match(/\d+/g) ?? []).map(Number);
        return Array.from({ length: to - from + 1 }, (_, i) => from + i);
      });
      expect(covered).toEqual(rounds.map((_, index) => index + 1));
      expect(sheetHtml(sheet)).not.toContain('<i>so');
    }),
    { numRuns: 40 },
  );
});

test('no contents of a file make the reading of a document throw', () => {
  const almost = fc.record(
    {
      format: fc.constantFrom('hoppla-toy', 'other'),
      version: fc.oneof(fc.integer(), fc.string(), fc.double()),
      text: fc.oneof(fc.string(), fc.integer(), fc.constant(null)),
      made: fc.string(),
    },
    { requiredKeys: [] },
  );
  fc.assert(
    fc.property(
      fc.oneof(
        fc.string(),
        fc.json(),
        almost.map((value) => JSON.stringify(value)),
      ),
      (contents) => {
        const read = readDocument(contents);
        if (!read.ok) expect(read.message.length).toBeGreaterThan(20);
      },
    ),
    { numRuns: 300 },
  );
});
