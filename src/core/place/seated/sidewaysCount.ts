import { t } from '../../words/language';
import { sayTerm } from '../../words/said';
import { directionAt } from '../frame/direction';
import { seatHoles, type PartForm } from '../frame/partForm';
import { placeOf, rightOf, sidewaysFrame } from '../frame/sidewaysFrame';
import type { FeaturePlacement } from '../resolve/placement';
import { plural } from '../../words/counted';
import { roundNumbered } from '../../fabric/rounds';

/** What a maker counts of one eye on the real piece: rounds from the start to its line of holes, whole stitches from the round's first to it. */
export interface SidewaysEyeCount {
  round: number;
  before: number;
}

export interface SidewaysCount {
  left: SidewaysEyeCount;
  right: SidewaysEyeCount;
}

export interface SidewaysCheck {
  /** mm the right eye is higher; negative where it is lower */
  rightHigherMm: number;
  /** mm the middle of the two lies to the right of the middle of the face; negative to the left */
  offMm: number;
  level: boolean;
  centred: boolean;
  /** what to move which way; empty where all is well */
  moves: string[];
}

/** Less than this, in stitches, is not seen. */
const levelWithin = 0.3;

/** What the count should be, where the eyes are where the plan puts them. */
export function plannedSidewaysCount(
  { units, seat }: FeaturePlacement,
  labels: ArrayLike<number>,
): SidewaysCount {
  const of = (side: 'left' | 'right'): SidewaysEyeCount => {
    const post = units.find((one) => one.side === side) ?? units[0];
    return {
      round: labels[(post?.fromLine ?? 1) - 1] ?? post?.fromLine ?? 1,
      before: (post?.from ?? 1) - (seat === 'foot' ? 1 : 0),
    };
  };
  return { left: of('left'), right: of('right') };
}

/** Says from a count on the real piece whether eyes on two lines of holes are level and centred, and what to move. */
export function checkSidewaysSeated(
  form: PartForm,
  eyes: FeaturePlacement,
  count: SidewaysCount,
): SidewaysCheck {
  const { seat } = eyes;
  const frame = sidewaysFrame(form, eyes.front);
  const planned = plannedSidewaysCount(eyes, form.fabric.label);
  const seatedAt = ({ round, before }: SidewaysEyeCount) => {
    const line = Math.max(1, Math.min(form.fabric.rounds - 1, roundNumbered(form.fabric, round)));
    const holes = seatHoles(form, line, seat);
    return {
      line,
      azimuth: holes.first + (2 * Math.PI * (before - (seat === 'foot' ? 0 : 1))) / Math.max(1, holes.count),
    };
  };
  const [left, right] = [seatedAt(count.left), seatedAt(count.right)];
  const rightHigherMm = frame.levelOf(right) - frame.levelOf(left);
  const offMm = (placeOf(form, eyes.front, left)[0] + placeOf(form, eyes.front, right)[0]) / 2;
  const moves = (['left', 'right'] as const).flatMap((side) => {
    const [real, plan] = [count[side], planned[side]];
    const across =
      (roundNumbered(form.fabric, plan.round) - roundNumbered(form.fabric, real.round)) * rightOf(form);
    const line = roundNumbered(form.fabric, plan.round);
    // On the planned round the stitches differ by themselves; on another the number that is level there is another one.
    const up =
      across === 0 ? (plan.before - real.before) * directionAt(form.fabric, form.orientation, line) : 0;
    return [
      ...(across === 0
        ? []
        : [
            t`Move the ${sayTerm(side)} eye ${plural(Math.abs(across), 'round')} to the ${across > 0 ? t`right` : t`left`}, to stitch ${plan.before + (seat === 'foot' ? 1 : 0)} of it.`,
          ]),
      ...(up === 0
        ? []
        : [
            up > 0
              ? t`Move the ${sayTerm(side)} eye ${plural(Math.abs(up), 'stitch')} up.`
              : t`Move the ${sayTerm(side)} eye ${plural(Math.abs(up), 'stitch')} down.`,
          ]),
    ];
  });
  return {
    rightHigherMm,
    offMm,
    level: Math.abs(rightHigherMm) <= Math.max(eyes.levelMm + 0.1, form.gauge.widthMm * levelWithin),
    centred: Math.abs(offMm) <= Math.max(eyes.missMm + 0.1, form.gauge.heightMm * levelWithin),
    moves,
  };
}
