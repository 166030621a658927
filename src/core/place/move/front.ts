import { t } from '../../words/language';
import type { LineEdit, Suggestion } from '../../notation/problem';
import type { PartSource } from '../../notation/pattern';
import { stitchAtAzimuth } from '../../shape/azimuth';
import type { PartForm } from '../frame/partForm';
import type { FeaturePlacement } from '../resolve/placement';
import { leadsFace, type FeatureRule } from '../rule/rule';
import { writeRule } from '../rule/writeRule';

/** The edits that put another rule into the text. The front that eyes at named stitches brought along stays when those are given up. */
export function ruleEdits(form: PartForm, placed: FeaturePlacement, rule: FeatureRule): LineEdit[] {
  const wasNamed = leadsFace(placed.rule) && placed.rule.sideways.by === 'holes';
  const keepsFront = wasNamed && rule.sideways.by !== 'holes' && !form.part.front;
  return [writeRule(form.part, placed.id, rule), ...(keepsFront ? moveFront(form, placed).edits : [])];
}

/** Moves the front line to a pair's own middle; all else on the part follows. */
export function moveFront({ part, fabric, starts }: PartForm, { line, units }: FeaturePlacement): Suggestion {
  // Their azimuths run on around the piece, so the middle is between them also where they are more than half way apart.
  const middle = units.reduce((sum, { azimuth }) => sum + azimuth, 0) / Math.max(1, units.length);
  const round = line + 1;
  const stitch = Math.round(stitchAtAzimuth(fabric, starts, round, middle) * 100) / 100;
  const text = frontSentence(stitch, fabric.label[round - 1] ?? round);
  return {
    title: t`Move the front`,
    edits: [part.front ? { line: part.front.line, text } : { line: part.line, text, insertAfter: true }],
  };
}

/** The line that sets where the front is. */
export function frontSentence(stitch: number, round: number): string {
  return `Front: stitch ${Math.round(stitch * 100) / 100} of round ${round}`;
}

export function resetFront(part: PartSource): Suggestion {
  return {
    title: t`Put the front opposite the round start`,
    edits: [{ line: part.front?.line ?? 1, text: '' }],
  };
}
