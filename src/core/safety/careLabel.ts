import { t } from '../words/language';
import type { Audience } from './audience';

/** What a yarn is made of, as far as washing goes. */
type Fibre = 'wool' | 'cotton' | 'acrylic' | 'other';

const fibres: readonly [Fibre, RegExp][] = [
  ['wool', /\b(?:wool|merino|alpaca|mohair|cashmere|angora)\b/i],
  ['cotton', /\b(?:cotton|linen|bamboo|viscose)\b/i],
  ['acrylic', /\b(?:acrylic|polyester|chenille|velvet|plush|nylon|polyamide)\b/i],
];

/** The fibre that is washed most gently of those the yarns name; `other` where none does. */
export function fibreIn(yarns: readonly string[]): Fibre {
  const found = fibres.find(([, words]) => yarns.some((yarn) => words.test(yarn)));
  return found?.[0] ?? 'other';
}

const washing: Readonly<Record<Fibre, string>> = {
  wool: t`Wash by hand in cool water without rubbing. Do not wring.`,
  cotton: t`Wash by hand, or at 30 °C in a bag.`,
  acrylic: t`Wash by hand, or at 30 °C in a bag. Do not iron: it melts.`,
  other: t`Wash by hand in lukewarm water: nobody has said what the yarn is made of. Its band says more.`,
};

/** Wording for a label: washing by the yarns that are named. A maker’s usual advice; the band of the yarn decides. */
export const careWords = (yarns: readonly string[]): string[] => [
  washing[fibreIn(yarns)],
  t`Press the water out in a towel, pull it into shape, dry it lying flat. No tumble dryer, no bleach.`,
  t`Look at every seam, eye and end after each wash. What is loose is mended before it goes back to a child.`,
];

const ofAge: Readonly<Record<Audience, string>> = {
  'under-3': t`For children under 3, says its maker. It was looked at and tried at home, and tested by nobody else.`,
  '3-and-over': t`Not for children under 3: small parts may come off and can be swallowed.`,
  keepsake: t`A keepsake for grown-ups. No toy: keep it from children.`,
  pet: t`For a pet, while somebody watches. Take it away when a seam opens.`,
};

function firstWarning(audience: Audience | null, stops: number): string {
  if (audience === null)
    return t`Nobody has said for whom this is: not for children under 3 until somebody has.`;
  if (stops > 0)
    return t`Not to be given away as it is: ${stops === 1 ? t`one thing stops it` : t`${stops} things stop it`}, see what screening found.`;
  return ofAge[audience];
}

/**
 * Warnings in plain words. What a label must say where toys are sold is for the law of the place.
 *
 * @param stops how many findings stop the toy
 */
export const labelWarnings = (audience: Audience | null, stops: number): string[] => [
  firstWarning(audience, stops),
  t`Watch a child with any toy. Take it away as soon as a seam opens or something is loose.`,
  t`What a label must say where toys are sold or given away is for the law of the place.`,
];
