import { t } from '../../core/words/language';
import { View } from '@tamagui/core';
import { listLimits, type MakingList } from '../../core/supplies/makingList';
import type { ToyCost } from '../../core/toy/supplies/toBuy';
import { timeWords } from '../../core/words/time';
import { Card } from '../../ui/layout';
import { NumberStep } from '../../ui/NumberStep';
import { Press } from '../../ui/Press';
import { Answer, Body, Quiet, Title } from '../../ui/text';

const money = (amount: number): string =>
  amount.toLocaleString(undefined, { minimumFractionDigits: 2, maximumFractionDigits: 2 });

function costWords(materials: number | null, total: number | null): string {
  if (total !== null) return money(total);
  return materials === null ? t`No price is said yet` : t`${money(materials)} of materials`;
}

interface WhatItCostsProps {
  costs: readonly ToyCost[];
  rate: number | null;
  onRate: (rate: number | null) => void;
  /** what she asks for a toy, by its id */
  asking: MakingList['asking'];
  onAsking: (asking: MakingList['asking']) => void;
  /** to the labels and the table */
  onFair: () => void;
}

/** What each toy costs its maker: below that she gives something away. */
export function WhatItCosts({ costs, rate, onRate, asking, onAsking, onFair }: WhatItCostsProps) {
  return (
    <Card gap="$3">
      <Title render="h2" margin={0}>{t`What one costs you`}</Title>
      <NumberStep
        label={t`Your work is to bring`}
        unit={t`an hour`}
        value={rate ?? 0}
        step={1}
        least={0}
        most={listLimits.price}
        onChange={(next) => onRate(next > 0 ? next : null)}
      />
      {costs.map(({ id, name, materials, unpriced, minutes, total }) => (
        <View key={id} gap="$1" role="group" aria-label={t`Cost of ${name}`}>
          <Title render="h3" margin={0}>
            {name}
          </Title>
          <Answer>{costWords(materials, total)}</Answer>
          <Body>
            {t`${total !== null && materials !== null ? t`${money(materials)} of it materials. ` : ''}It takes ${timeWords(minutes)}, by usual figures.`}
          </Body>
          <NumberStep
            label={t`You ask for ${name}`}
            unit=""
            value={asking[id] ?? 0}
            step={0.5}
            least={0}
            most={listLimits.price}
            onChange={(price) => onAsking({ ...asking, [id]: price })}
          />
          {unpriced.length > 0 ? (
            <Body>{t`Without a price, and not in it: ${unpriced.join(', ')}.`}</Body>
          ) : null}
        </View>
      ))}
      <Press label={t`Labels and a table for the fair`} onPress={onFair} />
      <Quiet>{t`Fees, stalls, tests and tax come on top: a price you can live with covers them too.`}</Quiet>
    </Card>
  );
}
