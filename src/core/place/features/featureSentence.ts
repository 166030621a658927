import type { FeatureKind } from '../../notation/step';
import type { PartSource } from '../../notation/pattern';
import type { LineEdit } from '../../notation/problem';
import type { FeatureRule, Sideways, Vertical } from './featureRule';
import { featureLibrary } from './library';

const plural = (n: number, one: string) => `${n} ${one}${n === 1 ? '' : one.endsWith('stitch') ? 'es' : 's'}`;
const landmarkWords: Record<string, string> = { edge: 'live edge' };

function verticalWords(vertical: Vertical | null): string | null {
  if (!vertical) return null;
  switch (vertical.by) {
    case 'gap': return `between R${vertical.gap[0]} and R${vertical.gap[1]}`;
    case 'round': return `at round ${vertical.round}${vertical.from === 'end' ? ' from the end' : ''}`;
    case 'relation': return `${plural(vertical.rounds, 'round')} ${vertical.direction} the ${landmarkWords[vertical.to] ?? vertical.to}`;
    case 'level': return `on the same round as the ${vertical.to}`;
  }
}

function sidewaysWords(sideways: Sideways, pair: boolean): string | null {
  switch (sideways.by) {
    case 'front': return null;
    case 'back': return 'at the back';
    case 'apart': return `${sideways.apart} apart`;
    case 'outward': return `${plural(sideways.stitches, 'stitch')} outside the ${sideways.from}`;
    case 'inLine': return `${pair ? 'in line with' : 'as wide as'} the ${sideways.edge === 'middle' ? 'middle' : `${sideways.edge} edge`} of the ${sideways.to}`;
  }
}

const styleWords: Partial<Record<NonNullable<FeatureRule['style']>, string>> = {
  satin: 'satin stitch', triangle: 'satin triangle', smile: 'embroidered smile', row: 'row of short stitches', lips: 'two lips', sleeping: 'sleeping', felt: 'felt', crochet: 'crocheted', oval: 'oval', ring: 'with felt rings',
};

/** The rule as a sentence that is read back to the same rule. */
export function featureSentence(rule: FeatureRule): string {
  const entry = featureLibrary[rule.kind];
  const words = [
    rule.style ? styleWords[rule.style] : rule.embroidered ? 'embroidered' : null,
    rule.sizeMm !== null ? `${rule.sizeMm} mm` : null,
    verticalWords(rule.vertical), sidewaysWords(rule.sideways, entry.pair),
    `${plural(rule.wide, 'stitch')} wide`, `${plural(rule.high, 'round')} high`,
  ].filter((word) => word !== null && word !== undefined);
  return `${entry.name}: ${words.join(', ')}.`;
}

/** The sentence about a feature, if there is one. The last one said holds. Pressed eyes have rules of their own. */
export function featureStep(part: PartSource, kind: FeatureKind) {
  return part.steps.findLast((step) => step.kind === 'feature' && step.feature === kind && (kind !== 'eyes' || step.embroidered === true));
}

/** Puts a rule into the text: over its sentence, or as a new line at the end of the part. */
export function writeFeature(part: PartSource, lines: readonly string[], rule: FeatureRule): LineEdit {
  const step = featureStep(part, rule.kind);
  const sentence = featureSentence(rule);
  if (!step) return { line: part.lastLine, text: sentence, insertAfter: true };
  const line = lines[step.line - 1] ?? '';
  return { line: step.line, text: line.slice(0, step.span.from) + sentence + line.slice(step.span.to).replace(/^\s*[.;]/, '') };
}

/** Takes a feature out of the text. */
export function removeFeature(part: PartSource, lines: readonly string[], kind: FeatureKind): LineEdit | null {
  const step = featureStep(part, kind);
  if (!step) return null;
  const line = lines[step.line - 1] ?? '';
  return { line: step.line, text: (line.slice(0, step.span.from) + line.slice(step.span.to).replace(/^\s*[.;]/, '')).trim() };
}
