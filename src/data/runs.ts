import { t } from '../core/words/language';
import type { DBSchema } from 'idb';
import { isEvent, type Run, type RunEvent } from '../core/make/run';
import { connectionTo } from './database';

interface Runs extends DBSchema {
  runs: { key: string; value: Run; indexes: { toy: string } };
  /** by the run and the number of the event in it, from 0 */
  events: { key: [run: string, number: number]; value: EventRow | PackedRow };
}

/** One tap. */
interface EventRow {
  run: string;
  number: number;
  event: RunEvent;
}

/** Many taps that follow each other: a hundred thousand rows take seconds to read. */
interface PackedRow {
  run: string;
  /** of the first */
  number: number;
  events: RunEvent[];
}

const isPacked = (row: EventRow | PackedRow): row is PackedRow => 'events' in row;
const eventsOf = (row: EventRow | PackedRow): RunEvent[] => (isPacked(row) ? row.events : [row.event]);

/** From so many rows of one tap on they are packed; so many go into one row, and the last stay as they are. */
const packFrom = 2000;
const packedMost = 20_000;
const keptSingle = 200;

const databaseName = 'hoppla-runs';

const database = connectionTo<Runs>(databaseName, (made) => {
  made.createObjectStore('runs', { keyPath: 'id' }).createIndex('toy', 'toy');
  made.createObjectStore('events', { keyPath: ['run', 'number'] });
});

/** Another tab has gone on with this run. */
export class MovedOnError extends Error {
  constructor() {
    super(t`This toy is being made in another tab too, and it has moved on there.`);
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

/** Events that follow each other, as rows of many. */
function packed(run: string, first: number, events: readonly RunEvent[]): PackedRow[] {
  const rows: PackedRow[] = [];
  for (let at = 0; at < events.length; at += packedMost)
    rows.push({ run, number: first + at, events: events.slice(at, at + packedMost) });
  return rows;
}

/** Packs the rows of a run that hold one tap each, but for the last: all at once, or none where it was taken away or changed meanwhile. */
async function pack(id: string, rows: readonly (EventRow | PackedRow)[]): Promise<void> {
  const single = rows.filter((row) => !isPacked(row));
  if (single.length < packFrom) return;
  const old = single.slice(0, -keptSingle);
  const [first, last] = [old[0], old.at(-1)];
  const isWhole = first && last && last.number - first.number + 1 === old.length;
  if (!isWhole) return;
  const transaction = (await database()).transaction('events', 'readwrite');
  const range = IDBKeyRange.bound([id, first.number], [id, last.number]);
  const isThere = (await transaction.store.count(range)) === old.length;
  if (isThere) {
    await transaction.store.delete(range);
    for (const row of packed(id, first.number, old.flatMap(eventsOf))) await transaction.store.put(row);
  }
  await transaction.done;
}

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
    const all = rows.flatMap(eventsOf);
    const events = all.filter(isEvent);
    // Nobody waits for it, and rows that can't be packed are read as they are.
    if (events.length === all.length) void pack(id, rows).catch(() => undefined);
    return { run, events, unreadable: all.length - events.length };
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
      for (const row of packed(run.id, 0, events)) await transaction.objectStore('events').put(row);
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
