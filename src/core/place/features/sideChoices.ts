import type { EyePlacement } from '../eyes';
import type { PartForm } from '../partForm';
import { anchorOf, eyeAnchor } from './anchors';
import type { FeaturePlacement } from './featurePlacement';
import { isAtBack, type Sideways } from './featureRule';
import { holesAround } from './sidewaysHoles';

/** One way to say how far out a pair stands, or how wide something single is. */
export interface SideChoice {
  way: 'stitches' | 'outward' | 'inner' | 'middle' | 'outer';
  sideways: Sideways;
}

/** Which of the ways a rule is said in; null where it is another. */
export function saidBy(sideways: Sideways): SideChoice['way'] | null {
  if (sideways.by === 'inLine') return sideways.edge;
  if (sideways.by === 'outward') return sideways.from === 'front' ? null : 'outward';
  return sideways.by === 'apart' || sideways.by === 'front' ? 'stitches' : null;
}

/**
 * The ways to say how far to the side a feature reaches: in stitches, which leaves it where it is, so many stitches outside the eyes, which
 * comes as near to it as whole stitches do, or in line with an edge of the eyes.
 *
 * @param front azimuth of the front line
 */
export function sideChoices(
  form: PartForm,
  placed: FeaturePlacement,
  eyes: EyePlacement | null,
  features: readonly FeaturePlacement[],
  front: number,
): SideChoice[] {
  const { rule, apart, line, units } = placed;
  if (
    isAtBack(rule.sideways) ||
    rule.sideways.by === 'holes' ||
    placed.kind === 'eyes' ||
    (rule.sides === 'middle' && !rule.embroidered)
  )
    return [];
  const stitched = features.find((feature) => feature.kind === 'eyes');
  const anchor = eyes ? eyeAnchor(form, eyes) : stitched ? anchorOf(form, stitched) : null;
  const choices: SideChoice[] = [
    { way: 'stitches', sideways: apart === null ? { by: 'front' } : { by: 'apart', apart } },
  ];
  if (!anchor) return choices;
  if (apart !== null) {
    const holes = holesAround(units[0]?.of ?? 1, front, Math.max(0.001, form.profile.radius[line - 1] ?? 0));
    const edge =
      anchor.units.reduce((sum, { azimuth }) => sum + holes.between(azimuth, front), 0) / anchor.units.length;
    const half = Math.floor(Math.abs((units[0]?.to ?? 0) - (units[0]?.from ?? 0)) / 2);
    const stitches = Math.round(apart / 2 - edge - half);
    if (stitches >= 0) choices.push({ way: 'outward', sideways: { by: 'outward', stitches, from: 'eyes' } });
  }
  for (const edge of ['inner', 'middle', 'outer'] as const)
    choices.push({ way: edge, sideways: { by: 'inLine', edge, to: 'eyes' } });
  return choices;
}
