import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { ToyDocument } from '../core/toy/document';
import { setToyHeader } from '../core/toy/editText';
import { announceChange } from './otherTabs';
import { shelf, type StoredToy } from './shelf';

export const shelfKey = ['shelf'] as const;
export const toyQueryKey = (id: string) => ['toy', id] as const;

export function useShelf() {
  return useQuery({ queryKey: shelfKey, queryFn: () => shelf.list() });
}

/** What can be done to whole toys. Each returns a promise, so that a screen can say when it is done. */
export function useShelfActions() {
  const client = useQueryClient();
  const refresh = (id?: string) => {
    announceChange(id ?? '');
    if (id) client.removeQueries({ queryKey: toyQueryKey(id) });
    return client.invalidateQueries({ queryKey: shelfKey });
  };
  const create = useMutation({ mutationFn: (text: string) => shelf.create(text), onSuccess: () => refresh() });
  const add = useMutation({ mutationFn: (document: ToyDocument) => shelf.add(document), onSuccess: () => refresh() });
  const remove = useMutation({ mutationFn: (toy: StoredToy) => shelf.remove(toy.id), onSuccess: (_, toy) => refresh(toy.id) });
  const restore = useMutation({ mutationFn: (toy: StoredToy) => shelf.restore(toy), onSuccess: (toy) => refresh(toy.id) });
  const rename = useMutation({
    mutationFn: ({ toy, name }: { toy: StoredToy; name: string }) => shelf.save(toy, setToyHeader(toy.document.text, 'Toy', name)),
    onSuccess: (toy) => refresh(toy.id),
  });
  const duplicate = useMutation({
    mutationFn: ({ toy, name }: { toy: StoredToy; name: string }) => shelf.create(setToyHeader(toy.document.text, 'Toy', `${name}, copy`)),
    onSuccess: () => refresh(),
  });
  return { create, add, remove, restore, rename, duplicate };
}
