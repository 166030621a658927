import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { Yarn } from '../core/supplies/yarn';
import { usualDensities, type StuffingDensities } from '../core/supplies/stuffing';
import { announceChange } from './otherTabs';
import { shelfKey, toyQueryKey } from './useShelf';
import { stuffing, yarnShelf } from './yarns';

const yarnsKey = ['yarns'] as const;
const stuffingKey = ['stuffing'] as const;

export function useYarns() {
  return useQuery({ queryKey: yarnsKey, queryFn: () => yarnShelf.list() });
}

export function useToysIn(name: string) {
  return useQuery({
    queryKey: [...yarnsKey, 'toys', name],
    queryFn: () => yarnShelf.toysIn(name),
    enabled: name !== '',
  });
}

/** Keeping and removing yarns; toys worked in a changed yarn follow. */
export function useYarnActions() {
  const client = useQueryClient();
  const save = useMutation({
    mutationFn: async ({ yarn, before }: { yarn: Yarn; before: string }) => {
      const kept = await yarnShelf.save(yarn);
      return { yarn: kept, toys: before ? await yarnShelf.refreshToys(before, kept) : [] };
    },
    onSuccess: async ({ toys }) => {
      for (const toy of toys) {
        announceChange(toy.id);
        client.removeQueries({ queryKey: toyQueryKey(toy.id) });
      }
      await client.invalidateQueries({ queryKey: yarnsKey });
      await client.invalidateQueries({ queryKey: shelfKey });
    },
  });
  const remove = useMutation({
    mutationFn: (id: string) => yarnShelf.remove(id),
    onSuccess: () => client.invalidateQueries({ queryKey: yarnsKey }),
  });
  return { save, remove };
}

/** Grams a litre takes with the maker's own stuffing, or the usual figures. */
export function useStuffing() {
  const client = useQueryClient();
  const { data } = useQuery({ queryKey: stuffingKey, queryFn: () => stuffing.read() });
  const weigh = useMutation({
    mutationFn: (densities: StuffingDensities | null) => stuffing.write(densities),
    onSuccess: () => client.invalidateQueries({ queryKey: stuffingKey }),
  });
  return { densities: data ?? usualDensities, weighed: Boolean(data), weigh };
}
