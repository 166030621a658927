import type { ReinforceSentence } from './reinforce';
import type { Sentence } from './sentence';

/**
 * The sentences of a part that reinforce it in one way.
 *
 * @param feature what of the part they are about; null for its own seam or chains
 */
export const reinforcedIn = (
  steps: readonly Sentence[],
  how: ReinforceSentence['how'],
  feature: ReinforceSentence['feature'],
): ReinforceSentence[] =>
  steps.filter(
    (step): step is ReinforceSentence =>
      step.kind === 'reinforce' && step.how === how && step.feature === feature,
  );
