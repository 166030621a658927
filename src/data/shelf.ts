import { analyseToy } from '../core/toy/analyse';
import { documentVersion, readDocument, writeDocument, type ToyDocument } from '../core/toy/document';
import { storage } from './storage';

/** A line of the shelf's index. */
export interface ShelfEntry {
  id: string;
  name: string;
  changed: string;
}

/** A toy as kept, with the number of its saves: two tabs tell by it that one is behind. */
export interface StoredToy {
  id: string;
  revision: number;
  document: ToyDocument;
}

interface Index {
  version: 1;
  toys: ShelfEntry[];
}

/** Another tab has saved this toy since it was read here. */
export class ConflictError extends Error {
  constructor(readonly stored: StoredToy) {
    super('This toy was changed in another tab.');
  }
}

/** What is kept under a toy's key can't be read. */
export class DamagedError extends Error {}

const indexKey = 'hoppla/index';
const seededKey = 'hoppla/seeded';
const toyKey = (id: string) => `hoppla/toy/${id}`;

export function newId(): string {
  return `${Date.now().toString(36)}${Math.random().toString(36).slice(2, 8)}`;
}

/** The name a toy goes by: its `Toy:` line, else its first part. */
export function nameOf(text: string): string {
  const toy = analyseToy(text);
  return toy.pattern.header.name ?? toy.parts[0]?.source.name ?? 'Toy without a name';
}

async function readIndex(): Promise<Index> {
  const kept = await storage.getItem(indexKey);
  if (kept) {
    try {
      const index = JSON.parse(kept) as Index;
      if (index.version === 1 && Array.isArray(index.toys)) return index;
    } catch {
      // A broken index is made anew from the toys themselves.
    }
  }
  const keys = await storage.getAllKeys();
  const toys: ShelfEntry[] = [];
  for (const key of keys.filter((name) => name.startsWith('hoppla/toy/'))) {
    const stored = parseStored(key.slice('hoppla/toy/'.length), await storage.getItem(key));
    if (stored) toys.push({ id: stored.id, name: nameOf(stored.document.text), changed: stored.document.changed });
  }
  return { version: 1, toys };
}

function parseStored(id: string, kept: string | null): StoredToy | null {
  if (kept === null) return null;
  try {
    const stored = JSON.parse(kept) as { revision?: unknown; document?: unknown };
    const read = readDocument(JSON.stringify(stored.document));
    return read.ok && typeof stored.revision === 'number' ? { id, revision: stored.revision, document: read.document } : null;
  } catch {
    return null;
  }
}

async function write(stored: StoredToy): Promise<StoredToy> {
  await storage.setItem(toyKey(stored.id), JSON.stringify({ revision: stored.revision, document: stored.document }));
  const index = await readIndex();
  const entry: ShelfEntry = { id: stored.id, name: nameOf(stored.document.text), changed: stored.document.changed };
  const at = index.toys.findIndex((toy) => toy.id === stored.id);
  if (at >= 0) index.toys[at] = entry;
  else index.toys.unshift(entry);
  await storage.setItem(indexKey, JSON.stringify(index));
  return stored;
}

const now = () => new Date().toISOString();

/** The shelf in the browser's own storage: one small key a toy, an index beside them. */
export const shelf = {
  async list(): Promise<StoredToy[]> {
    const { toys } = await readIndex();
    const stored = await Promise.all(toys.map((toy) => storage.getItem(toyKey(toy.id)).then((kept) => parseStored(toy.id, kept))));
    return stored.filter((toy) => toy !== null);
  },

  async read(id: string): Promise<StoredToy | null> {
    const kept = await storage.getItem(toyKey(id));
    const stored = parseStored(id, kept);
    if (kept !== null && !stored) throw new DamagedError('What is kept of this toy can’t be read. Import an exported copy of it.');
    return stored;
  },

  async create(text: string): Promise<StoredToy> {
    const made = now();
    return write({ id: newId(), revision: 1, document: { format: 'hoppla-toy', version: documentVersion, text, made, changed: made } });
  },

  async add(document: ToyDocument): Promise<StoredToy> {
    return write({ id: newId(), revision: 1, document });
  },

  /** Saves a text over the revision it was made from; refuses where another tab was faster. */
  async save(base: StoredToy, text: string): Promise<StoredToy> {
    const stored = await shelf.read(base.id);
    if (stored && stored.revision !== base.revision) throw new ConflictError(stored);
    return write({ id: base.id, revision: base.revision + 1, document: { ...base.document, text, changed: now() } });
  },

  async remove(id: string): Promise<void> {
    const index = await readIndex();
    index.toys = index.toys.filter((toy) => toy.id !== id);
    await storage.setItem(indexKey, JSON.stringify(index));
    await storage.removeItem(toyKey(id));
  },

  /** Puts a removed toy back as it was. */
  restore: (stored: StoredToy): Promise<StoredToy> => write(stored),

  exportText: (stored: StoredToy): string => writeDocument(stored.document),

  async wasSeeded(): Promise<boolean> {
    return (await storage.getItem(seededKey)) !== null;
  },

  async markSeeded(): Promise<void> {
    await storage.setItem(seededKey, 'yes');
  },
};
