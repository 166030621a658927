import type { Item } from './ast';
import type { PartSource, RoundSource } from './pattern';
import type { Problem } from './problem';
import { lastLineOf } from './wrapped';
import { saying } from '../words/problems/problems';

const some = (items: readonly Item[], test: (item: Item) => boolean): boolean =>
  items.some((item) => test(item) || (item.type === 'group' && some(item.items, test)));
const itemsOf = ({ foundation, work }: RoundSource): Item[] => [...foundation, ...work.items];
const turns = (round: RoundSource) => some(itemsOf(round), ({ type }) => type === 'turn');
/** `Row 2: ch 1, turn, sc across`: the row before is at its end. */
function turnsFirst(round: RoundSource): boolean {
  const items = itemsOf(round).filter((item) => item.type !== 'work' || item.word !== 'ch');
  return items[0]?.type === 'turn';
}
const joins = (round: RoundSource) => some(itemsOf(round), ({ type }) => type === 'join');

/** A ring, an oval, a joined chain: what is worked on it goes round. */
function startsClosed(first: RoundSource): boolean {
  const items = itemsOf(first);
  const intoRing = some(
    items,
    (item) => item.type === 'ring' || (item.type === 'work' && item.target === 'ring'),
  );
  // `ch 2, 6 sc in 2nd ch from hook`: one chain holds them all.
  const [chain] = items;
  const isShort =
    chain?.type === 'work' && chain.word === 'ch' && chain.extent.kind === 'count' && chain.extent.n <= 3;
  const intoChain =
    isShort && some(items, (item) => item.type === 'work' && item.target === 'hook' && item.make >= 3);
  return intoRing || intoChain || joins(first) || some(items, ({ type }) => type === 'otherSide');
}

/** `Ch 13, sc in 2nd ch from hook …`: worked along a chain. */
function startsAlongChain(first: RoundSource): boolean {
  const items = itemsOf(first);
  const hasChain = items.some((item) => item.type === 'work' && item.word === 'ch');
  return hasChain && some(items, (item) => item.type === 'work' && item.target === 'hook');
}

/** `Ch 1 and turn at the end of every row.` */
export const turnsInWords =
  /\b(?:ch(?:ain)?\s*1\b[^.]{0,20}\bturn|turn\b[^.]{0,30}\b(?:every|each)\s+row)\b/i;

/** `Start with a magic ring.` on a line before the first row */
const ringInWords = /\b(?:magic|adjustable)\s+(?:ring|circle|loop)\b/i;

const across = /\bacross\b/i;
const around = /\b(?:a?round|every\s+round)\b/i;

/** Where neither start nor turn tells: the maker is asked, in lines that settle it. */
function asksHow({ name, id, line, rounds }: PartSource): Problem {
  const [first] = rounds;
  const after = first?.line === line ? lastLineOf(first) : line;
  const settled = (text: string) => [{ line: after, text, insertAfter: true }];
  return {
    ...saying('rows-or-rounds', { part: name }),
    severity: 'error',
    part: name,
    partId: id,
    line: rounds[0]?.line ?? line,
    column: 1,
    suggestions: [
      { title: 'It goes round', edits: settled('Rounds: spiral') },
      { title: 'Each row is turned', edits: settled('Turn at the end of every row.') },
    ],
  };
}

/** What tells how the rows of a part are worked. */
interface Evidence {
  saysTurned: boolean;
  goesRound: boolean;
}

function evidenceOf(part: PartSource, first: RoundSource, lines: readonly string[]): Evidence {
  const worked = new Set(part.rounds.map(({ line }) => line));
  const isSaid = (words: RegExp, from: number, to: number) =>
    lines.slice(from, to).some((line, at) => !worked.has(from + at + 1) && words.test(line));
  const isClosed = startsClosed(first) || part.joined !== null;
  return {
    saysTurned: isSaid(turnsInWords, Math.max(0, part.firstLine - 1), part.lastLine),
    goesRound: isClosed || isSaid(ringInWords, part.line - 1, first.line - 1),
  };
}

/** Turned at its end, or at the beginning of the next. */
function isTurned(round: RoundSource, next: RoundSource | undefined): boolean {
  return turns(round) || (next !== undefined && turnsFirst(next) && !joins(next));
}

/**
 * Many makers say *row* for a round. What starts closed goes round, whatever it is called, until a row is turned; what is joined
 * goes round from there. What nothing tells of is asked about.
 *
 * @param lines the whole text
 * @returns a question for each part that may be either
 */
export function findRounds(parts: readonly PartSource[], lines: readonly string[]): Problem[] {
  const problems: Problem[] = [];
  for (const part of parts) {
    const [first] = part.rounds;
    if (!first) continue;
    // A chain worked along once and left is a strip, whatever its line is called.
    if (part.rounds.length === 1 && startsAlongChain(first) && !startsClosed(first)) first.row = true;
    const { saysTurned, goesRound: begunRound } = evidenceOf(part, first, lines);
    const { rounds } = part;
    if (saysTurned) {
      for (const round of rounds) round.row ||= !joins(round) && !around.test(round.text);
      continue;
    }
    const isFlat =
      startsAlongChain(first) ||
      rounds.some((round, index) => isTurned(round, rounds[index + 1]) || across.test(round.text));
    const isAround = !isFlat && rounds.some((round) => joins(round) || around.test(round.text));
    const isTold = begunRound || isFlat || isAround;
    if (first.row && !isTold) problems.push(asksHow(part));
    goOver(rounds, { begunRound: begunRound || isAround, isFlat });
  }
  return problems;
}

/**
 * Tells rows from rounds, one after the other: from what is joined, or said to go around, it goes round; from what is turned, to and
 * fro, also where it is labelled `R3`.
 */
function goOver(
  rounds: readonly RoundSource[],
  { begunRound, isFlat }: { begunRound: boolean; isFlat: boolean },
): void {
  let goesRound = begunRound;
  let wasTurned = false;
  for (const [index, round] of rounds.entries()) {
    const turned = isTurned(round, rounds[index + 1]);
    // `Round 7: sc around`, on rows or after short ones: round again. A row may say so of its own length.
    const isSaidRound = !round.row && !turned && around.test(round.text);
    if (joins(round) || isSaidRound) goesRound = true;
    else if (turned) goesRound = false;
    // In the middle of rounds only what is turned, and what comes back from there, is a row.
    const isBetween = begunRound && !turned && !wasTurned;
    if (goesRound) round.row = false;
    else if (isFlat && !isBetween) round.row = true;
    wasTurned = turned;
  }
}
