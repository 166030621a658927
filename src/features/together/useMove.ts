import { roundCount } from '../../core/fabric/fabric';
import { draggedTo, isWithinReach, type Grip, type PagePoint } from '../../core/join/pose/drag';
import type { Join, JoinPart, UnitRef } from '../../core/join/joined';
import {
  putJoin,
  rewriteJoin,
  stepJoin,
  type JoinedNow,
  type JoinSpot,
  type JoinStep,
} from '../../core/join/move';
import { applyEdits } from '../../core/notation/applyEdits';
import {
  canTilt,
  canTurn,
  isMirrorImage,
  rewriteStance,
  stepStance,
  type StanceStep,
} from '../../core/join/stance';
import { stitchAtAzimuth } from '../../core/shape/azimuth';
import { analyseToy, type ToyAnalysis } from '../../core/toy/analyse';
import { assembled } from '../../core/toy/assembled';
import { joinPart } from '../../core/toy/joinAll';
import { useToy } from '../../data/useToy';

/** A join where a thumb can move it. */
interface Movable {
  join: Join;
  sentence: Join['sentence'];
  wall: JoinPart;
  now: JoinedNow;
  /** row of its middle on the wall, by index */
  row: number;
  /** azimuth of the front line of the wall */
  front: number;
}

const isOf =
  ({ part, unit }: UnitRef) =>
  (other: UnitRef) =>
    other.part === part && other.unit === unit;

/** The join of a unit. */
export const joinOf = ({ joined }: ToyAnalysis, unit: UnitRef): Join | undefined =>
  joined.joins.find((join) => isOf(unit)(join.unit));

/** How a unit is joined by the work itself. */
export const workedOnOf = ({ joined }: ToyAnalysis, unit: UnitRef): Join | undefined =>
  joined.workedOn.find((join) => isOf(unit)(join.unit));

/** Where the sentence of a unit has it in a toy; null where its place can't be moved. */
function movable(toy: ToyAnalysis, unit: UnitRef): Movable | null {
  const { joined, parts } = toy;
  const join = joinOf(toy, unit);
  const found = join && parts.find(({ source }) => source.id === join.on.part);
  if (!join || join.asWritten || !found || join.row === null || join.round === null || join.stitch === null)
    return null;
  const wall = joinPart(found);
  // On a flat wall there is no front to go by: its sentence moves what is on it.
  if (wall.fabric.row[0] === 1) return null;
  const { fabric, starts } = wall;
  const row = Math.max(1, Math.round(join.row));
  const front = joined.fronts.get(join.on.part) ?? wall.front;
  const count = roundCount(fabric, row);
  const off = Math.abs(join.stitch - stitchAtAzimuth(fabric, starts, row, front)) % count;
  const mates = joined.joins.filter(({ sentence }) => sentence === join.sentence);
  // What is on both sides of a wall that lies is on two of its rounds or stitches: each is moved by its own sentence.
  const { lying } = wall.orientation;
  if (lying && mates.length > 1) return null;
  const now = {
    round: join.round,
    fromFront: Math.min(off, count - off),
    paired: mates.length === 2 && mates.every((mate) => mate.unit.side !== null),
    azimuths: mates.map(({ centre }) => centre?.azimuth ?? 0),
  };
  return { join, sentence: join.sentence, wall, now, row, front };
}

/** What a thumb takes hold of, of a unit; null where its wall does not stand. */
function gripOf(toy: ToyAnalysis, { join, wall, now, row, front }: Movable): Grip | null {
  const posed = assembled(toy).find(
    (one) => one.unit.part === wall.part.id && one.unit.unit === join.on.unit,
  );
  if (!posed || !join.centre) return null;
  const goes = now.paired ? 'pair' : now.azimuths.length === 1 ? 'alone' : 'together';
  return { wall: posed, row, azimuth: join.centre.azimuth, front, goes };
}

/** The text with a sentence written anew. */
const withJoin = (text: string, was: Join['sentence'], now: Join['sentence']): string =>
  applyEdits(text, [rewriteJoin(was, now)]);

/** How a unit is moved. */
export interface Move {
  /** a pair about the front line */
  paired: boolean;
  /** its wall lies on its side */
  lying: boolean;
  can: (step: JoinStep) => boolean;
  go: (step: JoinStep) => void;
  /** whether a thumb can take hold of it, looking from a side */
  isWithinReach: (yaw: number) => boolean;
  /** the place a thumb draws it to; null where there is none */
  draggedTo: (by: PagePoint, yaw: number) => JoinSpot | null;
  /** the text with it there */
  textWith: (spot: JoinSpot) => string;
}

/**
 * How a unit of the open toy is moved; null where no sentence places it, or its place is not moved by steps. A thumb may be faster than
 * the screen: each step goes on from the text as it is then.
 */
export function useMove(unit: UnitRef | null): Move | null {
  const { analysis, editor, text } = useToy();
  const shown = unit && movable(analysis, unit);
  if (!unit || !shown) return null;
  const grip = gripOf(analysis, shown);
  return {
    paired: shown.now.paired,
    lying: shown.wall.orientation.lying,
    can: (step) => stepJoin(shown.sentence, shown.wall, shown.now, step) !== null,
    go: (step) => {
      const now = editor.store.getState().text;
      const here = movable(analyseToy(now), unit);
      const next = here && stepJoin(here.sentence, here.wall, here.now, step);
      if (here && next) editor.step(withJoin(now, here.sentence, next));
    },
    isWithinReach: (yaw) => grip !== null && isWithinReach(grip, yaw),
    draggedTo: (by, yaw) => grip && draggedTo(grip, by, yaw),
    textWith: (spot) => withJoin(text, shown.sentence, putJoin(shown.sentence, shown.wall, spot)),
  };
}

/** How a unit is turned and tilted where it stands. */
export interface Stance {
  /** it can be turned about its own axis, and not only held lower or higher */
  turns: boolean;
  go: (step: StanceStep) => void;
}

/** How a unit of the open toy is turned and tilted; null where its join does not allow it. */
export function useStance(unit: UnitRef | null): Stance | null {
  const { analysis, editor } = useToy();
  const shown = unit && joinOf(analysis, unit);
  if (!unit || !shown || shown.asWritten || !canTilt(shown)) return null;
  return {
    turns: canTurn(shown),
    go: (step) => {
      const now = editor.store.getState().text;
      const toy = analyseToy(now);
      const join = joinOf(toy, unit);
      const wall = join && toy.parts.find(({ source }) => source.id === join.on.part);
      if (!join || !wall) return;
      const stance = stepStance(join, step, isMirrorImage(join, toy.joined, joinPart(wall)));
      if (stance) editor.step(applyEdits(now, [rewriteStance(join.sentence, stance)]));
    },
  };
}
