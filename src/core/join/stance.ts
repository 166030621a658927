import type { LineEdit } from '../notation/problem';
import { readStance, writeStance, type StanceSaid, type TurnWay } from '../notation/sentence/stance';
import { wrapAngle } from '../shape/azimuth';
import { turnSaid } from './facing';
import type { AnyJoin, Join, JoinedToy, JoinPart } from './joined';
import { rewriteJoin } from './move';
import { problem } from './problem';
import { rightward } from './spot';

/** A step of a thumb that turns a unit where it stands, as one looks at it from outside, or moves its far end. */
export type StanceStep = 'turn-left' | 'turn-right' | 'droop' | 'raise' | 'forward' | 'backward';

const onWall: ReadonlySet<Join['kind']> = new Set([
  'open-on-wall',
  'closed-on-wall',
  'flattened',
  'pinched',
  'by-row',
]);

/** Whether a unit can be turned where it is joined. */
export const canTurn = ({ kind }: Pick<Join, 'kind'>): boolean => onWall.has(kind) || kind === 'outline';
/** Whether its far end can be held lower, higher, to the front or back: what is worked in hangs from its round by one edge. */
export const canTilt = ({ kind }: Pick<Join, 'kind'>): boolean => onWall.has(kind) || kind === 'no-sew';

/** Whether its edge is sewn as a ring, and can be turned by its stitches. */
const isRing = ({ kind }: Pick<Join, 'kind'>): boolean =>
  kind === 'open-on-wall' || kind === 'closed-on-wall';

/** Whether a unit is the right one of those its sentence places: turned the other way round than the left, of which it speaks. */
export function isMirrorImage(join: Join, { joins, fronts }: JoinedToy, wall: JoinPart): boolean {
  const mates = joins.filter(
    ({ sentence, unit }) => sentence === join.sentence && unit.part === join.unit.part,
  );
  const off = wrapAngle((join.centre?.azimuth ?? 0) - (fronts.get(wall.part.id) ?? wall.front));
  return mates.length > 1 && off * rightward(wall) > 0;
}

/** What a sentence says of how its units stand, and what of that their way of joining leaves undone. */
function undone(join: Join): StanceSaid {
  const { turned, ...tilted } = join.sentence.stance ?? {};
  const isFollowed = canTurn(join) && turnSaid(join.sentence, isRing(join)) !== undefined;
  return { ...(canTilt(join) ? {} : tilted), ...(turned && !isFollowed ? { turned } : {}) };
}

/** Joins with a word where one is to stand in a way that its kind of join does not allow; once for each sentence. */
export function withStances(joins: readonly Join[], parts: readonly JoinPart[]): Join[] {
  const told = new Set<AnyJoin>();
  return joins.map((join) => {
    const words = writeStance(undone(join));
    const piece = parts.find(({ part }) => part.id === join.unit.part);
    if (words.length === 0 || !piece || told.has(join.sentence)) return join;
    told.add(join.sentence);
    const { sentence } = join;
    const facts = { piece: piece.part.name, words: words.join(', ') };
    return { ...join, problems: [...join.problems, problem(piece, 'stance-unused', facts, { sentence })] };
  });
}

const tiltStep = 15;
const mostTilt = 90;
const halfTurn = 180;

/** A turn one step further, clockwise or not; nothing once it is back where it stands by itself. */
function turnedOn(join: Join, isClockwise: boolean, isMirrored: boolean): StanceSaid {
  const { turned, path } = join;
  const stitches = path?.length ?? 0;
  const unit = isRing(join) && stitches > 0 ? 'stitches' : 'degrees';
  const step = unit === 'stitches' ? 1 : tiltStep;
  const now = unit === 'stitches' ? (turned / (2 * halfTurn)) * stitches : turned;
  const next = Math.round(now / step) * step + (isClockwise ? step : -step);
  const by = Math.abs(next);
  const isFull = unit === 'degrees' ? by > halfTurn : by * 2 > stitches;
  if (isFull || by === 0) return {};
  const way: TurnWay = next > 0 !== isMirrored ? 'clockwise' : 'anticlockwise';
  return { turned: { by, unit, way } };
}

const tiltedOn = (now: number, by: number): number =>
  Math.max(-mostTilt, Math.min(mostTilt, Math.round(now / tiltStep) * tiltStep + by));

/**
 * How a unit stands one step further.
 *
 * @param isMirrored it is the right one of a pair, whose sentence speaks of the left
 * @returns null where its join does not allow it
 */
export function stepStance(join: Join, step: StanceStep, isMirrored: boolean): StanceSaid | null {
  const { turned, ...tilts } = join.sentence.stance ?? {};
  const { droop = 0, lean = 0 } = tilts;
  if (step === 'turn-left' || step === 'turn-right')
    return canTurn(join) ? { ...tilts, ...turnedOn(join, step === 'turn-right', isMirrored) } : null;
  if (!canTilt(join)) return null;
  const isUpOrDown = step === 'droop' || step === 'raise';
  const by = step === 'droop' || step === 'forward' ? tiltStep : -tiltStep;
  const moved = isUpOrDown ? { droop: tiltedOn(droop, by) } : { lean: tiltedOn(lean, by) };
  return { ...(turned ? { turned } : {}), ...tilts, ...moved };
}

const written =
  /,? (?:turned \d+ (?:degrees|stitch|stitches) (?:clockwise|anticlockwise|up|down|outward|inward)|(?:drooping|raised|leaning forward|leaning back|leaning outward|leaning inward) \d+ degrees)/g;

/** The edit that has a sentence say how its units stand. Its other words stay, unless it says so in words of its own. */
export function rewriteStance(was: AnyJoin, stance: StanceSaid): LineEdit {
  const { whole, span, line } = was;
  const bare = whole.slice(span.from, span.to).replace(written, '');
  if (readStance(bare.toLowerCase()).stance) {
    const { stance: _stance, ...rest } = was;
    return rewriteJoin(was, { ...rest, stance } as AnyJoin);
  }
  const [end = ''] = /[.;]?\s*$/.exec(bare) ?? [];
  const words = [bare.slice(0, bare.length - end.length), ...writeStance(stance)].join(', ') + end;
  return { line, text: whole.slice(0, span.from) + words + whole.slice(span.to) };
}
