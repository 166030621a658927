import { roundCount, type Fabric } from '../fabric/fabric';
import type { Problem } from '../notation/problem';
import type { PartSource } from '../notation/pattern';
import { countsBack, type Step } from '../notation/step';
import { eyeStep, type EyeRule } from './eyeSentence';
import { lineAbove, roundIndex } from './frontLine';
import { largestEyeMm, ringMm, smallestEyeMm } from './hardware';
import { apartOf, showingOf } from './pair';

/** Turns what a sentence says into a rule, filling what it leaves open from the proposal and saying so. */
export function ruleProblems(
  step: Step,
  part: PartSource,
  fabric: Fabric,
  proposed: EyeRule,
): { rule: EyeRule; problems: Problem[] } {
  const problems: Problem[] = [];
  const place = { part: part.name, line: step.line, column: step.span.from + 1 };
  const add = (code: string, severity: Problem['severity'], message: string) =>
    problems.push({ code, severity, ...place, message, suggestions: [] });
  const rule: EyeRule = { ...proposed, gap: [...proposed.gap] };
  const last = fabric.label[fabric.rounds - 1] ?? 0;

  let lower = step.gap?.[0] ?? step.round;
  if (step.gap && step.gap[1] !== step.gap[0] + 1) {
    add(
      'gap-not-adjacent',
      'warning',
      `Rounds ${step.gap[0]} and ${step.gap[1]} are not neighbours, so there is no one line of holes between them. The eyes are put between ${step.gap[0]} and ${step.gap[0] + 1} for now.`,
    );
  } else if (!step.gap && step.round !== undefined) {
    add(
      'eyes-on-round',
      'info',
      `“On round ${step.round}” is read as the line of holes between rounds ${step.round} and ${step.round + 1}. Say “between” to settle it.`,
    );
  }
  if (lower !== undefined) {
    if (countsBack(step.countFrom, part.start)) lower = last - lower;
    if (lineAbove(fabric, lower) > 0) rule.gap = [lower, lower + 1];
    else {
      const wanted = lower;
      const below = [...fabric.label.slice(0, -1)];
      const at = below.reduce(
        (best, label, index) =>
          Math.abs(label - wanted) < Math.abs((below[best] ?? 0) - wanted) ? index : best,
        0,
      );
      rule.gap = [fabric.label[at] ?? 1, fabric.label[at + 1] ?? 2];
      add(
        'gap-missing',
        'error',
        `There is no line of holes between rounds ${lower} and ${lower + 1} on this part, which ends with round ${last}. The nearest is between ${rule.gap[0]} and ${rule.gap[1]}.`,
      );
    }
  } else if (!step.relation && !step.level)
    add(
      'eyes-where',
      'warning',
      `The sentence does not say between which rounds the eyes go. They are put between ${rule.gap[0]} and ${rule.gap[1]} until you say.`,
    );

  const { apart, showing } = step;
  rule.seat = step.seat ?? (apart !== undefined && apart === showing ? 'split' : 'foot');
  if (step.stitches?.length === 2) rule.holes = [...step.stitches].sort((a, b) => a - b) as [number, number];
  else if (apart !== undefined) rule.apart = Math.round(apart);
  // So many stitches either side of the front: twice as many from post to post.
  else if (step.outward?.from === 'front') rule.apart = Math.round(2 * step.outward.stitches);
  else if (showing !== undefined) rule.apart = apartOf(Math.round(showing), rule.seat);
  else
    add(
      'eyes-spacing',
      'warning',
      `The sentence does not say how far apart the eyes are. They are put ${rule.apart} apart until you say.`,
    );
  if (apart !== undefined && showing !== undefined && showingOf(Math.round(apart), rule.seat) !== showing) {
    add(
      'apart-showing-differ',
      'warning',
      `${apart} apart in the ${rule.seat === 'foot' ? 'holes' : 'splits'} leaves ${showingOf(Math.round(apart), rule.seat)} showing, not ${showing}. Post to post is taken; change one of the two.`,
    );
  }
  if (step.ofRound !== undefined)
    add(
      'stitch-of-round',
      'info',
      `A stitch of round ${step.ofRound} is read as the hole at its foot, between rounds ${step.ofRound - 1} and ${step.ofRound}. Say “between” to settle it.`,
    );
  if (step.stitches && !rule.holes)
    add(
      'eyes-spacing',
      'warning',
      `Two stitches are needed for two eyes. They are put ${rule.apart} apart until you say.`,
    );
  if (step.across === 'rounds' && !part.lying)
    add(
      'across-in-rounds',
      'warning',
      `Rounds run level on this part, so across is counted in stitches: ${rule.apart} ${rule.apart === 1 ? 'stitch is' : 'stitches are'} taken from post to post. If it is worked from the toy's side, say so in a line “Start: left” or “Start: right”.`,
    );
  if (step.otherGap && step.otherGap[0] !== step.gap?.[0] && !part.lying)
    add(
      'eyes-two-lines',
      'warning',
      `The sentence names two lines of holes. Rounds run level on this part, so both eyes go between ${rule.gap[0]} and ${rule.gap[1]}.`,
    );
  putSize(step, rule, add);
  return { rule, problems };
}

/** Puts the size and the make a sentence says into a rule; a size that is left open or odd is asked about. */
export function putSize(
  step: Step,
  rule: EyeRule,
  add: (code: string, severity: Problem['severity'], message: string) => void,
): void {
  if (step.sizeMm !== undefined) rule.sizeMm = step.sizeMm;
  else
    add(
      'eyes-size',
      'info',
      `The sentence does not give a size. ${rule.sizeMm} mm is taken, nearly two stitches wide.`,
    );
  if (rule.sizeMm < smallestEyeMm || rule.sizeMm > largestEyeMm) {
    add(
      'eyes-size-odd',
      'warning',
      `Eyes of ${rule.sizeMm} mm are outside ${smallestEyeMm} to ${largestEyeMm} mm. Check the size.`,
    );
    rule.sizeMm = Math.min(largestEyeMm, Math.max(smallestEyeMm, rule.sizeMm));
  }
  if (step.style === 'oval') rule.style = step.style;
  if (step.ring) rule.ring = { of: step.ring.of, sizeMm: step.ring.sizeMm ?? ringMm(rule.sizeMm) };
}

/** Eyes that have no room on their line of holes are put as far apart as it allows, and say so. */
export function fitted(
  part: PartSource,
  fabric: Fabric,
  rule: EyeRule,
): { rule: EyeRule; problems: Problem[] } {
  const line = lineAbove(fabric, rule.gap[0]) || roundIndex(fabric, rule.gap[0]);
  const count = roundCount(fabric, line + 1);
  const step = eyeStep(part);
  const no = (code: string, message: string): Problem => ({
    code,
    severity: 'error',
    part: part.name,
    line: step?.line,
    column: (step?.span.from ?? 0) + 1,
    message,
    suggestions: [],
  });
  const { holes } = rule;
  if (holes) {
    if (holes[0] >= 1 && holes[1] <= count && holes[0] !== holes[1]) return { rule, problems: [] };
    const problem =
      holes[0] === holes[1]
        ? no('same-hole', 'Both eyes are said to be at the same stitch.')
        : no(
            'stitch-missing',
            `Round ${rule.gap[1]} has ${count} stitches; there is no stitch ${holes[0] < 1 ? holes[0] : holes[1]} in it. The eyes are put ${rule.apart} apart until you say.`,
          );
    return { rule: { ...rule, holes: undefined }, problems: [problem] };
  }
  if (rule.apart >= 1 && rule.apart < count) return { rule, problems: [] };
  return {
    rule: { ...rule, apart: Math.max(1, Math.min(count - 1, rule.apart)) },
    problems: [
      no('apart-impossible', `The line of holes has ${count}; the eyes can't be ${rule.apart} apart in it.`),
    ],
  };
}
