import { t } from '../core/words/language';
import { gramsInOunce, measures, metresInYard, mmInInch } from '../core/words/measures';
import { NumberStep } from './NumberStep';

interface MeasureStepProps {
  label: string;
  /** in what the value is; mm, m, cm2 and g are shown as she measures, anything else as it is */
  unit: string;
  value: number;
  step: number;
  least: number;
  most: number;
  onChange: (value: number) => void;
}

interface Shown {
  unit: string;
  /** so much of it is one of hers */
  each: number;
  step: number;
}

/** In what she measures instead; null where that is what the value is in. */
function shownIn(unit: string): Shown | null {
  const { length, weight } = measures();
  if (unit === 'mm' && length === 'inches') return { unit: t`inches`, each: mmInInch, step: 0.125 };
  if (unit === 'cm2') {
    if (length === 'mm') return { unit: t`cm²`, each: 1, step: 50 };
    return { unit: t`square inches`, each: (mmInInch / 10) ** 2, step: 8 };
  }
  if (unit === 'm' && length === 'inches') return { unit: t`yards`, each: metresInYard, step: 1 };
  if (unit === 'g' && weight === 'ounces') return { unit: t`ounces`, each: gramsInOunce, step: 0.25 };
  return null;
}

/** A length or weight to set by thumb in steps, or to write, in the measures she chose. */
export function MeasureStep({ label, unit, value, step, least, most, onChange }: MeasureStepProps) {
  const shown = shownIn(unit);
  if (!shown) return <NumberStep {...{ label, unit, value, step, least, most, onChange }} />;
  const { each } = shown;
  // Written to hundredths, so that the ends stay within what they are ends of.
  const hundredths = (round: (of: number) => number, of: number) => round((of / each) * 100) / 100;
  return (
    <NumberStep
      label={label}
      unit={shown.unit}
      value={value / each}
      step={shown.step}
      least={hundredths(Math.ceil, least)}
      most={hundredths(Math.floor, most)}
      onChange={(written) => onChange(written * each)}
    />
  );
}
