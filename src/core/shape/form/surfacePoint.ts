/** A point on the form, and the way out of the fabric there. */
export interface SurfacePoint {
  at: [number, number, number];
  out: [number, number, number];
  /** the node nearest to it */
  stitch: number;
}
