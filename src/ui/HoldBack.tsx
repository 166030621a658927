import { createContext, useContext, type ReactNode } from 'react';

const HeldBack = createContext(false);

/** Holds back the pages below until something is so: they are in their places, so that the address names them, and show nothing yet. */
export const HoldBack = ({ until, children }: { until: boolean; children: ReactNode }) => (
  <HeldBack value={!until}>{children}</HeldBack>
);

/** What is shown of a page as long as it is not held back. */
export const UnlessHeldBack = ({ children }: { children: ReactNode }) =>
  useContext(HeldBack) ? null : children;
