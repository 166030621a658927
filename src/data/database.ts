import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

/**
 * A connection to one of the browser's databases, opened when it is first asked for. One that broke, or that another tab had to close, is
 * opened anew by the next who asks.
 *
 * @param upgrade makes the tables where there are none
 */
export function connectionTo<Tables extends DBSchema>(
  name: string,
  upgrade: (made: IDBPDatabase<Tables>) => void,
): () => Promise<IDBPDatabase<Tables>> {
  let connection: Promise<IDBPDatabase<Tables>> | null = null;
  const forget = () => {
    connection = null;
  };
  return () => {
    connection ??= openDB<Tables>(name, 1, {
      upgrade,
      blocking: (_current, _wanted, event) => (event.target as unknown as IDBPDatabase).close(),
      terminated: forget,
    }).catch((reason: unknown) => {
      forget();
      throw reason;
    });
    return connection;
  };
}
