import { t } from '../../words/language';
import type { Problem } from '../../notation/problem';
import { holeAt } from '../frame/holes';
import { seatHoles, type PartForm } from '../frame/partForm';
import { byDistance } from '../move/step';
import { placeFace, problemOf } from '../resolve/placeFace';
import type { PlacedFace } from '../resolve/placement';
import { writeRule } from '../rule/writeRule';
import { leadsFace } from '../rule/rule';
import { offLevel, offMiddle, offTheEyes } from './centred';
import { checkedOf, type Check } from './checked';
import { nearClosing } from './closing';
import { leftOpen } from './leftOpen';
import { overlap } from './overlap';
import {
  eyeLarge,
  oneHole,
  onDecrease,
  pairRoom,
  ringRoom,
  straddlesStart,
  washersClash,
  washerSeat,
} from './posts';
import { saying } from '../../words/problems/problems';

/** From here on a front that named stitches bring along is told of, in stitches. */
const frontToldFrom = 0.75;

/** Eyes at named stitches bring the front with them: it says so where that is not opposite the round start, where one would look for it. */
const frontByEyes: Check = (checked) => {
  const { frame, face, placed } = checked;
  const { form } = frame;
  const { sideways } = placed.rule;
  if (!leadsFace(placed.rule) || sideways.by !== 'holes' || form.part.front || frame.lies) return [];
  const holes = seatHoles(form, placed.line, placed.seat);
  const off = holeAt(holes, placed.front) - holeAt(holes, face.opposite);
  const stitches = Math.round(Math.abs(off - holes.count * Math.round(off / holes.count)) * 10) / 10;
  if (stitches < frontToldFrom) return [];
  return [
    {
      ...saying('front-by-eyes', { stitches: sideways.holes, off: stitches }),
      severity: 'info',
      suggestions: [
        {
          title: t`Put it opposite the round start`,
          edits: [writeRule(form.part, placed.id, byDistance(placed))],
        },
      ],
    },
  ];
};

const checks: readonly Check[] = [
  leftOpen,
  offMiddle,
  offLevel,
  offTheEyes,
  pairRoom,
  nearClosing,
  ringRoom,
  eyeLarge,
  straddlesStart,
  onDecrease,
  washerSeat,
  washersClash,
  oneHole,
  overlap,
  frontByEyes,
];

/** Places every feature of a part and checks it. */
export function checkedFace(form: PartForm): PlacedFace {
  const face = placeFace(form);
  // What a feature is told of counts where others are checked against it, so all are placed before any is checked.
  for (const feature of face.features) {
    const found = feature.findings.map((finding): Problem => problemOf(form, feature, finding));
    feature.placed.problems.push(...found);
  }
  for (const feature of face.features) {
    const checked = checkedOf(face, feature);
    const found = checks.flatMap((check) => check(checked));
    feature.placed.problems.push(...found.map((finding) => problemOf(form, feature, finding)));
  }
  return { front: face.frame.front, features: face.features.map(({ placed }) => placed) };
}
