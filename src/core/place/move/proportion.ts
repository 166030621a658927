import { t } from '../../words/language';
import { gapOf, type FaceFrame, type Level } from '../frame/faceFrame';
import { nearest } from '../frame/nearest';
import type { FeaturePlacement } from '../resolve/placement';
import type { FeatureRule } from '../rule/rule';
import { byDistance, spaced } from './step';

/** Where a pair sits on a face, in shares of it: how far down from its top, and how far apart against its greatest width. */
export interface Proportion {
  down: number;
  apart: number;
}

/** The proportion of a placed pair, by the profile. */
export function proportionOf(frame: FaceFrame, { level, apart, seat }: FeaturePlacement): Proportion {
  return { down: frame.shareDown(level), apart: frame.shareApart(level, apart ?? 0, seat) };
}

/** The furthest apart a proportion goes: straight across. */
function mostApart(frame: FaceFrame, level: Level): number {
  const { most, count } = frame.row(level, frame.centre(false), false);
  return Math.max(1, frame.lies ? most : Math.floor(count / 2));
}

/**
 * The whole rounds and stitches nearest to a proportion.
 *
 * @returns the rule, and the proportion it really has: the difference is what whole stitches lose
 */
export function pairForProportion(
  frame: FaceFrame,
  wanted: Proportion,
  placed: FeaturePlacement,
): { rule: FeatureRule; real: Proportion } {
  const levels = frame.levels();
  const off = (i: number) => Math.abs(frame.shareDown(levels[i] ?? 0) - wanted.down);
  const level = levels[nearest(0, levels.length - 1, off)] ?? placed.level;
  const shareApart = (apart: number) => frame.shareApart(level, apart, placed.seat);
  const apart = nearest(1, mostApart(frame, level), (one) => Math.abs(shareApart(one) - wanted.apart));
  return {
    rule: spaced(frame, atLevel(frame, byDistance(placed), level), apart),
    real: { down: frame.shareDown(level), apart: shareApart(apart) },
  };
}

/** The rule at a level, said by itself. */
function atLevel(frame: FaceFrame, rule: FeatureRule, level: Level): FeatureRule {
  if (!frame.lies) return { ...rule, vertical: { by: 'gap', gap: gapOf(frame.form, level) } };
  const rise = Math.round(frame.stepsUp(0, level));
  const direction = rise < 0 ? 'below' : 'above';
  return { ...rule, vertical: { by: 'stitches', stitches: Math.abs(rise), direction, to: 'front' } };
}

/** Every share there really is: of each level, and at the pair's own of each distance up to straight across. */
export function proportionSteps(
  frame: FaceFrame,
  { level, seat }: FeaturePlacement,
): { down: number[]; apart: number[] } {
  const most = mostApart(frame, level);
  return {
    down: frame.levels().map((one) => frame.shareDown(one)),
    apart: Array.from({ length: most }, (_, i) => frame.shareApart(level, i + 1, seat)),
  };
}

const fractions: [number, string][] = [
  [1 / 4, t`a quarter`],
  [1 / 3, t`a third`],
  [2 / 5, t`two fifths`],
  [1 / 2, t`half`],
  [3 / 5, t`three fifths`],
  [2 / 3, t`two thirds`],
  [3 / 4, t`three quarters`],
];

/** A share as a fraction a maker thinks in: `, about a third`; empty where none is near. */
export function shareWords(share: number): string {
  const near = fractions.find(([fraction]) => Math.abs(fraction - share) < 0.025);
  return near ? t`, about ${near[1]}` : '';
}
