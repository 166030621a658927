import { spoken, t } from '../core/words/language';
import { carryPartIds, type KnownPart } from '../core/keep/partIds';
import {
  documentVersion,
  longestKept,
  readDocument,
  writeDocument,
  type ToyDocument,
} from '../core/keep/document';
import { toyCard, type ToyCard } from '../core/keep/toyCard';
import { limits } from '../core/notation/limits';
import { mostEntries, readRecord, type RecordEntry } from '../core/safety/record';
import { readHands } from '../core/plan/hands';
import { analyseToy } from '../core/toy/analyse';
import { plannedForHands } from '../core/toy/planToy';
import { isRecord, parsed } from './json';
import { DamagedError, FullRecordError, RecordError, TooLongError, type StoredToy } from './storedToy';

/** A toy that is on no shelf yet, with all that is worked out of its text once. */
export interface ReadyToy {
  document: Omit<ToyDocument, 'id' | 'made' | 'changed'>;
  card: ToyCard;
}

/** The toy kept under a key, or in a maker's words why it can't be read. */
export function parseStored(id: string, kept: string): StoredToy | string {
  const stored = parsed(kept);
  if (!isRecord(stored) || typeof stored.revision !== 'number')
    return t`What is kept of this toy is damaged.`;
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
export function storedToy(id: string, kept: string): StoredToy {
  const stored = parseStored(id, kept);
  if (typeof stored === 'string') throw new DamagedError(stored, kept);
  return stored;
}

/** Refuses what could not be read again, before it is written. */
export function refuseTooLong(document: ReadyToy['document']): void {
  const over = document.text.length - limits.textSigns;
  if (over > 0)
    throw new TooLongError(
      t`This text is ${over} signs too long for one toy (up to ${limits.textSigns / 1000} thousand). Give the end of it to a toy of its own.`,
    );
  if (JSON.stringify(document, null, 2).length > longestKept)
    throw new TooLongError(
      t`This text has too many odd signs to be kept. Take them out, or give a part of it to a toy of its own.`,
    );
}

/** The entries of a record as kept. */
export function recordIn(kept: string | null): RecordEntry[] {
  if (kept === null) return [];
  const record = readRecord(kept);
  if (!record)
    throw new RecordError(
      t`What was written down of this toy can’t be read. It stays as it is; nothing is added.`,
    );
  return record;
}

/**
 * What the shelf will show of a text. A text that can't be worked out still has a card, and can be opened.
 *
 * @param hands the maker's hands as they are kept: the next stop follows from them
 */
export function cardOf(text: string, hands: string | null): ToyCard {
  try {
    return toyCard(plannedForHands(analyseToy(text, { searches: false }), readHands(hands)));
  } catch {
    return {
      name: text.trim().split('\n')[0]?.slice(0, 60) || t`Toy without a name`,
      next: t`Open it to see its text`,
      language: spoken(),
      parts: 0,
      picture: null,
    };
  }
}

/** The parts of a text as a new toy knows them. A text that can't be worked out has none until it is opened. */
function firstParts(text: string): readonly KnownPart[] {
  try {
    return carryPartIds([], analyseToy(text, { searches: false }).pattern.parts);
  } catch {
    return [];
  }
}

/** Works out of a text all that is kept of it when it is put on the shelf. Throws where the text could not be read again. */
export function readyToy(text: string): ReadyToy {
  const document: ReadyToy['document'] = {
    format: 'hoppla-toy',
    version: documentVersion,
    text,
    parts: firstParts(text),
  };
  refuseTooLong(document);
  return { document, card: cardOf(text, null) };
}

/** A record with one entry more. */
export function withEntry(kept: string | null, entry: RecordEntry): RecordEntry[] {
  const record = [...recordIn(kept), entry];
  if (record.length > mostEntries) throw new FullRecordError(mostEntries);
  return record;
}

/** A toy as a file, with the record of what was tried on it. */
export const exported = (document: ToyDocument, record: readonly RecordEntry[]): string =>
  writeDocument(record.length > 0 ? { ...document, record } : document);
