import type { Problem } from '../notation/problem';
import type { ProblemCode } from '../words/problems/codes';
import { saying, type ProblemFacts } from '../words/problems/problems';
import type { AnyJoin, JoinPart } from './joined';

/** What is wrong with a join of a part, with what its message is made of. */
export function problem<Code extends ProblemCode>(
  { part }: JoinPart,
  code: Code,
  facts: ProblemFacts[Code],
  { severity = 'warning', sentence }: { severity?: Problem['severity']; sentence?: AnyJoin } = {},
): Problem {
  return {
    ...saying(code, facts),
    severity,
    part: part.name,
    partId: part.id,
    line: sentence?.line ?? part.line,
    column: (sentence?.span.from ?? 0) + 1,
    suggestions: [],
  };
}
