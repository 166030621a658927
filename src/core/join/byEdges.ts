import { roundCount } from '../fabric/fabric';
import type { Suggestion } from '../notation/problem';
import { direction } from '../place/frame/direction';
import { stitchAtAzimuth } from '../shape/azimuth';
import { edgeToEdge, type EdgeAround } from './edges';
import { blankJoin, type JoinPart } from './joined';
import type { Joining } from './joining';
import { roundAt, withNumbers } from './numbers';
import { endOf, type Placing } from './placing';
import { pinsAround } from './pins';
import { problem } from './problem';
import { rightward } from './spot';

/** Two open edges: the whole of one to the whole of the other. */
export function joinEdges(state: Joining, placing: Placing): void {
  const { sentence, piece, wall, units } = placing;
  const [a, b] = [endOf(piece).count, endOf(wall).count];
  const plan = edgeToEdge(turnedOnto(state, piece, wall, 'end'), edgeAround(state, wall));
  const [smaller, larger] = a <= b ? [piece, wall] : [wall, piece];
  const facts = {
    smaller: smaller.part.name,
    larger: larger.part.name,
    m: Math.min(a, b),
    n: Math.max(a, b),
    round: matchingRound(larger, Math.min(a, b)),
  };
  const sameEnd =
    piece.orientation.start === wall.orientation.start
      ? [
          {
            ...problem(
              piece,
              'edges-same-end',
              { piece: piece.part.name, wall: wall.part.name },
              { sentence },
            ),
            suggestions: turnings(wall),
          },
        ]
      : [];
  for (const unit of units) {
    const join = { ...blankJoin('edge-to-edge', unit, wall, sentence), problems: sameEnd };
    const last = roundAt(wall, wall.fabric.rounds);
    if (!plan) {
      const problems = [problem(piece, 'edges-ratio', facts, { severity: 'error', sentence })];
      state.joins.push({ ...join, ...last, problems });
      continue;
    }
    const path = plan.path.map(({ larger: big, smaller: small }) => ({
      ...last,
      edge: a <= b ? small : big,
      stitch: a <= b ? big : small,
    }));
    const pins = withNumbers(wall, pinsAround(wall, path, state.facing(wall, wall.fabric.rounds)));
    state.joins.push({ ...join, ...last, doubles: plan.doubles, path, pins });
  }
}

/**
 * A round as it is gone around.
 *
 * @param row by index; the last where none is given
 */
export function edgeAround(state: Joining, of: JoinPart, row = of.fabric.rounds): EdgeAround {
  const { fabric, starts } = of;
  const front = stitchAtAzimuth(fabric, starts, row, state.facing(of, row));
  return { count: roundCount(fabric, row), front, rightward: rightward(of) };
}

/**
 * The last round of a piece as it lies on an end of another: with its own start beyond that end, whichever way it stands by itself.
 *
 * @param end of the wall that the piece lies on, over or against
 */
export function turnedOnto(
  state: Joining,
  piece: JoinPart,
  { orientation: { start } }: JoinPart,
  end: 'start' | 'end',
): EdgeAround {
  const opposite = start === 'top' ? 'bottom' : 'top';
  const lying = { ...piece.orientation, start: end === 'start' ? start : opposite } as const;
  return { ...edgeAround(state, piece), rightward: direction(lying) };
}

/** Lines that say at which end of the toy a part begins. */
export function turnings({ part }: JoinPart): Suggestion[] {
  const hasHeading = part.rounds[0]?.line !== part.firstLine;
  const line = hasHeading ? part.firstLine : part.firstLine - 1;
  return (['bottom', 'top'] as const).map((end) => ({
    title: `Round 1 of the ${part.name.toLowerCase()} is at the ${end}`,
    edits: [{ line, text: `Start: ${end}`, insertAfter: true }],
  }));
}

/** The round of a part nearest to its end that has as many stitches as another's edge; null where none has. */
function matchingRound({ fabric }: JoinPart, count: number): number | null {
  for (let round = fabric.rounds; round >= 1; round -= 1)
    if (roundCount(fabric, round) === count) return fabric.label[round - 1] ?? round;
  return null;
}
