import type { Problem } from '../notation/problem';
import { turn, wrapAngle } from '../shape/azimuth';
import type { EyePlacement } from './eyes';
import type { FeaturePlacement, FeatureUnit } from './features/featurePlacement';
import { washerMm } from './hardware';

export interface MarkEnd {
  line: number;
  hole: number;
}

/** Where on a part something is not right. */
export interface ConflictMark {
  /** the feature it is about: `eyes`, `button 2` */
  id: string;
  code: string;
  severity: 'error' | 'warning';
  azimuth: number;
  /** the holes it lies between, each with its line by index; the same twice for one hole */
  ends: [MarkEnd, MarkEnd];
  seat: 'foot' | 'split';
  /** of something that needs room, how far that reaches; null for a middle that lies beside the front */
  radiusMm: number | null;
}

const needsWasher = new Set([
  'washers-overlap',
  'washer-on-decrease',
  'washer-on-ridge',
  'ring-too-small',
  'eye-large',
  'near-closing',
  'on-decrease',
  'same-hole',
  'eyes-overlap',
  'rings-overlap',
]);
const ofMiddle = new Set(['not-centred', 'off-the-eyes', 'straddles-start']);

type Placed = Pick<FeatureUnit, 'from' | 'to' | 'fromLine' | 'toLine' | 'azimuth' | 'halfMm'> & {
  side: string;
};

const serious = (problems: readonly Problem[]) =>
  problems.filter(
    (problem): problem is Problem & { severity: 'error' | 'warning' } => problem.severity !== 'info',
  );

/** The conflicts of a part as places: a middle that misses the front, washers and pieces that have no room, what could not be placed as said. */
export function conflictMarks(
  eyes: EyePlacement | null,
  features: readonly FeaturePlacement[],
): ConflictMark[] {
  const marks: ConflictMark[] = [];
  const put = (
    id: string,
    problems: readonly Problem[],
    units: readonly Placed[],
    seat: 'foot' | 'split',
    washer: number | null,
  ) => {
    for (const { code, severity, message } of serious(problems)) {
      const [first, last] = [units[0], units.at(-1)];
      if (!first || !last) continue;
      if (ofMiddle.has(code)) {
        marks.push({
          id,
          code,
          severity,
          azimuth: first.azimuth + wrapAngle(last.azimuth - first.azimuth) / 2,
          ends: [
            { line: first.fromLine, hole: first.from },
            { line: last.toLine, hole: last.to },
          ],
          seat,
          radiusMm: null,
        });
        continue;
      }
      // A message about one side marks that side.
      const meant = units.filter((unit) => new RegExp(`\\b${unit.side}\\b`).test(message));
      for (const unit of meant.length > 0 ? meant : units)
        marks.push({
          id,
          code,
          severity,
          azimuth: unit.azimuth,
          ends: [
            { line: unit.fromLine, hole: unit.from },
            { line: unit.toLine, hole: unit.to },
          ],
          seat,
          radiusMm: washer !== null && needsWasher.has(code) ? washer / 2 : Math.max(3, unit.halfMm),
        });
    }
  };
  if (eyes)
    put(
      'eyes',
      eyes.problems,
      eyes.posts.map(({ side, stitch, line, azimuth }) => ({
        side,
        from: stitch,
        to: stitch,
        fromLine: line,
        toLine: line,
        azimuth,
        halfMm: eyes.rule.sizeMm / 2,
      })),
      eyes.rule.seat,
      eyes.washerMm,
    );
  for (const { id, kind, problems, units, seat, rule } of features) {
    put(
      id,
      problems,
      units,
      seat,
      kind === 'nose' && !rule.embroidered && rule.sizeMm !== null ? washerMm(rule.sizeMm) : null,
    );
  }
  // One mark a place: the gravest.
  const seen = new Map<string, ConflictMark>();
  for (const mark of marks) {
    const key = `${mark.id}/${mark.ends.map(({ line }) => line).join()}/${Math.round((mark.azimuth / turn) * 1000)}/${mark.radiusMm === null}`;
    const before = seen.get(key);
    if (!before || (before.severity === 'warning' && mark.severity === 'error')) seen.set(key, mark);
  }
  return [...seen.values()];
}
