import {
  isSewnStyle,
  type CountedFrom,
  type EyeRing,
  type FeatureKind,
  type FeatureStyle,
  type LandmarkKind,
} from '../../notation/sentence/said';
import type { Seat } from '../frame/pair';

/** Which line of holes a feature lies on, as the maker says it. Rounds by the numbers in her text. */
export type Vertical =
  | { by: 'gap'; gap: [number, number]; from?: CountedFrom }
  | { by: 'range'; from: number; to: number }
  | {
      by: 'round';
      round: number;
      from: 'start' | CountedFrom;
      side?: 'above' | 'below';
      /** said as `after round 9`, which may only be a moment */
      mayBeMoment?: true;
    }
  | { by: 'relation'; rounds: number; direction: 'above' | 'below' | 'from'; to: FeatureKind | LandmarkKind }
  | { by: 'stitches'; stitches: number; direction: 'above' | 'below'; to: FeatureKind | 'front' }
  | { by: 'level'; to: FeatureKind }
  | { by: 'start' };

/**
 * Where it lies sideways. By rounds only on a part that lies on its side: the lines of holes after two rounds carry the ends of a single
 * feature, or the middles of a pair. At the back a pair has its distance about the middle there. `holes` are named by number: the ends of a single feature, the middles of a pair.
 */
export type Sideways =
  | { by: 'front' }
  | { by: 'back'; apart?: number }
  | { by: 'apart'; apart: number }
  | { by: 'rounds'; from: number; to: number; back?: true }
  | { by: 'holes'; holes: readonly number[] }
  | { by: 'outward'; stitches: number; from: FeatureKind | 'front' }
  | { by: 'inLine'; edge: 'inner' | 'outer' | 'middle'; to: FeatureKind };

/** A pair so far apart about the middle it has: the front line, or opposite it. */
export const atDistance = (sideways: Sideways, apart: number): Sideways =>
  sideways.by === 'back' ? { by: 'back', apart } : { by: 'apart', apart };

/** Whether it lies opposite the front line. */
export const isAtBack = (sideways: Sideways): boolean =>
  sideways.by === 'back' || (sideways.by === 'rounds' && sideways.back === true);

/** What a maker decides about a feature. It is a rule, not a place: what it hangs on may move. */
export interface FeatureRule {
  kind: FeatureKind;
  style: FeatureStyle | null;
  embroidered: boolean;
  /** across, of what is pressed in or sewn on; of what is stitched only where the maker gives its width in mm */
  sizeMm: number | null;
  /** in stitches and rounds; of what has a size in mm only a guide */
  wide: number;
  high: number;
  vertical: Vertical | null;
  sideways: Sideways;
  /** as you look at the piece; left or right alone is one of what would be a pair */
  sides: 'middle' | 'both' | 'left' | 'right';
  /** what a single post or the middle of a sewn piece goes by; null takes whichever lies nearer to the middle */
  seat: Seat | null;
  /** a ring or disc behind each of a pair of eyes */
  ring?: Required<EyeRing>;
  /** on a part that lies on its side, where rounds count to the sides and stitches up and down: `wide` is in rounds, `high` in stitches */
  lying?: true;
}

/** Styles worked with the needle; the others are cut, crocheted or bought. */
const stitchedStyles: ReadonlySet<FeatureStyle> = new Set([
  'satin',
  'triangle',
  'smile',
  'line',
  'row',
  'lips',
  'sleeping',
]);
export const isStitchedStyle = (style: FeatureStyle | null): boolean =>
  style !== null && stitchedStyles.has(style);

/** Eyes that are put on whole, pressed in or sewn on: they lead the face they are on. */
export const leadsFace = ({ kind, embroidered }: Pick<FeatureRule, 'kind' | 'embroidered'>): boolean =>
  kind === 'eyes' && !embroidered;

/** What goes through the fabric with a post and is held by a washer; eyes and a nose of felt, crochet or a button are sewn on. */
export const hasPost = ({
  kind,
  embroidered,
  style,
}: Pick<FeatureRule, 'kind' | 'embroidered' | 'style'>): boolean =>
  !embroidered && (kind === 'eyes' || kind === 'nose') && !isSewnStyle(style);

/** What is pressed in, sewn or tied on goes by its one middle hole, as the points of sculpting do; what is stitched spans several. */
export const isPoint = ({ kind, embroidered, sizeMm }: FeatureRule): boolean =>
  kind === 'sculpting' || (!embroidered && sizeMm !== null);

/** Whether it has a size of its own in mm, whatever the stitches under it. */
export const isSewn = ({ embroidered, sizeMm }: Pick<FeatureRule, 'embroidered' | 'sizeMm'>): boolean =>
  !embroidered && sizeMm !== null;
