import { readPattern } from './readPattern';

const rows = (text: string) =>
  readPattern(`Terms: US\nPiece\n${text}`).parts[0]?.rounds.map(({ row }) => row);

test.each([
  ['Row 1: 6 sc in MR\nRow 2: inc x 6\nRow 3: sc around', [false, false, false]],
  ['Magic ring\nRow 1: 6 sc\nRow 2: inc x 6', [false, false]],
  ['Row 1: ch 2, 6 sc in 2nd ch from hook\nRow 2: inc x 6', [false, false]],
  ['Row 1: ch 12, join, sc in each ch around\nRow 2: sc around', [false, false]],
  [
    'Row 1: ch 6, sc in 2nd ch from hook, sc 3, 3 sc in last ch, working on other side: sc 3, inc\nRow 2: sc around',
    [false, false],
  ],
])('called rows, worked round: %s', (text, expected) => {
  expect(rows(text)).toEqual(expected);
});

test.each([
  [
    'Row 1: ch 11, sc in 2nd ch from hook and in each ch across, turn\nRow 2: ch 1, sc across, turn',
    [true, true],
  ],
  ['Row 1: ch 11, sc in 2nd ch from hook and in each ch across\nRow 2: ch 1, turn, sc across', [true, true]],
  ['Row 1: 6 sc in MR, turn\nRow 2: ch 1, inc x 6, turn', [true, true]],
  ['Row 1: 6 sc in MR\nRow 2: ch 1, turn, inc x 6', [true, true]],
  ['Row 1: ch 2, 3 sc in 2nd ch from hook, turn\nRow 2: inc x 3, turn', [true, true]],
  ['Ch 1 and turn at the end of every row.\nRow 1: 6 sc in MR\nRow 2: inc x 6', [true, true]],
  ['Row 1: ch 11, sc in 2nd ch from hook and in each ch across\nRow 2: sc in each st', [true, true]],
])('rows that are turned stay rows: %s', (text, expected) => {
  expect(rows(text)).toEqual(expected);
});

test('from a ring on, rows that are turned later are flat from there', () => {
  const text = 'Row 1: 6 sc in MR\nRow 2: inc x 6\nRow 3: sc 6, turn\nRow 4: ch 1, sc 6, turn';
  expect(rows(text)).toEqual([false, false, true, true]);
});
