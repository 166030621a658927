import type { Fabric } from '../../fabric/fabric';
import type { SurfacePoint } from './surfacePoint';
import { outwardAt } from './sight';
import type { PlacedNodes } from './stand';

/**
 * Where a hole of the fabric really is on the form: at the foot of the stitch that is worked into it, between what that is worked into.
 *
 * @param line the line of holes between the rounds with index `line` and `line + 1`, from 1
 * @param hole from 1 in the round above the line; halves lie between two holes
 */
export function holePoint(
  fabric: Fabric,
  form: PlacedNodes,
  line: number,
  hole: number,
): SurfacePoint | null {
  const { nodes, placed } = form;
  const from = fabric.offset[line] ?? 0;
  const count = (fabric.offset[line + 1] ?? 0) - from;
  if (count <= 0) return null;
  const footOf = (number: number): number[] => {
    const stitch = from + ((((number - 1) % count) + count) % count);
    const first = fabric.parentFirst[stitch] ?? -1;
    const parents = fabric.parentCount[stitch] ?? 0;
    if (first < 0 || parents === 0) return [Math.max(0, nodes.down[stitch] ?? stitch)];
    return Array.from({ length: parents }, (_, i) => first + i);
  };
  const feet = Number.isInteger(hole)
    ? footOf(hole)
    : [...footOf(Math.floor(hole)), ...footOf(Math.ceil(hole))];
  const mean = (of: (node: number) => readonly number[]) =>
    [0, 1, 2].map((axis) => feet.reduce((sum, node) => sum + (of(node)[axis] ?? 0), 0) / feet.length) as [
      number,
      number,
      number,
    ];
  const out = mean((node) => outwardAt(form, node));
  const size = Math.hypot(...out) || 1;
  return {
    at: mean((node) => [placed[node * 3] ?? 0, placed[node * 3 + 1] ?? 0, placed[node * 3 + 2] ?? 0]),
    out: [out[0] / size, out[1] / size, out[2] / size],
    stitch: feet[0] ?? 0,
  };
}
