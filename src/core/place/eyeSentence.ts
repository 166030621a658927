import type { PartSource } from '../notation/pattern';
import type { LineEdit } from '../notation/problem';
import { oneSentence } from '../notation/oneSentence';
import type { EyeRing, Step } from '../notation/step';
import type { Vertical } from './features/featureRule';
import { onPart, verticalWords } from './features/verticalWords';
import { showingOf } from './pair';

/** What a maker decides about a pair of eyes. Rounds by the numbers in her text. */
export interface EyeRule {
  sizeMm: number;
  gap: [number, number];
  /** what the line of holes goes by, where that is not said as a gap; `gap` is then where it comes to */
  vertical?: Vertical;
  /** the second line of holes, on a part that lies on its side: `apart` is then in rounds */
  other?: [number, number];
  /** on such a part, stitches above the front line; below it when negative */
  rise?: number;
  apart: number;
  /** the holes themselves, where they are said by number; `apart` follows from them */
  holes?: [number, number];
  seat: 'foot' | 'split';
  /** other than round */
  style?: 'oval';
  /** a ring or disc behind each */
  ring?: Required<EyeRing>;
}

/** The rule as a sentence that is read back to the same rule. */
export function eyeSentence({
  sizeMm,
  gap,
  other,
  rise = 0,
  vertical,
  apart,
  holes,
  seat,
  style,
  ring,
}: EyeRule): string {
  const made = `${style === 'oval' ? ', oval' : ''}${ring ? `, with ${ring.of === 'felt' ? 'felt' : 'crocheted'} rings of ${ring.sizeMm} mm` : ''}`;
  if (other) {
    const risen =
      rise === 0
        ? ''
        : `, ${verticalWords({ by: 'stitches', stitches: Math.abs(rise), direction: rise > 0 ? 'above' : 'below', to: 'front' })}`;
    return `Eyes: ${sizeMm} mm, ${verticalWords({ by: 'gap', gap })} and ${verticalWords({ by: 'gap', gap: other })}${risen}, ${seat === 'foot' ? 'in the holes' : 'in the splits'}${made}.`;
  }
  return `Eyes: ${sizeMm} mm, ${verticalWords(vertical ?? { by: 'gap', gap })}, ${holes ? `at stitches ${holes.join(' and ')}` : `${apart} apart (${showingOf(apart, seat)} showing)`}, ${seat === 'foot' ? 'in the holes' : 'in the splits'}${made}.`;
}

/** A rule with something changed. A line of holes said as a gap takes the place of what it went by; holes said by number hold for one line. */
export function withEyes(rule: EyeRule, next: Partial<EyeRule>): EyeRule {
  return {
    ...rule,
    ...(next.gap && !next.vertical ? { vertical: undefined } : {}),
    ...(next.gap || next.vertical || next.apart || next.seat ? { holes: undefined } : {}),
    ...next,
  };
}

/** The sentence about the eyes of a part, if there is one: the last that says where, with what others add. */
export function eyeStep(part: PartSource): Step | undefined {
  return oneSentence(
    part.steps.filter((step) => step.kind === 'feature' && step.feature === 'eyes' && !step.embroidered),
  );
}

/** The edit that puts a rule into the text: over the sentence that is there, or as a new line at the end of the part. */
export function writeEyes(part: PartSource, rule: EyeRule): LineEdit {
  return overEyes(part, eyeSentence(rule));
}

/** The edit that puts a sentence in the place of the one about the eyes. */
export function overEyes(part: PartSource, said: string): LineEdit {
  const step = eyeStep(part);
  const sentence = onPart(said, step);
  if (!step) return { line: part.lastLine, text: sentence, insertAfter: true };
  const line = step.whole;
  const after = line.slice(step.span.to).replace(/^\s*[.;]/, '');
  return { line: step.line, text: line.slice(0, step.span.from) + sentence + after };
}

/** The edit that takes the eyes out again. */
export function removeEyes(part: PartSource): LineEdit | null {
  const step = eyeStep(part);
  if (!step) return null;
  const line = step.whole;
  return {
    line: step.line,
    text: (line.slice(0, step.span.from) + line.slice(step.span.to).replace(/^\s*[.;]/, '')).trim(),
  };
}
