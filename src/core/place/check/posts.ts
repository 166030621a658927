import { t } from '../../words/language';
import { sayTerm } from '../../words/said';
import { gapOf, type Place } from '../frame/faceFrame';
import { resetFront } from '../move/front';
import { byDistance, raised, withApart } from '../move/step';
import type { Finding } from '../resolve/finding';
import type { FeaturePlacement } from '../resolve/placement';
import { startOf } from '../resolve/unit';
import { smallestEyeMm, widestEyeInStitches } from '../rule/hardware';
import { hasPost, leadsFace, type FeatureRule } from '../rule/rule';
import { clearLines } from './clearLines';
import { attemptRule, remedy, type Check, type Checked, type Try } from './checked';
import { sitsFlat, tellUnder, underWasher } from './washers';
import { saying } from '../../words/problems/problems';

type Remedies = Finding['suggestions'] & object;

/** `left eye`, `nose` */
function postName({ id, placed }: Checked, side: 'left' | 'middle' | 'right'): string {
  return placed.kind === 'eyes' ? t`${sayTerm(side)} eye` : id;
}

const sideOf = (id: string, side: 'left' | 'middle' | 'right'): Finding['where'] =>
  side === 'middle' ? { feature: id } : { feature: id, side };

/** What has a post, of everything on the face. */
const posts = (all: readonly FeaturePlacement[]) => all.filter(({ washerMm }) => washerMm !== null);

/** The pair so many steps further apart, or closer; none where there is no room. */
function spacing(checked: Checked, by: number): Try[] {
  const { frame, placed } = checked;
  const apart = (placed.apart ?? 0) + by;
  const rule = withApart(frame, placed, apart);
  if (!rule) return [];
  const unit = frame.lies ? (apart === 1 ? ' round' : ' rounds') : '';
  return [attemptRule(checked, t`${apart}${sayTerm(unit)} apart`, rule)];
}

/** A stitch down and a stitch up, on a part that lies. */
function stitchSteps(checked: Checked, ways: readonly (1 | -1)[]): Try[] {
  return ways.flatMap((by) => {
    const rule = raised(checked.frame, checked.placed, by);
    return rule ? [attemptRule(checked, by > 0 ? t`1 stitch up` : t`1 stitch down`, rule)] : [];
  });
}

/** The nearest lines of holes, each way, on which something is all right. */
export function linesWhere(checked: Checked, isFine: (placed: FeaturePlacement) => boolean): Try[] {
  const { frame, placed } = checked;
  const at = (line: number): Try => {
    const gap = gapOf(frame.form, line);
    const rule: FeatureRule = { ...byDistance(placed), vertical: { by: 'gap', gap } };
    return attemptRule(checked, t`Between ${gap.join(t` and `)}`, rule);
  };
  const lines = clearLines(placed.line, frame.form.fabric.rounds - 1, (line) => isFine(at(line).placed));
  return lines.map(at);
}

const taps = (checked: Checked, tries: readonly Try[]): Remedies => tries.map((one) => remedy(checked, one));

/** The smallest distance that keeps things of a width clear of each other, or smaller eyes. */
function wider(checked: Checked, widthMm: number): Remedies {
  const { frame, placed, rule } = checked;
  const row = frame.row(placed.level, frame.centre(false), false);
  const most = frame.lies ? row.most : Math.floor(row.count / 2);
  for (let apart = (placed.apart ?? 0) + 1; apart <= most; apart += 1) {
    const pair = row.centred(apart, placed.seat);
    const [a, b] = row.spots(pair.a, pair.b, placed.seat);
    if (frame.straight(a, b).mm < widthMm) continue;
    const smaller = Math.max(smallestEyeMm, (rule.sizeMm ?? 0) - 2);
    const sizes =
      (rule.sizeMm ?? 0) > smallestEyeMm
        ? [attemptRule(checked, t`Eyes of ${smaller} mm`, { ...placed.rule, sizeMm: smaller })]
        : [];
    return taps(checked, [...spacing(checked, apart - (placed.apart ?? 0)), ...sizes]);
  }
  return [];
}

/** Two posts of a pair too near for what they carry, outside or inside. */
export const pairRoom: Check = (checked) => {
  const { placed, rule } = checked;
  if (!leadsFace(rule) || rule.sizeMm === null) return [];
  const { straightMm, washerMm } = placed;
  const found: Finding[] = [];
  if (straightMm < rule.sizeMm) {
    found.push({
      ...saying('eyes-overlap', { sizeMm: rule.sizeMm, apartMm: straightMm }),
      severity: 'error',
      suggestions: wider(checked, rule.sizeMm),
    });
  } else if (washerMm !== null && straightMm < washerMm) {
    found.push({
      ...saying('washers-overlap', { posts: null, apartMm: straightMm, neededMm: washerMm }),
      severity: 'error',
      suggestions: wider(checked, washerMm),
    });
  }
  if (rule.ring && straightMm < rule.ring.sizeMm) {
    const sizeMm = Math.floor(straightMm);
    const smaller = attemptRule(checked, t`Rings of ${sizeMm} mm`, {
      ...placed.rule,
      ring: { ...rule.ring, sizeMm },
    });
    found.push({
      ...saying('rings-overlap', { ringMm: rule.ring.sizeMm, apartMm: straightMm }),
      severity: 'warning',
      suggestions: [...wider(checked, rule.ring.sizeMm).slice(0, 1), remedy(checked, smaller)],
    });
  }
  return found;
};

/** An eye that pulls the fabric open around its post. */
export const eyeLarge: Check = (checked) => {
  const { frame, rule, placed } = checked;
  const { widthMm } = frame.form.gauge;
  const isLarge = (rule.sizeMm ?? 0) > widthMm * widestEyeInStitches;
  if (!leadsFace(rule) || !hasPost(rule) || rule.sizeMm === null || !isLarge) return [];
  const sizeMm = Math.floor(widthMm * widestEyeInStitches);
  return [
    {
      ...saying('eye-large', { sizeMm: rule.sizeMm, stitches: widestEyeInStitches }),
      severity: 'warning',
      suggestions: taps(checked, [attemptRule(checked, `${sizeMm} mm`, { ...placed.rule, sizeMm })]),
    },
  ];
};

const acrossMm = (checked: Checked, { line }: Place) =>
  2 * (checked.frame.form.profile.radius[line - 1] ?? 0);

/** The piece too narrow for a washer where the post is. */
export const ringRoom: Check = (checked) => {
  const { frame, placed, rule, id } = checked;
  const { washerMm } = placed;
  const flat = frame.form.fabric.row[0] === 1;
  if (!leadsFace(rule) || washerMm === null || flat) return [];
  const narrow = placed.units.filter((unit) => acrossMm(checked, startOf(unit)) < washerMm);
  const isFine = (one: FeaturePlacement) =>
    one.units.every((unit) => acrossMm(checked, startOf(unit)) >= washerMm);
  const remedies = () => (frame.lies ? spacing(checked, -2) : linesWhere(checked, isFine));
  return (frame.lies ? narrow : narrow.slice(0, 1)).map((unit) => ({
    ...saying('ring-too-small', {
      acrossMm: acrossMm(checked, startOf(unit)),
      post: frame.lies ? postName(checked, unit.side) : null,
      washerMm,
    }),
    severity: 'warning',
    where: frame.lies ? sideOf(id, unit.side) : { feature: id },
    suggestions: taps(checked, remedies()),
  }));
};

/** The round begins between the two: there the line of holes jumps up. */
export const straddlesStart: Check = ({ frame, placed, rule }) => {
  const [first, second] = placed.units;
  if (frame.lies || !leadsFace(rule) || !first || !second) return [];
  // Stitch numbers run from one eye to the other, unless the first stitch lies between them.
  const onward = Math.sign(second.azimuth - first.azimuth);
  if ((second.from - first.from) * onward > 0) return [];
  const { part } = frame.form;
  return [
    {
      ...saying('straddles-start', {}),
      severity: 'warning',
      suggestions: part.front ? [resetFront(part)] : [],
    },
  ];
};

/** Whether a hole lies over two stitches worked together. */
function isOnDecrease(
  { frame }: Checked,
  { seat }: FeaturePlacement,
  { line, hole }: { line: number; hole: number },
) {
  const { fabric } = frame.form;
  return seat === 'foot' && (fabric.parentCount[(fabric.offset[line] ?? 0) + hole - 1] ?? 1) > 1;
}

/** A place on which a post and its washer sit well. */
function sitsWell(checked: Checked, placed: FeaturePlacement): boolean {
  const { form } = checked.frame;
  return placed.units.map(startOf).every((spot) => {
    const under = underWasher(form, spot, placed.washerMm ?? 0);
    return !isOnDecrease(checked, placed, spot) && sitsFlat(under);
  });
}

/** A post in the tight hole of a decrease. */
export const onDecrease: Check = (checked) => {
  const { frame, placed, rule, id } = checked;
  if (!leadsFace(rule)) return [];
  const { label } = frame.form.fabric;
  const hit = placed.units.filter((unit) => isOnDecrease(checked, placed, startOf(unit)));
  const remedies = () =>
    frame.lies ? stitchSteps(checked, [1, -1]) : linesWhere(checked, (one) => sitsWell(checked, one));
  return hit.map(({ side, from, fromLine }) => ({
    ...saying('on-decrease', { side, stitch: from, round: label[fromLine] ?? fromLine + 1 }),
    severity: 'warning',
    where: sideOf(id, side),
    suggestions: taps(checked, remedies()),
  }));
};

/** A washer on fabric that is not even. */
export const washerSeat: Check = (checked) => {
  const { frame, placed, id } = checked;
  const { washerMm } = placed;
  if (washerMm === null) return [];
  const { form } = frame;
  return placed.units.flatMap((unit): Finding[] => {
    const under = underWasher(form, startOf(unit), washerMm);
    const told = tellUnder(under, form.fabric.label, { post: postName(checked, unit.side), washerMm });
    if (!told) return [];
    return [
      {
        ...told,
        severity: 'warning',
        where: sideOf(id, unit.side),
        suggestions: taps(checked, elsewhere(checked)),
      },
    ];
  });
};

/** Where else a post with a washer could go. */
function elsewhere(checked: Checked): Try[] {
  if (!checked.frame.lies)
    return linesWhere(checked, (one) => sitsWell(checked, one) && clashes(checked, one).length === 0);
  if (leadsFace(checked.rule)) return [...spacing(checked, -2), ...spacing(checked, 2)];
  return stitchSteps(checked, [-1, 1]);
}

/** Posts of other features nearer than both washers need. */
function clashes({ frame, all, id }: Checked, placed: FeaturePlacement) {
  return posts(all.filter((other) => other.id !== id)).flatMap((other) =>
    other.units.flatMap((theirs) =>
      placed.units.flatMap((own) => {
        const awayMm = frame.apartMm(startOf(theirs), startOf(own));
        const roomMm = ((placed.washerMm ?? 0) + (other.washerMm ?? 0)) / 2;
        return awayMm < roomMm ? [{ other, side: theirs.side, awayMm, roomMm }] : [];
      }),
    ),
  );
}

/** The washers of two features over each other; said once, by the one that does not lead the face. */
export const washersClash: Check = (checked) => {
  const { placed, rule, id } = checked;
  if (placed.washerMm === null || leadsFace(rule)) return [];
  return clashes(checked, placed).map(({ other, side, awayMm, roomMm }) => {
    const theirs = other.kind === 'eyes' ? t`${sayTerm(side)} eye` : other.id;
    return {
      ...saying('washers-overlap', { posts: [id, theirs], apartMm: awayMm, neededMm: roomMm }),
      severity: 'error',
      suggestions: taps(checked, elsewhere(checked)),
    };
  });
};

/** Two posts in one hole: the two stitches of an increase share it. */
export const oneHole: Check = (checked) => {
  const { frame, placed, rule } = checked;
  const [first, second] = placed.units;
  if (frame.lies || !leadsFace(rule) || placed.seat !== 'foot' || !first || !second) return [];
  const { fabric } = frame.form;
  const parent = (hole: number) => fabric.parentFirst[(fabric.offset[placed.line] ?? 0) + hole - 1];
  if (parent(first.from) !== parent(second.from)) return [];
  return [
    {
      ...saying('same-hole', { why: 'increase' }),
      severity: 'error',
      suggestions: taps(checked, spacing(checked, 1)),
    },
  ];
};
