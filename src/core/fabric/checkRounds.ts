import type { Item } from '../notation/ast';
import type { Problem } from '../notation/problem';
import type { PartSource, RoundSource } from '../notation/pattern';
import type { Terms } from '../notation/terms';
import { asMeant } from './readings';
import { partStart, roundItems } from './roundItems';
import { limits } from '../notation/limits';
import { workOrPlain, type RoundWork } from './workRound';

/** One round as counted. */
export interface RoundCheck {
  round: number;
  line: number;
  worked: number;
  stated: number | null;
  /** stitches there are to work into; null for a ring */
  below: number | null;
  used: number;
  ok: boolean;
}

const nothing = { stitch: () => undefined };

/**
 * Words that were not understood and stand where a stitch should: in a bracket, after a number, alone in the round, or alone between
 * commas. Words of a sentence around the work are none.
 *
 * @param text the line the items were read from
 */
export function unknownStitches(items: readonly Item[], text: string): Extract<Item, { type: 'unknown' }>[] {
  const works = items.some((item) => item.type === 'work' || item.type === 'group');
  return items.flatMap((item, index) => {
    if (item.type === 'group') return unknownStitches(item.items, text);
    if (item.type !== 'unknown') return [];
    const alone =
      /[,;:*(]\s*$/.test(text.slice(0, item.span.from)) && /^\s*[,;*)]/.test(text.slice(item.span.to));
    const between =
      alone &&
      !/\s/.test(item.text) &&
      items.slice(index + 1).some((next) => next.type === 'work' || next.type === 'group');
    return item.inside || /^\d/.test(item.text) || !works || between ? [item] : [];
  });
}

function plural(n: number, word = 'stitch'): string {
  return `${n} ${word}${n === 1 ? '' : word.endsWith('h') ? 'es' : 's'}`;
}

interface Context {
  part: PartSource;
  source: RoundSource;
  work: RoundWork & { madeUp: boolean };
  below: number;
  belowLabel: number | null;
}

function roundProblems({ part, source, work, below, belowLabel }: Context): Problem[] {
  const problems: Problem[] = [];
  const { line, number } = source;
  const { total } = source.work;
  const name = source.row ? 'Row' : 'Round';
  const place = { part: part.name, round: number, line };
  const column = (source.work.label?.span.to ?? 0) + 1;
  const add = (code: string, severity: Problem['severity'], message: string, at = column) =>
    problems.push({ code, severity, ...place, column: at, message, suggestions: [] });
  const unknown = unknownStitches(source.work.items, source.text);
  for (const item of unknown) {
    add(
      'unknown-stitch',
      'error',
      `${name} ${number}: “${item.text}” is no stitch Hoppla knows. Write it another way, or define what it does.`,
      item.span.from + 1,
    );
  }
  if (source.work.items.length === 0)
    add(
      'round-empty',
      'error',
      `${name} ${number} says nothing to work. Write its stitches, or take the line out.`,
    );
  for (const bracket of source.work.brackets) {
    add(
      'bracket-unpaired',
      'warning',
      `${name} ${number}: a bracket has no partner. Check where the repeat begins and ends.`,
      bracket.from + 1,
    );
  }
  if (work.tooLarge) {
    add(
      'too-large',
      'error',
      `${name} ${number} would have more than ${limits.roundStitches} stitches, or more turns than a round can. Check its numbers.`,
    );
    return problems;
  }
  // With a word not understood the count can't be right; asking for the word is enough.
  if (unknown.length > 0) return problems;
  const works = source.work.items.some(({ type }) => type === 'work' || type === 'group' || type === 'skip');
  if (works && (work.madeUp || work.made === 0)) {
    add(
      'round-no-stitch',
      'error',
      `${name} ${number} makes no stitch as it is written. ${work.madeUp ? 'It is taken as plain, so that the rest can be counted; write' : 'Write'} what it works.`,
    );
  }
  if (work.madeUp) return problems;
  const under = belowLabel === null ? 'the start' : `${name.toLowerCase()} ${belowLabel}`;
  if (work.used > below) {
    add(
      'not-enough-stitches',
      'error',
      `${name} ${number} works into ${plural(work.used)}, but ${under} has only ${below}: ${work.used - below} too few.`,
    );
  }
  const left = work.left - work.leftOnPurpose;
  if (left > 0 && work.remainder) {
    add(
      'repeat-remainder',
      'error',
      `${name} ${number}: the repeat takes ${plural(work.remainder.size)} and does not fill the ${below} of ${under}: ${left} left over.`,
    );
  }
  if (total && total.value !== work.made) {
    const leftOver = left > 0 && !work.remainder ? ` ${plural(left)} of ${under} stay unworked.` : '';
    add(
      'count-mismatch',
      'error',
      `${name} ${number} says ${total.value}, but makes ${work.made}.${leftOver}`,
      total.span.from + 1,
    );
  } else if (left > 0 && !work.remainder) {
    add(
      'stitches-left',
      source.row ? 'warning' : 'error',
      `${name} ${number} works ${work.used} of the ${below} stitches of ${under}: ${left} left over.`,
    );
  }
  return problems;
}

/**
 * Works every round of a part over the one below and compares it with what is stated.
 *
 * After a round that is wrong, the next one is measured against the stated count where that is what it was written for, so
 * that one slip is reported once.
 */
export function checkRounds(
  part: PartSource,
  terms: Terms,
): { checks: RoundCheck[]; problems: Problem[]; steps: number } {
  const checks: RoundCheck[] = [];
  const problems: Problem[] = [];
  const start = partStart(part);
  const counts = new Map<number, number>();
  const saidOfLine = new Set<string>();
  let below = start?.places ?? Number.POSITIVE_INFINITY;
  let belowLabel: number | null = null;
  let colour = part.colour;
  let before = 0;
  let beforeRow = part.rounds[0]?.row ?? false;
  let steps = 0;
  let stitches = 0;
  for (const [index, source] of part.rounds.entries()) {
    if (stitches >= limits.toyStitches) {
      problems.push(partTooLarge(part, source));
      break;
    }
    const first = index === 0;
    const said = first && start ? start.items : roundItems(source, first);
    const restart = source.row !== beforeRow && source.number === 1;
    if (!restart) problems.push(...numbering(part, source, before));
    before = source.number;
    beforeRow = source.row;
    const base = said.find((item) => item.type === 'base');
    if (base?.type === 'base') {
      const found = counts.get(base.round);
      if (found === undefined) {
        problems.push({
          code: 'round-missing',
          severity: 'error',
          part: part.name,
          round: source.number,
          line: source.line,
          column: base.span.from + 1,
          message: `Round ${source.number} goes into the loops of round ${base.round}, but there is no such round above.`,
          suggestions: [],
        });
      } else {
        below = found;
        belowLabel = base.round;
      }
    }
    // Folded, each stitch goes through two layers at once.
    if (said.some((item) => item.type === 'layers') && Number.isFinite(below)) below = Math.floor(below / 2);
    const stated = source.work.total?.value ?? null;
    const items = first ? said : asMeant(said, below, stated, terms);
    const options = { terms, colour, sink: nothing };
    let work = workOrPlain(items, below, options);
    steps += work.steps;
    const previous = checks.at(-1);
    if (
      previous &&
      !previous.ok &&
      previous.stated !== null &&
      previous.stated !== below &&
      !base &&
      !fits(work, stated, below)
    ) {
      const other = workOrPlain(items, previous.stated, options);
      steps += other.steps;
      if (fits(other, stated, previous.stated)) {
        work = other;
        below = previous.stated;
      }
    }
    if (work.madeUp) work = { ...work, used: below, left: 0 };
    const found = roundProblems({ part, source, work, below, belowLabel });
    for (const problem of found) {
      const key = `${problem.code}:${source.line}`;
      if (!saidOfLine.has(key)) problems.push(problem);
      saidOfLine.add(key);
    }
    const ok = !found.some((problem) => problem.severity === 'error');
    checks.push({
      round: source.number,
      line: source.line,
      worked: work.made,
      stated,
      below: Number.isFinite(below) ? below : null,
      used: work.used,
      ok,
    });
    counts.set(source.number, work.made);
    colour = work.colour;
    below = work.made;
    belowLabel = source.number;
    stitches += work.made;
  }
  return { checks, problems, steps };
}

function partTooLarge(part: PartSource, { number, line }: RoundSource): Problem {
  return {
    code: 'part-too-large',
    severity: 'error',
    part: part.name,
    round: number,
    line,
    column: 1,
    message: `${part.name} has more than ${limits.toyStitches} stitches by round ${number}: no toy is that large. It is counted up to there. Check the numbers of its rounds.`,
    suggestions: [],
  };
}

function fits(work: RoundWork, stated: number | null, below: number): boolean {
  return (
    work.used <= below && work.left - work.leftOnPurpose === 0 && (stated === null || stated === work.made)
  );
}

function numbering(part: PartSource, source: RoundSource, before: number): Problem[] {
  const place = { part: part.name, round: source.number, line: source.line, column: 1 };
  const word = source.row ? 'Row' : 'Round';
  if (source.number > before + 1) {
    const missing =
      before + 2 === source.number
        ? `${word} ${before + 1} is missing`
        : `${word}s ${before + 1} to ${source.number - 1} are missing`;
    return [
      {
        code: 'round-missing',
        severity: 'error',
        ...place,
        message: `${missing}: ${before === 0 ? 'the part begins with' : `${before} is followed by`} ${source.number}.`,
        suggestions: [],
      },
    ];
  }
  if (source.number <= before) {
    return [
      {
        code: 'round-duplicate',
        severity: 'error',
        ...place,
        message: `${word} ${source.number} comes again after ${before}. Give it the next number if it is a round of its own.`,
        suggestions: [],
      },
    ];
  }
  return [];
}
