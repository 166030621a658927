import { roundCount } from '../fabric/fabric';
import { stitchAtAzimuth, stitchAzimuth, turn, wrapAngle } from '../shape/azimuth';
import { direction } from '../place/frame/direction';
import { clockwise, flatStance, headingToFront, liesUpWall, turnOf, turnSaid } from './facing';
import { laidFlat, type Spot } from './flat';
import { footprintOf, isFootprint, type Edge, type Footprint, type Held, type Laid } from './footprint';
import {
  blankJoin,
  hasOwnFront,
  kindOfHeld,
  type Join,
  type JoinPart,
  type PinnedStitch,
  type Unit,
} from './joined';
import type { Joining } from './joining';
import { inRound, labelOf, roundAt, rowsCovered, withNumbers } from './numbers';
import { heldOf, isStrand, sewnEdgeOf, type Placing } from './placing';
import { problem } from './problem';
import { pinsAbout, pinsAround, pinsOfLine } from './pins';
import { coversOf, sewingPath, type Covers, type SewnStitch } from './sewing';
import { snapOne, snapPair } from './snap';
import { rightward, type Around } from './spot';
import { alongAt, inSpace, type Wall } from './wall';

/**
 * Which way the edge is turned: the front of what is joined looks to the front of the toy; in the middle of the front or back, where
 * that is straight up from the wall, it looks up. Around the very start or end of the wall every way is down its sides: the front looks
 * down the front. A flat edge lies along its round, or up and down where it is said to reach over several.
 */
function headingOf(state: Joining, placing: Placing, held: Held, { centre: spot, front }: Spot): number {
  const { wall, sentence } = placing;
  const up = wall.orientation.start === 'top' ? Math.PI : 0;
  if (held !== 'round') {
    return liesUpWall(sentence) ? up : (rightward(wall) * Math.PI) / 2;
  }
  const facing = headingToFront(wall, spot, front);
  const { count } = sewnEdgeOf(placing);
  const frontStitch = frontStitchOf(state, placing);
  return facing - (senseOf(placing) * turn * (frontStitch - 1)) / Math.max(1, count);
}

/** The same, turned as its sentence says, and by how much of that; null where it is not known which way round. */
function turnedHeading(
  state: Joining,
  placing: Placing,
  held: Held,
  spot: Spot,
): { heading: number; turned: number } | null {
  const { wall, sentence, units } = placing;
  const heading = headingOf(state, placing, held, spot);
  const said = turnSaid(sentence, held === 'round');
  if (!said) return { heading, turned: 0 };
  const isRight = wrapAngle(spot.centre.azimuth - spot.front) * rightward(wall) > 0;
  const by = turnOf(wall, said, {
    ...spot,
    heading: held === 'round' ? headingToFront(wall, spot.centre, spot.front) : heading,
    count: sewnEdgeOf(placing).count,
    isMirrored: units.length > 1 && isRight,
  });
  return by === null ? null : { heading: heading + by, turned: (by * clockwise(wall) * 180) / Math.PI };
}

/** The stitch of the sewn edge that the front line of the piece passes. */
function frontStitchOf(state: Joining, placing: Placing): number {
  const { piece } = placing;
  const { round } = sewnEdgeOf(placing);
  return stitchAtAzimuth(piece.fabric, piece.starts, round, state.facing(piece, round));
}

/**
 * Where a piece is folded that is held flat: the stitch of its edge, from 0, that its line begins with. With a front of its own, that is
 * in the middle of the layer in front; else it is folded at the start of its round, and faces forward with the middle of a layer.
 */
function foldedAt({ piece, wall, sentence }: Placing, spot: Spot): { first: number; facing: number | null } {
  const { round, count } = sewnEdgeOf({ piece, sentence });
  const { hand, side } = piece.orientation;
  const across = Math.max(1, Math.floor(count / 2));
  const { isReversed } = flatStance(wall, spot.centre, spot.front, sentence);
  const runsRight = direction({ hand, side, start: 'top' }) === 1;
  const isFirstInFront = runsRight !== isReversed;
  const middle = (across - 1) / 2 + (isFirstInFront ? 0 : across);
  if (!hasOwnFront(piece))
    return { first: 0, facing: stitchAzimuth(piece.fabric, piece.starts, round, middle + 1) };
  const front = stitchAtAzimuth(piece.fabric, piece.starts, round, piece.front) - 1;
  return { first: Math.round(front - middle - 1e-9), facing: null };
}

/** What is held open as a ring. */
const notFolded = { first: 0, facing: null };

/** Seen from outside, an edge that is worked the same way as its wall goes on in the same sense as the wall's headings. */
function senseOf(placing: Placing): 1 | -1 {
  const { wall, piece } = placing;
  const isAlike = wall.orientation.side === piece.orientation.side;
  // Around its start a piece is looked at from the other end.
  const isTurned = sewnEdgeOf(placing).closed === 'start';
  return isAlike === isTurned ? -1 : 1;
}

/** Where the middles come to on whole and half stitches of their round. */
function snapped(wall: JoinPart, row: number, { azimuths, paired }: Around, front: number): number[] {
  const round = Math.max(1, Math.min(wall.fabric.rounds, Math.round(row)));
  const { fabric, starts } = wall;
  const count = roundCount(fabric, round);
  const frontStitch = stitchAtAzimuth(fabric, starts, round, front);
  const wanted = azimuths.map((azimuth) => frontStitch + (wrapAngle(azimuth - front) / turn) * count);
  const [first, second] = wanted;
  if (!paired || first === undefined || second === undefined) return wanted.map(snapOne);
  const { left, right } = snapPair(first, second, frontStitch);
  return [left, right];
}

/** Joins units by their edges onto a wall, about a row of it. */
export function joinOnWall(state: Joining, placing: Placing, row: number, front: number): void {
  const { sentence, piece, wall, units } = placing;
  const isPole = row < 0.5 || row > wall.fabric.rounds + 0.5;
  // Around the very start or end every direction is alike.
  const around = isPole
    ? { azimuths: [front], paired: false, assumed: null }
    : state.around(placing, row, front);
  const facts = { piece: piece.part.name, wall: wall.part.name, count: units.length };
  if (!around) {
    units.forEach((unit) =>
      state.joins.push({
        ...blankJoin('open-on-wall', unit, wall, sentence),
        ...roundAt(wall, row),
        problems: [problem(piece, 'join-around', facts, { sentence })],
      }),
    );
    return;
  }
  const surface = state.wall(wall);
  const along = isPole ? (row < 0.5 ? 0 : (surface.along.at(-1) ?? 0)) : alongAt(surface, row);
  const stitches = isPole ? [] : snapped(wall, row, around, front);
  const { between } = sentence.place;
  const isApart = between !== undefined && /\bapart\b/i.test(sentence.text);
  const readings = isApart
    ? [problem(piece, 'join-apart', { ...facts, between }, { severity: 'info', sentence })]
    : [];
  const where = placing.isOnTop ? 'top' : around.assumed;
  const assumed = where
    ? [problem(piece, 'join-assumed', { ...facts, where }, { severity: 'info', sentence })]
    : [];
  units.forEach((unit, i) => {
    const wanted = around.azimuths[i] ?? front;
    const stitch = stitches[i] ?? null;
    const round = Math.max(1, Math.min(wall.fabric.rounds, Math.round(row)));
    const azimuth =
      stitch === null
        ? wanted
        : wanted + wrapAngle(stitchAzimuth(wall.fabric, wall.starts, round, stitch) - wanted);
    const centre = { along, azimuth };
    const [x, y, z] = inSpace(surface, centre);
    const [a, b, c] = inSpace(surface, { along, azimuth: wanted });
    const join: Join = {
      ...laidOn(state, placing, unit, { centre, front }),
      ...(isPole ? null : roundAt(wall, row)),
      stitch: stitch === null ? null : inRound(stitch, roundCount(wall.fabric, round)),
      called: placing.side ?? placing.sides?.[i] ?? null,
      missMm: Math.hypot(a - x, b - y, c - z),
      centre,
    };
    state.joins.push({
      ...join,
      problems: [...join.problems, ...(i === 0 ? [...readings, ...assumed] : [])],
    });
  });
}

/** A unit's edge laid onto the wall about a place. */
function laidOn(state: Joining, placing: Placing, unit: Unit, spot: Spot): Join {
  const { centre, front } = spot;
  const { sentence, piece, wall } = placing;
  const surface = state.wall(wall);
  const edgeRound = sewnEdgeOf(placing);
  const isClosed = edgeRound.closed !== null;
  const held = heldOf(placing);
  const through = isClosed ? labelOf(piece, edgeRound.round) : null;
  const facts = { piece: unit.name, wall: wall.part.name, count: edgeRound.count };
  const blank = blankJoin(
    isClosed && held === 'round' ? 'closed-on-wall' : kindOfHeld[held],
    unit,
    wall,
    sentence,
  );
  const told =
    through === null
      ? []
      : [problem(piece, 'join-closed', { ...facts, through }, { severity: 'info', sentence })];
  const bare: Join = { ...blank, through, problems: told };
  if (sentence.way?.kind === 'hung') {
    const { threadMm } = sentence.way;
    const hung = problem(piece, 'join-hung', { ...facts, threadMm }, { severity: 'info', sentence });
    return { ...blank, kind: 'hung', problems: [hung] };
  }
  if (isStrand(piece) && !sentence.sewnBy)
    return {
      ...blank,
      kind: 'by-end',
      problems: [problem(piece, 'join-strand', facts, { severity: 'info', sentence })],
    };
  if (piece.fabric.row[0] === 1) return laidFlat(surface, placing, unit, spot);
  const { first, facing } = held === 'round' ? notFolded : foldedAt(placing, spot);
  const stance = turnedHeading(state, placing, held, spot);
  if (!stance) return { ...bare, problems: [problem(piece, 'join-turn', facts, { sentence })] };
  const edge: Edge = { count: edgeRound.count, stitchMm: piece.gauge.widthMm, held, first };
  const laid: Laid = { centre, heading: stance.heading, sense: senseOf(placing) };
  const found = footprintOf(surface, edge, laid);
  if (!isFootprint(found)) {
    const code = found.why === 'wider-than-wall' ? 'limb-wider-than-wall' : 'join-over-edge';
    return { ...bare, problems: [problem(piece, code, facts, { severity: 'error', sentence })] };
  }
  const path = sewingPath(surface, found, held === 'round');
  const pins = pinsOn({ wall, front, surface }, edge, { found, laid, path });
  const covers = coversOf(surface, found, centre);
  return {
    ...bare,
    covers: { ...rowsCovered(wall, covers.rows), stitches: lineCovers(pins, covers) ?? covers.stitches },
    path: withNumbers(wall, path),
    pins: withNumbers(wall, pins),
    facing,
    turned: stance.turned,
  };
}

/** The first and last stitch that a flat edge is sewn to where it lies along one round; null for any other. */
function lineCovers(
  pins: readonly PinnedStitch[],
  { rows: [first, last] }: Covers,
): Covers['stitches'] | null {
  const isLine = pins.some(({ at }) => at === 'middle');
  const [from, to] = [pins.find(({ at }) => at === 'falling'), pins.find(({ at }) => at === 'rising')];
  return isLine && from && to && first === last ? [from.stitch, to.stitch] : null;
}

/** The pins of an edge on its wall. About the very start or end it goes all the way round. */
function pinsOn(
  { wall, front, surface }: { wall: JoinPart; front: number; surface: Wall },
  { held }: Edge,
  { found, laid, path }: { found: Footprint; laid: Laid; path: readonly SewnStitch[] },
): PinnedStitch[] {
  const { along } = laid.centre;
  const isAtEnd = along <= 0 || along >= (surface.along.at(-1) ?? 0);
  if (isAtEnd && held === 'round') return pinsAround(wall, path, front);
  const radiusMm = inSpace(surface, laid.centre)
    .slice(0, 2)
    .reduce((far, off) => Math.hypot(far, off), 0);
  return held === 'round' ? pinsAbout(found, path, laid) : pinsOfLine(found, path, laid, radiusMm);
}
