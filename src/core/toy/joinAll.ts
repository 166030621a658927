import type { JoinedToy, JoinPart } from '../join/joined';
import { joinToy } from '../join/joinToy';
import type { PartAnalysis } from './analysis';
import { memoise } from './memoise';

/** What joining needs of a part; the same object for the same analysis. */
export const joinPart = memoise(
  ({ source, fabric, starts, profile, form, map, features, lines }: PartAnalysis): JoinPart => ({
    part: source,
    fabric,
    starts,
    profile,
    gauge: form.gauge,
    orientation: form.orientation,
    front: map.front,
    features,
    lines,
  }),
);

/** The last toys that were joined, newest last. */
const kept: { parts: readonly JoinPart[]; joined: JoinedToy }[] = [];
const mostKept = 4;

/** The parts of a toy joined. The same parts come to the same object. */
export function joinAll(parts: readonly PartAnalysis[]): JoinedToy {
  const own = parts.map((part) => joinPart(part));
  const isSame = (other: readonly JoinPart[]) =>
    other.length === own.length && other.every((part, i) => part === own[i]);
  const known = kept.findIndex((one) => isSame(one.parts));
  const [found] = known >= 0 ? kept.splice(known, 1) : [];
  const one = found ?? { parts: own, joined: joinToy(own) };
  kept.push(one);
  if (kept.length > mostKept) kept.shift();
  return one.joined;
}
