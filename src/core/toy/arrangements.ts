import { applyEdits } from '../notation/applyEdits';
import { withEyes, writeEyes, type EyeRule } from '../place/eyeSentence';
import type { EyePlacement } from '../place/eyes';
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
  const { eyes, source, fabric } = part;
  if (!eyes) return [];
  const { rule, round } = eyes;
  const lines = text.split(/\r\n|\n|\r/);
  const gaps = [1, -1].flatMap((by) => {
    const [lower, upper] = [fabric.label[round - 1 + by], fabric.label[round + by]];
    return lower && upper ? [{ gap: [lower, upper] as [number, number] }] : [];
  });
  const wishes: Partial<EyeRule>[] = [{ apart: rule.apart - 1 }, { apart: rule.apart + 1 }, ...gaps, { apart: rule.apart - 2 }, { apart: rule.apart + 2 }];
  return wishes.filter(({ apart = 1 }) => apart >= 1 && apart < eyes.posts[0].of)
    .flatMap((wish) => arrangementIn(applyEdits(text, [writeEyes(source, lines, withEyes(rule, wish))]), part) ?? [])
    .filter((found) => found.eyes.problems.every((problem) => problem.severity !== 'error'))
    .sort((a, b) => Math.abs(a.eyes.missStitches) - Math.abs(b.eyes.missStitches)).slice(0, most);
}

/** `13|14, 7 apart` and how far off the middle it is. */
export function arrangementWords({ rule, missStitches, missMm }: EyePlacement): { words: string; off: string } {
  return {
    words: `${rule.gap.join('|')}, ${rule.apart} apart`,
    off: Math.abs(missStitches) < 0.05 ? 'centred' : `${(Math.round(Math.abs(missMm) * 10) / 10).toFixed(1)} mm off`,
  };
}
