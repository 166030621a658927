/** What a post or the end of a thread goes through: the hole at a stitch's foot, or between two stitches. */
export type Seat = 'foot' | 'split';

/** A pair of holes about a middle. Holes count from 1; `b` may pass the end of the round. */
export interface Pair {
  a: number;
  b: number;
  apart: number;
  /** stitches the pair's middle lies past the wanted middle, in the direction of work; negative before it */
  miss: number;
}

/**
 * Chooses holes (a, a + k) with the smallest |a + k/2 − c|; of two equally good ones the first in the direction of work.
 *
 * @param middle the wanted middle c, as a hole number
 * @param apart k, post to post
 */
export function choosePair(middle: number, apart: number): Pair {
  const a = Math.ceil(middle - apart / 2 - 0.5 - 1e-9);
  return { a, b: a + apart, apart, miss: a + apart / 2 - middle };
}

/**
 * The pair in two holes that are named, the shorter way around.
 *
 * @param count holes there are in the line
 */
export function namedPair(middle: number, [one, other]: readonly [number, number], count: number): Pair {
  const [low, high] = [Math.min(one, other), Math.max(one, other)];
  const [a, b] = high - low <= count / 2 ? [low, high] : [high, low + count];
  const off = (a + b) / 2 - middle;
  return { a, b, apart: b - a, miss: off - count * Math.round(off / count) };
}

/** Whole stitches that show between two posts: between foot holes one less than apart, between splits as many. */
export function showingOf(apart: number, seat: Seat): number {
  return seat === 'foot' ? apart - 1 : apart;
}

/** Posts apart for so many stitches showing. */
export function apartOf(showing: number, seat: Seat): number {
  return seat === 'foot' ? showing + 1 : showing;
}
