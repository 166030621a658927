import type { Problem } from '../notation/problem';
import type { PartAnalysis } from './analyse';

/** Names of the features of a part that have something to settle: what is only told does not count. */
export function toSettle({ features }: PartAnalysis): ReadonlySet<string> {
  const open = features
    .filter(({ problems }) => problems.some(({ severity }) => severity !== 'info'))
    .map(({ id }) => id);
  return new Set(open);
}

/** Problems of a part that are not about what is placed on it: that has its own messages beside the map. */
export function besideFace({ features, problems }: PartAnalysis): Problem[] {
  const face = new Set(features.flatMap((feature) => feature.problems));
  return problems.filter((problem) => !face.has(problem));
}
