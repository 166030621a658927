import { stitchKinds, type StitchKind } from '../notation/stitchKinds';
import type { ToyHeader } from '../notation/pattern';

/** Stitch width and round height in mm, and whether the maker measured them. */
export interface Gauge {
  widthMm: number;
  heightMm: number;
  assumed: boolean;
}

/**
 * A medium yarn worked with a 3.5 mm hook; shown as an assumption until the maker measures. Rounds are 0.82 of a stitch width high: on
 * measured toys they were 0.77 to 0.87.
 */
export const assumedGauge: Gauge = { widthMm: 5, heightMm: 4.1, assumed: true };

/** Heights of stitches, as shares of a single crochet: usual proportions, to be replaced by measuring. */
const heightClass: Record<StitchKind, number> = {
  sl: 0.35,
  ch: 0.35,
  sc: 1,
  hdc: 1.5,
  dc: 2.1,
  tr: 2.9,
  dtr: 3.7,
};

/** Height classes by stitch code, for loops over typed arrays. */
export const heightOfCode = Float64Array.from(stitchKinds, (kind) => heightClass[kind]);

/** The gauge of a toy: as stated in its text, else the assumed one. */
export function gaugeOf(header: ToyHeader): Gauge {
  return header.gauge
    ? { widthMm: header.gauge.widthMm, heightMm: header.gauge.heightMm, assumed: header.gauge.assumed }
    : assumedGauge;
}

/**
 * Stitches that a spiral round shifts against the direction of work. Checked on a real ball in plain V stitches: 0.23 a round.
 * Joined rounds start anew above the same place and do not wander.
 */
export const leanOfSpiral = 0.25;
export const leanOfJoined = 0;
