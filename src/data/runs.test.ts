/** @jest-environment node */
import 'fake-indexeddb/auto';
import type { Run, RunEvent } from '../core/make/run';
import { createMakingRun } from './makingRun';
import { MovedOnError, runs } from './runs';
import { tasksOfText } from './useMaking';

const text =
  'Head\nR1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4-R6: sc around\nR7: (sc, dec) x 6\nR8: dec x 6\n';
let count = 0;
const newRun = (): Run => {
  count += 1;
  return {
    id: `run-${count}`,
    toy: 'bear',
    name: 'Bear',
    text,
    copies: 1,
    started: `2026-01-0${count}T00:00:00.000Z`,
  };
};
const tap: RunEvent = { kind: 'on', by: 'stitch', at: 1 };

test('runs of a toy, newest first; events come back in their order; what is removed is gone with its events', async () => {
  const [one, two] = [newRun(), newRun()];
  await runs.begin(one);
  await runs.begin(two);
  expect((await runs.of('bear')).map(({ id }) => id)).toEqual([two.id, one.id]);
  for (let i = 0; i < 12; i += 1) await runs.add(one.id, i, { ...tap, at: i });
  await runs.add(two.id, 0, tap);
  expect((await runs.read(one.id))?.events.map(({ at }) => at)).toEqual(
    Array.from({ length: 12 }, (_, i) => i),
  );
  await runs.remove(one.id);
  expect(await runs.read(one.id)).toBeNull();
  expect((await runs.read(two.id))?.events).toHaveLength(1);
});

test('a number that is taken is another tab’s: said, and nothing is written over', async () => {
  const run = newRun();
  await runs.begin(run);
  await runs.add(run.id, 0, tap);
  await expect(runs.add(run.id, 0, { ...tap, at: 9 })).rejects.toThrow(MovedOnError);
  expect((await runs.read(run.id))?.events).toEqual([tap]);
});

test('taps show at once and are kept; opened again after any of them the place is the same', async () => {
  const run = newRun();
  await runs.begin(run);
  const making = createMakingRun({ run, events: [], unreadable: 0 }, tasksOfText, () => 5);
  for (let i = 0; i < 50; i += 1) {
    making.happen({ kind: 'on', by: i % 7 === 0 ? 'repeat' : 'stitch' });
    const { place } = making.state.getState().progress;
    await making.settled();
    const kept = await runs.read(run.id);
    expect(kept?.events).toHaveLength(i + 1);
    expect(createMakingRun(kept!, tasksOfText).state.getState().progress.place).toEqual(place);
  }
});

test('storage that fails is said; the taps are kept as soon as it works again', async () => {
  const run = newRun();
  await runs.begin(run);
  const making = createMakingRun({ run, events: [], unreadable: 0 }, tasksOfText, () => 5);
  const failing = jest.spyOn(runs, 'add').mockRejectedValue(new Error('full'));
  making.happen({ kind: 'on', by: 'stitch' });
  making.happen({ kind: 'on', by: 'stitch' });
  await making.settled();
  expect(making.state.getState()).toMatchObject({ trouble: 'storage', progress: { place: { move: 2 } } });
  failing.mockRestore();
  await making.retry();
  expect(making.state.getState().trouble).toBeNull();
  expect((await runs.read(run.id))?.events).toHaveLength(2);
});

test('made in two tabs: the one behind is told and takes no more taps', async () => {
  const run = newRun();
  await runs.begin(run);
  const [here, there] = [0, 1].map(() =>
    createMakingRun({ run, events: [], unreadable: 0 }, tasksOfText, () => 5),
  );
  there!.happen({ kind: 'on', by: 'round' });
  await there!.settled();
  here!.happen({ kind: 'on', by: 'stitch' });
  await here!.settled();
  expect(here!.state.getState().trouble).toBe('elsewhere');
  const { place } = here!.state.getState().progress;
  here!.happen({ kind: 'on', by: 'stitch' });
  expect(here!.state.getState().progress.place).toEqual(place);
  expect((await runs.read(run.id))?.events).toHaveLength(1);
});

/** How many rows of the database a run has. */
async function rowsOf(id: string): Promise<number> {
  const open = indexedDB.open('hoppla-runs');
  const db = await new Promise<IDBDatabase>((resolve) => {
    open.onsuccess = () => resolve(open.result);
  });
  const counting = db
    .transaction('events')
    .objectStore('events')
    .count(IDBKeyRange.bound([id, 0], [id, Number.MAX_SAFE_INTEGER]));
  const rows = await new Promise<number>((resolve) => {
    counting.onsuccess = () => resolve(counting.result);
  });
  db.close();
  return rows;
}

test('a long making is packed into few rows behind her back: the same events, and the next tap goes on', async () => {
  const run = newRun();
  await runs.begin(run);
  const long = 2600;
  for (let i = 0; i < long; i += 1) await runs.add(run.id, i, { ...tap, at: i });
  const before = await runs.read(run.id);
  // It is packed after it was read.
  for (let tries = 0; tries < 50 && (await rowsOf(run.id)) > 300; tries += 1)
    await new Promise((resolve) => setTimeout(resolve, 20));
  expect(await rowsOf(run.id)).toBe(201);
  expect(await runs.read(run.id)).toEqual(before);
  expect(before?.events.map(({ at }) => at)).toEqual(Array.from({ length: long }, (_, i) => i));
  await runs.add(run.id, long, { ...tap, at: long });
  await expect(runs.add(run.id, long, { ...tap, at: 9 })).rejects.toThrow(MovedOnError);
  expect((await runs.read(run.id))?.events.at(-1)?.at).toBe(long);
  await runs.remove(run.id);
  expect(await rowsOf(run.id)).toBe(0);
});

test('a making brought back from a file is one row, and a row that can not be read keeps the others as they are', async () => {
  const run = newRun();
  const events = Array.from({ length: 3000 }, (_, at): RunEvent => ({ ...tap, at }));
  await runs.restore(run, events);
  expect(await rowsOf(run.id)).toBe(1);
  expect((await runs.read(run.id))?.events).toEqual(events);
  await runs.add(run.id, 3000, { kind: 'unheard of' } as unknown as RunEvent);
  const kept = await runs.read(run.id);
  expect(kept?.events).toEqual(events);
  expect(kept?.unreadable).toBe(1);
});
