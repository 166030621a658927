import type { PartSource } from '../../notation/pattern';
import type { FeatureKind, Step } from '../../notation/step';
import { featureLibrary } from './library';

export type FeatureStep = Step & { feature: FeatureKind };

/** A feature of a part by its name: `mouth`, `button`, `button 2`. */
export interface NamedStep {
  id: string;
  step: FeatureStep;
}

/**
 * The sentences that hold, in the order of the text. A face has one mouth: the last sentence about it holds. Of what a part may carry
 * several of, every sentence puts one. Pressed eyes have rules of their own.
 */
export function featureSteps(part: PartSource): NamedStep[] {
  const found: NamedStep[] = [];
  for (const step of part.steps) {
    const { kind, feature } = step;
    if (kind !== 'feature' || !feature || (feature === 'eyes' && !step.embroidered)) continue;
    const same = found.filter((one) => one.step.feature === feature).length;
    if (!featureLibrary[feature].many && same > 0) found.splice(found.findIndex((one) => one.id === feature), 1);
    found.push({ id: featureLibrary[feature].many && same > 0 ? `${feature} ${same + 1}` : feature, step: step as FeatureStep });
  }
  return found;
}

/** What a feature is called on the screen: `Button 2`. */
export function featureName(id: string, kind: FeatureKind): string {
  return featureLibrary[kind].name + id.slice(kind.length);
}
