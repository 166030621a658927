import { polygonContains, polygonHull } from 'd3-polygon';
import * as vec3 from 'gl-matrix/vec3';
import type { Unit } from '../joined';
import { placeOf, thicknessAtRing, type PosedUnit } from './posed';

/** How a toy that is set down as it is drawn comes to rest. */
export interface Balance {
  /** the units it rests on */
  rests: Unit[];
  /** how far inside what it rests on its weight falls, in mm */
  insideMm: number;
  /** how far it leans over before it rests, in degrees, and which way as one looks at its front */
  leans: number;
  way: 'forward' | 'back' | 'left' | 'right' | null;
  /** whether it comes to rest at all before it lies down */
  stands: boolean;
}

/** Fabric gives way: what is no higher than this above the lowest place touches the table. */
const givesMm = 3;
const around = 24;

/** A toy that leans further has fallen over. */
const fallen = Math.PI / 7;
const mostTips = 8;

type Point = [x: number, z: number];

/** A place of the fabric, and the unit it is of by index. */
interface Place {
  at: vec3;
  unit: number;
}

/** The middle of a unit's volume and how much that is: discs along its axis, as thick as it is held. */
function weightOf(unit: PosedUnit): { centre: vec3; volume: number } {
  const { surface, frame } = unit;
  const centre = vec3.create();
  let volume = 0;
  for (let ring = 0; ring + 1 < surface.z.length; ring += 1) {
    const [from = 0, to = 0] = [surface.z[ring], surface.z[ring + 1]];
    const [inner = 0, outer = 0] = [surface.radius[ring], surface.radius[ring + 1]];
    // A piece of a cone (frustum), with its weight taken to lie halfway: rings stand close.
    const cone = (Math.PI / 3) * Math.abs(to - from) * (inner ** 2 + inner * outer + outer ** 2);
    const piece = (cone * (thicknessAtRing(unit, ring) + thicknessAtRing(unit, ring + 1))) / 2;
    const middle = vec3.scaleAndAdd(vec3.create(), frame.origin, frame.away, (from + to) / 2);
    vec3.scaleAndAdd(centre, centre, middle, piece);
    volume += piece;
  }
  return {
    centre: volume > 0 ? vec3.scale(centre, centre, 1 / volume) : vec3.copy(centre, frame.origin),
    volume,
  };
}

/** Where the weight of a toy is, all of it stuffed alike. */
export function centreOfWeight(posed: readonly PosedUnit[]): vec3 {
  const weights = posed.map(weightOf);
  const total = weights.reduce((sum, { volume }) => sum + volume, 0);
  const centre = vec3.create();
  for (const { centre: own, volume } of weights)
    vec3.scaleAndAdd(centre, centre, own, volume / Math.max(total, 1e-9));
  return centre;
}

/** Every place of the fabric that is looked at. What is flat down to its tip is soft and carries nothing. */
function placesOf(posed: readonly PosedUnit[]): Place[] {
  return posed.flatMap((unit, index) =>
    thicknessAtRing(unit, 0) < 1
      ? []
      : Array.from(unit.surface.along).flatMap((along) =>
          Array.from({ length: around }, (_, i) => ({
            at: placeOf(unit, { along, azimuth: (2 * Math.PI * i) / around }),
            unit: index,
          })),
        ),
  );
}

/** The place of a line nearest to a point. */
function nearestOn([ax, az]: Point, [bx, bz]: Point, [x, z]: Point): Point {
  const [dx, dz] = [bx - ax, bz - az];
  const length = dx * dx + dz * dz;
  const share = length > 0 ? Math.max(0, Math.min(1, ((x - ax) * dx + (z - az) * dz) / length)) : 0;
  return [ax + share * dx, az + share * dz];
}

/** How far the weight falls from the rim of what the toy rests on, and which place of that is nearest. */
function toRim(rim: readonly Point[], at: Point): { mm: number; nearest: Point } {
  return rim.reduce<{ mm: number; nearest: Point }>(
    (best, a, i) => {
      const nearest = nearestOn(a, rim[(i + 1) % rim.length] ?? a, at);
      const mm = Math.hypot(nearest[0] - at[0], nearest[1] - at[1]);
      return mm < best.mm ? { mm, nearest } : best;
    },
    { mm: Infinity, nearest: at },
  );
}

/** What touches the table, and where the weight falls on it. */
function setDown(places: readonly Place[], centre: vec3) {
  const floor = Math.min(...places.map(({ at }) => at[1] ?? 0));
  const touching = places.filter(({ at }) => (at[1] ?? 0) <= floor + givesMm);
  const points = touching.map(({ at: [x = 0, , z = 0] }): Point => [x, z]);
  const falls: Point = [centre[0] ?? 0, centre[2] ?? 0];
  const hull = polygonHull(points);
  const rim = toRim(hull ?? points, falls);
  const units = new Set(touching.map(({ unit }) => unit));
  return { floor, falls, rim, units, isInside: hull !== null && polygonContains(hull, falls) };
}

type Down = ReturnType<typeof setDown>;

/** The way its weight pulls it over: from the rim of what it rests on to where the weight falls. */
function wayOver({ falls, rim: { nearest, mm } }: Down): Point {
  return mm > 1e-6 ? [(falls[0] - nearest[0]) / mm, (falls[1] - nearest[1]) / mm] : [0, -1];
}

/** The angle by which it tips before the next of it touches, in radians; null where nothing does. */
function nextTouch(
  places: readonly Place[],
  { floor, rim: { nearest } }: Down,
  [dx, dz]: Point,
): number | null {
  let least: number | null = null;
  for (const {
    at: [x = 0, y = 0, z = 0],
  } of places) {
    const beyond = (x - nearest[0]) * dx + (z - nearest[1]) * dz;
    const isClear = beyond > givesMm && y - floor > givesMm;
    if (!isClear) continue;
    const angle = Math.atan2(y - floor - givesMm / 2, beyond);
    if (least === null || angle < least) least = angle;
  }
  return least;
}

/** Turns a place over the rim of what the toy rests on. */
function tip(place: vec3, { floor, rim: { nearest } }: Down, [dx, dz]: Point, angle: number): void {
  const [x = 0, y = 0, z = 0] = place;
  const beyond = (x - nearest[0]) * dx + (z - nearest[1]) * dz;
  const height = y - floor;
  const moved = beyond * Math.cos(angle) + height * Math.sin(angle) - beyond;
  const risen = height * Math.cos(angle) - beyond * Math.sin(angle);
  vec3.set(place, x + moved * dx, floor + risen, z + moved * dz);
}

/** The side that is named for a way over. */
function sideOf([dx, dz]: Point): NonNullable<Balance['way']> {
  if (Math.abs(dx) > Math.abs(dz)) return dx > 0 ? 'right' : 'left';
  return dz > 0 ? 'forward' : 'back';
}

/**
 * How a toy comes to rest that is set down as it is drawn: it rests on what is lowest, and where its weight falls outside that it tips
 * over the rim until more of it touches.
 *
 * @param posed the units of the toy, without what lies beside it; x to the right, y up, z to the front, in mm
 * @returns null where nothing is drawn
 */
export function balanceOf(posed: readonly PosedUnit[]): Balance | null {
  const places = placesOf(posed);
  if (places.length === 0) return null;
  const centre = centreOfWeight(posed);
  const over: Point = [0, 0];
  let leans = 0;
  for (let tips = 0; ; tips += 1) {
    const down = setDown(places, centre);
    const degrees = (Math.hypot(...over) * 180) / Math.PI;
    const way = degrees < 1 ? null : sideOf(over);
    const rests = posed.filter((_, i) => down.units.has(i)).map(({ unit }) => unit);
    const rest = { rests, leans: degrees, way };
    if (down.isInside) return { ...rest, insideMm: down.rim.mm, stands: true };
    const direction = wayOver(down);
    const angle = nextTouch(places, down, direction);
    leans += angle ?? Math.PI;
    const hasFallen = angle === null || leans > fallen || tips >= mostTips;
    if (hasFallen) return { ...rest, way: way ?? sideOf(direction), insideMm: -down.rim.mm, stands: false };
    for (const { at } of places) tip(at, down, direction, angle);
    tip(centre, down, direction, angle);
    over[0] += direction[0] * angle;
    over[1] += direction[1] * angle;
  }
}
