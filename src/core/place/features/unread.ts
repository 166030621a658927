import type { LineEdit, Problem, Suggestion } from '../../notation/problem';
import type { Step } from '../../notation/step';
import { plural } from './verticalWords';

/**
 * What a sentence says about a place and what was not read as it stands: a relation without a number, and clauses that were passed over.
 * Both ask, so that nothing is placed otherwise than said without a word.
 *
 * @param name as it stands in messages: `mouth`
 * @param unit what up and down is counted in on this part
 * @param further the edit that says the relation with a number
 * @param asPlaced the edit that says what is placed now
 */
export function unread(step: Step, name: string, unit: 'round' | 'stitch', further: (by: number) => LineEdit, asPlaced: () => LineEdit): (Pick<Problem, 'code' | 'severity' | 'message'> & { suggestions: Suggestion[] })[] {
  const found = [];
  if (step.vague !== undefined && step.relation) {
    const { direction, to } = step.relation;
    found.push({
      code: 'how-far', severity: 'warning' as const, message: `“${step.vague}” does not say how far: the ${name} is put 1 ${unit} ${direction} the ${to} until you say.`,
      suggestions: [1, 2, 3].map((by) => ({ title: `${plural(by, unit)} ${direction}`, edits: [further(by)] })),
    });
  }
  for (const clause of step.unused ?? []) {
    found.push({ code: 'words-unused', severity: 'warning' as const, message: `“${clause}” could not be read and is left out for the ${name}. Say it by rounds and stitches, or keep it as placed.`, suggestions: [{ title: 'Keep it as placed', edits: [asPlaced()] }] });
  }
  return found;
}
