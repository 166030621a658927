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

/** Where a hole lies on a drawn map: under the stitch that is worked into it, so that it stays with its stitch where those are not even. */
export function holeOnMap(
  view: MapView,
  map: FabricMap,
  line: number,
  hole: number,
  azimuth: number,
  split: boolean,
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
  const along = split && Math.abs(next - here) < view.gauge.widthMm * 3 ? (here + next) / 2 : here;
  return view.lying ? { x: even.x, y: along } : { x: along, y: even.y };
}

/** Angle a stitch takes up between its neighbours of the round. */
function cellAngle(azimuths: Float64Array, from: number, to: number, at: number): number {
  const [before, after] = [Math.max(from, at - 1), Math.min(to - 1, at + 1)];
  return after > before
    ? ((azimuths[after] ?? 0) - (azimuths[before] ?? 0)) / (after - before)
    : turn / Math.max(1, to - from);
}

/**
 * Lays the stitches of a part out flat: one row a round as wide as the round is long, the front line upright in the middle. A spiral
 * is drawn climbing, as it does on the piece.
 */
export function fabricMap(view: MapView): FabricMap {
  const { fabric, starts, profile, gauge, front, dir } = view;
  const total = fabric.offset[fabric.rounds] ?? 0;
  const points = new Float32Array(total * 6);
  const round = new Uint16Array(total);
  const h = gauge.heightMm;
  const height = fabric.rounds * h;
  const flip = view.start === 'bottom';
  const lines = new Float64Array(fabric.rounds + 1);
  const half = new Float64Array(fabric.rounds);
  let width = 0;
  for (let r = 0; r < fabric.rounds; r += 1) {
    const from = fabric.offset[r] ?? 0;
    const to = fabric.offset[r + 1] ?? 0;
    const count = to - from;
    const radius = profile.radius[r] ?? 0;
    const base = (fabric.base[r] ?? 0) - 1;
    const baseFrom = base >= 0 ? (fabric.offset[base] ?? 0) : 0;
    const baseCount = base >= 0 ? (fabric.offset[base + 1] ?? 0) - baseFrom : 0;
    const step = turn / Math.max(1, count);
    const isRow = fabric.row[r] === 1;
    const shift = isRow ? 0 : (view.lean ?? (fabric.joined[r] ? leanOfJoined : leanOfSpiral));
    const climbs = !isRow && fabric.joined[r] !== 1;
    half[r] = isRow ? (count * gauge.widthMm) / 2 : radius * Math.PI;
    width = Math.max(width, 2 * (half[r] ?? 0));
    lines[r] = flip ? height - r * h : r * h;
    for (let i = 0; i < count; i += 1) {
      const at = from + i;
      const standing = view.azimuths;
      const angle = isRow
        ? (i + 0.5 - count / 2) * step
        : wrapAngle((standing ? (standing[at] ?? 0) : stitchAzimuth(fabric, starts, r + 1, i + 1)) - front);
      // A row is flat: it runs over its own width, and every other one comes back.
      const scale = isRow ? (count * gauge.widthMm) / turn : radius;
      const sign = isRow && r % 2 === 1 ? -dir : dir;
      const climb = climbs ? angle / turn : 0;
      const top = r + 1 + climb;
      const foot = r + climb;
      const y = (v: number) => (flip ? height - v * h : v * h);
      const parents = fabric.parentCount[at] ?? 0;
      let lean = 0;
      if (parents > 0 && baseCount > 0 && !isRow) {
        const first = fabric.parentFirst[at] ?? 0;
        const parent = standing
          ? ((standing[first] ?? 0) + (standing[first + parents - 1] ?? 0)) / 2
          : (starts[base] ?? 0) + (turn * (first - baseFrom + parents / 2)) / baseCount;
        lean = wrapAngle(parent - (shift * step) / 2 - front - angle);
        lean = Math.max(-1.2 * step, Math.min(1.2 * step, lean));
      }
      const x = (a: number) => sign * a * scale;
      const p = at * 6;
      const decrease = parents > 1;
      const wide = standing && !isRow ? cellAngle(standing, from, to, at) : step;
      points[p] = x(angle + (decrease ? lean : 0) - 0.36 * wide);
      points[p + 1] = y((decrease ? foot : top) + (decrease ? 0.12 : -0.08));
      points[p + 2] = x(decrease ? angle : angle + lean);
      points[p + 3] = y(decrease ? top - 0.08 : foot + 0.12);
      points[p + 4] = x(angle + (decrease ? lean : 0) + 0.36 * wide);
      points[p + 5] = points[p + 1] ?? 0;
      round[at] = r + 1;
    }
  }
  lines[fabric.rounds] = flip ? 0 : height;
  if (view.lying) {
    for (let p = 0; p < points.length; p += 2) {
      const [x, y] = [points[p] ?? 0, points[p + 1] ?? 0];
      points[p] = y - height / 2;
      points[p + 1] = width / 2 - x;
    }
    for (let r = 0; r <= fabric.rounds; r += 1) lines[r] = (lines[r] ?? 0) - height / 2;
    return {
      points,
      round,
      colour: fabric.colour,
      palette: fabric.palette,
      lines,
      half,
      middle: (view.start === 'top' ? 1 : -1) * (middleLine(profile) * h - height / 2),
      width: height,
      height: width,
    };
  }
  return {
    points,
    round,
    colour: fabric.colour,
    palette: fabric.palette,
    lines,
    half,
    middle: 0,
    width,
    height,
  };
}
