import { roundCount } from '../fabric/fabric';
import type { Problem, Suggestion } from '../notation/problem';
import { clearLines } from './clearLines';
import type { EyePlacement } from './eyes';
import { eyeStep, withEyes, type EyeRule } from './eyeSentence';
import { eyeEdits, moveFront, resetFront } from './frontEdits';
import { smallestEyeMm, widestEyeInStitches } from './hardware';
import { holeAzimuth } from './holes';
import type { Pair } from './pair';
import { pairAt, type PartForm } from './partForm';
import { underWasher, underWasherWords } from './washers';

/** A miss smaller than this can't be seen: a twentieth of a stitch. */
const centredWithin = 0.05;
/** From this miss on the face looks off. */
const offFrom = 0.2;

const mm = (value: number) => `${value < 10 ? Math.round(value * 10) / 10 : Math.round(value)} mm`;

/** Checks of a placed pair: centred, washers, holes it can't use, too near an end. Each with remedies that edit the text. */
export function eyeProblems(form: PartForm, eyes: EyePlacement, pair: Pair): Problem[] {
  const { part, fabric, gauge } = form;
  const { rule, round } = eyes;
  const step = eyeStep(part);
  const problems: Problem[] = [];
  const change = (title: string, next: Partial<EyeRule>): Suggestion => ({
    title,
    edits: eyeEdits(form, eyes, withEyes(rule, next)),
  });
  const add = (
    code: string,
    severity: Problem['severity'],
    message: string,
    suggestions: Suggestion[] = [],
  ) =>
    problems.push({
      code,
      severity,
      part: part.name,
      line: step?.line,
      column: (step?.span.from ?? 0) + 1,
      message,
      suggestions,
    });

  if (Math.abs(pair.miss) >= offFrom) {
    add(
      'not-centred',
      'warning',
      `The middle between the eyes falls ${stitches(pair.miss)} ${eyes.missSide} of the front, ${mm(eyes.missMm)}.`,
      centring(form, eyes, change),
    );
  }
  if (eyes.straightMm < rule.sizeMm) {
    add(
      'eyes-overlap',
      'error',
      `The eyes are ${mm(rule.sizeMm)} wide but only ${mm(eyes.straightMm)} apart: they overlap.`,
      wider(form, eyes, rule.sizeMm, change),
    );
  } else if (eyes.straightMm < eyes.washerMm) {
    add(
      'washers-overlap',
      'error',
      `The washers inside are about ${mm(eyes.washerMm)} wide, the posts ${mm(eyes.straightMm)} apart: the washers overlap.`,
      wider(form, eyes, eyes.washerMm, change),
    );
  }
  if (rule.ring && eyes.straightMm < rule.ring.sizeMm)
    add(
      'rings-overlap',
      'warning',
      `The rings behind the eyes are ${mm(rule.ring.sizeMm)} wide, the posts ${mm(eyes.straightMm)} apart: the rings overlap.`,
      [
        ...wider(form, eyes, rule.ring.sizeMm, change).slice(0, 1),
        change(`Rings of ${Math.floor(eyes.straightMm)} mm`, {
          ring: { ...rule.ring, sizeMm: Math.floor(eyes.straightMm) },
        }),
      ],
    );
  const nextGap = (step_: number): Suggestion[] => {
    const lower = fabric.label[round - 1 + step_];
    const upper = fabric.label[round + step_];
    return lower && upper ? [change(`Between ${lower} and ${upper}`, { gap: [lower, upper] })] : [];
  };
  const clearGaps = (isClear: (line: number) => boolean) =>
    clearLines(round, fabric.rounds - 1, isClear).flatMap((line) => nextGap(line - round));
  const wideEnough = (line: number) => 2 * (form.profile.radius[line - 1] ?? 0) >= eyes.washerMm;
  // The pair as it would be on another line: on no decrease, its washers on plain fabric.
  const plain = (line: number) => {
    // The front goes with the eyes, unless their stitches are named and it stays.
    const { pair: there, holes } = rule.holes
      ? pairAt(form, line, rule.seat, rule.apart, eyes.frontAzimuth)
      : pairAt(form, line, rule.seat, rule.apart);
    return [there.a, there.b].every((hole) => {
      const stitch = (((hole - 1) % holes.count) + holes.count) % holes.count;
      const decrease =
        rule.seat === 'foot' && (fabric.parentCount[(fabric.offset[line] ?? 0) + stitch] ?? 1) > 1;
      return (
        !decrease &&
        underWasherWords(underWasher(form, line, holeAzimuth(holes, hole), eyes.washerMm), fabric.label) ===
          null
      );
    });
  };
  const last = fabric.rounds;
  const endCount = roundCount(fabric, last);
  const ringMm = 2 * (form.profile.radius[round - 1] ?? 0);
  const flat = fabric.row[0] === 1;
  if (!flat && endCount <= 12 && last - round <= 2) {
    add(
      'near-closing',
      'warning',
      `Round ${fabric.label[last - 1]} closes the piece, ${last - round} ${last - round === 1 ? 'round' : 'rounds'} past the eyes: the washers have no room and the opening is too small to press them.`,
      nextGap(-2),
    );
  }
  if (!flat && ringMm < eyes.washerMm)
    add(
      'ring-too-small',
      'warning',
      `The piece is only ${mm(ringMm)} across at this line of holes; a washer is about ${mm(eyes.washerMm)}.`,
      clearGaps(wideEnough),
    );
  if (rule.sizeMm > gauge.widthMm * widestEyeInStitches) {
    const fit = Math.floor(gauge.widthMm * widestEyeInStitches);
    add(
      'eye-large',
      'warning',
      `A ${rule.sizeMm} mm eye is more than ${widestEyeInStitches} stitches wide at this gauge and pulls the fabric open around its post.`,
      [change(`${fit} mm`, { sizeMm: fit })],
    );
  }
  if (pair.a < 1 || pair.b > eyes.posts[0].of) {
    add(
      'straddles-start',
      'warning',
      'The round begins between the two eyes: there the line of holes jumps up by one round, so the eyes are not level. Turn the piece so that its back carries the round start.',
      part.front ? [resetFront(part)] : [],
    );
  }
  for (const post of eyes.posts) {
    const i = (fabric.offset[round] ?? 0) + post.stitch - 1;
    if (rule.seat === 'foot' && (fabric.parentCount[i] ?? 1) > 1) {
      add(
        'on-decrease',
        'warning',
        `The ${post.side} eye falls on a decrease (stitch ${post.stitch} of round ${fabric.label[round]}): its hole is tight and off to one side.`,
        clearGaps(plain),
      );
    }
  }
  for (const post of eyes.posts) {
    const under = underWasherWords(underWasher(form, round, post.azimuth, eyes.washerMm), fabric.label);
    if (under)
      add(
        under.code,
        'warning',
        `The washer of the ${post.side} eye, about ${mm(eyes.washerMm)} across, ${under.words}: it will not sit flat.`,
        clearGaps(plain),
      );
  }
  if (rule.seat === 'foot') {
    const [first, second] = eyes.posts.map(
      (post) => fabric.parentFirst[(fabric.offset[round] ?? 0) + post.stitch - 1],
    );
    if (first === second)
      add(
        'same-hole',
        'error',
        'Both eyes fall into the same hole: the two stitches of an increase share it.',
        [change(`${rule.apart + 1} apart`, { apart: rule.apart + 1 })],
      );
  }
  return problems;
}

function stitches(miss: number): string {
  const size = Math.abs(miss);
  return Math.abs(size - 0.5) < 0.03 ? 'half a stitch' : `${Math.round(size * 100) / 100} of a stitch`;
}

/** The nearest arrangements that are centred: one more or fewer apart, the front moved to the pair, the next lines of holes. */
function centring(
  form: PartForm,
  eyes: EyePlacement,
  change: (title: string, next: Partial<EyeRule>) => Suggestion,
): Suggestion[] {
  const { fabric } = form;
  const { rule, round } = eyes;
  const better: { suggestion: Suggestion; miss: number }[] = [];
  const consider = (title: string, r: number, apart: number, next: Partial<EyeRule>) => {
    if (apart < 1 || r < 1 || r >= fabric.rounds) return;
    const miss = Math.abs(pairAt(form, r, rule.seat, apart).pair.miss);
    if (miss < Math.abs(eyes.missStitches) - centredWithin)
      better.push({
        suggestion: change(`${title}${miss > offFrom ? ` (${Math.round(miss * 100) / 100} off)` : ''}`, next),
        miss,
      });
  };
  consider(`${rule.apart - 1} apart`, round, rule.apart - 1, { apart: rule.apart - 1 });
  consider(`${rule.apart + 1} apart`, round, rule.apart + 1, { apart: rule.apart + 1 });
  for (const step of [1, -1]) {
    const [lower, upper] = [fabric.label[round - 1 + step], fabric.label[round + step]];
    if (lower && upper)
      consider(`Between ${lower} and ${upper}`, round + step, rule.apart, { gap: [lower, upper] });
  }
  better.sort((a, b) => a.miss - b.miss);
  return [...better.slice(0, 3).map(({ suggestion }) => suggestion), moveFront(form, eyes)];
}

/** The smallest distance that keeps things of a width clear of each other. */
function wider(
  form: PartForm,
  eyes: EyePlacement,
  widthMm: number,
  change: (title: string, next: Partial<EyeRule>) => Suggestion,
): Suggestion[] {
  const count = eyes.posts[0].of;
  const radius = form.profile.radius[eyes.round - 1] ?? 0;
  for (let apart = eyes.rule.apart + 1; apart <= count / 2; apart += 1) {
    if (2 * radius * Math.sin((Math.PI * apart) / count) >= widthMm) {
      return [
        change(`${apart} apart`, { apart }),
        ...(eyes.rule.sizeMm > smallestEyeMm
          ? [
              change(`Eyes of ${Math.max(smallestEyeMm, eyes.rule.sizeMm - 2)} mm`, {
                sizeMm: Math.max(smallestEyeMm, eyes.rule.sizeMm - 2),
              }),
            ]
          : []),
      ];
    }
  }
  return [];
}
