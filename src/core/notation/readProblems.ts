import { limits } from './limits';
import type { Problem } from './problem';
import type { LineRead } from './readLine';

type Said = Pick<Problem, 'code' | 'message'> & Partial<Problem>;

const told = (problem: Said): Problem => ({ severity: 'error', suggestions: [], ...problem });

/** A line, or the end of one, that was not read. */
export function unreadLine({ from, report }: NonNullable<LineRead['unread']>, line: number): Problem {
  if (report !== null)
    return told({
      code: 'line-failed',
      line,
      column: 1,
      facts: { report },
      message: `Line ${line} could not be read, though it should have been. It is kept as a note; everything else still counts. Write it another way. (${report})`,
    });
  return told({
    code: 'line-too-long',
    line,
    column: from + 1,
    message: `Line ${line} is too long to be one line of work: from sign ${from + 1} on it is not read. Divide it.`,
  });
}

/** More signs than one toy may have. */
export const tooLong = (text: string): Problem =>
  told({
    code: 'too-long',
    message: `This text has ${Math.ceil(text.length / 1000)} thousand signs: too long for one toy. Paste one toy at a time, up to ${limits.textSigns / 1000} thousand signs.`,
  });

/** More of something than one toy may have, from a line on. */
export const tooMuch = (line: number, what: string): Problem =>
  told({
    code: 'too-much',
    line,
    column: 1,
    message: `From line ${line} on this text holds too much for one toy: ${what}. The lines from there are kept and not counted. Give them to a toy of their own.`,
  });

/** A round with a number no toy has. */
export const numberedTooHigh = (line: number, column: number): Problem =>
  told({
    code: 'round-number',
    line,
    column,
    message: `Line ${line} numbers a round above ${limits.roundNumber}. Check the number; until then the line is kept as a note.`,
  });

/** A label of several rounds, and another number of them behind it. */
export const roundsDiffer = (
  line: number,
  { first, last }: { first: number; last: number },
  times: number,
): Problem =>
  told({
    code: 'rounds-differ',
    line,
    column: 1,
    facts: { first, last, times },
    message: `Line ${line} is for rounds ${first} to ${last}, which are ${last - first + 1}, and says ${times}. The rounds of its label are taken. Put right whichever is wrong.`,
  });

/** Rounds that are said by how long they come to. */
export const roundsByLength = (line: number, length: string): Problem =>
  told({
    code: 'rounds-by-length',
    line,
    column: 1,
    facts: { length },
    message: `Line ${line} says to go on for ${length}, and how many rounds that are depends on your stitches. Count them and write “Next 8 rounds: sc around”; until then none of them are worked.`,
  });

/** A header line whose value can't be read. */
export const headerUnclear = (line: number, message: string): Problem =>
  told({ code: 'header-unclear', severity: 'warning', line, column: 1, message });
