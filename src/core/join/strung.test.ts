import { analyseToy } from '../toy/analyse';
import { assembled } from '../toy/assembled';
import { boundsOf } from './pose/posed';

const bead = 'R1: 6 sc in ring\nR2: inc x 6\nR3-R4: sc around\nR5: dec x 6\nStuff. Close.';
const text = (sentence: string) =>
  `Gauge: 5 mm x 4.2 mm\nStar\n${bead}\n\nBead (make 3)\n${bead}\n\nMoon\n${bead}\n\nAssembly\n${sentence}`;
const order = (sentence: string) =>
  analyseToy(text(sentence))
    .joined.joins.filter(({ kind }) => kind === 'strung')
    .map(({ unit, on }) => [unit.part, unit.unit, on.part, on.unit]);

test('one after the other, in the order they are named; of a plural all', () => {
  expect(order('String the star, the beads and the moon onto a cord.')).toEqual([
    ['bead', 1, 'star', 1],
    ['bead', 2, 'bead', 1],
    ['bead', 3, 'bead', 2],
    ['moon', 1, 'bead', 3],
  ]);
  expect(order('Thread the moon and two beads on a strong thread, 1 cm apart.')).toEqual([
    ['bead', 1, 'moon', 1],
    ['bead', 2, 'bead', 1],
  ]);
});

test('they hang below each other with the thread between, and the thread is as long as they are', () => {
  const toy = analyseToy(text('String the star, the beads and the moon together, 10 mm apart.'));
  const posed = assembled(toy).filter(({ loose }) => !loose);
  expect(posed.map(({ unit }) => unit.name)).toEqual(['Star', 'bead 1', 'bead 2', 'bead 3', 'moon']);
  const boxes = posed.map((unit) => boundsOf([unit]));
  for (const [i, { high }] of boxes.slice(1).entries()) expect(boxes[i]!.low[1] - high[1]).toBeCloseTo(10, 3);
  const whole = boxes[0]!.high[1] - boxes.at(-1)!.low[1];
  const [, said] = /about (\d+) mm/.exec(toy.problems.find(({ code }) => code === 'join-strung')!.message)!;
  expect(Math.abs(Number(said) - whole)).toBeLessThan(2);
});

test.each(['String the star along.', 'Thread a needle with brown yarn.', 'Pull the cord through the star.'])(
  '%s strings nothing',
  (sentence) => {
    expect(order(sentence)).toEqual([]);
  },
);

test('what else is named is told to be left out', () => {
  const { problems } = analyseToy(text('String the beads together and hang them from the moon.'));
  expect(problems.filter(({ code }) => code === 'words-unused').map(({ message }) => message)).toEqual([
    expect.stringContaining('moon'),
  ]);
});
