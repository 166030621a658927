import * as fc from 'fast-check';
import { formOf } from '../../__tests__/formOf';
import { alignTo, wholeMotion } from './wholeMotion';

const { form } = formOf('R1: 6 sc in ring\nR2: inc x 6\nR3-R6: sc around');

/** The same points, turned about the upright axis and moved. */
function turned(places: Float64Array, angle: number, by: readonly [number, number, number]): Float64Array {
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  return places.map((value, i) => {
    const at = i - (i % 3);
    const [x, y] = [places[at]!, places[at + 1]!];
    return (
      (i % 3 === 0 ? x * cos - y * sin : i % 3 === 1 ? x * sin + y * cos : value) + by[(i % 3) as 0 | 1 | 2]
    );
  });
}

test('drift and a small turn are told apart', () => {
  const motion = new Float64Array(9);
  wholeMotion(turned(form.places, 0.001, [3, 0, 0]), form.places, motion);
  expect(motion[8]).toBeCloseTo(0.001, 5);
  expect([motion[6], motion[7]].map((value) => Math.abs(value!) < 1e-6)).toEqual([true, true]);
  wholeMotion(turned(form.places, 0, [3, -1, 2]), form.places, motion);
  expect([...motion.slice(3, 6)].map((value) => Math.round(value * 1e6) / 1e6)).toEqual([3, -1, 2]);
});

test('a form that was moved and turned as one piece is laid back exactly', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -0.8, max: 0.8, noNaN: true }),
      fc.double({ min: -50, max: 50, noNaN: true }),
      (angle, by) => {
        const places = turned(form.places, angle, [by, -by, by / 2]);
        alignTo(places, form.places);
        let worst = 0;
        for (let i = 0; i < places.length; i += 1)
          worst = Math.max(worst, Math.abs(places[i]! - form.places[i]!));
        expect(worst).toBeLessThan(0.05);
      },
    ),
    { numRuns: 25 },
  );
});
