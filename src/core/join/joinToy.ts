import { roundCount } from '../fabric/fabric';
import type { ProblemCode } from '../words/problems/codes';
import { turn } from '../shape/azimuth';
import { joinEdges, turnings } from './byEdges';
import { withClashes } from './clashes';
import { blankJoin, type Join, type JoinedToy, type JoinPart, type Unit } from './joined';
import { Joining } from './joining';
import { withMirrored } from './mirrored';
import { named } from './naming';
import { goesOnFlat, joinOnFlat } from './onFlat';
import { joinOnWall } from './onWall';
import { flatPiece, isInRows } from './outline';
import {
  endOf,
  headOnTop,
  heldOf,
  isEdgeToEdge,
  isStrand,
  placingsOf,
  sewnEdgeOf,
  trunkOf,
  turnedRound,
  Units,
  type Placing,
} from './placing';
import { byPoint, rowByPoint } from './pointed';
import { problem } from './problem';
import { isRow, rowOf, type NoRow } from './spot';
import { withStances } from './stance';
import { joinStrung } from './strung';
import { joinFitted } from './fitted';
import { joinThrough } from './through';
import { workedOnJoins } from './workedOn';
import { joinWithoutSewing } from './withoutSewing';
import { joinAsWritten } from './writtenRound';

/** A part that another grows out of, or that grows out of another, is joined by the work itself. */
export function isWorkedOn({ part }: JoinPart): boolean {
  return part.carries !== undefined || part.onto !== undefined || part.grown !== undefined;
}

/** Rows that one edge covers on either side of its middle, about. */
function reachOf(placing: Placing): number {
  const { piece, wall, sentence } = placing;
  const isByRow = sentence.sewnBy === 'first row' || sentence.sewnBy === 'last row';
  if (isInRows(piece) && !isStrand(piece))
    return isByRow ? 0 : flatPiece(piece).heightMm / 2 / wall.gauge.heightMm;
  if (heldOf(placing) !== 'round') return 0;
  return (sewnEdgeOf(placing).count * piece.gauge.widthMm) / turn / wall.gauge.heightMm;
}

/** The rows of a wall that are said by themselves: a wall without a face has its front opposite the starts of those. */
function rowsSaid(placings: readonly Placing[], wall: JoinPart): number[] {
  const rows = placings
    .filter((placing) => placing.wall === wall)
    .map(({ sentence }) => rowOf(wall, sentence, () => null, 0));
  return rows.filter(isRow);
}

/** Whatever is worked into the same round of a wall without sewing is worked in together. */
function sameRound(placings: readonly Placing[], { wall }: Placing, row: number): Placing[] {
  return placings.filter(
    ({ sentence, wall: other }) =>
      sentence.kind === 'nosew' && other === wall && rowOf(other, sentence, () => null, 0) === row,
  );
}

/** Whether a sentence says where around, in a way that is the same whichever way the wall lies. */
function saysAroundLying({ sentence, units, stitches }: Placing): boolean {
  const { back, sides, place } = sentence;
  const said = stitches ?? sentence.stitches;
  if (said) return said.length === units.length;
  const { front, around, evenly } = place;
  const isUpOrDown = around === 'top' || around === 'bottom';
  if (units.length === 1) return back === true || front === true || sides === 'middle' || isUpOrDown;
  // So many stitches from the front may be meant above and below it, or to both ends: that is asked.
  return evenly === true;
}

/**
 * Whether a sentence can be followed on a wall that lies on its side: it says the round, and where around by stitches, by the front or the
 * back, evenly, on top or underneath.
 */
function isSaidLying(placing: Placing): boolean {
  const { sentence, isOnTop } = placing;
  const { round, gap, range, relation, countFrom, place, way, kind } = sentence;
  const { front: _front, around: _around, evenly: _evenly, ...goesBy } = place;
  const isPlain = relation === undefined && countFrom === undefined && way === undefined && !isOnTop;
  const isRowSaid = round !== undefined || gap !== undefined || range !== undefined;
  const hasRow = isRowSaid && Object.keys(goesBy).length === 0;
  const isSewn = kind !== 'nosew' && heldOf(placing) === 'round';
  return isPlain && hasRow && saysAroundLying(placing) && isSewn;
}

/** The one of two pieces that lies on its side where it is joined, or is flat; null where neither does, or it makes no difference. */
function acrossOf(placing: Placing): JoinPart | null {
  const { piece, wall } = placing;
  if (wall.fabric.row[0] === 1) return goesOnFlat(placing) ? null : wall;
  if (wall.orientation.lying && !isSaidLying(placing)) return wall;
  // A closed piece that lies touches with its side, not with its end.
  return piece.orientation.lying && !endOf(piece).open ? piece : null;
}

/** Whether it goes in line with another part that is not placed yet and will be. */
function waitsInLine(state: Joining, { wall, sentence }: Placing, waiting: readonly Placing[]): boolean {
  const { inLineWith } = sentence.place;
  if (!inLineWith || state.neighbour(wall, inLineWith.id) !== null) return false;
  return waiting.some(({ piece }) => piece.part.id === inLineWith.id);
}

/** Joins what can be joined now; what waits for the place of another part comes back. */
function joinReady(state: Joining, waiting: readonly Placing[], all: readonly Placing[]): Placing[] {
  return waiting.filter((placing) => {
    const { wall, sentence } = placing;
    // Where left and right are along the part, rounds and stitches change their parts: not worked out yet, and said.
    const across = acrossOf(placing);
    if (across) {
      unplaced(state, placing, { why: 'unworked', what: across.part.name });
      return false;
    }
    const isByPoint = sentence.place.point !== undefined && wall.fabric.row[0] !== 1;
    const row = isByPoint
      ? rowByPoint(state.wall(wall), placing)
      : rowOf(wall, sentence, (id) => state.neighbour(wall, id), reachOf(placing));
    if (typeof row !== 'number') {
      if (row.why === 'waits') return true;
      unplaced(state, placing, row);
      return false;
    }
    if (wall.fabric.row[0] === 1) {
      joinOnFlat(state, placing, row);
      return false;
    }
    if (waitsInLine(state, placing, waiting)) return true;
    const isPole = row < 0.5 || row > wall.fabric.rounds + 0.5;
    if (isPole && placing.units.length > 1) {
      unplaced(state, placing, { why: 'unsaid', what: '' });
      return false;
    }
    const said = rowsSaid(all, wall);
    const front = state.frontOf(wall, said.length > 0 ? said : [row]);
    if (sentence.way?.kind === 'through') joinThrough(state, placing, row, front);
    else if (sentence.kind !== 'nosew') joinOnWall(state, placing, row, front);
    else {
      const together = sameRound(all, placing, row);
      // One that goes by another part has a row only now, and is worked in by itself.
      const isAlone = !together.includes(placing);
      if (isAlone) joinWithoutSewing(state, [placing], row, front);
      else if (together[0] === placing) joinWithoutSewing(state, together, row, front);
    }
    return false;
  });
}

/** Why it is not known where a unit goes. */
type Unplaced = Omit<NoRow, 'why'> & { why: NoRow['why'] | 'unworked' | 'point' };

/** A unit of which it is not known where it goes. */
function unplaced(state: Joining, placing: Placing, { why, what, mayBeTurned }: Unplaced): void {
  const { sentence, piece, wall, units } = placing;
  const codes: Record<Unplaced['why'], ProblemCode> = {
    unsaid: 'join-where',
    missing: 'join-row-missing',
    waits: 'join-waits',
    unworked: 'join-unworked',
    point: 'join-point',
  };
  const facts = { piece: piece.part.name, wall: wall.part.name, what };
  const severity = why === 'unworked' ? 'info' : 'warning';
  units.forEach((unit, i) => {
    const said = problem(piece, codes[why], facts, { severity, sentence });
    const told = mayBeTurned ? { ...said, suggestions: turnings(wall).slice(0, 1) } : said;
    const problems = i === 0 ? [told] : [];
    state.joins.push({ ...blankJoin('open-on-wall', unit, wall, sentence), problems });
  });
}

/** The part that is joined to nothing and that the others hang on: what the trunk is joined to, else the trunk. */
function rootOf(parts: readonly JoinPart[], joins: readonly Join[]): JoinPart | undefined {
  let root = trunkOf(parts);
  const seen = new Set<JoinPart>();
  while (root && !seen.has(root)) {
    seen.add(root);
    const { id } = root.part;
    const hangsOn = joins.find(({ unit }) => unit.part === id)?.on.part;
    const next = parts.find(({ part }) => part.id === hangsOn);
    if (!next) break;
    root = next;
  }
  return root;
}

/** Edge to edge, over or into an end, and all that has a place on a wall. */
function byWay(placings: readonly Placing[]) {
  // Into what ends closed nothing goes: it is put on, as `insert the arms in the body` may mean.
  const fits = ({ sentence: { way }, wall }: Placing) =>
    way?.kind === 'over' || (way?.kind === 'into' && endOf(wall).open);
  const edges = placings.filter(isEdgeToEdge);
  const fitted = placings.filter(fits);
  const others = new Set([...edges, ...fitted]);
  return { edges, fitted, walls: placings.filter((placing) => !others.has(placing)) };
}

/** Where walls face forward that have things joined to rounds that are said: their own edges, where they are joined, go by the same. */
function settleFronts(state: Joining, placings: readonly Placing[]): void {
  for (const wall of new Set(placings.map((placing) => placing.wall))) {
    const said = rowsSaid(placings, wall);
    if (said.length > 0) state.frontOf(wall, said);
  }
}

/**
 * Joins a toy: every sentence that brings parts together, resolved to rounds and stitches of the walls as they are now. What waits for
 * the place of another part comes after it; what can't be worked out is said, and the rest is joined.
 *
 * @param parts all parts of the toy, in the order of the text
 */
export function joinToy(parts: readonly JoinPart[]): JoinedToy {
  const joined = joinOnce(parts, new Map());
  // Where a part faces may only be known once what goes by its edge is placed: then its edge is turned to it.
  const isKnownNow = [...joined.facings.keys()].some((id) => joined.fronts.has(id));
  return isKnownNow ? joinOnce(parts, joined.fronts) : joined;
}

function joinOnce(parts: readonly JoinPart[], fronts: JoinedToy['fronts']): JoinedToy {
  const state = new Joining(parts, fronts);
  const units = new Units();
  joinAsWritten(state, units);
  joinStrung(state, units);
  const placings = placingsOf(parts, units, state.problems).map(turnedRound).map(byPoint);
  const ways = byWay(placings);
  const onWalls = ways.walls.map(headOnTop);
  settleFronts(state, onWalls);
  for (const placing of ways.edges) joinEdges(state, placing);
  for (const placing of ways.fitted) {
    const flat = [placing.piece, placing.wall].find(({ fabric }) => fabric.row[0] === 1);
    if (flat) unplaced(state, placing, { why: 'unworked', what: flat.part.name });
    else joinFitted(state, placing);
  }
  let waiting: Placing[] = onWalls;
  for (let before = Infinity; waiting.length > 0 && waiting.length < before;) {
    before = waiting.length;
    waiting = joinReady(state, waiting, onWalls);
  }
  for (const placing of waiting) {
    const { ofPart, inLineWith } = placing.sentence.place;
    unplaced(state, placing, { why: 'waits', what: ofPart?.part.name ?? inLineWith?.name ?? '' });
  }
  const inText = ({ unit }: Join) => parts.findIndex(({ part }) => part.id === unit.part);
  const joins = named(parts, state.joins, state.fronts).sort(
    (a, b) => inText(a) - inText(b) || a.unit.unit - b.unit.unit,
  );
  const root = rootOf(parts, joins);
  const others = parts.filter((part) => part !== root && !isWorkedOn(part) && roundCount(part.fabric, 1) > 0);
  const isJoined = ({ part, unit }: Unit) =>
    joins.some((join) => join.unit.part === part && join.unit.unit === unit);
  return {
    units: joins.map(({ unit }) => unit),
    joins: withMirrored(withStances(withClashes(parts, joins), parts), parts, state),
    workedOn: workedOnJoins(parts),
    loose: others.flatMap((part) => units.rest(part)).filter((unit) => !isJoined(unit)),
    fronts: state.fronts,
    facings: state.facings,
    problems: state.problems,
  };
}
