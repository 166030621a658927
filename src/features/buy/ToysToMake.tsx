import { t } from '../../core/words/language';
import { useState } from 'react';
import { View } from '@tamagui/core';
import { listLimits, type MakingList } from '../../core/supplies/makingList';
import { calledSo } from '../shelf/ToyList';
import type { ShelfToy } from '../../data/shelf';
import { Field } from '../../ui/Field';
import { Card } from '../../ui/layout';
import { NumberStep } from '../../ui/NumberStep';
import { Press } from '../../ui/Press';
import { Quiet, Title } from '../../ui/text';

/** From so many toys on a name is found faster than in a row of buttons. */
const manyToys = 12;

type KeptToy = Extract<ShelfToy, { kind: 'kept' }>;

interface ToysToMakeProps {
  shelf: readonly KeptToy[];
  toys: MakingList['toys'];
  onChange: (toys: MakingList['toys']) => void;
  /** whether it is known what it takes */
  canBeMade: (id: string) => boolean;
  /** one of it is made: what it took is out of the box */
  onMade: (id: string) => void;
}

/** Which toys are made, and how many of each. */
export function ToysToMake({ shelf, toys, onChange, canBeMade, onMade }: ToysToMakeProps) {
  const chosen = toys.flatMap(({ id, count }) => {
    const toy = shelf.find((one) => one.id === id);
    return toy ? [{ id, count, name: toy.card.name }] : [];
  });
  const others = shelf.filter(({ id }) => !toys.some((one) => one.id === id));
  const put = (id: string, count: number) =>
    onChange(
      count === 0
        ? toys.filter((one) => one.id !== id)
        : toys.map((one) => (one.id === id ? { id, count } : one)),
    );
  return (
    <Card gap="$3">
      <Title render="h2" margin={0}>{t`Which toys, and how many?`}</Title>
      {chosen.map(({ id, name, count }) => (
        <View key={id} flexDirection="row" flexWrap="wrap" gap="$2" alignItems="flex-end">
          <NumberStep
            label={name}
            unit={count === 1 ? t`toy` : t`toys`}
            value={count}
            step={1}
            least={0}
            most={listLimits.count}
            onChange={(next) => put(id, Math.round(next))}
          />
          <Press
            label={t`One is made`}
            name={t`One ${name} is made`}
            disabled={!canBeMade(id)}
            onPress={() => onMade(id)}
          />
        </View>
      ))}
      {others.length > 0 ? (
        <AddToy others={others} onAdd={(id) => onChange([...toys, { id, count: 1 }])} />
      ) : null}
      {shelf.length === 0 ? <Quiet>{t`No toy is on the shelf yet.`}</Quiet> : null}
    </Card>
  );
}

function AddToy({ others, onAdd }: { others: readonly KeptToy[]; onAdd: (id: string) => void }) {
  const [wanted, setWanted] = useState('');
  const isLong = others.length >= manyToys;
  const found = (isLong ? calledSo(others, wanted).slice(0, manyToys) : others) as readonly KeptToy[];
  return (
    <View gap="$2" role="group" aria-label={t`Add a toy`}>
      {isLong ? (
        <Field
          label={t`Find a toy`}
          value={wanted}
          placeholder={t`a part of its name`}
          onChange={setWanted}
        />
      ) : (
        <Quiet>{t`Add from the shelf`}</Quiet>
      )}
      <View flexDirection="row" flexWrap="wrap" gap="$2">
        {found.map(({ id, card }) => (
          <Press key={id} label={card.name} name={t`Add ${card.name}`} onPress={() => onAdd(id)} />
        ))}
      </View>
    </View>
  );
}
