import { analyseToy } from '../toy/analyse';
import { applyEdits } from './applyEdits';
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

const asked = (text: string) =>
  readPattern(`Terms: US\n${text}`).problems.filter(({ code }) => code === 'rows-or-rounds');

test.each([
  'Patch\nRow 1: 6 sc\nRow 2: inc x 6\nRow 3: (sc, inc) x 6',
  'Patch\nRow 1: ch 8, sc 8\nRow 2: sc 8',
  'Row 1: 6 sc\nRow 2: inc x 6',
])('what nothing tells of is asked about, and both answers settle it: %s', (text) => {
  const [question, ...more] = asked(text);
  expect(more).toEqual([]);
  expect(question).toMatchObject({ severity: 'error', line: text.startsWith('Patch') ? 3 : 2 });
  const answers = question!.suggestions.map(({ edits }) => applyEdits(`Terms: US\n${text}`, edits));
  expect(answers.flatMap((answer) => asked(answer.replace('Terms: US\n', '')))).toEqual([]);
  const settled = answers.map((answer) => readPattern(answer).parts[0]!.rounds.map(({ row }) => row));
  expect(settled[0]).not.toContain(true);
  expect(settled[1]).not.toContain(false);
});

test.each([
  'Row 1: 6 sc in MR\nRow 2: inc x 6',
  'Row 1: 6 sc\nRow 2: inc in each st around',
  'Row 1: 6 sc\nRow 2: ch 1, turn, sc 6',
  'Row 1: 6 sc\nRow 2: sc across',
  'R1: 6 sc\nR2: inc x 6',
])('what its start, a turn or a word tells is not asked: %s', (text) => {
  expect(asked(text)).toEqual([]);
});

describe('rows that are labelled as rounds', () => {
  const rowsOf = (text: string) => analyseToy(text).parts[0]!.fabric.row.join('');

  test.each([
    [
      'along a chain and turned',
      'Ear\nCh 11\nR1: sc in 2nd ch from hook, sc across, turn [10]\nR2: ch 1, sc across, turn [10]',
      '11',
    ],
    [
      'with the turn said first',
      'Bow\nRnd 1: ch 21, sc in 2nd ch from hook and in each ch across\nRnd 2: ch 1, turn, sc across',
      '11',
    ],
    ['without a word of turning', 'Sash\nCh 4\nR1: sc in 2nd ch from hook, sc 2\nR2-R5: ch 1, sc 3', '11111'],
    [
      'by a line of its own',
      'Flap\nCh 8\nTurn at the end of every row.\nR1: sc in 2nd ch from hook, sc 6\nR2: sc 7',
      '11',
    ],
    [
      'rows, then round their edge',
      'Bag\nCh 11\nR1: sc in 2nd ch from hook, sc across, turn\nR2: ch 1, sc across, turn\nR3: sc around [24]',
      '110',
    ],
    [
      'round, then short rows, then round',
      'Heel\nR1: 6 sc in ring\nR2: inc around\nR3: sc 6, turn\nR4: ch 1, sc 6, turn\nR5: sc around',
      '00110',
    ],
    [
      'an oval goes round',
      'Sole\nCh 6\nR1: sc in 2nd ch from hook, sc 3, 3 sc in last ch, other side, sc 3, 2 sc in last ch [12]\nR2: sc around',
      '00',
    ],
    ['a joined chain goes round', 'Cuff\nCh 12, join\nR1: sc in each ch around\nR2: sc around', '00'],
  ])('%s', (_, text, rows) => {
    expect(rowsOf(text)).toBe(rows);
  });
});
