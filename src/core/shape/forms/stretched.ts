import { rememberedCounts, type OutlinePoint } from './meridian';

/** How a part is stretched: its width and height as shares of what they are, and how far it is rounded, from 0 to 1. */
export interface Stretch {
  wide: number;
  high: number;
  /** 1 makes a ball or egg of what is closed at both ends */
  round: number;
}

/** The rounds of a stretched part. */
export interface StretchedRounds {
  counts: number[];
  /** of each round as it was, which of the new ones lies where it did; from 1, rising */
  places: number[];
}

const lengths = (points: readonly OutlinePoint[]): number[] =>
  points.slice(1).map((point, i) => Math.hypot(point.r - (points[i]?.r ?? 0), point.z - (points[i]?.z ?? 0)));

/** An outline brought nearer to an ellipse of its own width and height, as far as is asked. */
function rounded(points: readonly OutlinePoint[], share: number): OutlinePoint[] {
  if (share === 0) return [...points];
  const ways = lengths(points);
  const last = points.at(-1) ?? { r: 0, z: 0 };
  // What gathers the last round closes the ellipse.
  const whole = ways.reduce((sum, way) => sum + way, 0) + last.r;
  const half = Math.max(...points.map(({ r }) => r));
  let at = 0;
  return points.map((point, i) => {
    at += i > 0 ? (ways[i - 1] ?? 0) : 0;
    const angle = (Math.PI * at) / Math.max(1e-9, whole);
    const r = half * Math.sin(angle);
    const z = (last.z / 2) * (1 - Math.cos(angle));
    return { r: point.r + (r - point.r) * share, z: point.z + (z - point.z) * share };
  });
}

/** How many rounds, from the first on, are multiples of it and go up or down by one of it at most: those a hand can remember. */
function rememberedRounds(counts: readonly number[]): number {
  const [start = 0] = counts;
  const other = counts.findIndex((count, i) => {
    const change = Math.abs(count - (counts[i - 1] ?? start));
    return count % start !== 0 || change > start;
  });
  return other < 0 ? counts.length : other;
}

/** Where each new round lies among the old ones: a real number of them, 2.5 half way from the second to the third. */
function positionsOf(ends: readonly number[], step: number, rounds: number): number[] {
  return Array.from({ length: rounds }, (_, i) => {
    const wanted = (i + 1) * step;
    const found = ends.findIndex((end) => end >= wanted - 1e-9);
    const index = found < 0 ? ends.length - 1 : found;
    const [from, to] = [index > 0 ? (ends[index - 1] ?? 0) : 0, ends[index] ?? 0];
    return index + (to > from ? Math.min(1, (wanted - from) / (to - from)) : 1);
  });
}

/** Counts as near to the room there is as one round lets the next be; those at the beginning that were multiples of the start stay so. */
function countsFor(room: readonly number[], counts: readonly number[], remembered: number): number[] {
  const [start = 1] = counts;
  const isWhole = remembered === room.length;
  const isClosed = isWhole && counts.length > 1 && counts.at(-1) === start;
  const found = remembered > 0 ? rememberedCounts(room.slice(0, remembered), start, isClosed) : [start];
  for (const stitches of room.slice(found.length)) {
    const before = found.at(-1) ?? start;
    found.push(Math.min(2 * before, Math.max(Math.ceil(before / 2), Math.round(stitches), fewest)));
  }
  return found;
}

/** The fewest stitches a round can have and still be worked. */
const fewest = 4;

/**
 * The rounds of a part that is stretched. Its outline is stretched in mm; as many rounds go along each piece of it as did before, for how
 * much longer or shorter it has become, and each has as many stitches as it is wider, so that unstretched rounds come back as they are.
 *
 * @param counts stitches of each round, from a ring on
 * @param outline the start of the part and the end of each round, stuffed, in mm
 * @returns null where no round would be left
 */
export function stretchedRounds(
  counts: readonly number[],
  outline: readonly OutlinePoint[],
  { wide, high, round }: Stretch,
): StretchedRounds | null {
  const [start] = counts;
  if (start === undefined) return null;
  const target = rounded(outline, round);
  const after = target.map(({ r, z }): OutlinePoint => ({ r: r * wide, z: z * high }));
  const [was, is] = [lengths(outline), lengths(after)];
  // Where each old round ends, counted in rounds as high as it was.
  let sum = 0;
  const ends = was.map((way, i) => (sum += way > 1e-9 ? (is[i] ?? 0) / way : 1));
  const rounds = Math.max(1, Math.round(sum));
  const step = sum / rounds;
  if (!Number.isFinite(step) || step <= 0) return null;
  const wanted = counts.map((count, i) => {
    const [old = 0, now = 0] = [outline[i + 1]?.r, target[i + 1]?.r];
    return count * wide * (old > 1e-9 ? now / old : 1);
  });
  const room = positionsOf(ends, step, rounds).map((at) => {
    const index = Math.min(counts.length - 1, Math.ceil(at) - 1);
    const [from, to] = [index > 0 ? (wanted[index - 1] ?? 0) : 0, wanted[index] ?? 0];
    return from + (to - from) * (at - index);
  });
  const places = ends.map((end, i) => (i === 0 ? 1 : Math.max(1, Math.min(rounds, Math.round(end / step)))));
  const remembered = rememberedRounds(counts);
  const kept = remembered === counts.length ? rounds : (places[remembered - 1] ?? 0);
  return { counts: countsFor(room, counts, kept), places };
}
