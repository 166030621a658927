import { n, nthOf, numberOf, st, sl, label, ending, re, type Phrasing } from './phrasing';

/** Which of the stitches: `every other`, `each 3rd`. */
const everyWhich = String.raw`(?:every|each)\s+(other|second|third|fourth|fifth|sixth|seventh|eighth|ninth|tenth|(\d{1,2})(?:st|nd|rd|th))`;
/** The stitch it is, with what follows it to the end of the round. */
const ofTheRound = String.raw`(?:\s+and\s+(?:\d{1,2}(?:nd|rd|th)|third|fourth|fifth|sixth))?\s+(?:st|stitch|sc)(?:\s+around)?(?![a-z])`;
/** Plain work that goes before what happens now and then, and says no more than it. */
const plainBefore = String.raw`(?:(?:1\s+|one\s+)?(?<![a-z])sc(?:\s+(?:around|all\s+around|in(?:to)?\s+(?:each|every)\s+(?:st|stitch)(?:\s+around)?))?\s*,?\s*(?:and|but|with|while|by)?\s*(?=(?:making|working|with)?\s*(?:an?\s+)?(?:inc|dec|2|two)))?`;

const whichStitch = (which: string, digit: string | undefined): number =>
  digit ? Number(digit) : Math.max(2, nthOf(which));

/** A change in every so-manieth stitch: `inc every 4th st` is three plain ones and an increase. */
function everyNth(change: string, which: string, digit: string | undefined): string {
  const plain = whichStitch(which, digit) - 1;
  return `(${plain === 1 ? 'sc' : `${plain} sc`}, ${/^(?:dec|sc2tog)/i.test(change) ? 'dec' : 'inc'}) around`;
}

/** `3X, V, A` as makers write them who give each stitch a letter. */
const lettered = (work: string): string =>
  work
    .replace(/(\d*)\s*X/g, '$1 sc')
    .replace(/(\d*)\s*V/g, '$1 inc')
    .replace(/(\d*)\s*A/g, '$1 dec');

/** A whole round, and what of its line does not count. In the order they are tried: longer manners before the words they are made of. */
export const roundPhrasings: readonly Phrasing[] = [
  // What does not count
  {
    example: ['ch 1, skip the sl st, sc around', 'ch 1, sc around'],
    pattern: re(String.raw`(?:skip|miss|sk)\s+(?:over\s+)?(?:the\s+)?(?:joining\s+)?${sl}\s*[,;]?\s*`),
    by: () => '',
  },
  {
    example: ['ch 1, hdc in same st and in each st around', 'ch 1, hdc in each st around'],
    pattern: re(
      String.raw`(sc|hdc|dc)\s+in\s+(?:the\s+)?same\s+(?:st|stitch)(?:\s+as\s+[^,;.]{1,30}?)?\s*(?:,|and|,\s*then)\s*(?:\1\s+)?(?:in\s+)?each\s+(?:(?:remaining|following|next)\s+)?(?:st|stitch|sc)(?:\s+around)?`,
    ),
    by: (_, stitch) => `${stitch} in each st around`,
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
    pattern: re(
      String.raw`${plainBefore}(?:(?:and|while|by)\s+)?(?:(?:making|working|with)\s+)?(?:an?\s+)?(?<![a-z\d])(inc(?:reas(?:e|ing))?|dec(?:reas(?:e|ing))?|(?:2|two)\s*sc|sc2tog|(?<=with\s+)(?:2|two))\s+(?:in\s+|into\s+|over\s+)?${everyWhich}${ofTheRound}`,
    ),
    by: (_, change, which, digit) => everyNth(change ?? '', which ?? '', digit),
  },
  {
    example: ['R5: sc in every other stitch', 'R5: (sc, skip 1) around'],
    pattern: re(
      String.raw`${label}(sc|hdc|dc)\s+in(?:to)?\s+${everyWhich}\s+(?:st|stitch|sc)(?:\s+around)?(?=\s*(?:[[(]\s*\d|=|\.?\s*$))`,
    ),
    by: (_, stitch, which = '', digit) => `(${stitch}, skip ${whichStitch(which, digit) - 1}) around`,
  },
  {
    example: ['every 4th stitch is an increase', '(3 sc, inc) around'],
    pattern: re(
      String.raw`${everyWhich}\s+(?:st|stitch|sc)\s+(?:is|gets|becomes)\s+(?:an?\s+)?(inc(?:rease)?|dec(?:rease)?)(?![a-z])`,
    ),
    by: (_, which, digit, change) => everyNth(change ?? '', which ?? '', digit),
  },
  {
    example: ['sc in each st, skipping every 4th st', '(3 sc, skip 1) around'],
    pattern: re(
      String.raw`(?<![a-z])(sc|hdc|dc)\s+(?:around|(?:in(?:to)?\s+)?(?:each|every)\s+(?:st|stitch)(?:\s+around)?)\s*,?\s*(?:but\s+|and\s+)?(?:skip(?:ping)?|miss(?:ing)?|omit(?:ting)?|leav(?:e|ing)\s+out)\s+${everyWhich}(?:\s+(?:st|stitch|one))?(?:\s+around)?(?![a-z])`,
    ),
    by: (_, stitch, which = '', digit) => `(${whichStitch(which, digit) - 1} ${stitch}, skip 1) around`,
  },
  {
    example: ['R5: 1sc 1dec x 8', 'R5: (1 sc, 1 dec) x 8'],
    pattern: re(
      String.raw`${label}(\d{1,2})\s*(sc|hdc|dc)\s*,?\s+(\d{1,2})\s*(inc|dec)\s*[x×*]\s*(\d{1,2})(?=\s*(?:[[(=]\s*\d|\.?\s*$))`,
    ),
    by: (...found) => {
      const [, plain, stitch, changes, change, times] = found;
      return `(${plain} ${stitch}, ${changes} ${change}) x ${times}`;
    },
  },
  {
    example: ['6x(2 sc, dec) 18', '6x(2 sc, dec) [18]'],
    pattern: /(?<=\d{1,2}\s*[x×*]\s*\([^()]*\))\s+(\d{1,4})\s*$/gi,
    by: (_, total) => ` [${total}]`,
  },
  {
    example: ['dec after every 2 sc', '(2 sc, dec) around'],
    pattern:
      /(?<![a-z])(inc|dec)(?:rease)?\s+after\s+(?:every|each)\s+(\d{1,2})(?:\s*(?:sc|sts?|stitch(?:es)?))?(?![a-z\d])/gi,
    by: (_, change, plain) => `(${plain} sc, ${change}) around`,
  },
  {
    example: ['R3: sc around for 5 rounds (R3-R7)', 'R3: sc around for 5 rounds'],
    pattern:
      /(?<=[a-z\d)\]]\s*)[([]\s*(?:r|rnds?|rounds?|rows?)\.?\s*\d{1,3}\s*(?:[-–]|to|through)\s*(?:r|rnds?|rounds?|rows?)?\.?\s*\d{1,3}\s*[)\]](?=\s*(?:[[(]|\.?\s*$))/gi,
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
    example: ['(3 sc, inc) x 6 » 30', '(3 sc, inc) x 6 [30]'],
    pattern: /(?<=[a-z\d)\]]\s*)(?:[»›≫]\s*(\d{1,4})|([|/~*])\s*(\d{1,4})\s*\2)\s*$/gi,
    by: (_, after, _sign, between) => ` [${after ?? between}]`,
  },
  {
    example: ['(3 sc, inc) x 6 (should be 30)', '(3 sc, inc) x 6 [30]'],
    pattern:
      /(?<=[a-z\d)\]]\s*)[,;.–-]?\s*[([]?\s*\b(?:(?:it\s+)?(?:should|must)\s+(?:be|make|come\s+to|give)|makes|gives|giving|making)\s+(?:you\s+)?(?:with\s+)?(\d{1,4})(?:\s*(?:sts?|stitches|sc|dc))?(?:\s+in\s+(?:total|all))?\s*[)\]]?\s*\.?\s*$/gi,
    by: (_, total) => ` [${total}]`,
  },
  {
    example: ['(3 sc, inc) x 6. There should now be 30 stitches.', '(3 sc, inc) x 6 [30]'],
    pattern:
      /(?<=[a-z\d)\]]\s*)[,;.–-]?\s*[([]?\s*\b(?:(?:there\s+(?:should|will|must)\s+(?:now\s+)?be|there\s+are\s+now|(?:and\s+)?(?:ending|end(?:s)?|finish(?:ing)?)\s+with|(?:you\s+)?end(?:ing)?\s+up\s+with|leaving(?:\s+you\s+with)?|for\s+a\s+total\s+of)\s+(\d{1,4})\s*(?:sts?|stitches|sc|dc)(?:\s+(?:in\s+(?:total|all)|around))?|(\d{1,4})\s*(?:sts?|stitches|sc|dc)\s+(?:at|by)\s+the\s+end\s+of\s+(?:this|the)\s+(?:round|rnd|row))\s*[)\]]?\s*\.?\s*$/gi,
    by: (_, after, before) => ` [${after ?? before}]`,
  },
  {
    example: ['(3 sc, inc) x 6 (24+6=30)', '(3 sc, inc) x 6 [30]'],
    pattern:
      /(?<=[a-z\d)\]]\s*)[([]\s*(?:\d{1,4}\s*[+–-]\s*\d{1,3}\s*=\s*(\d{1,4})|[+–-]\s*\d{1,3}\s*[,;=:]\s*(\d{1,4})|(\d{1,4})\s*[,;:]\s*[+–-]\s*\d{1,3})\s*(?:sts?|stitches|sc)?\s*[)\]]\s*\.?\s*$/gi,
    by: (...found) => ` [${found[1] ?? found[2] ?? found[3]}]`,
  },
  {
    example: ['(3 sc, inc) x 6 30sc', '(3 sc, inc) x 6 [30]'],
    pattern: /(?<=[)\]]\s*(?:x|×|\*)\s*\d{1,3})\s+(\d{1,4})\s*(?:sts?|stitches|sc)\s*\.?\s*$/gi,
    by: (_, total) => ` [${total}]`,
  },
  {
    example: ['R5: 30: (3 sc, inc) x 6', 'R5: [30] (3 sc, inc) x 6'],
    pattern: re(
      String.raw`(?<=^\s*(?:rounds?|rnds?|rows?|rds?|r)\.?\s*\d{1,4}\s*:\s*)(\d{1,4})\s*(?:sts?|stitches)?\s*:\s*(?=[(*[]|\d{0,3}\s*(?:sc|inc|dec))`,
    ),
    by: (_, total) => `[${total}] `,
  },
  {
    example: ['sc each st around; 24', 'sc each st around [24]'],
    pattern: /(?<=[a-z)\]]\s*)(?:;\s*(\d{1,4})|\.\s+(\d{1,4})\s*(?:sc|dc))\s*\.?\s*$/gi,
    by: (_, bare, counted) => ` [${bare ?? counted}]`,
  },
  {
    example: ['R5 - 30 sts: (3 sc, inc) x 6', 'R5: [30] (3 sc, inc) x 6'],
    pattern: re(
      String.raw`(?<=^\s*(?:rounds?|rnds?|rows?|rds?|r)\.?\s*\d{1,4})\s*[-–,]\s*(\d{1,4})\s*(?:sts?|stitches)\s*[:–-]`,
    ),
    by: (_, total) => `: [${total}]`,
  },
  {
    example: ['*inc, sc 3*, repeat between * 6 times', '*inc, sc 3*, repeat 6 times'],
    pattern:
      /\b(repeat|rep)\s+between\s+(?:the\s+)?(?:\*+(?:\s*(?:and|to|-|–)\s*\*+)?|asterisks?|stars?)\s*,?\s*(?=\d|(?:two|three|four|five|six|seven|eight)\b)/gi,
    by: (_, word) => `${word} `,
  },
  {
    example: ['sc 10, 4 times inc, sc 10', 'sc 10, inc x 4, sc 10'],
    pattern: re(
      String.raw`(?<![)\]*]\s*(?:[x×]\s*)?)(?<![a-z\d])${n}\s*(?:x|×|times)\s+(inc|dec|inv\s+dec|(?:sc|dc|hdc)2tog)(?![a-z\d])(?!\s*(?:in|into|over|x|×)\b)`,
    ),
    by: (_, times, change) => `${change} x ${numberOf(times ?? '1')}`,
  },
  {
    example: ['(3 sc, inc) x 6 - 30 sts. Place marker.', '(3 sc, inc) x 6 - 30 sts'],
    pattern:
      /(?<=[a-z\d)\]]\s*)[.;]\s*(?:pm|(?:place|move|put)\s+(?:a\s+|the\s+|your\s+)?(?:stitch\s+)?markers?(?:\s+up)?)\s*\.?\s*$/gi,
    by: () => '',
  },
  {
    example: ['sc(10), inc(2), sc(12)', 'sc 10, inc 2, sc 12'],
    pattern:
      /(?<![a-z])(sc|hdc|dc|inc|dec)\((\d{1,3})\)(?=\s*[,;])|(?<=[,;]\s*)(sc|hdc|dc|inc|dec)\((\d{1,3})\)/gi,
    by: (...found) => `${found[1] ?? found[3]} ${found[2] ?? found[4]}`,
  },
  {
    example: ['sc for 10 sts, inc for 2 sts', 'sc 10, inc 2'],
    pattern:
      /(?<![a-z])(sc|hdc|dc|inc|dec)\s+for\s+(?:the\s+next\s+)?(\d{1,3})(?:\s+(?:sts?|stitches))?(?=\s*(?:[,;.)\]]|[[(]\s*\d|$))/gi,
    by: (_, stitch, count) => `${stitch} ${count}`,
  },
  {
    example: ['R5: sl st, ch 1, sc in same st, sc 23', 'R5: ch 1, sc, sc 23'],
    pattern: re(
      String.raw`${label}${sl}(?:\s+(?:in|into|to)\s+(?:the\s+)?(?:next|first)\s+(?:st|stitch|sc))?\s*,\s*(?:and\s+)?ch(?:ain)?\s*1\s*,\s*(?:and\s+)?(sc|hdc|dc|inc|dec)\s+in\s+(?:the\s+)?same\s+(?:st|stitch)(?:\s+as\s+(?:the\s+)?(?:sl\s*st|slip\s+stitch))?`,
    ),
    by: (_, stitch) => `ch 1, ${stitch}`,
  },
  {
    example: ['sc 12, PM, sc 12', 'sc 12, sc 12'],
    pattern: /,\s*(?:pm|place\s+(?:a\s+|the\s+)?(?:stitch\s+)?marker)(?=\s*(?:,|;|$))/gi,
    by: () => '',
  },
  {
    example: ['R6: ditto', 'R6: repeat R5'],
    pattern: re(
      String.raw`^(\s*(?:rounds?|rnds?|rows?|r)?\.?\s*(\d{1,4})(?:\s*[-–]\s*(?:r|rnds?|rounds?|rows?)?\.?\s*\d{1,4})?\s*[:.)|–-]\s*)(?:ditto|idem|["″〃]|as\s+(?:before|above)|(?:the\s+)?same(?:\s+(?:again|as\s+(?:before|above|(?:the\s+)?(?:last|previous)(?:\s+(?:round|rnd|row))?)))?)(?=\s*(?:[[(]\s*\d|\.?\s*$))`,
    ),
    by: (...found) => `${found[1]}repeat R${Number(found[2]) - 1}`,
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
    example: ['R4: one round plain', 'R4: sc around'],
    pattern: re(
      String.raw`${label}(?:(?:one|1|a)\s+)?(?:plain|straight|even)\s+(?:round|rnd)|(?<=${label})(?:one|1|a)\s+(?:round|rnd)\s+(?:plain|straight|even)(?:\s+sc)?${ending}`,
    ),
    by: () => 'sc around',
  },
  {
    example: ['1 sc per stitch', '1 sc in each stitch'],
    pattern: /(?<=(?<![a-z])(?:sc|hdc|dc|inc)\s+)per\s+(?=(?:st|stitch)(?![a-z]))/gi,
    by: () => 'in each ',
  },
  {
    example: ['sc in 9 sts, sc in the other 9 sts', 'sc in 9 sts, sc in the next 9 sts'],
    pattern: /(?<=\bin\s+(?:the\s+)?)other\s+(?=\d{1,3}\s*(?:sts?|stitches)(?![a-z]))/gi,
    by: () => 'next ',
  },
  {
    example: ['6 repeats of (2 sc, inc)', '6 x (2 sc, inc)'],
    pattern: re(String.raw`${n}\s+(?:repeats|repetitions|rounds)\s+of\s*:?\s*(?=[([*])`),
    by: (_, times) => `${numberOf(times ?? '1')} x `,
  },
  {
    example: ['(2 sc, inc) • 6', '(2 sc, inc) x 6'],
    pattern: /(?<=[)\]]\s*)[•·∙⋅✕✖⨯]\s*(?=\d)/gi,
    by: () => 'x ',
  },
  {
    example: ['*sc, inc*, repeat from * to * around', '*sc, inc*, repeat around'],
    pattern:
      /(?<=\b(?:repeat|rep)\s+)(?:from\s+)?\*+\s*(?:to|until|till|-|–)\s*(?:the\s+)?\*+\s*(?=(?:all\s+)?around|until|till|to\s+(?:the\s+)?end|[[(]\s*\d|\.?\s*$)/gi,
    by: () => '',
  },
  {
    example: ['*sc 2, inc*, repeat until [24]', '*sc 2, inc*, repeat around [24]'],
    pattern: /(?<=\b(?:repeat|rep)\b[^.;()]*?)\b(?:until|till)(?=\s*\[\s*\d{1,4}\s*\]\s*\.?\s*$)/gi,
    by: () => 'around',
  },
  {
    example: ['sc 16. leave the last 8 stitches unworked', 'sc 16, leave the last 8 stitches unworked'],
    pattern:
      /\.\s*(?=leav(?:e|ing)\s+(?:the\s+)?(?:(?:remaining|last|rest|other)\s+)(?:of\s+the\s+)?(?:\d{1,3}\s+)?(?:sts?|stitches)\b)/gi,
    by: () => ', ',
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
];
