import type { Item } from '../notation/ast';
import type { PartSource, RoundSource } from '../notation/pattern';
import { grownStart } from './grownRound';
import { startOf, type Start } from './startOf';

const isChain = (item: Item | undefined) =>
  item?.type === 'work' &&
  item.word === 'ch' &&
  item.target === 'next' &&
  item.extent.kind === 'count' &&
  item.extent.n <= 4;

/** Does an item come right after a join, but for words such as `to form a ring`? */
function followsJoin(items: readonly Item[], index: number): boolean {
  const before = items.slice(0, index).findLast(({ type }) => type !== 'ring' && type !== 'unknown');
  return before?.type === 'join';
}

/** `Sc around, leaving the last 3 unworked`: all the way round but those. */
function butForThoseLeft(items: Item[]): Item[] {
  const left = items.findLastIndex((item) => item.type === 'leave' && item.n > 0);
  const before = items[left - 1];
  const leave = items[left];
  const goesRound = (before?.type === 'work' || before?.type === 'group') && before.extent.kind === 'around';
  if (leave?.type !== 'leave' || !goesRound) return items;
  const shorter: Item = { ...before, extent: { kind: 'leave', n: leave.n } };
  return items.map((item) => (item === before ? shorter : item));
}

/** The items of a round that make stitches: turning chains and the chain that opens a joined round do not count. */
export function roundItems(source: RoundSource, first: boolean): Item[] {
  let items: Item[] = butForThoseLeft([...source.foundation, ...source.work.items]);
  // A chain that opens a ring, and one after the slip stitch that joins a round, only lift the yarn.
  const opensRing =
    isChain(items[0]) && items.slice(1).some((item) => item.type === 'work' && item.target === 'ring');
  if (first && opensRing) items = items.slice(1);
  // Round 1 may be joined twice: its chain to a ring, and the round itself.
  items = items.filter((item, index) => !(isChain(item) && followsJoin(items, index)));
  if (first) return withoutTurningChains(items);
  const works = items.filter((item) => item.type === 'work' || item.type === 'group');
  const [only] = works;
  if (works.length === 1 && only?.type === 'work' && only.bare) {
    items = items.map((item) => (item === only ? { ...only, extent: { kind: 'around' } } : item));
  }
  const next = items[1];
  if (isChain(items[0]) && !(next?.type === 'work' && next.target === 'hook')) items = items.slice(1);
  return withoutTurningChains(items);
}

function withoutTurningChains(items: Item[]): Item[] {
  const turn = items.findLastIndex((item) => item.type === 'turn');
  // In a first row the chain that everything is worked along stands before, never right at the turn.
  const [before, after] = [turn > 1 && isChain(items[turn - 1]), turn >= 0 && isChain(items[turn + 1])];
  return items.filter((_, index) => !(before && index === turn - 1) && !(after && index === turn + 1));
}

/** How the part begins and what its first round works. */
export function partStart(part: PartSource): Start | null {
  const [first] = part.rounds;
  const places = part.onto?.count ?? null;
  if (first && part.grown) return grownStart(first, part.grown.edges);
  if (first && places !== null) {
    const items = roundItems(first, false).filter(({ type }) => type !== 'base' && type !== 'join');
    const { part: owner, round, loops } = part.onto!;
    const ground = [{ part: owner, unit: 1, round, loops, from: 1, count: places }];
    return { kind: 'tube', places, items, ground };
  }
  return first ? startOf(roundItems(first, true), first.row) : null;
}

/** Is this round joined with a slip stitch? Said for the part, or seen in the round. */
export function isJoined(part: PartSource, source: RoundSource): boolean {
  return part.joined ?? source.work.items.some((item) => item.type === 'join');
}
