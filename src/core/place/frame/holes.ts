import { roundCount, type Fabric } from '../../fabric/fabric';
import { leanOfJoined, leanOfSpiral } from '../../shape/gauge';
import { turn, wrapAngle } from '../../shape/azimuth';

/** The holes of one gap, spaced evenly around the piece. */
export interface Holes {
  /** holes there are: the stitches of the round above the gap */
  count: number;
  /** azimuth of hole 1, in radians in the direction of work */
  first: number;
}

/**
 * The foot holes of gap `round | round + 1`. Foot hole i is where stitch i of round + 1 goes into the fabric: over its parent, half the
 * lean on.
 *
 * @param round index of the round below the gap, from 1
 */
export function footHoles(fabric: Fabric, starts: Float64Array, lean: number | null, round: number): Holes {
  const count = roundCount(fabric, round + 1);
  // A row has no around: its holes run from one edge to the other, its middle at azimuth 0.
  if (fabric.row[round] === 1) return { count, first: (turn * (0.5 - count / 2)) / Math.max(1, count) };
  const base = (fabric.base[round] ?? round) - 1;
  const below = Math.max(1, roundCount(fabric, base + 1));
  const from = fabric.offset[round] ?? 0;
  const baseFrom = fabric.offset[base] ?? 0;
  const shift = lean ?? (fabric.joined[round] ? leanOfJoined : leanOfSpiral);
  let sum = 0;
  for (let i = 0; i < count; i += 1) {
    const first = fabric.parentFirst[from + i] ?? 0;
    const parents = fabric.parentCount[from + i] ?? 1;
    sum += (first - baseFrom + parents / 2) / below - i / count;
  }
  return {
    count,
    first: (starts[base] ?? 0) + (turn * sum) / Math.max(1, count) - (turn * shift) / 2 / Math.max(1, count),
  };
}

/** The splits of the gap: split i lies between stitches i and i + 1 of the round above it. */
export function splits(fabric: Fabric, starts: Float64Array, lean: number | null, round: number): Holes {
  const holes = footHoles(fabric, starts, lean, round);
  return { count: holes.count, first: holes.first + turn / 2 / Math.max(1, holes.count) };
}

/** Azimuth of hole `hole` (from 1, may be a fraction). */
export function holeAzimuth(holes: Holes, hole: number): number {
  return holes.first + (turn * (hole - 1)) / Math.max(1, holes.count);
}

/** The hole (from 1, a real number up to count + 1) at an azimuth. */
export function holeAt(holes: Holes, azimuth: number): number {
  const at = ((azimuth - holes.first) / turn) * holes.count;
  return (((at % holes.count) + holes.count) % holes.count) + 1;
}

/** Azimuth of every foot hole of a gap, each where it really is: over its own parents. Of a row evenly from edge to edge. */
export function footHoleAzimuths(
  fabric: Fabric,
  starts: Float64Array,
  lean: number | null,
  round: number,
): number[] {
  const even = footHoles(fabric, starts, lean, round);
  if (fabric.row[round] === 1) return Array.from({ length: even.count }, (_, i) => holeAzimuth(even, i + 1));
  const base = (fabric.base[round] ?? round) - 1;
  const below = Math.max(1, roundCount(fabric, base + 1));
  const shift = lean ?? (fabric.joined[round] ? leanOfJoined : leanOfSpiral);
  const first = (starts[base] ?? 0) - (turn * shift) / 2 / Math.max(1, even.count);
  return Array.from({ length: even.count }, (_, i) => {
    const stitch = (fabric.offset[round] ?? 0) + i;
    const over =
      (fabric.parentFirst[stitch] ?? 0) - (fabric.offset[base] ?? 0) + (fabric.parentCount[stitch] ?? 1) / 2;
    return first + (turn * over) / below;
  });
}

/** Rounds with where each begins, and how far they lean where that is measured. */
export interface LeaningRounds {
  fabric: Fabric;
  starts: Float64Array;
  lean: number | null;
}

/**
 * The foot hole nearest to an azimuth, each hole where it really is: over its own parents, not evenly spaced. Around increases and
 * decreases that is up to half a stitch apart.
 *
 * @param round index of the round below the gap, from 1
 */
export function nearestFootHole(
  { fabric, starts, lean }: LeaningRounds,
  round: number,
  azimuth: number,
): { hole: number; azimuth: number } {
  const even = footHoles(fabric, starts, lean, round);
  if (fabric.row[round] === 1) {
    const hole = Math.max(
      1,
      Math.min(even.count, Math.round(((azimuth - even.first) / turn) * even.count) + 1),
    );
    return { hole, azimuth: holeAzimuth(even, hole) };
  }
  let best = { hole: 1, azimuth, off: Infinity };
  for (const [i, at] of footHoleAzimuths(fabric, starts, lean, round).entries()) {
    const off = Math.abs(wrapAngle(at - azimuth));
    if (off < best.off - 1e-9) best = { hole: i + 1, azimuth: azimuth + wrapAngle(at - azimuth), off };
  }
  return { hole: best.hole, azimuth: best.azimuth };
}
