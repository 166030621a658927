import type { Fabric } from '../fabric/fabric';
import type { Gauge } from './gauge';
import type { Profile } from './profile';

const iterations = 400;

/**
 * Rounds a profile as stuffing does: position-based dynamics on the meridian alone. Rows keep their height, rounds can't grow past
 * their stitches, pressure pushes the wall outward until it rests. A piece of revolution only; lengths in mm.
 *
 * @param closedEnd the last round is gathered
 */
export function inflate(fabric: Fabric, profile: Profile, gauge: Gauge, closedEnd: boolean): Profile {
  const count = fabric.rounds + 1;
  const ring = fabric.start === 'ring';
  const r = new Float64Array(count);
  const z = new Float64Array(count);
  const most = new Float64Array(count);
  const length = new Float64Array(count);
  for (let i = 1; i < count; i += 1) {
    r[i] = profile.radius[i - 1] ?? 0;
    z[i] = profile.z[i - 1] ?? 0;
    most[i] = r[i] ?? 0;
    length[i] = (profile.along[i - 1] ?? 0) - (i > 1 ? (profile.along[i - 2] ?? 0) : 0);
  }
  r[0] = ring ? 0 : (r[1] ?? 0);
  most[0] = r[0] ?? 0;
  for (let step = 0; step < iterations; step += 1) {
    const push = gauge.heightMm * 0.08 * (1 - step / iterations);
    for (let i = 1; i < count; i += 1) {
      // Outward is to the right of the way from the start to the end.
      const dr = (r[i] ?? 0) - (r[i - 1] ?? 0);
      const dz = (z[i] ?? 0) - (z[i - 1] ?? 0);
      const size = Math.hypot(dr, dz) || 1;
      for (const at of [i - 1, i]) {
        r[at] = (r[at] ?? 0) + (push * dz) / size;
        z[at] = (z[at] ?? 0) - (push * dr) / size;
      }
    }
    for (let pass = 0; pass < 4; pass += 1) {
      for (let i = 1; i < count; i += 1) {
        const dr = (r[i] ?? 0) - (r[i - 1] ?? 0);
        const dz = (z[i] ?? 0) - (z[i - 1] ?? 0);
        const size = Math.hypot(dr, dz) || 1e-9;
        const share = (0.5 * (size - (length[i] ?? 0))) / size;
        r[i] = (r[i] ?? 0) - dr * share;
        z[i] = (z[i] ?? 0) - dz * share;
        r[i - 1] = (r[i - 1] ?? 0) + dr * share;
        z[i - 1] = (z[i - 1] ?? 0) + dz * share;
      }
      for (let i = 0; i < count; i += 1) r[i] = Math.max(0, Math.min(most[i] ?? 0, r[i] ?? 0));
      if (ring) r[0] = 0;
      if (closedEnd) r[count - 1] = Math.min(r[count - 1] ?? 0, gauge.widthMm * 0.4);
    }
  }
  let low = Infinity;
  for (let i = 0; i < count; i += 1) low = Math.min(low, z[i] ?? 0);
  return { ...profile, radius: r.slice(1), z: z.slice(1).map((value) => value - low) };
}
