import { CatmullRomCurve3, TubeGeometry, Vector3, type BufferGeometry } from 'three';
import { mergeGeometries } from 'three/examples/jsm/utils/BufferGeometryUtils.js';
import type { StitchLook } from '../../../core/shape/form/stitchFrames';

/** A strand of yarn through points, in stitch widths along, foot to top, and outward. */
function strand(
  points: [number, number, number][],
  thickness: number,
  segments: number,
  sides: number,
): BufferGeometry {
  return new TubeGeometry(
    new CatmullRomCurve3(points.map((point) => new Vector3(...point))),
    segments,
    thickness,
    sides,
    false,
  );
}

const mirrored = (points: [number, number, number][]) =>
  points.map(([x, y, z]) => [-x, y, z] as [number, number, number]);

/** Faces along and around a strand: near at hand, many stitches, and while a slow machine turns them. */
const details = { fine: [5, 6], plain: [3, 5], coarse: [2, 3] } as const;
export type Detail = keyof typeof details;

/** Yarn fills the fabric: two strands side by side are about as wide as the stitch. */
const yarn = 0.235;

/**
 * The few shapes every stitch is drawn with: strokes that lean up and apart from a common foot and swell outward in the middle, as the
 * two legs of a stitch do.
 */
export function stitchShape(look: StitchLook, detail: Detail): BufferGeometry {
  const [segments, sides] = details[detail];
  const pair = (points: [number, number, number][], thickness = yarn) =>
    mergeGeometries([
      strand(points, thickness, segments, sides),
      strand(mirrored(points), thickness, segments, sides),
    ]);
  switch (look) {
    case 'v':
      return pair([
        [0.03, 0.12, -0.06],
        [0.15, 0.4, 0.14],
        [0.31, 0.78, 0.2],
        [0.34, 1.1, 0.02],
      ]);
    case 'decrease':
      return pair([
        [0.52, 0.0, -0.02],
        [0.42, 0.35, 0.14],
        [0.22, 0.8, 0.16],
        [0.16, 1.14, 0],
      ]);
    case 'tall':
      return mergeGeometries([
        pair(
          [
            [0.1, 0.0, 0],
            [0.13, 0.3, 0.06],
            [0.2, 0.68, 0.1],
            [0.32, 1.08, 0],
          ],
          yarn * 0.8,
        ),
        strand(
          [
            [-0.3, 0.42, 0.14],
            [0, 0.5, 0.26],
            [0.3, 0.58, 0.14],
          ],
          yarn * 0.6,
          segments,
          sides,
        ),
      ]);
    case 'loop':
      return strand(
        [
          [-0.5, 0.1, 0.12],
          [0, 0.1, 0.36],
          [0.5, 0.1, 0.12],
        ],
        yarn * 0.75,
        segments,
        sides,
      );
  }
}
