import type { Item, WorkLine } from './ast';
import { failureOf } from './failure';
import { readWorkLine } from './grammar';
import { readHeader, type Header } from './headers';
import { foundationLabel, readHeading, type Heading } from './heading';
import { isDefinition, isGlossary, isListed, isListHeading } from './glossary';
import { limits } from './limits';
import { canonical, type Canonical } from './manners';
import { slipKnot } from './mannerWords';
import { rephrase } from './phrasings';
import { Rewriting } from './rewriting';
import { readSentences, unreadSentences } from './sentence/readSentences';
import type { Sentence } from './sentence/sentence';
import { wordsUsed, type Terms } from './terms';
import { plainAround } from './workItem';

/** What the words of a line say, before it is known what the line is. */
interface Words {
  work: WorkLine;
  header: Header | null;
  heading: Heading | null;
  steps: Sentence[];
  /** sentences beside those that put something somewhere and are not understood */
  notUnderstood: string[];
  /** sentences on the line of a round, after its work */
  after: Sentence[];
  rounds: Canonical['rounds'];
  termsSaid: Terms | null;
  saysMiss: boolean;
  /** it says that the toy is worked left-handed */
  leftHanded: boolean;
  /** what of the line was not read, from which sign on; the whole line where the reading failed */
  unread: { from: number; report: string | null } | null;
}

/** What one line says by itself, whatever it turns out to be. */
export interface LineRead extends Words {
  /** a round with its label, and not a numbered sentence */
  isRound: boolean;
  /** pure work without a label */
  isBareWork: boolean;
  /** `Materials`, `You will need` */
  isListHeading: boolean;
  /** an entry of such a list, whatever else it could be */
  isListed: boolean;
  /** it tells what an abbreviation means */
  explains: boolean;
  /** the stitches it names, each where it stands first */
  stitches: ReturnType<typeof wordsUsed>;
}

// What a line says by itself depends on its text alone, so an edit re-reads one line and finds the others here.
const lineCache = new Map<string, LineRead>();
const cacheLimit = 20_000;

/** Signs that only make words bold, in pairs: spaces. */
function unmarked(line: string): string {
  const marks = line.match(/\*\*|__/g) ?? [];
  const paired =
    marks.length > 0 && marks.length % 2 === 0 && !/^\s*(?:\*\*|__)[^*_]*(?:\*\*|__)\s*$/.test(line);
  return paired ? line.replace(/\*\*|__/g, '  ') : line;
}

/** Puts spaces for a leading bullet and for what a web page leaves behind, so that columns stay as they were. */
function withoutBullet(raw: string): string {
  const line = unmarked(raw).replace(/<\/?[a-z][^<>]{0,80}>|&[a-z]{2,6};|&#\d{1,5};/gi, (junk) =>
    ' '.repeat(junk.length),
  );
  return line.replace(
    /^(\s*)([•·▪◦‣>☐☑☒✓✔✗□▢■★☆⭐✅⬜🔲🔘]\u{FE0F}?|[-–—*](?=\s+\S)(?!.*\*))/u,
    (_, space: string, sign: string) => space + ' '.repeat(sign.length),
  );
}

const wordless: WorkLine = { label: null, items: [], total: null, brackets: [] };

/** A line whose reading failed is kept as it is; the others are read all the same. */
function unreadable(report: string): Words {
  return {
    work: wordless,
    header: null,
    heading: null,
    steps: [],
    notUnderstood: [],
    after: [],
    rounds: null,
    termsSaid: null,
    saysMiss: false,
    leftHanded: false,
    unread: { from: 0, report },
  };
}

/** How much of a line is read: so many signs, and so many words. */
function readableLength(line: string): number {
  let words = 0;
  for (const { index } of line.slice(0, limits.lineSigns).matchAll(/\d+|[^\d\s\W]+|[^\s\w]/g)) {
    words += 1;
    if (words > limits.lineWords) return index;
  }
  return limits.lineSigns;
}

export const isWork = (item: Item): boolean =>
  item.type === 'work' || (item.type === 'group' && item.items.some(isWork));
/** Where another sentence may begin on the line of a round. */
const sentenceStart =
  /(?<=[.!;)\]])\s+(?=\p{Lu})|(?<=\S)(?:\s*[,.;]\s*|(?<=[)\]])\s+)(?=(?:and\s+|then\s+)?(?:(?:start|begin)\s+stuffing|stuff|close|insert|embroider|sew|press|gather)\b)/gu;

/** `R5-R7: 24`: a round that only says how many there are is worked plain. */
function plainWhereCounted(read: WorkLine): WorkLine {
  const { label, items, total } = read;
  return label && total && items.length === 0 ? { ...read, items: [plainAround(total.span)] } : read;
}

/** The work of a line that is written in the usual manner. */
function workOf({ line, evenly, totals }: Canonical): WorkLine {
  const rewriting = new Rewriting(line);
  rephrase(rewriting);
  const counted = plainWhereCounted(rewriting.backIn(readWorkLine(rewriting.text)));
  const read = totals ? { ...counted, totals } : counted;
  if (!evenly) return read;
  const items = read.items.map((item) =>
    item.type === 'work' && (item.make > 1 || item.together > 1) ? { ...item, evenly: true } : item,
  );
  return { ...read, items };
}

/** Work that goes on after another sentence's beginning: `Sc 3. Sl st to join`. */
function goesOn(rest: string, after: readonly Sentence[]): boolean {
  const puts = after.some(({ kind }) => kind === 'feature' || kind === 'stuff');
  return !puts && readWorkLine(rest).items.some(isWork);
}

/** The work of a line, and the sentences that stand after it: `R5-R9: sc around (24). Stuff firmly.` */
function readWork(line: string): Pick<LineRead, 'work' | 'after' | 'rounds'> {
  const said = canonical(line);
  const { rounds } = said;
  const whole = workOf(said);
  if (!whole.label) return { work: whole, after: [], rounds };
  for (const { index } of line.matchAll(sentenceStart)) {
    const after = readSentences(' '.repeat(index) + line.slice(index), 0);
    if (after.length === 0 || goesOn(line.slice(index), after)) continue;
    const head = workOf(canonical(line.slice(0, index)));
    if (head.label && head.items.some(isWork)) return { work: head, after: withoutRing(head, after), rounds };
  }
  return { work: whole, after: [], rounds };
}

/** `6 sc in ring. Pull tight.`: what is drawn together there is the ring the round is worked into, not the piece. */
const intoRing = ({ items }: WorkLine): boolean =>
  items.some((item) => item.type === 'ring' || (item.type === 'work' && item.target === 'ring'));
const withoutRing = (work: WorkLine, after: Sentence[]): Sentence[] =>
  intoRing(work) ? after.filter(({ kind }) => kind !== 'close') : after;

/** US or UK terms, where a line says so. */
function termsSaidIn(line: string): Terms | null {
  const terms =
    /\b(us|uk|american|british)\b[^.]{0,24}\b(terms?|terminology|notation)\b/i.exec(line) ??
    /\b(?:terms?|terminology)\b[^.]{0,12}\b(us|uk)\b/i.exec(line);
  if (!terms) return null;
  return /us|american/i.test(terms[1] ?? '') ? 'us' : 'uk';
}

/** `Mouse, left-handed`, `Left-handed, worked from the bottom up`; advice to those who may be, *if you are …*, says nothing of the maker. */
const isLeftHanded = (line: string): boolean =>
  /\bleft[\s-]?hand(?:ed|ers?)\b/i.test(line) &&
  !/\b(?:if|when|or|and|also|instead|both|right[\s-]?hand\w*)\b|\?|\bleft[\s-]?hand\w*\s*[:,]\s*(?!(?:worked|made|crocheted|bottom|top|joined|spiral|us|uk)\b)\w/i.test(
    line,
  );

function readWords(raw: string): Words {
  const whole = withoutBullet(raw);
  const length = readableLength(whole);
  const line = whole.slice(0, length);
  const steps = readSentences(line, 0);
  return {
    ...readWork(line),
    header: readHeader(line),
    heading: readHeading(line),
    steps,
    notUnderstood: steps.length > 0 ? unreadSentences(line) : [],
    termsSaid: termsSaidIn(line),
    saysMiss: /\bmiss\b/i.test(line),
    leftHanded: isLeftHanded(line),
    unread: whole.slice(length).trim() ? { from: length, report: null } : null,
  };
}

/** The stitches a line names. What was put in the place of its own words, `even` or `in every other stitch`, names none. */
function stitchesNamed(items: readonly Item[], line: string): ReturnType<typeof wordsUsed> {
  const named = wordsUsed(items);
  if (!/(?<![a-z])sc|single/i.test(line)) named.delete('sc');
  return named;
}

/** Reads a line, or finds it among those that were read. */
export function readLine(raw: string): LineRead {
  const cached = lineCache.get(raw);
  if (cached) return cached;
  let words: Words;
  try {
    words = readWords(raw);
  } catch (failure) {
    words = unreadable(failureOf(failure));
  }
  const read = {
    ...words,
    isRound: isRound(words, raw),
    isBareWork: isBareWork(words, raw),
    isListHeading: isListHeading(raw),
    isListed: isListed(raw),
    explains: isDefinition(raw) || (isGlossary(raw) && !words.work.total),
    stitches: stitchesNamed(words.work.items, raw),
  };
  if (lineCache.size >= cacheLimit) lineCache.clear();
  lineCache.set(raw, read);
  return read;
}

/** Forgets every line read. For tests and measuring. */
export function forgetLines(): void {
  lineCache.clear();
}

const isUnknown = (item: Item): boolean =>
  item.type === 'unknown' || (item.type === 'group' && item.items.some(isUnknown));

/** Is this labelled line a round, and not a numbered sentence such as `4. Sew the ears on`? */
function isRound({ work, steps }: Words, line: string): boolean {
  const { label, items } = work;
  if (!label) return false;
  const named = /r|rnd|round|row/i.test(line.slice(label.span.from, label.span.to));
  // `1. Insert 8 mm eyes …, 6 stitches showing`: a number and a sentence.
  const says = steps.some(
    ({ kind }) => kind === 'feature' || kind === 'sew' || kind === 'pin' || kind === 'nosew',
  );
  if (!named && says && !work.total) return false;
  if (items.some((item) => isWork(item) || item.type === 'repeatRounds')) return true;
  return named && steps.length === 0;
}

/** `Next round: `, in place of a number. */
const nextRound = /^\s*(?:for\s+|on\s+|in\s+)?(?:the\s+)?next\s+(?:round|rnd|row)\s*[:.,–-]\s*/i;

/** `inc - increase` in a list of abbreviations explains a word; work has a number, a repeat or a total. */
function isExplanation({ work }: Words, line: string): boolean {
  if (work.total || nextRound.test(line)) return false;
  const counted = work.items.some(
    (item) => item.type === 'group' || item.type === 'ring' || (item.type === 'work' && !item.bare),
  );
  if (!counted) return true;
  const explains = /^\s*[a-z0-9]+(?:\s[a-z]+)?\s*[-–—=:]\s/i.test(line) && work.items.length <= 2;
  return explains && !/\d/.test(line.split(/[-–—=:]/)[1] ?? '');
}

/** `Start with an `, before a ring. */
const startingWith = /^\s*(?:start|begin)(?:ing)?\s+(?:off\s+)?with\s+(?:an?\s+)?/i;

/** A line of pure work without a label, such as `6 sc in magic ring` or `(sc, inc) x 6`. */
function isBareWork(read: Words, line: string): boolean {
  const { work, steps, termsSaid } = read;
  const [first] = work.items;
  if (!first || termsSaid || work.label) return false;
  if (!work.items.some(isWork) || work.items.some(isUnknown)) return false;
  // `Start with 6 single crochet in a magic loop` works into a ring, and into no other part.
  const intoRing = work.items.some((item) => item.type === 'work' && item.target === 'ring');
  const says = steps.some(({ kind }) => kind !== 'cut' && !(kind === 'nosew' && intoRing));
  const isSentence = says && !work.total;
  if (isSentence || isExplanation(read, line)) return false;
  const before = line
    .slice(0, first.span.from + 2)
    .replace(slipKnot, '')
    .slice(0, -2);
  const said = [foundationLabel, nextRound, startingWith].reduce(
    (words, known) => words.replace(known, ''),
    before,
  );
  return said.trim().length <= 12;
}

/** Chains, a ring: what a first round is worked into. */
export const isFoundation = (items: readonly Item[]) => {
  const counted = items.filter((item) => item.type !== 'unknown');
  return (
    counted.length > 0 &&
    counted.every(
      (item) =>
        (item.type === 'work' && item.word === 'ch' && item.target === 'next') ||
        item.type === 'join' ||
        item.type === 'ring' ||
        item.type === 'turn',
    )
  );
};
/** Chains an item makes in the air: none where it is another stitch. */
export function chainsIn(item: Item): number {
  const isChain = item.type === 'work' && item.word === 'ch' && item.target === 'next';
  return isChain ? item.make * (item.extent.kind === 'count' ? item.extent.n : 1) : 0;
}

/** `Make a magic ring` on a line of its own, under a heading: how the part begins, and no part of that name. */
export const isMagicRing = (text: string): boolean =>
  /^\W*(?:(?:make|start|begin|work)(?:ing)?\s+(?:with\s+|into\s+)?)?(?:an?\s+)?(?:(?:magic|adjustable)\s+(?:ring|circle|loop)|mr)\W*$/i.test(
    text,
  );

/** `R1: ch 20, join`: the first round is the chain that the next one is worked into. */
export function isChainAlone({ label, items }: WorkLine): boolean {
  const isFirst = label?.first === 1 && label.last === 1;
  return isFirst && isFoundation(items) && items.some((item) => chainsIn(item) > 1);
}

/** `Join yarn in the front loops of R3 of the body`: what a round on the next line is worked into. */
export const isBaseAlone = (items: readonly Item[]) =>
  items.some(({ type }) => type === 'base') &&
  items.every(({ type }) => type === 'base' || type === 'join' || type === 'colour');
/** What ends a part and makes no round: `Sl st, ch 1, break off`. */
export const isEnding = (items: readonly Item[]) =>
  items.some((item) => item.type === 'fasten') &&
  items.every(
    (item) =>
      item.type === 'fasten' ||
      item.type === 'join' ||
      item.type === 'unknown' ||
      (item.type === 'work' && (item.word === 'sl' || item.word === 'ch')),
  );

/** How many lines are read before the text holds too much for one toy. */
export function linesRead(lines: readonly string[]): number {
  let signs = 0;
  for (const [index, line] of lines.entries()) {
    signs += Math.min(line.trim().length, limits.lineSigns);
    if (signs > limits.readSigns) return index;
  }
  return lines.length;
}

/**
 * Reads a text line by line ahead of its analysis, which then finds every line read: for reading in slices.
 *
 * @param count only counts what is not read yet
 * @returns after each line not read so far the number of its signs
 */
export function* readAhead(text: string, count = false): Generator<number> {
  if (text.length > limits.textSigns) return;
  const lines = text.split(/\r\n|\n|\r/);
  for (const line of lines.slice(0, linesRead(lines))) {
    if (lineCache.has(line)) continue;
    if (!count) readLine(line);
    yield line.length;
  }
}
