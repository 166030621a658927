import { roundCount } from '../fabric/fabric';
import { endOfPoint } from './facing';
import type { JoinPart } from './joined';
import { flatPiece, isInRows } from './outline';
import { endOf, type Placing } from './placing';
import type { NoRow } from './spot';
import { rowAt, type Wall } from './wall';

/** A piece that comes to a point, sewn by the edge across from it. */
interface Pointed {
  /** from its point to that edge, in mm */
  heightMm: number;
  sewn: { sewnBy: 'first row' | 'last row' } | { edge: 'flattened' };
}

/** An edge of so few stitches is a point, as is one of a third of those across from it. */
const pointStitches = 2;
const pointShare = 1 / 3;

/** How a piece comes to a point: by the rows of one end, or by a start that is drawn together; null where it does not. */
function pointedPiece(piece: JoinPart): Pointed | null {
  const { fabric, profile } = piece;
  if (isInRows(piece)) {
    const [first, last] = [roundCount(fabric, 1), roundCount(fabric, fabric.rounds)];
    const isPoint = (one: number, other: number) =>
      one < other && (one <= pointStitches || one <= other * pointShare);
    const { heightMm } = flatPiece(piece);
    if (isPoint(first, last)) return { heightMm, sewn: { sewnBy: 'last row' } };
    return isPoint(last, first) ? { heightMm, sewn: { sewnBy: 'first row' } } : null;
  }
  const isCone = fabric.row[0] !== 1 && fabric.start === 'ring' && endOf(piece).open;
  return isCone ? { heightMm: profile.along.at(-1) ?? 0, sewn: { edge: 'flattened' } } : null;
}

/** A piece whose point is said to lie somewhere is sewn by the edge across from it, pressed flat. */
export function byPoint(placing: Placing): Placing {
  const found = placing.sentence.place.point && pointedPiece(placing.piece);
  return found ? { ...placing, sentence: { ...placing.sentence, ...found.sewn } } : placing;
}

/**
 * The row of a wall that the edge of a piece is sewn to whose point lies on the start or end: as far from that along the wall as the piece
 * is high, on a whole round.
 */
export function rowByPoint(
  surface: Wall,
  placing: Placing,
): number | (Omit<NoRow, 'why'> & { why: 'point' | 'missing' }) {
  const end = endOfPoint(placing.wall, placing.sentence);
  if (end === null) return { why: 'point', what: 'where' };
  const found = pointedPiece(placing.piece);
  if (!found) return { why: 'point', what: 'none' };
  const isStart = end === 'start';
  const isThere = isStart ? (surface.radius[0] ?? 0) === 0 : surface.closed;
  if (!isThere) return { why: 'missing', what: `a closed ${end}` };
  const whole = surface.along.at(-1) ?? 0;
  const row = Math.round(rowAt(surface, isStart ? found.heightMm : whole - found.heightMm));
  const isOnWall = found.heightMm < whole && row >= 1 && row <= placing.wall.fabric.rounds;
  return isOnWall ? row : { why: 'missing', what: `a round as far from its ${end} as the piece is high` };
}
