import { backLoop, frontLoop, roundCount, type Fabric } from '../../fabric/fabric';
import type { FeatureKind, LandmarkKind } from '../../notation/sentence/said';

const landmarks: ReadonlySet<string> = new Set([
  'ridge',
  'colour change',
  'neck',
  'edge',
  'base',
  'top',
  'start',
] satisfies LandmarkKind[]);

/** Whether a name is a place of the part itself, not a feature on it. */
export const isLandmark = (name: FeatureKind | LandmarkKind | 'front'): name is LandmarkKind =>
  landmarks.has(name);

// A fabric never changes; every feature of a part asks for the same few lines.
const known = new WeakMap<Fabric, Map<LandmarkKind, number[]>>();

/**
 * The lines of holes a landmark lies on: 8 is the line between the rounds with index 8 and 9, from 1. Empty where the part has none.
 *
 * A ridge lies under the first round worked into one loop only; a colour change under the first round that brings a
 * colour the round before it has not. A neck is the narrowest line between two places that are wider by a quarter at least.
 */
export function landmarkLines(fabric: Fabric, landmark: LandmarkKind): readonly number[] {
  const ofFabric = known.get(fabric) ?? new Map<LandmarkKind, number[]>();
  known.set(fabric, ofFabric);
  const found = ofFabric.get(landmark) ?? findLines(fabric, landmark);
  ofFabric.set(landmark, found);
  return found;
}

function findLines(fabric: Fabric, landmark: LandmarkKind): number[] {
  const { rounds, offset } = fabric;
  if (landmark === 'neck') return necks(fabric);
  if (landmark === 'edge') return [rounds];
  if (landmark === 'base' || landmark === 'top' || landmark === 'start') return [0];
  const stitchesOf = (round: number) =>
    Array.from(
      { length: (offset[round + 1] ?? 0) - (offset[round] ?? 0) },
      (_, i) => (offset[round] ?? 0) + i,
    );
  const found: number[] = [];
  let ridgeBefore = false;
  for (let round = 1; round < rounds; round += 1) {
    const here = stitchesOf(round);
    if (landmark === 'ridge') {
      const ridge =
        here.filter((stitch) => fabric.into[stitch] === frontLoop || fabric.into[stitch] === backLoop)
          .length *
          2 >
        here.length;
      if (ridge && !ridgeBefore) found.push(round);
      ridgeBefore = ridge;
      continue;
    }
    const before = new Set(stitchesOf(round - 1).map((stitch) => fabric.colour[stitch]));
    if (here.some((stitch) => !before.has(fabric.colour[stitch]))) found.push(round);
  }
  return found;
}

/** Both sides of a neck are wider than it by so much; less is shaping. */
const neckFrom = 1.25;

/** The narrowest lines of a part that widens again: of several rounds alike the middle one. */
function necks(fabric: Fabric): number[] {
  // A frill or another round worked aside is not on the way.
  const wall = Array.from({ length: fabric.rounds }, (_, i) => i + 1).filter(
    (round) => fabric.row[round - 1] !== 1 && (round === 1 || fabric.base[round - 1] === round - 1),
  );
  const found: number[] = [];
  let widest = 0;
  let narrow: { from: number; to: number; count: number } | null = null;
  for (const round of wall) {
    const count = roundCount(fabric, round);
    if (narrow && count >= narrow.count * neckFrom) {
      found.push(Math.floor((narrow.from + narrow.to) / 2));
      narrow = null;
      widest = count;
    } else if (narrow && count === narrow.count && round === narrow.to + 1) narrow.to = round;
    else if (widest >= count * neckFrom && (!narrow || count < narrow.count))
      narrow = { from: round, to: round, count };
    widest = Math.max(widest, count);
  }
  return found;
}
