import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import { paceWith, readPace, type OwnPace } from '../core/plan/time';
import { storage } from './storage';

const paceKey = 'hoppla/habit/pace';
const queryKey = ['habit', 'pace'] as const;

/** How fast this maker works; at a usual pace until she takes what her taps say. */
export function usePace() {
  const client = useQueryClient();
  const { data } = useQuery({
    queryKey,
    queryFn: async () => readPace(await storage.getItem(paceKey)),
    staleTime: Infinity,
  });
  const keep = useMutation({
    mutationFn: (pace: OwnPace | null) =>
      pace === null ? storage.removeItem(paceKey) : storage.setItem(paceKey, JSON.stringify(pace)),
    onMutate: async (pace) => {
      // A read on its way would bring back what was kept before.
      await client.cancelQueries({ queryKey });
      client.setQueryData(queryKey, pace);
    },
  });
  const own = data ?? null;
  return {
    /** what is known of it; null while nothing is */
    own,
    pace: useMemo(() => paceWith(own), [own]),
    /** it could not be kept: the browser's storage is full or shut */
    failed: keep.isError,
    change: (pace: OwnPace | null) => keep.mutate(pace),
  };
}
