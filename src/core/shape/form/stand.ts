import type { RelaxedForm } from './relaxForm';
import type { FormNodes } from './nodes';

/** How a part stands before the one who looks at it. */
export interface Stand {
  /** azimuth that faces forward */
  front: number;
  /** +1 where stitch numbers run left to right as seen from the front */
  dir: 1 | -1;
  /** where the start of the part is on the finished toy */
  start: 'top' | 'bottom';
  /** stood up so, then turned a quarter to the left */
  lying: boolean;
}

/** The nodes of a form as it stands: three numbers a node in `placed`, in mm, as from `standing`. */
export interface PlacedNodes {
  nodes: FormNodes;
  placed: Float32Array;
  stand: Stand;
}

/**
 * Turns a form to stand as on the finished toy: x to the right as seen from the front, y up, z towards the one who looks, in mm, its
 * middle at the origin. Left-handed work is the mirror image.
 *
 * @returns three numbers a node
 */
export function standing(
  form: RelaxedForm,
  { front, dir, start, lying }: Stand,
  flat: boolean,
): Float32Array {
  const { places } = form;
  const placed = new Float32Array(places.length);
  // A piece in rows lies in the plane of azimuth 0; its face looks a quarter turn on.
  const facing = flat ? Math.PI / 2 : front;
  const [cos, sin] = [Math.cos(facing), Math.sin(facing)];
  const up = start === 'top' ? -1 : 1;
  const low = [Infinity, Infinity, Infinity];
  const high = [-Infinity, -Infinity, -Infinity];
  for (let i = 0; i < places.length; i += 3) {
    const x = places[i] ?? 0;
    const y = places[i + 1] ?? 0;
    const [right, above] = [dir * (y * cos - x * sin), up * (places[i + 2] ?? 0)];
    const at = [lying ? -above : right, lying ? right : above, x * cos + y * sin];
    at.forEach((value, axis) => {
      placed[i + axis] = value;
      low[axis] = Math.min(low[axis] ?? 0, value);
      high[axis] = Math.max(high[axis] ?? 0, value);
    });
  }
  for (let i = 0; i < placed.length; i += 1)
    placed[i] = (placed[i] ?? 0) - ((low[i % 3] ?? 0) + (high[i % 3] ?? 0)) / 2;
  return placed;
}

/** Whether triangles have to be turned over for their outside to face out: one mirroring does, two do not. */
export function isMirrored({ dir, start }: Stand): boolean {
  return dir * (start === 'top' ? -1 : 1) < 0;
}
