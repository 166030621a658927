import { readPattern } from '../notation/readPattern';
import { luminance, needsOutline, undyed, yarnColour } from './yarnColour';

const { header } = readPattern('Yarn A: soft chestnut brown\nYarn B: Nightfall navy, 50 g\nR1: 6 sc in ring');

test('a yarn’s colour is found by its declared words, then by its name', () => {
  expect(yarnColour('A', header)).toBe(yarnColour('brown', header));
  expect(yarnColour('b', header)).toBe(yarnColour('navy', header));
  expect(yarnColour('cream', header)).not.toBe(undyed);
  expect(yarnColour('', header)).toBe(undyed);
  expect(yarnColour('moonbeam', header)).toBe(undyed);
});

test('dark yarn is outlined, light yarn is not', () => {
  expect(luminance('#ffffff')).toBeCloseTo(1, 6);
  expect(luminance('#000000')).toBe(0);
  expect(needsOutline(yarnColour('navy', header))).toBe(true);
  expect(needsOutline(yarnColour('cream', header))).toBe(false);
});
