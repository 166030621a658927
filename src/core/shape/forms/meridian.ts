import type { Gauge } from '../gauge';

/** A point of a form's outline: distance from the axis and height along it, in mm. */
export interface OutlinePoint {
  r: number;
  z: number;
}

/** The fewest stitches a round can have and still be worked and gathered. */
const fewest = 5;

/**
 * Stitches that the rounds of a form have room for, as real numbers: its outline is walked in steps of one round height, and each round's
 * circle holds n = 2πr/w.
 *
 * @param outline points from the start to the end of the form, close together
 * @param closed the form ends in a point, to be gathered
 */
export function roomAlong(outline: readonly OutlinePoint[], gauge: Gauge, closed: boolean): number[] {
  const along: number[] = [0];
  for (let i = 1; i < outline.length; i += 1) {
    const [a, b] = [outline[i - 1], outline[i]];
    along.push((along.at(-1) ?? 0) + (a && b ? Math.hypot(b.r - a.r, b.z - a.z) : 0));
  }
  const total = along.at(-1) ?? 0;
  // A closed form's last step is taken up by the gathered hole.
  const rounds = Math.max(1, Math.round(total / gauge.heightMm) - (closed ? 1 : 0));
  const step = total / (rounds + (closed ? 1 : 0));
  const room: number[] = [];
  let at = 1;
  for (let round = 1; round <= rounds; round += 1) {
    const wanted = round * step;
    while (at < along.length - 1 && (along[at] ?? 0) < wanted) at += 1;
    const [from, to] = [along[at - 1] ?? 0, along[at] ?? 0];
    const share = to > from ? (wanted - from) / (to - from) : 1;
    const r = (outline[at - 1]?.r ?? 0) * (1 - share) + (outline[at]?.r ?? 0) * share;
    room.push((2 * Math.PI * r) / gauge.widthMm);
  }
  return room;
}

/**
 * Counts as near to a form as whole stitches come. No round has more than double or less than half of the one below, so that each can be
 * worked with plain increases and decreases.
 *
 * @param room see `roomAlong`
 */
export function exactCounts(room: readonly number[]): number[] {
  const counts: number[] = [];
  for (const stitches of room) {
    const before = counts.at(-1);
    let count = Math.max(fewest, Math.round(stitches));
    if (before !== undefined) count = Math.min(2 * before, Math.max(Math.ceil(before / 2), count));
    counts.push(count);
  }
  return counts;
}

/**
 * Counts that a hand can remember: every round is the start times a whole number, and goes up or down by one start at most, so that it is
 * plain or one repeat. Of all such rounds those nearest to the form, by the squares of the stitches they are off (a dynamic program over
 * how often the start goes into each round, exact).
 *
 * @param room see `roomAlong`
 * @param start stitches of the first round
 * @param closed the last round is the start again, to be gathered
 */
export function rememberedCounts(room: readonly number[], start: number, closed: boolean): number[] {
  const most = Math.max(1, Math.ceil(Math.max(...room) / start) + 1);
  // For each round and each number of starts in it: the least that the rounds up to it are off, and what the round before had.
  const least: Float64Array[] = [];
  const before: Int32Array[] = [];
  for (const [round, stitches] of room.entries()) {
    const cost = new Float64Array(most + 2).fill(Infinity);
    const from = new Int32Array(most + 2);
    const under = least[round - 1];
    for (let times = 1; times <= most; times += 1) {
      if (!under) {
        if (times === 1) cost[times] = (start - stitches) ** 2;
        continue;
      }
      // Of two ways that are equally good the one that changes nothing.
      for (const step of [0, 1, -1]) {
        const candidate = under[times - step] ?? Infinity;
        if (candidate < (cost[times] ?? Infinity)) {
          cost[times] = candidate;
          from[times] = times - step;
        }
      }
      cost[times] = (cost[times] ?? Infinity) + (start * times - stitches) ** 2;
    }
    least.push(cost);
    before.push(from);
  }
  const last = least.at(-1);
  let times = closed ? 1 : (last?.indexOf(Math.min(...last)) ?? 1);
  const counts: number[] = [];
  for (let round = room.length - 1; round >= 0; round -= 1) {
    counts.unshift(start * times);
    times = before[round]?.[times] ?? 1;
  }
  return counts;
}
