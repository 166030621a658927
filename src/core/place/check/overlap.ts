import { t } from '../../words/language';
import { wrapAngle } from '../../shape/azimuth';
import { radiusAt, type FaceFrame } from '../frame/faceFrame';
import { placeOf } from '../frame/sidewaysFrame';
import { raised } from '../move/step';
import type { FeaturePlacement } from '../resolve/placement';
import { reachOf } from '../rule/reach';
import { leadsFace, isSewn } from '../rule/rule';
import { attemptRule, remedy, type Check, type Checked } from './checked';
import { linesWhere } from './posts';
import { saying } from '../../words/problems/problems';

/** Rounds two features may share: a mouth may begin in the hole where the nose ends. */
const sharedFrom = 0.3;
/** Two things may touch by so much before it is seen. */
const touchMm = 0.5;

/** Two features over each other. Said once for each two: by the one that comes later in the text, and never by the eyes. */
export const overlap: Check = (checked) => {
  const { placed, id, all, frame } = checked;
  if (placed.kind === 'sculpting' || leadsFace(placed.rule)) return [];
  const before = (other: FeaturePlacement) =>
    leadsFace(other.rule) || all.indexOf(other) < all.indexOf(placed);
  const others = all.filter(
    (other) => other !== placed && other.kind !== 'sculpting' && !meantToTouch(placed, other),
  );
  const touching = others.filter((other) => touches(frame, placed, other));
  const said = touching.filter(before);
  const clear = said.length > 0 ? clearOf(checked, others) : [];
  return said.map((other) => ({
    ...saying('features-overlap', { name: id, other: other.id }),
    severity: 'warning',
    suggestions: clear.map((one) => remedy(checked, one)),
  }));
};

/** Where it would lie clear of the others: the nearest lines, or on a part that lies a stitch down and up. */
function clearOf(checked: Checked, others: readonly FeaturePlacement[]) {
  const { frame, placed } = checked;
  if (!frame.lies) return linesWhere(checked, (one) => others.every((other) => !touches(frame, one, other)));
  return ([-1, 1] as const).flatMap((by) => {
    const rule = raised(frame, placed, by);
    return rule ? [attemptRule(checked, by > 0 ? t`1 stitch up` : t`1 stitch down`, rule)] : [];
  });
}

/** Lashes stand at the eyes, and a patch over an eye lies behind it. */
function meantToTouch({ kind, rule }: FeaturePlacement, other: FeaturePlacement): boolean {
  if (!leadsFace(other.rule)) return false;
  const level = rule.sideways.by === 'inLine' && rule.sideways.to === 'eyes' && rule.vertical?.by === 'level';
  const behind = kind === 'patch' || kind === 'spots' || rule.lying === true;
  return kind === 'lashes' || (behind && level);
}

function touches(frame: FaceFrame, one: FeaturePlacement, other: FeaturePlacement): boolean {
  return frame.lies ? areasTouch(frame, one, other) : bandsTouch(frame, one, other);
}

/** How wide something is, half of it: a ring behind an eye is as far as it reaches. */
function halfMm({ rule, units }: FeaturePlacement): number {
  const ring = rule.ring ? rule.ring.sizeMm / 2 : 0;
  return Math.max(ring, units[0]?.halfMm ?? 0);
}

/** Rounds it lies over, upwards as one looks at the piece; at least half a round, which a single stitch needs. */
function bandOf(frame: FaceFrame, placed: FeaturePlacement): { lower: number; upper: number } {
  const { rule, level } = placed;
  const height = frame.stepsUp(0, level);
  const { up, down } = reachOf(rule);
  if (!isSewn(rule) && up + down > 0) return { lower: height - down, upper: height + up };
  const sizeMm = isSewn(rule) ? 2 * halfMm(placed) : 0;
  const half = Math.max(0.25, sizeMm / frame.form.gauge.heightMm / 2);
  return { lower: height - half, upper: height + half };
}

function bandsTouch(frame: FaceFrame, one: FeaturePlacement, other: FeaturePlacement): boolean {
  const [a, b] = [bandOf(frame, one), bandOf(frame, other)];
  const shared = Math.min(a.upper, b.upper) - Math.max(a.lower, b.lower);
  if (shared <= sharedFrom) return false;
  const radius = radiusAt(frame.form, one.line);
  const room = halfMm(one) + halfMm(other) - touchMm;
  return one.units.some((unit) =>
    other.units.some(({ azimuth }) => Math.abs(wrapAngle(unit.azimuth - azimuth)) * radius < room),
  );
}

interface Area {
  x: number;
  y: number;
  z: number;
  halfWide: number;
  halfHigh: number;
}

/** What each of its places covers on the face, in mm. What is stitched reaches down from its line; what is sewn on lies about it. */
function areasOf({ form, front }: FaceFrame, { rule, units }: FeaturePlacement): Area[] {
  const { widthMm } = form.gauge;
  const high = isSewn(rule) ? (rule.sizeMm ?? 0) : rule.high * widthMm;
  const below = isSewn(rule) ? 0 : Math.max(0, high - widthMm) / 2;
  return units.map((unit) => {
    const a = placeOf(form, front, { line: unit.fromLine, azimuth: unit.fromAzimuth });
    const b = placeOf(form, front, { line: unit.toLine, azimuth: unit.toAzimuth });
    const middle = { x: (a[0] + b[0]) / 2, y: (a[1] + b[1]) / 2 - below, z: a[2] };
    return { ...middle, halfWide: unit.halfMm, halfHigh: Math.max(1, high) / 2 };
  });
}

function areasTouch(frame: FaceFrame, one: FeaturePlacement, other: FeaturePlacement): boolean {
  const theirs = areasOf(frame, other);
  return areasOf(frame, one).some((a) =>
    theirs.some(
      (b) =>
        Math.sign(a.z) === Math.sign(b.z) &&
        Math.abs(a.x - b.x) < a.halfWide + b.halfWide - touchMm &&
        Math.abs(a.y - b.y) < a.halfHigh + b.halfHigh - touchMm,
    ),
  );
}
