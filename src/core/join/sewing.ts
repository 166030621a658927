import { roundCount } from '../fabric/fabric';
import { stitchAtAzimuth } from '../shape/azimuth';
import type { Footprint } from './footprint';
import { rowAt, stitchNear, type Wall, type WallPoint } from './wall';

/** A stitch of the wall. */
export interface WallStitch {
  /** of its round, by index, from 1 */
  row: number;
  stitch: number;
}

/** One stitch of an edge, and the stitch of the wall that it is sewn to. */
export interface SewnStitch extends WallStitch {
  edge: number;
}

/** What a footprint covers: its first and last row, and on the row of its middle the first and last stitch, counted on. */
export interface Covers {
  rows: [number, number];
  stitches: [number, number];
}

/** Steps of the needle that are longer than this, in rounds and stitches, are gone over again. */
const longestStep = 2;
const mostInOne = 2;

/** Stitches between two of one round, the shorter way round. */
function stitchesBetween(a: number, b: number, count: number): number {
  const off = Math.abs(a - b) % count;
  return Math.min(off, count - off);
}

/** Every stitch of the edge with the wall stitch nearest to its place. */
function nearest(wall: Wall, { points }: Footprint): SewnStitch[] {
  return points.map((point, j) => ({ edge: j + 1, ...stitchNear(wall, point) }));
}

/** Whether a path steps too far, or comes to one stitch of the wall too often. */
function isUneven(wall: Wall, path: readonly SewnStitch[]): boolean {
  const hits = new Map<string, number>();
  for (const { row, stitch } of path) {
    const key = `${row}/${stitch}`;
    hits.set(key, (hits.get(key) ?? 0) + 1);
  }
  const crowded = [...hits.values()].some((times) => times > mostInOne);
  const steps = path.some(({ row, stitch }, j) => {
    const next = path[(j + 1) % path.length];
    if (!next) return false;
    const count = roundCount(wall.fabric, Math.min(row, next.row));
    const isStep = Math.abs(next.row - row) > longestStep;
    const sameRound = next.row === row;
    return isStep || (sameRound && stitchesBetween(stitch, next.stitch, count) > longestStep);
  });
  return crowded || steps;
}

/** The wall stitches about a place: those at most one round and one stitch off the nearest. */
function about(wall: Wall, point: WallPoint): (WallStitch & { off: number })[] {
  const { fabric, starts } = wall;
  const at = rowAt(wall, point.along);
  const middle = Math.max(1, Math.min(fabric.rounds, Math.round(at)));
  const found: (WallStitch & { off: number })[] = [];
  for (let row = Math.max(1, middle - 1); row <= Math.min(fabric.rounds, middle + 1); row += 1) {
    const count = roundCount(fabric, row);
    const wanted = stitchAtAzimuth(fabric, starts, row, point.azimuth);
    for (let near = Math.floor(wanted) - 1; near <= Math.ceil(wanted) + 1; near += 1) {
      const stitch = (((near - 1) % count) + count) % count;
      found.push({ row, stitch: stitch + 1, off: (row - at) ** 2 + (near - wanted) ** 2 });
    }
  }
  return found;
}

/** What a step from one wall stitch to the next costs beside being off its place. */
function stepCost(wall: Wall, a: WallStitch, b: WallStitch): number {
  const count = roundCount(wall.fabric, Math.min(a.row, b.row));
  const rows = Math.abs(a.row - b.row);
  const stitches = rows === 0 ? stitchesBetween(a.stitch, b.stitch, count) : 0;
  const isSame = rows === 0 && stitches === 0;
  return (isSame ? 0.6 : 0) + 4 * Math.max(0, rows - longestStep) + 4 * Math.max(0, stitches - longestStep);
}

/** The cyclic path that is least off its places and steps least far, by dynamic programming over the stitches about each place. */
function bestPath(wall: Wall, { points }: Footprint): SewnStitch[] {
  const choices = points.map((point) => about(wall, point));
  const [first = []] = choices;
  let best: { cost: number; path: number[] } = { cost: Infinity, path: [] };
  for (const begun of first.keys()) {
    let costs = first.map(({ off }, i) => (i === begun ? off : Infinity));
    const from: number[][] = [];
    for (let j = 1; j < choices.length; j += 1) {
      const before = choices[j - 1] ?? [];
      const here = choices[j] ?? [];
      const came: number[] = [];
      costs = here.map((to, i) => {
        let least = Infinity;
        before.forEach((was, k) => {
          const cost = (costs[k] ?? Infinity) + stepCost(wall, was, to);
          if (cost < least) {
            least = cost;
            came[i] = k;
          }
        });
        return least + to.off;
      });
      from.push(came);
    }
    const last = choices.at(-1) ?? [];
    const begin = first[begun];
    if (!begin) continue;
    last.forEach((end, k) => {
      const cost = (costs[k] ?? Infinity) + (choices.length > 1 ? stepCost(wall, end, begin) : 0);
      if (cost >= best.cost - 1e-9) return;
      const path = [k];
      for (let j = from.length - 1; j >= 0; j -= 1) path.unshift(from[j]?.[path[0] ?? 0] ?? 0);
      best = { cost, path };
    });
  }
  return best.path.map((choice, j) => {
    const { row = 1, stitch = 1 } = choices[j]?.[choice] ?? {};
    return { edge: j + 1, row, stitch };
  });
}

/** Places of a flat edge that are about as far from two stitches of the wall go all one way: each falls on a stitch of its own. */
const leanings = [0, 0.1, -0.1];

/** How uneven a line is sewn: what its steps along one round differ by, in stitches. */
function unevenness(wall: Wall, path: readonly SewnStitch[]): number {
  const steps = path.flatMap(({ row, stitch }, j) => {
    const next = path[j + 1];
    return next?.row === row ? [stitchesBetween(stitch, next.stitch, roundCount(wall.fabric, row))] : [];
  });
  return Math.max(0, ...steps) - Math.min(...steps, Infinity);
}

/** The line of a flat edge, sewn as evenly as its places allow. */
function flatPath(wall: Wall, { points }: Footprint): SewnStitch[] {
  // The layer behind lies on the one in front: each place comes twice, but for the middle of an odd count.
  const front = Math.max(1, Math.floor(points.length / 2));
  const paths = leanings.map((leaning) =>
    points.map((point, j) => ({ edge: j + 1, ...stitchNear(wall, point, leaning) })),
  );
  const uneven = paths.map((path) => unevenness(wall, path.slice(0, front)));
  const least = uneven.indexOf(Math.min(...uneven));
  return paths[least] ?? [];
}

/** How uneven a way all round is sewn, over every step along one round, in stitches. */
function unevennessRound(wall: Wall, path: readonly SewnStitch[]): number {
  return path.reduce((sum, { row, stitch }, j) => {
    const next = path[(j + 1) % path.length];
    const isStep = next?.row === row;
    return sum + (isStep ? (stitchesBetween(stitch, next.stitch, roundCount(wall.fabric, row)) - 1) ** 2 : 0);
  }, 0);
}

/**
 * The way around the outline of a flat piece. Its straight sides lie along rounds, where places may all be as far from two stitches: they
 * fall one way, as evenly as they can.
 */
export function outlinePath(wall: Wall, footprint: Footprint): SewnStitch[] {
  const paths = leanings.map((leaning) =>
    footprint.points.map((point, j) => ({ edge: j + 1, ...stitchNear(wall, point, leaning) })),
  );
  const uneven = paths.map((path) => unevennessRound(wall, path));
  const path = paths[uneven.indexOf(Math.min(...uneven))] ?? [];
  return isUneven(wall, path) ? bestPath(wall, footprint) : path;
}

/**
 * The way the needle goes: every stitch of the edge once, each to the wall stitch nearest to its place, the round first and then the
 * stitch at its real azimuth. Where that steps further than two, or comes to one stitch three times, the best path around is taken.
 *
 * @param isRing whether the edge is open; the two layers of a flat one share their stitches
 */
export function sewingPath(wall: Wall, footprint: Footprint, isRing: boolean): SewnStitch[] {
  if (!isRing) return flatPath(wall, footprint);
  const path = nearest(wall, footprint);
  return isUneven(wall, path) ? bestPath(wall, footprint) : path;
}

/** What a footprint covers of the wall. */
export function coversOf(wall: Wall, { points }: Footprint, centre: WallPoint): Covers {
  const { fabric, starts } = wall;
  const rows = points.map(({ along }) => rowAt(wall, along));
  const clamp = (row: number) => Math.max(1, Math.min(fabric.rounds, Math.round(row)));
  const [first, last] = [clamp(Math.min(...rows)), clamp(Math.max(...rows))];
  const round = Math.max(first, Math.min(last, clamp(rowAt(wall, centre.along))));
  const count = roundCount(fabric, round);
  const middle = stitchAtAzimuth(fabric, starts, round, centre.azimuth);
  const offs = points.map(({ azimuth }) => ((azimuth - centre.azimuth) / (2 * Math.PI)) * count);
  const isAllRound = Math.max(...offs) - Math.min(...offs) >= count - 1;
  const inRound = (stitch: number) => ((((Math.round(stitch) - 1) % count) + count) % count) + 1;
  return {
    rows: [first, last],
    stitches: isAllRound
      ? [1, count]
      : [inRound(middle + Math.min(...offs)), inRound(middle + Math.max(...offs))],
  };
}
