import { t } from '../../words/language';
import { roundCount, type Fabric } from '../../fabric/fabric';
import { turn, wrapAngle } from '../../shape/azimuth';
import { plural } from '../../words/counted';
import type { MapView } from '../../shape/map';

/** A stitch as a maker finds it. */
export interface StitchAddress {
  /** round by the number in the maker's text, and stitch from 1 */
  round: number;
  stitch: number;
  of: number;
  /** whole stitches from the front line, to the right of it as seen from the front when positive */
  fromFront: number;
}

/** Round (index from 0) a stitch belongs to. */
export function roundOfStitch(fabric: Fabric, stitch: number): number {
  let [low, high] = [0, fabric.rounds];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if ((fabric.offset[middle] ?? 0) <= stitch) low = middle;
    else high = middle;
  }
  return low;
}

/**
 * The address of a stitch.
 *
 * @param stitch index in the fabric
 * @param azimuth where it stands, in radians
 * @param facing azimuth of the front line, and which way stitch numbers run as seen from the front
 */
export function addressOf(
  fabric: Fabric,
  stitch: number,
  azimuth: number,
  { front, dir }: Pick<MapView, 'front' | 'dir'>,
): StitchAddress {
  const round = roundOfStitch(fabric, stitch);
  const of = roundCount(fabric, round + 1);
  return {
    round: fabric.label[round] ?? round + 1,
    stitch: stitch - (fabric.offset[round] ?? 0) + 1,
    of,
    fromFront: Math.round((dir * wrapAngle(azimuth - front) * of) / turn) || 0,
  };
}

/** `Round 14, stitch 22 of 48` */
export function addressWords({ round, stitch, of }: StitchAddress): string {
  return t`Round ${round}, stitch ${stitch} of ${of}`;
}

/** `on the front line`, `6 stitches to the left of the front` */
export function fromFrontWords({ fromFront, of }: StitchAddress): string {
  const away = Math.abs(fromFront);
  if (away === 0) return t`on the front line`;
  if (away * 2 >= of - 1) return t`in the middle of the back`;
  return fromFront < 0
    ? t`${plural(away, 'stitch')} to the left of the front`
    : t`${plural(away, 'stitch')} to the right of the front`;
}
