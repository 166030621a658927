import type { Problem } from '../notation/problem';
import type { Step } from '../notation/step';
import { turn } from '../shape/azimuth';
import { directionAt } from './direction';
import { eyeProblems } from './eyeProblems';
import type { EyeRule } from './eyeSentence';
import { fitted, ruleProblems } from './eyesSaid';
import type { Vertical } from './features/featureRule';
import { washerMm } from './hardware';
import { holeAt, holeAzimuth } from './holes';
import { namedPair, showingOf } from './pair';
import { pairAt, seatHoles, type PartForm } from './partForm';
import { proposeEyes } from './proposeEyes';

/** One post: hole (or split) `stitch` of the `of` in its gap; left and right as you look at the piece. */
export interface Post {
  side: 'left' | 'right';
  stitch: number;
  of: number;
  /** index (from 1) of the round below its line of holes */
  line: number;
  /** azimuth in radians, for drawing */
  azimuth: number;
}

export interface EyePlacement {
  part: string;
  feature: 'eyes';
  rule: EyeRule;
  /** index (from 1) of the round below the gap; of eyes on two lines the first worked */
  round: number;
  posts: [Post, Post];
  showing: number;
  surfaceMm: number;
  straightMm: number;
  angleDeg: number;
  /** straight distance as a share of the part's greatest width */
  shareOfWidth: number;
  missStitches: number;
  missMm: number;
  /** which way the pair's middle lies off the front line, as you look at it */
  missSide: 'left' | 'right' | null;
  /** how much lower one eye sits because a spiral climbs, and which */
  levelMm: number;
  lower: 'left' | 'right' | null;
  washerMm: number;
  frontAzimuth: number;
  problems: Problem[];
}

/** The rule a sentence about eyes comes to, with what is to be asked about it. A line of holes that goes by something else is found later. */
export function eyesRule(form: PartForm, step: Step): { rule: EyeRule; problems: Problem[] } {
  return ruleProblems(step, form.part, form.fabric, proposeEyes(form));
}

/**
 * Azimuth of the front where the eyes' stitches are named: a face is where its eyes are. Null where they are not, or aren't there.
 *
 * @param round index of the round below the line of holes, from 1
 */
export function namedFront(form: PartForm, { holes: named, seat }: EyeRule, round: number): number | null {
  const holes = seatHoles(form, round, seat);
  if (!named || named[0] < 1 || named[1] > holes.count || named[0] === named[1]) return null;
  const { a, b } = namedPair(1, named, holes.count);
  return holeAzimuth(holes, (a + b) / 2);
}

/**
 * Places the eyes of a part: from their rule to holes, distances and problems.
 *
 * @param said the rule, by `eyesRule`
 * @param vertical what the line of holes goes by, where that is not said as a gap
 * @param round index of the round below the line of holes, from 1
 * @param front azimuth of the front line
 */
export function placeEyes(
  form: PartForm,
  said: { rule: EyeRule; problems: Problem[] },
  vertical: Vertical | null,
  round: number,
  front: number,
): EyePlacement {
  const { part, fabric, gauge } = form;
  const gap: [number, number] = [fabric.label[round - 1] ?? round, fabric.label[round] ?? round + 1];
  const { rule: fit, problems: room } = fitted(
    part,
    fabric,
    vertical ? { ...said.rule, gap, vertical } : said.rule,
  );
  const problems = [...said.problems, ...room];
  const { pair: centred, holes } = pairAt(form, round, fit.seat, fit.apart, front);
  const pair = fit.holes ? namedPair(holeAt(holes, front), fit.holes, holes.count) : centred;
  const rule: EyeRule = { ...fit, apart: pair.apart };
  const count = holes.count;
  const radius = Math.max(0.001, form.profile.radius[round - 1] ?? 0);
  const angle = (turn * rule.apart) / count;
  const flat = fabric.row[0] === 1;
  const dir = directionAt(fabric, form.orientation, round);
  const at = (hole: number) => ((((hole - 1) % count) + count) % count) + 1;
  const post = (hole: number, side: Post['side']): Post => ({
    side,
    stitch: at(hole),
    of: count,
    line: round,
    azimuth: holes.first + (turn * (hole - 1)) / count,
  });
  const posts: [Post, Post] =
    dir === 1 ? [post(pair.a, 'left'), post(pair.b, 'right')] : [post(pair.b, 'left'), post(pair.a, 'right')];
  const widest = form.profile.radius.reduce((most, r) => Math.max(most, r), 0);
  const joined = flat || fabric.joined[round] === 1;
  const levelMm = joined ? 0 : (gauge.heightMm * angle) / turn;
  // Going on along a spiral leads away from the start.
  const further: Post['side'] = dir === 1 ? 'right' : 'left';
  const straightMm = flat ? angle * radius : 2 * radius * Math.abs(Math.sin(angle / 2));
  const placement: EyePlacement = {
    part: part.name,
    feature: 'eyes',
    rule,
    round,
    posts,
    showing: showingOf(rule.apart, rule.seat),
    surfaceMm: angle * radius,
    straightMm,
    angleDeg: (angle * 360) / turn,
    shareOfWidth: widest > 0 ? straightMm / ((flat ? turn : 2) * widest) : 0,
    missStitches: pair.miss,
    missMm: (Math.abs(pair.miss) * turn * radius) / count,
    missSide: Math.abs(pair.miss) < 0.005 ? null : pair.miss * dir > 0 ? 'right' : 'left',
    levelMm,
    lower:
      levelMm < 0.05
        ? null
        : form.orientation.start === 'top'
          ? further
          : further === 'left'
            ? 'right'
            : 'left',
    washerMm: washerMm(rule.sizeMm),
    frontAzimuth: front,
    problems,
  };
  placement.problems.push(...eyeProblems(form, placement, pair));
  return placement;
}
