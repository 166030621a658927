import { isSewnStyle, type FeatureKind } from '../../notation/sentence/said';
import { gapOf } from '../frame/faceFrame';
import { liesOnItsSide } from '../frame/frameOf';
import { isLandmark } from '../frame/landmarks';
import { apartOf } from '../frame/pair';
import type { PartForm } from '../frame/partForm';
import { linesApart, middleOf } from '../frame/sidewaysFrame';
import { ringMm, soldEyeMm, usualEyeMm } from './hardware';
import { featureLibrary } from './library';
import {
  isAtBack,
  hasPost,
  leadsFace,
  isStitchedStyle,
  type FeatureRule,
  type Sideways,
  type Vertical,
} from './rule';
import type { FeatureSentence } from '../../notation/sentence/feature';
import { roundNumbered } from '../../fabric/rounds';

/**
 * The rule a sentence comes to on a part, with what it leaves open filled as makers usually do it. On a part that lies on its side up and
 * down is counted in stitches, to the sides in rounds.
 */
export function readRule(step: FeatureSentence, form: PartForm): FeatureRule {
  const said = ruleOfStep(step);
  const rule = leadsFace(said) ? wholeEyes(said, step, form) : said;
  return liesOnItsSide(form) ? sidewaysRule(rule, step, form) : rule;
}

/** The vertical rule a sentence comes to; null where it says none. */
export function verticalOf(step: FeatureSentence): Vertical | null {
  if (step.gap) return { by: 'gap', gap: step.gap, ...(step.countFrom ? { from: step.countFrom } : {}) };
  if (step.range) return { by: 'range', from: step.range[0], to: step.range[1] };
  if (step.relation) return { by: 'relation', ...step.relation };
  if (step.stitchesFrom) return { by: 'stitches', ...step.stitchesFrom };
  if (step.atStart) return { by: 'start' };
  // `Between the eyes on round 11`: the round says how high, the eyes only how far across.
  const saysRound = step.round !== undefined && step.roundSaid !== 'after';
  if (step.level && !saysRound) return { by: 'level', to: step.level };
  return step.round === undefined
    ? null
    : {
        by: 'round',
        round: step.round,
        from: step.countFrom ?? 'start',
        ...(step.roundSide ? { side: step.roundSide } : {}),
        ...(step.roundSaid === 'after' ? { mayBeMoment: true as const } : {}),
      };
}

/** Whether it is worked with the needle. */
function isEmbroidered(step: FeatureSentence): boolean {
  // A safety nose is pressed in, whatever its form.
  if (step.pressed) return false;
  if (step.embroidered !== undefined) return step.embroidered;
  if (step.feature === 'eyes') return false;
  const stitched = step.style === undefined || isStitchedStyle(step.style);
  return featureLibrary[step.feature].stitched && step.sizeMm === undefined && stitched;
}

function styleOf(step: FeatureSentence, embroidered: boolean): FeatureRule['style'] {
  if (step.feature === 'eyes' && !embroidered)
    return step.style === 'oval' || (isSewnStyle(step.style) && !step.pressed) ? step.style : null;
  const said = step.pressed && step.style && isStitchedStyle(step.style) ? undefined : step.style;
  const { styles } = featureLibrary[step.feature];
  return said ?? styles.find((one) => isStitchedStyle(one) === embroidered && one !== 'oval') ?? null;
}

/** A face has one mouth: `2 stitches to each side` is how wide it is. */
function asOneWidth(step: FeatureSentence): FeatureSentence {
  const { pair, many } = featureLibrary[step.feature];
  const single = !pair && !many;
  const bothSides = step.sides === 'both' && step.outward?.from === 'front';
  if (!single || !bothSides || step.wide !== undefined || step.sizeMm !== undefined) return step;
  return { ...step, sides: 'middle', wide: 2 * (step.outward?.stitches ?? 0), outward: undefined };
}

/** How high it reaches and how wide it is in stitches; what is measured in mm has neither: both follow from the gauge. */
function extentOf(step: FeatureSentence, sizeMm: number | null): Pick<FeatureRule, 'wide' | 'high'> {
  const entry = featureLibrary[step.feature];
  if (sizeMm !== null) return { wide: entry.wide, high: entry.high };
  const wide = step.wide ?? (entry.pair ? undefined : distanceOf(step)) ?? entry.wide;
  const high = step.range ? step.range[1] - step.range[0] : (step.high ?? entry.high);
  return { wide: Math.max(1, Math.round(wide)), high: Math.max(1, Math.round(high)) };
}

function ruleOfStep(given: FeatureSentence): FeatureRule {
  const step = asOneWidth(given);
  const entry = featureLibrary[step.feature];
  const embroidered = isEmbroidered(step);
  const sizeMm = step.sizeMm ?? (embroidered || step.wide !== undefined ? null : entry.usualMm);
  // Two places or a distance between them make two buttons of one.
  const severalPlaces = step.stitches?.length === 2 || distanceOf(step) !== undefined;
  const pair = entry.pair || (sizeMm !== null && !embroidered && severalPlaces);
  // Drawing in the eyes goes in above them and out below: it goes about them.
  const aboutEyes = step.feature === 'sculpting' && step.relation?.to === 'eyes' && step.aboveAndBelow;
  const vertical = aboutEyes ? null : verticalOf(step);
  return {
    kind: step.feature,
    style: styleOf(step, embroidered),
    embroidered,
    sizeMm,
    ...extentOf(step, sizeMm),
    vertical: vertical ?? usualVertical(step.feature),
    ...sidewaysOf(step, pair),
    seat: step.seat ?? null,
  };
}

/** From one end, or one of a pair, to the other, in stitches. */
function distanceOf({ apart, showing, seat }: FeatureSentence): number | undefined {
  return apart ?? (showing === undefined ? undefined : apartOf(showing, seat ?? 'foot'));
}

function sidesOf(step: FeatureSentence, pair: boolean): FeatureRule['sides'] {
  if (!step.back) return step.sides ?? (pair ? 'both' : 'middle');
  const two = pair || step.sides === 'both';
  return two && distanceOf(step) !== undefined ? 'both' : 'middle';
}

function sidewaysOf(step: FeatureSentence, pair: boolean): Pick<FeatureRule, 'sideways' | 'sides'> {
  const apart = distanceOf(step);
  const sides = sidesOf(step, pair);
  if (step.stitches) {
    const holes = [...step.stitches].slice(0, 2).sort((a, b) => a - b);
    const named = step.stitches.length === 2 || sides === 'middle' ? sides : 'middle';
    return { sides: named, sideways: { by: 'holes', holes } };
  }
  if (step.back) {
    const spaced = sides === 'both' && apart !== undefined;
    return { sides, sideways: { by: 'back', ...(spaced ? { apart: Math.round(apart) } : {}) } };
  }
  // “As wide as the inner edges of the eyes” gives a single feature its width, not its place.
  if (sides === 'middle')
    return { sides, sideways: step.inLine ? { by: 'inLine', ...step.inLine } : { by: 'front' } };
  return { sides, sideways: pairSideways(step) };
}

/** `Blush under each eye` is straight under it, not further out as is usual. */
const underEach = /\b(?:each|every)\s+eye\b/i;
const straightUnder: Sideways = { by: 'inLine', edge: 'middle', to: 'eyes' };

/** From middle to middle of a pair. What shows between two stitched things shows between their edges. */
function pairApart(step: FeatureSentence): number | undefined {
  const isShown = step.apart === undefined && step.showing !== undefined;
  const isStitched = isEmbroidered(step) && step.sizeMm === undefined;
  const wide = isShown && isStitched ? extentOf(step, null).wide : 0;
  const apart = distanceOf(step);
  return apart === undefined ? undefined : apart + wide;
}

function pairSideways(step: FeatureSentence): Sideways {
  const { outward, inLine } = step;
  const apart = pairApart(step);
  if (outward) return { by: 'outward', stitches: outward.stitches, from: outward.from ?? 'eyes' };
  if (inLine) return { by: 'inLine', ...inLine };
  if (apart !== undefined) return { by: 'apart', apart: Math.round(apart) };
  if (step.relation?.to === 'eyes' && underEach.test(step.text)) return straightUnder;
  return usualSideways(step.feature);
}

/** How high a feature goes when nothing is said; null where it has no usual place. */
export function usualVertical(kind: FeatureKind): Vertical | null {
  const { usual } = featureLibrary[kind];
  if (!usual || kind === 'eyes') return null;
  return usual.rounds === 0 ? { by: 'level', to: 'eyes' } : { by: 'relation', ...usual, to: 'eyes' };
}

/** Where a pair stands when nothing is said; of the eyes themselves that is left open. */
export function usualSideways(kind: FeatureKind): Sideways {
  if (kind === 'eyes') return { by: 'front' };
  if (kind === 'cheeks' || kind === 'whiskers') return { by: 'outward', stitches: 1, from: 'eyes' };
  const edge = kind === 'lashes' ? 'outer' : kind === 'sculpting' ? 'inner' : 'middle';
  return { by: 'inLine', edge, to: 'eyes' };
}

const usedByEyes: ReadonlySet<Vertical['by']> = new Set(['gap', 'round', 'relation', 'level']);

/** Pressed eyes have a size that is sold; sewn ones are as large as is said. */
function eyeSizeMm(rule: FeatureRule, { sizeMm }: FeatureSentence, form: PartForm): number {
  const wanted = sizeMm ?? usualEyeMm(form.gauge.widthMm);
  return hasPost(rule) ? soldEyeMm(wanted) : wanted;
}

/** Eyes put on whole: a pair in holes of one line, those that are pressed in with a size that is sold. */
function wholeEyes(rule: FeatureRule, step: FeatureSentence, form: PartForm): FeatureRule {
  const { apart, showing, outward } = step;
  const seat = step.seat ?? (apart !== undefined && apart === showing ? 'split' : 'foot');
  const fromFront = outward?.from === 'front' ? 2 * outward.stitches : undefined;
  const distance = apart ?? fromFront ?? (showing === undefined ? undefined : apartOf(showing, seat));
  const [one, other] = step.stitches ?? [];
  const named = step.stitches?.length === 2 && one !== undefined && other !== undefined;
  const sizeMm = eyeSizeMm(rule, step, form);
  const vertical = verticalOf(step);
  const levelWithItself = vertical?.by === 'level' && vertical.to === 'eyes';
  const sideways: Sideways = named
    ? { by: 'holes', holes: [Math.min(one, other), Math.max(one, other)] }
    : distance === undefined
      ? { by: 'front' }
      : { by: 'apart', apart: Math.round(distance) };
  return {
    ...rule,
    sizeMm,
    wide: 1,
    high: 1,
    vertical: vertical && usedByEyes.has(vertical.by) && !levelWithItself ? vertical : null,
    sideways,
    sides: 'both',
    seat,
    ...(step.ring ? { ring: { of: step.ring.of, sizeMm: step.ring.sizeMm ?? ringMm(sizeMm) } } : {}),
  };
}

function sidewaysRule(rule: FeatureRule, step: FeatureSentence, form: PartForm): FeatureRule {
  const entry = featureLibrary[step.feature];
  const sized = rule.sizeMm !== null;
  const high = sized ? rule.high : Math.max(1, Math.round(step.high ?? entry.high));
  const across = leadsFace(rule) ? eyeRounds(rule, step, form) : roundsOf(rule, step, form);
  return { ...rule, lying: true, high, vertical: heightOf(step), sideways: across };
}

/** How high it goes: in stitches from the front line or from another feature. */
function heightOf(step: FeatureSentence): Vertical {
  const { stitchesFrom, level, relation, feature } = step;
  if (stitchesFrom) return { by: 'stitches', ...stitchesFrom };
  if (level && level !== feature) return { by: 'level', to: level };
  if (relation && !isLandmark(relation.to) && relation.direction !== 'from' && step.feature !== 'sculpting')
    return { by: 'stitches', stitches: relation.rounds, direction: relation.direction, to: relation.to };
  const usual = step.feature === 'eyes' ? null : featureLibrary[step.feature].usual;
  return usual
    ? { by: 'stitches', stitches: usual.rounds, direction: usual.direction, to: 'eyes' }
    : { by: 'stitches', stitches: 0, direction: 'above', to: 'front' };
}

const roundsBetween = (from: number, to: number): Sideways & { by: 'rounds' } => ({
  by: 'rounds',
  from: Math.min(from, to),
  to: Math.max(from, to),
});

/** The lines a sentence names: the ends of a single feature, the middles of a pair. */
function roundsOf({ sideways, sides }: FeatureRule, step: FeatureSentence, { fabric }: PartForm): Sideways {
  const named = namedRounds(step, fabric.label[fabric.rounds - 1] ?? fabric.rounds);
  if (named && sideways.by !== 'apart') {
    const rounds = roundsBetween(...named);
    return isAtBack(sideways) ? { ...rounds, back: true } : rounds;
  }
  if (sideways.by !== 'holes') return sideways;
  return sides === 'middle' ? { by: 'front' } : usualSideways(step.feature);
}

function namedRounds(
  { gap, otherGap, range, round, relation }: FeatureSentence,
  lastRound: number,
): [number, number] | null {
  if (range) return range;
  if (gap) return [gap[0], otherGap?.[0] ?? gap[0]];
  if (round !== undefined) return [round, round];
  if (relation?.to !== 'edge') return null;
  return [lastRound - relation.rounds, lastRound - relation.rounds];
}

/** The lines of holes of a pair of eyes on a part that lies on its side, each eye on its own. */
function eyeRounds({ sideways }: FeatureRule, step: FeatureSentence, form: PartForm): Sideways {
  const { fabric } = form;
  const labels = (lines: readonly [number, number]): Sideways =>
    roundsBetween(gapOf(form, lines[0])[0], gapOf(form, lines[1])[0]);
  const between = step.gap?.[0] ?? step.round;
  const apart = step.apart ?? step.showing ?? (sideways.by === 'apart' ? sideways.apart : undefined);
  if (between !== undefined && step.otherGap && step.otherGap[0] !== between)
    return roundsBetween(between, step.otherGap[0]);
  if (between !== undefined && step.otherGap) return labels(linesApart(form, 1));
  if (between !== undefined) {
    const line = lineNear(form, between);
    const further = line < middleOf(form) ? 1 : -1;
    const mirrored =
      apart === undefined ? Math.round(2 * middleOf(form) - line) : line + further * Math.round(apart);
    const other = Math.max(1, Math.min(fabric.rounds - 1, mirrored));
    const beside = line < fabric.rounds - 1 ? line + 1 : line - 1;
    return labels([line, other === line ? beside : other]);
  }
  if (apart === undefined) return { by: 'front' };
  return { by: 'apart', apart: Math.round(apart) };
}

/** The line of holes after a round, or the nearest there is. */
function lineNear({ fabric }: PartForm, label: number): number {
  const last = fabric.rounds - 1;
  const line = roundNumbered(fabric, label);
  if (line >= 1 && line <= last) return line;
  return line < 1 && label < (fabric.label[0] ?? 1) ? 1 : last;
}
