import { t } from '../language';
import { sayTerm } from '../said';
import { low, plural } from '../counted';
import { roundName, type RoundSaid, type Words } from './words';

/** What a round is worked into: an earlier one, the start, or the edge around parts it grows out of. */
export type Under = RoundSaid | 'start' | 'edge around the legs';

/** A round over what lies under it. */
interface OverSomething extends RoundSaid {
  under: Under;
  /** stitches there are under it */
  below: number;
}

/** What the messages about working rounds over each other are made of. Counts are of stitches. */
export interface WorkingFacts {
  /** `unworked`: how many of what lies under it stay */
  'count-mismatch': RoundSaid & { stated: number; made: number; under: Under; unworked: number };
  'repeat-remainder': OverSomething & { repeat: number; left: number };
  'not-enough-stitches': OverSomething & { used: number };
  'nothing-left': RoundSaid & { under: Under };
  'stitches-left': OverSomething & { used: number; left: number };
  /** worked into the third loop, in the text’s words; or into one of two, for stitches that are not clear */
  'loops-unclear': RoundSaid & ({ third: string } | { loops: 'FLO' | 'BLO' });
  /** loops of the same part, or of another by its name; `taken`: how many of them */
  'loops-used': { round: number; taken: number } & ({ piece: string; owner: string } | { piece: null });
  'round-missing':
    | (RoundSaid & { why: 'numbers'; before: number })
    | { why: 'loops'; round: number; loopsOf: number }
    | { why: 'repeat'; line: number; round: number };
  'round-duplicate': RoundSaid & { before: number };
  'row-and-round': { part: string; round: number };
  /** `made`: counted along the last row; `room`: stitches there is room for all the way round */
  edging: RoundSaid & { made: number; room: number; stated: number | null };
  'too-large': RoundSaid & { most: number };
  'part-too-large': { part: string; round: number; most: number };
  'toy-too-large': { part: string; most: number };
  'step-failed': { what: string; report: string };
}

function underName(under: Under): string {
  if (typeof under === 'string') return t`the ${sayTerm(under)}`;
  return low(roundName(under));
}

function missingWords(facts: WorkingFacts['round-missing']): string {
  if (facts.why === 'loops')
    return t`Round ${facts.round} goes into the loops of round ${facts.loopsOf}, but there is no such round above.`;
  if (facts.why === 'repeat')
    return t`Line ${facts.line} repeats round ${facts.round}, but no such round stands above.`;
  const { before, round, isRow } = facts;
  const [first, last] = [before + 1, round - 1];
  const follows = before === 0 ? t`the part begins with` : t`${before} is followed by`;
  if (first === last)
    return isRow
      ? t`Row ${first} is missing: ${follows} ${round}.`
      : t`Round ${first} is missing: ${follows} ${round}.`;
  const range = last === first + 1 ? t`${first} and ${last}` : t`${first} to ${last}`;
  return isRow
    ? t`Rows ${range} are missing: ${follows} ${round}.`
    : t`Rounds ${range} are missing: ${follows} ${round}.`;
}

export const workingWords: Words<WorkingFacts> = {
  'count-mismatch': ({ stated, made, under, unworked, ...round }) => {
    const leftOver =
      unworked > 0
        ? unworked === 1
          ? t` ${plural(unworked, 'stitch')} of ${underName(under)} stays unworked.`
          : t` ${plural(unworked, 'stitch')} of ${underName(under)} stay unworked.`
        : '';
    return t`${roundName(round)} says ${stated}, but makes ${made}.${leftOver}`;
  },
  'repeat-remainder': ({ under, below, repeat, left, ...round }) =>
    t`${roundName(round)}: the repeat takes ${plural(repeat, 'stitch')} and does not fill the ${below} of ${underName(under)}: ${left} left over.`,
  'not-enough-stitches': ({ under, below, used, ...round }) =>
    t`${roundName(round)} works into ${plural(used, 'stitch')}, but ${underName(under)} has only ${below}: ${used - below} too few.`,
  'nothing-left': ({ under, ...round }) =>
    t`${roundName(round)}: what stands first takes every stitch of ${underName(under)}, so none is left to increase or decrease in. Write one repeat for the whole round, as in (3 sc, inc) x 6.`,
  'stitches-left': ({ under, below, used, left, ...round }) =>
    t`${roundName(round)} works ${used} of the ${below} stitches of ${underName(under)}: ${left} left over.`,
  'loops-unclear': (facts) =>
    'third' in facts
      ? t`${roundName(facts)} is worked into the ${facts.third}: Hoppla knows both loops, the front and the back one, and draws it into both. The counts hold.`
      : t`${roundName(facts)} says ${facts.loops} behind several things: for all of them, or for the last? It is worked into both loops until you write ${facts.loops} before what it is for.`,
  'loops-used': (facts) => {
    const { round, taken } = facts;
    const into =
      facts.piece === null
        ? t`Round ${round} goes into loops that`
        : t`${facts.piece} goes into loops of round ${round} of the ${facts.owner} that`;
    return t`${into} are worked into already (${taken} of them). Check which loops of that round were left free.`;
  },
  'round-missing': missingWords,
  'round-duplicate': ({ before, ...round }) =>
    t`${roundName(round)} comes again after ${before}. Give it the next number if it is a round of its own.`,
  'row-and-round': ({ part, round }) =>
    t`${part} has a row ${round} and a round ${round}: what is said here is taken to go by the round. Let the rounds count on from the rows to settle it.`,
  edging: ({ made, room, stated, ...round }) =>
    t`${roundName(round)} goes along the sides of a piece worked in rows, and those are not counted: along its last row it makes ${made}, all the way round there is room for about ${room}. ${stated === null ? t`Write its total in brackets, so that what comes after it is counted over that.` : t`Its own total, ${stated}, is taken for what comes after it.`}`,
  'too-large': ({ most, ...round }) =>
    t`${roundName(round)} would have more than ${most} stitches, or more turns than a round can. Check its numbers.`,
  'part-too-large': ({ part, round, most }) =>
    t`${part} has more than ${most} stitches by round ${round}: no toy is that large. It is counted up to there. Check the numbers of its rounds.`,
  'toy-too-large': ({ part, most }) =>
    t`The parts before ${part} have ${most} stitches already: no toy is that large. ${part} is not counted. Check the numbers of the rounds before it, or give it a toy of its own.`,
  'step-failed': ({ what, report }) =>
    t`Hoppla could not work out ${what}, though it should have. Everything else still counts, and your text is kept. Please report it with these words: ${report}`,
};
