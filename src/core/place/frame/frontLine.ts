import { roundCount, type Fabric } from '../../fabric/fabric';
import type { PartSource } from '../../notation/pattern';
import { stitchAzimuth, turn } from '../../shape/azimuth';
import { roundNumbered } from '../../fabric/rounds';

/**
 * Azimuth of the front line in radians: where the maker set it, else opposite the average round start over the rounds that carry
 * features. A spiral's round start wanders, so the rounds matter.
 *
 * @param rounds the rounds that carry features, from 1; the whole part where there are none
 */
export function frontAzimuth(
  part: PartSource,
  fabric: Fabric,
  starts: Float64Array,
  rounds: readonly number[],
): number {
  const flat = fabric.row[0] === 1;
  if (part.front) {
    const round = roundNumbered(fabric, part.front.round);
    const count = Math.max(1, roundCount(fabric, round));
    if (round > 0 && flat) return (turn * (part.front.stitch - 0.5 - count / 2)) / count;
    if (round > 0) return stitchAzimuth(fabric, starts, round, part.front.stitch);
  }
  // A piece in rows faces forward in its middle.
  if (flat) return 0;
  const wanted = rounds.filter((round) => round >= 1 && round <= fabric.rounds);
  const over = wanted.length > 0 ? wanted : Array.from({ length: fabric.rounds }, (_, i) => i + 1);
  const sum = over.reduce((total, round) => total + (starts[round - 1] ?? 0), 0);
  return sum / Math.max(1, over.length) + Math.PI;
}

/**
 * Index (from 1) of the round below the line of holes between rounds `lower` and `lower + 1`; 0 where no two rounds of these numbers
 * follow one another, as where a number is missing or comes twice.
 */
export function lineAbove(fabric: Fabric, lower: number): number {
  const round = roundNumbered(fabric, lower);
  if (round > 0 && fabric.label[round] === lower + 1) return round;
  for (let at = 1; at < fabric.rounds; at += 1) {
    if (fabric.label[at - 1] === lower && fabric.label[at] === lower + 1) return at;
  }
  return 0;
}
