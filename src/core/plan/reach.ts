import type { Fabric } from '../fabric/fabric';
import { openingMm, type Profile } from '../shape/profile';
import type { Gauge } from '../shape/gauge';
import type { Hands } from './hands';

/** The openings of a part while it is worked, and how far along its wall the live edge is from a place. Rounds by index, from 1. */
export interface Passage {
  fabric: Fabric;
  gauge: Gauge;
  profile: Profile;
}

/** How wide the edge is while a round has just been worked, as a diameter in mm. */
export const openingAfter = ({ fabric, gauge }: Passage, round: number): number =>
  openingMm(fabric, gauge, round);

/** Way along the wall from the line of holes above one round to the edge of a later one, in mm. */
function wayMm({ profile }: Passage, from: number, to: number): number {
  return (profile.along[to - 1] ?? 0) - (profile.along[from - 1] ?? 0);
}

/** What gets through and how deep it reaches. */
export interface Reaching {
  diameterMm: number;
  reachMm: (narrowestMm: number) => number;
}

/** Fingers, and where the opening lets it in the whole hand. */
export const byFingers = (diameterMm: number, hands: Hands): Reaching => ({
  diameterMm,
  reachMm: (narrowest) => (narrowest >= hands.wholeHand ? hands.handReach : hands.fingerReach),
});

/** A stick. */
export const byTool = ({ stuffTool, toolReach }: Hands): Reaching => ({
  diameterMm: stuffTool,
  reachMm: () => toolReach,
});

/**
 * The first round after which something gets in as wide as asked: a start is narrow, and widens from round to round. Where it narrows
 * before, it is as it is.
 */
export function firstWide(passage: Passage, from: number, diameterMm: number): number {
  let round = from;
  const opening = (at: number) => openingAfter(passage, at);
  while (round < passage.fabric.rounds && opening(round) < diameterMm && opening(round + 1) >= opening(round))
    round += 1;
  return opening(round) < diameterMm ? from : round;
}

/**
 * The last round after which a place can still be reached from the live edge: everything between has to be wide enough, and near enough.
 *
 * @param from the round after which the place is there
 * @param place the round whose upper edge has to be reached; `from` where it is left out
 * @returns 0 where it can never be reached
 */
export function lastReached(
  passage: Passage,
  from: number,
  { diameterMm, reachMm }: Reaching,
  place = from,
): number {
  let last = 0;
  let narrowest = Infinity;
  for (let round = from; round <= passage.fabric.rounds; round += 1) {
    narrowest = Math.min(narrowest, openingAfter(passage, round));
    const isInReach = wayMm(passage, place, round) <= reachMm(narrowest);
    if (narrowest < diameterMm || !isInReach) break;
    last = round;
  }
  return last;
}
