/**
 * Finds how a set of points drifts and turns as one rigid piece between two sets of places: mean velocity, and the angular velocity that
 * carries its angular momentum, ω = I⁻¹ L.
 *
 * @param motion receives nine numbers: the middle, the drift, the turning (a step)
 */
export function wholeMotion(places: Float64Array, before: Float64Array, motion: Float64Array): void {
  const count = places.length / 3;
  let [cx, cy, cz, vx, vy, vz] = [0, 0, 0, 0, 0, 0];
  for (let i = 0; i < places.length; i += 3) {
    cx += places[i]!;
    cy += places[i + 1]!;
    cz += places[i + 2]!;
    vx += places[i]! - before[i]!;
    vy += places[i + 1]! - before[i + 1]!;
    vz += places[i + 2]! - before[i + 2]!;
  }
  cx /= count;
  cy /= count;
  cz /= count;
  vx /= count;
  vy /= count;
  vz /= count;
  let [lx, ly, lz, xx, yy, zz, xy, xz, yz] = [0, 0, 0, 1e-9, 1e-9, 1e-9, 0, 0, 0];
  for (let i = 0; i < places.length; i += 3) {
    const rx = places[i]! - cx;
    const ry = places[i + 1]! - cy;
    const rz = places[i + 2]! - cz;
    const ux = places[i]! - before[i]! - vx;
    const uy = places[i + 1]! - before[i + 1]! - vy;
    const uz = places[i + 2]! - before[i + 2]! - vz;
    lx += ry * uz - rz * uy;
    ly += rz * ux - rx * uz;
    lz += rx * uy - ry * ux;
    xx += ry * ry + rz * rz;
    yy += rx * rx + rz * rz;
    zz += rx * rx + ry * ry;
    xy -= rx * ry;
    xz -= rx * rz;
    yz -= ry * rz;
  }
  // The inverse of a symmetric matrix by its cofactors.
  const [a, b, c] = [yy * zz - yz * yz, xz * yz - xy * zz, xy * yz - xz * yy];
  const det = xx * a + xy * b + xz * c;
  const [d, e, f] = [xx * zz - xz * xz, xy * xz - xx * yz, xx * yy - xy * xy];
  motion[0] = cx;
  motion[1] = cy;
  motion[2] = cz;
  motion[3] = vx;
  motion[4] = vy;
  motion[5] = vz;
  motion[6] = (a * lx + b * ly + c * lz) / det;
  motion[7] = (b * lx + d * ly + e * lz) / det;
  motion[8] = (c * lx + e * ly + f * lz) / det;
}

/**
 * Moves and turns a set of points as one rigid piece so that they lie as nearly as possible on another set: what drift and turning are left
 * of a relaxation is taken away. In place.
 */
export function alignTo(places: Float64Array, target: Float64Array): void {
  const motion = new Float64Array(9);
  for (let pass = 0; pass < 24; pass += 1) {
    wholeMotion(places, target, motion);
    const [cx, cy, cz, vx, vy, vz] = motion as unknown as [number, number, number, number, number, number];
    const [wx, wy, wz] = [-(motion[6] ?? 0), -(motion[7] ?? 0), -(motion[8] ?? 0)];
    const angle = Math.hypot(wx, wy, wz);
    const [kx, ky, kz] = angle > 1e-12 ? [wx / angle, wy / angle, wz / angle] : [0, 0, 1];
    const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
    for (let i = 0; i < places.length; i += 3) {
      const x = places[i]! - cx;
      const y = places[i + 1]! - cy;
      const z = places[i + 2]! - cz;
      // Rodrigues' formula for a turn about an axis.
      const along = (kx * x + ky * y + kz * z) * (1 - cos);
      places[i] = cx - vx + x * cos + (ky * z - kz * y) * sin + kx * along;
      places[i + 1] = cy - vy + y * cos + (kz * x - kx * z) * sin + ky * along;
      places[i + 2] = cz - vz + z * cos + (kx * y - ky * x) * sin + kz * along;
    }
    if (angle < 1e-9) return;
  }
}
