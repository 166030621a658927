import { t } from '../../words/language';
import { setToyHeader } from '../../notation/editText';
import { roundInHand } from '../../notation/remarks';
import type { LineKind } from '../../notation/pattern';
import { readWorkLine } from '../../notation/grammar';
import { stitchWord, type StitchKind } from '../../notation/stitchKinds';
import type { Terms } from '../../notation/terms';
import { writeItems } from '../../notation/writeItems';
import { convertTerms } from '../../notation/writePattern';
import { generalCaution } from '../../safety/cautions';
import { audienceSaid, readAudience } from '../../safety/audience';
import { sizeOfToy } from '../../join/pose/posed';
import { analyseToy, type PartAnalysis, type ToyAnalysis } from '../analyse';
import { assembled } from '../assembled';
import { fingerprint } from '../fingerprint';
import { needLines, suppliesOf } from '../supplies/suppliesOf';
import { buildSheet, type Sheet, type SheetLine } from './buildSheet';
import { joinSvg } from './joinSvg';
import { mapSvg } from './sheetHtml';
import { sideways, toySvg } from './toySvg';
import { sizeWords } from '../../words/measures';

/** For whom a pattern is written out. */
export interface Reader {
  terms: Terms;
  hand: 'right' | 'left';
}

/**
 * A line of the pattern. The maker's own is read back: a heading, a setting that tells Hoppla something and a reader nothing, any other
 * text. What Hoppla adds is not: a stop, what is done at it, a remark, a drawing.
 */
export interface PatternLine {
  kind: 'heading' | 'setting' | 'text' | 'blank' | 'stop' | 'act' | 'remark' | 'drawing';
  /** of a drawing its HTML, for paper */
  text: string;
}

export interface WrittenPattern {
  title: string;
  lines: PatternLine[];
  /** as text that is read back to the same toy */
  text: string;
  /** what could not be said for this reader, in words; it then stands as the maker wrote it */
  kept: string | null;
}

/** In an order that does not hang on where they stand in the text. */
const sorted = <Value>(values: readonly Value[], nameOf: (value: Value) => string): Value[] =>
  [...values].sort((a, b) => nameOf(a).localeCompare(nameOf(b), 'en'));

/** What two texts must have in common to be patterns of one toy: rounds, places, joins and stops, whatever line they stand on. */
export function sameToy(toy: ToyAnalysis): string {
  const parts = sorted(toy.parts, ({ source }) => source.name);
  const joins = sorted(toy.joined.joins, ({ unit, on }) => `${unit.part}#${unit.unit} ${on.part}`);
  return fingerprint([
    parts.map(({ source, fabric, features, stops }) => [
      source.name,
      source.make,
      source.start,
      [...fabric.label],
      [...fabric.offset],
      [...fabric.kind],
      features.map(({ kind, gap, units }) => [
        kind,
        gap,
        units.map(({ side, from, to, of }) => [side, from, to, of]),
      ]),
      stops.stops.map(({ after, earliest, latest, acts }) => [
        after,
        earliest,
        latest,
        acts.map(({ act, feature }) => [act, feature]),
      ]),
    ]),
    joins.map(({ kind, unit, on, round, stitch, path, ledger }) => [
      kind,
      unit.part,
      unit.unit,
      on.part,
      round,
      stitch,
      path,
      ledger,
    ]),
  ]);
}

const text = (line: string): PatternLine => ({ kind: line.trim() === '' ? 'blank' : 'text', text: line });
const drawing = (html: string): PatternLine[] => (html === '' ? [] : [{ kind: 'drawing', text: html }]);
const remark = (line: string): PatternLine => ({ kind: 'remark', text: line });
const setting = (line: string): PatternLine => ({ kind: 'setting', text: line });
const isSetting = (line: string, kind: LineKind | undefined): boolean =>
  kind === 'header' && /^\s*(?:toy|lean|apart)\s*:/i.test(line);
const blank: PatternLine = { kind: 'blank', text: '' };

/** A round as it is written out. */
interface WrittenRound {
  /** its place in the part, from 1 */
  place: number;
  number: number;
  row: boolean;
  body: string;
  total: number | null;
}

const labelOf = ({ row, number: first }: WrittenRound, last: number): string => {
  const word = row ? 'Row ' : 'R';
  return first === last ? `${word}${first}` : `${word}${first}-${word}${last}`;
};

/** Rounds that are alike stand on one line, divided where a stop falls among them. */
function condensed(
  rounds: readonly WrittenRound[],
  stops: ReadonlySet<number>,
): { last: number; line: string }[] {
  const lines: { last: number; line: string }[] = [];
  for (let i = 0; i < rounds.length;) {
    const first = rounds[i];
    if (!first) break;
    let j = i;
    const goesOn = ({ number, body, total, row }: WrittenRound, before: number) =>
      number === before + 1 && body === first.body && total === first.total && row === first.row;
    for (let next = rounds[j + 1]; next && !stops.has(rounds[j]?.place ?? 0); next = rounds[j + 1]) {
      if (!goesOn(next, rounds[j]?.number ?? 0)) break;
      j += 1;
    }
    const last = rounds[j] ?? first;
    const total = first.total === null ? '' : ` [${first.total}]`;
    lines.push({ last: last.place, line: `${labelOf(first, last.number)}: ${first.body}${total}` });
    i = j + 1;
  }
  return lines;
}

/** A line of rounds written anew; null where it says more than rounds, or what is not wholly understood. */
function roundsOf(line: string, index: number, part: PartAnalysis, terms: Terms): WrittenRound[] | null {
  const { source, checks } = part;
  const work = readWorkLine(line);
  const { label, items, brackets } = work;
  const said = source.steps.some((step) => step.line === index + 1);
  const isPlain = items.every(({ type }) => type !== 'unknown');
  if (!label || brackets.length > 0 || said || !isPlain || items.length === 0) return null;
  const body = writeItems(items, terms);
  // To and fro one works across, not around.
  const across = body.replace(/\baround\b/g, 'across');
  const own = source.rounds.flatMap((round, at) => (round.line === index + 1 ? [{ round, at }] : []));
  if (own.length === 0 || own.some(({ round }) => round.lines > 1)) return null;
  return own.map(({ round, at }) => ({
    place: at + 1,
    number: round.number,
    row: round.row && /^\s*row/i.test(line),
    body: round.row ? across : body,
    total: checks[at]?.worked ?? null,
  }));
}

const stopLines = ({ after, acts, lastCall }: Extract<SheetLine, { kind: 'stop' }>): PatternLine[] => [
  {
    kind: 'stop',
    text: t`STOP after round ${after}: ${acts.map(({ name }) => name.toLowerCase()).join(', ')}. ${lastCall}`.trim(),
  },
  ...acts.map(({ name, why }): PatternLine => ({ kind: 'act', text: `${name}: ${why}` })),
];

/** Stops of a part by the place of their round, in words. */
function stopsOf(part: Sheet['parts'][number]): Map<number, PatternLine[]> {
  const stops = new Map<number, PatternLine[]>();
  for (const line of part.lines) {
    if (line.kind !== 'stop') continue;
    stops.set(line.row, [...(stops.get(line.row) ?? []), ...stopLines(line)]);
  }
  return stops;
}

const names: readonly (readonly [StitchKind, Record<Terms, string>])[] = [
  ['ch', { us: 'chain', uk: 'chain' }],
  ['sl', { us: 'slip stitch', uk: 'slip stitch' }],
  ['sc', { us: 'single crochet', uk: 'double crochet' }],
  ['hdc', { us: 'half double crochet', uk: 'half treble crochet' }],
  ['dc', { us: 'double crochet', uk: 'treble crochet' }],
  ['tr', { us: 'treble crochet', uk: 'double treble crochet' }],
];

/** Words a reader needs, of those that the rounds use. */
function abbreviations(toy: ToyAnalysis, terms: Terms): string {
  const rounds = toy.parts.flatMap(({ source }) => source.rounds.map((round) => round.text)).join('\n');
  const used = names.flatMap(([kind, long]) => {
    const word = stitchWord(kind, terms);
    return new RegExp(`(?<![a-z])${word.replace(' ', '\\s*')}(?![a-z])`, 'i').test(rounds)
      ? [`${word} ${long[terms]}`]
      : [];
  });
  const others: [RegExp, string][] = [
    [/\binc/i, t`inc two stitches in one`],
    [/\bdec/i, t`dec two stitches worked together, through their front loops`],
    [/\bFLO\b|front loops?/i, t`FLO through the front loop only`],
    [/\bBLO\b|back loops?/i, t`BLO through the back loop only`],
  ];
  return [...used, ...others.flatMap(([word, long]) => (word.test(rounds) ? [long] : []))].join('; ');
}

/** What stands over the pattern: size, for whom, what it takes, words, the order. */
function before(toy: ToyAnalysis, sheet: Sheet, terms: Terms): PatternLine[] {
  const posed = assembled(toy).filter(({ loose }) => !loose);
  const size = posed.length > 0 ? sizeOfToy(posed) : null;
  const audience = readAudience(toy.pattern.header.audience);
  const needs = needLines(suppliesOf(toy));
  return [
    ...drawing(toySvg(toy, [0, sideways])),
    ...(size
      ? [
          remark(
            t`Finished size: about ${sizeWords(size.heightMm)} high and ${sizeWords(size.widthMm)} wide.`,
          ),
        ]
      : []),
    remark(audience ? t`Made for: ${audienceSaid[audience]}.` : t`For whom it is has not been said.`),
    ...(needs.length > 0 ? [remark(t`You need:`), ...needs.map((need) => remark(`- ${need}`))] : []),
    remark(t`Words: ${abbreviations(toy, terms)}.`),
    remark(t`What begins with STOP has to be done before you go on.`),
    remark(t`In which order:`),
    ...sheet.order.map((step, i) => remark(`${i + 1}. ${step}`)),
    blank,
  ];
}

/** Whether the join before it has the same drawing: all parts of one round that is worked without sewing do. */
function isDrawnBefore({ joins }: Sheet, i: number): boolean {
  const [before, own] = [joins[i - 1]?.picture, joins[i]?.picture];
  return before !== undefined && before !== null && fingerprint(before) === fingerprint(own);
}

/** What stands under it: every join with its pins and its way around, and the cautions. */
const after = (sheet: Sheet): PatternLine[] => [
  blank,
  ...(sheet.joins.length > 0 ? [remark(t`Putting it together, stitch by stitch:`)] : []),
  ...sheet.joins.flatMap(({ heading, name, picture, sentences }, i) => [
    ...(picture && !isDrawnBefore(sheet, i) ? drawing(joinSvg(picture, name)) : []),
    remark(heading),
    ...sentences.map((sentence) => remark(`  ${sentence}`)),
  ]),
  ...[...new Set([...sheet.cautions, generalCaution])].map(remark),
];

/** The lines of one part, each round in its form, with the stops behind theirs and the places at its end. */
function partLines(
  own: readonly string[],
  from: number,
  part: PartAnalysis,
  { sheet, terms, anew }: { sheet: Sheet['parts'][number]; terms: Terms; anew: boolean },
): PatternLine[] {
  const stops = stopsOf(sheet);
  const told = new Set(stops.keys());
  const out: PatternLine[] = [];
  let waiting: WrittenRound[] = [];
  const stopAfter = (place: number) => {
    out.push(...(stops.get(place) ?? []));
    stops.delete(place);
  };
  const flush = () => {
    for (const { last, line } of condensed(waiting, told)) {
      out.push(text(line));
      stopAfter(last);
    }
    waiting = [];
  };
  own.forEach((line, i) => {
    if (roundInHand.test(line)) return;
    const index = from + i;
    const rounds = anew ? roundsOf(line, index, part, terms) : null;
    if (rounds) {
      waiting.push(...rounds);
      return;
    }
    flush();
    out.push(index + 1 === part.source.line ? { kind: 'heading', text: line } : text(line));
    for (const [at, round] of part.source.rounds.entries())
      if (round.line + round.lines - 1 === index + 1) stopAfter(at + 1);
  });
  flush();
  while (out.at(-1)?.kind === 'blank') out.pop();
  if (sheet.placed.length > 0 && sheet.map) out.push(...drawing(mapSvg(sheet.map, sheet.name)));
  for (const { heading, sentences } of sheet.placed)
    out.push(remark(heading), ...sentences.map((one) => remark(`  ${one}`)));
  if (sheet.closing) out.push(remark(sheet.closing));
  return [...out, blank];
}

/** How a pattern is written out: each round in one form, and the parts in the order they are made. */
interface Manner {
  anew: boolean;
  inOrder: boolean;
}

/** Places of parts among each other by when they are begun. */
function begunAt({ order }: ToyAnalysis, { source }: PartAnalysis): number {
  const first = order.steps.findIndex(({ part }) => part === source.id);
  return first < 0 ? order.steps.length : first;
}

function written(toy: ToyAnalysis, terms: Terms, { anew, inOrder }: Manner): PatternLine[] {
  const lines = toy.text.split(/\r\n|\n|\r/);
  const sheet = buildSheet(toy);
  const inText = toy.parts
    .map((part, i) => ({ part, sheet: sheet.parts[i] }))
    .filter(({ part }) => part.source.firstLine >= 1)
    .sort((a, b) => a.part.source.firstLine - b.part.source.firstLine);
  const begin = (inText[0]?.part.source.firstLine ?? lines.length + 1) - 1;
  // What stands behind the last part is about them all.
  const end = Math.max(begin, ...inText.map(({ part }) => part.source.lastLine));
  const blocks = inText.map(({ part, sheet: own }, i) => {
    const from = part.source.firstLine - 1;
    const to = Math.min(end, (inText[i + 1]?.part.source.firstLine ?? lines.length + 1) - 1);
    return {
      part,
      lines: own ? partLines(lines.slice(from, to), from, part, { sheet: own, terms, anew }) : [],
    };
  });
  if (inOrder) blocks.sort((a, b) => begunAt(toy, a.part) - begunAt(toy, b.part));
  return [
    ...lines
      .slice(0, begin)
      .map((line, i) => (isSetting(line, toy.pattern.lineKinds[i]) ? setting(line) : text(line))),
    ...before(toy, sheet, terms),
    ...blocks.flatMap((block) => block.lines),
    ...behind(lines.slice(end)),
    ...after(sheet),
  ];
}

/** The lines behind the last part, its heading set as the others are. */
const behind = (lines: readonly string[]): PatternLine[] =>
  lines
    .filter((line) => !roundInHand.test(line))
    .map((line) => (isAssembly.test(line) ? { kind: 'heading', text: line } : text(line)));

const isAssembly =
  /^\s*(?:#+\s*)?(?:assembly|assembling|finishing|putting (?:it|everything) together|making up)\s*:?\s*$/i;

const ours: ReadonlySet<PatternLine['kind']> = new Set(['stop', 'act', 'remark']);

const textOf = (lines: readonly PatternLine[]): string =>
  `${lines
    .filter(({ kind }) => kind !== 'drawing')
    .map(({ kind, text: line }) => (ours.has(kind) ? `// ${line}` : line))
    .join('\n')
    .replace(/\n{3,}/g, '\n\n')
    .trimEnd()}\n`;

const worrying = ({ problems }: ToyAnalysis): Set<string> =>
  new Set(problems.flatMap(({ code, severity }) => (severity === 'info' ? [] : [code])));

/** The toy as its text says it in other terms or for the other hand; null where that would make another toy of it. */
function sayFor(toy: ToyAnalysis, { terms, hand }: Reader): ToyAnalysis | null {
  const isDeclared = toy.pattern.terms.value === terms && toy.pattern.terms.source !== 'assumed';
  const inTerms = isDeclared
    ? toy.text
    : convertTerms(setToyHeader(toy.text, 'Terms', toy.pattern.terms.value.toUpperCase()), terms);
  const converted = analyseToy(inTerms);
  if (sameToy(converted) !== sameToy(toy)) return null;
  if (hand === toy.pattern.header.hand) return converted;
  const turned = analyseToy(setToyHeader(inTerms, 'Hand', hand));
  // What goes by stitch numbers and sides fits one hand only.
  const known = worrying(toy);
  return [...worrying(turned)].every((code) => known.has(code)) ? turned : null;
}

/** From what is read best to what the maker wrote. */
const manners: readonly Manner[] = [
  { anew: true, inOrder: true },
  { anew: true, inOrder: false },
  { anew: false, inOrder: false },
];

/**
 * Writes a toy out as a pattern for somebody else: the maker's own words with every round in one form, counted and condensed; the stops,
 * places and joins as they come out for that reader, in remarks. It is read again before it is handed on: what would make another toy of
 * it is left as the maker wrote it.
 */
export function patternForOthers(toy: ToyAnalysis, reader: Reader): WrittenPattern {
  const own = sayFor(toy, reader);
  const said = own ?? toy;
  const { terms } = own ? reader : { terms: toy.pattern.terms.value };
  const title = said.pattern.header.name ?? said.parts[0]?.source.name ?? 'Toy';
  for (const manner of manners) {
    const lines = written(said, terms, manner);
    const again = textOf(lines);
    if (sameToy(analyseToy(again)) !== sameToy(said)) continue;
    const kept = own
      ? null
      : t`These places go by stitch numbers or sides that fit one hand or one kind of terms only. The pattern stands as you wrote it.`;
    return { title, lines, text: again, kept };
  }
  return {
    title,
    lines: said.text.split(/\r\n|\n|\r/).map(text),
    text: said.text,
    kept: t`This text can’t be written out without changing what it makes. It stands as you wrote it.`,
  };
}
