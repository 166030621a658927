import type { Fabric } from '../fabric/fabric';
import { leanOfJoined, leanOfSpiral } from './gauge';
import { stitchAzimuth, turn, wrapAngle } from './azimuth';
import { middleLine, type Profile } from './profile';
import type { Gauge } from './gauge';

/** The part unrolled, in mm: x from the front line, or from the middle of a part that lies, y from the upper edge, both as seen from the front. */
export interface FabricMap {
  /** three points a stitch: foot, tops left and right make a V; two feet and a top a decrease */
  points: Float32Array;
  round: Uint16Array;
  colour: Uint8Array;
  palette: readonly string[];
  /** y of the line of holes under round r + 1, at the front, or its x on a part that lies; `lines[0]` is the start */
  lines: Float64Array;
  /** x of the middle of the face */
  middle: number;
  /** half the length of each round */
  half: Float64Array;
  width: number;
  height: number;
}

/** What a map is drawn by. */
export interface MapView {
  fabric: Fabric;
  starts: Float64Array;
  profile: Profile;
  gauge: Gauge;
  lean: number | null;
  /** azimuth of the front line */
  front: number;
  /** +1 where stitch numbers run left to right */
  dir: 1 | -1;
  start: 'top' | 'bottom';
  /** the part lies on its side: drawn stood up, then turned a quarter to the left */
  lying: boolean;
  /** where each stitch really stands, by the relaxed form; even spacing where it is not known yet */
  azimuths?: Float64Array;
}

/** Where an azimuth at a line of holes lies on the map. `line` 8 is the line between rounds 8 and 9, by index. */
export function mapPoint(view: MapView, line: number, azimuth: number): { x: number; y: number } {
  const { x, y } = uprightPoint(view, line, azimuth);
  return view.lying ? turned(view, x, y) : { x, y };
}

/** Half the length of the longest round. */
function widestHalf({ fabric, profile, gauge }: MapView): number {
  let half = 0;
  for (let r = 0; r < fabric.rounds; r += 1) {
    const count = (fabric.offset[r + 1] ?? 0) - (fabric.offset[r] ?? 0);
    half = Math.max(
      half,
      fabric.row[r] === 1 ? (count * gauge.widthMm) / 2 : (profile.radius[r] ?? 0) * Math.PI,
    );
  }
  return half;
}

/** A point of the map stood up, turned a quarter to the left about the middle of the part, its upper edge at 0. */
function turned(view: MapView, x: number, y: number): { x: number; y: number } {
  return { x: y - (view.fabric.rounds * view.gauge.heightMm) / 2, y: widestHalf(view) - x };
}

function uprightPoint(view: MapView, line: number, azimuth: number): { x: number; y: number } {
  const height = view.fabric.rounds * view.gauge.heightMm;
  if (view.fabric.row[line] === 1) {
    // A row is flat, and every other one comes back.
    const x = (line % 2 === 1 ? -view.dir : view.dir) * azimuth * (view.profile.radius[line] ?? 0);
    return { x, y: view.start === 'top' ? line * view.gauge.heightMm : height - line * view.gauge.heightMm };
  }
  const radius = view.profile.radius[Math.max(0, line - 1)] ?? 0;
  const angle = wrapAngle(azimuth - view.front);
  const joined = view.fabric.joined[Math.max(0, line - 1)] === 1;
  const y = (line + (joined ? 0 : angle / turn)) * view.gauge.heightMm;
  return { x: view.dir * angle * radius, y: view.start === 'top' ? y : height - y };
}

/** A hole as it is drawn: its line by index, its number and where it lies around; a split lies between two. */
export interface MapHole {
  line: number;
  hole: number;
  azimuth: number;
  seat: 'foot' | 'split';
}

/** Where a hole lies on a drawn map: under the stitch that is worked into it, so that it stays with its stitch where those are not even. */
export function holeOnMap(
  view: MapView,
  map: FabricMap,
  { line, hole, azimuth, seat }: MapHole,
): { x: number; y: number } {
  const even = mapPoint(view, line, azimuth);
  const from = view.fabric.offset[line] ?? 0;
  const count = (view.fabric.offset[line + 1] ?? 0) - from;
  const across = view.lying ? 1 : 0;
  const at = (number: number) =>
    map.points[(from + ((((number - 1) % count) + count) % count)) * 6 + 2 + across] ??
    (view.lying ? even.y : even.x);
  if (count <= 0) return even;
  const [here, next] = [at(hole), at(hole + 1)];
  // At the back the map is cut: the two sides of a split lie at its two edges.
  const along = seat === 'split' && Math.abs(next - here) < view.gauge.widthMm * 3 ? (here + next) / 2 : here;
  return view.lying ? { x: even.x, y: along } : { x: along, y: even.y };
}

/** Angle a stitch takes up between its neighbours of the round. */
function cellAngle(azimuths: Float64Array, from: number, to: number, at: number): number {
  const [before, after] = [Math.max(from, at - 1), Math.min(to - 1, at + 1)];
  return after > before
    ? ((azimuths[after] ?? 0) - (azimuths[before] ?? 0)) / (after - before)
    : turn / Math.max(1, to - from);
}

/** Of a V the tops stand apart, of a decrease the feet: by so much of a stitch to either side. */
const halfOpen = 0.36;
/** How far a drawn stitch stays off its own round's line, and off the next one's, in rounds. */
const offFoot = 0.12;
const offTop = 0.08;
/** A stitch leans no further than this, in stitches. */
const mostLean = 1.2;

/** One round as it is laid out: its stitches from `from` up to `to`, over those of its base. */
interface LaidRound {
  /** by index, from 0 */
  r: number;
  from: number;
  to: number;
  isRow: boolean;
  /** angle of one stitch where all are even */
  step: number;
  /** millimetres to the right for each radian; negative where it runs to the left */
  scale: number;
  /** where the start lies, and how far each round lies under the one before it */
  upper: number;
  down: number;
  /** a spiral climbs by a round on its way around */
  climbs: boolean;
  /** how far stitches stand beside their feet as the round leans, in stitches */
  shift: number;
  base: number;
  baseFrom: number;
  baseCount: number;
}

function laidRound({ fabric, profile, gauge, dir, lean, start }: MapView, r: number): LaidRound {
  const [from, to] = [fabric.offset[r] ?? 0, fabric.offset[r + 1] ?? 0];
  const base = (fabric.base[r] ?? 0) - 1;
  const baseFrom = base >= 0 ? (fabric.offset[base] ?? 0) : 0;
  const baseCount = base >= 0 ? (fabric.offset[base + 1] ?? 0) - baseFrom : 0;
  const isRow = fabric.row[r] === 1;
  const isJoined = fabric.joined[r] === 1;
  const leanOfRound = lean ?? (isJoined ? leanOfJoined : leanOfSpiral);
  const radius = isRow ? ((to - from) * gauge.widthMm) / turn : (profile.radius[r] ?? 0);
  // A row is flat: it runs over its own width, and every other one comes back.
  const way = isRow && r % 2 === 1 ? -dir : dir;
  return {
    r,
    from,
    to,
    isRow,
    step: turn / Math.max(1, to - from),
    scale: way * radius,
    upper: start === 'bottom' ? fabric.rounds * gauge.heightMm : 0,
    down: start === 'bottom' ? -gauge.heightMm : gauge.heightMm,
    climbs: !isRow && !isJoined,
    shift: isRow ? 0 : leanOfRound,
    base,
    baseFrom,
    baseCount,
  };
}

/** Where a stitch stands, as an angle from the front. */
function angleOf(view: MapView, { r, from, to, isRow, step }: LaidRound, at: number): number {
  if (isRow) return (at - from + 0.5 - (to - from) / 2) * step;
  const azimuth = view.azimuths
    ? (view.azimuths[at] ?? 0)
    : stitchAzimuth(view.fabric, view.starts, r + 1, at - from + 1);
  return wrapAngle(azimuth - view.front);
}

/** How far the feet of a stitch lie beside it, as an angle. */
function leanOf(view: MapView, round: LaidRound, at: number, angle: number): number {
  const { fabric, starts, azimuths, front } = view;
  const { step, base, baseFrom, baseCount } = round;
  const parents = fabric.parentCount[at] ?? 0;
  if (parents === 0 || baseCount === 0 || round.isRow) return 0;
  const first = fabric.parentFirst[at] ?? 0;
  const feet = azimuths
    ? ((azimuths[first] ?? 0) + (azimuths[first + parents - 1] ?? 0)) / 2
    : (starts[base] ?? 0) + (turn * (first - baseFrom + parents / 2)) / baseCount;
  const lean = wrapAngle(feet - (round.shift * step) / 2 - front - angle);
  return Math.max(-mostLean * step, Math.min(mostLean * step, lean));
}

/** The three points of a stitch: foot and two tops of a V, or two feet and the top of a decrease. */
function putStitch(view: MapView, round: LaidRound, at: number, points: Float32Array): void {
  const { fabric, azimuths } = view;
  const { r, from, to, isRow, step, scale, climbs, upper, down } = round;
  const angle = angleOf(view, round, at);
  const lean = leanOf(view, round, at, angle);
  const climb = climbs ? angle / turn : 0;
  const foot = upper + (r + climb + offFoot) * down;
  const top = upper + (r + 1 + climb - offTop) * down;
  const isDecrease = (fabric.parentCount[at] ?? 0) > 1;
  const wide = azimuths && !isRow ? cellAngle(azimuths, from, to, at) : step;
  const pair = angle + (isDecrease ? lean : 0);
  const p = at * 6;
  points[p] = (pair - halfOpen * wide) * scale;
  points[p + 1] = isDecrease ? foot : top;
  points[p + 2] = (isDecrease ? angle : angle + lean) * scale;
  points[p + 3] = isDecrease ? top : foot;
  points[p + 4] = (pair + halfOpen * wide) * scale;
  points[p + 5] = points[p + 1] ?? 0;
}

/** A map that stands, laid on its side: turned a quarter to the left about the middle of the part. */
function laidOnSide({ start, profile, gauge }: MapView, map: FabricMap): FabricMap {
  const { points, lines, width, height } = map;
  for (let p = 0; p < points.length; p += 2) {
    const [x, y] = [points[p] ?? 0, points[p + 1] ?? 0];
    points[p] = y - height / 2;
    points[p + 1] = width / 2 - x;
  }
  const middle = (start === 'top' ? 1 : -1) * (middleLine(profile) * gauge.heightMm - height / 2);
  return { ...map, lines: lines.map((line) => line - height / 2), middle, width: height, height: width };
}

/**
 * Lays the stitches of a part out flat: one row a round as wide as the round is long, the front line upright in the middle. A spiral
 * is drawn climbing, as it does on the piece.
 */
export function fabricMap(view: MapView): FabricMap {
  const { fabric, profile, gauge } = view;
  const total = fabric.offset[fabric.rounds] ?? 0;
  const height = fabric.rounds * gauge.heightMm;
  const lineAt = (r: number) => (view.start === 'bottom' ? height - r * gauge.heightMm : r * gauge.heightMm);
  const map: FabricMap = {
    points: new Float32Array(total * 6),
    round: new Uint16Array(total),
    colour: fabric.colour,
    palette: fabric.palette,
    lines: Float64Array.from({ length: fabric.rounds + 1 }, (_, r) => lineAt(r)),
    half: new Float64Array(fabric.rounds),
    middle: 0,
    width: 0,
    height,
  };
  for (let r = 0; r < fabric.rounds; r += 1) {
    const round = laidRound(view, r);
    const { from, to, isRow } = round;
    const half = isRow ? ((to - from) * gauge.widthMm) / 2 : (profile.radius[r] ?? 0) * Math.PI;
    map.half[r] = half;
    map.width = Math.max(map.width, 2 * half);
    map.round.fill(r + 1, from, to);
    for (let at = from; at < to; at += 1) putStitch(view, round, at, map.points);
  }
  return view.lying ? laidOnSide(view, map) : map;
}
