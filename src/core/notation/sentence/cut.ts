import type { NamedPart } from './names';
import type { Phrases } from './phrases';
import type { Said } from './said';
import { S } from './tokens';

/** `Fasten off, leaving a long tail for sewing`, `Cut the yarn with a 20 cm tail` */
export interface CutSentence extends Said {
  kind: 'cut';
  /** how long the tail is to be; null where it is not measured */
  tailMm: number | null;
  /** the part that is named; null for the one it stands with */
  part: NamedPart | null;
}

export const cutVerbs = [S.Cut] as const;

/** Reads a sentence about cutting. */
export function readCut(said: Said, { step }: Phrases): CutSentence {
  return { ...said, kind: 'cut', tailMm: step.tailMm ?? step.sizeMm ?? null, part: null };
}

/** The sentence that is read back to the same. */
export function writeCut({ tailMm, part }: CutSentence): string {
  const of = part ? ` of the ${part.name.toLowerCase()}` : '';
  const tail = tailMm === null ? 'a long tail' : `a ${tailMm / 10} cm tail`;
  return `Cut the yarn${of}, leaving ${tail}.`;
}
