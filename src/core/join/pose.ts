import * as quat from 'gl-matrix/quat';
import * as vec3 from 'gl-matrix/vec3';
import { roundNumbered } from '../fabric/rounds';
import type { StanceSaid } from '../notation/sentence/stance';
import { direction } from '../place/frame/direction';
import { flatStance, headingToFront, liesUpWall, type FlatStance } from './facing';
import type { Join, JoinedToy, JoinPart, Unit } from './joined';
import { sewnEdgeOf } from './placing';
import { alongAt, depthAt, radiusAt, type Wall, type WallPoint } from './wall';

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

/** A unit of the assembled toy. */
export interface PosedUnit {
  unit: Unit;
  part: JoinPart;
  surface: Wall;
  frame: Frame;
  /** the azimuth that faces `front` */
  facing: number;
  /** how thick it is along `front`, as a share: a flattened piece is thin */
  thickness: number;
  /** which way it goes when the toy is pulled apart */
  outward: vec3;
  /** lies beside the toy: nothing says where it goes */
  loose: boolean;
}

/** A flattened piece is two layers of fabric, not a tube. */
const flatThickness = 0.28;
const forward = vec3.fromValues(0, 0, 1);
const upward = vec3.fromValues(0, 1, 0);

/** A frame from its axis and the direction its front should face, as far as the axis lets it. */
function frameAt(origin: vec3, away: vec3, facing: vec3): Frame {
  const front = vec3.scaleAndAdd(vec3.create(), facing, away, -vec3.dot(facing, away));
  // Straight along the axis nothing can face: it looks up.
  const isAlong = vec3.length(front) < 0.25;
  if (isAlong) vec3.scaleAndAdd(front, upward, away, -vec3.dot(upward, away));
  if (vec3.length(front) < 1e-6) vec3.copy(front, forward);
  vec3.normalize(front, front);
  const right = vec3.cross(vec3.create(), front, away);
  return { origin, away, front, right };
}

/** A part that stands, or lies, by itself. */
function standing({ orientation }: JoinPart): Frame {
  const isStartFirst = orientation.start === 'top';
  const away = orientation.lying
    ? vec3.fromValues(isStartFirst ? 1 : -1, 0, 0)
    : vec3.fromValues(0, isStartFirst ? -1 : 1, 0);
  return frameAt(vec3.create(), away, forward);
}

/** The angle of an azimuth from the front, rising towards `right`. */
function angleOf({ part, facing }: PosedUnit, azimuth: number): number {
  const { hand, side } = part.orientation;
  return (azimuth - facing) * direction({ hand, side, start: 'top' });
}

/** A place on the surface of a unit, in space. */
export function placeOf(posed: PosedUnit, { along, azimuth }: WallPoint): vec3 {
  const { frame, surface, thickness } = posed;
  const radius = Math.max(0, radiusAt(surface, along));
  const angle = angleOf(posed, azimuth);
  const place = vec3.scaleAndAdd(vec3.create(), frame.origin, frame.away, depthAt(surface, along));
  vec3.scaleAndAdd(place, place, frame.front, radius * Math.cos(angle) * thickness);
  return vec3.scaleAndAdd(place, place, frame.right, radius * Math.sin(angle));
}

/** Straight away from the axis of a unit, at an azimuth. */
function outwardAt(posed: PosedUnit, azimuth: number): vec3 {
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
function towards(posed: PosedUnit, at: WallPoint, heading: number): vec3 {
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

/** Where the front of a piece looks that is held flat along a round: outward from the axis of its wall, or inward. */
function flatFront(posed: PosedUnit, at: WallPoint, { looksIn }: FlatStance): vec3 {
  const outward = outwardAt(posed, at.azimuth);
  return looksIn ? vec3.negate(outward, outward) : outward;
}

/** How far the end of a part is from its start along its axis. */
const lengthOf = ({ along, z }: Wall): number => (along.length > 0 ? (z.at(-1) ?? 0) : 0);

/** A unit onto the end of another: edge to edge, axes in one line. */
function onEnd(wall: PosedUnit, surface: Wall): Pick<PosedUnit, 'frame' | 'outward' | 'thickness'> {
  const end = lengthOf(wall.surface);
  const at = vec3.scaleAndAdd(vec3.create(), wall.frame.origin, wall.frame.away, end);
  const origin = vec3.scaleAndAdd(vec3.create(), at, wall.frame.away, lengthOf(surface));
  const away = vec3.negate(vec3.create(), wall.frame.away);
  return {
    frame: frameAt(origin, away, wall.frame.front),
    outward: vec3.clone(wall.frame.away),
    thickness: 1,
  };
}

/** A piece over an end of another or inside it: axes in one line, its edge on a round of the other. */
function onRing(
  wall: PosedUnit,
  surface: Wall,
  { row, end }: NonNullable<Join['ring']>,
): Pick<PosedUnit, 'frame' | 'outward' | 'thickness'> {
  const depth = depthAt(wall.surface, alongAt(wall.surface, row));
  const length = lengthOf(surface);
  const isAtEnd = end === 'end';
  const from = isAtEnd ? depth + length : depth - length;
  const origin = vec3.scaleAndAdd(vec3.create(), wall.frame.origin, wall.frame.away, from);
  const inward = isAtEnd ? vec3.negate(vec3.create(), wall.frame.away) : vec3.clone(wall.frame.away);
  return {
    frame: frameAt(origin, inward, wall.frame.front),
    outward: vec3.negate(vec3.create(), inward),
    thickness: 1,
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
function pointed(straight: vec3, place: vec3, { droop = 0, lean = 0 }: StanceSaid): vec3 {
  const [x = 0] = place;
  const aside = Math.abs(x) > 1 ? vec3.fromValues(Math.sign(x), 0, 0) : forward;
  const isOnTop = (straight[1] ?? 0) > nearlyUpright && droop > 0;
  const isBelow = (straight[1] ?? 0) < -nearlyUpright && droop < 0;
  const vertical = isOnTop || isBelow ? aside : vec3.fromValues(0, droop > 0 ? -1 : 1, 0);
  const hung = droop === 0 ? straight : tilted(straight, vertical, droop);
  return lean === 0 ? hung : tilted(hung, vec3.fromValues(0, 0, Math.sign(lean)), lean);
}

/** Ways to join by an edge that is laid flat: what is worked in is held flat while the hook goes through both its layers. */
const heldFlat: ReadonlySet<Join['kind']> = new Set(['flattened', 'pinched', 'no-sew']);

/** A unit onto a place of another's wall: its axis straight off the wall, its front to the toy's front. */
function onWall(
  wall: PosedUnit,
  part: JoinPart,
  surface: Wall,
  { centre, kind, sentence, turned }: Join,
): Pick<PosedUnit, 'frame' | 'outward' | 'thickness'> | null {
  if (!centre) return null;
  const row = rowOfCentre(wall, centre);
  const along = Math.min(wall.surface.along.at(-1) ?? 0, alongAt(wall.surface, row));
  const here: WallPoint = { along, azimuth: centre.azimuth };
  const isClosed = kind === 'closed-on-wall';
  const isFlat = heldFlat.has(kind);
  const straight = normalAt(wall, here);
  const stance = isFlat ? flatStance(wall.part, centre, wall.facing, liesUpWall(sentence)) : null;
  const at = placeOf(wall, here);
  const normal = pointed(stance?.hangs ? hanging(straight) : straight, at, sentence.stance ?? {});
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
  return { frame, outward: straight, thickness: isFlat ? flatThickness : 1 };
}

/** The stuffed wall is as long as the profile it was joined by, stitch for stitch: places go by their share of it. */
function rowOfCentre({ surface, part }: PosedUnit, centre: WallPoint): number {
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
function inRound(wall: PosedUnit, part: JoinPart, surface: Wall): PosedUnit['frame'] {
  const { onto } = part.part;
  const row = onto ? roundNumbered(wall.part.fabric, onto.round) : 0;
  const depth = depthAt(wall.surface, alongAt(wall.surface, row));
  const origin = vec3.scaleAndAdd(vec3.create(), wall.frame.origin, wall.frame.away, depth);
  const rises = (wall.frame.away[1] ?? 0) > upright && surface.along.length > 0;
  const away = rises ? vec3.negate(vec3.create(), wall.frame.away) : vec3.clone(wall.frame.away);
  return frameAt(origin, away, wall.frame.front);
}

/** The edges that a piece grows out of, as a body does of two legs: side by side before its start. */
function beforeStart(grown: PosedUnit, surface: Wall, place: number, of: number): PosedUnit['frame'] {
  const { frame } = grown;
  const radius = surface.radius.at(-1) ?? 0;
  const aside = (place - (of - 1) / 2) * 2 * radius;
  const origin = vec3.scaleAndAdd(vec3.create(), frame.origin, frame.right, aside);
  vec3.scaleAndAdd(origin, origin, frame.away, -lengthOf(surface));
  return frameAt(origin, vec3.clone(frame.away), frame.front);
}

/** Units that are joined by the work itself to one that stands already. */
function workedOn(
  posed: readonly PosedUnit[],
  worked: readonly JoinPart[],
  standAlone: (part: JoinPart, unit: Unit) => PosedUnit,
): PosedUnit[] {
  const isPosed = (id: string) => posed.some(({ unit }) => unit.part === id);
  const ontoRound = worked
    .filter(({ part }) => part.onto !== undefined && !isPosed(part.id))
    .flatMap((part) =>
      posed
        .filter(({ unit }) => unit.part === part.part.onto?.part)
        .slice(0, part.part.make)
        .map((wall, i): PosedUnit => {
          const alone = standAlone(part, { ...nameless(part), unit: i + 1 });
          return { ...alone, frame: inRound(wall, part, alone.surface) };
        }),
    );
  const edges = posed.flatMap((grown) =>
    (grown.part.part.grown?.edges ?? []).flatMap((edge, i, all): PosedUnit[] => {
      const part = worked.find((one) => one.part.id === edge.part);
      if (!part || isPosed(edge.part)) return [];
      const alone = standAlone(part, { ...nameless(part), unit: edge.unit });
      const outward = vec3.negate(vec3.create(), grown.frame.away);
      return [{ ...alone, outward, frame: beforeStart(grown, alone.surface, i, all.length) }];
    }),
  );
  return [...ontoRound, ...edges];
}

/** Room between what lies beside the toy, in mm. */
const besideMm = 12;

/** A part that nothing joins, as its only unit. */
const nameless = ({ part }: JoinPart): Unit => ({ part: part.id, unit: 1, name: part.name, side: null });

/** A unit that stands, or lies, by itself. */
const standingUnit = (part: JoinPart, unit: Unit): Omit<PosedUnit, 'surface' | 'facing'> => ({
  unit,
  part,
  frame: standing(part),
  thickness: 1,
  outward: vec3.create(),
  loose: false,
});

/** Where a join puts its unit; null where it can't stand there. */
function placeBy(join: Join, wall: PosedUnit, part: JoinPart, surface: Wall): ReturnType<typeof onWall> {
  if (join.kind === 'edge-to-edge') return onEnd(wall, surface);
  return join.ring ? onRing(wall, surface, join.ring) : onWall(wall, part, surface, join);
}

/** The part the others hang on: a wall that is joined to nothing itself, else what grows out of others, else the first. */
function rootOf(worked: readonly JoinPart[], placeable: readonly Join[]): JoinPart | undefined {
  const isUnit = ({ part }: JoinPart) => placeable.some(({ unit }) => unit.part === part.id);
  const isWall = ({ part }: JoinPart) => placeable.some(({ on }) => on.part === part.id);
  const free = worked.filter((part) => !isUnit(part));
  return (
    free.find((part) => isWall(part) && part.part.carries === undefined) ??
    free.find(({ part }) => part.grown !== undefined) ??
    worked[0]
  );
}

/**
 * The toy with every part in its place, as far as that is known; what is not lies beside it.
 *
 * @param surfaceOf the surface of a part, stuffed, or as it is when it is held flat
 */
export function poseToy(
  parts: readonly JoinPart[],
  { joins, loose, fronts, facings }: JoinedToy,
  surfaceOf: (part: JoinPart, isFlat: boolean) => Wall,
): PosedUnit[] {
  const worked = parts.filter(({ fabric }) => fabric.rounds > 0 && fabric.row[0] !== 1);
  const byId = (id: string) => worked.find(({ part }) => part.id === id);
  const placeable = joins.filter(
    ({ kind, centre, ring }) => kind === 'edge-to-edge' || ring !== null || centre !== null,
  );
  const root = rootOf(worked, placeable);
  if (!root) return [];
  const standAlone = (part: JoinPart, unit: Unit): PosedUnit => ({
    ...standingUnit(part, unit),
    surface: surfaceOf(part, false),
    facing: fronts.get(part.part.id) ?? facings.get(part.part.id) ?? part.front,
  });
  const posed: PosedUnit[] = [standAlone(root, nameless(root))];
  const has = (id: string) => posed.find(({ unit }) => unit.part === id);
  /** Whether a join is done with: its unit stands, or can't. */
  const stands = (join: Join): boolean => {
    const wall = has(join.on.part);
    const part = byId(join.unit.part);
    if (!wall || !part) return false;
    const surface = surfaceOf(part, heldFlat.has(join.kind));
    const place = placeBy(join, wall, part, surface);
    if (!place) return true;
    const alone = standAlone(part, join.unit);
    posed.push({ ...alone, surface, facing: join.facing ?? alone.facing, ...place });
    return true;
  };
  let waiting = placeable;
  for (let before = 0; posed.length > before;) {
    before = posed.length;
    waiting = waiting.filter((join) => !stands(join));
    posed.push(...workedOn(posed, worked, standAlone));
  }
  const said = [...waiting, ...joins.filter((join) => !placeable.includes(join))].map(({ unit }) => unit);
  const known = new Set([...posed.map(({ unit }) => unit), ...said, ...loose].map(({ part }) => part));
  const unsaid = worked.filter(({ part }) => !known.has(part.id)).map(nameless);
  layBeside(
    posed,
    [...said, ...loose, ...unsaid].flatMap((unit) => {
      const part = byId(unit.part);
      return part ? [{ ...standAlone(part, unit), loose: true }] : [];
    }),
  );
  return posed;
}

/** Places units in a row to the right of the toy, on the height of its foot. */
function layBeside(posed: PosedUnit[], units: readonly PosedUnit[]): void {
  const box = boundsOf(posed);
  let x = box.high[0] + besideMm;
  for (const unit of units) {
    const own = boundsOf([unit]);
    vec3.set(unit.frame.origin, x - own.low[0], box.low[1] - own.low[1], 0);
    x += own.high[0] - own.low[0] + besideMm;
    posed.push(unit);
  }
}

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

/** Width, height and depth of the assembled toy, without what lies beside it; in mm. */
export function sizeOfToy(posed: readonly PosedUnit[]): {
  widthMm: number;
  heightMm: number;
  depthMm: number;
} {
  const { low, high } = boundsOf(posed.filter(({ loose }) => !loose));
  const [widthMm = 0, heightMm = 0, depthMm = 0] = vec3.sub(vec3.create(), high, low);
  return { widthMm, heightMm, depthMm };
}
