import { analyseToy } from './analyse';

/** The yarns of a round over 24 stitches, run by run; an empty name is the yarn it was begun with. */
function read(line: string) {
  const toy = analyseToy(
    [
      'Yarn A: medium, brown',
      'Yarn B: medium, white',
      '',
      'Ball',
      'R1: 6 sc in ring',
      'R2: inc x 6',
      'R3: (sc, inc) x 6',
      'R4: (2 sc, inc) x 6',
      `R5: ${line}`,
    ].join('\n'),
  );
  const { fabric } = toy.parts[0]!;
  const runs: [count: number, name: string][] = [];
  for (const colour of fabric.colour.slice(fabric.offset[4], fabric.offset[5])) {
    const name = fabric.palette[colour] ?? '';
    const last = runs.at(-1);
    if (last?.[1] === name) last[0] += 1;
    else runs.push([1, name]);
  }
  const words = runs.map(([count, name]) => `${count} ${name}`.trim()).join(', ');
  return [words, toy.problems.map(({ code }) => code)];
}

test.each([
  ['(A) sc 8, (B) sc 8, (A) sc 8', '8 A, 8 B, 8 A'],
  ['[A] 8 sc, [B] 8 sc, [A] 8 sc', '8 A, 8 B, 8 A'],
  ['(brown) 12 sc, (white) 12 sc', '12 brown, 12 white'],
  ['sc 8 A, sc 8 B, sc 8 A', '8 A, 8 B, 8 A'],
  ['sc 12 (A), sc 12 (B)', '12 A, 12 B'],
  ['12 sc brown, 12 sc white (24)', '12 brown, 12 white'],
  ['12 brown sc, 12 white sc', '12 brown, 12 white'],
  ['B sc around', '24 B'],
  ['white 12 sc, brown 12 sc', '12 white, 12 brown'],
  ['sc around - white', '24 white'],
  ['sc around [white]', '24 white'],
  ['sc 12, drop A, pick up B, sc 12', '12, 12 B'],
  ['sc 12, drop brown and pick up white, sc 12', '12, 12 white'],
  ['sc 12, cut A, join B, sc 12', '12, 12 B'],
  ['join white, 6 sc, join brown, 18 sc', '6 white, 18 brown'],
  ['sc 12, switch back to A, sc 12', '12, 12 A'],
  ['sc 11, sc with colour change to white, sc 12', '12, 12 white'],
  ['*2 sc A, 2 sc B* x 6', Array<string>(6).fill('2 A, 2 B').join(', ')],
])('%s is %s', (line, runs) => {
  expect(read(line)).toEqual([runs, []]);
});

test.each([
  'sc 12, change colour, sc 12',
  'sc around in white and brown',
  'sc 12, then the white ones, sc 12',
  'alternating yarns, sc around',
])('a yarn that would be lost is told: %s', (line) => {
  expect(read(line)[1]).toContain('colour-unread');
});

test.each([
  'sc around',
  '12 sc, sc in next 12',
  'sc in a st, sc 23',
  '(sc 3, inc) x 6',
  'join with sl st, ch 1, 24 sc',
])('nothing is said of a yarn: %s', (line) => {
  expect(read(line)[1]).not.toContain('colour-unread');
});
