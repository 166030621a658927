import { bridged } from './grown';
import { colourPhrasings } from './phrasing/colours';
import { labelPhrasings } from './phrasing/labels';
import { numberedPhrasings } from './phrasing/numbered';
import type { Phrasing } from './phrasing/phrasing';
import { roundPhrasings } from './phrasing/rounds';
import { rowPhrasings } from './phrasing/rows';
import { shorthandPhrasings } from './phrasing/shorthand';
import { stitchPhrasings } from './phrasing/stitches';
import type { Rewriting } from './rewriting';
import { workedIn } from './workedIn';

/** Every manner, in the order they are tried. */
export const phrasings: readonly Phrasing[] = [
  ...labelPhrasings,
  ...numberedPhrasings,
  ...shorthandPhrasings,
  ...rowPhrasings,
  ...roundPhrasings,
  ...stitchPhrasings,
  ...colourPhrasings,
];

/** Brings a line to words that the grammar reads. */
export function rephrase(rewriting: Rewriting): void {
  // One space does, and manners that allow any number would try each.
  rewriting.replace(/\s{2,}/g, () => ' ');
  bridged(rewriting);
  workedIn(rewriting);
  for (const { pattern, by } of phrasings) rewriting.replace(pattern, by);
}
