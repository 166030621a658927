import { roundCount } from '../fabric/fabric';
import { stitchAtAzimuth, stitchAzimuth, turn, wrapAngle } from '../shape/azimuth';
import { blankJoin, type JoinPart } from './joined';
import type { Joining } from './joining';
import { inRound, roundAt } from './numbers';
import { isStrand, type Placing } from './placing';
import { problem } from './problem';
import { snapOne, snapPair } from './snap';
import { rightward } from './spot';
import { alongAt, inSpace, type WallPoint } from './wall';

/** How long a piece is from end to end, in mm: a strand along its stitches, anything else along its rounds. */
function lengthMm(piece: JoinPart): number {
  const { fabric, gauge, profile } = piece;
  if (isStrand(piece)) return roundCount(fabric, 1) * gauge.widthMm;
  return profile.z.at(-1) ?? fabric.rounds * gauge.heightMm;
}

/** The stitches it goes in and out by: a pair about the front line, or the front line and the back. */
function exitStitches({ wall, sentence }: Placing, row: number, front: number): number[] {
  const { fabric, starts } = wall;
  const round = Math.max(1, Math.min(fabric.rounds, Math.round(row)));
  const count = roundCount(fabric, round);
  const middle = stitchAtAzimuth(fabric, starts, round, front);
  if (sentence.stitches?.length === 2) return [...sentence.stitches];
  if (sentence.way?.passes === 'front to back')
    return [snapOne(middle), snapOne(middle + count / 2)].map((stitch) => inRound(stitch, count));
  const quarter = (rightward(wall) * count) / 4;
  const { left, right } = snapPair(middle - quarter, middle + quarter, middle);
  return [inRound(left, count), inRound(right, count)];
}

/**
 * Joins what is pulled through another from side to side: the two places it goes in and out by, how much of it lies inside, and what
 * hangs out on each side.
 */
export function joinThrough(state: Joining, placing: Placing, row: number, front: number): void {
  const { sentence, piece, wall, units } = placing;
  const [unit, ...more] = units;
  if (!unit) return;
  const blank = blankJoin('through', unit, wall, sentence);
  const facts = { piece: piece.part.name, wall: wall.part.name, count: units.length };
  const surface = state.wall(wall);
  const round = Math.max(1, Math.min(wall.fabric.rounds, Math.round(row)));
  const exits = exitStitches(placing, row, front).map((stitch, i) => ({
    ...roundAt(wall, row),
    stitch,
    at: i === 0 ? ('in' as const) : ('out' as const),
  }));
  const points = exits.map(({ stitch }): WallPoint => {
    const azimuth = stitchAzimuth(wall.fabric, wall.starts, round, stitch);
    return { along: alongAt(surface, row), azimuth };
  });
  const [a, b] = points.map((point) => inSpace(surface, point));
  const insideMm = a && b ? Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]) : 0;
  const outMm = (lengthMm(piece) - insideMm) / 2;
  const told = { ...facts, insideMm: Math.round(insideMm), outMm: Math.round(outMm) };
  // Two at one place can't be meant, and where the others go is not said.
  const others = more.map((other) => ({
    ...blankJoin('through', other, wall, sentence),
    problems: [problem(piece, 'join-around', facts, { sentence })],
  }));
  const wantedOff = sentence.way?.passes === 'front to back' ? 0 : turn / 4;
  const [first] = points;
  state.joins.push(
    {
      ...blank,
      ...roundAt(wall, row),
      stitch: exits[0]?.stitch ?? null,
      pins: exits,
      insideMm: told.insideMm,
      missMm: first ? Math.abs(Math.abs(wrapAngle(first.azimuth - front)) - wantedOff) * radiusOf(a) : 0,
      centre: first ?? null,
      problems: [
        problem(piece, outMm < 0 ? 'through-short' : 'join-through', told, {
          severity: outMm < 0 ? 'warning' : 'info',
          sentence,
        }),
      ],
    },
    ...others,
  );
}

const radiusOf = (point: readonly number[] | undefined): number =>
  Math.hypot(point?.[0] ?? 0, point?.[1] ?? 0);
