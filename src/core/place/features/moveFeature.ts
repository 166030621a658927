import type { FeaturePlacement } from './featurePlacement';
import { raisedByStitches } from '../lying/raisedByStitches';
import { nextSize } from '../hardware';
import { isLandmark } from './anchors';
import { atDistance, type FeatureRule, type Vertical } from './featureRule';
import { featureLibrary } from './library';
import { lineEdge, type Reach } from './reach';

/** A smaller piece can't be sewn on. */
const smallestPieceMm = 3;

/**
 * The rule that moves a feature by one round (a stitch on a part that lies on its side), up or down as one looks at the toy. What is said by another feature goes on being said by
 * it: two rounds below the eyes become one.
 *
 * @param by +1 up, -1 down
 * @param step how a step up changes the line of holes: -1 where the part starts at the top
 * @param labels numbers of the rounds in the maker's text, by index
 * @returns null where there is no such line
 */
export function raised(
  placed: FeaturePlacement,
  by: 1 | -1,
  step: 1 | -1,
  labels: ArrayLike<number>,
): FeatureRule | null {
  const { rule, line, counted } = placed;
  if (rule.lying) return raisedByStitches(rule, by, counted);
  if (rule.sideways.by === 'holes') return raised({ ...placed, rule: byDistance(placed) }, by, step, labels);
  const to = line + by * step;
  const [lower, upper] = [labels[to - 1], labels[to]];
  if (to < 1 || lower === undefined || upper === undefined) return null;
  const { vertical } = rule;
  const related = raisedVertical(vertical, by, counted);
  if (related) return { ...rule, vertical: related };
  if (vertical?.by === 'range')
    return {
      ...rule,
      vertical: { by: 'range', from: vertical.from + by * step, to: vertical.to + by * step },
    };
  return { ...rule, vertical: { by: 'gap', gap: [lower, upper] } };
}

/** The furthest a named hole may lie beside the middle and still be meant for it, in stitches. */
export const besideMiddle = 2;

/** The rule with holes that are named by number said by their distance, which holds on every line. */
export function byDistance({ rule, apart, missStitches, missSide }: FeaturePlacement): FeatureRule {
  if (rule.sideways.by !== 'holes') return rule;
  if (apart !== null) return { ...rule, sideways: { by: 'apart', apart } };
  if (Math.abs(missStitches) <= besideMiddle || missSide === null)
    return { ...rule, sideways: { by: 'front' } };
  return {
    ...rule,
    sides: missSide,
    sideways: { by: 'outward', stitches: Math.round(Math.abs(missStitches) * 2) / 2, from: 'front' },
  };
}

/**
 * A place by something else, one round further up or down: 2 rounds below becomes 1, and then the same round. Null where it leads inward
 * from an end, which has no up, and where it would go past the edge of a feature that covers several rounds.
 *
 * @param counted reach of what it is counted from
 */
export function raisedVertical(
  relation: Vertical | null | undefined,
  by: 1 | -1,
  counted: Reach = lineEdge,
): Vertical | null {
  if (relation?.by === 'level' && (by > 0 ? counted.up : counted.down) === 0)
    return { by: 'relation', rounds: 1, direction: by > 0 ? 'above' : 'below', to: relation.to };
  if (relation?.by !== 'relation' || relation.direction === 'from') return null;
  if (relation.rounds === 0 && counted.up + counted.down > 0 && (relation.direction === 'above') !== by > 0)
    return null;
  const signed = (relation.direction === 'above' ? relation.rounds : -relation.rounds) + by;
  if (signed === 0 && !isLandmark(relation.to) && counted.up + counted.down === 0)
    return { by: 'level', to: relation.to };
  return {
    ...relation,
    rounds: Math.abs(signed),
    direction: signed > 0 || (signed === 0 && relation.direction === 'above') ? 'above' : 'below',
  };
}

/**
 * The rule that puts a feature on another line of holes and, of a pair, so far apart: what a drag on the map comes to. What is said by
 * another feature goes on being said by it.
 *
 * @param line by index from 1
 * @param apart middle to middle of a pair; null leaves the sides as they are
 * @param step how a step up changes the line of holes
 */
export function movedTo(
  placed: FeaturePlacement,
  line: number,
  apart: number | null,
  step: 1 | -1,
  labels: ArrayLike<number>,
): FeatureRule {
  const way: 1 | -1 = (line - placed.line) * step > 0 ? 1 : -1;
  let moved: FeaturePlacement = { ...placed, rule: byDistance(placed) };
  while (moved.line !== line) {
    const rule = raised(moved, way, step, labels);
    if (!rule) break;
    moved = { ...moved, rule, line: moved.line + way * step };
  }
  const { rule } = moved;
  if (apart === null || placed.apart === null || apart === placed.apart || rule.sides === 'middle')
    return rule;
  if (rule.sideways.by === 'outward')
    return {
      ...rule,
      sideways: {
        ...rule.sideways,
        stitches: Math.max(0, rule.sideways.stitches + Math.round((apart - placed.apart) / 2)),
      },
    };
  return { ...rule, sideways: atDistance(rule.sideways, apart) };
}

/** The rule that makes a single feature a stitch wider, or sets a pair a step further apart; null where there is no room. */
export function widened({ rule, apart, units, problems }: FeaturePlacement, by: 1 | -1): FeatureRule | null {
  const of = units[0]?.of ?? 0;
  if (rule.sides === 'middle') {
    if (!rule.embroidered && rule.sizeMm !== null) {
      const sizeMm = nextSize(featureLibrary[rule.kind].sizesMm, rule.sizeMm, by) ?? rule.sizeMm + by;
      return sizeMm >= smallestPieceMm ? { ...rule, sizeMm } : null;
    }
    const wide = rule.wide + by;
    return wide >= 1 && wide < of
      ? {
          ...rule,
          sizeMm: null,
          wide,
          sideways:
            rule.sideways.by === 'inLine' || rule.sideways.by === 'holes' ? { by: 'front' } : rule.sideways,
        }
      : null;
  }
  // What it should stand beside may not be there: then it moves by itself.
  if (rule.sideways.by === 'outward' && !problems.some((problem) => problem.code === 'anchor-missing')) {
    const stitches = rule.sideways.stitches + by;
    return stitches >= 0 ? { ...rule, sideways: { ...rule.sideways, stitches } } : null;
  }
  const next = (apart ?? 1) + by;
  return next >= 1 && next < of - rule.wide ? { ...rule, sideways: atDistance(rule.sideways, next) } : null;
}
