import type { Item } from '../notation/ast';
import { readWorkLine } from '../notation/grammar';
import { limits } from '../notation/limits';
import type { Problem, Suggestion } from '../notation/problem';
import { lastLineOf, overRound } from '../notation/wrapped';
import type { PartSource, RoundSource } from '../notation/pattern';
import { numberOf, T, tokenise } from '../notation/tokens';
import type { Terms } from '../notation/terms';
import { tokenMatcher } from 'chevrotain';
import { renumberFrom } from './renumberFrom';
import { checkRounds, unknownStitches, type RoundCheck } from './checkRounds';
import { plural } from '../words/counted';

interface Candidate {
  text: string;
  title: string;
  /** how far it is from what was written: smaller is likelier */
  distance: number;
}

const splice = (text: string, from: number, to: number, by: string) =>
  text.slice(0, from) + by + text.slice(to);

/** Every small edit of a line: one number, one inc or dec, the total, the stitches left over worked plain, an unknown word. */
function candidates(source: RoundSource, check: RoundCheck): Candidate[] {
  const { text, work } = source;
  const found: Candidate[] = [];
  const labelEnd = work.label?.span.to ?? 0;
  const fillsExactly = check.below === null || check.used === check.below;
  if (work.total) {
    found.push({
      text: splice(text, work.total.span.from, work.total.span.to, String(check.worked)),
      title: `total ${check.worked} instead of ${work.total.value}`,
      distance: fillsExactly ? 1 : 6,
    });
  }
  for (const token of tokenise(text)) {
    const from = token.startOffset;
    const to = from + token.image.length;
    if (from < labelEnd || from === work.total?.span.from) continue;
    if (tokenMatcher(token, T.Num)) {
      const value = numberOf(token);
      if (value >= limits.number) continue;
      // A digit struck twice.
      if (value > 9)
        for (const digit of new Set([Math.floor(value / 10), value % 10]))
          if (digit > 0)
            found.push({
              text: splice(text, from, to, String(digit)),
              title: `${digit} instead of ${value}`,
              distance: 2,
            });
      for (const step of [1, -1, 2, -2, 3, -3, 4, -4, 5, -5, 6, -6, 10, -10]) {
        if (value + step < 1) continue;
        found.push({
          text: splice(text, from, to, String(value + step)),
          title: `${value + step} instead of ${value}`,
          distance: 1 + Math.abs(step),
        });
      }
    }
    const swap = tokenMatcher(token, T.Increase)
      ? 'dec'
      : tokenMatcher(token, T.Decrease)
        ? 'inc'
        : tokenMatcher(token, T.InvisibleDecrease)
          ? 'inc'
          : null;
    if (swap)
      found.push({
        text: splice(text, from, to, swap),
        title: `${swap} instead of ${token.image}`,
        distance: 3,
      });
  }
  found.push(...closings(text, work));
  if (work.items.length === 0)
    found.push({
      text: `${text.trimEnd().replace(/:?$/, ':')} sc around`,
      title: 'plain all around',
      distance: 1,
    });
  const left = check.below === null ? 0 : check.below - check.used;
  if (left > 0 && left < 400) {
    // A stitch missed in the writing stands before the total, or at the end.
    const at = work.total
      ? text.slice(0, work.total.span.from).replace(/[\s([{=<-]*(?:total:?)?\s*$/i, '').length
      : text.trimEnd().replace(/[.;,]$/, '').length;
    found.push({
      text: splice(text, at, at, left === 1 ? ', sc' : `, sc ${left}`),
      title: left === 1 ? 'work the one left over plain' : `work the ${left} left over plain`,
      distance: 1 + left / 2,
    });
  }
  for (const item of unknownStitches(work.items, text)) {
    // `5 sx` and `sx 5`: the number stays where it is.
    const [, before = '', written = '', after = ''] = /^(\d+\s*)?(.*?)(\s*\d+)?$/.exec(item.text) ?? [];
    if (!written) continue;
    for (const [rank, word] of ['sc', 'inc', 'dec', 'hdc', 'dc', 'sl st'].entries()) {
      found.push({
        text: splice(text, item.span.from, item.span.to, before + word + after),
        title: `${word} instead of “${written}”`,
        distance: 1 + difference(written, word) + rank / 4,
      });
    }
  }
  return found;
}

/** A bracket that is never closed: closed before the count, before the total, or at the end. */
function closings(text: string, work: RoundSource['work']): Candidate[] {
  const [open] = work.brackets;
  if (!open) return [];
  const sign = text.charAt(open.from);
  const partner: Record<string, string> = { '(': ')', '[': ']', '{': '}' };
  const close = partner[sign];
  if (!close)
    return [{ text: splice(text, open.from, open.to, ''), title: `without the “${sign}”`, distance: 1 }];
  const places = [...text.matchAll(/\s*(?:[x×]\s*\d|\d+\s*(?:times|x)|around|repeat)/gi)]
    .map((found) => found.index)
    .filter((at) => at > open.to);
  if (work.total) places.push(text.slice(0, work.total.span.from).replace(/[\s([{=<-]*$/, '').length);
  places.push(text.trimEnd().length);
  return places.map((at, index) => ({
    text: splice(text, at, at, close),
    title: `“${close}” ${index === places.length - 1 ? 'at the end' : 'after what is repeated'}`,
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

/**
 * Looks for small edits of the lines that are wrong, so that the round and those after it agree; best first.
 *
 * An edit counts only when it mends its own round. Among these, the one that leaves the fewest rounds after it wrong wins, then the
 * one nearest to what was written. The likeliest are tried first, and no more work is spent than there is budget for: what is not
 * found by then is left for when the first slips are mended.
 *
 * @param budget work that may be spent, in steps of rounds
 * @param most how many suggestions to give for one problem
 * @returns the problems with their suggestions, and the work spent
 */
export function suggest(
  part: PartSource,
  terms: Terms,
  checks: readonly RoundCheck[],
  problems: readonly Problem[],
  budget: number = limits.searchOfPart,
  most = 3,
): { problems: Problem[]; spent: number } {
  const mended = new Map<number, Suggestion[]>();
  const effort: Effort = { spent: 0, budget };
  let renumbered = 0;
  const withSuggestions = problems.map((problem) => {
    if (problem.suggestions.length > 0 || problem.round === undefined || problem.line === undefined)
      return problem;
    const index = part.rounds.findIndex(
      (round) => round.line === problem.line && round.number === problem.round,
    );
    const source = part.rounds[index];
    const check = checks[index];
    if (!source || !check) return problem;
    if (problem.code === 'round-duplicate' || problem.code === 'round-missing') {
      renumbered += 1;
      if (renumbered > worthMending) return problem;
      return {
        ...problem,
        suggestions: problem.code === 'round-duplicate' ? renumber(part, index) : fillIn(part, index),
      };
    }
    if (mended.size >= worthMending && !mended.has(problem.line)) return problem;
    const suggestions =
      mended.get(problem.line) ?? search(part, terms, source, check, problems, effort, most);
    mended.set(problem.line, suggestions);
    return { ...problem, suggestions };
  });
  return { problems: withSuggestions, spent: effort.spent };
}

/** Work spent on searching, and how much may be. */
interface Effort {
  spent: number;
  budget: number;
}

function search(
  part: PartSource,
  terms: Terms,
  source: RoundSource,
  check: RoundCheck,
  problems: readonly Problem[],
  effort: Effort,
  most: number,
): Suggestion[] {
  const own = new Set(part.rounds.filter((round) => round.line === source.line).map((round) => round.number));
  const errors = (list: readonly Problem[]) => list.filter((problem) => problem.severity === 'error');
  const before = errors(problems).length;
  const scored: { candidate: Candidate; after: number; plain: boolean }[] = [];
  const seen = new Set<string>();
  for (const candidate of candidates(source, check).sort((a, b) => a.distance - b.distance)) {
    if (seen.has(candidate.text)) continue;
    if (effort.spent >= effort.budget) break;
    seen.add(candidate.text);
    effort.spent += candidate.text.length * stepsASign;
    const work = readWorkLine(candidate.text);
    if (!hasWork(work.items)) continue;
    const changed: PartSource = {
      ...part,
      rounds: part.rounds.map((round) =>
        round.line === source.line ? { ...round, text: candidate.text, work } : round,
      ),
    };
    const result = checkRounds(changed, terms);
    effort.spent += result.steps + part.rounds.length * stepsARound;
    const still = errors(result.problems);
    if (work.brackets.length >= source.work.brackets.length && source.work.brackets.length > 0) continue;
    if (
      still.some(
        (problem) => problem.round !== undefined && own.has(problem.round) && problem.line === source.line,
      )
    )
      continue;
    // Later rounds may be left a little worse only where a maker would do the same: a stitch left over, worked plain.
    const plain = candidate.title.includes('left over plain');
    if (still.length >= before && !plain && source.work.brackets.length === 0) continue;
    scored.push({ candidate, after: still.length, plain });
  }
  scored.sort((a, b) => a.after - b.after || a.candidate.distance - b.candidate.distance);
  return scored.slice(0, most).map(({ candidate, after }) => ({
    title:
      capital(candidate.title) +
      (after > 0 && after >= before ? `; then ${plural(after, 'round')} after it must change too` : ''),
    edits: [overRound(source, candidate.text)],
  }));
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** Gives a round that repeats a number the next one, and moves all that follow. */
function renumber(part: PartSource, index: number): Suggestion[] {
  const start = (part.rounds[index - 1]?.number ?? 0) + 1;
  return [
    { title: `Number it ${start}, and those after it on from there`, edits: renumberFrom(part, index) },
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
      title: first === last ? `Put in round ${first}, plain` : `Put in rounds ${first} to ${last}, plain`,
      edits: [{ line: lastLineOf(before), text: `${label}: sc around`, insertAfter: true }],
    },
    ...renumber(part, index),
  ];
}
