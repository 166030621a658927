import { roundCount } from '../fabric/fabric';
import { turn, wrapAngle } from '../shape/azimuth';
import type { Join, JoinedToy, JoinPart, Side } from './joined';
import { problem } from './problem';
import { rightward } from './spot';

/** Off the middle by less than this, in radians, is in the middle. */
const middleBy = 0.05;

/** Units with the side they are on and a name by it, where a part has several. */
export function named(
  parts: readonly JoinPart[],
  joins: readonly Join[],
  fronts: JoinedToy['fronts'],
): Join[] {
  const wallOfJoin = ({ on }: Join) => parts.find(({ part }) => part.id === on.part);
  const isAlone = ({ unit }: Join) => joins.filter((other) => other.unit.part === unit.part).length === 1;
  const placed = joins.map((join) => {
    const wall = wallOfJoin(join);
    if (wall?.fabric.row[0] === 1) return { join, side: join.unit.side, isBehind: false };
    if (!wall || !join.centre || join.row === null) return { join, side: null, isBehind: false };
    if (wall.orientation.lying) return { join, side: sideAlong(wall, join.row), isBehind: false };
    const off = wrapAngle(join.centre.azimuth - (fronts.get(wall.part.id) ?? wall.front)) * rightward(wall);
    const row = Math.max(1, Math.round(join.row));
    const halfStitch = turn / Math.max(1, roundCount(wall.fabric, row)) / 2;
    // One alone that whole stitches keep half a stitch off the middle is in the middle.
    const middling = isAlone(join) ? Math.max(middleBy, halfStitch + 1e-6) : middleBy;
    const isMiddle = Math.abs(Math.sin(off)) < middling;
    const side: Side | null = isMiddle ? null : off < 0 ? 'left' : 'right';
    return { join, side, isBehind: Math.abs(off) > Math.PI / 2 + 0.05 };
  });
  const named = placed.map(({ join, side, isBehind }) => {
    const same = placed.filter((other) => other.join.unit.part === join.unit.part && other.side === side);
    const bothWays = new Set(same.map((other) => other.isBehind)).size > 1;
    const depth = bothWays ? (isBehind ? 'back ' : 'front ') : '';
    const name = isAlone(join) || !side ? join.unit.name : `${side} ${depth}${join.unit.name}`;
    const { sentence, unit } = join;
    const piece = parts.find(({ part }) => part.id === unit.part);
    const called = join.called ?? sideIn(piece?.part.name);
    const isOther = called !== null && side !== null && called !== side && piece;
    const problems = isOther
      ? [...join.problems, problem(piece, 'join-side', { piece: unit.name, said: called }, { sentence })]
      : join.problems;
    return { ...join, problems, unit: { ...unit, side, name } };
  });
  return named.map((join) => ({ ...join, unit: { ...join.unit, name: toldApart(join, named) } }));
}

/** The side a row of a part is on that lies on its side; null in its middle. */
function sideAlong({ fabric, orientation }: JoinPart, row: number): Side | null {
  const fromMiddle = Math.round(row) - (fabric.rounds + 1) / 2;
  if (Math.abs(fromMiddle) < 1) return null;
  return fromMiddle < 0 === (orientation.start === 'top') ? 'left' : 'right';
}

/** Of several that would go by one name each has its number: `left front tentacle 2`. */
function toldApart({ unit, kind }: Join, joins: readonly Join[]): string {
  const own = joins.filter((other) => other.unit.part === unit.part);
  const alike = own.filter((other) => other.unit.name === unit.name);
  // The first of those on one thread is joined to nothing: the others have their own numbers all the same.
  const isOneOfMany = own.length > 1 || unit.unit > 1;
  if (kind === 'strung' && isOneOfMany && alike.length === own.length) return `${unit.name} ${unit.unit}`;
  return alike.length > 1
    ? `${unit.name} ${alike.findIndex((other) => other.unit.unit === unit.unit) + 1}`
    : unit.name;
}

/** The side a part is headed by: `Left arm`. */
function sideIn(name: string | undefined): Side | null {
  const word = /\b(left|right)\b/i.exec(name ?? '')?.[1]?.toLowerCase();
  return word === 'left' || word === 'right' ? word : null;
}
