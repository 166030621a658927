import type { HeaderFault } from '../words/problems/reading';
import { saying, type Said } from '../words/problems/problems';
import { limits } from './limits';
import type { Problem } from './problem';
import type { LineRead } from './readLine';

const told = (what: Said, at: Partial<Problem> = {}): Problem => ({
  ...what,
  severity: 'error',
  suggestions: [],
  ...at,
});

/** A line, or the end of one, that was not read. */
export function unreadLine({ from, report }: NonNullable<LineRead['unread']>, line: number): Problem {
  if (report !== null) return told(saying('line-failed', { line, report }), { line, column: 1 });
  return told(saying('line-too-long', { line, from: from + 1 }), { line, column: from + 1 });
}

/** More signs than one toy may have. */
export const tooLong = (text: string): Problem =>
  told(saying('too-long', { signs: text.length, most: limits.textSigns }));

/** More of something than one toy may have, from a line on. */
export const tooMuch = (line: number, what: string): Problem =>
  told(saying('too-much', { line, what }), { line, column: 1 });

/** A round with a number no toy has. */
export const numberedTooHigh = (line: number, column: number): Problem =>
  told(saying('round-number', { line, most: limits.roundNumber }), { line, column });

/** A label of several rounds, and another number of them behind it. */
export const roundsDiffer = (
  line: number,
  { first, last }: { first: number; last: number },
  times: number,
): Problem => told(saying('rounds-differ', { line, first, last, times }), { line, column: 1 });

/** Rounds that are said by how long they come to. */
export const roundsByLength = (line: number, length: string): Problem =>
  told(saying('rounds-by-length', { line, length }), { line, column: 1 });

/** A header line whose value can't be read. */
export const headerUnclear = (line: number, fault: HeaderFault): Problem =>
  told(saying('header-unclear', fault), { severity: 'warning', line, column: 1 });
