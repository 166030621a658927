import { analyseToy } from './analyse';
import { tasksOf } from './tasksOf';
import { techniquesOfTask } from './techniquesOfTask';
import type { Task } from '../make/tasks';

const text = [
  'Toy: Ball with arms',
  'Terms: US',
  '',
  'Ball',
  'R1: 6 sc in ring',
  'R2: inc x 6',
  'R3: BLO (sc, inc) x 6',
  'R4: with red, 9 sc, with white, 9 sc',
  'R5: sc around',
  'R6: 4 sc, sc3tog, 8 hdc, hdc3tog',
  'R7: 14 sc',
  'R8: dec x 7',
  'R9: dec x 3, sc',
  '',
  'Arm (make 2)',
  'R1: 6 sc in ring',
  'R2-R5: sc around',
  '',
  'Assembly',
  'Sew the arms to the ball on round 4, at the sides.',
].join('\n');
const toy = analyseToy(text);
const tasks = tasksOf(toy);
const ball = (label: number): Task => {
  const task = tasks.find((one) => one.kind === 'round' && one.unit.name === 'Ball' && one.label === label);
  if (!task) throw new Error(`no round ${label}`);
  return task;
};
const titles = (task: Task) => techniquesOfTask(toy, task).map(({ title }) => title);

test.each<[label: number, titles: string[]]>([
  [1, ['The ring to begin with']],
  [2, ['An increase']],
  [3, ['An increase', 'Into the back loop only', 'From the first yarn to red']],
  [4, ['From red to white']],
  [5, []],
  [6, ['A decrease that hardly shows', 'A taller stitch: hdc']],
  [7, []],
  [8, ['A decrease that hardly shows']],
])('round %i shows %j', (label, shown) => {
  expect(titles(ball(label))).toEqual(shown);
});

test('an increase is drawn on the stitches of that round', () => {
  const [increase] = techniquesOfTask(toy, ball(3));
  // One single crochet, then two into stitch 2 of round 2: they are 2 and 3.
  expect(increase?.steps.map(({ words }) => words)).toEqual([
    'Stitch 2 of round 2 takes two. The first goes in as always.',
    'Into the same place again, not into the next one.',
    'Two stitches stand on one: they are 2 and 3 of this round.',
  ]);
  const last = increase?.steps.at(-1);
  expect(last?.below.map(({ number }) => number)).toEqual([1, 2, 3, 4]);
  expect(last?.above.map(({ number, on }) => [number, ...on])).toEqual([
    [1, 0],
    [2, 1],
    [3, 1],
  ]);
  expect(increase?.steps[1]).toMatchObject({ into: [1], loops: 'back' });
});

test('a decrease names the stitches it draws together, three of them too', () => {
  const [three] = techniquesOfTask(toy, ball(6));
  expect(three?.steps[0]?.words).toBe(
    'The hook under the front loop of stitch 5 of round 5, then under the front loop of 6 and 7. Nothing is drawn through yet.',
  );
  expect(three?.steps[1]?.words).toContain('One stitch stands on three: stitch 5 of this round.');
  const [two] = techniquesOfTask(toy, ball(8));
  expect(two?.steps[1]?.above.at(-1)).toMatchObject({ number: 1, on: [0, 1] });
});

test('the end that is drawn together, and the seam with its own stitches', () => {
  const close = tasks.find((task) => task.kind === 'stop' && task.acts.some(({ act }) => act === 'close'));
  expect(close && titles(close)).toEqual(['Drawing the end together']);
  const sew = tasks.find((task) => task.kind === 'finish' && task.do === 'sew');
  const [seam] = sew ? techniquesOfTask(toy, sew) : [];
  const path = toy.joined.joins[0]?.path ?? [];
  expect(seam?.title).toBe('Sewing on the left arm');
  expect(seam?.steps[0]?.above.map(({ number }) => number)).toEqual([1, 2, 3, 4, 5, 6]);
  expect(seam?.steps[0]?.below.map(({ number }) => number)).toEqual(path.map(({ stitch }) => stitch));
  const check = tasks.find((task) => task.kind === 'finish' && task.do === 'check');
  expect(check && titles(check)).toEqual([]);
});

test('a row that was turned goes back over the one below: its stitches are met from the last', () => {
  const flap = analyseToy(
    [
      'Flap',
      'Row 1: ch 7, sc in 2nd ch from hook and in each ch across, turn (6)',
      'Row 2: inc, 4 sc, inc, turn (8)',
      'Row 3: sc across, turn',
      'Row 4: dec, 4 sc, dec (6)',
    ].join('\n'),
  );
  const rows = tasksOf(flap).filter((task) => task.kind === 'round');
  const [increase] = techniquesOfTask(flap, rows[1]!);
  expect(increase?.steps[0]?.words).toBe('Stitch 6 of row 1 takes two. The first goes in as always.');
  expect(increase?.steps[0]?.below.map(({ number }) => number)).toEqual([6, 5, 4, 3]);
  expect(increase?.steps[2]?.above.map(({ number, on }) => [number, ...on])).toEqual([
    [1, 0],
    [2, 0],
  ]);
  const [decrease] = techniquesOfTask(flap, rows[3]!);
  expect(decrease?.steps[0]?.words).toContain('stitch 8 of row 3, then under the front loop of 7.');
  expect(decrease?.steps[0]?.into).toEqual([0, 1]);
  expect(decrease?.steps[1]?.above.at(-1)).toMatchObject({ number: 1, on: [0, 1] });
});

test('an end that is closed as a star is drawn across the hole, by the thread’s own way', () => {
  const star = analyseToy(
    'Ball\nR1: 6 sc in ring\nR2: inc x 6\nR3-R5: sc around\nR6: dec x 6\nStuff. Close the hole with a star stitch.',
  );
  const closing = tasksOf(star).find(
    (task) => task.kind === 'stop' && task.acts.some(({ act }) => act === 'close'),
  );
  const [gather] = techniquesOfTask(star, closing!);
  expect(gather!.steps.map(({ into }) => into)).toEqual([[0, 3], [0, 1, 2, 3, 4, 5], [], []]);
  expect(gather!.steps[0]!.words).toContain('stitch 1, then across the hole under that of stitch 4');
});
