/**
 * Washer across, in mm, for an eye across. Common washers are about one and a half times the eye and not under 9 mm; measure your own,
 * makers differ.
 */
export function washerMm(eyeMm: number): number {
  return Math.max(9, Math.round(eyeMm * 1.5));
}

export const smallestEyeMm = 4;
export const largestEyeMm = 24;

/** An eye wider than this many stitches pulls the fabric open around its post: a rule of thumb. */
export const widestEyeInStitches = 3;
