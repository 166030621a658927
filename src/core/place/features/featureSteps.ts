import type { PartSource } from '../../notation/pattern';
import type { FeatureKind, Step } from '../../notation/step';
import { oneSentence } from '../../notation/oneSentence';
import { featureLibrary } from './library';

export type FeatureStep = Step & { feature: FeatureKind };

/** A feature of a part by its name: `mouth`, `button`, `button 2`. */
export interface NamedStep {
  id: string;
  step: FeatureStep;
}

/**
 * The sentences that hold, in the order of the text. A face has one mouth: the last sentence that says where holds, with what others add.
 * Of what a part may carry several of, every sentence puts one. Pressed eyes have rules of their own.
 */
export function featureSteps(part: PartSource): NamedStep[] {
  const steps = part.steps.filter(
    (step): step is FeatureStep =>
      step.kind === 'feature' &&
      step.feature !== undefined &&
      (step.feature !== 'eyes' || step.embroidered === true),
  );
  return steps.flatMap((step) => {
    const { feature } = step;
    const same = steps.filter((one) => one.feature === feature);
    const before = same.indexOf(step);
    if (featureLibrary[feature].many)
      return [{ id: before > 0 ? `${feature} ${before + 1}` : feature, step }];
    return step === same.at(-1) ? [{ id: feature, step: oneSentence(same) ?? step }] : [];
  });
}

/** What a feature is called on the screen: `Button 2`. */
export function featureName(id: string, kind: FeatureKind): string {
  return featureLibrary[kind].name + id.slice(kind.length);
}
