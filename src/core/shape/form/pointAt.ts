import { roundCount, type Fabric } from '../../fabric/fabric';
import { turn } from '../azimuth';
import { outwardAt } from './sight';
import type { FormNodes } from './nodes';
import type { Stand } from './stand';

/** A point on the line of holes above a round, and the way out of the fabric there. */
export interface SurfacePoint {
  at: [number, number, number];
  out: [number, number, number];
  /** the stitch nearest to it */
  stitch: number;
}

/**
 * The place on the form at an azimuth of a round's top.
 *
 * @param azimuths as from `formAzimuths`
 * @param placed as from `standing`
 * @param round from 1
 */
export function pointAt(fabric: Fabric, nodes: FormNodes, placed: Float32Array, stand: Stand, azimuths: Float64Array, round: number, azimuth: number): SurfacePoint | null {
  const count = roundCount(fabric, round);
  if (count === 0) return null;
  const from = fabric.offset[round - 1] ?? 0;
  const first = azimuths[from] ?? 0;
  const wanted = first + ((((azimuth - first) % turn) + turn) % turn);
  let low = from;
  while (low + 1 < from + count && (azimuths[low + 1] ?? 0) <= wanted) low += 1;
  const high = low + 1 < from + count ? low + 1 : from;
  const highAt = high === from ? first + turn : (azimuths[high] ?? 0);
  const share = Math.max(0, Math.min(1, (wanted - (azimuths[low] ?? 0)) / Math.max(1e-9, highAt - (azimuths[low] ?? 0))));
  const at = [0, 1, 2].map((axis) => placed[low * 3 + axis]! * (1 - share) + placed[high * 3 + axis]! * share) as [number, number, number];
  const [a, b] = [outwardAt(nodes, placed, stand, low), outwardAt(nodes, placed, stand, high)];
  const out = [0, 1, 2].map((axis) => a[axis]! * (1 - share) + b[axis]! * share) as [number, number, number];
  const size = Math.hypot(...out) || 1;
  return { at, out: [out[0] / size, out[1] / size, out[2] / size], stitch: share < 0.5 ? low : high };
}
