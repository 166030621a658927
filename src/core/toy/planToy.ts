import { roundCount } from '../fabric/fabric';
import { roundNumbered } from '../fabric/rounds';
import { lastEdgeOf } from '../fabric/lastEdge';
import type { Join, UnitRef } from '../join/joined';
import type { Problem } from '../notation/problem';
import { orderOf, unitKey, type Need, type Order, type OrderUnit, type Sewing } from '../plan/order';
import { areUsual, usualHands, type Hands } from '../plan/hands';
import type { WorkIn } from '../plan/windows';
import { hasPost } from '../place/rule/rule';
import type { PartAnalysis, ToyAnalysis } from './analysis';
import { memoise, type Plain } from './memoise';
import { needleProblems } from './needleReach';
import { planPart } from './planPart';
import { handCodes, stopProblems } from './stopProblems';
import { saying } from '../words/problems/problems';

type PlainWorkIn = Readonly<{ round: number; names: readonly string[]; isThrough: boolean }> & {
  [key: string]: Plain;
};

type PlainHands = Readonly<Hands> & { [key: string]: Plain };

/** A part planned anew, knowing what is worked into it, whether it is sewn on by its edge, and for whose hands. */
const replanned = memoise(
  (
    part: PartAnalysis,
    workIns: readonly PlainWorkIn[],
    isSewnOn: boolean,
    hands: PlainHands,
  ): PartAnalysis => {
    const { source, fabric, profile, form, map, features } = part;
    const planned = { source, fabric, profile, gauge: form.gauge, front: map.front, features };
    const stops = planPart(planned, { workIns, isSewnOn, hands });
    const others = part.problems.filter(({ code }) => !handCodes.has(code));
    return { ...part, stops, problems: [...others, ...stopProblems(source, stops)] };
  },
);

/** Ways to join that need the last edge of a part as it was worked. */
const byEdge: ReadonlySet<Join['kind']> = new Set([
  'open-on-wall',
  'flattened',
  'pinched',
  'edge-to-edge',
  'pushed-in',
  'no-sew',
]);

/** Whether what a part is joined on by is its end too: edge to edge, or its end inside the other. */
const endsThere = (kind: Join['kind'], ring: Join['ring']): boolean =>
  kind === 'edge-to-edge' || ring?.end === 'end';

/** Whether a part that would be drawn together is sewn on by its edge, as a sentence elsewhere says. */
function isSewnByEdge({ source, fabric }: PartAnalysis, joins: readonly Join[]): boolean {
  if (lastEdgeOf(source, fabric) !== 'open') return false;
  return joins.some(
    ({ kind, unit, on, ring }) =>
      byEdge.has(kind) && (unit.part === source.id || (endsThere(kind, ring) && on.part === source.id)),
  );
}

/** Whether a part is worked into another, or pulled through it, before that is finished. */
const isBefore = ({ kind }: Join): boolean => kind === 'no-sew' || kind === 'through';

/** The rounds of a part that finished parts are worked into or pulled through, with their names in the order of the round. */
function workInsOf(part: PartAnalysis, joins: readonly Join[]): WorkIn[] {
  const workIns: { round: number; names: string[]; isThrough: boolean }[] = [];
  for (const join of joins) {
    if (!isBefore(join) || join.on.part !== part.source.id || join.row === null) continue;
    const round = Math.round(join.row);
    const isThrough = join.kind === 'through';
    const known = workIns.find((one) => one.round === round && one.isThrough === isThrough);
    if (known) known.names.push(join.unit.name);
    else workIns.push({ round, names: [join.unit.name], isThrough });
  }
  return workIns;
}

/** The parts with their stops, now that it is known what is worked into them. */
export function withPlans(
  parts: readonly PartAnalysis[],
  joins: readonly Join[],
  hands: Hands = usualHands,
): PartAnalysis[] {
  return parts.map((part) => {
    const workIns = workInsOf(part, joins).map((one) => ({ ...one }));
    const isOpenAnyway = hands === usualHands && part.stops.closing?.how === 'open';
    const isSewnOn = !isOpenAnyway && isSewnByEdge(part, joins);
    const isAsPlanned = workIns.length === 0 && !isSewnOn && hands === usualHands;
    return isAsPlanned ? part : replanned(part, workIns, isSewnOn, { ...hands });
  });
}

const plannedFor = memoise((toy: ToyAnalysis, hands: PlainHands): ToyAnalysis => {
  const parts = withPlans(toy.parts, toy.joined.joins, hands);
  const others = toy.problems.filter(({ code }) => !handCodes.has(code));
  const ofHands = parts.flatMap(({ problems }) => problems.filter(({ code }) => handCodes.has(code)));
  const ofNeedle = needleProblems(parts, toy.joined.joins, hands.needle);
  const problems = [...others, ...ofHands, ...ofNeedle].sort((a, b) => (a.line ?? 0) - (b.line ?? 0));
  return { ...toy, parts, order: planToy(parts, toy.joined), problems };
});

/**
 * A toy planned for the hands and tools of one maker: when washers can be pressed, how and
 * with how much it is stuffed, and what no opening admits.
 *
 * @param toy as analysed for usual hands
 */
export function plannedForHands(toy: ToyAnalysis, hands: Hands): ToyAnalysis {
  const all = { ...usualHands, ...hands };
  return areUsual(all) ? toy : plannedFor(toy, all);
}

const keyOf = ({ part, unit }: UnitRef) => unitKey(part, unit);

/** What a unit waits for: parts worked into it, edges it grows out of, the round it begins in. */
function needsOf(
  part: PartAnalysis,
  unit: number,
  joins: readonly Join[],
  parts: readonly PartAnalysis[],
): Need[] {
  const { source } = part;
  const workedIn = joins.flatMap((join): Need[] => {
    const isHere = isBefore(join) && join.on.part === source.id && join.on.unit === unit;
    const round = isHere && join.row !== null ? Math.round(join.row) : 0;
    // What is pulled through goes in after the round above it.
    const at = join.kind === 'through' ? Math.min(part.fabric.rounds, round + 1) : round;
    return round > 0 ? [{ round: at, unit: keyOf(join.unit), upTo: 'all' }] : [];
  });
  const grown = (source.grown?.edges ?? []).map((edge): Need => ({
    round: 1,
    unit: unitKey(edge.part, edge.unit),
    upTo: 'all',
  }));
  const { onto } = source;
  const ground = onto ? parts.find((other) => other.source.id === onto.part) : undefined;
  const begun: Need[] =
    onto && ground
      ? [
          {
            round: 1,
            unit: unitKey(onto.part, Math.min(unit, ground.source.make)),
            upTo: roundNumbered(ground.fabric, onto.round),
          },
        ]
      : [];
  return [...workedIn, ...grown, ...begun];
}

/** Features that are sewn on or drawn in once the piece is finished. */
function finishingOf({ features, lines }: PartAnalysis): OrderUnit['finishing'] {
  const along = lines.map(({ thing, holes }): OrderUnit['finishing'][number] => ({
    do: 'attach',
    about: thing,
    stitches: holes.length,
  }));
  const put = features.flatMap(({ id, kind, rule, needle }): OrderUnit['finishing'][number][] => {
    if (kind === 'sculpting' || kind === 'hair')
      return [{ do: kind === 'hair' ? 'attach' : 'sculpt', about: id, stitches: 0 }];
    const isPressed = hasPost(rule);
    return needle || isPressed || kind === 'key ring' ? [] : [{ do: 'attach', about: id, stitches: 0 }];
  });
  return [...put, ...along];
}

function orderUnits(
  parts: readonly PartAnalysis[],
  { joins, units: named }: ToyAnalysis['joined'],
): OrderUnit[] {
  return parts.flatMap((part) => {
    const { source, fabric, stops } = part;
    const labels = [...fabric.label];
    const counts = labels.map((_label, round) => roundCount(fabric, round + 1));
    return Array.from({ length: source.make }, (_, i): OrderUnit => {
      const unit = i + 1;
      const known = named.find((one) => one.part === source.id && one.unit === unit);
      return {
        part: source.id,
        unit,
        name: known?.name ?? source.name.toLowerCase(),
        labels,
        counts,
        stops: stops.stops,
        needs: needsOf(part, unit, joins, parts),
        finishing: finishingOf(part),
      };
    });
  });
}

/** The order in which a whole toy is made. */
export function planToy(parts: readonly PartAnalysis[], joined: ToyAnalysis['joined']): Order {
  const units = orderUnits(parts, joined);
  const sewings = joined.joins.flatMap((join): Sewing[] => {
    const isSewn = !isBefore(join) && join.kind !== 'worked-on';
    const onto = parts.find(({ source }) => source.id === join.on.part)?.source.name.toLowerCase() ?? '';
    return isSewn ? [{ unit: keyOf(join.unit), onto, stitches: join.path?.length ?? 0 }] : [];
  });
  return orderOf(units, sewings, joined.loose.map(keyOf));
}

/** Parts that wait for each other. */
export function cycleProblems({ cycles }: Order, parts: readonly PartAnalysis[]): Problem[] {
  return cycles.map((names) => {
    const [first] = parts;
    return {
      ...saying('order-cycle', { pieces: names }),
      severity: 'error',
      part: first?.source.name ?? '',
      partId: first?.source.id,
      line: first?.source.line,
      suggestions: [],
    };
  });
}
