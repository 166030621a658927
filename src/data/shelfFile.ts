import { t } from '../core/words/language';
import { strFromU8, strToU8, unzip, zip, type Unzipped, type Zippable } from 'fflate';
import { readDocument, type ToyDocument } from '../core/keep/document';
import { nameOfToy } from '../core/keep/toyCard';
import { isEvent, isRun } from '../core/make/run';
import { readYarn, type Yarn } from '../core/supplies/yarn';
import { analyseToy } from '../core/toy/analyse';
import { fileName } from '../core/words/fileName';
import { isRecord, parsed } from './json';
import { runs, type KeptRun } from './runs';
import { shelf } from './shelf';
import { storage } from './storage';
import { yarnShelf } from './yarns';

/** A whole shelf may hold so many files, and so many bytes once they are unpacked: far above any, and no trap for a phone. */
const mostFiles = 4_000;
const mostBytes = 80_000_000;

/** What a maker set for herself, by the keys it is kept under. Each is checked where it is read. */
const ownKeys = [
  'hoppla/habit/apart',
  'hoppla/habit/hands',
  'hoppla/habit/make',
  'hoppla/habit/measures',
  'hoppla/habit/pace',
  'hoppla/habit/yarn-use',
  'hoppla/making-list',
  'hoppla/rules',
  'hoppla/stuffing',
] as const;

/** What is kept under those keys, without those that are not set. */
async function ownSettings(): Promise<Record<string, string>> {
  const kept = await storage.getMany([...ownKeys]);
  return Object.fromEntries(Object.entries(kept).filter(([, value]) => typeof value === 'string')) as Record<
    string,
    string
  >;
}

/** Files on their way into a zip. Each keeps a name of its own. */
class Files {
  readonly all: Zippable = {};

  put(folder: string, name: string, ending: string, text: string): void {
    let path = `${folder}/${name}${ending}`;
    for (let again = 2; path in this.all; again += 1) path = `${folder}/${name}-${again}${ending}`;
    this.all[path] = strToU8(text);
  }

  /** Every making of a toy, with all that happened in it. */
  async putMaking(toy: string): Promise<void> {
    for (const { id } of await runs.of(toy)) {
      const kept = await runs.read(id);
      if (kept)
        this.put('making', id, '.json', JSON.stringify({ run: kept.run, events: kept.events }, null, 1));
    }
  }

  packed(): Promise<Uint8Array<ArrayBuffer>> {
    return new Promise((done, failed) => {
      zip(this.all, (reason, packed) => (reason ? failed(reason) : done(packed)));
    });
  }
}

/** One toy with its logbook, in the manner of a shelf file; null where it is on the shelf no more. */
export async function packToy(id: string): Promise<Uint8Array<ArrayBuffer> | null> {
  const stored = await shelf.read(id);
  if (!stored) return null;
  const files = new Files();
  files.put(
    'toys',
    fileName(nameOfToy(analyseToy(stored.document.text, { searches: false }))),
    '.hoppla.json',
    await shelf.exportText(stored),
  );
  await files.putMaking(id);
  return files.packed();
}

/** Everything of a shelf, as plain files: `toys/NAME.hoppla.json`, `as-kept/ID.json`, `yarns/NAME.json`, `making/ID.json`, `own.json`. */
export async function packShelf(): Promise<{ bytes: Uint8Array<ArrayBuffer>; toys: number }> {
  const files = new Files();
  const toys = await shelf.list();
  for (const toy of toys) {
    const stored = toy.kind === 'kept' ? await shelf.read(toy.id).catch(() => null) : null;
    if (toy.kind === 'kept' && stored)
      files.put('toys', fileName(toy.card.name), '.hoppla.json', await shelf.exportText(stored));
    else files.put('as-kept', toy.id, '.json', (await shelf.kept(toy.id)) ?? '');
    await files.putMaking(toy.id);
  }
  for (const yarn of await yarnShelf.list())
    files.put('yarns', fileName(yarn.name), '.json', `${JSON.stringify(yarn, null, 2)}\n`);
  const own = await ownSettings();
  if (Object.keys(own).length > 0) files.all['own.json'] = strToU8(`${JSON.stringify(own, null, 2)}\n`);
  return { bytes: await files.packed(), toys: toys.length };
}

/** What a shelf file holds, read and checked; nothing of it is on the shelf yet. */
export interface UnpackedShelf {
  /** toys that are not here */
  fresh: ToyDocument[];
  /** toys that are here with another text */
  doubles: { document: ToyDocument; name: string }[];
  /** toys that are here just so */
  same: number;
  yarns: Yarn[];
  making: Pick<KeptRun, 'run' | 'events'>[];
  /** what she set for herself, by the keys it is kept under */
  own: Record<string, string>;
  /** files in it that could not be read, with why */
  unread: { file: string; why: string }[];
}

const damaged = t`This file can’t be read as a shelf. Nothing was changed.`;

/** The files of a zip, after a look at how many and how large they are. */
function filesOf(bytes: Uint8Array): Promise<Unzipped> {
  let count = 0;
  let size = 0;
  return new Promise((done, failed) => {
    unzip(
      bytes,
      {
        filter: ({ originalSize }) => {
          count += 1;
          size += originalSize;
          if (count > mostFiles || size > mostBytes)
            throw new Error(t`This file unpacks to more than a shelf can hold. Nothing was changed.`);
          return true;
        },
      },
      (reason, files) => (reason ? failed(new Error(damaged)) : done(files)),
    );
  });
}

/** Of what a file sets, what there is to set. */
const ownAmong = (own: Record<string, unknown>): Record<string, string> =>
  Object.fromEntries(
    ownKeys.flatMap((key) => {
      const value = own[key];
      return typeof value === 'string' ? [[key, value]] : [];
    }),
  );

/** A run with its events, as far as they can be read. */
function readRun(text: string): Pick<KeptRun, 'run' | 'events'> | null {
  const { run, events } = (parsed(text) ?? {}) as { run?: unknown; events?: unknown };
  if (!isRun(run) || !Array.isArray(events)) return null;
  return { run, events: events.filter(isEvent) };
}

/**
 * Reads a shelf file and compares it with the shelf.
 *
 * @throws Error with a sentence for the maker where it is no such file
 */
export async function unpackShelf(bytes: Uint8Array): Promise<UnpackedShelf> {
  const files = await filesOf(bytes);
  const read: UnpackedShelf = { fresh: [], doubles: [], same: 0, yarns: [], making: [], own: {}, unread: [] };
  let known = 0;
  for (const [path, content] of Object.entries(files)) {
    const [folder] = path.split('/');
    const text = strFromU8(content);
    if (folder === 'toys') {
      known += 1;
      await sortToy(read, path, text);
    } else if (folder === 'yarns') {
      known += 1;
      const yarn = readYarn(parsed(text));
      if (yarn.ok) read.yarns.push(yarn.yarn);
      else read.unread.push({ file: path, why: yarn.message });
    } else if (folder === 'making') {
      known += 1;
      const run = readRun(text);
      if (run) read.making.push(run);
      else read.unread.push({ file: path, why: t`What was made can’t be read.` });
    } else if (path === 'own.json') {
      const own = parsed(text);
      if (isRecord(own)) read.own = ownAmong(own);
      else read.unread.push({ file: path, why: t`What was set can’t be read.` });
    } else if (folder === 'as-kept') {
      known += 1;
      read.unread.push({ file: path, why: t`It was damaged already when the shelf was saved.` });
    }
  }
  if (known === 0) throw new Error(t`There are no toys in this file. Nothing was changed.`);
  return read;
}

/** Puts a toy of the file where it belongs: new here, here with another text, or here just so. */
async function sortToy(read: UnpackedShelf, path: string, text: string): Promise<void> {
  const found = readDocument(text);
  if (!found.ok) {
    read.unread.push({ file: path, why: found.message });
    return;
  }
  const { document } = found;
  const here = await shelf.read(document.id).catch(() => null);
  if (!here) read.fresh.push(document);
  else if (here.document.text === document.text) read.same += 1;
  else read.doubles.push({ document, name: nameOfToy(analyseToy(document.text, { searches: false })) });
}

/**
 * Puts what a shelf file holds on the shelf: all its toys or none. What is set here already stays as it is.
 *
 * @param withDoubles toys that are here with another text come as copies beside them; else they are left out
 * @returns how many toys came
 */
export async function restoreShelf(file: UnpackedShelf, withDoubles: boolean): Promise<number> {
  const documents = [...file.fresh, ...(withDoubles ? file.doubles.map(({ document }) => document) : [])];
  await shelf.addDocuments(documents);
  const brought = new Set(file.fresh.map(({ id }) => id));
  for (const { run, events } of file.making) if (brought.has(run.toy)) await runs.restore(run, events);
  const names = new Set((await yarnShelf.list()).map(({ name }) => name.toLowerCase()));
  for (const yarn of file.yarns) if (!names.has(yarn.name.toLowerCase())) await yarnShelf.save(yarn);
  const here = await ownSettings();
  for (const [key, value] of Object.entries(file.own)) if (!(key in here)) await storage.setItem(key, value);
  return documents.length;
}
