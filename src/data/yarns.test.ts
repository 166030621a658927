/** @jest-environment node */
import 'fake-indexeddb/auto';
import { shelf } from './shelf';
import { newYarn, stuffing, yarnShelf } from './yarns';
import { storage } from './storage';

beforeEach(() => storage.clear());

const river = () => ({ ...newYarn(), name: 'River cotton', swatch: { tenStitchesMm: 60, tenRoundsMm: 57 } });

test('yarns are kept one key each, by name in order, and taken off again', async () => {
  const kept = await yarnShelf.save(river());
  await yarnShelf.save({ ...newYarn(), name: 'Ash wool' });
  expect((await yarnShelf.list()).map((yarn) => yarn.name)).toEqual(['Ash wool', 'River cotton']);
  await yarnShelf.remove(kept.id);
  expect((await yarnShelf.list()).map((yarn) => yarn.name)).toEqual(['Ash wool']);
});

test('two yarns never share a name; what can’t be a yarn is refused and nothing is lost', async () => {
  await yarnShelf.save(river());
  await expect(yarnShelf.save({ ...river(), name: 'river COTTON' })).rejects.toThrow(
    'Another yarn has this name',
  );
  await expect(yarnShelf.save({ ...river(), name: '' })).rejects.toThrow('Give the yarn a name.');
  expect(await yarnShelf.list()).toHaveLength(1);
});

test('a damaged yarn is passed over, the others are there', async () => {
  await yarnShelf.save(river());
  await storage.setItem('hoppla/yarn/broken', '{');
  await storage.setItem('hoppla/yarn/odd', '{"name":3}');
  expect((await yarnShelf.list()).map((yarn) => yarn.name)).toEqual(['River cotton']);
});

test('toys worked in a yarn follow it, also to a new name; others stay', async () => {
  const yarn = await yarnShelf.save(river());
  const mine = await shelf.create('Toy: Bee\nGauge: 5 mm x 4.8 mm, River cotton\n\nHead\nR1: 6 sc in ring');
  const other = await shelf.create('Toy: Wasp\nGauge: 5 mm x 4.8 mm, Ash wool\n\nHead\nR1: 6 sc in ring');
  const followed = await yarnShelf.refreshToys('River cotton', { ...yarn, name: 'Brook cotton' });
  expect(followed.map((toy) => toy.id)).toEqual([mine.id]);
  expect((await shelf.read(mine.id))?.document.text).toContain('Gauge: 6 mm x 5.7 mm, Brook cotton');
  expect((await shelf.read(other.id))?.document.text).toContain('Ash wool');
});

test('weighed stuffing is kept, forgotten on request, and never read from a damaged entry', async () => {
  expect(await stuffing.read()).toBeNull();
  await stuffing.write({ light: 22, medium: 38, firm: 55 });
  expect(await stuffing.read()).toEqual({ light: 22, medium: 38, firm: 55 });
  await storage.setItem('hoppla/stuffing', '{"light":-1,"medium":38,"firm":55}');
  expect(await stuffing.read()).toBeNull();
  await stuffing.write(null);
  expect(await stuffing.read()).toBeNull();
});
