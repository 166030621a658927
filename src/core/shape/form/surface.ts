import type { Fabric } from '../../fabric/fabric';
import type { FormNodes } from './nodes';

/** The fabric as triangles over the nodes, outside facing out. */
export interface Surface {
  /** three nodes a triangle */
  triangles: Uint32Array;
  /** the stitch each triangle belongs to */
  stitch: Uint32Array;
}

/**
 * Spans the fabric between the stitches: each stitch with what it is worked into, and with the next stitch along the yarn.
 *
 * @param wallOnly leaves frills out
 */
export function surfaceOf(fabric: Fabric, nodes: FormNodes, wallOnly = false): Surface {
  const triangles: number[] = [];
  const owner: number[] = [];
  const add = (stitch: number, a: number, b: number, c: number) => {
    if (a < 0 || b < 0 || c < 0 || a === b || b === c || a === c) return;
    triangles.push(a, b, c);
    owner.push(stitch);
  };
  const feet = (stitch: number): [number, number] => {
    const down = nodes.down[stitch] ?? -1;
    const first = fabric.parentFirst[stitch] ?? -1;
    if (down >= nodes.stitches || first < 0) return [down, down];
    return [first, first + Math.max(1, fabric.parentCount[stitch] ?? 1) - 1];
  };
  for (let stitch = 0; stitch < nodes.stitches; stitch += 1) {
    const round = nodes.round[stitch] ?? 0;
    if (wallOnly && nodes.wall[round] !== 1) continue;
    const flip = fabric.row[round] === 1 && round % 2 === 1;
    const face = (a: number, b: number, c: number) => (flip ? add(stitch, a, c, b) : add(stitch, a, b, c));
    const [from, to] = feet(stitch);
    // Worked back along a row, what is worked into runs the other way.
    const step = flip ? -1 : 1;
    for (let foot = from; foot < to; foot += 1) face(flip ? foot + 1 : foot, flip ? foot : foot + 1, stitch);
    const next = nodes.next[stitch] ?? -1;
    if (next < 0 || (wallOnly && nodes.wall[nodes.round[next] ?? 0] !== 1)) continue;
    const [nextFrom, nextTo] = feet(next);
    const last = step > 0 ? to : from;
    const first = step > 0 ? nextFrom : nextTo;
    if (last !== first) face(last, first, next);
    face(last, next, stitch);
  }
  if (nodes.endPole >= 0) {
    for (let stitch = fabric.offset[fabric.rounds - 1] ?? 0; stitch < nodes.stitches; stitch += 1) {
      const next = nodes.next[stitch] ?? -1;
      if (next >= 0) add(stitch, stitch, next, nodes.endPole);
    }
  }
  return { triangles: Uint32Array.from(triangles), stitch: Uint32Array.from(owner) };
}

/** The open edges of a surface as closed ways over nodes, each turning as the triangles beside it do. */
export function openEdges({ triangles }: Surface): number[][] {
  const edges = new Map<number, number>();
  const size = triangles.reduce((most, node) => Math.max(most, node), 0) + 1;
  for (let i = 0; i < triangles.length; i += 3) {
    for (let k = 0; k < 3; k += 1) {
      const [a, b] = [triangles[i + k] ?? 0, triangles[i + ((k + 1) % 3)] ?? 0];
      if (!edges.delete(b * size + a)) edges.set(a * size + b, 1);
    }
  }
  const after = new Map<number, number[]>();
  for (const edge of edges.keys()) {
    const from = Math.floor(edge / size);
    after.set(from, [...(after.get(from) ?? []), edge % size]);
  }
  const loops: number[][] = [];
  for (const start of after.keys()) {
    const loop: number[] = [];
    let at = start;
    for (let next = after.get(at)?.pop(); next !== undefined; next = after.get(at)?.pop()) {
      loop.push(at);
      at = next;
      if (at === start) break;
    }
    if (loop.length > 2) loops.push(loop);
  }
  return loops;
}
