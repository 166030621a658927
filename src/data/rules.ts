import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { readRuleBook, shippedRules, writeRuleBook, type RuleBook } from '../core/safety/ruleBook';
import { storage } from './storage';

const key = 'hoppla/rules';
const queryKey = ['rules'] as const;

async function read(): Promise<RuleBook> {
  const kept = await storage.getItem(key);
  const book = kept === null ? null : readRuleBook(kept);
  return book?.ok ? book.book : shippedRules;
}

/** The maker's rule book: the one that comes with Hoppla until she changes it. */
export function useRules() {
  const client = useQueryClient();
  const { data } = useQuery({ queryKey, queryFn: read });
  const keep = useMutation({
    mutationFn: (book: RuleBook | null) =>
      book ? storage.setItem(key, writeRuleBook(book)) : storage.removeItem(key),
    onMutate: async (book) => {
      // A read on its way would bring back what was kept before.
      await client.cancelQueries({ queryKey });
      client.setQueryData(queryKey, book ?? shippedRules);
    },
    onError: () => client.invalidateQueries({ queryKey }),
  });
  return { book: data ?? shippedRules, keep: keep.mutate, failed: keep.isError };
}
