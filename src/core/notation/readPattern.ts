import type { Item, Label, WorkLine } from './ast';
import { isMaterial, sizeEyes } from './materials';
import { roundsOnLine, sharedLines } from './unfold';
import { copiesPart } from './copies';
import { bareHeader, emptyPattern } from './emptyPattern';
import { readHeading, type Heading, saidBeside } from './heading';
import { limits } from './limits';
import { growsTogether } from './grown';
import { findGrown, findOnto } from './onto';
import { findWorkedIn } from './workedIn';
import {
  addSteps,
  applyPartHeader,
  applyToyHeader,
  newPart,
  onLine,
  readSettings,
  copyRounds,
  repeatRounds,
  workedAsIn,
} from './partLines';
import type { LineKind, PartSource, Pattern } from './pattern';
import type { Problem } from './problem';
import { lengthWorked } from './spannedRounds';
import {
  headerUnclear,
  numberedTooHigh,
  roundsByLength,
  roundsDiffer,
  tooLong,
  tooMuch,
  unreadLine,
} from './readProblems';
import { withoutRemarks } from './remarks';
import {
  chainsIn,
  isBaseAlone,
  isEnding,
  isChainAlone,
  isMagicRing,
  isFoundation,
  isWork,
  linesRead,
  readLine,
  type LineRead,
} from './readLine';
import { findRounds } from './rowsWorked';
import { readSentences } from './sentence/readSentences';
import { readContinued, shifted } from './sentence/continued';
import { isBareApart } from './sentence/feature';
import { PartNames } from './sentence/names';
import { handOver, isFinishing, isAboutPart, placedParts, type LooseSentence } from './sentence/owners';
import type { Sentence } from './sentence/sentence';
import { isIntoRing, Surroundings } from './surroundings';
import { linesOfRound } from './wrapped';
import { startSaidBy, startSaidIn, Starts } from './startWords';
import { findTerms, type Terms, type WordPlaces } from './terms';

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
  if (text.length > limits.textSigns) return emptyPattern([tooLong(text)]);
  return new PatternReader(text).read();
}

/** One line on its way into the pattern. */
interface Line {
  /** what its words say */
  read: LineRead;
  index: number;
  /** from 1 */
  number: number;
  text: string;
  /** how many lines of the text it is */
  count: number;
}

/** What a line is taken as, or null where it is not that. */
type Taking = (line: Line) => LineKind | null;

/** Reads line by line; each line is offered to what it may be, in order, and is the first that takes it. */
class PatternReader {
  private readonly header = bareHeader();
  private readonly parts: PartSource[] = [];
  private readonly notes: Pattern['notes'] = [];
  private readonly problems: Problem[] = [];
  private readonly lineKinds: LineKind[] = [];
  private readonly lines: string[];
  private readonly reads: LineRead[];
  private readonly ids = new Set<string>();
  private readonly places: WordPlaces = new Map();
  private readonly loose: LooseSentence[] = [];
  private declared: Terms | null = null;
  private saysMiss = false;
  /** a line of words says so; a line `Hand:` holds against it */
  private leftHanded = false;
  private saysHand = false;
  private part: PartSource | null = null;
  /** under a heading such as `Assembly` sentences are not about the part above it */
  private aside = false;
  /** a chain or ring on lines of their own, for the round that comes */
  private foundation: Item[] = [];
  /** once the toy is full, what comes after is kept and not counted: put to the part before, it would change its numbers */
  private full = false;
  /** lines are a list of materials or words */
  private listing = false;
  /** the feature that the last line was about */
  private about: { feature: string; line: number } | null = null;
  /** a label that stood on a line of its own */
  private pending: Label | null = null;
  /** lines that hold several rounds */
  private readonly shared: { line: number; pieces: string[] }[] = [];
  private rounds = 0;
  private readonly starts = new Starts();
  private readonly around: Surroundings;

  constructor(text: string) {
    this.lines = withoutRemarks(text.split(/\r\n|\n|\r/));
    this.reads = this.lines.slice(0, linesRead(this.lines)).map((line) => readLine(line));
    this.around = new Surroundings(this.lines, this.reads);
  }

  read(): Pattern {
    for (let index = 0; index < this.lines.length; index = this.lineKinds.length) this.takeLines(index);
    const parts = this.parts.filter((part) => !this.isTitle(part));
    this.problems.push(...findRounds(parts, this.lines));
    findOnto(parts, this.lines);
    findGrown(parts);
    findWorkedIn(parts);
    this.starts.settle(parts);
    this.placeParts(parts);
    handOver(parts, this.loose);
    sizeEyes(parts, this.lines, this.lineKinds);
    if (this.header.apart === 'showing') for (const part of parts) part.steps = part.steps.map(showingMeant);
    if (this.leftHanded && !this.saysHand) this.header.hand = 'left';
    const shared = sharedLines(this.shared);
    if (shared) this.problems.push(shared);
    const found = findTerms(this.declared, this.places, this.saysMiss);
    return {
      header: this.header,
      parts,
      notes: this.notes.sort((a, b) => a.line - b.line),
      terms: found.terms,
      problems: [...this.problems, ...found.problems],
      lineKinds: this.lineKinds,
    };
  }

  /** Takes a line, with those after it that go on with its round. */
  private takeLines(index: number): void {
    const count = linesOfRound(index, this.lines, this.reads);
    const text = this.lines.slice(index, index + count).join(' ');
    const kind = this.take(index, text, count);
    this.lineKinds.push(...Array.from({ length: count }, () => kind));
  }

  private take(index: number, text: string, count: number): LineKind {
    if (!text.trim()) {
      this.listing = false;
      return 'blank';
    }
    const number = index + 1;
    const read = count > 1 ? readLine(text) : this.reads[index];
    if (!read) this.fill(number, `more than ${limits.readSigns / 1000} thousand signs`);
    if (!read || this.full) return this.note(number, text);
    this.leftHanded ||= read.leftHanded && !read.isRound;
    if (read.unread) this.problems.push(unreadLine(read.unread, number));
    if (this.holdsSeveral(number, text, count)) return this.note(number, text);
    const line: Line = { read, index, number, text, count };
    for (const taking of this.takings) {
      const kind = taking(line);
      if (kind) return kind;
    }
    return this.note(number, text);
  }

  /** Several rounds on one line are asked about: an edit of one of them would be an edit of all. */
  private holdsSeveral(line: number, text: string, count: number): boolean {
    const pieces = count === 1 ? roundsOnLine(text) : [text];
    if (pieces.length === 1) return false;
    this.openPart(line);
    this.shared.push({ line, pieces });
    return true;
  }

  private readonly takings: readonly Taking[] = [
    (line) => this.numberedTooHigh(line),
    (line) => this.list(line),
    (line) => this.glossary(line),
    (line) => this.termsLine(line),
    (line) => this.headerLine(line),
    (line) => this.nameAlone(line),
    (line) => this.labelAlone(line),
    (line) => this.byLength(line),
    (line) => this.round(line),
    (line) => this.nextRounds(line),
    (line) => this.joiningLine(line),
    (line) => this.laterRound(line),
    (line) => this.settings(line),
    (line) => this.startLine(line),
    (line) => this.colourLine(line),
    (line) => this.finishing(line),
    (line) => this.copied(line),
    (line) => this.partWithWork(line),
    (line) => this.ringLine(line),
    (line) => this.partHeading(line),
    (line) => this.toyName(line),
    (line) => this.repeat(line),
    (line) => this.foundationLine(line),
    (line) => this.ending(line),
    (line) => this.bareRound(line),
    (line) => this.sentences(line),
    (line) => this.goesOn(line),
  ];

  /** Lines that say of parts where they are put, now that the parts' names are known. */
  private placeParts(parts: readonly PartSource[]): void {
    const names = new PartNames(parts);
    for (const note of [...this.notes]) {
      const after = parts.findLast(({ line }) => line <= note.line);
      const line = this.lines[note.line - 1] ?? '';
      const from = line.indexOf(note.text);
      const steps = after && from >= 0 ? placedParts(note.text, note.line, names) : [];
      if (!after || steps.length === 0) continue;
      const placed = steps.map((step) => ({ ...shifted(step, from), whole: line }));
      this.loose.push(...placed.map((step) => ({ step, after })));
      this.notes.splice(this.notes.indexOf(note), 1);
      this.lineKinds[note.line - 1] = 'step';
    }
  }

  private note(line: number, text: string): 'note' {
    this.notes.push({ line, text: text.trim() });
    return 'note';
  }

  private numberedTooHigh({ read: { work, isRound }, number, text }: Line): LineKind | null {
    const { label } = work;
    if (!label || label.last <= limits.roundNumber || !isRound) return null;
    this.problems.push(numberedTooHigh(number, label.span.from + 1));
    return this.note(number, text);
  }

  /** Under *Materials* or *You will need* lines are a list, up to the next heading, round or empty line. */
  private list(line: Line): LineKind | null {
    if (line.read.isListHeading && !this.around.workFollows(line.index)) {
      this.listing = true;
      return this.note(line.number, line.text);
    }
    const ends = line.read.isRound || (line.read.heading?.sure && !line.read.isListed);
    if (!this.listing || ends) {
      this.listing = false;
      return null;
    }
    return line.read.header ? null : this.note(line.number, line.text);
  }

  /** `Round 3` and nothing more: the number of the work on the next line. */
  private labelAlone({ read: { work, steps, isRound }, number }: Line): LineKind | null {
    const { label } = work;
    const alone = label && work.items.length === 0 && steps.length === 0 && !work.total;
    const next = this.reads[number];
    const follows = next && !next.work.label && next.work.items.some(isWork);
    if (!alone || !follows || !isRound) return null;
    this.openPart(number);
    this.pending = label;
    return 'round';
  }

  /** `Eyes.` and nothing more: what the next lines are about. */
  private nameAlone({ read: { isBareWork, work }, text, number }: Line): LineKind | null {
    const feature = /^\s*(?:the\s+)?(eyes|nose|mouth|cheeks)\s*[.:–-]?\s*$/i.exec(text)?.[1];
    if (!feature || isBareWork || work.label || !this.part || this.part.rounds.length === 0) return null;
    if (this.around.workFollows(number - 1)) return null;
    this.about = { feature: feature.toLowerCase(), line: number };
    return 'step';
  }

  /** What goes on about the feature of the line before: `Leave 6 stitches between them.`, `SPACING: 6 stitches between` */
  private goesOn({ number, text }: Line): LineKind | null {
    const { about: named } = this;
    if (!named || named.line !== number - 1 || this.aside) return null;
    const steps = readContinued(text, named.feature);
    if (steps.length === 0) return null;
    this.keep(steps, number, text);
    return 'step';
  }

  /** A list that explains abbreviations makes no rounds. */
  private glossary({ read: { explains }, number, text }: Line): LineKind | null {
    const begun = this.part !== null && this.part.rounds.length > 0;
    return explains && !begun ? this.note(number, text) : null;
  }

  private termsLine({ read: { termsSaid, work }, text }: Line): LineKind | null {
    if (!termsSaid || work.label) return null;
    this.declared ??= termsSaid;
    // `Pip the Penguin (UK terms)` is a title too.
    const title = /^\W*(\p{L}[^([,:;|–—-]{1,46}?)\s*[([,:;|–—-]/u.exec(text)?.[1];
    const isTitle =
      title !== undefined && !/\b(?:terms?|terminology|pattern|written|uses?|us|uk)\b/i.test(title);
    if (isTitle && this.parts.length === 0) this.header.name ??= title;
    return 'header';
  }

  private headerLine(line: Line): LineKind | null {
    const { number, read } = line;
    const { header: head } = read;
    if (!head || line.read.isRound) return null;
    if (head.scope === 'bad') {
      this.problems.push(headerUnclear(number, head.fault));
    } else if (head.scope === 'toy') {
      this.saysHand ||= head.key === 'hand';
      applyToyHeader(this.header, head, number, (terms) => {
        this.declared ??= terms;
      });
    } else if (!this.part && head.key === 'start' && (head.value === 'top' || head.value === 'bottom')) {
      // Over all parts it is said of all of them.
      this.starts.hear({ start: head.value, text: '', within: null });
    } else {
      const part = this.openPart(number);
      if (head.key === 'start') this.starts.settledBy(part);
      applyPartHeader(part, head, number);
      part.lastLine = number;
    }
    return 'header';
  }

  private round(given: Line): LineKind | null {
    if (!given.read.isRound) return null;
    const line = { ...given, read: this.around.asOneRound(given.read, given.index) };
    const { read, number } = line;
    const { work, rounds, after } = read;
    const { label } = work;
    if (!label) return null;
    const part = this.partOfRound(line);
    if (part.rounds.length === 0 && isChainAlone(work)) return this.chainAsRound(part, line);
    const [repeated] = work.items;
    const other = work.items.some(isWork)
      ? null
      : workedAsIn(
          line.text,
          label,
          this.parts.filter((one) => one !== part),
        );
    if (other)
      copyRounds(part, other, { line: number, label, total: work.total, room: () => this.room(number) });
    else if (repeated?.type === 'repeatRounds') this.repeatRounds(part, repeated, number, label);
    else {
      const { first, row } = label;
      const counted = rounds?.again === false ? (rounds.until ?? first + rounds.times - 1) : label.last;
      const said = Math.max(first, counted);
      const differ = label.last > first && said !== label.last;
      if (differ) this.problems.push(roundsDiffer(number, label, said - first + 1));
      this.addRounds(part, line, { first, last: differ ? label.last : Math.max(label.last, said), row });
    }
    if (after.length > 0) this.keepBehind(after, line);
    part.lastLine = number + line.count - 1;
    return 'round';
  }

  /** `R1: ch 20, join`: what round 2 is worked into, and no round of stitches. */
  private chainAsRound(part: PartSource, { read: { work }, number, count }: Line): LineKind {
    this.chained(part, work.items, number);
    this.foundation = [...this.foundation, ...work.items];
    part.beginsWithChain = true;
    part.lastLine = number + count - 1;
    return 'foundation';
  }

  /** `Next 3 rounds: sc around`, `Repeat last round 2 more times` */
  private nextRounds(line: Line): LineKind | null {
    const { read, number, text } = line;
    const { rounds, work } = read;
    const { part } = this;
    const before = part?.rounds.at(-1);
    if (!rounds || !part || (!before && !work.items.some(isWork))) return null;
    if (!before) return this.begins(line);
    if (rounds.again) {
      const first = rounds.round ?? before.number;
      const times = rounds.until === undefined ? rounds.times : rounds.until - before.number;
      if (times < 1) return null;
      const span = { from: 0, to: text.length };
      this.repeatRounds(part, { type: 'repeatRounds', first, last: first, times, span }, number);
      return 'round';
    }
    if (!work.items.some(isWork)) return null;
    const { number: first, row } = before;
    const last = rounds.until ?? first + rounds.times;
    if (last <= first) return null;
    this.addRounds(part, line, { first: first + 1, last, row });
    return 'round';
  }

  /** `Next round: …` where none stands before it is the first. */
  private begins(line: Line): LineKind {
    const part = this.openPart(line.number);
    this.addRounds(part, line, { first: 1, last: 1, row: false });
    return 'round';
  }

  /** `Join the legs: ch 2, sc 12 on the first leg, …` */
  private joiningLine(line: Line): LineKind | null {
    const { work, steps } = line.read;
    const sews = steps.some(({ kind }) => kind === 'sew' || kind === 'pin');
    if (work.label || sews || line.read.rounds || !growsTogether(work)) return null;
    const first = (this.part?.rounds.at(-1)?.number ?? 0) + 1;
    const part = this.partOfRound(line);
    this.addRounds(part, line, { first, last: first, row: false });
    return 'round';
  }

  /** `Stuff firmly, then row 12: dec x 6 (6), close.`: a round behind a sentence. */
  private laterRound(line: Line): LineKind | null {
    const { read, text, number } = line;
    const at = read.work.label
      ? -1
      : text.search(/(?<=[,.;]\s*(?:and\s+|then\s+)*)(?:rounds?|rnds?|rows?|r)\s*\d+\s*[:.)]/i);
    if (at < 0 || !this.part) return null;
    const behind = ' '.repeat(at) + text.slice(at);
    const round = readLine(behind);
    if (!round.isRound || !round.work.items.some(isWork)) return null;
    this.keep(readSentences(text.slice(0, at), 0), number, text);
    return this.round({ ...line, read: round });
  }

  /** `Work in a spiral. Put the eyes between R5 and R6.`: what is set, and the sentences beside it as they would be alone. */
  private settings({ read: { steps, notUnderstood }, number, text }: Line): LineKind | null {
    if (!readSettings(text, this.part)) return null;
    this.keep(steps, number, text);
    for (const words of notUnderstood) if (!readSettings(words, this.part)) this.note(number, words);
    return 'header';
  }

  /** `Work even until it measures 4 cm`: for how many rounds is asked, and not guessed. */
  private byLength(line: Line): LineKind | null {
    const { text, number } = line;
    const length = lengthWorked(text);
    if (!length) return null;
    this.problems.push(roundsByLength(number, length));
    const { work, steps } = line.read;
    if (work.label) this.partOfRound(line);
    // `…, stuffing as you go`: what else is said stays.
    this.keep(steps, number, text);
    return this.note(number, text);
  }

  /** `The head is worked from the bottom up.`: of the part that is named, else of the one it stands in; over all of them, of all. */
  private startLine({ read, text }: Line): LineKind | null {
    const says = read.steps.some(({ kind }) => kind === 'feature' || kind === 'sew' || kind === 'pin');
    const start = read.work.label || says || read.heading?.sure ? null : startSaidBy(text);
    if (!start) return null;
    this.starts.hear({ start, text, within: this.part });
    return 'header';
  }

  /** `With brown yarn` on a line of its own: the colour of what follows. */
  private colourLine({ read: { work, steps } }: Line): LineKind | null {
    const onlyColour = work.items.length > 0 && work.items.every((item) => item.type === 'colour');
    if (!onlyColour || !this.part || steps.length > 0) return null;
    this.foundation = [...this.foundation, ...work.items];
    return 'foundation';
  }

  private finishing({ read: { heading, isBareWork, steps }, index }: Line): LineKind | null {
    if (!heading || !this.part || isBareWork || steps.length > 0) return null;
    if (!isFinishing(heading.name) || this.around.workFollows(index)) return null;
    this.aside = true;
    return 'heading';
  }

  private copied({ read: { isBareWork, work }, text }: Line): LineKind | null {
    if (isBareWork || work.label) return null;
    return copiesPart(text, this.parts, this.part) ? 'heading' : null;
  }

  /** `Tail: 4 sc in ring`: a part and its first round on one line. */
  private partWithWork(line: Line): LineKind | null {
    const { text, number } = line;
    const { heading } = line.read;
    const colon = text.indexOf(':');
    if (!heading || colon < 0 || line.read.steps.length > 0) return null;
    const named = readHeading(text.slice(0, colon + 1));
    const rest = ' '.repeat(colon + 1) + text.slice(colon + 1);
    const read = readLine(rest);
    const { items } = read.work;
    const isStart = items.some((item) => item.type === 'base' || item.type === 'ring' || isIntoRing(item));
    if (!named?.sure || !isStart || !items.some(isWork) || this.parts.length >= limits.parts) return null;
    this.part = this.open(named.name, number, named);
    this.foundation = [];
    this.addRounds(this.part, { ...line, read }, { first: 1, last: 1, row: false });
    return 'round';
  }

  /** `Magic ring` under the heading of a part: it begins that part. */
  private ringLine({ read: { heading, isBareWork }, number, text }: Line): LineKind | null {
    const isBegun = this.part === null || this.part.rounds.length > 0;
    if (isBegun || !heading || isBareWork || !isMagicRing(text)) return null;
    return this.note(number, text);
  }

  private partHeading({ read, index, number, text }: Line): LineKind | null {
    const { heading, isBareWork, steps, work } = read;
    if (!heading || isBareWork || isEnding(work.items)) return null;
    const says = steps.length > 0;
    const isHeading = heading.sure
      ? !says || this.around.workFollows(index)
      : !says && this.around.workFollows(index);
    if (!isHeading) return null;
    const hasWork = this.around.workFollows(index) || this.around.roundIsNext(index);
    if (heading.make === 1 && !hasWork && isAboutPart(text, this.parts)) return this.note(number, text);
    if (this.parts.length >= limits.parts) {
      this.fill(number, `it has more than ${limits.parts} parts`);
      return this.note(number, text);
    }
    if (this.part && this.around.goesOn(index, this.part.rounds.at(-1)?.number ?? 0)) {
      this.part.alsoCalled = [...(this.part.alsoCalled ?? []), heading.name];
      return 'heading';
    }
    this.part = this.open(heading.name, number, heading);
    this.noteBeside(number, text, hasWork && !work.items.some(isWork));
    const start = startSaidIn(text);
    if (start) this.starts.hear({ start, text: '', within: this.part });
    this.foundation = [];
    return 'heading';
  }

  /** What stands behind the name of a part and makes no round of it; over the rounds of the part it is but a remark. */
  private noteBeside(number: number, text: string, isRemark: boolean): void {
    const beside = isRemark ? '' : saidBeside(text);
    if (beside) this.note(number, beside);
  }

  /** The first words of all, over whatever comes before the parts, name the toy. */
  private toyName({ read: { heading, isBareWork, steps } }: Line): LineKind | null {
    if (!heading || isBareWork || steps.length > 0 || this.parts.length > 0 || this.header.name !== null)
      return null;
    if (this.lineKinds.some((kind) => kind !== 'blank')) return null;
    this.header.name = heading.name;
    return 'header';
  }

  private repeat({ read: { work }, number }: Line): LineKind | null {
    const [only] = work.items;
    if (!this.part || only?.type !== 'repeatRounds') return null;
    this.repeatRounds(this.part, only, number);
    return 'round';
  }

  private foundationLine({ read: { isBareWork, work }, number }: Line): LineKind | null {
    const isStart = (isBareWork && isFoundation(work.items)) || (!work.label && isBaseAlone(work.items));
    if (!isStart || this.foundation.length >= limits.lineWords) return null;
    this.chained(this.openPart(number), work.items, number);
    this.foundation = [...this.foundation, ...work.items];
    return 'foundation';
  }

  /** Chains before any round: the part is these alone until a round follows. */
  private chained(owner: PartSource | null, items: readonly Item[], line: number): void {
    const stitches = items.reduce((sum, item) => sum + chainsIn(item), 0);
    if (!owner || owner.rounds.length > 0 || stitches === 0) return;
    const { chain } = owner;
    const isRing = (chain?.isRing ?? false) || items.some(({ type }) => type === 'join');
    owner.chain = { stitches: stitches + (chain?.stitches ?? 0), line: chain?.line ?? line, isRing };
  }

  private ending({ read: { work, steps }, number, text }: Line): LineKind | null {
    if (work.items.length === 0 || !isEnding(work.items) || work.total) return null;
    this.chained(this.part, work.items, number);
    this.keep(steps, number, text);
    return 'step';
  }

  private bareRound(line: Line): LineKind | null {
    if (!line.read.isBareWork) return null;
    const part = this.partOfRound(line);
    const before = part.rounds.at(-1);
    const next = (before?.number ?? 0) + 1;
    const numbers = this.pending ?? { first: next, last: next, row: before?.row ?? false };
    this.pending = null;
    this.addRounds(part, line, numbers);
    return 'round';
  }

  private sentences({ read: { steps, notUnderstood }, number, text }: Line): LineKind | null {
    if (steps.length === 0) return null;
    this.keep(steps, number, text);
    for (const words of notUnderstood) this.note(number, words);
    return 'step';
  }

  private fill(line: number, what: string): void {
    if (this.full) return;
    this.full = true;
    this.problems.push(tooMuch(line, what));
  }

  /** Room for one more round; false once there is none. */
  private room(line: number): boolean {
    this.rounds += 1;
    if (this.rounds > limits.rounds) this.fill(line, `it has more than ${limits.rounds} rounds`);
    return !this.full;
  }

  private repeatRounds(part: PartSource, item: RepeatRounds, line: number, label?: Label): void {
    const { problems } = this;
    repeatRounds(part, item, { line, problems, label, room: () => this.room(line) });
  }

  /** The part that lines go to; work before any heading begins one without a name. */
  private openPart(line: number): PartSource {
    this.part ??= this.open('Part', line);
    return this.part;
  }

  /** Round 1 again, into a ring, under a line that says no more than a name could: another part, whatever it is called. */
  private beginsAnew({ label, items }: WorkLine, number: number): boolean {
    const begins = items.some((item) => item.type === 'ring' || isIntoRing(item));
    return label?.first === 1 && begins && this.nameAbove(number) !== null;
  }

  /** The line above a round, where it was kept as a note and is short. */
  private nameAbove(number: number): string | null {
    let above = number - 1;
    while (above > 0 && !this.lines[above - 1]?.trim()) above -= 1;
    const note = this.notes.at(-1);
    const words = note?.line === above ? note.text.replace(/^[^\p{L}]+|[^\p{L}\p{N})]+$/gu, '') : '';
    return words && words.length <= 48 && words.split(/\s+/).length <= 6 ? words : null;
  }

  /** The part a round goes to: one that is worked around two legs begins the body, wherever it stands. */
  private partOfRound({ read: { work }, number }: Line): PartSource {
    const part = this.openPart(number);
    if (part.rounds.length === 0 || this.parts.length >= limits.parts) return part;
    if (growsTogether(work)) this.part = this.open('Body', number);
    else if (this.beginsAnew(work, number)) this.part = this.open(this.nameAbove(number) ?? 'Part', number);
    return this.part ?? part;
  }

  private open(name: string, line: number, heading?: Heading): PartSource {
    const opened = newPart(name, line, this.ids, heading);
    this.parts.push(opened);
    this.aside = false;
    return opened;
  }

  private addRounds(
    owner: PartSource,
    { read: { work, saysMiss, stitches }, number, text, count }: Line,
    { first, last, row }: Numbers,
  ): void {
    const works = worksOfRange(work, last - first + 1);
    for (let r = first; r <= last && this.room(number); r += 1) {
      const foundation = r === first ? this.foundation : [];
      const own = works[r - first] ?? work;
      owner.rounds.push({ number: r, row, line: number, text, lines: count, work: own, foundation });
      delete owner.chain;
    }
    this.foundation = [];
    this.aside = false;
    owner.lastLine = number + count - 1;
    for (const [word, column] of stitches) {
      if (!this.places.has(word)) this.places.set(word, { line: number, column: column + 1, text });
    }
    this.saysMiss ||= saysMiss;
  }

  private keep(steps: readonly Sentence[], line: number, whole: string): void {
    const after = this.part;
    const last = steps.at(-1);
    if (last?.kind === 'feature') this.about = { feature: last.feature, line };
    if (this.aside && after)
      this.loose.push(...steps.map((step) => ({ step: onLine(step, line, whole), after })));
    else addSteps(after, steps, line, whole);
  }

  /** Sentences behind the work of a round stand on its last line. */
  private keepBehind(steps: readonly Sentence[], { number, text, count }: Line): void {
    const at = number + count - 1;
    const last = count > 1 ? (this.lines[at - 1] ?? '') : text;
    const before = text.length - last.length;
    this.keep(
      steps.map((step) => shifted(step, -before)),
      at,
      last,
    );
  }

  /** A title over the first part looks like a heading with nothing below it. */
  private isTitle(part: PartSource): boolean {
    const empty = part.rounds.length === 0 && part.steps.every(isMaterial);
    const heading = this.reads[part.line - 1]?.heading;
    const isOneWord = heading?.usual === true && !part.name.includes(' ');
    const isOverAll = part === this.parts[0] && this.parts.length > 1 && !isOneWord;
    if (!empty || !heading || (heading.sure && !isOverAll) || part === this.parts.at(-1)) return false;
    if (this.header.name === null) this.header.name = part.name;
    else this.notes.push({ line: part.line, text: part.name });
    for (const line of new Set(part.steps.map((step) => step.line))) {
      this.note(line, this.lines[line - 1] ?? '');
      this.lineKinds[line - 1] = 'note';
    }
    return true;
  }
}

const changesCount = (item: Item): boolean =>
  item.type === 'group'
    ? item.items.some(changesCount)
    : item.type === 'work' && (item.make > 1 || item.together > 1);

/**
 * The work of each round of a range. A range whose rounds grow or shrink says what its last comes to, `R5-R7: inc 6 evenly (42)`; one of
 * plain rounds says what each does.
 */
function worksOfRange(work: WorkLine, rounds: number): readonly WorkLine[] {
  const { total, totals } = work;
  if (!total || rounds < 2) return [];
  if (totals?.length === rounds) return totals.map((value) => ({ ...work, total: { ...total, value } }));
  if (!work.items.some(changesCount)) return [];
  const unsaid: WorkLine = { ...work, total: null };
  return [...Array.from({ length: rounds - 1 }, () => unsaid), work];
}

type RepeatRounds = Extract<Item, { type: 'repeatRounds' }>;

/** The rounds a line makes. */
interface Numbers {
  first: number;
  last: number;
  row: boolean;
}
