import { t } from '../words/language';
import { sayTerm } from '../words/said';
import { backLoop, bothLoops, frontLoop, roundCount, type Fabric } from '../fabric/fabric';
import type { Join } from '../join/joined';
import { stitchKinds, stitchWord, type StitchKind } from '../notation/stitchKinds';
import type { Terms } from '../notation/terms';
import type { ClosingSchool } from '../notation/sentence/close';
import { gatherOrder } from '../plan/closing';

/** A stitch as it is drawn: its own number in its round, its yarn, and what it stands on. */
export interface DrawnStitch {
  number: number;
  /** by the pattern's name */
  yarn: string;
  /** places in the row below, from 0 */
  on: readonly number[];
}

/** One step of a technique: what stands there already, and where the hook or needle goes now. */
export interface TechniqueStep {
  words: string;
  below: readonly DrawnStitch[];
  above: readonly DrawnStitch[];
  /** places in the row below that are gone into now, from 0 */
  into: readonly number[];
  loops: 'both' | 'front' | 'back';
}

/** How something of a round is done, on stitches of that round. */
export interface Technique {
  kind: 'ring' | 'increase' | 'decrease' | 'one-loop' | 'colour' | 'tall' | 'gather' | 'seam';
  title: string;
  steps: readonly TechniqueStep[];
}

/** What is drawn beside the place itself, on either side, and at least in all. */
const beside = 1;
const fewest = 4;

/** A round over the one it is worked into. */
class TwoRounds {
  private readonly base: number;
  private readonly from: number;
  private readonly baseFrom: number;
  readonly count: number;

  constructor(
    private readonly fabric: Fabric,
    readonly round: number,
  ) {
    this.base = fabric.base[round - 1] ?? 0;
    this.from = fabric.offset[round - 1] ?? 0;
    this.baseFrom = fabric.offset[this.base - 1] ?? 0;
    this.count = roundCount(fabric, round);
  }

  get belowLabel(): number {
    return this.fabric.label[this.base - 1] ?? 0;
  }

  /** Number of the first stitch something stands on, and how many those are. */
  parentsOf(number: number): { first: number; count: number } {
    const stitch = this.from + number - 1;
    const first = (this.fabric.parentFirst[stitch] ?? 0) - this.baseFrom + 1;
    return { first, count: this.fabric.parentCount[stitch] ?? 0 };
  }

  loopsOf(number: number): TechniqueStep['loops'] {
    const into = this.fabric.into[this.from + number - 1] ?? bothLoops;
    if (into === frontLoop) return 'front';
    return into === backLoop ? 'back' : 'both';
  }

  kindOf(number: number): StitchKind {
    return stitchKinds[this.fabric.kind[this.from + number - 1] ?? 0] ?? 'sc';
  }

  yarnOf(number: number): string {
    return this.yarn(this.from + number - 1);
  }

  private yarn(stitch: number): string {
    return this.fabric.palette[this.fabric.colour[stitch] ?? 0] ?? '';
  }

  /** The first stitch of the round of which something holds, by its number; null where there is none. */
  find(holds: (number: number) => boolean): number | null {
    for (let number = 1; number <= this.count; number += 1) if (holds(number)) return number;
    return null;
  }

  /** A row that was turned goes back over the one below: its first stitch stands on the last. */
  private get isTurned(): boolean {
    return this.parentsOf(1).first > this.parentsOf(this.count).first;
  }

  /** `round`, or `row` */
  get word(): 'round' | 'row' {
    return this.fabric.row[this.round - 1] === 1 ? 'row' : 'round';
  }

  /** Numbers of the stitches something stands on, in the order they are met. */
  metBy(number: number): number[] {
    const { first, count } = this.parentsOf(number);
    const numbers = Array.from({ length: count }, (_, i) => first + i);
    return this.isTurned ? numbers.reverse() : numbers;
  }

  /** The stitches below some of them with one beside on either side, in the order they are met. */
  window(numbers: readonly number[]): DrawnStitch[] {
    const last = roundCount(this.fabric, this.base);
    const [least, most] = [Math.min(...numbers) - beside, Math.max(...numbers) + beside];
    const start = Math.max(1, Math.min(least, last - fewest + 1));
    const end = Math.min(last, Math.max(most, start + fewest - 1));
    const below = Array.from({ length: Math.max(0, end - start + 1) }, (_, i) => ({
      number: start + i,
      yarn: this.yarn(this.baseFrom + start + i - 1),
      on: [],
    }));
    return this.isTurned ? below.reverse() : below;
  }

  /** Stitches of the round up to one, those that stand wholly on what is drawn below. */
  above(below: readonly DrawnStitch[], last: number): DrawnStitch[] {
    const drawn: DrawnStitch[] = [];
    for (let number = 1; number <= last; number += 1) {
      const on = placesOf(below, this.metBy(number));
      const isWithin = on.length > 0 && on.length === this.parentsOf(number).count;
      if (isWithin) drawn.push({ number, yarn: this.yarnOf(number), on });
    }
    return drawn;
  }
}

/** Where stitches stand in a row that is drawn, from 0; those that are not drawn are left out. */
const placesOf = (drawn: readonly DrawnStitch[], numbers: readonly number[]): number[] =>
  numbers.flatMap((number) => {
    const place = drawn.findIndex((stitch) => stitch.number === number);
    return place < 0 ? [] : [place];
  });

const listed = (numbers: readonly number[]): string =>
  numbers.length > 1
    ? t`${numbers.slice(0, -1).join(', ')} and ${numbers.at(-1) ?? ''}`
    : String(numbers[0] ?? '');
const countWords = ['no', 'one', 'two', 'three', 'four', 'five', 'six'] as const;
const inWords = (count: number): string => countWords[count] ?? String(count);

function ringTechnique(rounds: TwoRounds, name: string): Technique {
  const { count } = rounds;
  const stitches = Array.from({ length: count }, (_, i) => ({
    number: i + 1,
    yarn: rounds.yarnOf(i + 1),
    on: [],
  }));
  const step = (words: string, above: readonly DrawnStitch[]): TechniqueStep => ({
    words,
    below: [],
    above,
    into: [],
    loops: 'both',
  });
  return {
    kind: 'ring',
    title: t`The ring to begin with`,
    steps: [
      step(
        t`Lay the yarn around your finger, its end underneath. Draw a loop of the working yarn up through the ring and make one chain to hold it: the chain is no stitch.`,
        [],
      ),
      step(
        t`Work ${count} ${name} into the ring, over the ring and its end together.`,
        stitches.slice(0, Math.ceil(count / 2)),
      ),
      step(
        t`All ${count} there? Draw the end until the hole is shut. The next round begins in stitch 1: mark it.`,
        stitches,
      ),
    ],
  };
}

function increaseTechnique(rounds: TwoRounds): Technique | null {
  const first = rounds.find((number) => {
    const [own, next] = [rounds.parentsOf(number), rounds.parentsOf(number + 1)];
    return number < rounds.count && own.count === 1 && next.count === 1 && own.first === next.first;
  });
  if (first === null) return null;
  const place = rounds.parentsOf(first).first;
  let last = first;
  while (last < rounds.count && rounds.parentsOf(last + 1).first === place) last += 1;
  const many = last - first + 1;
  const below = rounds.window([place]);
  const into = placesOf(below, [place]);
  const upTo = (number: number) => rounds.above(below, number);
  const loops = rounds.loopsOf(first);
  const own = Array.from({ length: many }, (_, i) => first + i);
  return {
    kind: 'increase',
    title: t`An increase`,
    steps: [
      {
        words: t`Stitch ${place} of ${sayTerm(rounds.word)} ${rounds.belowLabel} takes ${inWords(many)}. The first goes in as always.`,
        below,
        above: upTo(first),
        into: [],
        loops,
      },
      {
        words:
          many > 2
            ? t`Into the same place again, and again.`
            : t`Into the same place again, not into the next one.`,
        below,
        above: upTo(first),
        into,
        loops,
      },
      {
        words: t`${inWords(many).replace(/^./, (letter) => letter.toUpperCase())} stitches stand on one: they are ${listed(own)} of this ${sayTerm(rounds.word)}.`,
        below,
        above: upTo(last),
        into: [],
        loops,
      },
    ],
  };
}

function decreaseTechnique(rounds: TwoRounds): Technique | null {
  // Taller stitches are drawn together in another way.
  const number = rounds.find((one) => rounds.parentsOf(one).count > 1 && rounds.kindOf(one) === 'sc');
  if (number === null) return null;
  const places = rounds.metBy(number);
  const count = places.length;
  const below = rounds.window(places);
  const into = placesOf(below, places);
  const upTo = (last: number) => rounds.above(below, last);
  const said = rounds.loopsOf(number);
  const loops = said === 'both' ? 'front' : said;
  return {
    kind: 'decrease',
    title: t`A decrease that hardly shows`,
    steps: [
      {
        words: t`The hook under the ${sayTerm(loops)} loop of stitch ${places[0] ?? ''} of ${sayTerm(rounds.word)} ${rounds.belowLabel}, then under the ${sayTerm(loops)} loop of ${listed(places.slice(1))}. Nothing is drawn through yet.`,
        below,
        above: upTo(number - 1),
        into,
        loops,
      },
      {
        words: t`Yarn over, and through ${count === 2 ? t`both` : t`all`} of these loops at once. Two loops are on the hook: yarn over, through both. One stitch stands on ${inWords(count)}: stitch ${number} of this ${sayTerm(rounds.word)}.`,
        below,
        above: upTo(number),
        into: [],
        loops,
      },
    ],
  };
}

function oneLoopTechnique(rounds: TwoRounds): Technique | null {
  const number = rounds.find((one) => rounds.loopsOf(one) !== 'both' && rounds.parentsOf(one).count === 1);
  if (number === null) return null;
  const loops = rounds.loopsOf(number);
  const places = rounds.metBy(number);
  const below = rounds.window(places);
  const into = placesOf(below, places);
  const upTo = (last: number) => rounds.above(below, last);
  const [which, free] =
    loops === 'back'
      ? [
          t`the one behind, away from you`,
          t`The front loops stay free and lie as a ridge on the side you look at.`,
        ]
      : [t`the one in front, next to you`, t`The back loops stay free on the other side.`];
  return {
    kind: 'one-loop',
    title: loops === 'back' ? t`Into the back loop only` : t`Into the front loop only`,
    steps: [
      {
        words: t`Every stitch has two loops on top. Take ${which}, and leave the other.`,
        below,
        above: upTo(number - 1),
        into,
        loops,
      },
      { words: t`Then the stitch as always. ${free}`, below, above: upTo(number), into: [], loops },
    ],
  };
}

/** The last stitch of one yarn in a round before another follows; null where there is none. */
function lastOfYarn(fabric: Fabric, rounds: TwoRounds): { number: number; next: string } | null {
  const within = rounds.find(
    (number) => number < rounds.count && rounds.yarnOf(number) !== rounds.yarnOf(number + 1),
  );
  if (within !== null) return { number: within, next: rounds.yarnOf(within + 1) };
  const { round, count } = rounds;
  const isFollowed = round < fabric.rounds && fabric.base[round] === round && fabric.joined[round - 1] !== 1;
  if (!isFollowed || count === 0) return null;
  const next = new TwoRounds(fabric, round + 1).yarnOf(1);
  return next === rounds.yarnOf(count) ? null : { number: count, next };
}

function colourTechnique(fabric: Fabric, rounds: TwoRounds): Technique | null {
  const change = lastOfYarn(fabric, rounds);
  if (!change) return null;
  const { number } = change;
  const next = change.next || t`the first yarn`;
  const places = rounds.metBy(number);
  if (places.length === 0) return null;
  const below = rounds.window(places);
  const into = placesOf(below, places);
  const upTo = (last: number) => rounds.above(below, last);
  const own = rounds.yarnOf(number) || t`the first yarn`;
  const step = { below, into: [], loops: rounds.loopsOf(number) };
  return {
    kind: 'colour',
    title: t`From ${own} to ${next}`,
    steps: [
      {
        ...step,
        words: t`Stitch ${number}, the last of ${own}: work it until two loops are left on the hook.`,
        above: upTo(number - 1),
        into,
      },
      {
        ...step,
        words: t`Lay ${own} down inside, take ${next}, and draw it through those two loops.`,
        above: upTo(number),
      },
      {
        ...step,
        words: t`The loop on the hook is ${next} now, and so is the whole of the next stitch. Draw both yarns snug.`,
        above: upTo(number + 1),
      },
    ],
  };
}

/** Of the taller stitches: how often the yarn goes over first, and how it is worked off. */
const tall: Partial<Record<StitchKind, { over: string; off: string }>> = {
  hdc: { over: 'once', off: t`Three loops are on the hook: yarn over, through all three.` },
  dc: { over: 'once', off: t`Yarn over, through two loops; once more, through the two that are left.` },
  tr: { over: 'twice', off: t`Yarn over, through two loops; twice more, until one is left.` },
  dtr: { over: t`three times`, off: t`Yarn over, through two loops; three times more, until one is left.` },
};

function tallTechnique(rounds: TwoRounds, terms: Terms): Technique | null {
  const number = rounds.find(
    (one) => tall[rounds.kindOf(one)] !== undefined && rounds.parentsOf(one).count === 1,
  );
  const how = number === null ? undefined : tall[rounds.kindOf(number)];
  if (number === null || !how) return null;
  const places = rounds.metBy(number);
  const below = rounds.window(places);
  const into = placesOf(below, places);
  const upTo = (last: number) => rounds.above(below, last);
  const loops = rounds.loopsOf(number);
  const name = stitchWord(rounds.kindOf(number), terms);
  return {
    kind: 'tall',
    title: t`A taller stitch: ${name}`,
    steps: [
      {
        words: t`Yarn over ${how.over} before the hook goes in. Then draw up a loop.`,
        below,
        above: upTo(number - 1),
        into,
        loops,
      },
      { words: how.off, below, above: upTo(number), into: [], loops },
    ],
  };
}

/**
 * How what a round asks for is done, on its own stitches, by their numbers, in their yarns. What is in it first is told first; a plain
 * round has nothing to tell.
 *
 * @param round by index, from 1
 * @param terms whose names of stitches are used
 */
export function techniquesOf(fabric: Fabric, round: number, terms: Terms): Technique[] {
  if (round < 1 || round > fabric.rounds || roundCount(fabric, round) === 0) return [];
  const rounds = new TwoRounds(fabric, round);
  if (fabric.base[round - 1] === 0)
    return round === 1 && fabric.start === 'ring'
      ? [ringTechnique(rounds, stitchWord(rounds.kindOf(1), terms))]
      : [];
  return [
    increaseTechnique(rounds),
    decreaseTechnique(rounds),
    oneLoopTechnique(rounds),
    tallTechnique(rounds, terms),
    colourTechnique(fabric, rounds),
  ].filter((technique) => technique !== null);
}

/** So many stitches of an end or a seam are enough to show how it goes on. */
const shown = 6;

/** How the thread goes through the loops, in words. */
const threadWay: Readonly<Record<ClosingSchool, string>> = {
  'outside-in': t`The needle goes down under the front loop of each of the stitches in turn, towards the middle.`,
  'inside-out': t`The needle comes up from the middle under the front loop of each of the stitches in turn.`,
  star: t`Then the next one and the one across from it, all the way round.`,
};

/**
 * How the end of a part is drawn together.
 *
 * @param school which way the thread goes; from the middle outwards where nothing says
 * @param slips a slip stitch into the next stitch comes first
 */
export function gatherTechnique(
  fabric: Fabric,
  school: ClosingSchool | null = null,
  slips = false,
): Technique {
  const rounds = new TwoRounds(fabric, fabric.rounds);
  const { count } = rounds;
  const below = Array.from({ length: Math.min(shown, count) }, (_, i) => ({
    number: i + 1,
    yarn: rounds.yarnOf(i + 1),
    on: [],
  }));
  const step = { below, above: [], loops: 'front' as const };
  const [first = 1, across = 1] = gatherOrder(count, school, slips);
  const all = below.map((_, i) => i);
  const isKnown = across <= below.length;
  const threaded: TechniqueStep[] =
    school === 'star'
      ? [
          {
            ...step,
            words: t`The needle goes under the front loop of stitch ${first}, then across the hole under that of stitch ${across}.`,
            into: isKnown ? [first - 1, across - 1] : [first - 1],
          },
          { ...step, words: threadWay.star, into: all },
        ]
      : [{ ...step, words: threadWay[school ?? 'inside-out'], into: all }];
  return {
    kind: 'gather',
    title: t`Drawing the end together`,
    steps: [
      ...(slips
        ? [
            {
              ...step,
              words: t`Slip stitch into the next stitch: the step of the spiral evens out. Cut the yarn.`,
              loops: 'both' as const,
              into: [0],
            },
          ]
        : []),
      ...threaded,
      {
        ...step,
        words: t`Draw the thread: the front loops close like the mouth of a bag. Go round once more and draw again.`,
        into: [],
      },
      {
        ...step,
        words: t`Down through the middle, out at the side, a knot close to the fabric, then back in and out a few centimetres on: the knot slips inside. Cut the end there.`,
        into: [],
      },
    ],
  };
}

/**
 * How a part is sewn on: thread from edge to wall and back, by the stitches of its own path; null where it has none.
 *
 * @param way the maker’s way of sewing, in words
 */
export function seamTechnique(
  { path, unit }: Join,
  { piece, wall, way }: { piece: Fabric; wall: Fabric; way: string },
): Technique | null {
  const some = (path ?? []).slice(0, shown);
  const [first, second] = some;
  if (!first || !second) return null;
  const yarnAt = (fabric: Fabric, round: number, stitch: number): string =>
    fabric.palette[fabric.colour[(fabric.offset[round - 1] ?? 0) + Math.floor(stitch) - 1] ?? 0] ?? '';
  const below = some.map(({ row, stitch }) => ({
    number: stitch,
    yarn: yarnAt(wall, row, stitch),
    on: [],
  }));
  const above = some.map(({ edge }, i) => ({
    number: edge,
    yarn: yarnAt(piece, piece.rounds, edge),
    on: [i],
  }));
  const step = { below, above, loops: 'both' as const };
  return {
    kind: 'seam',
    title: t`Sewing on the ${unit.name}`,
    steps: [
      {
        ...step,
        words: t`Edge stitch ${first.edge} meets stitch ${first.stitch} of round ${first.round}.`,
        into: [0],
      },
      {
        ...step,
        words: t`Then edge stitch ${second.edge} and stitch ${second.stitch} of round ${second.round}. ${way}`,
        into: [0, 1],
      },
      {
        ...step,
        words: t`All the way round, then the first two stitches once more. Tug the part hard before you bury the end.`,
        into: some.map((_, i) => i),
      },
    ],
  };
}
