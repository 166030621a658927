import type { Extent, GroupItem, Item, LoopsWord, WorkItem } from '../notation/ast';
import { limits } from '../notation/limits';
import { plainAround } from '../notation/workItem';
import { stitchKind, type StitchKind } from '../notation/stitchKinds';
import type { Terms } from '../notation/terms';

/** A stitch as it is worked: its kind, the first place of the round below that it takes, and how many. */
export interface WorkedStitch {
  kind: StitchKind;
  slot: number;
  slots: number;
  loops: LoopsWord;
  colour: string | null;
}

/** Receives every stitch of a round as it is worked. Slots are places in the round below, from 0. */
export interface StitchSink {
  stitch(stitch: WorkedStitch): void;
  outgrowth?(kinds: StitchKind[]): void;
  /** the stitches just made, so many of them, go through a finished piece too */
  workedThrough?(words: string, made: number, loops: LoopsWord): void;
}

/** How a round went. */
export interface RoundWork {
  made: number;
  /** places of the round below that were taken, skipped ones included; more than there are means too few stitches below */
  used: number;
  /** stitches of the round below left over */
  left: number;
  /** left over on purpose: `leave the last 4 unworked` */
  leftOnPurpose: number;
  /** a repeat that was to fill the round and did not: stitches its one turn takes, and how many stayed */
  remainder: { size: number; left: number } | null;
  /** increases or decreases that were to go on around when nothing was left for them */
  starved: boolean;
  colour: string | null;
  /** given up: more stitches, or more to do, than a round can have */
  tooLarge: boolean;
  /** things done: stitches, skips, turns of a bracket */
  steps: number;
}

/** How many places of the round below the items take, where that does not depend on the round. */
export function fixedTake(items: readonly Item[]): number {
  let sum = 0;
  // Chains that are worked back along take what follows before the round does.
  let chains = 0;
  for (const [index, item] of items.entries()) {
    const before = items[index - 1];
    if (item.type === 'work' && item.target === 'hook' && before?.type === 'work' && before.word === 'ch')
      chains = Math.max(0, timesOf(before.extent) - item.fromHook + 1);
    const take = takeOf(item);
    const along = Math.min(chains, take);
    chains -= along;
    sum += take - along;
  }
  return sum;
}

function timesOf(extent: Extent): number {
  return extent.kind === 'count' ? extent.n : 0;
}

function takeOf(item: Item): number {
  if (item.type === 'skip') return item.n;
  if (item.type === 'leave') return 0;
  if (item.type === 'work') {
    if (item.word === 'ch' || item.target === 'same' || item.target === 'ring') return 0;
    return item.together * timesOf(item.extent);
  }
  if (item.type === 'group') return (item.intoOne ? 1 : fixedTake(item.items)) * timesOf(item.extent);
  return 0;
}

const fillsUp = (item: Item): boolean =>
  (item.type === 'work' && item.extent.kind !== 'count') ||
  (item.type === 'group' && (item.extent.kind !== 'count' || item.items.some(fillsUp)));

interface State {
  position: number;
  lastSlot: number;
  made: number;
  colour: string | null;
  loops: LoopsWord;
  /** chains of an outgrowth still to be worked back along */
  growing: StitchKind[] | null;
  chainSlots: number;
  remainder: RoundWork['remainder'];
  starved: RoundWork['starved'];
  leftOnPurpose: number;
  tooLarge: boolean;
  steps: number;
}

interface Round {
  /** stitches in the round below; infinite for a ring */
  below: number;
  terms: Terms;
  sink: StitchSink;
}

/**
 * Works one round over the one below, stitch by stitch.
 *
 * @param items what the line says
 * @param below stitches in the round below; `Infinity` for a ring, into which any number goes
 * @param options terms of the words, the colour the round begins with, and who receives the stitches
 */
export function workRound(
  items: readonly Item[],
  below: number,
  options: { terms: Terms; colour: string | null; sink: StitchSink },
): RoundWork {
  const state: State = {
    position: 0,
    lastSlot: 0,
    made: 0,
    colour: options.colour,
    loops: 'both',
    growing: null,
    chainSlots: 0,
    remainder: null,
    starved: false,
    leftOnPurpose: 0,
    tooLarge: false,
    steps: 0,
  };
  workItems(items, { below, terms: options.terms, sink: options.sink }, state, { isWhole: true });
  flush(state, options.sink);
  const used = Number.isFinite(below) ? state.position : 0;
  const left = Number.isFinite(below) ? Math.max(0, below - state.position) : 0;
  return {
    made: state.made,
    used,
    left,
    leftOnPurpose: Math.min(left, state.leftOnPurpose),
    remainder: left > 0 ? state.remainder : null,
    starved: state.starved,
    colour: state.colour,
    tooLarge: state.tooLarge,
    steps: state.steps,
  };
}

const plain: readonly Item[] = [plainAround({ from: 0, to: 0 })];

/**
 * Works a round as the whole chain takes it. A round that makes no stitch, or one not read, goes on as it was, plain: a line of holes
 * with no holes is nowhere on a piece, and the rounds after it can still be counted. Its check says that it is wrong.
 *
 * @returns and whether the stitches were made up so
 */
export function workOrPlain(
  items: readonly Item[],
  below: number,
  options: { terms: Terms; colour: string | null; sink: StitchSink },
): RoundWork & { madeUp: boolean } {
  const work = workRound(items, below, options);
  if (work.made > 0 || !Number.isFinite(below) || below < 1) return { ...work, madeUp: false };
  const instead = workRound(plain, below, { ...options, colour: work.colour });
  return { ...work, made: instead.made, madeUp: true, steps: work.steps + instead.steps };
}

/** Counts one thing done; false once the round holds more than a round can. */
function step(state: State): boolean {
  state.steps += 1;
  if (state.steps > limits.roundSteps) state.tooLarge = true;
  return !state.tooLarge;
}

/** Where items stand: what is kept for those behind them, and whether they are the whole round. */
interface Within {
  /** places of the round below */
  reserve?: number;
  isWhole?: boolean;
}

function workItems(
  items: readonly Item[],
  round: Round,
  state: State,
  { reserve = 0, isWhole = false }: Within = {},
): void {
  for (const [index, item] of items.entries()) {
    if (!step(state)) return;
    const after = () => fixedTake(withoutFastening(items, index)) + reserve;
    switch (item.type) {
      case 'work':
        if (isWhole && isFinishing(items, index, round, state)) break;
        if (opensGrowth(item, items[index + 1])) openGrowth(item, state, round.sink);
        else workItem(item, round, state, after);
        break;
      case 'group':
        workGroup(item, round, state, after);
        break;
      case 'skip':
        state.position += item.n;
        break;
      case 'colour':
        state.colour = item.name;
        break;
      case 'loops':
        state.loops = item.loops;
        break;
      case 'leave':
        state.leftOnPurpose = item.n || Math.max(0, round.below - state.position);
        break;
      default:
        break;
    }
  }
}

/** What stands after an item, but for a slip stitch at the end after something that goes around: that only fastens the round. */
function withoutFastening(items: readonly Item[], index: number): readonly Item[] {
  const rest = items.slice(index + 1);
  const last = rest.at(-1);
  const fastens =
    last?.type === 'work' && last.word === 'sl' && last.bare === true && items.slice(0, -1).some(fillsUp);
  return fastens ? rest.slice(0, -1) : rest;
}

/** A slip stitch after the round is full only fastens it. */
function isFinishing(items: readonly Item[], index: number, round: Round, state: State): boolean {
  const item = items[index];
  if (item?.type !== 'work' || item.word !== 'sl' || item.extent.kind !== 'count' || item.extent.n > 2)
    return false;
  // Into a ring there is no last place: what is worked is the round.
  const isFull = state.made > 0 && (state.position >= round.below || !Number.isFinite(round.below));
  return (
    isFull &&
    items
      .slice(index + 1)
      .every(
        (next) =>
          next.type === 'fasten' ||
          next.type === 'unknown' ||
          next.type === 'join' ||
          (next.type === 'work' && next.word === 'ch'),
      )
  );
}

/** A chain that is worked back along grows out of the fabric instead of counting in the round. */
function opensGrowth(item: WorkItem, next: Item | undefined): boolean {
  return item.word === 'ch' && next?.type === 'work' && next.target === 'hook';
}

function flush(state: State, sink: StitchSink): void {
  if (state.growing) sink.outgrowth?.(state.growing);
  state.growing = null;
  state.chainSlots = 0;
}

/** A stitch of an item as it is worked, over and over. */
interface Stitching {
  item: WorkItem;
  kind: StitchKind;
  loops: LoopsWord;
  colour: string | null;
}

/** Chains that are worked back along: what follows goes into them, not into the round. */
function openGrowth({ extent }: WorkItem, state: State, sink: StitchSink): void {
  flush(state, sink);
  const chains = timesOf(extent);
  state.tooLarge ||= chains > limits.chains;
  state.growing = Array.from({ length: Math.min(chains, limits.chains) }, () => 'ch' as const);
  state.chainSlots = state.growing.length;
}

/** How often an item is done that goes on until the round is full, or until so many are left. What does not come out even is noted. */
function timesToFill(
  { make, together, target, extent }: WorkItem,
  { below }: Round,
  state: State,
  after: number,
): number {
  if (!Number.isFinite(below)) return 0;
  const kept = extent.kind === 'leave' ? extent.n : after;
  const times = Math.max(0, Math.floor((below - state.position - kept) / together));
  const over = below - state.position - kept - times * together;
  if (over > 0) state.remainder = { size: together, left: over };
  const isChange = make !== together && target === 'next';
  if (times === 0 && isChange) state.starved = true;
  return times;
}

/** One turn of an item along the chains of an outgrowth; false where that is too long. */
function growOn({ item, kind }: Stitching, state: State, sink: StitchSink): boolean {
  if (item.make > limits.chains) return false;
  for (let m = 0; m < item.make; m += 1) state.growing?.push(kind);
  state.chainSlots -= item.together;
  if (state.chainSlots <= 0) flush(state, sink);
  return true;
}

/** One turn of an item over the round below; false where the round has more stitches than a round can have. */
function workOnce({ item, kind, loops, colour }: Stitching, { below, sink }: Round, state: State): boolean {
  const { make, together, target } = item;
  if (state.made + make > limits.roundStitches) return false;
  const inRing = target === 'ring' || !Number.isFinite(below);
  // Where nothing is worked yet, *the same stitch* is the one the hook stands at: the first.
  const again = target === 'same' && state.made > 0;
  const takes = kind === 'ch' || inRing || again ? 0 : together;
  const slot = again ? state.lastSlot : state.position;
  const slots = takes === 0 && !again ? 0 : together;
  for (let m = 0; m < make; m += 1) sink.stitch({ kind, slot, slots, loops, colour });
  state.made += make;
  if (takes > 0) state.lastSlot = state.position + takes - 1;
  state.position += takes;
  return true;
}

function workItem(item: WorkItem, round: Round, state: State, after: () => number): void {
  const { sink, terms } = round;
  const { extent } = item;
  const stitching: Stitching = {
    item,
    kind: stitchKind(item.word, terms),
    loops: item.loops ?? state.loops,
    colour: item.colour ?? state.colour,
  };
  if (item.target === 'hook' && state.growing)
    state.chainSlots = Math.max(0, state.chainSlots - item.fromHook + 1);
  const times = extent.kind === 'count' ? extent.n : timesToFill(item, round, state, after());
  const before = state.made;
  for (let i = 0; i < times; i += 1) {
    if (!step(state)) return;
    const isGrowing = state.growing !== null && state.chainSlots > 0;
    const goesOn = isGrowing ? growOn(stitching, state, sink) : workOnce(stitching, round, state);
    if (!goesOn) {
      state.tooLarge = true;
      return;
    }
  }
  if (item.piece) sink.workedThrough?.(item.piece, state.made - before, stitching.loops);
}

/** Does an item make more or fewer stitches than it takes? */
function changesCount(item: Item): boolean {
  if (item.type === 'group') return item.items.some(changesCount);
  return item.type === 'work' && item.target === 'next' && item.make !== item.together;
}

function workGroup(item: GroupItem, round: Round, state: State, after: () => number): void {
  const { below } = round;
  if (item.intoOne) {
    workIntoOne(item, round, state, after);
    return;
  }
  const size = fixedTake(item.items);
  const open = item.items.some(fillsUp);
  if (open) {
    const reserve = item.extent.kind === 'leave' ? item.extent.n : after();
    workItems(item.items, round, state, { reserve });
    return;
  }
  let times = timesOf(item.extent);
  if (item.extent.kind !== 'count') {
    const kept = item.extent.kind === 'leave' ? item.extent.n : after();
    const room = below - state.position - kept;
    times = size > 0 && Number.isFinite(room) ? Math.max(0, Math.floor(room / size)) : 1;
    const over = room - times * size;
    if (size > 0 && over > 0 && Number.isFinite(over)) state.remainder = { size, left: over };
    if (times === 0 && item.items.some(changesCount)) state.starved = true;
  } else if (item.orMore && Number.isFinite(below)) {
    const needed = (n: number) => state.position + n * size + after();
    if (needed(times) !== below && needed(times + 1) === below) times += 1;
  }
  for (let i = 0; i < times && step(state); i += 1) workItems(item.items, round, state);
}

/** `(sl st, sc, hdc, sc, sl st) in next st`: a fin grown in one stitch. */
function workIntoOne(item: GroupItem, round: Round, state: State, after: () => number): void {
  const times =
    item.extent.kind === 'count' ? item.extent.n : Math.max(0, round.below - state.position - after());
  for (let i = 0; i < times && Number.isFinite(times) && step(state); i += 1) {
    const slot = state.position;
    const first: State = { ...state, lastSlot: slot };
    const inner: Round = {
      ...round,
      below: Number.POSITIVE_INFINITY,
      sink: {
        stitch: (stitch) => round.sink.stitch({ ...stitch, slot, slots: 1 }),
        outgrowth: round.sink.outgrowth,
      },
    };
    workItems(item.items, inner, first);
    state.made = first.made;
    state.tooLarge = first.tooLarge;
    state.steps = first.steps;
    state.lastSlot = slot;
    state.position += 1;
  }
}
