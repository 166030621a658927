import pluralize from 'pluralize';
import { roundCount } from '../fabric/fabric';
import { edgeAround, turnedOnto } from './byEdges';
import { edgeToEdge } from './edges';
import { blankJoin, type Join, type JoinPart, type Unit } from './joined';
import type { Joining } from './joining';
import { endOf, type Placing } from './placing';
import { pinsAround } from './pins';
import { problem } from './problem';
import { labelOf, roundAt, rowsCovered, withNumbers } from './numbers';
import { roundNumbered } from '../fabric/rounds';

/** A piece that goes over the end of another or into it, both about one axis: the edge of one is sewn to a round of the other. */
interface Fitting {
  placing: Placing;
  /** whose edge is sewn */
  piece: JoinPart;
  /** whose round it is sewn to */
  wall: JoinPart;
  /** that round, by index; null where that is not said */
  row: number | null;
  /** the end of the wall that lies under the piece, or that the piece comes out of */
  end: 'start' | 'end';
}

/** The end of a wall that something goes over: the one that is said, else the one the row is by, the open one, the one on top. */
function endUnder(
  wall: JoinPart,
  { place, way }: Placing['sentence'],
  row: number | null = null,
): 'start' | 'end' {
  const said = way?.end ?? place.around;
  const { start } = wall.orientation;
  if (said === 'start' || said === 'end') return said;
  if (said !== undefined) return said === start ? 'start' : 'end';
  // A round that is named lies by the end that is gone over.
  if (row !== null) return row <= wall.fabric.rounds / 2 ? 'start' : 'end';
  if (endOf(wall).open) return 'end';
  return start === 'top' ? 'start' : 'end';
}

const circumference = ({ fabric, gauge }: JoinPart, row: number): number =>
  roundCount(fabric, row) * gauge.widthMm;

/** The first round from an end that is as wide round as an edge; null where none is. */
function firstAsWide(wall: JoinPart, edgeMm: number, end: Fitting['end']): number | null {
  const { rounds } = wall.fabric;
  const rows = Array.from({ length: rounds }, (_, i) => (end === 'start' ? i + 1 : rounds - i));
  return rows.find((row) => circumference(wall, row) >= edgeMm - wall.gauge.widthMm / 2) ?? null;
}

/** The first round that is not inside, where so many at an end are. */
const inFrom = (wall: JoinPart, end: Fitting['end'], deep: number): number | null => {
  const row = end === 'start' ? deep + 1 : wall.fabric.rounds - deep;
  return row >= 1 && row <= wall.fabric.rounds ? row : null;
};

/** The round a sentence names, of whichever of the two has it. */
function rowSaid({ sentence }: Placing, wall: JoinPart): number | null {
  const row = sentence.round === undefined ? 0 : roundNumbered(wall.fabric, sentence.round);
  return row > 0 ? row : null;
}

/** What is slid over another: its edge lies where it is said to, so many rounds in, or where the other is first as wide. */
function slidOver(placing: Placing): Fitting {
  const { sentence, piece, wall } = placing;
  const { deep } = sentence.way ?? {};
  const said = rowSaid(placing, wall);
  const end = endUnder(wall, sentence, said);
  const isTube = end === 'end' && endOf(wall).open;
  const natural = isTube ? null : firstAsWide(wall, circumference(piece, piece.fabric.rounds), end);
  const row = said ?? (deep === undefined ? natural : inFrom(wall, end, deep));
  return { placing, piece, wall, row, end };
}

/** The end of a piece that goes into another: its open one, else the one that faces the opening. */
function endPushed(piece: JoinPart, outer: JoinPart): Fitting['end'] {
  if (endOf(piece).open) return 'end';
  const opensUp = outer.orientation.start === 'bottom';
  return piece.orientation.start === (opensUp ? 'bottom' : 'top') ? 'start' : 'end';
}

/**
 * What is pushed into another. Said by a round of the outer one, the edge of the inner is sewn there; said by how deep it sits or by a
 * round of the inner one, the edge of the outer is sewn to that. A round that both have is no one's until it is said whose it is.
 */
function pushedInto(placing: Placing): Fitting {
  const { sentence, piece, wall } = placing;
  const { deep, roundOf } = sentence.way ?? {};
  const [ofOuter, ofInner] = [rowSaid(placing, wall), rowSaid(placing, piece)];
  const isWhose = roundOf ?? (ofOuter === null ? piece.part.id : ofInner === null ? wall.part.id : null);
  if (ofOuter !== null && isWhose === wall.part.id) return { placing, piece, wall, row: ofOuter, end: 'end' };
  const end = endPushed(piece, wall);
  const said = isWhose === piece.part.id ? ofInner : null;
  const row = said ?? (deep === undefined ? null : inFrom(piece, end, deep));
  return { placing, piece: wall, wall: piece, row, end };
}

/** An edge may be so much narrower or wider round than what it lies on, before it pulls or gapes. */
const tightest = 0.85;
const widest = 1.3;

/** The round of a wall nearest to a row that has as many stitches as an edge; null where none is near. */
function betterRow(wall: JoinPart, count: number, row: number): number | null {
  const { rounds, label } = wall.fabric;
  const rows = Array.from({ length: rounds }, (_, i) => i + 1).filter(
    (one) => roundCount(wall.fabric, one) === count,
  );
  rows.sort((a, b) => Math.abs(a - row) - Math.abs(b - row));
  const [best] = rows;
  return best === undefined ? null : (label[best - 1] ?? best);
}

/** What is told of a piece by how its edge fits; nothing where it fits well. */
function fitProblems({ placing, piece, wall, row }: Fitting): Join['problems'] {
  const { sentence } = placing;
  const pieces = { piece: piece.part.name, wall: wall.part.name };
  if (row === null) return [problem(piece, 'fit-depth', pieces, { sentence })];
  const share = circumference(piece, piece.fabric.rounds) / Math.max(1, circumference(wall, row));
  if (share >= tightest && share <= widest) return [];
  const edge = endOf(piece).count;
  const facts = {
    ...pieces,
    edge,
    round: labelOf(wall, row),
    count: roundCount(wall.fabric, row),
    isNarrow: share < tightest,
    better: betterRow(wall, edge, row),
  };
  return [problem(piece, 'fit-width', facts, { sentence })];
}

/** Joins what goes over an end of another or into it. */
export function joinFitted(state: Joining, placing: Placing): void {
  const { sentence, units } = placing;
  const fitting = sentence.way?.kind === 'into' ? pushedInto(placing) : slidOver(placing);
  const { piece, wall } = fitting;
  const isTurned = piece !== placing.piece;
  // Two boots over two legs: each over its own.
  units.forEach((own, i) => {
    const name = pluralize.singular(piece.part.name.toLowerCase());
    const unit: Unit = isTurned ? { part: piece.part.id, unit: i + 1, name, side: null } : own;
    const on = { part: wall.part.id, unit: Math.min(i + 1, wall.part.make) };
    state.joins.push({ ...fitted(state, fitting, unit), on });
  });
}

/** One unit over or in its own. */
function fitted(state: Joining, fitting: Fitting, unit: Unit): Join {
  const { placing, piece, wall, row, end } = fitting;
  const { sentence } = placing;
  const { fabric } = wall;
  const join: Join = {
    ...blankJoin('pushed-in', unit, wall, sentence),
    problems: fitProblems(fitting),
  };
  if (row === null) return join;
  const ring = roundAt(wall, row);
  const plan = edgeToEdge(turnedOnto(state, piece, wall, end), edgeAround(state, wall, row));
  const isSmaller = endOf(piece).count <= roundCount(fabric, row);
  const path = plan?.path.map(({ larger, smaller }) => ({
    ...ring,
    edge: isSmaller ? smaller : larger,
    stitch: isSmaller ? larger : smaller,
  }));
  const rows: [number, number] = end === 'start' ? [1, row] : [row, fabric.rounds];
  return {
    ...join,
    ...ring,
    ring: { row, end },
    covers: {
      ...rowsCovered(wall, rows),
      stitches: [1, roundCount(fabric, row)],
    },
    path: path ?? null,
    pins: path ? withNumbers(wall, pinsAround(wall, path, state.facing(wall, row))) : null,
    doubles: plan?.doubles ?? null,
  };
}
