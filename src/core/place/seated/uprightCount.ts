import { t } from '../../words/language';
import { sayTerm } from '../../words/said';
import { directionAt } from '../frame/direction';
import { holeAt } from '../frame/holes';
import { seatHoles, type PartForm } from '../frame/partForm';
import type { FeaturePlacement } from '../resolve/placement';
import { plural } from '../../words/counted';

/** What a maker counts on the real piece. Stitches along the round above the eyes, rounds from the start. */
export interface SeatedCount {
  /** whole stitches from the round's first stitch to the eye that is met first */
  before: number;
  /** whole stitches between the two eyes */
  between: number;
  /** whole stitches from the other eye on to the first stitch of the round, where they were counted too */
  after: number | null;
  /** rounds from the start up to the line of holes, for the eye met first and for the other */
  firstRound: number;
  secondRound: number;
}

export interface SeatedCheck {
  centred: boolean;
  level: boolean;
  /** stitches and mm the middle of the eyes lies off the front, and to which side as you look at the face */
  missStitches: number;
  missMm: number;
  missSide: 'left' | 'right' | null;
  /** stitches the round has more than were counted, where all of it was; less when negative */
  uncounted: number;
  /** what to move which way; empty where all is well */
  moves: string[];
}

/** Whole stitches from the eye met second on to the first stitch of the round, as planned. */
export function plannedAfter({ units }: FeaturePlacement): number {
  return (units[0]?.of ?? 0) - Math.max(...units.map((unit) => unit.from));
}

/** What the count should be, where the eyes are where the plan puts them. */
export function plannedCount(
  { units, showing, line, seat }: FeaturePlacement,
  labels: ArrayLike<number>,
): SeatedCount {
  const first = Math.min(...units.map((unit) => unit.from));
  const label = labels[line - 1] ?? line;
  return {
    before: seat === 'foot' ? first - 1 : first,
    between: showing ?? 0,
    after: null,
    firstRound: label,
    secondRound: label,
  };
}

/**
 * Says from a count on the real piece whether the eyes are level and centred, and what to move. A count all the way round that does not
 * come to the round's stitches is a miscount: then nothing is to be moved by it.
 *
 * @param form the part
 * @param eyes as planned: the line of holes and the seat
 */
export function checkSeated(
  form: PartForm,
  eyes: FeaturePlacement,
  { before, between, after, firstRound, secondRound }: SeatedCount,
): SeatedCheck {
  const { seat, line } = eyes;
  const holes = seatHoles(form, line, seat);
  const dir = directionAt(form.fabric, form.orientation, line);
  const front = holeAt(holes, eyes.front);
  const a = before + (seat === 'foot' ? 1 : 0);
  const b = a + between + (seat === 'foot' ? 1 : 0);
  const miss = (a + b) / 2 - front;
  const firstSide = dir === 1 ? 'left' : 'right';
  const secondSide = dir === 1 ? 'right' : 'left';
  const perHole = (2 * Math.PI * (form.profile.radius[line - 1] ?? 0)) / holes.count;
  const moves: string[] = [];
  // Two stitches stand over the holes themselves.
  const uncounted = after === null ? 0 : holes.count - (before + between + after + (seat === 'foot' ? 2 : 0));
  const planned = eyes.units.map((unit) => unit.from).sort((one, other) => one - other);
  const shift = (from: number, to: number, side: string) => {
    const by = to - from;
    if (by === 0) return;
    const way = by * dir > 0 ? 'right' : 'left';
    moves.push(t`Move the ${side} eye ${plural(Math.abs(by), 'stitch')} to the ${sayTerm(way)}.`);
  };
  const off = Math.abs(miss) >= 0.3 || b - a !== (planned[1] ?? 0) - (planned[0] ?? 0);
  if (off) {
    shift(a, planned[0] ?? a, firstSide);
    shift(b, planned[1] ?? b, secondSide);
  }
  const wanted = form.fabric.label[line - 1] ?? line;
  const lift = (round: number, side: string) => {
    if (round === wanted) return;
    const up = round > wanted === (form.orientation.start === 'top');
    const by = Math.abs(round - wanted);
    moves.push(
      up
        ? t`Move the ${side} eye ${plural(by, 'round')} up.`
        : t`Move the ${side} eye ${plural(by, 'round')} down.`,
    );
  };
  lift(firstRound, firstSide);
  lift(secondRound, secondSide);
  if (uncounted !== 0) moves.length = 0;
  return {
    centred: Math.abs(miss) < 0.3,
    level: firstRound === secondRound,
    missStitches: miss,
    missMm: Math.abs(miss) * perHole,
    missSide: Math.abs(miss) < 0.05 ? null : miss * dir > 0 ? 'right' : 'left',
    uncounted,
    moves,
  };
}
