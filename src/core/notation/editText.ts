import { applyEdits } from './applyEdits';
import { readHeader } from './headers';
import type { PartSource } from './pattern';
import type { LineEdit } from './problem';
import { readPattern } from './readPattern';
import type { Said } from './sentence/said';

const lineEnds = /\r\n|\n|\r/;

type ToyKey = 'Toy' | 'Hand' | 'Gauge' | 'Lean' | 'Terms' | 'For' | 'Hook' | 'Apart' | 'Seam';

/** The line of a name that stands alone over everything, and is the toy's only there; 0 where there is none. */
function bareNameLine(text: string, lines: readonly string[]): number {
  const first = lines.findIndex((line) => line.trim() !== '');
  const { header } = readPattern(text);
  const isName = first >= 0 && header.name !== null && (lines[first] ?? '').includes(header.name);
  return isName ? first + 1 : 0;
}

/** The edit that sets a header line of the toy (`Hand: left`), in place where there is one, else at the top. */
export function toyHeaderEdits(text: string, key: ToyKey, value: string): LineEdit[] {
  const lines = text.split(lineEnds);
  const headers = lines.map(readHeader);
  const at = headers.findIndex(
    (header) => header !== null && 'key' in header && header.key === key.toLowerCase(),
  );
  if (at >= 0) return [{ line: at + 1, text: `${key}: ${value}` }];
  const named = headers.findIndex((header) => header?.key === 'toy') + 1;
  const bare = named > 0 ? 0 : bareNameLine(text, lines);
  // A toy that is called otherwise is no longer called by the line that stood for its name.
  if (key === 'Toy' && bare > 0) return [{ line: bare, text: `${key}: ${value}` }];
  return [{ line: named || bare, text: `${key}: ${value}`, insertAfter: true }];
}

/** Sets a header line of the toy. An empty value takes it out. */
export function setToyHeader(text: string, key: ToyKey, value: string): string {
  const edits = toyHeaderEdits(text, key, value);
  if (value) return applyEdits(text, edits);
  const [edit] = edits;
  return edit && !edit.insertAfter ? removeLine(text, edit.line) : text;
}

/** Sets a header line of one part (`Start: bottom`), in place where there is one, else under its heading. An empty value takes it out. */
export function setPartHeader(
  text: string,
  part: PartSource,
  key: 'Start' | 'Front' | 'Rounds' | 'Side',
  value: string,
): string {
  const lines = text.split(lineEnds);
  for (let line = part.firstLine; line <= Math.min(lines.length, part.lastLine); line += 1) {
    const header = readHeader(lines[line - 1] ?? '');
    if (header && 'key' in header && header.key === key.toLowerCase())
      return value ? applyEdits(text, [{ line, text: `${key}: ${value}` }]) : removeLine(text, line);
  }
  if (!value) return text;
  // A part without a heading begins at its first round: the line goes above it.
  const headed = part.rounds[0]?.line !== part.firstLine;
  return applyEdits(text, [
    { line: headed ? part.firstLine : part.firstLine - 1, text: `${key}: ${value}`, insertAfter: true },
  ]);
}

/** The edit that puts words in the place of a sentence, or takes it out of its line where there are none. */
export function overSentence({ whole, span, line }: Said, words: string): LineEdit {
  const after = whole.slice(span.to).replace(/^\s*[.;]/, '');
  const text = whole.slice(0, span.from) + words + after;
  return { line, text: words === '' ? text.trim() : text };
}

/** The edits that put words in the place of several sentences, or take them out; those that share a line are changed in it together. */
export function overSentences(changes: readonly { said: Said; words: string }[]): LineEdit[] {
  const lines = new Map<number, { said: Said; words: string }[]>();
  for (const change of changes) {
    const own = lines.get(change.said.line) ?? [];
    lines.set(change.said.line, [...own, change]);
  }
  return [...lines].map(([line, own]) => {
    // From the last to the first: what stands before a sentence stays where it is.
    const backwards = own.toSorted((a, b) => b.said.span.from - a.said.span.from);
    const whole = own[0]?.said.whole ?? '';
    const text = backwards.reduce(
      (now, { said, words }) => overSentence({ ...said, whole: now }, words).text,
      whole,
    );
    return { line, text };
  });
}

/** The edit that takes a sentence out of its line. */
export const cutSentence = (said: Said): LineEdit => overSentence(said, '');

function removeLine(text: string, line: number): string {
  const lineEnd = text.includes('\r\n') ? '\r\n' : '\n';
  const lines = text.split(lineEnds);
  lines.splice(line - 1, 1);
  return lines.join(lineEnd);
}
