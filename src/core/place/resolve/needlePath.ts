import { t } from '../../words/language';
import type { Place } from '../frame/faceFrame';
import { nearestFootHole } from '../frame/holes';
import type { PartForm } from '../frame/partForm';
import type { FeatureRule } from '../rule/rule';
import type { NeedleGrid } from './needleGrid';
import type { FeatureUnit } from './unit';

/** One passing of the needle through the fabric. */
export interface NeedlePoint {
  act: 'out' | 'in';
  /** line of holes by index, and the rounds it lies between as the maker numbers them */
  line: number;
  gap: [number, number];
  hole: number;
  azimuth: number;
}

/** A thread's way, from its knot to its end. */
export interface NeedlePath {
  points: NeedlePoint[];
  /** how the thread lies on the fabric, as pairs of points by index: a stitch held down in its middle lies as two */
  lies: [number, number][];
  /** where the knot lies */
  knot: string;
  strands: string;
  /** thread to cut, in mm */
  threadMm: number;
  /** where the way is gone more than once: the points of one turn, and what to mind while pulling */
  turns: { points: number; times: number; loop: string } | null;
}

/** Beside the way itself: two hand's lengths to hold, knot and bury. */
const threadToHold = 300;

/** Strokes of one unit, each from where the needle comes out to where it goes in. */
function strokes(rule: FeatureRule, unit: FeatureUnit, grid: NeedleGrid): [Place, Place][] {
  const at = (share: number, rise: number) => grid.at(unit, share, rise);
  const outward = grid.outward(unit);
  switch (rule.kind) {
    case 'mouth':
      if (rule.style === 'row')
        return Array.from(
          { length: rule.wide },
          (_, i) => [at((i + 1) / rule.wide, 0), at(i / rule.wide, 0)] as [Place, Place],
        );
      if (rule.style === 'line') return [[at(0, 0), at(1, 0)]];
      if (rule.style === 'lips')
        return [
          [at(0, 0), at(1, 0)],
          [at(1, -1), at(0, -1)],
          [at(0.5, 0), at(0.5, -1)],
        ];
      // A smile: one long stitch, held down at its middle one round lower by a tiny one over it.
      return [
        [at(0, 0), at(1, 0)],
        [at(0.5, -1), at(0.5, -1)],
      ];
    case 'nose': {
      const across = Math.max(2, rule.wide + 1);
      const top = Array.from({ length: across }, (_, i) => i / (across - 1));
      if (rule.style === 'triangle')
        return [
          ...top.map((share) => [at(share, 0), at(0.5, -rule.high)] as [Place, Place]),
          [at(0, 0), at(1, 0)],
        ];
      return top.map((share) => [at(share, 0), at(share, -rule.high)] as [Place, Place]);
    }
    case 'eyes':
      if (rule.style === 'sleeping')
        return [
          [at(0, 0), at(1, 0)],
          [at(0.5, -1), at(0.5, -1)],
          [at(outward > 0 ? 1 : 0, 0), grid.aside(unit, outward > 0 ? 1 : 0, -1, outward / 2)],
        ];
      return [0, 1, 2].map((i) => [at(i / 2, rule.high / 2), at(i / 2, -rule.high / 2)] as [Place, Place]);
    case 'brows':
      return [[at(outward > 0 ? 0 : 1, 0), at(outward > 0 ? 1 : 0, 0)]];
    case 'lashes':
      return [0, 1].map(
        (i) => [at(0.5, i), grid.aside(unit, 0.5, i + 1, outward * (2 - i))] as [Place, Place],
      );
    case 'whiskers':
      return [-1, 0, 1].map(
        (i) => [at(outward > 0 ? 0 : 1, i), at(outward > 0 ? 1 : 0, i * 2)] as [Place, Place],
      );
    case 'cheeks':
    case 'spots':
      return Array.from(
        { length: Math.max(1, rule.high + 1) },
        (_, i) => [at(0, -i), at(1, -i)] as [Place, Place],
      );
    // A line of strands follows the middle over leaning stitches: hole by hole, a round at a time.
    case 'hair':
      return Array.from({ length: rule.high }, (_, i) => [at(0, i), at(1, i)] as [Place, Place]);
    default:
      return [];
  }
}

/**
 * The needle's way for a stitched feature: numbered points out and in, the thread to cut. Points fall on real holes: each is the hole
 * nearest to where the stroke should begin or end.
 *
 * @returns null for what is pressed on or sewn on along its edge
 */
export function needlePath(
  form: PartForm,
  rule: FeatureRule,
  units: readonly FeatureUnit[],
  grid: NeedleGrid,
): NeedlePath | null {
  const { fabric, profile, gauge } = form;
  if (!rule.embroidered && rule.kind !== 'sculpting') return null;
  // Nothing reaches further than there are rounds to go up, or stitches to go around.
  const within = {
    ...rule,
    high: Math.min(rule.high, Math.max(fabric.rounds, ...units.map(({ of }) => of))),
  };
  const lines = units.flatMap((unit) => strokes(within, unit, grid));
  if (rule.kind === 'sculpting' && units.length === 2) lines.push(...sculpting(units, grid));
  if (lines.length === 0) return null;
  const points: NeedlePoint[] = [];
  const put = (act: NeedlePoint['act'], spot: Place) => {
    const at = Math.max(1, Math.min(fabric.rounds - 1, Math.round(spot.line)));
    // The ends of the feature itself keep the holes it was placed by.
    const own = units
      .flatMap((unit) => [
        { line: unit.fromLine, hole: unit.from, azimuth: unit.fromAzimuth },
        { line: unit.toLine, hole: unit.to, azimuth: unit.toAzimuth },
      ])
      .find((end) => end.line === at && Math.abs(end.azimuth - spot.azimuth) < 1e-6);
    points.push({
      act,
      line: at,
      gap: [fabric.label[at - 1] ?? at, fabric.label[at] ?? at + 1],
      ...(own ? { hole: own.hole, azimuth: own.azimuth } : nearestFootHole(form, at, spot.azimuth)),
    });
  };
  for (const [out, into] of lines) {
    put('out', out);
    put('in', into);
  }
  const lies: [number, number][] = [];
  for (let i = 0; i < points.length; i += 2) {
    const [out, into, hold] = [points[i]!, points[i + 1]!, points[i + 2]];
    const after = points[i + 3];
    const held = hold && after && hold.line === after.line && hold.hole === after.hole;
    if (held) lies.push([i, i + 2], [i + 2, i + 1]);
    else if (out.line !== into.line || out.hole !== into.hole) lies.push([i, i + 1]);
  }
  let way = 0;
  for (let i = 1; i < points.length; i += 1) {
    const [a, b] = [points[i - 1]!, points[i]!];
    const radius = profile.radius[Math.max(0, b.line - 1)] ?? 0;
    way += Math.hypot((a.line - b.line) * gauge.heightMm, (a.azimuth - b.azimuth) * radius);
  }
  return {
    points,
    lies,
    knot:
      rule.kind === 'sculpting'
        ? t`both ends leave at the first hole and are knotted and buried there`
        : t`the knot lies inside, behind the first hole`,
    strands: rule.kind === 'sculpting' ? t`a strong thread, doubled` : t`thread split to half its strands`,
    threadMm: Math.ceil((way + threadToHold) / 10) * 10,
    turns:
      rule.kind === 'sculpting'
        ? {
            points: points.length / sculptingTurns,
            times: sculptingTurns,
            loop: t`each loop falls on the side of the eye towards the middle; pull until the eyes sink and draw together`,
          }
        : null,
  };
}

const sculptingTurns = 2;

/** Beside the eyes: top of one, bottom of it, bottom of the other, top of the other, twice, so that they sink and draw together. */
function sculpting(units: readonly FeatureUnit[], grid: NeedleGrid): [Place, Place][] {
  const [one, other] = units;
  if (!one || !other) return [];
  const turnOf: [Place, Place][] = [
    [grid.at(one, 0.5, 1), grid.at(one, 0.5, -1)],
    [grid.at(other, 0.5, -1), grid.at(other, 0.5, 1)],
  ];
  return Array.from({ length: sculptingTurns }, () => turnOf).flat();
}
