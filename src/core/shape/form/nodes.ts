import { backLoop, frontLoop, roundCount, type Fabric } from '../../fabric/fabric';

/**
 * The points whose places make up the form: one for the top of every stitch, in the order of working; then those of the start (a chain,
 * or the middle of a ring); then the middle of a gathered end. -1 where there is no such neighbour.
 */
export interface FormNodes {
  count: number;
  /** the first `stitches` nodes are the stitches */
  stitches: number;
  /** the nodes before and after along the yarn */
  prev: Int32Array;
  next: Int32Array;
  /** what a stitch is worked into (of several the middle one), and a stitch worked into it */
  down: Int32Array;
  up: Int32Array;
  /** round of every stitch, from 0 */
  round: Uint16Array;
  /** 1 for rounds of the wall; 0 for frills that hang from it */
  wall: Uint8Array;
  /** 1 for rounds worked into one loop only: the wall folds easily below them */
  ridge: Uint8Array;
  /** first node and number of the foundation chain */
  chainFrom: number;
  chainCount: number;
  /** middle of a ring, middle of a gathered end */
  startPole: number;
  endPole: number;
}

/** Rounds that make up the wall: the longest way from the start to a last round. */
export function wallRounds(fabric: Fabric): Uint8Array {
  const { rounds } = fabric;
  const length = new Uint32Array(rounds);
  let last = 0;
  for (let round = 0; round < rounds; round += 1) {
    const base = (fabric.base[round] ?? 0) - 1;
    length[round] = 1 + (base >= 0 ? (length[base] ?? 0) : 0);
    if ((length[round] ?? 0) > (length[last] ?? 0)) last = round;
  }
  const wall = new Uint8Array(rounds);
  for (let round = last; round >= 0 && rounds > 0; round = (fabric.base[round] ?? 0) - 1) wall[round] = 1;
  return wall;
}

/** The chain under slot `slot` of an oval or a row: the second side of an oval runs back along the same chains. */
export function chainOfSlot(fabric: Fabric, slot: number): number {
  if (fabric.start !== 'oval') return slot;
  const chains = (fabric.places + 1) / 2;
  return slot < chains ? slot : 2 * chains - 2 - slot;
}

/** Chains that a part begins on; a ring has none. */
function chainsOf({ start, places }: Fabric): number {
  if (start === 'ring') return 0;
  return start === 'oval' ? (places + 1) / 2 : places;
}

/** Lays out the nodes of one part and links them. */
class NodeLinks {
  readonly nodes: FormNodes;

  constructor(
    private readonly fabric: Fabric,
    gathered: boolean,
  ) {
    const stitches = fabric.offset[fabric.rounds] ?? 0;
    const chainCount = chainsOf(fabric);
    let count = stitches + chainCount;
    const startPole = fabric.start === 'ring' && stitches > 0 ? count++ : -1;
    const endPole = gathered && stitches > 0 ? count++ : -1;
    const side = () => new Int32Array(count).fill(-1);
    this.nodes = {
      count,
      stitches,
      prev: side(),
      next: side(),
      down: side(),
      up: side(),
      round: new Uint16Array(count),
      wall: wallRounds(fabric),
      ridge: new Uint8Array(fabric.rounds),
      chainFrom: stitches,
      chainCount,
      startPole,
      endPole,
    };
  }

  all(): FormNodes {
    this.linkChains();
    for (let round = 0; round < this.fabric.rounds; round += 1) {
      this.linkStitches(round);
      this.nodes.ridge[round] = this.isRidge(round) ? 1 : 0;
      this.linkEnds(round);
    }
    return this.nodes;
  }

  private link(a: number, b: number): void {
    this.nodes.next[a] = b;
    this.nodes.prev[b] = a;
  }

  private linkChains(): void {
    const { chainFrom, chainCount } = this.nodes;
    for (let chain = 1; chain < chainCount; chain += 1) this.link(chainFrom + chain - 1, chainFrom + chain);
    if (this.fabric.start === 'tube' && chainCount > 2) this.link(chainFrom + chainCount - 1, chainFrom);
  }

  /** The node that a stitch stands on. */
  private under(stitch: number): number {
    const { parentFirst, parentCount, start, startSlots } = this.fabric;
    const first = parentFirst[stitch] ?? -1;
    if (first >= 0) return first + (((parentCount[stitch] ?? 1) - 1) >> 1);
    if (start === 'ring') return this.nodes.startPole;
    return this.nodes.chainFrom + chainOfSlot(this.fabric, startSlots[stitch] ?? 0);
  }

  private linkStitches(round: number): void {
    const { nodes, fabric } = this;
    const [from, to] = [fabric.offset[round] ?? 0, fabric.offset[round + 1] ?? 0];
    const isWall = nodes.wall[round] === 1;
    const isLast = round === fabric.rounds - 1;
    for (let stitch = from; stitch < to; stitch += 1) {
      nodes.round[stitch] = round;
      if (stitch + 1 < to) this.link(stitch, stitch + 1);
      const down = this.under(stitch);
      nodes.down[stitch] = down;
      if (down >= 0 && (nodes.up[down] === -1 || isWall)) nodes.up[down] = stitch;
      if (nodes.endPole >= 0 && isLast) nodes.up[stitch] = nodes.endPole;
    }
  }

  /** Whether most of a round is worked into one loop. */
  private isRidge(round: number): boolean {
    const { offset, into } = this.fabric;
    const [from, to] = [offset[round] ?? 0, offset[round + 1] ?? 0];
    const single = into
      .subarray(from, to)
      .filter((loops) => loops === frontLoop || loops === backLoop).length;
    return round > 0 && single * 2 > to - from;
  }

  /** The end of a round runs on into the next, or closes to its own beginning. */
  private linkEnds(round: number): void {
    const { offset, row, rounds, base, joined } = this.fabric;
    const [from, to] = [offset[round] ?? 0, offset[round + 1] ?? 0];
    if (row[round] === 1 || to - from < 2) return;
    const isJoined = joined[round] === 1;
    const isFollowed = round + 1 < rounds && base[round + 1] === round + 1 && row[round + 1] !== 1;
    if (isFollowed && !isJoined && roundCount(this.fabric, round + 2) > 0) this.link(to - 1, to);
    else if (isJoined) this.link(to - 1, from);
  }
}

/**
 * Lays out the nodes of a part and who neighbours whom.
 *
 * @param fabric the stitch graph
 * @param gathered the last round is drawn together
 */
export const formNodes = (fabric: Fabric, gathered: boolean): FormNodes =>
  new NodeLinks(fabric, gathered).all();
