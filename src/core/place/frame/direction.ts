import type { Fabric } from '../../fabric/fabric';

/** What decides which way stitch numbers run, seen from the front. */
export interface Orientation {
  hand: 'left' | 'right';
  /** where the start of the part is on the finished toy, or would be with the part stood up */
  start: 'top' | 'bottom';
  /** the part lies on its side: stood up, then turned a quarter to the left */
  lying: boolean;
  /** which side of the fabric faces outward: `out` is the side that faces the maker while she works */
  side: 'out' | 'in';
}

/**
 * +1 where stitch numbers run from left to right as you look at the piece, -1 where they run from right to left. On a part that lies on
 * its side, +1 where they run upwards.
 *
 * Right-handed, outside out, start at the top runs left to right; each of the three turned round reverses it.
 */
export function direction({ hand, start, side }: Omit<Orientation, 'lying'>): 1 | -1 {
  const reversed = Number(hand === 'left') + Number(start === 'bottom') + Number(side === 'in');
  return reversed % 2 === 0 ? 1 : -1;
}

/**
 * The same for a line of holes. Every other row of a piece in rows is worked back, so its stitch numbers run the other way.
 *
 * @param line the line between the rounds with index `line` and `line + 1`, from 1
 */
export function directionAt(fabric: Fabric, orientation: Orientation, line: number): 1 | -1 {
  const dir = direction(orientation);
  return fabric.row[line] === 1 && line % 2 === 1 ? (dir === 1 ? -1 : 1) : dir;
}
