import { roundCount, type Fabric } from '../../fabric/fabric';
import { turn } from '../azimuth';
import { heightOfCode, type Gauge } from '../gauge';
import type { Profile } from '../profile';
import { gatheredShare } from '../stuffed';
import type { FormNodes } from './nodes';

/** Springs over typed arrays, in the order of working: node numbers times three, length at rest in stitch widths, how hard they pull. */
export interface Springs {
  count: number;
  a: Int32Array;
  b: Int32Array;
  rest: Float64Array;
  pull: Float64Array;
}

/** How hard the fabric resists: along and up it hardly gives (a little over 1 goes beyond the mark, which settles sooner), sideways easily. */
const pulls = { along: 1, up: 1.15, shear: 0.12, roundness: 0.05, layers: 0.6 };

/** What stuffing makes of each round's stitches: their width and height as shares of the gauge's. */
export interface Shares {
  along: Float64Array;
  up: Float64Array;
}

/** Empty fabric crowds its stitches so far to lie flat, and no further: what has more of them ruffles. Our own figure. */
const leastCrowded = 0.88;
/** A round that grows by this share of its height lies flat with nothing to spare; more would be a hint of a ruffle. */
const flatGrowth = 0.985;

/**
 * How much an empty round that has more stitches than lie flat crowds them: its height grows as its width shrinks, so that the area stays.
 *
 * @param growth how far its radius is from the one below, by the stitches alone
 */
const crowdedShare = (growth: number, height: number): number =>
  Math.max(leastCrowded, Math.min(1, Math.sqrt((flatGrowth * height) / Math.max(growth, 1e-9))));

/** How wide and high each round has become in a stuffed profile; what stays empty gives way where it would not lie flat. */
export function sharesOf(fabric: Fabric, profile: Profile, stuffed: Profile): Shares {
  const up = new Float64Array(fabric.rounds);
  const along = new Float64Array(fabric.rounds);
  for (let round = 0; round < fabric.rounds; round += 1) {
    const base = (fabric.base[round] ?? 0) - 1;
    const heightIn = ({ along: way }: Profile) => (way[round] ?? 0) - (base >= 0 ? (way[base] ?? 0) : 0);
    const isEmpty = stuffed.radius[round] === profile.radius[round];
    if (isEmpty) {
      const growth = Math.abs((profile.radius[round] ?? 0) - (base >= 0 ? (profile.radius[base] ?? 0) : 0));
      const grows = base >= 0 || fabric.start === 'ring';
      along[round] = grows ? crowdedShare(growth, heightIn(profile)) : 1;
      up[round] = 1 / (along[round] ?? 1);
      continue;
    }
    along[round] = (stuffed.radius[round] ?? 0) / (profile.radius[round] || 1) || 1;
    up[round] = heightIn(stuffed) / (heightIn(profile) || 1) || 1;
  }
  return { along, up };
}

class SpringList {
  private readonly a: number[] = [];
  private readonly b: number[] = [];
  private readonly rest: number[] = [];
  private readonly pull: number[] = [];

  add(a: number, b: number, rest: number, pull: number): void {
    if (a < 0 || b < 0 || a === b) return;
    this.a.push(a * 3);
    this.b.push(b * 3);
    this.rest.push(rest);
    this.pull.push(pull);
  }

  pack(): Springs {
    return {
      count: this.a.length,
      a: Int32Array.from(this.a),
      b: Int32Array.from(this.b),
      rest: Float64Array.from(this.rest),
      pull: Float64Array.from(this.pull),
    };
  }
}

/** How far each stitch stands beside the middle of its feet, in stitches of the wider round; whole turns fall away, and no more than half a stitch. */
function besideFeet(
  fabric: Fabric,
  { down, chainFrom, chainCount, stitches }: FormNodes,
  starts: Float64Array,
): Float64Array {
  const besides = new Float64Array(stitches);
  for (let round = 0; round < fabric.rounds; round += 1) {
    const from = fabric.offset[round] ?? 0;
    const count = roundCount(fabric, round + 1);
    const base = (fabric.base[round] ?? 0) - 1;
    const tube = base < 0 && fabric.start === 'tube';
    if (fabric.row[round] === 1 || (base < 0 && !tube)) continue;
    const below = tube ? chainCount : roundCount(fabric, base + 1);
    const turnsOf = (at: number) => (starts[at] ?? 0) / turn;
    for (let stitch = from; stitch < from + count; stitch += 1) {
      const foot = down[stitch] ?? -1;
      if (foot < 0) continue;
      const parents = fabric.parentCount[stitch] ?? 1;
      const first = parents > 0 ? (fabric.parentFirst[stitch] ?? foot) : foot;
      const middle = first - (fabric.offset[base] ?? 0) + Math.max(1, parents) / 2;
      const footAt = tube ? turnsOf(0) + (foot - chainFrom + 0.5) / below : turnsOf(base) + middle / below;
      const off = turnsOf(round) + (stitch - from + 0.5) / count - footAt;
      besides[stitch] = Math.max(-0.5, Math.min(0.5, (off - Math.round(off)) * Math.max(count, below)));
    }
  }
  return besides;
}

/** How far each round leans as a whole, in stitches: what its stitches have in common, beside increases and decreases. */
function leansOf({ rounds, offset }: Fabric, besides: Float64Array): number[] {
  return Array.from({ length: rounds }, (_, round) => {
    const [from, to] = [offset[round] ?? 0, offset[round + 1] ?? 0];
    let sum = 0;
    for (let stitch = from; stitch < to; stitch += 1) sum += besides[stitch] ?? 0;
    return Math.max(-0.5, Math.min(0.5, sum / Math.max(1, to - from)));
  });
}

/** What springs are made from. */
export interface SpringInput {
  fabric: Fabric;
  nodes: FormNodes;
  /** azimuths of the round starts, for how far a stitch stands beside its foot */
  starts: Float64Array;
  gauge: Gauge;
  /** stuffing keeps the rounds round; without it the fabric's own stiffness does */
  stuffed: boolean;
  /** what stuffing makes of each round's stitches */
  shares: Shares;
}

/** One round as its springs see it: lengths in stitch widths, and as shares of the gauge's. */
interface SprungRound {
  round: number;
  count: number;
  /** index of the round it is worked into; negative where that is the start */
  base: number;
  /** stitches or chains there are to work into */
  below: number;
  /** worked to and fro, or out of a ring: feet and tops lie in one plane */
  isFlat: boolean;
  /** width and height of its stitches */
  along: number;
  up: number;
  /** its radius times that of the round below */
  radii: number;
  /** how far it leans as a whole, in stitches */
  lean: number;
  /** the last one, drawn together by a thread */
  isGathered: boolean;
}

/** One stitch on what it is worked into. */
interface Footing {
  stitch: number;
  /** the node under it */
  foot: number;
  /** its first parent, or that node */
  first: number;
  parents: number;
  /** worked into stitches or chains, not into a ring */
  isOnFabric: boolean;
  /** worked into stitches */
  isOnStitches: boolean;
  /** the way to a place so many places of the round below beside the middle of its feet */
  way: (places: number) => number;
}

/** Collects the springs of one part, round by round. */
class FormSprings {
  private readonly list = new SpringList();
  private readonly besides: Float64Array;
  private readonly leans: number[];

  constructor(private readonly input: SpringInput) {
    this.besides = besideFeet(input.fabric, input.nodes, input.starts);
    this.leans = leansOf(input.fabric, this.besides);
  }

  all(): Springs {
    const { fabric, nodes } = this.input;
    const { next, chainFrom, chainCount } = nodes;
    for (let chain = 0; chain < chainCount; chain += 1)
      this.list.add(chainFrom + chain, next[chainFrom + chain] ?? -1, 1, pulls.along);
    for (let round = 0; round < fabric.rounds; round += 1) this.addRound(this.sprung(round));
    return this.list.pack();
  }

  private sprung(round: number): SprungRound {
    const { fabric, nodes, shares } = this.input;
    const count = roundCount(fabric, round + 1);
    const base = (fabric.base[round] ?? 0) - 1;
    const isTube = base < 0 && fabric.start === 'tube';
    const below = isTube ? nodes.chainCount : roundCount(fabric, base + 1);
    const wide = shares.along[round] ?? 1;
    const wideBelow = base >= 0 ? (shares.along[base] ?? 1) : wide;
    const isGathered = round === fabric.rounds - 1 && nodes.endPole >= 0;
    return {
      round,
      count,
      base,
      below,
      isFlat: fabric.row[round] === 1 || (base < 0 && !isTube),
      along: isGathered ? Math.min(wide, gatheredShare) : wide,
      up: shares.up[round] ?? 1,
      radii: ((count * wide) / turn) * ((below * wideBelow) / turn),
      lean: this.leans[round] ?? 0,
      isGathered,
    };
  }

  private addRound(sprung: SprungRound): void {
    const { fabric, nodes } = this.input;
    const { round, base, below, along } = sprung;
    const from = fabric.offset[round] ?? 0;
    for (let stitch = from; stitch < from + sprung.count; stitch += 1) {
      this.list.add(stitch, nodes.next[stitch] ?? -1, along, pulls.along);
      this.addFeet(sprung, this.footing(sprung, stitch));
      this.addRoundness(sprung, stitch);
    }
    if (fabric.folded !== round + 1 || base < 0) return;
    // Both layers of the round below are caught in one stitch.
    const baseFrom = fabric.offset[base] ?? 0;
    for (let i = 0; i < below >> 1; i += 1)
      this.list.add(baseFrom + i, baseFrom + below - 1 - i, 0.35, pulls.layers);
  }

  private footing(sprung: SprungRound, stitch: number): Footing {
    const { fabric, nodes, gauge } = this.input;
    const { count, base, below, radii } = sprung;
    const foot = nodes.down[stitch] ?? -1;
    const worked = base >= 0 ? (fabric.parentCount[stitch] ?? 1) : 0;
    const beside = this.besides[stitch] ?? 0;
    const tall = (gauge.heightMm / gauge.widthMm) * (heightOfCode[fabric.kind[stitch] ?? 0] ?? 1);
    const height = tall * sprung.up;
    const way = (places: number) => {
      if (foot === nodes.startPole) return height * this.fromRing(stitch);
      if (sprung.isFlat) return Math.hypot(height, places);
      const angle = (turn * places) / below - (turn * beside) / Math.max(count, below);
      return Math.sqrt(height * height + 2 * radii * (1 - Math.cos(angle)));
    };
    return {
      stitch,
      foot,
      first: worked > 0 ? (fabric.parentFirst[stitch] ?? foot) : foot,
      parents: Math.max(1, worked),
      isOnFabric: foot < nodes.stitches || nodes.startPole < 0,
      isOnStitches: foot < nodes.stitches,
      way,
    };
  }

  /** A spiral leaves the middle of its ring step by step. */
  private fromRing(stitch: number): number {
    const { fabric } = this.input;
    return fabric.joined[0] === 1 ? 1 : 0.5 + (stitch + 0.5) / roundCount(fabric, 1);
  }

  /** To what it is worked into, straight down, and weakly to what lies on either side of that. */
  private addFeet(sprung: SprungRound, footing: Footing): void {
    const { next, prev } = this.input.nodes;
    const { stitch, foot, first, parents, isOnFabric, isOnStitches, way } = footing;
    const half = (parents - 1) / 2;
    // What pulls straight down is shared out by how far the round leans, or the stuffing's pull would set the stitches upright again.
    const isEven = isOnFabric && !sprung.isFlat && sprung.count === sprung.below;
    const lean = isEven ? sprung.lean : 0;
    for (let parent = 0; parent < parents; parent += parents > 1 ? parents - 1 : 1) {
      const share = parents > 1 ? 1 + 2 * lean * Math.sign(parent - half) : 1 - Math.abs(lean);
      const under = isOnStitches ? first + parent : foot;
      this.list.add(stitch, under, way(isOnStitches ? parent - half : 0), pulls.up * share);
    }
    if (!isOnFabric) return;
    const straight = (side: 1 | -1) => (parents === 1 && side * lean > 0 ? pulls.up * Math.abs(lean) : 0);
    const before = prev[isOnStitches ? first : foot] ?? -1;
    const after = next[isOnStitches ? first + parents - 1 : foot] ?? -1;
    this.list.add(stitch, before, way(-1 - half), pulls.shear + straight(-1));
    this.list.add(stitch, after, way(1 + half), pulls.shear + straight(1));
  }

  /** What keeps a round round: its own stiffness where nothing is stuffed, and the thread that gathers the last. */
  private addRoundness({ count, along, isGathered }: SprungRound, stitch: number): void {
    const { nodes, stuffed } = this.input;
    const second = nodes.next[nodes.next[stitch] ?? -1] ?? -1;
    if (!stuffed && second >= 0 && !isGathered)
      this.list.add(stitch, second, 2 * Math.cos(Math.PI / Math.max(6, count)), pulls.roundness);
    if (isGathered) this.list.add(stitch, nodes.endPole, (along * count) / turn, pulls.up);
  }
}

/**
 * The springs of a part, in units of the stitch width: along the yarn, to what each stitch is worked into, and weak ones across (shear).
 *
 * Lengths at rest are those of a surface of revolution of the stated counts: two points of rounds with radii p and q, an angle δ apart,
 * lie √(h² + 2pq(1 − cos δ)) from each other. A stitch may stand up to half a stitch beside its foot without being stretched, as in
 * evenly increased rounds; increases piled in one place ask for more than that, and the fabric bulges there instead.
 */
export const formSprings = (input: SpringInput): Springs => new FormSprings(input).all();
