import * as quat from 'gl-matrix/quat';
import * as vec3 from 'gl-matrix/vec3';
import { roundNumbered } from '../../fabric/rounds';
import type { StanceSaid } from '../../notation/sentence/stance';
import { stitchAzimuth } from '../../shape/azimuth';
import { flatStance, headingToFront, type FlatStance } from '../facing';
import type { Join, JoinPart } from '../joined';
import { flatPiece, isInRows, xOf } from '../outline';
import { sewnEdgeOf } from '../placing';
import {
  forward,
  frameAt,
  lengthOf,
  normalAt,
  outwardAt,
  placeOf,
  towards,
  upward,
  type PosedUnit,
} from './posed';
import { liesAlong, liesByEnd, liesByOutline, liesByRow, liesUpright, sheetOf } from './sheet';
import { alongAt, depthAt, radiusAt, type Wall, type WallPoint } from '../wall';

/** Where the front of a piece looks that is held flat along a round: outward from the axis of its wall, or inward. */
function flatFront(posed: PosedUnit, at: WallPoint, { looksIn }: FlatStance): vec3 {
  const outward = outwardAt(posed, at.azimuth);
  return looksIn ? vec3.negate(outward, outward) : outward;
}

/** A unit onto the end of another: edge to edge, axes in one line. */
function onEnd(wall: PosedUnit, surface: Wall): Pick<PosedUnit, 'frame' | 'outward'> {
  const end = lengthOf(wall.surface);
  const at = vec3.scaleAndAdd(vec3.create(), wall.frame.origin, wall.frame.away, end);
  const origin = vec3.scaleAndAdd(vec3.create(), at, wall.frame.away, lengthOf(surface));
  const away = vec3.negate(vec3.create(), wall.frame.away);
  return {
    frame: frameAt(origin, away, wall.frame.front),
    outward: vec3.clone(wall.frame.away),
  };
}

/** A piece over an end of another or inside it: axes in one line, its edge on a round of the other. */
function onRing(
  wall: PosedUnit,
  surface: Wall,
  { row, end }: NonNullable<Join['ring']>,
): Pick<PosedUnit, 'frame' | 'outward'> {
  const depth = depthAt(wall.surface, alongAt(wall.surface, row));
  const length = lengthOf(surface);
  const isAtEnd = end === 'end';
  const from = isAtEnd ? depth + length : depth - length;
  const origin = vec3.scaleAndAdd(vec3.create(), wall.frame.origin, wall.frame.away, from);
  const inward = isAtEnd ? vec3.negate(vec3.create(), wall.frame.away) : vec3.clone(wall.frame.away);
  return {
    frame: frameAt(origin, inward, wall.frame.front),
    outward: vec3.negate(vec3.create(), inward),
  };
}

/** A flat piece on an upright wall hangs down along it. */
function hanging(normal: vec3): vec3 {
  const down = vec3.scaleAndAdd(vec3.create(), vec3.fromValues(0, -1, 0), normal, 0.3);
  return vec3.normalize(down, down);
}

const radians = (degrees: number): number => (degrees * Math.PI) / 180;

/** A direction turned towards another by an angle, and no further than to it. */
function tilted(from: vec3, to: vec3, degrees: number): vec3 {
  const axis = vec3.cross(vec3.create(), from, to);
  if (vec3.length(axis) < 1e-6) return from;
  vec3.normalize(axis, axis);
  const by = Math.min(radians(Math.abs(degrees)), vec3.angle(from, to));
  return vec3.transformQuat(vec3.create(), from, quat.setAxisAngle(quat.create(), axis, by));
}

/** Straight up from here there is no lower: what stands on top droops to its own side of the toy, in the middle to the front. */
const nearlyUpright = 0.9;

/** Where the far end of a piece points that would point straight off its wall. */
function pointed(straight: vec3, place: vec3, { droop = 0, lean = 0, spread = 0 }: StanceSaid): vec3 {
  const [x = 0] = place;
  const aside = Math.abs(x) > 1 ? vec3.fromValues(Math.sign(x), 0, 0) : forward;
  const isOnTop = (straight[1] ?? 0) > nearlyUpright && droop > 0;
  const isBelow = (straight[1] ?? 0) < -nearlyUpright && droop < 0;
  const vertical = isOnTop || isBelow ? aside : vec3.fromValues(0, droop > 0 ? -1 : 1, 0);
  const hung = droop === 0 ? straight : tilted(straight, vertical, droop);
  const leant = lean === 0 ? hung : tilted(hung, vec3.fromValues(0, 0, Math.sign(lean)), lean);
  // In the middle of the toy nothing has a side of its own.
  if (spread === 0 || Math.abs(x) <= 1) return leant;
  return tilted(leant, vec3.fromValues(Math.sign(x) * Math.sign(spread), 0, 0), spread);
}

/** A piece is a little above the fabric it lies on, as a share of its length. */
const liesAbove = 0.15;

/** Which way a piece points that is joined at a place before it is tilted: with its point to an end of the wall, hanging down, or straight off. */
function unTilted(wall: PosedUnit, here: WallPoint, stance: FlatStance | null): vec3 {
  const straight = normalAt(wall, here);
  if (!stance?.pointsTo) return stance?.hangs ? hanging(straight) : straight;
  const pole = {
    along: stance.pointsTo === 'start' ? 0 : (wall.surface.along.at(-1) ?? 0),
    azimuth: here.azimuth,
  };
  const way = vec3.sub(vec3.create(), placeOf(wall, pole), placeOf(wall, here));
  vec3.normalize(way, way);
  vec3.scaleAndAdd(way, way, straight, liesAbove);
  return vec3.normalize(way, way);
}

/** Ways to join by an edge that is laid flat: what is worked in is held flat while the hook goes through both its layers. */
export const heldFlat: ReadonlySet<Join['kind']> = new Set(['flattened', 'pinched', 'no-sew']);

/** A unit onto a place of another's wall: its axis straight off the wall, its front to the toy's front. */
function onWall(
  wall: PosedUnit,
  part: JoinPart,
  surface: Wall,
  { centre, kind, sentence, turned }: Join,
): Pick<PosedUnit, 'frame' | 'outward'> | null {
  if (!centre) return null;
  const here = placeOnWall(wall, centre);
  const isClosed = kind === 'closed-on-wall';
  const isFlat = heldFlat.has(kind);
  const straight = normalAt(wall, here);
  const stance = isFlat ? flatStance(wall.part, centre, wall.facing, sentence) : null;
  const at = placeOf(wall, here);
  const normal = pointed(unTilted(wall, here, stance), at, sentence.stance ?? {});
  const edge = sewnEdgeOf({ piece: part, sentence });
  const byStart = isClosed && edge.closed === 'start';
  // A closed end is pressed flat as far as it is sewn: the round that is sewn through lies on the wall.
  const depth = isClosed ? depthAt(surface, alongAt(surface, edge.round)) : lengthOf(surface);
  const origin = vec3.scaleAndAdd(vec3.create(), at, normal, byStart ? -depth : depth);
  const away = byStart ? vec3.clone(normal) : vec3.negate(vec3.create(), normal);
  // A line up the wall has its front beside it, on the side where the front is.
  const beside = Math.sin(wall.facing - centre.azimuth) < 0 ? -Math.PI / 2 : Math.PI / 2;
  const heading = stance?.isUpright ? beside : headingToFront(wall.part, centre, wall.facing);
  const isAlongRound = stance !== null && !stance.isUpright;
  const facing = isAlongRound ? flatFront(wall, here, stance) : towards(wall, here, heading);
  const about = quat.setAxisAngle(quat.create(), straight, -radians(turned));
  vec3.transformQuat(facing, facing, about);
  const frame = frameAt(origin, away, facing);
  return { frame, outward: straight };
}

/** The stuffed wall is as long as the profile it was joined by, stitch for stitch: places go by their share of it. */
export function rowOfCentre({ surface, part }: PosedUnit, centre: WallPoint): number {
  const { along } = part.profile;
  const total = along.at(-1) ?? 1;
  if (centre.along <= 0) return 0;
  if (centre.along >= total * 1.0001) return surface.along.length - 1;
  let round = along.findIndex((edge) => edge >= centre.along - 1e-9);
  if (round < 0) round = along.length - 1;
  const before = round > 0 ? (along[round - 1] ?? 0) : 0;
  return round + (centre.along - before) / Math.max(1e-9, (along[round] ?? 0) - before);
}

/** From so steep an axis on, as the cosine to straight up, a frill hangs down about it. */
const upright = 0.4;

/** What is worked into a round of another, as a frill: about the same axis, hanging down where that axis is upright. */
export function inRound(wall: PosedUnit, part: JoinPart, surface: Wall): PosedUnit['frame'] {
  const { onto } = part.part;
  const row = onto ? roundNumbered(wall.part.fabric, onto.round) : 0;
  const depth = depthAt(wall.surface, alongAt(wall.surface, row));
  const origin = vec3.scaleAndAdd(vec3.create(), wall.frame.origin, wall.frame.away, depth);
  const rises = (wall.frame.away[1] ?? 0) > upright && surface.along.length > 0;
  const away = rises ? vec3.negate(vec3.create(), wall.frame.away) : vec3.clone(wall.frame.away);
  return frameAt(origin, away, wall.frame.front);
}

/** The edges that a piece grows out of, as a body does of two legs: side by side before its start. */
export function beforeStart(grown: PosedUnit, surface: Wall, place: number, of: number): PosedUnit['frame'] {
  const { frame } = grown;
  const radius = surface.radius.at(-1) ?? 0;
  const aside = (place - (of - 1) / 2) * 2 * radius;
  const origin = vec3.scaleAndAdd(vec3.create(), frame.origin, frame.right, aside);
  vec3.scaleAndAdd(origin, origin, frame.away, -lengthOf(surface));
  return frameAt(origin, vec3.clone(frame.away), frame.front);
}

/** How a unit is posed by its join: all that its part does not say itself. */
type Posed = Pick<PosedUnit, 'frame' | 'outward'> & Partial<Pick<PosedUnit, 'surface' | 'sheet' | 'thread'>>;

/** The place of the wall that a join's middle is on, as the wall is stuffed. */
function placeOnWall(wall: PosedUnit, centre: WallPoint): WallPoint {
  const along = alongAt(wall.surface, rowOfCentre(wall, centre));
  return { along: Math.min(wall.surface.along.at(-1) ?? 0, along), azimuth: centre.azimuth };
}

/** A flat piece on a wall: sewn down, by one row, or by one end. */
function flatOnWall(wall: PosedUnit, part: JoinPart, join: Join): Posed | null {
  if (!join.centre) return null;
  const here = placeOnWall(wall, join.centre);
  const straight = normalAt(wall, here);
  const stance = flatStance(wall.part, join.centre, wall.facing, join.sentence);
  const at = placeOf(wall, here);
  const points = pointed(unTilted(wall, here, stance), at, join.sentence.stance ?? {});
  const lies =
    join.kind === 'by-row'
      ? liesByRow(wall, here, { join, part, points })
      : join.kind === 'outline'
        ? liesByOutline(wall, here, join)
        : liesByEnd(wall, here, part);
  // By its frame it points off the wall with the end that is free.
  const away = vec3.negate(vec3.create(), join.kind === 'by-row' ? points : straight);
  return {
    frame: frameAt(at, away, forward),
    outward: straight,
    ...sheetOf(part, lies),
  };
}

/** Straight through a wall from one place to the other, as much hanging out at either side. */
function passingThrough(wall: PosedUnit, part: JoinPart, surface: Wall, { pins }: Join): Posed | null {
  const places = (pins ?? []).map(({ row, stitch }) => {
    const round = Math.max(1, Math.min(wall.part.fabric.rounds, Math.round(row)));
    const azimuth = stitchAzimuth(wall.part.fabric, wall.part.starts, round, stitch);
    return placeOf(wall, { along: alongAt(wall.surface, row), azimuth });
  });
  const [from, to] = places;
  if (!from || !to) return null;
  const way = vec3.normalize(vec3.create(), vec3.sub(vec3.create(), to, from));
  const middle = vec3.lerp(vec3.create(), from, to, 0.5);
  if (isInRows(part)) {
    const frame = frameAt(middle, way, forward);
    return {
      frame,
      outward: upward,
      ...sheetOf(part, liesAlong(middle, way, vec3.distance(from, to))),
    };
  }
  const origin = vec3.scaleAndAdd(vec3.create(), middle, way, -lengthOf(surface) / 2);
  return { frame: frameAt(origin, way, forward), outward: upward };
}

/** Thread between what hangs and what it hangs from, where no length is said: the two just touch. */
const slackMm = 2;

/** Hanging straight down from a place of a wall, the end of its work up. */
function hangingFrom(
  wall: PosedUnit,
  part: JoinPart,
  surface: Wall,
  { centre, sentence }: Join,
): Posed | null {
  if (!centre) return null;
  const here = placeOnWall(wall, centre);
  const threadMm = sentence.way?.threadMm ?? slackMm;
  const top = vec3.scaleAndAdd(vec3.create(), placeOf(wall, here), normalAt(wall, here), slackMm);
  const upper = vec3.scaleAndAdd(vec3.create(), top, upward, -threadMm);
  // From where the wall swells out below, the thread lies on it and the piece hangs before it.
  const swells = Math.max(...wall.surface.radius) - radiusAt(wall.surface, here.along);
  const isAbove = (normalAt(wall, here)[1] ?? 0) > 0;
  if (isAbove) vec3.scaleAndAdd(upper, upper, outwardAt(wall, here.azimuth), swells);
  const thread = [top, upper] as const;
  const outward = vec3.negate(vec3.create(), upward);
  if (isInRows(part)) {
    const middle = vec3.scaleAndAdd(vec3.create(), upper, upward, -flatPiece(part).heightMm / 2);
    const frame = frameAt(middle, vec3.clone(upward), forward);
    return { frame, outward, thread, ...sheetOf(part, liesUpright(middle)) };
  }
  const origin = vec3.scaleAndAdd(vec3.create(), upper, upward, -lengthOf(surface));
  return { frame: frameAt(origin, vec3.clone(upward), forward), outward, thread };
}

/** A unit onto a flat wall: straight off its right side, its front up. */
function onSheet(wall: PosedUnit, part: JoinPart, surface: Wall, join: Join): Posed | null {
  const { row, stitch, through, sentence } = join;
  const { sheet } = wall;
  const own = flatPiece(wall.part).rows[Math.max(0, Math.round(row ?? 1) - 1)];
  if (!sheet || row === null || stitch === null || !own) return null;
  const share = (xOf(own, stitch) - own.left) / (own.right - own.left);
  const at = sheet.placeAt({ along: alongAt(wall.surface, row - 0.5), azimuth: Math.PI * share });
  const { closed, round } = sewnEdgeOf({ piece: part, sentence });
  const byStart = closed === 'start';
  const depth = through === null ? lengthOf(surface) : depthAt(surface, alongAt(surface, round));
  const normal = wall.frame.front;
  const origin = vec3.scaleAndAdd(vec3.create(), at, normal, byStart ? -depth : depth);
  const away = byStart ? vec3.clone(normal) : vec3.negate(vec3.create(), normal);
  return {
    frame: frameAt(origin, away, upward),
    outward: vec3.clone(normal),
  };
}

/** Where a join puts its unit; null where it can't stand there. */
export function placeBy(join: Join, wall: PosedUnit, part: JoinPart, surface: Wall): Posed | null {
  if (wall.sheet) return isInRows(part) ? null : onSheet(wall, part, surface, join);
  if (join.kind === 'through') return passingThrough(wall, part, surface, join);
  if (join.kind === 'hung') return hangingFrom(wall, part, surface, join);
  if (isInRows(part)) return flatOnWall(wall, part, join);
  if (join.kind === 'edge-to-edge') return onEnd(wall, surface);
  return join.ring ? onRing(wall, surface, join.ring) : onWall(wall, part, surface, join);
}
