import { minutesOf, paceWith, readPace, usualPace } from './time';
import type { Step } from './order';

const step = (of: Partial<Step>): Step =>
  ({ do: 'work', part: 'p', unit: 1, from: 1, to: 1, stitches: 0, about: null, ...of }) as Step;

test('stitches at her own pace, sewing as much quicker, and stops as usual', () => {
  const quick = paceWith(32);
  // 96 stitches: 6 minutes at 16, 3 at 32. 12 sewn: 2 minutes to begin and 4 at 3 a minute, or 2 at 6.
  expect(minutesOf(step({ stitches: 96 }))).toBe(6);
  expect(minutesOf(step({ stitches: 96 }), quick)).toBe(3);
  expect(minutesOf(step({ do: 'sew', stitches: 12 }))).toBe(6);
  expect(minutesOf(step({ do: 'sew', stitches: 12 }), quick)).toBe(4);
  expect(minutesOf(step({ do: 'seat-eyes' }), quick)).toBe(usualPace.acts['seat-eyes']);
  expect(paceWith(null)).toBe(usualPace);
});

test.each([
  [null, null],
  ['', null],
  ['0', null],
  ['900', null],
  ['quick', null],
  ['14.5', 14.5],
])('kept as %s', (kept, pace) => {
  expect(readPace(kept)).toBe(pace);
});
