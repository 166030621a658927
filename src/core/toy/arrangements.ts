import { applyEdits } from '../notation/applyEdits';
import { eyeEdits } from '../place/frontEdits';
import type { EyeRule } from '../place/eyeSentence';
import type { EyePlacement } from '../place/eyes';
import { eyePlaces } from '../place/eyeWords';
import { eyesApart, raisedEyes } from '../place/moveEyes';
import { analyseToy, type PartAnalysis, type ToyAnalysis } from './analyse';

/** A way the face of a part could be arranged, with the text that says so. */
export interface Arrangement {
  text: string;
  toy: ToyAnalysis;
  part: PartAnalysis;
  eyes: EyePlacement;
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
  const spread = (by: number) => eyesApart(form, eyes, eyes.rule.apart + by);
  // Another line of holes, said as a gap, so that each arrangement stands by itself.
  const moved = ([1, -1] as const).map((by) => {
    const next = raisedEyes(form, eyes, by);
    return next && { ...next, vertical: undefined };
  });
  const wishes: (EyeRule | null)[] = [spread(-1), spread(1), ...moved, spread(-2), spread(2)];
  return wishes
    .flatMap((wish) => (wish ? [wish] : []))
    .flatMap((wish) => arrangementIn(applyEdits(text, eyeEdits(form, eyes, wish)), part) ?? [])
    .filter((found) => found.eyes.problems.every((problem) => problem.severity !== 'error'))
    .sort((a, b) => Math.abs(a.eyes.missStitches) - Math.abs(b.eyes.missStitches))
    .slice(0, most);
}

/** `13|14, 7 apart` and how far off the middle it is. */
export function arrangementWords(eyes: EyePlacement): { words: string; off: string } {
  const { rule, missStitches, missMm } = eyes;
  const rise = rule.rise ?? 0;
  return {
    words: rule.other
      ? `${eyePlaces(eyes)
          .map(({ gap }) => gap.join('|'))
          .join(' and ')}${rise === 0 ? '' : `, ${Math.abs(rise)} ${rise > 0 ? 'up' : 'down'}`}`
      : `${rule.gap.join('|')}, ${rule.apart} apart`,
    off:
      Math.abs(missStitches) < 0.05
        ? 'centred'
        : `${(Math.round(Math.abs(missMm) * 10) / 10).toFixed(1)} mm off`,
  };
}
