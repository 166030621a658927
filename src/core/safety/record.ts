import { t } from '../words/language';
import Joi from 'joi';
import type { Trial } from './trials';

/** What a trial came to. It is never changed: what failed stays on the record, and the next try is another entry. */
export interface TrialEntry {
  /** which trial, by its id, and what it was about */
  trial: string;
  of: string;
  /** which toy of a batch, from 1 */
  toy: number;
  /** ISO date */
  at: string;
  result: 'held' | 'failed';
  /** as it was measured; null where it was not */
  forceN: number | null;
  /** what it weighed; not there where nothing was weighed */
  grams?: number;
  /** what was used, what opened, what was done about it */
  note: string;
}

/** Who made a toy of the batch and of what: the lots of its yarn, its stuffing, its eyes. */
export interface MadeEntry {
  /** which toy of a batch, from 1 */
  toy: number;
  /** ISO date */
  at: string;
  maker: string;
  lots: string;
}

/** What is written down about a toy, in the order it was. Nothing of it is ever changed. */
export type RecordEntry = TrialEntry | MadeEntry;

export const isTrialEntry = (entry: RecordEntry): entry is TrialEntry => 'trial' in entry;

/** What was last said of the making of a toy; null where nothing was. */
export const madeOf = (toy: number, entries: readonly RecordEntry[]): MadeEntry | null =>
  entries.findLast((entry): entry is MadeEntry => !isTrialEntry(entry) && entry.toy === toy) ?? null;

/** A toy has no more entries than this. */
export const mostEntries = 500;

const trialEntry = Joi.object<TrialEntry>({
  trial: Joi.string().max(200).required(),
  of: Joi.string().max(200).required(),
  toy: Joi.number().integer().min(1).max(999).required(),
  at: Joi.string().isoDate().required(),
  result: Joi.valid('held', 'failed').required(),
  forceN: Joi.number().min(0).max(10_000).allow(null).required(),
  grams: Joi.number().min(0).max(100_000),
  note: Joi.string().allow('').max(300).required(),
});

const madeEntry = Joi.object<MadeEntry>({
  toy: Joi.number().integer().min(1).max(999).required(),
  at: Joi.string().isoDate().required(),
  maker: Joi.string().allow('').max(100).required(),
  lots: Joi.string().allow('').max(500).required(),
});

/** What may be kept as the record of a toy. */
export const recordSchema = Joi.array<RecordEntry[]>().items(trialEntry, madeEntry).max(mostEntries);

/** Reads a record that is kept; null where it can't be read. */
export function readRecord(kept: string): RecordEntry[] | null {
  try {
    const { error, value } = recordSchema.validate(JSON.parse(kept), { convert: false });
    return error ? null : value;
  } catch {
    return null;
  }
}

/** How a trial stands for one toy: not tried; held; failed; or held after it had failed and was mended. */
export type Standing = 'open' | 'held' | 'failed' | 'mended';

/** How a trial stands, by the last entry about it. Under its force it has not held what it was to hold. */
export function standingOf(
  { id, forceN }: Pick<Trial, 'id' | 'forceN'>,
  toy: number,
  entries: readonly RecordEntry[],
): Standing {
  const own = entries.filter(isTrialEntry).filter((one) => one.trial === id && one.toy === toy);
  const last = own.at(-1);
  if (!last) return 'open';
  if (last.result === 'failed') return 'failed';
  const isEnough = forceN === null || last.forceN === null || last.forceN >= forceN;
  if (!isEnough) return 'open';
  return own.some(({ result }) => result === 'failed') ? 'mended' : 'held';
}

const standings: Readonly<Record<Standing, string>> = {
  open: t`not tried`,
  held: 'held',
  failed: 'FAILED',
  mended: t`held, after it had failed and was mended`,
};
export const standingWords = (standing: Standing): string => standings[standing];

/** What a record says and what it does not. */
export const recordCaution = t`Tried at home by the maker. This is no certificate: local rules and tests by a qualified laboratory decide, and toys for sale need more. Watch a child with any toy.`;
