import * as vec3 from 'gl-matrix/vec3';
import { roundCount } from '../fabric/fabric';
import { turn } from '../shape/azimuth';
import { placeOf, type PosedUnit } from './pose';

/** One piece of surface as it is seen: its corners on the page, x to the right and y down, and how light it is. */
export interface DrawnFace {
  /** index of the unit it is of */
  unit: number;
  /** x, y of each corner, in mm */
  corners: number[];
  /** how near it is */
  depth: number;
  /** 0 turned away from the light, 1 towards it */
  light: number;
  /** index of its yarn in the part's palette */
  colour: number;
}

/** A pressed eye or a spot of a feature, as it is seen. */
export interface DrawnDot {
  unit: number;
  x: number;
  y: number;
  depth: number;
  radiusMm: number;
  feature: string;
  embroidered: boolean;
}

export interface DrawnToy {
  /** from the furthest to the nearest */
  faces: DrawnFace[];
  dots: DrawnDot[];
}

/** From where a toy is looked at, and how far it is pulled apart. */
export interface Looking {
  /** how far the toy is turned, in radians: a quarter shows the side that is left when one looks at its front */
  yaw: number;
  /** in mm, along each part's own direction */
  pulled: number;
  /** pieces around each round */
  segments: number;
}

// From above, a little to the left, and from where one looks.
const sun = vec3.normalize(vec3.create(), vec3.fromValues(-0.35, 0.65, 0.68));

/** The yarn most of a round is in. */
function colourOfRound({ fabric }: PosedUnit['part'], round: number): number {
  const from = fabric.offset[round - 1] ?? 0;
  const times = new Map<number, number>();
  for (let i = 0; i < roundCount(fabric, round); i += 1) {
    const colour = fabric.colour[from + i] ?? 0;
    times.set(colour, (times.get(colour) ?? 0) + 1);
  }
  return [...times].sort((a, b) => b[1] - a[1])[0]?.[0] ?? 0;
}

/** The yarn of the stitch of a round at an azimuth. */
function colourAt({ part }: PosedUnit, round: number, azimuth: number): number {
  const { fabric, starts } = part;
  const count = roundCount(fabric, round);
  if (count === 0) return 0;
  const at = Math.floor((((azimuth - (starts[round - 1] ?? 0)) / turn) * count) % count);
  return (
    fabric.colour[(fabric.offset[round - 1] ?? 0) + ((at + count) % count)] ?? colourOfRound(part, round)
  );
}

/** Turns a place about the toy's upright axis. */
function seen(place: vec3, yaw: number): vec3 {
  const [x = 0, y = 0, z = 0] = place;
  const [cos, sin] = [Math.cos(yaw), Math.sin(yaw)];
  return vec3.fromValues(x * cos + z * sin, y, z * cos - x * sin);
}

function facesOf(posed: PosedUnit, unit: number, { yaw, pulled, segments }: Looking): DrawnFace[] {
  const { surface, part } = posed;
  const rings = Array.from(surface.along, (along) =>
    Array.from({ length: segments }, (_, i) => {
      const place = placeOf(posed, { along, azimuth: (turn * i) / segments });
      return seen(vec3.scaleAndAdd(place, place, posed.outward, pulled), yaw);
    }),
  );
  const faces: DrawnFace[] = [];
  for (let ring = 0; ring + 1 < rings.length; ring += 1) {
    const round = Math.min(part.fabric.rounds, ring + 1);
    for (let i = 0; i < segments; i += 1) {
      const next = (i + 1) % segments;
      const corners = [rings[ring]?.[i], rings[ring]?.[next], rings[ring + 1]?.[next], rings[ring + 1]?.[i]];
      const [a, b, c, d] = corners;
      if (!a || !b || !c || !d) continue;
      const normal = vec3.cross(vec3.create(), vec3.sub(vec3.create(), c, a), vec3.sub(vec3.create(), d, b));
      if (vec3.length(normal) < 1e-9) continue;
      vec3.normalize(normal, normal);
      // Both sides of the fabric are alike; what looks at us is drawn, an open edge also from inside.
      if ((normal[2] ?? 0) < 0) vec3.negate(normal, normal);
      const azimuth = (turn * (i + 0.5)) / segments;
      faces.push({
        unit,
        corners: [a, b, c, d].flatMap(([x = 0, y = 0]) => [x, -y]),
        depth: ((a[2] ?? 0) + (b[2] ?? 0) + (c[2] ?? 0) + (d[2] ?? 0)) / 4,
        light: Math.max(0, vec3.dot(normal, sun)),
        colour: colourAt(posed, round, azimuth),
      });
    }
  }
  return faces;
}

function dotsOf(posed: PosedUnit, unit: number, { yaw, pulled }: Looking): DrawnDot[] {
  return posed.part.features.flatMap(({ kind, units, rule }) =>
    units.flatMap(({ fromLine, azimuth, halfMm }) => {
      const along = posed.surface.along[fromLine] ?? 0;
      const place = placeOf(posed, { along, azimuth });
      const shifted = seen(vec3.scaleAndAdd(place, place, posed.outward, pulled), yaw);
      const axis = seen(vec3.scaleAndAdd(vec3.create(), posed.frame.origin, posed.outward, pulled), yaw);
      const isNear = (shifted[2] ?? 0) > (axis[2] ?? 0);
      if (!isNear || (kind !== 'eyes' && kind !== 'nose' && kind !== 'cheeks' && kind !== 'spots')) return [];
      return [
        {
          unit,
          x: shifted[0] ?? 0,
          y: -(shifted[1] ?? 0),
          depth: (shifted[2] ?? 0) + halfMm,
          // Stitches taper where a post is round.
          radiusMm: rule.embroidered ? halfMm * 0.6 : halfMm,
          feature: kind,
          embroidered: rule.embroidered,
        },
      ];
    }),
  );
}

/** The assembled toy as it is seen from a side, the furthest first. */
export function drawToy(posed: readonly PosedUnit[], looking: Looking): DrawnToy {
  const faces = posed.flatMap((unit, i) => facesOf(unit, i, looking));
  faces.sort((a, b) => a.depth - b.depth);
  const dots = posed.flatMap((unit, i) => dotsOf(unit, i, looking));
  return { faces, dots };
}
