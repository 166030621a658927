import { holePoint } from '../../shape/form/holePoint';
import type { RelaxedForm } from '../../shape/form/relaxForm';
import { standing, type Stand } from '../../shape/form/stand';
import { stitchAzimuth } from '../../shape/azimuth';
import { frontSentence } from '../move/front';
import type { PartForm } from '../frame/partForm';
import type { FeaturePlacement } from '../resolve/placement';
import type { FeatureUnit } from '../resolve/unit';
import { isAtBack } from '../rule/rule';

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

interface HoleOnForm {
  line: number;
  hole: number;
}

/** Holes on the relaxed form, as the part stands. */
interface HolesOnForm {
  /** how far right of the middle the middle between two holes lies, and how much higher the second is, in mm */
  between: (
    a: HoleOnForm,
    b: HoleOnForm,
  ) => { offMm: number; secondHigherMm: number; straightMm: number } | null;
}

/** The middle is that of the round above a line; of a part that lies on its side, whose rounds run across, that of the whole. */
function holesOnForm(
  { fabric, orientation }: PartForm,
  { line, seat }: Pick<FeaturePlacement, 'line' | 'seat'>,
  relaxed: RelaxedForm,
  stand: Stand,
): HolesOnForm {
  const placed = standing(relaxed, stand, fabric.row[0] === 1);
  const [from, to] = orientation.lying
    ? [0, fabric.offset[fabric.rounds] ?? 0]
    : [fabric.offset[line] ?? 0, fabric.offset[line + 1] ?? 0];
  const shift = seat === 'split' ? 0.5 : 0;
  const at = ({ line: on, hole }: HoleOnForm) =>
    holePoint(fabric, { nodes: relaxed.nodes, placed, stand }, on, hole + shift)?.at;
  let [low, high] = [Infinity, -Infinity];
  for (let stitch = from; stitch < to; stitch += 1) {
    low = Math.min(low, placed[stitch * 3] ?? 0);
    high = Math.max(high, placed[stitch * 3] ?? 0);
  }
  return {
    between: (a, b) => {
      const [p, q] = [at(a), at(b)];
      return p && q
        ? {
            offMm: (p[0] + q[0] - low - high) / 2,
            secondHigherMm: q[1] - p[1],
            straightMm: Math.hypot(p[0] - q[0], p[1] - q[1], p[2] - q[2]),
          }
        : null;
    },
  };
}

/**
 * Looks at seated eyes on the relaxed form: bends, clustered increases and ovals show there, not in even spacing. The middle of the form
 * is the middle of the round that carries them.
 */
export function eyesOnForm(
  form: PartForm,
  eyes: FeaturePlacement,
  relaxed: RelaxedForm,
  stand: Stand,
): EyesOnForm | null {
  const { between } = holesOnForm(form, eyes, relaxed, stand);
  const [left, right] = eyes.units;
  if (!left || !right) return null;
  const seen = between({ line: left.fromLine, hole: left.from }, { line: right.fromLine, hole: right.from });
  if (!seen) return null;
  const plain = { offMm: seen.offMm, rightHigherMm: seen.secondHigherMm, straightMm: seen.straightMm };
  // Which rounds the eyes lie on is not a matter of which way the front faces.
  if (eyes.rule.lying) return { ...plain, better: null };
  const apart = eyes.apart ?? 0;
  const count = left.of;
  const first = Math.min(left.from, right.from);
  let best = { hole: first, off: seen.offMm };
  for (let by = -4; by <= 4; by += 1) {
    const found = between(
      { line: eyes.line, hole: first + by },
      { line: eyes.line, hole: first + by + apart },
    );
    if (found && Math.abs(found.offMm) < Math.abs(best.off) - 1e-6)
      best = { hole: first + by, off: found.offMm };
  }
  const gained = Math.abs(seen.offMm) - Math.abs(best.off);
  const around = (hole: number) => ((((hole - 1) % count) + count) % count) + 1;
  return {
    ...plain,
    better:
      best.hole !== first && gained > worthwhileMm
        ? {
            holes: [around(best.hole), around(best.hole + apart)],
            offMm: best.off,
            front: frontFor(form, left, best.hole + apart / 2),
          }
        : null,
  };
}

/** How a feature lies on the stuffed form: its middle against that of its round, and of a pair which side is higher. */
export function featureOnForm(
  form: PartForm,
  placed: FeaturePlacement,
  relaxed: RelaxedForm,
  stand: Stand,
): { offMm: number; rightHigherMm: number | null } | null {
  const { units, rule } = placed;
  const [first, last] = [units[0], units.at(-1)];
  if (!first || !last || isAtBack(rule.sideways) || rule.sides === 'left' || rule.sides === 'right')
    return null;
  const { between } = holesOnForm(form, placed, relaxed, stand);
  const from = (unit: FeatureUnit) => ({ line: unit.fromLine, hole: unit.from });
  const to = (unit: FeatureUnit) => ({ line: unit.toLine, hole: unit.to });
  const middles = units.map((unit) => between(from(unit), to(unit)));
  const whole = units.length > 1 ? between(from(first), to(last)) : middles[0];
  if (!whole || middles.some((one) => one === null)) return null;
  const [left, right] = [between(from(first), from(last)), between(to(first), to(last))];
  const offMm =
    units.length > 1 ? middles.reduce((sum, one) => sum + (one?.offMm ?? 0), 0) / units.length : whole.offMm;
  return {
    offMm,
    rightHigherMm:
      units.length > 1 && left && right ? (left.secondHigherMm + right.secondHigherMm) / 2 : null,
  };
}

/** The front line through the middle of a pair of holes, as a line of the text. */
function frontFor({ fabric, starts }: PartForm, post: FeatureUnit, hole: number): string {
  const round = post.fromLine + 1;
  // A hole lies over its stitch's foot; the front is named by the stitch above it, half the lean on.
  const foot = post.azimuth + ((hole - post.from) * 2 * Math.PI) / post.of;
  const first = stitchAzimuth(fabric, starts, round, 1);
  const stitch = ((((((foot - first) / (2 * Math.PI)) * post.of) % post.of) + post.of) % post.of) + 1;
  return frontSentence(stitch, fabric.label[round - 1] ?? round);
}
