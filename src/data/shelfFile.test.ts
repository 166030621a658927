/** @jest-environment node */
import 'fake-indexeddb/auto';
import { strToU8, zipSync } from 'fflate';
import { newYarn, yarnShelf } from './yarns';
import { runs } from './runs';
import { shelf } from './shelf';
import { packShelf, packToy, restoreShelf, unpackShelf } from './shelfFile';
import { storage } from './storage';

const text = (name: string) => `Toy: ${name}\nHead\nR1: 6 sc in ring\nR2: inc x 6`;

beforeEach(async () => {
  await storage.clear();
});

/** A shelf of two toys of one name, one of them tried and half made, and a yarn. */
async function filled() {
  const [bee, other] = [await shelf.create(text('Bee')), await shelf.create(text('Bee'))];
  await shelf.addEntry(bee.id, {
    trial: 'pull',
    of: 'left eye',
    toy: 1,
    at: '2026-05-02T10:00:00.000Z',
    result: 'failed',
    forceN: 50,
    note: 'the washer slipped',
  });
  const run = {
    id: `run-${bee.id}`,
    toy: bee.id,
    name: 'Bee',
    text: text('Bee'),
    copies: 2,
    started: '2026-05-01T08:00:00.000Z',
  };
  await runs.begin(run);
  await runs.add(run.id, 0, { kind: 'on', at: 1, by: 'round' });
  await runs.add(run.id, 1, { kind: 'note', at: 2, text: 'two stitches short' });
  await yarnShelf.save({ ...newYarn(), name: 'Pond green' });
  return { bee, other, run };
}

test('a shelf packed and brought to an empty one is the same: toys, records, what is made, yarns', async () => {
  const { bee, other, run } = await filled();
  const { bytes, toys } = await packShelf();
  expect(toys).toBe(2);
  const before = [await shelf.read(bee.id), await shelf.read(other.id)];
  await storage.clear();
  await runs.remove(run.id);
  const file = await unpackShelf(bytes);
  expect([file.fresh.length, file.doubles, file.same, file.unread]).toEqual([2, [], 0, []]);
  expect(await restoreShelf(file, false)).toBe(2);
  const after = [await shelf.read(bee.id), await shelf.read(other.id)];
  expect(after.map((toy) => toy?.document)).toEqual(before.map((toy) => toy?.document));
  expect(await shelf.record(bee.id)).toMatchObject([{ note: 'the washer slipped' }]);
  expect(await runs.read(run.id)).toEqual({
    run,
    events: [
      { kind: 'on', at: 1, by: 'round' },
      { kind: 'note', at: 2, text: 'two stitches short' },
    ],
    unreadable: 0,
  });
  expect((await yarnShelf.list()).map(({ name }) => name)).toEqual(['Pond green']);
});

test('what a maker set for herself comes with the shelf, and never over what is set here', async () => {
  await shelf.create(text('Bee'));
  await storage.setItem('hoppla/habit/yarn-use', '1.2');
  await storage.setItem('hoppla/making-list', '{"toys":[]}');
  const { bytes } = await packShelf();
  await storage.clear();
  await storage.setItem('hoppla/habit/yarn-use', '0.9');
  await restoreShelf(await unpackShelf(bytes), false);
  expect(await storage.getItem('hoppla/habit/yarn-use')).toBe('0.9');
  expect(await storage.getItem('hoppla/making-list')).toBe('{"toys":[]}');
  const foreign = zipSync({
    'toys/a.json': strToU8('{}'),
    'own.json': strToU8('{"hoppla/seeded":"yes","hoppla/toy/x":"{}","hoppla/rules":7}'),
  });
  expect((await unpackShelf(foreign)).own).toEqual({});
});

test('toys that are here just so stay; those with another text are asked about', async () => {
  const { bee, other } = await filled();
  const { bytes } = await packShelf();
  await shelf.save(bee, text('Bumblebee'));
  const file = await unpackShelf(bytes);
  expect([file.same, file.doubles.map(({ name }) => name), file.fresh]).toEqual([1, ['Bee'], []]);
  expect(await restoreShelf(file, false)).toBe(0);
  expect(await shelf.list()).toHaveLength(2);
  expect(await restoreShelf(file, true)).toBe(1);
  expect(await shelf.list()).toHaveLength(3);
  expect((await shelf.read(bee.id))?.document.text).toContain('Bumblebee');
  expect((await shelf.read(other.id))?.document.text).toContain('Bee');
});

test('a toy that can’t be read goes into the file as it is kept, and the file says so when it comes back', async () => {
  await shelf.create(text('Bee'));
  await storage.setItem('hoppla/toy/broken', '{"revision":1,"document":{"text":"Toy: Wasp"');
  const { bytes, toys } = await packShelf();
  expect(toys).toBe(2);
  const { unread, same } = await unpackShelf(bytes);
  expect([same, unread.map(({ file }) => file)]).toEqual([1, ['as-kept/broken.json']]);
});

test.each([
  ['no packed file', strToU8('PK and then nothing of the kind'), 'can’t be read as a shelf'],
  [
    'a file cut off',
    zipSync({ 'toys/a.json': strToU8('{}'.repeat(200)) }).slice(0, 60),
    'Nothing was changed',
  ],
  ['another zip', zipSync({ 'holiday/beach.txt': strToU8('sun') }), 'no toys in this file'],
])('%s leaves the shelf as it is', async (_, bytes, words) => {
  await shelf.create(text('Bee'));
  await expect(unpackShelf(bytes)).rejects.toThrow(words);
  expect(await shelf.list()).toHaveLength(1);
});

test('a file that unpacks to more than a shelf can hold is not unpacked', async () => {
  const large = zipSync({ 'toys/a.json': new Uint8Array(90_000_000) }, { level: 1 });
  await expect(unpackShelf(large)).rejects.toThrow('more than a shelf can hold');
});

test('a broken toy among good ones is told by name, and the others come', async () => {
  const made = await shelf.create(text('Bee'));
  const good = await shelf.exportText(made);
  await storage.clear();
  const file = await unpackShelf(
    zipSync({ 'toys/bee.hoppla.json': strToU8(good), 'toys/wasp.hoppla.json': strToU8('{"format":') }),
  );
  expect(file.unread.map(({ file: name }) => name)).toEqual(['toys/wasp.hoppla.json']);
  expect(await restoreShelf(file, false)).toBe(1);
});

test('one toy with its logbook comes back where it was taken off, and brings nothing else', async () => {
  const { bee, run } = await filled();
  const photo = { kind: 'photo', at: 3, picture: 'data:image/jpeg;base64,AAAA', text: 'so far' } as const;
  await runs.add(run.id, 2, photo);
  const bytes = await packToy(bee.id);
  await storage.clear();
  await runs.remove(run.id);
  const file = await unpackShelf(bytes!);
  expect([file.fresh.map(({ id }) => id), file.yarns, file.own, file.unread]).toEqual([[bee.id], [], {}, []]);
  expect(await restoreShelf(file, false)).toBe(1);
  expect((await runs.read(run.id))?.events.at(-1)).toEqual(photo);
  expect(await packToy('gone')).toBeNull();
});
