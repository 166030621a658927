import { fromTable, figuredLabel, nakedLabel, rangeLabel, undecorated } from './labelManners';
import { inPlace, labelled, number, numberOf, roundWord, slipKnot } from './mannerWords';
import { spannedRounds, type SpannedRounds } from './spannedRounds';
import { totalAfterWork, totalBrackets, totalsOfRange, totalWords } from './totalManners';

/**
 * Manners of saying things that the grammar does not know, brought to ones it does. What is put in the place of words is as long as they
 * were: every place in the line stays what it was, for messages and for remedies.
 */
export interface Canonical {
  line: string;
  rounds: SpannedRounds | null;
  /** so many increases or decreases are to be spread evenly over the round */
  evenly: boolean;
  /** what each round of a range comes to, where a total is said for each */
  totals: readonly number[] | null;
}

const plainly = String.raw`(?:even(?:ly)?|plain|straight)`;
const plainPattern = new RegExp(
  String.raw`^(\s*[:.)|-]?\s*)((?:(?:work|continue|crochet|go)\s+(?:on\s+)?)?${plainly}|no\s+(?:inc\w*|dec\w*))(?=\s*(?:[[(.,;=–—-]|around|$))`,
  'i',
);
const withoutChange =
  /[,(]?\s*(?:without\s+(?:any\s+)?|no\s+)(?:inc|dec)\w*(?:\s+(?:or|and|nor)\s+(?:inc|dec)\w*)?\)?/i;

/** `R5-7 even`, `work straight`, `sc around, no increases`: a stitch in each stitch. */
function plainRounds(line: string): string {
  const label = labelled.exec(line)?.[0];
  if (!label) return line;
  const plain = plainPattern.exec(line.slice(label.length));
  if (plain) {
    const from = label.length + (plain[1] ?? '').length;
    return inPlace(line, from, from + (plain[2] ?? '').length, 'sc') ?? line;
  }
  const unchanged = withoutChange.exec(line);
  if (!unchanged) return line;
  const rest =
    line.slice(0, unchanged.index) +
    ' '.repeat(unchanged[0].length) +
    line.slice(unchanged.index + unchanged[0].length);
  return rest;
}

const roundsOfRange = new RegExp(
  String.raw`^(\s*(?:${roundWord})?\.?\s*(\d{1,4})\s*[-–]\s*(?:${roundWord})?\.?\s*(\d{1,4})\s*[:.)]\s*)((?:(?:work|crochet|make|do)\s+)?${number}\s+(?:rounds|rnds|rows)\s+(?:(?:of|in)\s+(?:plain\s+)?sc|${plainly}))(?=\s*(?:[[(.,;=]|around|$))`,
  'i',
);

/** `R5-9: work 5 rounds straight`: the range says how many; what is worked is plain. */
function plainRange(line: string): string {
  const found = roundsOfRange.exec(line);
  if (!found) return line;
  const [, label = '', first, last, words = '', count = ''] = found;
  const isSame = Number(last) - Number(first) + 1 === numberOf(count);
  return isSame ? (inPlace(line, label.length, label.length + words.length, 'sc around') ?? line) : line;
}

/** `Sc in ea st`, `sc in every st`. */
const abbreviated = (line: string): string =>
  line.replace(/\bea\b\.?/gi, (word) => 'all'.slice(0, Math.max(3, word.length)).padEnd(word.length));

const perRound = String.raw`(?:\s+(?:sts?|stitches))?(?:\s+evenly)?\s*,?\s*(?:(?:in|on)\s+)?(?:each|every|per)\s+(?:rounds?|rnds?)`;
const evenPatterns = [
  new RegExp(String.raw`\b(inc|dec)(?:rease|s|reases|reasing)?\s+(?:by\s+)?(\d{1,3})${perRound}`, 'i'),
  /\b(inc|dec)(?:rease)\s+by\s+(\d{1,3})(?:\s+(?:sts?|stitches))?(?=\s*(?:[[(]\s*\d|=|\.?\s*$))/i,
  /\b(inc|dec)(?:rease|s|reases|reasing)?\s+(?:(?:in|by)\s+)?(\d{1,3})\s*(?:times|sts?|stitches|x)?\s+evenly(?:\s+(?:spaced|around|across))*/i,
  /\b(inc|dec)(?:rease|s|reases|reasing)?\s+evenly\s+(?:spaced\s+)?(?:by\s+)?(\d{1,3})\s*(?:times|sts?|stitches|x)?(?:\s+(?:around|across))?/i,
];

/** `increase 6 times evenly`, `dec evenly 6 times`: so many, with plain stitches between. */
function spreadEvenly(line: string): string | null {
  for (const pattern of evenPatterns) {
    const found = pattern.exec(line);
    if (found)
      return inPlace(
        line,
        found.index,
        found.index + found[0].length,
        `${(found[1] ?? '').toLowerCase()} ${found[2]}`,
      );
  }
  return null;
}

/** `R3)`: its bracket closes a label, and no work that could be done `6 times` */
const labelWithBracket = /^\s*(?:rounds?|rnds?|rows?|r)?\.?\s*\d{1,4}\)/i;

/** A chain that stands for the first stitch of a round: `ch 3 (counts as first dc)` is that stitch, worked where it stands. */
const countsAs = new RegExp(
  String.raw`\bch(?:ain)?\s*-?\s*[1-6]\s*[,(\[–-]?\s*(?:(?:which|this|it|here\s+and\s+throughout|always|will)\s+)*counts?\s+as\s+(?:(?:a|an|the|1|one|first|1st)\s+)*(sc|hdc|dc|tr|dtr|htr|st|stitch)\b[^)\],.;]*[)\]]?`,
  'gi',
);

const skipFirst =
  /\b(?:skip|miss|sk)\s+(?:the\s+)?(?:first|1st|same)\s+(?:st|stitch|sc|hdc|dc|tr)\b\s*[,;]?/i;

/** Signs and asides that say nothing more: `inc*6`, `6x inc`, `6 times (…)`, `5-dc bobble`, `(ch 1 does not count)`. */
function tidied(line: string): string {
  const asLong =
    (words: string) =>
    (whole: string, ...groups: string[]) =>
      words.replace('$1', groups[0] ?? '').padEnd(whole.length);
  const counted = line.replace(countsAs, (whole, stitch: string) => `1 ${stitch}`.padEnd(whole.length));
  // The chain stands in the stitch that is then said to be skipped.
  const stands = counted === line ? line : counted.replace(skipFirst, (whole) => ' '.repeat(whole.length));
  return stands
    .replace(/(?<=[a-z])\*(?=\d)/gi, ' ')
    .replace(/(?<![)\]\w])(\d{1,3})\s*[x×]\s*(?=(?:sc|inc|dec|hdc)\b)/gi, asLong('$1'))
    .replace(/(\d{1,3})\s*times\s*:?\s*(?=[([])/gi, (whole, n: string, at: number) => {
      const before = line.slice(0, at).replace(labelWithBracket, '');
      return /[)\]a-z]\s*$/i.test(before) ? whole : `${n} x`.padEnd(whole.length);
    })
    .replace(/\b\d{1,2}[-\s](?:dc|tr|hdc)[-\s](?=bobble|popcorn|puff|cluster)/gi, (whole) =>
      ' '.repeat(whole.length),
    )
    .replace(
      /\(?\s*(?:the\s+)?(?:beginning\s+|turning\s+)?ch(?:ain)?(?:\s*-?\s*\d)?\s+(?:does|do)(?:\s+not|n['’]t)\s+count[^),.;]*\)?/gi,
      (whole) => ' '.repeat(whole.length),
    );
}

const stitchesOnce = String.raw`\b(?:sc|dc|hdc|htr|tr|sts?|stitch(?:es)?)\b(?:\s+\d{1,2})?`;
/** `a ring, 6 sc into it`: the hole of a ring that was named before, by another word. */
const intoIt = new RegExp(
  String.raw`(\b(?:ring|circle|loop|mr)\b.{0,40}?${stitchesOnce}\s+(?:in(?:to)?|inside|through)\s+)(it|that|the\s+(?:cent(?:re|er)|middle|hole)(?:\s+of\s+(?:it|the\s+(?:ring|circle|loop)))?)(?=\s*(?:[[(.,;:=–-]|$))`,
  'i',
);
const making =
  /^(\s*(?:[a-z]+\s*\d*\s*[:.)-]\s*)?)(form|create)(?=\s+(?:an?|your)\s+(?:\w+\s+)?(?:ring|circle|loop)\b)/i;
/** `Form a ring, 6 sc into it`, `make a slip knot, ch 2, …`: what a first round is begun with. */
const begun = (line: string): string =>
  line
    .replace(slipKnot, (whole) => ' '.repeat(whole.length))
    .replace(making, (_, before: string, word: string) => before + 'make'.padEnd(word.length))
    .replace(intoIt, (_, before: string, word: string) => before + 'mr'.padEnd(word.length));

/** Brings a line to the manner the grammar reads. */
export function canonical(given: string): Canonical {
  const { line: spanned, rounds } = spannedRounds(figuredLabel(given));
  const even = spreadEvenly(spanned);
  const line = even ?? spanned;
  const said = [
    fromTable,
    undecorated,
    rangeLabel,
    nakedLabel,
    plainRange,
    plainRounds,
    abbreviated,
    tidied,
    begun,
    totalWords,
    totalAfterWork,
    totalBrackets,
  ].reduce((words, manner) => manner(words), line);
  return { ...totalsOfRange(said), rounds, evenly: even !== null };
}
