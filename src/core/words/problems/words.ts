import { t } from '../language';
/** For each code the words that are said of its facts. */
export type Words<Facts> = { readonly [Code in keyof Facts]: (facts: Facts[Code]) => string };

/** A code with no more to it than its words. */
export type NoFacts = Readonly<Record<string, never>>;

/** A round or row by its number in the text. */
export interface RoundSaid {
  round: number;
  /** worked to and fro */
  isRow: boolean;
}

/** `Round 4`, `Row 4`: at the head of a message. */
export const roundName = ({ round, isRow }: RoundSaid): string => `${isRow ? t`Row` : t`Round`} ${round}`;
