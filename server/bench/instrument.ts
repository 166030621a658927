import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** What can go wrong with an instrument, on purpose. */
export const faults = ['none', 'dropped', 'wrong-unit', 'noise', 'overload', 'stuck'] as const;
export type Fault = (typeof faults)[number];

/** An instrument on the bench. */
export interface Instrument {
  id: 'gauge' | 'scale';
  name: string;
  /** what it measures */
  kind: 'force' | 'mass';
  unit: 'N' | 'g';
  /** the unit it shows when it is set wrongly, and how much of that is one of its own */
  otherUnit: { unit: 'lbf' | 'oz'; share: number };
  /** beyond this it shows nothing */
  most: number;
  /** it wavers by so much either way */
  wavers: number;
}

export const instruments: readonly Instrument[] = [
  {
    id: 'gauge',
    name: 'Simulated force gauge',
    kind: 'force',
    unit: 'N',
    otherUnit: { unit: 'lbf', share: 1 / 4.4482216 },
    most: 250,
    wavers: 0.3,
  },
  {
    id: 'scale',
    name: 'Simulated kitchen scale',
    kind: 'mass',
    unit: 'g',
    otherUnit: { unit: 'oz', share: 1 / 28.349523 },
    most: 5_000,
    wavers: 0.1,
  },
];

/** What a simulated instrument shows from its first reading on. */
export interface Course {
  seed: number;
  /** what is pulled or laid on, in the instrument's own unit */
  load: number;
  /** for how long it stays on, in seconds */
  holdSeconds: number;
  /** it is let go and comes on again, over and over */
  repeats: boolean;
  fault: Fault;
}

/** One reading. A value beyond the range is none. */
export interface BenchReading {
  /** which one of its course, from 0 */
  index: number;
  /** milliseconds from the first */
  at: number;
  value: number | null;
  unit: string;
  isOver: boolean;
}

export const readingsPerSecond = 10;
/** Nothing is on it for so long; then the load comes on evenly. */
const restSeconds = 1;
const rampSeconds = 5;
/** A fault shows from this reading on: by then something is on it. */
const faultFrom = 40;
/** A dropped line is cut after every so many readings. */
export const droppedAfter = 25;
/** A shaking hand: a quarter of the load either way. */
const shaking = 0.25;

/** What is on the instrument at a time of the course, without its wavering. */
function loadAt({ load, holdSeconds, repeats }: Course, since: number): number {
  const seconds = repeats ? since % (2 * restSeconds + rampSeconds + holdSeconds) : since;
  if (seconds < restSeconds) return 0;
  if (seconds < restSeconds + rampSeconds) return (load * (seconds - restSeconds)) / rampSeconds;
  return seconds < restSeconds + rampSeconds + holdSeconds ? load : 0;
}

/** The first numbers of neighbouring seeds are alike: so many are passed over. */
const passedOver = 8;

/** A number from -1 to 1 that is the same for the same seed and reading. */
function wavering(seed: number, index: number): number {
  const generator = xoroshiro128plus((seed ^ Math.imul(index + 1, 0x9e3779b1)) >>> 0);
  for (let i = 0; i < passedOver; i += 1) generator.next();
  return 2 * uniformFloat64(generator) - 1;
}

const hundredth = (value: number) => Math.round(value * 100) / 100;

/** The reading of a course by its number: the same seed gives the same readings. */
export function readingAt(instrument: Instrument, course: Course, index: number): BenchReading {
  const { unit, otherUnit, most, wavers } = instrument;
  const isFaulty = index >= faultFrom;
  const isStuck = course.fault === 'stuck' && isFaulty;
  const seconds = (isStuck ? faultFrom : index) / readingsPerSecond;
  const base = loadAt(course, seconds);
  const shake = course.fault === 'noise' ? shaking * base : wavers;
  const value = Math.max(0, base + shake * wavering(course.seed, isStuck ? faultFrom : index));
  const range = course.fault === 'overload' ? Math.min(most, 0.6 * course.load) : most;
  const isOver = value > range;
  const isOther = course.fault === 'wrong-unit' && isFaulty;
  return {
    index,
    at: Math.round((index * 1000) / readingsPerSecond),
    value: isOver ? null : hundredth(isOther ? value * otherUnit.share : value),
    unit: isOther ? otherUnit.unit : unit,
    isOver,
  };
}
