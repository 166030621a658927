import { ballOf24 } from '../../__tests__/ballOf24';
import { analyseToy } from '../analyse';
import { ballLasts } from './ballLasts';
import { suppliesOf, supplyLines } from './suppliesOf';

// By the formula of stitchYarn over a gauge of 5 × 4 mm and yarn of 2.5 mm: two strands across, two legs, turns of 7.854 mm.
const sc = 10 + 8 + 7.854;
const hdc = 10 + 12 + 15.708;
const dc = 10 + 16.8 + 15.708;
const sl = 10 + 2.8 + 3.927;
const dec = sc + 8 + 3.927;
/** hangs where a piece is begun, and where a colour is joined in or cut off */
const begun = 120;
const end = 120;
const gathered = (stitches: number) => 5 * stitches + 150;
const sewn = (stitches: number) => 3.5 * 5 * stitches + 150;

// 6, 12, 18, 24 and four times 24; then 12 and 6 plain ones, and three times 6 decreases.
const ballMm = (60 + 96 + 18) * sc + 18 * dec + begun + gathered(6);
const eyes = 'Insert 8 mm eyes between R6 and R7, 4 showing.';
const ear = ['R1: 6 sc in magic ring', 'R2: inc x 6', 'R3: sc around'];
const open = 'Fasten off, leaving a long tail for sewing.';

interface List {
  yarns: Record<string, number>;
  pieces?: string[];
}

/** What is taken, yarn in mm, and what comes by the piece. */
function listOf(lines: readonly string[], copies = 1): List {
  const { yarns, hardware } = suppliesOf(analyseToy(['Gauge: 5 mm x 4 mm', ...lines].join('\n')), copies);
  return {
    yarns: Object.fromEntries(yarns.map(({ name, metres }) => [name, Math.round(metres * 1000)])),
    pieces: hardware.map(({ kind, sizeMm, count }) => `${count} ${kind} ${sizeMm}`),
  };
}

const rounded = (yarns: List['yarns']) =>
  Object.fromEntries(Object.entries(yarns).map(([name, mm]) => [name, Math.round(mm)]));

const lists: [string, string[], List][] = [
  ['a ball', ['Head', ...ballOf24], { yarns: { 'main yarn': ballMm } }],
  [
    'with pressed eyes: a washer each',
    ['Head', ...ballOf24, eyes],
    { yarns: { 'main yarn': ballMm }, pieces: ['2 safety eye 8', '2 washer 12'] },
  ],
  [
    'oval eyes are asked for as such',
    ['Head', ...ballOf24, 'Eyes: 8 mm, between R6 and R7, 4 showing, oval.'],
    { yarns: { 'main yarn': ballMm }, pieces: ['2 oval safety eye 8', '2 washer 12'] },
  ],
  [
    'two heads have four eyes',
    ['Head (make 2)', ...ballOf24, eyes],
    { yarns: { 'main yarn': 2 * ballMm }, pieces: ['4 safety eye 8', '4 washer 12'] },
  ],
  [
    'a disc behind each washer',
    ['Head', ...ballOf24, eyes, 'Reinforce the eyes: a 24 mm disc of felt behind each washer.'],
    {
      yarns: { 'main yarn': ballMm },
      pieces: ['2 safety eye 8', '2 washer 12', '2 disc of felt 24'],
    },
  ],
  [
    'a disc of no said size reaches 5 mm beyond the washer all round',
    ['Head', ...ballOf24, eyes, 'Put a piece of felt behind the washers.'],
    {
      yarns: { 'main yarn': ballMm },
      pieces: ['2 safety eye 8', '2 washer 12', '2 disc of felt 22'],
    },
  ],
  [
    'a small washer is never under 9 mm',
    ['Head', ...ballOf24, 'Insert 5 mm eyes between R6 and R7, 4 showing.'],
    { yarns: { 'main yarn': ballMm }, pieces: ['2 safety eye 5', '2 washer 9'] },
  ],
  [
    'felt cheeks',
    ['Head', ...ballOf24, eyes, 'Felt cheeks, 8 mm, 1 stitch outside the eyes, on the round below.'],
    {
      yarns: { 'main yarn': ballMm },
      pieces: ['2 safety eye 8', '2 washer 12', '2 felt for cheeks 8'],
    },
  ],
  [
    'a button',
    ['Head', ...ballOf24, 'Sew a 10 mm button at the back between R6 and R7.'],
    { yarns: { 'main yarn': ballMm }, pieces: ['1 button 10'] },
  ],
  [
    'what goes inside',
    ['Head', ...ballOf24, 'Insert a 30 mm rattle.'],
    { yarns: { 'main yarn': ballMm }, pieces: ['1 rattle 30'] },
  ],
  [
    'stitched eyes take thread and nothing by the piece',
    ['Head', ...ballOf24, 'Embroider eyes between R6 and R7, 2 stitches wide, 4 showing.'],
    { yarns: { 'main yarn': ballMm } },
  ],
  [
    'stripes: each colour its own stitches; A is cut off and joined in again four rounds later, B hangs at both its ends',
    [
      'Yarn A: medium, grey',
      'Yarn B: medium, oat',
      'Head',
      'in A',
      ...ballOf24.slice(0, 4),
      'change to B',
      ballOf24[4]!,
      'change to A',
      ...ballOf24.slice(5),
    ],
    {
      yarns: { A: (60 + 18) * sc + 18 * dec + begun + 2 * end + gathered(6), B: 96 * sc + 2 * end },
    },
  ],
  [
    'narrow stripes: what is back after three rounds is carried up',
    [
      'Yarn A: medium, grey',
      'Yarn B: medium, oat',
      'Head',
      'in A',
      ...ballOf24.slice(0, 4),
      'change to B',
      'R5-R7: sc around',
      'change to A',
      'R8: sc around',
      ...ballOf24.slice(5),
    ],
    {
      yarns: { A: (60 + 24 + 18) * sc + 18 * dec + begun + gathered(6), B: 72 * sc + 2 * end },
    },
  ],
  [
    'the only yarn by its name on the way is no other',
    ['Yarn A: medium, grey', 'Head', ...ballOf24.slice(0, 4), 'change to A', ...ballOf24.slice(4)],
    { yarns: { A: ballMm } },
  ],
  [
    'a colour for a few stitches hangs at both ends, in each of two heads',
    [
      'Yarn A: medium, grey',
      'Yarn B: medium, oat',
      'Head (make 2)',
      'in A',
      ...ballOf24.slice(0, 4),
      'R5: sc 3 in B, sc 21 in A',
      'R6-R8: sc around',
      ...ballOf24.slice(5),
    ],
    {
      yarns: { A: 2 * (ballMm - 3 * sc), B: 2 * (3 * sc + 2 * end) },
    },
  ],
  ['an ear, gathered', ['Ear', ...ear], { yarns: { 'main yarn': 30 * sc + begun + gathered(12) } }],
  [
    'an ear, sewn on by its edge',
    ['Ear', ...ear, open],
    { yarns: { 'main yarn': 30 * sc + begun + sewn(12) } },
  ],
  [
    'two ears, sewn on',
    ['Ear (make 2)', ...ear, open],
    { yarns: { 'main yarn': 2 * (30 * sc + begun + sewn(12)) } },
  ],
  [
    'a head and two ears of one yarn',
    ['Head', ...ballOf24, '', 'Ear (make 2)', ...ear, open],
    { yarns: { 'main yarn': ballMm + 2 * (30 * sc + begun + sewn(12)) } },
  ],
  [
    'a head and ears, each of its yarn',
    [
      'Yarn A: medium, grey',
      'Yarn B: medium, oat',
      'Head',
      'in A',
      ...ballOf24,
      '',
      'Ear (make 2)',
      'in B',
      ...ear,
      open,
    ],
    { yarns: { A: ballMm, B: 2 * (30 * sc + begun + sewn(12)) } },
  ],
  [
    'eight to begin with',
    ['Foot', 'R1: 8 sc in magic ring', 'R2: inc x 8', 'R3: sc around', open],
    { yarns: { 'main yarn': (8 + 16 + 16) * sc + begun + sewn(16) } },
  ],
  [
    'three in one are three stitches',
    ['Foot', 'R1: 6 sc in magic ring', 'R2: 3 sc in each st', open],
    { yarns: { 'main yarn': (6 + 18) * sc + begun + sewn(18) } },
  ],
  [
    'half doubles',
    ['Cup', 'R1: 6 sc in magic ring', 'R2: 2 hdc in each st', 'R3: hdc around', open],
    { yarns: { 'main yarn': 6 * sc + 24 * hdc + begun + sewn(12) } },
  ],
  [
    'doubles',
    ['Cup', 'Terms: US', 'R1: 6 sc in magic ring', 'R2: 2 sc in each st', 'R3: dc around', open],
    { yarns: { 'main yarn': 18 * sc + 12 * dc + begun + sewn(12) } },
  ],
  [
    'the same words in UK terms are shorter stitches',
    ['Terms: UK', 'Cup', 'R1: 6 dc in magic ring', 'R2: 2 dc in each st', 'R3: dc around', open],
    { yarns: { 'main yarn': 30 * sc + begun + sewn(12) } },
  ],
  [
    'a round of slip stitches',
    ['Cup', 'R1: 6 sc in magic ring', 'R2: inc x 6', 'R3: sl st in each st around', open],
    { yarns: { 'main yarn': 18 * sc + 12 * sl + begun + sewn(12) } },
  ],
  [
    'into the back loops it takes as much',
    ['Cup', 'R1: 6 sc in magic ring', 'R2: inc x 6', 'R3: BLO sc around', open],
    { yarns: { 'main yarn': 30 * sc + begun + sewn(12) } },
  ],
  [
    'left-handed it takes as much',
    ['Hand: left', 'Head', ...ballOf24, eyes],
    { yarns: { 'main yarn': ballMm }, pieces: ['2 safety eye 8', '2 washer 12'] },
  ],
  [
    'a tail as long as the pattern says',
    ['Ear', ...ear, 'Fasten off, leaving a 50 cm tail.'],
    { yarns: { 'main yarn': 30 * sc + begun + 500 } },
  ],
];

test.each(lists)('%s', (_, lines, { yarns, pieces = [] }) => {
  const list = listOf(lines);
  expect(list.yarns).toEqual(rounded(yarns));
  expect(list.pieces).toEqual(pieces);
});

test.each([2, 5, 12])('%i toys take so many times as much, and as many pieces', (copies) => {
  const list = listOf(['Head (make 2)', ...ballOf24, eyes], copies);
  expect(list.yarns['main yarn']).toBeCloseTo(2 * copies * ballMm, -1);
  expect(list.pieces).toEqual([`${4 * copies} safety eye 8`, `${4 * copies} washer 12`]);
});

// Two strands beside each other are as thick as one of twice the section.
const [turn2, turn3] = [Math.sqrt(2), Math.sqrt(3)];
const [sc2, sc3] = [10 + 8 + 7.854 * turn2, 10 + 8 + 7.854 * turn3];
const [dec2, dec3] = [sc2 + 8 + 3.927 * turn2, sc3 + 8 + 3.927 * turn3];
const doubleMm = 2 * (174 * sc2 + 18 * dec2 + begun + gathered(6));
const tripleMm = 3 * (174 * sc3 + 18 * dec3 + begun + gathered(6));

test.each<[string, number]>([
  ['Hold two strands together.', doubleMm],
  ['Hold 2 strands of yarn together throughout.', doubleMm],
  ['Use a double strand.', doubleMm],
  ['The yarn is held double.', doubleMm],
  ['Work with the yarn doubled.', doubleMm],
  ['Double stranded, work:', doubleMm],
  ['With three strands held together', tripleMm],
  ['Crochet with one strand.', ballMm],
  // What is no yarn of the rounds.
  ['Embroider the mouth with two strands of floss.', ballMm],
  ['Sew with two strands of thread held together.', ballMm],
  ['Make two strands of 20 chains.', ballMm],
  ['Use two strands of yarn to attach the legs.', ballMm],
  ['Braid three strands together.', ballMm],
  ['It is made with two strands of yarn.', doubleMm],
  ['// Hold two strands together.', ballMm],
])('%s', (said, mm) => {
  expect(listOf([said, 'Head', ...ballOf24]).yarns).toEqual({ 'main yarn': Math.round(mm) });
});

test.each(['medium, grey, held double', 'medium, grey, 2 strands', 'medium, grey, double stranded'])(
  'Yarn A: %s',
  (kind) => {
    expect(listOf([`Yarn A: ${kind}`, 'Head', ...ballOf24]).yarns).toEqual({ A: Math.round(doubleMm) });
  },
);

test('what is said of a part is of that part, and of a yarn of that yarn', () => {
  const ears = ['', 'Ear (make 2)', ...ear, open];
  const earMm = 2 * (30 * sc + begun + sewn(12));
  const earOfTwoMm = 2 * 2 * (30 * sc2 + begun + sewn(12));
  const one = (lines: string[]) => listOf(lines).yarns;
  expect(one(['Head', 'Hold two strands together.', ...ballOf24, ...ears])['main yarn']).toBeCloseTo(
    doubleMm + earMm,
    -1,
  );
  const throughout = 'Hold two strands together throughout.';
  expect(one(['Head', throughout, ...ballOf24, ...ears])['main yarn']).toBeCloseTo(doubleMm + earMm, -1);
  expect(one(['Head', ...ballOf24, ...ears, throughout])['main yarn']).toBeCloseTo(doubleMm + earOfTwoMm, -1);
  expect(one(['Hold two strands together.', 'Head', ...ballOf24, ...ears])['main yarn']).toBeCloseTo(
    doubleMm + earOfTwoMm,
    -1,
  );
  expect(
    one([
      'Hold two strands together.',
      'Head',
      ...ballOf24,
      '',
      'Ear (make 2)',
      'Use a single strand.',
      ...ear,
      open,
    ])['main yarn'],
  ).toBeCloseTo(doubleMm + earMm, -1);
  const yarns = ['Yarn A: medium, grey', 'Yarn B: medium, oat', 'Hold two strands of A together.'];
  expect(one([...yarns, 'Head', 'in A', ...ballOf24, '', 'Ear (make 2)', 'in B', ...ear, open])).toEqual({
    A: Math.round(doubleMm),
    B: Math.round(earMm),
  });
});

test('the list says how many strands are in it, and what of several yarns it could not work out', () => {
  const lines = (said: string) =>
    supplyLines(suppliesOf(analyseToy(['Gauge: 5 mm x 4 mm', said, 'Head', ...ballOf24].join('\n'))));
  expect(lines('Hold two strands together.')[0]).toMatch(
    /^main yarn: \d+ m, about \d+ g, 2 strands held together$/,
  );
  expect(lines('')[0]).not.toContain('strands');
  expect(lines('Hold one strand of grey and one of oat together.').join()).toContain(
    'Not worked out: “Hold one strand of grey and one of oat together”.',
  );
});

test('a ball lasts half as far on two strands', () => {
  const toy = analyseToy(
    ['Gauge: 5 mm x 4 mm', 'Hold two strands together.', 'Head', ...ballOf24].join('\n'),
  );
  expect(ballLasts(toy, 'main yarn', doubleMm / 1000 + 0.01).ends).toBeNull();
  expect(ballLasts(toy, 'main yarn', ballMm / 1000 + 0.01).ends).not.toBeNull();
});
