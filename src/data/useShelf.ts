import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { ToyDocument } from '../core/keep/document';
import { setToyHeader } from '../core/notation/editText';
import { announceChange } from './otherTabs';
import { GoneError, shelf, type RemovedToy, type StoredToy } from './shelf';

export const shelfKey = ['shelf'] as const;
export const toyQueryKey = (id: string) => ['toy', id] as const;

/** The toys on the shelf. Looked at again whenever this tab comes to the front: another may have changed them. */
export function useShelf() {
  return useQuery({ queryKey: shelfKey, queryFn: () => shelf.list(), refetchOnWindowFocus: 'always' });
}

/** A toy as it is kept now. */
async function current(id: string): Promise<StoredToy> {
  const stored = await shelf.read(id);
  if (!stored) throw new GoneError();
  return stored;
}

/** What can be done to whole toys. Each returns a promise, so that a screen can say when it is done. */
export function useShelfActions() {
  const client = useQueryClient();
  const refresh = (id?: string) => {
    announceChange(id ?? '');
    if (id) client.removeQueries({ queryKey: toyQueryKey(id) });
    return client.invalidateQueries({ queryKey: shelfKey });
  };
  const create = useMutation({
    mutationFn: (text: string) => shelf.create(text),
    onSuccess: () => refresh(),
  });
  const add = useMutation({
    mutationFn: (document: ToyDocument) => shelf.add(document),
    onSuccess: () => refresh(),
  });
  const addAll = useMutation({
    mutationFn: (texts: readonly string[]) => shelf.addAll(texts),
    onSuccess: () => refresh(),
  });
  const remove = useMutation({
    mutationFn: (id: string) => shelf.remove(id),
    onSuccess: (removed) => refresh(removed.id),
  });
  const restore = useMutation({
    mutationFn: (removed: RemovedToy) => shelf.restore(removed),
    onSuccess: (_, removed) => refresh(removed.id),
  });
  const rename = useMutation({
    mutationFn: async ({ id, name }: { id: string; name: string }) => {
      const stored = await current(id);
      return shelf.save(stored, setToyHeader(stored.document.text, 'Toy', name));
    },
    onSuccess: (toy) => refresh(toy.id),
  });
  const duplicate = useMutation({
    mutationFn: async ({ id, name }: { id: string; name: string }) =>
      shelf.create(setToyHeader((await current(id)).document.text, 'Toy', `${name}, copy`)),
    onSuccess: () => refresh(),
  });
  return { create, add, addAll, remove, restore, rename, duplicate };
}
