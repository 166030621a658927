import { analyseToy } from '../toy/analyse';

/** Stitches of each round, without a total in the text that could help to read it. */
function counted(...lines: string[]): number[] {
  const toy = analyseToy(['US terms', 'Cup', ...lines].join('\n'));
  expect(toy.problems.filter(({ severity }) => severity === 'error')).toEqual([]);
  return toy.parts[0]!.checks.map(({ worked }) => worked);
}

test.each([
  ['on the same line', ['R1: ch 12, join, ch 1, sc around, join', 'R2: ch 1, sc around, join']],
  ['on a line of its own', ['Ch 12, join', 'R1: ch 1, sc around, join', 'R2: ch 1, sc around, join']],
  [
    'in many words',
    [
      'R1: ch 12, join with sl st to first ch to form a ring, ch 1, sc in each ch around, join',
      'R2: ch 1, sc in each st around, sl st to first sc',
    ],
  ],
  [
    'to a loop',
    ['R1: ch 12, sl st to first ch to form a loop, ch 1, sc around, join', 'R2: ch 1, sc around'],
  ],
  ['taller', ['R1: ch 12, join, ch 2, hdc around, join', 'R2: ch 2, hdc around, join']],
  ['at the end of the round before', ['R1: ch 12, join, sc around, join, ch 1', 'R2: sc around, join, ch 1']],
  ['turned', ['R1: ch 12, join, sc around, join, ch 1, turn', 'R2: sc around, join, ch 1, turn']],
])('a chain that only lifts the yarn is no stitch of a joined tube: %s', (_, lines) => {
  expect(counted(...lines)).toEqual([12, 12]);
});

test('increases in round 1 of a joined tube: 20 chains, one more in every fourth', () => {
  expect(counted('R1: ch 20, join, ch 1, (sc 3, inc) around, join')).toEqual([25]);
});

test.each([
  [
    [
      'R1: magic ring, ch 3 (counts as dc), 11 dc in ring, join',
      'R2: ch 3 (counts as first dc), dc in same st, 2 dc in each st around, join',
    ],
    [12, 24],
  ],
  [
    [
      'R1: magic ring, ch 2 - counts as first hdc, 9 hdc in ring, sl st to top of ch 2',
      'R2: ch 2, counts as hdc, hdc in same st, 2 hdc in each st around, join',
    ],
    [10, 20],
  ],
  [
    [
      'R1: magic ring, ch 2, 12 dc in ring, join',
      'R2: ch 2 (counts as 1 dc), dc in next st and in each st around, join',
    ],
    [12, 12],
  ],
  [
    ['R1: ch 1, 6 sc in ring', 'R2: ch 1 (counts as first sc), sc in same st, inc in each st around'],
    [6, 12],
  ],
  [
    ['R1: 6 sc in ring', 'R2: ch 2 (does not count as a stitch), inc around, join'],
    [6, 12],
  ],
])('a chain that stands for the first stitch counts as one: %s', (lines, counts) => {
  expect(counted(...lines)).toEqual(counts);
});
