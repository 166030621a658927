/** What decides which way stitch numbers run, seen from the front. */
export interface Orientation {
  hand: 'left' | 'right';
  /** where the start of the part is on the finished toy */
  start: 'top' | 'bottom';
  /** which side of the fabric faces outward: `out` is the side that faces the maker while she works */
  side: 'out' | 'in';
}

/**
 * +1 where stitch numbers run from left to right as you look at the piece, -1 where they run from right to left.
 *
 * Right-handed, outside out, start at the top runs left to right; each of the three turned round reverses it.
 */
export function direction({ hand, start, side }: Orientation): 1 | -1 {
  const reversed = Number(hand === 'left') + Number(start === 'bottom') + Number(side === 'in');
  return reversed % 2 === 0 ? 1 : -1;
}
