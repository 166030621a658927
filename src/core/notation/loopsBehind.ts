import type { Item, WorkItem } from './ast';

/** `All in BLO`, `work the whole round in BLO`: nothing of the round is left out. */
const ofAll = /\b(?:all|whole|entire|every|each|round|rnd|row|throughout)\b/i;

/** A chain to rise by, a slip stitch that closes the round: loops are not said of them. */
const risesOrCloses = ({ word, target, extent }: WorkItem): boolean =>
  word === 'ch' || (word === 'sl' && (target === 'first' || (extent.kind === 'count' && extent.n <= 2)));

const isWorked = (item: Item): boolean =>
  item.type === 'group' || (item.type === 'work' && !risesOrCloses(item));

/** `(BLO)`: a bracket in which nothing is worked. */
function bare(item: Item): Item {
  if (item.type !== 'group') return item;
  const [only] = item.items.filter(({ type }) => type !== 'unknown');
  const isBare = only?.type === 'loops' && !item.items.some(isWorked);
  return isBare ? { ...only, span: item.span } : item;
}

/** Loops that are said behind the stitches they are for: nothing is worked after them. */
export function loopsBehind(items: readonly Item[]): number {
  const at = items.findLastIndex(({ type }) => type === 'loops');
  const isBehind = at > 0 && items.slice(0, at).some(isWorked) && !items.slice(at + 1).some(isWorked);
  return isBehind ? at : -1;
}

/**
 * `Sc around in BLO`, `(sc, inc) x 6 in the back loops only`: said behind, loops are of what stands before. Of several things before them
 * they are of all only where that is said; else they stay where they are, and it is asked.
 *
 * @param text the line the items were read from
 */
export function loopsInFront(items: readonly Item[], text: string): Item[] {
  const inside = items
    .map(bare)
    .map((item) => (item.type === 'group' ? { ...item, items: loopsInFront(item.items, text) } : item));
  const at = loopsBehind(inside);
  const loops = inside[at];
  if (!loops) return inside;
  const before = inside.slice(0, at);
  const worked = before.filter(isWorked);
  const last = before.findLast(isWorked);
  const between = text.slice(last?.span.to ?? 0, loops.span.from);
  const behind = text.slice(loops.span.to);
  const isOfAll = worked.length === 1 || ofAll.test(between) || /^\s*(?:all|throughout)\b/i.test(behind);
  if (!isOfAll || before.some(({ type }) => type === 'loops')) return inside;
  const first = before.findIndex(isWorked);
  return [...before.slice(0, first), loops, ...before.slice(first), ...inside.slice(at + 1)];
}
