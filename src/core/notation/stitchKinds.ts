import type { StitchWord } from './ast';
import type { Terms } from './terms';

/** The heights of stitches, named once and for all in US words. Loops of one code can be compared in typed arrays. */
export const stitchKinds = ['sl', 'ch', 'sc', 'hdc', 'dc', 'tr', 'dtr'] as const;
export type StitchKind = (typeof stitchKinds)[number];

const fromUs: Record<StitchWord, StitchKind> = {
  plain: 'sc',
  sl: 'sl',
  ch: 'ch',
  sc: 'sc',
  hdc: 'hdc',
  dc: 'dc',
  tr: 'tr',
  dtr: 'dtr',
  htr: 'hdc',
  ttr: 'dtr',
};
const fromUk: Record<StitchWord, StitchKind> = {
  plain: 'sc',
  sl: 'sl',
  ch: 'ch',
  sc: 'sc',
  hdc: 'hdc',
  dc: 'sc',
  tr: 'dc',
  dtr: 'tr',
  htr: 'hdc',
  ttr: 'dtr',
};

/** The stitch a word names under US or UK terms. */
export function stitchKind(word: StitchWord, terms: Terms): StitchKind {
  return (terms === 'us' ? fromUs : fromUk)[word];
}

/** The word for a stitch under US or UK terms. */
export function stitchWord(kind: StitchKind, terms: Terms): string {
  if (kind === 'sl') return 'sl st';
  if (terms === 'us' || kind === 'ch') return kind;
  return { sc: 'dc', hdc: 'htr', dc: 'tr', tr: 'dtr', dtr: 'ttr' }[kind];
}
