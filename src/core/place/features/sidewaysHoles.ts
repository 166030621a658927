import type { FeatureKind } from '../../notation/step';
import { turn, wrapAngle } from '../../shape/azimuth';
import type { Anchor } from './anchors';
import type { FeatureRule } from './featureRule';

/** A line of holes seen from its middle: what sideways rules are worked out on. Of a part that lies on its side, the lines themselves. */
export interface LineOfHoles {
  count: number;
  /** the middle: azimuth of the front line, or opposite it at the back; of a part that lies, a line */
  middle: number;
  /** whole and broken holes from one azimuth, or line, to another */
  between: (a: number, b: number) => number;
  /** holes in a mm */
  perMm: number;
}

/** The holes of one line around a part. */
export function holesAround(count: number, middle: number, radius: number): LineOfHoles {
  return {
    count,
    middle,
    between: (a, b) => (Math.abs(wrapAngle(b - a)) / turn) * count,
    perMm: count / (turn * radius),
  };
}

/**
 * What belongs to each eye, not to the face: lashes, the points that draw an eye in, a patch behind it. It goes with the eyes as they are
 * seated, also where those lie a little beside the middle.
 */
export function belongsToEach({ kind, sides, sideways, vertical }: FeatureRule): boolean {
  return (
    sides !== 'middle' &&
    sideways.by === 'inLine' &&
    sideways.to === 'eyes' &&
    (kind === 'lashes' || kind === 'sculpting' || vertical?.by === 'level')
  );
}

/** Width in holes of what is stitched: as said, as wide as something, or as many whole stitches as lie nearest to a width in mm. */
export function widthOf(rule: FeatureRule, anchor: Anchor | undefined, holes: LineOfHoles): number {
  const most = Math.max(1, holes.count - 1);
  if (rule.embroidered && rule.sizeMm !== null)
    return Math.max(1, Math.min(most, Math.round(rule.sizeMm * holes.perMm)));
  if (rule.sideways.by !== 'inLine' || rule.sides !== 'middle') return Math.min(rule.wide, most);
  const [left, right] = [anchor?.units[0], anchor?.units.at(-1)];
  if (!left || !right || left === right) return Math.min(rule.wide, most);
  const { edge } = rule.sideways;
  const of = (unit: typeof left) =>
    edge === 'inner' ? unit.inner : edge === 'outer' ? unit.outer : unit.azimuth;
  return Math.max(1, Math.min(most, Math.round(holes.between(of(left), of(right)))));
}

/**
 * Middle to middle of a pair, in holes of its line. What is said as a number stays that number; what follows from something else falls
 * between whole stitches, and the number is taken by which the worse of the two sides is least off.
 *
 * @param span holes each of the pair covers
 * @param missOf how far a pair of this distance lies off the middle, in stitches
 * @returns and whether anything said so
 */
export function apartFor(
  rule: FeatureRule,
  anchorFor: (kind: FeatureKind) => Anchor | undefined,
  holes: LineOfHoles,
  span: number,
  missOf: (apart: number) => number,
): { apart: number; said: boolean } {
  const { sideways } = rule;
  const half = Math.floor(span / 2);
  const nearest = (wanted: number) => {
    const off = (apart: number) => Math.abs(apart - wanted) / 2 + Math.abs(missOf(apart));
    // Of equally good ones the mirror-true, then the wider: what stands outside is not to touch.
    return [-1, 0, 1]
      .map((by) => Math.max(1, Math.round(wanted) + by))
      .reduce((best, apart) =>
        off(apart) < off(best) - 1e-9 ||
        (off(apart) < off(best) + 1e-9 && Math.abs(missOf(apart)) < Math.abs(missOf(best)) + 1e-9)
          ? apart
          : best,
      );
  };
  if (sideways.by === 'apart' || (sideways.by === 'back' && sideways.apart !== undefined))
    return { apart: sideways.apart ?? 0, said: true };
  if (sideways.by === 'outward' && sideways.from === 'front')
    return { apart: Math.max(1, Math.round(2 * (sideways.stitches + half))), said: true };
  const anchor =
    sideways.by === 'inLine'
      ? anchorFor(sideways.to)
      : sideways.by === 'outward'
        ? anchorFor(sideways.from as FeatureKind)
        : undefined;
  if (anchor && anchor.units.length > 0) {
    // The mean over both sides keeps the pair mirror-true where the anchor itself is a little off.
    const mean = (of: (unit: Anchor['units'][number]) => number) =>
      anchor.units.reduce((sum, one) => sum + holes.between(of(one), holes.middle), 0) / anchor.units.length;
    if (sideways.by === 'inLine') {
      return {
        apart: nearest(
          2 *
            mean((one) =>
              sideways.edge === 'inner' ? one.inner : sideways.edge === 'outer' ? one.outer : one.azimuth,
            ) -
            (span % 2),
        ),
        said: true,
      };
    }
    if (sideways.by === 'outward') {
      const [single] = anchor.units;
      const edge =
        anchor.units.length === 1 && single ? single.halfMm * holes.perMm : mean((one) => one.azimuth);
      // So many stitches from the post to the nearest hole of the feature.
      return { apart: nearest(2 * (edge + sideways.stitches + half)), said: true };
    }
  }
  return { apart: Math.max(2, Math.round(holes.count / 6 + span)), said: sideways.by !== 'front' };
}
