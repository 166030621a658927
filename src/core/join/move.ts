import { roundCount } from '../fabric/fabric';
import { roundNumbered } from '../fabric/rounds';
import { direction } from '../place/frame/direction';
import { stitchAtAzimuth } from '../shape/azimuth';
import type { LineEdit } from '../notation/problem';
import { writeJoin } from '../notation/sentence/join';
import type { AnyJoin, JoinPart } from './joined';

/**
 * A step of a thumb as one looks at the toy: up or down, out from the middle of the front, or along a wall that lies on its side.
 */
export type JoinStep = 'up' | 'down' | 'nearer' | 'further' | 'left' | 'right';

/** Where a sentence has its units now. */
export interface JoinedNow {
  /** the round of their middle, as the maker numbers it */
  round: number;
  /** whole or half stitches from the front line */
  fromFront: number;
  /** a pair about the front line; one alone keeps its place around */
  paired: boolean;
  /** azimuths of its units in the order of the text: named stitches stay over each other from round to round */
  azimuths: readonly number[];
}

/**
 * The sentence that puts its units one step further. It names the round and, of a pair, the stitches from the front: what it said
 * before of the place is replaced.
 *
 * @returns null where the wall ends there
 */
export function stepJoin(
  sentence: AnyJoin,
  wall: JoinPart,
  { round, fromFront, paired, azimuths }: JoinedNow,
  step: JoinStep,
): AnyJoin | null {
  if (wall.orientation.lying) return stepLying(sentence, wall, { round, azimuths }, step);
  const isTop = wall.orientation.start === 'top';
  const whole = Math.round(round);
  const up = isTop ? whole - 1 : whole + 1;
  const down = isTop ? whole + 1 : whole - 1;
  const next = step === 'up' ? up : step === 'down' ? down : whole;
  if (!wall.fabric.label.includes(next)) return null;
  const out = step === 'further' ? 1 : step === 'nearer' ? -1 : 0;
  const stitches = Math.max(1, Math.round(fromFront) + out);
  // A pair that goes by numbers keeps its distance from the front when it is moved up: it would lie elsewhere by itself.
  const { aside, inLineWith, between } = sentence.place;
  const goesByNumbers = aside ?? inLineWith ?? between;
  const isAside = paired && (out !== 0 || goesByNumbers !== undefined);
  if (isAside) return putJoin(sentence, wall, { round: next, at: { kind: 'aside', stitches } });
  const moved = atRound(sentence, wall, next);
  const named = (sentence.stitches ?? inLineWith) && stitchesAt(wall, next, azimuths);
  return { ...moved, ...(named ? { stitches: named } : {}) } as AnyJoin;
}

/** On a wall that lies its rounds go to the right or left, and the stitches of a round up or down. */
function stepLying(
  sentence: AnyJoin,
  wall: JoinPart,
  { round, azimuths }: Pick<JoinedNow, 'round' | 'azimuths'>,
  step: JoinStep,
): AnyJoin | null {
  const toRight = wall.orientation.start === 'top' ? 1 : -1;
  const along = step === 'right' ? toRight : step === 'left' ? -toRight : 0;
  const next = Math.round(round) + along;
  const [azimuth] = azimuths;
  if (azimuth === undefined || !wall.fabric.label.includes(next)) return null;
  const [stitch = 1] = stitchesAt(wall, next, [azimuth]);
  const around =
    step === 'up' ? direction(wall.orientation) : step === 'down' ? -direction(wall.orientation) : 0;
  const count = roundCount(wall.fabric, roundNumbered(wall.fabric, next));
  const at = ((((stitch + around - 1) % count) + count) % count) + 1;
  return putJoin(sentence, wall, { round: next, at: { kind: 'stitch', stitch: at } });
}

/** The sentence with its units on another round: the round that is named is where their middle lies, and nothing is counted from it any more. */
function atRound(sentence: AnyJoin, wall: JoinPart, round: number): AnyJoin {
  const {
    gap: _gap,
    range: _range,
    relation: _relation,
    level: _level,
    countFrom: _from,
    ...rest
  } = sentence;
  const {
    ofPart: _ofPart,
    inLineWith: _inLineWith,
    outFrom: _outFrom,
    around: _around,
    off: _off,
    byEdge: _byEdge,
    ...place
  } = sentence.place;
  // What it is joined to is named: it may have been told by what it no longer says.
  const onto = { id: wall.part.id, name: wall.part.name };
  const joined = sentence.joined.length > 0 ? sentence.joined : [{ parts: [], wall: null }];
  const named = joined.map((one) => ({ ...one, wall: one.wall ?? onto }));
  return { ...rest, round, joined: named, place } as AnyJoin;
}

/** A place that a thumb brings the middle of a unit to. */
export interface JoinSpot {
  /** as the maker numbers it */
  round: number;
  /** where around: so many stitches from the front to both sides, a middle, one stitch; null where that stays as it is said */
  at:
    | { kind: 'aside'; stitches: number }
    | { kind: 'front' | 'back' }
    | { kind: 'stitch'; stitch: number }
    | null;
}

/** The sentence that puts its units there. What it said before of the place is replaced. */
export function putJoin(sentence: AnyJoin, wall: JoinPart, { round, at }: JoinSpot): AnyJoin {
  const moved = atRound(sentence, wall, round);
  if (!at) return moved;
  const { stitches: _stitches, stitchSides: _named, sides: _sides, back: _back, ...free } = moved;
  if (at.kind === 'aside')
    return { ...free, place: { aside: { stitches: at.stitches, of: 'front' } } } as AnyJoin;
  if (at.kind === 'stitch') return { ...free, stitches: [at.stitch], place: {} } as AnyJoin;
  return (
    at.kind === 'back' ? { ...free, back: true, place: {} } : { ...free, place: { front: true } }
  ) as AnyJoin;
}

/** The whole stitches of a round nearest to some azimuths. */
function stitchesAt({ fabric, starts }: JoinPart, label: number, azimuths: readonly number[]): number[] {
  const round = roundNumbered(fabric, label);
  const count = roundCount(fabric, round);
  return azimuths.map((azimuth) => {
    const stitch = Math.round(stitchAtAzimuth(fabric, starts, round, azimuth));
    return stitch > count ? 1 : Math.max(1, stitch);
  });
}

/** The edit that writes a sentence anew where it stands. */
export function rewriteJoin(was: AnyJoin, now: AnyJoin): LineEdit {
  const { whole, span, line } = was;
  const written = writeJoin(now);
  const rest = whole.slice(span.to);
  const words = /^\s*[.;]/.test(rest) ? written.replace(/\.$/, '') : written;
  return { line, text: whole.slice(0, span.from) + words + rest };
}

/** How far a pair under a part that lies is from the middle of it, in stitches. */
const besideMiddle = 3;

/** Two stitches underneath a part that lies: its sides are its ends. */
function underneath(wall: JoinPart, label: number): string {
  const under = wall.front - (direction(wall.orientation) * Math.PI) / 2;
  const stitch = stitchesAt(wall, label, [under])[0] ?? 1;
  const count = roundCount(wall.fabric, roundNumbered(wall.fabric, label));
  const [first, second] = [-besideMiddle, besideMiddle].map(
    (off) => ((((stitch + off - 1) % count) + count) % count) + 1,
  );
  return `at stitches ${first} and ${second}`;
}

/** A sentence for units nothing places yet: on the sides, halfway along, to be moved from there. */
export function firstJoin(piece: JoinPart, wall: JoinPart): string {
  const { part } = piece;
  const middle = wall.fabric.label[Math.floor(wall.fabric.rounds / 2)] ?? 1;
  const name = part.name.toLowerCase();
  const pair = wall.orientation.lying ? underneath(wall, middle) : 'on both sides';
  const where = part.make === 1 ? 'in the front centre' : part.make === 2 ? pair : 'evenly';
  const what = part.make > 1 ? `all the ${name}` : `the ${name}`;
  return `Sew ${what} to the ${wall.part.name.toLowerCase()}, at round ${middle}, ${where}.`;
}
