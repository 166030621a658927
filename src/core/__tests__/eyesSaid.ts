import type { EyeRing } from '../notation/sentence/said';
import type { FeaturePlacement } from '../place/resolve/placement';

/** What a maker would say of a pair of eyes. */
export interface EyesSaid {
  sizeMm: number | null;
  gap: [number, number];
  /** the second line of holes, on a part that lies on its side */
  other?: [number, number];
  /** on such a part, stitches above the front line */
  rise?: number;
  apart: number | null;
  holes?: readonly number[];
  seat: 'foot' | 'split';
  style: string | null;
  ring?: Required<EyeRing>;
}

/** A placed pair in those words. */
export function eyesSaid(
  { rule, gap, apart, seat, units }: FeaturePlacement,
  labels: ArrayLike<number> = [],
): EyesSaid {
  const { sizeMm, style, ring, sideways, vertical, lying } = rule;
  const last = Math.max(...units.map(({ fromLine }) => fromLine));
  const rise =
    vertical?.by === 'stitches' ? vertical.stitches * (vertical.direction === 'above' ? 1 : -1) : 0;
  return {
    sizeMm,
    gap,
    apart,
    seat,
    style,
    ...(sideways.by === 'holes' ? { holes: sideways.holes } : {}),
    ...(ring ? { ring } : {}),
    ...(lying ? { other: [labels[last - 1] ?? last, labels[last] ?? last + 1], rise: rise || 0 } : {}),
  };
}
