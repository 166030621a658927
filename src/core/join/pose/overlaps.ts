import * as vec3 from 'gl-matrix/vec3';
import type { Join, Unit } from '../joined';
import { placeOf, thicknessAtRing, type PosedUnit } from './posed';

/** Two units that take the same room as they are drawn. */
export interface Overlap {
  units: [Unit, Unit];
  /** how deep the one reaches into the other, in mm */
  deepMm: number;
}

/** Stuffed fabric gives way by as much: less than this is no more than touching. */
const leastDeepMm = 3;
const around = 16;

/** Radius of a unit at a place along its axis and how thick it is there: where it is widest, if it comes back over itself; 0 beyond its ends. */
function widestAt(unit: PosedUnit, depth: number): { radius: number; thickness: number } {
  const { z, radius } = unit.surface;
  let widest = { radius: 0, thickness: 1 };
  for (let ring = 0; ring + 1 < z.length; ring += 1) {
    const [from = 0, to = 0] = [z[ring], z[ring + 1]];
    const isBeside = depth < Math.min(from, to) || depth > Math.max(from, to);
    if (isBeside || from === to) continue;
    const share = (depth - from) / (to - from);
    const here = (radius[ring] ?? 0) * (1 - share) + (radius[ring + 1] ?? 0) * share;
    if (here <= widest.radius) continue;
    const thickness = thicknessAtRing(unit, ring) * (1 - share) + thicknessAtRing(unit, ring + 1) * share;
    widest = { radius: here, thickness };
  }
  return widest;
}

/** How deep a place lies inside a unit, in mm; 0 outside it. */
function depthIn(unit: PosedUnit, place: vec3): number {
  const { frame } = unit;
  const off = vec3.sub(vec3.create(), place, frame.origin);
  const { radius, thickness } = widestAt(unit, vec3.dot(off, frame.away));
  if (radius === 0) return 0;
  // Where it is held flat it is thin from its front to its back.
  const ahead = vec3.dot(off, frame.front) / thickness;
  const aside = vec3.dot(off, frame.right);
  return Math.max(0, radius - Math.hypot(ahead, aside)) * thickness;
}

/** The deepest that the fabric of one unit lies in another. */
function deepest(one: PosedUnit, other: PosedUnit): number {
  let deep = 0;
  for (const along of one.surface.along)
    for (let i = 0; i < around; i += 1) {
      const place = placeOf(one, { along, azimuth: (2 * Math.PI * i) / around });
      deep = Math.max(deep, depthIn(other, place));
    }
  return deep;
}

/** Whether one of two units is joined to the other: there they are meant to touch. */
function areJoined(one: Unit, other: Unit, joins: readonly Join[]): boolean {
  return joins.some(({ unit, on }) => {
    const isOn = (a: Unit, b: Unit) => unit.part === a.part && unit.unit === a.unit && on.part === b.part;
    return isOn(one, other) || isOn(other, one);
  });
}

/**
 * Units that are in each other's way, the deepest first: both take the same room as the toy is drawn, and are not joined to each other.
 *
 * @param posed the units of the toy, without what lies beside it
 */
export function overlapsOf(posed: readonly PosedUnit[], joins: readonly Join[]): Overlap[] {
  const found: Overlap[] = [];
  posed.forEach((one, i) => {
    for (const other of posed.slice(i + 1)) {
      const isWorkedOn = one.part.part.onto !== undefined || other.part.part.onto !== undefined;
      const isGrown = one.part.part.grown !== undefined || other.part.part.grown !== undefined;
      // Flat pieces bend out of each other's way.
      const isFlat = one.sheet !== null || other.sheet !== null;
      if (isFlat || isWorkedOn || isGrown || areJoined(one.unit, other.unit, joins)) continue;
      const deepMm = Math.max(deepest(one, other), deepest(other, one));
      if (deepMm >= leastDeepMm) found.push({ units: [one.unit, other.unit], deepMm });
    }
  });
  return found.sort((a, b) => b.deepMm - a.deepMm);
}
