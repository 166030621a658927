import { buildFabric } from '../fabric/buildFabric';
import type { Fabric } from '../fabric/fabric';
import { readPattern } from '../notation/readPattern';
import { roundStarts } from '../shape/azimuth';
import type { Finish, FormInput } from '../shape/form/relaxation';
import { relaxForm, type RelaxedForm } from '../shape/form/relaxForm';
import type { Gauge } from '../shape/gauge';
import { profileOf } from '../shape/profile';

export const usualGauge: Gauge = { widthMm: 5, heightMm: 4.8, assumed: false };

/** What relaxing the first part of a text needs; medium, open and whole where nothing else is said. */
export function formInput(text: string, finish: Partial<Finish> = {}, gauge = usualGauge): FormInput {
  const { fabric } = buildFabric(readPattern(text).parts[0]!, 'us');
  return {
    fabric,
    starts: roundStarts(fabric, null),
    profile: profileOf(fabric, gauge),
    gauge,
    finish: { firmness: 'medium', gathered: false, pressedAt: null, sole: 0, ...finish },
  };
}

export function formOf(
  text: string,
  finish: Partial<Finish> = {},
  gauge = usualGauge,
): { input: FormInput; fabric: Fabric; form: RelaxedForm } {
  const input = formInput(text, finish, gauge);
  return { input, fabric: input.fabric, form: relaxForm(input) };
}

/** Middle of a round of a form, in mm. */
export function middleOf(fabric: Fabric, { places }: RelaxedForm, round: number): [number, number, number] {
  const [from, to] = [fabric.offset[round - 1]!, fabric.offset[round]!];
  const middle: [number, number, number] = [0, 0, 0];
  for (let i = from * 3; i < to * 3; i += 1) middle[i % 3]! += places[i]! / (to - from);
  return middle;
}

/** A start that widens to 24 stitches in four rounds. */
export const dome = 'R1: 6 sc in ring\nR2: inc around\nR3: (sc, inc) x 6\nR4: (2 sc, inc) x 6';
