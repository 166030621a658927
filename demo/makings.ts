import type { RunEvent } from '../src/core/make/run';
import { Making } from '../src/core/make/run';
import type { Task } from '../src/core/make/tasks';
import { analyseToy } from '../src/core/toy/analyse';
import { plannedForHands } from '../src/core/toy/planToy';
import { tasksOf } from '../src/core/toy/tasksOf';
import { usualHands } from '../src/core/plan/hands';

/** A making as it ships with a demo toy: times in milliseconds from its beginning. */
export interface DemoMaking {
  copies: number;
  events: RunEvent[];
}

/** How far it is. */
interface Reached {
  copies: number;
  /** which toy is in hand, from 0 */
  copy: number;
  /** the task she is at */
  isAt: (task: Task) => boolean;
  /** taps done in it, a stitch each */
  moves: number;
  /** written down at the first stop */
  note: string;
}

const stitchMs = 60_000 / 18;
const actMs = 90_000;

/**
 * The taps that lead to a place in the making of a toy: a round each, every act of a stop ticked.
 *
 * @throws Error where the toy has no such place
 */
export function madeUpTo(text: string, { copies, copy, isAt, moves, note }: Reached): DemoMaking {
  const tasks = tasksOf(plannedForHands(analyseToy(text, { searches: false }), usualHands));
  if (!tasks.some(isAt)) throw new Error('The demo toy has no such task.');
  const run = { id: '', toy: '', name: '', text, copies, started: new Date(0).toISOString() };
  const making = new Making(run, () => tasks);
  const events: RunEvent[] = [];
  let now = 0;
  const happen = (event: RunEvent) => {
    events.push(event);
    making.apply(event);
  };
  const place = () => making.progress().place;
  const isThere = () => place().copy === copy && isAt(tasks[place().task]!);
  while (!isThere() && !making.progress().finished) {
    const task = tasks[place().task]!;
    if (task.kind === 'stop') {
      if (!events.some(({ kind }) => kind === 'note')) happen({ kind: 'note', text: note, at: now });
      for (const act of task.acts.keys()) happen({ kind: 'tick', act, done: true, at: (now += actMs) });
    }
    now += task.kind === 'round' ? task.moves.stitches * stitchMs : stitchMs;
    happen({ kind: 'on', by: 'round', at: Math.round(now) });
  }
  for (let move = 0; move < moves; move += 1)
    happen({ kind: 'on', by: 'stitch', at: Math.round((now += stitchMs)) });
  return { copies, events };
}

const isRoundOf = (name: string, label: number) => (task: Task) =>
  task.kind === 'round' && task.unit.name === name && task.label === label;

/** The makings of the demo toys, by the names of their files. */
export const demoMakings: Readonly<Record<string, Reached>> = {
  otter: {
    copies: 1,
    copy: 0,
    isAt: isRoundOf('Body', 9),
    moves: 14,
    note: 'Eyes looked at from both sides before pressing: level. Fibre from the old cushion, washed twice.',
  },
  owl: {
    copies: 6,
    copy: 2,
    isAt: isRoundOf('Body', 17),
    moves: 0,
    note: 'For the library’s summer fair. Grey is nearly gone: the last two in oat.',
  },
};
