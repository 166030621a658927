import { applyEdits } from '../notation/applyEdits';
import { largestEyeMm, smallestEyeMm, soldEyesMm } from '../place/rule/hardware';
import { hasPost } from '../place/rule/rule';
import { writeRule } from '../place/rule/writeRule';
import { analyseToy } from '../toy/analyse';

/** The eye of a sold size that looks as large on a toy `ratio` times as wide. */
export function eyeForScale(sizeMm: number, ratio: number): number {
  const wanted = Math.max(smallestEyeMm, Math.min(largestEyeMm, sizeMm * ratio));
  return soldEyesMm.reduce((best, size) => (Math.abs(size - wanted) < Math.abs(best - wanted) ? size : best));
}

/** The text with the eyes of every part in the size that suits the new gauge. */
export function scaleEyes(text: string, ratio: number): string {
  return analyseToy(text).parts.reduce((current, _, index) => {
    const part = analyseToy(current).parts[index];
    if (!part?.eyes) return current;
    const { rule } = part.eyes;
    const was = rule.sizeMm ?? 0;
    const sizeMm = hasPost(rule) ? eyeForScale(was, ratio) : Math.max(1, Math.round(was * ratio));
    if (sizeMm === part.eyes.rule.sizeMm) return current;
    return applyEdits(current, [writeRule(part.source, part.eyes.id, { ...part.eyes.rule, sizeMm })]);
  }, text);
}
