import * as vec3 from 'gl-matrix/vec3';
import { turn } from '../../shape/azimuth';
import { clockwise, flatStance, headingUp, liesUpWall } from '../facing';
import type { Join, JoinPart } from '../joined';
import { flatPiece, type FlatPiece } from '../outline';
import { normalAt, outwardAt, placeOf, type PosedUnit, type Sheet } from './posed';
import { rightward } from '../spot';
import { straightAcross, type Wall, type WallPoint } from '../wall';

/** Where a place of a flat piece comes to: x and y in mm from its middle, and how far it is off what it lies on. */
export type Lies = (x: number, y: number, offMm: number) => vec3;

/** Thickness of a layer of fabric that lies on another, in mm, and how far its back is off. */
const layerMm = 2;
const backMm = 0.4;

const shareAt = (azimuth: number): { share: number; isBack: boolean } => {
  const around = (((azimuth / turn) % 1) + 1) % 1;
  return around <= 0.5 ? { share: around * 2, isBack: false } : { share: 2 - around * 2, isBack: true };
};

/** The ends of a flat piece at a way from its first edge, and how high that is. */
function spanAt(
  { rows }: FlatPiece,
  along: Float64Array,
  at: number,
): { left: number; right: number; y: number } {
  const [first] = rows;
  if (!first) return { left: 0, right: 0, y: 0 };
  let ring = 0;
  while (ring + 2 < along.length && (along[ring + 1] ?? 0) < at) ring += 1;
  const [from = 0, to = 1] = [along[ring], along[ring + 1]];
  const share = Math.max(0, Math.min(1, (at - from) / Math.max(1e-9, to - from)));
  const below = rows[ring - 1] ?? first;
  const above = rows[ring] ?? first;
  const between = (a: number, b: number) => a + (b - a) * share;
  return {
    left: between(below.left, above.left),
    right: between(below.right, above.right),
    y: between(above.from, above.to),
  };
}

/** The surface and the fabric of a flat piece that lies somewhere. */
export function sheetOf(part: JoinPart, lies: Lies): { surface: Wall; sheet: Sheet } {
  const { fabric, starts, profile } = part;
  const flat = flatPiece(part);
  const along = Float64Array.from([0, ...profile.along]);
  const radius = along.map((at) => {
    const { left, right } = spanAt(flat, along, at);
    return (right - left) / 2;
  });
  const surface: Wall = { fabric, starts, along, radius, z: along, closed: false };
  const placeAt = ({ along: at, azimuth }: WallPoint): vec3 => {
    const { left, right, y } = spanAt(flat, along, at);
    const { share, isBack } = shareAt(azimuth);
    return lies(left + (right - left) * share, y, isBack ? backMm : layerMm);
  };
  const stitchAt = (row: number, azimuth: number): number => {
    const { runs = 1, count = 1 } = flat.rows[row - 1] ?? {};
    const { share } = shareAt(azimuth);
    return Math.min(count - 1, Math.floor((runs === 1 ? share : 1 - share) * count));
  };
  return { surface, sheet: { placeAt, stitchAt } };
}

/** Shares of a way that are tried where all of it would go over an open edge. */
const shorter = [1, 0.8, 0.6, 0.4, 0.2];

/** A place of a wall at some way from another, straight over it; less far where the wall ends. */
function across(wall: PosedUnit, from: WallPoint, heading: number, distance: number): WallPoint {
  if (distance < 1e-9) return from;
  for (const share of shorter) {
    const point = straightAcross(wall.surface, from, heading, distance * share);
    if (point) return point;
  }
  return from;
}

const offWall = (wall: PosedUnit, point: WallPoint, offMm: number): vec3 =>
  vec3.scaleAndAdd(vec3.create(), placeOf(wall, point), normalAt(wall, point), offMm);

/** A join's turn as the wall's headings rise, in radians. */
const turnedOn = (wall: PosedUnit, { turned }: Join): number =>
  ((turned * Math.PI) / 180) * clockwise(wall.part);

/** Sewn down all round: it lies on the wall. */
export function liesByOutline(wall: PosedUnit, here: WallPoint, join: Join): Lies {
  const up = headingUp(wall.part) + turnedOn(wall, join);
  return (x, y, offMm) => {
    const heading = up + clockwise(wall.part) * Math.atan2(x, y);
    return offWall(wall, across(wall, here, heading, Math.hypot(x, y)), offMm);
  };
}

/**
 * Sewn by one of its rows along a line of the wall: the rest stands off the wall, or hangs from it.
 *
 * @param points where its far end points
 */
export function liesByRow(
  wall: PosedUnit,
  here: WallPoint,
  { join, part, points }: { join: Join; part: JoinPart; points: vec3 },
): Lies {
  const { heightMm } = flatPiece(part);
  const { sentence } = join;
  const isUp = liesUpWall(sentence);
  const line = (isUp ? headingUp(wall.part) : (rightward(wall.part) * Math.PI) / 2) + turnedOn(wall, join);
  const { looksIn, isReversed } = flatStance(wall.part, here, wall.facing, sentence);
  const outward = outwardAt(wall, here.azimuth);
  // Rows are laid out with the first one up or down; the row that is sewn is the one at the wall.
  const isFirstUp = part.orientation.start === 'top';
  const isFirstSewn = sentence.sewnBy === 'first row';
  const isSewnUp = isFirstUp === isFirstSewn;
  return (x, y, offMm) => {
    const aside = isSewnUp === isReversed ? x : -x;
    const away = heightMm / 2 + (isSewnUp ? -y : y);
    const foot = across(wall, here, aside < 0 ? line + Math.PI : line, Math.abs(aside));
    const place = vec3.scaleAndAdd(vec3.create(), placeOf(wall, foot), points, away);
    return vec3.scaleAndAdd(place, place, outward, (looksIn ? -1 : 1) * offMm);
  };
}

/** A wall that looks up further than this holds what stands on it; from any other a strand hangs. */
const looksUp = 0.6;

/** Fastened by one end: it stands off a top to its own side, or hangs down. */
export function liesByEnd(wall: PosedUnit, here: WallPoint, part: JoinPart): Lies {
  const { widthMm } = flatPiece(part);
  const normal = normalAt(wall, here);
  const outward = outwardAt(wall, here.azimuth);
  const isOnTop = (normal[1] ?? 0) > looksUp;
  const way = isOnTop
    ? vec3.scaleAndAdd(vec3.create(), normal, outward, 0.6)
    : vec3.scaleAndAdd(vec3.create(), vec3.fromValues(0, -1, 0), normal, 0.35);
  vec3.normalize(way, way);
  const place = placeOf(wall, here);
  const aside = vec3.cross(vec3.create(), way, normal);
  if (vec3.length(aside) < 1e-6) vec3.cross(aside, way, vec3.fromValues(0, 0, 1));
  vec3.normalize(aside, aside);
  const off = vec3.cross(vec3.create(), aside, way);
  return (x, y, offMm) => alongLine({ from: place, way, aside, off }, x + widthMm / 2, y, offMm);
}

interface Line {
  from: vec3;
  /** the way a strand goes, what is across it in its plane, and what is off that */
  way: vec3;
  aside: vec3;
  off: vec3;
}

function alongLine({ from, way, aside, off }: Line, x: number, y: number, offMm: number): vec3 {
  const place = vec3.scaleAndAdd(vec3.create(), from, way, x);
  vec3.scaleAndAdd(place, place, aside, y);
  return vec3.scaleAndAdd(place, place, off, offMm);
}

/** What hangs out of a strand falls so steeply, as a share of its length. */
const falls = 0.9;

/**
 * Straight along a line in space, its middle at a place; what is longer than the line hangs down from its ends.
 *
 * @param straightMm how much of it is held straight
 */
export function liesAlong(middle: vec3, way: vec3, straightMm: number): Lies {
  const aside = vec3.cross(vec3.create(), vec3.fromValues(0, 0, 1), way);
  if (vec3.length(aside) < 1e-6) vec3.set(aside, 0, 1, 0);
  vec3.normalize(aside, aside);
  const off = vec3.cross(vec3.create(), way, aside);
  const outward = Math.sqrt(1 - falls ** 2);
  return (x, y, offMm) => {
    const loose = Math.max(0, Math.abs(x) - straightMm / 2);
    const held = Math.sign(x) * (Math.abs(x) - loose + loose * outward);
    const place = alongLine({ from: middle, way, aside, off }, held, y, offMm);
    return vec3.set(place, place[0], place[1] - loose * falls, place[2]);
  };
}

/** Upright before one, its middle at a place. */
export const liesUpright =
  (middle: vec3): Lies =>
  (x, y, offMm) =>
    vec3.fromValues((middle[0] ?? 0) + x, (middle[1] ?? 0) + y, (middle[2] ?? 0) + offMm);
