import type { ActKind, Stop } from './acts';

/** What is done in a step of the whole toy's plan. */
export type Doing = 'work' | ActKind | 'sew' | 'place' | 'attach' | 'sculpt' | 'check';

/** One step of making a toy. Rounds are numbers of the maker's text. */
export interface Step {
  do: Doing;
  /** the part by its id, and which making of it, from 1 */
  part: string;
  unit: number;
  /** first and last round that is worked; of an act the round it comes after, twice; null for what is done on finished pieces */
  from: number | null;
  to: number | null;
  /** of rounds that are worked the first and the last by index, from 1: two of a text can have one number */
  indexes: readonly [number, number] | null;
  /** of an act the round it comes after, by index, from 1; null of anything else */
  after: number | null;
  /** the feature or the parts it is about, or what it is sewn to */
  about: string | null;
  stitches: number;
}

/** A unit by a key of its own. */
export type UnitKey = string;
export const unitKey = (part: string, unit: number): UnitKey => `${part}#${unit}`;

/** Another unit that has to be there before a round is worked. */
export interface Need {
  /** index of the round that needs it, from 1 */
  round: number;
  unit: UnitKey;
  /** so far it has to be worked: index of a round, or all of it */
  upTo: number | 'all';
}

/** A unit as the order sees it. */
export interface OrderUnit {
  part: string;
  unit: number;
  name: string;
  /** number of each round in the maker's text, and its stitches, in the order of working */
  labels: readonly number[];
  counts: readonly number[];
  stops: readonly Stop[];
  needs: readonly Need[];
  /** what is done on it once it is finished: sewn on, drawn in */
  finishing: readonly { do: 'attach' | 'sculpt'; about: string; stitches: number }[];
}

/** A join with a needle, once both pieces are there. */
export interface Sewing {
  unit: UnitKey;
  onto: string;
  stitches: number;
}

export interface Order {
  steps: Step[];
  /** units that wait for each other, by their names: none of them can be finished first */
  cycles: string[][];
}

/** A stretch of rounds up to a stop, by index, with what is done there. */
interface Segment {
  from: number;
  to: number;
  stops: Stop[];
}

function segmentsOf({ labels, stops }: OrderUnit): Segment[] {
  const segments: Segment[] = [];
  let from = 1;
  for (let round = 1; round <= labels.length; round += 1) {
    const here = stops.filter(({ row }) => row === round);
    if (here.length === 0 && round < labels.length) continue;
    segments.push({ from, to: round, stops: here });
    from = round + 1;
  }
  return segments;
}

/** The order of a toy while it is found: how far each unit is, and whose turn waits for whose. */
class Ordering {
  readonly steps: Step[] = [];
  readonly cycles: string[][] = [];
  private readonly segments: Map<UnitKey, Segment[]>;
  private readonly done = new Map<UnitKey, number>();
  private readonly waiting: UnitKey[] = [];

  constructor(private readonly units: ReadonlyMap<UnitKey, OrderUnit>) {
    this.segments = new Map([...units].map(([key, unit]) => [key, segmentsOf(unit)]));
  }

  /** Works a unit up to a round, and before that what it needs. */
  work(key: UnitKey, upTo: number | 'all'): void {
    const unit = this.units.get(key);
    if (!unit) return;
    const target = upTo === 'all' ? unit.labels.length : upTo;
    if ((this.done.get(key) ?? 0) >= target) return;
    if (this.waiting.includes(key)) {
      const names = this.waiting
        .slice(this.waiting.indexOf(key))
        .map((one) => this.units.get(one)?.name ?? one);
      if (!this.cycles.some((known) => known.join() === names.join())) this.cycles.push(names);
      return;
    }
    this.waiting.push(key);
    if (!this.done.has(key)) {
      // What does not wait for this unit is made before it is begun: nobody likes to lay a live loop aside.
      for (const need of unit.needs) if (!this.waitsFor(need.unit, key)) this.work(need.unit, need.upTo);
    }
    for (const segment of this.segments.get(key) ?? []) {
      const isDone = segment.to <= (this.done.get(key) ?? 0);
      if (isDone) continue;
      if (segment.from > target) break;
      for (const need of unit.needs)
        if (need.round >= segment.from && need.round <= segment.to) this.work(need.unit, need.upTo);
      this.add(unit, segment);
      this.done.set(key, segment.to);
    }
    this.waiting.pop();
  }

  private add({ part, unit, labels, counts }: OrderUnit, { from, to, stops }: Segment): void {
    let stitches = 0;
    for (let round = from; round <= to; round += 1) stitches += counts[round - 1] ?? 0;
    const [first, last] = [labels[from - 1] ?? from, labels[to - 1] ?? to];
    const indexes = [from, to] as const;
    const worked = { from: first, to: last, indexes, after: null } as const;
    this.steps.push({ do: 'work', part, unit, ...worked, about: null, stitches });
    for (const stop of stops)
      for (const { act, feature, part: worked } of stop.acts)
        this.steps.push({
          do: act,
          part,
          unit,
          from: stop.after,
          to: stop.after,
          indexes: null,
          after: stop.row,
          about: feature ?? worked,
          stitches: 0,
        });
  }

  /** Whether a unit needs another, at first hand or through others. */
  private waitsFor(key: UnitKey, other: UnitKey, seen = new Set<UnitKey>()): boolean {
    if (seen.has(key)) return false;
    seen.add(key);
    const needs = this.units.get(key)?.needs ?? [];
    return needs.some(({ unit }) => unit === other || this.waitsFor(unit, other, seen));
  }
}

/**
 * The order over all parts of a toy: parts as the text has them, what another needs before it, joins with a needle when both pieces are
 * finished, then what is done on finished pieces, and the check of all.
 *
 * @param unplaced finished pieces that no sentence joins to anything: each is a step of its own, so that none is forgotten
 */
export function orderOf(
  units: readonly OrderUnit[],
  sewings: readonly Sewing[],
  unplaced: readonly UnitKey[] = [],
): Order {
  const byKey = new Map(units.map((unit) => [unitKey(unit.part, unit.unit), unit]));
  const ordering = new Ordering(byKey);
  for (const key of byKey.keys()) ordering.work(key, 'all');
  const { steps, cycles } = ordering;
  const blank = { from: null, to: null, indexes: null, after: null } as const;
  for (const { part, unit, finishing } of units)
    for (const { do: doing, about, stitches } of finishing)
      steps.push({ do: doing, part, unit, ...blank, about, stitches });
  for (const { unit: key, onto, stitches } of sewings) {
    const unit = byKey.get(key);
    if (unit) steps.push({ do: 'sew', part: unit.part, unit: unit.unit, ...blank, about: onto, stitches });
  }
  for (const key of unplaced) {
    const unit = byKey.get(key);
    if (unit)
      steps.push({ do: 'place', part: unit.part, unit: unit.unit, ...blank, about: null, stitches: 0 });
  }
  const [first] = units;
  if (first)
    steps.push({ do: 'check', part: first.part, unit: first.unit, ...blank, about: null, stitches: 0 });
  return { steps, cycles };
}
