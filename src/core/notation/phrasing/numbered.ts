import { label, re, type Phrasing } from './phrasing';

/** Several stitches by their number: `the 4th, 8th and 12th`; without `th` only where a word says that they are stitches. */
const severalNth = String.raw`(?:the\s+)?\d{1,3}(?:st|nd|rd|th)(?:(?:\s*,\s*|\s*(?:,\s*)?(?:and|&)\s*)(?:the\s+|in\s+(?:the\s+)?)?\d{1,3}(?:st|nd|rd|th))+(?:\s+(?:sts?|stitch(?:es)?|sc))?`;
const severalNumbers = String.raw`(?:sts?|stitch(?:es)?)\s+\d{1,3}(?:(?:\s*,\s*|\s*(?:,\s*)?(?:and|&)\s*)\d{1,3}(?![a-z\d]))+`;

const numbersIn = (said: string): number[] => [...said.matchAll(/\d+/g)].map(([number]) => Number(number));

/** An increase in each of some stitches, plain ones between and behind. */
function incInEach(said: string, stitch: string): string {
  const places = numbersIn(said);
  const plain = places.map((place, i) => place - (places[i - 1] ?? 0) - 1);
  // What has no order is left so that it is asked about.
  if (plain.some((count) => count < 0)) return `inc, ${places.join(', ')}`;
  const inc = stitch === 'sc' ? 'inc' : `2 ${stitch} in next st`;
  const work = plain.map((count) => (count > 0 ? `${stitch} ${count}, ${inc}` : inc));
  return [...work, `${stitch} in rem sts`].join(', ');
}

const plainAround = String.raw`(?<![a-z])(sc|hdc|dc)\s+(?:around|(?:in(?:to)?\s+)?(?:each|every)\s+(?:st|stitch)(?:\s+around)?)\s*,?\s*(?:but\s+|and\s+|with\s+)*(?:an?\s+)?`;
const incIn = String.raw`\binc(?:s|reas(?:e|es|ing))?\s+(?:in|at|on)\s+(?:the\s+)?(${severalNth}|${severalNumbers})`;
const othersPlain = String.raw`(?:\s*,?\s*(?:and\s+)?(sc|hdc|dc)\s+in\s+(?:all\s+(?:the\s+)?(?:others?|rest)|(?:the\s+)?(?:others|rest|other\s+(?:sts|stitches))))?(?![a-z])`;

/** A change in stitches that are told by their numbers. Before all that reads a bare number as so many stitches. */
export const numberedPhrasings: readonly Phrasing[] = [
  {
    example: ['sc around, inc in the 4th, 8th and 12th st', 'sc 3, inc, sc 3, inc, sc 3, inc, sc in rem sts'],
    pattern: re(`${plainAround}${incIn}${othersPlain}`),
    by: (_, stitch = 'sc', which = '') => incInEach(which, stitch.toLowerCase()),
  },
  {
    // Alone in its round: beside other work the numbers may count from there.
    example: ['R3: inc in the 4th and 8th st', 'R3: sc 3, inc, sc 3, inc, sc in rem sts'],
    pattern: re(String.raw`${label}${incIn}${othersPlain}(?=\s*(?:[[(=.]|$|[,;]\s*(?:join|sl)))`),
    by: (_, which = '', stitch = 'sc') => incInEach(which, stitch.toLowerCase()),
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
