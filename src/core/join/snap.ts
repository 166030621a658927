/** A pair about a front line, as stitch numbers of one round. */
export interface SnappedPair {
  left: number;
  right: number;
}

const half = (value: number): number => Math.round(value * 2) / 2;

/**
 * The middles of a mirrored pair, on whole or half stitches: as mirror-true about the front line as they can be, and of those as near
 * to where they should be. Each may move half a stitch.
 *
 * @param left the wanted middles as real stitch numbers, not brought into one round
 * @param front the front line as a real stitch number of the same round
 */
export function snapPair(left: number, right: number, front: number): SnappedPair {
  const near = (value: number) => [-1, 0, 1].map((by) => half(value) + by / 2);
  let best = { left: half(left), right: half(right), uneven: Infinity, off: Infinity, apart: 0 };
  for (const a of near(left)) {
    for (const b of near(right)) {
      const uneven = Math.abs(a + b - 2 * front);
      const off = (a - left) ** 2 + (b - right) ** 2;
      // Of two that are as good the wider one: so it is the same whichever way the stitches are counted.
      const apart = Math.abs(a - b);
      const isAsEven = uneven < best.uneven + 1e-9;
      const isAsNear = isAsEven && off < best.off + 1e-9;
      const isBetter =
        uneven < best.uneven - 1e-9 ||
        (isAsEven && off < best.off - 1e-9) ||
        (isAsNear && apart > best.apart);
      if (isBetter) best = { left: a, right: b, uneven, off, apart };
    }
  }
  return { left: best.left, right: best.right };
}

/** A single middle on a whole or half stitch. */
export const snapOne = half;
