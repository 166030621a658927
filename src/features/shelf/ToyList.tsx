import { t } from '../../core/words/language';
import { memo, startTransition, useEffect, useMemo, useState } from 'react';
import { View } from '@tamagui/core';
import type { RemovedToy, ShelfToy } from '../../data/shelf';
import { OneOf } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { Guard } from '../../ui/Guard';
import { cardGrid } from '../../ui/layout';
import { Press } from '../../ui/Press';
import { Quiet } from '../../ui/text';
import { DamagedCard, ToyCard } from './ToyCard';

/** From so many toys on a name is found faster than a card. */
const manyToys = 8;

const nameOf = (toy: ShelfToy): string => (toy.kind === 'kept' ? toy.card.name : (toy.name ?? ''));

/** Toys whose name has the words in it, whatever the case. */
export function calledSo(toys: readonly ShelfToy[], wanted: string): readonly ShelfToy[] {
  const words = wanted.toLowerCase().split(/\s+/).filter(Boolean);
  return toys.filter((toy) => words.every((word) => nameOf(toy).toLowerCase().includes(word)));
}

/** In which order toys stand. */
type Order = 'newest' | 'name' | 'oldest';
const orders = (): readonly (readonly [Order, string])[] => [
  ['newest', t`Newest first`],
  ['oldest', t`Oldest first`],
  ['name', t`By name`],
];

/** The toys as they come, the newest first, in another order. */
export function inOrder(toys: readonly ShelfToy[], order: Order): readonly ShelfToy[] {
  if (order === 'newest') return toys;
  if (order === 'oldest') return [...toys].reverse();
  return [...toys].sort((a, b) => nameOf(a).localeCompare(nameOf(b), undefined, { numeric: true }));
}

/** So many cards are there at once, and so many more soon after: a full shelf is tapped as early as a small one. */
const cardsAtOnce = 16;
const soonMs = 150;

/** How many of a list are shown by now. */
function useGrowing(length: number): number {
  const [shown, setShown] = useState(cardsAtOnce);
  useEffect(() => {
    if (shown >= length) return undefined;
    const soon = setTimeout(() => startTransition(() => setShown(shown + cardsAtOnce)), soonMs);
    return () => clearTimeout(soon);
  }, [shown, length]);
  return shown;
}

interface CardOfProps extends Pick<ToyListProps, 'onOpen' | 'onRemoved' | 'onTrouble'> {
  toy: ShelfToy;
}

/** The card of a toy. It is drawn again when its toy changes, not when others come beside it. */
const CardOf = memo(function CardOf({ toy, onOpen, onRemoved, onTrouble }: CardOfProps) {
  const calls = { onOpen: () => onOpen(toy.id), onRemoved, onTrouble };
  return (
    <Guard
      what={toy.kind === 'kept' ? t`The card of ${toy.card.name}` : t`A card`}
      actions={<Press label={t`Open it`} onPress={calls.onOpen} />}
      resetKeys={[toy]}
    >
      {toy.kind === 'kept' ? <ToyCard toy={toy} {...calls} /> : <DamagedCard toy={toy} {...calls} />}
    </Guard>
  );
});

interface ToyListProps {
  toys: readonly ShelfToy[];
  onOpen: (id: string) => void;
  onRemoved: (taken: RemovedToy, name: string) => void;
  onTrouble: (said: string | null) => void;
}

/** Every toy of the shelf as a card, or those that are looked for. */
export function ToyList({ toys, onOpen, onRemoved, onTrouble }: ToyListProps) {
  const [wanted, setWanted] = useState('');
  const isLong = toys.length >= manyToys;
  const [order, setOrder] = useState<Order>('newest');
  const found = useMemo(
    () => (isLong ? inOrder(calledSo(toys, wanted), order) : toys),
    [isLong, toys, wanted, order],
  );
  const shown = useGrowing(found.length);
  return (
    <>
      {isLong ? (
        <View gap="$2">
          <Field
            label={t`Find a toy`}
            value={wanted}
            placeholder={t`a part of its name`}
            onChange={setWanted}
          />
          <OneOf label={t`Order`} unlabelled options={orders()} chosen={order} onChoose={setOrder} />
        </View>
      ) : null}
      {toys.length > 0 && found.length === 0 ? (
        <Quiet role="status">{t`No toy on the shelf is called so.`}</Quiet>
      ) : null}
      <View render="ul" margin={0} padding={0} gap="$3" style={cardGrid} aria-label={t`Toys`}>
        {found.slice(0, shown).map((toy) => (
          <CardOf key={toy.id} toy={toy} onOpen={onOpen} onRemoved={onRemoved} onTrouble={onTrouble} />
        ))}
      </View>
    </>
  );
}
