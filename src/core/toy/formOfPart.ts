import { finishOf } from '../shape/form/finish';
import { measureForm, type FormMeasures } from '../shape/form/measures';
import type { Finish, FormInput } from '../shape/form/relaxation';
import type { Firmness } from '../shape/stuffed';
import { relaxForm, type RelaxedForm } from '../shape/form/relaxForm';
import type { Stand } from '../shape/form/stand';
import type { PartAnalysis } from './analysis';
import { fingerprint } from './fingerprint';

/** How a part is finished, as far as its form depends on it; stuffed as firmly as is asked, else as the text says. */
export const finishOfPart = ({ source, fabric, profile, map }: PartAnalysis, firmness?: Firmness): Finish =>
  finishOf({ part: source, fabric, profile, front: map.front }, firmness);

/** What relaxing a part needs. The front matters only to a part that is pressed flat. */
export function formInputOf(part: PartAnalysis, firmness?: Firmness): FormInput {
  const { fabric, starts, profile, form } = part;
  return {
    fabric,
    starts,
    profile,
    gauge: form.gauge,
    finish: finishOfPart(part, firmness),
  };
}

/** How a part stands on the finished toy. */
export function standOf(part: PartAnalysis): Stand {
  return { front: part.map.front, dir: part.map.dir, start: part.map.start, lying: part.map.lying };
}

/** Names a form by everything it is relaxed from, so that it is kept for as long as nothing of that changes. */
export const formKey = (input: FormInput): string => fingerprint(input);

/** Relaxes a part at once and measures it, for the terminal and for tests. */
export function measurePart(
  part: PartAnalysis,
  firmness?: Firmness,
): { form: RelaxedForm; measures: FormMeasures } {
  const input = formInputOf(part, firmness);
  const form = relaxForm(input);
  return { form, measures: measureForm(part.fabric, form, standOf(part)) };
}
