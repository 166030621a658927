import { finishOf } from '../shape/form/finish';
import { measureForm, type FormMeasures } from '../shape/form/measures';
import type { FormInput, Firmness } from '../shape/form/relaxation';
import { relaxForm, type RelaxedForm } from '../shape/form/relaxForm';
import type { Stand } from '../shape/form/stand';
import type { PartAnalysis } from './analyse';

/** What relaxing a part needs. The front matters only to a part that is pressed flat. */
export function formInputOf(part: PartAnalysis, firmness?: Firmness): FormInput {
  const { fabric, starts, profile, source, map, form } = part;
  return { fabric, starts, profile, gauge: form.gauge, finish: finishOf(source, fabric, profile, map.front, firmness) };
}

/** How a part stands on the finished toy. */
export function standOf(part: PartAnalysis): Stand {
  return { front: part.map.front, dir: part.map.dir, start: part.map.start, lying: part.map.lying };
}

/** Names everything the relaxed form depends on, so that one form is kept as long as nothing of it changes. */
export function formKey({ fabric, starts, gauge, finish }: FormInput): string {
  let hash = 2166136261;
  const add = (value: number) => { hash = Math.imul(hash ^ value, 16777619); };
  for (const list of [fabric.offset, fabric.kind, fabric.parentFirst, fabric.parentCount, fabric.into, fabric.startSlots, fabric.joined, fabric.row]) {
    add(list.length);
    for (let i = 0; i < list.length; i += 1) add(list[i] ?? 0);
  }
  for (let i = 0; i < starts.length; i += 1) add(Math.round((starts[i] ?? 0) * 1e6));
  return `${hash >>> 0}|${fabric.start}|${fabric.folded}|${gauge.widthMm}|${gauge.heightMm}|${JSON.stringify(finish)}`;
}

/** Relaxes a part at once and measures it, for the terminal and for tests. */
export function measurePart(part: PartAnalysis, firmness?: Firmness): { form: RelaxedForm; measures: FormMeasures } {
  const input = formInputOf(part, firmness);
  const form = relaxForm(input);
  return { form, measures: measureForm(part.fabric, form, standOf(part)) };
}
