import type { FeatureKind } from '../../notation/sentence/said';
import type { Problem } from '../../notation/problem';
import type { Level } from '../frame/faceFrame';
import type { Seat } from '../frame/pair';
import type { Reach } from '../rule/reach';
import { leadsFace, type FeatureRule } from '../rule/rule';
import type { NeedlePath } from './needlePath';
import type { FeatureUnit } from './unit';

/** Where a feature of a part comes to lie. */
export interface FeaturePlacement {
  /** its name in the part: `eyes`, `mouth`, `button 2` */
  id: string;
  kind: FeatureKind;
  part: string;
  rule: FeatureRule;
  /** how high it lies, as the frame of its part counts */
  level: Level;
  /** reach of what its height is counted from */
  counted: Reach;
  /** line of holes: 8 is the line between the rounds with index 8 and 9, from 1; of a pair on two lines the first worked */
  line: number;
  gap: [number, number];
  /** whether its holes are feet of stitches or splits between them */
  seat: Seat;
  units: FeatureUnit[];
  /** middle to middle of a pair in stitches (rounds on a part that lies), and whole ones between their inner holes; null for a single feature */
  apart: number | null;
  showing: number | null;
  surfaceMm: number;
  straightMm: number;
  /** how far the middle of the whole lies off its middle line */
  missStitches: number;
  missMm: number;
  missSide: 'left' | 'right' | null;
  /** of a pair: how much lower one side is, and which */
  levelMm: number;
  lower: 'left' | 'right' | null;
  /** of a pair: the angle it is seen under from the axis, and its width as a share of the part's greatest */
  angleDeg: number;
  shareOfWidth: number;
  /** across the washer of what has a post; null for what has none */
  washerMm: number | null;
  /** azimuth of the front line it was placed by */
  front: number;
  needle: NeedlePath | null;
  problems: Problem[];
}

/** Everything that is put on a part. */
export interface PlacedFace {
  /** azimuth of the front line, one for all of it */
  front: number;
  /** every feature, in the order of the text */
  features: FeaturePlacement[];
}

/** The eyes put on whole of a face, which lead it. */
export function eyesOf(features: readonly FeaturePlacement[]): FeaturePlacement | null {
  return features.find(({ rule }) => leadsFace(rule)) ?? null;
}
