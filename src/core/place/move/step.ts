import { gapOf, type FaceFrame } from '../frame/faceFrame';
import { isLandmark } from '../frame/landmarks';
import { linesApart } from '../frame/sidewaysFrame';
import type { FeaturePlacement } from '../resolve/placement';
import { nextSize } from '../rule/hardware';
import { featureLibrary } from '../rule/library';
import { lineEdge, type Reach } from '../rule/reach';
import { atDistance, isPoint, leadsFace, isSewn, type FeatureRule, type Vertical } from '../rule/rule';

/** A smaller piece can't be sewn on. */
const smallestPieceMm = 3;

/** The furthest a named hole may lie beside the middle and still be meant for it, in stitches. */
export const besideMiddle = 2;

/**
 * The rule that moves a feature a step up or down as one looks at the toy: a round, a stitch on a part that lies on its side. What is said
 * by another feature goes on being said by it: two rounds below the eyes become one.
 *
 * @returns null where the face ends
 */
export function raised(frame: FaceFrame, placed: FeaturePlacement, by: 1 | -1): FeatureRule | null {
  const rule = byDistance(placed);
  const to = frame.raise(placed.level, by);
  if (frame.lies) return to === null ? null : raisedByStitches(rule, by, placed.counted);
  if (to === null) return null;
  const { vertical } = rule;
  const related = raisedVertical(vertical, by, placed.counted);
  if (related) return { ...rule, vertical: related };
  const step = to - placed.level;
  if (vertical?.by === 'range')
    return { ...rule, vertical: { by: 'range', from: vertical.from + step, to: vertical.to + step } };
  return { ...rule, vertical: { by: 'gap', gap: gapOf(frame.form, to) } };
}

/** The rule with holes that are named by number said by their distance, which holds on every line. */
export function byDistance({ rule, apart, missStitches, missSide }: FeaturePlacement): FeatureRule {
  if (rule.sideways.by !== 'holes') return rule;
  if (apart !== null) return { ...rule, sideways: { by: 'apart', apart } };
  if (Math.abs(missStitches) <= besideMiddle || missSide === null)
    return { ...rule, sideways: { by: 'front' } };
  const stitches = Math.round(Math.abs(missStitches) * 2) / 2;
  return { ...rule, sides: missSide, sideways: { by: 'outward', stitches, from: 'front' } };
}

/**
 * A place by something else, one round further up or down: 2 rounds below becomes 1, and then the same round. Null where it leads inward
 * from an end, which has no up, and where it would go past the edge of a feature that covers several rounds.
 *
 * @param counted reach of what it is counted from
 */
function raisedVertical(vertical: Vertical | null, by: 1 | -1, counted: Reach): Vertical | null {
  const edge = by > 0 ? counted.up : counted.down;
  if (vertical?.by === 'level' && edge === 0)
    return { by: 'relation', rounds: 1, direction: by > 0 ? 'above' : 'below', to: vertical.to };
  if (vertical?.by !== 'relation' || vertical.direction === 'from') return null;
  const above = vertical.direction === 'above';
  const covers = counted.up + counted.down > 0;
  if (vertical.rounds === 0 && covers && above !== by > 0) return null;
  const signed = (above ? vertical.rounds : -vertical.rounds) + by;
  if (signed === 0 && !isLandmark(vertical.to) && !covers) return { by: 'level', to: vertical.to };
  const direction = signed > 0 || (signed === 0 && above) ? 'above' : 'below';
  return { ...vertical, rounds: Math.abs(signed), direction };
}

/**
 * The rule so many stitches further up, or down, counted from what it is counted from now. Heights between the upper and the lower edge of
 * that are passed over: they have no number.
 *
 * @param counted reach of what it is counted from
 */
export function raisedByStitches(
  rule: FeatureRule,
  by: number,
  counted: Reach = lineEdge,
): FeatureRule | null {
  const { vertical } = rule;
  if (vertical?.by !== 'level' && vertical?.by !== 'stitches') return null;
  const { up, down } = counted;
  const wasAbove = vertical.by === 'stitches' && vertical.direction === 'above';
  const height = pastEdges(heightOver(vertical, counted) + by, by, counted);
  const put = (stitches: number, direction: 'above' | 'below'): FeatureRule => ({
    ...rule,
    vertical: { by: 'stitches', stitches, direction, to: vertical.to },
  });
  const staysAbove = height === 0 && wasAbove && up === 0;
  if (height > 0 || staysAbove) return put(height - up, 'above');
  if (height < 0 || down === 0 || vertical.to === 'front') return put(Math.abs(height) - down, 'below');
  return { ...rule, vertical: { by: 'level', to: vertical.to } };
}

/** Stitches over the line of what it is counted from. */
function heightOver(vertical: Vertical & { by: 'level' | 'stitches' }, { up, down }: Reach): number {
  if (vertical.by === 'level') return 0;
  return vertical.direction === 'above' ? vertical.stitches + up : -vertical.stitches - down;
}

function pastEdges(height: number, by: number, { up, down }: Reach): number {
  const within = height > -down && height < up;
  if (!within) return height;
  if (by > 0) return height <= 0 ? 0 : up;
  return height >= 0 ? 0 : -down;
}

/** A pair so far apart; eyes on a part that lies are told by their rounds. */
export function spaced({ form, lies }: FaceFrame, rule: FeatureRule, apart: number): FeatureRule {
  if (!lies || !leadsFace(rule)) return { ...rule, sideways: atDistance(rule.sideways, apart) };
  const [from, to] = linesApart(form, apart).map((line) => gapOf(form, line)[0]) as [number, number];
  return { ...rule, sideways: { by: 'rounds', from: Math.min(from, to), to: Math.max(from, to) } };
}

/** The rule that makes a single feature a stitch wider, or sets a pair a step further apart; null where there is no room. */
export function widened(frame: FaceFrame, placed: FeaturePlacement, by: 1 | -1): FeatureRule | null {
  const { rule, apart, problems } = placed;
  if (rule.sides === 'middle') return isSewn(rule) ? larger(rule, by) : wider(placed, by);
  // What it should stand beside may not be there: then it moves by itself.
  const alone = problems.some((problem) => problem.code === 'anchor-missing');
  if (rule.sideways.by === 'outward' && !alone) {
    const stitches = rule.sideways.stitches + by;
    return stitches >= 0 ? { ...rule, sideways: { ...rule.sideways, stitches } } : null;
  }
  return withApart(frame, placed, (apart ?? 1) + by);
}

/** The rule that sets a pair so far apart; null where there is no room. */
export function withApart(frame: FaceFrame, placed: FeaturePlacement, apart: number): FeatureRule | null {
  const { most } = frame.row(placed.level, frame.centre(false), false);
  const room = most - (isPoint(placed.rule) ? 0 : placed.rule.wide);
  return apart >= 1 && apart <= room ? spaced(frame, placed.rule, apart) : null;
}

function larger(rule: FeatureRule, by: 1 | -1): FeatureRule | null {
  const now = rule.sizeMm ?? 0;
  const sizeMm = nextSize(featureLibrary[rule.kind].sizesMm, now, by) ?? now + by;
  return sizeMm >= smallestPieceMm ? { ...rule, sizeMm } : null;
}

function wider({ rule, units }: FeaturePlacement, by: 1 | -1): FeatureRule | null {
  const wide = rule.wide + by;
  if (wide < 1 || wide >= (units[0]?.of ?? 0)) return null;
  const placedByWidth = rule.sideways.by === 'inLine' || rule.sideways.by === 'holes';
  return { ...rule, sizeMm: null, wide, sideways: placedByWidth ? { by: 'front' } : rule.sideways };
}
