import type { FeatureKind } from '../../notation/step';
import type { Problem } from '../../notation/problem';
import type { FeatureRule } from './featureRule';
import type { NeedlePath } from './needlePath';
import type { Reach } from './reach';

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

/** Where a feature of a part comes to lie. */
export interface FeaturePlacement {
  /** its name in the part: `mouth`, `button 2` */
  id: string;
  kind: FeatureKind;
  part: string;
  rule: FeatureRule;
  /** reach of what its height is counted from */
  counted: Reach;
  /** line of holes: 8 is the line between the rounds with index 8 and 9, from 1 */
  line: number;
  gap: [number, number];
  /** whether its holes are feet of stitches or splits between them */
  seat: 'foot' | 'split';
  units: FeatureUnit[];
  /** middle to middle of a pair in stitches, and whole stitches between their inner holes; null for a single feature */
  apart: number | null;
  showing: number | null;
  surfaceMm: number;
  straightMm: number;
  /** how far the middle of the whole lies off its middle line */
  missStitches: number;
  missMm: number;
  missSide: 'left' | 'right' | null;
  needle: NeedlePath | null;
  problems: Problem[];
}
