import type { ProblemCode } from './codes';
import { joiningWords, type JoiningFacts } from './joining';
import { placingWords, type PlacingFacts } from './placing';
import { readingWords, type ReadingFacts } from './reading';
import { toyWords, type ToyFacts } from './toy';
import { workingWords, type WorkingFacts } from './working';
import type { Words } from './words';

/** What the message of each code is made of. */
export interface ProblemFacts extends ReadingFacts, WorkingFacts, PlacingFacts, JoiningFacts, ToyFacts {}

/** Every code has words: one without them does not compile. */
const says: { readonly [Code in ProblemCode]: Words<ProblemFacts>[Code] } = {
  ...readingWords,
  ...workingWords,
  ...placingWords,
  ...joiningWords,
  ...toyWords,
};

/** A problem by what it is, what that goes by, and how it is said. */
export interface Said {
  code: ProblemCode;
  facts: Readonly<Record<string, unknown>>;
  message: string;
}

/** What is said of a problem. The only place where its message is made. */
export function saying<Code extends ProblemCode>(code: Code, facts: ProblemFacts[Code]): Said {
  const words: (facts: ProblemFacts[Code]) => string = says[code];
  return { code, facts: { ...facts }, message: words(facts) };
}
