import type { FeatureKind, LandmarkKind } from '../../notation/step';
import { wrapAngle } from '../../shape/azimuth';
import type { EyePlacement } from '../eyes';
import type { PartForm } from '../partForm';
import type { FeaturePlacement, FeatureUnit } from './featurePlacement';
import type { Sideways, Vertical } from './featureRule';

/**
 * What other features can hang on sideways: the middles and the inner and outer edges of its units, as azimuths; on a part that lies on its
 * side as lines of holes.
 */
export interface Anchor {
  units: { side: FeatureUnit['side']; azimuth: number; halfMm: number; inner: number; outer: number }[];
}

const landmarks: ReadonlySet<string> = new Set([
  'ridge',
  'colour change',
  'neck',
  'edge',
  'base',
  'top',
  'start',
] satisfies LandmarkKind[]);
export const isLandmark = (name: FeatureKind | LandmarkKind): name is LandmarkKind => landmarks.has(name);

/** The feature a rule goes by for its line of holes. */
export function hangsOn(vertical: Vertical | null): FeatureKind | null {
  if (vertical?.by === 'level') return vertical.to;
  if (vertical?.by === 'stitches') return vertical.to === 'front' ? null : vertical.to;
  return vertical?.by === 'relation' && !isLandmark(vertical.to) ? vertical.to : null;
}

/** The feature a rule goes by sideways. */
export function standsBy(sideways: Sideways): FeatureKind | null {
  if (sideways.by === 'inLine') return sideways.to;
  return sideways.by === 'outward' && sideways.from !== 'front' ? sideways.from : null;
}

function withEdges(
  units: readonly { side: FeatureUnit['side']; azimuth: number; halfMm: number }[],
  radius: number,
): Anchor {
  const [first, last] = [units[0], units.at(-1)];
  return {
    units: units.map(({ side, azimuth, halfMm }) => {
      const other = first?.azimuth === azimuth ? last : first;
      const inward = other && other.azimuth !== azimuth ? Math.sign(wrapAngle(other.azimuth - azimuth)) : 0;
      return {
        side,
        azimuth,
        halfMm,
        inner: azimuth + (inward * halfMm) / radius,
        outer: azimuth - (inward * halfMm) / radius,
      };
    }),
  };
}

export function eyeAnchor({ profile }: PartForm, { posts, rule, round }: EyePlacement): Anchor {
  return withEdges(
    posts.map(({ side, azimuth }) => ({ side, azimuth, halfMm: rule.sizeMm / 2 })),
    Math.max(0.001, profile.radius[round - 1] ?? 0),
  );
}

export function anchorOf({ profile }: PartForm, { line, units }: FeaturePlacement): Anchor {
  return withEdges(units, Math.max(0.001, profile.radius[line - 1] ?? 0));
}
