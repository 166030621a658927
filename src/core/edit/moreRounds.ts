import { analyseToy } from '../toy/analyse';
import { insertRound, roundCards } from './editRounds';

/** A round of a part that is worked more often than the pattern has it. */
export interface RepeatedRound {
  /** the part by its id in the text, and the round by its number */
  part: string;
  label: number;
  /** its work, without label and total */
  words: string;
}

/**
 * The text with a round worked so many times more, behind the rounds of its line. What is counted from above it stays, what is counted from
 * below moves.
 *
 * @returns the text itself where there is no such round, or where working it once more would change the count
 */
export function withMoreRounds(
  text: string,
  { part: id, label, words }: RepeatedRound,
  more: number,
): string {
  let longer = text;
  for (let i = 0; i < more; i += 1) {
    const { parts } = analyseToy(longer, { searches: false });
    const part = parts.find(({ source }) => source.id === id);
    const at = part?.checks.findIndex(({ round }) => round === label) ?? -1;
    const count = part?.checks[at]?.worked;
    const isPlain = at > 0 && count === part?.checks[at - 1]?.worked;
    const after = part && roundCards(part.source).find(({ first, last }) => first <= label && last >= label);
    if (!part || !after || !isPlain) return text;
    longer = insertRound(longer, part.source, { after, body: words, count });
  }
  return longer;
}
