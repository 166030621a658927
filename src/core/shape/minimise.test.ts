import { minimise } from './minimise';

test('finds the bottom of a bent valley, worked out by hand to lie at (1, 1)', () => {
  const at = Float64Array.of(-1.2, 1);
  minimise(at, ([x = 0, y = 0], slope) => {
    slope[0] = -400 * x * (y - x * x) - 2 * (1 - x);
    slope[1] = 200 * (y - x * x);
    return 100 * (y - x * x) ** 2 + (1 - x) ** 2;
  });
  expect(at[0]).toBeCloseTo(1, 3);
  expect(at[1]).toBeCloseTo(1, 3);
});

test('stays within what is allowed: the least of x − ln x with x > 0 is 1', () => {
  const at = Float64Array.of(40);
  minimise(at, ([x = 0], slope) => {
    slope[0] = 1 - 1 / x;
    return x > 0 ? x - Math.log(x) : Infinity;
  });
  expect(at[0]).toBeCloseTo(1, 3);
});
