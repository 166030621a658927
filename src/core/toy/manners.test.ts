import { analyseToy } from './analyse';

/** Whole toys of our own, each in a manner of its own, with what they come to. */
const rounds = (text: string) =>
  analyseToy(text).parts.map(({ source, checks }) => [
    source.name,
    source.make,
    checks.map(({ worked }) => worked),
  ]);
const errors = (text: string) =>
  analyseToy(text)
    .problems.filter(({ severity }) => severity === 'error')
    .map(({ message }) => message);

test('totals without a sign, UK terms, no stops after the labels', () => {
  const text = `Pip the Penguin (UK terms)

Body
R1 6dc in mr 6
R2 2dc in each st 12
R3 (dc, 2dc in next) x6 18
R4-R6 dc around 18
R7 (dc, dc2tog) x6 12
R8 dc2tog x6 6
close

Wing x2
R1 5dc in mr 5
R2 2dc in each 10
R3-R4 dc around 10`;
  expect(errors(text)).toEqual([]);
  expect(rounds(text)).toEqual([
    ['Body', 1, [6, 12, 18, 18, 18, 18, 12, 6]],
    ['Wing', 2, [5, 10, 10, 10]],
  ]);
});

test('a table with a heading in a cell, a round behind a sentence, the same as another row', () => {
  const text = `Snail

| Row | Stitches | Count |
| --- | --- | --- |
| Shell |
| 1 | 6 sc in magic circle | 6 |
| 2 | inc in every st | 12 |
| 3-5 | sc around | 12 |

Stuff firmly, then row 6: dec x 6 (6), close.

Foot
Row 1: Chain 13, single crochet in the second chain from the hook and in every chain to the end. Turn. (12)
Row 2: Chain 1, single crochet across. Turn.
Rows 3 to 5: same as row 2`;
  expect(errors(text)).toEqual([]);
  expect(rounds(text)).toEqual([
    ['Shell', 1, [6, 12, 12, 12, 12, 6]],
    ['Foot', 1, [12, 12, 12, 12, 12]],
  ]);
  expect(analyseToy(text).parts[0]!.source.steps.map(({ kind }) => kind)).toEqual(['stuff', 'close']);
});

test('written out, in bold, with dashes; a round of which only the number is said; a pair of buttons', () => {
  const text = `**Mossy the Frog**

**Head and body, worked in one**

Round 1 – start with 7 sc into a magic loop = 7
Round 2 – increase in every stitch = 14
Round 3 – one sc, one increase, all the way round = 21
Rounds 4, 5, 6 – one sc in every stitch = 21
Round 7 – one sc, one decrease, all the way round = 14
Round 8 – 14
Round 9 – decrease all the way round = 7

Sew on two 10 mm buttons as eyes between rounds 5 and 6, six stitches apart.`;
  const toy = analyseToy(text);
  expect(toy.pattern.header.name).toBe('Mossy the Frog');
  expect(errors(text)).toEqual([]);
  expect(rounds(text)).toEqual([['Head and body', 1, [7, 14, 21, 21, 21, 21, 14, 14, 7]]]);
  expect(toy.parts[0]!.features.map(({ kind, gap }) => [kind, gap])).toEqual([['eyes', [5, 6]]]);
});

test('a letter for each stitch, numbers with brackets', () => {
  const text = `Mouse
Start: bottom
1) 6X in ring (6)
2) 6V (12)
3) - 4) 12X (12)
5) (X, A)*4 (8)
6) 4A (4)

Ear, 2 pcs
1) 6X in ring
2) 6V (12)`;
  expect(errors(text)).toEqual([]);
  expect(rounds(text)).toEqual([
    ['Mouse', 1, [6, 12, 12, 12, 8, 4]],
    ['Ear', 2, [6, 12]],
  ]);
});

test.each([
  ['R3: dec x 6 (6), close.', 'close'],
  ['R3: dec x 6 (6) close', 'close'],
  ['R3: dec x 6, then stuff firmly', 'stuff'],
  ['R3: dec x 6 [6]; begin stuffing', 'stuff'],
  ['R3: dec x 6 (6), insert 6 mm eyes between R1 and R2, 3 apart', 'feature'],
  ['R3: dec x 6 (6). embroider the mouth between R1 and R2, 2 wide', 'feature'],
])('what a round’s own line says behind its work is not dropped: %s', (line, kind) => {
  const { parts, problems } = analyseToy(`Terms: US\nR1: 6 sc in ring\nR2: inc x 6\n${line}`);
  expect(parts[0]!.checks.map(({ worked }) => worked)).toEqual([6, 12, 6]);
  expect(parts[0]!.source.steps.map((step) => step.kind)).toEqual([kind]);
  expect(problems.filter(({ code }) => code === 'unknown-stitch')).toEqual([]);
});
