import type { Item } from '../notation/ast';
import { loopsBehind } from '../notation/loopsBehind';
import type { Problem } from '../notation/problem';
import type { PartSource, RoundSource } from '../notation/pattern';
import type { Terms } from '../notation/terms';
import { asMeant } from './readings';
import { partStart, roundItems } from './roundItems';
import { limits } from '../notation/limits';
import { workOrPlain, type RoundWork } from './workRound';
import { saying, type Said } from '../words/problems/problems';
import type { RoundSaid } from '../words/problems/words';
import type { Under } from '../words/problems/working';

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
    // `foo 3` between commas is a stitch so many times.
    const counted =
      /^[a-z]{2,}\s*\d+$/i.test(item.text) &&
      /(?:[,;:*(]|^\s*(?:rnd|round|row|r)\.?\s*\d+)\s*$/i.test(text.slice(0, item.span.from)) &&
      /^\s*(?:[,;*)[(=]|$)/.test(text.slice(item.span.to));
    return item.inside || /^\d/.test(item.text) || !works || between || counted ? [item] : [];
  });
}

const someOf = String.raw`(?:\d{1,3}|one|two|three|four|five|six)`;
/** Words that take stitches from a round or add some to it. */
const changesCount = new RegExp(
  [
    String.raw`\b(?:leav(?:e|ing)|left)\s+(?:the\s+)?(?:(?:last|final|remaining|rem|next|first|other)\s+)?${someOf}\s*(?:sts?|stitch(?:es)?)?\s*(?:unworked|free|empty|undone|open)\b`,
    String.raw`\b(?:stop(?:ping)?|end(?:ing)?|turn(?:ing)?)\s+(?:when\s+)?${someOf}\s*(?:sts?|stitch(?:es)?)?\s*(?:before|from|short\s+of)\s+(?:the\s+)?end\b`,
    String.raw`\bhalf[\s-]*way\b`,
    String.raw`\bexcept\b`,
    String.raw`\bplus\s+${someOf}\s+more\b`,
  ].join('|'),
  'gi',
);

const often = String.raw`(?:twice|thrice|(?:${someOf}|\d{1,3})\s+times)`;
const tall = String.raw`(?:hdc|dc|tr|(?:half\s+)?double\s+crochet)`;
const inEach = String.raw`in(?:to)?\s+(?:each|every)\s+(?:st|stitch)`;
/**
 * `hdc twice around`, `sc in each stitch twice`, `inc twice around`: so many rounds, or so many in one stitch, or only so many of them, and
 * no word says which. Of `sc around` it is rounds.
 */
const aroundOften = new RegExp(
  String.raw`(?<=^\s*(?:(?:rounds?|rnds?|rows?|r)\.?\s*\d{1,4}\s*[:.)–-]?\s*)?)(?:(?:${tall}|inc|dec)\s+${often}\s+(?:all\s+)?around|(?:${tall}|inc|dec)\s+(?:${inEach}\s+)?(?:all\s+)?around,?\s*${often}|(?:sc|single\s+crochet|${tall}|inc|dec)\s+${inEach},?\s+${often}(?:\s+around)?)(?=\s*(?:[[(]\s*\d{1,4}[^()[\]]*[)\]])?\s*\.?\s*$)`,
  'i',
);
/** `Inc 6 times around` over six stitches is an increase in each of them. */
const changeOften = /^(inc|dec)\s+(\d{1,3})\s+times\s+(?:all\s+)?around/i;

function isEvenAround(words: string, below: number): boolean {
  const [, change, times] = changeOften.exec(words) ?? [];
  return change !== undefined && Number(times) * (change.toLowerCase() === 'dec' ? 2 : 1) === below;
}

/** What of that was not read: the words of a line that hold one that was not understood. */
function unreadChanges(items: readonly Item[], text: string, below: number): { words: string; at: number }[] {
  const unclear = aroundOften.exec(text);
  if (unclear && !isEvenAround(unclear[0], below)) return [{ words: unclear[0], at: unclear.index }];
  return [...text.matchAll(changesCount)].flatMap(({ index, 0: words }) => {
    const isUnread = (item: Item): boolean =>
      item.type === 'group'
        ? item.items.some(isUnread)
        : item.type === 'unknown' && item.span.from < index + words.length && item.span.to > index;
    return items.some(isUnread) ? [{ words, at: index }] : [];
  });
}

/** One round under its checks. */
interface Context {
  part: PartSource;
  source: RoundSource;
  work: RoundWork & { madeUp: boolean };
  below: number;
  belowLabel: number | null;
  /** stitches there is room for around a piece of nothing but rows; 0 where it is none, or the round goes into loops of its own */
  edge: number;
}

type Found = Said & Pick<Problem, 'severity'> & { at?: number };

const roundOf = ({ number, row }: RoundSource): RoundSaid => ({ round: number, isRow: row });

function underOf({ part, source, belowLabel }: Context): Under {
  if (belowLabel !== null) return { round: belowLabel, isRow: source.row };
  return part.grown ? 'edge around the legs' : 'start';
}

/** What can't be read as it stands. */
function unreadable(context: Context): Found[] {
  const { source } = context;
  const round = roundOf(source);
  const unknown = unknownStitches(source.work.items, source.text).map((item): Found => ({
    ...saying('unknown-stitch', { ...round, words: item.text }),
    severity: 'error',
    at: item.span.from + 1,
  }));
  const changes = unreadChanges(source.work.items, source.text, context.below).map(
    ({ words, at }): Found => ({
      ...saying('unknown-stitch', { ...round, words }),
      severity: 'error',
      at: at + 1,
    }),
  );
  const brackets = source.work.brackets.map((bracket): Found => ({
    ...saying('bracket-unpaired', round),
    severity: 'warning',
    at: bracket.from + 1,
  }));
  const isEmpty = source.work.items.length === 0;
  const empty: Found[] = isEmpty ? [{ ...saying('round-empty', round), severity: 'error' }] : [];
  // What is told already is not told twice.
  const told = unknown.length > 0 ? unknown : changes;
  return [...told, ...empty, ...brackets, ...unclearLoops(context)];
}

/** Loops said behind several things, which may be of all of them or of the last. */
function unclearLoops({ source }: Context): Found[] {
  const within = (items: readonly Item[]): Item[] =>
    items.flatMap((item) => {
      const inner = item.type === 'group' ? within(item.items) : [];
      return item === items[loopsBehind(items)] ? [...inner, item] : inner;
    });
  const third = /\b(?:third|3rd|middle|horizontal)\s+loops?\b/i.exec(source.text);
  if (third)
    return [
      {
        ...saying('loops-unclear', { ...roundOf(source), third: third[0].toLowerCase() }),
        severity: 'warning',
        at: third.index + 1,
      },
    ];
  return within(source.work.items).flatMap((item): Found[] => {
    if (item.type !== 'loops') return [];
    const loops = item.loops === 'front' ? 'FLO' : 'BLO';
    return [
      {
        ...saying('loops-unclear', { ...roundOf(source), loops }),
        severity: 'warning',
        at: item.span.from + 1,
      },
    ];
  });
}

/** A round that makes nothing. */
function barren(context: Context): Found[] {
  const { source, work } = context;
  const works = source.work.items.some(({ type }) => type === 'work' || type === 'group' || type === 'skip');
  if (!works || !(work.madeUp || work.made === 0)) return [];
  return [{ ...saying('round-no-stitch', { ...roundOf(source), isMadeUp: work.madeUp }), severity: 'error' }];
}

const alongSides =
  /\b(?:around|along|down|up)\s+(?:\w+\s+){0,3}?(?:edges?|sides?|border|perimeter|piece)\b|\bcorners?\b|\bevenly\s+a?round\b/i;

/** A round along the sides of rows, which is counted along the last of them. */
function edging(context: Context): Found[] | null {
  const { source, work, edge } = context;
  const stated = source.work.total?.value ?? null;
  const isSaid = alongSides.test(source.text);
  const isRound = !source.row && stated === null && /\baround\b/i.test(source.text);
  const isTotalled = !source.row && stated !== null && stated > work.made && stated >= edge - 8;
  const isAlongLast = stated === work.made;
  if (edge === 0 || isAlongLast || !(isSaid || isRound || isTotalled)) return null;
  const facts = { ...roundOf(source), made: work.made, room: edge, stated };
  return [{ ...saying('edging', facts), severity: isSaid || isTotalled ? 'error' : 'info' }];
}

/** What the round needs against what there is below. */
function miscounted(context: Context): Found[] {
  const { source, work, below } = context;
  const { used, made, remainder } = work;
  const [round, under] = [roundOf(source), underOf(context)];
  const { total } = source.work;
  const left = work.left - work.leftOnPurpose;
  const found: Found[] = [];
  if (work.used > below) {
    found.push({ ...saying('not-enough-stitches', { ...round, under, below, used }), severity: 'error' });
  }
  if (left > 0 && remainder) {
    const facts = { ...round, under, below, repeat: remainder.size, left };
    found.push({ ...saying('repeat-remainder', facts), severity: 'error' });
  }
  if (work.starved) {
    found.push({ ...saying('nothing-left', { ...round, under }), severity: 'error' });
  }
  const unworked = left > 0 && !remainder ? left : 0;
  if (total && total.value !== made) {
    const facts = { ...round, stated: total.value, made, under, unworked };
    found.push({ ...saying('count-mismatch', facts), severity: 'error', at: total.span.from + 1 });
  } else if (unworked > 0) {
    const facts = { ...round, under, below, used, left };
    found.push({ ...saying('stitches-left', facts), severity: source.row ? 'warning' : 'error' });
  }
  return found;
}

function tooLarge(context: Context): Found[] {
  if (!context.work.tooLarge) return [];
  const facts = { ...roundOf(context.source), most: limits.roundStitches };
  return [{ ...saying('too-large', facts), severity: 'error' }];
}

/** Everything that is wrong with one round by itself. */
function roundProblems(context: Context): Problem[] {
  const { part, source, work } = context;
  const column = (source.work.label?.span.to ?? 0) + 1;
  const unread = unreadable(context);
  const large = tooLarge(context);
  // With a word not understood the count can't be right; asking for the word is enough.
  const isKnown = large.length === 0 && !unread.some(({ code }) => code === 'unknown-stitch');
  const isMade = isKnown && !work.madeUp;
  const measured = isMade ? (edging(context) ?? miscounted(context)) : [];
  const counted = isKnown ? [...barren(context), ...measured] : [];
  return [...unread, ...large, ...counted].map(({ at = column, ...found }) => ({
    ...found,
    part: part.name,
    round: source.number,
    line: source.line,
    column: at,
    suggestions: [],
  }));
}

/** What a part comes to, counted round by round. */
export interface CheckedRounds {
  checks: RoundCheck[];
  problems: Problem[];
  /** work that went into counting */
  steps: number;
}

/**
 * Works every round of a part over the one below and compares it with what is stated.
 *
 * After a round that is wrong, the next one is measured against the stated count where that is what it was written for, so
 * that one slip is reported once.
 */
export function checkRounds(part: PartSource, terms: Terms): CheckedRounds {
  return new RoundCounter(part, terms).count();
}

/** Counts a part from its start, a round at a time. */
class RoundCounter {
  private readonly checks: RoundCheck[] = [];
  private readonly problems: Problem[] = [];
  private readonly start: ReturnType<typeof partStart>;
  /** stitches of each round by its number */
  private readonly counts = new Map<number, number>();
  private readonly saidOfLine = new Set<string>();
  private below: number;
  private belowLabel: number | null = null;
  private colour: string | null;
  private steps = 0;

  constructor(
    private readonly part: PartSource,
    private readonly terms: Terms,
  ) {
    this.start = partStart(part);
    this.below = this.start?.places ?? Number.POSITIVE_INFINITY;
    this.colour = part.colour;
  }

  count(): CheckedRounds {
    let stitches = 0;
    let before: RoundSource | null = null;
    for (const source of this.part.rounds) {
      if (stitches >= limits.toyStitches) {
        this.problems.push(partTooLarge(this.part, source));
        break;
      }
      // `Foundation row: …` has no number, so the next may be the first.
      const isCountedAnew = source.number === 1 && (source.row !== before?.row || before.work.label === null);
      const restart = before !== null && isCountedAnew;
      if (!restart)
        this.problems.push(...numbering(this.part, source, before?.number ?? this.numberBefore(source)));
      stitches += this.countRound(source, before === null);
      before = source;
    }
    return { checks: this.checks, problems: this.problems, steps: this.steps };
  }

  /** A piece that grows out of others may go on with their numbers. */
  private numberBefore({ number }: RoundSource): number {
    return this.part.grown ? number - 1 : 0;
  }

  private countRound(source: RoundSource, first: boolean): number {
    const said = first && this.start ? this.start.items : roundItems(source, first);
    const base = said.find((item) => item.type === 'base');
    if (base?.type === 'base') this.goTo(source, base);
    // Folded, each stitch goes through two layers at once.
    const folded = said.some((item) => item.type === 'layers') && Number.isFinite(this.below);
    if (folded) this.below = Math.floor(this.below / 2);
    const stated = source.work.total?.value ?? null;
    const items = first ? said : asMeant(said, { below: this.below, total: stated, terms: this.terms });
    const work = this.worked(items, stated, base !== undefined);
    const isOnEdge = !first && base === undefined && !folded;
    const ok = this.report(source, work, isOnEdge ? this.edgeOfRows() : 0);
    this.checks.push({
      round: source.number,
      line: source.line,
      worked: work.made,
      stated,
      below: Number.isFinite(this.below) ? this.below : null,
      used: work.used,
      ok,
    });
    this.counts.set(source.number, work.made);
    this.colour = work.colour;
    this.below = work.made;
    this.belowLabel = source.number;
    return work.made;
  }

  /** Stitches there is room for around a piece of rows: the last and the first, and one a row on each side; 0 of any other piece. */
  private edgeOfRows(): number {
    const rows = this.checks.length;
    const worked = this.part.rounds.slice(0, rows);
    const isFlat = worked.every(({ row }) => row);
    const isClosed = worked.some(({ work }) => work.items.some(({ type }) => type === 'join'));
    if (rows < 2 || !isFlat || isClosed) return 0;
    return this.below + (this.checks[0]?.worked ?? 0) + 2 * rows;
  }

  /** A round worked into the free loops of an earlier one. */
  private goTo(source: RoundSource, { round, span }: Extract<Item, { type: 'base' }>): void {
    const found = this.counts.get(round);
    if (found !== undefined) {
      this.below = found;
      this.belowLabel = round;
      return;
    }
    this.problems.push({
      ...saying('round-missing', { why: 'loops', round: source.number, loopsOf: round }),
      severity: 'error',
      part: this.part.name,
      round: source.number,
      line: source.line,
      column: span.from + 1,
      suggestions: [],
    });
  }

  /** The round over what there is, or over what the round before it says there should be, where it was written for that. */
  private worked(items: readonly Item[], stated: number | null, based: boolean): Context['work'] {
    const options = { terms: this.terms, colour: this.colour, sink: nothing };
    const work = workOrPlain(items, this.below, options);
    this.steps += work.steps;
    const previous = this.checks.at(-1);
    const meant = previous && !previous.ok && !based ? previous.stated : null;
    const other =
      meant !== null && meant !== this.below && !fits(work, stated, this.below)
        ? workOrPlain(items, meant, options)
        : null;
    this.steps += other?.steps ?? 0;
    const isMeant = other !== null && meant !== null && fits(other, stated, meant);
    if (isMeant) this.below = meant;
    const taken = isMeant ? other : work;
    return taken.madeUp ? { ...taken, used: this.below, left: 0 } : taken;
  }

  /** Tells what is wrong, of a line that makes several rounds once; false where something is. */
  private report(source: RoundSource, work: Context['work'], edge: number): boolean {
    const { part, below, belowLabel } = this;
    const found = roundProblems({ part, source, work, below, belowLabel, edge });
    for (const problem of found) {
      const key = `${problem.code}:${source.line}`;
      if (!this.saidOfLine.has(key)) this.problems.push(problem);
      this.saidOfLine.add(key);
    }
    return !found.some((problem) => problem.severity === 'error');
  }
}

function partTooLarge(part: PartSource, { number, line }: RoundSource): Problem {
  return {
    ...saying('part-too-large', { part: part.name, round: number, most: limits.toyStitches }),
    severity: 'error',
    part: part.name,
    round: number,
    line,
    column: 1,
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
  const facts = { ...roundOf(source), before };
  const told = (what: Said): Problem[] => [{ ...what, severity: 'error', ...place, suggestions: [] }];
  // `R1: ch 20, join`: the chain was round 1.
  const last = before === 0 && part.beginsWithChain ? 1 : before;
  if (source.number > last + 1) return told(saying('round-missing', { ...facts, why: 'numbers' }));
  return source.number <= before ? told(saying('round-duplicate', facts)) : [];
}
