import type { PartSource } from '../../notation/pattern';
import type { LineEdit } from '../../notation/problem';
import { isAtBack, type FeatureRule, type Sideways } from './featureRule';
import { featureSteps } from './featureSteps';
import { featureLibrary } from './library';
import { onPart, plural, verticalWords } from './verticalWords';

/** `2 stitches outside the eyes`: words that are read back to the same rule; null where nothing has to be said. */
export function sidewaysWords(sideways: Sideways, single: boolean, unit: 'stitch' | 'round'): string | null {
  switch (sideways.by) {
    case 'front':
      return null;
    case 'back':
      return sideways.apart === undefined
        ? 'at the back'
        : `at the back, ${unit === 'round' ? plural(sideways.apart, 'round') : sideways.apart} post to post`;
    case 'apart':
      return `${unit === 'round' ? plural(sideways.apart, 'round') : sideways.apart} post to post`;
    case 'rounds':
      return `${sideways.back ? 'at the back, ' : ''}${[...new Set([sideways.from, sideways.to])].map((round) => `between R${round} and R${round + 1}`).join(' and ')}`;
    case 'holes':
      return `at ${sideways.holes.length === 1 ? 'stitch' : 'stitches'} ${sideways.holes.join(' and ')}`;
    case 'outward':
      return sideways.from === 'front'
        ? `${plural(sideways.stitches, unit)} outwards from the front line`
        : `${plural(sideways.stitches, unit)} outside the ${sideways.from}`;
    case 'inLine':
      return `${single ? 'as wide as' : 'in line with'} the ${sideways.edge === 'middle' ? 'middle' : `${sideways.edge} edge`} of the ${sideways.to}`;
  }
}

const styleWords: Partial<Record<NonNullable<FeatureRule['style']>, string>> = {
  satin: 'satin stitch',
  triangle: 'satin triangle',
  smile: 'embroidered smile',
  line: 'one straight stitch',
  row: 'row of short stitches',
  lips: 'two lips',
  sleeping: 'sleeping',
  felt: 'felt',
  crochet: 'crocheted',
  oval: 'oval',
};
const sideWords: Record<FeatureRule['sides'], string> = {
  middle: 'in the middle',
  both: 'on both sides',
  left: 'on the left side',
  right: 'on the right side',
};

/** The rule as a sentence that is read back to the same rule. */
export function featureSentence(rule: FeatureRule): string {
  const entry = featureLibrary[rule.kind];
  const usual = entry.pair ? 'both' : 'middle';
  const sized = rule.sizeMm !== null;
  const words = [
    rule.style ? styleWords[rule.style] : rule.embroidered ? 'embroidered' : null,
    sized ? `${rule.sizeMm} mm` : null,
    verticalWords(rule.vertical),
    sidewaysWords(rule.sideways, rule.sides === 'middle', rule.lying ? 'round' : 'stitch'),
    rule.sides === usual || (isAtBack(rule.sideways) && rule.sides !== 'both') ? null : sideWords[rule.sides],
    sized ? null : `${plural(rule.wide, rule.lying ? 'round' : 'stitch')} wide`,
    sized || rule.vertical?.by === 'range'
      ? null
      : `${plural(rule.high, rule.lying ? 'stitch' : 'round')} high`,
    rule.seat === 'split' ? 'in the splits' : rule.seat === 'foot' ? 'in the holes' : null,
  ].filter((word) => word !== null && word !== undefined);
  return `${entry.name}: ${words.join(', ')}.`;
}

/** The sentence about a feature by its name, if there is one. */
export function featureStep(part: PartSource, id: string) {
  return featureSteps(part).find((one) => one.id === id)?.step;
}

/**
 * Puts a rule into the text.
 *
 * @param id whose sentence is written over; null writes a new line at the end of the part
 */
export function writeFeature(part: PartSource, id: string | null, ...rules: FeatureRule[]): LineEdit {
  const step = id === null ? undefined : featureStep(part, id);
  const sentence = rules.map((rule) => onPart(featureSentence(rule), step)).join(' ');
  if (!step) return { line: part.lastLine, text: sentence, insertAfter: true };
  const line = step.whole;
  return {
    line: step.line,
    text: line.slice(0, step.span.from) + sentence + line.slice(step.span.to).replace(/^\s*[.;]/, ''),
  };
}

/** Takes a feature out of the text. */
export function removeFeature(part: PartSource, id: string): LineEdit | null {
  const step = featureStep(part, id);
  if (!step) return null;
  const line = step.whole;
  return {
    line: step.line,
    text: (line.slice(0, step.span.from) + line.slice(step.span.to).replace(/^\s*[.;]/, '')).trim(),
  };
}
