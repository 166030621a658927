import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo } from 'react';
import { analyseToy } from '../core/toy/analyse';
import { usualHands, type Hands } from '../core/plan/hands';
import { plannedForHands } from '../core/toy/planToy';
import { tasksOf } from '../core/toy/tasksOf';
import { foldRun, type Run } from '../core/make/run';
import { taskWords } from '../core/make/tasks';
import { createMakingRun, type MakingRun } from './makingRun';
import { runs } from './runs';
import { newId } from './shelf';

const runsKey = (toy: string) => ['runs', toy] as const;
const runKey = (id: string) => ['run', id] as const;

/** The tasks of a text for somebody's hands. What mends its slips is of no use while it is made. */
export const tasksOfText = (text: string, hands: Hands = usualHands) =>
  tasksOf(plannedForHands(analyseToy(text, { searches: false }), hands));

/** The runs of a toy, and how one is begun or taken away. */
export function useRuns(toy: string) {
  const client = useQueryClient();
  const { data, error, refetch } = useQuery({
    queryKey: runsKey(toy),
    queryFn: () => runs.of(toy),
    retry: false,
  });
  const changed = () => client.invalidateQueries({ queryKey: runsKey(toy) });
  const begin = useMutation({
    mutationFn: async (begun: Pick<Run, 'name' | 'text' | 'copies' | 'hands'>) => {
      const run: Run = { id: newId(), toy, ...begun, started: new Date().toISOString() };
      await runs.begin(run);
      return run;
    },
    onSuccess: changed,
  });
  const remove = useMutation({ mutationFn: (id: string) => runs.remove(id), onSuccess: changed });
  return { runs: data ?? null, error, retry: () => void refetch(), begin, remove };
}

/** Runs opened so far, so that the next to open one waits until its last tap is kept. */
const opened = new Map<string, MakingRun>();

async function openRun(id: string) {
  await opened.get(id)?.settled();
  return runs.read(id);
}

/** Where a run stands, for its card. */
export interface Standing {
  /** `Body, round 9`; null where all of it is done */
  task: string | null;
  /** which toy of the batch is in hand, from 1 */
  toy: number;
  minutes: number;
}

async function standingOf(id: string): Promise<Standing | null> {
  const kept = await openRun(id);
  if (!kept) return null;
  const tasksNow = (text: string) => tasksOfText(text, kept.run.hands);
  const { place, text, finished, minutes } = foldRun(kept.run, kept.events, tasksNow);
  const task = finished ? undefined : tasksNow(text)[place.task];
  return { task: task ? taskWords(task) : null, toy: place.copy + 1, minutes };
}

/** Where a run stands; null until it is read, and where it can't be. */
export function useStanding(run: string): Standing | null {
  const { data } = useQuery({
    queryKey: ['standing', run],
    queryFn: () => standingOf(run),
    // The taps between two looks are counted at the next one.
    gcTime: 0,
    retry: false,
  });
  return data ?? null;
}

/** A run opened to be made; undefined while it is read, null where there is none. */
export function useMakingRun(id: string | null): {
  making: MakingRun | null | undefined;
  error: Error | null;
  reopen: () => void;
} {
  const { data, error, refetch } = useQuery({
    queryKey: runKey(id ?? ''),
    queryFn: () => openRun(id ?? ''),
    enabled: id !== null,
    // What is shown comes from the taps; what is kept is read when it is opened, and when she asks.
    staleTime: Infinity,
    gcTime: 0,
    retry: false,
    structuralSharing: false,
  });
  const making = useMemo(
    () => (data ? createMakingRun(data, (text) => tasksOfText(text, data.run.hands)) : data),
    [data],
  );
  useEffect(() => {
    if (making) opened.set(making.run.id, making);
  }, [making]);
  return { making, error, reopen: () => void refetch() };
}
