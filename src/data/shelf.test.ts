import { ConflictError, DamagedError, shelf } from './shelf';

const mockKept = new Map<string, string>();
let mockBroken = false;

jest.mock('./storage', () => ({
  storage: {
    getItem: async (key: string) => mockKept.get(key) ?? null,
    setItem: async (key: string, value: string) => { if (mockBroken) throw new Error('full'); mockKept.set(key, value); },
    removeItem: async (key: string) => { mockKept.delete(key); },
    getAllKeys: async () => [...mockKept.keys()],
  },
}));

const text = 'Toy: Bee\nHead\nR1: 6 sc in ring';

beforeEach(() => {
  mockKept.clear();
  mockBroken = false;
});

test('a toy is created, listed, read and saved, one small key a toy', async () => {
  const made = await shelf.create(text);
  expect([...mockKept.keys()].sort()).toEqual(['hoppla/index', `hoppla/toy/${made.id}`]);
  const saved = await shelf.save(made, text.replace('Bee', 'Wasp'));
  expect(saved.revision).toBe(2);
  expect((await shelf.read(made.id))?.document.text).toContain('Wasp');
  expect(JSON.parse(mockKept.get('hoppla/index')!).toys).toMatchObject([{ id: made.id, name: 'Wasp' }]);
});

test('saving over a newer revision is refused, with what is there', async () => {
  const made = await shelf.create(text);
  await shelf.save(made, `${text} [6]`);
  await expect(shelf.save(made, 'mine')).rejects.toThrow(ConflictError);
  expect((await shelf.read(made.id))?.document.text).toBe(`${text} [6]`);
});

test('removing and putting back gives the same toy', async () => {
  const made = await shelf.create(text);
  await shelf.remove(made.id);
  expect(await shelf.list()).toEqual([]);
  await shelf.restore(made);
  expect(await shelf.list()).toEqual([made]);
});

test('a broken index is made anew from the toys; a broken toy is named, not lost', async () => {
  const made = await shelf.create(text);
  mockKept.set('hoppla/index', '{broken');
  expect((await shelf.list()).map((toy) => toy.id)).toEqual([made.id]);
  mockKept.set(`hoppla/toy/${made.id}`, '{"revision":1}');
  await expect(shelf.read(made.id)).rejects.toThrow(DamagedError);
  expect(mockKept.get(`hoppla/toy/${made.id}`)).toBe('{"revision":1}');
});

test('storage that says no is told, not swallowed', async () => {
  const made = await shelf.create(text);
  mockBroken = true;
  await expect(shelf.save(made, 'more')).rejects.toThrow('full');
  expect((await shelf.read(made.id))?.document.text).toBe(text);
});
