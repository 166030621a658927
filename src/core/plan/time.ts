import Joi from 'joi';
import type { Doing, Step } from './order';

/** What is done at stops and on finished pieces, but for sewing, which goes by its stitches. */
export type TimedAct = Exclude<Doing, 'work' | 'sew'>;

/** How fast a maker works: stitches a minute, and minutes for what is done at stops. */
export interface Pace {
  stitchesPerMinute: number;
  /** minutes for one act of each kind */
  acts: Readonly<Record<TimedAct, number>>;
  /** stitches sewn a minute */
  sewnPerMinute: number;
}

/** Usual figures for someone who crochets in the evening, our own; the maker's own pace takes their place as soon as it is known. */
export const usualPace: Pace = {
  stitchesPerMinute: 16,
  acts: {
    'work-in': 1,
    'pull-through': 4,
    'key-ring': 4,
    'seat-eyes': 6,
    'seat-nose': 4,
    embroider: 8,
    core: 8,
    'put-in': 2,
    stuff: 5,
    'top-up': 3,
    close: 4,
    cut: 1,
    place: 8,
    attach: 8,
    sculpt: 12,
    check: 6,
  },
  sewnPerMinute: 3,
};

/** What is known of a maker's own pace: only what she has done often enough. */
export interface OwnPace {
  stitchesPerMinute: number | null;
  sewnPerMinute: number | null;
  /** minutes for one act of a kind */
  acts: Partial<Record<TimedAct, number>>;
}

/**
 * Usual figures with a maker's own in their place. Where her sewing is not known it is as much quicker or slower than usual as her
 * stitches are.
 */
export function paceWith(own: OwnPace | null): Pace {
  if (own === null) return usualPace;
  const stitchesPerMinute = own.stitchesPerMinute ?? usualPace.stitchesPerMinute;
  const share = stitchesPerMinute / usualPace.stitchesPerMinute;
  return {
    stitchesPerMinute,
    sewnPerMinute: own.sewnPerMinute ?? usualPace.sewnPerMinute * share,
    acts: { ...usualPace.acts, ...own.acts },
  };
}

/** Stitches a minute that a maker may work: slower is a pause, and faster is looking through. */
export const paceLimits = [1, 60] as const;
const sewnLimits = [0.3, 30] as const;
const actLimits = [0.1, 120] as const;

const within = ([least, most]: readonly [number, number]) => Joi.number().min(least).max(most);
const ownPaceSchema = Joi.object<OwnPace>({
  stitchesPerMinute: within(paceLimits).allow(null).required(),
  sewnPerMinute: within(sewnLimits).allow(null).required(),
  acts: Joi.object(
    Object.fromEntries(Object.keys(usualPace.acts).map((act) => [act, within(actLimits)])),
  ).required(),
});

/** A maker's pace as it is kept; a number alone, as it was kept before, is her stitches. Null where nothing is kept, or no pace. */
export function readPace(kept: string | null): OwnPace | null {
  if (kept === null || kept === '') return null;
  try {
    const said: unknown = JSON.parse(kept);
    const pace = typeof said === 'number' ? { stitchesPerMinute: said, sewnPerMinute: null, acts: {} } : said;
    const { error, value } = ownPaceSchema.validate(pace, { convert: false });
    return error ? null : (value as OwnPace);
  } catch {
    return null;
  }
}

/** Minutes a step takes. */
export function minutesOf(step: Step, pace: Pace = usualPace): number {
  if (step.do === 'work') return step.stitches / pace.stitchesPerMinute;
  if (step.do === 'sew') return 2 + step.stitches / pace.sewnPerMinute;
  return pace.acts[step.do];
}

/** Minutes of several steps together. */
export const minutesOfAll = (steps: readonly Step[], pace: Pace = usualPace): number =>
  steps.reduce((sum, step) => sum + minutesOf(step, pace), 0);
