/** @jest-environment node */
import 'fake-indexeddb/auto';
import { storage, transact } from './storage';

test('what the storage library writes a transaction reads, and the other way round', async () => {
  await storage.setItem('a', '1');
  const seen = await transact(['a', 'none'], (kept) => ({ changes: { b: '2', a: null }, result: [...kept] }));
  expect(seen).toEqual([['a', '1']]);
  expect(await storage.getItem('b')).toBe('2');
  expect(await storage.getItem('a')).toBeNull();
});

test('a hundred at once count to a hundred: nobody comes in between', async () => {
  await storage.setItem('count', '0');
  const once = () =>
    transact(['count'], (kept) => ({
      changes: { count: String(Number(kept.get('count')) + 1) },
      result: undefined,
    }));
  await Promise.all(Array.from({ length: 100 }, once));
  expect(await storage.getItem('count')).toBe('100');
});

test('what refuses changes nothing, and the next one finds all as it was', async () => {
  await storage.setItem('kept', 'yes');
  await expect(
    transact(['kept'], () => {
      throw new Error('no');
    }),
  ).rejects.toThrow('no');
  const put = IDBObjectStore.prototype.put;
  let writes = 0;
  // The second of two writes fails: the first must not stand.
  IDBObjectStore.prototype.put = function fail(this: IDBObjectStore, ...input: Parameters<typeof put>) {
    writes += 1;
    if (writes === 2) throw new DOMException('full', 'QuotaExceededError');
    return put.apply(this, input);
  };
  await expect(
    transact(['kept'], () => ({ changes: { kept: 'no', more: 'no' }, result: undefined })),
  ).rejects.toThrow('full');
  IDBObjectStore.prototype.put = put;
  expect(await storage.getItem('kept')).toBe('yes');
  expect(await transact(['kept'], (kept) => ({ changes: {}, result: kept.get('kept') }))).toBe('yes');
});
