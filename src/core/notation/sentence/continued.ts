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

/**
 * What goes on about the feature of the line before: `Leave 6 stitches between them.`, `SPACING: 6 stitches between`
 *
 * @param feature what that line was about
 */
export function readContinued(text: string, feature: string): Sentence[] {
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
