/** Two open edges sewn to each other. */
export interface EdgePlan {
  /** stitches of the smaller edge, from 1, that are sewn to two of the larger */
  doubles: number[];
  /** every stitch of the larger edge with that of the smaller, both from 1 */
  path: { larger: number; smaller: number }[];
}

/** The larger edge may have so many times the stitches of the smaller; beyond that the fabric gathers. */
export const widestRatio = 1.6;

/**
 * Stitches of the smaller edge that take two of the larger, spread so that the gaps between them differ by at most one: ⌊(t+½)·m/K⌋
 * counted from the seam, for t from 0 to K−1, turned until they lie as evenly as can be about the front with none at the seam.
 *
 * @param m stitches of the smaller edge
 * @param n stitches of the larger edge, at most twice as many
 * @returns stitches of the smaller edge, from 1
 */
export function doubledStitches(m: number, n: number): number[] {
  const extra = n - m;
  if (extra <= 0) return [];
  const base = Array.from({ length: extra }, (_, t) => Math.floor(((t + 0.5) * m) / extra));
  const turned = (by: number) => base.map((at) => (at + by) % m).sort((a, b) => a - b);
  // How far the set is from its own mirror image about the front, which lies opposite the seam.
  const unevenness = (set: readonly number[]) =>
    set.reduce((sum, at, t) => sum + Math.abs(at + (set[extra - 1 - t] ?? at) - (m - 1)), 0);
  const atSeam = (set: readonly number[]) => set.filter((at) => at === 0 || at === m - 1).length;
  const byTurn = Array.from({ length: m }, (_, by) => ({ by, set: turned(by) }));
  byTurn.sort(
    (a, b) => atSeam(a.set) - atSeam(b.set) || unevenness(a.set) - unevenness(b.set) || a.by - b.by,
  );
  return (byTurn[0]?.set ?? base).map((at) => at + 1);
}

/** An edge as it is gone around: from the middle of the back, to the right as one looks at the toy's front, and over the front back to it. */
export interface EdgeAround {
  count: number;
  /** the front line as a real stitch number */
  front: number;
  /** +1 where its stitch numbers rise to the right as one looks at the front */
  rightward: 1 | -1;
}

/** The stitch that comes so many after the middle of the back. */
function stitchAround({ count, front, rightward }: EdgeAround, index: number): number {
  const stitch = Math.round(front + rightward * (index - (count - 1) / 2));
  return ((((stitch - 1) % count) + count) % count) + 1;
}

/**
 * How two open edges are sewn to each other, stitch by stitch, their fronts brought together.
 *
 * @returns null where one is more than {@link widestRatio} times the other
 */
export function edgeToEdge(one: EdgeAround, other: EdgeAround): EdgePlan | null {
  const [small, large] = one.count <= other.count ? [one, other] : [other, one];
  if (small.count === 0 || large.count / small.count > widestRatio) return null;
  const doubled = doubledStitches(small.count, large.count);
  const twice = new Set(doubled);
  const path: EdgePlan['path'] = [];
  const sew = (index: number) =>
    path.push({ larger: stitchAround(large, path.length), smaller: stitchAround(small, index) });
  for (let index = 0; index < small.count; index += 1) {
    sew(index);
    if (twice.has(index + 1)) sew(index);
  }
  const doubles = doubled.map((at) => stitchAround(small, at - 1)).sort((a, b) => a - b);
  return { doubles, path };
}
