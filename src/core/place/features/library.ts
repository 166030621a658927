import type { FeatureKind, FeatureStyle } from '../../notation/step';

/** What is known of a kind of feature before a maker says anything. */
export interface FeatureEntry {
  kind: FeatureKind;
  /** as it begins a sentence */
  name: string;
  /** one on each side of the face */
  pair: boolean;
  styles: readonly FeatureStyle[];
  /** usual width in stitches and height in rounds */
  wide: number;
  high: number;
  /** usual width of hardware, felt or a crocheted piece in mm; null where it is stitched */
  sizeMm: number | null;
  /** what stays inside the toy */
  inside: string;
  /** where the hand has to reach from */
  from: 'inside' | 'outside';
  /** what it may do to a child, for the caution beside it */
  hurts: string | null;
  /** where it goes when nothing is said: rounds above or below the eyes, as one looks at the face */
  usual: { rounds: number; direction: 'above' | 'below' } | null;
}

/** Colour of the thread or felt it is usually made of, for drawing. */
export function featureColour(kind: FeatureKind): string {
  return kind === 'cheeks' ? '#E79BB0' : kind === 'patch' || kind === 'spots' ? '#EFE3C6' : kind === 'button' ? '#B4552F' : '#161616';
}

const caution = {
  small: 'It can come off and be swallowed: not for children under three. Check local rules.',
  thread: 'Pull every thread: no loop may stand up that a finger or a tooth can catch.',
  cord: 'Rings, cords and chains are not for small children. Check local rules.',
} as const;

/** The features makers put on a toy. Sizes and places are where one begins, to be moved. */
export const featureLibrary: Readonly<Record<FeatureKind, FeatureEntry>> = {
  eyes: { kind: 'eyes', name: 'Eyes', pair: true, styles: ['satin', 'sleeping', 'oval', 'ring'], wide: 2, high: 2, sizeMm: 9, inside: 'a post and a washer each', from: 'inside', hurts: caution.small, usual: null },
  nose: { kind: 'nose', name: 'Nose', pair: false, styles: ['triangle', 'satin', 'oval'], wide: 3, high: 2, sizeMm: null, inside: 'a knot; a post and a washer for a pressed one', from: 'inside', hurts: caution.thread, usual: { rounds: 1, direction: 'below' } },
  mouth: { kind: 'mouth', name: 'Mouth', pair: false, styles: ['smile', 'row', 'lips'], wide: 4, high: 1, sizeMm: null, inside: 'a knot', from: 'outside', hurts: caution.thread, usual: { rounds: 4, direction: 'below' } },
  brows: { kind: 'brows', name: 'Brows', pair: true, styles: ['satin'], wide: 2, high: 1, sizeMm: null, inside: 'a knot', from: 'outside', hurts: caution.thread, usual: { rounds: 3, direction: 'above' } },
  lashes: { kind: 'lashes', name: 'Lashes', pair: true, styles: ['satin'], wide: 1, high: 1, sizeMm: null, inside: 'a knot', from: 'outside', hurts: caution.thread, usual: { rounds: 0, direction: 'above' } },
  cheeks: { kind: 'cheeks', name: 'Cheeks', pair: true, styles: ['satin', 'felt', 'crochet'], wide: 3, high: 1, sizeMm: null, inside: 'a knot', from: 'outside', hurts: caution.thread, usual: { rounds: 2, direction: 'below' } },
  whiskers: { kind: 'whiskers', name: 'Whiskers', pair: true, styles: ['satin'], wide: 3, high: 2, sizeMm: null, inside: 'a knot', from: 'outside', hurts: caution.thread, usual: { rounds: 2, direction: 'below' } },
  spots: { kind: 'spots', name: 'Spots', pair: true, styles: ['satin', 'felt', 'crochet'], wide: 2, high: 2, sizeMm: null, inside: 'a knot', from: 'outside', hurts: caution.thread, usual: { rounds: 4, direction: 'above' } },
  patch: { kind: 'patch', name: 'Patch', pair: false, styles: ['felt', 'crochet'], wide: 4, high: 4, sizeMm: 20, inside: 'a knot', from: 'outside', hurts: caution.thread, usual: { rounds: 3, direction: 'below' } },
  button: { kind: 'button', name: 'Button', pair: false, styles: [], wide: 2, high: 2, sizeMm: 10, inside: 'a knot', from: 'outside', hurts: caution.small, usual: { rounds: 5, direction: 'below' } },
  'key ring': { kind: 'key ring', name: 'Key ring', pair: false, styles: [], wide: 1, high: 1, sizeMm: null, inside: 'a knot', from: 'outside', hurts: caution.cord, usual: null },
  hair: { kind: 'hair', name: 'Hair line', pair: false, styles: [], wide: 1, high: 5, sizeMm: null, inside: 'the knots of the strands', from: 'outside', hurts: 'Strands can be pulled out and swallowed: knot each one twice. Not for children under three.', usual: { rounds: 5, direction: 'above' } },
  sculpting: { kind: 'sculpting', name: 'Sculpting', pair: true, styles: [], wide: 1, high: 2, sizeMm: null, inside: 'a thread from eye to eye and a knot', from: 'outside', hurts: caution.thread, usual: { rounds: 0, direction: 'below' } },
};
