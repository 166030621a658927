import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { readYarnUse } from '../core/supplies/yarnUse';
import { storage } from './storage';

const yarnUseKey = 'hoppla/habit/yarn-use';
const queryKey = ['habit', 'yarn-use'] as const;

/** Yarn this maker's hands take for what the formula says; as much until she weighs a piece. */
export function useYarnUse() {
  const client = useQueryClient();
  const { data } = useQuery({
    queryKey,
    queryFn: async () => readYarnUse(await storage.getItem(yarnUseKey)),
    staleTime: Infinity,
  });
  const keep = useMutation({
    mutationFn: (use: number) => storage.setItem(yarnUseKey, String(use)),
    onMutate: async (use) => {
      // A read on its way would bring back what was kept before.
      await client.cancelQueries({ queryKey });
      client.setQueryData(queryKey, use);
    },
  });
  return {
    yarnUse: data ?? 1,
    /** it could not be kept: the browser's storage is full or shut */
    failed: keep.isError,
    change: (use: number) => keep.mutate(use),
  };
}
