import type { Gauge } from '../gauge';

/** A point of a form's outline: distance from the axis and height along it, in mm. */
export interface OutlinePoint {
  r: number;
  z: number;
}

/** The fewest stitches a round can have and still be worked and gathered. */
const fewest = 5;

/**
 * Counts of the rounds that make a form: its outline is walked in steps of one round height, and each round gets as many stitches as its
 * circle has room for, n = 2πr/w. No round has more than double or less than half of the one below, so that each can be worked with
 * plain increases and decreases.
 *
 * @param outline points from the start to the end of the form, close together
 * @param closed the form ends in a point, to be gathered
 */
export function countsAlong(outline: readonly OutlinePoint[], gauge: Gauge, closed: boolean): number[] {
  const along: number[] = [0];
  for (let i = 1; i < outline.length; i += 1) {
    const [a, b] = [outline[i - 1], outline[i]];
    along.push((along.at(-1) ?? 0) + (a && b ? Math.hypot(b.r - a.r, b.z - a.z) : 0));
  }
  const total = along.at(-1) ?? 0;
  // A closed form's last step is taken up by the gathered hole.
  const rounds = Math.max(1, Math.round(total / gauge.heightMm) - (closed ? 1 : 0));
  const step = total / (rounds + (closed ? 1 : 0));
  const counts: number[] = [];
  let at = 1;
  for (let round = 1; round <= rounds; round += 1) {
    const wanted = round * step;
    while (at < along.length - 1 && (along[at] ?? 0) < wanted) at += 1;
    const [from, to] = [along[at - 1] ?? 0, along[at] ?? 0];
    const share = to > from ? (wanted - from) / (to - from) : 1;
    const r = (outline[at - 1]?.r ?? 0) * (1 - share) + (outline[at]?.r ?? 0) * share;
    const before = counts.at(-1);
    let count = Math.max(fewest, Math.round((2 * Math.PI * r) / gauge.widthMm));
    if (before !== undefined) count = Math.min(2 * before, Math.max(Math.ceil(before / 2), count));
    counts.push(count);
  }
  return counts;
}
