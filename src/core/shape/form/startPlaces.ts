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

/** What first places are made from. */
export interface StartInput {
  fabric: Fabric;
  nodes: FormNodes;
  /** azimuths of the round starts */
  starts: Float64Array;
  profile: Profile;
  gauge: Gauge;
}

/** Axis of a round: where its middle is, and the directions across and along. */
interface AxisFrame {
  origin: Vector;
  ex: Vector;
  ey: Vector;
  ez: Vector;
}

const firstFrame: AxisFrame = { origin: [0, 0, 0], ex: [1, 0, 0], ey: [0, 1, 0], ez: [0, 0, 1] };

/** Puts the nodes of one part in place, round by round. Lengths in stitch widths. */
class StartPlaces {
  private readonly places: Float64Array;
  /** height of a stitch */
  private readonly h: number;
  /** chains between the two ends of an oval */
  private readonly straight: number;
  /** the axis turns where a round is taller on one side */
  private readonly frames: AxisFrame[] = [];

  constructor(private readonly input: StartInput) {
    const { fabric, nodes, gauge } = input;
    this.places = new Float64Array(nodes.count * 3);
    this.h = gauge.heightMm / gauge.widthMm;
    this.straight = fabric.start === 'oval' ? Math.max(0, nodes.chainCount - 1) : 0;
  }

  all(): Float64Array {
    const { fabric, nodes, starts } = this.input;
    for (let round = 0; round < fabric.rounds; round += 1) {
      const frame = fabric.row[round] === 1 ? this.putRow(round) : this.putRound(round);
      this.frames.push(frame);
    }
    this.putStart();
    if (nodes.endPole >= 0) this.putEnd();
    if (this.straight > 0) faceForward(fabric, this.places, starts);
    return this.places;
  }

  private put(node: number, at: Vector): void {
    this.places.set(at, node * 3);
  }

  /** A length of the profile at a round; of what lies under the first, a given one. */
  private lengthAt(lengths: ArrayLike<number>, round: number, atStart = 0): number {
    return round >= 0 ? (lengths[round] ?? 0) / this.input.gauge.widthMm : atStart;
  }

  /** The frame a round stands on: that of what it is worked into. */
  private frameUnder(round: number): AxisFrame {
    const base = (this.input.fabric.base[round] ?? 0) - 1;
    return this.frames[base] ?? this.frames.at(-1) ?? firstFrame;
  }

  /** Rows lie flat. */
  private putRow(round: number): AxisFrame {
    const { fabric, profile } = this.input;
    const from = fabric.offset[round] ?? 0;
    const count = roundCount(fabric, round + 1);
    const step = this.lengthAt(profile.along, round);
    const back = round % 2 === 1 ? 1 : -1;
    for (let i = 0; i < count; i += 1) this.put(from + i, [back * (i + 0.5 - count / 2), 0, step]);
    return this.frames.at(-1) ?? firstFrame;
  }

  private putRound(round: number): AxisFrame {
    const { fabric, nodes, starts, profile } = this.input;
    const from = fabric.offset[round] ?? 0;
    const count = roundCount(fabric, round + 1);
    const base = (fabric.base[round] ?? 0) - 1;
    const radius = this.lengthAt(profile.radius, round);
    const widening = radius - this.lengthAt(profile.radius, base, fabric.start === 'ring' ? 0 : radius);
    const rise = this.lengthAt(profile.z, round) - this.lengthAt(profile.z, base);
    const frame = this.tilted(round, radius, rise);
    const climbs = fabric.joined[round] !== 1;
    const sides = Math.min(this.straight, Math.max(0, count / 2 - 3));
    const ends = (count - 2 * sides) / turn;
    for (let i = 0; i < count; i += 1) {
      const share = (starts[round] ?? 0) / turn + (i + 0.5) / count;
      const azimuth = turn * share;
      // A spiral climbs and widens within its round.
      const on = climbs ? (i + 0.5) / count - 0.5 : 0;
      const out = radius + widening * on;
      const [x, y] =
        this.straight > 0 ? onOval(share, sides, ends) : [out * Math.cos(azimuth), out * Math.sin(azimuth)];
      // A grain of unevenness, always the same, lets what wants to ruffle find a way.
      const grain = 0.01 * Math.sin(3 * azimuth + round * 1.7);
      const { origin, ex, ey, ez } = frame;
      this.put(from + i, plus(plus(plus(origin, ex, x), ey, y), ez, rise * on + grain));
    }
    if (nodes.wall[round] !== 1) this.standOut(round);
    return frame;
  }

  /** The frame of a round over that of its base: raised, and turned to where its stitches are lower. */
  private tilted(round: number, radius: number, rise: number): AxisFrame {
    const { fabric, starts } = this.input;
    const { origin, ex, ey, ez } = this.frameUnder(round);
    const from = fabric.offset[round] ?? 0;
    const count = roundCount(fabric, round + 1);
    let [sum, tiltX, tiltY] = [0, 0, 0];
    for (let i = 0; i < count; i += 1) {
      const tall = heightOfCode[fabric.kind[from + i] ?? 0] ?? 1;
      const azimuth = (starts[round] ?? 0) + (turn * (i + 0.5)) / count;
      sum += tall;
      tiltX += tall * Math.cos(azimuth);
      tiltY += tall * Math.sin(azimuth);
    }
    const mean = (sum * this.h) / Math.max(1, count);
    const upright = mean > 0 ? Math.max(0, Math.min(1, rise / mean)) : 0;
    const lean = radius > 0.5 ? (2 * this.h * upright) / (Math.max(1, count) * radius) : 0;
    const up = unit(plus(plus(ez, ex, -tiltX * lean), ey, -tiltY * lean));
    const across = unit(plus(ex, up, -dot(ex, up)));
    return { origin: plus(origin, ez, rise), ex: across, ey: cross(up, across), ez: up };
  }

  /** The ring, or the chains, that the first round is worked into. */
  private putStart(): void {
    const { fabric, nodes, starts } = this.input;
    const { chainFrom, chainCount, startPole } = nodes;
    if (startPole >= 0) this.put(startPole, [0, 0, -0.05]);
    for (let chain = 0; chain < chainCount; chain += 1) {
      if (fabric.start === 'oval') this.put(chainFrom + chain, [this.straight / 2 - chain, 0, 0]);
      else if (fabric.start === 'row') this.put(chainFrom + chain, [chainCount / 2 - chain - 0.5, 0, 0]);
      else {
        const azimuth = (starts[0] ?? 0) + (turn * (chain + 0.5)) / chainCount;
        const radius = chainCount / turn;
        this.put(chainFrom + chain, [radius * Math.cos(azimuth), radius * Math.sin(azimuth), 0]);
      }
    }
  }

  /** What draws the last round together lies in its middle. */
  private putEnd(): void {
    const { fabric, nodes } = this.input;
    const from = fabric.offset[fabric.rounds - 1] ?? 0;
    const middle: Vector = [0, 0, 0];
    for (let stitch = from; stitch < nodes.stitches; stitch += 1)
      for (const axis of [0, 1, 2] as const)
        middle[axis] += (this.places[stitch * 3 + axis] ?? 0) / (nodes.stitches - from);
    this.put(nodes.endPole, middle);
  }

  /** A frill starts where it is worked into and stands outward. */
  private standOut(round: number): void {
    const { places, h } = this;
    const { fabric, nodes } = this.input;
    for (let stitch = fabric.offset[round] ?? 0; stitch < (fabric.offset[round + 1] ?? 0); stitch += 1) {
      const foot = nodes.down[stitch] ?? -1;
      if (foot < 0) continue;
      const [x, y, z] = [places[foot * 3] ?? 0, places[foot * 3 + 1] ?? 0, places[foot * 3 + 2] ?? 0];
      const out = Math.hypot(x, y) || 1;
      // Waves of about six stitches, as a frill falls into by itself.
      const ruffle = 0.3 * Math.sin(stitch * 1.05);
      this.put(stitch, [x + (x / out) * h, y + (y / out) * h, z + ruffle]);
    }
  }
}

/**
 * First places of all nodes, in stitch widths: the profile, bent where one side of a round has taller stitches than the other, ovals
 * around their chain, frills outward from their round, rows flat. x and y lie across the axis, z along it.
 *
 * @returns three numbers a node
 */
export const startPlaces = (input: StartInput): Float64Array => new StartPlaces(input).all();

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
