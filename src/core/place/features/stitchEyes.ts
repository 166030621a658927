import type { LineEdit } from '../../notation/problem';
import type { PartSource } from '../../notation/pattern';
import { overEyes, type EyeRule } from '../eyeSentence';
import type { FeatureRule } from './featureRule';
import { featureSentence } from './featureSentence';
import { featureLibrary } from './library';

/** The rule of stitched eyes in the place of pressed ones, as far apart and as high. */
export function stitchedRule(
  { gap, other, rise = 0, vertical, apart }: EyeRule,
  style: 'satin' | 'sleeping',
): FeatureRule {
  const { wide, high } = featureLibrary.eyes;
  const rule: FeatureRule = {
    kind: 'eyes',
    style,
    embroidered: true,
    sizeMm: null,
    wide,
    high,
    vertical: vertical ?? { by: 'gap', gap },
    sideways: { by: 'apart', apart },
    sides: 'both',
    seat: null,
  };
  if (!other) return rule;
  return {
    ...rule,
    lying: true,
    sideways: { by: 'rounds', from: Math.min(gap[0], other[0]), to: Math.max(gap[0], other[0]) },
    vertical: {
      by: 'stitches',
      stitches: Math.abs(rise),
      direction: rise < 0 ? 'below' : 'above',
      to: 'front',
    },
  };
}

/** Stitches the eyes instead of pressing them: what is safer for a small child. All that hangs on them goes by them as before. */
export function stitchEyes(part: PartSource, rule: EyeRule, style: 'satin' | 'sleeping'): LineEdit {
  return overEyes(part, featureSentence(stitchedRule(rule, style)));
}
