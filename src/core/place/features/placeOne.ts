import type { FeatureKind } from '../../notation/step';
import { turn, wrapAngle } from '../../shape/azimuth';
import { directionAt } from '../direction';
import { holeAt, holeAzimuth, type Holes } from '../holes';
import { choosePair, namedPair, showingOf, type Pair } from '../pair';
import { seatHoles, type PartForm } from '../partForm';
import { standsBy, type Anchor } from './anchors';
import type { FeaturePlacement, FeatureUnit } from './featurePlacement';
import type { FeatureRule, Sideways } from './featureRule';
import { needlePath, uprightGrid } from './needlePath';
import { lineEdge } from './reach';
import { apartFor, belongsToEach, holesAround, widthOf } from './sidewaysHoles';
import { upOf, type AddProblem } from './verticalLine';

/** From this miss on, in stitches, a single post goes between two stitches rather than into a hole beside the middle. */
const offFrom = 0.3;

/** A hole's number within its line. */
const within = (hole: number, count: number) => ((((hole - 1) % count) + count) % count) + 1;

/**
 * Places one feature on its line of holes.
 *
 * @param front azimuth of the front line
 * @param anchorFor what it may stand beside
 */
export function placeOne(
  form: PartForm,
  id: string,
  given: FeatureRule,
  line: number,
  front: number,
  anchorFor: (kind: FeatureKind) => Anchor | undefined,
  add: AddProblem,
): FeaturePlacement {
  const { part, fabric } = form;
  const eyes = belongsToEach(given) ? anchorFor('eyes')?.units : undefined;
  const [one, other] = [eyes?.[0], eyes?.at(-1)];
  const middle =
    one && other
      ? one.azimuth + wrapAngle(other.azimuth - one.azimuth) / 2
      : given.sideways.by === 'back'
        ? front + Math.PI
        : front;
  const radius = Math.max(0.001, form.profile.radius[line - 1] ?? 0);
  const dir = directionAt(fabric, form.orientation, line);
  const feet = seatHoles(form, line, 'foot');
  const { count } = feet;
  const perHole = (turn * radius) / count;
  const around = holesAround(count, middle, radius);
  const by = standsBy(given.sideways);
  const wide = widthOf(given, by ? anchorFor(by) : undefined, around);
  const rule: FeatureRule = { ...given, wide };
  const sewn = !rule.embroidered && rule.sizeMm !== null;
  // A post, the middle of a sewn piece and a sculpting point are one hole; what is stitched spans several.
  const point = sewn || rule.kind === 'sculpting';
  const unit = (holes: Holes, side: FeatureUnit['side'], from: number, to: number): FeatureUnit => ({
    side,
    from: within(from, count),
    to: within(to, count),
    of: count,
    fromLine: line,
    toLine: line,
    toOf: count,
    fromAzimuth: holeAzimuth(holes, from),
    toAzimuth: holeAzimuth(holes, to),
    azimuth: holeAzimuth(holes, (from + to) / 2),
    halfMm: sewn ? (rule.sizeMm ?? 0) / 2 : (Math.abs(to - from) * perHole) / 2,
  });
  const straight = (mm: number) =>
    fabric.row[0] === 1 ? mm : 2 * radius * Math.sin(Math.min(Math.PI / 2, mm / radius / 2));
  const placement = (
    units: FeatureUnit[],
    seat: 'foot' | 'split',
    pair: Pair,
    more: Pick<FeaturePlacement, 'apart' | 'showing' | 'surfaceMm'>,
  ): FeaturePlacement => ({
    id,
    kind: rule.kind,
    part: part.name,
    rule,
    counted: lineEdge,
    line,
    gap: [fabric.label[line - 1] ?? line, fabric.label[line] ?? line + 1],
    seat,
    units,
    ...more,
    straightMm: straight(more.surfaceMm),
    missStitches: pair.miss,
    missMm: Math.abs(pair.miss) * perHole,
    missSide: Math.abs(pair.miss) < 0.005 ? null : pair.miss * dir > 0 ? 'right' : 'left',
    needle: needlePath(form, rule, units, uprightGrid(line, upOf(form), dir)),
    problems: [],
  });

  const named = namedHoles(given.sideways, count, (hole) =>
    add(
      'stitch-missing',
      'error',
      `Round ${fabric.label[line]} has ${count} stitches; there is no stitch ${hole} in it. The ${id} is put by the middle until you say.`,
    ),
  );
  const about = (holes: Holes, [a, b]: readonly [number, number]) =>
    namedPair(holeAt(holes, middle), [a, b], count);
  if (rule.sides === 'middle') {
    const both = !point && named?.length === 2 ? about(feet, named as [number, number]) : null;
    if (both) rule.wide = both.apart;
    const span = point ? 0 : Math.min(count - 1, rule.wide);
    const seat = rule.seat ?? (sewn ? nearerSeat(form, line, feet, middle) : 'foot');
    const holes = seatHoles(form, line, seat);
    const from = named && choosePair(named[0], span).a;
    const pair =
      both ?? (from === null ? choosePair(holeAt(holes, middle), span) : about(holes, [from, from + span]));
    return placement([unit(holes, 'middle', pair.a, pair.b)], seat, pair, {
      apart: null,
      showing: null,
      surfaceMm: sewn ? (rule.sizeMm ?? 0) : span * perHole,
    });
  }
  // Each of a pair covers `span` holes' distance; the pair is chosen by the middles of its two, mirror-true about the middle line.
  const span = point ? 0 : Math.min(wide, Math.max(1, Math.floor(count / 2) - 1));
  const seat = rule.seat ?? 'foot';
  const holes = seatHoles(form, line, seat);
  const said = named
    ? about(
        holes,
        named.length === 2 ? (named as [number, number]) : mirrored(named[0], holeAt(holes, middle)),
      )
    : null;
  const wanted = said
    ? { apart: said.apart, said: true }
    : apartFor(rule, anchorFor, around, span, (size) => choosePair(holeAt(holes, middle), size).miss);
  if (!wanted.said)
    add(
      'feature-spacing',
      'warning',
      `The sentence does not say how far from the middle the ${id} goes. It is put ${wanted.apart} apart, side to side, until you say.`,
    );
  const most = Math.max(1, count - 1 - span);
  const apart = Math.max(1, Math.min(most, wanted.apart));
  if (wanted.apart > most)
    add(
      'apart-impossible',
      'error',
      `The line of holes has ${count}; the ${id} can't be ${wanted.apart} apart in it.`,
    );
  const pair = said && said.apart === apart ? said : choosePair(holeAt(holes, middle), apart);
  // Middles of an odd span fall between holes, so both ends move half a hole the same way outward.
  const [lowHalf, highHalf] = [Math.floor(span / 2), Math.ceil(span / 2)];
  const first = unit(holes, dir === 1 ? 'left' : 'right', pair.a - highHalf, pair.a + lowHalf);
  const second = unit(holes, dir === 1 ? 'right' : 'left', pair.b - lowHalf, pair.b + highHalf);
  const both = dir === 1 ? [first, second] : [second, first];
  const units = rule.sides === 'both' ? both : both.filter(({ side }) => side === rule.sides);
  return placement(units, seat, pair, {
    apart,
    showing: Math.max(0, showingOf(apart, seat) - 2 * lowHalf),
    surfaceMm: Math.min(Math.PI, (turn * apart) / count) * radius,
  });
}

/** Holes that are named by number, where the line has them. */
function namedHoles(
  sideways: Sideways,
  count: number,
  missing: (hole: number) => void,
): [number, ...number[]] | null {
  if (sideways.by !== 'holes') return null;
  const beyond = sideways.holes.find((hole) => hole < 1 || hole > count);
  if (beyond === undefined && sideways.holes[0] !== undefined) return sideways.holes as [number, ...number[]];
  if (beyond !== undefined) missing(beyond);
  return null;
}

/** A hole and the one as far on the other side of the middle. */
const mirrored = (hole: number, middle: number): [number, number] => [hole, Math.round(2 * middle - hole)];

/** Feet of stitches are the usual place; a split only where no foot lies near the middle. */
function nearerSeat(form: PartForm, line: number, feet: Holes, middle: number): 'foot' | 'split' {
  const foot = Math.abs(choosePair(holeAt(feet, middle), 0).miss);
  return foot >= offFrom &&
    Math.abs(choosePair(holeAt(seatHoles(form, line, 'split'), middle), 0).miss) < foot
    ? 'split'
    : 'foot';
}
