import { minutesOf, usualPace, type Pace } from '../plan/time';
import type { Doing, Step } from '../plan/order';
import { openingAfter } from '../plan/reach';
import type { PartAnalysis, ToyAnalysis } from './analysis';
import { unitName } from './orderWords';
import { actTitle, bulksOf } from './sheet/stopWords';

/** When an act can be done, along the rounds of its part. Rounds by index, from 1. */
export interface ActBar {
  title: string;
  earliest: number;
  /** the last round after which it is easy */
  easy: number;
  latest: number;
  /** the stop it is done at */
  at: number;
}

/** The windows of a part along its rounds, over the opening that makes them. */
export interface PartTimeline {
  /** the number of each round in the text */
  labels: readonly number[];
  /** how wide the live edge is after each round, as a diameter in mm */
  openings: readonly number[];
  bars: readonly ActBar[];
  /** rounds after which there is a stop */
  stops: readonly number[];
}

/** Lays the windows of a part out along its rounds. */
export function partTimeline({ fabric, form, profile, stops: plan }: PartAnalysis): PartTimeline {
  const labels = [...fabric.label];
  const passage = { fabric, gauge: form.gauge, profile };
  const bulks = bulksOf(plan);
  const bars = plan.stops.flatMap(({ row, acts }) =>
    acts.map((act): ActBar => ({ title: actTitle(act, bulks), ...act.window, at: row })),
  );
  return {
    labels,
    openings: labels.map((_label, i) => openingAfter(passage, i + 1)),
    bars,
    stops: plan.stops.map(({ row }) => row),
  };
}

/** One stretch of time on a unit, in minutes from the beginning. */
export interface LaneBar {
  kind: 'work' | 'stop' | 'sew';
  from: number;
  to: number;
}

/** One unit with what is done on it. */
export interface Lane {
  name: string;
  bars: LaneBar[];
}

/** What one unit waits for of another: that one is there at `from`, and is used at `to`, in minutes. */
export interface Thread {
  lane: number;
  onto: number;
  from: number;
  to: number;
}

/** The work on all units in the order it is done. */
export interface ToyTimeline {
  lanes: readonly Lane[];
  threads: readonly Thread[];
  minutes: number;
}

const kindOf = (doing: Doing): LaneBar['kind'] =>
  doing === 'work' ? 'work' : doing === 'sew' || doing === 'place' || doing === 'attach' ? 'sew' : 'stop';

interface Timed {
  step: Step;
  from: number;
  to: number;
}

function timed(steps: readonly Step[], pace: Pace): Timed[] {
  let now = 0;
  return steps.map((step) => {
    const from = now;
    now += minutesOf(step, pace);
    return { step, from, to: now };
  });
}

/** When a unit is used by what it is joined to: as it is worked in or pulled through, else as it is sewn on. */
function usedAt(all: readonly Timed[], join: ToyAnalysis['joined']['joins'][number]): number | null {
  const { unit, on } = join;
  const worksIn = ({ step }: Timed) =>
    (step.do === 'work-in' || step.do === 'pull-through') &&
    step.part === on.part &&
    step.unit === on.unit &&
    step.about?.includes(unit.name) === true;
  const sews = ({ step }: Timed) => step.do === 'sew' && step.part === unit.part && step.unit === unit.unit;
  return (all.find(worksIn) ?? all.find(sews))?.from ?? null;
}

/**
 * Lays the whole of a toy's making out in time, a lane for each unit.
 *
 * @param pace how fast the maker works
 */
export function toyTimeline(toy: ToyAnalysis, pace: Pace = toy.pace ?? usualPace): ToyTimeline {
  const all = timed(toy.order.steps, pace);
  const keys: string[] = [];
  const lanes: Lane[] = [];
  const laneOf = (part: string, unit: number): number => {
    const key = `${part}#${unit}`;
    if (!keys.includes(key)) {
      keys.push(key);
      lanes.push({ name: unitName(toy, part, unit), bars: [] });
    }
    return keys.indexOf(key);
  };
  for (const { step, from, to } of all) {
    if (step.do === 'check') continue;
    lanes[laneOf(step.part, step.unit)]?.bars.push({ kind: kindOf(step.do), from, to });
  }
  const lastWorked = (lane: number): number =>
    Math.max(0, ...(lanes[lane]?.bars ?? []).flatMap(({ kind, to }) => (kind === 'sew' ? [] : [to])));
  const threads = toy.joined.joins.flatMap((join): Thread[] => {
    const to = usedAt(all, join);
    if (to === null) return [];
    const lane = laneOf(join.unit.part, join.unit.unit);
    return [{ lane, onto: laneOf(join.on.part, join.on.unit), from: Math.min(to, lastWorked(lane)), to }];
  });
  return { lanes, threads, minutes: all.at(-1)?.to ?? 0 };
}
