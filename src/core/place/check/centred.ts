import { t } from '../../words/language';
import { sayTerm } from '../../words/said';
import { wrapAngle } from '../../shape/azimuth';
import { gapOf } from '../frame/faceFrame';
import { moveFront } from '../move/front';
import { besideMiddle, byDistance, raised, spaced } from '../move/step';
import type { Finding } from '../resolve/finding';
import { isAtBack, leadsFace, isSewn, type FeatureRule } from '../rule/rule';
import { attemptRule, remedy, type Check, type Checked, type Try } from './checked';
import { saying } from '../../words/problems/problems';

/** A miss smaller than this can't be seen: a twentieth of a stitch. */
const centredWithin = 0.05;
/** From this miss on a face looks off by its eyes. */
const eyesOffFrom = 0.2;
/** A spiral leans by quarters of a stitch, and no whole number of stitches comes nearer to the middle than a quarter on every line. */
const offFrom = 0.3;
/** Half a round is what whole rounds cost where the middle of a part that lies falls on one. */
const roundsOffFrom = 0.55;
/** Where the middles are further from each other than half a stitch the eye sees it; a quarter each is what whole stitches cost. */
const offFromEyes = 0.55;
/** From this share of a stitch on one side is seen to be higher. */
const levelWithin = 0.3;
/** A remedy has to gain more than what can't be seen. */
const noticeableMm = 0.5;
const mostRemedies = 3;

/** Whether it stands about a middle at all: one of a pair does not, nor what is put at a stitch far from it. */
function hasMiddle({ rule, missStitches }: Checked['placed']): boolean {
  const oneSide = rule.sides === 'left' || rule.sides === 'right';
  const atStitch = rule.sideways.by === 'holes' && rule.sides === 'middle';
  return !oneSide && !(atStitch && Math.abs(missStitches) > besideMiddle);
}

/** Off the middle, to the left or right. */
export const offMiddle: Check = (checked) => {
  const { frame, placed, id, rule } = checked;
  const eyes = leadsFace(rule);
  const from = eyes ? eyesOffFrom : frame.lies ? roundsOffFrom : offFrom;
  const miss = Math.abs(placed.missStitches);
  if (!hasMiddle(placed) || miss < from) return [];
  const standing = eyes ? 'front' : 'line';
  const facts = {
    name: id,
    pair: placed.apart !== null,
    isHalf: eyes && Math.abs(miss - 0.5) < 0.03,
    missed: miss,
    unit: frame.across.one,
    side: placed.missSide,
    of: frame.lies ? 'face' : standing,
    missMm: placed.missMm,
  } as const;
  const better = centring(checked).map((one) => remedy(checked, one));
  return [
    {
      ...saying('not-centred', facts),
      severity: 'warning',
      suggestions: eyes && !frame.lies ? [...better, moveFront(frame.form, placed)] : better,
    },
  ];
};

/** What is centred better, best first. */
function centring(checked: Checked): Try[] {
  const { frame, placed, rule } = checked;
  const miss = ({ placed: one }: Try) => Math.abs(one.missStitches);
  const tries = [...resized(checked), ...otherSeat(checked), ...linesBeside(checked)];
  const better = tries.filter((one) => miss(one) < Math.abs(placed.missStitches) - centredWithin);
  better.sort((a, b) => miss(a) - miss(b));
  if (!leadsFace(rule) || frame.lies) return better.slice(0, mostRemedies);
  return better.slice(0, mostRemedies).map((one) => {
    const off = miss(one);
    return off > eyesOffFrom ? { ...one, title: t`${one.title} (${Math.round(off * 100) / 100} off)` } : one;
  });
}

/** A pair a step closer or wider; something stitched a step narrower or wider. */
function resized(checked: Checked): Try[] {
  const { frame, placed } = checked;
  const rule = byDistance(placed);
  const { apart } = placed;
  const { most } = frame.row(placed.level, frame.centre(false), false);
  // Rounds that are named need not lie about the middle; the same number of them can.
  const steps = frame.lies ? [0, 1, -1] : [-1, 1];
  return steps.flatMap((by) => {
    const size = (apart ?? rule.wide) + by;
    if (size < 1 || size > most || (apart === null && isSewn(rule))) return [];
    const unit = frame.lies ? ' rounds' : '';
    if (apart !== null)
      return [attemptRule(checked, t`${size}${sayTerm(unit)} apart`, spaced(frame, rule, size))];
    const sideways: FeatureRule['sideways'] = frame.lies ? { by: 'front' } : rule.sideways;
    return [attemptRule(checked, t`${size} wide`, { ...rule, wide: size, sideways })];
  });
}

/** A single post between two stitches instead of in a hole, or the other way. */
function otherSeat(checked: Checked): Try[] {
  const { frame, placed } = checked;
  if (frame.lies || placed.apart !== null || !isSewn(placed.rule)) return [];
  const seat = placed.seat === 'foot' ? 'split' : 'foot';
  const title = seat === 'split' ? t`Between two stitches` : t`In a hole`;
  return [attemptRule(checked, title, { ...byDistance(placed), seat })];
}

/** The lines of holes beside it. */
function linesBeside(checked: Checked): Try[] {
  const { frame, placed } = checked;
  if (frame.lies) return [];
  return [1, -1].flatMap((by) => {
    const line = placed.level + by;
    if (line < 1 || line >= frame.form.fabric.rounds) return [];
    const gap = gapOf(frame.form, line);
    return [
      attemptRule(checked, t`Between ${gap.join(t` and `)}`, {
        ...byDistance(placed),
        vertical: { by: 'gap', gap },
      }),
    ];
  });
}

/** Off level, one side higher: on a part that lies, where each of a pair has a line of holes of its own. */
export const offLevel: Check = (checked) => {
  const { frame, placed, rule } = checked;
  if (!frame.lies || !leadsFace(rule) || placed.levelMm <= frame.form.gauge.widthMm * levelWithin) return [];
  const apart = placed.apart ?? 1;
  const seat = placed.seat === 'foot' ? 'split' : 'foot';
  const steps = ([1, -1] as const).flatMap((by) => {
    const next = raised(frame, placed, by);
    return next ? [attemptRule(checked, by > 0 ? t`1 stitch up` : t`1 stitch down`, next)] : [];
  });
  const spacings = [1, -1, 2, -2]
    .map((by) => apart + by)
    .filter((one) => one >= 1 && one <= frame.form.fabric.rounds - 2)
    .map((one) => attemptRule(checked, t`${one} rounds apart`, spaced(frame, rule, one)));
  const better = [
    attemptRule(checked, seat === 'split' ? t`In the splits` : t`In the holes`, { ...rule, seat }),
    ...steps,
    ...spacings,
  ].filter((one) => one.placed.levelMm < placed.levelMm - 0.2);
  better.sort((a, b) => a.placed.levelMm - b.placed.levelMm);
  return [
    {
      ...saying('not-level', { lower: placed.lower, lowerMm: placed.levelMm }),
      severity: 'warning',
      where: { feature: checked.id, ...(placed.lower ? { side: placed.lower } : {}) },
      suggestions: better.slice(0, mostRemedies).map((one) => remedy(checked, one)),
    },
  ];
};

/** Where the middle of the whole lies, in radians from the front: of two that face each other across the piece in front, not behind. */
function middleOf({ units, front }: Checked['placed']): number | null {
  const [first, last] = [units[0], units.at(-1)];
  if (!first || !last) return null;
  return (wrapAngle(first.azimuth - front) + wrapAngle(last.azimuth - front)) / 2;
}

/** Beside the middle that the eyes have: what hangs under them has to share it. */
export const offTheEyes: Check = (checked) => {
  const { frame, placed, id, eyes } = checked;
  if (frame.lies || !eyes || placed === eyes || isAtBack(placed.rule.sideways) || !hasMiddle(placed))
    return [];
  const [own, theirs] = [middleOf(placed), middleOf(eyes)];
  if (own === null || theirs === null) return [];
  const radius = Math.max(0.001, frame.form.profile.radius[placed.line - 1] ?? 0);
  const offMm = (middle: number) => Math.abs(wrapAngle(middle - theirs)) * radius;
  if (offMm(own) <= frame.form.gauge.widthMm * offFromEyes) return [];
  const nearer = resized(checked).filter((one) => {
    const middle = middleOf(one.placed);
    return middle !== null && offMm(middle) <= offMm(own) - noticeableMm;
  });
  const eyesToo = checked.face.features.find((one) => one.placed === eyes);
  return [
    {
      ...saying('off-the-eyes', { name: id, offMm: offMm(own) }),
      severity: 'warning',
      suggestions: [
        ...nearer.map((one) => remedy(checked, one)),
        ...(eyesToo ? eyesCentred({ ...checked, ...eyesToo }) : []),
      ],
    },
  ];
};

/** Where the eyes miss the middle themselves, what evens them out. */
function eyesCentred(eyes: Checked): Finding['suggestions'] & object {
  const [finding] = offMiddle(eyes);
  return (finding?.suggestions ?? []).slice(0, 2).map(({ title, edits }) => ({
    title: t`Eyes: ${title.charAt(0).toLowerCase()}${title.slice(1)}`,
    edits,
  }));
}
