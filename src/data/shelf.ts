import type { KnownPart } from '../core/keep/partIds';
import { ownLanguage, spoken } from '../core/words/language';
import type { ToyDocument } from '../core/keep/document';
import type { ToyCard } from '../core/keep/toyCard';
import type { RecordEntry } from '../core/safety/record';
import { forgetDrafts } from './drafts';
import { isRecord, parsed } from './json';
import type { ReadyToy } from './keptToy';
import { reading } from './reading';
import { ConflictError, GoneError, type StoredToy } from './storedToy';
import { storage, transact, type Changes } from './storage';

/** Loads what reads toys before one is opened, so that opening one waits for nothing. */
export const loadReading = (): void => void reading();

/** The texts of a toy before and after the one it has, so that yesterday's slip can still be undone. */
export interface TextHistory {
  past: string[];
  future: string[];
}

/** A toy on the shelf: what its card shows, or why it can't be read. */
export type ShelfToy =
  | { id: string; kind: 'kept'; made: string; card: ToyCard }
  | { id: string; kind: 'damaged'; made: string; why: string; name: string | null };

/** What a text is saved with. */
export interface SavedWith {
  /** the opening that saves, so that its drafts know their own */
  savedBy?: string | null;
  history?: TextHistory;
  /** what the parts of the text are known by */
  parts?: readonly KnownPart[];
}

/** What was taken off the shelf, as it was kept, readable or not. */
export interface RemovedToy {
  id: string;
  entries: Changes;
}

const toyPrefix = 'hoppla/toy/';
const seededKey = 'hoppla/seeded';
/** What the maker's hands and tools get through, as JSON. */
export const handsKey = 'hoppla/habit/hands';
const toyKey = (id: string) => toyPrefix + id;
const cardKey = (id: string) => `hoppla/card/${id}`;
const historyKey = (id: string) => `hoppla/history/${id}`;
const recordKey = (id: string) => `hoppla/record/${id}`;
const keysOf = (id: string) => [toyKey(id), cardKey(id), historyKey(id), recordKey(id)];

export function newId(): string {
  return `${Date.now().toString(36)}${Math.random().toString(36).slice(2, 8)}`;
}

const cardVersion = 3;

/** The card kept of a toy, where it is of that very revision, for those very hands, and in the language that is spoken. */
function parseCard(kept: string | null | undefined, revision: number, hands: string | null): ToyCard | null {
  const card = parsed(kept ?? '');
  const isCurrent =
    isRecord(card) &&
    card.version === cardVersion &&
    card.revision === revision &&
    (card.hands ?? null) === hands &&
    isRecord(card.card);
  if (!isCurrent) return null;
  const shown = card.card as unknown as ToyCard;
  // Cards of before there were languages are in our own.
  return (shown.language ?? ownLanguage) === spoken() ? shown : null;
}

const toyEntry = ({ id, revision, document, savedBy }: StoredToy): Record<string, string> => ({
  [toyKey(id)]: JSON.stringify({ revision, savedBy, document }),
});
const cardEntry = (
  { id, revision }: StoredToy,
  card: ToyCard,
  hands: string | null = null,
): Record<string, string> => ({
  [cardKey(id)]: JSON.stringify({ version: cardVersion, revision, hands, card }),
});

function parseHistory(kept: string | undefined): TextHistory {
  const found = parsed(kept ?? '');
  // Histories kept by the first Hoppla lie one deeper.
  const history = isRecord(found) && isRecord(found.state) ? found.state : found;
  const texts = (list: unknown) =>
    Array.isArray(list) ? list.filter((text): text is string => typeof text === 'string') : [];
  return isRecord(history)
    ? { past: texts(history.past), future: texts(history.future) }
    : { past: [], future: [] };
}

const now = () => new Date().toISOString();

/** A toy that is new here. */
const newToy = ({ document }: Pick<ReadyToy, 'document'>, made = now()): StoredToy => {
  const id = newId();
  return { id, revision: 1, document: { ...document, id, made, changed: made }, savedBy: null };
};

/** The keys of several new toys, the first on top, and the ids they get. */
function entriesOf(toys: readonly ReadyToy[]): { changes: Changes; ids: string[] } {
  const begun = Date.now();
  const stored = toys.map((ready, index) => newToy(ready, new Date(begun - index).toISOString()));
  const entries = stored.map((toy, index) => ({ ...toyEntry(toy), ...cardEntry(toy, toys[index]!.card) }));
  return { changes: Object.assign({}, ...entries) as Changes, ids: stored.map(({ id }) => id) };
}

/** Puts toys on the shelf, all of them or none. One that is there already, under the id it brings, stays, and this is a copy of it. */
async function put(documents: readonly ToyDocument[]): Promise<StoredToy[]> {
  const { cardOf, refuseTooLong } = await reading();
  const hands = await storage.getItem(handsKey);
  const ready = documents.map(({ record = [], ...document }) => {
    refuseTooLong(document);
    return { document, record, card: cardOf(document.text, hands) };
  });
  const keys = documents.map(({ id }) => toyKey(id));
  return transact(keys, (kept) => {
    let changes: Changes = {};
    const result = ready.map(({ document, record, card }): StoredToy => {
      const isTaken = kept.has(toyKey(document.id)) || toyKey(document.id) in changes;
      const id = isTaken ? newId() : document.id;
      const stored: StoredToy = { id, revision: 1, document: { ...document, id }, savedBy: null };
      const tried = record.length > 0 ? { [recordKey(id)]: JSON.stringify(record) } : {};
      changes = { ...changes, ...toyEntry(stored), ...cardEntry(stored, card, hands), ...tried };
      return stored;
    });
    return { changes, result };
  });
}

async function putOne(document: ToyDocument): Promise<StoredToy> {
  const [stored] = await put([document]);
  if (!stored) throw new GoneError();
  return stored;
}

/** What the shelf shows of a toy whose kept card is of this very revision, without reading its document closer than that. */
function shownAsKept(
  id: string,
  text: string,
  { card: kept, hands }: { card: string | null | undefined; hands: string | null },
): ShelfToy | null {
  const stored = parsed(text);
  if (!isRecord(stored) || !isRecord(stored.document) || typeof stored.revision !== 'number') return null;
  const { made, text: pattern } = stored.document;
  const card = parseCard(kept, stored.revision, hands);
  const isWhole = typeof made === 'string' && typeof pattern === 'string';
  return card && isWhole ? { id, kind: 'kept', made, card } : null;
}

/** What the shelf shows of a toy that has no card of its revision, or can't be read. */
async function shownAnew(id: string, text: string): Promise<ShelfToy> {
  const { parseStored } = await reading();
  const stored = parseStored(id, text);
  if (typeof stored === 'string') return { id, kind: 'damaged', why: stored, ...rememberedOf(text) };
  return { id, kind: 'kept', made: stored.document.made, card: await shelf.renewCard(stored) };
}

/** What a broken toy still says of when it was made and what it is called. */
function rememberedOf(kept: string): { made: string; name: string | null } {
  const made = /"made":"(\d{4}-[^"]{4,30})"/.exec(kept)?.[1] ?? '';
  const name = /(?:"|\\n)Toy: ([^"\\]{1,60})/.exec(kept)?.[1] ?? null;
  return { made, name };
}

/**
 * The shelf in the browser's own storage: a key for each toy, one for what its card shows, one for its history. There is no list beside
 * them that could say something else than they do. A text and its history are written in one go; its card follows, and says of which
 * revision it is.
 */
export const shelf = {
  /** All toys, the newest first. Reads no pattern: cards are kept; one that is missing is made and kept. */
  async list(): Promise<ShelfToy[]> {
    const ids = (await storage.getAllKeys())
      .filter((key) => key.startsWith(toyPrefix))
      .map((key) => key.slice(toyPrefix.length));
    const kept = await storage.getMany([handsKey, ...ids.flatMap((id) => [toyKey(id), cardKey(id)])]);
    const hands = kept[handsKey] ?? null;
    const toys: ShelfToy[] = [];
    for (const id of ids) {
      const text = kept[toyKey(id)];
      // Taken off by another tab meanwhile.
      if (typeof text !== 'string') continue;
      toys.push(shownAsKept(id, text, { card: kept[cardKey(id)], hands }) ?? (await shownAnew(id, text)));
    }
    return toys.sort((a, b) => (a.made < b.made ? 1 : a.made > b.made ? -1 : 0));
  },

  /** Makes the card of a toy anew and keeps it while the toy is there; that it can't be kept does no harm. */
  async renewCard(stored: StoredToy): Promise<ToyCard> {
    const { cardOf } = await reading();
    const hands = await storage.getItem(handsKey);
    const card = cardOf(stored.document.text, hands);
    await transact([toyKey(stored.id)], (kept) => ({
      changes: kept.has(toyKey(stored.id)) ? cardEntry(stored, card, hands) : {},
      result: undefined,
    })).catch(() => undefined);
    return card;
  },

  /** Every toy that can be read, whole. */
  async all(): Promise<StoredToy[]> {
    const keys = (await storage.getAllKeys()).filter((key) => key.startsWith(toyPrefix));
    const kept = await storage.getMany(keys);
    const { parseStored } = await reading();
    return keys.flatMap((key) => {
      const stored = parseStored(key.slice(toyPrefix.length), kept[key] ?? '');
      return typeof stored === 'string' ? [] : [stored];
    });
  },

  async read(id: string): Promise<StoredToy | null> {
    const kept = await storage.getItem(toyKey(id));
    if (kept === null) return null;
    const { storedToy } = await reading();
    return storedToy(id, kept);
  },

  async history(id: string): Promise<TextHistory> {
    return parseHistory((await storage.getItem(historyKey(id))) ?? undefined);
  },

  /** What is kept of a toy as it is, readable or not; null where there is none. */
  kept: (id: string): Promise<string | null> => storage.getItem(toyKey(id)),

  async create(text: string): Promise<StoredToy> {
    const { readyToy } = await reading();
    const ready = readyToy(text);
    const stored = newToy(ready);
    await transact([], () => ({
      changes: { ...toyEntry(stored), ...cardEntry(stored, ready.card) },
      result: undefined,
    }));
    return stored;
  },

  add: (document: ToyDocument): Promise<StoredToy> => putOne(document),

  /** Puts several toys on the shelf, all of them or none. */
  addDocuments: (documents: readonly ToyDocument[]): Promise<StoredToy[]> => put(documents),

  /** Puts the toy of a file on the shelf; throws a sentence for the maker where it can't be read. */
  async addFile(text: string): Promise<StoredToy> {
    const { readDocument } = await reading();
    const read = readDocument(text);
    if (!read.ok) throw new Error(read.message);
    return putOne(read.document);
  },

  /** Saves a text over the revision it was made from; refuses where another tab was faster, or took the toy off. */
  async save(
    base: StoredToy,
    text: string,
    { savedBy = null, history, parts = base.document.parts }: SavedWith = {},
  ): Promise<StoredToy> {
    const next: StoredToy = {
      id: base.id,
      revision: base.revision + 1,
      document: { ...base.document, text, parts, changed: now() },
      savedBy,
    };
    const { refuseTooLong, storedToy } = await reading();
    refuseTooLong(next.document);
    return transact([toyKey(base.id)], (kept) => {
      const current = kept.get(toyKey(base.id));
      if (current === undefined) throw new GoneError();
      const stored = storedToy(base.id, current);
      if (stored.revision !== base.revision) throw new ConflictError(stored);
      return {
        changes: {
          ...toyEntry(next),
          ...(history ? { [historyKey(base.id)]: JSON.stringify(history) } : {}),
        },
        result: next,
      };
    });
  },

  /** Keeps the history of a toy that is still there. */
  keepHistory: (id: string, history: TextHistory): Promise<void> =>
    transact([toyKey(id)], (kept) => ({
      changes: kept.has(toyKey(id)) ? { [historyKey(id)]: JSON.stringify(history) } : {},
      result: undefined,
    })),

  /** Takes a toy off the shelf with all that belongs to it. */
  async remove(id: string): Promise<RemovedToy> {
    const keys = keysOf(id);
    const removed = await transact(keys, (kept) => ({
      changes: Object.fromEntries(keys.map((key) => [key, null])),
      result: { id, entries: Object.fromEntries(kept) },
    }));
    forgetDrafts(id);
    return removed;
  },

  /** Puts a removed toy back as it was; one that is there again stays as it is. */
  restore: ({ id, entries }: RemovedToy): Promise<void> =>
    transact([toyKey(id)], (kept) => ({ changes: kept.has(toyKey(id)) ? {} : entries, result: undefined })),

  /** Puts an open toy back that another tab took off, with the text it has here. */
  async putBack(base: StoredToy, text: string): Promise<StoredToy> {
    const next: StoredToy = {
      ...base,
      revision: base.revision + 1,
      document: { ...base.document, text, changed: now() },
    };
    const { refuseTooLong, storedToy } = await reading();
    refuseTooLong(next.document);
    return transact([toyKey(base.id)], (kept) => {
      const current = kept.get(toyKey(base.id));
      if (current !== undefined) throw new ConflictError(storedToy(base.id, current));
      return { changes: toyEntry(next), result: next };
    });
  },

  /** A toy as a file, with the record of what was tried on it. */
  async exportText({ id, document }: StoredToy): Promise<string> {
    const { exported } = await reading();
    return exported(document, await shelf.record(id));
  },

  /** What was tried on a toy. A record that can't be read is no empty one: it stays as it is, and that is said. */
  async record(id: string): Promise<RecordEntry[]> {
    const { recordIn } = await reading();
    return recordIn(await storage.getItem(recordKey(id)));
  },

  /** Writes one more thing down. */
  async addEntry(id: string, entry: RecordEntry): Promise<RecordEntry[]> {
    const { withEntry } = await reading();
    return transact([toyKey(id), recordKey(id)], (kept) => {
      if (!kept.has(toyKey(id))) throw new GoneError();
      const record = withEntry(kept.get(recordKey(id)) ?? null, entry);
      return { changes: { [recordKey(id)]: JSON.stringify(record) }, result: record };
    });
  },

  async wasSeeded(): Promise<boolean> {
    return (await storage.getItem(seededKey)) !== null;
  },

  /** Puts several new toys on the shelf, the first on top: all of them or none. Resolves to their ids. */
  addAll: (toys: readonly ReadyToy[]): Promise<string[]> =>
    transact([], () => {
      const { changes, ids } = entriesOf(toys);
      return { changes, result: ids };
    }),

  /**
   * Begins a new shelf with toys, the first on top: all of them or, where another tab was faster or the page is closed, none. Resolves
   * to their ids.
   */
  seed: (toys: readonly ReadyToy[]): Promise<string[]> =>
    transact([seededKey], (kept) => {
      if (kept.has(seededKey)) return { changes: {}, result: [] };
      const { changes, ids } = entriesOf(toys);
      return { changes: { ...changes, [seededKey]: 'yes' }, result: ids };
    }),
};
