import { t } from '../words/language';
/** One reading of an instrument, as it shows it. */
export interface Reading {
  /** milliseconds from any beginning, the same for all of one try */
  at: number;
  /** null beyond its range */
  value: number | null;
  unit: string;
  isOver: boolean;
}

/** What is wrong with an instrument, as its readings show. */
export type Fault = 'over' | 'stuck' | 'unsteady' | 'unknown-unit';

/** What readings come to: forces in newton, masses in gram. */
export interface Measured {
  /** what it shows now, its wavering evened out; null before anything came, or where that can't be read */
  now: number | null;
  /** the most that was on it */
  peak: number;
  /** the longest time without a break at the force that is wanted, in seconds */
  heldSeconds: number;
  fault: Fault | null;
  /** the unit the instrument shows, where it is not the one that is counted in */
  shownIn: string | null;
}

/** Newton in one of each unit of force. */
const newtonIn: Readonly<Record<string, number>> = {
  N: 1,
  kgf: 9.80665,
  kg: 9.80665,
  lbf: 4.4482216,
  lb: 4.4482216,
};
/** Grams in one of each unit of mass. */
const gramsIn: Readonly<Record<string, number>> = { g: 1, kg: 1000, oz: 28.349523, lb: 453.59237 };

/** So many readings are evened out: the middle one counts, so that one that jumps does not. */
const evened = 5;
/** An instrument under load never shows the very same so often in turn. */
const stuckAfter = 20;
/** Under so much it may well lie still. */
const leastLoad = 1;
/** Jumps of more than this share of the load, on average, are no pull. */
const unsteadyShare = 0.06;
/** Looked at over so many readings, and from so much on: a light pull wavers by its nature. */
const latest = 12;
const leastShaken = 5;

const middleOf = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;

interface Counted {
  at: number;
  value: number | null;
}

/** Readings up to the first of a run of equal ones: what a stuck instrument shows is no measure. */
function beforeStuck(counted: readonly Counted[]): { sound: readonly Counted[]; isStuck: boolean } {
  let run = 1;
  for (let i = 1; i < counted.length; i += 1) {
    const [value, before] = [counted[i]?.value ?? null, counted[i - 1]?.value ?? null];
    const isSame = value !== null && value === before && value >= leastLoad;
    run = isSame ? run + 1 : 1;
    if (run >= stuckAfter) return { sound: counted.slice(0, i + 2 - run), isStuck: true };
  }
  return { sound: counted, isStuck: false };
}

/** The middle of each reading and its neighbours before it; readings out of range part what is evened. */
function evenedOut(counted: readonly Counted[]): Counted[] {
  return counted.map(({ at, value }, i) => {
    if (value === null) return { at, value };
    const around = counted.slice(Math.max(0, i + 1 - evened), i + 1).flatMap((one) => one.value ?? []);
    return { at, value: middleOf(around) };
  });
}

function longestAt(even: readonly Counted[], wanted: number): number {
  let [longest, since] = [0, -1];
  for (const { at, value } of even) {
    if (value === null || value < wanted) {
      since = -1;
      continue;
    }
    if (since < 0) since = at;
    longest = Math.max(longest, at - since);
  }
  return longest / 1000;
}

/** How much the latest readings under load jump, as a share of it; a load that comes on evenly does not. */
function unsteadiness(counted: readonly Counted[]): number {
  const recent = counted.slice(-latest).flatMap(({ value }) => value ?? []);
  const load = middleOf(recent);
  if (recent.length < latest || load < leastShaken) return 0;
  const jumps = recent
    .slice(2)
    .map((value, i) => Math.abs(value - 2 * (recent[i + 1] ?? 0) + (recent[i] ?? 0)) / 2);
  return jumps.reduce((sum, one) => sum + one, 0) / jumps.length / load;
}

/**
 * What a try came to by the readings of an instrument, in order. Nothing is guessed: beyond its range, stuck, or in a unit that is not
 * known, it measures nothing and that is said.
 *
 * @param wanted the force that is to be held, in newton
 */
export function measured(kind: 'force' | 'mass', readings: readonly Reading[], wanted: number): Measured {
  const units = kind === 'force' ? newtonIn : gramsIn;
  const own = kind === 'force' ? 'N' : 'g';
  const known = readings.filter(({ unit }) => Object.hasOwn(units, unit));
  const counted = known.map(({ at, value, unit, isOver }): Counted => ({
    at,
    value: value === null || isOver || !Number.isFinite(value) ? null : value * (units[unit] ?? 1),
  }));
  const { sound, isStuck } = beforeStuck(counted);
  const even = evenedOut(sound);
  const last = readings.at(-1);
  const isOther = last !== undefined && last.unit !== own;
  const isUnknown = last !== undefined && !Object.hasOwn(units, last.unit);
  const isUnsteady = kind === 'force' && unsteadiness(sound) > unsteadyShare;
  const fault = isUnknown
    ? 'unknown-unit'
    : last?.isOver
      ? 'over'
      : isStuck
        ? 'stuck'
        : isUnsteady
          ? 'unsteady'
          : null;
  return {
    now: fault === null || fault === 'unsteady' ? (even.at(-1)?.value ?? null) : null,
    peak: Math.max(0, ...even.map(({ value }) => value ?? 0)),
    heldSeconds: longestAt(even, wanted),
    fault,
    shownIn: isOther && !isUnknown ? last.unit : null,
  };
}

const faultWords: Readonly<Record<Fault, string>> = {
  over: t`it is beyond what the instrument can show. Pull less, or take one with a wider range: this counts for nothing.`,
  stuck: t`it has shown the very same for two seconds: it is stuck. Switch it off and on, then pull again.`,
  unsteady: t`it jumps too much to be read. Pull evenly, hold still, and look again.`,
  'unknown-unit': t`it shows a unit Hoppla does not know. Set it to newton, kilogram or pound, or type what you read.`,
};
export const wordsOfFault = (fault: Fault): string => faultWords[fault];
