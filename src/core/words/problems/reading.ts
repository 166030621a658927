import { t } from '../language';
import { roundName, type NoFacts, type RoundSaid, type Words } from './words';

/** A header line that is not read: its key, what it says, and the words it may say, if there are but a few. */
export interface HeaderFault {
  header: string;
  value: string;
  options: readonly string[];
}

/** What the messages about reading a text are made of. Lines count from 1. */
export interface ReadingFacts {
  'too-long': { signs: number; most: number };
  'too-much': { line: number; what: string };
  'line-too-long': { line: number; from: number };
  'line-failed': { line: number; report: string };
  /** `more`: other lines that do */
  'rounds-on-one-line': { line: number; more: number };
  'header-unclear': HeaderFault;
  'terms-ambiguous': NoFacts;
  /** the lines of a US word and of a UK one; `ukLine` is null where the text is declared to be UK */
  'terms-mixed': { usLine: number; ukLine: number | null };
  'rows-or-rounds': { part: string };
  'unknown-stitch': RoundSaid & { words: string };
  'round-number': { line: number; most: number };
  'rounds-differ': { line: number; first: number; last: number; times: number };
  'rounds-by-length': { line: number; length: string };
  'round-empty': RoundSaid;
  'bracket-unpaired': RoundSaid;
  /** `isMadeUp`: it is counted as plain */
  'round-no-stitch': RoundSaid & { isMadeUp: boolean };
}

/** What to write in a header whose value is not one of a few words. */
const headerHelp: Readonly<Record<string, string>> = {
  gauge: t`Give the gauge as stitch width by round height, each from 0.5 to 60 mm, for example “5 mm x 4.1 mm”.`,
  lean: t`Lean is the part of a stitch a round moves sideways, from 0 to 1, for example “0.25”.`,
  make: t`Say how many to make with a number, for example “Make: 2”.`,
  front: t`Say which stitch faces forward, for example “Front: stitch 18.5 of round 13”.`,
};

function othersToo(more: number): string {
  if (more === 0) return '';
  return more === 1 ? t`, and so does 1 line below` : t`, and so do ${more} lines below`;
}

export const readingWords: Words<ReadingFacts> = {
  'too-long': ({ signs, most }) =>
    t`This text has ${Math.ceil(signs / 1000)} thousand signs: too long for one toy. Paste one toy at a time, up to ${most / 1000} thousand signs.`,
  'too-much': ({ line, what }) =>
    t`From line ${line} on this text holds too much for one toy: ${what}. The lines from there are kept and not counted. Give them to a toy of their own.`,
  'line-too-long': ({ line, from }) =>
    t`Line ${line} is too long to be one line of work: from sign ${from} on it is not read. Divide it.`,
  'line-failed': ({ line, report }) =>
    t`Line ${line} could not be read, though it should have been. It is kept as a note; everything else still counts. Write it another way. (${report})`,
  'rounds-on-one-line': ({ line, more }) =>
    t`Line ${line} holds several rounds${othersToo(more)}. They are kept and not counted until each has a line of its own.`,
  'header-unclear': ({ header, value, options }) =>
    options.length > 0
      ? t`“${value}” is not known here. Write ${options.join(t` or `)}.`
      : (headerHelp[header] ?? ''),
  'terms-ambiguous': () =>
    t`Which words is this written in? “dc” is a single crochet in UK terms and a taller stitch in US terms. Nothing here tells which. It is read as US until you say.`,
  'terms-mixed': ({ usLine, ukLine }) =>
    ukLine === null
      ? t`The pattern says UK terms, but line ${usLine} uses a word that only exists in US terms.`
      : t`This text mixes US and UK words: a US word in line ${usLine}, a UK word in line ${ukLine}. Say which one holds and change the other.`,
  'rows-or-rounds': ({ part }) =>
    t`Is the ${part} worked round and round, or to and fro? It says “Row”, and neither its start nor a turn tells. It is taken as rows that are turned until you say.`,
  'unknown-stitch': ({ words, ...round }) =>
    t`${roundName(round)}: “${words}” is no stitch Hoppla knows. Write it another way, or define what it does.`,
  'round-number': ({ line, most }) =>
    t`Line ${line} numbers a round above ${most}. Check the number; until then the line is kept as a note.`,
  'rounds-differ': ({ line, first, last, times }) =>
    t`Line ${line} is for rounds ${first} to ${last}, which are ${last - first + 1}, and says ${times}. The rounds of its label are taken. Put right whichever is wrong.`,
  'rounds-by-length': ({ line, length }) =>
    t`Line ${line} says to go on for ${length}, and how many rounds that are depends on your stitches. Count them and write “Next 8 rounds: sc around”; until then none of them are worked.`,
  'round-empty': (round) =>
    t`${roundName(round)} says nothing to work. Write its stitches, or take the line out.`,
  'bracket-unpaired': (round) =>
    t`${roundName(round)}: a bracket has no partner. Check where the repeat begins and ends.`,
  'round-no-stitch': ({ isMadeUp, ...round }) =>
    t`${roundName(round)} makes no stitch as it is written. ${isMadeUp ? t`It is taken as plain, so that the rest can be counted; write` : t`Write`} what it works.`,
};
