import type { ToyHeader } from '../notation/pattern';

/** Colours by the words makers use for yarn. */
const colours: Record<string, string> = {
  white: '#F4F1E8',
  cream: '#EFE3C6',
  oat: '#E2D2B0',
  sand: '#DCC093',
  beige: '#D8C3A0',
  yellow: '#EFC94C',
  mustard: '#C9982A',
  gold: '#D9A93A',
  orange: '#E08A3C',
  peach: '#F0B48E',
  coral: '#E77E6B',
  red: '#C64036',
  pink: '#E79BB0',
  rose: '#CF6F86',
  purple: '#8E6BB0',
  lilac: '#BBA3D6',
  lavender: '#B7A6DA',
  blue: '#4F84BD',
  navy: '#33456F',
  teal: '#2F8C8A',
  turquoise: '#4FB7B2',
  green: '#6FA05A',
  olive: '#8A8B4A',
  mint: '#A9D5B5',
  sage: '#9DB08C',
  grey: '#9AA0A3',
  gray: '#9AA0A3',
  silver: '#C3C8CA',
  slate: '#77848C',
  charcoal: '#4A4F52',
  black: '#2C2C2E',
  brown: '#B07A4E',
  chestnut: '#A8693F',
  bark: '#6B4A35',
  tan: '#C79A6B',
  caramel: '#C58A4E',
  chocolate: '#6A432C',
  rust: '#B4552F',
};

/** Where no colour is said: the maker's first yarn, undyed. */
export const undyed = '#DCC8A4';

function named(words: string): string | null {
  // The last colour word is the noun: “chestnut brown” is a brown.
  const found = words
    .toLowerCase()
    .split(/[^a-z]+/)
    .filter((word) => Object.hasOwn(colours, word));
  return colours[found.at(-1) ?? ''] ?? null;
}

/** Whether a word is one makers call yarn by. */
export const isColourName = (word: string): boolean => Object.hasOwn(colours, word.toLowerCase());

/** The screen colour of a yarn by the name used in the pattern: a declared yarn's description, or a colour word. */
export function yarnColour(name: string, header: ToyHeader): string {
  if (!name) return undyed;
  const declared = header.yarns.find((yarn) => yarn.name.toLowerCase() === name.toLowerCase());
  return named(declared?.value ?? '') ?? named(name) ?? undyed;
}

/** Relative luminance of a #RRGGBB colour, 0 to 1 (WCAG 2). */
export function luminance(hex: string): number {
  const [r = 0, g = 0, b = 0] = [1, 3, 5].map((at) => {
    const channel = Number.parseInt(hex.slice(at, at + 2), 16) / 255;
    return channel <= 0.04045 ? channel / 12.92 : ((channel + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

/** Dark yarn on the dark mat gets a light outline; light yarn needs none. */
export function needsOutline(hex: string): boolean {
  return luminance(hex) < 0.16;
}
