import type { FeatureKind, FeatureStyle, LandmarkKind, Step } from '../../notation/step';
import { apartOf } from '../pair';
import { pairAt, type PartForm } from '../partForm';
import { featureLibrary } from './library';

/** Which line of holes a feature lies on, as the maker says it. Rounds by the numbers in her text. */
export type Vertical =
  | { by: 'gap'; gap: [number, number] }
  | { by: 'round'; round: number; from: 'start' | 'end' }
  | { by: 'relation'; rounds: number; direction: 'above' | 'below'; to: FeatureKind | LandmarkKind }
  | { by: 'level'; to: FeatureKind };

/** Where it lies sideways. */
export type Sideways =
  | { by: 'front' }
  | { by: 'back' }
  | { by: 'apart'; apart: number }
  | { by: 'outward'; stitches: number; from: FeatureKind }
  | { by: 'inLine'; edge: 'inner' | 'outer' | 'middle'; to: FeatureKind };

/** What a maker decides about a feature. It is a rule, not a place: what it hangs on may move. */
export interface FeatureRule {
  kind: FeatureKind;
  style: FeatureStyle | null;
  embroidered: boolean;
  sizeMm: number | null;
  wide: number;
  high: number;
  vertical: Vertical | null;
  sideways: Sideways;
}

/** The rule a sentence comes to, with what it leaves open filled as makers usually do it. */
export function ruleOfStep(step: Step & { feature: FeatureKind }): FeatureRule {
  const entry = featureLibrary[step.feature];
  const vertical: Vertical | null = step.gap ? { by: 'gap', gap: step.gap }
    : step.relation ? { by: 'relation', ...step.relation }
      : step.level ? { by: 'level', to: step.level }
        : step.round !== undefined ? { by: 'round', round: step.round, from: step.countFrom ?? 'start' }
          : entry.usual ? { by: 'relation', ...entry.usual, to: 'eyes' } : null;
  const apart = step.apart ?? (step.showing !== undefined ? apartOf(step.showing, 'foot') : undefined);
  // “As wide as the inner edges of the eyes” gives a single feature its width, not its place.
  const spans = step.inLine && !entry.pair;
  const sideways: Sideways = step.back ? { by: 'back' }
    : step.outward ? { by: 'outward', stitches: step.outward.stitches, from: step.outward.from ?? 'eyes' }
      : step.inLine ? { by: 'inLine', ...step.inLine }
        : apart !== undefined && entry.pair ? { by: 'apart', apart: Math.round(apart) }
          : entry.pair ? usualSideways(step.feature) : { by: 'front' };
  return {
    kind: step.feature, style: step.style ?? entry.styles[0] ?? null, embroidered: step.embroidered ?? (step.sizeMm === undefined && entry.sizeMm === null),
    sizeMm: step.sizeMm ?? entry.sizeMm, wide: Math.max(1, Math.round(step.wide ?? (spans ? 0 : entry.wide)) || entry.wide), high: Math.max(1, Math.round(step.high ?? entry.high)), vertical, sideways,
  };
}

function usualSideways(kind: FeatureKind): Sideways {
  if (kind === 'cheeks') return { by: 'outward', stitches: 1, from: 'eyes' };
  if (kind === 'whiskers') return { by: 'outward', stitches: 1, from: 'eyes' };
  return { by: 'inLine', edge: kind === 'lashes' ? 'outer' : 'middle', to: 'eyes' };
}

/**
 * A rule to begin with, for a feature set by thumb: as makers usually do it, a stitch wider or narrower where that centres it better.
 *
 * @param eyes the line of holes of the pressed eyes, by index; 0 where there are none
 */
export function proposedRule(kind: FeatureKind, form: PartForm, eyes: number): FeatureRule {
  const entry = featureLibrary[kind];
  const { fabric, orientation } = form;
  const clamp = (line: number) => Math.max(1, Math.min(fabric.rounds - 1, line));
  const gapAt = (line: number): [number, number] => [fabric.label[line - 1] ?? line, fabric.label[line] ?? line + 1];
  const up = orientation.start === 'top' ? -1 : 1;
  const wanted = entry.usual && eyes > 0 ? eyes + up * (entry.usual.direction === 'above' ? 1 : -1) * entry.usual.rounds : 0;
  const onPart = wanted >= 1 && wanted < fabric.rounds;
  const line = onPart ? wanted : clamp(Math.round(fabric.rounds / 2));
  const miss = (wide: number) => Math.abs(pairAt(form, line, 'foot', wide).pair.miss);
  const wide = entry.pair ? entry.wide : [entry.wide, entry.wide - 1, entry.wide + 1].filter((width) => width > 0).reduce((best, width) => (miss(width) < miss(best) - 0.05 ? width : best));
  return {
    kind, style: entry.styles[0] ?? null, embroidered: entry.sizeMm === null, sizeMm: entry.sizeMm, wide, high: entry.high,
    vertical: entry.usual && onPart ? { by: 'relation', ...entry.usual, to: 'eyes' } : { by: 'gap', gap: gapAt(line) },
    sideways: entry.pair ? usualSideways(kind) : { by: 'front' },
  };
}
