import * as fc from 'fast-check';
import { isPlan, ledgerOf, solveLedger, type LedgerPlan, type LedgerTask, type WorkedIn } from './ledger';

const part = (width: number, target: number, mirror: number | null = null, name = 'limb'): WorkedIn => ({
  part: name,
  unit: 1,
  width,
  target,
  mirror,
});
const wrap = (off: number, count: number) => off - count * Math.round(off / count);

/** Every way there is, by trying all of them. */
function bruteForce({ count, parts, gap, axis }: LedgerTask): number | null {
  let best: number | null = null;
  const starts: number[] = [];
  const clear = () =>
    parts.every((a, i) =>
      parts.every((b, k) => {
        if (i === k) return true;
        const ahead = (((starts[k]! - starts[i]!) % count) + count) % count;
        return ahead >= a.width + gap && count - ahead >= b.width + gap;
      }),
    );
  const mirrored = parts.some(({ mirror }) => mirror !== null);
  const middle = (i: number) => starts[i]! + (parts[i]!.width - 1) / 2;
  const axes = [-2, -1, 0, 1, 2].map((by) => (Math.round(2 * axis) + by) / 2);
  const even = () =>
    !mirrored ||
    axes.some((about) =>
      parts.every(({ mirror, target }, i) => {
        const other = mirror ?? i;
        const sum = middle(i) + middle(other) - 2 * about;
        const isMirrored = Math.abs(wrap(sum, mirror === null ? 2 * count : count)) < 1e-9;
        if (mirror !== null) return isMirrored;
        const onFront = Math.abs(wrap(target - axis, count)) < 0.75;
        return Math.abs(wrap(middle(i) - about - (onFront ? 0 : count / 2), count)) < 1e-9;
      }),
    );
  const sides = () =>
    parts.every(({ mirror, target }, i) => {
      if (mirror === null) return true;
      const rises = wrap(target - axis, count) > wrap(parts[mirror]!.target - axis, count);
      return axes.some((about) => {
        const here = wrap(middle(i) - about, count);
        return rises ? here >= 0 : here <= 0;
      });
    });
  const go = (i: number) => {
    if (i === parts.length) {
      if (!clear() || !even() || !sides()) return;
      const cost = parts.reduce((sum, { target }, k) => sum + wrap(middle(k) - target, count) ** 2, 0);
      if (best === null || cost < best) best = cost;
      return;
    }
    for (let start = 1; start <= count; start += 1) {
      starts[i] = start;
      go(i + 1);
    }
  };
  go(0);
  return best;
}

/** The plan, held to be as good as trying all; null where trying all finds none either. */
function asGoodAsAny(task: LedgerTask): LedgerPlan | null {
  const plan = solveLedger(task);
  const least = bruteForce(task);
  if (least === null) {
    expect(isPlan(plan)).toBe(false);
    return null;
  }
  if (!isPlan(plan)) throw new Error(`${plan.why}, and ${least} can be had`);
  expect(plan.cost).toBeCloseTo(least, 6);
  return plan;
}

describe('by hand', () => {
  test('two arms of 4 at the sides of 24 stand at 6½ and 18½', () => {
    const task: LedgerTask = { count: 24, parts: [part(4, 6.5, 1), part(4, 18.5, 0)], gap: 0, axis: 12.5 };
    const plan = solveLedger(task);
    if (!isPlan(plan)) throw new Error(plan.why);
    expect(plan.starts).toEqual([5, 17]);
    expect(plan.cost).toBe(0);
    expect(ledgerOf(task, plan)).toEqual([
      { plain: 4 },
      { part: 'limb', unit: 1, stitches: 4 },
      { plain: 8 },
      { part: 'limb', unit: 1, stitches: 4 },
      { plain: 4 },
    ]);
  });

  test('a snout of 5 in front of 24: its middle can’t lie between two stitches, so the whole round turns half a stitch', () => {
    const parts = [part(5, 12.5), part(3, 4.5, 2), part(3, 20.5, 1)];
    const plan = solveLedger({ count: 24, parts, gap: 1, axis: 12.5 });
    if (!isPlan(plan)) throw new Error(plan.why);
    expect([12, 13]).toContain(plan.axis);
    const middles = plan.starts.map((start, i) => start + (parts[i]!.width - 1) / 2);
    expect(middles[1]! + middles[2]!).toBe(2 * plan.axis!);
    expect(middles[0]).toBe(plan.axis);
  });

  test.each([
    ['too many stitches', { count: 12, parts: [part(7, 3), part(7, 9)], gap: 0, axis: 6.5 }, 'room', 2],
    [
      'front and back of different parity in an even round',
      {
        count: 24,
        parts: [part(4, 12.5), part(5, 24.5), part(2, 5, 3), part(2, 20, 2)],
        gap: 0,
        axis: 12.5,
      },
      'parity',
      1,
    ],
    [
      'a pair that finds no room in its half',
      { count: 12, parts: [part(5, 6.5), part(4, 3, 2), part(4, 10, 1)], gap: 0, axis: 6.5 },
      'room',
      1,
    ],
  ] as const)('%s', (_, task, why, missing) => {
    expect(solveLedger(task as LedgerTask)).toEqual({ why, missing });
  });

  test('the wish for a gap is kept, and the two move apart alike', () => {
    const plan = solveLedger({ count: 20, parts: [part(3, 10), part(3, 11)], gap: 2, axis: 10.5 });
    if (!isPlan(plan)) throw new Error(plan.why);
    const [a = 0, b = 0] = plan.starts;
    expect(b - a).toBe(5);
  });

  test('a part may lie over the beginning of the round', () => {
    const task: LedgerTask = { count: 18, parts: [part(4, 0.5 + 18)], gap: 0, axis: 9.5 };
    const plan = solveLedger(task);
    if (!isPlan(plan)) throw new Error(plan.why);
    expect(ledgerOf(task, plan)).toEqual([
      { part: 'limb', unit: 1, stitches: 2 },
      { plain: 14 },
      { part: 'limb', unit: 1, stitches: 2 },
    ]);
  });
});

const free = fc
  .record({
    count: fc.integer({ min: 8, max: 16 }),
    widths: fc.array(fc.integer({ min: 1, max: 4 }), { minLength: 1, maxLength: 3 }),
    targets: fc.array(fc.double({ min: 1, max: 16, noNaN: true }), { minLength: 3, maxLength: 3 }),
    gap: fc.integer({ min: 0, max: 2 }),
  })
  .map(({ count, widths, targets, gap }): LedgerTask => ({
    count,
    gap,
    axis: count / 2 + 0.5,
    parts: widths.map((width, i) => part(width, Math.min(targets[i]!, count))),
  }));

test('without pairs nothing is better, by trying all, and every round adds up', () => {
  fc.assert(
    fc.property(free, (task) => {
      const plan = asGoodAsAny(task);
      if (!plan) return;
      const sum = ledgerOf(task, plan).reduce(
        (total, entry) => total + ('plain' in entry ? entry.plain : entry.stitches),
        0,
      );
      expect(sum).toBe(task.count);
    }),
    { numRuns: 150 },
  );
});

const paired = fc
  .record({
    count: fc.integer({ min: 10, max: 18 }),
    width: fc.integer({ min: 1, max: 4 }),
    out: fc.double({ min: 0.5, max: 8, noNaN: true }),
    lean: fc.double({ min: -0.5, max: 0.5, noNaN: true }),
    alone: fc.option(fc.record({ width: fc.integer({ min: 1, max: 4 }), back: fc.boolean() })),
    gap: fc.integer({ min: 0, max: 1 }),
  })
  .map(({ count, width, out, lean, alone, gap }): LedgerTask => {
    const axis = count / 2 + 0.5 + lean;
    const off = Math.min(out, count / 2 - 0.5);
    return {
      count,
      gap,
      axis,
      parts: [
        part(width, axis - off, 1),
        part(width, axis + off, 0),
        ...(alone ? [part(alone.width, alone.back ? axis + count / 2 : axis)] : []),
      ],
    };
  });

test('pairs lie mirror-equal, and no mirror-equal round is better', () => {
  fc.assert(
    fc.property(paired, (task) => {
      const plan = asGoodAsAny(task);
      if (!plan) return;
      const [a, b] = [0, 1].map((i) => plan.starts[i]! + (task.parts[i]!.width - 1) / 2);
      expect(Math.abs(wrap(a! + b! - 2 * plan.axis!, task.count))).toBeLessThan(1e-9);
    }),
    { numRuns: 150 },
  );
});
