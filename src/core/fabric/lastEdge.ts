import type { PartSource } from '../notation/pattern';
import { closes } from '../notation/sentence/close';
import { roundCount, type Fabric } from './fabric';

/** How the work of a part ends: with an open edge, drawn together, or laid flat with its two layers sewn or worked together. */
export type LastEdge = 'open' | 'gathered' | 'shut flat';

/** As many stitches are drawn together at most where nothing is said. */
const mostGathered = 8;

/** The end of a part, as its text says it, else by its last rounds: few stitches that it has shrunk to are drawn together. */
export function lastEdgeOf(part: PartSource, fabric: Fabric): LastEdge {
  const { rounds } = fabric;
  const isRows = fabric.row[0] === 1;
  if (isRows || rounds === 0) return 'open';
  const isShut = part.steps.some((step) => step.kind === 'fold' && step.shut);
  if (isShut || fabric.folded === rounds) return 'shut flat';
  if (saysOpen(part)) return 'open';
  const count = roundCount(fabric, rounds);
  const shrinks = rounds > 1 && count < roundCount(fabric, rounds - 1);
  // `Sew the opening shut` on a tube lays its edge flat; what has shrunk to a hole is drawn together however that is said.
  const isSewnShut = part.steps.some((step) => step.kind === 'close' && step.how === 'sewn');
  if (isSewnShut && !shrinks) return 'shut flat';
  return part.steps.some(closes) || (count <= mostGathered && shrinks) ? 'gathered' : 'open';
}

/** Whether the text says that the end stays open. */
export const saysOpen = (part: PartSource): boolean =>
  part.steps.some((step) => step.kind === 'close' && step.how === 'open');
