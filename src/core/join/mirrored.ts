import { roundCount } from '../fabric/fabric';
import { stitchKinds } from '../notation/stitchKinds';
import { stitchAtAzimuth, stitchAzimuth, turn, wrapAngle } from '../shape/azimuth';
import type { AnyJoin, Join, JoinedToy, JoinPart } from './joined';
import { labelOf } from './numbers';
import { problem } from './problem';

/** What stands out of a piece: a taller stitch among plain ones, or something that grows behind a stitch, before the next. */
interface Bump {
  row: number;
  /** of what grows, the stitch it grows behind; 0 before the first */
  stitch: number;
  grows: boolean;
  azimuth: number;
}

/** More than these are no thumb but a fur. */
const mostBumps = 12;
/** A bump and its mirror image may be so many stitches apart: stitches come whole. */
const withinStitches = 0.8;

const tall = stitchKinds.indexOf('hdc');

function bumpsOf({ fabric, starts }: JoinPart): Bump[] {
  const bumps: Bump[] = [];
  const put = (row: number, stitch: number, grows: boolean) =>
    bumps.push({
      row,
      stitch,
      grows,
      azimuth: stitchAzimuth(fabric, starts, row, stitch + (grows ? 0.5 : 0)),
    });
  for (let row = 1; row <= fabric.rounds; row += 1) {
    const [from, count] = [fabric.offset[row - 1] ?? 0, roundCount(fabric, row)];
    const isTall = Array.from({ length: count }, (_, i) => (fabric.kind[from + i] ?? 0) >= tall);
    // A round that is tall all round, or for the most part, has no side.
    if (isTall.filter(Boolean).length * 2 > count) continue;
    isTall.forEach((is, i) => is && put(row, i + 1, false));
  }
  for (const { after, round } of fabric.outgrowths)
    put(round, Math.max(0, after - (fabric.offset[round - 1] ?? 0) + 1), true);
  return bumps;
}

/** The stitch of a bump on the mirror image of a piece, about the middle of its front; of what grows, the one it grows behind. */
function mirrorOf({ fabric, starts }: JoinPart, { row, azimuth, grows }: Bump, facing: number): number {
  const count = roundCount(fabric, row);
  const place = stitchAtAzimuth(fabric, starts, row, 2 * facing - azimuth);
  const stitch = Math.round(grows ? place - 0.5 : place);
  return ((stitch - 1 + 2 * count) % count) + 1;
}

/** Bumps of a piece that its mirror image has elsewhere. */
function onOneSide(piece: JoinPart, facing: number): Bump[] {
  const bumps = bumpsOf(piece);
  if (bumps.length > mostBumps) return [];
  return bumps.filter(({ row, azimuth, grows }) => {
    const wanted = 2 * facing - azimuth;
    const perStitch = turn / Math.max(1, roundCount(piece.fabric, row));
    return bumps.every(
      (other) =>
        other.row !== row ||
        other.grows !== grows ||
        Math.abs(wrapAngle(other.azimuth - wanted)) > withinStitches * perStitch,
    );
  });
}

/**
 * Joins with a word where the two of a pair are worked alike and should be mirror images: what stands out on one side of a piece, a thumb,
 * comes to the outside of the one and the inside of the other. Which stitches of which rounds differ is told, once for each sentence.
 */
export function withMirrored(
  joins: readonly Join[],
  parts: readonly JoinPart[],
  { facings, fronts }: Pick<JoinedToy, 'facings' | 'fronts'>,
): Join[] {
  const told = new Set<AnyJoin>();
  return joins.map((join) => {
    const { sentence, unit } = join;
    const piece = parts.find(({ part }) => part.id === unit.part);
    const isPair = joins.some(
      (other) => other.sentence === sentence && other.unit.part === unit.part && other.unit.side === 'right',
    );
    if (!piece || unit.side !== 'left' || !isPair || piece.fabric.row[0] === 1 || told.has(sentence))
      return join;
    const facing = facings.get(piece.part.id) ?? fronts.get(piece.part.id) ?? piece.front;
    const differ = onOneSide(piece, join.facing ?? facing);
    if (differ.length === 0) return join;
    told.add(sentence);
    const where = differ.map((bump) => ({
      round: labelOf(piece, bump.row),
      grows: bump.grows,
      stitch: bump.stitch,
      mirrored: mirrorOf(piece, bump, join.facing ?? facing),
    }));
    const facts = { piece: piece.part.name, where };
    return { ...join, problems: [...join.problems, problem(piece, 'units-mirrored', facts, { sentence })] };
  });
}
