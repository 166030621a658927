import { analyseToy } from './analyse';
import { ballOf24 } from '../__tests__/ballOf24';
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

describe('what is put on a finished piece says where', () => {
  const eyes = 'Insert 8 mm eyes between R6 and R7, 4 showing.';
  const finished = (...lines: string[]) =>
    tasks('Head', ...ballOf24, eyes, ...lines).flatMap((task) =>
      task.kind === 'finish' && task.do !== 'check' ? [task] : [],
    );

  test('what is sewn on: its address in large, how to count there beside it', () => {
    const [cheeks] = finished('Felt cheeks, 8 mm, 1 stitch outside the eyes, 2 rounds below the eyes.');
    expect(cheeks?.title).toBe('Sew on the cheeks');
    expect(cheeks?.steps).toEqual(['Cheeks between round 8 and 9, left hole 7, right hole 13 of 18']);
    expect(cheeks?.aside).toMatch(/^Count along round 9 from its first stitch: .* 7 and 13 of 18\./);
  });

  test('felt eyes are found as pressed ones are', () => {
    const all = tasks('Head', ...ballOf24, eyes.replace('Insert 8 mm', 'Sew 8 mm felt'));
    const sewn = all.find((task) => task.kind === 'finish' && task.do === 'attach');
    expect(sewn).toMatchObject({
      steps: [expect.stringMatching(/^Between round 6 and 7, holes? \d+ and \d+/)],
    });
  });

  test('drawing in goes along the needle’s way, a tap each', () => {
    const [sculpting] = finished('Sculpt the eyes.');
    expect(sculpting?.steps[0]).toMatch(/^1\. out at hole \d+ between/);
    expect(sculpting?.steps.length).toBeGreaterThan(3);
  });

  test('spines along both sides are two things to do, hole by hole, each with a name of its own', () => {
    const [left, right, ...others] = finished('Work spines along both sides from R3 to R9.');
    expect(others).toEqual([]);
    for (const side of [left!, right!]) {
      expect(side.steps).toHaveLength(6);
      expect(side.steps[0]).toMatch(/^R3\|4: hole \d+ of 24$/);
    }
    expect(left!.aside).toMatch(/^Spines along the left side/);
    expect(right!.aside).toMatch(/^Spines along the right side/);
    expect(taskName(left!)).not.toBe(taskName(right!));
  });

  test('every strand of a fringe has its stitch', () => {
    const [fringe] = finished('Knot a fringe of 10 cm strands into every second stitch of round 7.');
    expect(fringe?.steps).toHaveLength(12);
    expect(fringe?.aside).toContain('Cut 12 of 100 mm');
  });
});
