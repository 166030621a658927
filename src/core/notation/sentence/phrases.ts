import type { TokenType } from 'chevrotain';
import type {
  AcrossSaid,
  FeatureStyle,
  HeightSaid,
  MadeSaid,
  FeatureKind,
  LandmarkKind,
  MomentSaid,
  RoundNumber,
  RoundsSaid,
  SidesSaid,
  Firmness,
} from './said';

/** What the phrases of a sentence say, whatever kind it turns out to be. */
export interface Met extends RoundsSaid, SidesSaid, MomentSaid, MadeSaid, HeightSaid, AcrossSaid {
  firmness?: Firmness;
  tailMm?: number;
  roundNumbers?: RoundNumber[][];
}

/** What a phrase waits to hear the name of: `level with …`, `in line with the inner edge of …`, `outside …`. */
export type Waiting = 'level' | 'inLine' | 'outward' | 'beside';

/** Phrases met in one sentence, in order. */
export interface Phrases {
  step: Met;
  verbs: TokenType[];
  features: FeatureKind[];
  waiting: Waiting[];
  /** what the last phrase of each kind goes by, once it is named */
  by: Partial<Record<Waiting, FeatureKind | 'front'>>;
  said: Set<Waiting>;
  edge: 'inner' | 'outer' | 'middle';
  outward: number | null;
  /** every feature named in it, also those only gone by: what `them` may mean */
  named: FeatureKind[];
  /** a relation without a number, and where it stands */
  vague: { direction: 'above' | 'below'; to: FeatureKind | LandmarkKind; from: number; until: number } | null;
  /** a place is named, by what lies on either side of it */
  halfway: boolean;
  /** where something stands that says a place and is not read */
  unused: number[];
  /** where `outward` stands, and what may say how high and is nothing by itself: an end of the toy, a landmark, `above` */
  outwardAt: number | null;
  heightAt: number | null;
  /** a distance is said to be counted by what shows */
  countsShowing: boolean;
  /** so many stitches and no more */
  bare: number | null;
  /** what the next number of stitches is: `a gap of`, `a distance of` */
  spacing: 'showing' | 'apart' | null;
  /** a ring or disc is named, and the second size in mm of the sentence */
  ring: 'felt' | 'crochet' | null;
  secondMm: number | null;
  /** its left and its right are named, each by itself */
  leftAndRight: boolean;
  /** `After round 20, …`: what opens a sentence says when, never where */
  momentOpens: boolean;
  /** how it is said to be made, in order */
  styles: FeatureStyle[];
  /** where the features of `features` are named */
  mentions: { kind: FeatureKind; from: number; until: number }[];
}

/** What is found before anything is read. */
export const nothing = (): Phrases => ({
  step: {},
  verbs: [],
  features: [],
  waiting: [],
  by: {},
  said: new Set(),
  edge: 'middle',
  outward: null,
  named: [],
  vague: null,
  halfway: false,
  unused: [],
  outwardAt: null,
  heightAt: null,
  bare: null,
  countsShowing: false,
  spacing: null,
  ring: null,
  secondMm: null,
  leftAndRight: false,
  momentOpens: false,
  styles: [],
  mentions: [],
});
