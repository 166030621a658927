import { t } from '../words/language';
import { sayTerm } from '../words/said';
import type { Item, LoopsWord, WorkItem } from '../notation/ast';
import type { RoundSource } from '../notation/pattern';

/** Several moves of one kind: `3 sc`. */
export interface Run {
  /** the maker's own words for one of them, or for all where she wrote them so */
  words: string;
  /** so often */
  times: number;
  /** stitches that one of them makes */
  makes: number;
}

/** What is worked over and over in a round; a round without a repeat is one. */
export interface Repeat {
  runs: Run[];
  moves: number;
  stitches: number;
}

/** A round as it is tapped along: every repeat with its moves. A move is what the hook does in one place. */
export interface RoundMoves {
  repeats: Repeat[];
  moves: number;
  stitches: number;
}

const pack = (runs: Run[]): Repeat => ({
  runs,
  moves: runs.reduce((sum, { times }) => sum + times, 0),
  stitches: runs.reduce((sum, { times, makes }) => sum + times * makes, 0),
});

const whole = (repeats: Repeat[]): RoundMoves => ({
  repeats,
  moves: repeats.reduce((sum, { moves }) => sum + moves, 0),
  stitches: repeats.reduce((sum, { stitches }) => sum + stitches, 0),
});

/** One of several that are written together: of `3 sc` the stitch, `sc`; of `inc in each st around` the `inc`. */
const withoutNumber = (words: string) =>
  words
    .replace(/^\s*\d+\s*(?=[a-z])/i, '')
    .replace(/\s*(?:x\s*)?\d+\s*$/i, '')
    .replace(
      /\s+(?:in each(?: of)?(?: the)?(?: next)?(?: \d+)?(?: st(?:s|itch|itches)?)?(?: around)?|in next \d+(?: st\w*)?|around)$/i,
      '',
    )
    .trim();

/** Where no number says how often, the round's own count does: `open` is how many stitches are left for it. */
interface Open {
  stitches: number;
}

/** What makes no stitch of the round: it is read with the words, and not tapped. */
const withoutStitch = new Set<Item['type']>([
  'join',
  'fasten',
  'ring',
  'base',
  'turn',
  'otherSide',
  'layers',
  'edge',
  'skip',
]);

/** How often a stitch is worked; null where the round does not say and its count can't tell. */
function timesOf({ extent, target, make }: WorkItem, open: Open): number | null {
  // So many stitches into a ring are so many moves.
  const makes = target === 'ring' ? 1 : make;
  const times =
    extent.kind === 'count'
      ? extent.n * (make / makes)
      : extent.kind === 'around'
        ? open.stitches / makes
        : 0;
  return Number.isInteger(times) && times >= 1 ? times : null;
}

function runOf(item: WorkItem, text: string, open: Open, loops: LoopsWord | null): Run | null {
  const isSpread = item.evenly === true || item.pair === true || item.orTotal === true;
  const times = timesOf(item, open);
  if (isSpread || times === null) return null;
  const written = text.slice(item.span.from, item.span.to).trim();
  const inLoops = loops && loops !== 'both' ? t`${sayTerm(loops)} loops: ` : '';
  const words = times === 1 ? written : withoutNumber(written) || written;
  return { words: `${inLoops}${words}`, times, makes: item.target === 'ring' ? 1 : item.make };
}

/** A chain to rise by, a slip stitch that closes the round: read with the words, and no stitch of it. */
const risesOrCloses = ({ word, target }: WorkItem): boolean =>
  word === 'ch' || (word === 'sl' && target === 'first');

/** The moves of some items in a row; null where that is more than is known here. */
function runsOf(items: readonly Item[], text: string, open: Open): Run[] | null {
  const runs: Run[] = [];
  let loops: LoopsWord | null = null;
  for (const item of items) {
    if (item.type === 'loops') {
      loops = item.loops;
    } else if (item.type === 'work' && risesOrCloses(item)) {
      runs.push({ words: text.slice(item.span.from, item.span.to).trim(), times: 0, makes: 0 });
    } else if (item.type === 'work') {
      const run = runOf(item, text, open, loops);
      if (!run) return null;
      runs.push(run);
    } else if (item.type === 'group') {
      const inner = repeatsOf(item, text, open);
      if (!inner) return null;
      runs.push(...inner.flatMap((repeat) => repeat.runs));
    } else if (item.type === 'colour') {
      runs.push({ words: t`now in ${item.name}`, times: 0, makes: 0 });
    } else if (!withoutStitch.has(item.type)) return null;
  }
  return runs;
}

/** The repeats of a bracket; null where it is not known how often, or what is in it. */
function repeatsOf(group: Extract<Item, { type: 'group' }>, text: string, open: Open): Repeat[] | null {
  if (group.intoOne) {
    const runs = runsOf(group.items, text, open);
    if (!runs) return null;
    const stitches = pack(runs).stitches;
    const words = text.slice(group.span.from, group.span.to).trim();
    const times = group.extent.kind === 'count' ? group.extent.n : null;
    return times === null ? null : [pack([{ words, times, makes: stitches }])];
  }
  const runs = runsOf(group.items, text, { stitches: 0 });
  if (!runs) return null;
  const repeat = pack(runs);
  if (repeat.stitches === 0) return null;
  const times = group.extent.kind === 'count' ? group.extent.n : open.stitches / repeat.stitches;
  if (!Number.isInteger(times) || times < 1 || group.extent.kind === 'leave') return null;
  return Array.from({ length: times }, () => repeat);
}

/** Stitches of what says its own number; the rest of the round is for what goes `around`. */
function numbered(items: readonly Item[], text: string): number {
  let sum = 0;
  for (const item of items) {
    if (item.type === 'work' && item.extent.kind === 'count' && !risesOrCloses(item))
      sum += item.extent.n * item.make;
    if (item.type === 'group' && item.extent.kind === 'count') {
      const runs = runsOf(item.items, text, { stitches: 0 });
      sum += (runs ? pack(runs).stitches : 0) * item.extent.n;
    }
  }
  return sum;
}

/** Only counted: stitch after stitch, in the maker's words. */
function onlyCounted(words: string, worked: number): RoundMoves {
  return whole([pack([{ words, times: worked, makes: 1 }])]);
}

/**
 * Divides a round into what is tapped along.
 *
 * What can't be divided so that it comes to the stitches the round is known to have is counted stitch by stitch instead: never a wrong
 * number.
 *
 * @param body the round's own words, for where it is only counted
 * @param worked stitches of the round as counted
 */
export function movesOf({ work, text }: RoundSource, body: string, worked: number): RoundMoves {
  const open: Open = { stitches: worked - numbered(work.items, text) };
  const repeats: Repeat[] = [];
  let loose: Item[] = [];
  const flush = (): boolean => {
    const runs = runsOf(loose, text, open);
    if (!runs) return false;
    if (pack(runs).moves > 0) repeats.push(pack(runs));
    loose = [];
    return true;
  };
  for (const item of work.items) {
    const isRepeated = item.type === 'group' && !item.intoOne;
    if (!isRepeated) {
      loose.push(item);
      continue;
    }
    // What is said before a bracket about its loops or colour holds inside it.
    const isSaidBefore = loose.every(({ type }) => type === 'loops' || type === 'colour' || type === 'base');
    if (!isSaidBefore && !flush()) return onlyCounted(body, worked);
    const inner = repeatsOf(item, text, open);
    if (!inner) return onlyCounted(body, worked);
    repeats.push(...inner);
    loose = [];
  }
  if (!flush()) return onlyCounted(body, worked);
  const found = whole(repeats);
  return found.stitches === worked && found.moves > 0 ? found : onlyCounted(body, worked);
}

/** Where a move stands in its round, all from 0. */
export interface MovePlace {
  repeat: number;
  run: number;
  /** which of the run's */
  at: number;
}

/** Finds the move with a number, from 0; null behind the last. */
export function placeOfMove({ repeats }: RoundMoves, move: number): MovePlace | null {
  let left = move;
  for (const [repeat, { runs, moves }] of repeats.entries()) {
    if (left >= moves) {
      left -= moves;
      continue;
    }
    for (const [run, { times }] of runs.entries()) {
      if (left < times) return { repeat, run, at: left };
      left -= times;
    }
  }
  return null;
}

/** The first move of the repeat after the one a move is in. */
export function afterRepeat({ repeats }: RoundMoves, move: number): number {
  let begun = 0;
  for (const { moves } of repeats) {
    begun += moves;
    if (move < begun) return begun;
  }
  return begun;
}

/** Stitches made before a move. */
export function stitchesBefore({ repeats }: RoundMoves, move: number): number {
  let left = move;
  let stitches = 0;
  for (const { runs } of repeats) {
    for (const { times, makes } of runs) {
      const taken = Math.min(left, times);
      stitches += taken * makes;
      left -= taken;
      if (left <= 0) return stitches;
    }
  }
  return stitches;
}
