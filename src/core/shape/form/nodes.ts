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

/**
 * Lays out the nodes of a part and who neighbours whom.
 *
 * @param fabric the stitch graph
 * @param gathered the last round is drawn together
 */
export function formNodes(fabric: Fabric, gathered: boolean): FormNodes {
  const stitches = fabric.offset[fabric.rounds] ?? 0;
  const ring = fabric.start === 'ring';
  const chainFrom = stitches;
  const chainCount = ring ? 0 : fabric.start === 'oval' ? (fabric.places + 1) / 2 : fabric.places;
  let count = stitches + chainCount;
  const startPole = ring && stitches > 0 ? count++ : -1;
  const endPole = gathered && stitches > 0 ? count++ : -1;
  const side = () => new Int32Array(count).fill(-1);
  const nodes: FormNodes = {
    count,
    stitches,
    prev: side(),
    next: side(),
    down: side(),
    up: side(),
    round: new Uint16Array(count),
    wall: wallRounds(fabric),
    ridge: new Uint8Array(fabric.rounds),
    chainFrom,
    chainCount,
    startPole,
    endPole,
  };
  const link = (a: number, b: number) => {
    nodes.next[a] = b;
    nodes.prev[b] = a;
  };
  for (let chain = 1; chain < chainCount; chain += 1) link(chainFrom + chain - 1, chainFrom + chain);
  if (fabric.start === 'tube' && chainCount > 2) link(chainFrom + chainCount - 1, chainFrom);
  for (let round = 0; round < fabric.rounds; round += 1) {
    const from = fabric.offset[round] ?? 0;
    const to = fabric.offset[round + 1] ?? 0;
    let single = 0;
    for (let stitch = from; stitch < to; stitch += 1) {
      nodes.round[stitch] = round;
      if (stitch + 1 < to) link(stitch, stitch + 1);
      const into = fabric.into[stitch] ?? 0;
      if (into === frontLoop || into === backLoop) single += 1;
      const first = fabric.parentFirst[stitch] ?? -1;
      const down =
        first >= 0
          ? first + (((fabric.parentCount[stitch] ?? 1) - 1) >> 1)
          : ring
            ? startPole
            : chainFrom + chainOfSlot(fabric, fabric.startSlots[stitch] ?? 0);
      nodes.down[stitch] = down;
      const wallRound = nodes.wall[round] === 1;
      if (down >= 0 && (nodes.up[down] === -1 || wallRound)) nodes.up[down] = stitch;
      if (endPole >= 0 && round === fabric.rounds - 1) nodes.up[stitch] = endPole;
    }
    if (round > 0 && to > from) nodes.ridge[round] = single * 2 > to - from ? 1 : 0;
    if (fabric.row[round] === 1 || to - from < 2) continue;
    const spirals =
      round + 1 < fabric.rounds &&
      fabric.base[round + 1] === round + 1 &&
      fabric.joined[round] !== 1 &&
      fabric.row[round + 1] !== 1 &&
      roundCount(fabric, round + 2) > 0;
    if (spirals) link(to - 1, to);
    else if (fabric.joined[round] === 1) link(to - 1, from);
  }
  return nodes;
}
