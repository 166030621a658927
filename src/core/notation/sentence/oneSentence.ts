import type { FeatureSentence } from './feature';

const saysWhere = (step: FeatureSentence) =>
  (step.gap ??
    step.range ??
    step.relation ??
    step.stitchesFrom ??
    step.level ??
    step.round ??
    step.stitches ??
    (step.atStart || undefined)) !== undefined;
const open = [
  'sizeMm',
  'apart',
  'posts',
  'showing',
  'wide',
  'high',
  'seat',
  'style',
  'ring',
  'outward',
  'inLine',
  'back',
  'sides',
] as const satisfies (keyof FeatureSentence)[];

/**
 * Of several sentences about one thing the last that says where it goes; what it leaves open the others fill, the last of them first.
 * `Insert the eyes between R8 and R9. The eyes are 9 mm, 6 apart.`
 */
export function oneSentence<S extends FeatureSentence>(steps: readonly S[]): S | undefined {
  const main = steps.findLast(saysWhere) ?? steps.at(-1);
  if (!main || steps.length === 1) return main;
  const others = steps.filter((step) => step !== main).reverse();
  const whole: S = { ...main };
  const spaced = main.apart !== undefined || main.showing !== undefined || main.stitches !== undefined;
  for (const key of open) {
    if (spaced && (key === 'apart' || key === 'posts' || key === 'showing')) continue;
    if (whole[key] !== undefined) continue;
    const said = others.find((step) => step[key] !== undefined)?.[key];
    if (said !== undefined) Object.assign(whole, { [key]: said });
  }
  return whole;
}
