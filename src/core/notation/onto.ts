import type { Item } from './ast';
import { growsTogether, limb } from './grown';
import type { PartSource } from './pattern';
import { PartNames } from './sentence/names';

const baseOf = (part: PartSource): Extract<Item, { type: 'base' }> | undefined => {
  const [first] = part.rounds;
  const items = first ? [...first.foundation, ...first.work.items] : [];
  return items.find((item) => item.type === 'base');
};

const hasRound = (part: PartSource, round: number) => part.rounds.some(({ number }) => number === round);

/**
 * A part that begins in the loops of another part's round: a frill, a skirt. The other part is the one that is named, else the nearest
 * above that has such a round.
 *
 * @param lines the whole text
 */
export function findOnto(parts: readonly PartSource[], lines: readonly string[]): void {
  const names = new PartNames(parts);
  for (const [index, part] of parts.entries()) {
    const base = baseOf(part);
    const first = part.rounds[0];
    if (!base || !first) continue;
    const said = lines.slice(Math.min(part.line, first.line - 1), first.line).join('\n');
    const mentioned = new Set(names.in(said).map(({ id }) => id));
    const others = parts.slice(0, index).filter((other) => hasRound(other, base.round));
    const owner = others.find(({ id }) => mentioned.has(id)) ?? others.at(-1);
    if (owner) part.onto = { part: owner.id, round: base.round, loops: base.loops, count: null };
  }
}

/**
 * Finds the pieces that a part grows out of: the legs above it, one by one or made several times.
 *
 * @param parts in the order of the text
 */
export function findGrown(parts: readonly PartSource[]): void {
  for (const [index, part] of parts.entries()) {
    const [first] = part.rounds;
    if (!first || !growsTogether(first.work)) continue;
    const legs = parts.slice(0, index).filter(({ name, rounds }) => rounds.length > 0 && limb.test(name));
    const units = legs.flatMap(({ id, make }) =>
      Array.from({ length: make }, (_, unit) => ({ part: id, unit: unit + 1, round: null, count: null })),
    );
    part.grown = { edges: units.slice(-2) };
    const carried = new Set(part.grown.edges.map((edge) => edge.part));
    for (const leg of legs) if (carried.has(leg.id)) leg.carries = part.name;
  }
}
