import type { FeatureKind, Step } from '../../notation/step';
import { isLandmark } from '../features/anchors';
import {
  isAtBack,
  ruleOfStep,
  usualSideways,
  type FeatureRule,
  type Sideways,
  type Vertical,
} from '../features/featureRule';
import type { FeatureStep } from '../features/featureSteps';
import { featureLibrary } from '../features/library';
import { choosePair } from '../pair';
import type { PartForm } from '../partForm';
import { lyingFrame } from './frame';

/**
 * The rule a sentence comes to on a part that lies on its side: up and down is counted in stitches, to the sides in rounds.
 *
 * @param lastRound number of the last round in the maker's text, for what is counted from the edge
 */
export function lyingRule(step: FeatureStep, lastRound: number): FeatureRule {
  const rule = ruleOfStep(step);
  const entry = featureLibrary[step.feature];
  const sized = rule.sizeMm !== null;
  return {
    ...rule,
    lying: true,
    high: sized ? entry.high : Math.max(1, Math.round(step.high ?? entry.high)),
    vertical: heightOf(step),
    sideways:
      roundsOf(step, rule, lastRound) ??
      (rule.sideways.by === 'holes'
        ? rule.sides === 'middle'
          ? { by: 'front' }
          : usualSideways(step.feature)
        : rule.sideways),
  };
}

function heightOf(step: FeatureStep): Vertical {
  const { stitchesFrom, level, relation } = step;
  if (stitchesFrom) return { by: 'stitches', ...stitchesFrom };
  if (level) return { by: 'level', to: level };
  if (relation && !isLandmark(relation.to) && relation.direction !== 'from' && step.feature !== 'sculpting')
    return { by: 'stitches', stitches: relation.rounds, direction: relation.direction, to: relation.to };
  const { usual } = featureLibrary[step.feature];
  return usual
    ? { by: 'stitches', stitches: usual.rounds, direction: usual.direction, to: 'eyes' }
    : { by: 'stitches', stitches: 0, direction: 'above', to: 'front' };
}

/** The lines a sentence names: the ends of a single feature, the middles of a pair. */
function roundsOf(
  { gap, otherGap, range, round, relation }: Step,
  { sideways }: FeatureRule,
  lastRound: number,
): Sideways | null {
  if (sideways.by === 'apart') return null;
  const between = (from: number, to: number): Sideways => ({
    by: 'rounds',
    from: Math.min(from, to),
    to: Math.max(from, to),
    ...(isAtBack(sideways) ? { back: true as const } : {}),
  });
  if (range) return between(...range);
  if (gap) return between(gap[0], otherGap?.[0] ?? gap[0]);
  if (round !== undefined) return between(round, round);
  return relation?.to === 'edge' ? between(lastRound - relation.rounds, lastRound - relation.rounds) : null;
}

/** A rule to begin with, for a feature set by thumb: as makers usually do it, a round wider or narrower where that centres it better. */
export function proposedLyingRule(kind: FeatureKind, form: PartForm): FeatureRule {
  const entry = featureLibrary[kind];
  const { middle } = lyingFrame(form, 0);
  const miss = (wide: number) => Math.abs(choosePair(middle, wide).miss);
  const widths =
    entry.pair || !entry.stitched
      ? [entry.wide]
      : [entry.wide, entry.wide + 1, entry.wide - 1].filter((wide) => wide > 0);
  return {
    kind,
    style: entry.styles[0] ?? null,
    embroidered: entry.stitched,
    sizeMm: entry.stitched ? null : entry.usualMm,
    high: entry.high,
    lying: true,
    wide: widths.reduce((best, wide) => (miss(wide) < miss(best) - 0.05 ? wide : best)),
    vertical: entry.usual
      ? { by: 'stitches', stitches: entry.usual.rounds, direction: entry.usual.direction, to: 'eyes' }
      : { by: 'stitches', stitches: 0, direction: 'above', to: 'front' },
    sideways: entry.pair ? usualSideways(kind) : { by: 'front' },
    sides: entry.pair ? 'both' : 'middle',
    seat: null,
  };
}
