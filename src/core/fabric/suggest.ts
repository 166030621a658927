import { t } from '../words/language';
import type { Item } from '../notation/ast';
import { readWorkLine } from '../notation/grammar';
import { limits } from '../notation/limits';
import type { Problem, Suggestion } from '../notation/problem';
import { lastLineOf, overRound } from '../notation/wrapped';
import type { PartSource, RoundSource } from '../notation/pattern';
import { numberOf, T, tokenise } from '../notation/tokens';
import type { Terms } from '../notation/terms';
import { tokenMatcher, type IToken } from 'chevrotain';
import { renumberFrom } from './renumberFrom';
import { checkRounds, unknownStitches, type CheckedRounds, type RoundCheck } from './checkRounds';
import { plural } from '../words/counted';

interface Candidate {
  text: string;
  title: string;
  /** how far it is from what was written: smaller is likelier */
  distance: number;
  /** works what is left over */
  isLeftOver?: true;
}

const splice = (text: string, from: number, to: number, by: string) =>
  text.slice(0, from) + by + text.slice(to);

/** A digit struck twice: the number by one of its digits alone. */
const digitsOf = (value: number): number[] =>
  value > 9 ? [Math.floor(value / 10), value % 10].filter((digit) => digit > 0) : [];

/** How far a number may be off, likeliest first. */
const steps = [1, -1, 2, -2, 3, -3, 4, -4, 5, -5, 6, -6, 10, -10];

/** A number of the line, otherwise. */
function otherNumbers(text: string, token: IToken): Candidate[] {
  const value = numberOf(token);
  if (value >= limits.number) return [];
  const from = token.startOffset;
  const instead = (other: number, distance: number): Candidate => ({
    text: splice(text, from, from + token.image.length, String(other)),
    title: t`${other} instead of ${value}`,
    distance,
  });
  const struckTwice = [...new Set(digitsOf(value))].map((digit) => instead(digit, 2));
  const near = steps.filter((step) => value + step >= 1);
  return [...struckTwice, ...near.map((step) => instead(value + step, 1 + Math.abs(step)))];
}

/** An increase for a decrease, or the other way round. */
function otherWay(text: string, token: IToken): Candidate[] {
  const isIncrease = tokenMatcher(token, T.Increase);
  const isDecrease = tokenMatcher(token, T.Decrease) || tokenMatcher(token, T.InvisibleDecrease);
  if (!isIncrease && !isDecrease) return [];
  const word = isIncrease ? 'dec' : 'inc';
  const from = token.startOffset;
  return [
    {
      text: splice(text, from, from + token.image.length, word),
      title: t`${word} instead of ${token.image}`,
      distance: 3,
    },
  ];
}

/** The total as it comes out. */
function otherTotal({ text, work }: RoundSource, check: RoundCheck): Candidate[] {
  const { total } = work;
  if (!total) return [];
  const fillsExactly = check.below === null || check.used === check.below;
  return [
    {
      text: splice(text, total.span.from, total.span.to, String(check.worked)),
      title: t`total ${check.worked} instead of ${total.value}`,
      distance: fillsExactly ? 1 : 6,
    },
  ];
}

/** More stitches left over than this are no slip. */
const mostLeftOver = 400;

/** What is left over, worked plain. A stitch missed in the writing stands before the total, or at the end. */
function leftOverPlain({ text, work }: RoundSource, check: RoundCheck): Candidate[] {
  const left = check.below === null ? 0 : check.below - check.used;
  if (left <= 0 || left >= mostLeftOver) return [];
  const at = work.total
    ? text.slice(0, work.total.span.from).replace(/[\s([{=<-]*(?:total:?)?\s*$/i, '').length
    : text.trimEnd().replace(/[.;,]$/, '').length;
  return [
    {
      text: splice(text, at, at, left === 1 ? t`, sc` : `, sc ${left}`),
      title: left === 1 ? t`work the one left over plain` : t`work the ${left} left over plain`,
      distance: 1 + left / 2,
      isLeftOver: true,
    },
  ];
}

/** A round that says nothing, worked plain. */
function plainAround({ text, work }: RoundSource): Candidate[] {
  if (work.items.length > 0) return [];
  const words = `${text.trimEnd().replace(/:?$/, ':')} sc around`;
  return [{ text: words, title: t`plain all around`, distance: 1 }];
}

/** A word that is no stitch, as each of the usual ones. */
function knownWords({ text, work }: RoundSource): Candidate[] {
  return unknownStitches(work.items, text).flatMap((item) => {
    // `5 sx` and `sx 5`: the number stays where it is.
    const [, before = '', written = '', after = ''] = /^(\d+\s*)?(.*?)(\s*\d+)?$/.exec(item.text) ?? [];
    if (!written) return [];
    return ['sc', 'inc', 'dec', 'hdc', 'dc', 'sl st'].map((word, rank) => ({
      text: splice(text, item.span.from, item.span.to, before + word + after),
      title: t`${word} instead of “${written}”`,
      distance: 1 + difference(written, word) + rank / 4,
    }));
  });
}

/** Every small edit of a line: one number, one inc or dec, the total, the stitches left over worked plain, an unknown word. */
function candidates(source: RoundSource, check: RoundCheck): Candidate[] {
  const { text, work } = source;
  const labelEnd = work.label?.span.to ?? 0;
  const worded = tokenise(text).filter(
    ({ startOffset }) => startOffset >= labelEnd && startOffset !== work.total?.span.from,
  );
  return [
    ...otherTotal(source, check),
    ...worded.flatMap((token) =>
      tokenMatcher(token, T.Num) ? otherNumbers(text, token) : otherWay(text, token),
    ),
    ...closings(text, work),
    ...plainAround(source),
    ...leftOverPlain(source, check),
    ...knownWords(source),
  ];
}

/** A bracket that is never closed: closed before the count, before the total, or at the end. */
function closings(text: string, work: RoundSource['work']): Candidate[] {
  const [open] = work.brackets;
  if (!open) return [];
  const sign = text.charAt(open.from);
  const partner: Record<string, string> = { '(': ')', '[': ']', '{': '}' };
  const close = partner[sign];
  if (!close)
    return [{ text: splice(text, open.from, open.to, ''), title: t`without the “${sign}”`, distance: 1 }];
  const places = [...text.matchAll(/\s*(?:[x×]\s*\d|\d+\s*(?:times|x)|around|repeat)/gi)]
    .map((found) => found.index)
    .filter((at) => at > open.to);
  if (work.total) places.push(text.slice(0, work.total.span.from).replace(/[\s([{=<-]*$/, '').length);
  places.push(text.trimEnd().length);
  return places.map((at, index) => ({
    text: splice(text, at, at, close),
    title: `“${close}” ${index === places.length - 1 ? t`at the end` : t`after what is repeated`}`,
    distance: 1 + index / 10,
  }));
}

/** Letters in which two short words differ, place by place. */
function difference(a: string, b: string): number {
  let sum = Math.abs(a.length - b.length);
  for (let i = 0; i < Math.min(a.length, b.length); i += 1) if (a[i]?.toLowerCase() !== b[i]) sum += 1;
  return sum;
}

const hasWork = (items: readonly Item[]): boolean =>
  items.some((item) => item.type === 'work' || item.type === 'group');

/** The first few wrong lines are worth a search: the rest follow from them. */
const worthMending = 6;

/** What a round costs beside its stitches. */
const stepsARound = 100;

/** What one sign of a line costs to read anew, in steps of a round: both take about the same time. */
const stepsASign = 60;

/** How much may be spent on a search, in steps of rounds, and how many suggestions it gives for one problem. */
export interface SearchOptions {
  budget?: number;
  most?: number;
}

/**
 * Looks for small edits of the lines that are wrong, so that the round and those after it agree; best first.
 *
 * An edit counts only when it mends its own round. Among these, the one that leaves the fewest rounds after it wrong wins, then the
 * one nearest to what was written. The likeliest are tried first, and no more work is spent than there is budget for: what is not
 * found by then is left for when the first slips are mended.
 *
 * @returns the problems with their suggestions, and the work spent
 */
export function suggest(
  part: PartSource,
  terms: Terms,
  found: Pick<CheckedRounds, 'checks' | 'problems'>,
  { budget = limits.searchOfPart, most = 3 }: SearchOptions = {},
): { problems: Problem[]; spent: number } {
  return new Search({ part, terms, ...found }, { budget, most }).all();
}

/** A part with what was found wrong with it. */
interface Searched {
  part: PartSource;
  terms: Terms;
  checks: readonly RoundCheck[];
  problems: readonly Problem[];
}

const errorsOf = (list: readonly Problem[]) => list.filter((problem) => problem.severity === 'error');

/** Looks for edits, problem by problem. */
class Search {
  /** by line */
  private readonly mended = new Map<number, Suggestion[]>();
  private readonly errors: number;
  private spent = 0;
  private renumbered = 0;

  constructor(
    private readonly searched: Searched,
    private readonly options: Required<SearchOptions>,
  ) {
    this.errors = errorsOf(searched.problems).length;
  }

  all(): { problems: Problem[]; spent: number } {
    const problems = this.searched.problems.map((problem) => this.withSuggestions(problem));
    return { problems, spent: this.spent };
  }

  private withSuggestions(problem: Problem): Problem {
    const { part, checks } = this.searched;
    const { code, line, round } = problem;
    if (problem.suggestions.length > 0 || round === undefined || line === undefined) return problem;
    const index = part.rounds.findIndex((one) => one.line === line && one.number === round);
    const source = part.rounds[index];
    const check = checks[index];
    if (!source || !check) return problem;
    if (code === 'round-duplicate' || code === 'round-missing') {
      this.renumbered += 1;
      if (this.renumbered > worthMending) return problem;
      const numbered = code === 'round-duplicate' ? renumber(part, index) : fillIn(part, index);
      return { ...problem, suggestions: numbered };
    }
    if (this.mended.size >= worthMending && !this.mended.has(line)) return problem;
    const suggestions = this.mended.get(line) ?? this.mend(source, check);
    this.mended.set(line, suggestions);
    return { ...problem, suggestions };
  }

  /** The edits of one line that mend it, best first. */
  private mend(source: RoundSource, check: RoundCheck): Suggestion[] {
    const scored: { candidate: Candidate; after: number }[] = [];
    const seen = new Set<string>();
    for (const candidate of candidates(source, check).sort((a, b) => a.distance - b.distance)) {
      if (seen.has(candidate.text)) continue;
      if (this.spent >= this.options.budget) break;
      seen.add(candidate.text);
      const after = this.wrongAfter(source, candidate);
      if (after !== null) scored.push({ candidate, after });
    }
    scored.sort((a, b) => a.after - b.after || a.candidate.distance - b.candidate.distance);
    return scored.slice(0, this.options.most).map(({ candidate, after }) => {
      const isMore = after > 0 && after >= this.errors;
      const more = isMore ? t`; then ${plural(after, 'round')} after it must change too` : '';
      return { title: capital(candidate.title) + more, edits: [overRound(source, candidate.text)] };
    });
  }

  /** How many errors an edit leaves; null where it does not mend its own line, or costs more than it mends. */
  private wrongAfter(source: RoundSource, { text, isLeftOver }: Candidate): number | null {
    const { part, terms } = this.searched;
    this.spent += text.length * stepsASign;
    const work = readWorkLine(text);
    if (!hasWork(work.items)) return null;
    const rounds = part.rounds.map((round) =>
      round.line === source.line ? { ...round, text, work } : round,
    );
    const result = checkRounds({ ...part, rounds }, terms);
    this.spent += result.steps + rounds.length * stepsARound;
    const open = source.work.brackets.length;
    if (open > 0 && work.brackets.length >= open) return null;
    const still = errorsOf(result.problems);
    const own = new Set(rounds.filter(({ line }) => line === source.line).map(({ number }) => number));
    const isStillWrong = still.some(
      ({ round, line }) => round !== undefined && own.has(round) && line === source.line,
    );
    // Later rounds may be left a little worse only where a maker would do the same: a stitch left over, worked plain.
    const isWorse = still.length >= this.errors && isLeftOver !== true && open === 0;
    return isStillWrong || isWorse ? null : still.length;
  }
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** Gives a round that repeats a number the next one, and moves all that follow. */
function renumber(part: PartSource, index: number): Suggestion[] {
  const start = (part.rounds[index - 1]?.number ?? 0) + 1;
  return [
    { title: t`Number it ${start}, and those after it on from there`, edits: renumberFrom(part, index) },
  ];
}

/** Puts a plain round where one is missing. */
function fillIn(part: PartSource, index: number): Suggestion[] {
  const source = part.rounds[index];
  const before = part.rounds[index - 1];
  if (!source || !before) return [];
  const first = before.number + 1;
  const last = source.number - 1;
  const word = source.row ? 'Row ' : 'R';
  const label = first === last ? `${word}${first}` : `${word}${first}-${word}${last}`;
  return [
    {
      title: first === last ? t`Put in round ${first}, plain` : t`Put in rounds ${first} to ${last}, plain`,
      edits: [{ line: lastLineOf(before), text: `${label}: sc around`, insertAfter: true }],
    },
    ...renumber(part, index),
  ];
}
