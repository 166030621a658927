/**
 * Washer across, in mm, for an eye across. Common washers are about one and a half times the eye and not under 9 mm; measure your own,
 * makers differ.
 */
export function washerMm(eyeMm: number): number {
  return Math.max(9, Math.round(eyeMm * 1.5));
}

/** A disc behind a washer reaches so far beyond its rim all round: our own figure. */
const beyondRimMm = 5;

/** Across a disc of felt or cloth behind the washer of an eye or a nose, in mm. */
export function discMm(sizeMm: number): number {
  return washerMm(sizeMm) + 2 * beyondRimMm;
}

/** Across a ring or disc behind an eye, where nothing is said: half as wide again as the eye. */
export function ringMm(eyeMm: number): number {
  return Math.round(eyeMm * 1.5);
}

/** Sizes pressed eyes, pressed noses and buttons are commonly sold in, in mm across; what a maker has may be another. */
export const soldEyesMm = [4, 5, 6, 7, 8, 9, 10, 12, 14, 15, 16, 18, 20, 22, 24] as const;
export const soldNosesMm = [8, 10, 12, 14, 15, 18, 20, 22, 25] as const;
export const soldButtonsMm = [6, 8, 9, 10, 11, 13, 15, 18, 20, 23, 25, 28] as const;

/** The next larger or smaller of some sizes; null where there is none. */
export function nextSize(sizes: readonly number[], sizeMm: number, by: 1 | -1): number | null {
  return (
    (by > 0 ? sizes.find((size) => size > sizeMm) : [...sizes].reverse().find((size) => size < sizeMm)) ??
    null
  );
}

export const smallestEyeMm = 4;
export const largestEyeMm = 24;

/** An eye wider than this many stitches pulls the fabric open around its post: a rule of thumb. */
export const widestEyeInStitches = 3;

/** The nearest size pressed eyes are sold in at all. */
export function soldEyeMm(sizeMm: number): number {
  return Math.min(largestEyeMm, Math.max(smallestEyeMm, sizeMm));
}

/** Eyes where no size is said: nearly two stitches wide. */
export function usualEyeMm(stitchMm: number): number {
  return soldEyeMm(Math.round(stitchMm * 1.8));
}
