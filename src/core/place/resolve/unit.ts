import type { Spot } from '../frame/faceFrame';

/**
 * One of a feature's places: holes `from` to `to`, left and right as you look at the piece. Both are in one line of `of` holes, but on a
 * part that lies on its side, where what is wide reaches from line to line.
 */
export interface FeatureUnit {
  side: 'left' | 'middle' | 'right';
  from: number;
  to: number;
  of: number;
  /** lines of those holes, and how many there are in the second */
  fromLine: number;
  toLine: number;
  toOf: number;
  /** azimuths of those holes, and of the middle between them */
  fromAzimuth: number;
  toAzimuth: number;
  azimuth: number;
  /** half its width along the fabric, in mm */
  halfMm: number;
}

/** The hole where a unit begins, and where it ends. */
export const startOf = ({ fromLine, from, of, fromAzimuth }: FeatureUnit): Spot => ({
  line: fromLine,
  hole: from,
  of,
  azimuth: fromAzimuth,
});
export const endOf = ({ toLine, to, toOf, toAzimuth }: FeatureUnit): Spot => ({
  line: toLine,
  hole: to,
  of: toOf,
  azimuth: toAzimuth,
});
