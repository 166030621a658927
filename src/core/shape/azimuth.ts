import { roundCount, type Fabric } from '../fabric/fabric';
import { leanOfJoined, leanOfSpiral } from './gauge';

export const turn = 2 * Math.PI;

/**
 * Where every round begins, in radians around the axis, counted in the direction of work from the start of round 1.
 *
 * Each round is turned so that its stitches stand over what they are worked into, less the lean: the mean over the round is the
 * least-squares answer. Stitches within a round are spaced evenly.
 *
 * @param fabric the stitch graph
 * @param lean stitches a spiral round shifts against the direction of work; null for the usual figure
 */
export function roundStarts(fabric: Fabric, lean: number | null): Float64Array {
  const starts = new Float64Array(fabric.rounds);
  for (let round = 1; round < fabric.rounds; round += 1) {
    const base = (fabric.base[round] ?? round) - 1;
    const count = roundCount(fabric, round + 1);
    const below = roundCount(fabric, base + 1);
    if (count === 0 || below === 0 || base < 0) {
      starts[round] = starts[round - 1] ?? 0;
      continue;
    }
    const from = fabric.offset[round] ?? 0;
    const baseFrom = fabric.offset[base] ?? 0;
    let sum = 0;
    let placed = 0;
    for (let i = 0; i < count; i += 1) {
      const first = fabric.parentFirst[from + i] ?? -1;
      const parents = fabric.parentCount[from + i] ?? 0;
      if (first < 0 || parents === 0) continue;
      sum += (first - baseFrom + parents / 2) / below - (i + 0.5) / count;
      placed += 1;
    }
    const shift = lean ?? (fabric.joined[round] ? leanOfJoined : leanOfSpiral);
    starts[round] = (starts[base] ?? 0) + turn * (placed > 0 ? sum / placed : 0) - (turn * shift) / count;
  }
  return starts;
}

/** Azimuth of the middle of stitch `stitch` (from 1, may be a fraction) of round `round` (from 1), in radians. */
export function stitchAzimuth(fabric: Fabric, starts: Float64Array, round: number, stitch: number): number {
  return (starts[round - 1] ?? 0) + (turn * (stitch - 0.5)) / Math.max(1, roundCount(fabric, round));
}

/** The stitch (from 1, a real number) of a round that stands at an azimuth. */
export function stitchAtAzimuth(
  fabric: Fabric,
  starts: Float64Array,
  round: number,
  azimuth: number,
): number {
  const count = Math.max(1, roundCount(fabric, round));
  const at = ((azimuth - (starts[round - 1] ?? 0)) / turn) * count;
  return (((at % count) + count) % count) + 0.5;
}

/** Brings an angle into -π … π. */
export function wrapAngle(angle: number): number {
  const wrapped = ((((angle + Math.PI) % turn) + turn) % turn) - Math.PI;
  return wrapped;
}
