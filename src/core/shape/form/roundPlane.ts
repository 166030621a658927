type Vector = [number, number, number];

/** Middle of a round and the axis it goes around: by the areas its stitches sweep about the middle (Newell's method). Unit length. */
export function roundPlane(
  places: Float64Array,
  from: number,
  count: number,
): { middle: Vector; axis: Vector } {
  const middle: Vector = [0, 0, 0];
  for (let i = from * 3; i < (from + count) * 3; i += 1) middle[(i % 3) as 0 | 1 | 2] += places[i]! / count;
  const [mx, my, mz] = middle;
  let [nx, ny, nz] = [0, 0, 0];
  for (let i = 0; i < count; i += 1) {
    const p = (from + i) * 3;
    const q = (from + ((i + 1) % count)) * 3;
    const [px, py, pz] = [places[p]! - mx, places[p + 1]! - my, places[p + 2]! - mz];
    const [qx, qy, qz] = [places[q]! - mx, places[q + 1]! - my, places[q + 2]! - mz];
    nx += py * qz - pz * qy;
    ny += pz * qx - px * qz;
    nz += px * qy - py * qx;
  }
  const size = Math.hypot(nx, ny, nz);
  return { middle, axis: size < 1e-9 ? [0, 0, 1] : [nx / size, ny / size, nz / size] };
}
