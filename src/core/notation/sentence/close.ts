import type { IToken } from 'chevrotain';
import type { JoinSentence } from './join';
import type { NamedPart } from './names';
import type { Phrases } from './phrases';
import type { MomentSaid, Said } from './said';
import { is, S } from './tokens';

/** How the thread goes through the last loops: towards the middle, away from it so that the knot lies inside, or across the hole. */
export type ClosingSchool = 'outside-in' | 'inside-out' | 'star';

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
  /** which way the thread goes, where it is told; of one that is drawn together */
  school?: ClosingSchool;
  /** a slip stitch into the next stitch comes first; of one that is drawn together */
  slips?: true;
  /** the part that is named; null for the one it stands with */
  part: NamedPart | null;
  /** what it says of sewing besides: `Close the hole and sew it to the body` */
  asJoin?: JoinSentence;
}

export const closeVerbs = [S.StaysOpen, S.Close] as const;

/** Its edges sewn to each other; a bottom that is kept flat is none. */
const sewnShut = /\bsew|\bwhip|\b(?:close|shut|closed)\s+(?:it\s+)?flat\b|\bflat\s+(?:seam|closed|shut)\b/i;

const schools: readonly (readonly [ClosingSchool, RegExp])[] = [
  ['inside-out', /\binside[\s-]+(?:to\s+(?:the\s+)?)?out(?:side|wards?)?\b/i],
  ['outside-in', /\boutside[\s-]+(?:to\s+(?:the\s+)?)?in(?:side|wards?)?\b/i],
  ['star', /\b(?:as|like|into|with|in)\s+an?\s+star\b|\bstar[\s-](?:stitch|shape|fashion)/i],
];

/** Which way the thread goes, in its words. */
const schoolIn = (text: string): ClosingSchool | undefined =>
  schools.find(([, words]) => words.test(text))?.[0];

const slipStitch = /\bsl(?:ip)?[\s.-]*st(?:itch(?:es)?)?\b/i;
const noSlipStitch = /\b(?:without|no)\s+(?:an?\s+)?(?:last\s+)?sl(?:ip)?[\s.-]*st/i;
const slipsIn = (text: string): boolean => slipStitch.test(text) && !noSlipStitch.test(text);

/** Reads a sentence about closing. */
export function readClose(said: Said, { step, bare }: Phrases, tokens: readonly IToken[]): CloseSentence {
  const open = tokens.some((token) => is(token, S.StaysOpen));
  const { after } = step;
  const shut = sewnShut.test(said.text) ? 'sewn' : 'gathered';
  const how = open ? 'open' : shut;
  const school = how === 'gathered' ? schoolIn(said.text) : undefined;
  return {
    ...said,
    kind: 'close',
    how,
    stitches: bare,
    part: null,
    ...(school === undefined ? {} : { school }),
    ...(how === 'gathered' && slipsIn(said.text) ? { slips: true as const } : {}),
    ...(after === undefined ? {} : { after }),
  };
}

const schoolSaid: Readonly<Record<ClosingSchool, string>> = {
  'outside-in': ' from the outside in',
  'inside-out': ' from the inside out',
  star: ' as a star',
};

/** The sentence that is read back to the same. */
export function writeClose({ how, stitches, part, after, school, slips }: CloseSentence): string {
  const of = part ? ` of the ${part.name.toLowerCase()}` : '';
  const begin = after === undefined ? '' : `After round ${after}, `;
  const verb = { sewn: 'sew the opening shut', open: 'do not close the hole', gathered: 'close the hole' }[
    how
  ];
  const left = stitches === null ? '' : ` over the last ${stitches} stitches`;
  const way = school === undefined ? '' : schoolSaid[school];
  const slip = slips ? ' with a last slip stitch' : '';
  const words = `${begin}${verb}${of}${left}${way}${slip}.`;
  return words.charAt(0).toUpperCase() + words.slice(1);
}
