import type { Extent, Item } from '../notation/ast';
import type { GrownEdge, RoundSource } from '../notation/pattern';
import type { GroundRun } from './fabric';
import { fixedTake } from './workRound';
import type { Start } from './startOf';

const isBridge = (item: Item) =>
  item.type === 'work' && item.word === 'ch' && item.target === 'next' && item.extent.kind === 'count';
const chainsOf = (item: Item) => (item.type === 'work' && item.extent.kind === 'count' ? item.extent.n : 0);
const isOpen = (extent: Extent) => extent.kind !== 'count';

/** Walks along the edges as the round does, and keeps which stitches of which it goes over. */
class Edges {
  readonly runs: GroundRun[] = [];
  private current: number;
  private readonly taken: number[];

  constructor(private readonly edges: readonly GrownEdge[]) {
    this.taken = edges.map(() => 0);
    // The hook is on the piece that was made last.
    this.current = edges.length - 1;
  }

  go(which: number | 'other' | null): void {
    const other = (this.current + 1) % Math.max(1, this.edges.length);
    this.current = typeof which === 'number' ? Math.min(which, this.edges.length) - 1 : other;
  }

  /** Takes stitches off the edge; what goes beyond it lies along the chain. */
  take(stitches: number): void {
    const edge = this.edges[this.current];
    const onEdge = Math.min(stitches, this.rest());
    const from = (this.taken[this.current] ?? 0) + 1;
    this.taken[this.current] = from - 1 + onEdge;
    if (edge && edge.round !== null && onEdge > 0) {
      const { part, unit, round } = edge;
      this.runs.push({ part, unit, round, loops: 'both', from, count: onEdge });
    }
    if (stitches > onEdge) this.runs.push({ chains: stitches - onEdge });
  }

  rest(): number {
    return (this.edges[this.current]?.count ?? 0) - (this.taken[this.current] ?? 0);
  }
}

/** The items with `around the first leg` as so many stitches as that edge has left. */
function counted(items: readonly Item[], edges: Edges): Item[] {
  return items.flatMap((item): Item[] => {
    if (item.type === 'edge') {
      edges.go(item.which);
      return [];
    }
    const fills = (item.type === 'work' || item.type === 'group') && isOpen(item.extent);
    const size = item.type === 'work' ? item.together : item.type === 'group' ? fixedTake(item.items) : 0;
    const times = Math.floor(edges.rest() / Math.max(1, size));
    const one: Item = fills ? { ...item, extent: { kind: 'count', n: times } } : item;
    edges.take(fixedTake([one]));
    return times === 0 && fills ? [] : [one];
  });
}

/**
 * How a piece begins that grows out of the edges of others, as a body does of two legs: around one, along a chain, around the other,
 * back along the chain. N = a + b + 2c.
 *
 * The chain is a stitch of this round where it is not worked along in it: the next round goes into it. The total decides where both fit.
 *
 * @param source the round that goes around them
 * @param edges in the order they were made; an edge not in the text has no count
 */
export function grownStart({ foundation, work }: RoundSource, edges: readonly GrownEdge[]): Start {
  const kept = [...foundation, ...work.items].filter(
    ({ type }) => type !== 'join' && type !== 'turn' && type !== 'fasten',
  );
  const walk = new Edges(edges);
  const items = counted(kept, walk);
  const chains = items.filter(isBridge);
  const length = chains.reduce((sum, item) => sum + chainsOf(item), 0);
  const plain = items.filter((item) => !isBridge(item));
  const worked = fixedTake(plain);
  const known = edges.length > 0 && edges.every(({ count }) => count !== null);
  const ends = edges.reduce((sum, { count }) => sum + (count ?? 0), 0);
  const total = work.total?.value ?? null;
  const alongBoth = total === null ? known && worked >= ends + 2 * length : total === worked;
  const chainsCount = length > 0 && !alongBoth;
  // Where two chains are made they are the two sides; where one is made and counts, its other side is worked along.
  const sides = chainsCount ? (chains.length > 1 ? 0 : length) : 2 * length;
  return {
    kind: 'tube',
    places: known ? ends + sides : worked,
    items: chainsCount ? items : plain,
    ground: walk.runs,
  };
}
