import * as fc from 'fast-check';
import { analyseToy } from '../toy/analyse';
import { smoothest } from './resolve/surfaceLine';
import { lineDirections, lineHeading, lineHoles } from './words/lineWords';

// 36 stitches on rounds 6 to 13; without lean the front is at 18½ in each of their lines of holes, the back at 36½.
const head = (said: string, ...header: string[]) =>
  analyseToy(
    `${['Gauge: 5 mm x 5 mm', ...header].join('\n')}\nHead\nR1: 6 sc in mr\nR2: inc x 6\nR3: (sc, inc) x 6\nR4: (2 sc, inc) x 6\nR5: (3 sc, inc) x 6\nR6: (4 sc, inc) x 6\nR7-R13: sc around\nR14: (4 sc, dec) x 6\n${said}`,
  );
const linesOf = (said: string, ...header: string[]) => head(said, ...header).parts[0]!.lines;
const holesOf = (said: string, ...header: string[]) =>
  linesOf(said, ...header).map(({ holes }) => holes.map(({ hole }) => hole));

test('without lean a line stays in one column; the sides are a quarter of the round from the front', () => {
  const along = (where: string) => holesOf(`Work a crest along ${where} from R6 to R10.`, 'Lean: 0');
  expect(along('the back')).toEqual([[36, 36, 36, 36]]);
  expect(along('the middle of the front')).toEqual([[18, 18, 18, 18]]);
  expect(along('both sides')).toEqual([
    [9, 9, 9, 9],
    [27, 27, 27, 27],
  ]);
});

// A spiral of V stitches leans a quarter of a stitch a round: four rounds are one hole, and it steps once where it would be half a stitch off.
test('where rounds lean it steps to the next column once in four rounds', () => {
  const [line] = linesOf('Work a crest along the back from R6 to R13.', 'Lean: 0.25');
  expect(line!.holes.map(({ shift }) => shift)).toEqual([0, 0, 0, 1, 0, 0, 0]);
  expect(line!.holes.every(({ off }) => Math.abs(off) <= 0.5)).toBe(true);
  const { fabric } = head('').parts[0]!;
  expect(lineHeading(fabric, line!)).toBe('Crest along the middle of the back, from round 6 to round 13');
  expect(lineDirections(fabric, line!)).toContain('at R9|10 one hole on');
});

test('over the start it goes up in one place and down in the other', () => {
  const [line] = linesOf('Crochet a mane from R8 at the front, over the top, to R10 at the back.', 'Lean: 0');
  expect(line!.holes.map((hole) => hole.line)).toEqual([7, 6, 5, 4, 3, 2, 1, 1, 2, 3, 4, 5, 6, 7, 8, 9]);
  expect(line!.holes[0]?.hole).toBe(18);
  expect(line!.holes.at(-1)?.hole).toBe(36);
});

// Rounds 1 to 14, the start below: over the top is over round 14, over the bottom over round 1.
test.each([
  ['top', 'end', [10, 11, 12, 13, 13, 12]],
  ['bottom', 'start', [9, 8, 7, 6, 5, 4, 3, 2, 1, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11]],
  ['start', 'start', [9, 8, 7, 6, 5, 4, 3, 2, 1, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11]],
])('a piece that begins at the bottom has its %s at its %s', (over, end, lines) => {
  const said = `Start: bottom\nCrochet a mane from R10 at the front, over the ${over}, to R12 at the back.`;
  const toy = head(said, 'Lean: 0');
  const [line] = toy.parts[0]!.lines;
  expect(line!.holes.map((hole) => hole.line)).toEqual(lines);
  expect(line!.over).toBe(end);
  expect(lineHeading(toy.parts[0]!.fabric, line!)).toBe(
    `Mane from round 10 at the front, over the ${end}, to round 12 at the back`,
  );
});

test('a frill worked into the wall is none of the rounds a line runs over', () => {
  const text =
    'Body\nR1: 6 sc in mr\nR2: inc x 6\nR3: (sc, inc) x 6\nR4: BLO sc around\nR5-R8: sc around\nR9: in front loops of R3, 2 hdc in each st\n';
  const [within] = analyseToy(`${text}Work a crest along the back from R2 to R8.`).parts[0]!.lines;
  expect(within!.holes.map((hole) => hole.of)).toEqual([18, 18, 18, 18, 18, 18]);
  const beyond = analyseToy(`${text}Work a crest along the back from R2 to R9.`);
  expect(beyond.problems.map(({ code }) => code)).toContain('line-where');
});

test('backwards it has the same holes the other way round', () => {
  const [down] = holesOf('Work a crest along the back from R4 to R12.', 'Lean: 0.25');
  const [up] = holesOf('Work a crest along the back from R12 to R4.', 'Lean: 0.25');
  expect(up).toEqual([...down!].reverse());
});

test('the other hand swaps the sides and no number', () => {
  const said = 'Work a crest along both sides from R5 to R12.';
  const [left, right] = holesOf(said, 'Lean: 0.25');
  expect(holesOf(said, 'Lean: 0.25', 'Hand: left')).toEqual([right, left]);
});

test.each([
  ['Work a fringe along the back.', 'from which round to which'],
  ['Work a crest along the middle of the head from R4 to R9.', 'along what'],
  ['Work a crest along the back from R4 to R40.', 'no rounds 4 and 40'],
])('%s is asked about', (said, words) => {
  const { parts, problems } = head(said);
  expect(parts[0]!.lines).toEqual([]);
  expect(problems.filter(({ code }) => code === 'line-where').map(({ message }) => message)[0]).toContain(
    words,
  );
});

test('a mane along the back is no hair line across the face', () => {
  expect(head('Crochet a mane along the back from R3 to R12.').parts[0]!.features).toEqual([]);
  expect(head('Hair line from R8 to R10.').parts[0]!.lines).toEqual([]);
});

test('it is done on the finished piece', () => {
  const { order } = head('Work a crest along the back from R6 to R10.\nClose the hole.');
  expect(order.steps.at(-1)).toMatchObject({ do: expect.stringMatching(/attach|check/) });
  expect(order.steps.some((step) => step.do === 'attach' && step.about === 'crest')).toBe(true);
});

const candidate = fc.double({ min: -1, max: 1, noNaN: true }).map((off) => ({ hole: 1, azimuth: 0, off }));

test('no other choice of holes is better: against all of them', () => {
  const cost = (way: readonly { off: number }[]) =>
    way.reduce((sum, { off }, i) => sum + off ** 2 + (i === 0 ? 0 : 0.25 * (off - way[i - 1]!.off) ** 2), 0);
  const all = <T>(lines: readonly (readonly T[])[]): T[][] =>
    lines.reduce<T[][]>((ways, line) => ways.flatMap((way) => line.map((one) => [...way, one])), [[]]);
  fc.assert(
    fc.property(
      fc.array(fc.array(candidate, { minLength: 1, maxLength: 3 }), { minLength: 1, maxLength: 6 }),
      (lines) => {
        const best = Math.min(...all(lines).map(cost));
        expect(cost(smoothest(lines))).toBeCloseTo(best, 9);
      },
    ),
  );
});

test('under a heading over all parts it is the largest piece that has the line', () => {
  const ear = 'Ear (make 2)\nR1: 6 sc in mr\nR2: inc x 6\nR3-R5: sc around';
  const { parts } = head(`\n${ear}\n\nAssembly\nWork a crest along the back from R6 to R10.`, 'Lean: 0');
  expect(parts.map(({ source, lines }) => [source.name, lines.length])).toEqual([
    ['Head', 1],
    ['Ear', 0],
  ]);
});

const mane = 'Mane\nR1: 6 sc in mr\nR2: inc x 6\nR3: sc around';

test.each([
  'Sew the mane along the back of the head from R6 to R10.',
  'Attach the mane to the head along the back, from R6 to R10.',
])('%s: a mane that is made is sewn on', (said) => {
  const toy = head(`\n${mane}\n\nAssembly\n${said}`, 'Lean: 0');
  expect(toy.parts.flatMap(({ lines }) => lines)).toEqual([]);
  expect(toy.joined.joins.map(({ unit, round, stitch }) => [unit.name, round, stitch])).toEqual([
    ['mane', 8, 0.5],
  ]);
});

test('the spine is where something goes, and nothing that grows', () => {
  expect(head('Sew a button over the spine at R5.').parts[0]!.lines).toEqual([]);
  expect(head('Sew a button over the spine at R5.').problems.map(({ code }) => code)).not.toContain(
    'line-where',
  );
});

describe('strands knotted in all round one round', () => {
  const fringe = (sentence: string) => {
    const toy = analyseToy(
      `Gauge: 5 mm x 5 mm\nBody\nR1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4-R9: sc around\n${sentence}`,
    );
    return { part: toy.parts[0]!, codes: toy.problems.map(({ code }) => code) };
  };

  // Round 6 has 18 stitches: every second one is 1, 3 … 17, nine of them; every fourth 1, 5, 9, 13, 17, and 17 to 1 are two.
  test.each([
    ['Knot a fringe into every second stitch of round 6.', [1, 3, 5, 7, 9, 11, 13, 15, 17]],
    ['Knot 10 cm strands into every 4th stitch of round 6.', [1, 5, 9, 13, 17]],
  ])('%s', (sentence, stitches) => {
    const { part } = fringe(sentence);
    const [line] = part.lines;
    expect(line!.holes.map(({ hole }) => hole)).toEqual(stitches);
    expect(new Set(line!.holes.map(({ line: at }) => at))).toEqual(new Set([5]));
  });

  test('it is said how many to cut and how long they hang', () => {
    const { part } = fringe('Knot 10 cm strands into every 4th stitch of round 6.');
    const [line] = part.lines;
    expect(lineHeading(part.fabric, line!)).toBe('Strands all round, round 6, every 4 stitches');
    const said = lineDirections(part.fabric, line!);
    expect(said).toContain('5 strands, from stitch 1 on');
    expect(said).toContain('The last is 2 from the first again: the others are 4 apart.');
    expect(said).toContain('Cut 5 of 100 mm, 0.5 m in all; they hang 38 mm long.');
    expect(said).toContain('not on a toy for small children');
    expect(lineHoles(part.fabric, line!)[1]).toBe('R6: stitch 5 of 18');
  });

  test('a round that is not there is asked about', () => {
    expect(fringe('Knot a fringe into each stitch of round 40.').codes).toContain('line-where');
  });

  test.each([
    'Sew through the back loops of each stitch of round 6.',
    'Weave a strand through every stitch of round 6 and pull it tight.',
  ])('%s is none', (sentence) => {
    expect(fringe(sentence).part.lines).toEqual([]);
  });
});
