import type { Suggestion } from '../../notation/problem';
import { gapOf } from '../frame/faceFrame';
import { roundIndex } from '../frame/frontLine';
import { showingOf } from '../frame/pair';
import { spaced } from '../move/step';
import type { Finding } from '../resolve/finding';
import { largestEyeMm, smallestEyeMm } from '../rule/hardware';
import { proposedEyes } from '../rule/proposeRule';
import { verticalOf } from '../rule/readRule';
import { isPressedEyes, type FeatureRule, type Sideways, type Vertical } from '../rule/rule';
import type { FeatureSentence } from '../../notation/sentence/feature';
import { plural, sidewaysWords, verticalWords, writeRule } from '../rule/writeRule';
import { goes, type Check, type Checked } from './checked';

/**
 * What a sentence says and what was not read as it stands, and what it leaves open and is filled as makers usually do it. Each asks or
 * tells, so that a guess is never taken for what was said.
 */
export const leftOpen: Check = (checked) => {
  const notes = isPressedEyes(checked.rule) ? [eyeSize, apartAndShowing, oneStitch, sidewaysEyes] : [asUsual];
  return [howFar, otherUnit, ofRound, wordsUnused, acrossInOtherUnit, twoPlaces, ...notes].flatMap((note) =>
    note(checked),
  );
};

/** The rule that says what is placed now. */
const asPlacedRule = ({ rule, placed }: Checked): FeatureRule => (isPressedEyes(rule) ? placed.rule : rule);

function put({ frame, id }: Checked, title: string, ...rules: FeatureRule[]): Suggestion {
  return { title, edits: [writeRule(frame.form.part, id, ...rules)] };
}

/** A relation without a number, `under the nose`. */
const howFar: Check = (checked) => {
  const { step, id, frame } = checked;
  if (step.vague === undefined || !step.relation) return [];
  const { direction, to } = step.relation;
  const rule = asPlacedRule(checked);
  const further = (by: number): Vertical | null => {
    if (rule.vertical?.by === 'stitches') return { ...rule.vertical, stitches: by };
    return frame.lies ? rule.vertical : { by: 'relation', rounds: by, direction, to };
  };
  return [
    {
      code: 'how-far',
      severity: 'warning',
      message: `“${step.vague}” does not say how far: 1 ${frame.up.one} ${direction} the ${to} is taken for the ${id} until you say.`,
      suggestions: [1, 2, 3].map((by) =>
        put(checked, `${plural(by, frame.up.one)} ${direction}`, { ...rule, vertical: further(by) }),
      ),
    },
  ];
};

/** Up and down said in rounds on a part where it is counted in stitches. “Just below” names no unit. */
const otherUnit: Check = (checked) => {
  const { step, frame, rule } = checked;
  const { vertical } = rule;
  const inRounds = step.relation && step.relation.direction !== 'from' && step.vague === undefined;
  if (!frame.lies || !inRounds || !step.roundsNamed || vertical?.by !== 'stitches') return [];
  return [
    {
      code: 'rounds-not-below',
      severity: 'info',
      message: `On a part that lies on its side, up and down is counted in stitches: ${plural(vertical.stitches, 'stitch')} ${vertical.stitches === 1 ? 'is' : 'are'} taken.`,
      suggestions: [put(checked, 'Say it in stitches', asPlacedRule(checked))],
    },
  ];
};

/** A stitch told by the round it is in. */
const ofRound: Check = (checked) => {
  const round = checked.step.ofRound;
  if (round === undefined) return [];
  const gap = `${round - 1} and ${round}`;
  return [
    {
      code: 'stitch-of-round',
      severity: 'info',
      message: `A stitch of round ${round} is read as the hole at its foot, between rounds ${gap}. Say “between” to settle it.`,
      suggestions: [put(checked, `Between ${gap}`, asPlacedRule(checked))],
    },
  ];
};

/** Clauses that say where, and are not read. On a part that lies on its side a stitch is a height, and no number says which. */
const wordsUnused: Check = (checked) => {
  const { step, frame, id } = checked;
  const stitch = frame.lies && step.stitches ? [`stitch ${step.stitches.join(' and ')}`] : [];
  return [...(step.unused ?? []), ...stitch].map((clause) => ({
    code: 'words-unused',
    severity: 'warning',
    message: `“${clause}” could not be read and is left out for the ${id}. Say it by rounds and stitches, or keep it as placed.`,
    suggestions: [put(checked, 'Keep it as placed', asPlacedRule(checked))],
  }));
};

/** Across said in the unit that goes up. */
const acrossInOtherUnit: Check = (checked) => {
  const { step, frame, id } = checked;
  if (step.across === undefined || step.across === frame.across.many) return [];
  const title = `Say it in ${frame.across.many}`;
  const suggestions = [put(checked, title, asPlacedRule(checked))];
  if (frame.lies) {
    const message = `On a part that lies on its side across is counted in rounds, and that many rounds are taken for the ${id}.`;
    return [{ code: 'across-in-stitches', severity: 'warning', message, suggestions }];
  }
  const message = `Rounds run level on this part, so across is counted in stitches, and that many stitches are taken for the ${id}. If it is worked from the toy's side, say so in a line “Start: left” or “Start: right”.`;
  return [{ code: 'across-in-rounds', severity: 'warning', message, suggestions }];
};

/** Two lines of holes in one sentence, on a part whose rounds run level. */
const twoPlaces: Check = (checked) => {
  const { step, frame, id, rule, placed } = checked;
  if (frame.lies || !step.otherGap || step.otherGap[0] === step.gap?.[0]) return [];
  if (isPressedEyes(rule)) {
    const message = `The sentence names two lines of holes. Rounds run level on this part, so both eyes go between ${placed.gap.join(' and ')}.`;
    return [{ code: 'eyes-two-lines', severity: 'warning', message }];
  }
  const other: FeatureRule = { ...rule, vertical: { by: 'gap', gap: step.otherGap } };
  const message = `One sentence names two lines of holes; the first is taken for the ${id}. Give each its own sentence.`;
  const suggestions = [put(checked, 'A sentence each', rule, other)];
  return [{ code: 'feature-two-places', severity: 'warning', message, suggestions }];
};

const eyeSize: Check = ({ step, rule }) => {
  const { sizeMm } = step;
  if (step.sizeFrom === 'materials') {
    const message = `The sentence gives no size. ${sizeMm} mm is taken, as the list of materials says.`;
    return [{ code: 'eyes-size', severity: 'info', message }];
  }
  if (sizeMm === undefined) {
    const message = `The sentence does not give a size. ${rule.sizeMm} mm is taken, nearly two stitches wide.`;
    return [{ code: 'eyes-size', severity: 'info', message }];
  }
  if (sizeMm >= smallestEyeMm && sizeMm <= largestEyeMm) return [];
  const message = `Eyes of ${sizeMm} mm are outside ${smallestEyeMm} to ${largestEyeMm} mm. Check the size.`;
  return [{ code: 'eyes-size-odd', severity: 'warning', message }];
};

const apartAndShowing: Check = ({ step, placed }) => {
  const { apart, showing } = step;
  if (apart === undefined || showing === undefined) return [];
  const shows = showingOf(Math.round(apart), placed.seat);
  if (shows === showing) return [];
  const where = placed.seat === 'foot' ? 'holes' : 'splits';
  const message = `${apart} apart in the ${where} leaves ${shows} showing, not ${showing}. Post to post is taken; change one of the two.`;
  return [{ code: 'apart-showing-differ', severity: 'warning', message }];
};

const oneStitch: Check = ({ step, placed, frame }) => {
  if (frame.lies || !step.stitches || step.stitches.length === 2) return [];
  const message = `Two stitches are needed for two eyes. They are put ${placed.apart} apart until you say.`;
  return [{ code: 'eyes-spacing', severity: 'warning', message }];
};

/** On a part that lies each eye has a line of holes of its own: what a sentence says of only one, or of both in one. */
const sidewaysEyes: Check = (checked) => {
  const { step, frame, placed } = checked;
  const { form } = frame;
  if (!frame.lies) return [];
  const between = step.gap ?? (step.round === undefined ? null : [step.round, step.round + 1]);
  if (!between) return [];
  const found: Finding[] = [step.gap, step.otherGap].flatMap((gap) => notNeighbours(gap));
  if (step.otherGap) {
    if (step.otherGap[0] !== between[0]) return found;
    const message =
      'Both eyes are said to be on the same line of holes. On a part that lies on its side each has its own.';
    return [...found, { code: 'same-hole', severity: 'error', message }];
  }
  const line = roundIndex(form.fabric, between[0] ?? 0);
  const other = placed.units.map(({ fromLine }) => fromLine).find((one) => one !== line) ?? line;
  const there = `between ${gapOf(form, other).join(' and ')}`;
  const apart = step.apart ?? step.showing;
  if (apart === undefined) {
    const message = `The part lies on its side, so each eye has a line of holes of its own. The other one is put ${there}, as far from the middle.`;
    return [...found, { code: 'eyes-other-side', severity: 'info', message }];
  }
  const message = `The part lies on its side, so each eye has a line of holes of its own. “${apart} apart” is taken as ${Math.round(apart)} rounds, the other eye put ${there}.`;
  const suggestions = aboutTheMiddle(checked, Math.round(apart));
  return [...found, { code: 'eyes-one-line', severity: 'warning', message, suggestions }];
};

function notNeighbours(gap: readonly [number, number] | undefined): Finding[] {
  if (!gap || gap[1] === gap[0] + 1) return [];
  const message = `Rounds ${gap[0]} and ${gap[1]} are not neighbours, so there is no one line of holes between them. The first of them is taken.`;
  return [{ code: 'gap-not-adjacent', severity: 'warning', message }];
}

/** The same number of rounds about the middle, and the usual one. */
function aboutTheMiddle(checked: Checked, apart: number): Suggestion[] {
  const { frame } = checked;
  const { form } = frame;
  const rule = asPlacedRule(checked);
  const most = Math.max(1, form.fabric.rounds - 2);
  const usual = { ...rule, sideways: proposedEyes(form).sideways };
  const usualApart = usual.sideways.by === 'rounds' ? lineCount(checked, usual.sideways) : apart;
  const wanted = Math.max(1, Math.min(most, apart));
  return [
    put(checked, `${wanted} rounds apart, about the middle`, spaced(frame, rule, wanted)),
    ...(usualApart === wanted ? [] : [put(checked, `${usualApart} rounds apart, about the middle`, usual)]),
  ];
}

const lineCount = ({ frame }: Checked, { from, to }: Sideways & { by: 'rounds' }): number =>
  roundIndex(frame.form.fabric, to) - roundIndex(frame.form.fabric, from);

/** What belongs to the eyes themselves needs no place of its own. */
const atTheEyes = new Set(['lashes', 'sculpting']);

const anyOf = (...said: unknown[]) => said.some((one) => one !== undefined);

function saysHeight(step: FeatureSentence, lies: boolean): boolean {
  if (anyOf(step.unused)) return true;
  return lies ? anyOf(step.stitchesFrom, step.level, step.relation) : verticalOf(step) !== null;
}

function saysSideways(step: FeatureSentence, lies: boolean): boolean {
  const { outward, inLine, apart, showing, stitches, back, gap, range, round } = step;
  return anyOf(outward, inLine, apart, showing, stitches, back) || (lies && anyOf(gap, range, round));
}

/** Says what is filled as makers usually do it. In line with the eyes is no guess to speak of. */
const asUsual: Check = (checked) => {
  const { step, rule, id, frame } = checked;
  if (atTheEyes.has(rule.kind)) return [];
  const height = saysHeight(step, frame.lies) ? null : verticalWords(rule.vertical);
  const guessed = rule.sides !== 'middle' && !saysSideways(step, frame.lies) ? rule.sideways : null;
  const speaks = guessed && guessed.by !== 'front' && guessed.by !== 'inLine';
  const side = speaks ? sidewaysWords(guessed, false, frame.across.one) : null;
  const words = [height, side].filter((word) => word !== null);
  if (words.length === 0) return [];
  const howHigh = frame.lies ? 'how high' : 'between which rounds';
  const open = height && side ? 'where' : height ? howHigh : 'how far out';
  return [
    {
      code: 'as-usual',
      severity: 'info',
      message: `The sentence does not say ${open} the ${id} ${goes(id)}. As is usual: ${words.join(', ')}.`,
      suggestions: [put(checked, 'Write it so', asPlacedRule(checked))],
    },
  ];
};
