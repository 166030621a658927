import type { CountedFrom, FeatureKind, FeatureStyle, LandmarkKind, Step } from '../../notation/step';
import { apartOf } from '../pair';
import { pairAt, type PartForm } from '../partForm';
import { featureLibrary } from './library';

/** Which line of holes a feature lies on, as the maker says it. Rounds by the numbers in her text. */
export type Vertical =
  | { by: 'gap'; gap: [number, number]; from?: CountedFrom }
  | { by: 'range'; from: number; to: number }
  | { by: 'round'; round: number; from: 'start' | CountedFrom }
  | { by: 'relation'; rounds: number; direction: 'above' | 'below' | 'from'; to: FeatureKind | LandmarkKind }
  | { by: 'stitches'; stitches: number; direction: 'above' | 'below'; to: FeatureKind | 'front' }
  | { by: 'level'; to: FeatureKind }
  | { by: 'start' };

/**
 * Where it lies sideways. By rounds only on a part that lies on its side: the lines of holes after two rounds carry the ends of a single
 * feature, or the middles of a pair. At the back a pair has its distance about the middle there. `holes` are named by number: the ends of a single feature, the middles of a pair.
 */
export type Sideways =
  | { by: 'front' }
  | { by: 'back'; apart?: number }
  | { by: 'apart'; apart: number }
  | { by: 'rounds'; from: number; to: number; back?: true }
  | { by: 'holes'; holes: readonly number[] }
  | { by: 'outward'; stitches: number; from: FeatureKind | 'front' }
  | { by: 'inLine'; edge: 'inner' | 'outer' | 'middle'; to: FeatureKind };

/** A pair so far apart about the middle it has: the front line, or opposite it. */
export const atDistance = (sideways: Sideways, apart: number): Sideways =>
  sideways.by === 'back' ? { by: 'back', apart } : { by: 'apart', apart };

/** Whether it lies opposite the front line. */
export const isAtBack = (sideways: Sideways): boolean =>
  sideways.by === 'back' || (sideways.by === 'rounds' && sideways.back === true);

/** What a maker decides about a feature. It is a rule, not a place: what it hangs on may move. */
export interface FeatureRule {
  kind: FeatureKind;
  style: FeatureStyle | null;
  embroidered: boolean;
  /** across, of what is pressed in or sewn on; of what is stitched only where the maker gives its width in mm */
  sizeMm: number | null;
  /** in stitches and rounds; of what has a size in mm only a guide */
  wide: number;
  high: number;
  vertical: Vertical | null;
  sideways: Sideways;
  /** as you look at the piece; left or right alone is one of what would be a pair */
  sides: 'middle' | 'both' | 'left' | 'right';
  /** what a single post or the middle of a sewn piece goes by; null takes whichever lies nearer to the middle */
  seat: 'foot' | 'split' | null;
  /** on a part that lies on its side, where rounds count to the sides and stitches up and down: `wide` is in rounds, `high` in stitches */
  lying?: true;
}

/** Styles worked with the needle; the others are cut, crocheted or bought. */
const stitchedStyles: ReadonlySet<FeatureStyle> = new Set([
  'satin',
  'triangle',
  'smile',
  'line',
  'row',
  'lips',
  'sleeping',
]);
export const isStitchedStyle = (style: FeatureStyle | null): boolean =>
  style !== null && stitchedStyles.has(style);

/** The vertical rule a sentence comes to; null where it says none. */
export function verticalOf(step: Step): Vertical | null {
  if (step.gap) return { by: 'gap', gap: step.gap, ...(step.countFrom ? { from: step.countFrom } : {}) };
  if (step.range) return { by: 'range', from: step.range[0], to: step.range[1] };
  if (step.relation) return { by: 'relation', ...step.relation };
  if (step.stitchesFrom) return { by: 'stitches', ...step.stitchesFrom };
  if (step.atStart) return { by: 'start' };
  if (step.level) return { by: 'level', to: step.level };
  return step.round === undefined
    ? null
    : { by: 'round', round: step.round, from: step.countFrom ?? 'start' };
}

/** The rule a sentence comes to, with what it leaves open filled as makers usually do it. */
export function ruleOfStep(step: Step & { feature: FeatureKind }): FeatureRule {
  const entry = featureLibrary[step.feature];
  // A safety nose is pressed in, whatever its form.
  const embroidered = step.pressed
    ? false
    : (step.embroidered ??
      (entry.stitched &&
        !step.pressed &&
        step.sizeMm === undefined &&
        (step.style === undefined || isStitchedStyle(step.style))));
  const said = step.pressed && step.style && isStitchedStyle(step.style) ? undefined : step.style;
  const style =
    said ?? entry.styles.find((one) => isStitchedStyle(one) === embroidered && one !== 'oval') ?? null;
  const sizeMm = step.sizeMm ?? (embroidered || step.wide !== undefined ? null : entry.usualMm);
  // A face has one mouth: `2 stitches to each side` is how wide it is.
  const halves =
    !entry.pair &&
    !entry.many &&
    step.sides === 'both' &&
    step.outward?.from === 'front' &&
    step.wide === undefined &&
    step.sizeMm === undefined
      ? step.outward.stitches
      : null;
  if (halves !== null) step = { ...step, sides: 'middle', wide: 2 * halves, outward: undefined };
  // Sculpting that is told as going in above the eyes and out below them goes about the eyes.
  const about =
    step.feature === 'sculpting' &&
    step.relation?.to === 'eyes' &&
    /\babove\b/i.test(step.text) &&
    /\b(below|under)\b/i.test(step.text);
  const vertical = about ? null : verticalOf(step);
  const high = step.range ? step.range[1] - step.range[0] : (step.high ?? entry.high);
  // What is measured in mm has no width in stitches; that follows from the gauge.
  const sized = sizeMm !== null;
  return {
    kind: step.feature,
    style,
    embroidered,
    sizeMm,
    wide: sized
      ? entry.wide
      : Math.max(1, Math.round(step.wide ?? (entry.pair ? undefined : distanceOf(step)) ?? entry.wide)),
    high: sized ? entry.high : Math.max(1, Math.round(high)),
    vertical: vertical ?? usualVertical(step.feature),
    // Two places or a distance between them make two buttons of one.
    ...sidewaysOf(
      step,
      entry.pair ||
        (sized && !embroidered && (step.stitches?.length === 2 || distanceOf(step) !== undefined)),
    ),
    seat: step.seat ?? null,
  };
}

/** From one end, or one of a pair, to the other, in stitches. */
function distanceOf({ apart, showing, seat }: Step): number | undefined {
  return apart ?? (showing === undefined ? undefined : apartOf(showing, seat ?? 'foot'));
}

function sidewaysOf(
  step: Step & { feature: FeatureKind },
  pair: boolean,
): Pick<FeatureRule, 'sideways' | 'sides'> {
  const apart = distanceOf(step);
  const sides = step.back
    ? (pair || step.sides === 'both') && apart !== undefined
      ? 'both'
      : 'middle'
    : (step.sides ?? (pair ? 'both' : 'middle'));
  if (step.stitches)
    return {
      sides: step.stitches.length === 2 || sides === 'middle' ? sides : 'middle',
      sideways: { by: 'holes', holes: [...step.stitches].slice(0, 2).sort((a, b) => a - b) },
    };
  if (step.back)
    return {
      sides,
      sideways: {
        by: 'back',
        ...(sides === 'both' && apart !== undefined ? { apart: Math.round(apart) } : {}),
      },
    };
  if (sides === 'middle') {
    // “As wide as the inner edges of the eyes” gives a single feature its width, not its place.
    return { sides, sideways: step.inLine ? { by: 'inLine', ...step.inLine } : { by: 'front' } };
  }
  const sideways: Sideways = step.outward
    ? { by: 'outward', stitches: step.outward.stitches, from: step.outward.from ?? 'eyes' }
    : step.inLine
      ? { by: 'inLine', ...step.inLine }
      : apart !== undefined
        ? { by: 'apart', apart: Math.round(apart) }
        : usualSideways(step.feature);
  return { sides, sideways };
}

/** How high a feature goes when nothing is said; null where it has no usual place. */
function usualVertical(kind: FeatureKind): Vertical | null {
  const { usual } = featureLibrary[kind];
  if (!usual) return null;
  return usual.rounds === 0 ? { by: 'level', to: 'eyes' } : { by: 'relation', ...usual, to: 'eyes' };
}

/** Where a pair stands when nothing is said. */
export function usualSideways(kind: FeatureKind): Sideways {
  if (kind === 'cheeks') return { by: 'outward', stitches: 1, from: 'eyes' };
  if (kind === 'whiskers') return { by: 'outward', stitches: 1, from: 'eyes' };
  return {
    by: 'inLine',
    edge: kind === 'lashes' ? 'outer' : kind === 'sculpting' ? 'inner' : 'middle',
    to: 'eyes',
  };
}

/**
 * A rule to begin with, for a feature set by thumb: as makers usually do it, a stitch wider or narrower where that centres it better.
 *
 * @param eyes the line of holes of the pressed eyes, by index; 0 where there are none
 * @param front azimuth of the front line
 */
export function proposedRule(kind: FeatureKind, form: PartForm, eyes: number, front: number): FeatureRule {
  const entry = featureLibrary[kind];
  const { fabric, orientation } = form;
  const clamp = (line: number) => Math.max(1, Math.min(fabric.rounds - 1, line));
  const gapAt = (line: number): [number, number] => [
    fabric.label[line - 1] ?? line,
    fabric.label[line] ?? line + 1,
  ];
  const up = orientation.start === 'top' ? -1 : 1;
  const wanted =
    entry.usual && eyes > 0
      ? eyes + up * (entry.usual.direction === 'above' ? 1 : -1) * entry.usual.rounds
      : 0;
  const onPart = wanted >= 1 && wanted < fabric.rounds;
  const line = onPart ? wanted : clamp(Math.round(fabric.rounds / 2));
  const miss = (wide: number) => Math.abs(pairAt(form, line, 'foot', wide, front).pair.miss);
  const embroidered = entry.stitched;
  const wide =
    entry.pair || !embroidered
      ? entry.wide
      : [entry.wide, entry.wide - 1, entry.wide + 1]
          .filter((width) => width > 0)
          .reduce((best, width) => (miss(width) < miss(best) - 0.05 ? width : best));
  return {
    kind,
    style: entry.styles[0] ?? null,
    embroidered,
    sizeMm: embroidered ? null : entry.usualMm,
    wide,
    high: entry.high,
    vertical:
      kind === 'key ring'
        ? { by: 'start' }
        : ((onPart ? usualVertical(kind) : null) ?? { by: 'gap', gap: gapAt(line) }),
    sideways: entry.pair ? usualSideways(kind) : { by: 'front' },
    sides: entry.pair ? 'both' : 'middle',
    seat: null,
  };
}
