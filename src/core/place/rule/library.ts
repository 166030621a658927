import type { FeatureKind, FeatureStyle } from '../../notation/sentence/said';
import { soldButtonsMm, soldEyesMm, soldNosesMm } from './hardware';
import { hasPost, type FeatureRule } from './rule';

/** What is known of a kind of feature before a maker says anything. */
export interface FeatureEntry {
  kind: FeatureKind;
  /** as it begins a sentence */
  name: string;
  /** one on each side of the face, where nothing else is said */
  pair: boolean;
  /** a part may carry several, each with a sentence of its own; of the others the last sentence holds */
  many: boolean;
  /** worked with the needle where nothing else is said; else pressed in, sewn or tied on */
  stitched: boolean;
  styles: readonly FeatureStyle[];
  /** usual width in stitches and height in rounds */
  wide: number;
  high: number;
  /** usual width of hardware, felt or a crocheted piece in mm; null for what takes a stitch or two and no more */
  usualMm: number | null;
  /** sizes it is commonly bought or cut in, in mm across; empty for what is only stitched or tied on */
  sizesMm: readonly number[];
  /** what stays inside the toy */
  inside: string;
  /** where the hand has to reach from */
  from: 'inside' | 'outside';
  /** where it goes when nothing is said: rounds above or below the eyes, as one looks at the face */
  usual: { rounds: number; direction: 'above' | 'below' } | null;
}

/** Colour of the thread or felt it is usually made of, for drawing. */
export function featureColour(kind: FeatureKind): string {
  return colours[kind] ?? '#161616';
}

const colours: Partial<Record<FeatureKind, string>> = {
  cheeks: '#E79BB0',
  bow: '#C3423F',
  patch: '#EFE3C6',
  spots: '#EFE3C6',
  button: '#B4552F',
};

/** A black eye that is pressed in: its shine, and the rim that shows it on dark yarn. */
export const pressedEye = { black: '#141414', glint: '#FFFFFF', edge: '#F7F4EA' } as const;

/** What is cut of felt or crocheted has any size; these are usual. */
const cutMm = [4, 6, 8, 10, 12, 15, 20, 25, 30, 40, 50];

/** The features makers put on a toy. Sizes and places are where one begins, to be moved. */
export const featureLibrary: Readonly<Record<FeatureKind, FeatureEntry>> = {
  eyes: {
    kind: 'eyes',
    name: 'Eyes',
    pair: true,
    many: false,
    stitched: false,
    styles: ['satin', 'sleeping'],
    wide: 2,
    high: 2,
    usualMm: 9,
    sizesMm: soldEyesMm,
    inside: 'a post and a washer each',
    from: 'inside',
    usual: null,
  },
  nose: {
    kind: 'nose',
    name: 'Nose',
    pair: false,
    many: false,
    stitched: true,
    styles: ['triangle', 'satin', 'oval'],
    wide: 3,
    high: 2,
    usualMm: 10,
    sizesMm: soldNosesMm,
    inside: 'a knot',
    from: 'outside',
    usual: { rounds: 1, direction: 'below' },
  },
  mouth: {
    kind: 'mouth',
    name: 'Mouth',
    pair: false,
    many: false,
    stitched: true,
    styles: ['smile', 'line', 'row', 'lips'],
    wide: 4,
    high: 1,
    usualMm: 15,
    sizesMm: [],
    inside: 'a knot',
    from: 'outside',
    usual: { rounds: 4, direction: 'below' },
  },
  brows: {
    kind: 'brows',
    name: 'Brows',
    pair: true,
    many: false,
    stitched: true,
    styles: ['satin'],
    wide: 2,
    high: 1,
    usualMm: 8,
    sizesMm: [],
    inside: 'a knot',
    from: 'outside',
    usual: { rounds: 3, direction: 'above' },
  },
  lashes: {
    kind: 'lashes',
    name: 'Lashes',
    pair: true,
    many: false,
    stitched: true,
    styles: ['satin'],
    wide: 1,
    high: 1,
    usualMm: 5,
    sizesMm: [],
    inside: 'a knot',
    from: 'outside',
    usual: { rounds: 0, direction: 'above' },
  },
  cheeks: {
    kind: 'cheeks',
    name: 'Cheeks',
    pair: true,
    many: false,
    stitched: true,
    styles: ['satin', 'felt', 'crochet'],
    wide: 3,
    high: 1,
    usualMm: 8,
    sizesMm: cutMm,
    inside: 'a knot',
    from: 'outside',
    usual: { rounds: 2, direction: 'below' },
  },
  whiskers: {
    kind: 'whiskers',
    name: 'Whiskers',
    pair: true,
    many: false,
    stitched: true,
    styles: ['satin'],
    wide: 3,
    high: 2,
    usualMm: 20,
    sizesMm: [],
    inside: 'a knot',
    from: 'outside',
    usual: { rounds: 2, direction: 'below' },
  },
  spots: {
    kind: 'spots',
    name: 'Spots',
    pair: true,
    many: true,
    stitched: true,
    styles: ['satin', 'felt', 'crochet'],
    wide: 2,
    high: 2,
    usualMm: 8,
    sizesMm: cutMm,
    inside: 'a knot',
    from: 'outside',
    usual: { rounds: 4, direction: 'above' },
  },
  patch: {
    kind: 'patch',
    name: 'Patch',
    pair: false,
    many: true,
    stitched: false,
    styles: ['felt', 'crochet'],
    wide: 4,
    high: 4,
    usualMm: 20,
    sizesMm: cutMm,
    inside: 'a knot',
    from: 'outside',
    usual: { rounds: 3, direction: 'below' },
  },
  button: {
    kind: 'button',
    name: 'Button',
    pair: false,
    many: true,
    stitched: false,
    styles: [],
    wide: 2,
    high: 2,
    usualMm: 10,
    sizesMm: soldButtonsMm,
    inside: 'a knot',
    from: 'outside',
    usual: { rounds: 5, direction: 'below' },
  },
  bow: {
    kind: 'bow',
    name: 'Bow',
    pair: false,
    many: true,
    stitched: false,
    styles: ['felt', 'crochet'],
    wide: 4,
    high: 3,
    usualMm: 25,
    sizesMm: cutMm,
    inside: 'a knot',
    from: 'outside',
    usual: { rounds: 6, direction: 'below' },
  },
  'key ring': {
    kind: 'key ring',
    name: 'Key ring',
    pair: false,
    many: true,
    stitched: false,
    styles: [],
    wide: 1,
    high: 1,
    usualMm: null,
    sizesMm: [],
    inside: 'a knot',
    from: 'outside',
    usual: null,
  },
  hair: {
    kind: 'hair',
    name: 'Hair line',
    pair: false,
    many: true,
    stitched: true,
    styles: [],
    wide: 1,
    high: 5,
    usualMm: null,
    sizesMm: [],
    inside: 'the knots of the strands',
    from: 'outside',
    usual: { rounds: 5, direction: 'above' },
  },
  sculpting: {
    kind: 'sculpting',
    name: 'Sculpting',
    pair: true,
    many: false,
    stitched: true,
    styles: [],
    wide: 1,
    high: 2,
    usualMm: null,
    sizesMm: [],
    inside: 'a thread from eye to eye and a knot',
    from: 'outside',
    usual: { rounds: 0, direction: 'below' },
  },
};

/** What stays inside and where the hand reaches from, for a feature as it is made: a pressed nose has a post and a washer. */
export function careOf({
  kind,
  embroidered,
  style,
}: Pick<FeatureRule, 'kind' | 'embroidered' | 'style'>): Pick<FeatureEntry, 'inside' | 'from'> {
  const { inside, from } = featureLibrary[kind];
  if (kind === 'nose' && hasPost({ kind, embroidered, style }))
    return { inside: 'a post and a washer', from: 'inside' };
  if (kind === 'eyes' && !hasPost({ kind, embroidered, style })) return { inside: 'a knot', from: 'outside' };
  return { inside, from };
}
