import { t } from '../core/words/language';
import { NumberStep } from './NumberStep';

/** Most toys that are planned at once. */
export const mostToys = 200;

/** How many toys are made. */
export function HowMany({ toys, onChange }: { toys: number; onChange: (toys: number) => void }) {
  return (
    <NumberStep
      label={t`How many toys`}
      unit={toys === 1 ? t`toy` : t`toys`}
      value={toys}
      step={1}
      least={1}
      most={mostToys}
      onChange={(value) => onChange(Math.round(value))}
    />
  );
}
