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
  'last increase',
  'first decrease',
  'plain rounds',
] satisfies LandmarkKind[]);

/** Whether a name is a place of the part itself, not a feature on it. */
export const isLandmark = (name: FeatureKind | LandmarkKind | 'front'): name is LandmarkKind =>
  landmarks.has(name);

// A fabric never changes; every feature of a part asks for the same few lines.
const known = new WeakMap<Fabric, Map<LandmarkKind, number[]>>();

/**
 * The lines of holes a landmark lies on: 8 is the line between the rounds with index 8 and 9, from 1. Empty where the part has none.
 *
 * A last increase lies before the line after it, a first decrease after the line before it: one of each time the piece widens or narrows.
 * Plain rounds lie behind the line their first one is worked along. A ridge lies under the first round worked into one loop only; a colour change under the first round that brings a
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
  if (landmark === 'last increase') return lastIncreases(fabric);
  if (landmark === 'first decrease') return firstDecreases(fabric);
  if (landmark === 'plain rounds') return plainStarts(fabric);
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

/** The rounds of the wall, from 1; a frill or another round worked aside is not on the way. */
export const wallRounds = (fabric: Fabric): number[] =>
  Array.from({ length: fabric.rounds }, (_, i) => i + 1).filter(
    (round) => fabric.row[round - 1] !== 1 && (round === 1 || fabric.base[round - 1] === round - 1),
  );

/** Where the count of a round differs from the one below, and which way: `1` wider, `-1` narrower. */
function changesOf(fabric: Fabric): { round: number; way: number }[] {
  return wallRounds(fabric).flatMap((round, index, wall) => {
    const below = wall[index - 1];
    const way = below === undefined ? 0 : Math.sign(roundCount(fabric, round) - roundCount(fabric, below));
    return way === 0 ? [] : [{ round, way }];
  });
}

/** The lines after the last round that widens, each time the piece does. */
const lastIncreases = (fabric: Fabric): number[] =>
  changesOf(fabric)
    .filter(({ way }, index, all) => way > 0 && !((all[index + 1]?.way ?? -1) > 0))
    .map(({ round }) => round);

/** The lines before the first round that narrows, each time the piece does. */
const firstDecreases = (fabric: Fabric): number[] =>
  changesOf(fabric)
    .filter(({ way }, index, all) => way < 0 && !((all[index - 1]?.way ?? 1) < 0))
    .map(({ round }) => round - 1);

/** The lines before each run of rounds that neither widen nor narrow; one such round between two others is no run. */
function plainStarts(fabric: Fabric): number[] {
  const wall = wallRounds(fabric);
  const changed = new Set(changesOf(fabric).map(({ round }) => round));
  const isPlain = (round: number | undefined) => round !== undefined && round > 1 && !changed.has(round);
  return wall.flatMap((round, index) =>
    isPlain(round) && !isPlain(wall[index - 1]) && isPlain(wall[index + 1]) ? [round - 1] : [],
  );
}

/** The narrowest lines of a part that widens again: of several rounds alike the middle one. */
function necks(fabric: Fabric): number[] {
  const wall = wallRounds(fabric);
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
