import type { LineEdit, Problem, Suggestion } from '../../notation/problem';
import { verticalOf, type FeatureRule, type Sideways } from './featureRule';
import type { FeatureStep } from './featureSteps';
import { verticalWords } from './verticalWords';
import { sidewaysWords } from './featureSentence';

/** What belongs to the eyes themselves needs no place of its own. */
const atTheEyes = new Set(['lashes', 'sculpting']);

const anyOf = (...said: unknown[]) => said.some((one) => one !== undefined);

function saysHeight(step: FeatureStep, lying: boolean): boolean {
  if (anyOf(step.unused)) return true;
  return lying ? anyOf(step.stitchesFrom, step.level, step.relation) : verticalOf(step) !== null;
}

function saysSideways(
  { outward, inLine, apart, showing, stitches, back, gap, range, round }: FeatureStep,
  lying: boolean,
): boolean {
  return anyOf(outward, inLine, apart, showing, stitches, back) || (lying && anyOf(gap, range, round));
}

/**
 * Says what a sentence leaves open and is filled as makers usually do it, so that a guess is never taken for what was said.
 *
 * @param asPlaced the edit that says what is placed now
 */
export function asUsual(
  step: FeatureStep,
  rule: FeatureRule,
  name: string,
  asPlaced: () => LineEdit,
): (Pick<Problem, 'code' | 'severity' | 'message'> & { suggestions: Suggestion[] })[] {
  if (atTheEyes.has(rule.kind)) return [];
  const lying = rule.lying === true;
  const height = saysHeight(step, lying) ? null : verticalWords(rule.vertical);
  const pair: Sideways | null = rule.sides === 'middle' || saysSideways(step, lying) ? null : rule.sideways;
  // In line with the eyes is no guess to speak of.
  const side =
    pair && pair.by !== 'front' && pair.by !== 'inLine'
      ? sidewaysWords(pair, false, lying ? 'round' : 'stitch')
      : null;
  const words = [height, side].filter((word) => word !== null);
  if (words.length === 0) return [];
  const open =
    height && side ? 'where' : height ? (lying ? 'how high' : 'between which rounds') : 'how far out';
  return [
    {
      code: 'as-usual',
      severity: 'info',
      message: `The sentence does not say ${open} the ${name} ${name.endsWith('s') ? 'go' : 'goes'}. As is usual: ${words.join(', ')}.`,
      suggestions: [{ title: 'Write it so', edits: [asPlaced()] }],
    },
  ];
}
