import { temporal } from 'zundo';
import { createStore } from 'zustand/vanilla';
import { persist, createJSONStorage } from 'zustand/middleware';
import { announceChange } from './otherTabs';
import { ConflictError, shelf, type StoredToy } from './shelf';
import { storage } from './storage';

export type SaveState =
  | { kind: 'saved' }
  | { kind: 'saving' }
  /** storage said no; it is tried again by itself */
  | { kind: 'failed'; message: string }
  /** another tab saved something else meanwhile */
  | { kind: 'conflict'; theirs: StoredToy };

interface EditorState {
  text: string;
}

const saveAfterMs = 350;
const retryAfterMs = 4000;
/** Keystrokes closer than this make one step of undo. */
const oneStepMs = 600;

/** The text of one toy while it is worked on: its history, and the saving of it. */
export type ToyEditor = ReturnType<typeof createToyEditor>;

export function createToyEditor(toy: StoredToy) {
  let base = toy;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let lastStep = 0;
  let pending: Promise<void> = Promise.resolve();
  const status = createStore<{ save: SaveState }>(() => ({ save: { kind: 'saved' } }));

  // The history outlives a reload of the tab, so that yesterday's slip can still be undone.
  const history = createStore<{ past: string[]; future: string[] }>()(
    persist(() => ({ past: [] as string[], future: [] as string[] }), { name: `hoppla/history/${toy.id}`, storage: createJSONStorage(() => storage) }),
  );
  const store = createStore<EditorState>()(
    temporal(() => ({ text: toy.document.text }), {
      limit: 100,
      equality: (a, b) => a.text === b.text,
      handleSet: (record) => (state) => {
        const now = Date.now();
        if (now - lastStep > oneStepMs) record(state);
        lastStep = now;
      },
    }),
  );
  const keepHistory = () => {
    const { pastStates, futureStates } = store.temporal.getState();
    const texts = (states: Partial<EditorState>[]) => states.map((state) => state.text ?? '').slice(-40);
    history.setState({ past: texts(pastStates), future: texts(futureStates) });
  };
  store.temporal.subscribe(keepHistory);
  const recall = () => {
    const { past, future } = history.getState();
    const states = (texts: string[]) => texts.map((text) => ({ text }));
    if (store.temporal.getState().pastStates.length === 0) store.temporal.setState({ pastStates: states(past), futureStates: states(future) });
  };
  (history as unknown as { persist: { onFinishHydration: (done: () => void) => void; hasHydrated: () => boolean } }).persist.onFinishHydration(recall);

  const write = async (): Promise<void> => {
    const { text } = store.getState();
    if (text === base.document.text || status.getState().save.kind === 'conflict') return;
    status.setState({ save: { kind: 'saving' } });
    try {
      base = await shelf.save(base, text);
      status.setState({ save: { kind: 'saved' } });
      announceChange(base.id);
    } catch (error) {
      if (error instanceof ConflictError) {
        status.setState({ save: { kind: 'conflict', theirs: error.stored } });
        return;
      }
      status.setState({ save: { kind: 'failed', message: 'The browser would not save this. It is tried again; export the toy to be safe.' } });
      schedule(retryAfterMs);
    }
  };
  const flush = () => {
    clearTimeout(timer);
    pending = pending.then(write);
    return pending;
  };
  const schedule = (after: number) => {
    clearTimeout(timer);
    timer = setTimeout(() => void flush(), after);
  };
  store.subscribe(() => {
    if (store.getState().text === base.document.text) return;
    if (status.getState().save.kind === 'saved') status.setState({ save: { kind: 'saving' } });
    schedule(saveAfterMs);
  });

  return {
    id: toy.id,
    store,
    status,
    flush,
    stored: () => base,
    setText: (text: string) => store.setState({ text }),
    /** A change that is a step of its own however fast it follows: a tap, not typing. */
    step(text: string) {
      lastStep = 0;
      store.setState({ text });
      lastStep = 0;
    },
    /** A change within the step just begun: the further snaps of one drag. */
    amend(text: string) {
      const { pause, resume } = store.temporal.getState();
      pause();
      store.setState({ text });
      resume();
    },
    undo() {
      store.temporal.getState().undo();
      lastStep = 0;
    },
    redo() {
      store.temporal.getState().redo();
      lastStep = 0;
    },
    /** Keeps this tab's text as a toy of its own and goes on with what the other tab saved. */
    async keepBoth(): Promise<void> {
      const { save } = status.getState();
      if (save.kind !== 'conflict') return;
      await shelf.create(store.getState().text);
      announceChange('');
      this.takeTheirs();
    },
    takeTheirs() {
      const { save } = status.getState();
      if (save.kind !== 'conflict') return;
      base = save.theirs;
      status.setState({ save: { kind: 'saved' } });
      store.setState({ text: base.document.text });
    },
    /** Another tab saved this toy: follow it where nothing is unsaved here, else say so. */
    async elsewhere(): Promise<void> {
      const stored = await shelf.read(toy.id);
      if (!stored || stored.revision === base.revision) return;
      const clean = store.getState().text === base.document.text;
      if (clean) {
        base = stored;
        store.setState({ text: stored.document.text });
      } else status.setState({ save: { kind: 'conflict', theirs: stored } });
    },
  };
}
