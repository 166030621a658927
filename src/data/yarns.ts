import { t } from '../core/words/language';
import { analyseToy } from '../core/toy/analyse';
import { putYarn } from '../core/edit/yarnInText';
import { readYarn, type Yarn } from '../core/supplies/yarn';
import type { StuffingDensities } from '../core/supplies/stuffing';
import { newId, shelf } from './shelf';
import type { StoredToy } from './storedToy';
import { storage } from './storage';

const prefix = 'hoppla/yarn/';
const stuffingKey = 'hoppla/stuffing';

/** The maker's yarns, one small key each, kept for every toy. */
export const yarnShelf = {
  async list(): Promise<Yarn[]> {
    const keys = (await storage.getAllKeys()).filter((key) => key.startsWith(prefix));
    const kept = await Promise.all(keys.map((key) => storage.getItem(key)));
    const yarns = kept.flatMap((text) => {
      try {
        const read = readYarn(JSON.parse(text ?? 'null'));
        return read.ok ? [read.yarn] : [];
      } catch {
        return [];
      }
    });
    return yarns.sort((a, b) => a.name.localeCompare(b.name));
  },

  /** Keeps a yarn; refuses one that can't be, saying why. Two yarns never share a name: toys find theirs by it. */
  async save(yarn: Yarn): Promise<Yarn> {
    const read = readYarn(yarn);
    if (!read.ok) throw new Error(read.message);
    const taken = (await yarnShelf.list()).some(
      (other) => other.id !== yarn.id && other.name.toLowerCase() === read.yarn.name.toLowerCase(),
    );
    if (taken)
      throw new Error(t`Another yarn has this name already. Add the colour or the hook to tell them apart.`);
    await storage.setItem(prefix + yarn.id, JSON.stringify(read.yarn));
    return read.yarn;
  },

  remove: (id: string): Promise<void> => storage.removeItem(prefix + id),

  /** Toys worked in a yarn, by its name in their text. */
  async toysIn(name: string): Promise<StoredToy[]> {
    return (await shelf.all()).filter(
      (toy) => analyseToy(toy.document.text).pattern.header.gauge?.yarn === name,
    );
  },

  /** Brings the toys worked in a yarn to its newest figures. */
  async refreshToys(before: string, yarn: Yarn): Promise<StoredToy[]> {
    const saved: StoredToy[] = [];
    for (const toy of await yarnShelf.toysIn(before)) {
      const text = putYarn(toy.document.text, yarn);
      if (text !== toy.document.text) saved.push(await shelf.save(toy, text));
    }
    return saved;
  },
};

export const newYarn = (): Yarn => ({
  id: newId(),
  name: '',
  weight: 'medium',
  hookMm: 3.5,
  swatch: null,
  wandered: null,
});

/** The maker's own stuffing, once weighed; null before. */
export const stuffing = {
  async read(): Promise<StuffingDensities | null> {
    try {
      const kept = JSON.parse((await storage.getItem(stuffingKey)) ?? 'null') as StuffingDensities | null;
      return kept &&
        [kept.light, kept.medium, kept.firm].every((value) => Number.isFinite(value) && value > 0)
        ? kept
        : null;
    } catch {
      return null;
    }
  },
  write: (densities: StuffingDensities | null): Promise<void> =>
    densities ? storage.setItem(stuffingKey, JSON.stringify(densities)) : storage.removeItem(stuffingKey),
};
