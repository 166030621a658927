import { isSewnStyle } from '../../notation/sentence/said';
import type { PartSource } from '../../notation/pattern';
import { cutSentence, overSentence } from '../../notation/editText';
import type { LineEdit } from '../../notation/problem';
import { showingOf } from '../frame/pair';
import { featureLibrary } from './library';
import { isAtBack, leadsFace, type FeatureRule, type Sideways, type Vertical } from './rule';
import { featureStep } from './ruleSteps';
import { pluralInPattern } from '../../words/counted';

/** A sentence about a part it does not stand with goes on naming it. */
const onPart = (sentence: string, step: { on?: string } | undefined): string =>
  step?.on ? sentence.replace(/\.$/, `, on the ${step.on}.`) : sentence;
/** Landmarks a feature may lie on. */
const seen: ReadonlySet<string> = new Set(['ridge', 'colour change', 'neck']);
const landmarkWords: Record<string, string> = {
  edge: 'live edge',
  'plain rounds': 'start of the plain rounds',
};

/** `between R8 and R9`, `2 rounds below the eyes`: words that are read back to the same rule. */
export function verticalWords(vertical: Vertical | null): string | null {
  if (!vertical) return null;
  switch (vertical.by) {
    case 'gap':
      return `between R${vertical.gap[0]} and R${vertical.gap[1]}${vertical.from ? ` from the ${vertical.from}` : ''}`;
    case 'range':
      return `from R${vertical.from} to R${vertical.to}`;
    case 'round':
      return `${vertical.side ? `just ${vertical.side}` : 'at'} round ${vertical.round}${vertical.from === 'start' ? '' : ` from the ${vertical.from}`}`;
    case 'relation':
      return vertical.rounds === 0 && seen.has(vertical.to)
        ? `on the ${vertical.to}`
        : `${pluralInPattern(vertical.rounds, 'round')} ${vertical.direction === 'from' && vertical.to === 'first decrease' ? 'before' : vertical.direction} the ${landmarkWords[vertical.to] ?? vertical.to}`;
    case 'stitches':
      return `${pluralInPattern(vertical.stitches, 'stitch')} ${vertical.direction} the ${vertical.to === 'front' ? 'front line' : vertical.to}`;
    case 'level':
      return `on the same round as the ${vertical.to}`;
    case 'start':
      return 'through the start';
  }
}

/** `2 stitches outside the eyes`: words that are read back to the same rule; null where nothing has to be said. */
export function sidewaysWords(sideways: Sideways, single: boolean, unit: 'stitch' | 'round'): string | null {
  switch (sideways.by) {
    case 'front':
      return null;
    case 'back':
      return sideways.apart === undefined
        ? 'at the back'
        : `at the back, ${unit === 'round' ? pluralInPattern(sideways.apart, 'round') : sideways.apart} post to post`;
    case 'apart':
      return `${unit === 'round' ? pluralInPattern(sideways.apart, 'round') : sideways.apart} post to post`;
    case 'rounds':
      return `${sideways.back ? 'at the back, ' : ''}${[...new Set([sideways.from, sideways.to])].map((round) => `between R${round} and R${round + 1}`).join(' and ')}`;
    case 'holes':
      return `at ${sideways.holes.length === 1 ? 'stitch' : 'stitches'} ${sideways.holes.join(' and ')}`;
    case 'outward':
      return sideways.from === 'front'
        ? `${pluralInPattern(sideways.stitches, unit)} outwards from the front line`
        : `${pluralInPattern(sideways.stitches, unit)} outside the ${sideways.from}`;
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
  button: 'button',
};
const sideWords: Record<FeatureRule['sides'], string> = {
  middle: 'in the middle',
  both: 'on both sides',
  left: 'on the left side',
  right: 'on the right side',
};

/** Whether a height has to be said: on the front line itself it has not. */
const isRisen = (vertical: Vertical | null) => vertical?.by !== 'stitches' || vertical.stitches !== 0;

/** Eyes put on whole say what shows between them and where their posts go through. */
function eyesSentence(rule: FeatureRule): string {
  const { vertical, sideways, lying, ring } = rule;
  const seat = rule.seat === 'split' ? 'split' : 'foot';
  const spaced =
    sideways.by === 'apart' && !lying
      ? `${sideways.apart} apart (${showingOf(sideways.apart, seat)} showing)`
      : sidewaysWords(sideways, false, lying ? 'round' : 'stitch');
  const height = lying && !isRisen(vertical) ? null : verticalWords(vertical);
  const words = [
    `${rule.sizeMm} mm`,
    ...(lying ? [spaced, height] : [height, spaced]),
    seat === 'foot' ? 'in the holes' : 'in the splits',
    rule.style === 'oval' ? 'oval' : null,
    ring ? `with ${ring.of === 'felt' ? 'felt' : 'crocheted'} rings of ${ring.sizeMm} mm` : null,
  ].filter((word) => word !== null);
  const made = isSewnStyle(rule.style) ? `${styleWords[rule.style] ?? ''} ` : '';
  const name = `${made}${featureLibrary.eyes.name.toLowerCase()}`;
  return `${name.charAt(0).toUpperCase()}${name.slice(1)}: ${words.join(', ')}.`;
}

/** How wide and how high it is, where that is not measured in mm. */
function extentWords(rule: FeatureRule): (string | null)[] {
  if (rule.sizeMm !== null) return [];
  const [across, up] = rule.lying ? (['round', 'stitch'] as const) : (['stitch', 'round'] as const);
  const high = rule.vertical?.by === 'range' ? null : `${pluralInPattern(rule.high, up)} high`;
  return [`${pluralInPattern(rule.wide, across)} wide`, high];
}

function sidesWords({ kind, sides, sideways }: FeatureRule): string | null {
  const usual = featureLibrary[kind].pair ? 'both' : 'middle';
  const saidByBack = isAtBack(sideways) && sides !== 'both';
  return sides === usual || saidByBack ? null : sideWords[sides];
}

/** The rule as a sentence that is read back to the same rule. */
export function ruleSentence(rule: FeatureRule): string {
  if (leadsFace(rule)) return eyesSentence(rule);
  const made = rule.style ? (styleWords[rule.style] ?? null) : rule.embroidered ? 'embroidered' : null;
  const seat = rule.seat === null ? null : rule.seat === 'split' ? 'in the splits' : 'in the holes';
  const words = [
    made,
    rule.sizeMm === null ? null : `${rule.sizeMm} mm`,
    verticalWords(rule.vertical),
    sidewaysWords(rule.sideways, rule.sides === 'middle', rule.lying ? 'round' : 'stitch'),
    sidesWords(rule),
    ...extentWords(rule),
    seat,
  ].filter((word) => word !== null);
  return `${featureLibrary[rule.kind].name}: ${words.join(', ')}.`;
}

/**
 * Puts a rule into the text.
 *
 * @param id whose sentence is written over; one that has none, or null, writes a new line at the end of the part
 */
export function writeRule(part: PartSource, id: string | null, ...rules: FeatureRule[]): LineEdit {
  const step = id === null ? undefined : featureStep(part, id);
  const sentence = rules.map((rule) => onPart(ruleSentence(rule), step)).join(' ');
  return step ? overSentence(step, sentence) : { line: part.lastLine, text: sentence, insertAfter: true };
}

/** Takes a feature out of the text. */
export function removeRule(part: PartSource, id: string): LineEdit | null {
  const step = featureStep(part, id);
  return step ? cutSentence(step) : null;
}
