import { useState } from 'react';
import { View } from '@tamagui/core';
import { eyesForProportion, proportionOf, type Proportion } from '../../core/place/proportion';
import type { PartAnalysis } from '../../core/toy/analyse';
import { NumberStep } from '../../ui/NumberStep';
import { Quiet } from '../../ui/text';
import { usePartEdits } from './usePartEdits';

const percent = (share: number) => Math.round(share * 100);

/** The eyes by proportion: how far down the head and how far apart, snapped to whole rounds and stitches. */
export function Proportions({ part }: { part: PartAnalysis }) {
  const edits = usePartEdits(part);
  const [wish, setWish] = useState<Proportion | null>(null);
  const { eyes, form } = part;
  if (!eyes) return null;
  const real = proportionOf(form, eyes);
  const wanted = wish ?? real;
  const ask = (next: Partial<Proportion>) => {
    const wishes = { ...wanted, ...next };
    setWish(wishes);
    const { rule } = eyesForProportion(form, wishes, eyes.rule);
    edits.change({ gap: rule.gap, apart: rule.apart });
  };
  const lost = (key: keyof Proportion) => (percent(wanted[key]) === percent(real[key]) ? '' : `${percent(wanted[key])} wanted; whole ${key === 'down' ? 'rounds' : 'stitches'} give ${percent(real[key])}.`);
  return (
    <View gap="$2">
      <NumberStep label="Eyes down from the top of the head" unit="%" value={percent(wanted.down)} step={3} least={5} most={95} onChange={(value) => ask({ down: value / 100 })} />
      {lost('down') ? <Quiet>{lost('down')}</Quiet> : null}
      <NumberStep label="Eyes apart, of the head’s width" unit="%" value={percent(wanted.apart)} step={3} least={5} most={98} onChange={(value) => ask({ apart: value / 100 })} />
      {lost('apart') ? <Quiet>{lost('apart')}</Quiet> : null}
    </View>
  );
}
