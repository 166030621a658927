import { Relaxation, type FormInput } from './relaxation';
import type { FormNodes } from './nodes';

/** A part as it rests in space. Plain data, fit to come from a worker. */
export interface RelaxedForm {
  nodes: FormNodes;
  /** three numbers a node, in mm: x and y across the axis by azimuth 0 and a quarter turn, z from the start on */
  places: Float64Array;
  /** false while it is still settling */
  resting: boolean;
  steps: number;
  /** how far each stitch is stretched along its round, as a share; 0 where it has no neighbour */
  stretch: Float32Array;
}

/** What a relaxation has come to so far, in mm. */
export function formSoFar(relaxation: Relaxation, widthMm: number): RelaxedForm {
  const { nodes, places } = relaxation;
  const stretch = new Float32Array(nodes.stitches);
  for (let stitch = 0; stitch < nodes.stitches; stitch += 1) {
    const next = (nodes.next[stitch] ?? -1) * 3;
    const at = stitch * 3;
    if (next >= 0)
      stretch[stitch] =
        Math.hypot(
          places[next]! - places[at]!,
          places[next + 1]! - places[at + 1]!,
          places[next + 2]! - places[at + 2]!,
        ) - 1;
  }
  return {
    nodes,
    places: places.map((value) => value * widthMm),
    resting: relaxation.resting,
    steps: relaxation.steps,
    stretch,
  };
}

/** Relaxes a part until it rests. */
export function relaxForm(input: FormInput): RelaxedForm {
  const relaxation = new Relaxation(input);
  relaxation.run(Number.POSITIVE_INFINITY);
  return formSoFar(relaxation, input.gauge.widthMm);
}
