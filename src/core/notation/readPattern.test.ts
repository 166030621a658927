import { analyseToy } from '../toy/analyse';
import { readHeader } from './headers';
import { readHeading } from './heading';
import { readPattern } from './readPattern';

test.each([
  ['Head', 'Head', 1],
  ['HEAD:', 'HEAD', 1],
  ['## Head', 'Head', 1],
  ['== Head ==', 'Head', 1],
  ['Ear (make 2)', 'Ear', 2],
  ['Legs, make 4', 'Legs', 4],
  ['**Tail**', 'Tail', 1],
  ['Arms (x2)', 'Arms', 2],
  ['Wing - make two', 'Wing', 2],
  ['Body, worked from the nose up', 'Body', 1],
  ['Fox Head - worked in joined rounds', 'Fox Head', 1],
  ['Ear (in pink)', 'Ear', 1],
  ['Leg with foot', 'Leg with foot', 1],
  ['Arm with colour B', 'Arm', 1],
  ['HEAD AND BODY (worked from the bottom up, in one piece)', 'HEAD AND BODY', 1],
  ['Wing (make 2, left flat)', 'Wing', 2],
])('“%s” opens a part', (line, name, make) => {
  expect(readHeading(line)).toMatchObject({ name, make });
});

test.each(['Happy making, everyone!', 'Fasten off and weave in the ends.', '', '12345'])(
  '“%s” opens none',
  (line) => {
    expect(readHeading(line)?.sure ?? false).toBe(false);
  },
);

test.each([
  ['Gauge: 5 mm x 4.8 mm', { key: 'gauge', widthMm: 5, heightMm: 4.8 }],
  ['Gauge: 5,2 x 5', { key: 'gauge', widthMm: 5.2, heightMm: 5 }],
  ['Hand: left', { key: 'hand', value: 'left' }],
  ['Lean: 0.25', { key: 'lean', value: 0.25 }],
  ['Yarn A: cream', { key: 'yarn', name: 'A', value: 'cream' }],
  ['Front: stitch 18.5 of round 13', { key: 'front', stitch: 18.5, round: 13 }],
  ['Front: R13 stitch 18.5', { key: 'front', stitch: 18.5, round: 13 }],
  ['Hand: upside', { scope: 'bad' }],
  ['Gauge: tight', { scope: 'bad' }],
])('header %s', (line, read) => {
  expect(readHeader(line)).toMatchObject(read);
});

test('a whole pattern: title, header, colours on their own line, parts, sentences, notes', () => {
  const pattern = readPattern(`Bramble the bear

Yarn A: brown
A gift for small hands.

HEAD
with brown yarn
R1: 6 sc in ring
R2-R4: inc around
Insert 9 mm eyes between R2 and R3, 3 showing. Stuff firmly.

Ears (make 2)
Rnd 1. 6 sc in mr
Sew the ears on.
Love it!`);
  expect(pattern.header.name).toBe('Bramble the bear');
  expect(pattern.parts.map((part) => [part.name, part.make, part.rounds.length])).toEqual([
    ['HEAD', 1, 4],
    ['Ears', 2, 1],
  ]);
  expect(pattern.parts[0]?.steps.map((step) => (step.kind === 'feature' ? step.feature : step.kind))).toEqual(
    ['eyes', 'stuff'],
  );
  expect(pattern.parts[1]?.steps.map((step) => step.kind)).toEqual(['sew']);
  expect(pattern.notes).toEqual([
    { line: 4, text: 'A gift for small hands.' },
    { line: 15, text: 'Love it!' },
  ]);
});

test('rounds can be repeated by their numbers', () => {
  const pattern = readPattern('R1: 6 sc in ring\nR2: inc around\nR3: sc around\nRepeat rounds 2 and 3 twice');
  expect(pattern.parts[0]?.rounds.map((round) => [round.number, round.line])).toEqual([
    [1, 1],
    [2, 2],
    [3, 3],
    [4, 4],
    [5, 4],
    [6, 4],
    [7, 4],
  ]);
});

test('a labelled repeat fills its own numbers', () => {
  const pattern = readPattern('R1: 6 sc in ring\nR2: inc around\nR3-5: rep R2\nR6-9: repeat rounds 4 and 5');
  expect(pattern.parts[0]?.rounds.map((round) => [round.number, round.line])).toEqual([
    [1, 1],
    [2, 2],
    [3, 3],
    [4, 3],
    [5, 3],
    [6, 4],
    [7, 4],
    [8, 4],
    [9, 4],
  ]);
});

test('Windows line ends, tabs and unbreakable spaces read the same', () => {
  const plain = readPattern('Head\nR1: 6 sc in ring\nR2: inc around');
  const odd = readPattern('Head\r\nR1:\t6\u00a0sc in ring\r\nR2:  inc   around\r\n');
  expect(odd.parts[0]?.rounds.map((round) => round.number)).toEqual(
    plain.parts[0]?.rounds.map((round) => round.number),
  );
});

describe('terms', () => {
  test.each([
    ['R1: 6 sc in ring', 'us', 'words'],
    ['R1: 6 dc in ring\nR2: htr around', 'uk', 'words'],
    ['R1: 6 dc in ring\nR2: miss 1, dc 5', 'uk', 'words'],
    ['Terms: UK\nR1: 6 dc in ring', 'uk', 'declared'],
    ['Written in US terms.\nR1: 6 dc in ring', 'us', 'declared'],
    ['R1: MR 6\nR2: inc x 6', 'us', 'either'],
  ])('%s', (text, value, source) => {
    const { terms, problems } = readPattern(text);
    expect(terms).toEqual({ value, source });
    expect(problems).toEqual([]);
  });

  test('only dc and tr fit both, and are asked about', () => {
    const { terms, problems } = readPattern('Head\nR1: 6 dc in ring\nR2: 2 tr in each st around');
    expect(terms.source).toBe('assumed');
    expect(problems).toMatchObject([{ code: 'terms-ambiguous', line: 2 }]);
    expect(problems[0]?.suggestions.map((suggestion) => suggestion.edits[0]?.text)).toEqual([
      'Terms: UK',
      'Terms: US',
    ]);
  });

  test('a text that mixes both says where', () => {
    expect(readPattern('R1: 6 sc in ring\nR2: htr around').problems).toMatchObject([
      { code: 'terms-mixed', line: 2 },
    ]);
  });
});

const body =
  'Body\nR1: 6 sc in MR [6]\nR2: inc x 6 [12]\nR3: (sc, inc) x 6 [18]\nR4: sc in BLO around [18]\n\nSkirt\n';
test.each([
  'Join yarn in the free front loops of round 3 of the body.\nR1: 2 hdc in each st around [36]',
  'Join white yarn to any front loop of round 3.\nR1: 2 hdc in each st around [36]',
  'Attach yarn in the unworked loops of R3 of the body\n2 hdc in each st around [36]',
  'R1: in front loops of R3, 2 hdc in each st around [36]',
])('a skirt begins in the loops of the body: %s', (said) => {
  const toy = analyseToy(
    `Terms: US\n${body}${said}\n\nTail: 4 sc in MR\nSew the tail to the body, between R2 and R3.`,
  );
  expect(toy.problems.filter(({ severity }) => severity !== 'info')).toEqual([]);
  expect(toy.pattern.notes).toEqual([]);
  expect(toy.parts.map(({ checks }) => checks.map(({ worked }) => worked))).toEqual([
    [6, 12, 18, 18],
    [36],
    [4],
  ]);
  expect(toy.pattern.parts[1]?.onto).toMatchObject({ part: 'body', round: 3, loops: 'front' });
});

test.each([
  ['MOUSE — left handed', 'left'],
  ['I am left-handed.', 'left'],
  ['Worked as usual for left-handers', 'left'],
  ['Mouse, left-handed\nHand: right', 'right'],
  ['If you are left-handed, mirror the pictures.', 'right'],
  ['Left-handed? Work the other way round.', 'right'],
  ['Left-handers: mirror it.', 'right'],
  ['For right- and left-handed makers', 'right'],
  ['Left-handed, worked from the bottom up', 'left'],
  ['Left-handed: worked in joined rounds', 'left'],
])('%s: worked with the %s hand', (line, hand) => {
  expect(readPattern(`${line}\nHead\nR1: 6 sc in ring [6]`).header.hand).toBe(hand);
});

test.each([
  ['Sew one wing to each side of the body.', ['join-where']],
  ['Sew a wing on both sides of the body.', ['join-where']],
  ['Sew one wing to the left side of the body.', ['part-count', 'join-where']],
])('two wings: %s', (said, codes) => {
  const two = `Terms: US\nBody\nR1: 6 sc in ring [6]\nR2: inc x 6 [12]\n\nWing (make two)\nR1: 5 sc in MR [5]\nNot stuffed.\n${said}`;
  expect(analyseToy(two).problems.map(({ code }) => code)).toEqual(codes);
});
