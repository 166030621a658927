import type { LineEdit } from './problem';
import type { RoundSource } from './pattern';
import type { LineRead } from './readLine';

/** As many lines one round may go over. */
const mostLines = 6;

/** A comma, a bracket that is open, a word that waits for another: the round is not over. */
const isOpenEnded = (text: string): boolean =>
  /(?:[,;([{+&*]|\b(?:and|then|in|into|next|each|the|x))\s*$/i.test(text) || depthOf(text) > 0;

function depthOf(text: string): number {
  let depth = 0;
  for (const sign of text) {
    if ('([{'.includes(sign)) depth += 1;
    else if (')]}'.includes(sign)) depth -= 1;
  }
  return depth;
}

/** `x 6`, `repeat from * around`, `[24]`: only ever the end of the line above. */
const isEnd =
  /^\s*(?:(?:x|×)\s*\d|\d+\s*(?:x|×|times)\b|(?:repeat|rep)\s+(?:from|to)\b|around\b|[[(]\s*=?\s*\d+\s*(?:sts?|stitches|sc)?\s*[\])]\s*\.?\s*$)/i;

/** Whether a line goes on with the round above it. */
function goesOn(before: string, { work, header, isRound, steps }: LineRead, text: string): boolean {
  if (isRound || work.label || header || !text.trim()) return false;
  if (isEnd.test(text)) return true;
  const works = work.items.some(({ type }) => type === 'work' || type === 'group') || work.total !== null;
  return isOpenEnded(before) && works && steps.length === 0;
}

/**
 * How many lines a labelled round goes over: makers' pages break them where the column ends.
 *
 * @param index of its first line
 * @param reads what each line says by itself
 */
export function linesOfRound(
  index: number,
  lines: readonly string[],
  reads: readonly (LineRead | undefined)[],
): number {
  const first = reads[index];
  if (!first?.isRound || !first.work.label || first.work.total || first.unread) return 1;
  let count = 1;
  while (count < mostLines) {
    const next = reads[index + count];
    if (!next || next.unread || !goesOn(lines[index + count - 1] ?? '', next, lines[index + count] ?? ''))
      break;
    count += 1;
    if (next.work.total) break;
  }
  return count;
}

/** The edit that puts other words in the place of a round's line, or of all its lines. */
export function overRound({ line, lines }: RoundSource, text: string): LineEdit {
  return lines > 1 ? { line, text, lines } : { line, text };
}

/** The last line of the text that a round stands on. */
export const lastLineOf = ({ line, lines }: RoundSource): number => line + lines - 1;
