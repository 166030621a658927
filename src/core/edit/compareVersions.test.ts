import { analyseToy } from '../toy/analyse';
import { compareVersions } from './compareVersions';

const head =
  'Head\nR1: 6 sc in ring [6]\nR2: inc around [12]\nR3: (sc, inc) x 6 [18]\nR4-R7: sc around [18]\nR8: (sc, dec) x 6 [12]\nR9: dec around [6]\nEyes: 6 mm, between R4 and R5, 4 showing.\n';
const ears = (make: number) => `\nEar (make ${make})\nR1: 6 sc in ring [6]\nR2: sc around [6]\n`;
const toy = (text: string) => analyseToy(`Gauge: 5 mm x 5 mm\nLean: 0\n\n${text}`);
const between = (before: string, after: string) =>
  Object.fromEntries(
    compareVersions(toy(before), toy(after)).map(({ about, changes }) => [
      about,
      changes.map(({ part, what, before: was, after: is }) => `${part}, ${what}: ${was} | ${is}`),
    ]),
  );

test('a toy and itself differ in nothing', () => {
  expect(compareVersions(toy(head + ears(2)), toy(head + ears(2)))).toEqual([]);
});

// Two plain rounds more: the numbers after them move on, and rounds alike are told in one.
test('rounds by their number, those that differ alike together', () => {
  const longer = head.replace('R4-R7', 'R4-R9').replace('R8:', 'R10:').replace('R9: dec', 'R11: dec');
  const told = between(head, longer);
  expect(told.rounds).toEqual([
    'Head, Round 8: (sc, dec) x 6 [12] | sc around [18]',
    'Head, Round 9: dec around [6] | sc around [18]',
    'Head, Round 10: – | (sc, dec) x 6 [12]',
    'Head, Round 11: – | dec around [6]',
  ]);
  expect(told.parts).toEqual(['Parts, Head: 1 × 9 rounds | 1 × 11 rounds']);
  // 111 stitches and twice 18 more.
  expect(told.whole).toContain('The whole toy, stitches: 126 | 162');
});

test('more units, another eye, a part that only one has', () => {
  const told = between(
    head + ears(2),
    `${head.replace('6 mm', '8 mm')}${ears(4)}\nTail\nR1: 6 sc in ring [6]\nR2: sc around [6]\n`,
  );
  expect(told.parts).toEqual(['Parts, Ear: 2 × 2 rounds | 4 × 2 rounds', 'Parts, Tail: – | 1 × 2 rounds']);
  expect(told.places).toEqual([
    'Head, eyes: 6 mm, between round 4 and 5, holes 7 and 12 | 8 mm, between round 4 and 5, holes 7 and 12',
  ]);
  expect(told.takes?.filter((line) => line.includes('safety eye'))).toEqual([
    'What it takes, safety eye, 8 mm: – | 2',
    'What it takes, safety eye, 6 mm: 2 | –',
  ]);
});

test('two parts of one name stay two', () => {
  const other = '\nEar (make 2)\nR1: 5 sc in ring [5]\nR2: sc around [5]\n';
  const told = between(head + ears(2) + other, head + ears(2) + other.replace('[5]\nR2: sc', '[5]\nR2: hdc'));
  expect(told.rounds).toEqual(['Ear, number 2, Round 2: sc around [5] | hdc around [5]']);
  expect(told.parts).toBeUndefined();
});

test('where a part is joined', () => {
  const joined = (round: number) =>
    `${head}${ears(2)}\nAssembly\nSew the ears to the head on round ${round}, on both sides.\n`;
  const { joins } = between(joined(4), joined(5));
  expect(joins?.map((line) => line.replace(/, stitch [\d.]+/g, ''))).toEqual([
    'Joined to, left ear: head round 4 | head round 5',
    'Joined to, right ear: head round 4 | head round 5',
  ]);
});

test('rounds one after the other that say the same are one line', () => {
  const told = between(head, head.replace('R4-R7: sc around', 'R4-R7: hdc around'));
  expect(told.rounds).toEqual(['Head, Rounds 4 to 7: sc around [18] | hdc around [18]']);
});
