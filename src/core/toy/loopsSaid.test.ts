import { analyseToy } from './analyse';

/** What each stitch of a third round over 12 is worked into: b both loops, f the front one, r the one behind. */
function read(line: string) {
  const toy = analyseToy(`Ball\nR1: 6 sc in ring\nR2: inc x 6\nR3: ${line}\n`);
  const { fabric } = toy.parts[0]!;
  const stitches = fabric.into.slice(fabric.offset[2], fabric.offset[3]);
  return {
    loops: [...stitches].map((bits) => ['', 'f', 'r', 'b'][bits]).join(''),
    codes: toy.problems.map(({ code }) => code),
  };
}

test.each([
  ['sc around in BLO', 'r', 12],
  ['sc around in the back loops only (12)', 'r', 12],
  ['sc around (12), BLO', 'r', 12],
  ['sc around (FLO)', 'f', 12],
  ['(sc, inc) x 6 in BLO', 'r', 18],
  ['(sc, inc) x 6, in FLO [18]', 'f', 18],
  ['(sc, inc) x 6 [BLO]', 'r', 18],
  ['[sc, inc] 6 times, all in BLO', 'r', 18],
  ['(sc, inc) x 6. Work this round in BLO.', 'r', 18],
  ['*sc, inc* x 6 through the front loops only', 'f', 18],
  ['6 sc, inc, 5 sc, all in BLO', 'r', 13],
  ['ch 1, sc around in BLO, join with sl st to first sc', 'r', 12],
  ['with red, sc around in BLO', 'r', 12],
  ['in BLO: (sc, inc) x 6', 'r', 18],
])('said behind or before, loops are of the whole: %s', (line, loop, count) => {
  expect(read(line)).toEqual({ loops: loop.repeat(count), codes: [] });
});

test.each([
  ['inc x 6, 6 sc in BLO', 'b'.repeat(12) + 'r'.repeat(6)],
  ['6 sc in BLO, 6 sc in FLO', 'r'.repeat(6) + 'f'.repeat(6)],
  ['(sc, inc in BLO) x 6', 'brr'.repeat(6)],
  ['sc 3 BLO, sc 9', 'rrr' + 'b'.repeat(9)],
])('or of the stitches they stand at: %s', (line, loops) => {
  expect(read(line)).toEqual({ loops, codes: [] });
});

test.each(['6 sc, (sc, inc) x 3 in BLO', 'inc x 6, (2 sc) x 3, in FLO', 'hdc around in third loop'])(
  'what is not clear is asked about: %s',
  (line) => {
    expect(read(line).codes).toEqual(expect.arrayContaining(['loops-unclear']));
  },
);
