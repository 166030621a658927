import { analyseToy } from '../toy/analyse';
import { tasksOf } from '../toy/tasksOf';
import { actsPaceOf, entriesWith, logbookOf, paceOf } from './logbook';
import { movesOfTask } from './tasks';
import { foldRun, isEvent, type Run, type RunEvent } from './run';

const text =
  'Ball\nR1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4-R9: sc around\nR10: (sc, dec) x 6\nR11: dec x 6';
const start = Date.UTC(2026, 2, 1, 18);
const run: Run = { id: 'r', toy: 't', name: 'Ball', text, copies: 1, started: new Date(start).toISOString() };
const tasksFor = (of: string) => tasksOf(analyseToy(of));
const minute = 60_000;
const round = (at: number): RunEvent => ({ kind: 'on', by: 'round', at: start + at * minute });
const picture = 'data:image/jpeg;base64,AAAA';

// Rounds of 6, 12, 18, 18, 18 stitches: a minute after she began, then one in two minutes each; two hours later one more.
const evening: RunEvent[] = [
  round(1),
  round(3),
  round(5),
  round(7),
  { kind: 'note', text: 'Hook 3 mm is too large.', at: start + 8 * minute },
  round(9),
  round(129),
  { kind: 'photo', picture, text: 'So far', at: start + 130 * minute },
];

test('sessions end with a long break, and what is said stands in its place', () => {
  const { sessions, entries, finished } = logbookOf(run, evening, tasksFor);
  expect(
    sessions.map(({ from, until, minutes, stitches }) => [from - start, until - start, minutes, stitches]),
  ).toEqual([
    [minute, 9 * minute, 8, 72],
    [129 * minute, 130 * minute, 1, 18],
  ]);
  expect(entries.map(({ text: said, task, picture: shown }) => [said, task, shown])).toEqual([
    ['Hook 3 mm is too large.', 'Ball, round 5', undefined],
    ['So far', expect.stringMatching(/^Ball/), picture],
  ]);
  expect(finished).toBe(false);
});

test('her pace is by stitches, and the time after a pause is not counted', () => {
  // 72 stitches in the rounds, 1 + 2 + 2 + 2 + 1 minutes to the taps: the note lies between, and the last round followed a pause.
  expect(logbookOf(run, evening, tasksFor).worked).toEqual({ minutes: 8, stitches: 72 });
  expect(paceOf([{ worked: { minutes: 8, stitches: 72 } }])).toBeNull();
  expect(paceOf([{ worked: { minutes: 8, stitches: 72 } }, { worked: { minutes: 12, stitches: 128 } }])).toBe(
    10,
  );
  expect(paceOf([{ worked: { minutes: 12, stitches: 2000 } }])).toBeNull();
  expect(paceOf([])).toBeNull();
});

test('the same as the progress she saw', () => {
  const { worked, entries } = logbookOf(run, evening, tasksFor);
  const progress = foldRun(run, evening, tasksFor);
  expect([worked, entries]).toEqual([progress.worked, progress.log]);
});

test('entries are found by words of the note, the piece and the day', () => {
  const { entries } = logbookOf(run, evening, tasksFor);
  expect(entriesWith(entries, 'HOOK large')).toHaveLength(1);
  expect(entriesWith(entries, 'round 5')).toHaveLength(1);
  expect(entriesWith(entries, '')).toHaveLength(2);
  expect(entriesWith(entries, 'eyes')).toEqual([]);
});

test('a photo is a small picture and nothing else', () => {
  const photo = (of: string) => isEvent({ kind: 'photo', picture: of, text: '', at: 1 });
  expect(photo(picture)).toBe(true);
  expect(photo('data:text/html;base64,AAAA')).toBe(false);
  expect(photo('https://example.org/a.jpg')).toBe(false);
  expect(photo(`data:image/png;base64,${'A'.repeat(500_000)}`)).toBe(false);
});

describe('what is done at stops is timed', () => {
  // The ball is stuffed and cut or closed at the end; each stop takes five minutes.
  const kinds = tasksFor(text).flatMap((task) =>
    task.kind === 'stop' ? task.acts.map(({ act }) => act) : [],
  );
  const making = (minutesAtStop: number): RunEvent[] => {
    let at = 0;
    return tasksFor(text).flatMap((task) => {
      const taps = task.kind === 'finish' ? movesOfTask(task) : 1;
      return Array.from({ length: taps }, (): RunEvent => {
        at += task.kind === 'round' ? 1 : minutesAtStop / taps;
        return { kind: 'on', by: 'round', at: start + at * minute };
      });
    });
  };
  const acted = (minutesAtStop: number) => logbookOf(run, making(minutesAtStop), tasksFor).acted;

  test('each act of a stop has its usual share of the time', () => {
    expect(kinds).toContain('stuff');
    const all = acted(5);
    expect(all.map((one) => one.do)).toEqual(expect.arrayContaining(kinds));
    const stops = tasksFor(text).filter(({ kind }) => kind !== 'round').length;
    expect(all.reduce((sum, { minutes }) => sum + minutes, 0)).toBeCloseTo(5 * stops, 6);
  });

  test('what is only gone through, or left lying, is not', () => {
    expect(acted(0.05)).toEqual([]);
    expect(acted(400)).toEqual([]);
  });

  test('an act has a time of its own once it was done twice', () => {
    const once = [{ acted: [{ do: 'stuff' as const, times: 1, minutes: 9 }] }];
    expect(actsPaceOf(once)).toEqual({ acts: {}, sewnPerMinute: null });
    expect(actsPaceOf([...once, ...once])).toEqual({ acts: { stuff: 9 }, sewnPerMinute: null });
    expect(actsPaceOf([{ acted: [{ do: 'sew', times: 40, minutes: 8 }] }])).toEqual({
      acts: {},
      sewnPerMinute: 5,
    });
  });
});
