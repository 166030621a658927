import { t } from '../core/words/language';
import { temporal } from 'zundo';
import { createStore } from 'zustand/vanilla';
import type { PartSource } from '../core/notation/pattern';
import { readPattern } from '../core/notation/readPattern';
import { carryPartIds, type KnownPart } from '../core/keep/partIds';
import { removeDraft, writeDraft, type Draft } from './drafts';
import { announceChange } from './otherTabs';
import { newId, shelf, type TextHistory } from './shelf';
import { ConflictError, GoneError, TooLongError, type StoredToy } from './storedToy';

export type SaveState =
  | { kind: 'saved' }
  | { kind: 'saving' }
  /** storage said no; it is tried again by itself */
  | { kind: 'failed'; message: string }
  /** it could not be read again; what was saved before stays until it is shorter */
  | { kind: 'refused'; message: string }
  /** another tab saved something else meanwhile */
  | { kind: 'conflict'; theirs: StoredToy }
  /** another tab took the toy off the shelf */
  | { kind: 'gone' };

interface EditorState {
  text: string;
}

/** However steadily one types, what is typed is saved this long after it. */
const saveAfterMs = 400;
const retryAfterMs = 4000;
const cardAfterMs = 800;
/** Keystrokes closer than this make one step of undo. */
const oneStepMs = 600;
/** How much of the history is kept over a reload. */
const stepsKept = 40;
const signsKept = 600_000;

/** What a toy is opened with besides itself. */
export interface OpenedWith {
  history: TextHistory;
  /** what an earlier opening typed and could not save */
  drafts: readonly Draft[];
}

/** The newest texts that fit into what is kept. */
function newest(texts: readonly string[]): string[] {
  let signs = 0;
  const from = texts.findLastIndex((text, index) => {
    signs += text.length;
    return signs > signsKept || index < texts.length - stepsKept;
  });
  return texts.slice(from + 1);
}

/** The text of one toy while it is worked on: its history, and the saving of it. */
export type ToyEditor = ReturnType<typeof createToyEditor>;

export function createToyEditor(
  toy: StoredToy,
  { history, drafts }: OpenedWith = { history: { past: [], future: [] }, drafts: [] },
) {
  const opening = newId();
  let base = toy;
  /** what the parts of the text looked at last are known by */
  let parts = toy.document.parts;
  /** revision that what is unsaved was typed over; null where that is the one it will be saved over */
  let typedOver: number | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let cardTimer: ReturnType<typeof setTimeout> | undefined;
  let lastStep = 0;
  let historyChanged = false;
  let pending: Promise<void> = Promise.resolve();
  const status = createStore<{ save: SaveState }>(() => ({ save: { kind: 'saved' } }));
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
  const states = (texts: readonly string[]) => texts.map((text) => ({ text }));
  store.temporal.setState({ pastStates: states(history.past), futureStates: states(history.future) });

  const historyNow = (): TextHistory => {
    const { pastStates, futureStates } = store.temporal.getState();
    const texts = (list: Partial<EditorState>[]) => newest(list.map((state) => state.text ?? ''));
    return { past: texts(pastStates), future: texts(futureStates) };
  };
  const schedule = (after: number) => {
    timer ??= setTimeout(() => void flush(), after);
  };
  const reschedule = (after: number) => {
    clearTimeout(timer);
    timer = undefined;
    schedule(after);
  };

  /** Saves what there is to save. What another tab did is asked about, what storage refuses is tried again. */
  const write = async (): Promise<void> => {
    const { text } = store.getState();
    const { kind } = status.getState().save;
    if (kind === 'conflict' || kind === 'gone') return;
    if (text === base.document.text) {
      status.setState({ save: { kind: 'saved' } });
      if (!historyChanged) return;
      historyChanged = false;
      await shelf.keepHistory(base.id, historyNow()).catch(() => {
        historyChanged = true;
      });
      return;
    }
    status.setState({ save: { kind: 'saving' } });
    try {
      base = await shelf.save(base, text, { savedBy: opening, history: historyNow(), parts });
      historyChanged = false;
      const typedMeanwhile = store.getState().text !== text;
      if (typedMeanwhile) keepDraft();
      else removeDraft(toy.id, opening);
      status.setState({ save: { kind: typedMeanwhile ? 'saving' : 'saved' } });
      renewCard(cardAfterMs);
      if (typedMeanwhile) schedule(saveAfterMs);
      announceChange(base.id);
    } catch (error) {
      if (error instanceof ConflictError && error.stored.savedBy === opening) {
        // It was saved, and only the answer was lost.
        base = error.stored;
        schedule(saveAfterMs);
      } else if (error instanceof ConflictError)
        status.setState({ save: { kind: 'conflict', theirs: error.stored } });
      else if (error instanceof GoneError) status.setState({ save: { kind: 'gone' } });
      else if (error instanceof TooLongError)
        status.setState({ save: { kind: 'refused', message: error.message } });
      else {
        status.setState({
          save: {
            kind: 'failed',
            message: t`The browser would not save this. It is tried again; export the toy to be safe.`,
          },
        });
        reschedule(retryAfterMs);
      }
    }
  };
  const flush = (): Promise<void> => {
    clearTimeout(timer);
    timer = undefined;
    pending = pending.then(write);
    return pending;
  };
  // What the shelf shows of the toy is computed: it waits until the typing rests.
  const renewCard = (after: number) => {
    clearTimeout(cardTimer);
    cardTimer = setTimeout(() => void shelf.renewCard(base), after);
  };
  const keepDraft = () =>
    writeDraft(toy.id, {
      opening,
      revision: typedOver ?? base.revision,
      text: store.getState().text,
      at: Date.now(),
    });

  store.subscribe(() => {
    if (store.getState().text === base.document.text) removeDraft(toy.id, opening);
    else {
      keepDraft();
      if (status.getState().save.kind === 'saved') status.setState({ save: { kind: 'saving' } });
    }
    schedule(saveAfterMs);
  });
  store.temporal.subscribe(() => {
    historyChanged = true;
    schedule(saveAfterMs);
  });

  const editor = {
    id: toy.id,
    opening,
    store,
    status,
    flush,
    stored: () => base,
    /** Saves what there is to save and leaves the shelf as it should be found. */
    async close(): Promise<void> {
      await flush();
      clearTimeout(timer);
      if (cardTimer === undefined) return;
      clearTimeout(cardTimer);
      await shelf.renewCard(base);
    },
    /** Finds the parts of the text as it is now again among those it had, and knows the new ones from here on. */
    knowParts(sources: readonly PartSource[]): readonly KnownPart[] {
      parts = carryPartIds(parts, sources);
      return parts;
    },
    /** Adds a part at the end of the text, and tells its id. */
    addPart(written: string): string {
      const text = `${store.getState().text.replace(/\s*$/, '')}\n\n${written}`;
      const { parts: sources } = readPattern(text);
      editor.knowParts(sources);
      editor.step(text);
      return parts[sources.length - 1]?.id ?? '';
    },
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
      editor.takeTheirs();
    },
    takeTheirs() {
      const { save } = status.getState();
      if (save.kind !== 'conflict') return;
      base = save.theirs;
      parts = base.document.parts;
      typedOver = null;
      status.setState({ save: { kind: 'saved' } });
      editor.step(base.document.text);
      removeDraft(toy.id, opening);
    },
    /** Puts the toy back that another tab took off the shelf, as it stands here. */
    async putBack(): Promise<void> {
      base = await shelf.putBack(base, store.getState().text);
      removeDraft(toy.id, opening);
      status.setState({ save: { kind: 'saved' } });
      announceChange(toy.id);
    },
    /** Another tab changed this toy: follow it where nothing is unsaved here, else say so. */
    async elsewhere(): Promise<void> {
      const stored = await shelf.read(toy.id).catch(() => undefined);
      if (stored === undefined || stored?.revision === base.revision) return;
      if (stored === null) {
        status.setState({ save: { kind: 'gone' } });
        return;
      }
      if (store.getState().text === base.document.text) {
        base = stored;
        parts = stored.document.parts;
        status.setState({ save: { kind: 'saved' } });
        store.setState({ text: stored.document.text });
      } else status.setState({ save: { kind: 'conflict', theirs: stored } });
    },
  };

  // What an earlier opening typed goes on here. Over another revision than it was typed on it is a question, unless it saved that itself.
  for (const draft of drafts) {
    const lost = draft.text !== base.document.text;
    const own = draft.revision === base.revision || base.savedBy === draft.opening;
    if (lost) {
      if (!own) {
        typedOver = draft.revision;
        status.setState({ save: { kind: 'conflict', theirs: base } });
      }
      editor.step(draft.text);
    }
    removeDraft(toy.id, draft.opening);
  }
  return editor;
}
