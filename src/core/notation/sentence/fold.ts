import type { IToken } from 'chevrotain';
import type { NamedPart } from './names';
import type { Said } from './said';
import { S } from './tokens';

/** `Fold the ear in half`, `Flatten the arm`, `Pinch the base of the ear` */
export interface FoldSentence extends Said {
  kind: 'fold';
  how: 'folded' | 'flattened' | 'pinched';
  /** the part that is named; null for the one it stands with */
  part: NamedPart | null;
}

export const foldVerbs = [S.Fold] as const;

/** Reads a sentence about folding. */
export function readFold(said: Said, tokens: readonly IToken[]): FoldSentence {
  const verb = tokens.find(({ image }) => /^(?:fold|flatten|pinch)/i.test(image))?.image ?? '';
  const how = /^pinch/i.test(verb) ? 'pinched' : /^flatten/i.test(verb) ? 'flattened' : 'folded';
  return { ...said, kind: 'fold', how, part: null };
}

const verbs: Record<FoldSentence['how'], string> = { folded: 'Fold', flattened: 'Flatten', pinched: 'Pinch' };

/** The sentence that is read back to the same. */
export function writeFold({ how, part }: FoldSentence): string {
  return `${verbs[how]} ${part ? `the ${part.name.toLowerCase()}` : 'it'}${how === 'folded' ? ' in half' : ''}.`;
}

const named = (name: string): NamedPart => ({ id: name.toLowerCase(), name });

/** What sentences about folding come to. */
export const foldExamples: readonly (readonly [string, Partial<FoldSentence>])[] = [
  ['Fold the ear in half.', { how: 'folded', part: named('Ears') }],
  ['Flatten the arm.', { how: 'flattened', part: named('Arm') }],
  ['Pinch the base of the ear.', { how: 'pinched', part: named('Ears') }],
];
