import type { Pair, Seat } from './pair';
import type { PartForm } from './partForm';

/**
 * How far up the face something lies. On a part that stands, and on a flat one, the line of holes by its index from 1; on one that lies on
 * its side mm over the front line. Only the frame it belongs to reads it.
 */
export type Level = number;

/** Where across the face something lies: an azimuth in radians, or on a part that lies on its side a line of holes. */
export type Across = number;

/** A hole of a part, or a split between two of its stitches. */
export interface Spot {
  /** line of holes by index from 1 */
  line: number;
  /** from 1, of the `of` that line has */
  hole: number;
  of: number;
  /** in radians; goes on past a whole turn where what it belongs to does */
  azimuth: number;
}

/** A place on the fabric of a part: on a line of holes, by its azimuth. */
export type Place = Pick<Spot, 'line' | 'azimuth'>;

/** What one step is called on a part. */
export interface StepWord {
  readonly one: 'round' | 'stitch';
  readonly many: 'rounds' | 'stitches';
}

export const roundStep: StepWord = { one: 'round', many: 'rounds' };
export const stitchStep: StepWord = { one: 'stitch', many: 'stitches' };

/** One level of the face, seen from a middle: what widths and distances across are counted on. */
export interface Row {
  readonly level: Level;
  /** positions there are; on a ring they go round */
  readonly count: number;
  /** the furthest two posts may be apart */
  readonly most: number;
  /** +1 where positions grow to the right as one looks at the face */
  readonly toRight: 1 | -1;
  /** -1 at the back of a part that lies, where its rounds lead the other way */
  readonly facing: 1 | -1;
  /** the middle it is seen from */
  readonly centre: Across;
  /** from one position to the next, in mm */
  readonly stepMm: number;
  /** the middle as a position, a real number */
  middle(seat: Seat): number;
  /** the hole on the other side of the middle, as far from it */
  mirrored(position: number, seat: Seat): number;
  /** positions between two places, never negative */
  between(a: Across, b: Across): number;
  /** the nearest position there is */
  onFace(position: number): number;
  /** the pair so far apart that lies nearest to the middle */
  centred(apart: number, seat: Seat): Pair;
  /** the pair at two positions, the shorter way round */
  at(a: number, b: number, seat: Seat): Pair;
  /** how far the middle of a pair lies off the middle, in mm */
  missMm(pair: Pair): number;
  /** the holes of two positions, level with each other where each lies on a line of its own */
  spots(a: number, b: number, seat: Seat): [Spot, Spot];
  /** halfway between two holes of it, in radians */
  halfway(a: Spot, b: Spot): number;
}

/**
 * Where things can be on the face of one part, whichever way it lies. Rules, checks, moves and words are written once over it. Lengths in
 * mm, numbers as the maker counts them.
 */
export interface FaceFrame {
  readonly form: PartForm;
  /** the part lies on its side: its rounds run up and down over the face */
  readonly lies: boolean;
  /** what one step up and one step across is called */
  readonly up: StepWord;
  readonly across: StepWord;
  /** azimuth of the front line, in radians */
  readonly front: number;
  /** the middle of the face, or of the back */
  centre(back: boolean): Across;
  /** the line of holes and its neighbours that a level lies on */
  row(level: Level, centre: Across, back: boolean): Row;
  /** the level of a hole */
  levelOf(spot: Place): Level;
  /** so many steps up, or down when negative; `null` beyond the face */
  raise(level: Level, steps: number): Level | null;
  /** steps from one level up to another; negative down */
  stepsUp(from: Level, to: Level): number;
  /** every level a step leads to, from the top down */
  levels(): Level[];
  /** how far down a level lies, as a share of the height of the face from 0 to 1 */
  shareDown(level: Level): number;
  /** how far apart two posts at a level are, as a share of the width of the face */
  shareApart(level: Level, apart: number, seat: Seat): number;
  /** how much higher the second hole lies, by the climb of a spiral or by where holes happen to lie, in mm */
  higherMm(first: Place, second: Place): number;
  /** from hole to hole, along the fabric where it is round and level, else straight, in mm */
  apartMm(a: Place, b: Place): number;
  /** straight across between two holes, in mm, and the angle they are seen under from the axis, in degrees */
  straight(a: Place, b: Place): { mm: number; degrees: number };
  /** along the fabric between two holes that are so many positions of a row apart, in mm */
  surfaceMm(row: Row, lines: readonly [number, number], apart: number): number;
  /** straight across what lies so far along the fabric of a row, in mm */
  chordMm(row: Row, surfaceMm: number): number;
}

/** A line of holes by the rounds beside it, as the maker numbers them. */
export function gapOf({ fabric }: PartForm, line: number): [number, number] {
  return [fabric.label[line - 1] ?? line, fabric.label[line] ?? line + 1];
}

/** Step of lines that leads up on the finished toy, on a part that stands. */
export function upOf({ orientation }: PartForm): 1 | -1 {
  return orientation.start === 'top' ? -1 : 1;
}

/** Radius of the round below a line of holes, in mm; never quite nothing, so that it can be divided by. */
export function radiusAt({ profile }: PartForm, line: number): number {
  return Math.max(0.001, profile.radius[Math.max(0, line - 1)] ?? 0);
}

/** The greatest width of a part across its axis, half of it, in mm. */
export function widestRadius({ profile }: PartForm): number {
  return profile.radius.reduce((most, radius) => Math.max(most, radius), 0.001);
}
