import type { Problem } from '../../notation/problem';
import type { FeatureKind, LandmarkKind, Step } from '../../notation/step';
import { roundCount } from '../../fabric/fabric';
import { turn, wrapAngle } from '../../shape/azimuth';
import { directionAt } from '../direction';
import type { EyePlacement } from '../eyes';
import { frontAzimuth, roundIndex } from '../frontLine';
import { holeAt, holeAzimuth } from '../holes';
import { choosePair, showingOf } from '../pair';
import { seatHoles, type PartForm } from '../partForm';
import { featureProblems } from './featureProblems';
import type { FeaturePlacement, FeatureUnit } from './featurePlacement';
import { ruleOfStep, type FeatureRule, type Vertical } from './featureRule';
import { landmarkLine } from './landmarks';
import { featureLibrary } from './library';
import { needlePath } from './needlePath';

/** What other features can hang on: a line of holes and the inner and outer edges of its units, as azimuths. */
interface Anchor {
  line: number;
  units: { side: FeatureUnit['side']; azimuth: number; halfMm: number; inner: number; outer: number }[];
}

const landmarks: ReadonlySet<string> = new Set(['ridge', 'colour change', 'edge', 'base'] satisfies LandmarkKind[]);

/** What a rule has to wait for. */
function waitsFor({ vertical, sideways }: FeatureRule): FeatureKind[] {
  const named: (FeatureKind | LandmarkKind)[] = [];
  if (vertical && (vertical.by === 'relation' || vertical.by === 'level')) named.push(vertical.to);
  if (sideways.by === 'outward') named.push(sideways.from);
  if (sideways.by === 'inLine') named.push(sideways.to);
  return named.filter((name): name is FeatureKind => !landmarks.has(name));
}

type FeatureStep = Step & { feature: FeatureKind };

/**
 * Places every feature of a part but its pressed eyes: each by its rule, after what it hangs on. What hangs on something that is not
 * there, or on itself by a detour, says so and is placed as if nothing had been said.
 *
 * @param eyes the pressed eyes, placed before
 */
export function placeFeatures(form: PartForm, eyes: EyePlacement | null): FeaturePlacement[] {
  const steps = new Map<FeatureKind, FeatureStep>();
  for (const step of form.part.steps) {
    if (step.kind !== 'feature' || !step.feature) continue;
    if (step.feature === 'eyes' && !step.embroidered) continue;
    steps.set(step.feature, step as FeatureStep);
  }
  if (form.fabric.rounds < 2) return [];
  const anchors = new Map<FeatureKind, Anchor>();
  if (eyes) anchors.set('eyes', eyeAnchor(form, eyes));
  const rules = new Map([...steps].map(([kind, step]) => [kind, ruleOfStep(step)] as const));
  const placed: FeaturePlacement[] = [];
  const open = new Set(rules.keys());
  while (open.size > 0) {
    const ready = [...open].find((kind) => waitsFor(rules.get(kind)!).every((name) => anchors.has(name) || !open.has(name) || name === kind));
    const kind = ready ?? [...open][0]!;
    open.delete(kind);
    const rule = rules.get(kind)!;
    const missing = waitsFor(rule).filter((name) => !anchors.has(name));
    const placement = placeOne(form, rule, steps.get(kind)!, anchors, missing, ready === undefined);
    placed.push(placement);
    anchors.set(kind, anchorOf(form, placement));
  }
  const order = [...steps.keys()];
  placed.sort((a, b) => order.indexOf(a.kind) - order.indexOf(b.kind));
  for (const placement of placed) placement.problems.push(...featureProblems(form, placement, placed, eyes));
  return placed;
}

function eyeAnchor({ profile }: PartForm, eyes: EyePlacement): Anchor {
  const radius = Math.max(0.001, profile.radius[eyes.round - 1] ?? 0);
  const half = eyes.rule.sizeMm / 2;
  const [left, right] = eyes.posts;
  const inward = Math.sign(wrapAngle(right.azimuth - left.azimuth)) || 1;
  return {
    line: eyes.round,
    units: eyes.posts.map((post) => {
      const towards = post.side === 'left' ? inward : -inward;
      return { side: post.side, azimuth: post.azimuth, halfMm: half, inner: post.azimuth + (towards * half) / radius, outer: post.azimuth - (towards * half) / radius };
    }),
  };
}

function anchorOf({ profile }: PartForm, { line, units }: FeaturePlacement): Anchor {
  const radius = Math.max(0.001, profile.radius[line - 1] ?? 0);
  const [first, last] = [units[0], units.at(-1)];
  return {
    line,
    units: units.map((unit) => {
      const other = unit === first ? last : first;
      const towards = other && other !== unit ? Math.sign(wrapAngle(other.azimuth - unit.azimuth)) : 0;
      return { side: unit.side, azimuth: unit.azimuth, halfMm: unit.halfMm, inner: unit.azimuth + (towards * unit.halfMm) / radius, outer: unit.azimuth - (towards * unit.halfMm) / radius };
    }),
  };
}

function placeOne(form: PartForm, rule: FeatureRule, step: FeatureStep, anchors: ReadonlyMap<FeatureKind, Anchor>, missing: readonly FeatureKind[], circular: boolean): FeaturePlacement {
  const { part, fabric, gauge } = form;
  const problems: Problem[] = [];
  const add = (code: string, severity: Problem['severity'], message: string) => problems.push({ code, severity, part: part.name, line: step.line, column: step.span.from + 1, message, suggestions: [] });
  const entry = featureLibrary[rule.kind];
  if (circular) add('anchor-circle', 'error', `The ${rule.kind} and what they hang on each wait for the other. Say between which rounds one of them goes.`);
  else for (const name of new Set(missing)) add('anchor-missing', 'warning', `The ${rule.kind} go by the ${name}, and no ${name} are placed on this part. They are put on the middle of it until you say.`);

  const line = lineOf(form, rule.vertical, anchors, add, rule.kind);
  const holes = seatHoles(form, line, 'foot');
  const { count } = holes;
  const dir = directionAt(fabric, form.orientation, line);
  const front = frontAzimuth(part, fabric, form.starts, [line, line + 1]);
  const middle = rule.sideways.by === 'back' ? front + Math.PI : front;
  const centre = holeAt(holes, middle);
  const radius = Math.max(0.001, form.profile.radius[line - 1] ?? 0);
  const perHole = (turn * radius) / count;
  const at = (hole: number) => ((hole - 1) % count + count) % count + 1;
  const unit = (side: FeatureUnit['side'], from: number, to: number): FeatureUnit => ({
    side, from: at(from), to: at(to), of: count, fromAzimuth: holeAzimuth(holes, from), toAzimuth: holeAzimuth(holes, to),
    azimuth: holeAzimuth(holes, (from + to) / 2), halfMm: rule.sizeMm !== null && !rule.embroidered ? rule.sizeMm / 2 : (Math.abs(to - from) * perHole) / 2,
  });
  const wide = widthOf(form, rule, anchors, line, count, perHole);

  if (!entry.pair) {
    const pair = choosePair(centre, Math.min(count - 1, wide));
    const single = unit('middle', pair.a, pair.b);
    return {
      kind: rule.kind, part: part.name, rule: { ...rule, wide }, line, gap: [fabric.label[line - 1] ?? line, fabric.label[line] ?? line + 1], units: [single], apart: null, showing: null,
      surfaceMm: wide * perHole, straightMm: fabric.row[0] === 1 ? wide * perHole : 2 * radius * Math.sin(Math.min(Math.PI / 2, (wide * perHole) / radius / 2)),
      missStitches: pair.miss, missMm: Math.abs(pair.miss) * perHole, missSide: Math.abs(pair.miss) < 0.005 ? null : pair.miss * dir > 0 ? 'right' : 'left',
      needle: needlePath(form, { ...rule, wide }, [single], line, upOf(form), dir), problems,
    };
  }
  // Each of a pair covers `span` holes' distance; the pair is chosen by the middles of its two, mirror-true about the middle line.
  const span = rule.embroidered || rule.sizeMm === null ? Math.min(wide, Math.max(1, Math.floor(count / 2) - 1)) : 0;
  const wanted = wantedApart(rule, anchors, middle, radius, count, gauge.widthMm, span);
  const most = Math.max(1, count - 1 - span);
  const apart = Math.max(1, Math.min(most, wanted.apart));
  if (wanted.apart > most) add('apart-impossible', 'error', `The line of holes has ${count}; the ${rule.kind} can't be ${wanted.apart} apart in it.`);
  const pair = choosePair(centre, apart);
  // Middles of an odd span fall between holes, so both ends move half a hole the same way outward.
  const [lowHalf, highHalf] = [Math.floor(span / 2), Math.ceil(span / 2)];
  const first = unit(dir === 1 ? 'left' : 'right', pair.a - highHalf, pair.a + lowHalf);
  const second = unit(dir === 1 ? 'right' : 'left', pair.b - lowHalf, pair.b + highHalf);
  const units = dir === 1 ? [first, second] : [second, first];
  const angle = Math.min(Math.PI, (turn * apart) / count);
  return {
    kind: rule.kind, part: part.name, rule: { ...rule, wide }, line, gap: [fabric.label[line - 1] ?? line, fabric.label[line] ?? line + 1], units, apart, showing: Math.max(0, showingOf(apart, 'foot') - 2 * lowHalf),
    surfaceMm: angle * radius, straightMm: fabric.row[0] === 1 ? angle * radius : 2 * radius * Math.sin(angle / 2),
    missStitches: pair.miss, missMm: Math.abs(pair.miss) * perHole, missSide: Math.abs(pair.miss) < 0.005 ? null : pair.miss * dir > 0 ? 'right' : 'left',
    needle: needlePath(form, { ...rule, wide }, units, line, upOf(form), dir), problems,
  };
}

/** Step of lines that leads towards the top of the finished toy. */
export function upOf(form: PartForm): 1 | -1 {
  return form.orientation.start === 'top' ? -1 : 1;
}

function lineOf(form: PartForm, vertical: Vertical | null, anchors: ReadonlyMap<FeatureKind, Anchor>, add: (code: string, severity: Problem['severity'], message: string) => void, kind: FeatureKind): number {
  const { fabric } = form;
  const last = fabric.rounds;
  const fallback = Math.max(1, Math.min(last - 1, Math.round(last / 2)));
  const clamp = (line: number, said: string) => {
    if (line >= 1 && line < last) return line;
    const nearest = Math.max(1, Math.min(last - 1, line));
    add('gap-missing', 'error', `${said} lies beyond this part, which ends with round ${fabric.label[last - 1]}. The ${kind} are put between ${fabric.label[nearest - 1]} and ${fabric.label[nearest]} until you say.`);
    return nearest;
  };
  if (!vertical) {
    add('feature-where', 'warning', `The sentence does not say between which rounds the ${kind} go. They are put between ${fabric.label[fallback - 1]} and ${fabric.label[fallback]} until you say.`);
    return fallback;
  }
  switch (vertical.by) {
    case 'gap': {
      if (vertical.gap[1] !== vertical.gap[0] + 1) add('gap-not-adjacent', 'warning', `Rounds ${vertical.gap[0]} and ${vertical.gap[1]} are not neighbours, so there is no one line of holes between them. The first of them is taken.`);
      const line = roundIndex(fabric, vertical.gap[0]);
      return line > 0 ? clamp(line, `Round ${vertical.gap[0]}`) : clamp(last, `Round ${vertical.gap[0]}`);
    }
    case 'round': {
      const label = vertical.from === 'end' ? (fabric.label[last - 1] ?? last) - vertical.round : vertical.round;
      const line = roundIndex(fabric, label);
      add('feature-on-round', 'info', `“Round ${vertical.round}${vertical.from === 'end' ? ' from the end' : ''}” is read as the line of holes after round ${label}. Say “between” to settle it.`);
      return line > 0 ? clamp(line, `Round ${label}`) : clamp(last, `Round ${label}`);
    }
    case 'level': return anchors.get(vertical.to)?.line ?? fallback;
    case 'relation': {
      const onLandmark = landmarks.has(vertical.to) ? landmarkLine(fabric, vertical.to as LandmarkKind) : undefined;
      if (onLandmark === null) {
        add('landmark-missing', 'error', `This part has no ${vertical.to}. Say between which rounds the ${kind} go.`);
        return fallback;
      }
      // The base of a toy is its lowest end, whichever end of the work that is.
      const base = vertical.to === 'base' ? (form.orientation.start === 'top' ? last : 0) : onLandmark;
      const from = base ?? anchors.get(vertical.to as FeatureKind)?.line;
      if (from === undefined) return fallback;
      return clamp(from + upOf(form) * (vertical.direction === 'above' ? 1 : -1) * vertical.rounds, `${vertical.rounds} rounds ${vertical.direction} the ${vertical.to}`);
    }
  }
}

/** Width in holes; of a mouth as wide as the inner edges of the eyes, the nearest whole number. */
function widthOf(form: PartForm, rule: FeatureRule, anchors: ReadonlyMap<FeatureKind, Anchor>, line: number, count: number, perHole: number): number {
  if (rule.sideways.by !== 'inLine' || featureLibrary[rule.kind].pair) return Math.min(rule.wide, Math.max(1, roundCount(form.fabric, line + 1) - 1));
  const anchor = anchors.get(rule.sideways.to);
  const [left, right] = [anchor?.units[0], anchor?.units.at(-1)];
  if (!left || !right || left === right) return rule.wide;
  const { edge } = rule.sideways;
  const of = (unit: typeof left) => (edge === 'inner' ? unit.inner : edge === 'outer' ? unit.outer : unit.azimuth);
  const radius = (perHole * count) / turn;
  return Math.max(1, Math.min(count - 1, Math.round((Math.abs(wrapAngle(of(right) - of(left))) * radius) / perHole)));
}

/** Middle to middle of a pair, in holes of its line. */
function wantedApart(rule: FeatureRule, anchors: ReadonlyMap<FeatureKind, Anchor>, middle: number, radius: number, count: number, stitchMm: number, span: number): { apart: number } {
  const { sideways } = rule;
  const holes = (angle: number) => (Math.abs(angle) / turn) * count;
  if (sideways.by === 'apart') return { apart: sideways.apart };
  const anchor = sideways.by === 'inLine' ? anchors.get(sideways.to) : sideways.by === 'outward' ? anchors.get(sideways.from) : undefined;
  if (anchor && anchor.units.length > 0) {
    // The mean over both sides keeps the pair mirror-true where the anchor itself is a little off.
    const mean = (of: (unit: Anchor['units'][number]) => number) => anchor.units.reduce((sum, one) => sum + Math.abs(wrapAngle(of(one) - middle)), 0) / anchor.units.length;
    if (sideways.by === 'inLine') return { apart: Math.max(1, Math.round(2 * holes(mean((one) => (sideways.edge === 'inner' ? one.inner : sideways.edge === 'outer' ? one.outer : one.azimuth))) - (span % 2))) };
    if (sideways.by === 'outward') {
      const single = anchor.units.length === 1;
      const edge = single ? (anchor.units[0]?.halfMm ?? 0) / radius : mean((one) => one.azimuth);
      // So many stitches from the post to the nearest hole of the feature.
      return { apart: Math.max(1, Math.round(2 * (holes(edge) + sideways.stitches + Math.floor(span / 2)))) };
    }
  }
  return { apart: Math.max(2, Math.round((stitchMm > 0 ? count / 6 : 6) + span)) };
}
