import { createAsyncStorage } from '@react-native-async-storage/async-storage';
import type { DBSchema } from 'idb';
import { connectionTo } from './database';

const databaseName = 'hoppla';

/** The browser's own database, by the storage library's current form; its default export is the old one over localStorage. */
export const storage = createAsyncStorage(databaseName);

/** The table in which the storage library keeps its keys; a browser test holds that what one writes the other reads. */
const table = 'entries';
interface Entries extends DBSchema {
  [table]: { key: string; value: string | null };
}

/** A connection of our own to that database. */
const database = connectionTo<Entries>(databaseName, (made) => {
  if (!made.objectStoreNames.contains(table)) made.createObjectStore(table);
});

/** What becomes of some keys: `null` takes one away. */
export type Changes = Readonly<Record<string, string | null>>;

/** What a change reads, and what it comes to. */
export interface Change<T> {
  changes: Changes;
  result: T;
}

/**
 * Reads some keys and changes some, all of it or nothing, with no other tab in between. The storage library has no such thing, so this
 * goes to its database itself.
 *
 * @param keys what is read
 * @param change from what is kept to what is to be kept; what it throws is thrown, and nothing is changed
 */
export async function transact<T>(
  keys: readonly string[],
  change: (kept: ReadonlyMap<string, string>) => Change<T>,
): Promise<T> {
  const transaction = (await database()).transaction(table, 'readwrite');
  try {
    const values = await Promise.all(keys.map((key) => transaction.store.get(key)));
    const kept = new Map(
      keys.flatMap((key, index): [string, string][] =>
        typeof values[index] === 'string' ? [[key, values[index]]] : [],
      ),
    );
    const { changes, result } = change(kept);
    const writing = Object.entries(changes).map(async ([key, value]) => {
      if (value === null) await transaction.store.delete(key);
      else await transaction.store.put(value, key);
    });
    await Promise.all([...writing, transaction.done]);
    return result;
  } catch (reason) {
    await giveUp(transaction);
    throw reason;
  }
}

/** Ends a transaction that failed; one that ended by itself is let be. */
async function giveUp(transaction: { abort(): void; done: Promise<void> }): Promise<void> {
  try {
    transaction.abort();
  } catch {
    // It ended already.
  }
  await transaction.done.catch(() => undefined);
}
