import { isColourName } from '../../supplies/yarnColour';
import { t } from '../../words/language';
import { areaWords } from '../../words/measures';
import { plural } from '../../words/counted';
import type { PartAnalysis, ToyAnalysis } from '../analysis';
import { cutOfFelt, heightOf, widthOf, type FeltPiece } from '../templates';

/** Felt of one colour, and how much of it the pieces are cut from. */
export interface FeltNeed {
  /** null where the text names none, or more than one */
  colour: string | null;
  pieces: number;
  areaMm2: number;
}

/** So much is left around a piece to cut it out: our own figure. */
const aroundMm = 2;

const before = /\b([a-z]+)[\s-]+felt\b/gi;
const behind = /\bfelt,?\s+(?:in|of|that is)\s+([a-z]+)\b/gi;

/** The colour of the felt a sentence speaks of; null where it names none, or several. */
export function feltColour(words: string): string | null {
  const named = [before, behind].flatMap((pattern) =>
    [...words.matchAll(pattern)].map(([, word = '']) => word.toLowerCase()).filter(isColourName),
  );
  const [colour, ...others] = new Set(named);
  return others.length === 0 ? (colour ?? null) : null;
}

/** The colours of the sentences that ask for a piece: those of its feature, or what lies behind the washers. */
function colourOf({ feature, use }: FeltPiece, { source }: PartAnalysis): string | null {
  const sentences = source.steps.flatMap((step) => {
    const isAsked =
      use === 'disc' ? step.kind === 'reinforce' : step.kind === 'feature' && step.feature === feature;
    return isAsked ? [step.text] : [];
  });
  return feltColour(sentences.join('. '));
}

/**
 * The felt that the pieces of a toy are cut from, by colour: each piece as a rectangle with 2 mm all round. Linings and bellies, which
 * nobody asked for, are not in it.
 *
 * @param copies so many toys
 */
export function feltOf(toy: ToyAnalysis, copies = 1): FeltNeed[] {
  const needs = new Map<string | null, FeltNeed>();
  for (const part of toy.parts)
    for (const piece of cutOfFelt(part)) {
      const colour = colourOf(piece, part);
      const pieces = piece.cut * copies;
      const each = (widthOf(piece) + 2 * aroundMm) * (heightOf(piece) + 2 * aroundMm);
      const known = needs.get(colour) ?? { colour, pieces: 0, areaMm2: 0 };
      needs.set(colour, {
        colour,
        pieces: known.pieces + pieces,
        areaMm2: known.areaMm2 + pieces * each,
      });
    }
  return [...needs.values()];
}

/** `Felt, pink` */
export const feltName = ({ colour }: Pick<FeltNeed, 'colour'>): string =>
  colour === null ? t`Felt` : t`Felt, ${colour}`;

/** `Felt, pink: 3 cm² for 2 pieces` */
export const feltLine = (felt: FeltNeed): string =>
  t`${feltName(felt)}: ${areaWords(felt.areaMm2)} for ${plural(felt.pieces, 'piece')}`;
