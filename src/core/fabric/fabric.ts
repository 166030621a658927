import type { LoopsWord } from '../notation/ast';
import type { StitchKind } from '../notation/stitchKinds';

/** How the first round begins. All ring-like starts give the same fabric. */
export type StartKind = 'ring' | 'row' | 'oval' | 'tube' | 'edge';

/** Bits of the loops of a stitch top that something is worked into. */
export const frontLoop = 1;
export const backLoop = 2;
export const bothLoops = 3;
export const loopBits: Readonly<Record<LoopsWord, number>> = {
  both: bothLoops,
  front: frontLoop,
  back: backLoop,
};

/** A little growth that hangs from the fabric and does not count in its round: a tentacle, a picot, a chain tail. */
export interface Outgrowth {
  /** the stitch it grows after, or -1 before the first */
  after: number;
  round: number;
  kinds: StitchKind[];
}

/** Stitches of a round that go through a finished piece too, without sewing. */
export interface WorkedThrough {
  /** the round by index, from 1 */
  round: number;
  /** its first stitch of the round, from 1 */
  from: number;
  count: number;
  loops: LoopsWord;
  /** the piece, in the words of the line */
  words: string;
}

/** A run of loops of another part that a first round is worked into, in the order of working. */
export interface Ground {
  part: string;
  /** which of its makings, from 1 */
  unit: number;
  /** the round by its number in the maker's text */
  round: number;
  loops: LoopsWord;
  /** its first stitch, from 1 */
  from: number;
  count: number;
}

/** Chains made between two pieces, in their place among the grounds. */
export interface GroundChain {
  chains: number;
}

export type GroundRun = Ground | GroundChain;

/**
 * The stitch graph of one part. One entry a stitch, in the order of working; rounds are consecutive.
 *
 * The stitches that a stitch is worked into are neighbours, so two numbers name them all.
 */
export interface Fabric {
  start: StartKind;
  /** places the first round can be worked into: chains, both sides counted for an oval; 0 for a ring */
  places: number;
  /** place each stitch of the first round is worked into, from 0; all 0 for a ring */
  startSlots: Uint32Array;
  /** how many places each stitch of the first round is worked over, from its place on */
  startTakes: Uint8Array;
  /** loops of other parts that the first round is worked into, and chains between them, in order; empty where the part begins by itself */
  ground: readonly GroundRun[];
  /** number of rounds or rows built */
  rounds: number;
  /** `offset[r]` is the first stitch of round r + 1; `offset[rounds]` is the number of stitches */
  offset: Uint32Array;
  /** index into `stitchKinds` */
  kind: Uint8Array;
  /** index into `palette` */
  colour: Uint8Array;
  palette: string[];
  /** first stitch this one is worked into, or -1 in the first round */
  parentFirst: Int32Array;
  /** how many stitches it is worked into: 2 for a decrease, 0 in the first round */
  parentCount: Uint8Array;
  /** loops of the parents this stitch goes into, as bits */
  into: Uint8Array;
  /** loops of this stitch's own top that are used by later work, as bits */
  used: Uint8Array;
  /** round each round is worked into, from 1; 0 for the start */
  base: Uint32Array;
  /** 1 where the round is a row */
  row: Uint8Array;
  /** 1 where the round is joined with a slip stitch */
  joined: Uint8Array;
  /** the round's number in the maker's own text */
  label: Uint32Array;
  /** round worked through both layers of the folded piece, from 1; 0 for none. Stitch i of the round below lies on its i-th last. */
  folded: number;
  outgrowths: Outgrowth[];
  /** in the order of working */
  workedThrough: WorkedThrough[];
}

/** Number of stitches in round `round` (from 1); 0 where there is no such round. */
export function roundCount(fabric: Fabric, round: number): number {
  if (round < 1 || round > fabric.rounds) return 0;
  return (fabric.offset[round] ?? 0) - (fabric.offset[round - 1] ?? 0);
}

/** Index of stitch `stitch` (from 1) of round `round` (from 1). */
export function stitchIndex(fabric: Fabric, round: number, stitch: number): number {
  return (fabric.offset[round - 1] ?? 0) + stitch - 1;
}

/** Total number of stitches, outgrowths not counted. */
export function stitchCount(fabric: Fabric): number {
  return fabric.offset[fabric.rounds] ?? 0;
}
