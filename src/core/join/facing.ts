import type { TurnSaid } from '../notation/sentence/stance';
import { direction } from '../place/frame/direction';
import { turn, wrapAngle } from '../shape/azimuth';
import type { Profile } from '../shape/profile';
import type { AnyJoin, JoinPart } from './joined';
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

/** Which way is up at the front or back of a wall: along it, and around one that lies on its side. */
export function headingUp({ orientation }: JoinPart): number {
  if (orientation.lying) return (direction(orientation) * Math.PI) / 2;
  return orientation.start === 'top' ? Math.PI : 0;
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
  if (facesFront) return headingUp(wall);
  return Math.atan2(around, down);
}

/**
 * Which way along its wall a place has its own side of the toy, left or right; null in the middle, and where the wall itself faces that
 * side.
 */
function headingToSide(wall: JoinPart, { along, azimuth }: WallPoint, front: number): number | null {
  const side = Math.sign(Math.round(wrapAngle(azimuth - front) * 1e6)) * (Math.PI / 2);
  if (side === 0) return null;
  const toSide = wrapAngle(front + side - azimuth);
  const down = widening(wall.profile, along) * Math.cos(toSide);
  const around = Math.sin(toSide);
  return Math.hypot(down, around) < facesFrontWithin ? null : Math.atan2(around, down);
}

/** So near to where a front looks already, or to the other way, in radians, nothing tells which way round it is turned there. */
const noWayRound = 0.2;

/** The turn a sentence says, where it can be followed: stitches are those of a ring, and tell nothing of a line or an outline. */
export function turnSaid({ stance }: AnyJoin, isRing: boolean): TurnSaid | undefined {
  const said = stance?.turned;
  return said?.unit === 'stitches' && !isRing ? undefined : said;
}

/** A piece at its place, and which way its front looks there before it is turned. */
export interface Unturned {
  /** heading of its front along the wall */
  heading: number;
  centre: WallPoint;
  /** azimuth of the front line of the wall */
  front: number;
  /** stitches of its edge */
  count: number;
  /** it is the right one of two: the mirror image of what is said */
  isMirrored: boolean;
}

/**
 * How far a piece is turned about its own axis where it stands, in radians of rising headings.
 *
 * @returns null where it is turned towards what it looks to already, or straight away from: which way round is not known
 */
export function turnOf(
  wall: JoinPart,
  { by, unit, way }: TurnSaid,
  { heading, centre, front, count, isMirrored }: Unturned,
): number | null {
  const angle = unit === 'degrees' ? (by * Math.PI) / 180 : (by * turn) / Math.max(1, count);
  if (way === 'clockwise' || way === 'anticlockwise') {
    const isClockwise = (way === 'clockwise') !== isMirrored;
    return angle * clockwise(wall) * (isClockwise ? 1 : -1);
  }
  const isBack = way === 'down' || way === 'inward';
  const towards = way === 'up' || way === 'down' ? headingUp(wall) : headingToSide(wall, centre, front);
  if (towards === null) return null;
  const aim = towards + (isBack ? Math.PI : 0);
  const far = wrapAngle(aim - heading);
  const isUnclear = Math.abs(far) < noWayRound || Math.PI - Math.abs(far) < noWayRound;
  return isUnclear ? null : angle * Math.sign(far);
}

/** +1 where headings rise clockwise, as one looks at the wall from outside. */
export const clockwise = ({ orientation: { hand, side } }: JoinPart): 1 | -1 =>
  direction({ hand, side, start: 'top' }) === 1 ? -1 : 1;

/** How a piece held flat stands at a place of its wall. */
export interface FlatStance {
  /** its line goes up the wall, over several rounds; else it lies along its round */
  isUpright: boolean;
  /** the wall is upright and its line lies along the round: the piece hangs down along it */
  hangs: boolean;
  /** its front looks inward over the wall: it stands on top, behind the sides, and looks to the front all the same */
  looksIn: boolean;
  /** the end of the wall that its point lies on: it lies along the wall */
  pointsTo: 'start' | 'end' | null;
  /** stitches that run to the right, seen from the side it is looked at, run against the line it is sewn along */
  isReversed: boolean;
}

/** On a wall as upright as this a flat piece has nothing to stand on. */
const steep = 0.4;
/** So far behind the sides, as the cosine of the way to the front, what stands on top looks inward. */
const behindSides = -0.1;

/** Whether a sentence lays an edge over several rounds: then its line goes up the wall. */
export function liesUpWall({ range, gap }: AnyJoin): boolean {
  const [from = 0, to = 0] = range ?? gap ?? [];
  return Math.abs(from - to) > 1;
}

/** The end of its wall that the point of a piece is said to lie on; null where it is not. */
export function endOfPoint({ orientation }: JoinPart, { place: { point } }: AnyJoin): 'start' | 'end' | null {
  const at = point?.at ?? null;
  if (at === null || at === 'start' || at === 'end') return at;
  return at === orientation.start ? 'start' : 'end';
}

/**
 * How a piece held flat stands at a place. Its line goes to the right along its round, and it looks outward, but for one on top behind the
 * sides; or its line goes up, and it looks to the front; or it lies on the wall with its point at an end of it.
 *
 * @param front azimuth of the front line of the wall
 * @param sentence what joins it
 */
export function flatStance(
  wall: JoinPart,
  { along, azimuth }: WallPoint,
  front: number,
  sentence: AnyJoin,
): FlatStance {
  const isUpright = liesUpWall(sentence);
  const isStartOnTop = wall.orientation.start === 'top';
  const pointsTo = endOfPoint(wall, sentence);
  if (pointsTo) {
    // Looked at from outside, one whose point is below is upside down.
    const isReversed = (pointsTo === 'start') !== isStartOnTop;
    return { isUpright: false, hangs: false, looksIn: false, pointsTo, isReversed };
  }
  if (isUpright) {
    const isOnLeft = Math.sin(front - azimuth) * direction(wall.orientation) > 0;
    return { isUpright, hangs: false, looksIn: false, pointsTo, isReversed: !isOnLeft };
  }
  const rising = isStartOnTop ? 1 : -1;
  const looksUp = widening(wall.profile, along) * rising;
  const hangs = Math.abs(looksUp) < steep;
  const looksIn = !hangs && Math.cos(front - azimuth) < behindSides;
  // What hangs, or is under the wall, points down: its stitches run the other way; so do those of what is seen from behind.
  const isDown = looksUp < steep;
  return { isUpright, hangs, looksIn, pointsTo, isReversed: isDown !== looksIn };
}
