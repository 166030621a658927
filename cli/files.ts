import { readFileSync, statSync } from 'node:fs';
import { limits } from '../src/core/notation/limits';
import { longestDocument, readDocument } from '../src/core/keep/document';

/** What was asked for can't be done: one line says why. */
export class Refusal extends Error {}

/** Words from a file or the command line as one printed line: signs that steer a terminal are taken out of them. */
export function printable(text: string): string {
  return text.replace(/[\u0000-\u0008\u000b-\u001f\u007f-\u009f\u200e\u200f\u202a-\u202e\u2066-\u2069]/g, '');
}

/** The bytes of a file that is one; what has no end is not read. */
function readBytes(file: string): Buffer {
  let size: number;
  try {
    const found = statSync(file);
    if (!found.isFile()) throw new Refusal(`${file}: this is no file.`);
    size = found.size;
  } catch (reason) {
    throw reason instanceof Refusal ? reason : new Refusal(`${file}: this file can't be opened.`);
  }
  if (size > longestDocument)
    throw new Refusal(
      `${file}: too long for a pattern (${Math.ceil(size / 1000)} kB; up to ${limits.textSigns / 1000} thousand signs).`,
    );
  try {
    return readFileSync(file);
  } catch {
    throw new Refusal(`${file}: this file can't be opened.`);
  }
}

const notText = (file: string) =>
  new Refusal(`${file}: this is not text. Save the pattern as plain text (UTF-8) and try again.`);

/** The pattern text of a file: of a toy document its text, else the text as it is. */
export function readText(file: string): string {
  const bytes = readBytes(file);
  let text: string;
  try {
    text = new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    throw notText(file);
  }
  // Control signs are what tells a binary file from text.
  if (/[\u0000-\u0008\u000e-\u001a]/.test(text)) throw notText(file);
  if (/^\s*\{/.test(text) && file.endsWith('.json')) {
    const read = readDocument(text);
    if (!read.ok) throw new Refusal(`${file}: ${read.message}`);
    return read.document.text;
  }
  if (text.length > limits.textSigns)
    throw new Refusal(
      `${file}: too long for a pattern (${Math.ceil(text.length / 1000)} thousand signs; up to ${limits.textSigns / 1000}).`,
    );
  return text;
}
