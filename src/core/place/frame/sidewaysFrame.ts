import { roundCount } from '../../fabric/fabric';
import { middleLine } from '../../shape/profile';
import { turn, wrapAngle } from '../../shape/azimuth';
import { directionAt } from './direction';
import {
  radiusAt,
  roundStep,
  stitchStep,
  widestRadius,
  type FaceFrame,
  type Place,
  type Row,
  type Spot,
} from './faceFrame';
import { nearestFootHole } from './holes';
import { choosePair, type Seat } from './pair';
import { seatHoles, type PartForm } from './partForm';

/** The side of a part that heights are taken on. */
interface Side {
  /** azimuth of the line heights are taken over: the front line, or the one opposite */
  readonly front: number;
  /** -1 at the back, where the rounds lead the other way */
  readonly facing: 1 | -1;
}

/** A hole, or a split, with how high it lies over the front line. */
export interface LevelHole extends Spot {
  /** straight up, in mm, by the profile */
  heightMm: number;
}

/** The line of holes halfway between the two ends of a part; most often between two of them. */
export function middleOf({ profile }: PartForm): number {
  return middleLine(profile);
}

/** Step of lines that leads to the right as one looks at the toy. */
export function rightOf({ orientation }: PartForm): 1 | -1 {
  return orientation.start === 'top' ? 1 : -1;
}

const sideOf = (front: number, back: boolean): Side =>
  back ? { front: front + Math.PI, facing: -1 } : { front, facing: 1 };

/** Height over the front line of an azimuth at a line of holes, in mm: by the circle of its round; on rows along them. */
export function heightAt(form: PartForm, { front, facing }: Side, line: number, azimuth: number): number {
  const up = facing * directionAt(form.fabric, form.orientation, line);
  const angle = up * wrapAngle(azimuth - front);
  return radiusAt(form, line) * (form.fabric.row[line] === 1 ? angle : Math.sin(angle));
}

/** The azimuth of a height on the side of the part that faces the front line; of a height beyond the round its top. */
export function azimuthAt(form: PartForm, { front, facing }: Side, line: number, heightMm: number): number {
  const up = facing * directionAt(form.fabric, form.orientation, line);
  const share = heightMm / radiusAt(form, line);
  return front + up * (form.fabric.row[line] === 1 ? share : Math.asin(Math.max(-1, Math.min(1, share))));
}

/** The line of holes in the middle of the part: stitches up and down are counted along it. */
const middleRound = (form: PartForm) =>
  Math.max(1, Math.min(form.fabric.rounds - 1, Math.round(middleOf(form))));

/** The height so many stitches up the round in the middle of the part from another height; null beyond the edge of the face. */
export function heightUp(form: PartForm, fromMm: number, stitches: number): number | null {
  const line = middleRound(form);
  const step = turn / Math.max(1, roundCount(form.fabric, line + 1));
  if (form.fabric.row[line] === 1) return fromMm + stitches * step * radiusAt(form, line);
  const angle = Math.asin(Math.max(-1, Math.min(1, fromMm / radiusAt(form, line)))) + stitches * step;
  return Math.abs(angle) > Math.PI / 2 ? null : radiusAt(form, line) * Math.sin(angle);
}

/** Stitches of the round in the middle of the part from the front line up to a height; the other way round of `heightUp`. */
export function stitchesUp(form: PartForm, heightMm: number): number {
  const line = middleRound(form);
  const share = heightMm / radiusAt(form, line);
  const angle = form.fabric.row[line] === 1 ? share : Math.asin(Math.max(-1, Math.min(1, share)));
  return (angle * roundCount(form.fabric, line + 1)) / turn;
}

/** Where a hole lies, in mm: right of the middle of the face, above the front line, and towards the one who looks. */
export function placeOf(form: PartForm, front: number, { line, azimuth }: Place): [number, number, number] {
  const half = Math.max(0, ...form.profile.z) / 2;
  const flat = form.fabric.row[line] === 1;
  return [
    rightOf(form) * ((form.profile.z[line - 1] ?? 0) - half),
    heightAt(form, { front, facing: 1 }, line, azimuth),
    flat ? 0 : radiusAt(form, line) * Math.cos(wrapAngle(azimuth - front)),
  ];
}

/** The height a hole is to have, and what kind of hole. */
interface Wanted {
  readonly heightMm: number;
  readonly seat: Seat;
}

/** The hole of a line nearest to an azimuth, and its two neighbours. */
function holesNear(form: PartForm, side: Side, { line, azimuth }: Place, seat: Seat): LevelHole[] {
  const even = seatHoles(form, line, seat);
  const step = turn / Math.max(1, even.count);
  const found = [0, -1, 1].map((by) => {
    const wanted = azimuth + by * step;
    if (seat === 'foot') return nearestFootHole(form, line, wanted);
    const number = Math.round((wanted - even.first) / step);
    return {
      hole: (((number % even.count) + even.count) % even.count) + 1,
      azimuth: even.first + number * step,
    };
  });
  const holes = found.map(({ hole, azimuth: at }) => ({
    line,
    hole,
    of: even.count,
    azimuth: at,
    heightMm: heightAt(form, side, line, at),
  }));
  // Past the top of a small round the face is over: what lies there looks back.
  const facing =
    form.fabric.row[line] === 1
      ? holes
      : holes.filter((one) => Math.cos(wrapAngle(one.azimuth - side.front)) > -0.1);
  return facing.length > 0 ? facing : holes.slice(0, 1);
}

/** The hole of a line nearest to a height. */
export function holeAtHeight(
  form: PartForm,
  side: Side,
  line: number,
  { heightMm, seat }: Wanted,
): LevelHole {
  const near = holesNear(form, side, { line, azimuth: azimuthAt(form, side, line, heightMm) }, seat);
  return near.reduce((best, one) =>
    Math.abs(one.heightMm - heightMm) < Math.abs(best.heightMm - heightMm) - 1e-9 ? one : best,
  );
}

/** How far off the height it was to have a level pair may lie, against how far off level a pair at that height may be. */
const levelness = 2;

/**
 * The holes of two lines that lie level at a height: the two are chosen together, for one eye higher than the other is seen and both a
 * little higher is not.
 */
export function levelPair(
  form: PartForm,
  side: Side,
  lines: readonly [number, number],
  { heightMm, seat }: Wanted,
): [LevelHole, LevelHole] {
  const [these, those] = lines.map((line) =>
    holesNear(form, side, { line, azimuth: azimuthAt(form, side, line, heightMm) }, seat),
  ) as [LevelHole[], LevelHole[]];
  const off = (one: LevelHole, other: LevelHole) =>
    Math.abs(one.heightMm - other.heightMm) +
    Math.abs((one.heightMm + other.heightMm) / 2 - heightMm) / levelness;
  let best: [LevelHole, LevelHole] = [these[0]!, those[0]!];
  for (const one of these)
    for (const other of those) if (off(one, other) < off(...best) - 1e-9) best = [one, other];
  return best;
}

function sidewaysRow(form: PartForm, side: Side, heightMm: number, centre: number): Row {
  const { fabric, gauge } = form;
  const { z } = form.profile;
  const half = Math.max(0, ...z) / 2;
  const last = fabric.rounds - 1;
  const onFace = (line: number) => Math.max(1, Math.min(last, line));
  return {
    level: heightMm,
    count: fabric.rounds,
    most: last - 1,
    toRight: rightOf(form),
    facing: side.facing,
    centre,
    stepMm: gauge.heightMm,
    middle: () => centre,
    mirrored: (position) => onFace(Math.round(2 * centre - position)),
    centred: (apart) => {
      const a = Math.max(1, Math.min(last - apart, choosePair(centre, apart).a));
      return { a, b: a + apart, apart, miss: a + apart / 2 - centre };
    },
    at: (one, other) => {
      const [a, b] = [Math.min(one, other), Math.max(one, other)];
      return { a, b, apart: b - a, miss: (a + b) / 2 - centre };
    },
    missMm: ({ a, b }) => Math.abs(((z[onFace(a) - 1] ?? 0) + (z[onFace(b) - 1] ?? 0)) / 2 - half),
    between: (a, b) => Math.abs(b - a),
    onFace,
    spots: (a, b, seat) => {
      const [one, other] = [onFace(Math.round(a)), onFace(Math.round(b))];
      if (one !== other) return levelPair(form, side, [one, other], { heightMm, seat });
      const hole = holeAtHeight(form, side, one, { heightMm, seat });
      return [hole, hole];
    },
    halfway: (a, b) => a.azimuth + wrapAngle(b.azimuth - a.azimuth) / 2,
  };
}

/** Stitches up and down from the front line that lie on the face, from the top. */
function risesOf(form: PartForm): number[] {
  const most = Math.floor(roundCount(form.fabric, Math.max(1, Math.round(middleOf(form))) + 1) / 4);
  return Array.from({ length: 2 * most + 1 }, (_, i) => most - i);
}

/**
 * The face of a part that is worked from the toy's side, round 1 at its left or right: rounds run up and down over the face, what is level
 * has the same height, and what is in the middle lies on a line of holes. Up is counted in stitches, across in rounds.
 *
 * @param front azimuth of the front line, which runs level here
 */
export function sidewaysFrame(form: PartForm, front: number): FaceFrame {
  const { profile } = form;
  const side = sideOf(front, false);
  const height = 2 * widestRadius(form);
  const length = Math.max(0.001, ...profile.z);
  return {
    form,
    lies: true,
    up: stitchStep,
    across: roundStep,
    front,
    centre: () => middleOf(form),
    row: (heightMm, centre, back) => sidewaysRow(form, sideOf(front, back), heightMm, centre),
    levelOf: ({ line, azimuth }) => heightAt(form, side, line, azimuth),
    raise: (heightMm, stitches) => heightUp(form, heightMm, stitches),
    stepsUp: (from, to) => stitchesUp(form, to) - stitchesUp(form, from),
    levels: () => risesOf(form).flatMap((rise) => heightUp(form, 0, rise) ?? []),
    shareDown: (heightMm) => (height / 2 - heightMm) / height,
    shareApart: (_level, apart) => {
      const [a, b] = linesApart(form, apart);
      return Math.abs((profile.z[b - 1] ?? 0) - (profile.z[a - 1] ?? 0)) / length;
    },
    higherMm: (first, second) =>
      heightAt(form, side, second.line, second.azimuth) - heightAt(form, side, first.line, first.azimuth),
    apartMm: (a, b) => distance(placeOf(form, front, a), placeOf(form, front, b)),
    straight: (a, b) => {
      const [p, q] = [placeOf(form, front, a), placeOf(form, front, b)];
      const cos = p.reduce((sum, value, axis) => sum + value * (q[axis] ?? 0), 0) / size(p) / size(q);
      return { mm: distance(p, q), degrees: (Math.acos(Math.max(-1, Math.min(1, cos))) * 180) / Math.PI };
    },
    surfaceMm: (_row, [from, to]) => Math.abs((profile.along[to - 1] ?? 0) - (profile.along[from - 1] ?? 0)),
    chordMm: (_row, surfaceMm) => surfaceMm,
  };
}

const size = (place: readonly number[]) => Math.hypot(...place) || 1;

function distance(p: readonly number[], q: readonly number[]): number {
  return Math.hypot(...p.map((value, axis) => value - (q[axis] ?? 0)));
}

/** The lines of holes a number apart that lie nearest to mirror-true about the middle of the face, first worked first. */
export function linesApart(form: PartForm, apart: number): [number, number] {
  const { a } = choosePair(middleOf(form), apart);
  const first = Math.max(1, Math.min(form.fabric.rounds - 1 - apart, a));
  return [first, first + apart];
}
