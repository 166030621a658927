import { t } from '../../words/language';
import { sayTerm } from '../../words/said';
import type { Fabric } from '../../fabric/fabric';
import type { Seat } from '../frame/pair';
import type { FeaturePlacement } from '../resolve/placement';

/** A marker to put in while working. */
export interface Mark {
  /** stitch it goes into; of a split, the stitch before it */
  stitch: number;
  seat: Seat;
  /** what it is for: `left eye`, `ends of the mouth` */
  what: string[];
  /** the features it is for, by their names in the part */
  features: string[];
}

/** The markers of one round. */
export interface MarkedRound {
  /** index of the round, from 1, and its number in the maker's text */
  round: number;
  label: number;
  marks: Mark[];
}

/**
 * Which stitches to mark while working, so that nothing has to be counted when the piece is finished: the posts of the eyes, the ends of
 * what is stitched, the middles of what is sewn on. A hole is the foot of a stitch of the round above it, so that is the round to mark.
 */
export function markerPlan(fabric: Fabric, features: readonly FeaturePlacement[]): MarkedRound[] {
  const rounds = new Map<number, Mark[]>();
  const put = (line: number, mark: Pick<Mark, 'stitch' | 'seat'>, feature: string, what: string) => {
    const marks = rounds.get(line + 1) ?? [];
    rounds.set(line + 1, marks);
    const same = marks.find(({ stitch, seat }) => mark.stitch === stitch && mark.seat === seat);
    if (!same) {
      marks.push({ ...mark, what: [what], features: [feature] });
      return;
    }
    same.what.push(what);
    same.features.push(feature);
  };
  for (const { id, kind, rule, units, seat } of features) {
    // Sculpting goes by the eyes, which have their markers; the start is found without one.
    if (kind === 'sculpting' || rule.vertical?.by === 'start') continue;
    for (const { side, from, to, fromLine, toLine } of units) {
      const one = kind === 'eyes' && !rule.embroidered ? 'eye' : id;
      const name = side === 'middle' ? sayTerm(id) : t`${sayTerm(side)} ${sayTerm(one)}`;
      put(fromLine, { stitch: from, seat }, id, name);
      if (to !== from || toLine !== fromLine) put(toLine, { stitch: to, seat }, id, name);
    }
  }
  return [...rounds]
    .sort(([a], [b]) => a - b)
    .map(([round, marks]) => ({
      round,
      label: fabric.label[round - 1] ?? round,
      marks: marks.sort((a, b) => a.stitch - b.stitch),
    }));
}

/** `stitch 21 (left eye) and stitch 28 (right eye)` */
export function markWords(marks: readonly Mark[]): string {
  const each = marks.map(
    ({ stitch, seat, what }) =>
      `${seat === 'foot' ? t`stitch` : t`the gap after stitch`} ${stitch} (${what.join(', ')})`,
  );
  return each.length > 1 ? t`${each.slice(0, -1).join(', ')} and ${each.at(-1)}` : (each[0] ?? '');
}
