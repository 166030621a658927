import type { Fabric } from '../../fabric/fabric';
import type { Gauge } from '../gauge';
import type { Profile } from '../profile';
import { stuffedProfile, type Firmness } from '../stuffed';
import { layFlat, pressedHalf } from './laidFlat';
import { formNodes, type FormNodes } from './nodes';
import { formSprings, sharesOf, type Springs } from './springs';
import { startPlaces } from './startPlaces';
import { alignTo, wholeMotion } from './wholeMotion';

/** How a part is finished, as far as its form depends on it. */
export interface Finish {
  firmness: Firmness;
  /** the last round is drawn together; else its edge stays open */
  gathered: boolean;
  /** pressed flat between the hands, an ear or a wing: azimuth of the middle of one face; else null */
  pressedAt: number | null;
  /** rounds from the start that make a flat sole and carry no stuffing; 0 for none */
  sole: number;
}

/** All that relaxing needs of one part. Plain data, fit to be sent to a worker. */
export interface FormInput {
  fabric: Fabric;
  starts: Float64Array;
  profile: Profile;
  gauge: Gauge;
  finish: Finish;
}

/** How far stuffing stretches the fabric over the stuffed profile, in the mean, as a share: our own figures, from "fills" to "hard". */
export const stretchOf: Record<Firmness, number> = { none: 0, light: 0.003, medium: 0.005, firm: 0.04 };

const sweepsPerStep = 4;
const motionEvery = 4;
/** Share of a bend that the fabric's stiffness takes back in a step. */
const stiffness = 0.1;
/** The same for an empty part, where every cell is drawn towards its neighbours. */
const smoothness = 0.6;

const damping = 0.93;
/** At rest where no node moves more than this in a step, in stitch widths. */
const restAt = 1e-3;
const mostSteps = 260;
const fewestSteps = 40;

/**
 * Moves the ends of every spring towards its length at rest, in the order of the list or from its end. Sweeping both ways in turn keeps
 * the order from twisting the form.
 */
export function projectSprings(
  { count, a, b, rest, pull }: Springs,
  places: Float64Array,
  backwards = false,
): void {
  const by = backwards ? -1 : 1;
  for (let i = backwards ? count - 1 : 0, left = count; left > 0; i += by, left -= 1) {
    const p = a[i]!;
    const q = b[i]!;
    const px = places[p]!;
    const py = places[p + 1]!;
    const pz = places[p + 2]!;
    const qx = places[q]!;
    const qy = places[q + 1]!;
    const qz = places[q + 2]!;
    const dx = qx - px;
    const dy = qy - py;
    const dz = qz - pz;
    // Half the way for each end. Two nodes never fall together: every spring has a length.
    const share = pull[i]! * (0.5 - (0.5 * rest[i]!) / Math.sqrt(dx * dx + dy * dy + dz * dz + 1e-18));
    places[p] = px + dx * share;
    places[p + 1] = py + dy * share;
    places[p + 2] = pz + dz * share;
    places[q] = qx - dx * share;
    places[q + 1] = qy - dy * share;
    places[q + 2] = qz - dz * share;
  }
}

/** Where the wall runs on over two rounds without a ridge: three nodes (times three) in a line up it. */
function bendsOf({ stitches, down, up, round, ridge, wall }: FormNodes): Int32Array {
  const bends: number[] = [];
  for (let stitch = 0; stitch < stitches; stitch += 1) {
    const foot = down[stitch] ?? -1;
    const under = foot >= 0 ? (down[foot] ?? -1) : -1;
    const at = round[stitch] ?? 0;
    const runsOn = under >= 0 && up[foot] === stitch;
    if (runsOn && ridge[at] !== 1 && wall[at] === 1) bends.push(under * 3, foot * 3, stitch * 3);
  }
  return Int32Array.from(bends);
}

/**
 * A part on its way to rest: position-based dynamics over the stitch graph, after Müller et al., “Position Based Dynamics” (2007).
 * Springs keep the stitches' lengths; stuffing pushes outward just as hard as stretches the rounds by what the firmness asks.
 *
 * Everything is in stitch widths, so that the same part in any yarn takes the same form. Same input, same output.
 */
export class Relaxation {
  readonly nodes: FormNodes;
  readonly springs: Springs;
  /** three numbers a node, in stitch widths */
  readonly places: Float64Array;
  steps = 0;
  resting = false;
  private readonly first: Float64Array;
  private readonly before: Float64Array;
  private readonly pressed: Int32Array;
  /** four nodes (times three) around each pressed one: before, after, below, above */
  private readonly around: Int32Array;
  /** the same for stitches without stuffing behind them */
  private readonly soft: Int32Array;
  private readonly softAround: Int32Array;
  private readonly gauged: Int32Array;
  private readonly alongShare: Float64Array;
  /** three nodes (times three) in a line up the wall */
  private readonly bends: Int32Array;
  private pressure = 0.04;
  /** middle, drift and turning of the whole, three numbers each */
  private readonly motion = new Float64Array(9);

  constructor(private readonly input: FormInput) {
    const { fabric, starts, profile, gauge, finish } = input;
    this.nodes = formNodes(fabric, finish.gathered);
    const stuffed = stuffedProfile(fabric, profile, finish);
    const shares = sharesOf(fabric, profile, stuffed);
    this.alongShare = shares.along;
    const stuffing = finish.firmness !== 'none';
    this.springs = formSprings({ fabric, nodes: this.nodes, starts, gauge, stuffed: stuffing, shares });
    this.places = startPlaces({ fabric, nodes: this.nodes, starts, profile: stuffed, gauge });
    if (finish.pressedAt !== null) layFlat(this.places, this.nodes, finish.pressedAt);
    this.first = this.places.slice();
    this.before = this.places.slice();
    this.bends = bendsOf(this.nodes);
    const pressed: number[] = [];
    const around: number[] = [];
    const soft: number[] = [];
    const softAround: number[] = [];
    const gauged: number[] = [];
    for (let stitch = 0; stitch < this.nodes.stitches && fabric.row[0] !== 1; stitch += 1) {
      const round = this.nodes.round[stitch] ?? 0;
      const of = (side: Int32Array) => {
        const node = side[stitch] ?? -1;
        return (node < 0 ? stitch : node) * 3;
      };
      const neighbours = [of(this.nodes.prev), of(this.nodes.next), of(this.nodes.down), of(this.nodes.up)];
      // Frills, soles and empty parts have no stuffing behind them.
      if (finish.firmness === 'none' || this.nodes.wall[round] !== 1 || round < finish.sole) {
        const [before, after, below, above] = neighbours as [number, number, number, number];
        // Over a fold, and from a frill to the wall it hangs on, nothing has to run on evenly.
        const up = this.nodes.up[stitch] ?? -1;
        const down = this.nodes.down[stitch] ?? -1;
        const foldAbove = up >= 0 && this.nodes.ridge[this.nodes.round[up] ?? 0] === 1;
        const foldBelow =
          down >= 0 &&
          down < this.nodes.stitches &&
          (this.nodes.ridge[round] === 1 ||
            this.nodes.wall[this.nodes.round[down] ?? 0] !== this.nodes.wall[round]);
        soft.push(stitch * 3);
        softAround.push(before, after, foldBelow ? stitch * 3 : below, foldAbove ? stitch * 3 : above);
        continue;
      }
      pressed.push(stitch * 3);
      around.push(...neighbours);
      const gatheredRound = finish.gathered && round === fabric.rounds - 1;
      if ((this.nodes.next[stitch] ?? -1) >= 0 && !gatheredRound) gauged.push(stitch);
    }
    this.soft = Int32Array.from(soft);
    this.softAround = Int32Array.from(softAround);
    this.pressed = Int32Array.from(pressed);
    this.around = Int32Array.from(around);
    this.gauged = Int32Array.from(gauged);
  }

  /** Goes on for a number of steps, or until everything rests. */
  run(steps: number): void {
    for (let i = 0; i < steps && !this.resting; i += 1) this.step();
  }

  private step(): void {
    const { places, before, motion } = this;
    // Drift and turning build up slowly: now and then is often enough to take them away.
    if (this.steps % motionEvery === 0) wholeMotion(places, before, motion);
    else motion.fill(0, 3);
    const cx = motion[0]!;
    const cy = motion[1]!;
    const cz = motion[2]!;
    const vx = motion[3]!;
    const vy = motion[4]!;
    const vz = motion[5]!;
    const wx = motion[6]!;
    const wy = motion[7]!;
    const wz = motion[8]!;
    let most = 0;
    // The longest way any node went in the last step decides whether the form rests; drifting and turning as a whole is no change of form.
    for (let i = 0; i < places.length; i += 3) {
      const x = places[i]!;
      const y = places[i + 1]!;
      const z = places[i + 2]!;
      const rx = x - cx;
      const ry = y - cy;
      const rz = z - cz;
      const dx = x - before[i]! - vx - (wy * rz - wz * ry);
      const dy = y - before[i + 1]! - vy - (wz * rx - wx * rz);
      const dz = z - before[i + 2]! - vz - (wx * ry - wy * rx);
      const went = dx * dx + dy * dy + dz * dz;
      if (went > most) most = went;
      before[i] = x;
      before[i + 1] = y;
      before[i + 2] = z;
      places[i] = x + dx * damping;
      places[i + 1] = y + dy * damping;
      places[i + 2] = z + dz * damping;
    }
    if (
      this.steps >= mostSteps ||
      (this.steps % motionEvery === 0 && this.steps >= fewestSteps && most < restAt * restAt)
    ) {
      places.set(before);
      // What hands press lies between them as it is.
      if (this.input.finish.pressedAt === null) alignTo(places, this.first);
      this.resting = true;
      return;
    }
    this.press();
    for (let sweep = 0; sweep < sweepsPerStep; sweep += 2) {
      projectSprings(this.springs, places);
      projectSprings(this.springs, places, true);
      this.smooth();
    }
    this.straighten();
    if (this.input.finish.pressedAt !== null) this.flatten(this.input.finish.pressedAt);
    this.steps += 1;
  }

  /** Stuffing: every stitch is pushed along the normal of its cell, in proportion to the cell. */
  private press(): void {
    const { places, pressed, around } = this;
    if (pressed.length === 0) return;
    if (this.steps % 5 === 0) this.regulate();
    const quarter = this.pressure / 4;
    for (let i = 0; i < pressed.length; i += 1) {
      const at = pressed[i]!;
      const w = around[4 * i]!;
      const e = around[4 * i + 1]!;
      const s = around[4 * i + 2]!;
      const n = around[4 * i + 3]!;
      const ax = places[e]! - places[w]!;
      const ay = places[e + 1]! - places[w + 1]!;
      const az = places[e + 2]! - places[w + 2]!;
      const bx = places[n]! - places[s]!;
      const by = places[n + 1]! - places[s + 1]!;
      const bz = places[n + 2]! - places[s + 2]!;
      places[at] = places[at]! + quarter * (ay * bz - az * by);
      places[at + 1] = places[at + 1]! + quarter * (az * bx - ax * bz);
      places[at + 2] = places[at + 2]! + quarter * (ax * by - ay * bx);
    }
  }

  /** Brings the pressure towards the one that stretches the rounds as asked. */
  private regulate(): void {
    const wanted = stretchOf[this.input.finish.firmness];
    const strain = this.stretch() - wanted;
    this.pressure = Math.max(
      0.002,
      Math.min(0.4, this.pressure * Math.exp(-Math.max(-0.25, Math.min(0.25, strain * 6)))),
    );
  }

  /** Mean stretch along the stuffed rounds beyond their stuffed profile, as a share. */
  stretch(): number {
    const { places, gauged } = this;
    if (gauged.length === 0) return 0;
    let sum = 0;
    for (let i = 0; i < gauged.length; i += 1) {
      const p = gauged[i]! * 3;
      const q = this.nodes.next[gauged[i]!]! * 3;
      const dx = places[q]! - places[p]!;
      const dy = places[q + 1]! - places[p + 1]!;
      const dz = places[q + 2]! - places[p + 2]!;
      const share = this.alongShare[this.nodes.round[gauged[i]!]!] ?? 1;
      sum += Math.sqrt(dx * dx + dy * dy + dz * dz) / share - 1;
    }
    return sum / gauged.length;
  }

  /** The fabric's stiffness: where the wall runs on over two rounds, the stitch between is drawn into line. A ridge folds freely. */
  private straighten(): void {
    const { places, bends } = this;
    for (let i = 0; i < bends.length; i += 3) {
      const under = bends[i]!;
      const middle = bends[i + 1]!;
      const over = bends[i + 2]!;
      const offX = stiffness * (0.5 * (places[under]! + places[over]!) - places[middle]!);
      const offY = stiffness * (0.5 * (places[under + 1]! + places[over + 1]!) - places[middle + 1]!);
      const offZ = stiffness * (0.5 * (places[under + 2]! + places[over + 2]!) - places[middle + 2]!);
      places[middle] = places[middle]! + 0.5 * offX;
      places[middle + 1] = places[middle + 1]! + 0.5 * offY;
      places[middle + 2] = places[middle + 2]! + 0.5 * offZ;
      places[under] = places[under]! - 0.25 * offX;
      places[under + 1] = places[under + 1]! - 0.25 * offY;
      places[under + 2] = places[under + 2]! - 0.25 * offZ;
      places[over] = places[over]! - 0.25 * offX;
      places[over + 1] = places[over + 1]! - 0.25 * offY;
      places[over + 2] = places[over + 2]! - 0.25 * offZ;
    }
  }

  /** Where nothing inside holds the fabric out, its own stiffness evens out ripples: each cell goes towards the middle of its neighbours along its normal. */
  private smooth(): void {
    const { places, soft, softAround: around } = this;
    for (let i = 0; i < soft.length; i += 1) {
      const at = soft[i]!;
      const [w, e, s, n] = [around[4 * i]!, around[4 * i + 1]!, around[4 * i + 2]!, around[4 * i + 3]!];
      // At the ends of the yarn there is nothing to be between; at an edge only what lies along it.
      if (w === at || e === at || (s === at && n === at)) continue;
      const edge = n === at || s === at;
      const ax = places[e]! - places[w]!;
      const ay = places[e + 1]! - places[w + 1]!;
      const az = places[e + 2]! - places[w + 2]!;
      const bx = places[n]! - places[s]!;
      const by = places[n + 1]! - places[s + 1]!;
      const bz = places[n + 2]! - places[s + 2]!;
      const nx = ay * bz - az * by;
      const ny = az * bx - ax * bz;
      const nz = ax * by - ay * bx;
      const size = nx * nx + ny * ny + nz * nz;
      if (size < 1e-9) continue;
      const middle = (axis: number) => {
        const along = 0.5 * (places[e + axis]! + places[w + axis]!);
        return (
          (edge ? along : 0.5 * along + 0.25 * (places[n + axis]! + places[s + axis]!)) - places[at + axis]!
        );
      };
      const off = ((edge ? 0.3 : 1) * smoothness * (middle(0) * nx + middle(1) * ny + middle(2) * nz)) / size;
      places[at] = places[at]! + off * nx;
      places[at + 1] = places[at + 1]! + off * ny;
      places[at + 2] = places[at + 2]! + off * nz;
      for (const other of edge ? [w, e, w, e] : [w, e, s, n]) {
        places[other] = places[other]! - 0.25 * off * nx;
        places[other + 1] = places[other + 1]! - 0.25 * off * ny;
        places[other + 2] = places[other + 2]! - 0.25 * off * nz;
      }
    }
  }

  /** Hands from both sides: what stands further out than two layers of fabric is pressed in. */
  private flatten(at: number): void {
    const { places, motion } = this;
    const [cos, sin] = [Math.cos(at), Math.sin(at)];
    const middle = motion[0]! * cos + motion[1]! * sin;
    for (let i = 0; i < places.length; i += 3) {
      const out = places[i]! * cos + places[i + 1]! * sin - middle;
      const over = out > pressedHalf ? out - pressedHalf : out < -pressedHalf ? out + pressedHalf : 0;
      places[i] = places[i]! - over * 0.5 * cos;
      places[i + 1] = places[i + 1]! - over * 0.5 * sin;
    }
  }
}
