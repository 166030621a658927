import type { Problem } from '../notation/problem';
import type { ProblemCode } from '../notation/problemCodes';
import type { AnyJoin, JoinPart } from './joined';
import { joinWords } from './words';

/** What is wrong with a join of a part, with what its message is made of. */
export function problem(
  { part }: JoinPart,
  code: ProblemCode,
  facts: Record<string, unknown>,
  { severity = 'warning', sentence }: { severity?: Problem['severity']; sentence?: AnyJoin } = {},
): Problem {
  return {
    code,
    severity,
    part: part.name,
    partId: part.id,
    line: sentence?.line ?? part.line,
    column: (sentence?.span.from ?? 0) + 1,
    facts,
    message: joinWords(code, facts),
    suggestions: [],
  };
}
