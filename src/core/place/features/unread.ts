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
export function unread(
  step: Step,
  name: string,
  unit: 'round' | 'stitch',
  further: (by: number) => LineEdit,
  asPlaced: () => LineEdit,
): (Pick<Problem, 'code' | 'severity' | 'message'> & { suggestions: Suggestion[] })[] {
  const found = [];
  if (step.vague !== undefined && step.relation) {
    const { direction, to } = step.relation;
    found.push({
      code: 'how-far',
      severity: 'warning' as const,
      message: `“${step.vague}” does not say how far: 1 ${unit} ${direction} the ${to} is taken for the ${name} until you say.`,
      suggestions: [1, 2, 3].map((by) => ({
        title: `${plural(by, unit)} ${direction}`,
        edits: [further(by)],
      })),
    });
  }
  if (step.ofRound !== undefined && step.feature !== 'eyes') {
    found.push({
      code: 'stitch-of-round',
      severity: 'info' as const,
      message: `A stitch of round ${step.ofRound} is read as the hole at its foot, between rounds ${step.ofRound - 1} and ${step.ofRound}. Say “between” to settle it.`,
      suggestions: [{ title: `Between ${step.ofRound - 1} and ${step.ofRound}`, edits: [asPlaced()] }],
    });
  }
  // On a part that lies on its side a stitch is a height, and no number says which.
  const lying = unit === 'stitch' && step.stitches ? [`stitch ${step.stitches.join(' and ')}`] : [];
  for (const clause of [...(step.unused ?? []), ...lying]) {
    found.push({
      code: 'words-unused',
      severity: 'warning' as const,
      message: `“${clause}” could not be read and is left out for the ${name}. Say it by rounds and stitches, or keep it as placed.`,
      suggestions: [{ title: 'Keep it as placed', edits: [asPlaced()] }],
    });
  }
  return found;
}
