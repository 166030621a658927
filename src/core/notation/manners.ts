import { numberWords } from './tokens';

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

/** For how many rounds a line goes. */
export interface SpannedRounds {
  /** 0 where it says until which one instead */
  times: number;
  /** it only says that one before comes again */
  again: boolean;
  /** which one, where it is not the last */
  round?: number;
  /** the last that is worked so */
  until?: number;
}

const roundWord = String.raw`(?:rounds?|rnds?|rows?|rds?|r)`;
const number = String.raw`(\d{1,3}|${Object.keys(numberWords)
  .filter((word) => !/^(?:one|once|twice|thrice|second|third|fourth|fifth|sixth)$/.test(word))
  .join('|')})`;
const numberOf = (said: string): number => numberWords[said.toLowerCase()] ?? Number(said);

/** Words in the place of others, made as long as those; null where there is no room. */
function inPlace(line: string, from: number, to: number, words: string): string | null {
  return words.length > to - from ? null : line.slice(0, from) + words.padEnd(to - from) + line.slice(to);
}

const wordedLabel = new RegExp(
  String.raw`^(\s*${roundWord}\.?\s+)(one|${number.slice(1, -1)})(?:\s*(?:to|through|thru|and|[-–])\s*${number})?(?=\s*[:.,–-])`,
  'i',
);

/** `Rounds four through six: …`: its numbers in figures. */
function figuredLabel(line: string): string {
  const found = wordedLabel.exec(line);
  if (!found) return line;
  const [whole, word = '', first = '', last] = found;
  const range = last ? `-${numberOf(last)}` : '';
  return inPlace(line, 0, whole.length, `${word}${numberOf(first)}${range}`) ?? line;
}

const rangePattern = new RegExp(
  String.raw`^(\s*(?:(?:from|for|on)\s+)?)(${roundWord})\.?\s*(\d{1,4})((?:\s*(?:,\s*and|,|and|&|\+|/|to|through|thru|till|until|\.{2,3}|…|>|[-‐‑‒–—−~])\s*(?:${roundWord}\.?\s*)?\d{1,4})+)(?![\d\w])(?:\s*[([]\s*\d+\s*(?:rounds|rnds|rows)\s*[)\]])?`,
  'i',
);
const stopSign = /^\s*[:.|)\]=]/;
const stitchFirst =
  /^\s*(?:\d+\s*)?(?:sc|hdc|dc|tr|htr|sl|ss|inc|dec|blo|flo|single|double|half|increase|decrease)\b/i;

/** A label of several numbers as it is met: the words before the numbers, the numbers, and what stands behind them. */
interface Range {
  whole: string;
  space: string;
  word: string;
  /** behind the first number */
  others: string;
  numbers: readonly number[];
  rest: string;
}

function rangeAt(line: string): Range | null {
  const found = rangePattern.exec(line);
  if (!found) return null;
  const [whole, space = '', word = '', one = '', others = ''] = found;
  const numbers = [one, ...(others.match(/\d+/g) ?? [])].map(Number);
  return { whole, space, word, others, numbers, rest: line.slice(whole.length) };
}

const listSign = /,|and|&|\+|\//i;
const spokenRange = /to|through|thru|till|until|\.\.|…|>/i;
const workBehind =
  /^\s*(?:[[(]|\d+\s*(?:sc|hdc|dc)\b|even|work|plain|straight|no\s|continue|repeat|rep\b|as\s|same\s)/i;

/** Whether its numbers are those of rounds one after another, and no list of some. */
function runsOn({ numbers, others }: Range): boolean {
  const [first = 0] = numbers;
  const last = numbers.at(-1) ?? 0;
  const isConsecutive = numbers.every((at, index) => at === first + index);
  return last > first && last - first <= 400 && (!listSign.test(others) || isConsecutive);
}

/** `R1-6 sc in ring` and `R2-12 sc (12)` name one round, with a dash after it; `R2-12 sc` several. */
function isGluedToWork({ others, numbers, rest }: Range): boolean {
  const isTotal = new RegExp(String.raw`^\s*sc\s*[[(=]\s*${numbers.at(-1)}\b`, 'i').test(rest);
  const isInRing = /\b(?:ring|mr|mc|circle)\b/i.test(rest);
  return !/\s/.test(others) && stitchFirst.test(rest) && !isInRing && !isTotal;
}

/** Whether several rounds are meant: by a stop behind the numbers, by `Rounds`, or by how it goes on. */
function namesSeveral(range: Range): boolean {
  const { others, word, rest } = range;
  if (stopSign.test(rest) || /s$/i.test(word)) return true;
  const isTold = spokenRange.test(others) || workBehind.test(rest) || isGluedToWork(range);
  return !listSign.test(others) && isTold;
}

/** What the grammar reads itself. */
function isUsual({ whole, space, others, numbers, rest }: Range): boolean {
  const isPlain = numbers.length === 2 && !space.trim() && !/[([]/.test(whole);
  const isJoined = /^\s*(?:to|and|&|\+|[-‐‑‒–—−~])/i.test(others);
  return isPlain && isJoined && /^\s*[:.)]/.test(rest);
}

/** `R3-5 sc around`, `Rounds 5 to 8 sc in each st`, `Rnds 3, 4 and 5:`: several rounds, with or without a colon after them. */
function rangeLabel(line: string): string {
  const range = rangeAt(line);
  if (!range || !runsOn(range) || !namesSeveral(range) || isUsual(range)) return line;
  const { whole, space, word, numbers, rest } = range;
  const behind = stopSign.exec(rest) ?? /^\s/.exec(rest);
  const end = whole.length + (behind?.[0].length ?? 0);
  const begin = space.trim() ? 0 : space.length;
  // The colon stands last, so that the label ends where the work begins.
  const label = `${/^row/i.test(word) ? 'row' : 'R'}${numbers[0]}-${numbers.at(-1)}`;
  return inPlace(line, begin, end, `${label.padEnd(end - begin - 1)}:`) ?? line;
}

const decorated = new RegExp(
  String.raw`^\s*(?:(\*+|_+)(?=\s*${roundWord}\.?\s*\d[^*_]*\1)|#(?=\d)|\((?=\s*\d{1,3}\s*[-–]\s*\d{1,3}\s*\)\s*[a-z]))`,
  'i',
);

/** `*Rnd 3:* …`, `#3: …`, `(3-5) …`: signs around a label. */
function undecorated(line: string): string {
  const found = decorated.exec(line);
  if (!found) return line;
  const [opening, mark] = found;
  const rest = line.slice(opening.length);
  return ' '.repeat(opening.length) + (mark ? rest.replace(mark, (signs) => ' '.repeat(signs.length)) : rest);
}

const tableRow = new RegExp(
  String.raw`^(\s*\|?\s*(?:${roundWord}\.?\s*)?\d{1,4}(?:\s*-\s*\d{1,4})?)\s*(?::\s*(?=[|\t]))?([|\t,])(?=.*[a-z])(.*?)\s*\2\s*(\d{1,4})\s*\|?\s*$`,
  'i',
);

/** `1 | 6 sc in ring | 6`, with tabs or commas too: the round, what to do, how many there are then. */
function fromTable(line: string): string {
  const found = tableRow.exec(line);
  if (!found) return line;
  const [, label = '', sign = '', work = '', total = ''] = found;
  if (sign === ',' && /^\s*[a-z]/i.test(label)) return line;
  const open = label.replace('|', ' ');
  const rest = line.length - open.length - 1 - work.length;
  return `${open}:${work}${`=${total}`.padEnd(rest)}`;
}

const labelled = new RegExp(
  String.raw`^\s*(?:${roundWord}\.?\s*\d{1,4}(?:\s*-\s*\d{1,4})?|\d{1,4}(?:\s*-\s*\d{1,4})?(?=\s*[:.)]))`,
  'i',
);

/** `Rnd 5 (increase round): …`, `Rnd 5, decrease: …`: what kind of round it is says nothing more. */
function nakedLabel(line: string): string {
  const label = labelled.exec(line)?.[0];
  if (!label) return line;
  const kind =
    /^\s*[-–—,(]?\s*(?:(?:increase|inc|decrease|dec|plain|even|the)\.?\s*)+(?:rounds?|rnds?|rows?)?\s*\)?\s*(?=:)/i.exec(
      line.slice(label.length),
    )?.[0];
  return kind
    ? line.slice(0, label.length) + ' '.repeat(kind.length) + line.slice(label.length + kind.length)
    : line;
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

const totalPatterns = [
  // `=> 18`, `→ 19`, `>> 18`, `... 18`, `: 18`, at the end of the line
  /(?:=>|[-–—]+>|>>|→|⇒|➔|➜|\.{3}|…)\s*(\d{1,4})\s*(?:sts?|stitches|sc)?\s*\.?\s*$/i,
  /(?<=[)\]\d])\s*:\s*(\d{1,4})\s*(?:sts?|stitches)?\s*\.?\s*$/i,
  // `(now 18 sts)`, `(sts: 18)`, `You now have 12 sts.`, `(you should have 19 sts)`
  /[[(]\s*(?:now|sts?:|stitches:|you\s+(?:should\s+|will\s+)?(?:now\s+)?have)\s*(\d{1,4})\s*(?:sts?|stitches|sc)?\s*[\])]/i,
  /(?:you\s+(?:should\s+|will\s+|['’]ll\s+)?(?:now\s+)?have)\s+(\d{1,4})\s*(?:sts?|stitches|sc)?\s*(?:now)?\s*\.?\s*$/i,
  // `around – 30 sc`
  /(?<=around|[)\]]|times|x\s*\d{1,3})\s*[–—-]\s*(\d{1,4})\s*(?:sts?|stitches|sc)\s*\.?\s*$/i,
];

/** `… into a magic ring. 6`, `(sc, inc) x 6, 18` */
const nakedTotal = /([.,])\s+(\d{1,4})$/;

/** A first round along chains, which often has no label: `Chain 7. Starting in 2nd ch from hook: …` */
const fromChains = /^\s*ch(?:ain)?s?\s*\d{1,3}\b(?=.*\bfrom\s+(?:the\s+)?hook\b)/i;

/** A number after the work of a labelled line and after its stop, or after a comma that follows a repeat. */
function totalAfterWork(line: string): string {
  const text = line.trimEnd();
  const found = nakedTotal.exec(text);
  const label = labelled.exec(line) ?? fromChains.exec(line);
  if (!found || !label) return line;
  const work = text.slice(label[0].length, found.index);
  const isSaid =
    found[1] === '.' ? /[a-z]{2}/i.test(work) : /[)\]]\s*(?:x|×|\*)?\s*\d{1,3}(?:\s*times)?$/i.test(work);
  // What has its total in brackets or after a sign has said it.
  if (!isSaid || /[[=]/.test(work)) return line;
  return inPlace(line, found.index, text.length, `[${found[2]}]`) ?? line;
}

const tens = '(twenty|thirty|forty|fifty|sixty|seventy|eighty|ninety)';
const ones = '(one|two|three|four|five|six|seven|eight|nine)';
const teens = '(ten|eleven|twelve|thirteen|fourteen|fifteen|sixteen|seventeen|eighteen|nineteen)';
/** `(twenty-four)`, `(twelve sts)`, `(eighteen each)`, `: twelve stitches`, at the end of a line that has work before it. */
const totalInWords = new RegExp(
  String.raw`(?<=[a-z\d)\]]\s*)(?:[[(]\s*(?:${tens}(?:[-\s]?${ones})?|${teens}|${ones})\s*(?:sts?|stitches|sc|each|per\s+round|in\s+(?:all|total))?\s*[\])]|[:;,.–-]\s+(?:${tens}(?:[-\s]?${ones})?|${teens}|${ones})\s*(?:sts|stitches)(?:\s+in\s+(?:all|total))?)\s*\.?\s*$`,
  'i',
);

/** A total that is said in words, in figures. */
function totalWords(line: string): string {
  const found = labelled.test(line) ? totalInWords.exec(line) : null;
  if (!found) return line;
  const count = found
    .slice(1)
    .filter(Boolean)
    .reduce((sum, word) => sum + (numberWords[word.toLowerCase()] ?? 0), 0);
  return inPlace(line, found.index, line.length, ` [${count}]`) ?? line;
}

function totalBrackets(line: string): string {
  for (const pattern of totalPatterns) {
    const found = pattern.exec(line);
    const said =
      found &&
      inPlace(
        line,
        found.index,
        found.index + found[0].length,
        `[${found[1]}]`.padStart(found[0].length - found[0].trimStart().length + `[${found[1]}]`.length),
      );
    if (said) return said;
  }
  return line;
}

/** `Sc in ea st`, `sc in every st`. */
const abbreviated = (line: string): string =>
  line.replace(/\bea\b\.?/gi, (word) => 'all'.slice(0, Math.max(3, word.length)).padEnd(word.length));

const nextRounds = new RegExp(
  String.raw`^\s*(?:for\s+)?(?:the\s+)?(?:next|following)\s+${number}\s+(?:rounds|rnds|rows)\s*[:.,–-]?`,
  'i',
);
const andFollowing = new RegExp(
  String.raw`^(\s*${roundWord}\.?\s*\d{1,4})(\s+and\s+(?:the\s+)?(?:following|next)\s+${number}\s+(?:rounds|rnds|rows))`,
  'i',
);
const roundsCounted = String.raw`(?:[-–]\s+)?(?:(?:for|over|x|×|so|total\s+of)\s+)?(?:the\s+next\s+)?(?<!\b(?:last|previous|these|those|first|from|within|between|every|below|above)\s)${number}\s+(?:more\s+)?(?:rounds|rnds|rows)(?:\s+(?:more|even|straight|evenly|altogether|in\s+(?:total|all)|total))?`;
const tailRounds = new RegExp(
  String.raw`[,;]?\s*(?:[([]\s*${roundsCounted}\s*[)\]]|${roundsCounted})(?:\s*[([]\s*${roundWord}\.?\s*\d{1,4}\s*(?:[-–]|to|through)\s*(?:${roundWord}\.?\s*)?\d{1,4}\s*[)\]])?(?=\s*(?:[[(]\s*\d{1,4}[^()[\]]*[)\]])?\s*\.?\s*$)`,
  'i',
);
const lastAgain = new RegExp(
  String.raw`^\s*(?:repeat|rep)\s+(?:the\s+)?(?:last|previous)\s+(?:round|rnd|row)\s+(?:for\s+)?${number}\s*(?:more\s+)?(?:times|x|rounds|rnds|rows)?(?:\s+more)?\s*\.?\s*$`,
  'i',
);
const untilRound = new RegExp(
  String.raw`^\s*(?:repeat|rep)\s+(?:(?:the\s+)?${roundWord}\.?\s*(\d{1,3})|(?:this|the\s+last|the\s+previous|last)\s+${roundWord})\s*,?\s*(?:until|till|up\s+to|through|to)\s+(?:the\s+)?(?:(?:end\s+of\s+)?${roundWord}\.?\s*(\d{1,3})|(?:you\s+(?:have\s+)?|there\s+are\s+)(?:worked\s+|made\s+)?(\d{1,3})\s+(?:rounds|rnds|rows)(?:\s+(?:in\s+(?:total|all)|altogether))?)\s*\.?\s*$`,
  'i',
);
const thisRound = String.raw`(?:repeat|rep|do|work)\s+(?:(?:this|that|(?:the\s+)?(?:last|previous|same))\s+(?:round|rnd|row)|(?:this|it)(?=[^.;]*\bin\s+total\b))`;
const roundAgain = new RegExp(
  String.raw`[.,;]?\s*(?:then\s+)?${thisRound}\s+(?:for\s+)?(?:a\s+total\s+of\s+)?(?:(once|twice)|${number}\s*(?:more\s+)?(?:times|x|rounds|rnds|rows))(?:\s+more)?(\s+(?:in\s+total|altogether|in\s+all))?\s*\.?\s*$`,
  'i',
);
const timesOnce: Readonly<Record<string, number>> = { once: 1, twice: 2 };

/** `Repeat this round 3 times`, after the round or on a line of its own: so many more of it; null where it is not said. */
function againAtEnd(line: string): Pick<Canonical, 'line' | 'rounds'> | null {
  const found = roundAgain.exec(line);
  if (!found) return null;
  const [, word, count, total] = found;
  const said = word ? (timesOnce[word.toLowerCase()] ?? 1) : numberOf(count ?? '');
  const isTotal = total !== undefined || /\ba\s+total\s+of\b/i.test(found[0]);
  const more = isTotal ? said - 1 : said;
  if (found.index === 0) return { line: ' '.repeat(line.length), rounds: { times: more, again: true } };
  if (!labelled.test(line.slice(0, found.index))) return null;
  return { line: blank(line, found.index, line.length), rounds: { times: more + 1, again: false } };
}

const goingOn =
  /^\s*(?:(?:then|now|next)[\s,]+)*(?:(?:continue|work|crochet|keep|go|sc|single|\d{1,4}(?:sc)?|[([]\d{1,4}[)\]]|in|on|around|even|evenly|straight|plain|for|with|each|st|stitch|every|working|going|the|round|an?|spiral)(?![a-z\d])[\s,]*)+$/i;
const blank = (line: string, from: number, to: number) =>
  line.slice(0, from) + ' '.repeat(to - from) + line.slice(to);

const unchangedWords = String.raw`(?:with(?:out|\s+no)\s+(?:any\s+)?(?:further\s+)?(?:inc\w*|dec\w*|chang\w+|shaping)(?:\s+or\s+(?:inc\w*|dec\w*))?)`;
const plainRoundsOnly = new RegExp(
  String.raw`^\s*(?:(?:work|crochet|make|do|then|now)\s+)*${number}\s+(?:more\s+)?(?:plain\s+)?(?:rounds|rnds)\s+(?:(?:(?:of|in|with)\s+)?(?:plain\s+)?(?:\d{1,3}\s*)?(?:sc|single\s+crochets?)(?:\s+(?:around|even|each|in\s+each\s+st(?:itch)?(?:\s+around)?))?(?:\s*,?\s*${unchangedWords})?|${unchangedWords})(?=\s*(?:[[(.,]|$))`,
  'i',
);

const roundLabel = String.raw`(?:${roundWord}\.?\s*\d{1,4}\s*(?:[-–]|(?:and\s+)?(?:on|up|onwards?))?\s*[:.)–-]\s*)?`;
const evenUntil = new RegExp(
  String.raw`^(\s*${roundLabel})([a-z\d\s,]*?)[\s,]+(?:until|till|up\s+to|through|to)\s+(?:(?:the\s+)?(?:end\s+of\s+)?${roundWord}\.?\s*(\d{1,3})|(?:(?:you|there|it|(?:the\s+|this\s+|your\s+)?[a-z]+)\s+(?:have|has|are|is|measures?|comes?\s+to|reach(?:es)?)\s+)(?:worked\s+|made\s+|completed\s+)?${number}\s+(?:rounds|rnds|rows)(?:\s+(?:in\s+(?:total|all)|altogether|long|high|tall|total))?)(?=\s*(?:[[(]\s*\d{1,4}[^()[\]]*[)\]])?\s*\.?\s*$)`,
  'i',
);

const saysPlain = /\b(?:\d*sc|single|even|evenly|straight|plain|each|every)\b/i;

/** `Work even until there are 12 rounds in all`, `Sc around to R9`: plain rounds, and the last of them; null where it is not said. */
function plainUntil(line: string): Pick<Canonical, 'line' | 'rounds'> | null {
  const found = evenUntil.exec(line);
  if (!found) return null;
  const [whole, label = '', body = '', last, count] = found;
  // `Continue in this way until R9` may well go on increasing: what is plain says so.
  if (!goingOn.test(body) || !saysPlain.test(body)) return null;
  const rounds = { times: 0, again: false, until: numberOf(last ?? count ?? '') };
  return { line: inPlace(line, label.length, whole.length, 'sc around') ?? line, rounds };
}

const length = String.raw`(?:about\s+|approx(?:imately|\.)?\s+|roughly\s+)?(\d{1,3}(?:[.,]\d+)?(?:\s*\/\s*\d)?\s*(?:cm|mm|centimet(?:er|re)s?|in(?:ch(?:es)?)?\b|["″]))`;
const workedTo = new RegExp(
  String.raw`^\s*${roundLabel}([a-z\d\s,]*?)[\s,]+(?:(?:until|till)\s+(?:(?:you|there|it|(?:the\s+|this\s+|your\s+)?[a-z]+)\s+(?:have|has|is|are|measures?|comes?\s+to|reach(?:es)?)\s+)|for\s+)${length}(?:\s+(?:long|high|tall|in\s+(?:length|height|all|total)))?\s*(?:[.,;].*)?$`,
  'i',
);

/** The length that plain rounds are worked to: `Work even until it measures 4 cm`; null where none is said. */
export function lengthWorked(line: string): string | null {
  const [, body = '', said] = workedTo.exec(line) ?? [];
  const plainly = body.replace(
    /\b(?:in\s+)?(?:this|the\s+same)\s+(?:way|manner|pattern)\b|\blike\s+this\b/gi,
    '',
  );
  return said && goingOn.test(plainly) ? said : null;
}

/** Rounds a line goes for: `Next 3 rounds: …`, `R3: sc around, 3 rounds`, `Work 4 more rounds even`, `Repeat last round 2 more times`. */
function spannedRounds(line: string): Pick<Canonical, 'line' | 'rounds'> {
  const again = lastAgain.exec(line);
  if (again)
    return { line: ' '.repeat(line.length), rounds: { times: numberOf(again[1] ?? ''), again: true } };
  const end = untilRound.exec(line);
  if (end) {
    const [, round, last, total] = end;
    const rounds = { times: 0, again: true, until: Number(last ?? total) };
    return { line: ' '.repeat(line.length), rounds: round ? { ...rounds, round: Number(round) } : rounds };
  }
  const more = againAtEnd(line) ?? plainUntil(line);
  if (more) return more;
  const next = nextRounds.exec(line);
  if (next && /\w/.test(line.slice(next[0].length)))
    return { line: blank(line, 0, next[0].length), rounds: { times: numberOf(next[1] ?? ''), again: false } };
  const following = andFollowing.exec(line);
  if (following) {
    const from = (following[1] ?? '').length;
    return {
      line: blank(line, from, from + (following[2] ?? '').length),
      rounds: { times: numberOf(following[3] ?? '') + 1, again: false },
    };
  }
  const plain = plainRoundsOnly.exec(line);
  if (plain) {
    const rounds = { times: numberOf(plain[1] ?? ''), again: false };
    return { line: inPlace(line, 0, plain[0].length, 'sc around') ?? line, rounds };
  }
  const times = plainTimes.exec(line);
  if (times) return plainSaidAgain(line, times);
  const tail = tailRounds.exec(line);
  if (!tail || tail.index === 0) return { line, rounds: null };
  return roundsAtEnd(line, tail);
}

/** `sc around, 3 times`: a plain round is full, so it can only be rounds that are meant. */
const plainTimes = new RegExp(
  String.raw`^(\s*(?:${roundWord}\.?\s*\d{1,4}\s*[:.)–-]?\s*)?(?:sc|single\s+crochet)\s+(?:in\s+(?:each|every)(?:\s+(?:st|stitch))?\s+)?(?:all\s+)?around)\s*[,.;]?\s*(?:(?:and\s+)?(?:repeat|rep)\s+)?(?:for\s+)?(?:${number}\s+(more\s+)?times|[x×]\s*${number}|(once|twice)(\s+more)?)(?=\s*(?:[[(]\s*\d{1,4}[^()[\]]*[)\]])?\s*\.?\s*$)`,
  'i',
);

function plainSaidAgain(line: string, found: RegExpExecArray): Pick<Canonical, 'line' | 'rounds'> {
  const [whole, round = '', times, more, by, word, again] = found;
  const said = word ? (timesOnce[word.toLowerCase()] ?? 1) : numberOf(times ?? by ?? '');
  return {
    line: blank(line, round.length, whole.length),
    rounds: { times: more || again ? said + 1 : said, again: false },
  };
}

/** `R3: sc around, 3 rounds`, `Work 4 more rounds even`, `R5: sc around (24). Repeat for 2 more rounds.` */
function roundsAtEnd(line: string, tail: RegExpExecArray): Pick<Canonical, 'line' | 'rounds'> {
  const again = /[.,;]?\s*\b(?:repeat|rep)(?:\s+(?:this|it|the\s+(?:last\s+)?(?:round|rnd|row)))?\s*$/i.exec(
    line.slice(0, tail.index),
  );
  const from = again?.index ?? tail.index;
  const to = tail.index + tail[0].length;
  const before = line.slice(0, from);
  const hasLabel = labelled.test(before);
  if (!hasLabel && !goingOn.test(before)) return { line, rounds: null };
  // Said again for so many more, it is worked once before.
  const rounds = { times: numberOf(tail[1] ?? tail[2] ?? '') + (again && hasLabel ? 1 : 0), again: false };
  const kept = blank(line, from, to);
  // `Work 4 more rounds even` names no stitch: plain ones.
  const named = hasLabel || /\bsc\b/i.test(before);
  return { line: named ? kept : (inPlace(line, 0, to, 'sc around') ?? kept), rounds };
}

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

const rangeOfLine = /^\s*[a-z]*\.?\s*(\d{1,4})\s*-\s*[a-z]*\.?\s*(\d{1,4})\s*[:.)]/i;
const listedTotals =
  /(?:[[(]\s*(\d{1,4}(?:\s*(?:sts?|stitches|sc))?(?:\s*(?:[,/;–>→-]|->|and)\s*\d{1,4}(?:\s*(?:sts?|stitches|sc))?)+)\s*[)\]]|((?:[[(]\s*\d{1,4}\s*(?:sts?|stitches|sc)?\s*[)\]][\s,]*){2,}))\s*\.?\s*$/i;

/** `R5-R7: … [30, 36, 42]`, `… [30] [36] [42]`: a total for each round of the range, the last of them left in its place. */
function totalsOfRange(line: string): Pick<Canonical, 'line' | 'totals'> {
  const range = rangeOfLine.exec(line);
  const found = range && listedTotals.exec(line);
  if (!found) return { line, totals: null };
  const totals = (found[0].match(/\d+/g) ?? []).map(Number);
  const rounds = Number(range[2]) - Number(range[1]) + 1;
  if (totals.length !== rounds) return { line, totals: null };
  const left = inPlace(line, found.index, line.length, `[${totals.at(-1)}]`);
  return left ? { line: left, totals } : { line, totals: null };
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
    totalWords,
    totalAfterWork,
    totalBrackets,
  ].reduce((words, manner) => manner(words), line);
  return { ...totalsOfRange(said), rounds, evenly: even !== null };
}
