import { inPlace, labelled, number, numberOf, roundWord } from './mannerWords';

const wordedLabel = new RegExp(
  String.raw`^(\s*${roundWord}\.?\s+)(one|${number.slice(1, -1)})(?:\s*(?:to|through|thru|and|[-–])\s*${number})?(?=\s*[:.,–-])`,
  'i',
);

/** `Rounds four through six: …`: its numbers in figures. */
export function figuredLabel(line: string): string {
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
export function rangeLabel(line: string): string {
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
export function undecorated(line: string): string {
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
export function fromTable(line: string): string {
  const found = tableRow.exec(line);
  if (!found) return line;
  const [, label = '', sign = '', work = '', total = ''] = found;
  if (sign === ',' && /^\s*[a-z]/i.test(label)) return line;
  const open = label.replace('|', ' ');
  const rest = line.length - open.length - 1 - work.length;
  return `${open}:${work}${`=${total}`.padEnd(rest)}`;
}

/** `Rnd 5 (increase round): …`, `Rnd 5, decrease: …`: what kind of round it is says nothing more. */
export function nakedLabel(line: string): string {
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
