import { nthWord, nthOf, re, type Phrasing } from './phrasing';

/** Labels of rounds. In the order they are tried: longer manners before the words they are made of. */
export const labelPhrasings: readonly Phrasing[] = [
  // Labels in words
  {
    example: ['Fifth to ninth round: sc around', 'round 5-9: sc around'],
    pattern: re(
      String.raw`^(\s*)(?:the\s+)?${nthWord}(?:\s*(?:to|through|and|[-–])\s*(?:the\s+)?${nthWord})?\s+(rounds?|rnds?|rows?)\s*[:.,–-]`,
    ),
    by: (...found) => {
      const [, space = '', first = '', last, word = ''] = found;
      const until = last ? `-${nthOf(last)}` : '';
      return `${space}${/^row/i.test(word) ? 'row' : 'round'} ${nthOf(first)}${until}:`;
    },
  },
  {
    example: ['3rd-4th rnds: sc around', 'rnds 3-4: sc around'],
    pattern:
      /^(\s*)(?:the\s+)?(\d{1,3})(?:st|nd|rd|th)\s*(?:to|through|and|&|[-–])\s*(?:the\s+)?(\d{1,3})(?:st|nd|rd|th)\s+(rounds?|rnds?|rows?)\s*[:.,–-]/gi,
    by: (...found) => {
      const [, space = '', first, last, word] = found;
      return `${space}${word} ${first}-${last}:`;
    },
  },
  {
    example: ['R4 (and R5): sc around', 'R4-5: sc around'],
    pattern:
      /^(\s*(?:r|rnds?|rounds?|rows?)\.?\s*(\d{1,3}))\s*\(\s*(?:and|&|\+)\s*(?:r|rnds?|rounds?|rows?)?\.?\s*(\d{1,3})\s*\)(?=\s*[:.–-])/gi,
    by: (...found) => {
      const [said, round, first, second] = found;
      return Number(second) === Number(first) + 1 ? `${round}-${second}` : (said ?? '');
    },
  },
  {
    example: ['For round 5, sc around', 'round 5: sc around'],
    pattern: re(
      String.raw`^(\s*)(?:on|for|in)\s+(?:the\s+)?(rounds?|rnds?|rows?)\s*(\d{1,4})\s*[:,](?=.*\b(?:\d*sc|\d*dc|\d*hdc|inc|dec|single|double)\b)`,
    ),
    by: (_, space, word, number) => `${space}${word} ${number}:`,
  },
  {
    example: ['With white, R1: 6 sc in ring', 'R1: With white, 6 sc in ring'],
    pattern: re(
      String.raw`^(\s*)((?:in|with|using)\s+(?:the\s+)?(?![^:,]*\b(?:fac(?:ing|es)|sides?|rounds?|rows?|hooks?|needles?|pieces?|stitch(?:es)?|loops?|hand|work|next|this)\b)(?:[a-z]+\s+){0,2}[a-z]+)\s*[:,]\s*((?:rounds?|rnds?|rows?|r)\.?\s*\d{1,3}(?:\s*[-–]\s*r?\s*\d{1,3})?)\s*[:.)]\s*`,
    ),
    by: (_, space, colour, label) => `${space}${label}: ${colour}, `,
  },
  {
    example: ['Round #5: sc around', 'Round 5: sc around'],
    pattern: /^(\s*(?:rounds?|rnds?|rows?|rds?|r))(?:\.?\s*(?:#|no\.?|nr\.?|number)\s*|\.)(?=\d)/gi,
    by: (_, word) => `${word} `,
  },
  {
    example: ['No. 3: sc around', 'R3: sc around'],
    pattern:
      /^(\s*)(?:no|nr|num|number)\.?\s*#?\s*(\d{1,3}(?:\s*[-–]\s*\d{1,3})?)\s*[:.)–-]\s*(?=\W*(?:\d+\s*)?(?:sc|dc|hdc|inc|dec|ch|mr|magic|single|double)(?![a-z]))/gi,
    by: (_, space, number) => `${space}R${number}: `,
  },
  {
    example: ['(R3) sc around', 'R3: sc around'],
    pattern:
      /^(\s*)[([]\s*((?:rounds?|rnds?|rows?|rds?|r)\.?\s*\d{1,3}(?:\s*[-–]\s*r?\d{1,3})?)\s*[)\]]\s*[:.–-]?\s*(?=[^\s])/gi,
    by: (_, space, label) => `${space}${label}: `,
  },
  {
    example: ['(10-14) 10', 'R10-14: sc around [10]'],
    pattern: /^(\s*)[([](\d{1,3}(?:\s*[-–]\s*\d{1,3})?)[)\]]\s+(\d{1,4})(?:\s*(?:sc|sts?))?\s*\.?\s*$/gi,
    by: (_, space, label, total) => `${space}R${label}: sc around [${total}]`,
  },
  {
    example: ['MR with 6', 'MR 6'],
    pattern:
      /(?<=\b(?:mr|mc|(?:magic|adjustable)\s+(?:ring|circle|loop))\s+)(?:with|of)\s+(?=\d{1,2}\s*(?:[[(.,;=]|$))/gi,
    by: () => '',
  },
  {
    example: ['1: MR 6 = 6', '1: MR 6 [6]'],
    pattern:
      /(?<=\b(?:mr|mc|(?:magic|adjustable)\s+(?:ring|circle|loop))(?:\s+\d{1,2})?)\s*=\s*(\d{1,2})\s*\.?\s*$/gi,
    by: (_, total) => ` [${total}]`,
  },
  {
    example: ['(3-8) sc around', 'R3-8: sc around'],
    pattern: /^(\s*)[([](\d{1,3})(?:\s*[-–]\s*(\d{1,3}))?[)\]]\s+(?=\d|[a-z(*[])/gi,
    by: (...found) => {
      const [, space = '', first = '', last] = found;
      return `${space}R${first}${last ? `-${last}` : ''}: `;
    },
  },
  {
    example: ['6 - 12 rnd: sc 9', 'rnd 6-12: sc 9'],
    pattern: /^(\s*)(\d{1,4})\s*(?:[-–]|to)\s*(\d{1,4})\s*(?:\.\s*)?(rounds?|rnds?|rows?)\s*[:.)–-]/gi,
    by: (...found) => {
      const [, space = '', first, last, word] = found;
      return `${space}${word} ${first}-${last}:`;
    },
  },
];
