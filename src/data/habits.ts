import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { analyseToy, type ToyAnalysis } from '../core/toy/analyse';
import { apartValues } from '../core/toy/checkParts';
import { setToyHeader } from '../core/notation/editText';
import { storage } from './storage';

export type Apart = keyof typeof apartValues;

const key = 'hoppla/habit/apart';
const queryKey = ['habit', 'apart'] as const;

/** What this maker means by “8 apart”, once she has said it. */
export function useApartHabit() {
  const client = useQueryClient();
  const { data } = useQuery({
    queryKey,
    queryFn: async (): Promise<Apart | null> => {
      const kept = await storage.getItem(key);
      return kept === 'posts' || kept === 'showing' ? kept : null;
    },
  });
  const keep = useMutation({
    mutationFn: (habit: Apart) => storage.setItem(key, habit),
    onMutate: async (habit) => {
      // A read on its way would bring back what was kept before.
      await client.cancelQueries({ queryKey });
      client.setQueryData(queryKey, habit);
    },
    onSettled: () => client.invalidateQueries({ queryKey }),
  });
  return { habit: data ?? null, keep: keep.mutate };
}

/**
 * Writes the maker's habit into a text that leaves it open.
 *
 * @param toy the text analysed
 */
export function withHabit(
  text: string,
  habit: Apart | null,
  toy: ToyAnalysis = analyseToy(text, { searches: false }),
): string {
  if (!habit || !toy.problems.some((problem) => problem.code === 'apart-reading')) return text;
  return setToyHeader(text, 'Apart', apartValues[habit]);
}

/** The habit a tap on a suggestion tells of; null where it is about something else. */
export function habitIn(edits: readonly { text: string }[]): Apart | null {
  const line = edits.find((edit) => edit.text.startsWith('Apart: '))?.text.slice('Apart: '.length);
  return (Object.keys(apartValues) as Apart[]).find((reading) => apartValues[reading] === line) ?? null;
}
