import { numberWords, ordinalWords } from '../tokens';

/** A manner of speaking, and the words the grammar reads for it. */
export interface Phrasing {
  /** `said → as read`, for whoever looks for a manner here; each is a test */
  example: readonly [said: string, read: string];
  pattern: RegExp;
  by: (...found: string[]) => string;
}

export const numberOf = (said: string): number => numberWords[said.toLowerCase()] ?? Number(said);
/** Which one a word says: `fifth` is 5; 0 where it is no such word. */
export const nthOf = (word: string): number => ordinalWords.indexOf(word.toLowerCase()) + 1;

// Sources of expressions: a number, a word for how manieth, a stitch, a chain, a slip stitch, the label of a round, the end of a line.
export const n = String.raw`(\d{1,3}|${Object.keys(numberWords).join('|')})`;
export const nthWord = `(${ordinalWords.join('|')})`;
export const st = String.raw`(?:stitch(?:es)?|sts?|sc)(?![a-z])`;
export const ch = String.raw`(?:chains?|chs?|loops?)(?![a-z])`;
export const sl = String.raw`(?:sl(?:ip)?[\s.-]*st(?:itch)?|ss)(?![a-z])`;
export const label = String.raw`(?<=^\s*(?:rounds?|rnds?|rows?|rds?|r)?\.?\s*\d{1,4}(?:\s*(?:[-–&+]|to|through|and)\s*(?:r|rnds?|rounds?|rows?)?\.?\s*\d{1,4}|(?:st|nd|rd|th)\s+(?:rounds?|rnds?|rows?))?\s*[:.)|–-]?\s*)`;
export const ending = String.raw`(?=\s*(?:[,.;]|[[(]\s*\d|=|$))`;

export const re = (source: string): RegExp => new RegExp(source, 'gi');

/** So many stitches in one, where no word says which: in words of neither terms, so that what is read does not decide which are meant. */
export function severalInOne(said: string): string {
  const count = numberOf(said);
  if (count === 2) return 'inc';
  return count === 3 ? 'inc3' : `${count} st`;
}
