import type { DBSchema } from 'idb';
import { isEvent, type Run, type RunEvent } from '../core/make/run';
import { connectionTo } from './database';

interface Runs extends DBSchema {
  runs: { key: string; value: Run; indexes: { toy: string } };
  /** one row a tap, by the run and the number of the event in it */
  events: { key: [run: string, number: number]; value: { run: string; number: number; event: RunEvent } };
}

const databaseName = 'hoppla-runs';

const database = connectionTo<Runs>(databaseName, (made) => {
  made.createObjectStore('runs', { keyPath: 'id' }).createIndex('toy', 'toy');
  made.createObjectStore('events', { keyPath: ['run', 'number'] });
});

/** Another tab has gone on with this run. */
export class MovedOnError extends Error {
  constructor() {
    super('This toy is being made in another tab too, and it has moved on there.');
  }
}

/** A run with all that happened in it. */
export interface KeptRun {
  run: Run;
  events: RunEvent[];
  /** rows that could not be read; they stay where they are */
  unreadable: number;
}

const rangeOf = (run: string) => IDBKeyRange.bound([run, 0], [run, Number.MAX_SAFE_INTEGER]);

/** What is made, in a database of its own: one transaction a tap. */
export const runs = {
  /** The runs of a toy, the newest first. */
  async of(toy: string): Promise<Run[]> {
    const found = await (await database()).getAllFromIndex('runs', 'toy', toy);
    return found.sort((a, b) => b.started.localeCompare(a.started));
  },

  async begin(run: Run): Promise<void> {
    await (await database()).add('runs', run);
  },

  /** A run and its events in order; null where there is none. */
  async read(id: string): Promise<KeptRun | null> {
    const db = await database();
    const transaction = db.transaction(['runs', 'events']);
    const [run, rows] = await Promise.all([
      transaction.objectStore('runs').get(id),
      transaction.objectStore('events').getAll(rangeOf(id)),
    ]);
    await transaction.done;
    if (!run) return null;
    const events = rows.map(({ event }) => event).filter(isEvent);
    return { run, events, unreadable: rows.length - events.length };
  },

  /**
   * Keeps what happened next.
   *
   * @param number of the event in its run, from 0
   * @throws MovedOnError where another tab has kept that number already
   */
  async add(run: string, number: number, event: RunEvent): Promise<void> {
    try {
      await (await database()).add('events', { run, number, event });
    } catch (reason) {
      if (reason instanceof DOMException && reason.name === 'ConstraintError') throw new MovedOnError();
      throw reason;
    }
  },

  /** Puts a run back with its events; one that is there stays as it is. */
  async restore(run: Run, events: readonly RunEvent[]): Promise<void> {
    const transaction = (await database()).transaction(['runs', 'events'], 'readwrite');
    const isHere = (await transaction.objectStore('runs').getKey(run.id)) !== undefined;
    if (!isHere) {
      await transaction.objectStore('runs').add(run);
      for (const [number, event] of events.entries())
        await transaction.objectStore('events').put({ run: run.id, number, event });
    }
    await transaction.done;
  },

  /** Takes a run away with all that belongs to it. */
  async remove(id: string): Promise<void> {
    const transaction = (await database()).transaction(['runs', 'events'], 'readwrite');
    await Promise.all([
      transaction.objectStore('runs').delete(id),
      transaction.objectStore('events').delete(rangeOf(id)),
      transaction.done,
    ]);
  },
};
