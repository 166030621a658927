import * as vec3 from 'gl-matrix/vec3';
import type { Join, JoinedToy, JoinPart, Unit, UnitRef } from '../joined';
import { beforeStart, heldFlat, inRound, placeBy } from './poseOfJoin';
import { isInRows } from '../outline';
import { boundsOf, forward, frameAt, type Frame, type PosedUnit } from './posed';
import { liesUpright, sheetOf } from './sheet';
import type { Wall } from '../wall';

/** A part that stands, or lies, by itself. */
function standing({ orientation }: JoinPart): Frame {
  const isStartFirst = orientation.start === 'top';
  const away = orientation.lying
    ? vec3.fromValues(isStartFirst ? 1 : -1, 0, 0)
    : vec3.fromValues(0, isStartFirst ? -1 : 1, 0);
  return frameAt(vec3.create(), away, forward);
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
  outward: vec3.create(),
  loose: false,
  sheet: null,
});

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
  const worked = parts.filter(
    (part) => part.fabric.rounds > 0 && (part.fabric.row[0] !== 1 || isInRows(part)),
  );
  const byId = (id: string) => worked.find(({ part }) => part.id === id);
  const placeable = joins.filter(
    ({ kind, centre, ring, path }) =>
      kind === 'edge-to-edge' || kind === 'strung' || ring !== null || centre !== null || path !== null,
  );
  const root = rootOf(worked, placeable);
  if (!root) return [];
  const standAlone = (part: JoinPart, unit: Unit): PosedUnit => {
    const alone = standingUnit(part, unit);
    const facing = fronts.get(part.part.id) ?? facings.get(part.part.id) ?? part.front;
    return isInRows(part)
      ? { ...alone, facing, ...sheetOf(part, liesUpright(alone.frame.origin)) }
      : { ...alone, facing, surface: surfaceOf(part, false) };
  };
  const posed: PosedUnit[] = [standAlone(root, nameless(root))];
  const has = (id: string) => posed.find(({ unit }) => unit.part === id);
  const hasUnit = ({ part, unit }: UnitRef) =>
    posed.find((one) => one.unit.part === part && one.unit.unit === unit);
  /** Whether a join is done with: its unit stands, or can't. */
  const stands = (join: Join): boolean => {
    const isStrung = join.kind === 'strung';
    const wall = isStrung ? hasUnit(join.on) : has(join.on.part);
    const part = byId(join.unit.part);
    if (!wall || !part) return false;
    if (isStrung) {
      posed.push(below(wall, standAlone(part, join.unit), join.sentence.way?.gapMm ?? 0));
      return true;
    }
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

/** A unit that hangs below another on one thread, upright. */
function below(upper: PosedUnit, unit: PosedUnit, gapMm: number): PosedUnit {
  const [over, own] = [boundsOf([upper]), boundsOf([unit])];
  const middle = (box: { low: vec3; high: vec3 }, axis: 0 | 2) => (box.low[axis] + box.high[axis]) / 2;
  vec3.set(
    unit.frame.origin,
    middle(over, 0) - middle(own, 0),
    over.low[1] - gapMm - own.high[1],
    middle(over, 2) - middle(own, 2),
  );
  const x = middle(over, 0);
  const z = middle(over, 2);
  const thread = [vec3.fromValues(x, over.low[1], z), vec3.fromValues(x, over.low[1] - gapMm, z)] as const;
  return { ...unit, thread, outward: vec3.fromValues(0, -1, 0) };
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
