import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { limits } from '../src/core/notation/limits';
import type { Firmness } from '../src/core/shape/form/relaxation';
import { readDocument } from '../src/core/toy/document';
import { setToyHeader } from '../src/core/toy/editText';
import { analyseToy, plainVerbs, verbs } from './verbs';

class Unreadable extends Error {}

/** The pattern text of a file: a toy document, or text as it is. */
function readText(file: string): string {
  let bytes: Buffer;
  try {
    bytes = readFileSync(file);
  } catch {
    throw new Unreadable(`${file}: this file can't be opened.`);
  }
  if (bytes.length > limits.textSigns * 3) throw new Unreadable(`${file}: too long for a pattern (${Math.round(bytes.length / 1000)} kB; up to ${limits.textSigns / 1000} thousand signs).`);
  let text: string;
  try {
    text = new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    throw new Unreadable(`${file}: this is not text. Save the pattern as plain text (UTF-8) and try again.`);
  }
  // Control signs are what tells a binary file from text.
  if (/[\u0000-\u0008\u000e-\u001a]/.test(text)) throw new Unreadable(`${file}: this is not text. Save the pattern as plain text (UTF-8) and try again.`);
  if (/^\s*\{/.test(text) && file.endsWith('.json')) {
    const read = readDocument(text);
    if (!read.ok) throw new Unreadable(`${file}: ${read.message}`);
    return read.document.text;
  }
  if (text.length > limits.textSigns) throw new Unreadable(`${file}: too long for a pattern (${Math.round(text.length / 1000)} thousand signs; up to ${limits.textSigns / 1000}).`);
  return text;
}

/** The text with the gauge asked for in place of its own: `--gauge 5,4.8`. */
function withGauge(text: string, gauge: unknown): string {
  if (gauge === undefined) return text;
  const [width, height] = String(gauge).split(/[,x]/).map(Number);
  if (!width || !height || !(width > 0 && width <= 60 && height > 0 && height <= 60)) throw new Unreadable(`--gauge ${String(gauge)}: give the stitch width and the round height in mm, for example --gauge 5,4.8.`);
  const line = `Gauge: ${width} mm x ${height} mm`;
  // At the end where there was none, so that every line keeps its number.
  return analyseToy(text).pattern.header.gauge ? setToyHeader(text, 'Gauge', line.slice('Gauge: '.length)) : `${text.trimEnd()}\n${line}\n`;
}

const firmnesses: readonly Firmness[] = ['light', 'medium', 'firm', 'none'];

function readFirmness(said: unknown): Firmness | undefined {
  if (said === undefined) return undefined;
  const found = firmnesses.find((firmness) => firmness === said);
  if (!found) throw new Unreadable(`--firmness ${String(said)}: say light, medium, firm or none.`);
  return found;
}

function run(): number {
  const { values, positionals } = parseArgs({
    allowPositionals: true, strict: false,
    options: { text: { type: 'boolean', default: false }, format: { type: 'string', default: 'md' }, gauge: { type: 'string' }, firmness: { type: 'string' } },
  });
  const [name = '', file = ''] = positionals;
  const verb = verbs[name];
  if (!verb || !file) {
    process.stderr.write(`Use: npm run -s hoppla -- <${Object.keys(verbs).join('|')}> FILE [--text] [--format md|html|txt] [--gauge W,H] [--firmness light|medium|firm|none]\n`);
    return 2;
  }
  const firmness = readFirmness(values.firmness);
  const toy = analyseToy(withGauge(readText(file), values.gauge));
  const options = { text: Boolean(values.text), format: String(values.format), firmness };
  const output = values.text ? (plainVerbs[name]?.(toy, options) ?? '') : verb(toy, options);
  process.stdout.write(typeof output === 'string' ? `${output.trimEnd()}\n` : `${JSON.stringify(output, null, 2)}\n`);
  return toy.problems.some((problem) => problem.severity === 'error') ? 1 : 0;
}

try {
  process.exitCode = run();
} catch (error) {
  if (!(error instanceof Unreadable)) throw error;
  process.stderr.write(`${error.message}\n`);
  process.exitCode = 2;
}
