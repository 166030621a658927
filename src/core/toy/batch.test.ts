import { scheduleOf } from '../plan/schedule';
import { minutesOfAll } from '../plan/time';
import { analyseToy } from './analyse';
import { tasksOf } from './tasksOf';
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

describe('what is left of a half-made batch', () => {
  const minutes = (items: ReturnType<typeof batchItems>) => items.reduce((sum, one) => sum + one.minutes, 0);
  const tasks = tasksOf(owl);
  const at = (title: (task: (typeof tasks)[number]) => boolean) => tasks.findIndex(title);

  test('nothing done is the whole, and behind the last task of the last toy nothing is left', () => {
    expect(batchItems(owl, 2, 'toys', { copy: 0, task: 0, move: 0 })).toEqual(batchItems(owl, 2, 'toys'));
    const end = { copy: 1, task: tasks.length - 1, move: 99 };
    expect(minutes(batchItems(owl, 2, 'toys', { ...end, task: tasks.length }))).toBe(0);
  });

  test('toy 1 is done, of toy 2 the body: its wings are left, and toy 3 as a whole', () => {
    const task = at((one) => one.kind === 'round' && one.unit.name === 'Left wing');
    const left = batchItems(owl, 3, 'toys', { copy: 1, task, move: 0 });
    expect(left.map(({ words, toy }) => `${words} ${toy}`)).toEqual([
      'Left wing 2',
      'Right wing 2',
      'Put it together 2',
      'Body 3',
      'Left wing 3',
      'Right wing 3',
      'Put it together 3',
    ]);
  });

  test('half of a round is half of its stitches', () => {
    // R2 of the wing: 5 stitches of 15 in all; two of them done, 13 are left at 16 a minute.
    const task = at((one) => one.kind === 'round' && one.unit.name === 'Left wing' && one.label === 2);
    const [wing] = batchItems(owl, 1, 'toys', { copy: 0, task, move: 2 });
    expect(wing).toMatchObject({ words: 'Left wing', toy: 1 });
    const whole = batchItems(owl, 1, 'toys').find(({ words }) => words === 'Left wing')!.minutes;
    expect(whole - wing!.minutes).toBeCloseTo((5 + 2) / 16, 6);
  });

  test('it only gets less, tap by tap, and the days say it', () => {
    let before = Infinity;
    for (const [task, one] of tasks.entries()) {
      for (let move = 0; move < (one.kind === 'round' ? one.moves.moves : 1); move += 1) {
        const now = minutes(batchItems(owl, 2, 'pieces', { copy: 0, task, move }));
        expect(now).toBeLessThanOrEqual(before + 1e-9);
        before = now;
      }
    }
    const end = batchItems(owl, 2, 'toys', { copy: 1, task: tasks.length - 1, move: 0 });
    const { days } = scheduleOf(end, ['2026-12-05'], 60);
    expect(days[0]!.items.map((item) => dayItemWords(item, 2))).toEqual(['Put it together, toy 2']);
  });
});
