import type { FeatureKind } from '../../notation/step';
import type { EyePlacement } from '../eyes';
import type { FeaturePlacement } from '../features/featurePlacement';
import { isAtBack, type Vertical } from '../features/featureRule';
import { countedReach, lineEdge } from '../features/reach';
import { saidBy, type SideChoice } from '../features/sideChoices';
import type { PartForm } from '../partForm';
import { heightAt, heightUp, lyingFrame, stitchesUp } from './frame';
import { linesAcross, lyingAnchor } from './placeLyingOne';

/** One way to say how high something lies on a part that lies on its side. */
export interface LyingHeightChoice {
  from: FeatureKind | 'front';
  vertical: Vertical;
}

const carriers: readonly FeatureKind[] = ['eyes', 'nose', 'mouth'];

/** What a height is counted from, as `LyingHeightChoice.from` names it. */
export function lyingCountedFrom(vertical: Vertical | null): LyingHeightChoice['from'] | null {
  return vertical?.by === 'stitches' || vertical?.by === 'level' ? vertical.to : null;
}

/**
 * The ways to say a feature's height: from the front line, and from the eyes and other features that do not hang on it themselves. Each
 * comes as near to where it lies as whole stitches do.
 *
 * @param front azimuth of the front line
 */
export function lyingHeightChoices(
  form: PartForm,
  front: number,
  placed: FeaturePlacement,
  eyes: EyePlacement | null,
  features: readonly FeaturePlacement[],
): LyingHeightChoice[] {
  if (isAtBack(placed.rule.sideways)) return [];
  const frame = lyingFrame(form, front);
  const find = (kind: FeatureKind) => features.find((feature) => feature.kind === kind);
  const next = (kind: FeatureKind) =>
    kind === 'eyes' && eyes ? null : lyingCountedFrom(find(kind)?.rule.vertical ?? null);
  const hangsOnIt = (kind: FeatureKind): boolean => {
    let at: FeatureKind | 'front' | null = kind;
    for (let steps = 0; at !== null && at !== 'front' && steps <= features.length + 1; steps += 1) {
      if (at === placed.kind) return true;
      at = next(at);
    }
    return false;
  };
  const eyesMm = eyes
    ? eyes.posts.reduce((sum, { line, azimuth }) => sum + heightAt(form, frame, line, azimuth), 0) /
      eyes.posts.length
    : null;
  // A rule's own height, from what it is counted from; where that is not there, from the front line.
  const heightOf = (feature: FeaturePlacement, depth = 0): number => {
    const { vertical } = feature.rule;
    const to = lyingCountedFrom(vertical);
    const base = to === null || to === 'front' || depth > features.length ? 0 : (of(to, depth + 1) ?? 0);
    const { up, down } = feature.counted;
    const stitches =
      vertical?.by === 'stitches'
        ? vertical.direction === 'above'
          ? vertical.stitches + up
          : -vertical.stitches - down
        : 0;
    return heightUp(form, frame, base, stitches) ?? base;
  };
  const of = (kind: FeatureKind, depth = 0): number | null => {
    if (kind === 'eyes' && eyesMm !== null) return eyesMm;
    const feature = find(kind);
    return feature ? heightOf(feature, depth) : null;
  };
  const own = stitchesUp(form, frame, heightOf(placed));
  const choice = (
    from: LyingHeightChoice['from'],
    baseMm: number,
    { up, down } = lineEdge,
  ): LyingHeightChoice[] => {
    const risen = Math.round(own - stitchesUp(form, frame, baseMm));
    if (risen > up || (risen === up && from === 'front'))
      return [{ from, vertical: { by: 'stitches', stitches: risen - up, direction: 'above', to: from } }];
    if (risen < -down)
      return [{ from, vertical: { by: 'stitches', stitches: -risen - down, direction: 'below', to: from } }];
    return risen === 0 && from !== 'front' ? [{ from, vertical: { by: 'level', to: from } }] : [];
  };
  return [
    ...choice('front', 0),
    ...carriers.flatMap((kind) => {
      const baseMm = of(kind);
      if (baseMm === null || hangsOnIt(kind)) return [];
      const made = kind === 'eyes' && eyes ? undefined : find(kind);
      return choice(kind, baseMm, made ? countedReach(made.rule) : lineEdge);
    }),
  ];
}

/** The ways to say how far to the side, as `sideChoices` gives them: here in rounds, which are the lines across the face. */
export function lyingSideChoices(
  form: PartForm,
  front: number,
  placed: FeaturePlacement,
  eyes: EyePlacement | null,
): SideChoice[] {
  const { rule, apart, units } = placed;
  if (isAtBack(rule.sideways) || placed.kind === 'eyes' || (rule.sides === 'middle' && !rule.embroidered))
    return [];
  const choices: SideChoice[] = [
    { way: 'stitches', sideways: apart === null ? { by: 'front' } : { by: 'apart', apart } },
  ];
  if (!eyes) return saidBy(rule.sideways) === null ? [] : choices;
  const across = linesAcross(form, lyingFrame(form, front));
  if (apart !== null) {
    const anchor = lyingAnchor(
      form,
      eyes.posts.map(({ side, line }) => ({ side, line, halfMm: eyes.rule.sizeMm / 2 })),
    );
    const edge =
      anchor.units.reduce((sum, { azimuth }) => sum + across.between(azimuth, across.middle), 0) /
      anchor.units.length;
    const half = Math.floor(Math.abs((units[0]?.toLine ?? 0) - (units[0]?.fromLine ?? 0)) / 2);
    const rounds = Math.round(apart / 2 - edge - half);
    if (rounds >= 0)
      choices.push({ way: 'outward', sideways: { by: 'outward', stitches: rounds, from: 'eyes' } });
  }
  for (const edge of ['inner', 'middle', 'outer'] as const)
    choices.push({ way: edge, sideways: { by: 'inLine', edge, to: 'eyes' } });
  return choices;
}
