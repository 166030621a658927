import { failureOf } from '../notation/failure';
import type { PartSource } from '../notation/pattern';
import type { Problem } from '../notation/problem';
import { saying } from '../words/problems/problems';

/**
 * Computes something that is not meant to fail. Where it does, the failure becomes a problem that carries what a report needs, so that
 * one part, or one feature, takes nothing else with it.
 *
 * @param what is worked out, as it stands in the message: `the eyes of Head`
 * @param instead what to go on with
 */
export function attempt<T>(
  compute: () => T,
  part: PartSource | null,
  what: string,
  instead: (problem: Problem) => T,
): T {
  try {
    return compute();
  } catch (failure) {
    const report = failureOf(failure);
    return instead({
      ...saying('step-failed', { what, report }),
      severity: 'error',
      ...(part ? { part: part.name, line: part.line, column: 1 } : {}),
      suggestions: [],
    });
  }
}
