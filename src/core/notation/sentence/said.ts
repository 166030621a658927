import type { Span } from '../ast';

/** Where a sentence stands, and whom it is about. */
export interface Said {
  text: string;
  line: number;
  /** the whole line it stands in */
  whole: string;
  span: Span;
  /** every number of a round it names, with where that stands; those of one line of holes or one range together */
  roundNumbers?: RoundNumber[][];
  /** the part it is about, where it does not stand among that part's own lines */
  on?: string;
}

/** A number of a round as it stands in a text: `8`, `9th`, `eight`. */
export interface RoundNumber {
  round: number;
  span: Span;
}

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
export type LandmarkKind =
  | 'ridge'
  | 'colour change'
  | 'neck'
  | 'edge'
  | 'base'
  | 'top'
  | 'start'
  | 'last increase'
  | 'first decrease'
  | 'plain rounds';

/** Ends that rounds are counted from. */
export type CountedFrom = 'end' | 'base' | 'top';

/** Whether rounds counted from there are counted from the end of the work. */
export function countsBack(from: CountedFrom | undefined, start: 'top' | 'bottom'): boolean {
  return from === 'end' || (from === 'base' && start === 'top') || (from === 'top' && start === 'bottom');
}

/** Which rounds something goes by, as they are said. */
export interface RoundsSaid {
  /** between rounds `gap[0]` and `gap[1]` */
  gap?: [number, number];
  /** a second line of holes named in the same sentence */
  otherGap?: [number, number];
  /** from one round to another, of what runs over several */
  range?: [number, number];
  /** on this round */
  round?: number;
  /** said as `after round 9`, which may also be a moment */
  roundSaid?: 'after';
  /** in the line of holes on this side of it, as you look at the finished piece */
  roundSide?: 'above' | 'below';
  /** from which end rounds are counted, where it is not the start: the end of the work, or an end of the finished toy */
  countFrom?: CountedFrom;
  /** so many rounds above or below something, as you look at the finished piece; `from` an end of the part leads inward */
  relation?: { rounds: number; direction: 'above' | 'below' | 'from'; to: FeatureKind | LandmarkKind };
  /** on the same round as a feature */
  level?: FeatureKind;
}

/** Which stitches or side something goes by, as they are said. */
export interface SidesSaid {
  /** the stitches that are named, counted along their round */
  stitches?: number[];
  /** in the middle of the back */
  back?: boolean;
  /** on which side as you look at the piece, where it is not the usual one for its kind */
  sides?: 'middle' | 'both' | 'left' | 'right';
}

/** After which round it is done, where that is said. */
export interface MomentSaid {
  after?: number;
}

/** How a feature is made, where the maker says so. */
export type FeatureStyle =
  | 'satin'
  | 'triangle'
  | 'smile'
  | 'line'
  | 'row'
  | 'lips'
  | 'sleeping'
  | 'felt'
  | 'crochet'
  | 'oval'
  | 'button';

/** What is cut, crocheted or a button is sewn on. */
const sewnStyles: ReadonlySet<FeatureStyle> = new Set(['felt', 'crochet', 'button']);
export const isSewnStyle = (style: FeatureStyle | null | undefined): style is 'felt' | 'crochet' | 'button' =>
  style !== null && style !== undefined && sewnStyles.has(style);

/** A ring or disc behind each eye; how wide it is where the maker says so. */
export interface EyeRing {
  of: 'felt' | 'crochet';
  sizeMm?: number;
}

/** How something is made and how large it is. */
export interface MadeSaid {
  embroidered?: boolean;
  /** said to be a safety one, with a post and a washer */
  pressed?: boolean;
  sizeMm?: number;
  style?: FeatureStyle;
  /** of pressed eyes, what lies behind each */
  ring?: EyeRing;
  wide?: number;
  /** rounds it reaches over */
  high?: number;
  seat?: 'foot' | 'split';
}

/** How high it goes beside what rounds say: by stitches, through the start, without a number. */
export interface HeightSaid {
  /** through the start of the part */
  atStart?: boolean;
  /** its relation is said in rounds; `just below` names no unit */
  roundsNamed?: true;
  /** it names what lies above and what lies below: drawing in the eyes goes about them, not above or below */
  aboveAndBelow?: true;
  /** so many stitches above or below something: how a part that lies on its side is counted */
  stitchesFrom?: { stitches: number; direction: 'above' | 'below'; to: FeatureKind | 'front' };
  /** the round those stitches are said to be in; `gap` is then the line of holes under it */
  ofRound?: number;
  /** the words of a relation that gives no number, `under the nose`: `relation` has one round then */
  vague?: string;
}

/** How far out it goes, and how far the two of a pair are from each other. */
export interface AcrossSaid {
  apart?: number;
  /** so many stitches on from the one stitch that is named */
  further?: number;
  /** what widths and distances across are said to be counted in, where they are */
  across?: 'rounds' | 'stitches';
  /** `apart` is said to be from post to post */
  posts?: boolean;
  showing?: number;
  /** so many stitches outward from each of a pair, from a single feature or from the front line */
  outward?: { stitches: number; from: FeatureKind | 'front' | null };
  /** over or under an edge of a feature */
  inLine?: { edge: 'inner' | 'outer' | 'middle'; to: FeatureKind };
}

/** How hard a part is stuffed. */
export type Firmness = 'light' | 'medium' | 'firm' | 'none';
