import type { Step } from '../../plan/order';
import type { PartAnalysis, ToyAnalysis } from '../analysis';
import { unitName } from '../orderWords';
import { onSurface } from './surfaceYarn';
import { yarnOfPart } from './yarnOfPart';

/** What is left of a ball once a unit is made. */
export interface BallStep {
  /** as it is called: `left arm`, `ear 2` */
  unit: string;
  leftM: number;
}

/** How far a ball goes. */
export interface BallLasts {
  /** after each unit that takes of it, in the order of making, as far as it goes */
  steps: BallStep[];
  /** where it ends: the round that can't be finished, by the text's number; null for the tail of the unit; no such place where it lasts */
  ends: { unit: string; round: number | null } | null;
  leftM: number;
}

/** So many rounds of a unit, in the order they are worked. */
type Worked = Pick<Step, 'part' | 'unit' | 'indexes'>;

/** All that is worked, in the order of the plan; what waits for itself there, and has no place in it, at the end. */
function workedInOrder({ order, parts }: ToyAnalysis): Worked[] {
  const planned = order.steps.filter((step) => step.do === 'work');
  const isPlanned = (part: string, unit: number) =>
    planned.some((step) => step.part === part && step.unit === unit);
  const others = parts.flatMap(({ source: { id, make }, fabric: { rounds } }) =>
    Array.from({ length: make }, (_, i): Worked => ({ part: id, unit: i + 1, indexes: [1, rounds] })),
  );
  return [...planned, ...others.filter(({ part, unit }) => !isPlanned(part, unit))];
}

/** One yarn in a unit of a part, in mm. */
export interface UnitYarn {
  /** by round, as of a part's yarns; more than one colour of its palette may be that yarn */
  byRound: Float64Array;
  /** what is worked onto it once its rounds are done */
  ontoMm: number;
}

/** What a step of the plan takes of a yarn, round by round; the tails with the first and the last of them, then what comes onto it. */
function* takenBy(
  { indexes }: Worked,
  { fabric }: PartAnalysis,
  { byRound, ontoMm }: UnitYarn,
): Generator<[round: number | null, mm: number]> {
  const [from, to] = indexes ?? [1, 0];
  if (from === 1) yield [fabric.label[0] ?? 1, byRound[0] ?? 0];
  for (let round = from; round <= to; round += 1)
    yield [fabric.label[round - 1] ?? round, byRound[round] ?? 0];
  if (to === fabric.rounds) yield [null, (byRound[to + 1] ?? 0) + ontoMm];
}

/** One yarn in a unit of a part, by its name. */
export function unitYarn(name: string, part: PartAnalysis, toy: ToyAnalysis): UnitYarn {
  const byRound = new Float64Array(part.fabric.rounds + 2);
  for (const yarn of yarnOfPart(part, toy))
    if (yarn.name === name)
      yarn.byRound.forEach((mm, round) => (byRound[round] = (byRound[round] ?? 0) + mm));
  const onto = onSurface(part, toy).counted.filter(({ yarn }) => yarn.name === name);
  return { byRound, ontoMm: onto.reduce((sum, { mm }) => sum + mm, 0) };
}

/**
 * How far a ball goes, worked in the order of the plan.
 *
 * @param name of the yarn, as among what the toy takes
 * @param metres of it that are there
 */
export function ballLasts(toy: ToyAnalysis, name: string, metres: number): BallLasts {
  const left = { mm: metres * 1000 };
  const steps: BallStep[] = [];
  for (const step of workedInOrder(toy)) {
    const part = toy.parts.find(({ source }) => source.id === step.part);
    if (!part) continue;
    const unit = unitName(toy, step.part, step.unit);
    const yarn = unitYarn(name, part, toy);
    for (const [round, mm] of takenBy(step, part, yarn)) {
      left.mm -= mm;
      if (left.mm < 0) return { steps, ends: { unit, round }, leftM: 0 };
    }
    // A unit that waits for others meanwhile is told of once, when it is done.
    const isDone = step.indexes?.[1] === part.fabric.rounds;
    if (isDone && (yarn.ontoMm > 0 || yarn.byRound.some((mm) => mm > 0)))
      steps.push({ unit, leftM: left.mm / 1000 });
  }
  return { steps, ends: null, leftM: left.mm / 1000 };
}
