import { re, type Phrasing } from './phrasing';

/** Several stitches by their number: `the 4th, 8th and 12th`; without `th` only where a word says that they are stitches. */
const severalNth = String.raw`(?:the\s+)?\d{1,3}(?:st|nd|rd|th)(?:(?:\s*,\s*|\s*(?:,\s*)?(?:and|&)\s*)(?:the\s+|in\s+(?:the\s+)?)?\d{1,3}(?:st|nd|rd|th))+(?:\s+(?:sts?|stitch(?:es)?|sc))?`;
const severalNumbers = String.raw`(?:sts?|stitch(?:es)?)\s+\d{1,3}(?:(?:\s*,\s*|\s*(?:,\s*)?(?:and|&)\s*)\d{1,3}(?![a-z\d]))+`;

const numbersIn = (said: string): number[] => [...said.matchAll(/\d+/g)].map(([number]) => Number(number));

/** An increase in each of some stitches, plain ones between and behind; null where they don't stand in their order. */
function incInEach(said: string): string | null {
  const places = numbersIn(said);
  const plain = places.map((place, i) => place - (places[i - 1] ?? 0) - 1);
  if (plain.some((count) => count < 0)) return null;
  return [...plain.map((count) => (count > 0 ? `sc ${count}, inc` : 'inc')), 'sc in rem sts'].join(', ');
}

/** A change in stitches that are told by their numbers. Before all that reads a bare number as so many stitches. */
export const numberedPhrasings: readonly Phrasing[] = [
  {
    example: ['sc around, inc in the 4th, 8th and 12th st', 'sc 3, inc, sc 3, inc, sc 3, inc, sc in rem sts'],
    pattern: re(
      String.raw`(?:(?<![a-z])sc\s+(?:around|(?:in(?:to)?\s+)?(?:each|every)\s+(?:st|stitch)(?:\s+around)?)\s*,?\s*(?:but\s+|and\s+|with\s+)*(?:an?\s+)?)?\binc(?:s|reas(?:e|es|ing))?\s+(?:in|at|on)\s+(?:the\s+)?(${severalNth}|${severalNumbers})(?:\s*,?\s*(?:and\s+)?sc\s+in\s+(?:all\s+(?:the\s+)?(?:others?|rest)|(?:the\s+)?(?:others|rest|other\s+(?:sts|stitches))))?(?![a-z])`,
    ),
    by: (_, which = '') => incInEach(which) ?? `inc, ${numbersIn(which).join(', ')}`,
  },
  {
    // Which two of them are worked together is not said: what is left is read as nothing, and asked about.
    example: ['sc around, dec in the 4th and 8th st', 'sc around, dec, 4 st, 8'],
    pattern: re(
      String.raw`\bdec(?:s|reas(?:e|es|ing))?\s+(?:in|at|on)\s+(?:the\s+)?(?:${severalNth}|${severalNumbers})(?![a-z])`,
    ),
    by: (all) => `dec, ${numbersIn(all).join(', ')}`,
  },
];
