import { turn } from '../shape/azimuth';
import { inSpace, isOnWall, straightAcross, type Wall, type WallPoint } from './wall';

/** How an edge is held against the wall: open as a ring, flat as a line of double stitches, or that line folded at its middle. */
export type Held = 'round' | 'flattened' | 'pinched';

/** What is laid onto a wall. */
export interface Edge {
  /** stitches of the edge */
  count: number;
  /** width of one of them in mm, by its own yarn */
  stitchMm: number;
  held: Held;
  /** of a flat one the stitch its front layer begins with, counted from 0 */
  first?: number;
}

/** Where an edge is laid, and how it is turned there. */
export interface Laid {
  centre: WallPoint;
  /** direction of edge stitch 1 from the centre, in radians from the way towards the end of the wall, towards rising azimuths */
  heading: number;
  /** +1 where the edge's stitches go on towards rising headings, -1 against them */
  sense: 1 | -1;
}

/** What an edge covers of a wall: a place for each of its stitches, in their order. */
export interface Footprint {
  points: WallPoint[];
  /** how far its ring lies from its middle along the wall, or half the length of its line; in mm */
  reachMm: number;
  /** the direction of each place from the middle, where they are not even about it */
  headings?: number[];
}

/** Why an edge can't be laid there. */
export type NoFootprint = { why: 'wider-than-wall' | 'over-edge' };

/** Places by which a ring is measured, and how near to its length it is brought, as a share. */
const samples = 24;
const exactness = 1e-4;

/** The ring at a distance from a centre, as so many places; null where a part of it is off the wall. */
function ringAt(
  wall: Wall,
  { centre, heading, sense }: Laid,
  distance: number,
  count: number,
): WallPoint[] | null {
  const points: WallPoint[] = [];
  for (let j = 0; j < count; j += 1) {
    const point = straightAcross(wall, centre, heading + (sense * turn * j) / count, distance);
    if (!point) return null;
    points.push(point);
  }
  return points;
}

/** Length of a closed line through places, in mm. */
function lengthOf(wall: Wall, points: readonly WallPoint[]): number {
  const places = points.map((point) => inSpace(wall, point));
  return places.reduce((sum, [x, y, z], i) => {
    const [a, b, c] = places[(i + 1) % places.length] ?? [x, y, z];
    return sum + Math.hypot(a - x, b - y, c - z);
  }, 0);
}

/** So much further than a gentle wall would need, that the ring is too long rather than too short; and never further at once than this. */
const beyond = 1.0004;
const furthestStep = 1.15;
const furtherBy = (missing: number): number => Math.min(furthestStep, missing * beyond);

/**
 * The ring of an open edge: its m stitches at angles 2πj/m about the centre, all as far from it along the wall as makes the ring as long
 * as the edge (m·w). On a ball of radius R that is R·sin(ρ/R) = m·w/2π.
 */
function ringFootprint(wall: Wall, edge: Edge, laid: Laid): Footprint | NoFootprint {
  const wanted = edge.count * edge.stitchMm;
  // The chords of a ring of many sides are a little shorter than its arcs; those of the wanted length are shortened as much.
  const chords = (samples / Math.PI) * Math.sin(Math.PI / samples);
  const lengthAt = (distance: number): number | null => {
    const ring = ringAt(wall, laid, distance, samples);
    return ring && lengthOf(wall, ring) / chords;
  };
  // Beyond that the ring closes again behind the part.
  const widest = wall.radius.reduce((most, radius) => Math.max(most, radius), 0);
  if (wanted > turn * widest) return { why: 'wider-than-wall' };
  const furthest = Math.PI * widest;
  let low = { distance: 0, length: 0 };
  let high = low;
  for (let distance = wanted / turn; high.length < wanted; distance *= furtherBy(wanted / high.length)) {
    const length = lengthAt(distance);
    if (length === null) return { why: distance > furthest / 2 ? 'wider-than-wall' : 'over-edge' };
    if (length < low.length || distance > furthest * 2) return { why: 'wider-than-wall' };
    low = high;
    high = { distance, length };
  }
  // Between the two the length is all but straight: where the straight line would have it, until it is there.
  for (let tries = 0; tries < 20 && high.length - wanted > wanted * exactness; tries += 1) {
    const share = (wanted - low.length) / (high.length - low.length);
    const distance = low.distance + Math.max(share, 1e-3) * (high.distance - low.distance);
    const length = lengthAt(distance);
    if (length === null) break;
    if (length >= wanted) high = { distance, length };
    else if (wanted - length <= wanted * exactness) high = { distance, length };
    else low = { distance, length };
  }
  const points = ringAt(wall, laid, high.distance, edge.count);
  if (!points) return { why: 'over-edge' };
  const wrapsRound = points.some(({ azimuth }) => Math.abs(azimuth - laid.centre.azimuth) > Math.PI);
  const holdsPole = holdsPoleWithin(wall, laid.centre, high.distance);
  return wrapsRound && !holdsPole ? { why: 'wider-than-wall' } : { points, reachMm: high.distance };
}

/** Whether a ring goes around the start or the gathered end, where all azimuths meet. */
function holdsPoleWithin(
  { along, radius, closed }: Wall,
  { along: at }: WallPoint,
  distance: number,
): boolean {
  const hasStart = radius[0] === 0 && at <= distance;
  return hasStart || (closed && (along.at(-1) ?? 0) - at <= distance);
}

/** Places along a straight line through the centre, one stitch apart. */
function lineOf(wall: Wall, { centre, heading }: Laid, places: number, stitchMm: number): WallPoint[] | null {
  const points: WallPoint[] = [];
  for (let i = 0; i < places; i += 1) {
    const off = (i - (places - 1) / 2) * stitchMm;
    const point =
      off === 0 ? centre : straightAcross(wall, centre, off < 0 ? heading + Math.PI : heading, Math.abs(off));
    if (!point) return null;
    points.push(point);
  }
  return points;
}

/**
 * The line of a flattened edge: ⌊m/2⌋ places; counted from the first of its front layer, edge stitches j and m−1−j share one, and of an
 * odd count the last takes the middle.
 */
function flatFootprint(
  wall: Wall,
  { count, stitchMm, held, first = 0 }: Edge,
  laid: Laid,
): Footprint | NoFootprint {
  const across = Math.max(1, Math.floor(count / 2));
  // Folded at its middle the line lies on itself.
  const places = held === 'pinched' ? Math.max(1, Math.ceil(across / 2)) : across;
  const line = lineOf(wall, laid, places, stitchMm);
  if (!line || line.some(({ along }) => !isOnWall(wall, along))) return { why: 'over-edge' };
  const points = Array.from({ length: count }, (_, stitch) => {
    const j = (((stitch - first) % count) + count) % count;
    const flat = Math.min(j, count - 1 - j, across - 1);
    const at = held === 'pinched' ? Math.min(flat, across - 1 - flat) : flat;
    return line[at] ?? laid.centre;
  });
  return { points, reachMm: ((places - 1) / 2) * stitchMm };
}

/** A place of a flat piece, in mm from its middle as it lies: x to the right, y up. */
export interface FlatPlace {
  x: number;
  y: number;
}

/**
 * The outline of a flat piece laid onto a wall: each place as far from the middle as on the piece, and in the same direction. The middle
 * lies true; towards the rim a piece gives way as far as the wall curves both ways.
 *
 * @param up heading that the piece has above its middle
 * @param clockwise +1 where headings rise clockwise, seen from outside
 */
export function outlineFootprint(
  wall: Wall,
  outline: readonly FlatPlace[],
  { centre, up, clockwise }: { centre: WallPoint; up: number; clockwise: 1 | -1 },
): Footprint | NoFootprint {
  const points: WallPoint[] = [];
  const headings: number[] = [];
  for (const { x, y } of outline) {
    const heading = up + clockwise * Math.atan2(x, y);
    const distance = Math.hypot(x, y);
    const point = distance < 1e-9 ? centre : straightAcross(wall, centre, heading, distance);
    if (!point || !isOnWall(wall, point.along)) return { why: 'over-edge' };
    points.push(point);
    headings.push(heading);
  }
  const reachMm = Math.max(...outline.map(({ x, y }) => Math.hypot(x, y)));
  const widest = wall.radius.reduce((most, radius) => Math.max(most, radius), 0);
  const halfWide = Math.max(...outline.map(({ x }) => Math.abs(x)));
  if (halfWide > Math.PI * widest) return { why: 'wider-than-wall' };
  return { points, reachMm, headings };
}

/**
 * What an edge covers of a wall.
 *
 * @param wall the wall
 * @param edge its stitches, their width and how it is held
 * @param laid the middle of it, and which way its first stitch lies
 */
export function footprintOf(wall: Wall, edge: Edge, laid: Laid): Footprint | NoFootprint {
  return edge.held === 'round' ? ringFootprint(wall, edge, laid) : flatFootprint(wall, edge, laid);
}

export const isFootprint = (found: Footprint | NoFootprint): found is Footprint => 'points' in found;
