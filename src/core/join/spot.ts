import { t } from '../words/language';
import { sayTerm } from '../words/said';
import { roundCount } from '../fabric/fabric';
import type { JoinPlace } from '../notation/sentence/joinPlace';
import { countsBack, type FeatureKind, type LandmarkKind } from '../notation/sentence/said';
import { direction } from '../place/frame/direction';
import { isLandmark, landmarkLines } from '../place/frame/landmarks';
import { stitchAzimuth, turn, wrapAngle } from '../shape/azimuth';
import type { AnyJoin, JoinPart, Side } from './joined';
import { roundNumbered } from '../fabric/rounds';

/** Why a place can't be worked out from what is said. */
export type NoRow = { why: 'unsaid' | 'missing' | 'waits'; what: string; mayBeTurned?: true };

/** Where another part is on this wall: the middle of it, and the rounds it covers. */
export interface Neighbour {
  row: number;
  rows: [number, number];
  azimuths: number[];
}

export const isRow = (row: number | NoRow): row is number => typeof row === 'number';

/** The end of a part that is below, above, or where its work starts or ends: the row of its first or last round. */
function endRow({ fabric, orientation }: JoinPart, end: 'start' | 'end' | 'top' | 'bottom'): number {
  const isStart = end === 'start' || end === orientation.start;
  return isStart ? 1 : fabric.rounds;
}

/** The nth round from an end, the first being the round at it. */
function fromEnd(wall: JoinPart, end: 'start' | 'end' | 'top' | 'bottom', n: number): number {
  const row = endRow(wall, end);
  return row === 1 ? n : row + 1 - n;
}

const missing = (what: string): NoRow => ({ why: 'missing', what });
/** It would be there if the part began at the bottom, which nothing says. */
const turnedAway = (what: string): NoRow => ({ ...missing(what), mayBeTurned: true });

/** The row of a round as the maker numbers it, counted from where it is said. */
function numbered(wall: JoinPart, label: number, from: AnyJoin['countFrom']): number | NoRow {
  const { fabric, orientation } = wall;
  if (from) {
    const row = countsBack(from, orientation.start) ? fabric.rounds + 1 - label : label;
    return row >= 1 && row <= fabric.rounds ? row : missing(t`round ${label} from the ${sayTerm(from)}`);
  }
  const index = roundNumbered(fabric, label);
  return index > 0 ? index : missing(t`round ${label}`);
}

function middle(
  wall: JoinPart,
  [a, b]: readonly [number, number],
  from: AnyJoin['countFrom'],
): number | NoRow {
  const rows = [numbered(wall, a, from), numbered(wall, b, from)];
  const bad = rows.find((row) => !isRow(row));
  return bad ?? ((rows[0] as number) + (rows[1] as number)) / 2;
}

/** +1 where going down the toy is going on from the start of the part. */
const downward = ({ orientation }: JoinPart): 1 | -1 => (orientation.start === 'top' ? 1 : -1);

/** A ring of so many stitches or fewer is drawn together: no head sits on it by its edge. */
const widestRing = 9;

const startsClosed = ({ fabric }: JoinPart): boolean => roundCount(fabric, 1) <= widestRing;
/** It is taken to begin at the top and ends wide: the head may well sit on that end. */
const mayStandOnHead = (wall: JoinPart): boolean =>
  wall.orientation.start === 'top' &&
  startsClosed(wall) &&
  roundCount(wall.fabric, wall.fabric.rounds) > widestRing;

/** So many rounds from the neck: a narrow place of the piece itself, else the end that the head sits on. */
function byNeck(wall: JoinPart, rounds: number, way: 'above' | 'below' | 'from'): number | NoRow {
  const [line, ...others] = landmarkLines(wall.fabric, 'neck');
  if (line === undefined && way === 'above') return missing(t`a round above the neck`);
  if (line === undefined && mayStandOnHead(wall)) return turnedAway(t`an open neck at its top`);
  if (line === undefined) return fromEnd(wall, 'top', rounds);
  if (others.length > 0) return missing(t`one neck of several`);
  return line + 0.5 + (way === 'above' ? -1 : 1) * downward(wall) * rounds;
}

/** Half the height of a feature, in rounds. */
function halfRows(wall: JoinPart, kind: FeatureKind): { line: number; half: number } | null {
  const feature = wall.features.find((one) => one.kind === kind);
  if (!feature) return null;
  const halfMm = Math.max(0, ...feature.units.map((unit) => unit.halfMm));
  return { line: feature.line + 0.5, half: halfMm / wall.gauge.heightMm };
}

/** The line of holes of a place that a wall has once. */
function lineOf({ fabric }: JoinPart, landmark: LandmarkKind): number | NoRow {
  const [line, ...others] = landmarkLines(fabric, landmark);
  if (line === undefined) return missing(t`the ${sayTerm(landmark)}`);
  return others.length > 0 ? missing(t`one ${sayTerm(landmark)} of several`) : line;
}

/** Edge to edge with a place of the wall, on one side of it. */
function besideLandmark(
  wall: JoinPart,
  { direction: way, of }: { direction: 'above' | 'below' | 'behind'; of: LandmarkKind },
  reach: number,
): number | NoRow {
  const line = lineOf(wall, of);
  if (!isRow(line)) return line;
  const sign = way === 'behind' ? 1 : (way === 'below' ? 1 : -1) * downward(wall);
  // A flat edge lies on the first round beside it.
  return Math.round(line + 0.5 + sign * Math.max(reach, 0.5));
}

/** Directly over or under something of the wall itself, so that the two do not cover each other. */
function besideOwn(
  wall: JoinPart,
  { direction: way, of }: NonNullable<AnyJoin['place']['beside']>,
  reach: number,
): number | NoRow {
  if (of === 'colour change' || of === 'ridge') return besideLandmark(wall, { direction: way, of }, reach);
  const sign = (way === 'above' ? -1 : 1) * downward(wall);
  if (of === 'neck') {
    // Right under the rim of a head that sits on a closed crown: which round that is no one has said.
    const isOnCrown = wall.orientation.start === 'top' && startsClosed(wall);
    if (isOnCrown && landmarkLines(wall.fabric, 'neck').length === 0) return missing(t`an open neck`);
    const away = byNeck(wall, 1, way === 'above' ? 'above' : 'below');
    return isRow(away) ? Math.round(away + sign * (reach - 0.5)) : away;
  }
  const feature = halfRows(wall, of);
  if (!feature) return missing(t`the ${sayTerm(of)}`);
  return Math.round(feature.line + sign * (feature.half + reach));
}

/** So many rounds over or under a place of the wall: the first is the one beside it. */
function byLandmark(
  wall: JoinPart,
  { rounds, direction: way, to }: { rounds: number; direction: 'above' | 'below' | 'from'; to: LandmarkKind },
): number | NoRow {
  // `2 rounds from the colour change` does not say to which side.
  if (way === 'from') return { why: 'unsaid', what: '' };
  const line = lineOf(wall, to);
  if (!isRow(line)) return line;
  const sign = (way === 'below' ? 1 : -1) * downward(wall);
  const row = line + 0.5 + sign * (Math.max(1, rounds) - 0.5);
  return row >= 1 && row <= wall.fabric.rounds
    ? row
    : missing(t`${rounds} rounds ${sayTerm(way)} the ${sayTerm(to)}`);
}

function byRelation(
  wall: JoinPart,
  { rounds, direction: way, to }: NonNullable<AnyJoin['relation']>,
  openTop = false,
): number | NoRow {
  if (to === 'top' && openTop && mayStandOnHead(wall)) return turnedAway(t`an open edge at its top`);
  if (to === 'base') return fromEnd(wall, 'bottom', rounds);
  if (to === 'top' || to === 'start') return fromEnd(wall, to, rounds);
  if (to === 'edge') return fromEnd(wall, 'end', rounds);
  if (to === 'neck') return byNeck(wall, rounds, way);
  if (isLandmark(to)) return byLandmark(wall, { rounds, direction: way, to });
  const feature = wall.features.find(({ kind }) => kind === to);
  if (!feature) return missing(t`the ${sayTerm(to)}`);
  const sign = (way === 'below' ? 1 : -1) * downward(wall);
  const row = feature.line + 0.5 + sign * rounds;
  return row >= 1 && row <= wall.fabric.rounds
    ? row
    : missing(t`${rounds} rounds ${sayTerm(way)} the ${sayTerm(to)}`);
}

/** A stitch that is named and that its round has not. */
function stitchBeyond({ fabric }: JoinPart, { stitches = [] }: AnyJoin, row: number): number | undefined {
  const count = roundCount(fabric, Math.max(1, Math.min(fabric.rounds, Math.round(row))));
  return stitches.find((stitch) => stitch < 1 || stitch > count);
}

/**
 * The row of the middle of what a sentence joins.
 *
 * @param neighbour where another part of the toy is on the same wall; null while that is not known
 * @param reach how many rows what is joined covers on either side of its middle
 */
export function rowOf(
  wall: JoinPart,
  sentence: AnyJoin,
  neighbour: (part: string) => Neighbour | null,
  reach: number,
): number | NoRow {
  const said = rowSaid(wall, sentence, neighbour, reach);
  if (!isRow(said)) return said;
  const beyond = stitchBeyond(wall, sentence, said);
  if (beyond !== undefined) return missing(t`stitch ${beyond}`);
  if (sentence.place.around) return said;
  const away = awayFrom(wall, sentence.place, reach);
  const row = away === 0 ? said : Math.round(said + away);
  const isThere = row >= 1 && row <= wall.fabric.rounds;
  return isThere ? row : missing(row < 1 ? t`a round beyond its start` : t`a round beyond its end`);
}

/** How many rounds the middle lies from the round that is said: by an edge, so many above or below, directly beside it. */
function awayFrom(wall: JoinPart, { byEdge, off }: JoinPlace, reach: number): number {
  if (off) {
    const sign = (off.direction === 'below' ? 1 : -1) * downward(wall);
    return sign * (off.rounds ?? reach + 0.5);
  }
  return byEdge === undefined ? 0 : (byEdge === 'upper' ? 1 : -1) * downward(wall) * reach;
}

/** The row of the upper corners of a flat piece; what is worked in rounds has none. */
const cornerRow = (wall: JoinPart): number | NoRow =>
  wall.fabric.row[0] === 1 ? endRow(wall, 'top') : missing('corners');

function rowSaid(
  wall: JoinPart,
  sentence: AnyJoin,
  neighbour: (part: string) => Neighbour | null,
  reach: number,
): number | NoRow {
  const { place, gap, range, round, countFrom, relation, level } = sentence;
  const { ofPart, outFrom, around, beside, atEyes, corners } = place;
  if (corners) return cornerRow(wall);
  if (ofPart) {
    const other = neighbour(ofPart.part.id);
    if (!other) return { why: 'waits', what: ofPart.part.name };
    const sign = (ofPart.direction === 'below' ? 1 : -1) * downward(wall);
    if (ofPart.rounds !== null) return other.row + sign * ofPart.rounds;
    const edge = sign > 0 ? Math.max(...other.rows) : Math.min(...other.rows);
    return Math.round(edge + sign * (reach + 0.5));
  }
  if (outFrom) return fromEnd(wall, outFrom.end, outFrom.rounds);
  if (range) return middle(wall, range, countFrom);
  if (gap) return middle(wall, gap, countFrom);
  if (round !== undefined) return numbered(wall, round, countFrom);
  if (beside) return besideOwn(wall, beside, reach);
  if (relation) return byRelation(wall, relation, sentence.place.openTop);
  if (atEyes) return halfRows(wall, 'eyes')?.line ?? missing(t`the eyes`);
  if (level) {
    const feature = wall.features.find(({ kind }) => kind === level);
    return feature ? feature.line + 0.5 : missing(t`the ${sayTerm(level)}`);
  }
  if (around) return endRow(wall, around) === 1 ? 0 : wall.fabric.rounds + 1;
  return { why: 'unsaid', what: '' };
}

/** Where around the wall the units of a sentence go. */
export interface Around {
  /** one azimuth a unit, in order */
  azimuths: number[];
  /** they are a pair about the front line */
  paired: boolean;
  /** nothing says so: it is taken as usual */
  assumed: 'front' | 'back' | 'sides' | null;
}

const usuallyBehind = /\b(?:tail|fin|mane|crest|cape|shell|backpack)s?\b/i;
const quarter = turn / 4;

/** +1 where azimuths rise from left to right as one looks at the piece. */
export const rightward = ({ orientation }: JoinPart): 1 | -1 => direction(orientation);

/** The azimuth so many stitches of a row to a side of another. */
function aside(wall: JoinPart, row: number, from: number, stitches: number): number {
  const round = Math.max(1, Math.min(wall.fabric.rounds, Math.round(row)));
  return from + (turn * stitches) / Math.max(1, roundCount(wall.fabric, round));
}

/** A pair on both sides of the front line, the left one first. */
const pairAt = (wall: JoinPart, front: number, off: number): number[] => [
  front - rightward(wall) * off,
  front + rightward(wall) * off,
];

/** A pair with so many stitches between its edges, about the front, or about the back where it is said to be there. */
function betweenPair(
  wall: JoinPart,
  { place, back }: AnyJoin,
  { row, front, width }: Pick<Asked, 'row' | 'front' | 'width'>,
): number[] {
  const off = aside(wall, row, 0, ((place.between ?? 0) + width) / 2);
  const [left = 0, right = 0] = pairAt(wall, back ? front + Math.PI : front, off);
  return back ? [right, left] : [left, right];
}

function asidePair(wall: JoinPart, sentence: AnyJoin, row: number, front: number): number[] {
  const { stitches, of } = sentence.place.aside ?? { stitches: 0, of: 'front' };
  if (of === 'eyes') {
    const eyes = wall.features.find(({ kind }) => kind === 'eyes');
    const offs = (eyes?.units ?? []).map(({ azimuth }) => Math.abs(wrapAngle(azimuth - front)));
    const out = offs.length > 0 ? Math.max(...offs) : 0;
    return pairAt(wall, front, aside(wall, row, out, stitches));
  }
  const from = of === 'back' ? front + Math.PI : front;
  const off = aside(wall, row, 0, stitches);
  const [left = 0, right = 0] = pairAt(wall, from, off);
  // Seen from the front, what is left of the middle of the back is at the right of one who looks at the back.
  return of === 'back' ? [right, left] : [left, right];
}

/** What the places around a wall are worked out from. */
interface Asked {
  row: number;
  front: number;
  /** how many units the sentence places here */
  count: number;
  /** the side a single unit is named by: `the left arm` */
  side: Side | null;
  name: string;
  /** how many stitches of the wall one unit is wide */
  width: number;
  neighbour: (part: string) => Neighbour | null;
}

const certain = (azimuths: number[], paired = false): Around => ({ azimuths, paired, assumed: null });

/** Places that go by stitches or by another part. */
function byNumbers(
  wall: JoinPart,
  { place, stitches }: AnyJoin,
  { row, front, count, neighbour }: Asked,
): Around | 'unclear' | null {
  if (stitches && stitches.length === count) {
    const round = Math.max(1, Math.min(wall.fabric.rounds, Math.round(row)));
    return certain(stitches.map((stitch) => stitchAzimuth(wall.fabric, wall.starts, round, stitch)));
  }
  // Stitches that are not as many as the units could be anyone's.
  if (stitches && stitches.length > 0) return 'unclear';
  if (place.inLineWith) {
    const other = neighbour(place.inLineWith.id);
    return other?.azimuths.length === count ? certain(other.azimuths, count === 2) : 'unclear';
  }
  if (!place.evenly || count < 2) return null;
  const step = (rightward(wall) * turn) / count;
  const behind = front - (rightward(wall) * turn) / 2;
  return certain(Array.from({ length: count }, (_, i) => behind + step * (i + 0.5)));
}

/** Places that go by a side of the piece. */
function bySide(
  wall: JoinPart,
  sentence: AnyJoin,
  { row, front, count, side, width }: Asked,
): Around | 'unclear' | null {
  const { place, back, sides } = sentence;
  const oneSide = side ?? (sides === 'left' || sides === 'right' ? sides : null);
  const ofPair = (pair: number[]): Around | 'unclear' => {
    if (count === 2) return certain(pair, true);
    return count === 1 && oneSide ? certain([pair[oneSide === 'left' ? 0 : 1] ?? 0]) : 'unclear';
  };
  const isUpOrDown = place.around === 'top' || place.around === 'bottom';
  // Stitches of a part that lies run up or down: its top is a quarter of a round from its front.
  if (wall.orientation.lying && isUpOrDown && count === 1)
    return certain([front + (place.around === 'top' ? 1 : -1) * rightward(wall) * quarter]);
  const alone = (azimuth: number): Around | 'unclear' => (count === 1 ? certain([azimuth]) : 'unclear');
  if (place.between !== undefined) return ofPair(betweenPair(wall, sentence, { row, front, width }));
  if (place.aside) return ofPair(asidePair(wall, sentence, row, front));
  if (back) return alone(front + Math.PI);
  if (place.front || sides === 'middle') return alone(front);
  return sides === 'both' || place.atSides || oneSide ? ofPair(pairAt(wall, front, quarter)) : null;
}

/**
 * Where around the wall the units of a sentence go. Where nothing says so a pair goes to the sides and one to the front, what usually
 * hangs behind to the back, and it is told; more than two are asked about.
 *
 * @returns null where that can't be told
 */
export function aroundOf(wall: JoinPart, sentence: AnyJoin, asked: Asked): Around | null {
  const said = byNumbers(wall, sentence, asked) ?? bySide(wall, sentence, asked);
  if (said === 'unclear') return null;
  if (said) return said;
  const { count, front, name } = asked;
  if (count === 2) return { azimuths: pairAt(wall, front, quarter), paired: true, assumed: 'sides' };
  if (count > 2) return null;
  const behind = usuallyBehind.test(name);
  return {
    azimuths: [behind ? front + Math.PI : front],
    paired: false,
    assumed: behind ? 'back' : 'front',
  };
}
