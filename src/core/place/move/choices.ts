import type { FeatureKind, LandmarkKind } from '../../notation/sentence/said';
import { gapOf, type FaceFrame, type Level } from '../frame/faceFrame';
import { landmarkLines } from '../frame/landmarks';
import { anchorOf, hangsOn } from '../resolve/anchors';
import type { FeaturePlacement } from '../resolve/placement';
import { countedReach, lineEdge, type Reach } from '../rule/reach';
import { isAtBack, isPoint, type Sideways, type Vertical } from '../rule/rule';

/** One way to say how high something lies. */
export interface HeightChoice {
  /** what it is counted from; null for the numbers of the rounds */
  from: FeatureKind | LandmarkKind | 'front' | null;
  vertical: Vertical;
}

/** What carries others: counting from anything smaller would only be a detour. */
const carriers: readonly FeatureKind[] = ['eyes', 'nose', 'mouth'];

/** What a height is counted from, as `HeightChoice.from` names it. */
export function countedFrom(vertical: Vertical | null): HeightChoice['from'] {
  if (vertical?.by === 'level' || vertical?.by === 'relation' || vertical?.by === 'stitches')
    return vertical.to;
  return null;
}

/**
 * The ways to say a feature's height, each so that it stays there as near as whole steps do: by the numbers of the rounds, or from the
 * front line where rounds run up and down; from the eyes and other features that do not hang on it themselves; from what can be seen on
 * the fabric; from the last round.
 *
 * @param features everything on the part
 */
export function heightChoices(
  frame: FaceFrame,
  placed: FeaturePlacement,
  features: readonly FeaturePlacement[],
): HeightChoice[] {
  if (frame.lies && isAtBack(placed.rule.sideways)) return [];
  const byFeatures = carriers.flatMap((kind) => {
    const anchor = features.find((feature) => feature.kind === kind);
    if (!anchor || anchor === placed || leadsTo(kind, placed, features)) return [];
    return choiceFrom(frame, placed, { from: kind, level: anchor.level, reach: countedReach(anchor.rule) });
  });
  if (frame.lies)
    return [...choiceFrom(frame, placed, { from: 'front', level: 0, reach: lineEdge }), ...byFeatures];
  const { form } = frame;
  const byRounds: HeightChoice = { from: null, vertical: { by: 'gap', gap: gapOf(form, placed.level) } };
  const fromEdge = form.fabric.rounds - placed.level;
  const byEdge: HeightChoice = {
    from: 'edge',
    vertical: { by: 'relation', rounds: fromEdge, direction: 'from', to: 'edge' },
  };
  return [byRounds, ...byFeatures, ...byLandmarks(frame, placed), byEdge];
}

function byLandmarks(frame: FaceFrame, placed: FeaturePlacement): HeightChoice[] {
  return (['ridge', 'colour change', 'neck'] as const).flatMap((landmark) => {
    const [only, ...more] = landmarkLines(frame.form.fabric, landmark);
    // Of several it would not be clear which.
    if (only === undefined || more.length > 0) return [];
    if (only === placed.level)
      return [{ from: landmark, vertical: { by: 'relation', rounds: 0, direction: 'above', to: landmark } }];
    return choiceFrom(frame, placed, { from: landmark, level: only, reach: lineEdge });
  });
}

interface CountedPlace {
  from: FeatureKind | LandmarkKind | 'front';
  level: Level;
  reach: Reach;
}

/** So many steps above or below something, or level with it; none between its edges. */
function choiceFrom(
  frame: FaceFrame,
  placed: FeaturePlacement,
  { from, level, reach }: CountedPlace,
): HeightChoice[] {
  const risen = Math.round(frame.stepsUp(level, placed.level));
  const onFront = from === 'front' && risen === 0;
  const by = (steps: number, direction: 'above' | 'below'): HeightChoice[] => [
    {
      from,
      vertical: frame.lies
        ? { by: 'stitches', stitches: steps, direction, to: from as FeatureKind | 'front' }
        : { by: 'relation', rounds: steps, direction, to: from as FeatureKind | LandmarkKind },
    },
  ];
  if (risen > reach.up || onFront) return by(risen - reach.up, 'above');
  if (risen < -reach.down) return by(-risen - reach.down, 'below');
  return risen === 0 ? [{ from, vertical: { by: 'level', to: from as FeatureKind } }] : [];
}

/** Whether a kind of feature hangs on another feature, or on one that does. */
function leadsTo(
  kind: FeatureKind,
  placed: FeaturePlacement,
  features: readonly FeaturePlacement[],
): boolean {
  let at: FeatureKind | null = kind;
  for (let steps = 0; at !== null && steps <= features.length + 1; steps += 1) {
    const name: FeatureKind = at;
    const feature = features.find((one) => one.kind === name);
    if (feature?.id === placed.id) return true;
    at = hangsOn(feature?.rule.vertical ?? null);
  }
  return false;
}

/** One way to say how far out a pair stands, or how wide something single is. */
export interface SideChoice {
  way: 'stitches' | 'outward' | 'inner' | 'middle' | 'outer';
  sideways: Sideways;
}

/** Which of the ways a rule is said in; null where it is another. */
export function saidBy(sideways: Sideways): SideChoice['way'] | null {
  if (sideways.by === 'inLine') return sideways.edge;
  if (sideways.by === 'outward') return sideways.from === 'front' ? null : 'outward';
  return sideways.by === 'apart' || sideways.by === 'front' ? 'stitches' : null;
}

/**
 * The ways to say how far to the side a feature reaches: by itself, which leaves it where it is, so many stitches (rounds on a part that
 * lies) outside the eyes, which comes as near to it as whole ones do, or in line with an edge of the eyes.
 */
export function sideChoices(
  frame: FaceFrame,
  placed: FeaturePlacement,
  features: readonly FeaturePlacement[],
): SideChoice[] {
  const { rule, apart, kind } = placed;
  const fixed = isAtBack(rule.sideways) || rule.sideways.by === 'holes' || kind === 'eyes';
  if (fixed || (rule.sides === 'middle' && !rule.embroidered)) return [];
  const byItself: SideChoice = {
    way: 'stitches',
    sideways: apart === null ? { by: 'front' } : { by: 'apart', apart },
  };
  const eyes = features.find((feature) => feature.kind === 'eyes');
  if (!eyes) return frame.lies && saidBy(rule.sideways) === null ? [] : [byItself];
  const byEdges = (['inner', 'middle', 'outer'] as const).map((edge): SideChoice => ({
    way: edge,
    sideways: { by: 'inLine', edge, to: 'eyes' },
  }));
  return [byItself, ...outwardChoice(frame, placed, eyes), ...byEdges];
}

function outwardChoice(frame: FaceFrame, placed: FeaturePlacement, eyes: FeaturePlacement): SideChoice[] {
  const { apart, level, units, rule } = placed;
  if (apart === null) return [];
  const row = frame.row(level, frame.centre(false), false);
  const anchor = anchorOf(frame, eyes);
  const edge =
    anchor.units.reduce((sum, { middle }) => sum + row.between(middle, row.centre), 0) / anchor.units.length;
  const [unit] = units;
  const span = frame.lies ? (unit?.toLine ?? 0) - (unit?.fromLine ?? 0) : (unit?.to ?? 0) - (unit?.from ?? 0);
  const half = isPoint(rule) ? 0 : Math.floor(Math.abs(span) / 2);
  const stitches = Math.round(apart / 2 - edge - half);
  return stitches >= 0 ? [{ way: 'outward', sideways: { by: 'outward', stitches, from: 'eyes' } }] : [];
}
