import type { Doing, Step } from './order';

/** How fast a maker works: stitches a minute, and minutes for what is done at stops. */
export interface Pace {
  stitchesPerMinute: number;
  /** minutes for one act of each kind */
  acts: Readonly<Record<Exclude<Doing, 'work' | 'sew'>, number>>;
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

/** Usual figures with a maker's own stitches a minute, sewing as much quicker or slower; usual ones where hers are not known. */
export function paceWith(stitchesPerMinute: number | null): Pace {
  if (stitchesPerMinute === null) return usualPace;
  const share = stitchesPerMinute / usualPace.stitchesPerMinute;
  return { ...usualPace, stitchesPerMinute, sewnPerMinute: usualPace.sewnPerMinute * share };
}

/** Stitches a minute that a maker may work: slower is a pause, and faster is looking through. */
export const paceLimits = [1, 60] as const;

/** A maker's stitches a minute as they are kept; null where none are, or where what is kept is none. */
export function readPace(kept: string | null): number | null {
  const pace = Number(kept ?? Number.NaN);
  return pace >= paceLimits[0] && pace <= paceLimits[1] ? pace : null;
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
