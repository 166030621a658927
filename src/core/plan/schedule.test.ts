import * as fc from 'fast-check';
import { daysBetween, scheduleOf, type BatchItem } from './schedule';

const every = new Set([0, 1, 2, 3, 4, 5, 6]);

test.each<[string, string, number[], string[]]>([
  ['2026-12-01', '2026-12-03', [0, 1, 2, 3, 4, 5, 6], ['2026-12-01', '2026-12-02', '2026-12-03']],
  // The 5th is a Saturday.
  ['2026-12-03', '2026-12-08', [0, 6], ['2026-12-05', '2026-12-06']],
  ['2026-12-31', '2027-01-01', [0, 1, 2, 3, 4, 5, 6], ['2026-12-31', '2027-01-01']],
  ['2026-12-03', '2026-12-01', [0, 1, 2, 3, 4, 5, 6], []],
  ['2026-12-03', 'soon', [0, 1, 2, 3, 4, 5, 6], []],
  ['2026-12-03', '2026-12-09', [], []],
])('from %s to %s on certain days', (from, by, weekdays, days) => {
  expect(daysBetween(from, by, new Set(weekdays))).toEqual(days);
});

const item = (words: string, toy: number, minutes: number): BatchItem => ({ words, toy, minutes });

test('a day is filled in order; what does not fit goes on the next; the same on several toys is one line', () => {
  const dates = daysBetween('2026-12-01', '2026-12-03', every);
  const heads = [1, 2, 3].map((toy) => item('Head', toy, 50));
  const { days, totalMinutes, lackingMinutes, enoughADay } = scheduleOf(heads, dates, 60);
  expect(totalMinutes).toBe(150);
  // 50 and 10 of the second; 40 of it and 20 of the third; 30.
  expect(days.map(({ items }) => items.map(({ toys, minutes, goesOn }) => [toys, minutes, goesOn]))).toEqual([
    [[[1, 2], 60, true]],
    [[[2, 3], 60, true]],
    [[[3, 3], 30, false]],
  ]);
  expect([lackingMinutes, enoughADay]).toEqual([0, 50]);
  // With nine minutes left a piece is not taken up: 51 + 51, then 48.
  expect(scheduleOf(heads, dates, 59).days.map(({ minutes }) => minutes)).toEqual([50, 50, 50]);
});

test('what finds no place is told, with how much a day would do; without days there is no such figure', () => {
  const heads = [1, 2].map((toy) => item('Head', toy, 100));
  const short = scheduleOf(heads, ['2026-12-01', '2026-12-02'], 60);
  expect([short.lackingMinutes, short.enoughADay]).toEqual([80, 100]);
  expect(scheduleOf(heads, [], 60)).toEqual({
    days: [],
    totalMinutes: 200,
    lackingMinutes: 200,
    enoughADay: null,
  });
});

test('no minute is lost, no day is overfull, the order is kept, and what is said to be enough is', () => {
  const items = fc.array(
    fc.record({
      toy: fc.integer({ min: 1, max: 9 }),
      minutes: fc.double({ min: 0.1, max: 200, noNaN: true }),
    }),
    {
      maxLength: 25,
    },
  );
  fc.assert(
    fc.property(
      items,
      fc.integer({ min: 1, max: 12 }),
      fc.integer({ min: 5, max: 300 }),
      (made, count, minutesADay) => {
        const work = made.map(({ toy, minutes }, i) => item(`piece ${i}`, toy, minutes));
        const dates = daysBetween('2026-12-01', '2026-12-31', every).slice(0, count);
        const { days, totalMinutes, lackingMinutes, enoughADay } = scheduleOf(work, dates, minutesADay);
        const placed = days.reduce((sum, { minutes }) => sum + minutes, 0);
        expect(placed + lackingMinutes).toBeCloseTo(totalMinutes, 4);
        for (const { minutes } of days) expect(minutes).toBeLessThan(minutesADay + 1e-4);
        const named = days.flatMap((day) => day.items.map(({ words }) => Number(words.slice(6))));
        expect(named).toEqual([...named].sort((a, b) => a - b));
        expect(scheduleOf(work, dates, enoughADay!).lackingMinutes).toBe(0);
      },
    ),
    { numRuns: 200 },
  );
});
