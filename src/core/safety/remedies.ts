import { t } from '../words/language';
import type { LineEdit } from '../notation/problem';

/** What can be done about a finding. */
export interface Remedy {
  words: string;
  /** what the tap does, in a maker's words; null where it is done by hand */
  tap: string | null;
  /** what it changes in the text; null where it is done by hand */
  edits: LineEdit[] | null;
  /** what was found stays and holds better: that answers a look, and never what stops a toy */
  reinforces: boolean;
}

/** What the plan itself can do about something that was found. */
export type Mend =
  | 'embroider'
  | 'stitch-spot'
  | 'back'
  | 'twice'
  | 'sew-down'
  | 'shorten'
  | 'leave-out'
  | 'decrease'
  | 'finer-hook'
  | 'sew-instead'
  | 'roll-instead';

/** The edits of each mend that is open; what is not among them can't be done by a tap. */
export type Mends = Readonly<Partial<Record<Mend, LineEdit[] | null>>>;

const taps: Readonly<Record<Mend, string>> = {
  embroider: t`Embroider instead`,
  'stitch-spot': t`Stitch a spot instead`,
  back: t`Put discs behind the washers`,
  twice: t`Sew twice round`,
  'sew-down': t`Sew it down all along`,
  shorten: t`Make it shorter`,
  'leave-out': t`Leave it off`,
  decrease: t`Write the rounds that close it`,
  'finer-hook': t`Take the finer hook`,
  'sew-instead': t`Sew instead`,
  'roll-instead': t`Take a roll of felt`,
};

const reinforcing: ReadonlySet<Mend> = new Set(['back', 'twice', 'sew-down']);

/** Something only her hands can do. */
export const byHand = (words: string): Remedy => ({ words, tap: null, edits: null, reinforces: false });

/** A remedy that the plan applies where the text lets it. */
export function mended(mend: Mend, mends: Mends, words: string): Remedy {
  const edits = mends[mend] ?? null;
  return { words, tap: edits ? taps[mend] : null, edits, reinforces: reinforcing.has(mend) };
}
