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

test('ordinals in words, stitches left out, a pair made alike', () => {
  const text = `First round: 6 single crochet in an adjustable ring (6)
Second round: two single crochet in every stitch around (12)
Third round: one single crochet in the first stitch, two single crochet in the next, repeat around (18)
Fourth round: single crochet in the next two stitches, two in the next, repeat (24)
Fifth to ninth round: single crochet in every stitch (24)
Attach 8mm eyes between the sixth and seventh round with seven stitches between them.
Tenth round: crochet two together all around (12)
Fill with stuffing.
Eleventh round: crochet two together all around (6)
Close up.

Fin - make two
Round one: 5 sc in ring
Round two: 5 sc
Round three: inc, 4 sc (6)`;
  expect(errors(text)).toEqual([]);
  expect(rounds(text)).toEqual([
    ['Part', 1, [6, 12, 18, 24, 24, 24, 24, 24, 24, 12, 6]],
    ['Fin', 2, [5, 5, 6]],
  ]);
  expect(analyseToy(text).parts[0]!.eyes?.gap).toEqual([6, 7]);
});

test('a joined chain, slip stitches to the top of a chain, taller stitches, new yarn joined', () => {
  const text = `Dress for doll, top down
Row 1: Ch 25, sl st to join. Ch 1, sc in same st and in each ch around. (25)  [sl st to first sc]
Row 2: ch 1, sc in each st around, sl st to join (25)
Row 3: ch 2, 2 dc in each st around, sl st to top of ch 2 (50)
Row 4-6: ch 2, dc in each st around, join (50)
Fasten off

Bow
Row 1: ch 10, dc in 3rd ch from hook, dc in each ch across (8)
Row 2: ch 2, turn, dc in each st across (8)
Row 3: ch 2, turn, dc across (8)

Button band
Row 1: join yarn at the neck, sc 12 down the edge (12)
Row 2: ch 1, turn, sc 3, ch 2, skip 2, sc 7 (12)`;
  expect(errors(text)).toEqual([]);
  expect(rounds(text)).toEqual([
    ['Part', 1, [25, 25, 50, 50, 50, 50]],
    ['Bow', 1, [8, 8, 8]],
    ['Button band', 1, [12, 12]],
  ]);
  expect(analyseToy(text).parts.map(({ fabric }) => fabric.row[0])).toEqual([0, 1, 1]);
});

test('glued numbers, ticked boxes, pictures in a heading', () => {
  const text = `🐰 Bunny 🐰

☐ Head
☐ R1: mr6
☐ R2: incx6 (12)
☐ R3: (sc1, inc1)x6 (18)
☐ R4: (sc2, inc1)x6 (24)
☐ R5~R8: sc24 (24)
☐ R9: (sc2, dec1)x6 (18)
☐ R10: (sc1, dec1)x6 (12)
☐ Fo
☐ Ears x 2
☐ R1: mr5
☐ R2: incx5 (10)
☐ R3~R9: sc10 (10)
☐ R10: decx5 (5)
☐ Body
☐ R1: mr6
☐ R2: incx6 (12)
☐ R3: (sc1, inc1)x6 (18)
☐ R4~R6: sc18 (18)
☐ R7: (sc1, dec1)x6 (12)
☐ leave a tail, stuff, sew to head`;
  expect(errors(text)).toEqual([]);
  expect(analyseToy(text).pattern.header.name).toBe('Bunny');
  expect(rounds(text)).toEqual([
    ['Head', 1, [6, 12, 18, 24, 24, 24, 24, 24, 18, 12]],
    ['Ears', 2, [5, 10, 10, 10, 10, 10, 10, 10, 10, 5]],
    ['Body', 1, [6, 12, 18, 18, 18, 18, 12]],
  ]);
});

test('the other leg the same, both joined, and a heading in the middle of the piece', () => {
  const text = `Leg 1:
R1: 7sc in MR (7)
R2: 7inc (14)
R3: BLO 14sc (14)
R4-R10: 14sc (14)
change to skin
R11-R15: 14sc (14)
cut yarn

Leg 2: same as leg 1 but don't cut the yarn

Joining:
R16: ch2, 14sc on leg 1, 2sc on chain, 14sc on leg 2, 2sc on other side of chain (32)
R17-R22: 32sc (32)
R23: (6sc, dec)*4 (28)
stuff the legs
R24-R26: 28sc
R27: (5sc, dec)*4 (24)
R28: (2sc, dec)*6 (18)
R29: (sc, dec)*6 (12)
R30: 12sc (12)
neck
R31: 12inc (24)
R32: (3sc, inc)*6 (30)
R33-R38: 30sc (30)
eyes between R34 and R35, 6 stitches apart (6 showing), 8mm
R39: (3sc, dec)*6 (24)
R40: (2sc, dec)*6 (18)
R41: (sc, dec)*6 (12)
R42: 6dec (6)`;
  expect(errors(text)).toEqual([]);
  const [leg, body] = analyseToy(text).parts;
  expect([leg!.source.make, leg!.checks.at(-1)!.worked]).toEqual([2, 14]);
  expect(body!.source.name).toBe('Body');
  const made = body!.checks.map(({ round, worked }) => [round, worked]);
  expect(made.slice(0, 2)).toEqual([
    [16, 32],
    [17, 32],
  ]);
  expect(made.at(-1)).toEqual([42, 6]);
  expect(body!.eyes).toMatchObject({ gap: [34, 35], apart: 6 });
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

const below =
  'Terms: US\nR1: 6 sc in MR [6]\nR2: inc x 6 [12]\nR3: (sc 1, inc) x 6 [18]\nR4: (sc 2, inc) x 6 [24]\n';

test.each([
  ['R5: sc in first 11, inc, sc in next 11, inc (26)', [26]],
  ['R5: 3sc, 1inc - rep x6 (30)', [30]],
  ['R5: *3sc, inc; rep from * 5 more times (30)', [30]],
  ['R5: [3 sc, 2 sc in the next sc] around — 30 sts', [30]],
  ['R5: sc3, inc, rep around = 30', [30]],
  ['R5: (1 dec, 2 sc) repeat 6x - 18', [18]],
  ['R5: dec, 2 sc, repeat to end [18]', [18]],
  ['R5: sc2tog 12x (12)', [12]],
  ['R5: 12 invdec (12)', [12]],
  ['R5: 12 x dec', [12]],
  ['R5: inv. dec. around (12)', [12]],
  ['R5: inc all around (48)', [48]],
  ['R5: inc each st (48)', [48]],
  ['R5: 2 in each st (48)', [48]],
  ['R5: 2 sc in every stitch (48)', [48]],
  ['R5: sc in ea st around (24 sc)', [24]],
  ['R5: sc evenly around', [24]],
  ['R5: Sc in each of the next 24 sts (24)', [24]],
  ['R5: 1 sc in each sc (24)', [24]],
  ['R5: sc into each stitch, do not join', [24]],
  ['R5 and R6: sc around (24)', [24, 24]],
  ['R5 & 6: sc around (24)', [24, 24]],
  ['R5,6: sc around (24)', [24, 24]],
  ['R5 thru R7: sc around', [24, 24, 24]],
  ['R5–R7 (3 rounds): sc around', [24, 24, 24]],
  ['Rounds 5-7 [3 rounds]: 24 sc', [24, 24, 24]],
  ['R5: BLO sc (24)', [24]],
  ['R5: sc around in BLO (24)', [24]],
  ['R5: in back loop only, sc around (24)', [24]],
  ['R5: change to white, sc around (24)', [24]],
  ['R5: (white) sc around (24)', [24]],
  ['R5: sc 6, hdc 6, dc 6, hdc 6 (24)', [24]],
  ['R5: sl st 6, sc 18 (24)', [24]],
  ['R5: sc 5, skip 6 sts, sc 13 (18)', [18]],
  ['R5: sc 5, ch 6, skip 6, sc 13 (24)', [24]],
  ['R5: sc 10, 5-dc bobble, sc 13 (24)', [24]],
  ['R5: sc 10, bobble, sc 3, bobble, sc 9 (24)', [24]],
  ['R5: 24sc. sl st, fasten off', [24]],
  ['R5: sc around, sl st in next st. FO.', [24]],
  ['R5: sc around (24) sl st and fasten off, leave a tail', [24]],
  ['R5: hdc inc, sc 22, hdc inc (26)', [26]],
  ['R5: 2 hdc in next, sc 22, 2 hdc in last (26)', [26]],
  ['R5: sc 2 tog around (12)', [12]],
  ['R5: work 2 sts together around (12)', [12]],
  ['R5: skip every other stitch (12)', [12]],
  ['R5: sc, skip 1 around (12)', [12]],
  ['R5: 3 sc in next st, sc 11, 3 sc in next st, sc 11 (28)', [28]],
  ['R5: {inc, sc 3} * 6 (30)', [30]],
  ['R5: (inc, 3) x 6 (30)', [30]],
  ['R5: (3, inc) x 6 (30)', [30]],
  ['R5: 3 inc, 9, 3 inc, 9 (30)', [30]],
  ['Row 5: sc in each stitch (24)', [24]],
  ['5th round: sc around', [24]],
  ['On round 5: sc around', [24]],
  ['For round 5, sc in each stitch around (24)', [24]],
  ['Round #5: sc around (24)', [24]],
  ['R.5: sc around (24)', [24]],
  ['RND5 sc around (24)', [24]],
  ['r5 - sc around - 24', [24]],
  ['R5 ~ sc around ~ (24)', [24]],
  ['R5 .... sc around .... 24', [24]],
  ['R5: sc around for 4 rounds (24)', [24, 24, 24, 24]],
  ['R5: sc around. Repeat for 3 more rounds (24)', [24, 24, 24, 24]],
  ['R5-8: 24 sc per round', [24, 24, 24, 24]],
  ['R5-8: sc in each st around (24 sts each round)', [24, 24, 24, 24]],
  ['Work 4 rounds of sc', [24, 24, 24, 24]],
  ['Sc 4 rounds even', [24, 24, 24, 24]],
  ['4 rounds sc', [24, 24, 24, 24]],
  ['Continue for 4 rounds', [24, 24, 24, 24]],
])('over a round of 24: %s', (line, counts) => {
  const { parts, problems } = analyseToy(below + line);
  expect(parts[0]!.checks.slice(4).map(({ worked }) => worked)).toEqual(counts);
  expect(problems.filter(({ severity }) => severity === 'error')).toEqual([]);
});

test.each([
  ['R2: 2 in each st (12)', 12],
  ['R2: dc in next, two in the next, repeat around (9)', 9],
  ['R2: (inc, 1) x 3 (9)', 9],
  ['R2: miss every other stitch (3)', 3],
  ['R2: even', 6],
  ['R2: inc in every other st (9)', 9],
  ['R2: (X, V)*3 (9)', 9],
])('words left out say nothing of US or UK: %s', (line, made) => {
  const { pattern, parts, problems } = analyseToy(`R1: 6 dc in ring (6)\n${line}\nR3: miss 1, dc around`);
  expect(pattern.terms).toEqual({ value: 'uk', source: 'words' });
  expect(parts[0]!.checks[1]!.worked).toBe(made);
  expect(problems.filter(({ code }) => code.startsWith('terms'))).toEqual([]);
});
