import type { Fabric } from '../../fabric/fabric';
import type { RelaxedForm } from './relaxForm';

/** Where stuffing will show between the stitches. */
export interface ShowThrough {
  /** share of the stitches that gape */
  share: number;
  /** rounds (as the maker numbers them) where a third or more do */
  rounds: number[];
}

/** Two strands cover a stitch up to this many times their thickness side by side; wider than that, light shows between. */
export const coverOfStrand = 2.2;

/**
 * Finds the stitches that the relaxed form pulls wider than the yarn covers.
 *
 * @param widthMm stitch width of the gauge
 * @param thicknessMm thickness of the strand
 */
export function showThrough(
  fabric: Fabric,
  form: RelaxedForm,
  widthMm: number,
  thicknessMm: number,
): ShowThrough {
  const rounds: number[] = [];
  let gaping = 0;
  for (let round = 0; round < fabric.rounds; round += 1) {
    const from = fabric.offset[round] ?? 0;
    const to = fabric.offset[round + 1] ?? 0;
    let here = 0;
    for (let stitch = from; stitch < to; stitch += 1)
      if (widthMm * (1 + (form.stretch[stitch] ?? 0)) > coverOfStrand * thicknessMm) here += 1;
    gaping += here;
    if (here * 3 >= to - from && to > from) rounds.push(fabric.label[round] ?? round + 1);
  }
  return { share: form.nodes.stitches > 0 ? gaping / form.nodes.stitches : 0, rounds };
}
