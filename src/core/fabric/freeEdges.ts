import { backLoop, frontLoop, type Fabric } from './fabric';

/** Loops of a round that nothing is worked into. */
export interface FreeEdge {
  /** the round's number in the maker's text */
  round: number;
  loop: 'front' | 'back' | 'both';
  count: number;
  /** first and last stitch of each run of such loops, from 1 */
  runs: [number, number][];
}

const loopsFree = { both: 0, front: backLoop, back: frontLoop } as const;

/**
 * Lists every free edge: whole tops (the last round) and front or back loops left as a ridge.
 *
 * @param taken the loops that other parts are worked into, as bits for each stitch
 */
export function freeEdges(fabric: Fabric, taken: Uint8Array | null = null): FreeEdge[] {
  const edges: FreeEdge[] = [];
  for (let round = 0; round < fabric.rounds; round += 1) {
    const [from, to] = [fabric.offset[round] ?? 0, fabric.offset[round + 1] ?? 0];
    for (const loop of ['front', 'back', 'both'] as const) {
      const runs: [number, number][] = [];
      for (let i = from; i < to; i += 1) {
        const used = (fabric.used[i] ?? 0) | (taken?.[i] ?? 0);
        if (used !== loopsFree[loop]) continue;
        const stitch = i - from + 1;
        const open = runs.at(-1);
        if (open?.[1] === stitch - 1) open[1] = stitch;
        else runs.push([stitch, stitch]);
      }
      const count = runs.reduce((sum, [a, b]) => sum + b - a + 1, 0);
      if (count > 0) edges.push({ round: fabric.label[round] ?? round + 1, loop, count, runs });
    }
  }
  return edges;
}
