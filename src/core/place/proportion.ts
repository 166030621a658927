import type { EyePlacement } from './eyes';
import type { EyeRule } from './eyeSentence';
import { seatHoles, type PartForm } from './partForm';

/** Where the eyes sit on a head, in shares of it: how far down from its top, and how far apart against its greatest width. */
export interface Proportion {
  down: number;
  apart: number;
}

const heightOf = ({ profile }: PartForm) => Math.max(0.001, ...profile.z);

function downOf(form: PartForm, line: number): number {
  const share = (form.profile.z[line - 1] ?? 0) / heightOf(form);
  return form.orientation.start === 'top' ? share : 1 - share;
}

function apartOf(form: PartForm, line: number, apart: number, seat: EyeRule['seat']): number {
  const { count } = seatHoles(form, line, seat);
  const radius = form.profile.radius[line - 1] ?? 0;
  const widest = form.profile.radius.reduce((most, one) => Math.max(most, one), 0.001);
  return (radius * Math.abs(Math.sin((Math.PI * apart) / Math.max(1, count)))) / widest;
}

/** The proportion of placed eyes, by the profile. */
export function proportionOf(form: PartForm, eyes: EyePlacement): Proportion {
  return { down: downOf(form, eyes.round), apart: apartOf(form, eyes.round, eyes.rule.apart, eyes.rule.seat) };
}

/**
 * The whole rounds and stitches nearest to a proportion.
 *
 * @returns the rule, and the proportion it really has: the difference is what whole stitches lose
 */
export function eyesForProportion(form: PartForm, wanted: Proportion, rule: EyeRule): { rule: EyeRule; real: Proportion } {
  const { fabric } = form;
  const best = (from: number, to: number, off: (value: number) => number) => {
    let found = from;
    for (let value = from; value <= to; value += 1) if (off(value) < off(found) - 1e-9) found = value;
    return found;
  };
  const line = best(1, Math.max(1, fabric.rounds - 1), (one) => Math.abs(downOf(form, one) - wanted.down));
  const { count } = seatHoles(form, line, rule.seat);
  const apart = best(1, Math.max(1, Math.floor(count / 2)), (one) => Math.abs(apartOf(form, line, one, rule.seat) - wanted.apart));
  return {
    rule: { ...rule, gap: [fabric.label[line - 1] ?? line, fabric.label[line] ?? line + 1], apart },
    real: { down: downOf(form, line), apart: apartOf(form, line, apart, rule.seat) },
  };
}
