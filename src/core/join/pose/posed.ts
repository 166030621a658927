import * as vec3 from 'gl-matrix/vec3';
import { direction } from '../../place/frame/direction';
import type { JoinPart, Unit } from '../joined';
import { flatThickness } from '../../shape/pressedFlat';
import { isStrand } from '../placing';
import { depthAt, radiusAt, thicknessAt, type Wall, type WallPoint } from '../wall';

/**
 * Where a unit is in space, in mm: x to the right as one looks at the toy's front, y up, z towards the one who looks. `away` leads from
 * its start to its end, `front` is where its front line faces, `right` stands on both.
 */
export interface Frame {
  origin: vec3;
  away: vec3;
  front: vec3;
  right: vec3;
}

/**
 * The fabric of a flat piece in space. It is gone over like a tube pressed flat: half a turn from left to right over the side that is
 * seen, the other half back over the side behind it.
 */
export interface Sheet {
  placeAt: (point: WallPoint) => vec3;
  /** the stitch of a row at an azimuth, from 0 */
  stitchAt: (row: number, azimuth: number) => number;
}

/** A unit of the assembled toy. */
export interface PosedUnit {
  unit: Unit;
  part: JoinPart;
  surface: Wall;
  frame: Frame;
  /** the azimuth that faces `front` */
  facing: number;
  /** which way it goes when the toy is pulled apart */
  outward: vec3;
  /** lies beside the toy: nothing says where it goes */
  loose: boolean;
  /** of a flat piece, its fabric as it lies in space; null of one that is stuffed or held flat */
  sheet: Sheet | null;
  /** the thread it hangs by, from end to end */
  thread?: readonly [vec3, vec3];
}

/** How thick a unit is at one of its rings towards its front, as a share of how wide it is there. */
export const thicknessAtRing = ({ sheet, surface }: PosedUnit, ring: number): number =>
  sheet ? flatThickness : (surface.thick?.[ring] ?? 1);

export const forward = vec3.fromValues(0, 0, 1);
export const upward = vec3.fromValues(0, 1, 0);

/** A frame from its axis and the direction its front should face, as far as the axis lets it. */
export function frameAt(origin: vec3, away: vec3, facing: vec3): Frame {
  const front = vec3.scaleAndAdd(vec3.create(), facing, away, -vec3.dot(facing, away));
  // Straight along the axis nothing can face: it looks up.
  const isAlong = vec3.length(front) < 0.25;
  if (isAlong) vec3.scaleAndAdd(front, upward, away, -vec3.dot(upward, away));
  if (vec3.length(front) < 1e-6) vec3.copy(front, forward);
  vec3.normalize(front, front);
  const right = vec3.cross(vec3.create(), front, away);
  return { origin, away, front, right };
}

/** The angle of an azimuth from the front, rising towards `right`. */
function angleOf({ part, facing }: PosedUnit, azimuth: number): number {
  const { hand, side } = part.orientation;
  return (azimuth - facing) * direction({ hand, side, start: 'top' });
}

/** A place on the surface of a unit, in space. */
export function placeOf(posed: PosedUnit, { along, azimuth }: WallPoint): vec3 {
  const { frame, surface, sheet } = posed;
  if (sheet) return sheet.placeAt({ along, azimuth });
  const radius = Math.max(0, radiusAt(surface, along));
  const angle = angleOf(posed, azimuth);
  const place = vec3.scaleAndAdd(vec3.create(), frame.origin, frame.away, depthAt(surface, along));
  vec3.scaleAndAdd(place, place, frame.front, radius * Math.cos(angle) * thicknessAt(surface, along));
  return vec3.scaleAndAdd(place, place, frame.right, radius * Math.sin(angle));
}

/** Straight away from the axis of a unit, at an azimuth. */
export function outwardAt(posed: PosedUnit, azimuth: number): vec3 {
  const { front, right } = posed.frame;
  const angle = angleOf(posed, azimuth);
  const outward = vec3.scale(vec3.create(), front, Math.cos(angle));
  return vec3.scaleAndAdd(outward, outward, right, Math.sin(angle));
}

/** What stands straight off the surface at a place, outward. */
export function normalAt(posed: PosedUnit, { along, azimuth }: WallPoint): vec3 {
  const { frame, surface } = posed;
  const step = Math.max(0.5, (surface.along.at(-1) ?? 1) * 0.01);
  const last = surface.along.at(-1) ?? 0;
  const [a, b] = [Math.max(0, along - step), Math.min(last, along + step)];
  const widens = radiusAt(surface, b) - radiusAt(surface, a);
  const goes = depthAt(surface, b) - depthAt(surface, a);
  const outward = outwardAt(posed, azimuth);
  const normal = vec3.scale(vec3.create(), outward, goes);
  vec3.scaleAndAdd(normal, normal, frame.away, -widens);
  return vec3.length(normal) < 1e-9 ? outward : vec3.normalize(normal, normal);
}

/** A direction along the surface at a place, by its heading there: from the way towards the end, towards rising azimuths. */
export function towards(posed: PosedUnit, at: WallPoint, heading: number): vec3 {
  const { frame } = posed;
  const { hand, side } = posed.part.orientation;
  const angle = angleOf(posed, at.azimuth);
  const around = vec3.scale(vec3.create(), frame.front, -Math.sin(angle));
  vec3.scaleAndAdd(around, around, frame.right, Math.cos(angle));
  const rises = direction({ hand, side, start: 'top' });
  // What goes around the surface and what stands off it leave the way towards the end.
  const onward = vec3.cross(vec3.create(), around, normalAt(posed, at));
  vec3.scale(onward, onward, Math.cos(heading));
  return vec3.scaleAndAdd(onward, onward, around, rises * Math.sin(heading));
}

/** How far the end of a part is from its start along its axis. */
export const lengthOf = ({ along, z }: Wall): number => (along.length > 0 ? (z.at(-1) ?? 0) : 0);

/** The box a toy stands in, in mm. */
export function boundsOf(posed: readonly PosedUnit[]): { low: vec3; high: vec3 } {
  const low = vec3.fromValues(Infinity, Infinity, Infinity);
  const high = vec3.fromValues(-Infinity, -Infinity, -Infinity);
  for (const unit of posed) {
    for (const along of unit.surface.along) {
      for (let eighth = 0; eighth < 8; eighth += 1) {
        const place = placeOf(unit, { along, azimuth: (eighth * Math.PI) / 4 });
        vec3.min(low, low, place);
        vec3.max(high, high, place);
      }
    }
  }
  return { low, high };
}

/** Width, height and depth of the assembled toy, without what lies beside it and without strands, which hang as they will; in mm. */
export function sizeOfToy(posed: readonly PosedUnit[]): {
  widthMm: number;
  heightMm: number;
  depthMm: number;
} {
  const { low, high } = boundsOf(posed.filter(({ loose, part }) => !loose && !isStrand(part)));
  const [widthMm = 0, heightMm = 0, depthMm = 0] = vec3.sub(vec3.create(), high, low);
  return { widthMm, heightMm, depthMm };
}
