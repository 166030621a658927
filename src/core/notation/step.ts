import type { Span } from './ast';

/** What a feature is, by the name used in code and files. */
export type FeatureKind =
  | 'eyes' | 'nose' | 'mouth' | 'brows' | 'lashes' | 'cheeks' | 'whiskers' | 'patch' | 'button' | 'spots' | 'key ring' | 'sculpting';

export type StepKind = 'feature' | 'stuff' | 'close' | 'sew' | 'nosew' | 'pin' | 'cut' | 'fold';

/** An assembly sentence, taken apart. Only what the maker said is set. */
export interface Step {
  kind: StepKind;
  feature?: FeatureKind;
  embroidered?: boolean;
  sizeMm?: number;
  /** between rounds `gap[0]` and `gap[1]` */
  gap?: [number, number];
  /** on this round */
  round?: number;
  /** after this round is worked */
  after?: number;
  /** from which end rounds are counted, where it is not the start */
  countFrom?: 'end';
  apart?: number;
  showing?: number;
  wide?: number;
  seat?: 'foot' | 'split';
  relation?: { rounds: number; direction: 'above' | 'below'; to: FeatureKind };
  firmness?: 'light' | 'medium' | 'firm' | 'none';
  tailMm?: number;
  text: string;
  line: number;
  span: Span;
}
