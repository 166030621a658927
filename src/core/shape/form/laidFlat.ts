import type { FormNodes } from './nodes';

/** Half the thickness of a part pressed flat, in stitch widths: two layers of fabric. */
export const pressedHalf = 0.3;

/**
 * Lays first places flat as hands fold a part: the wall of each half goes up as far as it is long, whether it rose before or spread out,
 * so that a flat circle becomes half of one and a ball a disc. Both halves do so alike; pressed from a disc that lies across, folding
 * would be left to chance.
 *
 * @param places three numbers a node, in stitch widths; changed
 * @param front azimuth of the side that hands press on, in radians
 */
export function layFlat(places: Float64Array, nodes: FormNodes, front: number): void {
  const [cos, sin] = [Math.cos(front), Math.sin(front)];
  const depthOf = (at: number) => (places[at] ?? 0) * cos + (places[at + 1] ?? 0) * sin;
  const acrossOf = (at: number) => (places[at + 1] ?? 0) * cos - (places[at] ?? 0) * sin;
  const depths = Float64Array.from({ length: nodes.count }, (_, node) => depthOf(node * 3));
  const heights = Float64Array.from({ length: nodes.count }, (_, node) => places[node * 3 + 2] ?? 0);
  const laid = heights.slice();
  for (let stitch = 0; stitch < nodes.stitches; stitch += 1) {
    const down = nodes.down[stitch] ?? -1;
    if (down < 0) continue;
    const under = depths[down] ?? 0;
    // Around the start the foot of a stitch is the middle, whichever side the stitch is on.
    const inward = Math.abs(depths[stitch] ?? 0) - Math.abs(under);
    laid[stitch] = (laid[down] ?? 0) + Math.hypot(inward, (heights[stitch] ?? 0) - (heights[down] ?? 0));
  }
  for (let node = 0; node < nodes.count; node += 1) {
    const at = node * 3;
    const across = acrossOf(at);
    const depth = Math.max(-pressedHalf, Math.min(pressedHalf, depths[node] ?? 0));
    places[at] = depth * cos - across * sin;
    places[at + 1] = depth * sin + across * cos;
    places[at + 2] = laid[node] ?? 0;
  }
  if (nodes.endPole < 0) return;
  places[nodes.endPole * 3 + 2] = laid[nodes.stitches - 1] ?? 0;
}
