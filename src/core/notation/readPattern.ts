import type { Item, StitchWord, WorkLine } from './ast';
import { readWorkLine } from './grammar';
import { readHeader, type Header } from './headers';
import { readHeading, type Heading } from './heading';
import { addSteps, applyPartHeader, applyToyHeader, readSettings, repeatRounds } from './partLines';
import { handOver, isFinishing, type LooseStep } from './owners';
import type { LineKind, PartSource, Pattern, ToyHeader } from './pattern';
import type { Problem } from './problem';
import { readSteps } from './sentences';
import { isBareApart, type Step } from './step';
import { findTerms, wordsUsed, type Terms, type WordPlaces } from './terms';

/** A text longer than this is no pattern; it is refused before any reading. */
export const longestText = 200_000;

interface LineRead {
  work: WorkLine;
  header: Header | null;
  heading: Heading | null;
  steps: Step[];
  termsSaid: Terms | null;
  saysMiss: boolean;
}

// What a line says by itself depends on its text alone, so an edit re-reads one line and finds the others here.
const lineCache = new Map<string, LineRead>();
const cacheLimit = 6000;

/** Puts spaces for a leading bullet and for what a web page leaves behind, so that columns stay as they were. */
function withoutBullet(raw: string): string {
  const line = raw.replace(/<\/?[a-z][^<>]{0,80}>|&[a-z]{2,6};|&#\d{1,5};/gi, (junk) => ' '.repeat(junk.length));
  return line.replace(/^(\s*)([•·▪◦‣>]|[-–—*](?=\s+\S)(?!.*\*))/, (_, space: string, sign: string) => space + ' '.repeat(sign.length));
}

function readLine(raw: string): LineRead {
  const cached = lineCache.get(raw);
  if (cached) return cached;
  const line = withoutBullet(raw).slice(0, 2000);
  const terms = /\b(us|uk|american|british)\b[^.]{0,24}\b(terms?|terminology|notation)\b/i.exec(line) ?? /\b(?:terms?|terminology)\b[^.]{0,12}\b(us|uk)\b/i.exec(line);
  const read: LineRead = {
    work: readWorkLine(line),
    header: readHeader(line),
    heading: readHeading(line),
    steps: readSteps(line, 0),
    termsSaid: terms ? (/us|american/i.test(terms[1] ?? '') ? 'us' : 'uk') : null,
    saysMiss: /\bmiss\b/i.test(line),
  };
  if (lineCache.size >= cacheLimit) lineCache.clear();
  lineCache.set(raw, read);
  return read;
}

const isWork = (item: Item): boolean => item.type === 'work' || (item.type === 'group' && item.items.some(isWork));
const isUnknown = (item: Item): boolean => item.type === 'unknown' || (item.type === 'group' && item.items.some(isUnknown));

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
  if (!first || termsSaid || work.label || !work.items.some(isWork) || work.items.some(isUnknown)) return false;
  if (steps.some((step) => step.kind !== 'cut') && !work.total) return false;
  // `inc - increase` in a list of abbreviations explains a word; work has a number, a repeat or a total.
  if (!work.total && !work.items.some((item) => item.type === 'group' || item.type === 'ring' || (item.type === 'work' && !item.bare))) return false;
  if (/^\s*[a-z0-9]+(?:\s[a-z]+)?\s*[-–—=:]\s/i.test(line) && !work.total && work.items.length <= 2 && !/\d/.test(line.split(/[-–—=:]/)[1] ?? '')) return false;
  return line.slice(0, first.span.from).trim().length <= 12;
}

const isFoundation = (items: readonly Item[]) => {
  const counted = items.filter((item) => item.type !== 'unknown');
  return counted.length > 0 && counted.every((item) => (item.type === 'work' && item.word === 'ch' && item.target === 'next') || item.type === 'join' || item.type === 'ring' || item.type === 'turn');
};
const isEnding = (items: readonly Item[]) => items.some((item) => item.type === 'fasten') && items.every((item) => item.type === 'fasten' || item.type === 'join' || item.type === 'unknown' || (item.type === 'work' && (item.word === 'sl' || item.word === 'ch')));

function slug(name: string, taken: ReadonlySet<string>): string {
  const base = name.toLowerCase().normalize('NFKD').replace(/[^a-z0-9]+/g, '-').replace(/^-+|-+$/g, '') || 'part';
  let id = base;
  for (let n = 2; taken.has(id); n += 1) id = `${base}-${n}`;
  return id;
}

/** A bare “8 apart” of a maker who counts what shows. */
function showingMeant(step: Step): Step {
  if (!isBareApart(step)) return step;
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
  const header: ToyHeader = { name: null, hand: 'right', gauge: null, lean: null, apart: null, hook: null, audience: null, yarns: [] };
  const parts: PartSource[] = [];
  const notes: Pattern['notes'] = [];
  const problems: Problem[] = [];
  const lineKinds: LineKind[] = [];
  let declared: Terms | null = null;
  let saysMiss = false;
  const places: WordPlaces = new Map();
  if (text.length > longestText) {
    problems.push({
      code: 'too-long', severity: 'error',
      message: `This text has ${Math.round(text.length / 1000)} thousand signs: too long for one toy. Paste one toy at a time, up to ${longestText / 1000} thousand signs.`,
      suggestions: [],
    });
    return { header, parts, notes, terms: { value: 'us', source: 'either' }, problems, lineKinds };
  }
  const lines = text.split(/\r\n|\n|\r/);
  const reads = lines.map((line) => readLine(line));
  const ids = new Set<string>();
  let part: PartSource | null = null;
  // Under a heading such as `Assembly` sentences are not about the part above it.
  let aside = false;
  const loose: LooseStep[] = [];
  let foundation: Item[] = [];

  const open = (name: string, line: number, heading?: Heading): PartSource => {
    const id = slug(name, ids);
    ids.add(id);
    const opened: PartSource = {
      name, id, make: heading?.make ?? 1, colour: heading?.colour ?? null, line, start: 'top', lying: false, side: 'out', joined: null, front: null,
      rounds: [], steps: [], firstLine: line, lastLine: line,
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

  const addRounds = (owner: PartSource, number: number, last: number, row: boolean, index: number, read: LineRead) => {
    for (let r = number; r <= Math.min(last, number + 499); r += 1) {
      owner.rounds.push({ number: r, row, line: index + 1, text: lines[index] ?? '', work: read.work, foundation: r === number ? foundation : [] });
    }
    foundation = [];
    aside = false;
    owner.lastLine = index + 1;
    for (const [word, column] of wordsUsed(read.work.items)) {
      if (!places.has(word)) places.set(word as StitchWord, { line: index + 1, column: column + 1, text: lines[index] ?? '' });
    }
    saysMiss ||= read.saysMiss;
  };

  const keep = (steps: readonly Step[], number: number, line: string) => {
    const after = part;
    if (aside && after) loose.push(...steps.map((step) => ({ step: { ...step, line: number }, after })));
    else addSteps(part, steps, number, line);
  };

  lines.forEach((line, index) => {
    const read = reads[index];
    if (!read) return;
    const number = index + 1;
    const note = () => { notes.push({ line: number, text: line.trim() }); lineKinds.push('note'); };
    if (!line.trim()) { lineKinds.push('blank'); return; }
    if (read.termsSaid && !read.work.label) { declared ??= read.termsSaid; lineKinds.push('header'); return; }
    const { header: head } = read;
    if (head && !isRound(read, line)) {
      lineKinds.push('header');
      if (head.scope === 'bad') problems.push({ code: 'header-unclear', severity: 'warning', line: number, column: 1, message: head.message, suggestions: [] });
      else if (head.scope === 'toy') applyToyHeader(header, head, number, (terms) => { declared ??= terms; });
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
      if (repeated?.type === 'repeatRounds') repeatRounds(part, repeated, number, problems, label);
      else addRounds(part, label.first, label.last, label.row, index, read);
      part.lastLine = number;
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
    if (heading && part && !bare && read.steps.length === 0 && isFinishing(heading.name) && !workFollows(index)) {
      aside = true;
      lineKinds.push('heading');
      return;
    }
    if (heading && !bare && (heading.sure || read.steps.length === 0) && (heading.sure ? read.steps.length === 0 || workFollows(index) : workFollows(index))) {
      part = open(heading.name, number, heading);
      foundation = [];
      lineKinds.push('heading');
      return;
    }
    // The first words of all, over whatever comes before the parts, name the toy.
    if (heading && !bare && parts.length === 0 && header.name === null && read.steps.length === 0 && lineKinds.every((kind): boolean => kind === 'blank')) {
      header.name = heading.name;
      lineKinds.push('header');
      return;
    }
    const [only] = read.work.items;
    if (part && only?.type === 'repeatRounds') {
      repeatRounds(part, only, number, problems);
      lineKinds.push('round');
      return;
    }
    if (bare && isFoundation(read.work.items)) {
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
    if (settled) { lineKinds.push('header'); return; }
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
  return { header, parts: kept, notes: notes.sort((a, b) => a.line - b.line), terms: found.terms, problems: [...problems, ...found.problems], lineKinds };
}
