import { Slot, useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { ToyContext, type OpenedToy } from '../../data/toyContext';
import { HoldBack } from '../../ui/HoldBack';
import { OpenToy } from '../pages';

/**
 * The pages of the toy of the address. Until it is open they are held back and not left out: the address would lose the page it names, and
 * who loads it anew in that moment would come back to another.
 */
export function ToyPages() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const [open, setOpen] = useState<OpenedToy | null>(null);
  const isOpen = open?.editor.id === id;
  return (
    <>
      <ToyContext open={open}>
        <HoldBack until={isOpen}>
          <Slot />
        </HoldBack>
      </ToyContext>
      <OpenToy id={id} onOpen={setOpen} />
    </>
  );
}
