import { analyseToy } from './analyse';
import { taskName, type Task } from '../make/tasks';
import { tasksOf } from './tasksOf';

const tasks = (...lines: string[]) => tasksOf(analyseToy(['Gauge: 5 mm x 4 mm', ...lines].join('\n')));
const rounds = (all: readonly Task[]) => all.flatMap((task) => (task.kind === 'round' ? [task] : []));

test('every round once, also where two have one number; each has a name of its own', () => {
  const all = tasks(
    'Head',
    'R1: 6 sc in ring',
    'R2: inc x 6',
    'R3: sc around',
    'R3: (sc, inc) x 6',
    'R4: sc around',
  );
  expect(rounds(all).map(({ label, words }) => [label, words])).toEqual([
    [1, '6 sc in ring'],
    [2, 'inc x 6'],
    [3, 'sc around'],
    [3, '(sc, inc) x 6'],
    [4, 'sc around'],
  ]);
  expect(new Set(all.map(taskName)).size).toBe(all.length);
});

test('what the line says behind its total, and lines nobody understood, are shown where they stand', () => {
  const all = rounds(
    tasks(
      'Cup',
      'R1: 6 sc in ring (6), sl st to first st',
      'Admire it for a while with a cup of tea',
      'R2: inc x 6 (12)',
      'R3: sc around (12 sts).',
      'Whistle a tune to it, twice',
    ),
  );
  expect(all.map(({ asides }) => asides)).toEqual([
    ['The line goes on: sl st to first st'],
    ['Before it your pattern says: Admire it for a while with a cup of tea'],
    ['After it your pattern says: Whistle a tune to it, twice'],
  ]);
});

test.each([
  [
    'in a spiral with the last stitch of the round before',
    ['in A', 'R1: 6 sc in ring', 'R2: inc x 6', 'change to B', 'R3: sc around'],
    [2, 'The last stitch is finished with B: draw the new colour through its last loops.'],
  ],
  [
    'in joined rounds with the slip stitch that closes',
    ['in A', 'R1: 6 sc in ring, join', 'R2: inc x 6, join', 'change to B', 'R3: sc around, join'],
    [2, 'The slip stitch that closes the round is made with B.'],
  ],
])('a new colour comes in %s', (_, lines, expected) => {
  const told = rounds(tasks('Yarn A: medium, grey', 'Yarn B: medium, oat', 'Head', ...lines)).flatMap(
    ({ label, asides }) => asides.map((words) => [label, words]),
  );
  expect(told).toContainEqual(expected);
});

test('a piece that no sentence joins is a step of its own before the last look', () => {
  const ear = ['R1: 6 sc in ring', 'R2: inc x 6', 'Do not stuff.'];
  const all = tasks('Head', ...ear, '', 'Ear (make 2)', ...ear);
  const ends = all
    .filter((task) => task.kind === 'finish')
    .map(({ unit, ...task }) => [unit.name, 'title' in task && task.title]);
  expect(ends).toEqual([
    ['Ear 1', 'Not placed yet'],
    ['Ear 2', 'Not placed yet'],
    ['The toy', 'Check the whole toy'],
  ]);
});
