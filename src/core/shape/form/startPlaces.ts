import { roundCount, type Fabric } from '../../fabric/fabric';
import { turn } from '../azimuth';
import { heightOfCode, type Gauge } from '../gauge';
import type { Profile } from '../profile';
import type { FormNodes } from './nodes';

type Vector = [number, number, number];
const plus = (a: Vector, b: Vector, share: number): Vector => [
  a[0] + b[0] * share,
  a[1] + b[1] * share,
  a[2] + b[2] * share,
];
const dot = (a: Vector, b: Vector) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const unit = (a: Vector): Vector => {
  const size = Math.hypot(...a) || 1;
  return [a[0] / size, a[1] / size, a[2] / size];
};
const cross = (a: Vector, b: Vector): Vector => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];

/** Where a share of the way around lies on an oval with straight sides `straight` long and ends of radius `radius`, from one end of a side. */
function onOval(share: number, straight: number, radius: number): [number, number] {
  const bow = Math.PI * radius;
  const whole = 2 * (straight + bow);
  let at = (share - Math.floor(share)) * whole;
  const half = at >= straight + bow ? -1 : 1;
  if (half < 0) at -= straight + bow;
  if (at <= straight) return [half * (straight / 2 - at), half * radius];
  const angle = (at - straight) / (radius || 1);
  return [half * (-straight / 2 - Math.sin(angle) * radius), half * Math.cos(angle) * radius];
}

/**
 * First places of all nodes, in stitch widths: the profile, bent where one side of a round has taller stitches than the other, ovals
 * around their chain, frills outward from their round, rows flat. x and y lie across the axis, z along it.
 *
 * @returns three numbers a node
 */
export function startPlaces(
  fabric: Fabric,
  nodes: FormNodes,
  starts: Float64Array,
  profile: Profile,
  gauge: Gauge,
): Float64Array {
  const places = new Float64Array(nodes.count * 3);
  const w = gauge.widthMm;
  const h = gauge.heightMm / w;
  const put = (node: number, at: Vector) => {
    places.set(at, node * 3);
  };
  const straight = fabric.start === 'oval' ? Math.max(0, nodes.chainCount - 1) : 0;
  // Frame of the axis: it turns where a round is taller on one side.
  let origin: Vector = [0, 0, 0];
  let ex: Vector = [1, 0, 0];
  let ey: Vector = [0, 1, 0];
  let ez: Vector = [0, 0, 1];
  const frames: { origin: Vector; ex: Vector; ey: Vector; ez: Vector }[] = [];

  for (let round = 0; round < fabric.rounds; round += 1) {
    const from = fabric.offset[round] ?? 0;
    const count = roundCount(fabric, round + 1);
    const base = (fabric.base[round] ?? 0) - 1;
    const radius = (profile.radius[round] ?? 0) / w;
    const begun = starts[round] ?? 0;
    if (fabric.row[round] === 1) {
      const step = (profile.along[round] ?? 0) / w;
      const back = round % 2 === 1 ? 1 : -1;
      for (let i = 0; i < count; i += 1) put(from + i, [back * (i + 0.5 - count / 2), 0, step]);
      frames.push({ origin, ex, ey, ez });
      continue;
    }
    const before = base >= 0 ? (profile.z[base] ?? 0) / w : 0;
    const widening =
      radius - (base >= 0 ? (profile.radius[base] ?? 0) / w : fabric.start === 'ring' ? 0 : radius);
    const rise = (profile.z[round] ?? 0) / w - before;
    const frame = base >= 0 ? (frames[base] ?? { origin, ex, ey, ez }) : { origin, ex, ey, ez };
    ({ origin, ex, ey, ez } = frame);
    let sum = 0;
    let [tiltX, tiltY] = [0, 0];
    for (let i = 0; i < count; i += 1) {
      const tall = heightOfCode[fabric.kind[from + i] ?? 0] ?? 1;
      const azimuth = begun + (turn * (i + 0.5)) / count;
      sum += tall;
      tiltX += tall * Math.cos(azimuth);
      tiltY += tall * Math.sin(azimuth);
    }
    const mean = (sum * h) / Math.max(1, count);
    const upright = mean > 0 ? Math.max(0, Math.min(1, rise / mean)) : 0;
    const lean = radius > 0.5 ? (2 * h * upright) / (Math.max(1, count) * radius) : 0;
    origin = plus(origin, ez, rise);
    const tilted = unit(plus(plus(ez, ex, -tiltX * lean), ey, -tiltY * lean));
    ex = unit(plus(ex, tilted, -dot(ex, tilted)));
    ey = cross(tilted, ex);
    ez = tilted;
    frames.push({ origin, ex, ey, ez });
    const climbs = fabric.joined[round] !== 1;
    const sides = Math.min(straight, Math.max(0, count / 2 - 3));
    const ends = (count - 2 * sides) / turn;
    for (let i = 0; i < count; i += 1) {
      const share = begun / turn + (i + 0.5) / count;
      const azimuth = turn * share;
      // A spiral climbs and widens within its round.
      const on = climbs ? (i + 0.5) / count - 0.5 : 0;
      const out = radius + widening * on;
      const [x, y] =
        straight > 0 ? onOval(share, sides, ends) : [out * Math.cos(azimuth), out * Math.sin(azimuth)];
      // A grain of unevenness, always the same, lets what wants to ruffle find a way.
      const grain = 0.01 * Math.sin(3 * azimuth + round * 1.7);
      put(from + i, plus(plus(plus(origin, ex, x), ey, y), ez, rise * on + grain));
    }
    if (nodes.wall[round] !== 1) standOut(fabric, nodes, places, round, h);
  }
  putStart(fabric, nodes, put, starts, straight);
  if (nodes.endPole >= 0) {
    const from = fabric.offset[fabric.rounds - 1] ?? 0;
    const middle: Vector = [0, 0, 0];
    for (let stitch = from; stitch < nodes.stitches; stitch += 1)
      for (const axis of [0, 1, 2] as const)
        middle[axis] += (places[stitch * 3 + axis] ?? 0) / (nodes.stitches - from);
    put(nodes.endPole, middle);
  }
  if (straight > 0) faceForward(fabric, places, starts);
  return places;
}

/**
 * An oval begins at the end of its chain, beside a corner, not on the axis that azimuths are counted from. It is turned so that around
 * its widest round stitches stand at their azimuths in the mean; else its front would lie by a corner.
 */
function faceForward(fabric: Fabric, places: Float64Array, starts: Float64Array): void {
  let widest = 0;
  for (let round = 0; round < fabric.rounds; round += 1)
    if (roundCount(fabric, round + 1) > roundCount(fabric, widest + 1)) widest = round;
  const from = fabric.offset[widest] ?? 0;
  const count = roundCount(fabric, widest + 1);
  let [sin, cos] = [0, 0];
  for (let i = 0; i < count; i += 1) {
    const off =
      Math.atan2(places[(from + i) * 3 + 1] ?? 0, places[(from + i) * 3] ?? 0) -
      (starts[widest] ?? 0) -
      (turn * (i + 0.5)) / count;
    sin += Math.sin(off);
    cos += Math.cos(off);
  }
  const [turnSin, turnCos] = [-sin / (Math.hypot(sin, cos) || 1), cos / (Math.hypot(sin, cos) || 1)];
  for (let at = 0; at < places.length; at += 3) {
    const [x, y] = [places[at] ?? 0, places[at + 1] ?? 0];
    places[at] = x * turnCos - y * turnSin;
    places[at + 1] = x * turnSin + y * turnCos;
  }
}

function putStart(
  fabric: Fabric,
  nodes: FormNodes,
  put: (node: number, at: Vector) => void,
  starts: Float64Array,
  straight: number,
): void {
  if (nodes.startPole >= 0) put(nodes.startPole, [0, 0, -0.05]);
  for (let chain = 0; chain < nodes.chainCount; chain += 1) {
    if (fabric.start === 'oval') put(nodes.chainFrom + chain, [straight / 2 - chain, 0, 0]);
    else if (fabric.start === 'row') put(nodes.chainFrom + chain, [nodes.chainCount / 2 - chain - 0.5, 0, 0]);
    else {
      const azimuth = (starts[0] ?? 0) + (turn * (chain + 0.5)) / nodes.chainCount;
      const radius = nodes.chainCount / turn;
      put(nodes.chainFrom + chain, [radius * Math.cos(azimuth), radius * Math.sin(azimuth), 0]);
    }
  }
}

/** A frill starts where it is worked into and stands outward. */
function standOut(fabric: Fabric, nodes: FormNodes, places: Float64Array, round: number, h: number): void {
  for (let stitch = fabric.offset[round] ?? 0; stitch < (fabric.offset[round + 1] ?? 0); stitch += 1) {
    const foot = nodes.down[stitch] ?? -1;
    if (foot < 0) continue;
    const [x, y, z] = [places[foot * 3] ?? 0, places[foot * 3 + 1] ?? 0, places[foot * 3 + 2] ?? 0];
    const out = Math.hypot(x, y) || 1;
    // Waves of about six stitches, as a frill falls into by itself.
    const ruffle = 0.3 * Math.sin(stitch * 1.05);
    places[stitch * 3] = x + (x / out) * h;
    places[stitch * 3 + 1] = y + (y / out) * h;
    places[stitch * 3 + 2] = z + ruffle;
  }
}
