import type { IToken } from 'chevrotain';
import type { NamedPart } from './names';
import type { Said } from './said';
import type { JoinSentence } from './join';
import { S } from './tokens';

/** `Fold the ear in half`, `Flatten the arm`, `Pinch the base of the ear` */
export interface FoldSentence extends Said {
  kind: 'fold';
  how: 'folded' | 'flattened' | 'pinched';
  /** its two layers are sewn or worked together along the edge */
  shut: boolean;
  /** the part that is named; null for the one it stands with */
  part: NamedPart | null;
  /** what it says of sewing besides: `Flatten it, sew it shut and sew it to the body` */
  asJoin?: JoinSentence;
}

export const foldVerbs = [S.Fold] as const;

const flat =
  /\b(?:fold|flatten|pinch|squash)(?:e?d|ing)?\b|\b(?:press|lay|sew|stitch|whip\s*stitch|close|crochet)\w*\s+(?:(?:it|them|the\s+[a-z]+)\s+)?(?:(?:closed|shut|together)\s+)?flat\b/i;
const together = /\bboth\s+(?:layers|sides|thicknesses|edges)\b|\bclos(?:e|ed|ing)\b|\bshut\b|\btogether\b/i;
const bothToClose =
  /\b(?:sc|crochet|whip\s*stitch|sew|stitch)\w*\b[^.]*\bboth\s+(?:layers|sides|thicknesses|edges)\b[^.]*\b(?:clos\w*|shut)\b/i;
const ontoAnother =
  /\b(?:onto|into|against|to)\s+(?:(?:both|each|either)\s+sides?\s+of\s+)?(?:the|its|his|her)\b/i;

/** `Fold it flat and sc 5 through both layers to close`, `Pinch the bottom and sew it closed`: the end is shut along a line. */
export const shutsFlat = (text: string): boolean =>
  bothToClose.test(text) || (flat.test(text) && together.test(text) && !ontoAnother.test(text));

/** Reads a sentence about folding. */
export function readFold(said: Said, tokens: readonly IToken[]): FoldSentence {
  const verb =
    tokens.find(({ image }) => /^(?:fold|flatten|pinch|press|lay|squash)/i.test(image))?.image ?? '';
  const how = /^pinch/i.test(verb)
    ? 'pinched'
    : /^(?:flatten|press|lay|squash)/i.test(verb)
      ? 'flattened'
      : 'folded';
  return { ...said, kind: 'fold', how, shut: shutsFlat(said.text), part: null };
}

const verbs: Record<FoldSentence['how'], string> = { folded: 'Fold', flattened: 'Flatten', pinched: 'Pinch' };

/** The sentence that is read back to the same. */
export function writeFold({ how, shut, part }: FoldSentence): string {
  return `${verbs[how]} ${part ? `the ${part.name.toLowerCase()}` : 'it'}${how === 'folded' ? ' in half' : ''}${shut ? ' and sew it closed through both layers' : ''}.`;
}
