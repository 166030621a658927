import { limits } from '../core/notation/limits';
import { carryPartIds, type KnownPart } from '../core/keep/partIds';
import { analyseToy } from '../core/toy/analyse';
import {
  documentVersion,
  longestKept,
  readDocument,
  writeDocument,
  type ToyDocument,
} from '../core/keep/document';
import { toyCard, type ToyCard } from '../core/keep/toyCard';
import { mostEntries, readRecord, type TrialEntry } from '../core/safety/record';
import { forgetDrafts } from './drafts';
import { storage, transact, type Changes } from './storage';

/** A toy as kept, with the number of its saves: two tabs tell by it that one is behind. */
export interface StoredToy {
  id: string;
  revision: number;
  document: ToyDocument;
  /** the opening of the toy that saved it last; null where none did */
  savedBy: string | null;
}

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

/** Another tab has saved this toy since it was read here. */
export class ConflictError extends Error {
  constructor(readonly stored: StoredToy) {
    super('This toy was changed in another tab.');
  }
}

/** The toy was taken off the shelf, in another tab. */
export class GoneError extends Error {
  constructor() {
    super('This toy was deleted in another tab.');
  }
}

/** What is kept under a toy's key can't be read. */
export class DamagedError extends Error {
  constructor(
    message: string,
    readonly kept: string,
  ) {
    super(message);
  }
}

/** What was tried can't be read, or there is no room for more. */
export class RecordError extends Error {}

/** The record holds as much as it may. */
export class FullRecordError extends RecordError {
  constructor() {
    super(`This record is full: ${mostEntries} entries. Export the toy, then begin a copy of it.`);
  }
}

/** The text could be kept, and not be read again. */
export class TooLongError extends Error {}

const toyPrefix = 'hoppla/toy/';
const seededKey = 'hoppla/seeded';
const toyKey = (id: string) => toyPrefix + id;
const cardKey = (id: string) => `hoppla/card/${id}`;
const historyKey = (id: string) => `hoppla/history/${id}`;
const recordKey = (id: string) => `hoppla/record/${id}`;
const keysOf = (id: string) => [toyKey(id), cardKey(id), historyKey(id), recordKey(id)];

export function newId(): string {
  return `${Date.now().toString(36)}${Math.random().toString(36).slice(2, 8)}`;
}

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

function parsed(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return undefined;
  }
}

/** The toy kept under a key, or in a maker's words why it can't be read. */
function parseStored(id: string, kept: string): StoredToy | string {
  const stored = parsed(kept);
  if (!isRecord(stored) || typeof stored.revision !== 'number') return 'What is kept of this toy is damaged.';
  const read = readDocument(JSON.stringify(stored.document ?? null));
  if (!read.ok) return read.message;
  return {
    id,
    revision: stored.revision,
    // A toy kept by the first Hoppla is known by its key.
    document: { ...read.document, id },
    savedBy: typeof stored.savedBy === 'string' ? stored.savedBy : null,
  };
}

/** The toy kept under a key; throws where it can't be read. */
function storedToy(id: string, kept: string): StoredToy {
  const stored = parseStored(id, kept);
  if (typeof stored === 'string') throw new DamagedError(stored, kept);
  return stored;
}

/** Refuses what could not be read again, before it is written. */
function refuseTooLong(document: ToyDocument): void {
  const over = document.text.length - limits.textSigns;
  if (over > 0)
    throw new TooLongError(
      `This text is ${over} signs too long for one toy (up to ${limits.textSigns / 1000} thousand). Give the end of it to a toy of its own.`,
    );
  if (writeDocument(document).length > longestKept)
    throw new TooLongError(
      'This text has too many odd signs to be kept. Take them out, or give a part of it to a toy of its own.',
    );
}

/** The entries of a record as kept. */
function recordIn(kept: string | null): TrialEntry[] {
  if (kept === null) return [];
  const record = readRecord(kept);
  if (!record)
    throw new RecordError(
      'What was written down of this toy can’t be read. It stays as it is; nothing is added.',
    );
  return record;
}

const cardVersion = 3;

/** What the shelf will show of a text. A text that can't be worked out still has a card, and can be opened. */
function cardOf(text: string): ToyCard {
  try {
    return toyCard(analyseToy(text, { searches: false }));
  } catch {
    return {
      name: text.trim().split('\n')[0]?.slice(0, 60) || 'Toy without a name',
      next: 'Open it to see its text',
      parts: 0,
      picture: null,
    };
  }
}

/** The card kept of a toy, where it is of that very revision. */
function parseCard(kept: string | null | undefined, revision: number): ToyCard | null {
  const card = parsed(kept ?? '');
  const isCurrent =
    isRecord(card) && card.version === cardVersion && card.revision === revision && isRecord(card.card);
  return isCurrent ? (card.card as unknown as ToyCard) : null;
}

const toyEntry = ({ id, revision, document, savedBy }: StoredToy): Record<string, string> => ({
  [toyKey(id)]: JSON.stringify({ revision, savedBy, document }),
});
const cardEntry = ({ id, revision }: StoredToy, card: ToyCard): Record<string, string> => ({
  [cardKey(id)]: JSON.stringify({ version: cardVersion, revision, card }),
});

/** The keys of a new toy, with its card. */
const newEntries = (stored: StoredToy): Record<string, string> => ({
  ...toyEntry(stored),
  ...cardEntry(stored, cardOf(stored.document.text)),
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

/** The parts of a text as a new toy knows them. A text that can't be worked out has none until it is opened. */
function firstParts(text: string): readonly KnownPart[] {
  try {
    return carryPartIds([], analyseToy(text, { searches: false }).pattern.parts);
  } catch {
    return [];
  }
}

const newDocument = (text: string, made = now()): ToyDocument => ({
  format: 'hoppla-toy',
  version: documentVersion,
  id: newId(),
  text,
  parts: firstParts(text),
  made,
  changed: made,
});

/** Puts a new toy on the shelf. One that is there already, under the id it brings, stays, and this is a copy of it. */
async function put({ record = [], ...document }: ToyDocument): Promise<StoredToy> {
  refuseTooLong(document);
  const toyOf = (id: string): StoredToy => ({
    id,
    revision: 1,
    document: { ...document, id },
    savedBy: null,
  });
  return transact([toyKey(document.id)], (kept) => {
    const stored = toyOf(kept.has(toyKey(document.id)) ? newId() : document.id);
    const tried = record.length > 0 ? { [recordKey(stored.id)]: JSON.stringify(record) } : {};
    return { changes: { ...newEntries(stored), ...tried }, result: stored };
  });
}

/** The keys of several new toys, the first on top. */
function entriesOf(texts: readonly string[]): Changes {
  const begun = Date.now();
  const toys = texts.map((text, index): StoredToy => {
    const document = newDocument(text, new Date(begun - index).toISOString());
    return { id: document.id, revision: 1, document, savedBy: null };
  });
  return Object.assign({}, ...toys.map(newEntries)) as Changes;
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
    const kept = await storage.getMany(ids.flatMap((id) => [toyKey(id), cardKey(id)]));
    const toys: ShelfToy[] = [];
    for (const id of ids) {
      const text = kept[toyKey(id)];
      // Taken off by another tab meanwhile.
      if (typeof text !== 'string') continue;
      const stored = parseStored(id, text);
      if (typeof stored === 'string') {
        toys.push({ id, kind: 'damaged', why: stored, ...rememberedOf(text) });
        continue;
      }
      const card = parseCard(kept[cardKey(id)], stored.revision) ?? (await shelf.renewCard(stored));
      toys.push({ id, kind: 'kept', made: stored.document.made, card });
    }
    return toys.sort((a, b) => (a.made < b.made ? 1 : a.made > b.made ? -1 : 0));
  },

  /** Makes the card of a toy anew and keeps it while the toy is there; that it can't be kept does no harm. */
  async renewCard(stored: StoredToy): Promise<ToyCard> {
    const card = cardOf(stored.document.text);
    await transact([toyKey(stored.id)], (kept) => ({
      changes: kept.has(toyKey(stored.id)) ? cardEntry(stored, card) : {},
      result: undefined,
    })).catch(() => undefined);
    return card;
  },

  /** Every toy that can be read, whole. */
  async all(): Promise<StoredToy[]> {
    const keys = (await storage.getAllKeys()).filter((key) => key.startsWith(toyPrefix));
    const kept = await storage.getMany(keys);
    return keys.flatMap((key) => {
      const stored = parseStored(key.slice(toyPrefix.length), kept[key] ?? '');
      return typeof stored === 'string' ? [] : [stored];
    });
  },

  async read(id: string): Promise<StoredToy | null> {
    const kept = await storage.getItem(toyKey(id));
    return kept === null ? null : storedToy(id, kept);
  },

  async history(id: string): Promise<TextHistory> {
    return parseHistory((await storage.getItem(historyKey(id))) ?? undefined);
  },

  /** What is kept of a toy as it is, readable or not; null where there is none. */
  kept: (id: string): Promise<string | null> => storage.getItem(toyKey(id)),

  create: (text: string): Promise<StoredToy> => put(newDocument(text)),

  add: (document: ToyDocument): Promise<StoredToy> => put(document),

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
    refuseTooLong(next.document);
    return transact([toyKey(base.id)], (kept) => {
      const current = kept.get(toyKey(base.id));
      if (current !== undefined) throw new ConflictError(storedToy(base.id, current));
      return { changes: toyEntry(next), result: next };
    });
  },

  /** A toy as a file, with the record of what was tried on it. */
  async exportText({ id, document }: StoredToy): Promise<string> {
    const record = await shelf.record(id);
    return writeDocument(record.length > 0 ? { ...document, record } : document);
  },

  /** What was tried on a toy. A record that can't be read is no empty one: it stays as it is, and that is said. */
  async record(id: string): Promise<TrialEntry[]> {
    return recordIn(await storage.getItem(recordKey(id)));
  },

  /** Writes one more trial down. */
  addTrial: (id: string, entry: TrialEntry): Promise<TrialEntry[]> =>
    transact([toyKey(id), recordKey(id)], (kept) => {
      if (!kept.has(toyKey(id))) throw new GoneError();
      const record = [...recordIn(kept.get(recordKey(id)) ?? null), entry];
      if (record.length > mostEntries) throw new FullRecordError();
      return { changes: { [recordKey(id)]: JSON.stringify(record) }, result: record };
    }),

  async wasSeeded(): Promise<boolean> {
    return (await storage.getItem(seededKey)) !== null;
  },

  /** Puts several new toys on the shelf, the first on top: all of them or none. */
  addAll: (texts: readonly string[]): Promise<void> =>
    transact([], () => ({ changes: entriesOf(texts), result: undefined })),

  /** Begins a new shelf with toys, the first on top: all of them or, where another tab was faster or the page is closed, none. */
  async seed(texts: readonly string[]): Promise<void> {
    const entries = entriesOf(texts);
    await transact([seededKey], (kept) => ({
      changes: kept.has(seededKey) ? {} : { ...entries, [seededKey]: 'yes' },
      result: undefined,
    }));
  },
};
