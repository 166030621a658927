import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import { emptyList, readMakingList, type MakingList } from '../core/supplies/makingList';
import { nameOfToy } from '../core/keep/toyCard';
import { analyseToy } from '../core/toy/analyse';
import { plannedForHands } from '../core/toy/planToy';
import type { ToMake } from '../core/toy/supplies/toBuy';
import { useHands } from './hands';
import { parsed } from './json';
import { usePace } from './pace';
import { shelf } from './shelf';
import { storage } from './storage';
import { toyTextsKey } from './useShelf';
import { useYarnUse } from './yarnUse';

export const makingListKey = 'hoppla/making-list';
const queryKey = ['making-list'] as const;

async function read(): Promise<MakingList> {
  const kept = await storage.getItem(makingListKey);
  return (kept === null ? null : readMakingList(parsed(kept))) ?? emptyList;
}

/** The text of a toy on the shelf; null where there is none, or none that can be read. */
const textOf = async (id: string): Promise<{ id: string; text: string | null }> => ({
  id,
  text: await shelf.read(id).then(
    (stored) => stored?.document.text ?? null,
    () => null,
  ),
});

/** What this maker means to make, what is there for it, and what it costs. */
export function useMakingList() {
  const client = useQueryClient();
  const { data, error, refetch } = useQuery({ queryKey, queryFn: read, staleTime: Infinity });
  const keep = useMutation({
    mutationFn: (list: MakingList) => storage.setItem(makingListKey, JSON.stringify(list)),
    onMutate: async (list) => {
      // A read on its way would bring back what was kept before.
      await client.cancelQueries({ queryKey });
      client.setQueryData(queryKey, list);
    },
  });
  const list = data ?? null;
  return {
    /** null while it is read */
    list,
    error,
    retry: () => void refetch(),
    /** it could not be kept: the browser's storage is full or shut */
    failed: keep.isError,
    keepAgain: () => list && keep.mutate(list),
    change: (some: Partial<MakingList>) => list && keep.mutate({ ...list, ...some }),
  };
}

/** The toys of a list that are on the shelf and can be read, each worked out for this maker. */
export function useToMake(toys: MakingList['toys']): {
  toMake: ToMake[];
  isReading: boolean;
  /** how many can't be read, or are on the shelf no more */
  lost: number;
} {
  const { hands } = useHands();
  const { yarnUse } = useYarnUse();
  const { pace } = usePace();
  const ids = toys.map(({ id }) => id);
  const { data, isPending } = useQuery({
    queryKey: [...toyTextsKey, ids],
    queryFn: () => Promise.all(ids.map(textOf)),
    // Another page may have changed them; what is shown meanwhile is what they were.
    refetchOnMount: 'always',
    placeholderData: keepPreviousData,
  });
  const worked = useMemo(
    () =>
      (data ?? []).flatMap(({ id, text }) => {
        if (text === null) return [];
        const planned = plannedForHands(analyseToy(text, { searches: false }), hands);
        return [{ id, name: nameOfToy(planned), toy: { ...planned, yarnUse, pace } }];
      }),
    [data, hands, yarnUse, pace],
  );
  const toMake = useMemo(
    () =>
      toys.flatMap(({ id, count }) => {
        const found = worked.find((one) => one.id === id);
        return found ? [{ ...found, count }] : [];
      }),
    [toys, worked],
  );
  const lost = (data ?? []).filter(({ id, text }) => text === null && ids.includes(id)).length;
  return { toMake, isReading: isPending, lost };
}
