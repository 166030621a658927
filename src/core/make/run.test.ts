import * as fc from 'fast-check';
import { analyseToy } from '../toy/analyse';
import { tasksOf } from '../toy/tasksOf';
import { foldRun, isEvent, Making, placeAfterChange, type Run, type RunEvent } from './run';
import { movesOfTask } from './tasks';
import { whereWasI } from './whereWasI';

const text = `Head
R1: 6 sc in ring
R2: inc x 6
R3: (sc, inc) x 6
R4-R6: sc around
R7: (sc, dec) x 6
R8: dec x 6

Ear (make 2)
R1: 6 sc in ring
R2: inc x 6
Sew the ears to the head on round 4, one on each side.
`;
const run: Run = { id: 'r', toy: 't', name: 'Bear', text, copies: 1, started: new Date(0).toISOString() };
const tasksFor = (of: string) => tasksOf(analyseToy(of));
const tasks = tasksFor(text);
const on = (by: 'stitch' | 'repeat' | 'round', at = 0): RunEvent => ({ kind: 'on', by, at });
const fold = (events: RunEvent[], of = run) => foldRun(of, events, tasksFor);

test('a stitch, a repeat and a round forward, and back again', () => {
  expect(fold([on('stitch'), on('stitch')]).place).toEqual({ copy: 0, task: 0, move: 2 });
  expect(fold([on('round')]).place).toEqual({ copy: 0, task: 1, move: 0 });
  // Round 3 by repeats: each is one sc and one inc, two moves.
  const third = [on('round'), on('round'), on('repeat'), on('repeat'), on('stitch')];
  expect(fold(third).place).toEqual({ copy: 0, task: 2, move: 5 });
  expect(fold([...third, { kind: 'back', at: 0 }]).place).toEqual({ copy: 0, task: 2, move: 4 });
  // From the middle of a repeat to its end.
  expect(fold([...third, on('repeat')]).place).toEqual({ copy: 0, task: 2, move: 6 });
});

test('the tasks of the toy: rounds, the stops in their place, both ears, the seams, the check', () => {
  expect(
    tasks.map((task) =>
      task.kind === 'round'
        ? `${task.unit.name} ${task.label}`
        : task.kind === 'stop'
          ? `stop ${task.after}`
          : task.title,
    ),
  ).toEqual([
    ...[1, 2, 3, 4, 5, 6].map((round) => `Head ${round}`),
    'stop 6',
    'Head 7',
    'stop 7',
    'Head 8',
    'stop 8',
    'Left ear 1',
    'Left ear 2',
    'stop 2',
    'Right ear 1',
    'Right ear 2',
    'stop 2',
    'Sew it onto the head',
    'Sew it onto the head',
    'Check the whole toy',
  ]);
  const seam = tasks.find((task) => task.kind === 'finish');
  // The address, the pins, twelve stitches of the edge, how the seam is fastened, and the last look.
  expect(seam?.kind === 'finish' && seam.steps).toHaveLength(16);
});

test('a stop: what is ticked, and what is gone on without, with the reason', () => {
  const toStop = Array.from({ length: 6 }, () => on('round'));
  const ticked = fold([...toStop, { kind: 'tick', act: 0, done: true, at: 1 }]);
  expect([...ticked.ticked]).toEqual([0]);
  const skipped = fold([...toStop, { kind: 'skip', why: 'No stuffing in the house.', at: 2 }]);
  expect(skipped.place.task).toBe(7);
  expect(skipped.log).toEqual([
    expect.objectContaining({ copy: 0, text: 'Went on without: Stuff the bulk. No stuffing in the house.' }),
  ]);
});

test('copies follow each other; after the last it is finished, and a step back opens it again', () => {
  const two: Run = { ...run, copies: 2 };
  const all: RunEvent[] = Array.from({ length: 400 }, () => on('round'));
  const done = fold(all, two);
  expect([done.finished, done.place.copy]).toEqual([true, 1]);
  expect(fold([...all, { kind: 'back', at: 0 }], two).finished).toBe(false);
});

test('two rounds more: she stays in the same round of the changed text', () => {
  const longer = text.replace('R4-R6: sc around\nR7', 'R4-R8: sc around\nR9').replace('R8: dec', 'R10: dec');
  const place = { copy: 0, task: 4, move: 7 };
  expect(placeAfterChange(place, tasks, tasksFor(longer))).toEqual(place);
  const {
    text: now,
    place: there,
    log,
  } = fold([{ kind: 'text', text: longer, why: 'Two rounds more.', place, at: 5 }, on('stitch', 6)]);
  expect([now, there.move, log.at(-1)?.text]).toEqual([longer, 8, 'Two rounds more.']);
});

test('time at work leaves out long breaks; stitches are those that were tapped along', () => {
  const minute = 60_000;
  const { minutes, stitches } = fold([
    on('round', minute),
    on('round', 3 * minute),
    on('stitch', 60 * minute),
    on('stitch', 61 * minute),
  ]);
  expect(minutes).toBeCloseTo(4, 9);
  // Six increases make twelve; two of the twelve moves of round 3 a sixth of its eighteen.
  expect(stitches).toBe(6 + 12 + 3);
});

const anyEvent: fc.Arbitrary<RunEvent> = fc.oneof(
  { weight: 6, arbitrary: fc.constantFrom('stitch', 'repeat', 'round').map((by) => on(by as 'stitch')) },
  { weight: 2, arbitrary: fc.constant<RunEvent>({ kind: 'back', at: 0 }) },
  fc
    .record({ task: fc.nat(40), move: fc.nat(40) })
    .map((place): RunEvent => ({ kind: 'goto', place: { copy: 0, ...place }, at: 0 })),
  fc.nat(3).map((act): RunEvent => ({ kind: 'tick', act, done: true, at: 0 })),
  fc.constant<RunEvent>({ kind: 'skip', why: '', at: 0 }),
);

test('whatever happens, the place is one that is there; one event after the other is the same as all at once', () => {
  fc.assert(
    fc.property(fc.array(anyEvent, { maxLength: 60 }), (events) => {
      for (const event of events) expect(isEvent(event)).toBe(true);
      const making = new Making(run, tasksFor);
      for (const event of events) making.apply(event);
      const progress = making.progress();
      expect(fold(events)).toEqual(progress);
      const task = tasks[progress.place.task];
      expect(task).toBeDefined();
      expect(progress.place.move).toBeLessThanOrEqual(movesOfTask(task!));
      const forward = fold([...events, on('stitch')]);
      if (!progress.finished)
        expect(fold([...events, on('stitch'), { kind: 'back', at: 0 }]).place).toEqual(progress.place);
      expect(forward.place).toBeDefined();
    }),
    { numRuns: 200 },
  );
});

test.each([
  { kind: 'on', by: 'all', at: 0 },
  { kind: 'goto', place: { copy: -1, task: 0, move: 0 }, at: 0 },
  { kind: 'jump', at: 0 },
  { kind: 'note', text: 7, at: 0 },
  { kind: 'back', at: -1 },
  { kind: 'back', at: 0, extra: true },
  { kind: 'on', by: 'round' },
])('%j is no event', (event) => {
  expect(isEvent(event)).toBe(false);
});

test('where was I: three rounds above the last increases; from the start where that is near', () => {
  const { fabric } = analyseToy(text).parts[0]!;
  expect(whereWasI(fabric, 6)).toEqual([
    'The last round with increases, where two stitches stand in one, is round 3. Above it you find 2 whole rounds before the one you are in, round 6.',
    'From the start on you find 5 whole rounds: count the rings out from the middle.',
  ]);
  expect(whereWasI(fabric, 1)).toEqual(['You are in the very first round.']);
});
