import { t } from '../../words/language';
import { sayTerm } from '../../words/said';
import type { Suggestion } from '../../notation/problem';
import { gapOf } from '../frame/faceFrame';
import { showingOf } from '../frame/pair';
import { spaced } from '../move/step';
import type { Finding } from '../resolve/finding';
import { largestEyeMm, smallestEyeMm } from '../rule/hardware';
import { proposedEyes } from '../rule/proposeRule';
import { verticalOf } from '../rule/readRule';
import { hasPost, leadsFace, type FeatureRule, type Sideways, type Vertical } from '../rule/rule';
import type { FeatureSentence } from '../../notation/sentence/feature';
import { sidewaysWords, verticalWords, writeRule } from '../rule/writeRule';
import type { Check, Checked } from './checked';
import { saying } from '../../words/problems/problems';
import { plural } from '../../words/counted';
import { roundNumbered } from '../../fabric/rounds';

/**
 * What a sentence says and what was not read as it stands, and what it leaves open and is filled as makers usually do it. Each asks or
 * tells, so that a guess is never taken for what was said.
 */
export const leftOpen: Check = (checked) => {
  const notes = leadsFace(checked.rule) ? [eyeSize, apartAndShowing, oneStitch, sidewaysEyes] : [asUsual];
  return [howFar, otherUnit, ofRound, wordsUnused, howMany, acrossInOtherUnit, twoPlaces, ...notes].flatMap(
    (note) => note(checked),
  );
};

/** The rule that says what is placed now. */
const asPlacedRule = ({ rule, placed }: Checked): FeatureRule => (leadsFace(rule) ? placed.rule : rule);

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
      ...saying('how-far', { name: id, words: step.vague, unit: frame.up.one, direction, to }),
      severity: 'warning',
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
      ...saying('rounds-not-below', { stitches: vertical.stitches }),
      severity: 'info',
      suggestions: [put(checked, t`Say it in stitches`, asPlacedRule(checked))],
    },
  ];
};

/** A stitch told by the round it is in. */
const ofRound: Check = (checked) => {
  const round = checked.step.ofRound;
  if (round === undefined) return [];
  const gap = t`${round - 1} and ${round}`;
  return [
    {
      ...saying('stitch-of-round', { round }),
      severity: 'info',
      suggestions: [put(checked, t`Between ${gap}`, asPlacedRule(checked))],
    },
  ];
};

/** Clauses that say where, and are not read. On a part that lies on its side a stitch is a height, and no number says which. */
const wordsUnused: Check = (checked) => {
  const { step, frame, id } = checked;
  const stitch = frame.lies && step.stitches ? [t`stitch ${step.stitches.join(t` and `)}`] : [];
  return [...(step.unused ?? []), ...stitch].map((clause) => ({
    ...saying('words-unused', { of: 'place', name: id, words: clause }),
    severity: 'warning',
    suggestions: [put(checked, t`Keep it as placed`, asPlacedRule(checked))],
  }));
};

/** More of it, or fewer, than there are places for: each other one wants a sentence of its own. */
const howMany: Check = ({ step, placed, id }) => {
  const planned = placed.units.length;
  if (step.howMany === undefined || step.howMany.count === planned) return [];
  const facts = { of: 'count', name: id, words: step.howMany.words, planned } as const;
  return [{ ...saying('words-unused', facts), severity: 'warning' }];
};

/** Across said in the unit that goes up. */
const acrossInOtherUnit: Check = (checked) => {
  const { step, frame, id } = checked;
  if (step.across === undefined || step.across === frame.across.many) return [];
  const title = t`Say it in ${sayTerm(frame.across.many)}`;
  const suggestions = [put(checked, title, asPlacedRule(checked))];
  const code = frame.lies ? 'across-in-stitches' : 'across-in-rounds';
  return [{ ...saying(code, { name: id }), severity: 'warning', suggestions }];
};

/** Two lines of holes in one sentence, on a part whose rounds run level. */
const twoPlaces: Check = (checked) => {
  const { step, frame, id, rule, placed } = checked;
  if (frame.lies || !step.otherGap || step.otherGap[0] === step.gap?.[0]) return [];
  if (leadsFace(rule)) {
    return [{ ...saying('eyes-two-lines', { taken: placed.gap }), severity: 'warning' }];
  }
  const other: FeatureRule = { ...rule, vertical: { by: 'gap', gap: step.otherGap } };
  const suggestions = [put(checked, t`A sentence each`, rule, other)];
  return [{ ...saying('feature-two-places', { name: id }), severity: 'warning', suggestions }];
};

const eyeSize: Check = ({ step, rule }) => {
  const { sizeMm } = step;
  if (step.sizeFrom === 'materials') {
    return [{ ...saying('eyes-size', { sizeMm: sizeMm ?? null, from: 'materials' }), severity: 'info' }];
  }
  if (sizeMm === undefined) {
    return [{ ...saying('eyes-size', { sizeMm: rule.sizeMm, from: 'usual' }), severity: 'info' }];
  }
  const isSold = sizeMm >= smallestEyeMm && sizeMm <= largestEyeMm;
  if (isSold || !hasPost(rule)) return [];
  const facts = { sizeMm, least: smallestEyeMm, most: largestEyeMm };
  return [{ ...saying('eyes-size-odd', facts), severity: 'warning' }];
};

const apartAndShowing: Check = ({ step, placed }) => {
  const { apart, showing } = step;
  if (apart === undefined || showing === undefined) return [];
  const shows = showingOf(Math.round(apart), placed.seat);
  if (shows === showing) return [];
  const facts = { apart, shows, showing, seat: placed.seat };
  return [{ ...saying('apart-showing-differ', facts), severity: 'warning' }];
};

const oneStitch: Check = ({ step, placed, frame }) => {
  if (frame.lies || !step.stitches || step.stitches.length === 2) return [];
  const facts = { apart: placed.apart, lies: false, isOneStitch: true };
  return [{ ...saying('eyes-spacing', facts), severity: 'warning' }];
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
    return [...found, { ...saying('same-hole', { why: 'line' }), severity: 'error' }];
  }
  const line = roundNumbered(form.fabric, between[0] ?? 0);
  const other = placed.units.map(({ fromLine }) => fromLine).find((one) => one !== line) ?? line;
  const taken = gapOf(form, other);
  const apart = step.apart ?? step.showing;
  if (apart === undefined) {
    return [...found, { ...saying('eyes-other-side', { taken }), severity: 'info' }];
  }
  const suggestions = aboutTheMiddle(checked, Math.round(apart));
  return [...found, { ...saying('eyes-one-line', { apart, taken }), severity: 'warning', suggestions }];
};

function notNeighbours(gap: readonly [number, number] | undefined): Finding[] {
  if (!gap || gap[1] === gap[0] + 1) return [];
  return [{ ...saying('gap-not-adjacent', { gap }), severity: 'warning' }];
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
    put(checked, t`${wanted} rounds apart, about the middle`, spaced(frame, rule, wanted)),
    ...(usualApart === wanted ? [] : [put(checked, t`${usualApart} rounds apart, about the middle`, usual)]),
  ];
}

const lineCount = ({ frame }: Checked, { from, to }: Sideways & { by: 'rounds' }): number =>
  roundNumbered(frame.form.fabric, to) - roundNumbered(frame.form.fabric, from);

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
      ...saying('as-usual', { name: id, open, filled: words }),
      severity: 'info',
      suggestions: [put(checked, t`Write it so`, asPlacedRule(checked))],
    },
  ];
};
