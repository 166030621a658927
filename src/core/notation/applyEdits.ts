import type { LineEdit } from './problem';

/**
 * Applies line edits to a text, keeping its line ends.
 *
 * @param text the whole pattern text
 * @param edits lines counted from 1, in the text as it stands before any of them; what is put in behind one line comes in the order given
 */
export function applyEdits(text: string, edits: readonly LineEdit[]): string {
  const lineEnd = text.includes('\r\n') ? '\r\n' : '\n';
  const lines = text.split(/\r\n|\n|\r/);
  // From the bottom up, so that a line put in does not move the ones still to be edited.
  for (const edit of [...edits].reverse().sort((a, b) => b.line - a.line)) {
    const { line, insertAfter, lines: replaced = 1, text: put } = edit;
    lines.splice(insertAfter ? line : line - 1, insertAfter ? 0 : replaced, put);
  }
  return lines.join(lineEnd);
}
