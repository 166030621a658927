import type { Item, WorkItem } from '../notation/ast';
import { limits } from '../notation/limits';
import type { GroundRun, StartKind } from './fabric';

/** How a part begins, and how many places its first round can be worked into. */
export interface Start {
  kind: StartKind;
  places: number;
  /** what is worked in round 1, with the making of the start taken away */
  items: Item[];
  /** what of other parts it is worked into */
  ground?: GroundRun[];
}

const isChain = (item: Item | undefined): item is WorkItem =>
  item?.type === 'work' && item.word === 'ch' && item.target === 'next';
const anyItem = (items: readonly Item[], test: (item: Item) => boolean): boolean =>
  items.some((item) => test(item) || (item.type === 'group' && anyItem(item.items, test)));

/**
 * Finds how a part begins: an adjustable ring, chain 2, a closed loop of a few chains (all ring-like), a chain worked along both
 * sides (oval) or one side (row), a chain joined into a tube, or the edge of another part.
 *
 * @param items the foundation and the first round's items together
 */
export function startOf(items: readonly Item[], row: boolean): Start {
  const chainAt = items.findIndex((item) => isChain(item));
  const chain = items[chainAt];
  const chains =
    isChain(chain) && chain.extent.kind === 'count' ? Math.min(chain.extent.n, limits.chains) : 0;
  const rest = items.filter((item, index) => index !== chainAt && item.type !== 'ring');
  const hook = rest.find((item): item is WorkItem => item.type === 'work' && item.target === 'hook');
  const intoRing =
    items.some((item) => item.type === 'ring') ||
    anyItem(items, (item) => item.type === 'work' && item.target === 'ring');
  const joinsAt = items.findIndex((item) => item.type === 'join');
  const firstWork = items.findIndex(
    (item, index) => index !== chainAt && (item.type === 'work' || item.type === 'group'),
  );
  const joinedChain = chains >= 3 && joinsAt > chainAt && (firstWork < 0 || joinsAt < firstWork);

  if (
    intoRing &&
    !(joinedChain && chains > 6 && !anyItem(rest, (item) => item.type === 'work' && item.target === 'ring'))
  )
    return ring(rest);
  if (joinedChain)
    return { kind: 'tube', places: chains, items: rest.filter((item) => item.type !== 'join') };
  if (chains > 0 && hook) {
    const places = Math.max(1, chains - hook.fromHook + 1);
    if (places <= 1 || (chains <= 3 && hook.make >= 3))
      return ring(
        rest.map((item) =>
          item === hook
            ? { ...hook, target: 'ring', extent: { kind: 'count', n: hook.make }, make: 1 }
            : item,
        ),
      );
    const oval = items.some((item) => item.type === 'otherSide');
    return oval
      ? { kind: 'oval', places: places * 2 - 1, items: rest }
      : { kind: 'row', places, items: rest };
  }
  const chainFirst = items.findIndex((item) => item.type === 'work' || item.type === 'group') === chainAt;
  if (chains > 3 && chainFirst)
    return row || !anyItem(rest, (item) => item.type === 'group')
      ? { kind: 'row', places: chains - 1, items: rest }
      : { kind: 'tube', places: chains, items: rest };
  return ring(items.filter((item) => item.type !== 'ring'));
}

function ring(items: Item[]): Start {
  // A chain before the ring only lifts the hook.
  const [first] = items;
  return { kind: 'ring', places: Number.POSITIVE_INFINITY, items: isChain(first) ? items.slice(1) : items };
}
