/** @jest-environment node */
import 'fake-indexeddb/auto';
import { abandonedDrafts } from './drafts';
import { shelf } from './shelf';
import { storage } from './storage';
import { createToyEditor, type ToyEditor } from './toyEditor';

// The word between tabs keeps a test running for ever; what tabs do to each other is tried in the browser.
jest.mock('./otherTabs', () => ({ announceChange: jest.fn() }));

/** The browser's store that needs no waiting, as an object. */
function fakeLocalStorage(): Storage {
  const store = Object.create({
    getItem(key: string) {
      return Object.hasOwn(this, key) ? (this as Record<string, string>)[key] : null;
    },
    setItem(key: string, value: string) {
      (this as Record<string, string>)[key] = value;
    },
    removeItem(key: string) {
      delete (this as Record<string, string>)[key];
    },
  }) as Storage;
  return store;
}

const putBefore = IDBObjectStore.prototype.put;

beforeEach(async () => {
  IDBObjectStore.prototype.put = putBefore;
  Object.defineProperty(globalThis, 'localStorage', { value: fakeLocalStorage(), configurable: true });
  await storage.clear();
  jest.useFakeTimers({ doNotFake: ['setImmediate', 'nextTick', 'queueMicrotask'] });
});
afterEach(() => jest.useRealTimers());

/** Lets what the database has begun come to its end: its turns are real ones. */
const settle = async () => {
  for (let i = 0; i < 30; i += 1)
    await new Promise((resolve) => {
      setImmediate(resolve);
    });
};
const pass = async (ms: number) => {
  await jest.advanceTimersByTimeAsync(ms);
  await settle();
};
const text = (editor: ToyEditor) => editor.store.getState().text;
const keptText = async (id: string) => (await shelf.read(id))?.document.text;
const reopened = async (id: string) =>
  createToyEditor((await shelf.read(id))!, {
    history: await shelf.history(id),
    drafts: await abandonedDrafts(id),
  });
const texts = async () => (await shelf.all()).map((toy) => toy.document.text).sort();

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

test('however steadily one types, it is saved within a second; the history goes with it and outlives the page', async () => {
  const made = await shelf.create('a');
  const editor = createToyEditor(made);
  let typed = 'a';
  for (let i = 0; i < 40; i += 1) {
    typed += 'b';
    editor.setText(typed);
    await pass(100);
    if (i > 10) expect(typed.length - (await keptText(made.id))!.length).toBeLessThanOrEqual(10);
  }
  await pass(1000);
  expect(await keptText(made.id)).toBe(typed);
  const again = await reopened(made.id);
  again.undo();
  expect(text(again)).toBe('a');
});

test('what was typed last is in the draft at once, and is there when the toy is opened after a crash', async () => {
  const made = await shelf.create('a');
  createToyEditor(made).setText('a and the last word');
  // The page is gone before anything is saved.
  jest.clearAllTimers();
  expect(await keptText(made.id)).toBe('a');
  jest.setSystemTime(Date.now() + 6000);
  const again = await reopened(made.id);
  expect([text(again), again.status.getState().save.kind]).toEqual(['a and the last word', 'saving']);
  await pass(1000);
  expect(await keptText(made.id)).toBe('a and the last word');
  expect(await abandonedDrafts(made.id)).toEqual([]);
});

test('a draft over a text that another tab changed since is a question, and both are kept', async () => {
  const made = await shelf.create('a');
  createToyEditor(made).setText('mine');
  jest.clearAllTimers();
  await shelf.save(made, 'theirs');
  jest.setSystemTime(Date.now() + 6000);
  const again = await reopened(made.id);
  expect([text(again), again.status.getState().save.kind]).toEqual(['mine', 'conflict']);
  await again.keepBoth();
  expect([text(again), await texts()]).toEqual(['theirs', ['mine', 'theirs']]);
});

test('a draft whose opening had saved it already is no question', async () => {
  const made = await shelf.create('a');
  const editor = createToyEditor(made);
  editor.setText('ab');
  await editor.flush();
  // It died between its saving and the word of it.
  localStorage.setItem(
    `hoppla/draft/${made.id}/${editor.opening}`,
    JSON.stringify({ opening: editor.opening, revision: made.revision, text: 'abc', at: Date.now() }),
  );
  jest.setSystemTime(Date.now() + 6000);
  const again = await reopened(made.id);
  expect([text(again), again.status.getState().save.kind]).toEqual(['abc', 'saving']);
});

test('a change is saved by itself, and a conflict is kept apart', async () => {
  const made = await shelf.create('a');
  const editor = createToyEditor(made);
  editor.setText('mine');
  await pass(500);
  expect(await keptText(made.id)).toBe('mine');
  await shelf.save(editor.stored(), 'theirs');
  editor.setText('mine again');
  await pass(1000);
  expect(editor.status.getState().save.kind).toBe('conflict');
  await editor.keepBoth();
  expect(text(editor)).toBe('theirs');
  expect(await texts()).toEqual(['mine again', 'theirs']);
});

test('storage that refuses is said, and tried again by itself', async () => {
  const made = await shelf.create('a');
  const editor = createToyEditor(made);
  IDBObjectStore.prototype.put = () => {
    throw new DOMException('full', 'QuotaExceededError');
  };
  editor.setText('more');
  await pass(500);
  expect(editor.status.getState().save.kind).toBe('failed');
  IDBObjectStore.prototype.put = putBefore;
  await pass(4500);
  expect([editor.status.getState().save.kind, await keptText(made.id)]).toEqual(['saved', 'more']);
});

test('a text too long to be read again is refused and said; cut shorter it is saved', async () => {
  const made = await shelf.create('a');
  const editor = createToyEditor(made);
  editor.setText('x'.repeat(204_517));
  await pass(500);
  expect(editor.status.getState().save).toMatchObject({
    kind: 'refused',
    message: expect.stringContaining('4517 signs too long'),
  });
  expect(await keptText(made.id)).toBe('a');
  editor.setText('x'.repeat(1000));
  await pass(500);
  expect([editor.status.getState().save.kind, (await keptText(made.id))?.length]).toEqual(['saved', 1000]);
});

test('a clean tab follows what another one saved; one whose toy was deleted says so and can put it back', async () => {
  const made = await shelf.create('a');
  const editor = createToyEditor(made);
  await shelf.save(made, 'theirs');
  await editor.elsewhere();
  expect([text(editor), editor.status.getState().save.kind]).toEqual(['theirs', 'saved']);
  await shelf.remove(made.id);
  editor.setText('theirs and mine');
  await pass(1000);
  expect([editor.status.getState().save.kind, await texts()]).toEqual(['gone', []]);
  await editor.putBack();
  expect([editor.status.getState().save.kind, await texts()]).toEqual(['saved', ['theirs and mine']]);
});
