/** One name in its turn; `circular` where it and what it waits for each wait for the other. */
export interface Turn {
  id: string;
  circular: boolean;
}

/**
 * Orders names so that each comes after what it waits for. Where they wait in a circle, the first in the list goes first.
 *
 * @param waitsFor name it waits for; null, itself or one that is not in the list is not waited for
 */
export function inOrder(ids: readonly string[], waitsFor: (id: string) => string | null): Turn[] {
  const open = new Set(ids);
  const turns: Turn[] = [];
  while (open.size > 0) {
    const ready = [...open].find((id) => {
      const other = waitsFor(id);
      return other === null || other === id || !open.has(other);
    });
    const id = ready ?? [...open][0]!;
    open.delete(id);
    turns.push({ id, circular: ready === undefined });
  }
  return turns;
}
