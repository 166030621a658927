import type { FeatureRule } from '../features/featureRule';

/** The rule so many stitches further up, or down, counted from what it is counted from now. */
export function raisedByStitches(rule: FeatureRule, by: number): FeatureRule | null {
  const { vertical } = rule;
  if (vertical?.by === 'level') return { ...rule, vertical: { by: 'stitches', stitches: Math.abs(by), direction: by > 0 ? 'above' : 'below', to: vertical.to } };
  if (vertical?.by !== 'stitches') return null;
  const signed = (vertical.direction === 'above' ? vertical.stitches : -vertical.stitches) + by;
  return { ...rule, vertical: { ...vertical, stitches: Math.abs(signed), direction: signed > 0 || (signed === 0 && vertical.direction === 'above') ? 'above' : 'below' } };
}
