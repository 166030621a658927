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
  /** what was used, what opened, what was done about it */
  note: string;
}

/** A toy has no more entries than this. */
export const mostEntries = 500;

const entry = Joi.object<TrialEntry>({
  trial: Joi.string().max(200).required(),
  of: Joi.string().max(200).required(),
  toy: Joi.number().integer().min(1).max(999).required(),
  at: Joi.string().isoDate().required(),
  result: Joi.valid('held', 'failed').required(),
  forceN: Joi.number().min(0).max(10_000).allow(null).required(),
  note: Joi.string().allow('').max(300).required(),
});

/** What may be kept as the record of a toy. */
export const recordSchema = Joi.array<TrialEntry[]>().items(entry).max(mostEntries);

/** Reads a record that is kept; null where it can't be read. */
export function readRecord(kept: string): TrialEntry[] | null {
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
  entries: readonly TrialEntry[],
): Standing {
  const own = entries.filter((one) => one.trial === id && one.toy === toy);
  const last = own.at(-1);
  if (!last) return 'open';
  if (last.result === 'failed') return 'failed';
  const isEnough = forceN === null || last.forceN === null || last.forceN >= forceN;
  if (!isEnough) return 'open';
  return own.some(({ result }) => result === 'failed') ? 'mended' : 'held';
}

const standings: Readonly<Record<Standing, string>> = {
  open: 'not tried',
  held: 'held',
  failed: 'FAILED',
  mended: 'held, after it had failed and was mended',
};
export const standingWords = (standing: Standing): string => standings[standing];

const dayOf = (at: string): string => at.slice(0, 10);

function entryLine({ at, of, trial, result, forceN, note }: TrialEntry): string {
  const force = forceN === null ? '' : ` at ${forceN} N`;
  const said = note.trim() ? `: ${note.trim()}` : '';
  const kind = trial.split(' ')[0] ?? '';
  return `${dayOf(at)}  ${kind}, ${of}: ${result}${force}${said}`;
}

/** What a record says and what it does not. */
export const recordCaution =
  'Tried at home by the maker. This is no certificate: local rules and tests by a qualified laboratory decide, and toys for sale need more. Watch a child with any toy.';

/**
 * The record of one toy as lines to print or save: how each trial stands, then every entry, failed ones too.
 *
 * @param name what the toy is called
 * @param toy which of a batch, from 1
 */
export function recordLines(
  name: string,
  toy: number,
  trials: readonly Trial[],
  entries: readonly TrialEntry[],
): string[] {
  const own = entries.filter((one) => one.toy === toy);
  const known = new Set(trials.map(({ id }) => id));
  const told = trials.map(
    (trial) => `${trial.kind}, ${trial.of}: ${standingWords(standingOf(trial, toy, own))}`,
  );
  const gone = own.filter(({ trial }) => !known.has(trial));
  return [
    `${name}, toy ${toy}`,
    '',
    ...told,
    '',
    'Written down:',
    ...(own.length > 0 ? own.map(entryLine) : ['nothing yet']),
    ...(gone.length > 0 ? ['', 'Some of this is about parts that the pattern no longer has.'] : []),
    '',
    recordCaution,
  ];
}
