import { analyseToy } from '../toy/analyse';
import { tasksOf } from '../toy/tasksOf';
import { entriesWith, logbookOf, paceOf } from './logbook';
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
