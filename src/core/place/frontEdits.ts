import type { LineEdit, Problem, Suggestion } from '../notation/problem';
import type { PartSource } from '../notation/pattern';
import { stitchAtAzimuth } from '../shape/azimuth';
import type { EyePlacement } from './eyes';
import { eyeStep, withEyes, writeEyes, type EyeRule } from './eyeSentence';
import { holeAt } from './holes';
import { seatHoles, type PartForm } from './partForm';

/** From here on a front that named stitches bring along is told of, in stitches. */
const frontToldFrom = 0.75;

/** Eyes at named stitches bring the front with them: it says so where that is not opposite the round start, where one would look for it. */
export function frontMoved(form: PartForm, eyes: EyePlacement, opposite: number): Problem[] {
  const { part } = form;
  const { holes, seat, apart } = eyes.rule;
  const found = seatHoles(form, eyes.round, seat);
  const off = holeAt(found, eyes.frontAzimuth) - holeAt(found, opposite);
  const stitches = Math.round(Math.abs(off - found.count * Math.round(off / found.count)) * 10) / 10;
  if (!holes || part.front || stitches < frontToldFrom) return [];
  const step = eyeStep(part);
  const message = `Stitches ${holes.join(' and ')} put the front ${stitches} stitches beside the place opposite the round start. Everything else on this part goes by the eyes.`;
  return [
    {
      code: 'front-by-eyes',
      severity: 'info',
      part: part.name,
      line: step?.line,
      column: (step?.span.from ?? 0) + 1,
      message,
      suggestions: [
        {
          title: 'Put it opposite the round start',
          edits: [writeEyes(part, withEyes(eyes.rule, { apart }))],
        },
      ],
    },
  ];
}

/** The edits that put another rule into the text. The front that named stitches brought along stays when those are given up. */
export function eyeEdits(form: PartForm, eyes: EyePlacement, rule: EyeRule): LineEdit[] {
  const keeps = eyes.rule.holes && !rule.holes && !form.part.front;
  return [writeEyes(form.part, rule), ...(keeps ? moveFront(form, eyes).edits : [])];
}

/** Moves the front line to the pair's own middle; all else on the part follows. */
export function moveFront(form: PartForm, eyes: EyePlacement): Suggestion {
  const { part, fabric, starts } = form;
  const [left, right] = eyes.posts;
  // Their azimuths run on around the piece, so the middle is between them also where they are more than half way apart.
  const middle = (left.azimuth + right.azimuth) / 2;
  const round = eyes.round + 1;
  const stitch = Math.round(stitchAtAzimuth(fabric, starts, round, middle) * 100) / 100;
  const text = frontSentence(stitch, fabric.label[round - 1] ?? round);
  return {
    title: 'Move the front',
    edits: [part.front ? { line: part.front.line, text } : { line: part.line, text, insertAfter: true }],
  };
}

/** The line that sets where the front is. */
export function frontSentence(stitch: number, round: number): string {
  return `Front: stitch ${Math.round(stitch * 100) / 100} of round ${round}`;
}

export function resetFront(part: PartSource): Suggestion {
  return {
    title: 'Put the front opposite the round start',
    edits: [{ line: part.front?.line ?? 1, text: '' }],
  };
}
