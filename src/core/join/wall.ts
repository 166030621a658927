import type { Fabric } from '../fabric/fabric';
import { roundCount } from '../fabric/fabric';
import type { Profile } from '../shape/profile';
import { stitchAtAzimuth } from '../shape/azimuth';

/** A place on a wall: how far along it from the start, in mm, and its azimuth in radians, not brought into one turn. */
export interface WallPoint {
  along: number;
  azimuth: number;
}

/**
 * The fabric that something is joined onto, as a surface that is turned about the part's axis: the profile, a ring of each round's
 * stitches one round height after the other. It is there at once and does not move, so addresses on it do not jump. Lengths in mm.
 */
export interface Wall {
  fabric: Fabric;
  starts: Float64Array;
  /** way along the wall from the start to each ring; the first is the start itself, then one a round */
  along: Float64Array;
  radius: Float64Array;
  z: Float64Array;
  /** of what is held flat: how thick each ring is towards its front, as a share of how wide; else it is round */
  thick?: Float64Array;
  /** how far beyond its last round it goes: a cap where it is gathered, nothing where it is open */
  closed: boolean;
}

/**
 * The wall of a part in rounds.
 *
 * @param closed whether its end is gathered, so that what is joined may reach over it
 */
export function wallOf(fabric: Fabric, starts: Float64Array, profile: Profile, closed: boolean): Wall {
  const rings = fabric.rounds + 1 + (closed ? 1 : 0);
  const wall: Wall = {
    fabric,
    starts,
    closed,
    along: new Float64Array(rings),
    radius: new Float64Array(rings),
    z: new Float64Array(rings),
  };
  const open = fabric.start === 'tube' || fabric.start === 'edge';
  wall.radius[0] = open ? (profile.radius[0] ?? 0) : 0;
  for (let round = 1; round <= fabric.rounds; round += 1) {
    const height = (profile.along[round - 1] ?? 0) - (round > 1 ? (profile.along[round - 2] ?? 0) : 0);
    wall.radius[round] = profile.radius[round - 1] ?? 0;
    wall.z[round] = profile.z[round - 1] ?? 0;
    // A round that grows faster than it is high lies flat: its wall is as wide as the growth.
    const growth = Math.abs((wall.radius[round] ?? 0) - (wall.radius[round - 1] ?? 0));
    wall.along[round] = (wall.along[round - 1] ?? 0) + Math.max(height, growth, 1e-6);
  }
  if (closed) {
    const last = fabric.rounds;
    wall.along[last + 1] = (wall.along[last] ?? 0) + Math.max(wall.radius[last] ?? 0, 1e-6);
    wall.z[last + 1] = wall.z[last] ?? 0;
  }
  return wall;
}

/** Index of the ring at or before a place; the last but one at most. */
function ringBefore({ along }: Wall, at: number): number {
  let low = 0;
  let high = along.length - 2;
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if ((along[middle] ?? 0) <= at) low = middle;
    else high = middle - 1;
  }
  return low;
}

/** The round at a place along the wall, as a real number: 5 on round 5, 5.5 halfway to round 6, 0 at the start. */
export function rowAt(wall: Wall, along: number): number {
  const ring = ringBefore(wall, along);
  const [from = 0, to = 0] = [wall.along[ring], wall.along[ring + 1]];
  return ring + (along - from) / (to - from);
}

/** The place along the wall of a round given as a real number. */
export function alongAt({ along }: Wall, row: number): number {
  const ring = Math.max(0, Math.min(along.length - 2, Math.floor(row)));
  const [from = 0, to = 0] = [along[ring], along[ring + 1]];
  return from + (row - ring) * (to - from);
}

function between(values: Float64Array, wall: Wall, along: number): number {
  const ring = ringBefore(wall, along);
  const [from = 0, to = 0] = [wall.along[ring], wall.along[ring + 1]];
  const share = (along - from) / (to - from);
  return (values[ring] ?? 0) * (1 - share) + (values[ring + 1] ?? 0) * share;
}

/** How far from the axis the wall is at a place along it, in mm. */
export const radiusAt = (wall: Wall, along: number): number => between(wall.radius, wall, along);

/** How thick it is there towards its front, as a share of how wide. */
export const thicknessAt = (wall: Wall, along: number): number =>
  wall.thick ? between(wall.thick, wall, along) : 1;

/** How far along the axis from the start, in mm. */
export const depthAt = (wall: Wall, along: number): number => between(wall.z, wall, along);

/** A place in space: the axis along z from the start, azimuth 0 along x. */
export function inSpace(wall: Wall, { along, azimuth }: WallPoint): [x: number, y: number, z: number] {
  const radius = radiusAt(wall, along);
  return [radius * Math.cos(azimuth), radius * Math.sin(azimuth), depthAt(wall, along)];
}

/** Whether a place is on the wall at all, and not beyond an open end. */
export function isOnWall({ along }: Wall, at: number): boolean {
  const nearly = 1e-6;
  return at >= -nearly && at <= (along.at(-1) ?? 0) + nearly;
}

/**
 * The stitch of a wall nearest to a place: the round first, then the stitch at its real azimuth, as the round leans.
 *
 * @param leaning how much nearer the stitch after a place counts than the one before, in stitches
 */
export function stitchNear(
  wall: Wall,
  { along, azimuth }: WallPoint,
  leaning = 0,
): { row: number; stitch: number } {
  const { fabric, starts } = wall;
  const row = Math.max(1, Math.min(fabric.rounds, Math.round(rowAt(wall, along))));
  const count = roundCount(fabric, row);
  const at = Math.round(stitchAtAzimuth(fabric, starts, row, azimuth) + leaning);
  return { row, stitch: at > count ? at - count : Math.max(1, at) };
}

/** One straight way over a stretch of wall that is unrolled flat: where it is, how much is left of it, and in which direction it goes. */
interface Crossing {
  along: number;
  azimuth: number;
  heading: number;
  length: number;
  ring: number;
}

/** Goes on over a stretch that neither widens nor narrows. */
function crossTube(at: Crossing, radius: number, from: number, to: number): void {
  const down = Math.cos(at.heading);
  const toEdge = down > 1e-12 ? (to - at.along) / down : down < -1e-12 ? (from - at.along) / down : Infinity;
  const length = Math.min(at.length, toEdge);
  if (toEdge <= at.length) at.ring += Math.sign(down);
  at.along += down * length;
  at.azimuth += (Math.sin(at.heading) * length) / radius;
  at.length -= length;
}

/** Goes on over a stretch that is a piece of a cone: unrolled it is a sector around the apex, and the way in it a straight line. */
function crossCone(at: Crossing, slope: number, radii: readonly [number, number], from: number): void {
  const k = Math.abs(slope);
  const outward = Math.sign(slope);
  const inner = (slope > 0 ? radii[0] : radii[1]) / k;
  const outer = (slope > 0 ? radii[1] : radii[0]) / k;
  const radial = Math.cos(at.heading) * outward;
  const sideways = Math.sin(at.heading);
  const here = Math.min(outer, Math.max(inner, (radii[0] + (at.along - from) * slope) / k));
  const nearest = Math.abs(here * sideways);
  // Distances along the line to the circles around the apex that bound the stretch.
  const back = -here * radial;
  const out = back + Math.sqrt(Math.max(0, outer * outer - nearest * nearest));
  const meetsInner = radial < 0 && nearest < inner;
  const toInner = meetsInner ? back - Math.sqrt(inner * inner - nearest * nearest) : Infinity;
  const toEdge = Math.min(toInner, out);
  const length = Math.min(at.length, toEdge);
  const [x, y] = [here + radial * length, sideways * length];
  const apart = Math.hypot(x, y);
  const swept = Math.atan2(y, x);
  const leaves = toEdge <= at.length;
  // The heading is measured from the meridian, which has turned by what was swept.
  const direction = Math.atan2(sideways, radial) - swept;
  at.along = from + (apart * k - radii[0]) / slope;
  at.azimuth += swept / k;
  at.heading = Math.atan2(Math.sin(direction), Math.cos(direction) * outward);
  at.length -= length;
  if (leaves) at.ring += toInner < out ? -outward : outward;
}

/**
 * Where one comes to, going straight over the wall (a geodesic): from ring to ring the wall is a piece of a cone, and unrolled flat
 * the way is a straight line, so every stretch is exact. Over the start and over a gathered end it goes on at the other side.
 *
 * @param from where it begins
 * @param heading in radians from the way towards the end, towards rising azimuths
 * @param length in mm
 * @returns null where it would go over an open edge
 */
export function straightAcross(
  wall: Wall,
  from: WallPoint,
  heading: number,
  length: number,
): WallPoint | null {
  // Straight at a pole there is no one way on: a hair beside it there is.
  const aside = Math.abs(Math.sin(heading)) < 1e-7 ? 1e-7 : 0;
  const at: Crossing = {
    along: from.along,
    azimuth: from.azimuth,
    heading: heading + aside,
    length,
    ring: ringBefore(wall, from.along),
  };
  const atStart = from.along <= (wall.along[at.ring] ?? 0) && Math.cos(heading) < 0;
  if (atStart && at.ring > 0) at.ring -= 1;
  for (let steps = 0; at.length > 1e-9 && steps < 4 * wall.along.length; steps += 1) {
    const { ring } = at;
    if (ring < 0 || ring >= wall.along.length - 1) return null;
    const [a = 0, b = 0] = [wall.along[ring], wall.along[ring + 1]];
    const [inner = 0, outer = 0] = [wall.radius[ring], wall.radius[ring + 1]];
    const slope = (outer - inner) / (b - a);
    if (Math.abs(slope) < 1e-6) crossTube(at, Math.max(inner, 1e-9), a, b);
    else crossCone(at, slope, [inner, outer], a);
  }
  return { along: at.along, azimuth: at.azimuth };
}
