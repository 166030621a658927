import pluralize from 'pluralize';
import { foreignParents } from '../fabric/foreign';
import { roundCount } from '../fabric/fabric';
import { roundNumbered } from '../fabric/rounds';
import type { JoinSentence } from '../notation/sentence/join';
import { blankJoin, type Join, type JoinPart, type Unit } from './joined';
import { roundAt } from './numbers';

/** One stitch of a first round, by number, and the stitch of another part it is worked into. */
interface GrownStitch {
  own: number;
  part: string;
  unit: number;
  /** by its number in the text */
  round: number;
  stitch: number;
}

/** The first round of a part as a sentence that joins, for whoever asks what says so. */
function sentenceOf({ part }: JoinPart): JoinSentence {
  const [first] = part.rounds;
  const text = first?.text ?? '';
  const line = first?.line ?? part.line;
  return {
    kind: 'nosew',
    text,
    whole: text,
    line,
    span: { from: 0, to: text.length },
    edge: null,
    joined: [],
    place: {},
  };
}

/** Every stitch of a first round that is worked into another part; along a chain there is none. */
function grownStitches({ fabric }: JoinPart): GrownStitch[] {
  return Array.from({ length: roundCount(fabric, 1) }, (_, i) => i + 1).flatMap((own) =>
    foreignParents(fabric, own).map(({ part, unit, round, stitch }) => ({ own, part, unit, round, stitch })),
  );
}

const unitOf = ({ part }: JoinPart, unit: number): Unit => {
  const name = pluralize.singular(part.name.toLowerCase());
  return { part: part.id, unit, name: part.make > 1 ? `${name} ${unit}` : name, side: null };
};

/** A frill, a skirt: its first round goes into loops that a round of another part has left. */
function ontoLoops(piece: JoinPart, wall: JoinPart, stitches: readonly GrownStitch[]): Join[] {
  const { onto, make } = piece.part;
  const row = onto ? roundNumbered(wall.fabric, onto.round) : 0;
  if (!onto || row === 0 || stitches.length === 0) return [];
  const place = roundAt(wall, row);
  const numbers = stitches.map(({ stitch }) => stitch);
  const span: [number, number] = [Math.min(...numbers), Math.max(...numbers)];
  const path = stitches.map(({ own, stitch }) => ({ edge: own, stitch, ...place }));
  return Array.from({ length: make }, (_, i) => ({
    ...blankJoin('worked-on', unitOf(piece, i + 1), wall, sentenceOf(piece)),
    ...place,
    on: { part: wall.part.id, unit: Math.min(i + 1, wall.part.make) },
    loops: onto.loops,
    covers: { rows: [row, row], rounds: [place.round, place.round], stitches: span },
    path,
  }));
}

/** Legs that a body goes on from: its first round goes around the edge of each. */
function grownTogether(body: JoinPart, parts: readonly JoinPart[], stitches: readonly GrownStitch[]): Join[] {
  const first = roundAt(body, 1);
  return (body.part.grown?.edges ?? []).flatMap(({ part, unit }): Join[] => {
    const leg = parts.find((one) => one.part.id === part);
    const own = stitches.filter((one) => one.part === part && one.unit === unit);
    if (!leg || own.length === 0) return [];
    const numbers = own.map((one) => one.own);
    return [
      {
        ...blankJoin('worked-on', unitOf(leg, unit), body, sentenceOf(body)),
        ...first,
        covers: {
          rows: [1, 1],
          rounds: [first.round, first.round],
          stitches: [Math.min(...numbers), Math.max(...numbers)],
        },
        path: own.map((one) => ({ edge: one.stitch, stitch: one.own, ...first })),
      },
    ];
  });
}

/**
 * What is joined by the work itself: a part that begins in the loops of another, and pieces that a part goes on from. Each stitch with the
 * stitch it is worked into.
 *
 * @param parts all parts of the toy
 */
export function workedOnJoins(parts: readonly JoinPart[]): Join[] {
  return parts.flatMap((piece) => {
    const stitches = grownStitches(piece);
    const wall = parts.find(({ part }) => part.id === piece.part.onto?.part);
    return wall ? ontoLoops(piece, wall, stitches) : grownTogether(piece, parts, stitches);
  });
}
