import type { PartSource } from '../notation/pattern';
import type { Problem } from '../notation/problem';
import type { StopPlan } from '../plan/stops';

/** Codes of the problems that follow from what hands and tools get through. */
export const handCodes: ReadonlySet<string> = new Set(['eyes-no-opening', 'stuffing-no-opening']);

const isAboutEyes = (step: PartSource['steps'][number]): boolean =>
  step.kind === 'feature' && step.feature === 'eyes';

/** What the text asks for and no round allows, by hands as they are. */
export function stopProblems(part: PartSource, { impossible }: StopPlan): Problem[] {
  // A small horn is left empty without a word; only what the text asks for must find its way in.
  const asksToStuff = part.steps.some(({ kind }) => kind === 'stuff');
  const asked = impossible.filter(({ act }) => act !== 'stuff' || asksToStuff);
  return asked.map(({ act, message }) => ({
    code: act === 'seat-eyes' || act === 'seat-nose' ? 'eyes-no-opening' : 'stuffing-no-opening',
    severity: 'warning' as const,
    part: part.name,
    partId: part.id,
    message,
    suggestions: [],
    line: part.steps.find(isAboutEyes)?.line ?? part.line,
  }));
}

/** How far a part is filled, where the text says so and not from which end: it is planned full, and that is told. */
export function amountProblems({ steps, name, id }: PartSource): Problem[] {
  return steps.flatMap((step): Problem[] => {
    if (step.kind !== 'stuff' || step.amount === undefined) return [];
    return [
      {
        code: 'words-unused',
        severity: 'warning',
        part: name,
        partId: id,
        line: step.line,
        column: step.span.from + 1,
        facts: { words: step.amount },
        message: `“${step.amount}” does not say which part of the ${name.toLowerCase()} is filled: it is planned full. Write “Stuff the lower half only”, “Don’t stuff the last 4 rounds”, or “Stuff lightly”.`,
        suggestions: [],
      },
    ];
  });
}
