import type { Fabric } from '../../fabric/fabric';
import { outwardAt } from './sight';
import type { PlacedNodes } from './stand';

/** A stitch of an outgrowth, as a matrix column by column like those of the fabric's own stitches. */
export interface OutgrowthFrame {
  /** the stitch it grows from */
  stitch: number;
  columns: [number[], number[], number[], number[]];
}

/** Length of a chain stitch as a share of the stitch width. */
export const chainLength = 0.62;
/** How far each one bends down under its own weight, in radians. */
const droop = 0.12;

/**
 * Outgrowths as they hang from the fabric: a chain outward from its stitch, bending down, and what is worked back along it beside it.
 * They take no part in the wall's form, so they are laid rather than relaxed.
 *
 * @param step mean stitch width in mm
 */
export function outgrowthFrames(fabric: Fabric, form: PlacedNodes, step: number): OutgrowthFrame[] {
  const { nodes, placed } = form;
  const frames: OutgrowthFrame[] = [];
  for (const { after, kinds } of fabric.outgrowths) {
    const stitch = Math.max(0, after);
    if (stitch >= nodes.stitches) continue;
    const chains = Math.max(
      1,
      kinds.findIndex((kind) => kind !== 'ch') < 0 ? kinds.length : kinds.findIndex((kind) => kind !== 'ch'),
    );
    const back = kinds.length - chains;
    let [x, y, z] = outwardAt(form, stitch);
    const at = [placed[stitch * 3] ?? 0, placed[stitch * 3 + 1] ?? 0, placed[stitch * 3 + 2] ?? 0];
    const next = nodes.next[stitch] ?? -1;
    const along = [0, 1, 2].map((axis) =>
      next < 0 ? [step, 0, 0][axis]! : (placed[next * 3 + axis] ?? 0) - at[axis]!,
    );
    const length = step * chainLength;
    for (let i = 0; i < chains; i += 1) {
      const up = [x * length, y * length, z * length];
      // Outward of the chain: square to the way it goes and to its width.
      const out = [
        along[1]! * z - along[2]! * y,
        along[2]! * x - along[0]! * z,
        along[0]! * y - along[1]! * x,
      ];
      const size = Math.hypot(...out) || 1;
      const outward = out.map((value) => (value / size) * step * 0.8);
      const foot = [...at];
      frames.push({ stitch, columns: [along.map((value) => value * 0.5), up, outward, foot] });
      // The stitches worked back lie along the chain, its last ones first; more of them than chains make it curl.
      const here = Math.round(((i + 1) * back) / chains) - Math.round((i * back) / chains);
      for (let k = 0; k < here; k += 1)
        frames.push({
          stitch,
          columns: [
            along.map((value) => value * 0.6),
            up,
            outward,
            foot.map((value, axis) => value + along[axis]! * (0.45 + 0.2 * k)),
          ],
        });
      for (const axis of [0, 1, 2]) at[axis]! += up[axis]!;
      y -= droop + Math.max(0, here - 1) * 0.25;
      const turned = Math.hypot(x, y, z) || 1;
      [x, y, z] = [x / turned, y / turned, z / turned];
    }
  }
  return frames;
}
