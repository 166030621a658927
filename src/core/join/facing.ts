import { wrapAngle } from '../shape/azimuth';
import type { Profile } from '../shape/profile';
import type { JoinPart } from './joined';
import type { WallPoint } from './wall';

/** Where so little of the way to the front lies along the wall, as a share, the wall faces the front or the back. */
const facesFrontWithin = 0.3;

/** How much a profile widens on its way from start to end at a place, from -1 to 1: 0 on an upright wall, 1 on a flat start. */
function widening({ along, radius }: Profile, at: number): number {
  const last = along.length - 1;
  const found = along.findIndex((edge) => edge >= at - 1e-9);
  const round = found < 0 ? last : found;
  const isBeyond = at > (along[last] ?? 0) + 1e-6;
  if (isBeyond) return -1;
  const [from, to] = [Math.max(0, round - 1), Math.min(last, round + 1)];
  const way = (along[to] ?? 0) - (along[from] ?? 0);
  const wider = (radius[to] ?? 0) - (radius[from] ?? 0);
  // Before its first round a ring-like start lies flat.
  if (round === 0 && at < (along[0] ?? 0) * 0.5) return 1;
  return way > 1e-9 ? Math.max(-1, Math.min(1, wider / way)) : 0;
}

/**
 * Which way along its wall a piece looks that is joined at a place, in radians from the way towards the end of the wall, towards rising
 * azimuths: to the front of the toy, as far as the wall lets it; up where the wall itself faces the front or the back.
 *
 * @param front azimuth of the front line of the wall
 */
export function headingToFront(wall: JoinPart, { along, azimuth }: WallPoint, front: number): number {
  const toFront = wrapAngle(front - azimuth);
  const down = widening(wall.profile, along) * Math.cos(toFront);
  const around = Math.sin(toFront);
  const facesFront = Math.hypot(down, around) < facesFrontWithin;
  if (facesFront) return wall.orientation.start === 'top' ? Math.PI : 0;
  return Math.atan2(around, down);
}

/** How a piece held flat stands at a place of its wall. */
export interface FlatStance {
  /** the wall is upright: the piece hangs down along it */
  hangs: boolean;
  /** its closed end points down: it hangs, or is under the wall */
  pointsDown: boolean;
  /** its front looks inward over the wall: it stands on top, behind the sides, and looks to the front all the same */
  looksIn: boolean;
}

/** On a wall as upright as this a flat piece has nothing to stand on. */
const steep = 0.4;
/** So far behind the sides, as the cosine of the way to the front, what stands on top looks inward. */
const behindSides = -0.1;

/**
 * How a piece held flat stands at a place: its front looks outward, but for one on top behind the sides.
 *
 * @param front azimuth of the front line of the wall
 */
export function flatStance(wall: JoinPart, { along, azimuth }: WallPoint, front: number): FlatStance {
  const rising = wall.orientation.start === 'top' ? 1 : -1;
  const looksUp = widening(wall.profile, along) * rising;
  const hangs = Math.abs(looksUp) < steep;
  const isBehind = Math.cos(front - azimuth) < behindSides;
  return { hangs, pointsDown: looksUp < steep, looksIn: !hangs && isBehind };
}
