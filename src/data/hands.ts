import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import { inOrder, readHands, usualHands, type Hands } from '../core/plan/hands';
import { shareOfUsual } from '../core/supplies/stuffing';
import { handsKey } from './shelf';
import { storage } from './storage';
import { shelfKey } from './useShelf';
import { useStuffing } from './useYarns';

const queryKey = ['habit', 'hands'] as const;

/** What this maker's hands and tools get through; usual ones until she says. */
export function useHands() {
  const client = useQueryClient();
  const { data, isPending } = useQuery({
    queryKey,
    queryFn: async () => readHands(await storage.getItem(handsKey)),
    staleTime: Infinity,
  });
  const keep = useMutation({
    mutationFn: (hands: Hands) => storage.setItem(handsKey, JSON.stringify(hands)),
    onMutate: async (hands) => {
      // A read on its way would bring back what was kept before.
      await client.cancelQueries({ queryKey });
      client.setQueryData(queryKey, hands);
    },
    // Every card says when the next stop is.
    onSuccess: () => client.invalidateQueries({ queryKey: shelfKey }),
  });
  const { densities, weighed } = useStuffing();
  const own = data ?? usualHands;
  return {
    hands: useMemo(
      () => (weighed ? { ...own, stuffingShare: shareOfUsual(densities) } : own),
      [own, weighed, densities],
    ),
    /** what is kept was read: until then they are the usual ones, and nothing may be built on them */
    isRead: !isPending,
    /** they could not be kept: the browser's storage is full or shut */
    failed: keep.isError,
    // What the stuffing weighs is kept with the stuffing.
    change: ({ stuffingShare: _, ...hands }: Hands) => keep.mutate(inOrder(hands)),
  };
}
