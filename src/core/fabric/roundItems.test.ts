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

test.each([
  ['inc at each end', 12],
  ['inc 1 st at each end', 12],
  ['increase one stitch at both ends of the row', 12],
  ['inc at beginning and end', 12],
  ['inc in first and last st', 12],
  ['2 sc in first and last st', 12],
  ['sc across, increasing 1 at each end', 12],
  ['increase at the start of the row', 11],
  ['inc 1 st at the end of the row', 11],
  ['dec at each end', 8],
  ['sc2tog at each end', 8],
  ['dec 1 st each end of row', 8],
  ['sc across, decreasing one st at both ends', 8],
  ['decrease at the beginning', 9],
  ['sc across while decreasing 1 st at the end of the row', 9],
])('from 10 a row of “%s” comes to %i', (words, count) => {
  expect(counted('ch 11', 'Row 1: sc across', `Row 2: ch 1, turn, ${words}`)).toEqual([10, count]);
});

test.each([
  ['Foundation: ch 12, join with sl st to form a ring'],
  ['Foundation chain: ch 12, sl st to first ch, forming a circle'],
  ['Ch 12 and join to make a ring.'],
  ['Set-up: chain 12; join'],
])('a tube begins with “%s”', (foundation) => {
  expect(counted(foundation, 'R1: sc in each ch around', 'R2: sc in each')).toEqual([12, 12]);
});

test.each([
  [
    ['Foundation row: ch 11, sc in 2nd ch from hook and across', 'Row 1: ch 1, turn, sc across'],
    [10, 10],
  ],
  [
    ['Start with 6 single crochet in a magic loop.', 'Rnd 2: increase in every stitch'],
    [6, 12],
  ],
  [
    ['Magic ring', 'R1: 6 sc', 'R2: 2 sc in each', 'R3.-4. 1 sc in each'],
    [6, 12, 12, 12],
  ],
  [
    ['R1: 6 sc in ring', 'R2: 2 in each', 'R3-R4: 12', '5th round: as round 4'],
    [6, 12, 12, 12, 12],
  ],
  [['R1: ch 17, hdc in 3rd ch from hook (skipped chs count as hdc) and in each ch to end'], [16]],
  [
    [
      'R1: ch 17, dc in 3rd ch from hook (first 2 chs count as dc), dc in each ch',
      'R2: ch 2 (counts as dc), turn, skip first st, dc in next 15',
    ],
    [16, 16],
  ],
])('%j', (lines, counts) => {
  expect(counted(...lines)).toEqual(counts);
});
