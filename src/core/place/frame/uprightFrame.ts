import { turn, wrapAngle } from '../../shape/azimuth';
import { directionAt } from './direction';
import { radiusAt, roundStep, stitchStep, upOf, widestRadius, type FaceFrame, type Row } from './faceFrame';
import { holeAt, holeAzimuth } from './holes';
import { choosePair, namedPair, type Seat } from './pair';
import { seatHoles, type PartForm } from './partForm';

/** A hole's number within its line. */
const within = (hole: number, count: number) => ((((hole - 1) % count) + count) % count) + 1;

function uprightRow(form: PartForm, line: number, centre: number): Row {
  const { count } = seatHoles(form, line, 'foot');
  const radius = radiusAt(form, line);
  const stepMm = (turn * radius) / Math.max(1, count);
  const middle = (seat: Seat) => holeAt(seatHoles(form, line, seat), centre);
  const azimuthOf = (hole: number, seat: Seat) => holeAzimuth(seatHoles(form, line, seat), hole);
  return {
    level: line,
    count,
    most: count - 1,
    toRight: directionAt(form.fabric, form.orientation, line),
    facing: 1,
    centre,
    stepMm,
    middle,
    mirrored: (hole, seat) => Math.round(2 * middle(seat) - hole),
    between: (a, b) => (Math.abs(wrapAngle(b - a)) / turn) * count,
    onFace: (position) => position,
    spots: (a, b, seat) => [
      { line, hole: within(a, count), of: count, azimuth: azimuthOf(a, seat) },
      { line, hole: within(b, count), of: count, azimuth: azimuthOf(b, seat) },
    ],
    centred: (apart, seat) => choosePair(middle(seat), apart),
    at: (a, b, seat) => namedPair(middle(seat), [a, b], count),
    missMm: ({ miss }) => Math.abs(miss) * stepMm,
    halfway: (a, b) => (a.azimuth + b.azimuth) / 2,
  };
}

/**
 * The face of a part whose rounds lie level: up is counted in rounds, across in stitches.
 *
 * @param front azimuth of the front line
 */
export function uprightFrame(form: PartForm, front: number): FaceFrame {
  const { fabric, profile, gauge, orientation } = form;
  const up = upOf(form);
  const last = fabric.rounds - 1;
  const height = Math.max(0.001, ...profile.z);
  return {
    form,
    lies: false,
    up: roundStep,
    across: stitchStep,
    front,
    centre: (back) => (back ? front + Math.PI : front),
    row: (line, centre) => uprightRow(form, line, centre),
    levelOf: ({ line }) => line,
    raise: (line, steps) => {
      const to = line + steps * up;
      return to >= 1 && to <= last ? to : null;
    },
    stepsUp: (from, to) => (to - from) * up,
    levels: () => Array.from({ length: Math.max(1, last) }, (_, i) => (up < 0 ? i + 1 : last - i)),
    shareDown: (line) => {
      const share = (profile.z[line - 1] ?? 0) / height;
      return orientation.start === 'top' ? share : 1 - share;
    },
    shareApart: (line, apart, seat) => {
      const { count } = seatHoles(form, line, seat);
      const across = radiusAt(form, line) * Math.abs(Math.sin((Math.PI * apart) / Math.max(1, count)));
      return across / widestRadius(form);
    },
    higherMm: (first, second) => {
      if (fabric.joined[first.line] === 1) return 0;
      // Going on along a spiral leads away from the start.
      const along = (second.azimuth - first.azimuth) / turn;
      return along * gauge.heightMm * up;
    },
    apartMm: (a, b) => {
      const around = wrapAngle(a.azimuth - b.azimuth) * radiusAt(form, b.line);
      return Math.hypot(around, (a.line - b.line) * gauge.heightMm);
    },
    straight: (a, b) => {
      const angle = Math.abs(a.azimuth - b.azimuth);
      return {
        mm: 2 * radiusAt(form, a.line) * Math.abs(Math.sin(angle / 2)),
        degrees: (angle * 360) / turn,
      };
    },
    // The shorter way round.
    surfaceMm: (row, _lines, apart) => Math.min(apart, row.count / 2) * row.stepMm,
    chordMm: (row, surfaceMm) => {
      const radius = (row.stepMm * row.count) / turn;
      return 2 * radius * Math.sin(Math.min(Math.PI / 2, surfaceMm / radius / 2));
    },
  };
}
