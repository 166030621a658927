import type { Span } from './ast';

/** What a feature is, by the name used in code and files. */
export type FeatureKind =
  | 'eyes'
  | 'nose'
  | 'mouth'
  | 'brows'
  | 'lashes'
  | 'cheeks'
  | 'whiskers'
  | 'patch'
  | 'button'
  | 'bow'
  | 'spots'
  | 'key ring'
  | 'sculpting'
  | 'hair';

/** Places of a part that rounds are counted from, beside its features. */
export type LandmarkKind = 'ridge' | 'colour change' | 'neck' | 'edge' | 'base' | 'top' | 'start';

/** Ends that rounds are counted from. */
export type CountedFrom = 'end' | 'base' | 'top';

/** Whether rounds counted from there are counted from the end of the work. */
export function countsBack(from: CountedFrom | undefined, start: 'top' | 'bottom'): boolean {
  return from === 'end' || (from === 'base' && start === 'top') || (from === 'top' && start === 'bottom');
}

/** How a feature is made, where the maker says so. */
export type FeatureStyle =
  'satin' | 'triangle' | 'smile' | 'line' | 'row' | 'lips' | 'sleeping' | 'felt' | 'crochet' | 'oval';

/** A ring or disc behind each eye; how wide it is where the maker says so. */
export interface EyeRing {
  of: 'felt' | 'crochet';
  sizeMm?: number;
}

export type StepKind = 'feature' | 'stuff' | 'close' | 'sew' | 'nosew' | 'pin' | 'cut' | 'fold';

/** A number of a round as it stands in a text: `8`, `9th`, `eight`. */
export interface RoundNumber {
  round: number;
  span: Span;
}

/** An assembly sentence, taken apart. Only what the maker said is set. */
export interface Step {
  kind: StepKind;
  feature?: FeatureKind;
  embroidered?: boolean;
  /** said to be a safety one, with a post and a washer */
  pressed?: boolean;
  sizeMm?: number;
  /** between rounds `gap[0]` and `gap[1]` */
  gap?: [number, number];
  /** a second line of holes named in the same sentence */
  otherGap?: [number, number];
  /** from one round to another, of what runs over several */
  range?: [number, number];
  /** through the start of the part */
  atStart?: boolean;
  /** on this round */
  round?: number;
  /** after this round is worked */
  after?: number;
  /** from which end rounds are counted, where it is not the start: the end of the work, or an end of the finished toy */
  countFrom?: CountedFrom;
  apart?: number;
  /** what widths and distances across are said to be counted in, where they are */
  across?: 'rounds' | 'stitches';
  /** `apart` is said to be from post to post */
  posts?: boolean;
  showing?: number;
  wide?: number;
  seat?: 'foot' | 'split';
  /** so many rounds above or below something, as you look at the finished piece; `from` an end of the part leads inward */
  relation?: { rounds: number; direction: 'above' | 'below' | 'from'; to: FeatureKind | LandmarkKind };
  /** its relation is said in rounds; `just below` names no unit */
  roundsNamed?: true;
  /** it names what lies above and what lies below: drawing in the eyes goes about them, not above or below */
  aboveAndBelow?: true;
  /** so many stitches above or below something: how a part that lies on its side is counted */
  stitchesFrom?: { stitches: number; direction: 'above' | 'below'; to: FeatureKind | 'front' };
  /** on the same round as a feature */
  level?: FeatureKind;
  /** the stitches whose holes are named, counted along the round above the line of holes */
  stitches?: number[];
  /** the round those stitches are said to be in; `gap` is then the line of holes under it */
  ofRound?: number;
  /** so many stitches outward from each of a pair, from a single feature or from the front line */
  outward?: { stitches: number; from: FeatureKind | 'front' | null };
  /** over or under an edge of a feature */
  inLine?: { edge: 'inner' | 'outer' | 'middle'; to: FeatureKind };
  /** in the middle of the back */
  back?: boolean;
  /** on which side as you look at the piece, where it is not the usual one for its kind */
  sides?: 'middle' | 'both' | 'left' | 'right';
  style?: FeatureStyle;
  /** of pressed eyes, what lies behind each */
  ring?: EyeRing;
  /** rounds it reaches over */
  high?: number;
  firmness?: 'light' | 'medium' | 'firm' | 'none';
  tailMm?: number;
  /** every number of a round it names, with where that stands; those of one line of holes or one range together */
  roundNumbers?: RoundNumber[][];
  /** the words of a relation that gives no number, `under the nose`: `relation` has one round then */
  vague?: string;
  /** clauses that say where, but not in a way that is read */
  unused?: string[];
  /** the part it is about, where it does not stand among that part's own lines */
  on?: string;
  text: string;
  line: number;
  /** the whole line it stands in */
  whole: string;
  span: Span;
}

/** Whether a sentence says “8 apart” and leaves open from what to what. */
export function isBareApart({ apart, showing, posts }: Step): boolean {
  return apart !== undefined && showing === undefined && !posts;
}
