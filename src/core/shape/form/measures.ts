import { roundCount, type Fabric } from '../../fabric/fabric';
import { roundPlane } from './roundPlane';
import type { RelaxedForm } from './relaxForm';
import { standing, type Stand } from './stand';
import { openEdges, surfaceOf } from './surface';

/** What a ruler, a tape and a measuring jug would find. In mm and ml, at the middle of the fabric. */
export interface FormMeasures {
  widthMm: number;
  depthMm: number;
  heightMm: number;
  volumeMl: number;
  /** by round: way around, mean distance from its middle, height of its middle over the start */
  rounds: { count: number; circumferenceMm: number; radiusMm: number; heightMm: number }[];
}

/** Volume inside the wall in ml; open edges are closed by a flat lid. Nothing is inside a piece in rows. */
export function volumeMl(fabric: Fabric, { nodes, places }: RelaxedForm): number {
  if (fabric.row[0] === 1) return 0;
  const surface = surfaceOf(fabric, nodes, true);
  const at = (node: number): [number, number, number] => [
    places[node * 3] ?? 0,
    places[node * 3 + 1] ?? 0,
    places[node * 3 + 2] ?? 0,
  ];
  const six = ([ax, ay, az]: number[], [bx, by, bz]: number[], [cx, cy, cz]: number[]) =>
    ax! * (by! * cz! - bz! * cy!) + ay! * (bz! * cx! - bx! * cz!) + az! * (bx! * cy! - by! * cx!);
  let sum = 0;
  const { triangles } = surface;
  for (let i = 0; i < triangles.length; i += 3)
    sum += six(at(triangles[i] ?? 0), at(triangles[i + 1] ?? 0), at(triangles[i + 2] ?? 0));
  for (const loop of openEdges(surface)) {
    const middle = [0, 0, 0];
    for (const node of loop)
      at(node).forEach((value, axis) => {
        middle[axis] = (middle[axis] ?? 0) + value / loop.length;
      });
    loop.forEach((node, i) => {
      sum += six(at(loop[(i + 1) % loop.length] ?? 0), at(node), middle);
    });
  }
  // A sixth of the box product each; 1000 mm³ are a millilitre.
  return Math.abs(sum) / 6 / 1000;
}

/** Width, depth and height as the part stands, its volume, and each round. */
export function measureForm(fabric: Fabric, form: RelaxedForm, stand: Stand): FormMeasures {
  const placed = standing(form, stand, fabric.row[0] === 1);
  const low = [Infinity, Infinity, Infinity];
  const high = [-Infinity, -Infinity, -Infinity];
  for (let i = 0; i < form.nodes.stitches * 3; i += 1) {
    low[i % 3] = Math.min(low[i % 3] ?? 0, placed[i] ?? 0);
    high[i % 3] = Math.max(high[i % 3] ?? 0, placed[i] ?? 0);
  }
  const size = (axis: number) => (form.nodes.stitches > 0 ? (high[axis] ?? 0) - (low[axis] ?? 0) : 0);
  const rounds = Array.from({ length: fabric.rounds }, (_, round) => measureRound(fabric, form, round));
  const base = rounds[0]?.heightMm ?? 0;
  return {
    widthMm: size(0),
    depthMm: size(2),
    heightMm: size(1),
    volumeMl: volumeMl(fabric, form),
    rounds: rounds.map((round) => ({ ...round, heightMm: round.heightMm - base })),
  };
}

function measureRound(
  fabric: Fabric,
  { places }: RelaxedForm,
  round: number,
): FormMeasures['rounds'][number] {
  const from = fabric.offset[round] ?? 0;
  const count = roundCount(fabric, round + 1);
  const { middle, axis } = roundPlane(places, from, Math.max(1, count));
  let way = 0;
  let radius = 0;
  for (let i = 0; i < count; i += 1) {
    const at = (from + i) * 3;
    const [x, y, z] = [places[at]! - middle[0], places[at + 1]! - middle[1], places[at + 2]! - middle[2]];
    // The climb of a spiral is no part of its radius.
    const climb = x * axis[0] + y * axis[1] + z * axis[2];
    radius += Math.sqrt(Math.max(0, x * x + y * y + z * z - climb * climb)) / count;
    if (i + 1 < count)
      way += Math.hypot(
        places[at + 3]! - places[at]!,
        places[at + 4]! - places[at + 1]!,
        places[at + 5]! - places[at + 2]!,
      );
  }
  // A spiral round does not meet itself: as many steps as stitches, each as long as the others in the mean.
  const around = fabric.row[round] === 1 || count < 2 ? way : (way * count) / (count - 1);
  return { count, circumferenceMm: around, radiusMm: radius, heightMm: count > 0 ? middle[2] : 0 };
}
