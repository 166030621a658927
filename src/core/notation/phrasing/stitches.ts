import { ending, numberOf, sl, label, re, type Phrasing } from './phrasing';

/** Words for stitches, loops of other rounds and remarks. In the order they are tried: longer manners before the words they are made of. */
export const stitchPhrasings: readonly Phrasing[] = [
  // Words for stitches
  {
    example: ['2 single crochet stitches into each stitch', '2 single crochet into each stitch'],
    pattern:
      /(?<=\b(?:single|half\s+double|double|half\s+treble|treble)\s+crochet)\s+(?:stitch(?:es)?|sts?)(?=\s+(?:in|into)\b)/gi,
    by: () => '',
  },
  {
    example: ['sc in each st and ch', 'sc in each st'],
    pattern:
      /(?<=\b(?:each|every)\s+(?:st|stitch|sc))\s*(?:and|&|\+|or)\s*(?:in\s+)?(?:(?:each|every)\s+)?(?:ch|chain)(?:\s+(?:st|stitch|sp|space))?(?![a-z]|\s*\d)/gi,
    by: () => '',
  },
  {
    example: ['triple inc, sc 17', '3 sc in next st, sc 17'],
    pattern: /(?<![a-z])triple\s+inc(?:rease)?(?![a-z])(?!\s*(?:in|into|x|×|\d))/gi,
    by: () => '3 sc in next st',
  },
  {
    example: ['sc 11, 3-in-1, sc 12', 'sc 11, 3 sc in next st, sc 12'],
    pattern: /\b([2-5])[-\s]in[-\s](?:1|one)\b/gi,
    by: (_, count) => `${count} sc in next st`,
  },
  {
    example: ['sc 3, 2sc in 1', 'sc 3, 2 sc in next st'],
    pattern:
      /\b([2-5])\s*sc\s+in\s+(?:1|one)(?![a-z\d])(?!\s*(?:ch|loop|round|rnd|row))(?:\s+(?:sts?|stitch|sc)(?![a-z]))?/gi,
    by: (_, count) => `${count} sc in next st`,
  },
  {
    example: ['R2: 2sc/st (12)', 'R2: 2 sc in each st (12)'],
    pattern: re(String.raw`${label}([1-5])\s*(sc|hdc|dc)\s*\/\s*(?:sts?|stitch|sc)(?:\s+around)?${ending}`),
    by: (_, count, stitch) => `${count} ${stitch} in each st`,
  },
  {
    example: ['(2sc/st, 1sc/st) x 6', '(2 sc in next st, 1 sc in next st) x 6'],
    pattern: /\b([1-5])\s*(sc|hdc|dc)\s*\/\s*(?:sts?|stitch|sc)(?![a-z])/gi,
    by: (_, count, stitch) => `${count} ${stitch} in next st`,
  },
  {
    example: ['(sc, hdc, sc) all in the next st', '(sc, hdc, sc) in the next st'],
    pattern: /(?<=[)\]]\s*)all\s+(?=in(?:to)?\s+(?:the\s+)?(?:next|same|one|1)\b)/gi,
    by: () => '',
  },
  {
    example: ['sc-hdc-sc all in one stitch', '(sc, hdc, sc) in next st'],
    pattern: re(
      String.raw`(?<![a-z-])((?:sc|hdc|htr|dc|tr)(?:-(?:sc|hdc|htr|dc|tr)){1,6})\s+(?:all\s+)?in(?:to)?\s+(?:the\s+)?(?:next|same|one|1)\s+(?:sts?|stitch)(?![a-z])`,
    ),
    by: (_, stitches = '') => `(${stitches.replace(/-/g, ', ')}) in next st`,
  },
  {
    example: ['increase with hdc in next 3 sts', '2 hdc in each of next 3 sts'],
    pattern: re(
      String.raw`\binc(?:rease)?\s+(?:with|in|using)\s+(hdc|dc|tr)\s+in\s+(?:the\s+)?next\s+(\d{1,2})\s+(?:sts?|stitches)(?![a-z])`,
    ),
    by: (_, stitch, count) => `2 ${stitch} in each of next ${count} sts`,
  },
  {
    example: ['hdc, inc with hdc', 'hdc, (2 hdc in next st)'],
    pattern: /\binc(?:rease)?\s+(?:with|in|using)\s+(hdc|dc|tr)(?![a-z])/gi,
    by: (_, stitch) => `(2 ${stitch} in next st)`,
  },
  {
    example: ['crochet 2, decrease', '2 st, decrease'],
    pattern: /\bcrochet\s+(\d{1,2})(?=\s*(?:[,;]|then\b|and\s+(?:then\s+)?(?:inc|dec)))/gi,
    by: (_, count) => `${count} st`,
  },
  {
    example: ['hdcinc, dcdec', '(2 hdc in next st), dc2tog'],
    pattern: /\b(hdc|dc|tr)-?inc\b/gi,
    by: (_, stitch) => `(2 ${stitch} in next st)`,
  },
  { example: ['dcdec', 'dc2tog'], pattern: /\b(hdc|dc|tr)-?dec\b/gi, by: (_, stitch) => `${stitch}2tog` },
  {
    example: ['work 2 sts together, sc 16', 'sc2tog, sc 16'],
    pattern: re(
      String.raw`\b(?:work|crochet|sc|stitch)\s+(?:the\s+)?(?:next\s+)?(2|3|two|three)\s+(?:sts?|stitches)\s+together`,
    ),
    by: (_, count) => `sc${numberOf(count ?? '2')}tog`,
  },
  {
    example: ['sc in 1st 2 sts', 'sc in next 2 sts'],
    pattern: /\b(?:1st|first)\s+(?=\d{1,3}\s*(?:sts?|stitches|sc)\b)/gi,
    by: () => 'next ',
  },
  {
    example: ['sc 5, MB, sc 12', 'sc 5, bobble, sc 12'],
    pattern: /(?<=[,;(*]\s*)(?:bo|bob|bbl|mb|make\s+bobble)(?=\s*[,;)])/gi,
    by: () => 'bobble',
  },
  {
    example: ['sc 5, bobble (5 dc), sc 12', 'sc 5, bobble, sc 12'],
    pattern:
      /(?<=\b(?:bobble|popcorn|puff|cluster)(?:\s+st(?:itch)?)?)\s*\(\s*(?:of\s+)?\d\s*(?:dc|hdc|tr)\s*\)/gi,
    by: () => '',
  },
  {
    example: ['sc 5, 4dc-bobble, sc 18', 'sc 5, bobble, sc 18'],
    pattern: /(?<=[,;(*:]\s*|\d\s+)\d\s*(?:dc|hdc|tr)[\s-]+(?=(?:bobble|popcorn|puff|cluster)(?![a-z]))/gi,
    by: () => '',
  },
  {
    example: ['sc 5, dc5tog in same st, sc 18', 'sc 5, bobble, sc 18'],
    pattern:
      /(?<![a-z\d])(?:dc|hdc|tr)\s*[3-7]\s*tog\s+(?:all\s+)?in(?:to)?\s+(?:the\s+)?(?:same|next|one|1)\s+(?:st|stitch)/gi,
    by: () => 'bobble',
  },
  {
    example: ['sc 5, ch 3 picot, sc 19', 'sc 5, ch 3, sl st in 3rd ch from hook, sc 19'],
    pattern:
      /(?<![a-z])(?:ch(?:ain)?[\s-]*([2-6])[\s-]*picot|([2-6])[\s-]*ch(?:ain)?[\s-]+picot|(?<!\(\s*)picot)(?=\s*[,;)])/gi,
    by: (_, after, before) => {
      const count = after ?? before ?? '3';
      return `ch ${count}, sl st in ${count}${count === '2' ? 'nd' : count === '3' ? 'rd' : 'th'} ch from hook`;
    },
  },
  {
    example: ['waistcoat stitch around', 'sc around'],
    pattern:
      /(?<![a-z])(?:(?:waistcoat|centre\s+single|center\s+single|split\s+single)\s+(?:crochet|st(?:itch)?)|wsc)(?=\s+(?:around|in\s+each|\d))/gi,
    by: () => 'sc',
  },
  {
    example: ['ch 3, sl st in 3rd ch from hook (picot)', 'ch 3, sl st in 3rd ch from hook'],
    pattern: /\(\s*picot\s*\)/gi,
    by: () => '',
  },
  {
    example: ['sc 2, ch 3, sl st in first ch, sc 4', 'sc 2, ch 3, sl st in 3rd ch from hook, sc 4'],
    pattern: re(
      String.raw`(?<=[,(]\s*)ch(?:ain)?\s*([2-6])\s*,\s*(?:and\s+)?${sl}\s+(?:in|into|to)\s+(?:the\s+)?(?:first|1st)\s+ch(?:ain)?(?!\s*(?:sp|to\b))(?![a-z])`,
    ),
    by: (_, count) =>
      `ch ${count}, sl st in ${count}${count === '2' ? 'nd' : count === '3' ? 'rd' : 'th'} ch from hook`,
  },
  {
    example: ['sc 6, ch 3, sl st in same st, sc 18', 'sc 6, ch 3, sl st in 3rd ch from hook, sc 18'],
    pattern: re(
      String.raw`ch(?:ain)?\s*([2-6])\s*,\s*(?:and\s+)?${sl}\s+(?:in|into|to)\s+(?:the\s+)?same\s+(?:st|stitch|place)`,
    ),
    by: (_, count) =>
      `ch ${count}, sl st in ${count}${count === '2' ? 'nd' : count === '3' ? 'rd' : 'th'} ch from hook`,
  },
  // The loops of another round
  {
    example: [
      'join yarn in the front loops of R3 of the body, 2 hdc around',
      'in front loops of R3, 2 hdc around',
    ],
    pattern: re(
      String.raw`(?:(?:join|attach|rejoin)\s+(?:the\s+|new\s+)?(?:[a-z]+\s+)?yarn\s+)?(?:with\s+(?:a\s+)?${sl}\s+)?(?:in|to|into|through)\s+(?:any\s+(?:one\s+)?(?:of\s+)?)?(?:the\s+|a\s+)?(?:free\s+|unworked\s+|remaining\s+|unused\s+)?(front|back|free|unworked|remaining|unused)\s+loops?(?:\s+only)?\s+(?:of|from|on|at)\s+(?:the\s+)?(?:R|rounds?|rnds?|rows?)\.?\s*(\d{1,3})(?:\s+(?:of|on)\s+(?:the\s+)?[a-z]+)?\s*[,:;]?`,
    ),
    by: (_, loops, round) => `in ${/back/i.test(loops ?? '') ? 'back' : 'front'} loops of R${round},`,
  },
  // Remarks
  {
    example: ['(sc 2, dec) x 6 [18] - 1 round done', '(sc 2, dec) x 6 [18]'],
    pattern: /(?<=[\])])\s*[-–—]\s*[a-z0-9 ]{0,30}\b(?:done|complete|completed|finished|made)\b.*$/gi,
    by: () => '',
  },
];
