import type { StitchKind } from '../notation/stitchKinds';
import { stitchKinds } from '../notation/stitchKinds';
import type { Gauge } from '../shape/gauge';
import { heightOfCode } from '../shape/gauge';

/** How often the yarn goes round a strand in a stitch of each kind: once for the loop drawn through, once more for each yarn over. */
const turns: Record<StitchKind, number> = { sl: 0.5, ch: 0.5, sc: 1, hdc: 2, dc: 2, tr: 3, dtr: 4 };

const turnsOfCode = Float64Array.from(stitchKinds, (kind) => turns[kind]);

/**
 * Yarn in one stitch, in mm: two strands across its top, two legs as high as it is, and a turn round a strand for each loop:
 * 2w + 2h + π·t·turns. Each further stitch it draws together has two legs and half a turn of its own. Our own geometry, to be replaced by
 * unravelling a known piece.
 *
 * @param code of the stitch's kind
 * @param together how many stitches of the round below it is worked over
 * @param thicknessMm of the strand
 */
export function stitchYarnMm(
  code: number,
  together: number,
  { widthMm, heightMm }: Pick<Gauge, 'widthMm' | 'heightMm'>,
  thicknessMm: number,
): number {
  const height = heightMm * (heightOfCode[code] ?? 1);
  const turn = Math.PI * thicknessMm;
  const more = Math.max(0, together - 1) * (2 * height + turn / 2);
  return 2 * widthMm + 2 * height + turn * (turnsOfCode[code] ?? 1) + more;
}
