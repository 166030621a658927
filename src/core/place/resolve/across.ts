import type { FeatureKind } from '../../notation/sentence/said';
import type { Across, Row } from '../frame/faceFrame';
import type { FeatureRule } from '../rule/rule';
import type { Anchor, AnchorUnit } from './anchors';

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

/** Where an edge of something lies, or its middle. */
const edgeOf = (edge: 'inner' | 'outer' | 'middle', unit: AnchorUnit): Across => unit[edge];

/** Width in holes of what is stitched: as said, as wide as something, or as many whole stitches as lie nearest to a width in mm. */
export function widthOf({ sideways, ...rule }: FeatureRule, anchor: Anchor | undefined, row: Row): number {
  const onRow = (wide: number) => Math.min(Math.max(1, row.most), wide);
  if (rule.embroidered && rule.sizeMm !== null)
    return Math.max(1, onRow(Math.round(rule.sizeMm / row.stepMm)));
  const [left, right] = [anchor?.units[0], anchor?.units.at(-1)];
  const asWide = sideways.by === 'inLine' && rule.sides === 'middle' && left && right && left !== right;
  if (!asWide) return onRow(rule.wide);
  const between = row.between(edgeOf(sideways.edge, left), edgeOf(sideways.edge, right));
  return Math.max(1, onRow(Math.round(between)));
}

/** What a distance is asked for with. */
interface ApartAsked {
  /** positions each of the pair covers */
  span: number;
  /** where nothing says how far */
  usual: number;
  /** how far a pair of this distance lies off the middle */
  missOf: (apart: number) => number;
  /** what it may stand beside */
  anchor: (kind: FeatureKind) => Anchor | undefined;
}

/**
 * Middle to middle of a pair, in positions of its row. What is said as a number stays that number; what follows from something else falls
 * between whole stitches, and the number is taken by which the worse of the two sides is least off.
 *
 * @returns and whether anything said so
 */
export function apartFor(
  { sideways }: FeatureRule,
  row: Row,
  asked: ApartAsked,
): { apart: number; said: boolean } {
  const half = Math.floor(asked.span / 2);
  // Middles of an odd width lie half a hole further out on both sides.
  const said = (apart: number) => ({
    apart: apart > 1 ? apart - (asked.span % 2) : apart,
    said: true,
  });
  if (sideways.by === 'apart') return said(sideways.apart);
  if (sideways.by === 'back' && sideways.apart !== undefined) return said(sideways.apart);
  if (sideways.by === 'outward' && sideways.from === 'front')
    return { apart: Math.max(1, Math.round(2 * (sideways.stitches + half))), said: true };
  const wanted = distanceBy(sideways, row, asked);
  if (wanted !== null) return { apart: nearestApart(wanted, asked.missOf), said: true };
  return { apart: asked.usual, said: sideways.by !== 'front' };
}

/** How far apart something else says, as a real number; null where nothing does. */
function distanceBy(
  sideways: FeatureRule['sideways'],
  row: Row,
  { span, anchor }: ApartAsked,
): number | null {
  const kind = sideways.by === 'inLine' ? sideways.to : sideways.by === 'outward' ? sideways.from : null;
  const units = kind === null || kind === 'front' ? [] : (anchor(kind)?.units ?? []);
  const [single] = units;
  if (!single) return null;
  // The mean over both sides keeps the pair mirror-true where the anchor itself is a little off.
  const mean = (edge: 'inner' | 'outer' | 'middle') =>
    units.reduce((sum, unit) => sum + row.between(edgeOf(edge, unit), row.centre), 0) / units.length;
  if (sideways.by === 'inLine') return 2 * mean(sideways.edge) - (span % 2);
  if (sideways.by !== 'outward') return null;
  const edge = units.length === 1 ? single.halfMm / row.stepMm : mean('middle');
  // So many stitches from the post to the nearest hole of the feature.
  return 2 * (edge + sideways.stitches + Math.floor(span / 2));
}

/**
 * The whole number by which the worse of the two sides is least off; of equally good ones the mirror-true, then the wider: what stands
 * outside is not to touch.
 */
function nearestApart(wanted: number, missOf: (apart: number) => number): number {
  const miss = (apart: number) => Math.abs(missOf(apart));
  const off = (apart: number) => Math.abs(apart - wanted) / 2 + miss(apart);
  const better = (one: number, than: number) =>
    off(one) < off(than) - 1e-9 || (off(one) < off(than) + 1e-9 && miss(one) < miss(than) + 1e-9);
  return [-1, 0, 1]
    .map((by) => Math.max(1, Math.round(wanted) + by))
    .reduce((best, apart) => (better(apart, best) ? apart : best));
}
