import { bridged } from './grown';
import { numberWords, ordinalWords } from './tokens';
import type { Rewriting } from './rewriting';
import { workedIn } from './workedIn';

/** A manner of speaking, and the words the grammar reads for it. */
interface Phrasing {
  /** `said → as read`, for whoever looks for a manner here; each is a test */
  example: readonly [said: string, read: string];
  pattern: RegExp;
  by: (...found: string[]) => string;
}

const numberOf = (said: string): number => numberWords[said.toLowerCase()] ?? Number(said);
const n = String.raw`(\d{1,3}|${Object.keys(numberWords).join('|')})`;
const st = String.raw`(?:stitch(?:es)?|sts?|sc)(?![a-z])`;
const ch = String.raw`(?:chains?|chs?|loops?)(?![a-z])`;
const sl = String.raw`(?:sl(?:ip)?[\s.-]*st(?:itch)?|ss)(?![a-z])`;
const label = String.raw`(?<=^\s*(?:rounds?|rnds?|rows?|rds?|r)?\.?\s*\d{1,4}(?:\s*(?:[-–]|to|through)\s*(?:r|rnds?|rounds?|rows?)?\.?\s*\d{1,4}|(?:st|nd|rd|th)\s+(?:rounds?|rnds?|rows?))?\s*[:.)|–-]?\s*)`;
const nth: Readonly<Record<string, number>> = {
  other: 2,
  second: 2,
  third: 3,
  fourth: 4,
  fifth: 5,
  sixth: 6,
};

/** A change in every so-manieth stitch: `inc every 4th st` is three plain ones and an increase. */
function everyNth(change: string, which: string, digit: string | undefined): string {
  const plain = (digit ? Number(digit) : (nth[which.toLowerCase()] ?? 2)) - 1;
  return `(${plain === 1 ? 'sc' : `${plain} sc`}, ${/^dec/i.test(change) ? 'dec' : 'inc'}) around`;
}

/** `3X, V, A` as makers write them who give each stitch a letter. */
const lettered = (work: string): string =>
  work
    .replace(/(\d*)\s*X/g, '$1 sc')
    .replace(/(\d*)\s*V/g, '$1 inc')
    .replace(/(\d*)\s*A/g, '$1 dec');

const ending = String.raw`(?=\s*(?:[,.;]|[[(]\s*\d|=|$))`;
const re = (source: string) => new RegExp(source, 'gi');

/** So many into chains counted from the hook: the first into its chain, the others on along it. */
const fromHook = (count: string, which: string): string => {
  const stitches = numberOf(count);
  const nth = which.toLowerCase().replace('second', '2nd').replace('third', '3rd').replace('fourth', '4th');
  return `sc in ${nth} ch from hook${stitches > 1 ? `, sc ${stitches - 1}` : ''}`;
};

/** So many stitches in one, where no word says which: in words of neither terms, so that what is read does not decide which are meant. */
function severalInOne(said: string): string {
  const count = numberOf(said);
  if (count === 2) return 'inc';
  return count === 3 ? 'inc3' : `${count} st`;
}

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

const nthOf = (word: string) => ordinalWords.indexOf(word.toLowerCase()) + 1;
const nthWord = `(${ordinalWords.join('|')})`;

/** In the order they are tried: longer manners before the words they are made of. */
export const phrasings: readonly Phrasing[] = [
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
    example: ['For round 5, sc around', 'round 5: sc around'],
    pattern: re(
      String.raw`^(\s*)(?:on|for|in)\s+(?:the\s+)?(rounds?|rnds?|rows?)\s*(\d{1,4})\s*[:,](?=.*\b(?:\d*sc|\d*dc|\d*hdc|inc|dec|single|double)\b)`,
    ),
    by: (_, space, word, number) => `${space}${word} ${number}:`,
  },
  {
    example: ['Round #5: sc around', 'Round 5: sc around'],
    pattern: /^(\s*(?:rounds?|rnds?|rows?|r))(?:\s*(?:#|no\.?|number)\s*|\.)(?=\d)/gi,
    by: (_, word) => `${word} `,
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
      /(?<=[([{]\s*)(\d{1,2})(?=\s*,)|(?<=\b(?:\d*\s*inc|\d*\s*dec|\d*\s*sc)\b[^:]{0,60},\s*)(\d{1,2})(?=\s*(?:[,)\]}]|[([]\s*\d))/gi,
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
      /(?<=\b(?:sc|hdc|dc|inc|dec|increase|decrease|crochet)\s+in(?:to)?\s+(?:each|every))(?:\s+one)?(?=\s*(?:[[(]\s*\d|[.;]?\s*$|,?\s*around|,?\s*turn))/gi,
    by: () => ' st',
  },
  {
    example: ['skip every other stitch', '(1 st, skip 1) around'],
    pattern: /\b(?:skip|miss)\s+every\s+(?:other|second|2nd)\s+(?:st|stitch|sc)(?:\s+around)?(?![a-z])/gi,
    by: () => '(1 st, skip 1) around',
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
    example: ['sc around, sl st to top of ch 2', 'sc around, sl st to first st'],
    pattern: re(
      String.raw`${sl}\s+(?:to|in|into)\s+(?:the\s+)?top(?:\s+(?:ch|chain|loop))?(?:\s+of\s+(?:the\s+)?(?:beginning\s+|starting\s+|turning\s+|first\s+|beg\s+)?${ch}(?:[\s-]*\d)?)?`,
    ),
    by: () => 'sl st to first st',
  },
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
      String.raw`(?<![a-z])sc\s*(\d{1,3})\s+(?:starting|beginning)\s+(?:in|from|with|at)\s+(?:the\s+)?(2nd|second|3rd|third)\s+${ch}(?:\s+from\s+(?:the\s+)?hook)?`,
    ),
    by: (_, count, which) => fromHook(count ?? '1', which ?? '2nd'),
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
      String.raw`(?<![a-z]\s*)(?<!\b(?:sc|st|ss|hdc|dc|tr|inc|dec|stitch|each|ch)\s+)(?:starting\s+|beginning\s+|start\s+)?(?:from|in|at|with|into)\s+(?:the\s+)?(2nd|second|3rd|third|4th|fourth)\s+${ch}(?:\s+from\s+(?:the\s+)?hook)?\s*[:,]?\s*(?:work\s+)?(?:(\d{1,3})\s*sc|sc\s*(\d{1,3}))\b`,
    ),
    by: (_, which, before, after) => fromHook(before ?? after ?? '1', which ?? '2nd'),
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
    example: ['Row 1: skip first ch, sc in next 8 ch', 'Row 1: sc in 2nd ch from hook, sc 7'],
    pattern: re(
      String.raw`${label}(?:skip|miss|sk)\s+(?:1|one|the\s+first|first)\s+${ch}\s*,?\s*(?:then\s+)?(?:sc\s+(?:in\s+)?(?:the\s+)?(?:next\s+|each\s+of\s+the\s+next\s+)?(\d{1,3})|(\d{1,3})\s+sc)(?:\s+${ch})?`,
    ),
    by: (_, one, other) => fromHook(one ?? other ?? '1', '2nd'),
  },
  {
    example: ['ch 3, sl st in 2nd ch, sl st', 'ch 3, sl st in 2nd ch from hook, sl st'],
    pattern: re(
      String.raw`(?<=ch\s*\d{1,2}\s*[,;]\s*(?:${sl}|sc|hdc|dc)\s+in\s+(?:the\s+)?)(2nd|3rd|second|third)\s+ch(?:ain)?(?!\s*(?:from|s?p|-))(?![a-z])`,
    ),
    by: (_, which) => `${which} ch from hook`,
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
  // What does not count
  {
    example: ['ch 1, skip the sl st, sc around', 'ch 1, sc around'],
    pattern: re(String.raw`(?:skip|miss|sk)\s+(?:over\s+)?(?:the\s+)?(?:joining\s+)?${sl}\s*[,;]?\s*`),
    by: () => '',
  },
  {
    example: ['ch 1, sc in same st and in each st around', 'ch 1, sc in each st around'],
    pattern: re(
      String.raw`sc\s+in\s+(?:the\s+)?same\s+(?:st|stitch)(?:\s+as\s+[^,;.]{1,30}?)?\s*(?:,|and|,\s*then)\s*(?:sc\s+)?in\s+each\s+(?:(?:remaining|following|next)\s+)?(?:st|stitch|sc)(?:\s+around)?`,
    ),
    by: () => 'sc in each st around',
  },
  {
    example: ['6 dec, sl st, ch 1 and break off the yarn.', '6 dec, fasten off.'],
    pattern: re(
      String.raw`(?<=\d\s*(?:sc|dec|inc)?|around|[)\]])\s*[,.;]\s*${sl}(?:\s+(?:to|in)\s+(?:the\s+)?(?:first|next)\s+${st})?\s*,?\s*(?:and\s+)?ch(?:ain)?\s*1\s*,?\s*(?:and\s+)?(?:break|cut|fasten|finish|bind)(?:\s+(?:off|the))*(?:\s+yarn)?`,
    ),
    by: () => ', fasten off',
  },
  // The whole round
  {
    example: ['R5: (3X, V)*6 (30)', 'R5: (3 sc, inc)*6 (30)'],
    pattern: new RegExp(
      String.raw`(?<=^\s*(?:[Rr][a-z]{0,5})?\.?\s*\d{1,4}(?:\s*[-–]\s*(?:[Rr][a-z]{0,5})?\.?\s*\d{1,4})?\s*[:.)|–-]?\s*)(?=[^a-z]*[XV])([\sXVA\d(),.*×+-]+(?:x\s*\d{1,3}\s*)?)(?=[[(=]\s*\d+[^[(]*$|$)`,
      'g',
    ),
    by: (_, work) => lettered(work ?? ''),
  },
  {
    example: ['3) 6A (6)', '3)  6 dec (6)'],
    pattern: new RegExp(
      String.raw`(?<=^\s*(?:[Rr][a-z]{0,5})?\.?\s*\d{1,4}(?:\s*[-–]\s*(?:[Rr][a-z]{0,5})?\.?\s*\d{1,4})?\s*[:.)|–-]?\s*)(\d{1,3}\s*[XVA])(?=\s*(?:in(?:to)?\s|[[(=]\s*\d|$))`,
      'g',
    ),
    by: (_, work) => lettered(work ?? ''),
  },
  {
    example: ['inc in every other st', '(sc, inc) around'],
    pattern:
      /(?:(?:(?:and|while|by)\s+)?(?:(?:making|working|with)\s+)?(?:an?\s+)?(inc(?:reas(?:e|ing))?|dec(?:reas(?:e|ing))?|2\s*sc|two\s+sc)\s+(?:in\s+|into\s+)?)every\s+(other|second|third|fourth|fifth|sixth|(\d)(?:nd|rd|th))(?:\s+and\s+(?:\d(?:nd|rd|th)|third|fourth|fifth|sixth))?\s+(?:st|stitch|sc)(?:\s+around)?(?![a-z])/gi,
    by: (_, change, which, digit) => everyNth(change ?? '', which ?? '', digit),
  },
  {
    example: ['dec after every 2 sc', '(2 sc, dec) around'],
    pattern:
      /(?<![a-z])(inc|dec)(?:rease)?\s+after\s+(?:every|each)\s+(\d{1,2})(?:\s*(?:sc|sts?|stitch(?:es)?))?(?![a-z\d])/gi,
    by: (_, change, plain) => `(${plain} sc, ${change}) around`,
  },
  {
    example: ['R7-11: sc around (5 rounds)', 'R7-11: sc around'],
    pattern:
      /(?<=[a-z\d)\]]\s*)[([]\s*\d{1,2}\s+(?:rounds|rnds|rows)(?:\s+(?:in\s+all|total|altogether))?\s*[)\]](?=\s*(?:[[(]|\.?\s*$))/gi,
    by: () => '',
  },
  {
    example: ['make a magic ring with 6 sc', '6 sc in magic ring'],
    pattern:
      /(?<=^\s*(?:[a-z]*\s*\d+\s*[:.)–-]\s*)?)make\s+an?\s+(magic|adjustable)\s+(ring|circle|loop)\s+(?:with|of)\s+(\d{1,2})\s*(sc|dc|hdc)(?![a-z])/gi,
    by: (...found) => {
      const [, kind, loop, count, stitch] = found;
      return `${count} ${stitch} in ${kind} ${loop}`;
    },
  },
  {
    example: ['sc around (24 sts per round)', 'sc around (24 sts)'],
    pattern:
      /(?<=[([]\s*\d{1,4}\s*(?:sc|dc|sts?|stitches)?)\s*(?:per|each|every|in\s+each)\s+(?:round|rnd|row)(?=\s*[)\]])/gi,
    by: () => '',
  },
  {
    example: ['R5: 6(3 sc, inc) (30)', 'R5: 6 x (3 sc, inc) (30)'],
    pattern: re(String.raw`${label}(\d{1,2})\s*(?=\([^()]*[a-z][^()]*\))`),
    by: (_, times) => `${times} x `,
  },
  {
    example: ['3 sc, inc; repeat these 5 times more', '3 sc, inc; repeat 5 more times'],
    pattern:
      /\b(repeat|rep)\s+(?:these|this|that|it|the\s+above|from\s+the\s+beginning)\s+(\d{1,3})\s+(?:times\s+more|more\s+times)/gi,
    by: (_, word, times) => `${word} ${times} more times`,
  },
  {
    example: ['repeat 5 times more', 'repeat 5 more times'],
    pattern: /\b(\d{1,3})\s+times\s+more\b/gi,
    by: (_, times) => `${times} more times`,
  },
  {
    example: ['R5.-7. sc around', 'R5-7: sc around'],
    pattern:
      /^(\s*)(?:r|rnds?|rounds?|rds?)?\s*(\d{1,3})[.)]\s*[-–]\s*(?:r|rnds?|rounds?|rds?)?\s*(\d{1,3})\s*[.:)]/gi,
    by: (_, space, first, last) => `${space}R${first}-${last}:`,
  },
  {
    example: ['R5 sc around 30', 'R5 sc around [30]'],
    pattern:
      /(?=\s+\d{1,4}\s*$)(?<=(?:\bx\s*\d{1,3}|×\s*\d{1,3}|\btimes|(?<![a-z])(?:sc|dc|inc|dec)\s+a?round|\beach\s+(?:st|stitch)(?:\s+around)?|(?<![a-z])(?:sc|dc)\s+in(?:to)?\s+(?:an?\s+|the\s+)?(?:magic\s+|adjustable\s+)?(?:mr|mc|ring|circle|loop)))\s+(\d{1,4})\s*$/gi,
    by: (_, total) => ` [${total}]`,
  },
  {
    example: ['R6-R8: same as round 5 (24)', 'R6-R8: repeat R5 (24)'],
    pattern: re(
      String.raw`${label}(?:(?:the\s+)?same\s+as|as|like|work\s+as)\s+(?:for\s+|in\s+)?(?:R|rnds?|rounds?|rows?)\.?\s*(\d{1,3})`,
    ),
    by: (_, round) => `repeat R${round}`,
  },
  {
    example: ['sc 2, dec until end', 'sc 2, dec around'],
    pattern: re(
      String.raw`\b(?:until|till)\s+(?:the\s+|you\s+reach\s+the\s+)?end(?:\s+of\s+(?:the\s+)?(?:round|rnd|row))?`,
    ),
    by: () => 'around',
  },
  {
    example: ['3 sc, inc (around)', '3 sc, inc around'],
    pattern: /\(\s*(?:repeat\s+)?(?:all\s+)?around\s*\)/gi,
    by: () => 'around',
  },
  {
    example: ['sc 4, inc, finish the round with sc', 'sc 4, inc, sc in each remaining st'],
    pattern: re(
      String.raw`(?:finish|complete|end|fill)(?:\s+(?:off|up|out))?\s+(?:the\s+)?(?:rest\s+of\s+the\s+)?(?:round|rnd|row)\s+(?:with|in|by)\s+(?:plain\s+)?sc`,
    ),
    by: () => 'sc in each remaining st',
  },
  {
    example: ['R5: sc in back loops only (24)', 'R5: sc in BLO around (24)'],
    pattern: re(
      String.raw`${label}(sc|hdc|dc|tr)\s+(?:(?:in|into|through)\s+(?:the\s+)?)?(?:(back|front)\s+loops?(?:\s+only)?|(blo|flo))${ending}`,
    ),
    by: (_, stitch, loops, short) =>
      `${stitch} in ${/^b/i.test(loops ?? short ?? '') ? 'BLO' : 'FLO'} around`,
  },
  {
    example: ['R4: 18 (18)', 'R4: sc around (18)'],
    pattern: re(String.raw`${label}(\d{1,3})(?=\s*[[(]\s*\1\s*[)\]]\s*\.?\s*$)`),
    by: () => 'sc around',
  },
  {
    example: ['double each stitch', 'inc in each stitch'],
    pattern: re(String.raw`\bdouble\s+(?:each|every|all(?:\s+the)?)\s+${st}`),
    by: () => 'inc in each stitch',
  },
  {
    example: ['rep 6 times: sc 2, dec (18)', '(sc 2, dec) x 6 (18)'],
    pattern: re(
      String.raw`(?:rep(?:eat)?|do(?:\s+this)?)\s+(?:the\s+following\s+)?${n}\s*(?:times|x)\s*:\s*([^([\]):]+?)(?=\s*(?:[[(]\s*\d|=|\.?\s*$))`,
    ),
    by: (_, times, body) => `(${body}) x ${numberOf(times ?? '1')}`,
  },
  {
    example: ['sc 2 dec 1 repeat to end', '(sc 2, dec) around'],
    pattern: re(
      String.raw`(?=sc|\d{1,2}\s*sc)(?<=^[^([*]*?)((?:sc|\d{1,2}\s*sc)\s*\d{0,2})\s*[, ]\s*(inc|dec)(\s*1)?\s*[,;]?\s*(?:repeat|rep)\s+(?:to|until|till)\s+(?:the\s+)?end(?:\s+of\s+(?:the\s+)?(?:round|rnd|row))?`,
    ),
    by: (_, plain, change) => `(${plain}, ${change}) around`,
  },
  {
    example: [
      'sc in the next 2 sc, then 2 sc in the next sc around',
      'sc in the next 2 sc, 2 sc in the next sc around',
    ],
    pattern: /,\s*(?:and\s+)?then\s+/gi,
    by: () => ', ',
  },
  // Words for stitches
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
    example: ['ch 3, sl st in 3rd ch from hook (picot)', 'ch 3, sl st in 3rd ch from hook'],
    pattern: /\(\s*picot\s*\)/gi,
    by: () => '',
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
  // Colours
  {
    example: ['R5: 6W 12B 6W', 'R5: sc 6 in W, sc 12 in B, sc 6 in W'],
    pattern: re(
      String.raw`${label}(?=(?:\d{1,3}\s?[A-Z](?![a-zA-Z])[,\s]*){2,}(?:[[(=]|$))((?:\d{1,3}\s?[A-Z][,\s]*)+)`,
    ),
    by: (_, chart) =>
      [...(chart ?? '').matchAll(/(\d{1,3})\s?([A-Z])/gi)]
        .map(([, count, colour]) => `sc ${count} in ${colour}`)
        .join(', ') + ' ',
  },
  {
    example: ['sc 12 (front), sc 12 (back)', 'sc 12, sc 12'],
    pattern:
      /(?<=\d\s*(?:sc)?)\s*\(\s*(?:the\s+)?(?:front|back|left|right|side|top|bottom|belly|face|chest)(?:\s+(?:side|half))?\s*\)/gi,
    by: () => '',
  },
  {
    example: ['sc 8 (cream), sc 8 (grey)', 'sc 8 in cream, sc 8 in grey'],
    pattern:
      /(?<=\b(?:sc|hdc|dc)\s*\d{1,3}|\d{1,3}\s*(?:sc|hdc|dc))\s*\(\s*(?:in\s+|with\s+|colou?r\s+)?(?!inc|dec|sc\b|st\b|sts\b|around|total|even)([a-z]{3,12}(?:\s[a-z]{3,12})?)\s*\)/gi,
    by: (_, colour) => ` in ${colour}`,
  },
  // Remarks
  {
    example: ['(sc 2, dec) x 6 [18] - 1 round done', '(sc 2, dec) x 6 [18]'],
    pattern: /(?<=[\])])\s*[-–—]\s*[a-z0-9 ]{0,30}\b(?:done|complete|completed|finished|made)\b.*$/gi,
    by: () => '',
  },
];

/** Brings a line to words that the grammar reads. */
export function rephrase(rewriting: Rewriting): void {
  // One space does, and manners that allow any number would try each.
  rewriting.replace(/\s{2,}/g, () => ' ');
  bridged(rewriting);
  workedIn(rewriting);
  for (const { pattern, by } of phrasings) rewriting.replace(pattern, by);
}
