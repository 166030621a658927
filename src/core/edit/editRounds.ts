import { renumberFrom } from '../fabric/renumberFrom';
import { applyEdits } from '../notation/applyEdits';
import type { PartSource, RoundSource } from '../notation/pattern';
import { lastLineOf, overRound } from '../notation/wrapped';
import { readPattern } from '../notation/readPattern';
import { moveSentences } from './moveSentences';

/** A line of rounds as a card: `R4-R8` is one card of five rounds. */
export interface RoundCard {
  line: number;
  /** index of its first round in the part */
  index: number;
  first: number;
  last: number;
  row: boolean;
  /** what it says, without label and total */
  body: string;
  source: RoundSource;
}

/** The cards of a part, in order. */
export function roundCards(part: PartSource): RoundCard[] {
  const cards: RoundCard[] = [];
  part.rounds.forEach((round, index) => {
    const last = cards.at(-1);
    if (last?.line === round.line) {
      last.last = round.number;
      return;
    }
    const { label, total } = round.work;
    const said = total
      ? round.text.slice(label?.span.to ?? 0, total.span.from).replace(/[\s([{=<-]*(?:total:?)?\s*$/i, '')
      : round.text.slice(label?.span.to ?? 0);
    cards.push({
      line: round.line,
      index,
      first: round.number,
      last: round.number,
      row: round.row,
      body: said.trim(),
      source: round,
    });
  });
  return cards;
}

const lineEnds = /\r\n|\n|\r/;

function withLines(text: string, change: (lines: string[]) => void): string {
  const lines = text.split(lineEnds);
  change(lines);
  return lines.join(text.includes('\r\n') ? '\r\n' : '\n');
}

const partOf = (text: string, id: string): PartSource | undefined =>
  readPattern(text).parts.find((part) => part.id === id);

/**
 * Numbers the rounds of one part on from 1, after lines were moved about. Sentences that name rounds follow.
 *
 * @param fresh a line that was just put in: its number means nothing yet
 * @param gone the first number and the number of rounds of a line that was taken out
 */
function renumbered(
  text: string,
  id: string,
  { fresh = 0, gone }: { fresh?: number; gone?: { first: number; count: number } },
): string {
  const part = partOf(text, id);
  if (!part) return text;
  const numbers = new Map<number, number>();
  part.rounds.forEach((round, index) => {
    if (round.line !== fresh) numbers.set(round.number, index + 1);
  });
  // What went by a round that is gone goes by the one that came before it.
  if (gone)
    for (let number = gone.first; number < gone.first + gone.count; number += 1)
      numbers.set(number, Math.max(1, gone.first - 1));
  // The sentences first: numbering a round anew brings those of its lines that are broken together.
  const moved = moveSentences(text, part, numbers);
  const after = partOf(moved, id);
  return after ? applyEdits(moved, renumberFrom(after, 0)) : moved;
}

/** Writes a round line; the number is put right afterwards. */
const roundLine = (row: boolean, body: string, count?: number) =>
  `${row ? 'Row ' : 'R'}1: ${body}${count === undefined ? '' : ` [${count}]`}`;

/** A round that is written anew. */
export interface NewRound {
  /** the card it follows; null for the beginning of the part */
  after: RoundCard | null;
  /** its work, without label and total */
  body: string;
  /** the total to write behind it */
  count?: number;
  /** it is a row; not said, it is what the one before it is */
  row?: boolean;
}

/** Puts a round below a card, or as the first of a part without any, and numbers the rounds after it on. */
export function insertRound(text: string, part: PartSource, { after, body, count, row }: NewRound): string {
  const line = after ? lastLineOf(after.source) : part.firstLine;
  const written = roundLine(row ?? after?.row ?? false, body, count);
  const inserted = applyEdits(text, [{ line, text: written, insertAfter: true }]);
  return renumbered(inserted, part.id, { fresh: line + 1 });
}

/** Writes a card's round anew. Without a count the total goes: it is whatever the work makes. */
export function setRound(text: string, card: RoundCard, body: string, count?: number): string {
  const { label } = card.source.work;
  const head = label
    ? card.source.text.slice(0, label.span.to).trimEnd()
    : `${card.row ? 'Row ' : 'R'}${card.first}:`;
  const total = count === undefined ? '' : ` [${count}]`;
  const line = `${/[:.)]$/.test(head) ? head : `${head}:`} ${body}${total}`;
  return applyEdits(text, [overRound(card.source, line)]);
}

/** Writes one round of a card anew; the rounds of its line before and after it stay as they are, on lines of their own. */
export function setOneRound(text: string, card: RoundCard, number: number, body: string): string {
  const { total } = card.source.work;
  const word = card.row ? 'Row ' : 'R';
  const kept = total ? ` [${total.value}]` : '';
  const lineOf = (first: number, last: number, says: string) =>
    last < first ? [] : [`${word}${first}${last > first ? `-${word}${last}` : ''}: ${says}${kept}`];
  const [line, ...below] = [
    ...lineOf(card.first, number - 1, card.body),
    ...lineOf(number, number, body),
    ...lineOf(number + 1, card.last, card.body),
  ];
  const after = lastLineOf(card.source);
  return applyEdits(text, [
    overRound(card.source, line ?? ''),
    ...below.map((put) => ({ line: after, text: put, insertAfter: true })),
  ]);
}

/** Works a card's rounds once more below it. */
export function duplicateRound(text: string, part: PartSource, { source }: RoundCard): string {
  const line = lastLineOf(source);
  const doubled = applyEdits(text, [{ line, text: source.text, insertAfter: true }]);
  return renumbered(doubled, part.id, { fresh: line + 1 });
}

export function deleteRound(text: string, part: PartSource, card: RoundCard): string {
  const without = withLines(text, (lines) => {
    lines.splice(card.line - 1, card.source.lines);
  });
  return renumbered(without, part.id, { gone: { first: card.first, count: card.last - card.first + 1 } });
}

/** Changes places with the card before (-1) or after (+1); the lines between stay where they are. */
export function moveRound(text: string, part: PartSource, card: RoundCard, by: -1 | 1): string {
  const cards = roundCards(part);
  const other = cards[cards.findIndex((found) => found.line === card.line) + by];
  if (!other) return text;
  const moved = withLines(text, (lines) => {
    const [first, second] = by < 0 ? [other, card] : [card, other];
    const between = lines.slice(lastLineOf(first.source), second.line - 1);
    const above = lines.slice(first.line - 1, lastLineOf(first.source));
    const below = lines.slice(second.line - 1, lastLineOf(second.source));
    const count = lastLineOf(second.source) - first.line + 1;
    lines.splice(first.line - 1, count, ...below, ...between, ...above);
  });
  const changed = partOf(moved, part.id);
  return changed ? applyEdits(moved, renumberFrom(changed, 0)) : moved;
}
