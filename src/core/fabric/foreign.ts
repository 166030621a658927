import type { LoopsWord } from '../notation/ast';
import {
  loopBits,
  roundCount,
  stitchIndex,
  type Fabric,
  type Ground,
  type GroundChain,
  type GroundRun,
} from './fabric';
import { roundNumbered } from './rounds';

/** One stitch of another part, as the maker counts. */
export interface ForeignStitch {
  part: string;
  unit: number;
  round: number;
  stitch: number;
  loops: LoopsWord;
}

export const isChainRun = (run: GroundRun): run is GroundChain => 'chains' in run;
const lengthOf = (run: GroundRun) => (isChainRun(run) ? run.chains : run.count);

/**
 * The stitches of other parts that a stitch of the first round is worked into.
 *
 * @param stitch from 1
 * @returns none along a chain, for a chain of the round itself, in later rounds, and where the part begins by itself
 */
export function foreignParents(fabric: Fabric, stitch: number): ForeignStitch[] {
  if (stitch < 1 || stitch > roundCount(fabric, 1)) return [];
  const first = fabric.startSlots[stitch - 1] ?? 0;
  const together = fabric.startTakes[stitch - 1] ?? 0;
  return Array.from({ length: together }, (_, i) => foreignAt(fabric.ground, first + i)).filter(
    (found) => found !== null,
  );
}

/** What lies at a place of the ground, counted from 0. */
function foreignAt(ground: readonly GroundRun[], place: number): ForeignStitch | null {
  let before = 0;
  for (const run of ground) {
    const length = lengthOf(run);
    if (place < before + length) {
      if (isChainRun(run)) return null;
      const { part, unit, round, loops, from } = run;
      return { part, unit, round, loops, stitch: from + place - before };
    }
    before += length;
  }
  return null;
}

/** The loops of each stitch of a part that runs of others take, as bits. */
export function takenBy(runs: readonly Ground[], fabric: Fabric): Uint8Array {
  const taken = new Uint8Array(fabric.kind.length);
  for (const run of runs) {
    const round = roundNumbered(fabric, run.round);
    for (let i = 0; i < run.count && round > 0; i += 1) {
      const at = stitchIndex(fabric, round, run.from + i);
      if (at < taken.length) taken[at] = (taken[at] ?? 0) | loopBits[run.loops];
    }
  }
  return taken;
}

/** How many of the loops that a part begins in its owner has worked into itself. */
export function loopsTwice(run: Ground, owner: Fabric): number {
  const round = roundNumbered(owner, run.round);
  if (round === 0) return 0;
  let twice = 0;
  for (let i = 0; i < run.count; i += 1) {
    const used = owner.used[stitchIndex(owner, round, run.from + i)] ?? 0;
    if ((used & loopBits[run.loops]) !== 0) twice += 1;
  }
  return twice;
}
