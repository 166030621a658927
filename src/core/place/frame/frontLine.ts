import { roundCount, type Fabric } from '../../fabric/fabric';
import type { PartSource } from '../../notation/pattern';
import { stitchAzimuth, turn, wrapAngle } from '../../shape/azimuth';
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

/** A round bends a piece where this many stitches more or fewer lie on one of its sides. */
const bendingStitches = 2;
/** A bend further than this from the front or the back is one to the side, and says nothing about the front. */
const besideFrom = Math.PI / 3;

/** How many stitches a round has more or fewer than the one below, as a vector towards where they are. */
function bendOf(fabric: Fabric, starts: Float64Array, round: number): { x: number; y: number } {
  const bend = { x: 0, y: 0 };
  const count = roundCount(fabric, round);
  const from = fabric.offset[round - 1] ?? 0;
  for (let i = 0; i < count; i += 1) {
    const at = from + i;
    const isIncrease = i > 0 && fabric.parentFirst[at] === fabric.parentFirst[at - 1];
    const changed = isIncrease ? 1 : Math.max(0, (fabric.parentCount[at] ?? 1) - 1);
    const azimuth = stitchAzimuth(fabric, starts, round, i + 1);
    bend.x += changed * Math.cos(azimuth);
    bend.y += changed * Math.sin(azimuth);
  }
  return bend;
}

/**
 * The azimuth a piece faces by its shape, in radians: a foot is bent towards its toes by increases or decreases on one side. Makers put
 * them opposite the start of the round or at it, so what lies at the back is taken for its front. Null where nothing bends it, or only
 * to a side.
 */
export function bentFront(fabric: Fabric, starts: Float64Array): number | null {
  let [x, y] = [0, 0];
  for (let round = 2; round <= fabric.rounds; round += 1) {
    if (fabric.row[round - 1] === 1) continue;
    const bend = bendOf(fabric, starts, round);
    if (Math.hypot(bend.x, bend.y) < bendingStitches) continue;
    const azimuth = Math.atan2(bend.y, bend.x);
    const off = Math.abs(wrapAngle(azimuth - (starts[round - 1] ?? 0) - Math.PI));
    const isBack = off > Math.PI - besideFrom;
    if (off > besideFrom && !isBack) continue;
    x += isBack ? -bend.x : bend.x;
    y += isBack ? -bend.y : bend.y;
  }
  return Math.hypot(x, y) < bendingStitches ? null : Math.atan2(y, x);
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
