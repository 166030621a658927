import { gaugeFromTable, weightInWords, yarnWeight, yarnWeights } from './yarnWeights';
import { showThrough } from './form/showThrough';
import { formOf } from '../__tests__/formOf';

test('the table grows with the yarn, in thickness, hook and stitch', () => {
  const byThickness = [...yarnWeights].sort((a, b) => a.thicknessMm - b.thicknessMm);
  for (const key of ['hookMm', 'widthMm', 'heightMm'] as const)
    expect(byThickness.map((weight) => weight[key])).toEqual(
      [...byThickness.map((weight) => weight[key])].sort((a, b) => a - b),
    );
  // Two strands side by side cover the stitch of the usual hook.
  for (const { widthMm, thicknessMm } of yarnWeights) expect(widthMm).toBeLessThanOrEqual(2.2 * thicknessMm);
});

test('a larger hook makes a wider stitch; both figures stay in proportion', () => {
  expect(gaugeFromTable('medium', 3.5)).toEqual({ widthMm: 5, heightMm: 4.1, assumed: true });
  const wider = gaugeFromTable('medium', 4.5);
  expect(wider.widthMm).toBeCloseTo(5.5, 2);
  expect(wider.heightMm / wider.widthMm).toBeCloseTo(4.1 / 5, 2);
  expect(gaugeFromTable('medium', 20).widthMm).toBeLessThanOrEqual(10);
  expect(gaugeFromTable('jumbo', 1).widthMm).toBeGreaterThan(8);
});

test.each([
  ['medium, chestnut brown', 'medium'],
  ['super bulky velvet', 'superbulky'],
  ['chunky chenille, teal', 'bulky'],
  ['DK cotton', 'light'],
  ['superfine merino', 'superfine'],
  ['4-ply', 'superfine'],
  ['aran', 'medium'],
  ['fine cotton', 'fine'],
])('%s is %s', (words, key) => {
  expect(weightInWords(words)?.key).toBe(key);
});

test('what names no thickness is not guessed', () => {
  expect(weightInWords('grandmother’s blue')).toBeNull();
});

test('stuffing shows where thin yarn is worked wide or stretched, not in a dense fabric', () => {
  const { fabric, form } = formOf('R1: ch 24, join, sc in each ch around\nR2-R10: sc around');
  expect(showThrough(fabric, form, 5, yarnWeight('medium').thicknessMm).rounds).toEqual([]);
  const thin = showThrough(fabric, form, 5, yarnWeight('fine').thicknessMm);
  expect(thin.share).toBeGreaterThan(0.9);
  expect(thin.rounds).toHaveLength(10);
});
