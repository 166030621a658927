import { turn, wrapAngle } from '../../shape/azimuth';
import { roundCount } from '../../fabric/fabric';
import type { FeatureKind } from '../../notation/step';
import { directionAt } from '../direction';
import { standsBy, type Anchor } from '../features/anchors';
import type { FeaturePlacement, FeatureUnit } from '../features/featurePlacement';
import type { FeatureRule } from '../features/featureRule';
import { lineEdge } from '../features/reach';
import { needlePath, type NeedleGrid } from '../features/needlePath';
import { apartFor, belongsToEach, widthOf, type LineOfHoles } from '../features/sidewaysHoles';
import type { AddProblem } from '../features/verticalLine';
import { roundIndex } from '../frontLine';
import { choosePair } from '../pair';
import type { PartForm } from '../partForm';
import { azimuthAt, heightAt, holeAtHeight, levelPair, type LevelHole, type LyingFrame } from './frame';
import { gapOf } from './lyingEyesRule';

/** The lines of a part that lies, as what sideways rules are worked out on. */
export function linesAcross({ fabric, gauge }: PartForm, { middle }: LyingFrame): LineOfHoles {
  return { count: fabric.rounds, middle, between: (a, b) => Math.abs(b - a), perMm: 1 / gauge.heightMm };
}

/** The middles and edges of placed units as lines of holes. */
export function lyingAnchor(
  { gauge }: PartForm,
  units: readonly { side: FeatureUnit['side']; line: number; halfMm: number }[],
): Anchor {
  const [first, last] = [units[0], units.at(-1)];
  return {
    units: units.map((unit) => {
      const other = unit === first ? last : first;
      const inward = Math.sign((other?.line ?? 0) - unit.line);
      const half = unit.halfMm / gauge.heightMm;
      return {
        side: unit.side,
        azimuth: unit.line,
        halfMm: unit.halfMm,
        inner: unit.line + inward * half,
        outer: unit.line - inward * half,
      };
    }),
  };
}

/** Strokes of a part that lies: from line to line across the face, by heights up and down. */
function lyingGrid(form: PartForm, frame: LyingFrame): NeedleGrid {
  const { fabric } = form;
  const spot = (unit: FeatureUnit, share: number, rise: number, by: number) => {
    const ends = [
      heightAt(form, frame, unit.fromLine, unit.fromAzimuth),
      heightAt(form, frame, unit.toLine, unit.toAzimuth),
    ] as const;
    const line = Math.max(
      1,
      Math.min(fabric.rounds - 1, Math.round(unit.fromLine + (unit.toLine - unit.fromLine) * share + by)),
    );
    const step = turn / Math.max(1, roundCount(fabric, line + 1));
    return {
      line,
      azimuth:
        azimuthAt(form, frame, line, ends[0] + (ends[1] - ends[0]) * share) +
        frame.facing * directionAt(fabric, form.orientation, line) * rise * step,
    };
  };
  return {
    at: (unit, share, rise) => spot(unit, share, rise, 0),
    aside: spot,
    outward: (unit) => (unit.side === 'left' ? (-frame.right as 1 | -1) : frame.right),
  };
}

/**
 * Places one feature of a part that lies on its side: its height over the front line is given, its ends go to lines of holes.
 *
 * @param heightMm where it lies, over the front line of `frame`
 * @param anchorFor what it may stand beside
 */
export function placeLyingOne(
  form: PartForm,
  frame: LyingFrame,
  id: string,
  given: FeatureRule,
  heightMm: number,
  anchorFor: (kind: FeatureKind) => Anchor | undefined,
  add: AddProblem,
): FeaturePlacement {
  const { part, fabric, gauge, profile } = form;
  const most = fabric.rounds - 1;
  const eyes = belongsToEach(given) ? anchorFor('eyes')?.units : undefined;
  const centre = eyes?.[0] ? (eyes[0].azimuth + (eyes.at(-1)?.azimuth ?? 0)) / 2 : frame.middle;
  const across = { ...linesAcross(form, frame), middle: centre };
  const by = standsBy(given.sideways);
  const rule: FeatureRule = {
    ...given,
    wide: Math.min(most - 1, widthOf(given, by ? anchorFor(by) : undefined, across)),
  };
  const sewn = !rule.embroidered && rule.sizeMm !== null;
  const point = sewn || rule.kind === 'sculpting';
  const seat = rule.seat ?? 'foot';
  const onPart = (line: number) => Math.max(1, Math.min(most, line));
  const unit = (side: FeatureUnit['side'], from: LevelHole, to: LevelHole): FeatureUnit => ({
    side,
    from: from.hole,
    to: to.hole,
    of: from.of,
    fromLine: from.line,
    toLine: to.line,
    toOf: to.of,
    fromAzimuth: from.azimuth,
    toAzimuth: to.azimuth,
    azimuth: from.azimuth + wrapAngle(to.azimuth - from.azimuth) / 2,
    halfMm: sewn ? (rule.sizeMm ?? 0) / 2 : (Math.abs(to.line - from.line) * gauge.heightMm) / 2,
  });
  const level = (a: number, b: number): [LevelHole, LevelHole] => {
    if (a !== b) return levelPair(form, frame, [a, b], heightMm, seat);
    const hole = holeAtHeight(form, frame, a, heightMm, seat);
    return [hole, hole];
  };
  const said =
    rule.sideways.by === 'rounds'
      ? ([rule.sideways.from, rule.sideways.to].map((label) => {
          const line = roundIndex(fabric, label);
          if (line >= 1 && line <= most) return line;
          const nearest = line < 1 && label < (fabric.label[0] ?? 1) ? 1 : most;
          add(
            'gap-missing',
            'error',
            `There is no line of holes after round ${label} on this part. The nearest is between ${gapOf(form, nearest).join(' and ')}.`,
          );
          return nearest;
        }) as [number, number])
      : null;
  const narrow = (units: readonly FeatureUnit[]) =>
    units.some(({ fromLine, toLine }) =>
      [fromLine, toLine].some(
        (line) =>
          fabric.row[line] !== 1 && Math.abs(heightMm) > (profile.radius[line - 1] ?? 0) + gauge.widthMm / 2,
      ),
    );
  const along = (line: number) => profile.along[line - 1] ?? 0;
  const placement = (units: FeatureUnit[], middle: number, apart: number | null): FeaturePlacement => {
    const miss = middle - centre;
    if (narrow(units))
      add(
        'too-narrow',
        'warning',
        `The ${id} reaches a round that is too narrow to come to that height; its end lies at the edge of the face there.`,
      );
    const [first, last] = [units[0], units.at(-1)];
    const [a, b] = [
      first ? (first.fromLine + first.toLine) / 2 : 1,
      last ? (last.fromLine + last.toLine) / 2 : 1,
    ];
    const [from, to] =
      apart === null ? [first?.fromLine ?? 1, first?.toLine ?? 1] : [Math.round(a), Math.round(b)];
    const surfaceMm = apart === null && sewn ? (rule.sizeMm ?? 0) : Math.abs(along(to) - along(from));
    return {
      id,
      kind: rule.kind,
      part: part.name,
      rule,
      counted: lineEdge,
      line: from,
      gap: gapOf(form, from),
      seat,
      units,
      apart,
      showing:
        apart === null
          ? null
          : Math.max(
              0,
              units.length > 1
                ? Math.min(last?.fromLine ?? 0, last?.toLine ?? 0) -
                    Math.max(first?.fromLine ?? 0, first?.toLine ?? 0)
                : 0,
            ),
      surfaceMm,
      straightMm:
        apart === null && sewn ? surfaceMm : Math.abs((profile.z[to - 1] ?? 0) - (profile.z[from - 1] ?? 0)),
      missStitches: miss,
      missMm: Math.abs(miss) * gauge.heightMm,
      missSide: Math.abs(miss) < 0.005 ? null : miss * frame.right > 0 ? 'right' : 'left',
      needle: needlePath(form, rule, units, lyingGrid(form, frame)),
      problems: [],
    };
  };

  if (rule.sides === 'middle') {
    const span = point ? 0 : rule.wide;
    const { a } = choosePair(frame.middle, span);
    const [from, to] = said ?? [onPart(Math.min(a, most - span)), onPart(Math.min(a, most - span) + span)];
    const ends = point
      ? ([Math.round((from + to) / 2), Math.round((from + to) / 2)] as const)
      : ([from, to] as const);
    return placement([unit('middle', ...level(...ends))], (ends[0] + ends[1]) / 2, null);
  }
  const span = point ? 0 : Math.min(rule.wide, Math.max(1, Math.floor(most / 2) - 1));
  const wanted =
    said && said[0] !== said[1]
      ? { apart: said[1] - said[0], said: true }
      : apartFor(rule, anchorFor, across, span, (size) => choosePair(centre, size).miss);
  if (!wanted.said)
    add(
      'feature-spacing',
      'warning',
      `The sentence does not say how far from the middle the ${id} goes. It is put ${wanted.apart} rounds apart, side to side, until you say.`,
    );
  const room = Math.max(1, most - 1 - span);
  const apart = Math.max(1, Math.min(room, wanted.apart));
  if (wanted.apart > room)
    add(
      'apart-impossible',
      'error',
      `This part has ${most} lines of holes; the ${id} can't be ${wanted.apart} rounds apart on it.`,
    );
  const start = said && said[0] !== said[1] ? said[0] : choosePair(centre, apart).a;
  const [low, high] = [start, start + apart];
  const [lowHalf, highHalf] = [Math.floor(span / 2), Math.ceil(span / 2)];
  // The outer ends lie level with each other, and the inner ends.
  const outer = level(onPart(low - highHalf), onPart(high + highHalf));
  const inner = point ? outer : level(onPart(low + lowHalf), onPart(high - lowHalf));
  const first = unit(frame.right === 1 ? 'left' : 'right', outer[0], inner[0]);
  const second = unit(frame.right === 1 ? 'right' : 'left', inner[1], outer[1]);
  const both = frame.right === 1 ? [first, second] : [second, first];
  return placement(
    rule.sides === 'both' ? both : both.filter(({ side }) => side === rule.sides),
    (low + high) / 2,
    apart,
  );
}
