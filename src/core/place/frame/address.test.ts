import * as fc from 'fast-check';
import { formOf } from '../../__tests__/formOf';
import { layTape } from '../../shape/form/tape';
import { stitchAzimuth } from '../../shape/azimuth';
import { addressOf, addressWords, fromFrontWords, roundOfStitch } from '../frame/address';

const { fabric, form, input } = formOf('R1: ch 24, join, sc in each ch around\nR2-R12: sc around', {
  firmness: 'none',
});
const address = (stitch: number, front: number, dir: 1 | -1) => {
  const round = roundOfStitch(fabric, stitch);
  return addressOf(
    fabric,
    stitch,
    stitchAzimuth(fabric, input.starts, round + 1, stitch - fabric.offset[round]! + 1),
    { front, dir },
  );
};

test('every stitch has one address, and it leads back to the stitch', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 287 }), (stitch) => {
      const { round, stitch: number, of } = address(stitch, 0, 1);
      expect((round - 1) * 24 + number - 1).toBe(stitch);
      expect(of).toBe(24);
    }),
  );
});

test('sides are as one looks at the front; the other hand sees the other side', () => {
  const front = stitchAzimuth(fabric, input.starts, 5, 10);
  const at = (number: number, dir: 1 | -1) => address(4 * 24 + number - 1, front, dir);
  expect(addressWords(at(10, 1))).toBe('Round 5, stitch 10 of 24');
  expect(fromFrontWords(at(10, 1))).toBe('on the front line');
  expect(fromFrontWords(at(13, 1))).toBe('3 stitches to the right of the front');
  expect(fromFrontWords(at(13, -1))).toBe('3 stitches to the left of the front');
  expect(fromFrontWords(at(9, 1))).toBe('1 stitch to the left of the front');
  expect(fromFrontWords(at(22, 1))).toBe('in the middle of the back');
});

test('a tape passes from its one end to its other, never shorter than straight, and as long as its steps', () => {
  fc.assert(
    fc.property(fc.integer({ min: 24, max: 287 }), fc.integer({ min: 24, max: 287 }), (from, to) => {
      const tape = layTape(form, from, to);
      expect([tape.nodes[0], tape.nodes.at(-1)]).toEqual([from, to]);
      expect(tape.surfaceMm).toBeGreaterThanOrEqual(tape.straightMm - 1e-9);
      let steps = 0;
      for (let i = 1; i < tape.nodes.length; i += 1)
        steps += layTape(form, tape.nodes[i - 1]!, tape.nodes[i]!).straightMm;
      expect(steps).toBeCloseTo(tape.surfaceMm, 3);
    }),
    {
      numRuns: 40,
      examples: [
        [24, 37],
        [287, 149],
      ],
    },
  );
});
