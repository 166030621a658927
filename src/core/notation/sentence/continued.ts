import type { Span } from '../ast';
import type { FeatureSentence } from './feature';
import { readSentences } from './readSentences';
import type { Sentence } from './sentence';

/** Whether a sentence says where something goes, how large it is or how far apart. */
function saysPlace({
  gap,
  round,
  relation,
  apart,
  showing,
  sizeMm,
  stitches,
  level,
}: FeatureSentence): boolean {
  return [gap, round, relation, apart, showing, sizeMm, stitches, level].some((said) => said !== undefined);
}

/** A sentence with its places so many signs further on, or back. */
export function shifted<S extends Sentence>(step: S, by: number): S {
  const moved = ({ from, to }: Span): Span => ({ from: Math.max(0, from + by), to: Math.max(0, to + by) });
  const roundNumbers =
    'roundNumbers' in step
      ? step.roundNumbers?.map((said) => said.map(({ round, span }) => ({ round, span: moved(span) })))
      : undefined;
  return { ...step, span: moved(step.span), ...(roundNumbers ? { roundNumbers } : {}) };
}

const verbs = 'embroider|stitch|sew|add|make|attach|insert|place|put|fix|glue|give|work';
const before = 'on|in|up|a|an|the|some|one|two|three|small|little|tiny|big|simple|his|her|its|\\d+';
/** What a sentence puts on: the first word behind its verb that is no article. */
const putsOn = new RegExp(
  String.raw`^\W*(?:then\s+|now\s+)?(?:${verbs})\s+(?:(?:${before})\s+)*([a-z]+)`,
  'i',
);
const pronouns =
  /^(?:it|them|these|those|both|each|between|at|over|from|with|around|so|stitch(?:es)?|sts?)$/i;

/** `Embroider a beak between R9 and R10`: something of its own, whether it is known or not. */
function isAboutAnother(text: string, feature: string): boolean {
  const object = putsOn.exec(text)?.[1];
  if (object === undefined || pronouns.test(object)) return false;
  return !feature.startsWith(object.replace(/s$/i, '').toLowerCase());
}

/**
 * What goes on about the feature of the line before: `Leave 6 stitches between them.`, `SPACING: 6 stitches between`
 *
 * @param feature what that line was about
 */
export function readContinued(text: string, feature: string): Sentence[] {
  if (isAboutAnother(text, feature)) return [];
  const lead = `${feature}: `;
  const about = text.replace(/^\s*(?:spacing|distance|position|placement|size)\s*:/i, (word) =>
    ' '.repeat(word.length),
  );
  return readSentences(lead + about, 0).flatMap((step): Sentence[] => {
    if (step.kind !== 'feature' || step.feature !== feature || !saysPlace(step)) return [];
    const here = shifted(step, -lead.length);
    return [{ ...here, text: text.slice(here.span.from, here.span.to) }];
  });
}
