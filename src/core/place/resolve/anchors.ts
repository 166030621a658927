import type { FeatureKind } from '../../notation/sentence/said';
import type { Across, FaceFrame } from '../frame/faceFrame';
import { wrapAngle } from '../../shape/azimuth';
import { isLandmark } from '../frame/landmarks';
import { radiusAt } from '../frame/faceFrame';
import type { Sideways, Vertical } from '../rule/rule';
import type { FeaturePlacement } from './placement';
import type { FeatureUnit } from './unit';

/** What other features can hang on sideways: the middles and the inner and outer edges of its units. */
export interface Anchor {
  units: AnchorUnit[];
}

export interface AnchorUnit {
  side: FeatureUnit['side'];
  middle: Across;
  halfMm: number;
  inner: Across;
  outer: Across;
}

/** The feature a rule goes by for its height. */
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

function acrossOf({ lies }: FaceFrame, { azimuth, fromLine, toLine }: FeatureUnit): Across {
  return lies ? (fromLine + toLine) / 2 : azimuth;
}

/** A placed feature as others stand beside it. */
export function anchorOf(frame: FaceFrame, { line, units }: FeaturePlacement): Anchor {
  const middles = units.map((unit) => acrossOf(frame, unit));
  const [first, last] = [middles[0] ?? 0, middles.at(-1) ?? 0];
  const perMm = 1 / (frame.lies ? frame.form.gauge.heightMm : radiusAt(frame.form, line));
  return {
    units: units.map(({ side, halfMm }, i) => {
      const middle = middles[i] ?? 0;
      const other = i === 0 ? last : first;
      const inward = Math.sign(frame.lies ? other - middle : wrapAngle(other - middle));
      const half = inward * halfMm * perMm;
      return { side, middle, halfMm, inner: middle + half, outer: middle - half };
    }),
  };
}
