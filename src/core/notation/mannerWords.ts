import { numberWords } from './tokens';

export const roundWord = String.raw`(?:rounds?|rnds?|rows?|rds?|r)`;
export const number = String.raw`(\d{1,3}|${Object.keys(numberWords)
  .filter((word) => !/^(?:one|once|twice|thrice|second|third|fourth|fifth|sixth)$/.test(word))
  .join('|')})`;
export const numberOf = (said: string): number => numberWords[said.toLowerCase()] ?? Number(said);

/** Words in the place of others, made as long as those; null where there is no room. */
export function inPlace(line: string, from: number, to: number, words: string): string | null {
  return words.length > to - from ? null : line.slice(0, from) + words.padEnd(to - from) + line.slice(to);
}

export const labelled = new RegExp(
  String.raw`^\s*(?:${roundWord}\.?\s*\d{1,4}(?:\s*-\s*\d{1,4})?|\d{1,4}(?:\s*-\s*\d{1,4})?(?=\s*[:.)]))`,
  'i',
);

/** `Make a slip knot, ` before the chains it holds. */
export const slipKnot =
  /\b(?:(?:make|tie|start\s+with|begin\s+with|with)\s+)?(?:an?\s+)?slip\s?-?knot(?:\s+on\s*(?:to)?\s+(?:(?:the|your)\s+)?hook)?\s*[,.;:]?\s*(?:(?:and|then)\s+)?(?=ch)/i;
