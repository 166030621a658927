import { wrapAngle } from '../shape/azimuth';
import { clockwise, flatStance, headingUp, liesUpWall, turnOf, turnSaid } from './facing';
import {
  footprintOf,
  isFootprint,
  outlineFootprint,
  type Edge,
  type Footprint,
  type NoFootprint,
} from './footprint';
import { blankJoin, type Join, type PinnedStitch, type Unit } from './joined';
import { labelOf, rowsCovered, withNumbers } from './numbers';
import { isInRows, outlineOf, rowEdge } from './outline';
import { pinsAbout, pinsOfLine } from './pins';
import type { Placing } from './placing';
import { problem } from './problem';
import { coversOf, outlinePath, sewingPath, type Covers, type SewnStitch } from './sewing';
import { rightward } from './spot';
import { radiusAt, type Wall, type WallPoint } from './wall';

/** A place on a wall, and the azimuth of the wall's front line. */
export interface Spot {
  centre: WallPoint;
  front: number;
}

/** What usually hangs or stands free, sewn by one edge. */
const usuallyFree =
  /\b(?:ears?|wings?|fins?|flippers?|arms?|legs?|feet|foot|paws?|tails?|mane|hair|fringe|capes?|cloak|scarf|scarves|collars?|combs?|crests?|beaks?|bills?|tongues?|leaf|leaves|petals?|tentacles?|straps?|handles?|ribbons?|flags?|skirts?|aprons?)\b/i;

/** What of a flat piece is sewn: as its sentence says, or all round where that is usual; null where it is not known. */
function sewnByOf({ sentence, piece }: Placing): 'outline' | 'first row' | 'last row' | null {
  return sentence.sewnBy ?? (usuallyFree.test(piece.part.name) ? null : 'outline');
}

/** What is laid, with the way the needle goes. */
interface LaidFlat {
  found: Footprint;
  path: SewnStitch[];
  pins: PinnedStitch[];
}

/** How far a flat piece is turned from upright, or its line from along the round, in radians of rising headings; null where not known. */
function turnedBy(
  { sentence, wall, units }: Placing,
  { centre, front }: Spot,
  heading: number,
): number | null {
  const said = turnSaid(sentence, false);
  const isRight = wrapAngle(centre.azimuth - front) * rightward(wall) > 0;
  const isMirrored = units.length > 1 && isRight;
  return said ? turnOf(wall, said, { centre, front, heading, count: 0, isMirrored }) : 0;
}

/** Its whole outline sewn down, the middle of the piece on the place. */
function laidByOutline(
  surface: Wall,
  { piece, wall }: Placing,
  { centre }: Spot,
  turned: number,
): LaidFlat | NoFootprint {
  const up = headingUp(wall) + turned;
  const found = outlineFootprint(surface, outlineOf(piece), { centre, up, clockwise: clockwise(wall) });
  if (!isFootprint(found)) return found;
  const path = outlinePath(surface, found);
  return { found, path, pins: pinsAbout(found, path, { centre, heading: up, sense: 1 }) };
}

/** Which way the line of an edge lies that is sewn by itself: to the right along its round, or up over several. */
const headingOfLine = ({ wall, sentence }: Placing): number =>
  liesUpWall(sentence) ? headingUp(wall) : (rightward(wall) * Math.PI) / 2;

/** One of its rows sewn along a line, the rest of it free. */
function laidByRow(
  surface: Wall,
  placing: Placing,
  { centre, front }: Spot,
  { by, turned }: { by: 'first row' | 'last row'; turned: number },
): LaidFlat | NoFootprint {
  const { piece, wall, sentence } = placing;
  const { runsRight, count } = rowEdge(piece, by);
  const { isReversed } = flatStance(wall, centre, front, sentence);
  // One layer, where what is flattened has two.
  const edge: Edge = { count: 2 * count, stitchMm: piece.gauge.widthMm, held: 'flattened' };
  const heading = headingOfLine(placing) + turned;
  const line = footprintOf(surface, edge, { centre, heading, sense: 1 });
  if (!isFootprint(line)) return line;
  const points = line.points.slice(0, count);
  const found = { ...line, points: runsRight !== isReversed ? points : points.reverse() };
  const path = sewingPath(surface, found, false);
  const radiusMm = radiusAt(surface, centre.along);
  return { found, path, pins: pinsOfLine(found, path, { centre, heading, sense: 1 }, radiusMm) };
}

/** What is covered, by the stitches that are sewn to: rows half way between two, and ends of rows, fall to one side. */
function coveredBy({ path, pins }: LaidFlat, { rows, stitches }: Covers): Covers {
  const sewn = path.map(({ row }) => row);
  const [from, to] = [pins.find(({ at }) => at === 'falling'), pins.find(({ at }) => at === 'rising')];
  return {
    rows: sewn.length > 0 ? [Math.min(...sewn), Math.max(...sewn)] : rows,
    stitches: from && to ? [from.stitch, to.stitch] : stitches,
  };
}

/** A flat piece laid onto a wall about a place: sewn down around its outline, or by one of its rows. */
export function laidFlat(surface: Wall, placing: Placing, unit: Unit, spot: Spot): Join {
  const { piece, wall, sentence } = placing;
  const by = sewnByOf(placing);
  const kind = by === 'first row' || by === 'last row' ? 'by-row' : 'outline';
  const blank = blankJoin(kind, unit, wall, sentence);
  const facts = { piece: unit.name, wall: wall.part.name };
  const failing = (code: 'join-turn' | 'join-over-edge' | 'join-flat-how'): Join => ({
    ...blank,
    problems: [problem(piece, code, facts, { sentence })],
  });
  if (!isInRows(piece)) {
    const told = problem(piece, 'join-flat', { ...facts, sewn: null }, { severity: 'info', sentence });
    return { ...blank, problems: [told] };
  }
  if (by === null) return failing('join-flat-how');
  const turned = turnedBy(placing, spot, kind === 'outline' ? headingUp(wall) : headingOfLine(placing));
  if (turned === null) return failing('join-turn');
  const laid =
    by === 'outline'
      ? laidByOutline(surface, placing, spot, turned)
      : laidByRow(surface, placing, spot, { by, turned });
  if ('why' in laid) {
    if (laid.why === 'over-edge') return failing('join-over-edge');
    const wide = { ...facts, count: outlineOf(piece).length };
    return {
      ...blank,
      problems: [problem(piece, 'limb-wider-than-wall', wide, { severity: 'error', sentence })],
    };
  }
  const { found, path, pins } = laid;
  const covers = coveredBy(laid, coversOf(surface, found, spot.centre));
  const upper = piece.orientation.start === 'top' ? 1 : piece.fabric.rounds;
  const sewn = { by, count: path.length, upper: labelOf(piece, upper) };
  return {
    ...blank,
    covers: { ...rowsCovered(wall, covers.rows), stitches: covers.stitches },
    path: withNumbers(wall, path),
    pins: withNumbers(wall, pins),
    turned: (turned * clockwise(wall) * 180) / Math.PI,
    problems: [problem(piece, 'join-flat', { ...facts, sewn }, { severity: 'info', sentence })],
  };
}
