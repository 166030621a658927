import * as fc from 'fast-check';
import { analyseToy } from '../toy/analyse';
import { tasksOf } from '../toy/tasksOf';
import { afterRepeat, placeOfMove, stitchesBefore, type RoundMoves } from './moves';

/** The moves of the last round of a head that begins with these. */
function lastRound(...lines: string[]): RoundMoves {
  const tasks = tasksOf(analyseToy(['Head', ...lines].join('\n')));
  const rounds = tasks.flatMap((task) => (task.kind === 'round' ? [task.moves] : []));
  return rounds.at(-1)!;
}
const told = ({ repeats }: RoundMoves) =>
  repeats.map(({ runs }) => runs.map(({ words, times }) => `${times} ${words}`).join(', '));
const start = ['R1: 6 sc in ring', 'R2: inc x 6'];

// Repeats with their moves, then moves and stitches in all, by hand.
test.each<[string[], string[], number, number]>([
  [['R1: 6 sc in magic ring [6]'], ['6 sc in magic ring'], 6, 6],
  [['R1: 6 sc in ring', 'R2: inc x 6'], ['6 inc'], 6, 12],
  [['R1: 6 sc in ring', 'R2: inc in each st around'], ['6 inc'], 6, 12],
  [[...start, 'R3: (sc, inc) x 6'], Array(6).fill('1 sc, 1 inc') as string[], 12, 18],
  [[...start, 'R3: *sc, inc; repeat from * around'], Array(6).fill('1 sc, 1 inc') as string[], 12, 18],
  [[...start, 'R3: sc around'], ['12 sc'], 12, 12],
  [[...start, 'R3: (sc, inc) x 6', 'R4: (sc, dec) x 6'], Array(6).fill('1 sc, 1 dec') as string[], 12, 12],
  [
    [...start, 'R3: 3 sc, inc, 4 sc, (inc, sc) x 2'],
    ['3 sc, 1 inc, 4 sc', '1 inc, 1 sc', '1 inc, 1 sc'],
    12,
    15,
  ],
  [
    [...start, 'R3: ch 1, (sc, inc) x 6, sl st to first st'],
    Array(6).fill('1 sc, 1 inc') as string[],
    12,
    18,
  ],
  [[...start, 'R3: sc 5, inc, sc 6'], ['5 sc, 1 inc, 6 sc'], 12, 13],
])('%j', (lines, repeats, moves, stitches) => {
  const found = lastRound(...lines);
  expect(told(found)).toEqual(repeats);
  expect([found.moves, found.stitches]).toEqual([moves, stitches]);
});

test('what is not understood so far as to be tapped along is counted, stitch by stitch', () => {
  const found = lastRound(...start, 'R3: 12 sc evenly spread with 3 inc');
  expect(found.repeats).toHaveLength(1);
  expect(found.moves).toBe(found.stitches);
});

test('where a move stands: the second stitch of the third repeat; the next repeat; the stitches before it', () => {
  const found = lastRound(...start, 'R3: (sc, inc) x 6');
  expect(placeOfMove(found, 5)).toEqual({ repeat: 2, run: 1, at: 0 });
  expect(afterRepeat(found, 5)).toBe(6);
  expect(stitchesBefore(found, 5)).toBe(7);
  expect(placeOfMove(found, 12)).toBeNull();
});

test('whatever the round, its taps come to the stitches it is known to have', () => {
  const round = fc.constantFrom(
    'sc around',
    'inc x 6',
    '(sc, inc) x 6',
    '(2 sc, inc) x 6',
    '(2 sc, dec) x 6',
    'dec x 6',
    '3 sc, inc, sc around',
    'BLO sc around',
    'sc in next 4, 2 sc in next st, sc in each st around',
    '[sc 2, inc] repeat around',
    'change to white, sc around',
    'sl st around',
    'hdc around',
    'sc 4, bobble, sc around',
  );
  fc.assert(
    fc.property(fc.array(round, { maxLength: 6 }), (lines) => {
      const toy = analyseToy(['Head', ...start, ...lines.map((line, i) => `R${i + 3}: ${line}`)].join('\n'));
      const rounds = tasksOf(toy).flatMap((task) => (task.kind === 'round' ? [task] : []));
      expect(rounds.map(({ moves }) => moves.stitches)).toEqual(
        toy.parts[0]!.checks.map(({ worked }) => worked),
      );
      for (const { moves } of rounds) {
        for (let move = 0; move < moves.moves; move += 1) expect(placeOfMove(moves, move)).not.toBeNull();
        expect(stitchesBefore(moves, moves.moves)).toBe(moves.stitches);
      }
    }),
    { numRuns: 150 },
  );
});
