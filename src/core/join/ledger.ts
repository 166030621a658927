/** A part that is worked into a round without sewing. */
export interface WorkedIn {
  part: string;
  unit: number;
  /** stitches it takes of the round: half of its edge, held flat */
  width: number;
  /** the stitch of the round its middle should be at, from 1, as a real number */
  target: number;
  /** the other of its pair: both lie as far from the axis, on either side */
  mirror: number | null;
}

/** A round in which parts are worked in. */
export interface LedgerTask {
  /** stitches of the round */
  count: number;
  parts: readonly WorkedIn[];
  /** plain stitches that stay between two parts at least */
  gap: number;
  /** the front line of the round, as a real stitch number, which pairs lie about */
  axis: number;
}

/** Where every part of a round begins, and how far that is from where it should be. */
export interface LedgerPlan {
  /** first stitch of each part, from 1, in the order of the task */
  starts: number[];
  /** sum of the squares of how far each middle is off, in stitches */
  cost: number;
  /** the axis that pairs lie about, a whole or half stitch; null where there is no pair */
  axis: number | null;
}

/** Why parts don't go into a round, the first that holds. */
export type NoLedger = { why: 'room' | 'half' | 'parity'; missing: number };

/** What costs no more than so much beside the best is as good to a maker: no middle of it is a whole stitch worse. */
const asGood = 0.5;

const wrapped = (off: number, count: number): number => off - count * Math.round(off / count);
const middleOf = (start: number, width: number): number => start + (width - 1) / 2;

const costOf = ({ count, parts }: LedgerTask, starts: readonly number[]): number =>
  parts.reduce((sum, { width, target }, i) => {
    const off = wrapped(middleOf(starts[i] ?? 0, width) - target, count);
    return sum + off * off;
  }, 0);

/** All orders of a few things. */
function permutations(items: readonly number[]): number[][] {
  if (items.length < 2) return [[...items]];
  return items.flatMap((item, i) =>
    permutations([...items.slice(0, i), ...items.slice(i + 1)]).map((rest) => [item, ...rest]),
  );
}

/** Parts that want places so near to each other, in stitches, are tried in every order, so many of them. */
const crowded = 2;
const mostAlike = 4;

/** Orders of the parts around the round, by where they should be. Those that crowd each other may stand in any order. */
function aroundOrders({ parts, count }: LedgerTask): number[][] {
  const order = parts.map((_, i) => i);
  const targetOf = (part: number | undefined) => parts[part ?? 0]?.target ?? 0;
  order.sort((a, b) => targetOf(a) - targetOf(b) || a - b);
  const groups: number[][] = [];
  for (const part of order) {
    const group = groups.at(-1);
    const isAlike = group && Math.abs(wrapped(targetOf(group[0]) - targetOf(part), count)) < crowded;
    if (isAlike && group.length < mostAlike) group.push(part);
    else groups.push([part]);
  }
  return groups.reduce<number[][]>(
    (orders, group) => orders.flatMap((one) => permutations(group).map((alike) => [...one, ...alike])),
    [[]],
  );
}

/**
 * The best starts of parts without pairs, in one order around: the first part at every stitch in turn, the others by dynamic
 * programming, each after the one before it and the last before the first again.
 *
 * @returns the best for each place of the first part
 */
function plansInOrder(task: LedgerTask, order: readonly number[]): LedgerPlan[] {
  const { count, parts, gap } = task;
  const widths = order.map((i) => parts[i]?.width ?? 0);
  const off = (k: number, start: number) => {
    const { width = 0, target = 0 } = parts[order[k] ?? 0] ?? {};
    return wrapped(middleOf(start, width) - target, count) ** 2;
  };
  const plans: LedgerPlan[] = [];
  for (let first = 1; first <= count; first += 1) {
    let best: { cost: number; starts: number[] } | null = null;
    // least[s]: the cost of the parts so far where the last of them begins at or before stitch s.
    const limit = first + count;
    let least = new Map<number, { cost: number; starts: number[] }>([
      [first, { cost: off(0, first), starts: [first] }],
    ]);
    for (let k = 1; k < order.length; k += 1) {
      const next = new Map<number, { cost: number; starts: number[] }>();
      let cheapest: { cost: number; starts: number[] } | null = null;
      const room = widths.slice(k).reduce((sum, width) => sum + width + gap, 0);
      for (let start = first + 1; start + room <= limit; start += 1) {
        const before = least.get(start - (widths[k - 1] ?? 0) - gap);
        if (before && (!cheapest || before.cost < cheapest.cost)) cheapest = before;
        if (cheapest)
          next.set(start, { cost: cheapest.cost + off(k, start), starts: [...cheapest.starts, start] });
      }
      least = next;
    }
    for (const found of least.values()) {
      const end = (found.starts.at(-1) ?? 0) + (widths.at(-1) ?? 0) + gap;
      if (end <= limit && (!best || found.cost < best.cost - 1e-9)) best = found;
    }
    const inOrder = best?.starts;
    if (!inOrder) continue;
    const starts = new Array<number>(parts.length).fill(0);
    order.forEach((part, k) => {
      starts[part] = (((inOrder[k] ?? 1) - 1) % count) + 1;
    });
    plans.push({ starts, cost: costOf(task, starts), axis: null });
  }
  return plans;
}

/** One half of a mirrored round, from the front to the back. Distances are in half stitches from the axis. */
interface Half {
  /** the pairs in their order from the front to the back, by the index of the one on the side of rising stitches */
  order: readonly number[];
  /** least distance of the first pair's middle, and greatest of the last's */
  from: number;
  to: number;
}

/**
 * Least squares over one half: every pair at a distance of its parity, each far enough beyond the one before.
 *
 * @returns the best, and for other places of the last pair what is as good or nearly
 */
function goodHalves(
  half: Half,
  width: (part: number) => number,
  wanted: (part: number) => number,
  { gap, parityOf }: { gap: number; parityOf: (part: number) => number },
): { cost: number; at: number[] }[] {
  let reached = new Map<number, { cost: number; at: number[] }>();
  half.order.forEach((part, k) => {
    const next = new Map<number, { cost: number; at: number[] }>();
    const own = width(part);
    const lowest = k === 0 ? half.from + own : 0;
    for (let at = 0; at <= half.to - own; at += 1) {
      if (at < lowest || Math.abs(at % 2) !== parityOf(part)) continue;
      const step = (at - wanted(part)) ** 2;
      if (k === 0) {
        next.set(at, { cost: step, at: [at] });
        continue;
      }
      const apart = own + width(half.order[k - 1] ?? 0) + 2 * gap;
      let cheapest: { cost: number; at: number[] } | null = null;
      for (const [before, found] of reached)
        if (before + apart <= at && (!cheapest || found.cost < cheapest.cost)) cheapest = found;
      if (cheapest) next.set(at, { cost: cheapest.cost + step, at: [...cheapest.at, at] });
    }
    reached = next;
  });
  // A distance in half stitches, of one of two: its square is half of what both cost.
  const limit = 2 * asGood + Math.min(...[...reached.values()].map(({ cost }) => cost));
  return [...reached.values()].filter(({ cost }) => cost <= limit);
}

/** The middle of a part that lies on the axis: in front, or at the back. */
type Alone = { part: number; where: 'front' | 'back' };

interface Mirrored {
  /** of each pair the one that lies on the side of rising stitches */
  pairs: { rising: number; falling: number }[];
  alone: Alone[];
}

/** Pairs and what lies on the axis; null where something is neither. */
function mirroredOf({ parts, count, axis }: LedgerTask): Mirrored | null {
  const mirrored: Mirrored = { pairs: [], alone: [] };
  for (const [i, { target, mirror }] of parts.entries()) {
    const off = wrapped(target - axis, count);
    if (mirror !== null) {
      const other = wrapped((parts[mirror]?.target ?? 0) - axis, count);
      if (off > other || (off === other && i < mirror)) mirrored.pairs.push({ rising: i, falling: mirror });
    } else if (Math.abs(off) < 0.75) mirrored.alone.push({ part: i, where: 'front' });
    else if (Math.abs(Math.abs(off) - count / 2) < 0.75) mirrored.alone.push({ part: i, where: 'back' });
    else return null;
  }
  const twice = (where: Alone['where']) => mirrored.alone.filter((one) => one.where === where).length > 1;
  return twice('front') || twice('back') ? null : mirrored;
}

/** Good rounds that are their own mirror image about one axis, given in half stitches. */
function plansAbout(task: LedgerTask, { pairs, alone }: Mirrored, axis2: number): LedgerPlan[] {
  const { count, parts, gap, axis } = task;
  const width = (part: number) => parts[part]?.width ?? 0;
  const aloneAt = (where: Alone['where']) => alone.find((one) => one.where === where)?.part;
  const [front, back] = [aloneAt('front'), aloneAt('back')];
  // The middle of a part of even width lies between two stitches: its axis must too.
  const fits = (part: number | undefined, middle2: number) =>
    part === undefined || (middle2 - width(part) - 1) % 2 === 0;
  if (!fits(front, axis2) || !fits(back, axis2 + count)) return [];
  const half: Omit<Half, 'order'> = {
    from: front === undefined ? gap : width(front) + 2 * gap,
    to: count - (back === undefined ? gap : width(back) + 2 * gap),
  };
  const parityOf = (part: number) => Math.abs((axis2 - width(part) - 1) % 2);
  const rising = pairs.map((pair) => pair.rising);
  const offOf = (part: number) => 2 * wrapped((parts[part]?.target ?? 0) - axis, count);
  const wanted = (part: number) => {
    const { falling = part } = pairs.find((pair) => pair.rising === part) ?? {};
    return (offOf(part) - offOf(falling)) / 2;
  };
  const startsOf = (order: readonly number[], at: readonly number[]): number[] => {
    const starts = new Array<number>(parts.length).fill(0);
    const put = (part: number, middle2: number) => {
      const start = (middle2 - width(part) + 1) / 2;
      starts[part] = ((((start - 1) % count) + count) % count) + 1;
    };
    order.forEach((part, k) => {
      const off = at[k] ?? 0;
      put(part, axis2 + off);
      put(pairs.find((pair) => pair.rising === part)?.falling ?? part, axis2 - off);
    });
    if (front !== undefined) put(front, axis2);
    if (back !== undefined) put(back, axis2 + count);
    return starts;
  };
  return permutations(rising).flatMap((order) =>
    goodHalves({ ...half, order }, width, wanted, { gap, parityOf }).map(({ at }) => {
      const starts = startsOf(order, at);
      return { starts, cost: costOf(task, starts), axis: axis2 / 2 };
    }),
  );
}

/** How far the axis of a mirrored round may be moved off the front line, in half stitches. */
const axisReach = 2;

/** Good rounds about each axis that is near enough. */
function mirroredPlans(task: LedgerTask, mirrored: Mirrored): LedgerPlan[] {
  const near = Math.round(2 * task.axis);
  const axes = Array.from({ length: 2 * axisReach + 1 }, (_, i) => near - axisReach + i);
  return axes.flatMap((axis2) => plansAbout(task, mirrored, axis2));
}

/** Why it can't be done: too few stitches in all, too few in one half, or middles that can't both lie on the axis. */
function reasonOf(task: LedgerTask): NoLedger {
  const { count, parts, gap } = task;
  const needed = parts.reduce((sum, { width }) => sum + width + gap, 0);
  if (needed > count) return { why: 'room', missing: needed - count };
  const mirrored = mirroredOf(task);
  const alone = mirrored?.alone ?? [];
  const onAxis = alone.reduce((sum, { part }) => sum + (parts[part]?.width ?? 0), 0);
  const isOdd = alone.length === 2 && (onAxis - count) % 2 !== 0;
  return isOdd ? { why: 'parity', missing: 1 } : { why: 'half', missing: 1 };
}

/** Rounds that are best in some way: about one axis, in one order, or with the first part in one place. */
function candidatesOf(task: LedgerTask): LedgerPlan[] {
  const needed = task.parts.reduce((sum, { width }) => sum + width + task.gap, 0);
  if (needed > task.count) return [];
  const hasPairs = task.parts.some(({ mirror }) => mirror !== null);
  const mirrored = hasPairs ? mirroredOf(task) : null;
  if (mirrored) return mirroredPlans(task, mirrored);
  return aroundOrders(task).flatMap((order) => plansInOrder(task, order));
}

/** The cheapest first; of those that cost the same, the one whose axis is the front line itself. */
function ranked(task: LedgerTask): LedgerPlan[] {
  const offAxis = ({ axis }: LedgerPlan) => (axis === null ? 0 : Math.abs(axis - task.axis));
  return candidatesOf(task).sort((a, b) =>
    Math.abs(a.cost - b.cost) < 1e-9 ? offAxis(a) - offAxis(b) : a.cost - b.cost,
  );
}

const mostRanked = 3;

/**
 * Finds where the parts of a no-sew round begin: whole stitches, at least a gap between, each as near to where it should be as all
 * allow (least squares). Pairs lie mirror-equal about a whole or half stitch, what is on the front or back middle exactly on it.
 *
 * @returns the best, then others that are as good or nearly; none where there is none
 */
export function rankedLedgers(task: LedgerTask): LedgerPlan[] {
  const plans = ranked(task);
  const limit = (plans[0]?.cost ?? 0) + asGood;
  const good = plans.filter(({ cost }) => cost <= limit);
  const different = good.filter(
    ({ starts }, i) => good.findIndex((one) => String(one.starts) === String(starts)) === i,
  );
  return different.slice(0, mostRanked);
}

/** The best of them, or the first reason why there is none. */
export const solveLedger = (task: LedgerTask): LedgerPlan | NoLedger => ranked(task)[0] ?? reasonOf(task);

export const isPlan = (found: LedgerPlan | NoLedger): found is LedgerPlan => 'starts' in found;

/** One entry of a ledger: so many plain stitches, or a part. */
export type LedgerEntry = { plain: number } | { part: string; unit: number; stitches: number };

/**
 * The round in its order, from its first stitch. A part that lies over the beginning of the round stands in two pieces, the later one
 * first.
 */
export function ledgerOf({ count, parts }: LedgerTask, { starts }: LedgerPlan): LedgerEntry[] {
  const owner = new Array<number>(count).fill(-1);
  parts.forEach(({ width }, i) => {
    for (let k = 0; k < width; k += 1) owner[((starts[i] ?? 1) - 1 + k) % count] = i;
  });
  const entries: LedgerEntry[] = [];
  for (let from = 0; from < count;) {
    const who = owner[from] ?? -1;
    let to = from;
    while (to < count && owner[to] === who) to += 1;
    const part = parts[who];
    entries.push(part ? { part: part.part, unit: part.unit, stitches: to - from } : { plain: to - from });
    from = to;
  }
  return entries;
}
