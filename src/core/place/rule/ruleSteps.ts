import { t } from '../../words/language';
import type { PartSource } from '../../notation/pattern';
import type { FeatureKind } from '../../notation/sentence/said';
import type { FeatureSentence } from '../../notation/sentence/feature';
import { oneSentence } from '../../notation/sentence/oneSentence';
import { featureLibrary } from './library';

/** A feature of a part by its name: `eyes`, `mouth`, `button`, `button 2`. */
export interface NamedStep {
  id: string;
  step: FeatureSentence;
}

/** Name of stitched eyes on a face that has pressed ones too. */
const stitchedToo = 'stitched eyes';

/**
 * The sentences that hold, in the order of the text. A face has one mouth: the last sentence that says where holds, with what others add.
 * Of what a part may carry several of, every sentence puts one.
 */
export function featureSteps(part: PartSource): NamedStep[] {
  const steps = part.steps.filter((step): step is FeatureSentence => step.kind === 'feature');
  const pressed = steps.some((step) => step.feature === 'eyes' && !step.embroidered);
  const alike = (one: FeatureSentence, other: FeatureSentence) =>
    one.feature === other.feature &&
    (one.feature !== 'eyes' || Boolean(one.embroidered) === Boolean(other.embroidered));
  return steps.flatMap((step) => {
    const { feature } = step;
    const same = steps.filter((one) => alike(one, step));
    const before = same.indexOf(step);
    if (featureLibrary[feature].many)
      return [{ id: before > 0 ? `${feature} ${before + 1}` : feature, step }];
    const id = feature === 'eyes' && step.embroidered && pressed ? stitchedToo : feature;
    return step === same.at(-1) ? [{ id, step: oneSentence(same) ?? step }] : [];
  });
}

/** The sentence about a feature by its name, if there is one. */
export function featureStep(part: PartSource, id: string): FeatureSentence | undefined {
  return featureSteps(part).find((one) => one.id === id)?.step;
}

/** What features are called on the screen; how they are written is in the library. */
const featureNames: Readonly<Record<FeatureKind, string>> = {
  eyes: t`Eyes`,
  nose: t`Nose`,
  mouth: t`Mouth`,
  brows: t`Brows`,
  lashes: t`Lashes`,
  cheeks: t`Cheeks`,
  whiskers: t`Whiskers`,
  spots: t`Spots`,
  patch: t`Patch`,
  button: t`Button`,
  bow: t`Bow`,
  'key ring': t`Key ring`,
  hair: t`Hair line`,
  sculpting: t`Sculpting`,
};

/** What a kind of feature is called on the screen. */
export const kindName = (kind: FeatureKind): string => featureNames[kind];

/** What a feature is called on the screen: `Button 2`. */
export function featureName(id: string, kind: FeatureKind): string {
  return id.startsWith(kind) ? featureNames[kind] + id.slice(kind.length) : t`Stitched eyes`;
}

/**
 * Which one a name means: of several buttons the last one told of before, else the first; those put on whole before stitched ones.
 *
 * @returns null where there is none
 */
export function referring(steps: readonly NamedStep[]): (kind: FeatureKind, from: string) => string | null {
  return (kind, from) => {
    const at = steps.findIndex((one) => one.id === from);
    const same = steps.filter((one) => one.step.feature === kind && one.id !== from);
    const leading = kind === 'eyes' ? same.find((one) => one.id === 'eyes') : undefined;
    return (leading ?? same.findLast((one) => steps.indexOf(one) < at) ?? same[0])?.id ?? null;
  };
}
