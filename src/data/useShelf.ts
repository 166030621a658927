import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { demoToys } from './demoToys';
import { announceChange } from './otherTabs';
import { reading } from './reading';
import { shelf, type RemovedToy } from './shelf';
import { GoneError, type StoredToy } from './storedToy';

export const shelfKey = ['shelf'] as const;
export const toyQueryKey = (id: string) => ['toy', id] as const;
/** The texts of several toys at once. */
export const toyTextsKey = ['toy-texts'] as const;

/** The toys on the shelf. Looked at again whenever this tab comes to the front: another may have changed them. */
export function useShelf() {
  return useQuery({ queryKey: shelfKey, queryFn: () => shelf.list(), refetchOnWindowFocus: 'always' });
}

/** The text with another name in its `Toy:` line. What edits texts is waited for: the shelf shows itself without it. */
async function named(text: string, name: string): Promise<string> {
  const { setToyHeader } = await reading();
  return setToyHeader(text, 'Toy', name);
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
    // A page that reads several toys may have been opened before this was written.
    void client.invalidateQueries({ queryKey: toyTextsKey });
    return client.invalidateQueries({ queryKey: shelfKey });
  };
  const create = useMutation({
    mutationFn: (text: string) => shelf.create(text),
    onSuccess: () => refresh(),
  });
  const addFile = useMutation({
    mutationFn: (text: string) => shelf.addFile(text),
    onSuccess: () => refresh(),
  });
  const addDemo = useMutation({
    mutationFn: async () => {
      const toys = await demoToys();
      const ids = await shelf.addAll(toys);
      const { beginDemo } = await reading();
      await beginDemo(toys, ids);
    },
    // A request can be lost on a network that changes.
    retry: 1,
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
      return shelf.save(stored, await named(stored.document.text, name));
    },
    onSuccess: (toy) => refresh(toy.id),
  });
  const duplicate = useMutation({
    mutationFn: async ({ id, name }: { id: string; name: string }) =>
      shelf.create(await named((await current(id)).document.text, `${name}, copy`)),
    onSuccess: () => refresh(),
  });
  return { create, addFile, addDemo, remove, restore, rename, duplicate };
}
