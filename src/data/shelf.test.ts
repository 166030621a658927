/** @jest-environment node */
import 'fake-indexeddb/auto';
import { limits } from '../core/notation/limits';
import { readDocument, type ToyDocument } from '../core/keep/document';
import { readyToy } from './keptToy';
import { usualHands } from '../core/plan/hands';
import { handsKey, shelf } from './shelf';
import { ConflictError, DamagedError, GoneError, RecordError, TooLongError } from './storedToy';
import { storage } from './storage';

const text = 'Toy: Bee\nHead\nR1: 6 sc in ring';
const putBefore = IDBObjectStore.prototype.put;
const breakWrites = () => {
  IDBObjectStore.prototype.put = () => {
    throw new DOMException('full', 'QuotaExceededError');
  };
};

beforeEach(async () => {
  IDBObjectStore.prototype.put = putBefore;
  await storage.clear();
});

const names = async () =>
  (await shelf.list()).map((toy) => (toy.kind === 'kept' ? toy.card.name : `damaged: ${toy.name}`));

test('a toy is created, listed by its card, read and saved', async () => {
  const made = await shelf.create(text);
  expect((await storage.getAllKeys()).sort()).toEqual([`hoppla/card/${made.id}`, `hoppla/toy/${made.id}`]);
  const saved = await shelf.save(made, text.replace('Bee', 'Wasp'));
  expect(saved.revision).toBe(2);
  expect((await shelf.read(made.id))?.document.text).toContain('Wasp');
  // The kept card was of the text before; the shelf makes it anew and keeps it.
  expect(await names()).toEqual(['Wasp']);
  expect(JSON.parse((await storage.getItem(`hoppla/card/${made.id}`))!)).toMatchObject({
    revision: 2,
    card: { name: 'Wasp', parts: 1, picture: { fabric: [{ d: expect.stringMatching(/^M\d/) }] } },
  });
});

test('toys kept by the first Hoppla, with a list and without cards, are all there, with their history', async () => {
  const document = {
    format: 'hoppla-toy',
    version: 1,
    text,
    made: '2026-01-02T03:04:05.000Z',
    changed: '2026-01-02T03:04:05.000Z',
  };
  await storage.setMany({
    'hoppla/index': '{"version":1,"toys":[]}',
    'hoppla/toy/old': JSON.stringify({ revision: 7, document }),
    'hoppla/history/old': JSON.stringify({ state: { past: ['Toy: Bee'], future: [] }, version: 0 }),
  });
  expect(await names()).toEqual(['Bee']);
  expect(await shelf.history('old')).toEqual({ past: ['Toy: Bee'], future: [] });
  expect((await shelf.save((await shelf.read('old'))!, `${text} [6]`)).revision).toBe(8);
});

test('saving over a newer revision is refused with what is there; of two at once one is', async () => {
  const made = await shelf.create(text);
  await shelf.save(made, `${text} [6]`);
  await expect(shelf.save(made, 'mine')).rejects.toThrow(ConflictError);
  expect((await shelf.read(made.id))?.document.text).toBe(`${text} [6]`);
  const base = (await shelf.read(made.id))!;
  const both = await Promise.allSettled([shelf.save(base, 'one'), shelf.save(base, 'other')]);
  expect(both.map(({ status }) => status).sort()).toEqual(['fulfilled', 'rejected']);
});

test('toys made, changed and removed by two tabs at once: all are there, none comes back', async () => {
  const made = await Promise.all(
    Array.from({ length: 12 }, (_, i) => shelf.create(`Toy: Bee ${i}\nHead\nR1: 6 sc in ring`)),
  );
  const [first, second, ...others] = made;
  await Promise.all([
    ...others.map((toy) => shelf.save(toy, `${toy.document.text} [6]`)),
    shelf.remove(first!.id),
    shelf.create(text),
    shelf.remove(second!.id),
  ]);
  expect((await names()).sort()).toEqual(['Bee', ...others.map((_, i) => `Bee ${i + 2}`)].sort());
  await expect(shelf.save(first!, 'from the tab that still has it open')).rejects.toThrow(GoneError);
  await shelf.keepHistory(first!.id, { past: ['x'], future: [] });
  expect((await storage.getAllKeys()).filter((key) => key.includes(first!.id))).toEqual([]);
});

test('removing takes all that belongs to a toy; putting it back gives it all back, and never over one that is there', async () => {
  const made = await shelf.create(text);
  await shelf.save(made, `${text} [6]`, { history: { past: [text], future: [] } });
  const before = await storage.getMany((await storage.getAllKeys()).sort());
  const removed = await shelf.remove(made.id);
  expect(await storage.getAllKeys()).toEqual([]);
  breakWrites();
  await expect(shelf.restore(removed)).rejects.toThrow('full');
  IDBObjectStore.prototype.put = putBefore;
  await shelf.restore(removed);
  expect(await storage.getMany((await storage.getAllKeys()).sort())).toEqual(before);
  await shelf.save((await shelf.read(made.id))!, 'newer');
  await shelf.restore(removed);
  expect((await shelf.read(made.id))?.document.text).toBe('newer');
});

test('a toy that can’t be read stays on the shelf, says why, and is kept to the letter', async () => {
  const made = await shelf.create(text);
  const broken = JSON.stringify({
    revision: 1,
    document: { ...made.document, text: 5, made: '2026-01-02T03:04:05.000Z' },
  });
  await storage.setItem(`hoppla/toy/${made.id}`, broken);
  await storage.setItem(
    'hoppla/toy/cut',
    '{"revision":3,"document":{"format":"hoppla-toy","version":1,"text":"Toy: Wasp\\nHead\\nR1: 6 sc',
  );
  expect(await shelf.list()).toEqual([
    expect.objectContaining({
      id: made.id,
      kind: 'damaged',
      why: expect.stringMatching(/pattern text/),
      made: '2026-01-02T03:04:05.000Z',
    }),
    expect.objectContaining({ id: 'cut', kind: 'damaged', name: 'Wasp' }),
  ]);
  await expect(shelf.read(made.id)).rejects.toMatchObject({ kept: broken });
  await expect(shelf.read(made.id)).rejects.toThrow(DamagedError);
  await expect(shelf.save(made, 'over it')).rejects.toThrow(DamagedError);
  expect(await shelf.kept(made.id)).toBe(broken);
  const removed = await shelf.remove(made.id);
  await shelf.restore(removed);
  expect(await shelf.kept(made.id)).toBe(broken);
});

test.each([
  ['too many signs', 'x'.repeat(limits.textSigns + 1)],
  ['signs that grow when they are kept', '\u0001'.repeat(150_000)],
])('%s: refused before it is written', async (_, long) => {
  const made = await shelf.create(text);
  await expect(shelf.save(made, long)).rejects.toThrow(TooLongError);
  await expect(shelf.create(long)).rejects.toThrow(TooLongError);
  expect((await shelf.read(made.id))?.document.text).toBe(text);
  expect(await names()).toEqual(['Bee']);
});

test('what may be kept can be read again, up to the last sign', async () => {
  const long = `Toy: Long\n${'"\n'.repeat((limits.textSigns - 20) / 2)}`;
  const made = await shelf.create(long);
  expect((await shelf.read(made.id))?.document.text).toBe(long);
});

test('storage that says no is told, not swallowed', async () => {
  const made = await shelf.create(text);
  breakWrites();
  await expect(shelf.save(made, 'more')).rejects.toThrow('full');
  expect((await shelf.read(made.id))?.document.text).toBe(text);
});

test('a new shelf gets all its first toys or none, once, in their order', async () => {
  const first = ['otter', 'owl', 'frog'].map((name) => readyToy(`Toy: ${name}\nHead\nR1: 6 sc in ring`));
  let writes = 0;
  IDBObjectStore.prototype.put = function some(this: IDBObjectStore, ...input: Parameters<typeof putBefore>) {
    writes += 1;
    if (writes === 3) throw new DOMException('killed', 'AbortError');
    return putBefore.apply(this, input);
  };
  await expect(shelf.seed(first)).rejects.toThrow('killed');
  expect([await names(), await shelf.wasSeeded()]).toEqual([[], false]);
  IDBObjectStore.prototype.put = putBefore;
  await Promise.all([shelf.seed(first), shelf.seed(first)]);
  expect([await names(), await shelf.wasSeeded()]).toEqual([['otter', 'owl', 'frog'], true]);
});

describe('the record of what was tried', () => {
  const entry = {
    trial: 'pull left eye of the head',
    of: 'left eye of the head',
    toy: 1,
    at: '2026-05-02T10:00:00.000Z',
    result: 'failed' as const,
    forceN: 50,
    note: '',
  };

  test('is written entry by entry, outlives every save of the text, and goes with the file', async () => {
    const made = await shelf.create(text);
    await shelf.addEntry(made.id, entry);
    await shelf.save(made, `${text} [6]`);
    expect(await shelf.addEntry(made.id, { ...entry, result: 'held' })).toHaveLength(2);
    const file = await shelf.exportText((await shelf.read(made.id))!);
    const read = readDocument(file);
    expect(read.ok && read.document.record).toEqual([entry, { ...entry, result: 'held' }]);
    // As a copy beside it, the toy brings its record along.
    const copy = await shelf.add((read as { document: ToyDocument }).document);
    expect(copy.id).not.toBe(made.id);
    expect(await shelf.record(copy.id)).toHaveLength(2);
  });

  test('goes and comes back with its toy; of a toy that is gone nothing is written', async () => {
    const made = await shelf.create(text);
    await shelf.addEntry(made.id, entry);
    const removed = await shelf.remove(made.id);
    expect(await storage.getAllKeys()).toEqual([]);
    await expect(shelf.addEntry(made.id, entry)).rejects.toThrow(GoneError);
    await shelf.restore(removed);
    expect(await shelf.record(made.id)).toEqual([entry]);
  });

  test('that is broken is said, stays as it is, and nothing is written over it', async () => {
    const made = await shelf.create(text);
    await storage.setItem(`hoppla/record/${made.id}`, '[{"half');
    await expect(shelf.record(made.id)).rejects.toThrow(RecordError);
    await expect(shelf.addEntry(made.id, entry)).rejects.toThrow(RecordError);
    expect(await storage.getItem(`hoppla/record/${made.id}`)).toBe('[{"half');
  });

  test('that is full says so', async () => {
    const made = await shelf.create(text);
    const full = JSON.stringify(Array.from({ length: 500 }, () => entry));
    await storage.setItem(`hoppla/record/${made.id}`, full);
    await expect(shelf.addEntry(made.id, entry)).rejects.toThrow(/full/);
  });
});

test('a card says the next stop for the hands as they are now', async () => {
  // 24, 18, 12 and 6 stitches of 5 mm: 38, 29, 19 and 10 mm.
  const head =
    'Terms: US\nGauge: 5 mm x 5 mm\nFor: 3 and over\nHead\nR1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4: (2 sc, inc) x 6\nR5-R8: sc around\nR9: (2 sc, dec) x 6\nR10: (sc, dec) x 6\nR11: dec x 6\nStuff.';
  await shelf.create(head);
  const next = async () => (await shelf.list()).map((toy) => (toy.kind === 'kept' ? toy.card.next : ''));
  expect(await next()).toEqual(['Head, after round 9: stuff the bulk']);
  await storage.setItem(handsKey, JSON.stringify({ ...usualHands, stuffFingers: 35 }));
  expect(await next()).toEqual(['Head, after round 8: stuff the bulk']);
  // What is brought now is for these hands from the first.
  const [made] = await shelf.all();
  await shelf.addFile(await shelf.exportText(made!));
  expect(await next()).toEqual(Array.from({ length: 2 }, () => 'Head, after round 8: stuff the bulk'));
  await storage.removeItem(handsKey);
  expect(await next()).toEqual(Array.from({ length: 2 }, () => 'Head, after round 9: stuff the bulk'));
});
