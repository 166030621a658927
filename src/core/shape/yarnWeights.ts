import type { Gauge } from './gauge';

export type YarnWeightKey = 'superfine' | 'fine' | 'light' | 'medium' | 'bulky' | 'superbulky' | 'jumbo';

/**
 * A class of yarn: how thick the strand is (from the usual wraps to 25 mm), the hook that makes a dense toy fabric of it (about one size
 * under the label's), and the stitch that comes of it. Assumptions to start from; a measured swatch replaces them.
 */
export interface YarnWeight {
  key: YarnWeightKey;
  name: string;
  words: RegExp;
  thicknessMm: number;
  hookMm: number;
  widthMm: number;
  heightMm: number;
  /** metres in 100 g, as balls of that class usually have; the band of the ball says better */
  metresPer100g: number;
}

export const yarnWeights: readonly YarnWeight[] = [
  {
    key: 'superfine',
    name: 'Super fine, sock',
    words: /\b(super ?fine|sock|fingering|4[- ]?ply)\b/i,
    thicknessMm: 1.7,
    hookMm: 2.25,
    widthMm: 3.4,
    heightMm: 2.8,
    metresPer100g: 400,
  },
  {
    key: 'fine',
    name: 'Fine, sport',
    words: /\b(fine|sport|5[- ]?ply)\b/i,
    thicknessMm: 2,
    hookMm: 2.5,
    widthMm: 3.9,
    heightMm: 3.2,
    metresPer100g: 330,
  },
  {
    key: 'light',
    name: 'Light, DK',
    words: /\b(light|dk|double[- ]?knit(ting)?|8[- ]?ply)\b/i,
    thicknessMm: 2.2,
    hookMm: 3,
    widthMm: 4.4,
    heightMm: 3.6,
    metresPer100g: 240,
  },
  {
    key: 'medium',
    name: 'Medium, worsted, aran',
    words: /\b(medium|worsted|aran|10[- ]?ply)\b/i,
    thicknessMm: 2.5,
    hookMm: 3.5,
    widthMm: 5,
    heightMm: 4.1,
    metresPer100g: 180,
  },
  {
    key: 'superbulky',
    name: 'Super bulky',
    words: /\bsuper ?(bulky|chunky)\b/i,
    thicknessMm: 5.2,
    hookMm: 8,
    widthMm: 10.4,
    heightMm: 8.5,
    metresPer100g: 65,
  },
  {
    key: 'bulky',
    name: 'Bulky, chunky',
    words: /\b(bulky|chunky|12[- ]?ply|chenille|velvet)\b/i,
    thicknessMm: 3.5,
    hookMm: 5,
    widthMm: 7,
    heightMm: 5.7,
    metresPer100g: 110,
  },
  {
    key: 'jumbo',
    name: 'Jumbo',
    words: /\bjumbo\b/i,
    thicknessMm: 8.5,
    hookMm: 12,
    widthMm: 16.5,
    heightMm: 13.5,
    metresPer100g: 40,
  },
];

/** The same from thin to thick, as a maker looks for hers. */
export const yarnsByThickness: readonly YarnWeight[] = [...yarnWeights].sort(
  (a, b) => a.thicknessMm - b.thicknessMm,
);

/** Widths follow the hook: half a millimetre of stitch for a millimetre of hook, our own figure from dense fabrics. */
const widthPerHookMm = 0.5;

/** The class named by its key. */
export function yarnWeight(key: YarnWeightKey): YarnWeight {
  const found = yarnWeights.find((weight) => weight.key === key);
  if (!found) throw new RangeError(`No yarn weight ${key}.`);
  return found;
}

/** The class a maker's description speaks of: `medium, chestnut brown`; null where it names none. */
export function weightInWords(description: string): YarnWeight | null {
  // “Super bulky” holds “bulky”, and “super fine” holds “fine”: the table lists the longer words first.
  return yarnWeights.find((weight) => weight.words.test(description)) ?? null;
}

/** The stitch to expect of a yarn with a hook, in mm; an assumption. Never under half or over twice the usual. */
export function gaugeFromTable(key: YarnWeightKey, hookMm: number): Gauge {
  const { hookMm: usual, widthMm, heightMm } = yarnWeight(key);
  const share = Math.max(0.5, Math.min(2, (widthMm + widthPerHookMm * (hookMm - usual)) / widthMm));
  const round = (value: number) => Math.round(value * 100) / 100;
  return { widthMm: round(widthMm * share), heightMm: round(heightMm * share), assumed: true };
}
