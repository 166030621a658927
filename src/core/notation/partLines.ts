import pluralize from 'pluralize';
import type { Item, Label, WorkLine } from './ast';
import { readHeading, type Heading } from './heading';
import type { Header } from './headers';
import type { PartSource, ToyHeader } from './pattern';
import type { Problem } from './problem';
import { turnsInWords } from './rowsWorked';
import type { Sentence } from './sentence/sentence';
import type { Terms } from './terms';
import { saying } from '../words/problems/problems';

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

/**
 * A part as its heading opens it.
 *
 * @param ids those given so far; its own is added
 */
export function newPart(name: string, line: number, ids: Set<string>, heading?: Heading): PartSource {
  const id = slug(name, ids);
  ids.add(id);
  return {
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
}

/** A sentence with the line it stands in, and so what it says besides. */
export const onLine = (step: Sentence, line: number, whole: string): Sentence =>
  'asJoin' in step && step.asJoin
    ? { ...step, line, whole, asJoin: { ...step.asJoin, line, whole } }
    : { ...step, line, whole };

/** Sentences belong to the part they stand in. */
export function addSteps(
  part: PartSource | null,
  steps: readonly Sentence[],
  line: number,
  text: string,
): void {
  if (!part) return;
  part.steps.push(...steps.map((step) => onLine(step, line, text)));
  part.lastLine = line;
  // A bare ending such as `Fasten off` closes nothing by itself but still belongs to the part.
  if (steps.length === 0 && text.trim()) part.lastLine = line;
}

/** Sets what a header line says of the toy. */
export function applyToyHeader(
  header: ToyHeader,
  head: Header,
  line: number,
  setTerms: (terms: Terms) => void,
): void {
  if (head.scope !== 'toy') return;
  switch (head.key) {
    case 'toy':
      header.name = head.value;
      break;
    case 'terms':
      setTerms(head.value);
      break;
    case 'hand':
      header.hand = head.value;
      break;
    case 'gauge':
      header.gauge = {
        widthMm: head.widthMm,
        heightMm: head.heightMm,
        yarn: head.yarn,
        assumed: head.assumed,
      };
      break;
    case 'lean':
      header.lean = head.value;
      break;
    case 'apart':
      header.apart = head.value;
      break;
    case 'seam':
      header.seam = head.value;
      break;
    case 'hook':
      header.hook = head.value;
      break;
    case 'for':
      header.audience = head.value;
      break;
    case 'yarn':
      header.yarns.push({ name: head.name, value: head.value, line });
      break;
    case 'needs':
      break;
  }
}

/** Sets what a header line says of its part. */
export function applyPartHeader(part: PartSource, head: Header, line: number): void {
  if (head.scope !== 'part') return;
  switch (head.key) {
    case 'start':
      part.lying = head.value === 'left' || head.value === 'right';
      part.start = head.value === 'top' || head.value === 'left' ? 'top' : 'bottom';
      break;
    case 'rounds':
      part.joined = head.value === 'joined';
      break;
    case 'side':
      part.side = head.value;
      break;
    case 'make':
      part.make = head.value;
      break;
    case 'front':
      part.front = { round: head.round, stitch: head.stitch, line };
      break;
  }
}

const howMany = String.raw`(\d{1,2}|two|three|four|five|six|eight|ten)`;
const alike = String.raw`\s+(?:of\s+(?:these|them|those)|pieces|pcs|identical|alike|times|in\s+total|altogether)`;
const makesSo = new RegExp(
  String.raw`^\s*[([]?\s*(?:(?:(?:you(?:['’]ll|\s+will)?\s+)?need|make)\s+${howMany}(?:${alike})*|(?:crochet|work)\s+${howMany}(?:${alike})+)\s*[)\]]?\s*[.:]?\s*$`,
  'i',
);
const makesTwice =
  /^\s*[([]?\s*(?:work|make|crochet)(?:\s+(?:this|it|all\s+(?:of\s+)?this|the\s+following))?\s+twice\s*[)\]]?\s*[.:]?\s*$/i;
const makesMore = new RegExp(
  String.raw`^\s*(?:(?:now|then)\s+)?(?:make|work|crochet|repeat|do)\s+(?:(?:all\s+)?(?:this|it)\s+)?(?:for\s+)?(?:an?other|(?:the|a)\s+(?:other|second)|(?:(one)|${howMany})\s+more)(?:\s+([a-z]+))?(?:\s*,?\s*(?:(?:in\s+|exactly\s+)?(?:the\s+)?same(?:\s+way)?|exactly\s+alike|like\s+(?:this|it|the\s+first)(?:\s+one)?))?\s*\.?\s*$`,
  'i',
);

const countSaid = (said: string): number => readHeading(`Part make ${said}`)?.make ?? 1;

/** How often a line says that its part is made; null where it says nothing of that. */
function madeSoOften(line: string, part: PartSource): number | null {
  const so = makesSo.exec(line);
  if (so) return countSaid(so[1] ?? so[2] ?? '');
  if (makesTwice.test(line)) return 2;
  const more = part.rounds.length > 0 ? makesMore.exec(line) : null;
  if (!more) return null;
  const [, one, several, what] = more;
  const isOfPart =
    what === undefined ||
    /^(?:one|pieces?|ones)$/i.test(what) ||
    part.name.toLowerCase().includes(what.toLowerCase().replace(/s$/, ''));
  if (!isOfPart) return null;
  // The heading has said so before.
  if (part.make > 1) return part.make;
  return part.make + (several && !one ? countSaid(several) : 1);
}

/** `Make 2`, `Work in joined rounds` or `Turn at the end of every row.` on a line of its own. */
export function readSettings(line: string, part: PartSource | null): boolean {
  if (!part) return false;
  const make = madeSoOften(line, part);
  if (make !== null) {
    part.make = make;
    return true;
  }
  if (/\bjoined rounds?\b/i.test(line)) {
    part.joined = true;
    return true;
  }
  if (/\bspiral\b|\bcontinuous rounds?\b|\bdo not join\b/i.test(line)) {
    part.joined = false;
    return true;
  }
  return turnsInWords.test(line);
}

/** Where rounds are repeated. */
interface Repeating {
  line: number;
  /** says by its numbers how often */
  label?: Label | undefined;
  problems: Problem[];
  /** asked before each round; no more are put in once it says no */
  room: () => boolean;
}

/** `Repeat rounds 4 and 5 three times`, or with a label `R6-R9: repeat R5`. */
export function repeatRounds(
  part: PartSource,
  item: Extract<Item, { type: 'repeatRounds' }>,
  { line, label, problems, room }: Repeating,
): void {
  const copied = part.rounds.filter((round) => round.number >= item.first && round.number <= item.last);
  if (copied.length === 0) {
    problems.push({
      ...saying('round-missing', { why: 'repeat', line, round: item.first }),
      severity: 'error',
      part: part.name,
      line,
      column: item.span.from + 1,
      suggestions: [],
    });
    return;
  }
  part.lastLine = line;
  const first = label?.first ?? (part.rounds.at(-1)?.number ?? 0) + 1;
  const last = label?.last ?? first + item.times * copied.length - 1;
  for (let number = first; number <= last && room(); number += 1) {
    const round = copied[(number - first) % copied.length];
    if (round) part.rounds.push({ ...round, number, line, foundation: [] });
  }
}

const asOther =
  /^\s*(?:rounds?|rnds?|rows?|r)?\.?\s*\d{1,3}(?:\s*(?:-|–|to|through)\s*(?:rounds?|rnds?|rows?|r)?\.?\s*\d{1,3})?\s*[:.)–-]?\s*(?:(?:work(?:ed)?|make|crochet|repeat|the)\s+)*(?:same\s+)?(?:as|like)\s+(?:for\s+|in\s+|on\s+)?(?:(?:the\s+)?(?:rounds?|rnds?|rows?|r)\.?\s*[\d\s–-]+\s+(?:of|in|for)\s+)?(?:the\s+)?(\p{L}[\p{L}\s&/-]{1,30}?)\s*(?:[[(]\s*\d|[.;]|$)/iu;

/** The part whose rounds a line says are worked again, `Rounds 1-5: Work as for the body`; null where it names none that has them all. */
export function workedAsIn(text: string, label: Label, parts: readonly PartSource[]): PartSource | null {
  const said = asOther.exec(text)?.[1]?.trim().toLowerCase();
  if (!said) return null;
  const named = parts.findLast(
    ({ name }) => pluralize.singular(name.toLowerCase()) === pluralize.singular(said),
  );
  const numbers = new Set(named?.rounds.map(({ number }) => number));
  for (let number = label.first; number <= label.last; number += 1) if (!numbers.has(number)) return null;
  return named ?? null;
}

/** Where rounds of another part are worked again. */
interface CopiedRounds {
  line: number;
  label: Label;
  /** what the line says they come to */
  total: WorkLine['total'];
  /** asked before each round; no more are put in once it says no */
  room: () => boolean;
}

/** Works rounds of another part again. The total the line says is that of the last of them. */
export function copyRounds(
  part: PartSource,
  from: PartSource,
  { line, label, total, room }: CopiedRounds,
): void {
  part.lastLine = line;
  const copied = from.rounds.filter(({ number }) => number >= label.first && number <= label.last);
  for (const [index, round] of copied.entries()) {
    if (!room()) return;
    const isLast = index === copied.length - 1;
    const work = isLast && total ? { ...round.work, total } : round.work;
    part.rounds.push({ ...round, work, line });
  }
}
