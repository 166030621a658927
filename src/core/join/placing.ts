import pluralize from 'pluralize';
import { roundCount } from '../fabric/fabric';
import { lastEdgeOf } from '../fabric/lastEdge';
import type { Problem } from '../notation/problem';
import { isJoin, isOfTheOther, type Joined } from '../notation/sentence/join';
import type { NamedUnits } from '../notation/sentence/names';
import type { Held } from './footprint';
import type { AnyJoin, JoinPart, Side, Unit } from './joined';
import { flatPiece, isInRows } from './outline';
import { problem } from './problem';

/** Units of one part that one sentence joins to one wall. */
export interface Placing {
  sentence: AnyJoin;
  piece: JoinPart;
  wall: JoinPart;
  units: Unit[];
  /** which of the stitches a sentence names are theirs */
  stitches: number[] | null;
  /** on which side the text says each of them is */
  sides: readonly Side[] | null;
  side: Side | null;
  /** nothing says where it goes: a head, which sits on top */
  isOnTop?: true;
}

/** An end of a part that can be joined. */
export interface End {
  open: boolean;
  count: number;
}

/** How the work of a part ends: with an open edge, or drawn together. */
export function endOf({ part, fabric }: JoinPart): End {
  const { rounds } = fabric;
  const count = roundCount(fabric, rounds);
  const open = lastEdgeOf(part, fabric) !== 'gathered' && part.carries === undefined;
  // A stitch of a round that was worked through both layers holds two of the edge.
  return { open, count: fabric.folded === rounds ? 2 * count : count };
}

/** What of a piece lies on the wall and is sewn: its open edge, or a round that goes around its closed end. */
export interface SewnEdge {
  /** index of the round that is sewn through, from 1 */
  round: number;
  count: number;
  /** null for an open edge; else the end that is drawn together */
  closed: 'start' | 'end' | null;
}

/**
 * Of a closed end the round nearest to it that has half as many stitches as the widest: pressed onto a wall the end lies flat about so far.
 * A convention of ours; a maker may take another round. It is the end of the work, but for what stands on a top or hangs from a bottom
 * with its start.
 */
export function sewnEdgeOf({ piece, sentence }: Pick<Placing, 'piece' | 'sentence'>): SewnEdge {
  const { fabric, orientation } = piece;
  const { open, count } = endOf(piece);
  if (open) return { round: fabric.rounds, count, closed: null };
  const { around } = sentence.place;
  const touching = around === 'top' ? 'bottom' : around === 'bottom' ? 'top' : null;
  const closed = touching === orientation.start && fabric.start === 'ring' ? 'start' : 'end';
  const counts = Array.from({ length: fabric.rounds }, (_, i) => roundCount(fabric, i + 1));
  const half = Math.max(...counts) / 2;
  const isWide = (stitches: number) => stitches >= half;
  const round = (closed === 'start' ? counts.findIndex(isWide) : counts.findLastIndex(isWide)) + 1;
  return { round, count: counts[round - 1] ?? count, closed };
}

/** A piece of so few rows is a strand where it is so many times longer than that: feelers, tails, tentacles. */
const strandRows = 2;
const strandLength = 2;

/** Whether a piece is a strand, which is fastened by one end and not sewn down. */
export function isStrand({ fabric }: JoinPart): boolean {
  const { rounds } = fabric;
  return fabric.row[0] === 1 && rounds <= strandRows && roundCount(fabric, 1) >= strandLength * rounds;
}

/** How the edge is held: as the sentence says, as a sentence about folding says, else open. */
export function heldOf({ sentence, piece }: Placing): Held {
  if (sentence.edge === 'flattened' || sentence.edge === 'pinched') return sentence.edge;
  if (sentence.edge === 'open') return 'round';
  const fold = piece.part.steps.find((step) => step.kind === 'fold');
  if (fold?.kind === 'fold') return fold.how === 'pinched' ? 'pinched' : 'flattened';
  return lastEdgeOf(piece.part, piece.fabric) === 'shut flat' ? 'flattened' : 'round';
}

/** Of a piece, not of its front line: `4 stitches each side of the front` says how far. */
const toEachSide =
  /\b(?:to|on|onto|at)\s+each\s+side\b(?!\s+of\s+(?:the\s+|its\s+)?(?:front|centre|center|middle|face|eyes?|nose)\b)/i;

/** What the text calls the units it places: all by one side, or of two that have stitches of their own each by its own. */
function sidesCalled(
  { side, count }: NamedUnits,
  { stitchSides }: AnyJoin,
  placed: number,
  byStitches: boolean,
): Pick<Placing, 'side' | 'sides'> {
  // `The left arm at stitch 19, the other at stitch 6`: of two that go by the name of one it is not both their side.
  const isOfOne = count === 1 && placed === 2;
  const isPair = byStitches && placed === 2;
  if (isPair && stitchSides) return { side: null, sides: stitchSides };
  if (!isOfOne || side === null) return { side, sides: null };
  const sides = side === 'left' ? (['left', 'right'] as const) : (['right', 'left'] as const);
  return { side: null, sides: byStitches ? sides : null };
}

/** How many units of a part a sentence places: a bare plural means all of them, `one on each side` two. */
function unitsMeant(
  { count }: NamedUnits,
  { part }: JoinPart,
  { sides, text, way, joined }: AnyJoin,
): number {
  const isOneEach = !way && joined.length <= 1 && (sides === 'both' || isOfTheOther.test(text));
  if (isOneEach && count === 1 && part.make > 1) return 2;
  // `Two flippers to each side`: so many on the left and as many on the right.
  const isSeveralEach = typeof count === 'number' && count > 1 && toEachSide.test(text);
  if (isSeveralEach && part.make >= 2 * count) return 2 * count;
  return count === 'all' || (count === null && part.make > 1) ? part.make : (count ?? 1);
}

/** How many stitches of its wall a unit is wide: the way across its ring, or the line it is flattened to. */
export function widthOn(placing: Placing): number {
  const { piece, wall, sentence } = placing;
  if (isStrand(piece)) return Math.round((piece.fabric.rounds * piece.gauge.heightMm) / wall.gauge.widthMm);
  if (isInRows(piece)) return Math.round(flatPiece(piece).widthMm / wall.gauge.widthMm);
  const { count } = endOf(piece);
  const held = sentence.kind === 'nosew' ? 'flattened' : heldOf(placing);
  const across = held === 'round' ? count / Math.PI : Math.floor(count / 2) / (held === 'pinched' ? 2 : 1);
  return Math.round((across * piece.gauge.widthMm) / wall.gauge.widthMm);
}

/** How many stitches of a round a piece takes that is worked in: both layers of it at once, held flat, or a flat piece as it is. */
export function nosewWidth(piece: JoinPart): number {
  const { count } = endOf(piece);
  const isFlat = piece.fabric.row[0] === 1;
  return Math.max(1, isFlat ? count : Math.floor(count / 2));
}

/** Hands out the units of parts in order, and names them once it is known where they are. */
export class Units {
  private readonly given = new Map<string, number>();

  take({ part }: JoinPart, count: number): Unit[] {
    const before = this.given.get(part.id) ?? 0;
    const units = Array.from({ length: Math.min(count, Math.max(0, part.make - before)) }, (_, i): Unit => ({
      part: part.id,
      unit: before + i + 1,
      name: pluralize.singular(part.name.toLowerCase()),
      side: null,
    }));
    this.given.set(part.id, before + units.length);
    return units;
  }

  rest(part: JoinPart): Unit[] {
    return this.take(part, part.part.make);
  }
}

/** Parts by the names a sentence gives them. */
type ById = (id: string) => JoinPart | undefined;

/** What the units that are named together are joined to, and who they are. */
interface Group {
  names: readonly NamedUnits[];
  wall: JoinPart | undefined;
}

/** What a sentence joins, group by group. One that names no wall goes where the one before it went, or onto the trunk. */
function groupsOf(sentence: AnyJoin, owner: JoinPart, byId: ById, trunk: JoinPart | undefined): Group[] {
  const { part } = owner;
  const joined: readonly Joined[] =
    sentence.joined.length > 0 ? sentence.joined : [{ parts: [], wall: null }];
  const own: NamedUnits = { id: part.id, name: part.name, count: null, side: null };
  let last: JoinPart | undefined;
  const [only, ...more] = joined;
  // `Sew head and body together`: the others onto the trunk among them.
  const among = more.length === 0 && only?.wall === null && only.parts.length > 1 && trunk;
  const rest = among ? only.parts.filter(({ id }) => id !== among.part.id) : [];
  if (among && rest.length < only.parts.length) return [{ names: rest, wall: among }];
  return joined.map(({ parts, wall }) => {
    last = (wall && byId(wall.id)) ?? last;
    return { names: parts.length > 0 ? parts : [own], wall: last };
  });
}

/** The part whose face a sentence goes by, where it names no wall: `1 round below the eyes`. */
function faceFor(
  { relation, level, place, text }: AnyJoin,
  parts: readonly JoinPart[],
): JoinPart | undefined {
  const goesBy = relation?.to ?? level ?? place.aside?.of;
  const has = (part: JoinPart) =>
    part.features.some(({ kind }) => kind === goesBy || (kind === 'eyes' && /\b(?:eyes|face)\b/i.test(text)));
  return parts.find(has);
}

const onHeads =
  /\b(?:ears?|muzzle|snout|horns?|antlers?|antennae?|beak|bill|nose|cheeks?|hair|hat|bonnet|comb|eyelids?|brows?|whiskers?)\b/i;

/** The head, where what usually sits on one is sewn to nothing that is named. */
function headFor({ part }: JoinPart, parts: readonly JoinPart[]): JoinPart | undefined {
  if (!onHeads.test(part.name)) return undefined;
  return parts.find(({ part: other, fabric }) => /\bhead\b/i.test(other.name) && fabric.rounds > 0);
}

/** Rounds a sentence names and nothing goes by: it may mean another part by them. `R12 and R4 respectively` is no range. */
function roundsUnused({ roundNumbers = [], gap, range, round, text }: AnyJoin): number[] {
  if (range && range[0] !== range[1] && /\brespectively\b/i.test(text)) return [...range];
  // Where two rounds say it, a third is for something else, unless it lies between them.
  const own = range ?? gap ?? (round === undefined ? [] : [round]);
  const [least, most] = [Math.min(...own), Math.max(...own)];
  return roundNumbers.flat().flatMap((one) => (one.round >= least && one.round <= most ? [] : [one.round]));
}

const namesNone = ({ joined }: AnyJoin): boolean => joined.every(({ parts }) => parts.length === 0);
const isOfAll = ({ text }: AnyJoin): boolean =>
  /\b(?:everything|all (?:the )?(?:parts|pieces)|(?:parts|pieces) together)\b/i.test(text);

/**
 * Sentences with what `them` and `it` mean. `Pin the ears to the head. Sew them on round 6` is one joining, told in two; where the first
 * has said where, the second says nothing new.
 */
function resumed(sentences: readonly AnyJoin[]): AnyJoin[] {
  const whole: AnyJoin[] = [];
  for (const sentence of sentences) {
    const before = whole.at(-1);
    const isResumed = before && namesNone(sentence) && /\b(?:them|it)\b/i.test(sentence.text);
    if (!isResumed) {
      whole.push(sentence);
      continue;
    }
    if (saysWhere(before) || namesNone(before)) {
      if (namesNone(before) && saysWhere(sentence) && !saysWhere(before)) whole[whole.length - 1] = sentence;
      continue;
    }
    const wall = sentence.joined.find((one) => one.wall !== null)?.wall;
    const joined = before.joined.map((one) => ({ ...one, wall: wall ?? one.wall }));
    if (saysWhere(sentence) || wall) whole[whole.length - 1] = { ...sentence, joined };
  }
  return whole;
}

/** Every sentence that joins, part by part. */
export function placingsOf(parts: readonly JoinPart[], units: Units, problems: Problem[]): Placing[] {
  const byId: ById = (id) => parts.find(({ part }) => part.id === id);
  const trunk = trunkOf(parts);
  const placings: Placing[] = [];
  const place = (sentence: AnyJoin, { names, wall }: Group, stitches: number[]) => {
    for (const name of names) {
      const piece = byId(name.id);
      if (!piece) continue;
      if (piece.fabric.rounds === 0) {
        problems.push(problem(piece, 'join-no-rounds', { piece: piece.part.name }, { sentence }));
        continue;
      }
      const said = wall ?? faceFor(sentence, parts);
      const head = said ? undefined : headFor(piece, parts);
      const onto = said ?? head ?? (trunk !== piece ? trunk : undefined);
      if (head) {
        const facts = { piece: piece.part.name, wall: head.part.name };
        problems.push(problem(piece, 'join-wall', facts, { severity: 'info', sentence }));
      }
      if (!onto || onto === piece || onto.fabric.rounds === 0) {
        problems.push(problem(piece, 'join-no-wall', { piece: piece.part.name }, { sentence }));
        continue;
      }
      const taken = units.take(piece, unitsMeant(name, piece, sentence));
      if (taken.length === 0) continue;
      const named = stitches.length >= taken.length ? stitches.splice(0, taken.length) : null;
      const sides = sidesCalled(name, sentence, taken.length, named !== null);
      placings.push({ sentence, piece, wall: onto, units: taken, stitches: named, ...sides });
    }
  };
  const said = parts.flatMap((owner) =>
    resumed(owner.part.steps.filter(isJoin).filter(({ way }) => way?.kind !== 'strung')).map((sentence) => ({
      owner,
      sentence,
    })),
  );
  // `Pin the ears. Sew the ears on round 6`: what says where comes before what does not.
  said.sort((a, b) => Number(saysWhere(b.sentence)) - Number(saysWhere(a.sentence)));
  for (const { owner, sentence } of said) {
    const { firstLine, lastLine } = owner.part;
    const isItsOwn = sentence.line >= firstLine && sentence.line <= lastLine;
    // Under a heading over all parts a sentence that names none is about none: `sew everything together`.
    if (namesNone(sentence) && (!isItsOwn || isOfAll(sentence))) {
      if (sentence.joined.some((one) => one.wall))
        problems.push(problem(owner, 'join-what', {}, { sentence }));
      continue;
    }
    const unused = roundsUnused(sentence);
    if (unused.length > 0) {
      problems.push(problem(owner, 'join-two-rounds', { rounds: unused }, { sentence }));
      continue;
    }
    const piece = sentence.joined[0]?.parts[0]?.name ?? owner.part.name;
    for (const words of sentence.unused ?? [])
      problems.push(problem(owner, 'words-unused', { of: 'join', words, piece }, { sentence }));
    const stitches = [...(sentence.stitches ?? [])];
    for (const group of groupsOf(sentence, owner, byId, trunk)) place(sentence, group, stitches);
  }
  return placings;
}

/** The part the others are joined to where a sentence names none: the body, else the largest. */
export function trunkOf(parts: readonly JoinPart[]): JoinPart | undefined {
  const worked = parts.filter(({ fabric }) => fabric.rounds > 0);
  const body = worked.find(({ part }) => /\bbody\b/i.test(part.name));
  const sizeOf = ({ fabric }: JoinPart) => fabric.kind.length;
  return body ?? [...worked].sort((a, b) => sizeOf(b) - sizeOf(a))[0];
}

/** Edges more unequal than this are not taken to be meant for each other. */
const mostUnequal = 2.2;

/** Whether a sentence says where on the wall. */
function saysWhere({ gap, range, round, relation, level, stitches, place }: AnyJoin): boolean {
  const said = [
    gap,
    range,
    round,
    relation,
    level,
    stitches,
    place.ofPart,
    place.outFrom,
    place.around,
    place.atEyes,
    place.beside,
    place.corners,
    place.point,
  ];
  return said.some((one) => one !== undefined);
}

/** `On top of the body`, and nothing else that says where. */
function isOnlyOnTop({ place, ...sentence }: AnyJoin): boolean {
  const { around, ...elsewhere } = place;
  return around === 'top' && !saysWhere({ ...sentence, place: elsewhere } as AnyJoin);
}

/** Whether a sentence says where around, in a way that is read or not: then it is not the edge that is meant. */
function saysAround({ back, sides, elsewhere, place }: AnyJoin): boolean {
  const { around: _around, ...more } = place;
  return elsewhere === true || back === true || sides !== undefined || Object.keys(more).length > 0;
}

/** On a round of what lies: its top is none of its ends. */
function isOnLying({ round, gap, range }: AnyJoin, { orientation }: JoinPart): boolean {
  return orientation.lying && (round ?? gap ?? range) !== undefined;
}

/** Two parts that end open come together by their edges, where nothing says otherwise. */
export function isEdgeToEdge({ sentence, piece, wall, units }: Placing): boolean {
  if (
    sentence.kind === 'nosew' ||
    sentence.way ||
    units.length !== 1 ||
    heldOf({ sentence, piece } as Placing) !== 'round'
  )
    return false;
  if (isOnLying(sentence, wall)) return false;
  const { around } = sentence.place;
  const atEnd = around !== undefined && around !== wall.orientation.start && around !== 'start';
  const bothOpen = endOf(piece).open && endOf(wall).open && wall.fabric.row[0] !== 1;
  // A tail on a body is not meant to be sewn to its whole edge.
  const [a, b] = [endOf(piece).count, endOf(wall).count];
  // A head on top of what ends as wide as it does: that end is the top, whichever way up it was taken to be.
  const isHead = /\bhead\b/i.test(piece.part.name);
  if (isHead && bothOpen && a === b && isOnlyOnTop(sentence)) return true;
  if (!atEnd && Math.max(a, b) > mostUnequal * Math.min(a, b)) return false;
  return bothOpen && !saysAround(sentence) && (atEnd || !saysWhere(sentence));
}

/** A head that nothing places sits on top of what it is sewn to, and it is told. */
export function headOnTop(placing: Placing): Placing {
  const { sentence, piece, units } = placing;
  const isHead = /\bhead\b/i.test(piece.part.name);
  const saysSide = sentence.back ?? sentence.sides ?? Object.keys(sentence.place)[0];
  if (!isHead || units.length !== 1 || saysWhere(sentence) || saysSide !== undefined) return placing;
  return { ...placing, isOnTop: true, sentence: { ...sentence, place: { around: 'top' } } };
}

/** A part that ends closed, and the open end of what it is sewn to: that end is the edge, and the closed part the wall. */
export function turnedRound(placing: Placing): Placing {
  const { sentence, piece, wall, units } = placing;
  const isTurned =
    !sentence.way &&
    units.length === 1 &&
    !endOf(piece).open &&
    endOf(wall).open &&
    !saysWhere(sentence) &&
    piece.fabric.row[0] !== 1;
  if (!isTurned) return placing;
  const { part } = wall;
  const unit: Unit = { part: part.id, unit: 1, name: part.name.toLowerCase(), side: null };
  // The one that is named first stands on the other, whose last round holds it.
  const end = piece.orientation.start === 'top' ? 'bottom' : 'top';
  return {
    ...placing,
    sentence: { ...sentence, place: { ...sentence.place, around: end } },
    piece: wall,
    wall: piece,
    units: [unit],
  };
}
