import { analyseToy } from '../toy/analyse';
import { verticalWords } from './rule/writeRule';

// 36 stitches on rounds 6 to 13, front line at 18½ on each of them.
const head =
  'Gauge: 5 mm x 5 mm\nLean: 0\nHead\nR1: 6 sc in mr\nR2: inc x 6\nR3: (sc, inc) x 6\nR4: (2 sc, inc) x 6\nR5: (3 sc, inc) x 6\nR6: (4 sc, inc) x 6\nR7-R13: sc around\nR14: (4 sc, dec) x 6\n';
const eyes = 'Eyes: 9 mm, between R9 and R10, 7 apart\n';

/** The line of holes and the posts of the feature that was said last. */
function placed(...lines: string[]) {
  const [part] = analyseToy(head + lines.join('\n')).parts;
  const feature = part!.features.at(-1)!;
  const holes = feature.units.flatMap(({ from, to }) => (from === to ? [from] : [from, to]));
  return [feature.gap[0], ...holes.sort((a, b) => a - b)];
}

test('what shows between two stitched eyes shows between their edges', () => {
  // 15 and 22 with 16 to 21 between them, and two stitches on either side.
  expect(placed('Embroider eyes between R10 and R11, 2 stitches wide each, 6 stitches between.')).toEqual([
    10, 13, 15, 22, 24,
  ]);
  expect(placed('Embroider eyes between R10 and R11, 2 stitches wide, 9 stitches apart.')).toEqual([
    10, 13, 15, 22, 24,
  ]);
});

test('a round that is named says how high, also where something else says how far across', () => {
  expect(placed(eyes, 'The nose is embroidered between the eyes on round 11 over 3 sts.')).toEqual([
    11, 17, 20,
  ]);
  expect(placed(eyes, 'Embroider the nose between the eyes, 3 stitches wide.')).toEqual([9, 17, 20]);
});

test('under each eye is straight under it; under the eyes is further out, as is usual for cheeks', () => {
  expect(placed(eyes, 'Add blush 1 round below each eye, 2 stitches wide.')).toEqual([10, 14, 16, 21, 23]);
  expect(placed(eyes, 'Add blush 1 round below the eyes, 2 stitches wide.')).toEqual([10, 12, 14, 23, 25]);
});

test.each([
  'Safety eyes 9 mm: placed between rows 9 and 10, spaced 7 stitches.',
  'Eyes 9 mm, between R9 and R10, spaced seven stitches apart.',
  'Put 9 mm eyes between R9 and R10, spaced 7 sts from post to post.',
])('%s', (sentence) => {
  expect(placed(sentence)).toEqual([9, 15, 22]);
});

test.each([
  // The eyes are at 15 and 22.
  ['Felt cheeks (12 mm) 2 rounds below the eyes, 3 stitches further out.', [11, 12, 25]],
  ['Felt cheeks (12 mm) 2 rounds below the eyes, 3 stitches farther outwards.', [11, 12, 25]],
  ['Felt cheeks (12 mm) 2 rounds below the eyes, 3 stitches outwards.', [11, 12, 25]],
])('%s', (sentence, holes) => {
  expect(placed(eyes, sentence)).toEqual(holes);
});

test('so many stitches to the left and right of the centre are as many from it to either side', () => {
  const either = placed('Eyes 9 mm, between R9 and R10, 4 sts to either side of the centre.');
  expect(placed('Eyes 9 mm, between R9 and R10, 4 sts to the left and right of the centre.')).toEqual(either);
  expect(placed('Eyes 9 mm, between R9 and R10, 4 sts on the left and the right of the centre.')).toEqual(
    either,
  );
});

// The sheet numbers the holes, and what is copied from it is read as that.
test.each([
  ['Eyes: 8 mm, between round 9 and 10 · holes 15 and 22 · 6 show', [9, 15, 22]],
  ['Insert 8 mm eyes in the holes 14 and 23 between R10 and R11.', [10, 14, 23]],
  ['Insert 8 mm eyes 9 rounds down from the magic ring, 6 showing.', [9, 15, 22]],
  ['Insert 8 mm eyes 9 rounds out from the start, 6 showing.', [9, 15, 22]],
])('%s', (sentence, holes) => {
  expect(placed(sentence)).toEqual(holes);
});

test('rounds from the start of something else are asked about, not taken from the start of the piece', () => {
  const said = 'Insert 8 mm eyes 6 rounds up from the start of the snout, 7 apart';
  const codes = analyseToy(head + said).problems.map(({ code }) => code);
  expect(codes).toContain('eyes-where');
});

// Each eye with a stitch of its own: the first in hole 15, the second in hole 22 of 36.
test.each([
  'One eye at stitch 15 and one at stitch 22 between R9 and R10.',
  'Insert one eye into the 15th hole and the other into the 22nd hole between R9 and R10.',
  'Eye 1 at stitch 15, eye 2 at stitch 22, between R9 and R10.',
  'First eye: between R9 and R10, stitch 15. Second eye: 7 stitches further.',
  'Insert the first eye between R9 and R10 in stitch 15, the second one 7 stitches later.',
  'Insert one eye between R9 and R10 at the 15th stitch, skip 6 stitches, and insert the second eye.',
  'Insert the first eye between R9 and R10 in stitch 15. Count 7 stitches and insert the other eye.',
  'Insert the first eye between R9 and R10 in stitch 15. Insert the second eye in stitch 22.',
  'Eyes between R9 and R10, at the 15th and the 22nd stitch.',
])('%s', (said) => {
  expect(placed(said)).toEqual([9, 15, 22]);
});

test.each([
  'Insert the eyes 5 rounds up from the opening, 6 showing.',
  'Insert the eyes 5 rounds above the opening, 6 showing.',
  'Insert the eyes 5 rounds in from the open end, 6 showing.',
  'Insert the eyes 5 rounds from the opening, 6 showing.',
])('%s, of 14 rounds', (said) => {
  expect(placed(said)).toEqual([9, 15, 22]);
});

// Of 36 with the front at 18½: what shows between lies about it, whatever the width of the two.
test.each<[wide: number, between: number, holes: number[]]>([
  [1, 4, [15, 16, 21, 22]],
  [1, 6, [14, 15, 22, 23]],
  [2, 4, [14, 16, 21, 23]],
  [3, 4, [13, 16, 21, 24]],
  [3, 6, [12, 15, 22, 25]],
  [5, 6, [10, 15, 22, 27]],
])('closed eyes %i wide with %i stitches between', (wide, between, holes) => {
  const said = `Embroider closed eyes between R9 and R10: each ${wide} stitches wide, ${between} stitches in between.`;
  expect(placed(said)).toEqual([9, ...holes]);
  // From middle to middle it is a width and a stitch more.
  const apart = `Embroider closed eyes between R9 and R10, ${wide} stitches wide, ${between + 1 + wide} stitches apart.`;
  expect(placed(apart)).toEqual([9, ...holes]);
});

test.each([
  'Attach safety eyes. They should be placed between rounds 9 and 10, 6 stitches between.',
  'Attach the safety eyes. These go between rounds 9 and 10. There are 6 stitches between them.',
  'Insert the eyes. Both sit between R9 and R10 with 6 stitches between.',
])('%s', (said) => {
  expect(placed(said)).toEqual([9, 15, 22]);
});

test('a nose, and where it goes in the next sentence', () => {
  expect(placed('Embroider a nose. It goes between R11 and R12, 3 stitches wide.')).toEqual([11, 17, 20]);
});

test('a measure after the eyes is no place of theirs', () => {
  expect(
    placed('Insert the eyes between R9 and R10, 6 showing. It should measure between 5 and 6 cm.'),
  ).toEqual([9, 15, 22]);
});

// Round 6 is the last to widen, round 14 the first to narrow: the line 6|7 lies under the one, 13|14 over the other.
test.each([
  ['4 rounds below the last increase', 10],
  ['4 rounds after the last increase round', 10],
  ['4 rounds down from the last round of increases', 10],
  ['3 rounds after you stop increasing', 9],
  ['2 rounds above the first decrease', 11],
  ['2 rounds before the first decrease round', 11],
  ['3 rounds before you start decreasing', 10],
  ['2 rounds before the decreases begin', 11],
  ['4 rounds up from the start of the decreases', 9],
])('eyes %s are in the line under round %i', (where, line) => {
  expect(placed(`Insert 9 mm eyes ${where}, 6 stitches showing.`)).toEqual([line, 15, 22]);
});

test('from the first decrease could be either way: asked', () => {
  const text = `${head}Insert 9 mm eyes 2 rounds from the first decrease, 6 stitches showing.`;
  expect(analyseToy(text).problems.map(({ code }) => code)).toContain('eyes-where');
});

test('a piece that widens twice has two last increases, and asks which', () => {
  const body = `${head}R15: sc around\nR16: (4 sc, inc) x 6\nR17-R20: sc around\n`;
  const problems = analyseToy(
    `${body}Insert 9 mm eyes 2 rounds after the last increase, 6 showing.`,
  ).problems;
  expect(problems.map(({ code }) => code)).toContain('landmark-ambiguous');
});

test.each([
  'Insert 9 mm eyes at 9-10, 6 between.',
  '9 mm eyes between R9 and R10, 7 stitches from one to the other.',
  '9 mm eyes: 9th row, gap 6 stitches.',
])('%s', (said) => expect(placed(said)).toEqual([9, 15, 22]));

test.each([
  // R6 widens for the last time, and R7 is the first plain round.
  ['9 mm eyes between the 4th and 5th plain rounds, 7 post to post.', [10, 15, 22]],
  ['9 mm eyes between the fourth and fifth rounds of the straight section, 7 post to post.', [10, 15, 22]],
  ['9 mm eyes between rounds 4 and 5 of the plain part, 7 post to post.', [10, 15, 22]],
  ['9 mm eyes on the fourth even row, 7 post to post.', [10, 15, 22]],
  ['9 mm eyes between the second and third rounds after the increases, 7 post to post.', [8, 15, 22]],
  ['Count 6 stitches between the eyes and place them between R9-R10.', [9, 15, 22]],
  ['There are 6 stitches between the eyes, which go between R9 and R10.', [9, 15, 22]],
])('%s', (sentence, holes) => {
  expect(placed(sentence)).toEqual(holes);
});

test('of several runs of plain rounds one is taken and the others asked', () => {
  const toy = analyseToy(
    `${head}R15-R18: sc around\nR19: (3 sc, dec) x 6\nEyes: 9 mm, on the third plain round, 7 post to post`,
  );
  expect(toy.problems.map(({ code }) => code)).toContain('landmark-ambiguous');
  expect(toy.parts[0]!.features[0]!.gap).toEqual([9, 10]);
});

test('rounds counted from the plain ones are written so that they are read back', () => {
  const toy = analyseToy(`${head}Eyes: 9 mm, on the third plain round, 7 post to post`);
  const [part] = toy.parts;
  const { rule, gap } = part!.features[0]!;
  const again = analyseToy(`${head}Eyes: 9 mm, ${verticalWords(rule.vertical)}, 7 post to post`);
  expect(again.parts[0]!.features[0]!.rule.vertical).toEqual(rule.vertical);
  expect(again.parts[0]!.features[0]!.gap).toEqual(gap);
});

/** What the first act at the face is. */
const actOf = (sentence: string) =>
  analyseToy(head + sentence).parts[0]!.stops.stops.flatMap(({ acts }) => acts.map(({ act }) => act));

test.each([
  'Using black yarn, stitch the eyes between R9 and R10, with 6 stitches between.',
  'With black thread, make the eyes between R9 and R10, 6 stitches between.',
  'Sew the eyes between R9 and R10 with black yarn, 6 stitches between.',
])('eyes of yarn are stitched, and no washer is waited for: %s', (sentence) => {
  expect(actOf(sentence)).toContain('embroider');
  expect(actOf(sentence)).not.toContain('seat-eyes');
});

test.each([
  'Sew googly eyes between R9 and R10, 7 post to post.',
  'Sew bead eyes between R9 and R10, 7 post to post.',
])('that eyes of another kind are planned as pressed is told: %s', (sentence) => {
  expect(analyseToy(head + sentence).problems.map(({ code }) => code)).toContain('words-unused');
});

test.each<[string, string, (number | undefined)[]]>([
  ['Embroider lines 2 rounds above the eyes, 2 stitches wide, as eyebrows.', 'brows', [7, 14, 16, 21, 23]],
  [
    'Embroider a straight stitch 3 rounds below the eyes for the mouth, 4 stitches wide.',
    'mouth',
    [12, 16, 20],
  ],
  ['Make a few stitches between the eyes on R11 as a nose.', 'nose', [11, 17, 20]],
])('what stitches are for is what they are: %s', (sentence, kind, holes) => {
  const part = analyseToy(head + eyes + sentence).parts[0]!;
  expect(part.features.map((one) => one.kind)).toEqual(['eyes', kind]);
  expect(placed(eyes, sentence)).toEqual(holes);
});

test.each([
  ['Embroider 5 stitches for the nose on R11.', '5 stitches for the nose'],
  ['Embroider five small stitches as a mouth on R11.', 'five small stitches as a mouth'],
  ['Embroider a nose of 5 stitches on R11.', 'nose of 5 stitches'],
])('whether that is how wide it is is asked: %s', (sentence, words) => {
  const told = analyseToy(head + sentence).problems.filter(({ code }) => code === 'words-unused');
  expect(told.map(({ message }) => message)).toEqual([expect.stringContaining(words)]);
});

test('french knots as eyes are no pressed eyes', () => {
  expect(actOf('French knots as eyes between R9 and R10, 6 stitches between.')).toContain('embroider');
});

test('a triangle nose with its size that is inserted is a bought one', () => {
  expect(actOf('Insert 12 mm triangle nose between rounds 11 and 12.')).toContain('seat-nose');
  expect(actOf('Embroider a triangle nose, 12 mm wide, between rounds 11 and 12.')).not.toContain(
    'seat-nose',
  );
});
