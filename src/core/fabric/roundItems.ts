import type { Item } from '../notation/ast';
import type { PartSource, RoundSource } from '../notation/pattern';
import { startOf, type Start } from './startOf';

const isChain = (item: Item | undefined) =>
  item?.type === 'work' && item.word === 'ch' && item.target === 'next' && item.extent.kind === 'count' && item.extent.n <= 4;

/** The items of a round that make stitches: turning chains and the chain that opens a joined round do not count. */
export function roundItems(source: RoundSource, first: boolean): Item[] {
  let items: Item[] = [...source.foundation, ...source.work.items];
  if (first) return items;
  const works = items.filter((item) => item.type === 'work' || item.type === 'group');
  const [only] = works;
  if (works.length === 1 && only?.type === 'work' && only.bare) {
    items = items.map((item) => (item === only ? { ...only, extent: { kind: 'around' } } : item));
  }
  const next = items[1];
  if (isChain(items[0]) && !(next?.type === 'work' && next.target === 'hook')) items = items.slice(1);
  const turn = items.findLastIndex((item) => item.type === 'turn');
  if (turn > 0 && isChain(items[turn - 1])) items = items.filter((_, index) => index !== turn - 1);
  if (turn >= 0 && isChain(items[turn + 1])) items = items.filter((_, index) => index !== turn + 1);
  return items;
}

/** How the part begins and what its first round works. */
export function partStart(part: PartSource): Start | null {
  const [first] = part.rounds;
  return first ? startOf(roundItems(first, true), first.row) : null;
}

/** Is this round joined with a slip stitch? Said for the part, or seen in the round. */
export function isJoined(part: PartSource, source: RoundSource): boolean {
  return part.joined ?? source.work.items.some((item) => item.type === 'join');
}
