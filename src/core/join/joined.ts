import type { Fabric } from '../fabric/fabric';
import type { RoundRef } from '../fabric/rounds';
import type { PartSource } from '../notation/pattern';
import type { Problem } from '../notation/problem';
import type { JoinSentence, PinSentence } from '../notation/sentence/join';
import type { Orientation } from '../place/frame/direction';
import type { FeaturePlacement } from '../place/resolve/placement';
import type { SurfaceLine } from '../place/resolve/surfaceLine';
import type { Gauge } from '../shape/gauge';
import type { Profile } from '../shape/profile';
import type { Held } from './footprint';
import type { Covers, SewnStitch, WallStitch } from './sewing';
import type { WallPoint } from './wall';

/** A sentence that brings parts together. */
export type AnyJoin = JoinSentence | PinSentence;

/** A side as one looks at the toy's front. */
export type Side = 'left' | 'right';

/** What joining needs of a part. */
export interface JoinPart {
  part: PartSource;
  fabric: Fabric;
  starts: Float64Array;
  profile: Profile;
  gauge: Gauge;
  orientation: Orientation;
  /** azimuth of its front line */
  front: number;
  features: readonly FeaturePlacement[];
  /** what is worked on along lines once it is finished */
  lines: readonly SurfaceLine[];
}

/** Whether a part has a front of its own, by its maker's word or its face. */
export const hasOwnFront = ({ part, features }: JoinPart): boolean =>
  part.front !== null || features.length > 0;

/** One making of a part. */
export interface UnitRef {
  /** the part by its id in the text */
  part: string;
  /** from 1 */
  unit: number;
}

/** A unit with the name it goes by: `left arm`. */
export interface Unit extends UnitRef {
  name: string;
  side: Side | null;
}

/** How two pieces come together. */
export type JoinKind =
  | 'open-on-wall'
  | 'closed-on-wall'
  | 'flattened'
  | 'pinched'
  /** a flat piece, sewn down around its outline */
  | 'outline'
  /** a flat piece, sewn by its first or last row and free otherwise */
  | 'by-row'
  /** a strand, fastened by one end */
  | 'by-end'
  /** one end over another, or inside it, about one axis */
  | 'pushed-in'
  /** pulled through from side to side */
  | 'through'
  /** hangs from a place by a thread */
  | 'hung'
  /** on one thread with others, below the one before */
  | 'strung'
  | 'edge-to-edge'
  | 'no-sew'
  /** by the work itself: begun in the loops of another part, or gone on from */
  | 'worked-on';

export const kindOfHeld: Record<Held, JoinKind> = {
  round: 'open-on-wall',
  flattened: 'flattened',
  pinched: 'pinched',
};

/** One entry of a no-sew round. */
export type LedgerLine = { plain: number } | (UnitRef & { stitches: number });

/**
 * Which of a join's pins one is. About a place on a wall: towards its start or end, and each way round. All the way round a wall: on its
 * front, back or a side. Of a flat edge: its ends and its middle. Of what is pulled through: where it goes in and out.
 */
export type PinAt =
  'start' | 'end' | 'falling' | 'rising' | 'front' | 'back' | Side | 'middle' | 'in' | 'out';

/** A stitch of the wall to pin first. */
export interface PinnedStitch extends WallStitch {
  at: PinAt;
}

/** The same, with the number of its round. */
export type Pin = PinnedStitch & RoundRef;

/** One unit in its place. Stitches count from 1. */
export interface Join {
  kind: JoinKind;
  unit: Unit;
  /** worked in by a round as the maker wrote it: her line moves it, and nothing else */
  asWritten: boolean;
  /** the side the text calls it by */
  called: Side | null;
  /** what it is joined to */
  on: UnitRef;
  /** what says so */
  sentence: AnyJoin;
  /** the round of the middle of what it covers, by its place; null where it goes around the very start or end */
  row: number | null;
  /** the number of that round */
  round: number | null;
  /** the stitch of that middle, which may be a half */
  stitch: number | null;
  /** with the numbers of its rounds */
  covers: (Covers & { rounds: [number, number] }) | null;
  /** number of the round of the unit that is sewn through, where it ends closed; null where its edge is */
  through: number | null;
  /** of what is pushed in or over: the row of the wall its edge is sewn to, by index, and the end of the wall that lies on its side */
  ring: { row: number; end: 'start' | 'end' } | null;
  /** of what is pulled through: how much of it lies inside */
  insideMm: number | null;
  /** every stitch of its edge with the wall stitch it is sewn to */
  path: (SewnStitch & RoundRef)[] | null;
  /** the places to pin first */
  pins: Pin[] | null;
  ledger: LedgerLine[] | null;
  /** other rounds with the same parts, as good or nearly, the best first */
  otherLedgers: readonly (readonly LedgerLine[])[];
  /** what the ledger adds up to */
  sum: number | null;
  /** of a no-sew round, the number of the round it is worked into, and which loops of that */
  base: number | null;
  loops: 'both' | 'front' | 'back' | null;
  /** of two edges, the stitches of the smaller that take two */
  doubles: number[] | null;
  /** of what is held flat without a front of its own: the azimuth at which it faces forward, in the middle of a layer */
  facing: number | null;
  /** how far it is turned about its own axis from how it would stand by itself, in degrees clockwise as one looks at it from outside */
  turned: number;
  /** how far its middle is from where it was wanted */
  missMm: number;
  /** the middle on the wall, for drawing; null where that is not on one */
  centre: WallPoint | null;
  problems: Problem[];
}

/** All joins of a toy. */
export interface JoinedToy {
  units: Unit[];
  joins: Join[];
  /** what is joined by the work itself: begun in the loops of another part, or gone on from */
  workedOn: Join[];
  /** units no sentence puts anywhere */
  loose: Unit[];
  /** azimuth of the front line of each wall that something is joined to, by its part */
  fronts: ReadonlyMap<string, number>;
  /** azimuth at which each other part that is joined by an edge faces forward, by its part */
  facings: ReadonlyMap<string, number>;
  problems: Problem[];
}

/** A join of which nothing is worked out yet. */
export const blankJoin = (kind: Join['kind'], unit: Unit, wall: JoinPart, sentence: AnyJoin): Join => ({
  kind,
  unit,
  asWritten: false,
  called: null,
  on: { part: wall.part.id, unit: 1 },
  sentence,
  row: null,
  round: null,
  stitch: null,
  covers: null,
  through: null,
  ring: null,
  insideMm: null,
  path: null,
  pins: null,
  ledger: null,
  otherLedgers: [],
  sum: null,
  base: null,
  loops: null,
  doubles: null,
  facing: null,
  turned: 0,
  missMm: 0,
  centre: null,
  problems: [],
});
