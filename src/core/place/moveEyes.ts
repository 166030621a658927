import type { EyePlacement } from './eyes';
import { withEyes, type EyeRule } from './eyeSentence';
import { raisedVertical } from './features/moveFeature';
import { upOf } from './features/verticalLine';
import { lyingFrame } from './lying/frame';
import { linesApart, withLines } from './lying/lyingEyesRule';
import type { PartForm } from './partForm';

/**
 * The eyes a round further up, or down, as one looks at the piece; on a part that lies on its side a stitch.
 *
 * @param by +1 up, -1 down
 * @returns null where there is no such line of holes
 */
export function raisedEyes(form: PartForm, { rule, round, posts }: EyePlacement, by: 1 | -1): EyeRule | null {
  if (rule.other) {
    const rise = (rule.rise ?? 0) + by;
    return Math.abs(rise) * 4 <= posts[0].of ? { ...rule, rise } : null;
  }
  const to = round + by * upOf(form);
  const [lower, upper] = [form.fabric.label[to - 1], form.fabric.label[to]];
  if (!lower || !upper) return null;
  const { vertical } = rule;
  // What goes by the nose or a ridge goes on going by it, a round nearer or further.
  const risen = raisedVertical(vertical, by);
  return withEyes(rule, { gap: [lower, upper], ...(risen ? { vertical: risen } : {}) });
}

/** The eyes so many stitches apart, or rounds on a part that lies on its side; null where there is no room. */
export function eyesApart(form: PartForm, { rule, posts }: EyePlacement, apart: number): EyeRule | null {
  if (!rule.other) return apart >= 1 && apart < posts[0].of ? withEyes(rule, { apart }) : null;
  return apart >= 1 && apart <= form.fabric.rounds - 2
    ? withLines(form, rule, linesApart(form, lyingFrame(form, 0), apart))
    : null;
}
