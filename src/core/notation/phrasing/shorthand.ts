import { n, ch, sl, label, re, severalInOne, type Phrasing } from './phrasing';

/** The chain a joined round begins with, by its name: `beginning ch-3`, or only `ch 3`. */
const chainName = String.raw`(?:beginning|starting|turning|initial|beg\.?|start)\s*`;
const startingChain = String.raw`(?:${chainName}|first\s+)?${ch}(?:[\s-]*\d)?`;
const namedChain = String.raw`(?:${chainName})${ch}(?:[\s-]*\d)?`;

/** What is glued together, or has a word left out. In the order they are tried: longer manners before the words they are made of. */
export const shorthandPhrasings: readonly Phrasing[] = [
  // Glued, or with a word left out
  {
    example: ['(sc, inc)6 (18)', '(sc, inc) x 6 (18)'],
    pattern: /(?<=[([][^()[\]]*[,+\s][^()[\]]*[)\]])(\d{1,2})(?=\s*(?:[[(=,.;]|$))/gi,
    by: (times) => ` x ${times}`,
  },
  {
    example: ['1 sc 1 inc *6 (18)', '1 sc 1 inc x 6 (18)'],
    pattern: /(?<=^[^*()[\]]*[a-z\d]\s*)\*\s*(\d{1,2})(?=\s*(?:[[(=]\s*\d[^*]*$|\.?\s*$))/gi,
    by: (_, times) => `x ${times}`,
  },
  {
    example: ['sc 2x in each st', '2 sc in each st'],
    pattern: /(?<![a-z])(sc|hdc|dc|tr)\s*(\d{1,2})\s*(?:x|times)(?=\s+in(?:to)?\b)/gi,
    by: (_, stitch, count) => `${count} ${stitch}`,
  },
  {
    example: ['sc twice in each st', '2 sc in each st'],
    pattern: re(
      String.raw`(?<![a-z])(sc|hdc|dc|tr|(?:single|(?:half\s+)?double|treble)\s+crochet)\s+(?:(twice|thrice)|${n}\s+times)(?=\s+in(?:to)?\s+(?!(?:the\s+)?(?:back|front)\b))`,
    ),
    by: (_, stitch, word, times) => `${word ? (word.toLowerCase() === 'twice' ? 2 : 3) : times} ${stitch}`,
  },
  {
    example: ['sc3, dec3x, sc3', 'sc3, dec x 3, sc3'],
    pattern: /\b(inc|dec)\s*(\d{1,2})x(?![a-z\d]|\s*[\d(])/gi,
    by: (_, change, times) => `${change} x ${times}`,
  },
  {
    example: ['2 sc in each sc: 16', '2 sc in each sc [16]'],
    pattern:
      /(?<=\b(?:sc|hdc|dc|sts?|stitch(?:es)?|inc|dec|around|next|tog|times|each|x\s*\d{1,2})|[)\]*])(?:\s*:\s*|\s+[-–—]\s+)(\d{1,4})(?:\s*(?:sc|dc|sts?|stitches))?\s*\.?\s*$/gi,
    by: (_, total) => ` [${total}]`,
  },
  {
    example: ['2 sc in first, sc to last, 2 sc in last', '2 sc in first, sc to last st, 2 sc in last'],
    pattern: /(?<=\b(?:sc|hdc|dc|st)\s+)(to|until)\s+(?:the\s+)?last(?=\s*(?:[,;.]|and\b|$))/gi,
    by: (_, word) => `${word} last st`,
  },
  {
    example: ['R1: inc in 2nd ch, 4 sc', 'R1: inc in 2nd ch from hook, 4 sc'],
    pattern: re(
      String.raw`(?<=^\s*(?:rounds?|rnds?|rows?|r)?\.?\s*1\s*[:.)–-]\s*(?:(?:\d\s*)?(?:inc|sc|hdc|dc)|start(?:ing)?)\s+in\s+(?:the\s+)?)(2nd|3rd|second|third)\s+ch(?:ain)?(?!\s*(?:from|s?p|-))(?![a-z])`,
    ),
    by: (_, which) => `${which} ch from hook`,
  },
  {
    example: ['incx6', 'inc x6'],
    pattern: /(?<=\b(?:inc|dec|sc|hdc|dc))x(?=\s*\d)/gi,
    by: () => ' x',
  },
  {
    example: ['(inc, 3) x 6', '(inc, 3 st) x 6'],
    pattern:
      /(?<=[([{*]\s*)(\d{1,2})(?=\s*,)|(?<=^\s*(?:rounds?|rnds?|rows?|r)?\.?\s*\d{1,4}\s*[:.)]\s*)(\d{1,2})(?=\s*,\s*(?:inc|dec)(?![a-z]))|(?<=\b(?:\d*\s*inc|\d*\s*dec|\d*\s*sc)\b[^:]{0,60},\s*)(\d{1,2})(?=\s*(?:[,)\]}]|[([]\s*\d))/gi,
    // No word of US terms: what is read must not decide which are meant.
    by: (number) => `${number} st`,
  },
  {
    example: ['2 in each st', 'inc in each st'],
    pattern: re(
      String.raw`(?<=[:,.)\d-]\s+|^\s*)${n}\s+in(?:to)?\s+(?:each|every)(?:\s+(?:one|st|stitch)|(?=\s*(?:[[(]\s*\d|\.?\s*$)))(?![a-z])`,
    ),
    by: (_, count) => `${severalInOne(count ?? '')} in each st`,
  },
  {
    example: ['2 sc in each (12)', '2 sc in each st (12)'],
    pattern:
      /(?<=(?<![a-z])(?:sc|hdc|dc|inc|dec|increase|decrease|crochet)\s+in(?:to)?\s+(?:each|every))(?:\s+one)?(?=\s*(?:[[(]\s*\d|[.;]?\s*$|,?\s*around|,?\s*turn))/gi,
    by: () => ' st',
  },
  {
    example: ['skip every other stitch', '(1 st, skip 1) around'],
    pattern: /\b(?:skip|miss)\s+every\s+(?:other|second|2nd)\s+(?:st|stitch|sc)(?:\s+around)?(?![a-z])/gi,
    by: () => '(1 st, skip 1) around',
  },
  {
    example: ['R2: miss every 6th st (15)', 'R2: (5 st, skip 1) around (15)'],
    pattern: re(
      String.raw`${label}(?:skip|miss)\s+every\s+(\d{1,2})(?:th|rd|nd)\s+(?:st|stitch|sc)(?:\s+around)?(?![a-z])`,
    ),
    by: (_, which) => `(${Number(which) - 1} st, skip 1) around`,
  },
  {
    example: ['sc in the next 2, two in the next', 'sc in the next 2, inc in next st'],
    pattern: re(
      String.raw`(?<=[,;]\s*(?:and\s+|then\s+)?)${n}\s+in(?:to)?\s+(?:the\s+)?next(?:\s+(?:one|st|stitch))?(?=\s*(?:[,.;)\]]|[[(]|repeat|around|$))`,
    ),
    by: (_, count) => `${severalInOne(count ?? '')} in next st`,
  },
  {
    example: ['sl st in 2nd ch from hook and each ch', 'sl st in 2nd ch from hook and in each ch'],
    pattern:
      /(?<=from\s+(?:the\s+)?hook\s*,?\s*(?:and|then)\s+)(?=(?:each|every)\s+(?:of\s+|remaining\s+|rest\s+)*(?:the\s+)?ch)/gi,
    by: () => 'in ',
  },
  {
    example: [
      'sl st in 2nd ch from hook and in each chain back',
      'sl st in 2nd ch from hook and in each ch across',
    ],
    pattern:
      /(?<=\bin\s+(?:each|every|all)\s+)(?:of\s+the\s+)?(?:remaining\s+)?ch(?:ain)?s?\s+(?:back|down|along)(?:\s+(?:to\s+the\s+(?:end|beginning|start)|the\s+(?:chain|ch)))?(?![a-z])/gi,
    by: () => 'ch across',
  },
  {
    example: ['sc in 2nd ch from hook and across (10)', 'sc in 2nd ch from hook and in each ch across (10)'],
    pattern:
      /(?<=from\s+(?:the\s+)?hook\s*,?\s*(?:and|then)\s+)(?=(?:all\s+)?(?:across|along|to\s+(?:the\s+)?end)\b)/gi,
    by: () => 'in each ch ',
  },
  {
    example: ['R3: sc 1, inc 1 x 6', 'R3: (sc 1, inc) x 6'],
    // One change so many times would be said as so many changes: what is repeated is all of it.
    pattern:
      /(?<=^\s*(?:rounds?|rnds?|r)?\.?\s*\d{1,4}\s*[:.)–-]\s*)(?=[a-z\d])([^()[\]*:;]*,\s*(?:inc|dec))\s+1\s*(?=x\s*\d{1,2}\s*(?:[[(=]|\.?\s*$))/gi,
    by: (_, list) => `(${list}) `,
  },
  {
    example: ['R3: (sc, inc) 7 [21]', 'R3: (sc, inc) x 7 [21]'],
    pattern: /(?<=[:.]\s*[([][^()[\]]*,[^()[\]]*[)\]]\s+)(\d{1,2})(?=\s*[[(=]\s*\d)/gi,
    by: (times) => `x ${times}`,
  },
  {
    example: ['1 sc, then double the next, all around', '1 sc, inc, all around'],
    pattern:
      /(?<=[,;]\s*(?:and\s+|then\s+)*)double\s+(?:the\s+)?next(?:\s+(?:one|st|stitch))?(?=\s*(?:[,.;)\]]|[[(]|repeat|around|$))/gi,
    by: () => 'inc',
  },
  {
    example: [
      'R1: ch 11, sc in 2nd chain and across',
      'R1: ch 11, sc in 2nd ch from hook and in each ch across',
    ],
    pattern:
      /(?<=\bch(?:ain)?\s*\d{1,3}\s*[,.;]\s*(?:(?:turn|then|and)\s*,?\s*)*(?:sc|hdc|dc)\s+in\s+(?:the\s+)?)(2nd|3rd|second|third)\s+ch(?:ain)?\s+and\s+(?:then\s+)?(?:(?:all\s+)?(?:across|along|to\s+(?:the\s+)?end)|(?:in\s+)?each\s+(?:ch|chain|one|st)(?:\s+(?:across|along|to\s+(?:the\s+)?end))?)(?![a-z])/gi,
    by: (_, which) => `${which} ch from hook and in each ch across`,
  },
  {
    example: ['ch 7; sc 5 (from 2nd ch)', 'ch 7; sc in 2nd ch from hook, sc 4'],
    pattern:
      /\b((?:sc|hdc|dc)\s*\d{1,3}|\d{1,3}\s*(?:sc|hdc|dc))\s*\(\s*(?:starting\s+)?(?:from|in)\s+(?:the\s+)?(2nd|3rd|second|third)\s+ch(?:ain)?(?:\s+from\s+(?:the\s+)?hook)?\s*\)/gi,
    by: (_, stitches, which) => `starting in ${which} ch from hook, ${stitches}`,
  },
  {
    example: ['sc around, sl st to top of ch 2', 'sc around, sl st to first st'],
    pattern: re(
      String.raw`(?:join\s+(?:with\s+(?:a\s+)?)?)?(?:${sl}|(?<=join\s+))\s*(?:to|in|into|at)\s+(?:the\s+)?(?:top(?:\s+(?:ch|chain|loop))?(?:\s+of\s+(?:the\s+)?${startingChain})?|(?:1st|2nd|3rd|4th|first|second|third|fourth)\s+ch(?:ain)?\s+of\s+(?:the\s+)?${startingChain}|${namedChain})`,
    ),
    by: () => 'sl st to first st',
  },
  {
    example: [
      'ch 3, sc in 2nd ch from hook, sc, sl st into base, sc 17',
      'ch 3, sc in 2nd ch from hook, sc, sc 17',
    ],
    pattern: re(
      String.raw`(?<=\bch(?:ain)?\s*\d{1,2}[^()[\]]*\bfrom\s+(?:the\s+)?hook\b[^()[\]]*?)[,;]\s*(?:and\s+)?${sl}\s+(?:in|into|to|at)\s+(?:the\s+)?(?:base(?:\s+(?:st|stitch))?(?:\s+of\s+(?:the\s+)?ch(?:ain)?)?|same\s+(?:st|stitch|place)(?:\s+as\s+(?:the\s+)?(?:ch|chain))?)(?=\s*[,;.)])`,
    ),
    by: () => '',
  },
];
