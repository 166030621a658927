import { scheduleOf } from '../plan/schedule';
import { minutesOfAll } from '../plan/time';
import { analyseToy } from './analyse';
import { batchItems, dayItemWords, scheduleCsv, scheduleIcs } from './batch';

const owl = analyseToy(
  `Toy: Owl\nBody\nR1: 6 sc in ring\nR2: inc x 6\nR3-R8: sc around\n\nWing (make 2)\nR1: 5 sc in ring\nR2-R3: sc around\n\nAssembly\nSew the wings to the body on round 4, one on each side.`,
);

test('toy by toy, or the same piece of all in one go: the same work, in each toy in the same order', () => {
  const byToy = batchItems(owl, 3, 'toys');
  const byPiece = batchItems(owl, 3, 'pieces');
  const names = (items: typeof byToy) => items.map(({ words, toy }) => `${words} ${toy}`);
  expect(names(byToy).slice(0, 4)).toEqual(['Body 1', 'Left wing 1', 'Right wing 1', 'Put it together 1']);
  expect(names(byPiece).slice(0, 4)).toEqual(['Body 1', 'Body 2', 'Body 3', 'Left wing 1']);
  expect([...names(byPiece)].sort()).toEqual([...names(byToy)].sort());
  for (const toy of [1, 2, 3])
    expect(byPiece.filter((one) => one.toy === toy)).toEqual(byToy.filter((one) => one.toy === toy));
  const total = byToy.reduce((sum, { minutes }) => sum + minutes, 0);
  expect(total).toBeCloseTo(3 * minutesOfAll(owl.order.steps), 9);
});

test('the days go into a table and a calendar', () => {
  const { days } = scheduleOf(batchItems(owl, 3, 'pieces'), ['2026-12-05', '2026-12-06', '2026-12-07'], 60);
  expect(dayItemWords(days[0]!.items[0]!, 3)).toMatch(/^Body, toys 1 to \d/);
  expect(dayItemWords({ words: 'Body', toys: [1, 1], minutes: 5, goesOn: true }, 1)).toBe(
    'Body (goes on the next day)',
  );
  const csv = scheduleCsv(days, 3);
  expect(csv.split('\r\n')[0]).toBe('date,what,minutes');
  expect(csv).toContain('2026-12-05,"Body, toys 1 to ');
  const ics = scheduleIcs(days, 'Owl, for the fair', 3);
  expect(ics.match(/BEGIN:VEVENT/g)).toHaveLength(days.length);
  expect(ics).toContain('DTSTART;VALUE=DATE:20261205');
  expect(ics).toContain('Owl\\, for the fair');
});
