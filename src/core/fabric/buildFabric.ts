import type { Problem } from '../notation/problem';
import type { Item } from '../notation/ast';
import type { PartSource, RoundSource } from '../notation/pattern';
import { stitchKinds, type StitchKind } from '../notation/stitchKinds';
import type { Terms } from '../notation/terms';
import { loopBits as bits, type Fabric, type Outgrowth, type WorkedThrough } from './fabric';
import { asMeant } from './readings';
import { isJoined, partStart, roundItems } from './roundItems';
import type { Start } from './startOf';
import { workOrPlain, type StitchSink } from './workRound';
import { limits } from '../notation/limits';
import { overRound } from '../notation/wrapped';
import { saying } from '../words/problems/problems';

const code = Object.fromEntries(stitchKinds.map((kind, index) => [kind, index])) as Record<
  StitchKind,
  number
>;

/** A stitch as it is kept: code of its kind, index of its yarn, loops it goes into, and what it is worked into. */
interface GrownStitch {
  kind: number;
  colour: number;
  into: number;
  /** first parent, or -1 */
  first: number;
  parents: number;
}

/** Grows typed arrays by doubling: the number of stitches is known only when the last round is worked. */
class Growing {
  kind = new Uint8Array(1024);
  colour = new Uint8Array(1024);
  into = new Uint8Array(1024);
  parentCount = new Uint8Array(1024);
  parentFirst = new Int32Array(1024);
  /** loops of each stitch that something goes into */
  used = new Uint8Array(1024);
  /** the round that last went into a stitch, so that an increase is not taken for a clash; by index, from 1 */
  workedBy = new Uint32Array(1024);
  length = 0;

  push({ kind, colour, into, first, parents }: GrownStitch): void {
    if (this.length === this.kind.length) this.grow();
    const at = this.length;
    this.kind[at] = kind;
    this.colour[at] = colour;
    this.into[at] = into;
    this.parentFirst[at] = first;
    this.parentCount[at] = parents;
    this.length += 1;
  }

  /** Takes loops of a stitch for a round; false where another round has taken them. */
  take(stitch: number, loops: number, round: number): boolean {
    const isTaken = ((this.used[stitch] ?? 0) & loops) !== 0 && this.workedBy[stitch] !== round;
    this.used[stitch] = (this.used[stitch] ?? 0) | loops;
    this.workedBy[stitch] = round;
    return !isTaken;
  }

  private grow(): void {
    const wider = <A extends Uint8Array | Int32Array | Uint32Array>(from: A, to: A): A => {
      to.set(from);
      return to;
    };
    const size = this.kind.length * 2;
    this.kind = wider(this.kind, new Uint8Array(size));
    this.colour = wider(this.colour, new Uint8Array(size));
    this.into = wider(this.into, new Uint8Array(size));
    this.parentCount = wider(this.parentCount, new Uint8Array(size));
    this.parentFirst = wider(this.parentFirst, new Int32Array(size));
    this.used = wider(this.used, new Uint8Array(size));
    this.workedBy = wider(this.workedBy, new Uint32Array(size));
  }
}

/** The other loops, where the line names them. */
function swapLoops(text: string, from: number): string {
  return (
    text.slice(0, from) +
    text.slice(from).replace(/\b(front|back)\b|\b[FB]LO\b/i, (word) => {
      const lower = word.toLowerCase();
      const other = lower === 'front' ? 'back' : lower === 'back' ? 'front' : lower === 'flo' ? 'blo' : 'flo';
      return word === word.toUpperCase() ? other.toUpperCase() : other;
    })
  );
}

/** A round on its way: what it is worked into. */
interface Working {
  source: RoundSource;
  said: Item[];
  /** its own index, from 0 */
  index: number;
  /** index of the round below; negative where that is the start */
  base: number;
  /** bits of the loops that all of it goes into; 0 where each stitch says its own */
  only: number;
  /** the words that say into which loops of which round */
  onto: BaseItem | undefined;
  /** first stitch of the round below */
  from: number;
  /** places there are to work into */
  places: number;
  /** a row after a row: its stitches are met from the other end */
  isBackwards: boolean;
  /** stitches there were before it */
  before: number;
  /** loops it goes into that were taken */
  clash: number;
}

type BaseItem = Extract<Item, { type: 'base' }>;

const isBase = (item: Item): item is BaseItem => item.type === 'base';

/** Builds the graph of one part, round by round. */
class FabricBuilder {
  readonly problems: Problem[] = [];
  private readonly grown = new Growing();
  private readonly outgrowths: Outgrowth[] = [];
  private readonly workedThrough: WorkedThrough[] = [];
  private readonly palette: string[];
  private readonly offset: Uint32Array;
  private readonly base: Uint32Array;
  private readonly row: Uint8Array;
  private readonly joined: Uint8Array;
  private readonly label: Uint32Array;
  private readonly indexOfLabel = new Map<number, number>();
  private readonly start: Start | null;
  private readonly startSlots: number[] = [];
  private readonly startTakes: number[] = [];
  private colour: string | null;
  private built = 0;
  private foldedAt = 0;

  constructor(
    private readonly part: PartSource,
    private readonly terms: Terms,
  ) {
    const count = part.rounds.length;
    this.palette = [part.colour ?? ''];
    this.offset = new Uint32Array(count + 1);
    this.base = new Uint32Array(count);
    this.row = new Uint8Array(count);
    this.joined = new Uint8Array(count);
    this.label = new Uint32Array(count);
    this.start = partStart(part);
    this.colour = part.colour;
  }

  build(): Fabric {
    for (const source of this.part.rounds) {
      if (this.grown.length >= limits.toyStitches) break;
      this.work(this.working(source));
    }
    return this.fabric();
  }

  private working(source: RoundSource): Working {
    const isOpening = source === this.part.rounds[0];
    const said = isOpening && this.start ? this.start.items : roundItems(source, isOpening);
    const index = this.built;
    const onto = said.find(isBase);
    const named = onto && this.indexOfLabel.get(onto.round);
    const base = named ?? index - 1;
    const from = base >= 0 ? (this.offset[base] ?? 0) : 0;
    const whole = base >= 0 ? (this.offset[base + 1] ?? 0) - from : (this.start?.places ?? Infinity);
    const isFolded = said.some((item) => item.type === 'layers');
    if (isFolded) this.foldedAt = index + 1;
    return {
      source,
      said,
      index,
      base,
      only: onto && named !== undefined ? bits[onto.loops] : 0,
      onto,
      from,
      places: isFolded && Number.isFinite(whole) ? Math.floor(whole / 2) : whole,
      isBackwards: this.row[base] === 1 && source.row,
      before: this.grown.length,
      clash: 0,
    };
  }

  private work(working: Working): void {
    const { source, said, places, before } = working;
    const isOpening = source === this.part.rounds[0];
    const total = source.work.total?.value ?? null;
    const items = isOpening ? said : asMeant(said, { below: places, total, terms: this.terms });
    const options = { terms: this.terms, colour: this.colour, sink: this.sinkOf(working) };
    const { colour } = workOrPlain(items, places, options);
    if (working.clash > 0 && working.onto) this.problems.push(this.loopsTaken(working, working.onto));
    // A first round that makes no stitch is none: what comes after it begins the piece.
    if (this.grown.length > before) this.keep(working, colour);
  }

  private sinkOf(working: Working): StitchSink {
    const { index, before } = working;
    const { grown } = this;
    return {
      stitch: ({ kind, slot, slots, loops, colour }) => {
        const into = working.only || bits[loops];
        if (index === 0) this.keepSlot(working, slot, slots);
        const { first, parents } = parentsOf(working, slot, slots);
        for (let at = first; at < first + parents; at += 1)
          if (!grown.take(at, into, index + 1)) working.clash += 1;
        grown.push({ kind: code[kind], colour: this.tint(colour), into, first, parents });
      },
      workedThrough: (words, made, loops) => {
        const from = grown.length - before - made + 1;
        if (made > 0) this.workedThrough.push({ round: index + 1, from, count: made, loops, words });
      },
      outgrowth: (kinds) => {
        this.outgrowths.push({ after: grown.length - 1, round: index + 1, kinds });
      },
    };
  }

  /** Where in the start a stitch of the first round is worked. */
  private keepSlot({ places }: Working, slot: number, slots: number): void {
    this.startSlots.push(Number.isFinite(places) ? Math.min(slot, places - 1) : 0);
    this.startTakes.push(slots);
  }

  /** Index of a yarn in the palette. */
  private tint(name: string | null): number {
    const known = this.palette.indexOf(name ?? '');
    return Math.min(known < 0 ? this.palette.push(name ?? '') - 1 : known, 255);
  }

  private loopsTaken({ source, clash }: Working, onto: BaseItem): Problem {
    const title = onto.loops === 'front' ? 'Into the back loops instead' : 'Into the front loops instead';
    const edits = [overRound(source, swapLoops(source.text, onto.span.from))];
    return {
      ...saying('loops-used', { piece: null, round: source.number, taken: clash }),
      severity: 'error',
      part: this.part.name,
      round: source.number,
      line: source.line,
      column: onto.span.from + 1,
      suggestions: onto.loops === 'both' ? [] : [{ title, edits }],
    };
  }

  private keep({ source, index, base }: Working, colour: string | null): void {
    this.built += 1;
    this.offset[this.built] = this.grown.length;
    this.base[index] = index === 0 ? 0 : base + 1;
    this.row[index] = source.row ? 1 : 0;
    this.joined[index] = isJoined(this.part, source) ? 1 : 0;
    this.label[index] = source.number;
    this.indexOfLabel.set(source.number, index);
    this.colour = colour;
  }

  private fabric(): Fabric {
    const { grown, start, built } = this;
    const total = grown.length;
    return {
      start: start?.kind ?? 'ring',
      places: start && Number.isFinite(start.places) ? start.places : 0,
      startSlots: Uint32Array.from(this.startSlots),
      startTakes: Uint8Array.from(this.startTakes),
      ground: start?.ground ?? [],
      rounds: built,
      offset: this.offset.slice(0, built + 1),
      kind: grown.kind.slice(0, total),
      colour: grown.colour.slice(0, total),
      palette: this.palette,
      parentFirst: grown.parentFirst.slice(0, total),
      parentCount: grown.parentCount.slice(0, total),
      into: grown.into.slice(0, total),
      used: grown.used.slice(0, total),
      base: this.base.slice(0, built),
      row: this.row.slice(0, built),
      joined: this.joined.slice(0, built),
      label: this.label.slice(0, built),
      folded: this.foldedAt,
      outgrowths: this.outgrowths,
      workedThrough: this.workedThrough,
    };
  }
}

/** The stitches that a stitch is worked into, by the places it takes: none where there is nothing under it. */
function parentsOf(
  { base, from, places, isBackwards }: Working,
  slot: number,
  slots: number,
): { first: number; parents: number } {
  if (base < 0 || slots === 0 || places <= 0) return { first: -1, parents: 0 };
  const at = Math.min(slot, places - 1);
  const parents = Math.min(slots, places - at);
  return { first: isBackwards ? from + places - at - parents : from + at, parents };
}

/**
 * Builds the stitch graph of one part.
 *
 * @param part as read
 * @param terms what the stitch words mean
 * @returns the graph, and problems about loops already used
 */
export function buildFabric(part: PartSource, terms: Terms): { fabric: Fabric; problems: Problem[] } {
  const builder = new FabricBuilder(part, terms);
  return { fabric: builder.build(), problems: builder.problems };
}
