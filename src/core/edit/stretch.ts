import { t } from '../words/language';
import { roundCount } from '../fabric/fabric';
import { evenRound } from '../fabric/evenRound';
import type { Item, LoopsWord, StitchWord, WorkItem } from '../notation/ast';
import { applyEdits } from '../notation/applyEdits';
import type { RoundSource } from '../notation/pattern';
import type { LineEdit } from '../notation/problem';
import { stitchWord } from '../notation/stitchKinds';
import { stretchedRounds, type Stretch } from '../shape/forms/stretched';
import { analyseToy } from '../toy/analyse';
import type { PartAnalysis, ToyAnalysis } from '../toy/analysis';
import { stuffedPart } from '../toy/stuffedPart';
import { moveSentences } from './moveSentences';

/** A toy with a part of it stretched. */
export interface StretchedPart {
  text: string;
  counts: number[];
  /** sentences that name a stitch by its number: where it lies has changed */
  toLookAt: string[];
}

/**
 * Why a part is not stretched: it is no piece in rounds from a ring; a round of it, by its number, is worked in other ways than plain
 * stitches, increases and decreases, or its line says more than the round; or nothing would be left of it.
 */
export type NotStretched = { why: 'not-round' | 'work' | 'line' | 'too-small'; round: number | null };

export const isStretched = (found: StretchedPart | NotStretched): found is StretchedPart => 'text' in found;

/** What of a round is more than its stitches, and goes with it to its new place. */
interface Manner {
  loops: LoopsWord | null;
  /** the colour it changes to, from there on */
  colour: string | null;
  /** the colour of this round alone */
  tint: string | null;
  /** begun with a chain and joined with a slip stitch */
  joined: boolean;
}

const isOneChain = (item: Item): boolean =>
  item.type === 'work' && item.word === 'ch' && item.extent.kind === 'count' && item.extent.n === 1;

/** The stitches of a round, brackets opened; null where one is worked into a single stitch. */
function worksIn(items: readonly Item[]): WorkItem[] | null {
  const works: WorkItem[] = [];
  for (const item of items) {
    const inside = item.type === 'group' && !item.intoOne ? worksIn(item.items) : null;
    if (item.type === 'work') works.push(item);
    else if (inside) works.push(...inside);
    else return null;
  }
  return works;
}

/** Plain stitches, increases and decreases, into the next stitch. */
function isPlain({ word, make, together, target, piece }: WorkItem, plain: StitchWord): boolean {
  const isSingle = (word === 'plain' || word === plain) && make <= 2 && together <= 2;
  return isSingle && target === 'next' && piece === undefined;
}

/** What all of them are; `undefined` where they are not alike. */
function alike<Value>(values: readonly Value[]): Value | undefined {
  return values.every((value) => value === values[0]) ? values[0] : undefined;
}

/** What marks a round of plain work; null where it is worked in other ways. */
function mannerOf(items: readonly Item[], plain: StitchWord): Manner | null {
  const manner: Manner = { loops: null, colour: null, tint: null, joined: false };
  const rest: Item[] = [];
  for (const item of items) {
    const isFirst = rest.length === 0;
    if (item.type === 'loops' && isFirst) manner.loops = item.loops;
    else if (item.type === 'colour' && isFirst) manner.colour = item.name;
    else if (item.type === 'join' || (isOneChain(item) && isFirst)) manner.joined = true;
    else rest.push(item);
  }
  const works = worksIn(rest);
  if (!works || works.length === 0 || !works.every((work) => isPlain(work, plain))) return null;
  const loops = alike(works.map((work) => work.loops ?? null));
  const tint = alike(works.map((work) => work.colour ?? null));
  if (loops === undefined || tint === undefined) return null;
  return { ...manner, loops: loops ?? manner.loops, tint };
}

/** Manners of the rounds of a part, the first of which stays as it is written; or which round is not plain. */
function mannersOf({ source, fabric }: PartAnalysis, plain: StitchWord): Manner[] | NotStretched {
  const isInRounds = fabric.start === 'ring' && fabric.rounds > 1 && fabric.row.every((row) => row === 0);
  const [through] = source.worksIn ?? [];
  if (through) return { why: 'work', round: through.round };
  const isOwn = !source.onto && !source.grown && fabric.folded === 0;
  const isInOrder = fabric.base.every((base, i) => base === i);
  if (!isInRounds || !isOwn || !isInOrder) return { why: 'not-round', round: null };
  const [grown] = fabric.outgrowths;
  if (grown) return { why: 'work', round: fabric.label[grown.round - 1] ?? null };
  const manners: Manner[] = [{ loops: null, colour: null, tint: null, joined: false }];
  for (const round of source.rounds) {
    if (!hasLineToItself(round, source.steps)) return { why: 'line', round: round.number };
    if (manners.length === 1 && round === source.rounds[0]) continue;
    const manner = mannerOf(round.work.items, plain);
    if (!manner || round.foundation.length > 0) return { why: 'work', round: round.number };
    manners.push(manner);
  }
  return manners;
}

function hasLineToItself({ line, lines }: RoundSource, steps: readonly { line: number }[]): boolean {
  return lines === 1 && steps.every((step) => step.line !== line);
}

const isMarked = ({ loops, colour, tint }: Manner): boolean =>
  loops !== null || colour !== null || tint !== null;

/** Whether a round only goes on with what the one before it began: a wide stripe, ribs. */
const goesOn = (before: Manner | undefined, { loops, colour, tint }: Manner): boolean =>
  before !== undefined &&
  isMarked(before) &&
  before.loops === loops &&
  before.tint === tint &&
  (colour === null || before.colour === colour);

/**
 * What marks a round goes to the round in its place. A stripe of several rounds becomes as much wider or narrower as the piece there; of
 * others that come to one round the later goes one further, so that none is lost.
 */
function carried(manners: readonly Manner[], places: readonly number[], rounds: number): Manner[] | null {
  const joined = manners.some((manner) => manner.joined);
  const found = Array.from({ length: rounds }, (): Manner => ({
    loops: null,
    colour: null,
    tint: null,
    joined,
  }));
  let last = 1;
  for (const [i, manner] of manners.entries()) {
    if (!isMarked(manner)) continue;
    const { loops, tint } = manner;
    const own = places[i] ?? 1;
    const continues = goesOn(manners[i - 1], manner);
    if (continues && own <= last) continue;
    const at = Math.max(last + 1, own);
    if (at > rounds) return null;
    // Between two rounds of one stripe all are of it.
    if (continues)
      for (let between = last + 1; between < at; between += 1)
        found[between - 1] = { loops, colour: null, tint, joined };
    found[at - 1] = { ...manner, joined };
    last = at;
  }
  return found;
}

/** The colours of a part from round to round, each once as long as it goes on. */
function coloursAlong({ fabric }: PartAnalysis): string {
  const along = Array.from(
    { length: fabric.rounds },
    (_, i) => fabric.palette[fabric.colour[fabric.offset[i] ?? 0] ?? 0] ?? '',
  );
  return along.filter((colour, i) => i === 0 || colour !== along[i - 1]).join('>');
}

const loopsWords: Readonly<Record<LoopsWord, string>> = { front: 'FLO ', back: 'BLO ', both: '' };

/** The words of one round; null where a colour of its own can't be said of all its stitches at once. */
function wordsOf(work: string, { loops, colour, tint, joined }: Manner): string | null {
  if (tint !== null && !work.endsWith('around')) return null;
  const change = colour === null ? '' : `change to ${colour}, `;
  const said = `${change}${loops ? loopsWords[loops] : ''}${work}${tint === null ? '' : ` in ${tint}`}`;
  return joined ? `ch 1, ${said}, sl st to first st` : said;
}

/** How a part is worked once it is stretched. */
interface NewRounds {
  counts: number[];
  /** of each old round, the new one in its place */
  places: number[];
  manners: Manner[];
  /** the word for a plain stitch */
  word: string;
}

/** The lines of rounds from the second on; alike neighbours on one, but where something stands between them. */
function roundLines(
  { counts, manners, word }: NewRounds,
  between: ReadonlySet<number>,
): Map<number, string> | null {
  const lines = new Map<number, string>();
  let open: { first: number; says: string } | null = null;
  for (let round = 2; round <= counts.length; round += 1) {
    const [before = 0, count = 0] = [counts[round - 2], counts[round - 1]];
    const work = evenRound(before, count);
    const manner = manners[round - 1];
    const words = work !== null && manner ? wordsOf(work.replace(/\bsc\b/g, word), manner) : null;
    if (words === null) return null;
    const says = `${words} [${count}]`;
    const goesOn = open !== null && open.says === says && !between.has(round - 1);
    if (!open || !goesOn) open = { first: round, says };
    const label = open.first === round ? `R${round}` : `R${open.first}-R${round}`;
    lines.set(open.first, `${label}: ${says}`);
  }
  return lines;
}

/** The text with the rounds of a part written anew; what stands between them stays between those in their place. */
function rewritten(text: string, part: PartAnalysis, news: NewRounds): string | null {
  const { counts, places } = news;
  const lines = text.split(/\r\n|\n|\r/);
  const { rounds } = part.source;
  const ownLines = new Set(rounds.map(({ line }) => line));
  const [first, last] = [Math.min(...ownLines), Math.max(...ownLines)];
  const firstRound = rounds[0]!;
  const kept = new Map<number, string[]>();
  let passed = 0;
  for (let line = first; line <= last; line += 1) {
    if (ownLines.has(line)) {
      passed = rounds.findLastIndex((round) => round.line === line) + 1;
      continue;
    }
    const at = places[passed - 1] ?? 1;
    kept.set(at, [...(kept.get(at) ?? []), lines[line - 1] ?? '']);
  }
  const written = roundLines(news, new Set(kept.keys()));
  if (!written) return null;
  const block: string[] = [];
  for (let round = 1; round <= counts.length; round += 1) {
    const said = round === 1 ? firstRound.text : written.get(round);
    if (said !== undefined) block.push(said);
    block.push(...(kept.get(round) ?? []));
  }
  lines.splice(first - 1, last - first + 1, ...block);
  return lines.join(text.includes('\r\n') ? '\r\n' : '\n');
}

/** Sentences about a part that name one of its stitches by number. */
const stitchNamed = /\b(?:sts?|stitch(?:es)?|holes?)\.?\s*#?\s*\d/i;

function sentencesWithStitches(toy: ToyAnalysis, { source }: PartAnalysis): string[] {
  const onto = toy.joined.joins
    .filter(({ on }) => on.part === source.id)
    .map(({ sentence }) => sentence.text);
  const own = source.steps.map(({ text }) => text);
  return [...new Set([...own, ...onto])].filter((text) => stitchNamed.test(text));
}

/** The text with the round that other parts begin in, by its new number: `in the front loops of R14 of the stem`. */
function moveOnto(text: string, toy: ToyAnalysis, id: string, numbers: ReadonlyMap<number, number>): string {
  const edits = toy.parts.flatMap(({ source }): LineEdit[] => {
    const [first] = source.rounds;
    const base = first?.work.items.find((item) => item.type === 'base');
    if (source.onto?.part !== id || !first || base?.type !== 'base' || first.lines > 1) return [];
    const number = numbers.get(base.round) ?? base.round;
    const { from, to } = base.span;
    const said = first.text
      .slice(from, to)
      .replace(new RegExp(`${base.round}(?!.*${base.round})`), `${number}`);
    return [{ line: first.line, text: first.text.slice(0, from) + said + first.text.slice(to) }];
  });
  return applyEdits(text, edits);
}

/**
 * A part stretched: its rounds are written anew as whole stitches, what stood between them and what is said by rounds goes along, and what
 * hangs on features and other parts follows by its own rules. The new text is read and counted before it is handed over.
 *
 * @param text the toy's text, as it was analysed
 * @param id of the part in the text
 */
export function stretchPart(
  text: string,
  toy: ToyAnalysis,
  id: string,
  stretch: Stretch,
): StretchedPart | NotStretched {
  const part = toy.parts.find(({ source }) => source.id === id);
  const word = stitchWord('sc', toy.pattern.terms.value);
  const manners = part && mannersOf(part, word as StitchWord);
  if (!part || !manners) return { why: 'not-round', round: null };
  if ('why' in manners) return manners;
  const { fabric, source, stops } = part;
  const counts = Array.from({ length: fabric.rounds }, (_, i) => roundCount(fabric, i + 1));
  const { radius, z } = stuffedPart(part);
  const outline = [{ r: 0, z: 0 }, ...Array.from(radius, (r, i) => ({ r, z: z[i] ?? 0 }))];
  // What stays open at one end has no ball to become.
  const round = stops.closing?.how === 'gather' ? stretch.round : 0;
  const found = stretchedRounds(counts, outline, { ...stretch, round });
  const newManners = found && carried(manners, found.places, found.counts.length);
  if (!found || !newManners) return { why: 'too-small', round: null };
  // The same rounds stay in the maker's own words.
  if (found.counts.join() === counts.join()) return { text, counts, toLookAt: [] };
  const numbers = new Map(source.rounds.map(({ number }, i) => [number, found.places[i] ?? 1] as const));
  // The sentences are moved in the text as it was: that is where their rounds are known.
  const moved = moveSentences(moveOnto(text, toy, id, numbers), source, numbers);
  const inPlace = rewritten(moved, part, { ...found, manners: newManners, word });
  if (inPlace === null) return { why: 'work', round: null };
  const again = analyseToy(inPlace, { searches: false }).parts.find((one) => one.source.id === id);
  const isSame =
    again !== undefined &&
    coloursAlong(again) === coloursAlong(part) &&
    again.checks.length === found.counts.length &&
    again.checks.every(({ worked, ok }, i) => ok && worked === found.counts[i]);
  if (!isSame) return { why: 'work', round: null };
  return { text: inPlace, counts: found.counts, toLookAt: sentencesWithStitches(toy, part) };
}

/** Why a part is not stretched, and what can be done, in words. */
export function notStretchedWords(part: string, { why, round }: NotStretched): string {
  const name = part.toLowerCase();
  if (why === 'not-round')
    return t`The ${name} is not worked in rounds from a ring of its own: change its rounds by hand.`;
  if (why === 'line')
    return t`The line of round ${round} of the ${name} says more than the round. Put the rest on a line of its own.`;
  if (why === 'too-small') return t`So small, the ${name} would lose rounds that matter. Take a larger size.`;
  const which = round === null ? t`Some of its rounds are` : t`Round ${round} is`;
  return t`${which} worked in more than plain stitches, increases and decreases, so the ${name} stays as it is. Change it by hand.`;
}
