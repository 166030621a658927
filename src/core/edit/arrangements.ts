import { t } from '../words/language';
import { applyEdits } from '../notation/applyEdits';
import { ruleEdits } from '../place/move/front';
import { raised, withApart } from '../place/move/step';
import type { FeaturePlacement } from '../place/resolve/placement';
import type { FeatureRule } from '../place/rule/rule';
import { analyseToy, frameOfPart, type PartAnalysis, type ToyAnalysis } from '../toy/analyse';
import { tenthWords } from '../words/measures';

/** A way the face of a part could be arranged, with the text that says so. */
export interface Arrangement {
  text: string;
  toy: ToyAnalysis;
  part: PartAnalysis;
  eyes: FeaturePlacement;
}

/** The part of a text that another reading of it calls by the same name and works by the same rounds; null where there is none, or it has no eyes. */
export function arrangementIn(text: string, part: PartAnalysis): Arrangement | null {
  const toy = analyseToy(text);
  const same = toy.parts.find((candidate) => candidate.source.id === part.source.id);
  const worked = (one: PartAnalysis) => one.fabric.offset.join();
  return same?.eyes && worked(same) === worked(part) ? { text, toy, part: same, eyes: same.eyes } : null;
}

/**
 * The arrangements of a pair of eyes nearest to the one there is: one or two stitches closer or wider, one line of holes up or down. Those
 * that can't be worked are left out; the truest to the mirror come first.
 *
 * @param most how many
 */
export function nearestArrangements(text: string, part: PartAnalysis, most: number): Arrangement[] {
  const { eyes, form } = part;
  if (!eyes) return [];
  const frame = frameOfPart(part);
  // Another line of holes, said as a gap, so that each arrangement stands by itself.
  const alone: FeaturePlacement = frame.lies
    ? eyes
    : { ...eyes, rule: { ...eyes.rule, vertical: { by: 'gap', gap: eyes.gap } } };
  const spread = (by: number) => withApart(frame, eyes, (eyes.apart ?? 0) + by);
  const moved = ([1, -1] as const).map((by) => raised(frame, alone, by));
  const wishes: (FeatureRule | null)[] = [spread(-1), spread(1), ...moved, spread(-2), spread(2)];
  return wishes
    .flatMap((wish) => (wish ? [wish] : []))
    .flatMap((wish) => arrangementIn(applyEdits(text, ruleEdits(form, eyes, wish)), part) ?? [])
    .filter((found) => found.eyes.problems.every((problem) => problem.severity !== 'error'))
    .sort((a, b) => Math.abs(a.eyes.missStitches) - Math.abs(b.eyes.missStitches))
    .slice(0, most);
}

/** `13|14, 7 apart` and how far off the middle it is. */
export function arrangementWords(part: PartAnalysis, eyes: FeaturePlacement): { words: string; off: string } {
  const { gap, units, apart, missStitches, missMm, rule } = eyes;
  const { label } = part.fabric;
  const lines = units.map(({ fromLine }) => fromLine).sort((a, b) => a - b);
  const rise = rule.vertical?.by === 'stitches' ? rule.vertical : null;
  const risen =
    rise && rise.stitches > 0 ? `, ${rise.stitches} ${rise.direction === 'above' ? 'up' : 'down'}` : '';
  const twoLines = lines.map((line) => `${label[line - 1]}|${label[line]}`).join(t` and `);
  const off = t`${tenthWords(Math.abs(missMm))} off`;
  return {
    words: rule.lying ? `${twoLines}${risen}` : t`${gap.join('|')}, ${apart} apart`,
    off: Math.abs(missStitches) < 0.05 ? t`centred` : off,
  };
}
