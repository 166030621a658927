import { roundCount, type Fabric } from '../../fabric/fabric';
import type { Problem } from '../../notation/problem';
import type { Along, SurfaceSentence } from '../../notation/sentence/surface';
import { turn, wrapAngle } from '../../shape/azimuth';
import { direction } from '../frame/direction';
import { footHoleAzimuths } from '../frame/holes';
import type { PartForm } from '../frame/partForm';

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
  /** which way it follows; of one that goes over the start where it begins */
  along: Along;
  /** where it ends, of one that goes over the start */
  until: Along | null;
  holes: LineHole[];
  sentence: SurfaceSentence;
}

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

/** The lines of holes between two rounds by their numbers, as they are worked; null where the part has no such rounds. */
function linesBetween({ fabric }: PartForm, from: number, to: number): number[] | null {
  const indexOf = (number: number) => fabric.label.indexOf(number) + 1;
  const [first, last] = [indexOf(from), indexOf(to)];
  if (first === 0 || last === 0 || first === last) return null;
  const lines = Array.from({ length: Math.abs(last - first) }, (_, i) => Math.min(first, last) + i);
  return first < last ? lines : lines.reverse();
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
function asked({ part }: PartForm, { line, span, thing }: SurfaceSentence, message: string): Problem {
  return {
    code: 'line-where',
    severity: 'warning',
    part: part.name,
    partId: part.id,
    line,
    column: span.from + 1,
    facts: { thing },
    message,
    suggestions: [],
  };
}

/** The lines of one sentence, or what it leaves open. */
function linesOf(form: PartForm, front: number, sentence: SurfaceSentence): SurfaceLine[] | Problem {
  const { fabric, part } = form;
  const { thing, along, rounds, over } = sentence;
  const what = `The ${thing}`;
  if (fabric.row.some((row) => row === 1) || part.lying)
    return asked(
      form,
      sentence,
      `${what}: lines are followed on parts worked in rounds that stand upright; on this one count the holes on the piece.`,
    );
  if (along.length === 0 || !rounds)
    return asked(
      form,
      sentence,
      `${what}: ${along.length === 0 ? 'say along what, “along the back”, “along the front”, “along both sides”' : 'say from which round to which, “from R4 to R14”'}.`,
    );
  const [from, to] = rounds;
  if (over) {
    const [begins, ends] = along as [Along, Along];
    const [up, down] = [linesBetween(form, from, 1), linesBetween(form, 1, to)];
    if (!up || !down) return asked(form, sentence, `${what}: ${part.name} has no round ${up ? to : from}.`);
    const steps = [
      ...up.map((line) => ({ line, azimuth: azimuthOf(form, front, begins) })),
      ...down.map((line) => ({ line, azimuth: azimuthOf(form, front, ends) })),
    ];
    return [{ thing, along: begins, until: ends, holes: holesAlong(form, steps), sentence }];
  }
  const lines = linesBetween(form, from, to);
  if (!lines)
    return asked(form, sentence, `${what}: ${part.name} has no rounds ${from} and ${to} to run between.`);
  return along.map((side) => ({
    thing,
    along: side,
    until: null,
    holes: holesAlong(
      form,
      lines.map((line) => ({ line, azimuth: azimuthOf(form, front, side) })),
    ),
    sentence,
  }));
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
