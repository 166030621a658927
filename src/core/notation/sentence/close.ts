import type { IToken } from 'chevrotain';
import type { JoinSentence } from './join';
import type { NamedPart } from './names';
import type { Phrases } from './phrases';
import type { MomentSaid, Said } from './said';
import { is, S } from './tokens';

/** Whether a sentence closes a part; one that says it stays open does not. */
export const closes = <Other extends { kind: string }>(sentence: Other | CloseSentence): boolean =>
  sentence.kind === 'close' && (sentence as CloseSentence).how !== 'open';

/** `Close the hole`, `Weave the tail through the last 6 stitches and pull tight`, `Sew the opening shut` */
export interface CloseSentence extends Said, MomentSaid {
  kind: 'close';
  /** drawn together by its tail, its edges sewn to each other, or left as it is: `do not close` */
  how: 'gathered' | 'sewn' | 'open';
  /** stitches that are left in the opening, where they are told */
  stitches: number | null;
  /** the part that is named; null for the one it stands with */
  part: NamedPart | null;
  /** what it says of sewing besides: `Close the hole and sew it to the body` */
  asJoin?: JoinSentence;
}

export const closeVerbs = [S.StaysOpen, S.Close] as const;

/** Its edges sewn to each other; a bottom that is kept flat is none. */
const sewnShut = /\bsew|\bwhip|\b(?:close|shut|closed)\s+(?:it\s+)?flat\b|\bflat\s+(?:seam|closed|shut)\b/i;

/** Reads a sentence about closing. */
export function readClose(said: Said, { step, bare }: Phrases, tokens: readonly IToken[]): CloseSentence {
  const open = tokens.some((token) => is(token, S.StaysOpen));
  const { after } = step;
  return {
    ...said,
    kind: 'close',
    how: open ? 'open' : sewnShut.test(said.text) ? 'sewn' : 'gathered',
    stitches: bare,
    part: null,
    ...(after === undefined ? {} : { after }),
  };
}

/** The sentence that is read back to the same. */
export function writeClose({ how, stitches, part, after }: CloseSentence): string {
  const of = part ? ` of the ${part.name.toLowerCase()}` : '';
  const begin = after === undefined ? '' : `After round ${after}, `;
  const verb = { sewn: 'sew the opening shut', open: 'do not close the hole', gathered: 'close the hole' }[
    how
  ];
  const left = stitches === null ? '' : ` over the last ${stitches} stitches`;
  const words = `${begin}${verb}${of}${left}.`;
  return words.charAt(0).toUpperCase() + words.slice(1);
}
