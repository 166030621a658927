import type { Problem } from '../../notation/problem';
import { turn, wrapAngle } from '../../shape/azimuth';
import type { Seat } from '../frame/pair';
import type { FeaturePlacement } from '../resolve/placement';
import type { FeatureUnit } from '../resolve/unit';

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
  seat: Seat;
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

/** Room that is marked at least, so that a finger finds it. */
const smallestMm = 3;

type Serious = Problem & { severity: 'error' | 'warning' };
const isSerious = (problem: Problem): problem is Serious => problem.severity !== 'info';

/** The conflicts of a part as places: a middle that misses the front, washers and pieces that have no room, what could not be placed as said. */
export function conflictMarks(features: readonly FeaturePlacement[]): ConflictMark[] {
  const marks = features.flatMap((placed) =>
    placed.problems.filter(isSerious).flatMap((problem) => marksOf(placed, problem)),
  );
  // One mark a place: the gravest.
  const seen = new Map<string, ConflictMark>();
  for (const mark of marks) {
    const lines = mark.ends.map(({ line }) => line).join();
    const key = `${mark.id}/${lines}/${Math.round((mark.azimuth / turn) * 1000)}/${mark.radiusMm === null}`;
    const before = seen.get(key);
    if (!before || (before.severity === 'warning' && mark.severity === 'error')) seen.set(key, mark);
  }
  return [...seen.values()];
}

const startOf = ({ fromLine, from }: FeatureUnit): MarkEnd => ({ line: fromLine, hole: from });
const endOf = ({ toLine, to }: FeatureUnit): MarkEnd => ({ line: toLine, hole: to });

function marksOf(placed: FeaturePlacement, { code, severity, where }: Serious): ConflictMark[] {
  const { id, seat, units, washerMm } = placed;
  const [first, last] = [units[0], units.at(-1)];
  if (!first || !last) return [];
  if (ofMiddle.has(code)) {
    const azimuth = first.azimuth + wrapAngle(last.azimuth - first.azimuth) / 2;
    return [{ id, code, severity, azimuth, ends: [startOf(first), endOf(last)], seat, radiusMm: null }];
  }
  // What is about one side marks that side.
  const meant = units.filter((unit) => unit.side === where?.side);
  const washer = washerMm !== null && needsWasher.has(code) ? washerMm / 2 : null;
  return (meant.length > 0 ? meant : units).map((unit) => ({
    id,
    code,
    severity,
    azimuth: unit.azimuth,
    ends: [startOf(unit), endOf(unit)],
    seat,
    radiusMm: washer ?? Math.max(smallestMm, unit.halfMm),
  }));
}
