import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { RecordEntry } from '../core/safety/record';
import { shelf } from './shelf';

const recordKey = (toy: string) => ['record', toy] as const;

/** What was tried on several toys, by their ids; null while it is read. */
export function useRecordsOf(toys: readonly string[]) {
  const { data, error, refetch } = useQuery({
    queryKey: ['records', ...toys],
    queryFn: async () => {
      const read = await Promise.all(
        toys.map(async (toy): Promise<[string, RecordEntry[]]> => [toy, await shelf.record(toy)]),
      );
      return new Map(read);
    },
    refetchOnMount: 'always',
    retry: false,
  });
  return { records: data ?? null, error, retry: () => void refetch() };
}

/** What was tried on a toy, and how one more trial is written down. */
export function useRecord(toy: string) {
  const client = useQueryClient();
  const { data, error, refetch } = useQuery({
    queryKey: recordKey(toy),
    queryFn: () => shelf.record(toy),
    retry: false,
  });
  const add = useMutation({
    mutationFn: (entry: RecordEntry) => shelf.addEntry(toy, entry),
    onSuccess: (entries) => client.setQueryData(recordKey(toy), entries),
  });
  return { entries: data ?? null, error, retry: () => void refetch(), add };
}
