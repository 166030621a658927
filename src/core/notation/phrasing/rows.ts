import { n, nthOf, numberOf, st, ch, sl, label, re, type Phrasing } from './phrasing';

/** `second` as the grammar reads it */
const nth = (which: string): string =>
  which.toLowerCase().replace('second', '2nd').replace('third', '3rd').replace('fourth', '4th');

/** So many into chains counted from the hook: the first into its chain, the others on along it. */
const fromHook = (count: string, which: string, stitch = 'sc'): string => {
  const stitches = numberOf(count);
  return `${stitch} in ${nth(which)} ch from hook${stitches > 1 ? `, ${stitch} ${stitches - 1}` : ''}`;
};

/** A change at one end of a row or at both, and plain stitches between. */
function atEnds(stitch: string | undefined, change: string, ends: 'both' | 'first' | 'last'): string {
  const plain = stitch ?? 'sc';
  const [made, over] = /^(?:dec|sc2tog)/i.test(change) ? ['dec', 'last 2 sts'] : ['inc', 'last st'];
  if (ends === 'first') return `${made}, ${plain} across`;
  const last = `${plain} to ${over}, ${made}`;
  return ends === 'both' ? `${made}, ${last}` : last;
}

/** What begins a row: its label, its turn, the chain that turns it, or plain stitches that the change is told after. */
const rowBegins = String.raw`(?<=^\s*|[:.)|–-]\s*|\bturn\w*\s*[,;:.]?\s*|\bch(?:ain)?\s*1\s*[,;.]?\s*)(?:(sc|hdc|dc)\s+(?:across|(?:in\s+)?(?:each|every)\s+(?:st|stitch|sc)(?:\s+across)?|even|along|to\s+(?:the\s+)?end)\s*[,;]?\s*(?:and\s+|while\s+|but\s+)?)?`;
const changed = String.raw`(inc(?:reas(?:e|ing))?|dec(?:reas(?:e|ing))?|sc2tog|(?:2|two)\s*sc(?=\s+(?:at|in)))\s*(?:(?:1|one|a|an)\s*)?(?:(?:st|stitch|sc)\s+)?`;
const ofRow = String.raw`(?:\s+of\s+(?:the\s+|this\s+|each\s+)?(?:row|rnd|round))?`;

/** The ends of rows, foundations, chains and ovals. In the order they are tried: longer manners before the words they are made of. */
export const rowPhrasings: readonly Phrasing[] = [
  // The ends of a row
  {
    example: ['ch 1, turn, dec at each end', 'ch 1, turn, dec, sc to last 2 sts, dec'],
    pattern: re(
      String.raw`${rowBegins}${changed}(?:(?:at|on|in)\s+)?(?:(?:the\s+)?(?:each|both|either)\s+(?:ends?|sides?|edges?)|(?:the\s+)?(?:beginning|start)\s+and\s+(?:(?:at\s+)?the\s+)?end)${ofRow}(?![a-z])`,
    ),
    by: (_, stitch, change) => atEnds(stitch, change ?? 'inc', 'both'),
  },
  {
    example: ['ch 1, turn, inc in first and last st', 'ch 1, turn, inc, sc to last st, inc'],
    pattern: re(
      String.raw`${rowBegins}${changed}(?:in|at|over)?\s*(?:the\s+)?first\s+(?:(?:2\s+)?sts?\s+)?and\s+(?:the\s+)?last(?:\s+2)?\s+(?:sts?|stitch(?:es)?)(?![a-z])`,
    ),
    by: (_, stitch, change) => atEnds(stitch, change ?? 'inc', 'both'),
  },
  {
    example: ['turn, dec at the beginning of the row', 'turn, dec, sc across'],
    pattern: re(
      String.raw`${rowBegins}${changed}at\s+(?:the\s+)?(?:beginning|start)${ofRow}(?=\s*(?:[[(.]|$))`,
    ),
    by: (_, stitch, change) => atEnds(stitch, change ?? 'inc', 'first'),
  },
  {
    example: ['turn, increase one st at the end of the row', 'turn, sc to last st, inc'],
    pattern: re(String.raw`${rowBegins}${changed}at\s+(?:the\s+)?end${ofRow}(?=\s*(?:[[(.]|$))`),
    by: (_, stitch, change) => atEnds(stitch, change ?? 'inc', 'last'),
  },
  // Chains and ovals
  {
    example: ['Make a slip knot, ch 20', 'ch 20'],
    pattern:
      /(?<=^\s*(?:[a-z]*\s*\d+\s*[:.)–-]\s*)?)(?:(?:start|begin|starting|beginning)\s+(?:with|by\s+making)\s+|make\s+)?(?:an?\s+)?slip\s*knot(?:\s+(?:on|onto)\s+(?:the|your)\s+hook)?\s*(?:[,;.]|and\b|then\b)\s*(?:and\s+|then\s+)?(?=(?:ch|chain|make|work)\b)/gi,
    by: () => '',
  },
  {
    example: ['Chain 18 and join without twisting', 'Chain 18 and join'],
    pattern:
      /\s*,?\s*(?:and\s+)?(?:(?:being|be|taking|take|making|make)\s+(?:careful|care|sure)\s+)?(?:not\s+to\s+twist|without\s+twisting|do(?:n['’]t|\s+not)\s+twist)(?:\s+(?:it|the\s+(?:chain|ch|ring)))?/gi,
    by: () => '',
  },
  {
    example: ['ch 7, sc 6 starting in 2nd ch', 'ch 7, sc in 2nd ch from hook, sc 5'],
    pattern: re(
      String.raw`(?<![a-z])(sc|hdc|dc)\s*(\d{1,3})\s+(?:starting|beginning)\s+(?:in|from|with|at)\s+(?:the\s+)?(2nd|second|3rd|third)\s+${ch}(?:\s+from\s+(?:the\s+)?hook)?`,
    ),
    by: (_, stitch, count, which) => fromHook(count ?? '1', which ?? '2nd', stitch),
  },
  {
    example: ['ch 10, sc in 2nd and each across', 'ch 10, sc in 2nd ch from hook and in each ch across'],
    pattern: re(
      String.raw`(?<=(?:\bch(?:ain)?s?[\s-]*\d{1,3}|\b\d{1,3}\s*ch(?:ain)?s?)\s*[,;.]\s*)(sc|hdc|dc)\s+in(?:to)?\s+(?:the\s+)?(2nd|second|3rd|third|4th|fourth)(?:\s+${ch})?(?:\s+from\s+(?:the\s+)?hook)?\s*,?\s*and\s+(?:then\s+)?(?:in(?:to)?\s+)?(?:each|every|all)(?:\s+(?:${ch}|${st}|one))?(?:\s+(?:across|along|after|to\s+(?:the\s+)?end))?(?![a-z\s]*\d)(?![a-z])`,
    ),
    by: (_, stitch, which) => `${stitch} in ${nth(which ?? '2nd')} ch from hook and in each ch across`,
  },
  {
    example: ['ch 7, starting in 2nd ch: inc, sc 4', 'ch 7, inc in 2nd ch from hook, sc 4'],
    pattern: re(
      String.raw`(?<=(?:\bch(?:ain)?s?[\s-]*\d{1,3}|\b\d{1,3}\s*ch(?:ain)?s?)\s*[,;.]\s*)(?:starting\s+|beginning\s+|start\s+|begin\s+)?(?:from|in|at|with|into)\s+(?:the\s+)?(2nd|second|3rd|third)\s+${ch}(?:\s+from\s+(?:the\s+)?hook)?\s*[:,]?\s*(?:work\s+)?(inc|2\s*sc|two\s*sc)(?:\s+in\s+(?:it|that\s+${ch}|the\s+same\s+${ch}))?(?=\s*[,;])`,
    ),
    by: (_, which) => `inc in ${nth(which ?? '2nd')} ch from hook`,
  },
  {
    example: [
      'ch 20, starting in the second chain from the hook 2 sc in each ch',
      'ch 20, 2 sc in 2nd ch from hook and in each ch across',
    ],
    pattern: re(
      String.raw`(?:starting|beginning|start|begin)\s+(?:in|from|with|at|into)\s+(?:the\s+)?(2nd|second|3rd|third|4th|fourth)\s+${ch}(?:\s+from\s+(?:the\s+)?hook)?\s*[,:]?\s*(?:work\s+)?(2|two|3|three)\s*(sc|hdc|dc)\s+(?:in(?:to)?\s+)?(?:each|every|all)(?:\s+(?:${ch}|${st}))?(?:\s+(?:across|along))?`,
    ),
    by: (_, which, count, stitch) =>
      `${numberOf(count ?? '2')} ${stitch} in ${(which ?? '').replace('second', '2nd').replace('third', '3rd')} ch from hook and in each ch across`,
  },
  {
    example: ['Foundation: ch 30, join', 'ch 30, join'],
    pattern: re(
      String.raw`^(\s*)(?:foundation|base|starting|beginning|set[\s-]?up|start|begin)(?:\s+(?:ch(?:ain)?|loop|ring|rows?|rounds?|rnds?))?\s*(?::|[–—]|-(?=\s))\s*(?=(?:ch|chain|make|mr|mc|magic|adjustable|\d{1,2}\s*(?:sc|dc|ch))\b)`,
    ),
    by: (_, space) => space ?? '',
  },
  {
    example: ['ch 3, sl st to form a ring, 8 sc in ring', 'ch 3, join with sl st, 8 sc in ring'],
    pattern: re(
      String.raw`(?<=\bch(?:ains?)?[\s-]*\d{1,3}\s*[,.;]?\s*(?:and\s+|then\s+)?)${sl}(?:\s+(?:in|into|to)\s+(?:the\s+)?(?:first|1st|beginning|starting|last)\s+(?:ch(?:ain)?|st(?:itch)?))?\s*,?\s*(?:to|and|so\s+as\s+to)\s+(?:form|make|create)\s+(?:a\s+|the\s+)?(?:ring|circle|loop)(?![a-z])`,
    ),
    by: () => 'join with sl st',
  },
  {
    example: ['ch 30, join with sl st to form a ring', 'ch 30, join with sl st'],
    pattern: re(
      String.raw`(?<=(?:\bjoin\w*|${sl})[^,.;:]{0,40}?)\s*,?\s*\b(?:(?:to|and|so\s+as\s+to)\s+)?(?:form|make|create|making|forming)\s+(?:a\s+|the\s+)?(?:ring|circle|loop|tube|round)(?![a-z])`,
    ),
    by: () => '',
  },
  {
    example: ['Start with 6 sc in a magic ring', '6 sc in a magic ring'],
    pattern: re(
      String.raw`(?<=^\s*|[:.)]\s*)(?:start|begin)(?:ing)?\s+(?:off\s+)?(?:with|by\s+(?:making|working|crocheting))\s+(?=(?:a\s+)?(?:${n}|magic|adjustable|mr\b|mc\b|ring\b|ch\b|chain\b))`,
    ),
    by: () => '',
  },
  {
    example: ['dc in 3rd ch from hook (skipped ch count as first dc)', 'dc in 2nd ch from hook'],
    pattern: re(
      String.raw`(?<=\bin\s+(?:the\s+)?)(3rd|third|4th|fourth|5th|fifth)\s+${ch}\s+from\s+(?:the\s+)?hook\s*[([]\s*(?:the\s+)?(?:(?:skipped|missed|first|unworked|beginning|${n})\s+)*(?:${ch}|${st})\s+counts?\s+as\s+(?:(?:a|the|1|one|first|1st)\s+)*(?:sc|hdc|dc|tr|st|stitch)\s*[)\]]`,
    ),
    // One of the chains that are left out stands for a stitch: there are as many as if one chain fewer were left out.
    by: (_, which) =>
      `${Math.max(2, (Number.parseInt(which ?? '', 10) || nthOf(which ?? '')) - 1)}`.replace(
        /^(\d)$/,
        (digit) => `${digit}${digit === '2' ? 'nd' : digit === '3' ? 'rd' : 'th'} ch from hook`,
      ),
  },
  {
    example: ['5 sc in last ch, (other side) sc 7', '5 sc in last ch, on other side:sc 7'],
    pattern: re(
      String.raw`[([]\s*(?:now\s+)?(?:on\s+|along\s+)?(?:the\s+)?(?:other|opposite|second)\s+side(?:\s+of\s+(?:the\s+)?(?:foundation\s+|starting\s+)?${ch})?\s*[)\]]\s*[,:]?`,
    ),
    by: () => 'on other side:',
  },
  {
    example: ['sc 12, sc 3 ch, sc 15', 'sc 12, sc 3, sc 15'],
    pattern: /(?<=\bsc\s+\d{1,3})\s+ch(?:ain)?s?(?=\s*(?:[,.;]|[[(]\s*\d|$))/gi,
    by: () => '',
  },
  {
    example: ['ch 6, from 2nd ch: 4 sc', 'ch 6, sc in 2nd ch from hook, sc 3'],
    pattern: re(
      String.raw`(?<![a-z]\s*)(?<!\b(?:sc|st|ss|hdc|dc|tr|inc|dec|stitch|each|ch)\s+)(?:starting\s+|beginning\s+|start\s+)?(?:from|in|at|with|into)\s+(?:the\s+)?(2nd|second|3rd|third|4th|fourth)\s+${ch}(?:\s+from\s+(?:the\s+)?hook)?\s*[:,]?\s*(?:work\s+)?(?:(\d{1,3})\s*(sc|hdc|dc)|(sc|hdc|dc)\s*(\d{1,3}))\b`,
    ),
    by: (...found) => {
      const [, which = '2nd', before, stitch, other, after] = found;
      return fromHook(before ?? after ?? '1', which, stitch ?? other);
    },
  },
  {
    example: [
      'Starting in the 2nd ch from hook, sc in each ch across',
      'sc in 2nd ch from hook and in each ch across',
    ],
    pattern: re(
      String.raw`(?:starting|beginning|start|begin)\s+(?:in|from|with|at|into)\s+(?:the\s+)?(2nd|second|3rd|third|4th|fourth)\s+${ch}(?:\s+from\s+(?:the\s+)?hook)?\s*[,:]?\s*(?:work\s+)?(?:(?:1|one|a)\s+)?(sc|hdc|dc)\s+(?:in(?:to)?\s+)?(?:each|every|all)(?:\s+(?:${ch}|${st}))?(?:\s+(?:across|along))?`,
    ),
    by: (_, which, stitch) => `${stitch} in ${which} ch from hook and in each ch across`,
  },
  {
    example: ['3 sc starting in second ch from hook', 'sc in 2nd ch from hook, sc 2'],
    pattern: re(
      String.raw`(\d{1,3})\s*sc\s+(?:starting|beginning)\s+(?:in|from|with|at)\s+(?:the\s+)?(2nd|second|3rd|third)\s+${ch}(?:\s+from\s+(?:the\s+)?hook)?`,
    ),
    by: (_, count, which) => fromHook(count ?? '1', which ?? '2nd'),
  },
  {
    example: ['sc across starting in 2nd ch from hook', 'sc in 2nd ch from hook and in each ch across'],
    pattern: re(
      String.raw`sc\s+(?:in\s+each\s+${ch}(?:\s+across)?|across|in\s+every\s+${ch})\s*,?\s*(?:starting|beginning)?\s*(?:in|from|with|at)\s+(?:the\s+)?(2nd|second|3rd|third)\s+${ch}(?:\s+from\s+(?:the\s+)?hook)?`,
    ),
    by: (_, which) => `sc in ${which} ch from hook and in each ch across`,
  },
  {
    example: ['ch 10, skip first ch, sc in each ch', 'ch 10, sc in 2nd ch from hook and in each ch across'],
    pattern: re(
      String.raw`(?<=^[^,;]{0,30}(?:\bch(?:ain)?s?[\s-]*\d{1,3}|\b\d{1,3}\s*ch(?:ain)?s?)\s*[,;.]\s*(?:turn\s*[,;.]\s*)?)(?:skip|miss|sk)\s+(?:1|one|the\s+first|first|1st)(?:\s+${ch}(?:\s+from\s+(?:the\s+)?hook)?)?\s*[,;]?\s*(?:and\s+|then\s+)*(sc|hdc|dc)\s+(?:in(?:to)?\s+)?(?:each|every|all|across|the\s+rest)(?:\s+(?:of\s+(?:the\s+)?)?(?:(?:remaining|rem|other|rest)\s+)?(?:of\s+the\s+)?(?:${ch}|${st}))?(?:\s+(?:across|along|to\s+(?:the\s+)?end))?(?![a-z\s]*\d)(?![a-z])`,
    ),
    by: (_, stitch) => `${stitch} in 2nd ch from hook and in each ch across`,
  },
  {
    example: ['ch 10, skip 1, sc 9', 'ch 10, sc in 2nd ch from hook, sc 8'],
    pattern: re(
      String.raw`(?<=^[^,;]{0,30}(?:\bch(?:ain)?s?[\s-]*\d{1,3}|\b\d{1,3}\s*ch(?:ain)?s?)\s*[,;.]\s*(?:turn\s*[,;.]\s*)?)(?:skip|miss|sk)\s+(?:1|one|the\s+first|first|1st)(?:\s+${ch}(?:\s+from\s+(?:the\s+)?hook)?)?\s*[,;]?\s*(?:and\s+|then\s+)*(?:(sc|hdc|dc)\s+(?:in\s+(?:the\s+)?(?:next\s+)?)?(\d{1,3})|(\d{1,3})\s*(sc|hdc|dc))(?:\s+(?:${ch}|${st}))?(?![a-z\d])`,
    ),
    by: (...found) => {
      const [, stitch, after, before, other] = found;
      return fromHook(after ?? before ?? '1', '2nd', stitch ?? other);
    },
  },
  {
    example: ['sc into the back bump of 2nd ch from hook', 'sc into 2nd ch from hook'],
    pattern:
      /(?:the\s+)?back\s+(?:bumps?|humps?|bars?)\s+of\s+(?:the\s+)?(?=(?:2nd|3rd|second|third|next|each|every)\b)/gi,
    by: () => '',
  },
  {
    example: ['Row 1: skip first ch, sc in next 8 ch', 'Row 1: sc in 2nd ch from hook, sc 7'],
    pattern: re(
      String.raw`${label}(?:skip|miss|sk)\s+(?:1|one|the\s+first|first)\s+${ch}\s*,?\s*(?:then\s+)?(?:sc\s+(?:in\s+)?(?:the\s+)?(?:next\s+|each\s+of\s+the\s+next\s+)?(\d{1,3})|(\d{1,3})\s+sc)(?:\s+${ch})?`,
    ),
    by: (_, one, other) => fromHook(one ?? other ?? '1', '2nd'),
  },
  {
    example: ['ch 3, sl st in 2nd ch, sl st', 'ch 3, sl st in 2nd ch from hook, sl st'],
    pattern: re(
      String.raw`(?<=ch\s*\d{1,2}\s*[,;]\s*(?:\d\s*)?(?:${sl}|sc|hdc|dc|inc)\s+in\s+(?:the\s+)?)(2nd|3rd|second|third)\s+ch(?:ain)?(?!\s*(?:from|s?p|-))(?![a-z])`,
    ),
    by: (_, which) => `${which} ch from hook`,
  },
  {
    example: ['3 sc in last ch, rotate, sc in next 3 ch', '3 sc in last ch, on other side: sc in next 3 ch'],
    pattern:
      /(?<=in\s+(?:the\s+)?last\s+ch(?:ain)?\s*[,;])\s*(?:rotate|turn)(?:\s+(?:the\s+)?(?:work|piece))?\s*[,;](?=\s*(?:\d+\s*)?(?:sc|dc|hdc)\s+in\s)/gi,
    by: () => ' on other side:',
  },
  {
    // Several in the last chain go around its end; one would be a row that is turned.
    example: ['3 sc in last ch, turn work, sc 3', '3 sc in last ch, on other side: sc 3'],
    pattern:
      /(?<=(?:\b[2-9]|\btwo|\bthree|\bfour|\bfive)\s*(?:sc|dc|hdc)\s+in(?:to)?\s+(?:the\s+)?last(?:\s+ch(?:ain)?)?\s*[,;.])\s*(?:rotate|turn|flip)(?:\s+(?:the\s+|your\s+)?(?:work|piece|chain))?(?:\s+(?:around|over))?\s*[,;:](?=\s*(?:\d+\s*)?(?:sc|dc|hdc)\b)/gi,
    by: () => ' on other side:',
  },
  {
    example: ['turn to the other side, sc 3', 'on other side: sc 3'],
    pattern: re(
      String.raw`\b(?:rotate|turn|flip)(?:\s+(?:the\s+|your\s+)?(?:work|piece|chain))?\s+(?:around\s+)?(?:to|onto)\s+(?:the\s+)?(?:other|opposite|second)\s+side(?:\s+of\s+(?:the\s+)?(?:foundation\s+|starting\s+)?${ch})?\s*[,:;.]?`,
    ),
    by: () => 'on other side:',
  },
  {
    example: ['on the back of the chain, sc 3', 'on other side: sc 3'],
    pattern: re(
      String.raw`\b(?:on|along|in|into|down)\s+the\s+(?:back|bottom|underside|lower\s+(?:side|edge)|free\s+loops)\s+of\s+the\s+(?:foundation\s+|starting\s+)?${ch}\s*[,:;.]?`,
    ),
    by: () => 'on other side:',
  },
  {
    example: ['on other side: sc 4, 2 sc in the first ch', 'on other side: sc 4, 2 sc in last'],
    pattern: re(
      String.raw`(?<=\bother\s+side\b[^.]{0,80}?\d\s*sc\s+)in(?:to)?\s+(?:the\s+)?(?:very\s+)?first\s+${ch}`,
    ),
    by: () => 'in last',
  },
  {
    example: ['rotate to work along the opposite side of the foundation chain, sc 4', 'on other side: sc 4'],
    pattern: re(
      String.raw`(?:(?:do\s+not\s+turn\s*[;,]?\s*)?(?:(?:turn|rotate|flip)(?:\s+(?:the\s+)?(?:work|piece))?\s*(?:and|to|,|;)?\s*)?(?:now\s+)?(?:(?:continue|work|working|go|going|crochet)(?:ing)?(?:\s+on)?\s*)+)(?:along|into|on|down|in|across|back\s+along)\s+(?:the\s+)?(?:(?:other|opposite|bottom|back|free|unused|remaining|under)[\s-]*)+(?:side|loops?|edge)?(?:\s*of\s+(?:the\s+)?(?:foundation\s+|starting\s+|beginning\s+)?${ch})?\s*[,:;.]?`,
    ),
    by: () => 'on other side:',
  },
  {
    example: ['2 sc in the same ch as the first sc', '2 sc in last'],
    pattern: re(
      String.raw`(?<=\d\s*sc\s+)in\s+(?:the\s+)?same\s+(?:ch(?:ain)?|${st}|loop)\s+as\s+(?:the\s+)?(?:first|1st)\s+${st}`,
    ),
    by: () => 'in last',
  },
  {
    example: ['sl st in 2nd ch from hook and next 2 ch', 'sl st in 2nd ch from hook, sl st 2'],
    pattern: re(
      String.raw`\b(${sl}|sc|hdc|dc)(\s+in\s+(?:the\s+)?(?:2nd|3rd|second|third)\s+${ch}\s+from\s+(?:the\s+)?hook)\s*(?:,|and)\s*(?:in\s+)?(?:the\s+|each\s+of\s+the\s+)?next\s+(\d{1,2})\s*(?:${ch}|${st})`,
    ),
    by: (_, stitch, where, count) => `${stitch}${where}, ${stitch} ${count}`,
  },
  {
    example: ['R3-R4: work even', 'R3-R4: sc around'],
    pattern: re(
      String.raw`${label}(?:(?:work|continue|crochet)\s+)?(?:even(?:ly)?|straight|plain)(?=\s*[[(.]|\s*$)`,
    ),
    by: () => 'sc around',
  },
  {
    example: ['R3-R4: 12 sc each', 'R3-R4: 12 sc'],
    pattern: re(
      String.raw`(?<=\b\d{1,3}\s*(?:sc|sts?|stitches))\s+(?:(?:in|for|per)\s+)?(?:each|every)(?:\s+(?:round|rnd|row))?(?=\s*[)\]]?\s*\.?\s*$)`,
    ),
    by: () => '',
  },
  {
    example: ['inc in first 6 sts, sc in rem sts', 'inc in next 6 sts, sc in rem sts'],
    pattern: re(String.raw`\bin\s+(each\s+of\s+)?(?:the\s+)?first\s+(\d{1,3})\s+(${st})`),
    by: (_, each, count, stitch) => `in ${each ?? ''}next ${count} ${stitch}`,
  },
  {
    example: ['(sc)3, (inc)3, (sc)18', 'sc 3, inc 3, sc 18'],
    pattern: /[([](sc|hdc|dc|inc|dec)[)\]]\s*(\d{1,3})(?=\s*(?:[,.;]|$|[([]))/gi,
    by: (_, stitch, count) => `${stitch} ${count}`,
  },
];
