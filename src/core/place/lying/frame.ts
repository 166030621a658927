import { roundCount } from '../../fabric/fabric';
import { turn, wrapAngle } from '../../shape/azimuth';
import { middleLine } from '../../shape/profile';
import { directionAt } from '../direction';
import { nearestFootHole } from '../holes';
import { seatHoles, type PartForm } from '../partForm';

/**
 * How a face lies on a part that is worked from the toy's side, round 1 at its left or right: rounds run up and down over the face, what
 * is level has the same height, and what is in the middle lies on a line of holes.
 */
export interface LyingFrame {
  /** the line of holes halfway between the part's two ends; most often between two of them */
  middle: number;
  /** step of lines that leads to the right as you look at the toy */
  right: 1 | -1;
  /** azimuth of the front line, which runs level here; at the back of the line opposite */
  front: number;
  /** -1 at the back, where the rounds lead the other way */
  facing: 1 | -1;
}

/** What heights go by. */
type Level = Pick<LyingFrame, 'front' | 'facing'>;

/** A hole, or a split, with how high it lies over the front line. */
export interface LevelHole {
  line: number;
  hole: number;
  of: number;
  azimuth: number;
  /** straight up, in mm, by the profile */
  heightMm: number;
}

/** @param front azimuth of the front line */
export function lyingFrame(
  { profile, orientation }: PartForm,
  front: number,
  side: 'front' | 'back' = 'front',
): LyingFrame {
  return {
    middle: middleLine(profile),
    right: orientation.start === 'top' ? 1 : -1,
    ...(side === 'front' ? { front, facing: 1 } : { front: front + Math.PI, facing: -1 }),
  };
}

const radiusAt = ({ profile }: PartForm, line: number) =>
  Math.max(0.001, profile.radius[Math.max(0, line - 1)] ?? 0);

/** Height over the front line of an azimuth at a line of holes, in mm: by the circle of its round; on rows along them. */
export function heightAt(form: PartForm, { front, facing }: Level, line: number, azimuth: number): number {
  const up = facing * directionAt(form.fabric, form.orientation, line);
  const angle = up * wrapAngle(azimuth - front);
  return radiusAt(form, line) * (form.fabric.row[line] === 1 ? angle : Math.sin(angle));
}

/** The azimuth of a height on the side of the part that faces the front line; of a height beyond the round its top. */
export function azimuthAt(form: PartForm, { front, facing }: Level, line: number, heightMm: number): number {
  const up = facing * directionAt(form.fabric, form.orientation, line);
  const share = heightMm / radiusAt(form, line);
  return front + up * (form.fabric.row[line] === 1 ? share : Math.asin(Math.max(-1, Math.min(1, share))));
}

/** The height so many stitches up the round in the middle of the part from another height; null beyond the edge of the face. */
export function heightUp(form: PartForm, frame: LyingFrame, fromMm: number, stitches: number): number | null {
  const line = Math.max(1, Math.min(form.fabric.rounds - 1, Math.round(frame.middle)));
  const step = turn / Math.max(1, roundCount(form.fabric, line + 1));
  if (form.fabric.row[line] === 1) return fromMm + stitches * step * radiusAt(form, line);
  const angle = Math.asin(Math.max(-1, Math.min(1, fromMm / radiusAt(form, line)))) + stitches * step;
  return Math.abs(angle) > Math.PI / 2 ? null : radiusAt(form, line) * Math.sin(angle);
}

/** Stitches of the round in the middle of the part from the front line up to a height; the other way round of `heightUp`. */
export function stitchesUp(form: PartForm, { middle }: LyingFrame, heightMm: number): number {
  const line = Math.max(1, Math.min(form.fabric.rounds - 1, Math.round(middle)));
  const share = heightMm / radiusAt(form, line);
  const angle = form.fabric.row[line] === 1 ? share : Math.asin(Math.max(-1, Math.min(1, share)));
  return (angle * roundCount(form.fabric, line + 1)) / turn;
}

/** Where a hole lies, in mm: right of the middle of the face, above the front line, and towards the one who looks. */
export function placeOf(
  form: PartForm,
  frame: LyingFrame,
  { line, azimuth }: Pick<LevelHole, 'line' | 'azimuth'>,
): [number, number, number] {
  const half = Math.max(0, ...form.profile.z) / 2;
  const flat = form.fabric.row[line] === 1;
  return [
    frame.right * ((form.profile.z[line - 1] ?? 0) - half),
    heightAt(form, frame, line, azimuth),
    flat ? 0 : radiusAt(form, line) * Math.cos(wrapAngle(azimuth - frame.front)),
  ];
}

/** The hole of a line nearest to an azimuth, and its two neighbours. */
function holesNear(
  form: PartForm,
  level: Level,
  line: number,
  azimuth: number,
  seat: 'foot' | 'split',
): LevelHole[] {
  const even = seatHoles(form, line, seat);
  const step = turn / Math.max(1, even.count);
  const found = [0, -1, 1].map((by) => {
    const wanted = azimuth + by * step;
    if (seat === 'foot') return nearestFootHole(form.fabric, form.starts, form.lean, line, wanted);
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
    heightMm: heightAt(form, level, line, at),
  }));
  // Past the top of a small round the face is over: what lies there looks back.
  const facing =
    form.fabric.row[line] === 1
      ? holes
      : holes.filter((one) => Math.cos(wrapAngle(one.azimuth - level.front)) > -0.1);
  return facing.length > 0 ? facing : holes.slice(0, 1);
}

/** The hole of a line nearest to a height. */
export function holeAtHeight(
  form: PartForm,
  level: Level,
  line: number,
  heightMm: number,
  seat: 'foot' | 'split',
): LevelHole {
  const near = holesNear(form, level, line, azimuthAt(form, level, line, heightMm), seat);
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
  level: Level,
  lines: readonly [number, number],
  heightMm: number,
  seat: 'foot' | 'split',
): [LevelHole, LevelHole] {
  const [these, those] = lines.map((line) =>
    holesNear(form, level, line, azimuthAt(form, level, line, heightMm), seat),
  ) as [LevelHole[], LevelHole[]];
  const off = (one: LevelHole, other: LevelHole) =>
    Math.abs(one.heightMm - other.heightMm) +
    Math.abs((one.heightMm + other.heightMm) / 2 - heightMm) / levelness;
  let best: [LevelHole, LevelHole] = [these[0]!, those[0]!];
  for (const one of these)
    for (const other of those) if (off(one, other) < off(...best) - 1e-9) best = [one, other];
  return best;
}
