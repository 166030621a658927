import { t } from '../words/language';
import { sayTerm } from '../words/said';
import { roundCount, stitchIndex, type Fabric } from '../fabric/fabric';
import type { JoinPart } from './joined';

/** Where a flat piece is sewn through: the top of a stitch of its last row, the end of a row, or the foot of a stitch of its first. */
export type OutlineAt = 'top' | 'left end' | 'right end' | 'foot';

/** One stitch of the outline of a flat piece. */
export interface OutlineStitch {
  at: OutlineAt;
  /** by index, from 1 */
  row: number;
  /** in the order it was worked, from 1; of a row end, the stitch beside it */
  stitch: number;
  /** where it lies, in mm from the middle of the piece: x to the right, y up, as the piece lies with its right side towards one */
  x: number;
  y: number;
}

/** A flat piece laid out, its right side towards one. Lengths in mm from its middle. */
export interface FlatPiece {
  /** one a row */
  rows: {
    /** ends of the row */
    left: number;
    right: number;
    /** y of the edge it is worked into and of its own tops */
    from: number;
    to: number;
    /** 1 where its stitches run to the right, −1 to the left */
    runs: 1 | -1;
    count: number;
  }[];
  widthMm: number;
  heightMm: number;
}

/** A piece that is worked in rows from its first to its last, each on the one before: its outline is known. With a round about it, it is not. */
export function isInRows({ fabric }: Pick<JoinPart, 'fabric'>): boolean {
  const { rounds, folded, row, base } = fabric;
  const isRowOnRow = (_: unknown, i: number) =>
    row[i] === 1 && (i === 0 || base[i] === i) && roundCount(fabric, i + 1) > 0;
  return rounds > 0 && folded === 0 && Array.from({ length: rounds }).every(isRowOnRow);
}

/** An edge of a flat piece as it is looked at with that edge below: whether its stitches run to the right, and how many there are. */
export function rowEdge(
  piece: JoinPart,
  by: 'first row' | 'last row',
): { runsRight: boolean; count: number } {
  const start = by === 'last row' ? 'top' : 'bottom';
  const { rows } = flatPiece({ ...piece, orientation: { ...piece.orientation, start } });
  const edge = by === 'last row' ? rows.at(-1) : rows[0];
  return { runsRight: edge?.runs === 1, count: edge?.count ?? 0 };
}

/** What the stitches of a row stand on: the middle of that, one a stitch; none of a chain, which stands on nothing. */
function feetOf(fabric: Fabric, row: number, below: Float64Array): number[] {
  const first = stitchIndex(fabric, row, 1);
  const baseFirst = stitchIndex(fabric, row - 1, 1);
  return Array.from({ length: roundCount(fabric, row) }, (_, i) => i).flatMap((i) => {
    const takes = fabric.parentCount[first + i] ?? 0;
    const parent = (fabric.parentFirst[first + i] ?? 0) - baseFirst;
    const [from, to] = [below[parent], below[parent + takes - 1]];
    return takes > 0 && from !== undefined && to !== undefined ? [(from + to) / 2] : [];
  });
}

/** A row on its way: the middle of each stitch, in the order they were worked, and which way it runs. */
interface LaidRow {
  places: Float64Array;
  runs: 1 | -1;
}

/** A row on the one before: each stitch as wide as any, the whole row over the middle of what it stands on. */
function rowAbove(fabric: Fabric, row: number, below: LaidRow | null, widthMm: number): LaidRow {
  const count = roundCount(fabric, row);
  const feet = below ? feetOf(fabric, row, below.places) : [];
  const [begun = 0, ended = 0] = [feet[0], feet.at(-1)];
  // Where all stand on one, or on nothing, a row comes back against the one before.
  const back = below?.runs === 1 ? -1 : 1;
  const runs = begun === ended ? back : ended > begun ? 1 : -1;
  const middle = feet.reduce((sum, x) => sum + x, 0) / Math.max(1, feet.length);
  const places = Float64Array.from(
    { length: count },
    (_, i) => middle + runs * (i - (count - 1) / 2) * widthMm,
  );
  return { places, runs };
}

/**
 * Rows with the side towards one that was so while the first was worked: that of a right-handed maker runs to the left, with the first
 * row below the others, that of a left-handed one to the right; upside down the other way.
 */
function rowsLaid({ fabric, gauge, orientation }: JoinPart): LaidRow[] {
  const rows: LaidRow[] = [];
  for (let row = 1; row <= fabric.rounds; row += 1)
    rows.push(rowAbove(fabric, row, rows.at(-1) ?? null, gauge.widthMm));
  const isSeenFromBehind = orientation.side === 'in';
  const isUpsideDown = orientation.start === 'top';
  const runsRight = ((orientation.hand === 'left') !== isSeenFromBehind) !== isUpsideDown;
  if (runsRight) return rows;
  return rows.map(({ places, runs }) => ({ places: places.map((x) => -x), runs: runs === 1 ? -1 : 1 }));
}

/** A piece in rows, laid flat: every row as long as its stitches, over the middle of those it is worked into. */
export function flatPiece(piece: JoinPart): FlatPiece {
  const { fabric, gauge, profile, orientation } = piece;
  const laid = rowsLaid(piece);
  const half = gauge.widthMm / 2;
  const left = Math.min(...laid.map(({ places }) => Math.min(...places))) - half;
  const right = Math.max(...laid.map(({ places }) => Math.max(...places))) + half;
  const heightMm = profile.along.at(-1) ?? 0;
  const up = orientation.start === 'top' ? -1 : 1;
  const middle = (left + right) / 2;
  const yOf = (along: number): number => up * (along - heightMm / 2);
  const rows = laid.map(({ places, runs }, i) => {
    const [first = 0, last = 0] = [places[0], places.at(-1)];
    return {
      left: Math.min(first, last) - half - middle,
      right: Math.max(first, last) + half - middle,
      from: yOf(i > 0 ? (profile.along[i - 1] ?? 0) : 0),
      to: yOf(profile.along[i] ?? 0),
      runs,
      count: roundCount(fabric, i + 1),
    };
  });
  return { rows, widthMm: right - left, heightMm };
}

/** Where a stitch of a row lies, which may be a half; in mm to the right of the middle of the piece. */
export const xOf = ({ left, right, runs, count }: FlatPiece['rows'][number], stitch: number): number => {
  const share = (stitch - 0.5) / count;
  return runs === 1 ? left + share * (right - left) : right - share * (right - left);
};

/**
 * The outline of a flat piece as it is sewn down: along its last row as that was worked, down the ends of the rows on that side, along
 * the feet of the first row, and up the ends on the other side.
 */
export function outlineOf(piece: JoinPart): OutlineStitch[] {
  const { rows } = flatPiece(piece);
  const last = rows.at(-1);
  const [first] = rows;
  if (!last || !first) return [];
  const tops = Array.from({ length: last.count }, (_, i): OutlineStitch => ({
    at: 'top',
    row: rows.length,
    stitch: i + 1,
    x: xOf(last, i + 1),
    y: last.to,
  }));
  const ends = (side: 'left' | 'right') =>
    rows.map((row, i): OutlineStitch => ({
      at: `${side} end`,
      row: i + 1,
      stitch: (side === 'left') === (row.runs === 1) ? 1 : row.count,
      x: row[side],
      y: (row.from + row.to) / 2,
    }));
  const down = last.runs === 1 ? 'right' : 'left';
  const feet = Array.from({ length: first.count }, (_, i): OutlineStitch => ({
    at: 'foot',
    row: 1,
    stitch: i + 1,
    x: xOf(first, i + 1),
    y: first.from,
  }));
  // From the side that comes down to the other.
  feet.sort((a, b) => (down === 'left' ? a.x - b.x : b.x - a.x));
  return [...tops, ...ends(down).reverse(), ...feet, ...ends(down === 'left' ? 'right' : 'left')];
}

/** A stitch of an outline in words: `row 5, stitch 3`, `the left end of row 2`, `under row 1, stitch 4`. */
export function outlineWords({ at, row, stitch }: OutlineStitch, { fabric }: JoinPart): string {
  const label = fabric.label[row - 1] ?? row;
  if (at === 'top') return t`row ${label}, stitch ${stitch}`;
  return at === 'foot' ? t`under row ${label}, stitch ${stitch}` : t`the ${sayTerm(at)} of row ${label}`;
}
