import { t } from '../words/language';
import Joi from 'joi';
import { limits } from '../notation/limits';
import { recordSchema, type RecordEntry } from '../safety/record';
import { fingerprint } from '../toy/fingerprint';
import { partsRemembered, type KnownPart } from './partIds';

/** One toy as kept on the shelf and exchanged as `.hoppla.json`. The pattern text is the source of everything computed. */
export interface ToyDocument {
  format: 'hoppla-toy';
  version: number;
  /** of the toy, wherever it is kept */
  id: string;
  text: string;
  /** what its parts are known by, however the text comes to call them */
  parts: readonly KnownPart[];
  /** what it was tried by and what that came to, where it was: in a file only, on the shelf it is kept beside the toy */
  record?: readonly RecordEntry[];
  /** ISO dates */
  made: string;
  changed: string;
}

export const documentVersion = 2;
/** Signs of a toy as it is kept: the longest text with every sign written as two, and the words around it. */
export const longestKept = 450_000;
/** Signs of a file: a toy as it is kept, and the longest record. */
export const longestDocument = 1_000_000;

const knownPart = Joi.object<KnownPart>({
  id: Joi.string()
    .pattern(/^p[1-9]\d{0,5}$/)
    .required(),
  called: Joi.string().max(limits.lineSigns).required(),
  work: Joi.string().allow('').max(40).required(),
  gone: Joi.valid(true),
});

const schema = Joi.object<ToyDocument>({
  format: Joi.string().valid('hoppla-toy').required(),
  version: Joi.number().integer().min(1).required(),
  id: Joi.string()
    .pattern(/^[a-z0-9-]{1,40}$/)
    .required(),
  text: Joi.string().allow('').max(limits.textSigns).required(),
  parts: Joi.array().items(knownPart).unique('id').max(partsRemembered).required(),
  record: recordSchema,
  made: Joi.string().isoDate().required(),
  changed: Joi.string().isoDate().required(),
}).prefs({ convert: false });

/** Brings a document of version n to version n + 1. */
export type Migration = (document: Record<string, unknown>) => Record<string, unknown>;

/** By the version they start from. */
export const migrations: Readonly<Record<number, Migration>> = {
  // Version 1 knew a toy by where it lay. The same file is given the same id however often it is opened; parts get theirs when it is read.
  1: (document) => ({
    ...document,
    id: fingerprint([document.made, document.text]),
    parts: [],
  }),
};

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
  id: t`what it is known by is missing`,
  parts: t`what its parts are known by is missing or not in order`,
  record: t`the record of what was tried is not in order`,
  text: t`its pattern text is missing or too long`,
  made: t`the date it was made is missing or not a date`,
  changed: t`the date it was changed is missing or not a date`,
  version: t`its version is missing or not a whole number`,
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
      message: t`This file is too large to be a toy. A toy is one .hoppla.json file of less than 1 MB.`,
    };
  let parsed: unknown;
  try {
    parsed = JSON.parse(contents);
  } catch {
    return {
      ok: false,
      message: t`This is not a whole Hoppla file: it may be cut off or of another kind. Export the toy again and open that file.`,
    };
  }
  if (!isRecord(parsed) || parsed.format !== 'hoppla-toy')
    return {
      ok: false,
      message: t`This file was not made by Hoppla. Open a .hoppla.json file, or paste the pattern as text.`,
    };
  if (typeof parsed.version === 'number' && parsed.version > documentVersion) {
    return {
      ok: false,
      message: t`This toy was saved by a newer Hoppla (version ${parsed.version}; this one reads up to ${documentVersion}). Update Hoppla and open it again.`,
    };
  }
  // A version far below 1 would be migrated for ever.
  if (!Number.isInteger(parsed.version) || Number(parsed.version) < 1)
    return {
      ok: false,
      message: t`The file is damaged: ${fieldMessages.version}. Export the toy again and open that file.`,
    };
  const result = schema.validate(migrate(parsed), { abortEarly: true });
  if (result.error) {
    const field = String(result.error.details[0]?.path[0] ?? '');
    return {
      ok: false,
      message: t`The file is damaged: ${Object.hasOwn(fieldMessages, field) ? fieldMessages[field] : t`“${field}” does not belong in it`}. Export the toy again and open that file.`,
    };
  }
  return { ok: true, document: result.value };
}

/** Writes a toy as the contents of a `.hoppla.json` file. */
export function writeDocument(document: ToyDocument): string {
  return `${JSON.stringify(document, null, 2)}\n`;
}
