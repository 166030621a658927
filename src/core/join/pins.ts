import { direction } from '../place/frame/direction';
import { stitchAzimuth, turn, wrapAngle } from '../shape/azimuth';
import type { Footprint, Laid } from './footprint';
import type { JoinPart, Pin, PinAt, PinnedStitch } from './joined';
import type { SewnStitch, WallStitch } from './sewing';
import { rightward } from './spot';
import type { WallPoint } from './wall';

const away = (azimuth: number, from: number): number => Math.abs(wrapAngle(azimuth - from));

/** The pins of those places that a stitch is sewn to, each stitch once. */
function pinned(path: readonly WallStitch[], picks: readonly (readonly [PinAt, number])[]): PinnedStitch[] {
  const pins: PinnedStitch[] = [];
  for (const [at, pick] of picks) {
    const sewn = path[pick];
    const isPinned = pins.some(({ row, stitch }) => row === sewn?.row && stitch === sewn.stitch);
    if (sewn && !isPinned) pins.push({ row: sewn.row, stitch: sewn.stitch, at });
  }
  return pins;
}

/** The place among some at which a measure is greatest. */
function furthest<T>(of: readonly T[], measure: (one: T) => number): number {
  return of.reduce((best, one, i) => {
    const most = of[best];
    return most === undefined || measure(one) > measure(most) ? i : best;
  }, 0);
}

/**
 * The four places to pin an open edge by first, in this order: towards the start, towards the end, towards falling and towards rising
 * azimuths.
 *
 * @param path what is sewn in them: of every point of the footprint the wall stitch its edge stitch goes to
 */
export function pinsAbout(
  { points, headings: own }: Footprint,
  path: readonly WallStitch[],
  laid: Laid,
): PinnedStitch[] {
  const middle = laid.centre.azimuth;
  // Where a ring reaches around the start or the end, its sides are those of its middle, not those of the wall.
  const isAboutEnd = points.some(({ azimuth }) => Math.abs(azimuth - middle) > turn / 4);
  const headings = own ?? points.map((_, j) => laid.heading + (laid.sense * turn * j) / points.length);
  const towards = (heading: number) => furthest(headings, (one) => -away(one, heading));
  // Of an outline that has corners the middles of its sides are pinned first.
  if (own)
    return pinned(path, [
      ['start', towards(Math.PI)],
      ['end', towards(0)],
      ['falling', towards(-turn / 4)],
      ['rising', towards(turn / 4)],
    ]);
  return pinned(path, [
    ['start', furthest(points, ({ along }) => -along)],
    ['end', furthest(points, ({ along }) => along)],
    ['falling', isAboutEnd ? towards(-turn / 4) : furthest(points, ({ azimuth }) => middle - azimuth)],
    ['rising', isAboutEnd ? towards(turn / 4) : furthest(points, ({ azimuth }) => azimuth - middle)],
  ]);
}

/**
 * The places to pin a flat edge by first: both ends of its line, then its middle. An end is named by where it lies of the middle, along
 * the wall or around it, whichever is further.
 *
 * @param radiusMm of the wall where the line is
 */
export function pinsOfLine(
  { points }: Footprint,
  path: readonly WallStitch[],
  { centre }: Laid,
  radiusMm: number,
): PinnedStitch[] {
  const alongOf = ({ along }: WallPoint) => along - centre.along;
  const aroundOf = ({ azimuth }: WallPoint) => (azimuth - centre.azimuth) * radiusMm;
  const isAround =
    Math.max(...points.map((point) => Math.abs(aroundOf(point)))) >=
    Math.max(...points.map((point) => Math.abs(alongOf(point))));
  const measure = isAround ? aroundOf : alongOf;
  const middle = furthest(points, (point) => -Math.hypot(alongOf(point), aroundOf(point)));
  const isOneSpot = points.every((point) => Math.abs(measure(point)) < 1e-6);
  if (isOneSpot) return pinned(path, [['middle', middle]]);
  return pinned(path, [
    [isAround ? 'falling' : 'start', furthest(points, (point) => -measure(point))],
    [isAround ? 'rising' : 'end', furthest(points, measure)],
    ['middle', middle],
  ]);
}

/**
 * The four places to pin an edge by that goes all the way round a wall: front, back, left and right of the toy.
 *
 * @param path every stitch of the edge
 * @param front azimuth of the wall's front line
 */
export function pinsAround(wall: JoinPart, path: readonly SewnStitch[], front: number): PinnedStitch[] {
  const azimuths = path.map(({ row, stitch }) => stitchAzimuth(wall.fabric, wall.starts, row, stitch));
  const quarter = (rightward(wall) * turn) / 4;
  const nearest = (to: number) => furthest(azimuths, (azimuth) => -away(azimuth, to));
  return pinned(path, [
    ['front', nearest(front)],
    ['back', nearest(front + turn / 2)],
    ['left', nearest(front - quarter)],
    ['right', nearest(front + quarter)],
  ]);
}

/**
 * Where a pin is, as one looks at the spot: `top`.
 *
 * @param orientation of the wall: at which end it begins, and which way its azimuths go
 */
export function pinWord({ orientation }: JoinPart, at: PinAt): string {
  const { lying, start } = orientation;
  // On a part that lies on its side its start is at the left or right, and stitches go up or down.
  const [first, last] = lying ? ['left', 'right'] : ['top', 'bottom'];
  const [back, onward] = lying ? ['bottom', 'top'] : ['left', 'right'];
  const isStartFirst = start === 'top';
  if (at === 'start') return (isStartFirst ? first : last) ?? at;
  if (at === 'end') return (isStartFirst ? last : first) ?? at;
  if (at === 'falling' || at === 'rising') {
    const isOnward = (at === 'rising') === (direction(orientation) === 1);
    return (isOnward ? onward : back) ?? at;
  }
  return at;
}

/** The topmost of some pins; null where none is at the top of anything. */
export const topPin = (wall: JoinPart, pins: readonly Pin[]): Pin | null =>
  pins.find(({ at }) => pinWord(wall, at) === 'top') ?? null;
