import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { RecordEntry } from '../core/safety/record';
import { shelf } from './shelf';

const recordKey = (toy: string) => ['record', toy] as const;

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
