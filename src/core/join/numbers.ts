import type { JoinPart } from './joined';
import { roundNumbered } from '../fabric/rounds';

/** The number a maker gives a row, which may lie halfway between two. */
export function labelOf({ fabric }: JoinPart, row: number): number {
  const below = fabric.label[Math.floor(row) - 1] ?? Math.floor(row);
  return below + (row - Math.floor(row));
}

/** The row of a round by the number a maker gives it; a half lies between two. */
export function rowOfLabel({ fabric }: JoinPart, round: number): number {
  const whole = Math.floor(round);
  return roundNumbered(fabric, whole) + (round - whole);
}

/** Places with their rounds by the numbers a maker gives them. */
export const relabelled = <T extends { round: number }>(wall: JoinPart, places: readonly T[]): T[] =>
  places.map((place) => ({ ...place, round: labelOf(wall, place.round) }));

/** A stitch brought into its round, on a whole or half number. */
export const inRound = (stitch: number, count: number): number => {
  const within = ((((stitch - 0.5) % count) + count) % count) + 0.5;
  return Math.round(within * 2) / 2;
};
