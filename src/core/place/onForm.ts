import { holePoint } from '../shape/form/holePoint';
import type { RelaxedForm } from '../shape/form/relaxForm';
import { standing, type Stand } from '../shape/form/stand';
import { stitchAzimuth } from '../shape/azimuth';
import type { EyePlacement } from './eyes';
import { frontSentence } from './eyeProblems';
import type { PartForm } from './partForm';

/** How the eyes really sit on the stuffed form. */
export interface EyesOnForm {
  /** how far the middle between them lies to the right of the form's middle as you look at it, in mm; negative to the left */
  offMm: number;
  /** how much higher the right eye is, in mm; negative where it is lower */
  rightHigherMm: number;
  straightMm: number;
  /** the pair of the same distance that lies nearest to the middle of the form, where it is another one */
  better: { holes: [number, number]; offMm: number; front: string } | null;
}

/** Half a millimetre can't be seen on a toy; what is gained has to be more than that. */
const worthwhileMm = 0.7;

/**
 * Looks at seated eyes on the relaxed form: bends, clustered increases and ovals show there, not in even spacing. The middle of the form
 * is the middle of the round that carries them.
 */
export function eyesOnForm(form: PartForm, eyes: EyePlacement, relaxed: RelaxedForm, stand: Stand): EyesOnForm | null {
  const { fabric } = form;
  const placed = standing(relaxed, stand, fabric.row[0] === 1);
  const from = fabric.offset[eyes.round] ?? 0;
  const count = (fabric.offset[eyes.round + 1] ?? 0) - from;
  const shift = eyes.rule.seat === 'split' ? 0.5 : 0;
  const at = (hole: number) => holePoint(fabric, relaxed.nodes, placed, stand, eyes.round, hole + shift)?.at;
  let [low, high] = [Infinity, -Infinity];
  for (let stitch = from; stitch < from + count; stitch += 1) {
    low = Math.min(low, placed[stitch * 3] ?? 0);
    high = Math.max(high, placed[stitch * 3] ?? 0);
  }
  const middle = (low + high) / 2;
  const off = (a: number, b: number) => {
    const [p, q] = [at(a), at(b)];
    return p && q ? { off: (p[0] + q[0]) / 2 - middle, forward: p[2] + q[2] } : null;
  };
  const [left, right] = eyes.posts.map((post) => at(post.stitch));
  if (!left || !right) return null;
  const offMm = (left[0] + right[0]) / 2 - middle;
  const first = Math.min(...eyes.posts.map((post) => post.stitch));
  let best = { hole: first, off: offMm };
  for (let by = -4; by <= 4; by += 1) {
    const found = off(first + by, first + by + eyes.rule.apart);
    if (found && Math.abs(found.off) < Math.abs(best.off) - 1e-6) best = { hole: first + by, off: found.off };
  }
  const gained = Math.abs(offMm) - Math.abs(best.off);
  const around = (hole: number) => ((hole - 1) % count + count) % count + 1;
  return {
    offMm, rightHigherMm: right[1] - left[1], straightMm: Math.hypot(left[0] - right[0], left[1] - right[1], left[2] - right[2]),
    better: best.hole !== first && gained > worthwhileMm
      ? { holes: [around(best.hole), around(best.hole + eyes.rule.apart)], offMm: best.off, front: frontFor(form, eyes, best.hole + eyes.rule.apart / 2) }
      : null,
  };
}

/** The front line through the middle of a pair of holes, as a line of the text. */
function frontFor({ fabric, starts }: PartForm, eyes: EyePlacement, hole: number): string {
  const round = eyes.round + 1;
  // A hole lies over its stitch's foot; the front is named by the stitch above it, half the lean on.
  const [post] = eyes.posts;
  const foot = post.azimuth + ((hole - post.stitch) * 2 * Math.PI) / post.of;
  const first = stitchAzimuth(fabric, starts, round, 1);
  const stitch = ((((foot - first) / (2 * Math.PI)) * post.of) % post.of + post.of) % post.of + 1;
  return frontSentence(stitch, fabric.label[round - 1] ?? round);
}
