import { frontLoop, type Fabric } from '../../fabric/fabric';
import { stitchKinds } from '../../notation/terms';
import type { FormNodes } from './nodes';
import { outgrowthFrames } from './outgrowths';
import { outwardAt } from './sight';
import type { Stand } from './stand';

/** How a stitch is drawn: two strokes up into a V, two feet drawn together, a V on a post, or the free loop of a ridge. */
export type StitchLook = 'v' | 'decrease' | 'tall' | 'loop';

/**
 * Where each stitch lies and how it leans, for drawing one shape many times. Per stitch sixteen numbers of an affine matrix, column by
 * column: along the round (one stitch wide), from its foot to its top, outward (one stitch), and the foot itself.
 */
export interface StitchFrames {
  look: StitchLook;
  /** the stitch each matrix belongs to */
  stitch: Uint32Array;
  matrices: Float32Array;
}

const tallKinds = new Set(['hdc', 'dc', 'tr', 'dtr']);

/**
 * Frames of all stitches by the way they look.
 *
 * @param placed as from `standing`, in mm
 */
export function stitchFrames(
  fabric: Fabric,
  nodes: FormNodes,
  placed: Float32Array,
  stand: Stand,
): StitchFrames[] {
  const lists: Record<StitchLook, { stitch: number[]; matrices: number[] }> = {
    v: { stitch: [], matrices: [] },
    decrease: { stitch: [], matrices: [] },
    tall: { stitch: [], matrices: [] },
    loop: { stitch: [], matrices: [] },
  };
  const at = (node: number): [number, number, number] => [
    placed[node * 3] ?? 0,
    placed[node * 3 + 1] ?? 0,
    placed[node * 3 + 2] ?? 0,
  ];
  const meanWidth = meanStep(nodes, placed);
  for (let stitch = 0; stitch < nodes.stitches; stitch += 1) {
    const top = at(stitch);
    const parents = fabric.parentCount[stitch] ?? 0;
    const first = fabric.parentFirst[stitch] ?? -1;
    const feet =
      parents > 0 && first >= 0
        ? Array.from({ length: parents }, (_, i) => at(first + i))
        : [at(Math.max(0, nodes.down[stitch] ?? stitch))];
    const foot = [0, 1, 2].map(
      (axis) => feet.reduce((sum, point) => sum + point[axis]!, 0) / feet.length,
    ) as [number, number, number];
    const [before, after] = [nodes.prev[stitch] ?? -1, nodes.next[stitch] ?? -1];
    const [a, b] = [at(before < 0 ? stitch : before), at(after < 0 ? stitch : after)];
    const spread = before >= 0 && after >= 0 ? 2 : 1;
    const along = [0, 1, 2].map((axis) => (b[axis]! - a[axis]!) / spread) as [number, number, number];
    if (Math.hypot(...along) < 1e-6) along[0] = meanWidth;
    const out = outwardAt(nodes, placed, stand, stitch);
    // A stitch is the same on its left as on its right: turned over, its matrix keeps its outside out.
    const rise = [0, 1, 2].map((axis) => top[axis]! - foot[axis]!) as [number, number, number];
    const handed =
      along[0] * (rise[1] * out[2] - rise[2] * out[1]) +
      along[1] * (rise[2] * out[0] - rise[0] * out[2]) +
      along[2] * (rise[0] * out[1] - rise[1] * out[0]);
    if (handed < 0) for (const axis of [0, 1, 2] as const) along[axis] = -along[axis];
    const ring = (nodes.down[stitch] ?? -1) === nodes.startPole && nodes.startPole >= 0;
    // Stitches worked into a ring leave its middle open a little.
    if (ring) for (const axis of [0, 1, 2] as const) foot[axis] += (top[axis] - foot[axis]) * 0.25;
    const kind = stitchKinds[fabric.kind[stitch] ?? 0] ?? 'sc';
    const look: StitchLook = parents > 1 ? 'decrease' : tallKinds.has(kind) ? 'tall' : 'v';
    const push = (name: StitchLook, columns: number[][]) => {
      lists[name].stitch.push(stitch);
      for (const [i, column] of columns.entries()) lists[name].matrices.push(...column, i === 3 ? 1 : 0);
    };
    const outward = out.map((value) => value * meanWidth);
    push(look, [along, top.map((value, axis) => value - foot[axis]!), outward, foot]);
    // A loop left free on the outside stands as a line under the round worked into the other loop.
    const ridged =
      nodes.ridge[nodes.round[stitch]! + 1] === 1 &&
      fabric.base[nodes.round[stitch]! + 1] === nodes.round[stitch]! + 1;
    if (ridged && ((fabric.used[stitch] ?? 0) & frontLoop) === 0)
      push('loop', [along, top.map((value, axis) => (value - foot[axis]!) * 0.3), outward, top]);
  }
  for (const { stitch, columns } of outgrowthFrames(fabric, nodes, placed, stand, meanWidth)) {
    lists.v.stitch.push(stitch);
    for (const [i, column] of columns.entries()) lists.v.matrices.push(...column, i === 3 ? 1 : 0);
  }
  return (Object.keys(lists) as StitchLook[])
    .map((look) => ({
      look,
      stitch: Uint32Array.from(lists[look].stitch),
      matrices: Float32Array.from(lists[look].matrices),
    }))
    .filter((frames) => frames.stitch.length > 0);
}

/** Mean way from stitch to stitch along the yarn, in mm. */
function meanStep(nodes: FormNodes, placed: Float32Array): number {
  let [sum, count] = [0, 0];
  for (let stitch = 0; stitch < nodes.stitches; stitch += 1) {
    const next = nodes.next[stitch] ?? -1;
    if (next < 0) continue;
    sum += Math.hypot(
      placed[next * 3]! - placed[stitch * 3]!,
      placed[next * 3 + 1]! - placed[stitch * 3 + 1]!,
      placed[next * 3 + 2]! - placed[stitch * 3 + 2]!,
    );
    count += 1;
  }
  return count > 0 ? sum / count : 5;
}
