import { useState } from 'react';
import { View } from '@tamagui/core';
import type { RemovedToy, ShelfToy } from '../../data/shelf';
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
  const found = isLong ? calledSo(toys, wanted) : toys;
  return (
    <>
      {isLong ? (
        <Field label="Find a toy" value={wanted} placeholder="a part of its name" onChange={setWanted} />
      ) : null}
      {toys.length > 0 && found.length === 0 ? (
        <Quiet role="status">No toy on the shelf is called so.</Quiet>
      ) : null}
      <View render="ul" margin={0} padding={0} gap="$3" style={cardGrid} aria-label="Toys">
        {found.map((toy) => {
          const calls = { onOpen: () => onOpen(toy.id), onRemoved, onTrouble };
          return (
            <Guard
              key={toy.id}
              what={toy.kind === 'kept' ? `The card of ${toy.card.name}` : 'A card'}
              actions={<Press label="Open it" onPress={calls.onOpen} />}
              resetKeys={[toy]}
            >
              {toy.kind === 'kept' ? <ToyCard toy={toy} {...calls} /> : <DamagedCard toy={toy} {...calls} />}
            </Guard>
          );
        })}
      </View>
    </>
  );
}
