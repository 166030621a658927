import type { FeatureRule } from '../features/featureRule';
import { lineEdge, type Reach } from '../features/reach';

/**
 * The rule so many stitches further up, or down, counted from what it is counted from now. Heights between the upper and the lower edge of
 * that are passed over: they have no number.
 *
 * @param counted reach of what it is counted from
 */
export function raisedByStitches(
  rule: FeatureRule,
  by: number,
  counted: Reach = lineEdge,
): FeatureRule | null {
  const { vertical } = rule;
  if (vertical?.by !== 'level' && vertical?.by !== 'stitches') return null;
  const { up, down } = counted;
  const wasAbove = vertical.by === 'stitches' && vertical.direction === 'above';
  let height =
    by + (vertical.by === 'level' ? 0 : wasAbove ? vertical.stitches + up : -vertical.stitches - down);
  if (height > -down && height < up) height = by > 0 ? (height <= 0 ? 0 : up) : height >= 0 ? 0 : -down;
  const put = (stitches: number, direction: 'above' | 'below'): FeatureRule => ({
    ...rule,
    vertical: { by: 'stitches', stitches, direction, to: vertical.to },
  });
  if (height > 0 || (height === 0 && wasAbove && up === 0)) return put(height - up, 'above');
  if (height < 0 || down === 0 || vertical.to === 'front') return put(Math.abs(height) - down, 'below');
  return { ...rule, vertical: { by: 'level', to: vertical.to } };
}
