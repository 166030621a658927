import type { JoinPart } from './joined';
import { roundNumbered, type RoundRef } from '../fabric/rounds';
import type { Covers } from './sewing';

/** The number a maker gives a row, which may lie halfway between two. */
export function labelOf({ fabric }: JoinPart, row: number): number {
  const below = fabric.label[Math.floor(row) - 1] ?? Math.floor(row);
  return below + (row - Math.floor(row));
}

/** A row with its number. */
export const roundAt = (wall: JoinPart, row: number): RoundRef => ({ row, round: labelOf(wall, row) });

/** The row of a round by the number a maker gives it; a half lies between two. */
export function rowOfLabel({ fabric }: JoinPart, round: number): number {
  const whole = Math.floor(round);
  return roundNumbered(fabric, whole) + (round - whole);
}

/** Places by row, with the numbers a maker gives their rounds. */
export const withNumbers = <T extends { row: number }>(
  wall: JoinPart,
  places: readonly T[],
): (T & RoundRef)[] => places.map((place) => ({ ...place, ...roundAt(wall, place.row) }));

/** The rows something covers, with the numbers of the first and last round. */
export const rowsCovered = (
  wall: JoinPart,
  [first, last]: Covers['rows'],
): { rows: Covers['rows']; rounds: Covers['rows'] } => ({
  rows: [first, last],
  rounds: [labelOf(wall, first), labelOf(wall, last)],
});

/** A stitch brought into its round, on a whole or half number. */
export const inRound = (stitch: number, count: number): number => {
  const within = ((((stitch - 0.5) % count) + count) % count) + 0.5;
  return Math.round(within * 2) / 2;
};
