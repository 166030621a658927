import type { TokenType } from 'chevrotain';
import { readFeature } from './readFeature';
import { SentenceParser } from './sentenceParser';
import type { Phrases } from './sentencePhrases';
import { featureOf, is, S, sentenceLexer } from './sentenceTokens';
import { splitSentences } from './splitSentences';
import type { Step, StepKind } from './step';
import { stitched, styles } from './styleWords';

export type { FeatureKind, Step, StepKind } from './step';

let parser: SentenceParser | undefined;

/** The words that a sentence is about: without one of them there is nothing to do and nothing to place. */
const carriers = [
  S.NotStuff,
  S.Stuff,
  S.Close,
  S.NoSew,
  S.Sew,
  S.Pin,
  S.Fold,
  S.Cut,
  S.Insert,
  S.Embroider,
  S.Safety,
  S.Smile,
  S.Lips,
  S.OverEye,
  ...featureOf.map(([type]) => type),
  ...styles.flatMap(([type, style]) => (stitched.has(style) ? [type] : [])),
];

function kindOf({ verbs, features, step, said: phrases, outward, vague, halfway }: Phrases): StepKind | null {
  const said = (...wanted: TokenType[]) => verbs.some((verb) => wanted.includes(verb));
  const stuffing = said(S.Stuff, S.NotStuff);
  if (said(S.NoSew)) return 'nosew';
  if (stuffing && !said(S.Insert, S.Safety, S.Embroider)) return 'stuff';
  const { sizeMm, gap, range, apart, showing, wide, relation, stitchesFrom, stitches, round } = step;
  const measured =
    [sizeMm, gap, range, apart, showing, wide, relation, stitchesFrom, stitches, round].some(
      (one) => one !== undefined,
    ) ||
    vague !== null ||
    halfway ||
    step.atStart ||
    phrases.size > 0 ||
    outward !== null ||
    features[0] === 'sculpting';
  if (said(S.Close)) return 'close';
  if (features.length > 0 && (said(S.Insert, S.Embroider, S.Safety, S.Sew) || measured)) return 'feature';
  if (said(S.Sew)) return 'sew';
  if (said(S.Pin)) return 'pin';
  if (said(S.Fold)) return 'fold';
  if (said(S.Cut) && said(S.Tail)) return 'cut';
  return stuffing ? 'stuff' : null;
}

/**
 * Reads assembly sentences: `Insert 9 mm safety eyes between R8 and R9, 6 stitches showing. Stuff firmly.`
 *
 * @param text one line as written
 * @param line its number, from 1
 * @returns one step for each sentence understood, in order; empty where the line says nothing Hoppla knows
 */
export function readSteps(text: string, line: number): Step[] {
  parser ??= new SentenceParser();
  const steps: Step[] = [];
  for (const sentence of splitSentences(sentenceLexer.tokenize(text).tokens)) {
    const [first] = sentence;
    const last = sentence.at(-1);
    if (!first || !last || !sentence.some((token) => is(token, ...carriers))) continue;
    const phrases = parser.read(sentence);
    const kind = kindOf(phrases);
    if (!kind) continue;
    const span = { from: first.startOffset, to: last.startOffset + last.image.length };
    const step: Step = {
      ...phrases.step,
      kind,
      text: text.slice(span.from, span.to),
      line,
      whole: text,
      span,
    };
    const names = (type: TokenType) => sentence.some((token) => is(token, type));
    if (names(S.Above) && names(S.Below)) step.aboveAndBelow = true;
    if (names(S.RoundWord)) step.roundsNamed = true;
    if (kind === 'feature' && phrases.features[0]) readFeature(step, phrases.features[0], phrases, text);
    steps.push(step);
  }
  return steps;
}
