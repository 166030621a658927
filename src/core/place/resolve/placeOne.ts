import type { FeatureKind } from '../../notation/sentence/said';
import { wrapAngle } from '../../shape/azimuth';
import {
  gapOf,
  widestRadius,
  type Across,
  type FaceFrame,
  type Level,
  type Place,
  type Row,
  type Spot,
} from '../frame/faceFrame';
import { choosePair, showingOf, type Pair, type Seat } from '../frame/pair';
import { washerMm } from '../rule/hardware';
import { usualEyeLines, usualEyesApart } from '../rule/proposeRule';
import { lineEdge } from '../rule/reach';
import { hasPost, isAtBack, isPoint, leadsFace, isSewn, type FeatureRule } from '../rule/rule';
import { apartFor, belongsToEach, widthOf } from './across';
import { standsBy, type Anchor } from './anchors';
import type { Finding, Report } from './finding';
import { needlePath } from './needlePath';
import { needleGrid } from './needleGrid';
import type { FeaturePlacement } from './placement';
import type { FeatureUnit } from './unit';
import { saying } from '../../words/problems/problems';
import { roundNumbered } from '../../fabric/rounds';

/** From this miss on, in stitches, a single post goes between two stitches rather than into a hole beside the middle. */
const offFrom = 0.3;

/** One feature to be placed. */
export interface ToPlace {
  /** its name in the part */
  id: string;
  rule: FeatureRule;
  level: Level;
  /** what it may stand beside */
  anchor: (kind: FeatureKind) => Anchor | undefined;
  report: Report;
}

/** A feature on its way: the rule with its width worked out, on the row it lies on. */
interface Placing extends ToPlace {
  frame: FaceFrame;
  row: Row;
}

/** Places one feature at its level: from its rule to holes and distances. */
export function placeOne(frame: FaceFrame, asked: ToPlace): FeaturePlacement {
  const { rule: given, level, anchor } = asked;
  const back = isAtBack(given.sideways);
  const eyes = belongsToEach(given) ? anchor('eyes')?.units : undefined;
  const [one, other] = [eyes?.[0], eyes?.at(-1)];
  const centre = one && other ? halfway(frame, one.middle, other.middle) : frame.centre(back);
  const row = frame.row(level, centre, back);
  const by = standsBy(given.sideways);
  const rule = { ...given, wide: widthOf(given, by ? anchor(by) : undefined, row) };
  const placing = { ...asked, rule, frame, row };
  return rule.sides === 'middle' ? placeSingle(placing) : placePair(placing);
}

function halfway({ lies }: FaceFrame, a: Across, b: Across): Across {
  return lies ? (a + b) / 2 : a + wrapAngle(b - a) / 2;
}

function placeSingle(placing: Placing): FeaturePlacement {
  const { frame, row } = placing;
  const named = namedPositions(placing);
  const rule = named ? { ...placing.rule, wide: widthNamed(placing, named) } : placing.rule;
  const span = isPoint(rule) ? 0 : Math.min(row.most, rule.wide);
  const seat = rule.seat ?? (isSewn(rule) && !frame.lies ? nearerSeat(row) : 'foot');
  const pair = named ? row.at(...endsNamed(rule, named, span), seat) : row.centred(span, seat);
  const [from, to] = row.spots(pair.a, pair.b, seat);
  const unit = unitOf({ ...placing, rule }, 'middle', [from, to], pair.apart);
  const surfaceMm = isSewn(rule)
    ? (rule.sizeMm ?? 0)
    : frame.surfaceMm(row, [from.line, to.line], pair.apart);
  const straightMm = isSewn(rule) ? frame.chordMm(row, surfaceMm) : frame.straight(from, to).mm;
  return placement({ ...placing, rule }, [unit], { seat, pair, surfaceMm, straightMm, showing: null });
}

/** The width that two named stitches give what is stitched between them. */
function widthNamed({ rule, row }: Placing, [a, b]: Positions): number {
  const between = !isPoint(rule) && rule.sideways.by === 'holes' && a !== b;
  return between ? row.at(a, b, 'foot').apart : rule.wide;
}

/** The ends of a single feature at named positions. */
function endsNamed(rule: FeatureRule, [a, b]: Positions, span: number): [number, number] {
  if (rule.sideways.by === 'rounds') {
    const middle = Math.round((a + b) / 2);
    return isPoint(rule) ? [middle, middle] : [a, b];
  }
  if (!isPoint(rule) && a !== b) return [a, b];
  const from = choosePair(a, span).a;
  return [from, from + span];
}

/** Feet of stitches are the usual place; a split only where no foot lies near the middle. */
function nearerSeat(row: Row): Seat {
  const foot = Math.abs(row.centred(0, 'foot').miss);
  const split = Math.abs(row.centred(0, 'split').miss);
  return foot >= offFrom && split < foot ? 'split' : 'foot';
}

function placePair(placing: Placing): FeaturePlacement {
  const { frame, row, rule } = placing;
  // Each of a pair covers `span` holes' distance; the pair is chosen by the middles of its two, mirror-true about the middle line.
  const span = isPoint(rule) ? 0 : Math.min(rule.wide, Math.max(1, Math.floor((row.most + 1) / 2) - 1));
  const seat = rule.seat ?? 'foot';
  const pair = pairOf(placing, span, seat);
  // Middles of an odd span fall between holes, so both ends move half a hole the same way outward.
  const [lowHalf, highHalf] = [Math.floor(span / 2), Math.ceil(span / 2)];
  const outer = row.spots(pair.a - highHalf, pair.b + highHalf, seat);
  const inner = span === 0 ? outer : row.spots(pair.a + lowHalf, pair.b - lowHalf, seat);
  const [low, high] = row.toRight === 1 ? (['left', 'right'] as const) : (['right', 'left'] as const);
  const first = unitOf(placing, low, [outer[0], inner[0]], span);
  const second = unitOf(placing, high, [inner[1], outer[1]], span);
  const both = row.toRight === 1 ? [first, second] : [second, first];
  const [one, other] = [middleOf(first), middleOf(second)];
  const apart = pair.apart + (span % 2);
  const surfaceMm = frame.surfaceMm(row, [one.line, other.line], apart);
  const showing = frame.lies ? inner[1].line - inner[0].line : showingOf(pair.apart, seat) - 2 * lowHalf;
  return placement(
    { ...placing, rule: settled(placing, pair) },
    rule.sides === 'both' ? both : both.filter(({ side }) => side === rule.sides),
    {
      seat,
      pair: { ...pair, apart },
      surfaceMm,
      straightMm: frame.straight(one, other).mm,
      showing: Math.max(0, showing),
    },
  );
}

const middleOf = ({ fromLine, toLine, azimuth }: FeatureUnit): Place => ({
  line: Math.round((fromLine + toLine) / 2),
  azimuth,
});

/** The middles of a pair: as named, as far as said, or as far as what it stands beside is. */
function pairOf(placing: Placing, span: number, seat: Seat): Pair {
  const { frame, row, rule, id, anchor, report } = placing;
  const named = namedPositions(placing);
  const said =
    named && row.at(named[0], named[0] === named[1] ? row.mirrored(named[0], seat) : named[1], seat);
  const asked = {
    span,
    anchor,
    usual: usualApart(placing, span),
    missOf: (apart: number) => row.centred(apart, seat).miss,
  };
  const wanted = said ? { apart: said.apart, said: true } : apartFor(rule, row, asked);
  const { lies } = frame;
  if (!wanted.said) report(spacingLeftOpen(rule, id, { apart: wanted.apart, lies }));
  const most = Math.max(1, row.most - span);
  const tooNear = !said && wanted.apart < 1;
  if (tooNear || wanted.apart > most) {
    const room = lies ? row.count - 1 : row.count;
    const facts = { name: id, apart: wanted.apart, room, lies };
    report({ ...saying('apart-impossible', facts), severity: 'error' });
  }
  const apart = Math.max(1, Math.min(most, wanted.apart));
  return said?.apart === apart ? said : row.centred(apart, seat);
}

function spacingLeftOpen(rule: FeatureRule, id: string, taken: { apart: number; lies: boolean }): Finding {
  const what = leadsFace(rule)
    ? saying('eyes-spacing', { ...taken, isOneStitch: false })
    : saying('feature-spacing', { ...taken, name: id });
  return { ...what, severity: 'warning' };
}

/** How far apart a pair is put where nothing says so. */
function usualApart({ frame, row, rule }: Placing, span: number): number {
  if (!leadsFace(rule)) return Math.max(2, Math.round(row.count / 6 + span));
  if (!frame.lies) return usualEyesApart(frame.form, row.level);
  const [first, second] = usualEyeLines(frame.form);
  return second - first;
}

type Positions = readonly [number, number];

/** Positions that are named in the text, where the part has them: the same twice where one is named. */
function namedPositions({ frame, row, rule, id, report }: Placing): Positions | null {
  const { sideways } = rule;
  if (sideways.by === 'rounds' && frame.lies) {
    const line = (label: number) => namedLine(frame, label, report);
    return [line(sideways.from), line(sideways.to)];
  }
  if (sideways.by !== 'holes') return null;
  const [one, other = one] = sideways.holes;
  if (one === undefined || other === undefined) return null;
  const beyond = [one, other].find((hole) => hole < 1 || hole > row.count);
  if (beyond !== undefined) {
    const round = frame.form.fabric.label[row.level] ?? row.level + 1;
    const facts = { name: id, round, stitches: row.count, stitch: beyond };
    report({ ...saying('stitch-missing', facts), severity: 'error' });
    return null;
  }
  if (sideways.holes.length === 2 && one === other && rule.sides === 'both') {
    report({ ...saying('same-hole', { why: 'stitch', name: id }), severity: 'error' });
    return null;
  }
  return [one, other];
}

/** The line of holes after a round, or the nearest there is, which is told. */
function namedLine({ form }: FaceFrame, label: number, report: Report): number {
  const { fabric } = form;
  const last = fabric.rounds - 1;
  const line = roundNumbered(fabric, label);
  if (line >= 1 && line <= last) return line;
  const nearest = line < 1 && label < (fabric.label[0] ?? 1) ? 1 : last;
  const facts = { why: 'no-line-after', round: label, taken: gapOf(form, nearest) } as const;
  report({ ...saying('gap-missing', facts), severity: 'error' });
  return nearest;
}

/** Eyes put on whole are written as they are placed: by their lines and by how far apart they are. */
function settled({ frame, rule, row }: Placing, { a, b, apart }: Pair): FeatureRule {
  if (!leadsFace(rule)) return rule;
  const { form } = frame;
  if (frame.lies) {
    const [from, to] = [gapOf(form, a)[0], gapOf(form, b)[0]];
    return { ...rule, sideways: { by: 'rounds', from: Math.min(from, to), to: Math.max(from, to) } };
  }
  const { vertical, sideways } = rule;
  const follows = vertical?.by === 'relation' || vertical?.by === 'level';
  const named = sideways.by === 'holes' && sideways.holes.every((hole) => hole >= 1 && hole <= row.count);
  const twoHoles = named && sideways.holes[0] !== sideways.holes[1];
  return {
    ...rule,
    vertical: follows ? vertical : { by: 'gap', gap: gapOf(form, row.level) },
    sideways: twoHoles ? sideways : { by: 'apart', apart },
  };
}

function unitOf(
  { row, rule }: Placing,
  side: FeatureUnit['side'],
  [from, to]: readonly [Spot, Spot],
  span: number,
): FeatureUnit {
  return {
    side,
    from: from.hole,
    to: to.hole,
    of: from.of,
    fromLine: from.line,
    toLine: to.line,
    toOf: to.of,
    fromAzimuth: from.azimuth,
    toAzimuth: to.azimuth,
    azimuth: row.halfway(from, to),
    halfMm: isSewn(rule) ? (rule.sizeMm ?? 0) / 2 : (span * row.stepMm) / 2,
  };
}

/** What a single feature and a pair find out each in its own way. */
interface Found {
  seat: Seat;
  pair: Pair;
  surfaceMm: number;
  straightMm: number;
  showing: number | null;
}

function placement(placing: Placing, units: FeatureUnit[], found: Found): FeaturePlacement {
  const { frame, row, rule, id, level } = placing;
  const { seat, pair, surfaceMm, straightMm, showing } = found;
  const line = Math.min(...units.map(({ fromLine, toLine }) => Math.min(fromLine, toLine)));
  const single = rule.sides === 'middle';
  const [one, other] = [units[0], units.at(-1)].map((unit) => (unit ? middleOf(unit) : { line, azimuth: 0 }));
  const rightHigher = units.length > 1 && one && other ? frame.higherMm(one, other) : 0;
  const missSide = Math.abs(pair.miss) < 0.005 ? null : pair.miss * row.toRight > 0 ? 'right' : 'left';
  return {
    id,
    kind: rule.kind,
    part: frame.form.part.name,
    rule,
    level: frame.lies && leadsFace(rule) ? meanLevel(frame, units) : level,
    counted: lineEdge,
    line,
    gap: gapOf(frame.form, line),
    seat,
    units,
    apart: single ? null : pair.apart,
    showing,
    surfaceMm,
    straightMm,
    missStitches: pair.miss,
    missMm: row.missMm(pair),
    missSide,
    levelMm: Math.abs(rightHigher),
    lower: Math.abs(rightHigher) < 0.05 ? null : rightHigher < 0 ? 'right' : 'left',
    angleDeg: one && other ? frame.straight(one, other).degrees : 0,
    shareOfWidth: straightMm / faceWidth(frame),
    washerMm: hasPost(rule) && rule.sizeMm !== null ? washerMm(rule.sizeMm) : null,
    front: frame.front,
    needle: needlePath(frame.form, rule, units, needleGrid(frame, row)),
    problems: [],
  };
}

/** How high the two of a pair lie, on average. */
function meanLevel(frame: FaceFrame, units: readonly FeatureUnit[]): Level {
  return units.reduce((sum, unit) => sum + frame.levelOf(middleOf(unit)), 0) / Math.max(1, units.length);
}

/** Greatest width of the face, in mm. */
function faceWidth({ form, lies }: FaceFrame): number {
  if (lies) return Math.max(0.001, ...form.profile.z);
  return (form.fabric.row[0] === 1 ? 2 * Math.PI : 2) * widestRadius(form);
}
