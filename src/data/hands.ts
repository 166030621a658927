import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { inOrder, readHands, usualHands, type Hands } from '../core/plan/hands';
import { handsKey } from './shelf';
import { storage } from './storage';
import { shelfKey } from './useShelf';

const queryKey = ['habit', 'hands'] as const;

/** What this maker's hands and tools get through; usual ones until she says. */
export function useHands() {
  const client = useQueryClient();
  const { data } = useQuery({
    queryKey,
    queryFn: async () => readHands(await storage.getItem(handsKey)),
    staleTime: Infinity,
  });
  const keep = useMutation({
    mutationFn: (hands: Hands) => storage.setItem(handsKey, JSON.stringify(hands)),
    onMutate: (hands) => client.setQueryData(queryKey, hands),
    // Every card says when the next stop is.
    onSuccess: () => client.invalidateQueries({ queryKey: shelfKey }),
  });
  return {
    hands: data ?? usualHands,
    /** they could not be kept: the browser's storage is full or shut */
    failed: keep.isError,
    change: (hands: Hands) => keep.mutate(inOrder(hands)),
  };
}
