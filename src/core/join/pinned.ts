import { t } from '../words/language';
import { roundCount } from '../fabric/fabric';
import { stitchAtAzimuth, stitchAzimuth, turn, wrapAngle } from '../shape/azimuth';
import { withHalf } from './directions';
import type { JoinPart, Side } from './joined';
import { inRound, rowOfLabel } from './numbers';
import { rightward } from './spot';

/** A place as a maker counts it on the real piece: a round by its number, a stitch from 1; both may be a half. */
export interface Counted {
  round: number;
  stitch: number;
}

/**
 * What she counts of one of a pair: its middle, and where its topmost pin is, if she counts that too; of a flat edge that lies along its
 * round, the pin at its outer end.
 */
export interface PinnedUnit {
  middle: Counted;
  top: Counted | null;
}

/** How a pair stands to each other. */
export interface PinnedCheck {
  level: boolean;
  /** the lower one as one looks at the toy, and by how much, in mm */
  lower: Side | null;
  levelMm: number;
  even: boolean;
  /** how much further the left one is from the front line than the right one, in mm */
  leftFurtherMm: number;
  /** null where the top pins were not counted */
  turned: boolean | null;
  /** how much more the left one leans away from the front than the right one, in degrees */
  leftLeansMoreDeg: number;
  /** what to move, one way or the other; empty where nothing needs to be */
  moves: string[];
}

/** Nobody can pin nearer than this: half a round, three quarters of a stitch, and a stitch between two top pins, which sit on whole ones. */
const levelWithin = 0.5;
const evenWithin = 0.75;
const turnedWithin = 1;

/** A place on the wall. */
interface Spot {
  row: number;
  /** angle from the front line to its own side */
  off: number;
  depthMm: number;
  radiusMm: number;
}

/** How far a pin is from its middle, in mm. */
interface FromMiddle {
  /** away from the front */
  asideMm: number;
  upMm: number;
}

function between(values: Float64Array, row: number): number {
  const at = Math.max(0, Math.min(values.length - 1, row - 1));
  const [from = 0, to = from] = [values[Math.floor(at)], values[Math.ceil(at)]];
  return from + (at - Math.floor(at)) * (to - from);
}

function spotOf(wall: JoinPart, front: number, side: Side, { round, stitch }: Counted): Spot | null {
  const { fabric, starts, profile } = wall;
  const row = rowOfLabel(wall, round);
  const isThere = row >= 1 && row <= fabric.rounds;
  const whole = Math.max(1, Math.min(fabric.rounds, Math.round(row)));
  if (!isThere || stitch < 0.5 || stitch > roundCount(fabric, whole) + 0.5) return null;
  const away = wrapAngle(stitchAzimuth(fabric, starts, whole, stitch) - front) * rightward(wall);
  return {
    row,
    off: side === 'right' ? away : -away,
    depthMm: between(profile.z, row),
    radiusMm: between(profile.radius, row),
  };
}

/** How far the top pin is away from the front and up, seen from the middle, in mm. */
function topOf(wall: JoinPart, middle: Spot, top: Spot): FromMiddle {
  return {
    asideMm: wrapAngle(top.off - middle.off) * middle.radiusMm,
    upMm: (wall.orientation.start === 'top' ? -1 : 1) * (top.depthMm - middle.depthMm),
  };
}

/** Whether two pins lie alike of their middles: above them by how far they are aside, beside them by how high they are. */
function areTurnedAlike(wall: JoinPart, left: FromMiddle, right: FromMiddle): boolean {
  const isBeside =
    Math.abs(left.asideMm) + Math.abs(right.asideMm) > Math.abs(left.upMm) + Math.abs(right.upMm);
  return isBeside
    ? Math.abs(left.upMm - right.upMm) <= turnedWithin * wall.gauge.heightMm
    : Math.abs(left.asideMm - right.asideMm) <= turnedWithin * wall.gauge.widthMm;
}

/** Where one of a pair would mirror the other, round and stitch. */
function mirrored(wall: JoinPart, front: number, side: Side, { row, off }: Spot): string {
  const { fabric, starts } = wall;
  const whole = Math.max(1, Math.min(fabric.rounds, Math.round(row)));
  const away = side === 'right' ? off : -off;
  const stitch = stitchAtAzimuth(fabric, starts, whole, front + away * rightward(wall));
  const round = (fabric.label[whole - 1] ?? whole) + (row - whole);
  return t`round ${withHalf(round)}, stitch ${withHalf(inRound(stitch, roundCount(fabric, whole)))}`;
}

/**
 * Compares the two of a pair as they are pinned or sewn on the real piece.
 *
 * @param front azimuth of the front line of the wall
 * @param names what the two are called
 * @returns null where the wall has no such round, or the round no such stitch
 */
export function checkPinned(
  wall: JoinPart,
  front: number,
  names: Readonly<Record<Side, string>>,
  pair: Readonly<Record<Side, PinnedUnit>>,
): PinnedCheck | null {
  const left = spotOf(wall, front, 'left', pair.left.middle);
  const right = spotOf(wall, front, 'right', pair.right.middle);
  if (!left || !right) return null;
  const down = wall.orientation.start === 'top' ? 1 : -1;
  const leftLowerMm = (left.depthMm - right.depthMm) * down;
  const level = Math.abs(left.row - right.row) <= levelWithin;
  const radiusMm = (left.radiusMm + right.radiusMm) / 2;
  const leftFurtherMm = wrapAngle(left.off - right.off) * radiusMm;
  const even = Math.abs(leftFurtherMm) <= evenWithin * wall.gauge.widthMm;
  const topFrom = (side: Side, middle: Spot) => {
    const { top } = pair[side];
    const spot = top && spotOf(wall, front, side, top);
    return spot ? topOf(wall, middle, spot) : null;
  };
  const tops = [topFrom('left', left), topFrom('right', right)];
  const [leftTop, rightTop] = tops;
  const leans = tops.map((top) => (top ? Math.atan2(top.asideMm, top.upMm) : 0));
  const isTurned = leftTop && rightTop ? areTurnedAlike(wall, leftTop, rightTop) : null;
  const moves =
    level && even
      ? []
      : [
          t`Move the ${names.right} to ${mirrored(wall, front, 'right', left)}.`,
          t`Or move the ${names.left} to ${mirrored(wall, front, 'left', right)}.`,
        ];
  return {
    level,
    lower: level ? null : leftLowerMm > 0 ? 'left' : 'right',
    levelMm: Math.abs(leftLowerMm),
    even,
    leftFurtherMm,
    turned: isTurned,
    leftLeansMoreDeg: isTurned === null ? 0 : wrapAngle((leans[0] ?? 0) - (leans[1] ?? 0)) * (360 / turn),
    moves,
  };
}
