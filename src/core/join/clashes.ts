import { roundCount } from '../fabric/fabric';
import { turn, wrapAngle } from '../shape/azimuth';
import type { Join, JoinPart } from './joined';
import { problem } from './problem';

/** Joins that come to the same stitches of a wall, and those that lie over a feature. */
export function withClashes(parts: readonly JoinPart[], joins: readonly Join[]): Join[] {
  return joins.map((join, i) => {
    const piece = parts.find(({ part }) => part.id === join.unit.part);
    if (!piece || !join.path || join.kind === 'edge-to-edge') return join;
    const own = new Set(join.path.map(({ row, stitch }) => `${row}/${stitch}`));
    const other = joins.find(
      (one, k) =>
        k < i &&
        one.on.part === join.on.part &&
        one.kind !== 'edge-to-edge' &&
        one.path?.some(({ row, stitch }) => own.has(`${row}/${stitch}`)),
    );
    const { sentence, unit } = join;
    const touches = other
      ? [problem(piece, 'joins-overlap', { piece: unit.name, other: other.unit.name }, { sentence })]
      : [];
    const covered = coveredFeature(parts, join);
    const hides = covered
      ? [problem(piece, 'join-on-feature', { piece: unit.name, feature: covered }, { sentence })]
      : [];
    return { ...join, problems: [...join.problems, ...touches, ...hides] };
  });
}

/** The feature of the wall that a join lies over. */
function coveredFeature(parts: readonly JoinPart[], { on, covers, centre }: Join): string | null {
  const wall = parts.find(({ part }) => part.id === on.part);
  if (!wall || !covers || !centre) return null;
  const [from, to] = covers.rows;
  for (const feature of wall.features) {
    for (const { fromLine, azimuth } of feature.units) {
      const row = fromLine + 0.5;
      if (row <= from || row >= to) continue;
      const round = Math.round(row);
      const count = roundCount(wall.fabric, round);
      const off = Math.abs(wrapAngle(azimuth - centre.azimuth) / turn) * count;
      const half = (to - from) / 2;
      const wide = half * Math.sqrt(Math.max(0, 1 - ((row - (from + to) / 2) / Math.max(0.5, half)) ** 2));
      if (off < wide) return feature.id;
    }
  }
  return null;
}
