import * as vec3 from 'gl-matrix/vec3';
import { roundCount } from '../../fabric/fabric';
import { direction } from '../../place/frame/direction';
import type { FeaturePlacement } from '../../place/resolve/placement';
import { turn, wrapAngle } from '../../shape/azimuth';
import { growthsOf, linesOf } from './growths';
import { seen, type DrawnFace, type Looking } from './looking';
import { placeOf, type PosedUnit } from './posed';
import { alongAt } from '../wall';

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

/** A thread that lies on the fabric, or that a unit hangs by, as it is seen. */
export interface DrawnStroke {
  unit: number;
  feature: string;
  /** x, y of each point of its way, in mm */
  points: number[];
  depth: number;
}

export interface DrawnToy {
  /** from the furthest to the nearest */
  faces: DrawnFace[];
  dots: DrawnDot[];
  strokes: DrawnStroke[];
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
export function colourAt({ part, sheet }: PosedUnit, round: number, azimuth: number): number {
  const { fabric, starts } = part;
  const count = roundCount(fabric, round);
  if (count === 0) return 0;
  const at =
    sheet?.stitchAt(round, azimuth) ??
    Math.floor((((azimuth - (starts[round - 1] ?? 0)) / turn) * count) % count);
  return (
    fabric.colour[(fabric.offset[round - 1] ?? 0) + ((at + count) % count)] ?? colourOfRound(part, round)
  );
}

/** What lies flat on a curved wall is drawn over it, also where a piece of the wall reaches further forward than its middle. */
const sheetBeforeMm = 3;

/** Rings that bands are drawn between: every so-manieth, and the last. */
function ringsSeen(count: number, every: number): number[] {
  const rings = Array.from({ length: Math.ceil(count / every) }, (_, i) => i * every);
  return rings.at(-1) === count - 1 ? rings : [...rings, count - 1];
}

/**
 * Whether the inside of a unit may be seen: only through an end that is open and turned to the one who looks. The rims are flat, so no
 * line of sight comes in through one that faces away.
 */
function showsInside({ surface, frame, sheet }: PosedUnit, yaw: number): boolean {
  if (sheet) return true;
  const towardsUs = seen(frame.away, yaw)[2] ?? 0;
  const isOpenAtStart = (surface.radius[0] ?? 0) > 0;
  const isOpenAtEnd = (surface.radius.at(-1) ?? 0) > 0;
  return (isOpenAtStart && towardsUs < -1e-9) || (isOpenAtEnd && towardsUs > 1e-9);
}

/** The rings of a unit as they are seen, each by so many corners, and the round of each band between them. */
function bandsSeen(posed: PosedUnit, { yaw, pulled, segments, rounds = 1 }: Looking) {
  const { surface, part } = posed;
  const seenRings = ringsSeen(surface.along.length, rounds);
  const rings = seenRings.map((ring) =>
    Array.from({ length: segments }, (_, i) => {
      const place = placeOf(posed, { along: surface.along[ring] ?? 0, azimuth: (turn * i) / segments });
      return seen(vec3.scaleAndAdd(place, place, posed.outward, pulled), yaw);
    }),
  );
  return rings.slice(1).map((to, band) => ({
    from: rings[band] ?? [],
    to,
    round: Math.min(part.fabric.rounds, (seenRings[band] ?? 0) + 1),
  }));
}

/** What stands straight off a piece of surface, by its diagonals; null where it has no area. */
function normalOf(a: vec3, b: vec3, c: vec3, d: vec3): vec3 | null {
  const normal = vec3.cross(vec3.create(), vec3.sub(vec3.create(), c, a), vec3.sub(vec3.create(), d, b));
  return vec3.length(normal) < 1e-9 ? null : vec3.normalize(normal, normal);
}

const zOf = (place: vec3): number => place[2] ?? 0;

function facesOf(posed: PosedUnit, unit: number, looking: Looking): DrawnFace[] {
  const { segments } = looking;
  const isBothSides = showsInside(posed, looking.yaw);
  const { hand, side } = posed.part.orientation;
  // A piece goes around along rising azimuths, then towards the end.
  const outside = -direction({ hand, side, start: 'top' });
  const faces: DrawnFace[] = [];
  for (const { from, to, round } of bandsSeen(posed, looking)) {
    for (let i = 0; i < segments; i += 1) {
      const next = (i + 1) % segments;
      const [a, b, c, d] = [from[i], from[next], to[next], to[i]];
      if (!a || !b || !c || !d) continue;
      const normal = normalOf(a, b, c, d);
      if (!normal) continue;
      const isTurnedAway = zOf(normal) * outside < 0;
      if (isTurnedAway && !isBothSides) continue;
      // Both sides of the fabric are alike.
      if (zOf(normal) < 0) vec3.negate(normal, normal);
      const azimuth = (turn * (i + 0.5)) / segments;
      faces.push({
        unit,
        corners: [a, b, c, d].flatMap(([x = 0, y = 0]) => [x, -y]),
        depth: (zOf(a) + zOf(b) + zOf(c) + zOf(d)) / 4 + (posed.sheet ? sheetBeforeMm : 0),
        light: Math.max(0, vec3.dot(normal, sun)),
        colour: colourAt(posed, round, azimuth),
      });
    }
  }
  return faces;
}

/** What is filled with stitches side by side is seen as a spot; all else that is stitched as its threads. */
export const isFilled = ({ kind, rule }: FeaturePlacement): boolean =>
  (kind === 'eyes' && rule.style !== 'sleeping') || kind === 'nose' || kind === 'cheeks' || kind === 'spots';

/** Pieces a thread is drawn in: it lies along the surface. */
const threadPieces = 4;

/** The thread of what is stitched, as it lies. */
function strokesOf(posed: PosedUnit, unit: number, { yaw, pulled }: Looking): DrawnStroke[] {
  const { surface, part, outward, sheet } = posed;
  if (sheet) return [];
  const axis = seen(vec3.scaleAndAdd(vec3.create(), posed.frame.origin, outward, pulled), yaw);
  const threads = part.features.filter((feature) => !isFilled(feature));
  return threads.flatMap(({ kind, needle }) =>
    (needle?.lies ?? []).flatMap(([from, to]): DrawnStroke[] => {
      const [a, b] = [needle?.points[from], needle?.points[to]];
      if (!a || !b) return [];
      const places = Array.from({ length: threadPieces + 1 }, (_, i) => {
        const share = i / threadPieces;
        const along = alongAt(surface, a.line + (b.line - a.line) * share);
        const azimuth = a.azimuth + wrapAngle(b.azimuth - a.azimuth) * share;
        const place = placeOf(posed, { along, azimuth });
        return seen(vec3.scaleAndAdd(place, place, outward, pulled), yaw);
      });
      const isNear = places.every(([, , z = 0]) => z > (axis[2] ?? 0));
      const points = places.flatMap(([x = 0, y = 0]) => [x, -y]);
      const depth = Math.max(...places.map(([, , z = 0]) => z));
      return isNear ? [{ unit, feature: kind, points, depth }] : [];
    }),
  );
}

/** The thread a unit hangs by; pulled apart it goes with the unit. */
function threadOf({ thread, outward }: PosedUnit, unit: number, { yaw, pulled }: Looking): DrawnStroke[] {
  if (!thread) return [];
  const ends = thread.map((place) => seen(vec3.scaleAndAdd(vec3.create(), place, outward, pulled), yaw));
  const points = ends.flatMap(([x = 0, y = 0]) => [x, -y]);
  return [{ unit, feature: 'thread', points, depth: Math.max(...ends.map(([, , z = 0]) => z)) }];
}

function dotsOf(posed: PosedUnit, unit: number, { yaw, pulled }: Looking): DrawnDot[] {
  if (posed.sheet) return [];
  return posed.part.features.filter(isFilled).flatMap(({ kind, units, rule }) =>
    units.flatMap(({ fromLine, azimuth, halfMm }) => {
      const along = posed.surface.along[fromLine] ?? 0;
      const place = placeOf(posed, { along, azimuth });
      const shifted = seen(vec3.scaleAndAdd(place, place, posed.outward, pulled), yaw);
      const axis = seen(vec3.scaleAndAdd(vec3.create(), posed.frame.origin, posed.outward, pulled), yaw);
      const isNear = (shifted[2] ?? 0) > (axis[2] ?? 0);
      if (!isNear) return [];
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

/** Whether a place on the page lies in a face, by the crossings of a line to its right (Shimrat, 1962). */
function covers({ corners }: DrawnFace, x: number, y: number): boolean {
  let isInside = false;
  for (let i = 0, j = corners.length - 2; i < corners.length; j = i, i += 2) {
    const [ax = 0, ay = 0, bx = 0, by = 0] = [corners[i], corners[i + 1], corners[j], corners[j + 1]];
    const crosses = ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax;
    if (crosses) isInside = !isInside;
  }
  return isInside;
}

type Spot = Pick<DrawnDot, 'unit' | 'x' | 'y' | 'depth'>;

const standsBefore =
  ({ unit, x, y, depth }: Spot) =>
  (face: DrawnFace): boolean =>
    face.unit !== unit && face.depth > depth && covers(face, x, y);

/** Whether another part stands before a place. */
const isHidden = (faces: readonly DrawnFace[], spot: Spot): boolean => faces.some(standsBefore(spot));

/** The assembled toy as it is seen from a side, the furthest first. */
export function drawToy(posed: readonly PosedUnit[], looking: Looking): DrawnToy {
  const faces = posed.flatMap((unit, i) => [
    ...facesOf(unit, i, looking),
    ...growthsOf(unit, i, looking),
    ...linesOf(unit, i, looking),
  ]);
  faces.sort((a, b) => a.depth - b.depth);
  const dots = posed.flatMap((unit, i) => dotsOf(unit, i, looking)).filter((dot) => !isHidden(faces, dot));
  const strokes = posed
    .flatMap((unit, i) => [...strokesOf(unit, i, looking), ...threadOf(unit, i, looking)])
    .filter(({ unit, points, depth }) => {
      const middle = 2 * Math.floor(points.length / 4);
      return !isHidden(faces, { unit, x: points[middle] ?? 0, y: points[middle + 1] ?? 0, depth });
    });
  return { faces, dots, strokes };
}

/** The unit that is seen at a place of the page, by index; null where the toy is not. */
export function unitAt(faces: readonly DrawnFace[], x: number, y: number): number | null {
  return faces.findLast((face) => covers(face, x, y))?.unit ?? null;
}

/** Something of a face that another unit hides, seen from the front: units by index. */
export interface HiddenFeature {
  feature: string;
  unit: number;
  by: number;
}

/** Pieces around a round that are enough to tell what hides what. */
const coarse = 12;

/** What of the eyes, the nose and other spots is hidden from the front by another unit, each once. */
export function hiddenFeatures(posed: readonly PosedUnit[]): HiddenFeature[] {
  const looking: Looking = { yaw: 0, pulled: 0, segments: coarse };
  const faces = posed.flatMap((unit, i) => facesOf(unit, i, looking)).sort((a, b) => a.depth - b.depth);
  const hidden = posed
    .flatMap((unit, i) => dotsOf(unit, i, looking))
    .flatMap((dot): HiddenFeature[] => {
      const before = faces.findLast(standsBefore(dot));
      return before ? [{ feature: dot.feature, unit: dot.unit, by: before.unit }] : [];
    });
  return hidden.filter(
    (one, i) => hidden.findIndex((other) => other.feature === one.feature && other.by === one.by) === i,
  );
}
