import { createStore, type StoreApi } from 'zustand/vanilla';
import { Making, type Progress, type Run, type RunEvent, type TasksOf } from '../core/make/run';
import type { Task } from '../core/make/tasks';
import { MovedOnError, runs, type KeptRun } from './runs';

/** An event without its time. */
export type Happening = RunEvent extends infer Event
  ? Event extends RunEvent
    ? Omit<Event, 'at'>
    : never
  : never;

export interface MakingState {
  progress: Progress;
  tasks: readonly Task[];
  /** why the last taps are not kept yet, in a maker's words; null where all is kept */
  trouble: 'storage' | 'elsewhere' | null;
}

export interface MakingRun {
  run: Run;
  state: StoreApi<MakingState>;
  happen: (what: Happening) => void;
  /** tries again to keep what could not be kept */
  retry: () => Promise<void>;
  /** waits until all is kept, or can't be */
  settled: () => Promise<void>;
}

/** A run that is being made: every happening shows at once, and is kept in its turn. */
export function createMakingRun(
  { run, events }: KeptRun,
  tasksOf: TasksOf,
  now = () => Date.now(),
): MakingRun {
  const making = new Making(run, tasksOf);
  for (const event of events) making.apply(event);
  let kept = events.length;
  const waiting: RunEvent[] = [];
  let writing: Promise<void> | null = null;
  // A tap has no time to find the tasks again: they change with the text only.
  let known = { text: run.text, tasks: tasksOf(run.text) };
  const shown = (): Pick<MakingState, 'progress' | 'tasks'> => {
    const progress = making.progress();
    if (progress.text !== known.text) known = { text: progress.text, tasks: tasksOf(progress.text) };
    return { progress, tasks: known.tasks };
  };
  const state = createStore<MakingState>()(() => ({ ...shown(), trouble: null }));

  async function write(): Promise<void> {
    while (waiting.length > 0) {
      const [event] = waiting;
      if (!event) break;
      try {
        await runs.add(run.id, kept, event);
      } catch (reason) {
        state.setState({ trouble: reason instanceof MovedOnError ? 'elsewhere' : 'storage' });
        return;
      }
      kept += 1;
      waiting.shift();
    }
    if (state.getState().trouble) state.setState({ trouble: null });
  }
  const keep = () => {
    writing ??= write().finally(() => {
      writing = null;
    });
    return writing;
  };
  return {
    run,
    state,
    happen: (what) => {
      // What another tab has gone on with is not mixed with what is tapped here.
      if (state.getState().trouble === 'elsewhere') return;
      const event = { ...what, at: now() } as RunEvent;
      making.apply(event);
      waiting.push(event);
      state.setState(shown());
      void keep();
    },
    retry: keep,
    settled: async () => {
      while (writing) await writing;
    },
  };
}
