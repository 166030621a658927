import { featureLibrary } from '../rule/library';
import type { FeatureRule } from '../rule/rule';

/** The rule of stitched eyes in the place of pressed ones, as far apart and as high: nothing hard that could come off. */
export function stitchedRule(rule: FeatureRule, style: 'satin' | 'sleeping'): FeatureRule {
  const { wide, high } = featureLibrary.eyes;
  const { ring: _ring, ...bare } = rule;
  return { ...bare, style, embroidered: true, sizeMm: null, wide, high, seat: null };
}
