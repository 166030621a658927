import type { OutlinePoint } from './meridian';

const steps = 400;
const curve = (point: (share: number) => OutlinePoint): OutlinePoint[] =>
  Array.from({ length: steps + 1 }, (_, i) => point(i / steps));
const line = (from: OutlinePoint, to: OutlinePoint): OutlinePoint[] =>
  curve((t) => ({ r: from.r + (to.r - from.r) * t, z: from.z + (to.z - from.z) * t }));

/** A ball of a diameter: r = R·sin θ. */
export function ball(width: number): OutlinePoint[] {
  const radius = width / 2;
  return curve((t) => ({ r: radius * Math.sin(Math.PI * t), z: radius * (1 - Math.cos(Math.PI * t)) }));
}

/** An egg: a ball drawn out to a height, its widest place below the middle. */
export function egg(width: number, height: number): OutlinePoint[] {
  // The factor of the sine moves the widest place towards the end by a tenth of the height; its greatest value is divided out.
  const bulge = (t: number) => Math.sin(Math.PI * t) * (1 + 0.25 * (t - 0.5) * 2);
  const most = Math.max(...Array.from({ length: steps + 1 }, (_, i) => bulge(i / steps)));
  return curve((t) => ({
    r: (width / 2) * (bulge(t) / most),
    z: (height / 2) * (1 - Math.cos(Math.PI * t)),
  }));
}

/** A tube that begins with a half ball and stays open at its end. */
export function tube(width: number, height: number): OutlinePoint[] {
  const radius = width / 2;
  const dome = curve((t) => ({
    r: radius * Math.sin((Math.PI / 2) * t),
    z: radius * (1 - Math.cos((Math.PI / 2) * t)),
  }));
  return height > radius
    ? [...dome, ...line({ r: radius, z: radius }, { r: radius, z: height }).slice(1)]
    : dome;
}

/** A cone from its tip to its open edge. */
export function cone(width: number, height: number): OutlinePoint[] {
  return line({ r: 0, z: 0 }, { r: width / 2, z: height });
}

/** A flat circle. */
export function disc(width: number): OutlinePoint[] {
  return line({ r: 0, z: 0 }, { r: width / 2, z: 0 });
}

/** An ear: rounded at the tip, a little narrower again at its open edge. */
export function ear(width: number, height: number): OutlinePoint[] {
  return curve((t) => ({
    r: (width / 2) * Math.sin(Math.PI * Math.min(0.5, t * 0.9)) * (t > 0.6 ? 1 - 0.45 * (t - 0.6) : 1),
    z: height * t,
  }));
}

/** A leg with a foot: a wide round sole, drawn in to a narrower open leg. */
export function leg(width: number, height: number): OutlinePoint[] {
  const foot = width / 2;
  const shin = foot * 0.62;
  const sole = disc(width);
  const upright = line({ r: foot, z: 0 }, { r: foot, z: Math.min(height * 0.25, foot) });
  const ankle = line(
    { r: foot, z: Math.min(height * 0.25, foot) },
    { r: shin, z: Math.min(height * 0.45, foot * 1.5) },
  );
  const rest = line({ r: shin, z: Math.min(height * 0.45, foot * 1.5) }, { r: shin, z: height });
  return [...sole, ...upright.slice(1), ...ankle.slice(1), ...rest.slice(1)];
}
