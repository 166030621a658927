import type { EyePlacement } from './eyes';
import { withEyes, type EyeRule } from './eyeSentence';
import { lyingEyesForProportion, lyingProportionOf, lyingProportionSteps } from './lying/lyingProportion';
import { nearest } from './nearest';
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
  if (eyes.rule.other) return lyingProportionOf(form, eyes);
  return {
    down: downOf(form, eyes.round),
    apart: apartOf(form, eyes.round, eyes.rule.apart, eyes.rule.seat),
  };
}

/**
 * The whole rounds and stitches nearest to a proportion.
 *
 * @returns the rule, and the proportion it really has: the difference is what whole stitches lose
 */
export function eyesForProportion(
  form: PartForm,
  wanted: Proportion,
  rule: EyeRule,
): { rule: EyeRule; real: Proportion } {
  if (rule.other) return lyingEyesForProportion(form, wanted, rule);
  const { fabric } = form;
  const line = nearest(1, Math.max(1, fabric.rounds - 1), (one) => Math.abs(downOf(form, one) - wanted.down));
  const { count } = seatHoles(form, line, rule.seat);
  const apart = nearest(1, Math.max(1, Math.floor(count / 2)), (one) =>
    Math.abs(apartOf(form, line, one, rule.seat) - wanted.apart),
  );
  return {
    rule: withEyes(rule, { gap: [fabric.label[line - 1] ?? line, fabric.label[line] ?? line + 1], apart }),
    real: { down: downOf(form, line), apart: apartOf(form, line, apart, rule.seat) },
  };
}

/** Every share there really is: of each line of holes, and on the eyes' own line of each distance up to straight across. */
export function proportionSteps(form: PartForm, eyes: EyePlacement): { down: number[]; apart: number[] } {
  if (eyes.rule.other) return lyingProportionSteps(form);
  const { count } = seatHoles(form, eyes.round, eyes.rule.seat);
  return {
    down: Array.from({ length: Math.max(0, form.fabric.rounds - 1) }, (_, i) => downOf(form, i + 1)),
    apart: Array.from({ length: Math.floor(count / 2) }, (_, i) =>
      apartOf(form, eyes.round, i + 1, eyes.rule.seat),
    ),
  };
}

const fractions: [number, string][] = [
  [1 / 4, 'a quarter'],
  [1 / 3, 'a third'],
  [2 / 5, 'two fifths'],
  [1 / 2, 'half'],
  [3 / 5, 'three fifths'],
  [2 / 3, 'two thirds'],
  [3 / 4, 'three quarters'],
];

/** A share as a fraction a maker thinks in: `, about a third`; empty where none is near. */
export function shareWords(share: number): string {
  const near = fractions.find(([fraction]) => Math.abs(fraction - share) < 0.025);
  return near ? `, about ${near[1]}` : '';
}
