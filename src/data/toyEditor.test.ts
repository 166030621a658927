import { shelf } from './shelf';
import { createToyEditor } from './toyEditor';

const mockKept = new Map<string, string>();

jest.mock('./storage', () => ({
  storage: {
    getItem: async (key: string) => mockKept.get(key) ?? null,
    setItem: async (key: string, value: string) => { mockKept.set(key, value); },
    removeItem: async (key: string) => { mockKept.delete(key); },
    getAllKeys: async () => [...mockKept.keys()],
  },
}));

beforeEach(() => {
  mockKept.clear();
  jest.useFakeTimers();
});
afterEach(() => jest.useRealTimers());

const text = (editor: ReturnType<typeof createToyEditor>) => editor.store.getState().text;

test('typing in one go is one step of undo, taps are steps of their own, a drag is one', async () => {
  const editor = createToyEditor(await shelf.create('a'));
  editor.setText('ab');
  editor.setText('abc');
  editor.step('abc 1');
  editor.step('abc 2');
  editor.step('drag 1');
  editor.amend('drag 2');
  editor.amend('drag 3');
  const seen: string[] = [];
  for (let i = 0; i < 4; i += 1) {
    editor.undo();
    seen.push(text(editor));
  }
  expect(seen).toEqual(['abc 2', 'abc 1', 'abc', 'a']);
  editor.redo();
  editor.redo();
  expect(text(editor)).toBe('abc 1');
});

test('a change is saved by itself, and a conflict is kept apart', async () => {
  const made = await shelf.create('a');
  const editor = createToyEditor(made);
  editor.setText('mine');
  await jest.advanceTimersByTimeAsync(400);
  expect((await shelf.read(made.id))?.document.text).toBe('mine');
  await shelf.save(editor.stored(), 'theirs');
  editor.setText('mine again');
  await jest.advanceTimersByTimeAsync(1000);
  expect(editor.status.getState().save.kind).toBe('conflict');
  await editor.keepBoth();
  expect(text(editor)).toBe('theirs');
  expect((await shelf.list()).map((toy) => toy.document.text).sort()).toEqual(['mine again', 'theirs']);
});

test('a clean tab follows what another one saved', async () => {
  const made = await shelf.create('a');
  const editor = createToyEditor(made);
  await shelf.save(made, 'theirs');
  await editor.elsewhere();
  expect(text(editor)).toBe('theirs');
  expect(editor.status.getState().save.kind).toBe('saved');
});
