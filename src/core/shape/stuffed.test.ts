import * as fc from 'fast-check';
import { formInput, formOf } from '../__tests__/formOf';
import { measureForm } from './form/measures';
import { assumedGauge } from './gauge';
import { profileOf, sizeOf } from './profile';
import { stuffedProfile, type Stuffing } from './stuffed';

const firm: Stuffing = { firmness: 'firm', gathered: true, sole: 0 };
const upright = { front: 0, dir: 1, start: 'bottom', lying: false } as const;

/** A head of six increases a round up to `widest`, plain rounds, and decreases down to `end`. */
function headText(widest: number, plain: number, end: number): string {
  const lines = ['R1: 6 sc in ring'];
  const add = (line: string) => lines.push(`R${lines.length + 1}: ${line}`);
  const between = (n: number) => (n === 0 ? '' : `${n} sc, `);
  for (let n = 12; n <= widest; n += 6) add(`(${between(n / 6 - 2)}inc) x 6`);
  for (let i = 0; i < plain; i += 1) add('sc around');
  for (let n = widest - 6; n >= end; n -= 6) add(`(${between(n / 6 - 1)}dec) x 6`);
  return lines.join('\n');
}

/** Measured on firmly stuffed pieces: width over height. */
const measured = [
  { piece: 'a head, open at the neck', text: headText(30, 5, 12), gathered: false, ratio: 1.27 },
  { piece: 'a tall head', text: headText(42, 11, 6), gathered: true, ratio: 1.05 },
  { piece: 'a tiny head', text: headText(18, 2, 6), gathered: true, ratio: 1.15 },
];

test.each(measured)(
  '$piece is as wide for its height as the real one, within a tenth',
  ({ text, gathered, ratio }) => {
    const { fabric, profile, form } = (() => {
      const made = formOf(text, { firmness: 'firm', gathered }, assumedGauge);
      return { ...made, profile: made.input.profile };
    })();
    const { widthMm, heightMm } = sizeOf(stuffedProfile(fabric, profile, { ...firm, gathered }));
    expect(Math.abs(widthMm / heightMm / ratio - 1)).toBeLessThan(0.1);
    const settled = measureForm(fabric, form, upright);
    expect(Math.abs(settled.widthMm / settled.heightMm / ratio - 1)).toBeLessThan(0.1);
  },
);

test('a round keeps its area: 2πr by the way up the wall', () => {
  const { fabric, profile } = formInput(headText(36, 6, 6), {}, assumedGauge);
  const stuffed = stuffedProfile(fabric, profile, firm);
  for (let round = 1; round < fabric.rounds; round += 1) {
    const areaOf = ({ radius, along }: typeof profile) =>
      Math.PI * (radius[round]! + radius[round - 1]!) * (along[round]! - along[round - 1]!);
    expect(areaOf(stuffed)).toBeCloseTo(areaOf(profile), 6);
  }
});

test('firmer is rounder and holds more; empty is the profile itself', () => {
  const { fabric, profile } = formInput(headText(30, 6, 6), {}, assumedGauge);
  const heights = (['none', 'light', 'medium', 'firm'] as const).map(
    (firmness) => sizeOf(stuffedProfile(fabric, profile, { ...firm, firmness })).heightMm,
  );
  expect([...heights].sort((a, b) => a - b)).toEqual(heights);
  expect(stuffedProfile(fabric, profile, { ...firm, firmness: 'none' })).toBe(profile);
});

test('a long tube stays a tube: its middle is one width, its rounds evenly high', () => {
  const { fabric, profile } = formInput('R1: ch 24, join, sc around\nR2-R40: sc around', {}, assumedGauge);
  const { radius, z } = stuffedProfile(fabric, profile, { ...firm, firmness: 'medium', gathered: false });
  for (let round = 12; round < 28; round += 1) {
    expect(radius[round]! / radius[20]!).toBeCloseTo(1, 2);
    expect((z[round + 1]! - z[round]!) / (z[20]! - z[19]!)).toBeCloseTo(1, 2);
  }
});

test.each([4, 4.1, 4.4, 4.8])(
  'an empty circle of six more a round lies flat, rounds %d mm high',
  (heightMm) => {
    const lines = headText(48, 0, 48);
    const { fabric, form } = formOf(lines, { firmness: 'none' }, { widthMm: 5, heightMm, assumed: false });
    const { widthMm, heightMm: high } = measureForm(fabric, form, upright);
    expect(high).toBeLessThan(widthMm * 0.1);
  },
);

test('twelve more a round are too many to lie flat: they ruffle', () => {
  const text = [
    'R1: 6 sc in ring',
    'R2: inc around',
    'R3: inc around',
    'R4: inc around',
    'R5: sc around',
  ].join('\n');
  const { fabric, form } = formOf(text, { firmness: 'none' }, assumedGauge);
  const { widthMm, heightMm } = measureForm(fabric, form, upright);
  expect(heightMm).toBeGreaterThan(widthMm * 0.2);
});

test('a flat sole stays flat under a stuffed wall', () => {
  const text = `${headText(36, 0, 36)}\nR7: BLO sc around\nR8-R14: sc around`;
  const { fabric, profile } = formInput(text, {}, assumedGauge);
  const { radius, z } = stuffedProfile(fabric, profile, { firmness: 'firm', gathered: false, sole: 6 });
  expect([...z.slice(0, 6)]).toEqual([...profile.z.slice(0, 6)]);
  expect([...radius.slice(0, 6)]).toEqual([...profile.radius.slice(0, 6)]);
  expect(radius[9]).toBeGreaterThan(radius[5]!);
});

test('any part that can be worked has a form of numbers, as high as its fabric allows', () => {
  const step = fc.record({ grows: fc.integer({ min: -6, max: 12 }), plain: fc.integer({ min: 0, max: 3 }) });
  fc.assert(
    fc.property(
      fc.integer({ min: 4, max: 8 }),
      fc.array(step, { minLength: 1, maxLength: 8 }),
      (start, steps) => {
        const lines = [`R1: ${start} sc in ring`];
        let count = start;
        for (const { grows, plain } of steps) {
          const change = Math.max(-Math.floor(count / 2), Math.min(count, grows));
          const words =
            change > 0
              ? `inc x ${change}, sc ${count - change}`
              : `dec x ${-change}, sc ${count + 2 * change}`;
          lines.push(`R${lines.length + 1}: ${words.replace(/(dec|inc) x 0, /, '').replace(/, sc 0$/, '')}`);
          count += change;
          for (let i = 0; i < plain; i += 1) lines.push(`R${lines.length + 1}: sc around`);
        }
        const { fabric } = formInput(lines.join('\n'), {}, assumedGauge);
        const profile = profileOf(fabric, assumedGauge);
        for (const gathered of [false, true]) {
          const stuffed = stuffedProfile(fabric, profile, { ...firm, gathered });
          for (const value of [...stuffed.radius, ...stuffed.z])
            expect(Number.isFinite(value) && value >= 0).toBe(true);
          for (let round = 1; round < fabric.rounds; round += 1)
            expect(stuffed.z[round]! - stuffed.z[round - 1]!).toBeLessThanOrEqual(
              stuffed.along[round]! - stuffed.along[round - 1]! + 1e-9,
            );
        }
      },
    ),
    { numRuns: 60 },
  );
});
