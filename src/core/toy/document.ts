import Joi from 'joi';
import { limits } from '../notation/limits';

/** One toy as kept on the shelf and exchanged as `.hoppla.json`. The pattern text is the source of everything computed. */
export interface ToyDocument {
  format: 'hoppla-toy';
  version: number;
  text: string;
  /** ISO dates */
  made: string;
  changed: string;
}

export const documentVersion = 1;
/** Signs of a file: the longest text with every sign written as two, and the words around it. */
export const longestDocument = 450_000;

const schema = Joi.object<ToyDocument>({
  format: Joi.string().valid('hoppla-toy').required(),
  version: Joi.number().integer().min(1).required(),
  text: Joi.string().allow('').max(limits.textSigns).required(),
  made: Joi.string().isoDate().required(),
  changed: Joi.string().isoDate().required(),
}).prefs({ convert: false });

/** Brings a document of version n to version n + 1. */
export type Migration = (document: Record<string, unknown>) => Record<string, unknown>;

/** By the version they start from. Version 1 is the first, so there are none yet. */
export const migrations: Readonly<Record<number, Migration>> = {};

export type ImportResult = { ok: true; document: ToyDocument } | { ok: false; message: string };

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Applies the migrations that lead from a document's version to the newest. */
export function migrate(
  document: Record<string, unknown>,
  steps = migrations,
  newest = documentVersion,
): Record<string, unknown> {
  let current = document;
  for (let version = Number(current.version); version < newest; version += 1) {
    const step = steps[version];
    if (step) current = { ...step(current), version: version + 1 };
  }
  return current;
}

const fieldMessages: Record<string, string> = {
  text: 'its pattern text is missing or too long',
  made: 'the date it was made is missing or not a date',
  changed: 'the date it was changed is missing or not a date',
  version: 'its version is missing or not a whole number',
};

/**
 * Reads the contents of a `.hoppla.json` file.
 *
 * @returns the toy, or what is wrong with the file in one sentence and what to do
 */
export function readDocument(contents: string): ImportResult {
  if (contents.length > longestDocument)
    return {
      ok: false,
      message: 'This file is too large to be a toy. A toy is one .hoppla.json file of less than 450 kB.',
    };
  let parsed: unknown;
  try {
    parsed = JSON.parse(contents);
  } catch {
    return {
      ok: false,
      message:
        'This is not a whole Hoppla file: it may be cut off or of another kind. Export the toy again and open that file.',
    };
  }
  if (!isRecord(parsed) || parsed.format !== 'hoppla-toy')
    return {
      ok: false,
      message: 'This file was not made by Hoppla. Open a .hoppla.json file, or paste the pattern as text.',
    };
  if (typeof parsed.version === 'number' && parsed.version > documentVersion) {
    return {
      ok: false,
      message: `This toy was saved by a newer Hoppla (version ${parsed.version}; this one reads up to ${documentVersion}). Update Hoppla and open it again.`,
    };
  }
  // A version far below 1 would be migrated for ever.
  if (!Number.isInteger(parsed.version) || Number(parsed.version) < 1)
    return {
      ok: false,
      message: `The file is damaged: ${fieldMessages.version}. Export the toy again and open that file.`,
    };
  const result = schema.validate(migrate(parsed), { abortEarly: true });
  if (result.error) {
    const field = String(result.error.details[0]?.path[0] ?? '');
    return {
      ok: false,
      message: `The file is damaged: ${Object.hasOwn(fieldMessages, field) ? fieldMessages[field] : `“${field}” does not belong in it`}. Export the toy again and open that file.`,
    };
  }
  return { ok: true, document: result.value };
}

/** Writes a toy as the contents of a `.hoppla.json` file. */
export function writeDocument(document: ToyDocument): string {
  return `${JSON.stringify(document, null, 2)}\n`;
}
