import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { handsSchema, inOrder, usualHands, type Hands } from '../core/plan/hands';
import { storage } from './storage';

const key = 'hoppla/habit/hands';
const queryKey = ['habit', 'hands'] as const;

async function read(): Promise<Hands> {
  const kept = await storage.getItem(key);
  if (kept === null) return usualHands;
  try {
    const { error, value } = handsSchema.validate(JSON.parse(kept), { convert: false });
    return error ? usualHands : (value as Hands);
  } catch {
    return usualHands;
  }
}

/** What this maker's hands and tools get through; usual ones until she says. */
export function useHands() {
  const client = useQueryClient();
  const { data } = useQuery({ queryKey, queryFn: read, staleTime: Infinity });
  const keep = useMutation({
    mutationFn: (hands: Hands) => storage.setItem(key, JSON.stringify(hands)),
    onMutate: (hands) => client.setQueryData(queryKey, hands),
  });
  return {
    hands: data ?? usualHands,
    /** they could not be kept: the browser's storage is full or shut */
    failed: keep.isError,
    change: (hands: Hands) => keep.mutate(inOrder(hands)),
  };
}
