import { Slot } from 'expo-router';
import type { ReactNode } from 'react';
import { HoldBack } from '../../ui/loadedPage';
import { Opening } from '../../ui/Opening';

/**
 * What stands in a toy's place until its pages can be shown. They are held back, not left out: the address would lose the page it names,
 * and who loads it anew in that moment would come back to another.
 *
 * @param children what is said meanwhile
 */
export const OpeningToy = ({ children = <Opening /> }: { children?: ReactNode }) => (
  <>
    <HoldBack>
      <Slot />
    </HoldBack>
    {children}
  </>
);
