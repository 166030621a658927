import { limits } from './limits';
import type { Problem } from './problem';
import { isFoundation, isWork, readLine } from './readLine';
import { numberWords } from './tokens';
import { saying } from '../words/problems/problems';

const word = String.raw`(?:rounds?|rnds?|rows?|rds?|r)`;
const inWords = Object.keys(numberWords).join('|');
const numberOf = (said: string | undefined): number =>
  numberWords[said?.toLowerCase() ?? ''] ?? Number(said ?? 0);
/** Where a label may stand within a line: after a stop, a bracket or a dash; a bare number only behind a total. */
const labelWithin = new RegExp(
  String.raw`(?<=\S)(?:\s*[.;|,]\s*|\s+[-–—]\s+|\s+)(?=${word}\.?\s*(\d{1,3}(?!\d)|(?:${inWords})(?![a-z]))(?:\s*(?:[-–]|to)\s*(?:r\s*)?(?:\d{1,3}|${inWords}))?\s*[:.)=–-])|(?<=[\])]\s*[.;,]?)\s+(?=(\d{1,3})\s*[:.)](?!\d))`,
  'gi',
);
const labelFirst = new RegExp(
  String.raw`^\s*(?:(?:${word}\.?\s*)?(\d{1,3})|${word}\s+(${inWords}))(?:\s*(?:[-–]|to|through)\s*(?:r\s*)?(\d{1,3}|(?:${inWords})(?![a-z])))?`,
  'i',
);

/** The last round that a piece of a line begins with the number of; 0 where it begins with none. */
function numberedLast(piece: string): number {
  const [, first, word, last] = labelFirst.exec(piece) ?? [];
  return numberOf(last ?? first ?? word);
}

/** The last round that a piece of a line is; 0 where it is none. */
function lastRoundOf(piece: string): number {
  const { isRound, work } = readLine(piece);
  const isWorked = isRound && work.items.some((item) => isWork(item) || item.type === 'repeatRounds');
  return isWorked ? numberedLast(piece) : 0;
}

/** `Ear:`, `Ear (make 2):`: the heading of a part, with its rounds behind it. */
function isHeadingAlone(piece: string): boolean {
  const { heading, work } = readLine(piece);
  return heading?.sure === true && !work.label && !work.items.some(isWork);
}

/** `Ch 6.`, `Make a magic ring.`: what stands before the first round on its line and belongs to it. */
function isBeginning(piece: string): boolean {
  const { work } = readLine(piece);
  if (work.label) return false;
  return (
    isFoundation(work.items) ||
    /^\s*(?:make\s+)?(?:an?\s+)?(?:magic|adjustable)\s+(?:ring|circle|loop)\W*$/i.test(piece)
  );
}

const isAhead = (before: string): boolean => isBeginning(before) || isHeadingAlone(before);
/** `Work with brown yarn. R1: …`: a sentence ends where the first round begins. */
const isSentence = (between: string, behind: string): boolean =>
  between.includes('.') && lastRoundOf(behind) > 0;

/** A heading, or a sentence, with one round behind it is read as it is. */
function isOneRound([head = '', ...rounds]: readonly string[]): boolean {
  return rounds.length === 1 && lastRoundOf(head) === 0 && !isBeginning(head);
}

/**
 * The rounds that stand on one line, each as a line of its own: text that was copied out of a page often has lost its line ends. A label
 * counts as one only where its number is the next, so that a round worked into the loops of `R3: …` stays whole.
 *
 * @returns the line alone where it holds one round or none
 */
export function roundsOnLine(line: string): string[] {
  // Most lines hold one label or none, and a look is cheaper than reading them in pieces.
  if (line.length > limits.lineSigns || line.search(labelWithin) < 0) return [line];
  const labels = [...line.matchAll(labelWithin)];
  const pieces: string[] = [];
  let begun = 0;
  for (const [index, found] of labels.entries()) {
    const number = numberOf(found[1] ?? found[2]);
    const before = line.slice(begun, found.index);
    const at = found.index + found[0].length;
    // As far as the next label: a line of many is read once and not once for each of them.
    const behind = line.slice(at, labels[index + 1]?.index ?? line.length);
    if (!before) continue;
    // The numbers first: what is read is long where no label is the next.
    const last = numberedLast(before);
    const isFirst = last === 0 && number === 1 && index === 0;
    if (!isFirst && number !== last + 1) continue;
    if (!readLine(behind).work.label) continue;
    const isNext = isFirst ? isAhead(before) || isSentence(found[0], behind) : lastRoundOf(before) === last;
    if (!isNext) continue;
    // The stop belongs to the piece it ends, a dash or a comma to none.
    const stop = /^\s*([.;])/.exec(found[0])?.[1] === '.' ? '.' : '';
    pieces.push(before + stop);
    begun = at;
  }
  const all = [...pieces, line.slice(begun)];
  return isOneRound(all) ? [line] : all;
}

/** A text with one round a line. */
export interface UnfoldedText {
  text: string;
  /** for each of its lines the line it came from, from 1 */
  from: number[];
}

/** Gives each round a line of its own. Everything else stays as it is. */
export function unfolded(text: string): UnfoldedText {
  const end = text.includes('\r\n') ? '\r\n' : '\n';
  const lines = text
    .split(/\r\n|\n|\r/)
    .flatMap((line, index) => roundsOnLine(line).map((piece) => ({ piece, from: index + 1 })));
  return { text: lines.map(({ piece }) => piece).join(end), from: lines.map(({ from }) => from) };
}

/** What is told of lines that hold several rounds, once for all of them; null where there are none. */
export function sharedLines(lines: readonly { line: number; pieces: readonly string[] }[]): Problem | null {
  const [first, ...more] = lines;
  if (!first) return null;
  return {
    ...saying('rounds-on-one-line', { line: first.line, more: more.length }),
    severity: 'error',
    line: first.line,
    column: 1,
    suggestions: [
      {
        title: 'Give each round its own line',
        edits: lines.map(({ line, pieces }) => ({ line, text: pieces.join('\n') })),
      },
    ],
  };
}
