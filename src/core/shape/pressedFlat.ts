/** The wall of an empty part pressed flat. Lengths in mm, one value a ring, the first at the start. */
export interface FlatOutline {
  /** half its width at each ring */
  half: Float64Array;
  /** how far along its middle each ring lies */
  z: Float64Array;
}

/** From so much growth of the half width a length of wall on, an end lies as a folded disc does, and not as a point. */
const bluntSlope = 1.3;

/** Rings of an end that lies as a folded disc, from the one at index 0 on; 0 where it comes to a point or is open. */
function bluntRings(half: ArrayLike<number>, along: ArrayLike<number>): number {
  if ((half[0] ?? 0) > 0) return 0;
  let ring = 0;
  while (ring + 1 < half.length) {
    const growth = (half[ring + 1] ?? 0) - (half[ring] ?? 0);
    const length = (along[ring + 1] ?? 0) - (along[ring] ?? 0);
    if (growth < bluntSlope * length) return ring;
    ring += 1;
  }
  return ring;
}

/** How far each ring of a blunt end lies from its tip: on half an ellipse that covers what the fabric of one layer does. */
function roundedEnd(half: ArrayLike<number>, along: ArrayLike<number>, last: number): number[] {
  const widest = half[last] ?? 0;
  let area = 0;
  for (let ring = 1; ring <= last; ring += 1) {
    const middle = ((half[ring] ?? 0) + (half[ring - 1] ?? 0)) / 2;
    area += middle * ((along[ring] ?? 0) - (along[ring - 1] ?? 0));
  }
  const depth = area / ((Math.PI / 4) * widest);
  return Array.from({ length: last + 1 }, (_, ring) => {
    const share = (half[ring] ?? 0) / widest;
    return depth * (1 - Math.sqrt(1 - share * share));
  });
}

/**
 * How an empty part lies that is pressed flat: each ring as wide as half its stitches, one round height below the other; an end that is
 * a disc is rounded, for folded in two it neither stays a point nor becomes square.
 *
 * @param radius of each ring where the part is round, in mm; 0 where it is closed
 * @param along length of the wall from the start to each ring, in mm
 */
export function pressedFlat(radius: Float64Array, along: Float64Array): FlatOutline {
  const half = radius.map((mm) => (mm * Math.PI) / 2);
  const z = along.slice();
  const rings = half.length;
  const first = bluntRings(half, along);
  if (first > 0) {
    const end = roundedEnd(half, along, first);
    const shorter = (along[first] ?? 0) - (end[first] ?? 0);
    for (let ring = 0; ring < rings; ring += 1) z[ring] = (along[ring] ?? 0) - shorter;
    end.forEach((depth, ring) => (z[ring] = depth));
  }
  const whole = along[rings - 1] ?? 0;
  const backHalf = half.slice().reverse();
  const backAlong = along.map((mm) => whole - mm).reverse();
  // A flat disc that only grows has one such end: what is left at the other is an edge.
  const last = Math.min(bluntRings(backHalf, backAlong), rings - 1 - first);
  if (last === 0) return { half, z };
  const end = roundedEnd(backHalf, backAlong, last);
  const base = (z[rings - 1 - last] ?? 0) + (end[last] ?? 0);
  end.forEach((depth, ring) => (z[rings - 1 - ring] = base - depth));
  return { half, z };
}

/** How thick two layers of fabric are, pressed flat, as a share of their width. */
export const flatThickness = 0.28;

/** A stuffed part is round again so far from an edge that is held flat, in radii of that edge: about its width. Our own figure, for drawing. */
const roundAgain = 2;

/** Half the width of an oval that is as long round as a circle, by how thick it is as a share of that (Ramanujan's first formula, 1914). */
const ovalHalf = (radius: number, thick: number): number =>
  (2 * radius) / (3 * (1 + thick) - Math.sqrt((3 + thick) * (1 + 3 * thick)));

/**
 * How a stuffed part lies whose last edge is held flat: round, and an oval that gets flatter towards that edge, each as long round as before.
 *
 * @param radius of each ring where the part is round, in mm
 * @param along length of the wall from the start to each ring, in mm
 * @returns half the width of each ring, and how thick it is as a share of that
 */
export function flatAtEnd(
  radius: Float64Array,
  along: Float64Array,
): { half: Float64Array; thick: Float64Array } {
  const whole = along.at(-1) ?? 0;
  const reach = Math.max(1e-6, roundAgain * (radius.at(-1) ?? 0));
  const thick = along.map((mm) => {
    const share = Math.min(1, (whole - mm) / reach);
    return flatThickness + (1 - flatThickness) * share;
  });
  return { half: radius.map((mm, ring) => ovalHalf(mm, thick[ring] ?? 1)), thick };
}
