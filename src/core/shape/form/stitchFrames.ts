import { frontLoop, type Fabric } from '../../fabric/fabric';
import { stitchKinds } from '../../notation/stitchKinds';
import type { FormNodes } from './nodes';
import { outgrowthFrames } from './outgrowths';
import { outwardAt } from './sight';
import type { PlacedNodes } from './stand';

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

type Point = [number, number, number];
type Columns = readonly (readonly number[])[];

const axes = [0, 1, 2] as const;
const pointBy = (of: (axis: 0 | 1 | 2) => number): Point => [of(0), of(1), of(2)];

/** Determinant of three columns: negative where they are left-handed. */
const handedness = (a: Point, b: Point, c: Point): number =>
  a[0] * (b[1] * c[2] - b[2] * c[1]) +
  a[1] * (b[2] * c[0] - b[0] * c[2]) +
  a[2] * (b[0] * c[1] - b[1] * c[0]);

/** Collects the frames of one part by their looks. */
class FrameLists {
  private readonly lists: Record<StitchLook, { stitch: number[]; matrices: number[] }> = {
    v: { stitch: [], matrices: [] },
    decrease: { stitch: [], matrices: [] },
    tall: { stitch: [], matrices: [] },
    loop: { stitch: [], matrices: [] },
  };
  private readonly meanWidth: number;

  constructor(
    private readonly fabric: Fabric,
    private readonly placed: PlacedNodes,
  ) {
    this.meanWidth = meanStep(placed.nodes, placed.placed);
  }

  all(): StitchFrames[] {
    const { fabric, placed, meanWidth, lists } = this;
    for (let stitch = 0; stitch < placed.nodes.stitches; stitch += 1) this.addStitch(stitch);
    for (const { stitch, columns } of outgrowthFrames(fabric, placed, meanWidth))
      this.push('v', stitch, columns);
    return (Object.keys(lists) as StitchLook[])
      .map((look) => ({
        look,
        stitch: Uint32Array.from(lists[look].stitch),
        matrices: Float32Array.from(lists[look].matrices),
      }))
      .filter((frames) => frames.stitch.length > 0);
  }

  private push(look: StitchLook, stitch: number, columns: Columns): void {
    this.lists[look].stitch.push(stitch);
    for (const [i, column] of columns.entries()) this.lists[look].matrices.push(...column, i === 3 ? 1 : 0);
  }

  private at(node: number): Point {
    const { placed } = this.placed;
    return pointBy((axis) => placed[node * 3 + axis] ?? 0);
  }

  /** The middle of what a stitch is worked into. Stitches worked into a ring leave its middle open a little. */
  private footOf(stitch: number, top: Point): Point {
    const { fabric } = this;
    const { nodes } = this.placed;
    const parents = fabric.parentCount[stitch] ?? 0;
    const first = fabric.parentFirst[stitch] ?? -1;
    const feet =
      parents > 0 && first >= 0
        ? Array.from({ length: parents }, (_, i) => this.at(first + i))
        : [this.at(Math.max(0, nodes.down[stitch] ?? stitch))];
    const foot = pointBy((axis) => feet.reduce((sum, point) => sum + point[axis], 0) / feet.length);
    const isInRing = nodes.startPole >= 0 && nodes.down[stitch] === nodes.startPole;
    return isInRing ? pointBy((axis) => foot[axis] + (top[axis] - foot[axis]) * 0.25) : foot;
  }

  /** Along the round, one stitch wide. */
  private alongOf(stitch: number): Point {
    const { nodes } = this.placed;
    const [before, after] = [nodes.prev[stitch] ?? -1, nodes.next[stitch] ?? -1];
    const [a, b] = [this.at(before < 0 ? stitch : before), this.at(after < 0 ? stitch : after)];
    const spread = before >= 0 && after >= 0 ? 2 : 1;
    const along = pointBy((axis) => (b[axis] - a[axis]) / spread);
    if (Math.hypot(...along) < 1e-6) along[0] = this.meanWidth;
    return along;
  }

  private lookOf(stitch: number): StitchLook {
    const { fabric } = this;
    if ((fabric.parentCount[stitch] ?? 0) > 1) return 'decrease';
    return tallKinds.has(stitchKinds[fabric.kind[stitch] ?? 0] ?? 'sc') ? 'tall' : 'v';
  }

  /** A loop left free on the outside stands as a line under the round worked into the other loop. */
  private hasFreeLoop(stitch: number): boolean {
    const { fabric } = this;
    const { ridge, round } = this.placed.nodes;
    const above = (round[stitch] ?? 0) + 1;
    const isUnderRidge = ridge[above] === 1 && fabric.base[above] === above;
    return isUnderRidge && ((fabric.used[stitch] ?? 0) & frontLoop) === 0;
  }

  private addStitch(stitch: number): void {
    const top = this.at(stitch);
    const foot = this.footOf(stitch, top);
    const along = this.alongOf(stitch);
    const out = outwardAt(this.placed, stitch);
    // A stitch is the same on its left as on its right: turned over, its matrix keeps its outside out.
    const rise = pointBy((axis) => top[axis] - foot[axis]);
    if (handedness(along, rise, out) < 0) for (const axis of axes) along[axis] = -along[axis];
    const outward = out.map((value) => value * this.meanWidth);
    this.push(this.lookOf(stitch), stitch, [along, rise, outward, foot]);
    if (this.hasFreeLoop(stitch))
      this.push('loop', stitch, [along, rise.map((value) => value * 0.3), outward, top]);
  }
}

/** Frames of all stitches by the way they look. */
export const stitchFrames = (fabric: Fabric, placed: PlacedNodes): StitchFrames[] =>
  new FrameLists(fabric, placed).all();

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
