import { stitchKinds } from '../../notation/stitchKinds';
import { stitchYarnMm } from '../../supplies/stitchYarn';
import { analyseToy } from '../analyse';
import { readYarnUse, yarnUseOf } from '../../supplies/yarnUse';
import { ballLasts } from './ballLasts';
import { buildSheet } from '../sheet/buildSheet';
import { suppliesOf, supplyLines } from './suppliesOf';
import { gramsOfPart, metresOfPart, metresPerGramIn } from './yarnOfPart';

const gauge = { widthMm: 5, heightMm: 4 };
const code = (kind: (typeof stitchKinds)[number]) => stitchKinds.indexOf(kind);
// Two strands across, two legs, turns round a strand of 2.5 mm (7.854 mm each).
test.each<[(typeof stitchKinds)[number], number, number]>([
  ['sc', 1, 10 + 8 + 7.854],
  ['sl', 1, 10 + 2.8 + 3.927],
  ['hdc', 1, 10 + 12 + 15.708],
  ['dc', 1, 10 + 16.8 + 15.708],
  ['sc', 2, 10 + 8 + 7.854 + 8 + 3.927],
  ['sc', 3, 10 + 8 + 7.854 + 2 * (8 + 3.927)],
])('%s over %i: %d mm of yarn', (kind, together, mm) => {
  expect(stitchYarnMm(code(kind), together, gauge, 2.5)).toBeCloseTo(mm, 2);
});

const sc = 25.854;
const dec = sc + 11.927;
const toy = (...lines: string[]) => suppliesOf(analyseToy(['Gauge: 5 mm x 4 mm', ...lines].join('\n')));
const metres = (...lines: string[]) =>
  toy(...lines).yarns.map(({ name, metres: m }) => [name, Math.round(m * 1000)]);

// Start tail 120 mm; a gather of n stitches 5n + 150 mm, an edge to be sewn 3.5 · 5n + 150 mm.
test.each<[string, string[], (string | number)[][]]>([
  [
    'six and twelve, gathered in two goes',
    ['Head', 'R1: 6 sc in ring', 'R2: inc x 6'],
    [['main yarn', Math.round(18 * sc + 120 + 210)]],
  ],
  [
    'down again by decreases',
    ['Head', 'R1: 6 sc in ring', 'R2: inc x 6', 'R3: dec x 6'],
    [['main yarn', Math.round(18 * sc + 6 * dec + 120 + 180)]],
  ],
  [
    'made twice',
    ['Ear (make 2)', 'R1: 6 sc in ring', 'R2: inc x 6'],
    [['main yarn', Math.round(2 * (18 * sc + 120 + 210))]],
  ],
  [
    'an open edge of eighteen, to be sewn',
    [
      'Cup',
      'R1: 6 sc in ring',
      'R2: inc x 6',
      'R3: (sc, inc) x 6',
      'Fasten off, leaving a long tail for sewing.',
    ],
    [['main yarn', Math.round(36 * sc + 120 + 465)]],
  ],
  [
    'two colours, each its own: the first is cut off, the second joined in',
    [
      'Yarn A: medium, grey',
      'Yarn B: medium, oat',
      'Head',
      'in A',
      'R1: 6 sc in ring',
      'R2: inc x 6',
      'change to B',
      'R3: sc around',
    ],
    [
      ['A', Math.round(18 * sc + 120 + 120)],
      ['B', Math.round(12 * sc + 120 + 210)],
    ],
  ],
])('%s', (_, lines, expected) => {
  expect(metres(...lines)).toEqual(expected);
});

// A chain and a slip stitch by the same formula; each closes or lifts, and is no stitch of its round.
const [chain, slip] = [stitchYarnMm(code('ch'), 1, gauge, 2.5), stitchYarnMm(code('sl'), 1, gauge, 2.5)];
test.each<[string, string[], number]>([
  [
    'three joined rounds: a chain up and a slip stitch each',
    [
      'Cup',
      'R1: ch 12, join, ch 1, sc around, join',
      'R2: ch 1, sc around, join',
      'R3: ch 1, sc around, join',
      'Fasten off, leaving a long tail for sewing.',
    ],
    36 * sc + 12 * chain + 3 * (chain + slip) + 120 + 3.5 * 60 + 150,
  ],
  [
    'rows: ten chains and one to turn, then one a row',
    [
      'Bib',
      'Row 1: ch 11, sc in 2nd ch from hook and in each ch across, turn',
      'Rows 2-4: ch 1, sc across, turn',
    ],
    40 * sc + 10 * chain + 4 * chain + 120 + 3.5 * 50 + 150,
  ],
  [
    'an oval goes along both sides of one chain of six',
    ['Foot', 'R1: ch 7, 5 sc starting in 2nd ch from hook, 3 sc in last ch, 4 sc on the other side, inc'],
    14 * sc + 6 * chain + 120 + 3.5 * 70 + 150,
  ],
])('%s', (_, lines, mm) => {
  const [[, found] = []] = metres(...lines);
  expect(found).toBe(Math.round(mm));
});

test('parts add up to the whole; twelve toys are twelve times one', () => {
  const text =
    'Gauge: 5 mm x 4 mm\nYarn A: medium, grey\nHead\nR1: 6 sc in ring\nR2: inc x 6\nR3-R8: sc around\n\nEar (make 2)\nR1: 6 sc in ring\nR2: inc x 6';
  const one = suppliesOf(analyseToy(text));
  const sum = (values: readonly { metres: number }[]) => values.reduce((all, { metres: m }) => all + m, 0);
  expect(sum(one.byPart)).toBeCloseTo(sum(one.yarns), 9);
  const twelve = suppliesOf(analyseToy(text), 12);
  expect(sum(twelve.yarns)).toBeCloseTo(12 * sum(one.yarns), 9);
  expect(twelve.stuffingG).toBeCloseTo(12 * one.stuffingG, 9);
});

test.each<[string, number | null]>([
  ['medium, grey, 50 g = 85 m', 1.7],
  ['100 g / 240 m', 2.4],
  ['50 g, 93 yd', (93 * 0.9144) / 50],
  ['medium, grey', null],
])('a ball band: %s', (words, expected) => {
  const found = metresPerGramIn(words);
  if (expected === null) expect(found).toBeNull();
  else expect(found).toBeCloseTo(expected, 6);
});

test('grams by the ball’s own band, else by what such a yarn usually has', () => {
  const lines = ['Head', 'R1: 6 sc in ring', 'R2: inc x 6'];
  const [usual] = toy('Yarn A: medium, grey', ...lines).yarns;
  expect(usual!.grams).toBeCloseTo(usual!.metres / 1.8, 6);
  const [banded] = toy('Yarn A: medium, grey, 50 g 85 m', ...lines).yarns;
  expect(banded!.grams).toBeCloseTo(banded!.metres / 1.7, 6);
});

test('what is bought by the piece: eyes with their washers for each unit, a button, no hardware for what is stitched', () => {
  const head = [
    'R1: 6 sc in ring',
    'R2: inc x 6',
    'R3: (sc, inc) x 6',
    'R4-R8: sc around',
    'R9: (sc, dec) x 6',
    'R10: dec x 6',
  ];
  const { hardware, threadM } = toy(
    'Head (make 2)',
    ...head,
    'Eyes: 8 mm, between R5 and R6, 5 showing',
    'Mouth: 1 round below the eyes, 3 stitches wide',
  );
  expect(hardware).toEqual([
    { kind: 'safety eye', sizeMm: 8, count: 4 },
    { kind: 'washer', sizeMm: 12, count: 4 },
  ]);
  expect(threadM).toBeGreaterThan(0);
});

test('what lies inside is bought; what grows along a line is told, not counted', () => {
  const needs = toy(
    'Head (make 2)',
    'R1: 6 sc in ring',
    'R2: inc x 6',
    'R3: (sc, inc) x 6',
    'R4-R8: sc around',
    'Put a 20 mm bell inside.',
    'Work a crest along the back from R3 to R6.',
  );
  expect(needs.hardware).toEqual([{ kind: 'bell', sizeMm: 20, count: 2 }]);
  expect(supplyLines(needs).at(-1)).toBe(
    'Not counted: the yarn of the crest on the head, which depends on how tall it grows',
  );
});

test('the list: with a tenth to spare, whole metres and grams', () => {
  const lines = supplyLines(
    toy(
      'Yarn grey: medium, slate grey',
      'Head',
      'R1: 6 sc in ring',
      'R2: inc x 6',
      'R3-R6: sc around',
      'R7: dec x 6',
    ),
  );
  // 66 single crochets, six of them more for drawing two together, and 300 mm of tails: 2.08 m, and a tenth.
  expect(lines[0]).toBe('grey (medium, slate grey): 3 m, about 2 g');
});

const twoEars =
  'Gauge: 5 mm x 4 mm\nHead\nR1: 6 sc in ring\nR2: inc x 6\n\nEar (make 2)\nR1: 6 sc in ring\nR2: inc x 6';
// Each piece: 120 mm hang where it begins, 6 and 12 stitches, 210 mm to gather with.
const [sixth, twelfth] = [6 * sc, 12 * sc];
const piece = 120 + sixth + twelfth + 210;

test.each<[string, number, [string, number][], { unit: string; round: number | null } | null]>([
  [
    'enough',
    3 * piece + 40,
    [
      ['Head', 2 * piece + 40],
      ['Ear 1', piece + 40],
      ['Ear 2', 40],
    ],
    null,
  ],
  [
    'not for the second ear',
    2 * piece + 130,
    [
      ['Head', piece + 130],
      ['Ear 1', 130],
    ],
    { unit: 'Ear 2', round: 1 },
  ],
  ['the last round of an ear', 2 * piece - 211, [['Head', piece - 211]], { unit: 'Ear 1', round: 2 }],
  ['the rounds, and not the tail', piece - 10, [], { unit: 'Head', round: null }],
])('a ball: %s', (_, mm, left, ends) => {
  const lasts = ballLasts(analyseToy(twoEars), 'main yarn', mm / 1000);
  expect(lasts.steps.map(({ unit, leftM }) => [unit, Math.round(leftM * 1000)])).toEqual(
    left.map(([unit, rest]) => [unit, Math.round(rest)]),
  );
  expect(lasts.ends).toEqual(ends);
});

test('a ball of one colour goes through the rounds of that colour alone', () => {
  const text =
    'Gauge: 5 mm x 4 mm\nYarn A: medium, grey\nYarn B: medium, oat\nHead\nin A\nR1: 6 sc in ring\nchange to B\nR2: inc x 6\nchange to A\nR3: sc around';
  const toyOfTwo = analyseToy(text);
  for (const { name, metres: need } of suppliesOf(toyOfTwo).yarns) {
    expect(ballLasts(toyOfTwo, name, need + 0.001).ends).toBeNull();
    expect(ballLasts(toyOfTwo, name, need - 0.001).ends).not.toBeNull();
  }
  expect(ballLasts(toyOfTwo, 'A', (120 + sixth + 1) / 1000).ends).toEqual({ unit: 'Head', round: 3 });
});

test('pieces that wait for each other, and have no place in the plan, are in the reckoning too', () => {
  const planned = analyseToy(twoEars);
  const waiting = { ...planned, order: { steps: [], cycles: [['head', 'ear']] } };
  expect(ballLasts(waiting, 'main yarn', (3 * piece) / 1000 + 1).leftM).toBeCloseTo(1, 5);
});

test('a piece that was weighed: its stitches count as they were worked, its tails as they hang', () => {
  const worked = analyseToy(`Yarn: medium, 100 g, 200 m\n${twoEars}`);
  const { stitchesG, tailsG } = gramsOfPart(worked.parts[0]!, worked);
  expect([stitchesG, tailsG]).toEqual([expect.closeTo((18 * sc) / 2000, 5), expect.closeTo(330 / 2000, 9)]);
  expect(yarnUseOf(stitchesG * 1.2 + tailsG, stitchesG, tailsG)).toBe(1.2);
  expect(yarnUseOf(stitchesG * 2.1 + tailsG, stitchesG, tailsG)).toBeNull();
  expect(yarnUseOf(1, 0, 0)).toBeNull();
  // The same piece unravelled: 200 m weigh 100 g.
  const { stitchesM, tailsM } = metresOfPart(worked.parts[0]!, worked);
  expect([stitchesM, tailsM]).toEqual([expect.closeTo(2 * stitchesG, 9), expect.closeTo(0.33, 9)]);
  expect(yarnUseOf(stitchesM * 0.9 + tailsM, stitchesM, tailsM)).toBe(0.9);
  const own = suppliesOf({ ...worked, yarnUse: 1.2 });
  expect(own.yarns[0]!.metres * 1000).toBeCloseTo(3 * (1.2 * 18 * sc + 330), 1);
  expect(gramsOfPart(worked.parts[0]!, { ...worked, yarnUse: 1.2 })).toEqual({ stitchesG, tailsG });
  expect(['1.2', '0.1', '9', 'much', null].map(readYarnUse)).toEqual([1.2, 1, 1, 1, 1]);
});

test.each<[string, number]>([
  ['Fasten off, leaving a 40 cm tail.', 400],
  ['Leave a 30 cm tail.', 300],
  // Six stitches to gather with want 5 × 6 + 150 mm: less than that would not do.
  ['Cut the yarn with a 10 cm tail.', 180],
  ['Fasten off, leaving a long tail.', 180],
])('%s: so long is the tail, in what it takes and on the sheet', (said, mm) => {
  const one = analyseToy(`Gauge: 5 mm x 4 mm\nHead\nR1: 6 sc in ring\nR2: inc x 6\nR3: dec x 6\n${said}`);
  expect(one.parts[0]!.stops.closing!.tailMm).toBe(mm);
  const whole = Math.ceil(mm / 10) * 10;
  expect(suppliesOf(one).tails.map(({ mm: tail }) => tail)).toEqual([whole]);
  expect(JSON.stringify(buildSheet(one))).toContain(`Leave a tail of ${whole} mm.`);
});

test('rings behind the eyes are wanted too', () => {
  const text =
    'Head\nR1: 6 sc in ring\nR2: inc x 6\nR3-R8: sc around\nInsert 8 mm eyes with felt circles of 16 mm between R5 and R6, 4 showing.';
  expect(suppliesOf(analyseToy(text)).hardware).toContainEqual({
    kind: 'ring of felt',
    sizeMm: 16,
    count: 2,
  });
});
