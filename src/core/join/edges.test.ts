import * as fc from 'fast-check';
import { doubledStitches, edgeToEdge } from './edges';

const edge = (count: number, front = count / 2 + 0.5, rightward: 1 | -1 = 1) => ({ count, front, rightward });

test.each([
  // ⌊(t+½)·m/K⌋, counted from 1
  [12, 12, []],
  [12, 14, [4, 10]],
  [18, 24, [2, 5, 8, 11, 14, 17]],
  [20, 27, [2, 5, 8, 11, 13, 16, 19]],
  [18, 20, [5, 14]],
])('of %i and %i stitches these take two: %j', (m, n, doubles) => {
  expect(doubledStitches(m, n)).toEqual(doubles);
});

test('gaps between doubles differ by one at most, none is at the seam, and every stitch of both is used', () => {
  fc.assert(
    fc.property(fc.integer({ min: 6, max: 60 }), fc.double({ min: 1, max: 1.6, noNaN: true }), (m, ratio) => {
      const n = Math.min(Math.floor(m * ratio), Math.floor(m * 1.6));
      const doubles = doubledStitches(m, n);
      expect(new Set(doubles).size).toBe(n - m);
      const gaps = doubles.map((at, t) => (t === 0 ? at + m - doubles.at(-1)! : at - doubles[t - 1]!));
      if (gaps.length > 0) expect(Math.max(...gaps) - Math.min(...gaps)).toBeLessThanOrEqual(1);
      if (n - m <= m / 2) expect(doubles).not.toContain(1);
      const plan = edgeToEdge(edge(m), edge(n))!;
      expect(new Set(plan.path.map(({ larger }) => larger)).size).toBe(n);
      expect(new Set(plan.path.map(({ smaller }) => smaller)).size).toBe(m);
    }),
  );
});

test('hopeless edges are refused', () => {
  expect(edgeToEdge(edge(10), edge(17))).toBeNull();
  expect(edgeToEdge(edge(10), edge(16))).not.toBeNull();
});

test('the fronts come together, whichever way either is worked', () => {
  // The front of one is stitch 6½ of 12; of the other, worked the other way, 3½ of 12.
  const plan = edgeToEdge(edge(12), edge(12, 3.5, -1))!;
  const other = new Map(plan.path.map(({ smaller, larger }) => [smaller, larger]));
  expect([other.get(6), other.get(7)]).toEqual([4, 3]);
  expect(other.get(1)).toBe(9);
});
