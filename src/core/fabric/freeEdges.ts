import { backLoop, bothLoops, frontLoop, type Fabric } from './fabric';

/** Loops of a round that nothing is worked into. */
export interface FreeEdge {
  /** the round's number in the maker's text */
  round: number;
  loop: 'front' | 'back' | 'both';
  count: number;
}

/** Lists every free edge: whole tops (the last round) and front or back loops left as a ridge. */
export function freeEdges(fabric: Fabric): FreeEdge[] {
  const edges: FreeEdge[] = [];
  for (let round = 0; round < fabric.rounds; round += 1) {
    const count = { both: 0, front: 0, back: 0 };
    for (let i = fabric.offset[round] ?? 0; i < (fabric.offset[round + 1] ?? 0); i += 1) {
      const used = fabric.used[i] ?? 0;
      if (used === 0) count.both += 1;
      else if (used !== bothLoops)
        count[(used & frontLoop) === 0 ? 'front' : 'back'] +=
          (used & frontLoop) === 0 || (used & backLoop) === 0 ? 1 : 0;
    }
    for (const loop of ['front', 'back', 'both'] as const) {
      if (count[loop] > 0) edges.push({ round: fabric.label[round] ?? round + 1, loop, count: count[loop] });
    }
  }
  return edges;
}
