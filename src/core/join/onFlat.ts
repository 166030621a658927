import { stitchAtAzimuth, turn } from '../shape/azimuth';
import { direction } from '../place/frame/direction';
import { liesUpWall } from './facing';
import { blankJoin, kindOfHeld, type Join, type PinAt, type PinnedStitch, type Unit } from './joined';
import type { Joining } from './joining';
import { labelOf, roundAt, rowsCovered, withNumbers } from './numbers';
import { flatPiece, isInRows, xOf, type FlatPiece } from './outline';
import { heldOf, isStrand, sewnEdgeOf, type Placing } from './placing';
import { problem } from './problem';
import type { SewnStitch } from './sewing';

/** A place on a flat wall, in mm from its middle: x to the right, y up, its right side towards one. */
interface Spot {
  x: number;
  y: number;
}

type FlatRow = FlatPiece['rows'][number];

/** Which pin, and by what measure the place for it is the most. */
type Pick = readonly [PinAt, (spot: Spot) => number];

/** Whether a piece can be joined to a flat wall: by its edge as a ring, or held flat; with the row said by itself. */
export function goesOnFlat({ wall, piece, sentence, isOnTop }: Placing): boolean {
  const isByEdge = piece.fabric.row[0] !== 1 && !piece.orientation.lying && !isStrand(piece);
  const isSewn = sentence.kind !== 'nosew' && sentence.way === undefined && sentence.stance === undefined;
  const isRowSaid =
    sentence.round !== undefined || sentence.gap !== undefined || sentence.range !== undefined;
  const isSaid = isRowSaid || sentence.place.corners === true;
  return isInRows(wall) && isByEdge && isSewn && isSaid && !isOnTop;
}

const middleOf = ({ left, right }: FlatRow): number => (left + right) / 2;

/** Which stitch of a row lies at a place, as a real number. */
const stitchAt = ({ left, right, runs, count }: FlatRow, x: number): number => {
  const share = (x - left) / (right - left);
  return (runs === 1 ? share : 1 - share) * count + 0.5;
};

/** The corners of a flat wall that units go to, so far in that their edges end with it: the upper two, or all four; null for other numbers. */
function cornersFor(placing: Placing, { widthMm, heightMm }: FlatPiece): Spot[] | null {
  const { units, piece } = placing;
  if (units.length !== 2 && units.length !== 4) return null;
  const { count } = sewnEdgeOf(placing);
  const isRing = heldOf(placing) === 'round';
  const edgeMm = count * piece.gauge.widthMm;
  const halfWide = isRing ? edgeMm / turn : edgeMm / 4;
  const halfHigh = isRing ? edgeMm / turn : placing.wall.gauge.heightMm / 2;
  const [x, y] = [widthMm / 2 - halfWide, heightMm / 2 - halfHigh];
  const upper = [
    { x: -x, y },
    { x, y },
  ];
  const lower = upper.map((spot) => ({ ...spot, y: -y }));
  return x <= 0 || y <= 0 ? null : [...upper, ...(units.length === 4 ? lower : [])];
}

/** Where across the units of a sentence go on a row; null where that is not said. */
function across({ sentence, units, stitches, wall }: Placing, row: FlatRow): number[] | null {
  const said = stitches ?? sentence.stitches;
  if (said) return said.length === units.length ? said.map((stitch) => xOf(row, stitch)) : null;
  const { place, sides, back } = sentence;
  const middle = middleOf(row);
  if (place.aside?.of === 'front' && units.length === 2) {
    const off = place.aside.stitches * wall.gauge.widthMm;
    return [middle - off, middle + off];
  }
  const isInMiddle = place.front === true || sides === 'middle';
  const saysElse = back ?? sides ?? place.aside ?? place.between ?? place.inLineWith ?? place.evenly;
  return units.length === 1 && (isInMiddle || saysElse === undefined) ? [middle] : null;
}

/** The places of an edge about a spot: a ring as long as the edge, or a line, along the row or up over several. */
function placesOf(state: Joining, placing: Placing, { x, y }: Spot): Spot[] {
  const { piece } = placing;
  const edge = sewnEdgeOf(placing);
  const { widthMm } = piece.gauge;
  const { hand, side } = piece.orientation;
  // Looked at from its far end a right-handed piece goes on against the clock; around its start it is looked at from the other end.
  const isAgainst = (direction({ hand, side, start: 'top' }) === 1) !== (edge.closed === 'start');
  if (heldOf(placing) === 'round') {
    const radius = (edge.count * widthMm) / turn;
    const azimuth = state.facing(piece, edge.round);
    const front = stitchAtAzimuth(piece.fabric, piece.starts, edge.round, azimuth);
    return Array.from({ length: edge.count }, (_, i) => {
      const angle = ((isAgainst ? -1 : 1) * turn * (i + 1 - front)) / edge.count;
      return { x: x + radius * Math.sin(angle), y: y + radius * Math.cos(angle) };
    });
  }
  const isUp = liesUpWall(placing.sentence);
  const places = Math.max(1, Math.floor(edge.count / 2));
  return Array.from({ length: edge.count }, (_, i) => {
    const at = (Math.min(i, edge.count - 1 - i, places - 1) - (places - 1) / 2) * widthMm;
    return isUp ? { x, y: y + at } : { x: x + at, y };
  });
}

/** The stitch of the wall nearest to each place; null where one lies beyond its edge. */
function pathOver({ rows }: FlatPiece, places: readonly Spot[]): SewnStitch[] | null {
  const path: SewnStitch[] = [];
  for (const [i, { x, y }] of places.entries()) {
    const row = rows.findIndex(
      ({ from, to }) => y >= Math.min(from, to) - 1e-9 && y <= Math.max(from, to) + 1e-9,
    );
    const found = rows[row];
    if (!found) return null;
    const stitch = stitchAt(found, x);
    if (stitch < 0.5 - 1e-9 || stitch > found.count + 0.5 + 1e-9) return null;
    path.push({ edge: i + 1, row: row + 1, stitch: Math.max(1, Math.min(found.count, Math.round(stitch))) });
  }
  return path;
}

/** The pins of an edge: of a ring above, below, to the left and right, of a line its ends and its middle; each stitch once. */
function pinsOver(placing: Placing, places: readonly Spot[], path: readonly SewnStitch[]): PinnedStitch[] {
  const { wall } = placing;
  const isStartUp = wall.orientation.start === 'top';
  const rises = direction(wall.orientation) === 1;
  const upright: readonly Pick[] = [
    [isStartUp ? 'start' : 'end', ({ y }) => y],
    [isStartUp ? 'end' : 'start', ({ y }) => -y],
  ];
  const level: readonly Pick[] = [
    [rises ? 'falling' : 'rising', ({ x }) => -x],
    [rises ? 'rising' : 'falling', ({ x }) => x],
  ];
  const mean = (of: (spot: Spot) => number) =>
    places.reduce((sum, spot) => sum + of(spot), 0) / places.length;
  const [x, y] = [mean((spot) => spot.x), mean((spot) => spot.y)];
  const middle: Pick = ['middle', (spot) => -Math.hypot(spot.x - x, spot.y - y)];
  const line = [...(liesUpWall(placing.sentence) ? upright : level), middle];
  const picks = heldOf(placing) === 'round' ? [...upright, ...level] : line;
  const pins: PinnedStitch[] = [];
  for (const [at, measure] of picks) {
    const best = places.reduce(
      (most, spot, i) => (measure(spot) > measure(places[most] ?? spot) + 1e-9 ? i : most),
      0,
    );
    const { row, stitch } = path[best] ?? { row: 0, stitch: 0 };
    if (row > 0 && !pins.some((pin) => pin.row === row && pin.stitch === stitch))
      pins.push({ row, stitch, at });
  }
  return pins;
}

/** The stitches of the middle row from the first to the last that is sewn to; of a row with fewer than two those of all. */
function stitchesCovered(path: readonly SewnStitch[], row: number): [number, number] {
  const own = path.filter((sewn) => sewn.row === Math.round(row));
  const stitches = (own.length > 1 ? own : path).map(({ stitch }) => stitch);
  return [Math.min(...stitches), Math.max(...stitches)];
}

function laid(
  state: Joining,
  placing: Placing,
  unit: Unit,
  { row, spot }: { row: number; spot: Spot },
): Join {
  const { piece, wall, sentence } = placing;
  const edge = sewnEdgeOf(placing);
  const held = heldOf(placing);
  const through = edge.closed === null ? null : labelOf(piece, edge.round);
  const facts = { piece: unit.name, wall: wall.part.name, count: edge.count };
  const kind = through !== null && held === 'round' ? 'closed-on-wall' : kindOfHeld[held];
  const flat = flatPiece(wall);
  const at = flat.rows[Math.max(0, Math.round(row) - 1)];
  const stitch = at ? Math.round(stitchAt(at, spot.x) * 2) / 2 : null;
  const blank = { ...blankJoin(kind, unit, wall, sentence), ...roundAt(wall, row), stitch, through };
  const places = placesOf(state, placing, spot);
  const path = pathOver(flat, places);
  if (!path)
    return { ...blank, problems: [problem(piece, 'join-over-edge', facts, { severity: 'error', sentence })] };
  const told =
    through === null
      ? []
      : [problem(piece, 'join-closed', { ...facts, through }, { severity: 'info', sentence })];
  const rows = path.map((sewn) => sewn.row);
  return {
    ...blank,
    covers: {
      ...rowsCovered(wall, [Math.min(...rows), Math.max(...rows)]),
      stitches: stitchesCovered(path, row),
    },
    path: withNumbers(wall, path),
    pins: withNumbers(wall, pinsOver(placing, places, path)),
    problems: told,
  };
}

/** Joins units at corners of a flat wall: each by the row its middle lies on. */
function joinAtCorners(state: Joining, placing: Placing, spots: Spot[] | null, { rows }: FlatPiece): void {
  const { piece, wall, sentence, units } = placing;
  const facts = { piece: piece.part.name, wall: wall.part.name, count: units.length, isFlat: true };
  units.forEach((unit, i) => {
    const spot = spots?.[i];
    const row = spot
      ? rows.findIndex(({ from, to }) => spot.y >= Math.min(from, to) && spot.y <= Math.max(from, to))
      : -1;
    if (!spot || row < 0) {
      const asked = problem(piece, 'join-around', facts, { sentence });
      state.joins.push({
        ...blankJoin('open-on-wall', unit, wall, sentence),
        problems: i === 0 ? [asked] : [],
      });
      return;
    }
    const side = spot.x < 0 ? 'left' : 'right';
    state.joins.push(laid(state, placing, { ...unit, side }, { row: row + 1, spot }));
  });
}

/**
 * Joins units by their edges onto a flat wall, about a row of it: the places of the edge lie on the flat as they are, and each goes to the
 * stitch that is there.
 */
export function joinOnFlat(state: Joining, placing: Placing, row: number): void {
  const { piece, wall, sentence, units } = placing;
  const flat = flatPiece(wall);
  const { rows } = flat;
  if (sentence.place.corners) {
    joinAtCorners(state, placing, cornersFor(placing, flat), flat);
    return;
  }
  const [below, above] = [rows[Math.floor(row) - 1], rows[Math.ceil(row) - 1]];
  const facts = { piece: piece.part.name, wall: wall.part.name, count: units.length, isFlat: true };
  const xs = below && across(placing, below);
  units.forEach((unit, i) => {
    const x = xs?.[i];
    if (!below || !above || x === undefined) {
      const asked = problem(piece, 'join-around', facts, { sentence });
      state.joins.push({
        ...blankJoin('open-on-wall', unit, wall, sentence),
        ...roundAt(wall, row),
        problems: i === 0 ? [asked] : [],
      });
      return;
    }
    const y = (below.from + below.to + above.from + above.to) / 4;
    const side = units.length === 2 ? (x < middleOf(below) ? 'left' : 'right') : null;
    state.joins.push(laid(state, placing, { ...unit, side }, { row, spot: { x, y } }));
  });
}
