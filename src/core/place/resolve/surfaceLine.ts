import { roundCount, type Fabric } from '../../fabric/fabric';
import type { Problem } from '../../notation/problem';
import type { Along, SurfaceSentence } from '../../notation/sentence/surface';
import { turn, wrapAngle } from '../../shape/azimuth';
import { direction } from '../frame/direction';
import { footHoleAzimuths } from '../frame/holes';
import { wallRounds } from '../frame/landmarks';
import type { PartForm } from '../frame/partForm';
import { saying } from '../../words/problems/problems';
import type { ToyFacts } from '../../words/problems/toy';
import { roundNumbered } from '../../fabric/rounds';

/** A hole of a surface line. */
export interface LineHole {
  /** line of holes by the index of the round below it, from 1 */
  line: number;
  /** foot hole, from 1, and how many there are */
  hole: number;
  of: number;
  azimuth: number;
  /** how far it lies beside the line that is followed, in stitches; positive in the direction of work */
  off: number;
  /** holes beside the one that stands straight over the hole before, positive in the direction of work; 0 where it goes straight on */
  shift: number;
}

/** What is worked along a line of the piece: a hole in each line of holes, in the order it is worked. */
export interface SurfaceLine {
  thing: string;
  /** which way it follows; of one that goes over an end where it begins */
  along: Along;
  /** where it ends, of one that goes over an end of the piece */
  until: Along | null;
  /** which end of the work that is */
  over: 'start' | 'end' | null;
  /** it goes all round one round instead, at every so-manieth stitch */
  around: SurfaceSentence['around'];
  holes: LineHole[];
  sentence: SurfaceSentence;
}

/** A knot takes about so much of a strand, in mm; our own figure. */
export const knotMm = 25;

/** How long a strand hangs that is cut so long, folded in half and knotted in; in mm. */
export const hangingMm = (strandMm: number): number => Math.max(0, (strandMm - knotMm) / 2);

/** What following the column of holes straight on is worth against lying nearer to the middle: our own figure. */
const smoothness = 0.25;

interface Candidate {
  hole: number;
  azimuth: number;
  off: number;
}

/** The holes of one line that come into question: the nearest to an azimuth and those beside it. */
function candidatesAt(form: PartForm, line: number, azimuth: number): Candidate[] {
  const { fabric, starts, lean } = form;
  const all = footHoleAzimuths(fabric, starts, lean, line);
  const perStitch = turn / Math.max(1, all.length);
  const found = all.map((at, i) => {
    const away = wrapAngle(at - azimuth);
    return { hole: i + 1, azimuth: azimuth + away, off: away / perStitch };
  });
  return found.sort((a, b) => Math.abs(a.off) - Math.abs(b.off)).slice(0, 3);
}

/**
 * One hole a line, together nearest to the azimuth and going on as straight as that allows: least sum of the squares of how far each lies
 * off, and of how far that changes from one to the next. Exact, by dynamic programming.
 *
 * @param lines candidates of each line, in order
 */
export function smoothest(lines: readonly (readonly Candidate[])[]): Candidate[] {
  let ways: { cost: number; way: Candidate[] }[] = [{ cost: 0, way: [] }];
  for (const candidates of lines) {
    ways = candidates.map((candidate) => {
      const reached = ways.map(({ cost, way }) => {
        const before = way.at(-1);
        const change = before ? candidate.off - before.off : 0;
        return { cost: cost + candidate.off ** 2 + smoothness * change ** 2, way };
      });
      const best = reached.reduce((least, one) => (one.cost < least.cost - 1e-12 ? one : least));
      return { cost: best.cost, way: [...best.way, candidate] };
    });
  }
  return ways.reduce((least, one) => (one.cost < least.cost - 1e-12 ? one : least)).way;
}

/**
 * How many holes a hole lies beside the one straight over (or under) the hole before, in the next line of holes. The stitch that stands in
 * the lower hole leads straight up: to the hole that is worked into it. Both stitches of an increase share one.
 */
function shiftBetween({ offset, parentFirst, parentCount }: Fabric, from: LineHole, to: LineHole): number {
  const [low, high] = from.line < to.line ? [from, to] : [to, from];
  const stitch = (offset[high.line] ?? 0) + high.hole - 1;
  const parent = (parentFirst[stitch] ?? 0) - (offset[low.line] ?? 0) + 1;
  const away = (wanted: number) =>
    ((((wanted - low.hole + low.of / 2) % low.of) + low.of) % low.of) - low.of / 2;
  const parents = Array.from({ length: parentCount[stitch] ?? 1 }, (_, k) => away(parent + k));
  const least = parents.reduce((best, one) => (Math.abs(one) < Math.abs(best) ? one : best), Infinity);
  if (least === 0) return 0;
  return from.line < to.line ? least : -least;
}

const oppositeOf: Readonly<Record<Along, number>> = {
  front: 0,
  back: Math.PI,
  left: -Math.PI / 2,
  right: Math.PI / 2,
};

/** The azimuth of the line that is followed: sides as one looks at the toy. */
function azimuthOf(form: PartForm, front: number, along: Along): number {
  const dir = direction(form.orientation);
  return front + dir * oppositeOf[along];
}

/** Index of a round of the wall by its number, from 1; 0 where the wall has none. A frill worked into its loops is none of it. */
function wallRound({ fabric }: PartForm, number: number): number {
  const round = roundNumbered(fabric, number);
  return wallRounds(fabric).includes(round) ? round : 0;
}

/** The lines of holes of the wall between two of its rounds, in the order they are gone through. */
function linesBetween({ fabric }: PartForm, first: number, last: number): number[] {
  const [low, high] = [Math.min(first, last), Math.max(first, last)];
  const lines = wallRounds(fabric)
    .filter((round) => round > low && round <= high)
    .map((round) => round - 1);
  return first < last ? lines : lines.reverse();
}

/** Which end of the work a line goes over, if any: the top of a piece that begins at the bottom is where it ends. */
function endOver({ orientation }: PartForm, over: SurfaceSentence['over']): SurfaceLine['over'] {
  if (over === null || over === 'start') return over;
  return (over === 'top') === (orientation.start === 'top') ? 'start' : 'end';
}

function holesAlong(form: PartForm, steps: readonly { line: number; azimuth: number }[]): LineHole[] {
  const chosen = smoothest(steps.map(({ line, azimuth }) => candidatesAt(form, line, azimuth)));
  const holes: LineHole[] = [];
  for (const [i, { hole, azimuth, off }] of chosen.entries()) {
    const { line } = steps[i]!;
    const before = holes.at(-1);
    const goesOn = before && Math.abs(before.line - line) === 1;
    const here = { line, hole, of: roundCount(form.fabric, line + 1), azimuth, off, shift: 0 };
    holes.push({ ...here, shift: goesOn ? shiftBetween(form.fabric, before, here) : 0 });
  }
  return holes;
}

/** What is asked where a line can't be found. */
function asked({ part }: PartForm, { line, span }: SurfaceSentence, facts: ToyFacts['line-where']): Problem {
  return {
    ...saying('line-where', facts),
    severity: 'warning',
    part: part.name,
    partId: part.id,
    line,
    column: span.from + 1,
    suggestions: [],
  };
}

/** Every so-manieth stitch of one round, by the hole it stands in: from the first of the round on. */
function allRound(form: PartForm, sentence: SurfaceSentence): SurfaceLine[] | Problem {
  const { thing, around } = sentence;
  const { fabric, starts, lean, part } = form;
  const row = around ? wallRound(form, around.round) : 0;
  // The first round stands in no line of holes.
  if (!around || row < 2)
    return asked(form, sentence, {
      thing,
      open: 'no-rounds',
      part: part.name,
      rounds: around ? [around.round] : [],
    });
  const line = row - 1;
  const azimuths = footHoleAzimuths(fabric, starts, lean, line);
  const of = roundCount(fabric, row);
  const holes = Array.from({ length: Math.ceil(of / around.every) }, (_, i): LineHole => {
    const hole = 1 + i * around.every;
    return { line, hole, of, azimuth: azimuths[hole - 1] ?? 0, off: 0, shift: 0 };
  });
  return [{ thing, along: 'front', until: null, over: null, around, holes, sentence }];
}

/** The lines of one sentence, or what it leaves open. */
function linesOf(form: PartForm, front: number, sentence: SurfaceSentence): SurfaceLine[] | Problem {
  const { fabric, part } = form;
  const { thing, along, rounds, over, around } = sentence;
  const isFlat = fabric.row.some((row) => row === 1);
  if (around) return isFlat ? asked(form, sentence, { thing, open: 'lying' }) : allRound(form, sentence);
  if (isFlat || part.lying) return asked(form, sentence, { thing, open: 'lying' });
  if (along.length === 0) return asked(form, sentence, { thing, open: 'along' });
  if (!rounds) return asked(form, sentence, { thing, open: 'rounds' });
  const [from, to] = rounds.map((number) => wallRound(form, number)) as [number, number];
  const end = endOver(form, over);
  if (from === 0 || to === 0 || (end === null && from === to))
    return asked(form, sentence, { thing, open: 'no-rounds', part: part.name, rounds });
  const stepsOf = (lines: readonly number[], side: Along) =>
    lines.map((line) => ({ line, azimuth: azimuthOf(form, front, side) }));
  if (end === null)
    return along.map((side) => {
      const holes = holesAlong(form, stepsOf(linesBetween(form, from, to), side));
      return { thing, along: side, until: null, over: null, around: null, holes, sentence };
    });
  const [begins, ends] = along as [Along, Along];
  const turn = end === 'start' ? 1 : (wallRounds(fabric).at(-1) ?? 1);
  const steps = [
    ...stepsOf(linesBetween(form, from, turn), begins),
    ...stepsOf(linesBetween(form, turn, to), ends),
  ];
  return [
    { thing, along: begins, until: ends, over: end, around: null, holes: holesAlong(form, steps), sentence },
  ];
}

/**
 * What is worked along lines of a part: crests, manes, spines. A line follows the middle of a side; rounds lean, so its hole has another
 * number in every line of holes, and now and then it steps to the column beside.
 *
 * @param front azimuth of the front line
 */
export function surfaceLines(form: PartForm, front: number): { lines: SurfaceLine[]; problems: Problem[] } {
  const lines: SurfaceLine[] = [];
  const problems: Problem[] = [];
  for (const step of form.part.steps) {
    if (step.kind !== 'surface' || form.fabric.rounds < 2) continue;
    const found = linesOf(form, front, step);
    if (Array.isArray(found)) lines.push(...found);
    else problems.push(found);
  }
  return { lines, problems };
}
