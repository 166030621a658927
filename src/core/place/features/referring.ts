import type { FeatureKind } from '../../notation/step';
import type { NamedStep } from './featureSteps';

/** Name of the pressed eyes of a part among its features. */
export const pressedEyes = 'pressed eyes';

/**
 * Which one a name means: of several buttons the last one told of before, else the first; the pressed eyes before stitched ones.
 *
 * @returns null where there is none
 */
export function referring(
  steps: readonly NamedStep[],
  pressed: boolean,
): (kind: FeatureKind, from: string) => string | null {
  return (kind, from) => {
    if (kind === 'eyes' && pressed && from !== pressedEyes) return pressedEyes;
    const at = steps.findIndex((one) => one.id === from);
    const same = steps.filter((one) => one.step.feature === kind && one.id !== from);
    return (same.findLast((one) => steps.indexOf(one) < at) ?? same[0])?.id ?? null;
  };
}
