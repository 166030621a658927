import { t } from '../../words/language';
import type { Fabric } from '../../fabric/fabric';
import { surfaceOf } from './surface';
import { isMirrored, type PlacedNodes } from './stand';

/** Where somebody looks from. */
export type Side = 'front' | 'back' | 'left' | 'right' | 'top' | 'underneath';

/** Directions towards the one who looks; left and right as seen from the front. */
export const sideDirections: Readonly<Record<Side, readonly [number, number, number]>> = {
  front: [0, 0, 1],
  back: [0, 0, -1],
  left: [-1, 0, 0],
  right: [1, 0, 0],
  top: [0, 1, 0],
  underneath: [0, -1, 0],
};

/** The outward direction of the fabric at a node, by its neighbours; unit length. */
export function outwardAt({ nodes, placed, stand }: PlacedNodes, node: number): [number, number, number] {
  const of = (side: Int32Array) => {
    const other = side[node] ?? -1;
    return (other < 0 ? node : other) * 3;
  };
  const [w, e, s, n] = [of(nodes.prev), of(nodes.next), of(nodes.down), of(nodes.up)];
  const a = [0, 1, 2].map((axis) => placed[e + axis]! - placed[w + axis]!) as [number, number, number];
  const b = [0, 1, 2].map((axis) => placed[n + axis]! - placed[s + axis]!) as [number, number, number];
  const sign = isMirrored(stand) ? -1 : 1;
  const out: [number, number, number] = [
    sign * (a[1] * b[2] - a[2] * b[1]),
    sign * (a[2] * b[0] - a[0] * b[2]),
    sign * (a[0] * b[1] - a[1] * b[0]),
  ];
  const size = Math.hypot(...out) || 1;
  return [out[0] / size, out[1] / size, out[2] / size];
}

/** Which way a stitch faces, in words: `forward`, `to the left and up`. */
export function facingWords([x, y, z]: readonly [number, number, number]): string {
  const words = [
    z > 0.5 ? 'forward' : z < -0.5 ? 'backward' : '',
    x > 0.38 ? t`to the right` : x < -0.38 ? t`to the left` : '',
    y > 0.38 ? 'up' : y < -0.38 ? 'down' : '',
  ].filter(Boolean);
  return words.length > 1 ? t`${words.slice(0, -1).join(', ')} and ${words.at(-1)}` : (words[0] ?? 'forward');
}

/**
 * The rounds that stand between a stitch and one who looks from a side.
 *
 * @returns rounds from 1, nearest to the looker first; empty where the stitch is seen
 */
export function hiddenBy(
  fabric: Fabric,
  { nodes, placed }: Pick<PlacedNodes, 'nodes' | 'placed'>,
  node: number,
  side: Side,
): number[] {
  const [dx, dy, dz] = sideDirections[side];
  const { triangles, stitch } = surfaceOf(fabric, nodes);
  const at = (other: number) => [placed[other * 3]!, placed[other * 3 + 1]!, placed[other * 3 + 2]!] as const;
  const [ox, oy, oz] = at(node);
  const hits: { far: number; round: number }[] = [];
  for (let i = 0; i < triangles.length; i += 3) {
    const corners = [triangles[i]!, triangles[i + 1]!, triangles[i + 2]!] as const;
    if (corners.includes(node)) continue;
    // Möller and Trumbore's test of a ray against a triangle.
    const [[ax, ay, az], [bx, by, bz], [cx, cy, cz]] = [at(corners[0]), at(corners[1]), at(corners[2])];
    const [ux, uy, uz] = [bx - ax, by - ay, bz - az];
    const [vx, vy, vz] = [cx - ax, cy - ay, cz - az];
    const [px, py, pz] = [dy * vz - dz * vy, dz * vx - dx * vz, dx * vy - dy * vx];
    const det = ux * px + uy * py + uz * pz;
    if (Math.abs(det) < 1e-9) continue;
    const [tx, ty, tz] = [ox - ax, oy - ay, oz - az];
    const u = (tx * px + ty * py + tz * pz) / det;
    const [qx, qy, qz] = [ty * uz - tz * uy, tz * ux - tx * uz, tx * uy - ty * ux];
    const v = (dx * qx + dy * qy + dz * qz) / det;
    const far = (vx * qx + vy * qy + vz * qz) / det;
    // What lies within half a millimetre is the stitch's own neighbourhood.
    if (u >= 0 && v >= 0 && u + v <= 1 && far > 0.5)
      hits.push({ far, round: (nodes.round[stitch[i / 3] ?? 0] ?? 0) + 1 });
  }
  return [...new Set(hits.sort((one, other) => other.far - one.far).map((hit) => hit.round))];
}
