import { roundCount, stitchIndex, type Fabric } from './fabric';

/** The outline of a part in rows. */
export interface RowEdges {
  /** row ends along each side, from the start up */
  rowEnds: number;
  /** stitches along the start and along the end */
  start: number;
  end: number;
  /** stitch indexes at the corners: first and last of the first row, first and last of the last */
  corners: [number, number, number, number];
}

/** Edges and corners of a part worked in rows; null for parts in the round. */
export function rowEdges(fabric: Fabric): RowEdges | null {
  const { rounds } = fabric;
  if (rounds === 0 || fabric.row[0] !== 1) return null;
  const [start, end] = [roundCount(fabric, 1), roundCount(fabric, rounds)];
  return {
    rowEnds: rounds,
    start,
    end,
    corners: [
      stitchIndex(fabric, 1, 1),
      stitchIndex(fabric, 1, start),
      stitchIndex(fabric, rounds, 1),
      stitchIndex(fabric, rounds, end),
    ],
  };
}
