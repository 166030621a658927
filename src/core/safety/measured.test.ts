import * as fc from 'fast-check';
import { measured, type Reading } from './measured';

const readings = (values: (number | null)[], unit = 'N'): Reading[] =>
  values.map((value, i) => ({ at: 100 * i, value, unit, isOver: value === null }));
/** Up to a load in two seconds, held, let go; wavering by a tenth. */
const pull = (load: number, seconds: number) =>
  Array.from({ length: 20 + 10 * seconds + 10 }, (_, i) => {
    const base = i < 20 ? (load * i) / 20 : i < 20 + 10 * seconds ? load : 0;
    return base + (i % 2 === 0 ? 0.1 : -0.1) * (i % 3);
  });

test('a steady pull: what was on it and how long it was held', () => {
  const { peak, heldSeconds, fault, now } = measured('force', readings(pull(92, 11)), 90);
  expect(peak).toBeGreaterThan(91.5);
  expect(peak).toBeLessThan(92.5);
  // Evening out shortens the ends by two readings at most.
  expect(heldSeconds).toBeGreaterThanOrEqual(10.5);
  expect(heldSeconds).toBeLessThanOrEqual(11.5);
  expect(fault).toBeNull();
  expect(now).toBeLessThan(1);
});

test('nothing yet', () => {
  expect(measured('force', [], 90)).toEqual({
    now: null,
    peak: 0,
    heldSeconds: 0,
    fault: null,
    shownIn: null,
  });
});

test('pounds are counted as newton, ounces as grams', () => {
  const force = measured('force', readings(pull(20.68, 11), 'lbf'), 90);
  expect(force.peak).toBeCloseTo(92, 0);
  expect(force.shownIn).toBe('lbf');
  expect(force.heldSeconds).toBeGreaterThan(10);
  const mass = measured('mass', readings([2.9, 3, 3, 3, 3, 3], 'oz'), 0);
  expect(mass.now).toBeCloseTo(85.05, 1);
});

test('a unit nobody knows counts for nothing', () => {
  const { fault, peak, heldSeconds, now } = measured('force', readings(pull(92, 11), 'bar'), 90);
  expect([fault, peak, heldSeconds, now]).toEqual(['unknown-unit', 0, 0, null]);
});

test('beyond the range nothing is held', () => {
  const values = pull(92, 11).map((value) => (value > 60 ? null : value));
  const { fault, peak, heldSeconds } = measured('force', readings(values.slice(0, 100)), 90);
  expect(fault).toBe('over');
  expect(peak).toBeLessThanOrEqual(61);
  expect(heldSeconds).toBe(0);
});

test('a stuck instrument holds nothing, however long it shows the same', () => {
  const values = [...pull(92, 11).slice(0, 24), ...Array.from({ length: 150 }, () => 91.7)];
  const { fault, heldSeconds, now } = measured('force', readings(values), 90);
  expect(fault).toBe('stuck');
  expect(heldSeconds).toBeLessThan(1);
  expect(now).toBeNull();
  // Lying still without a load is no fault.
  expect(measured('force', readings(Array.from({ length: 60 }, () => 0)), 90).fault).toBeNull();
});

test('a shaking hand is told, and one reading that jumps counts for nothing', () => {
  const shaking = pull(92, 11).map((value, i) => Math.max(0, value + (i % 2 === 0 ? 20 : -20)));
  expect(measured('force', readings(shaking.slice(0, 100)), 90).fault).toBe('unsteady');
  const jump = pull(50, 11).map((value, i) => (i === 60 ? 200 : value));
  expect(measured('force', readings(jump), 90).peak).toBeLessThan(52);
});

test('a gap in time is no holding: below the force it starts anew', () => {
  const values = [
    ...Array.from({ length: 60 }, () => 95),
    10,
    10,
    10,
    ...Array.from({ length: 60 }, () => 95),
  ].map((value, i) => value + (i % 2) / 10);
  expect(measured('force', readings(values), 90).heldSeconds).toBeLessThan(6.5);
});

test('never more than was shown, never held longer than it lasted', () => {
  fc.assert(
    fc.property(
      fc.array(fc.oneof(fc.double({ min: 0, max: 500, noNaN: true }), fc.constant(null)), { maxLength: 120 }),
      fc.double({ min: 1, max: 200, noNaN: true }),
      (values, wanted) => {
        const { peak, heldSeconds } = measured('force', readings(values), wanted);
        expect(peak).toBeLessThanOrEqual(Math.max(0, ...values.map((value) => value ?? 0)));
        expect(heldSeconds).toBeLessThanOrEqual(Math.max(0, values.length - 1) / 10);
        if (values.every((value) => value === null || value < wanted)) expect(heldSeconds).toBe(0);
      },
    ),
  );
});
