/** Least and most a maker's hands take of what the formula says: beyond, something else was weighed. */
export const yarnUseLimits = [0.5, 2] as const;

const isWithin = (use: number): boolean => use >= yarnUseLimits[0] && use <= yarnUseLimits[1];

/**
 * What a maker's hands take for each metre the formula says, from one piece that was weighed.
 *
 * @param weighedG the piece, without stuffing and eyes
 * @param workedG what its stitches would weigh by the formula
 * @param tailsG what hangs from it and is no stitch: the same in any hands
 * @returns null where no hands could take so much or so little
 */
export function yarnUseOf(weighedG: number, workedG: number, tailsG: number): number | null {
  const use = (weighedG - tailsG) / workedG;
  return workedG > 0 && isWithin(use) ? Math.round(use * 1000) / 1000 : null;
}

/** The use as it is kept; 1 where none is, or where what is kept is none. */
export function readYarnUse(kept: string | null): number {
  const use = Number(kept ?? Number.NaN);
  return isWithin(use) ? use : 1;
}
