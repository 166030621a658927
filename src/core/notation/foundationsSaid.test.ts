import { analyseToy } from '../toy/analyse';
import { buildSheet } from '../toy/sheet/buildSheet';
import { patternForOthers, sameToy } from '../toy/sheet/forOthers';
import { beginningOf } from '../toy/tasksOf';

const read = (lines: string) => {
  const toy = analyseToy(`Terms: US\n\nBody\n${lines}\n`);
  const errors = toy.problems.filter(({ severity }) => severity === 'error').map(({ code }) => code);
  return [toy.parts[0]!.checks.map(({ worked }) => worked).join(' '), ...errors];
};

// Ten chains leave nine: the first is where the hook turns.
test.each([
  'R1: ch 10, sc in 2nd and each across, turn',
  'R1: 10 ch, sc in 2nd and each across (9), turn',
  'R1: ch 10, sc in second chain and in each chain to end, turn',
  'R1: ch 10, sc in 2nd ch from hook and each remaining ch, turn',
  'R1: ch 10. Skip first ch, sc in each ch. Turn.',
  'R1: ch 10, turn, skip the first ch, sc in each ch across',
  'R1: ch 10, skip 1, sc 9, turn',
  'R1: ch 10, skip 1 ch, sc in next 9 ch, turn',
  'R1: ch 10, sc into the back bump of 2nd ch from hook and each ch across',
])('along a chain of ten: %s', (line) => {
  expect(read(line)).toEqual(['9']);
});

// Seven chains: two in the first of six, four, four around the end, four back, two where it began.
test.each([
  'R1: ch 7, inc in 2nd ch, sc 4, 4 sc in last ch, other side: sc 4, inc',
  'R1: ch 7, starting in 2nd ch: inc, sc 4, 4 sc in last ch, on the other side: sc 4, inc',
  'R1: ch 7, starting in 2nd ch from hook: inc, 4 sc, 4 sc in last ch, on other side: 4 sc, 2 sc in last',
  'R1: ch 7, from the 2nd ch: inc, sc 4, 4 sc in the last ch, then along the other side sc 4, 2 sc in the last ch',
])('an oval of sixteen: %s', (line) => {
  expect(read(line)).toEqual(['16']);
});

// Six chains: one, three, three around the end, three back, two.
test.each([
  'R1: ch 6, sc in 2nd ch from hook, sc 3, 3 sc in last ch, turn work, sc 3, inc in last',
  'R1: ch 6, sc in 2nd ch from hook, sc 3, 3 sc in last ch, turn to other side, sc 3, inc in last',
  'R1: ch 6, sc in 2nd ch from hook, sc 3, 3 sc in last, on the back of the chain sc 3, 2 sc in the first ch',
])('an oval of twelve: %s', (line) => {
  expect(read(line)).toEqual(['12']);
});

test.each([
  ['R1: ch 20, join with sl st to form a ring\nR2: sc in each ch around (20)\nR3: sc around', '20 20'],
  ['R1: Ch 20 and join\nR2: sc 20', '20'],
  ['Row 1: ch 10, turn\nRow 2: sc in 2nd ch from hook and across (9)\nRow 3: ch 1, turn, sc across', '9 9'],
  [
    'R1: ch 7\nR2: sc in 2nd ch from hook, sc 4, 3 sc in last ch, other side: sc 4, 2 sc in last ch (14)',
    '14',
  ],
  ['R1: ch 4, sl st to form ring\nR2: 6 sc in ring\nR3: inc x 6', '6 12'],
])('a first round that is a chain alone is what the second is worked into: %s', (lines, counts) => {
  expect(read(lines)).toEqual([counts]);
});

test('the second round then keeps its number, and what goes by numbers finds it', () => {
  const toy = analyseToy(
    'Terms: US\nLean: 0\n\nBody\nR1: ch 30, join\nR2-R12: sc around (30)\n\nTail\nR1: 6 sc in mr\nR2-R5: sc around\n\nSew the tail to the back of the body on round 8.\n',
  );
  expect([...toy.parts[0]!.fabric.label].slice(0, 3)).toEqual([2, 3, 4]);
  const [join] = toy.joined.joins;
  expect([join!.round, join!.stitch]).toEqual([8, 0.5]);
});

test('chains in the middle of a round are none to begin with', () => {
  expect(read('R1: 6 sc in mr\nR2: sc 3, ch 4, skip 1, sc 2\nR3: sc around')).toEqual(['6 9 9']);
  expect(read('R1: 6 sc in mr\nR3: inc x 6')).toEqual(['6 12', 'round-missing']);
});

test('a first round that is lost is told, also on a chain', () => {
  expect(read('Ch 11\nRow 2: ch 1, turn, sc 10')).toContain('round-missing');
  expect(read('R1: ch 20, join\nR3: sc 20')).toContain('round-missing');
});

test.each([
  ['R1: ch 20, join\nR2-R8: sc around (20)', 'ch 20, sl st to first st'],
  ['Ch 20, join with sl st to form a ring\nR1-R8: sc around (20)', 'ch 20, sl st to first st'],
  ['Row 1: ch 10, turn\nRow 2: sc in 2nd ch from hook and across', 'ch 10, turn'],
  ['R1: ch 10, sc in 2nd ch from hook and across', null],
  ['R1: 6 sc in mr', null],
])('the chain of a line of its own is on the sheet, and handed on: %s', (lines, beginning) => {
  const toy = analyseToy(`Toy: T\nTerms: US\n\nBody\n${lines}\n`);
  expect(beginningOf(toy.parts[0]!.source)).toBe(beginning);
  const [first] = buildSheet(toy).parts[0]!.lines;
  if (beginning) expect(first).toEqual({ kind: 'marks', text: `Begin with ${beginning}.` });
  else expect(first).toMatchObject({ kind: 'round' });
  const { text } = patternForOthers(toy, { terms: 'us', hand: 'right' });
  expect(sameToy(analyseToy(text))).toBe(sameToy(toy));
});

test.each(['Magic ring', 'Make a magic ring', 'Begin with a magic ring:', 'MR', 'Adjustable loop'])(
  'under a heading it is no part of that name: %s',
  (line) => {
    const toy = analyseToy(`Terms: US\n\nBody\n${line}\nR1: 6 sc\nR2: inc x 6\n`);
    expect(toy.parts.map(({ source }) => source.name)).toEqual(['Body']);
    expect(toy.parts[0]!.checks.map(({ worked }) => worked)).toEqual([6, 12]);
  },
);
