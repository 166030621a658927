import type { Item } from './ast';
import type { PartSource, RoundSource } from './pattern';

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

/** `Ch 1 and turn at the end of every row.` */
const turnsInWords = /\b(?:ch(?:ain)?\s*1\b[^.]{0,20}\bturn|turn\b[^.]{0,30}\b(?:every|each)\s+row)\b/i;

/** `Start with a magic ring.` on a line before the first row */
const ringInWords = /\b(?:magic|adjustable)\s+(?:ring|circle|loop)\b/i;

/**
 * Many makers say *row* for a round. What starts closed goes round, whatever it is called, until a row is turned; what is joined
 * goes round from there.
 *
 * @param lines the whole text
 */
export function findRounds(parts: readonly PartSource[], lines: readonly string[]): void {
  for (const part of parts) {
    const [first] = part.rounds;
    if (!first) continue;
    const worked = new Set(part.rounds.map(({ line }) => line));
    const isSaid = (words: RegExp, from: number, to: number) =>
      lines.slice(from, to).some((line, at) => !worked.has(from + at + 1) && words.test(line));
    if (isSaid(turnsInWords, Math.max(0, part.firstLine - 1), part.lastLine)) continue;
    let goesRound = startsClosed(first) || isSaid(ringInWords, part.line - 1, first.line - 1);
    for (const [index, round] of part.rounds.entries()) {
      const next = part.rounds[index + 1];
      // The turn may stand at the end of a row, or at the beginning of the next.
      const isTurned = turns(round) || (next !== undefined && turnsFirst(next) && !joins(next));
      if (joins(round)) goesRound = true;
      else if (isTurned) goesRound = false;
      if (goesRound) round.row = false;
    }
  }
}
