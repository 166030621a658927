import type { Item, StitchWord, WorkLine } from './ast';
import { readWorkLine } from './grammar';
import { isGlossary } from './glossary';
import { readHeader, type Header } from './headers';
import { readHeading, type Heading } from './heading';
import { failureOf } from './failure';
import { limits } from './limits';
import { canonical, type Canonical } from './manners';
import { addSteps, applyPartHeader, applyToyHeader, readSettings, repeatRounds } from './partLines';
import { handOver, isFinishing, type LooseSentence } from './sentence/owners';
import type { LineKind, PartSource, Pattern, ToyHeader } from './pattern';
import type { Problem } from './problem';
import { readSentences } from './sentence/readSentences';
import { isBareApart } from './sentence/feature';
import type { Sentence } from './sentence/sentence';
import { findTerms, wordsUsed, type Terms, type WordPlaces } from './terms';

interface LineRead {
  work: WorkLine;
  header: Header | null;
  heading: Heading | null;
  steps: Sentence[];
  /** sentences on the line of a round, after its work */
  after: Sentence[];
  rounds: Canonical['rounds'];
  termsSaid: Terms | null;
  saysMiss: boolean;
  /** what of the line was not read, from which sign on; the whole line where the reading failed */
  unread: { from: number; report: string | null } | null;
}

// What a line says by itself depends on its text alone, so an edit re-reads one line and finds the others here.
const lineCache = new Map<string, LineRead>();
const cacheLimit = 20_000;

/** Puts spaces for a leading bullet and for what a web page leaves behind, so that columns stay as they were. */
function withoutBullet(raw: string): string {
  const line = raw.replace(/<\/?[a-z][^<>]{0,80}>|&[a-z]{2,6};|&#\d{1,5};/gi, (junk) =>
    ' '.repeat(junk.length),
  );
  return line.replace(
    /^(\s*)([•·▪◦‣>]|[-–—*](?=\s+\S)(?!.*\*))/,
    (_, space: string, sign: string) => space + ' '.repeat(sign.length),
  );
}

const wordless: WorkLine = { label: null, items: [], total: null, brackets: [] };

/** A line whose reading failed is kept as it is; the others are read all the same. */
function unreadable(report: string): LineRead {
  return {
    work: wordless,
    header: null,
    heading: null,
    steps: [],
    after: [],
    rounds: null,
    termsSaid: null,
    saysMiss: false,
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

const isWork = (item: Item): boolean =>
  item.type === 'work' || (item.type === 'group' && item.items.some(isWork));
/** Where another sentence may begin on the line of a round. */
const sentenceStart = /(?<=[.!;)\]])\s+(?=[A-Z])/g;

/** The work of a line, in whatever manner it is said. */
function workOf(line: string): WorkLine {
  const { line: said, evenly } = canonical(line);
  const read = readWorkLine(said);
  if (!evenly) return read;
  const items = read.items.map((item) =>
    item.type === 'work' && (item.make > 1 || item.together > 1) ? { ...item, evenly: true } : item,
  );
  return { ...read, items };
}

/** The work of a line, and the sentences that stand after it: `R5-R9: sc around (24). Stuff firmly.` */
function readWork(line: string): { work: WorkLine; after: Sentence[] } {
  const whole = workOf(line);
  if (!whole.label) return { work: whole, after: [] };
  for (const { index } of line.matchAll(sentenceStart)) {
    const head = workOf(line.slice(0, index));
    if (!head.label || !head.items.some(isWork)) continue;
    const after = readSentences(' '.repeat(index) + line.slice(index), 0);
    const goesOn =
      readWorkLine(line.slice(index)).items.some(isWork) &&
      after.every(({ kind }) => kind !== 'feature' && kind !== 'stuff');
    if (after.length > 0 && !goesOn) return { work: head, after };
  }
  return { work: whole, after: [] };
}

function readWords(raw: string): LineRead {
  const whole = withoutBullet(raw);
  const length = readableLength(whole);
  const line = whole.slice(0, length);
  const terms =
    /\b(us|uk|american|british)\b[^.]{0,24}\b(terms?|terminology|notation)\b/i.exec(line) ??
    /\b(?:terms?|terminology)\b[^.]{0,12}\b(us|uk)\b/i.exec(line);
  const { work, after } = readWork(line);
  const { rounds } = canonical(line);
  return {
    work,
    after,
    rounds,
    header: readHeader(line),
    heading: readHeading(line),
    steps: readSentences(line, 0),
    termsSaid: terms ? (/us|american/i.test(terms[1] ?? '') ? 'us' : 'uk') : null,
    saysMiss: /\bmiss\b/i.test(line),
    unread: whole.slice(length).trim() ? { from: length, report: null } : null,
  };
}

function readLine(raw: string): LineRead {
  const cached = lineCache.get(raw);
  if (cached) return cached;
  let read: LineRead;
  try {
    read = readWords(raw);
  } catch (failure) {
    read = unreadable(failureOf(failure));
  }
  if (lineCache.size >= cacheLimit) lineCache.clear();
  lineCache.set(raw, read);
  return read;
}

/** Forgets every line read. For tests and measuring. */
export function forgetLines(): void {
  lineCache.clear();
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

/** How many lines are read before the text holds too much for one toy. */
function linesRead(lines: readonly string[]): number {
  let signs = 0;
  for (const [index, line] of lines.entries()) {
    signs += Math.min(line.trim().length, limits.lineSigns);
    if (signs > limits.readSigns) return index;
  }
  return lines.length;
}

const isUnknown = (item: Item): boolean =>
  item.type === 'unknown' || (item.type === 'group' && item.items.some(isUnknown));

/** Is this labelled line a round, and not a numbered sentence such as `4. Sew the ears on`? */
function isRound({ work, steps }: LineRead, line: string): boolean {
  const { label, items } = work;
  if (!label) return false;
  const named = /r|rnd|round|row/i.test(line.slice(label.span.from, label.span.to));
  if (items.some((item) => isWork(item) || item.type === 'repeatRounds')) return true;
  return named && steps.length === 0;
}

/** A line of pure work without a label, such as `6 sc in magic ring` or `(sc, inc) x 6`. */
function isBareWork({ work, steps, termsSaid }: LineRead, line: string): boolean {
  const [first] = work.items;
  if (!first || termsSaid || work.label || !work.items.some(isWork) || work.items.some(isUnknown))
    return false;
  if (steps.some((step) => step.kind !== 'cut') && !work.total) return false;
  // `inc - increase` in a list of abbreviations explains a word; work has a number, a repeat or a total.
  if (
    !work.total &&
    !work.items.some(
      (item) => item.type === 'group' || item.type === 'ring' || (item.type === 'work' && !item.bare),
    )
  )
    return false;
  if (
    /^\s*[a-z0-9]+(?:\s[a-z]+)?\s*[-–—=:]\s/i.test(line) &&
    !work.total &&
    work.items.length <= 2 &&
    !/\d/.test(line.split(/[-–—=:]/)[1] ?? '')
  )
    return false;
  return line.slice(0, first.span.from).trim().length <= 12;
}

const isFoundation = (items: readonly Item[]) => {
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
const isEnding = (items: readonly Item[]) =>
  items.some((item) => item.type === 'fasten') &&
  items.every(
    (item) =>
      item.type === 'fasten' ||
      item.type === 'join' ||
      item.type === 'unknown' ||
      (item.type === 'work' && (item.word === 'sl' || item.word === 'ch')),
  );

function slug(name: string, taken: ReadonlySet<string>): string {
  const base =
    name
      .toLowerCase()
      .normalize('NFKD')
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '') || 'part';
  let id = base;
  for (let n = 2; taken.has(id); n += 1) id = `${base}-${n}`;
  return id;
}

function unreadProblem({ from, report }: NonNullable<LineRead['unread']>, line: number): Problem {
  if (report !== null)
    return {
      code: 'line-failed',
      severity: 'error',
      line,
      column: 1,
      facts: { report },
      message: `Line ${line} could not be read, though it should have been. It is kept as a note; everything else still counts. Write it another way. (${report})`,
      suggestions: [],
    };
  return {
    code: 'line-too-long',
    severity: 'error',
    line,
    column: from + 1,
    message: `Line ${line} is too long to be one line of work: from sign ${from + 1} on it is not read. Divide it.`,
    suggestions: [],
  };
}

/** A bare “8 apart” of a maker who counts what shows. */
function showingMeant(step: Sentence): Sentence {
  if (step.kind !== 'feature' || !isBareApart(step)) return step;
  const { apart, ...rest } = step;
  return { ...rest, showing: apart };
}

/**
 * Reads a whole pattern: its header, parts, rounds and assembly sentences.
 *
 * Every line ends up as something. What fits nothing is kept as a note with its place.
 *
 * @param text the pattern as the maker wrote it
 */
export function readPattern(text: string): Pattern {
  const header: ToyHeader = {
    name: null,
    hand: 'right',
    gauge: null,
    lean: null,
    apart: null,
    hook: null,
    audience: null,
    yarns: [],
  };
  const parts: PartSource[] = [];
  const notes: Pattern['notes'] = [];
  const problems: Problem[] = [];
  const lineKinds: LineKind[] = [];
  let declared: Terms | null = null;
  let saysMiss = false;
  const places: WordPlaces = new Map();
  if (text.length > limits.textSigns) {
    problems.push({
      code: 'too-long',
      severity: 'error',
      message: `This text has ${Math.ceil(text.length / 1000)} thousand signs: too long for one toy. Paste one toy at a time, up to ${limits.textSigns / 1000} thousand signs.`,
      suggestions: [],
    });
    return { header, parts, notes, terms: { value: 'us', source: 'either' }, problems, lineKinds };
  }
  const lines = text.split(/\r\n|\n|\r/);
  const readable = linesRead(lines);
  const reads = lines.slice(0, readable).map((line) => readLine(line));
  const ids = new Set<string>();
  let part: PartSource | null = null;
  // Under a heading such as `Assembly` sentences are not about the part above it.
  let aside = false;
  const loose: LooseSentence[] = [];
  let foundation: Item[] = [];

  // Once the toy is full, what comes after is kept and not counted: put to the part before, it would change its numbers.
  let full = false;
  const fill = (line: number, what: string) => {
    if (full) return;
    full = true;
    problems.push({
      code: 'too-much',
      severity: 'error',
      line,
      column: 1,
      message: `From line ${line} on this text holds too much for one toy: ${what}. The lines from there are kept and not counted. Give them to a toy of their own.`,
      suggestions: [],
    });
  };
  let rounds = 0;
  /** Room for one more round; false once there is none. */
  const room = (line: number): boolean => {
    rounds += 1;
    if (rounds > limits.rounds) fill(line, `it has more than ${limits.rounds} rounds`);
    return !full;
  };

  const open = (name: string, line: number, heading?: Heading): PartSource => {
    const id = slug(name, ids);
    ids.add(id);
    const opened: PartSource = {
      name,
      id,
      make: heading?.make ?? 1,
      colour: heading?.colour ?? null,
      line,
      start: 'top',
      lying: false,
      side: 'out',
      joined: null,
      front: null,
      rounds: [],
      steps: [],
      firstLine: line,
      lastLine: line,
    };
    parts.push(opened);
    aside = false;
    return opened;
  };

  /** Does work follow within the next lines that say something, before another sure heading? */
  const workFollows = (index: number): boolean => {
    let seen = 0;
    for (let i = index + 1; i < lines.length && seen < 3; i += 1) {
      const line = lines[i] ?? '';
      const read = reads[i];
      if (!read || !line.trim()) continue;
      if (isRound(read, line)) return (read.work.label?.first ?? 2) <= 1;
      if (isBareWork(read, line) || read.header?.scope === 'part') return true;
      seen += 1;
    }
    return false;
  };

  const addRounds = (
    owner: PartSource,
    number: number,
    last: number,
    row: boolean,
    index: number,
    read: LineRead,
  ) => {
    for (let r = number; r <= last && room(index + 1); r += 1) {
      owner.rounds.push({
        number: r,
        row,
        line: index + 1,
        text: lines[index] ?? '',
        work: read.work,
        foundation: r === number ? foundation : [],
      });
    }
    foundation = [];
    aside = false;
    owner.lastLine = index + 1;
    for (const [word, column] of wordsUsed(read.work.items)) {
      if (!places.has(word))
        places.set(word as StitchWord, { line: index + 1, column: column + 1, text: lines[index] ?? '' });
    }
    saysMiss ||= read.saysMiss;
  };

  const keep = (steps: readonly Sentence[], number: number, line: string) => {
    const after = part;
    if (aside && after)
      loose.push(...steps.map((step) => ({ step: { ...step, line: number, whole: line }, after })));
    else addSteps(part, steps, number, line);
  };

  lines.forEach((line, index) => {
    const read = reads[index];
    const number = index + 1;
    const note = () => {
      notes.push({ line: number, text: line.trim() });
      lineKinds.push('note');
    };
    if (!line.trim()) {
      lineKinds.push('blank');
      return;
    }
    if (!read) fill(number, `more than ${limits.readSigns / 1000} thousand signs`);
    if (!read || full) {
      note();
      return;
    }
    if (read.unread) problems.push(unreadProblem(read.unread, number));
    const { label: numbered } = read.work;
    if (numbered && numbered.last > limits.roundNumber && isRound(read, line)) {
      problems.push({
        code: 'round-number',
        severity: 'error',
        line: number,
        column: numbered.span.from + 1,
        message: `Line ${number} numbers a round above ${limits.roundNumber}. Check the number; until then the line is kept as a note.`,
        suggestions: [],
      });
      note();
      return;
    }
    if (isGlossary(line) && (part === null || part.rounds.length === 0) && !read.work.total) {
      note();
      return;
    }
    if (read.termsSaid && !read.work.label) {
      declared ??= read.termsSaid;
      lineKinds.push('header');
      return;
    }
    const { header: head } = read;
    if (head && !isRound(read, line)) {
      lineKinds.push('header');
      if (head.scope === 'bad')
        problems.push({
          code: 'header-unclear',
          severity: 'warning',
          line: number,
          column: 1,
          message: head.message,
          suggestions: [],
        });
      else if (head.scope === 'toy')
        applyToyHeader(header, head, number, (terms) => {
          declared ??= terms;
        });
      else {
        part ??= open('Part', number);
        applyPartHeader(part, head, number);
        part.lastLine = number;
      }
      return;
    }
    if (isRound(read, line) && read.work.label) {
      const { label } = read.work;
      part ??= open('Part', number);
      const [repeated] = read.work.items;
      if (repeated?.type === 'repeatRounds')
        repeatRounds(part, repeated, number, problems, () => room(number), label);
      else
        addRounds(
          part,
          label.first,
          Math.max(label.last, label.first + (read.rounds?.times ?? 1) - 1),
          label.row,
          index,
          read,
        );
      if (read.after.length > 0) keep(read.after, number, line);
      part.lastLine = number;
      lineKinds.push('round');
      return;
    }
    const before = part?.rounds.at(-1);
    if (read.rounds && part && before && (read.rounds.again || read.work.items.some(isWork))) {
      const { times, again } = read.rounds;
      if (again)
        repeatRounds(
          part,
          {
            type: 'repeatRounds',
            first: before.number,
            last: before.number,
            times,
            span: { from: 0, to: line.length },
          },
          number,
          problems,
          () => room(number),
        );
      else addRounds(part, before.number + 1, before.number + times, before.row, index, read);
      lineKinds.push('round');
      return;
    }
    // `With brown yarn` on a line of its own: the colour of what follows.
    const onlyColour = read.work.items.length > 0 && read.work.items.every((item) => item.type === 'colour');
    if (onlyColour && part && read.steps.length === 0) {
      foundation = [...foundation, ...read.work.items];
      lineKinds.push('foundation');
      return;
    }
    const { heading } = read;
    const bare = isBareWork(read, line);
    if (
      heading &&
      part &&
      !bare &&
      read.steps.length === 0 &&
      isFinishing(heading.name) &&
      !workFollows(index)
    ) {
      aside = true;
      lineKinds.push('heading');
      return;
    }
    if (
      heading &&
      !bare &&
      (heading.sure || read.steps.length === 0) &&
      (heading.sure ? read.steps.length === 0 || workFollows(index) : workFollows(index))
    ) {
      if (parts.length >= limits.parts) {
        fill(number, `it has more than ${limits.parts} parts`);
        note();
        return;
      }
      part = open(heading.name, number, heading);
      foundation = [];
      lineKinds.push('heading');
      return;
    }
    // The first words of all, over whatever comes before the parts, name the toy.
    if (
      heading &&
      !bare &&
      parts.length === 0 &&
      header.name === null &&
      read.steps.length === 0 &&
      lineKinds.every((kind): boolean => kind === 'blank')
    ) {
      header.name = heading.name;
      lineKinds.push('header');
      return;
    }
    const [only] = read.work.items;
    if (part && only?.type === 'repeatRounds') {
      repeatRounds(part, only, number, problems, () => room(number));
      lineKinds.push('round');
      return;
    }
    if (bare && isFoundation(read.work.items) && foundation.length < limits.lineWords) {
      part ??= open('Part', number);
      foundation = [...foundation, ...read.work.items];
      lineKinds.push('foundation');
      return;
    }
    if (read.work.items.length > 0 && isEnding(read.work.items) && !read.work.total) {
      keep(read.steps, number, line);
      lineKinds.push('step');
      return;
    }
    if (bare) {
      part ??= open('Part', number);
      const next = (part.rounds.at(-1)?.number ?? 0) + 1;
      addRounds(part, next, next, part.rounds.at(-1)?.row ?? false, index, read);
      lineKinds.push('round');
      return;
    }
    const settled = readSettings(line, part);
    if (settled) {
      lineKinds.push('header');
      return;
    }
    if (read.steps.length > 0) {
      keep(read.steps, number, line);
      lineKinds.push('step');
      return;
    }
    note();
  });

  // A title over the first part looks like a heading with nothing below it.
  const kept = parts.filter((candidate) => {
    const empty = candidate.rounds.length === 0 && candidate.steps.length === 0;
    const heading = reads[candidate.line - 1]?.heading;
    if (!empty || !heading || heading.sure || candidate === parts.at(-1)) return true;
    if (header.name === null) header.name = candidate.name;
    else notes.push({ line: candidate.line, text: candidate.name });
    return false;
  });
  handOver(kept, loose);
  if (header.apart === 'showing') for (const owner of kept) owner.steps = owner.steps.map(showingMeant);
  const found = findTerms(declared, places, saysMiss);
  return {
    header,
    parts: kept,
    notes: notes.sort((a, b) => a.line - b.line),
    terms: found.terms,
    problems: [...problems, ...found.problems],
    lineKinds,
  };
}
