import { analyseToy } from '../toy/analyse';
import { readHeading } from './heading';
import { isGlossary } from './glossary';
import { canonical } from './manners';
import { readSentences } from './sentence/readSentences';

const below = 'R1: 6 sc in ring [6]\nR2: inc x 6 [12]\nR3: (sc, inc) x 6 [18]\nR4: (sc 2, inc) x 6 [24]\n';
const counts = (text: string) =>
  analyseToy(text).parts.flatMap(({ checks }) => checks.map(({ worked }) => worked));
const errors = (text: string) =>
  analyseToy(text)
    .problems.filter(({ severity }) => severity === 'error')
    .map(({ code }) => code);

// What each line comes to over 24 stitches, worked out by hand.
const manners: readonly [string, number[]][] = [
  ['R5-7 sc around', [24, 24, 24]],
  ['5) sc around, 2 rounds', [24, 24]],
  ['5) (2 sc, dec) 6 times. 18', [18]],
  ['5) sc even. 24', [24]],
  ['R5: (3 sc, inc) x 6, 30', [30]],
  ['Rounds 5 to 7 sc in each st', [24, 24, 24]],
  ['Rnds 5, 6 and 7: sc around', [24, 24, 24]],
  ['R5/6: sc around (24)', [24, 24]],
  ['From round 5 to round 7: sc around', [24, 24, 24]],
  ['R5-7 24 sc (24)', [24, 24, 24]],
  ['R5..7: 24 sc', [24, 24, 24]],
  ['R5-7 even', [24, 24, 24]],
  ['R5-7: work straight', [24, 24, 24]],
  ['R5-7: sc around, no increases (24)', [24, 24, 24]],
  ['R5: sc around, 3 rounds', [24, 24, 24]],
  ['R5 and following 2 rounds: sc around', [24, 24, 24]],
  ['Next 3 rounds: sc around', [24, 24, 24]],
  // As many rounds as it says, behind a label of one, or none.
  ['R5: sc around (3 rounds)', [24, 24, 24]],
  ['sc 24 (3 rounds)', [24, 24, 24]],
  ['- 24 sc [for 3 rnds]', [24, 24, 24]],
  ['sc around (24) - 2 rounds', [24, 24]],
  ['24 sc x 3 rounds', [24, 24, 24]],
  ['R5: sc around, 3 times (24)', [24, 24, 24]],
  ['R5: sc in each st around x3 (24)', [24, 24, 24]],
  ['R5: sc around. Repeat 2 more times (24)', [24, 24, 24]],
  ['R5: sc around, repeat twice more', [24, 24, 24]],
  ['R5: (2 sc, dec) around 6 times', [18]],
  ['R5-R7: sc around (3 rounds)', [24, 24, 24]],
  // Until which round, or how many there are.
  ['Work even until there are 7 rounds in all.', [24, 24, 24]],
  ['Continue in a spiral, working 1 sc in each st, until piece measures 7 rounds in total.', [24, 24, 24]],
  ['R5 onwards: sc around until the body is 7 rounds long', [24, 24, 24]],
  ['Sc around to R7 (24)', [24, 24, 24]],
  ['R5: sc 8, ch 4, skip 4, sc 12\nR6: sc in each st and ch', [24, 24]],
  ['No. 5: sc around (24)', [24]],
  ['Rnd. #5: sc around (24)', [24]],
  ['Nr 5-7: sc around', [24, 24, 24]],
  ['(R5) sc around (24)', [24]],
  ['(R5-R7) sc around', [24, 24, 24]],
  ['Work 4 more rounds even.', [24, 24, 24, 24]],
  ['Continue in sc for 3 more rounds.', [24, 24, 24]],
  ['R5: sc around\nRepeat last round 2 more times.', [24, 24, 24]],
  ['R5: sc around\nRepeat round 5 until round 8.', [24, 24, 24, 24]],
  ['R5: sc around\nRepeat the last round until you have 7 rounds in all.', [24, 24, 24]],
  ['R5: sc around for a total of 3 rounds (R5-R7)', [24, 24, 24]],
  ['Rounds five through seven: sc in each stitch (twenty-four each)', [24, 24, 24]],
  ['Round five: three sc, one increase, six times (thirty)', [30]],
  ['R5: sc around\nRnds 6 and 7: as rnd 5', [24, 24, 24]],
  ['R5: 1sc/st', [24]],
  ['R5: (1sc/st, 1sc/st, 2sc/st) around', [32]],
  ['R5: [cream: 3 sc, inc; brown: 3 sc, inc] x 3', [30]],
  ['R5: sc in each st, skipping every 4th st', [18]],
  ['R5: sc around, but skip every other st', [12]],
  ['R5: 1sc 1dec x 8', [16]],
  ['R5: sc around, decreasing 4 times evenly', [20]],
  ['R5-7: Work 3 rnds straight. [24 sts]', [24, 24, 24]],
  ['R5-6: 2 rounds of sc', [24, 24]],
  ['R5: increase by 6 evenly (30)', [30]],
  ['R5: decrease evenly by 4 (20)', [20]],
  ['R5: sc, inc, sc 2 around (30)', [30]],
  ['R5: sc, inc, sc 2 around', [30]],
  ['R5: sc 2, inc 2 around (36)', [36]],
  ['R5: 2 sc around (48)', [48]],
  ['R5: dec 6 around (18)', [18]],
  ['R5: in BLO, sc 24 around', [24]],
  ['R5: 3, inc around (30)', [30]],
  ['R5: 4, inc, 5, inc, 5, inc, 5, inc, 1 (28)', [28]],
  ['R5: (3 sc, inc) 6 [30]', [30]],
  ['R5: 3 sc, then double the next, all around (30)', [30]],
  ['R5: *3 in A, 3 in B* around', [24]],
  ['R5: green 6, white 12, green 6 (24)', [24]],
  ['R5: A 3, B 3 - repeat around (24)', [24]],
  ['R5: sc 5, ch 3, sc in 2nd ch from hook and next ch, sl st into base, sc 17, inc, inc (26)', [26]],
  ['R5: ch 3 (counts as first dc), dc in next 23 sts, join to top of ch-3 (24)', [24]],
  ['R5: ch 1, sc around, sl st to beginning ch-1 (24)', [24]],
  ['R5-7: increase 6 evenly each round (42)', [30, 36, 42]],
  ['R5-7: increase 6 stitches in every round (30, 36, 42)', [30, 36, 42]],
  ['R5-7: inc 6 sts evenly in each round [30] [36] [42]', [30, 36, 42]],
  ['R5-7: sc 5, inc, sc to end (27)', [25, 26, 27]],
  ['3 rounds of 24 sc', [24, 24, 24]],
  ['Crochet 3 rounds without increases', [24, 24, 24]],
  ['Work 3 more rounds in sc without increasing (24)', [24, 24, 24]],
  ['R5: Work 2 single crochet stitches into each stitch around. (48)', [48]],
  ['5) 2sc in each', [48]],
  ['R5: *3, inc* x 6 (30)', [30]],
  ['R5-24 sc (24)', [24]],
  ['R5 - 24 sc', [24]],
  ['R5 (increase round): (sc 3, inc) x 6', [30]],
  ['*R5:* (3 sc, inc) x 6', [30]],
  ['#5: (3 sc, inc) x 6', [30]],
  ['5 | (3 sc, inc) x 6 | 30', [30]],
  ['5\t(3 sc, inc) x 6\t30', [30]],
  ['R5: sc 3, inc around (30)', [30]],
  ['R5: 3 sc, inc to end', [30]],
  ['R5: inc in every 4th st', [30]],
  ['R5: increase 6 times evenly around', [30]],
  ['R5: inc 6 sts evenly (30)', [30]],
  ['R5: (3 sc inc) x 6 (30)', [30]],
  ['R5: 6 times (3 sc, inc)', [30]],
  ['R5: (sc 3, 2 sc in same st) x 6 (30)', [30]],
  ['R5: (3 sc, inc) x 6 => 30', [30]],
  ['R5: (3 sc, inc) x 6. You now have 30 sts.', [30]],
  ['R5: (3 sc, inc) x 6 (now 30 sts)', [30]],
  ['R5: (2 sc, dec) x 6', [18]],
  ['R5: (2 sc, 2 sc tog) x 6', [18]],
  ['R5: dec evenly 6 times', [18]],
  ['R5: dec every 3rd and 4th st', [18]],
  ['R5: (2 sc dec) x 6', [18]],
  ['R5: 2 hdc together around', [12]],
  ['R5: sc 5, bobble, sc 5, popcorn in next st, sc 12 (24)', [24]],
  ['R5: sc 5, 5-dc bobble in next st, sc 18', [24]],
  ['R5: ch 1 (does not count), sc around, sl st to first st (24)', [24]],
  ['R5: 6x inc, 18 sc', [30]],
  ['R5: inc*6, sc 18', [30]],
];

test.each(manners)('%s', (line, expected) => {
  expect(counts(below + line).slice(4)).toEqual(expected);
  expect(errors(below + line)).toEqual([]);
});

test('where the words and the total fit neither reading it is an error, not a guess', () => {
  expect(errors(`${below}R5: sc 3, inc around (31)`)).toEqual(['count-mismatch']);
  expect(errors(`${below}R5: inc 6 sts evenly (31)`)).toEqual(['count-mismatch']);
});

test('places in the line stay where they were', () => {
  for (const [line] of manners) expect(canonical(line).line).toHaveLength(line.length);
  const [problem] = analyseToy(`${below}Rounds 5 to 7 sc around (25)`).problems;
  expect(
    problem!.suggestions.flatMap(({ edits }) => edits).every(({ text }) => !text.includes('undefined')),
  ).toBe(true);
});

test('a first row and a joined ring: the chains that only lift the yarn do not count', () => {
  expect(counts('Row 1: ch 9, sc in 2nd ch from hook, sc 7, ch 1, turn (8)\nRow 2: sc 8 (8)')).toEqual([
    8, 8,
  ]);
  expect(
    counts(
      'R1: ch 1, 6 sc in ring, sl st in first sc, ch 1 (6)\nR2: inc around, sl st in first sc, ch 1 (12)',
    ),
  ).toEqual([6, 12]);
});

test('sentences on the line of a round are kept', () => {
  const toy = analyseToy(
    `Head\n${below}R5-R9: sc around (24). Insert 8 mm eyes between R6 and R7, 4 stitches showing.\nR10: (sc 2, dec) x 6 (18) Fasten off, leaving a long tail. Do not stuff.\n`,
  );
  expect(toy.parts[0]!.checks.map(({ worked }) => worked)).toEqual([6, 12, 18, 24, 24, 24, 24, 24, 24, 18]);
  expect(toy.parts[0]!.eyes).toMatchObject({ gap: [6, 7], apart: 5 });
  expect(toy.parts[0]!.stops.stops.flatMap(({ acts }) => acts.map(({ act }) => act))).not.toContain('stuff');
});

test.each([
  'No need to stuff.',
  'The arms are not stuffed.',
  'Skip the stuffing.',
  'It is better not to stuff the arms.',
  'Stuffing is not needed.',
  'Arms stay empty.',
  "Don't stuff.",
])('%s: it is left empty', (sentence) => {
  expect(readSentences(sentence, 1)).toMatchObject([{ kind: 'stuff', firmness: 'none' }]);
});

test.each(["Don't stuff the last 4 rounds.", 'Do not stuff too firmly.', 'Stuff the lower half.'])(
  '%s: it is stuffed all the same',
  (sentence) => {
    const [stuff] = readSentences(sentence, 1);
    expect(stuff?.kind === 'stuff' && stuff.firmness !== 'none').toBe(true);
  },
);

test.each<[string, string, number]>([
  ['Arm 2x', 'Arm', 2],
  ['2 ears', 'ears', 2],
  ['Part 1: Head', 'Head', 1],
  ['A. HEAD', 'HEAD', 1],
  ['For the head:', 'head', 1],
  ['Spots – 3 pcs', 'Spots', 3],
  ['Ears. Make 2.', 'Ears', 2],
])('%s is a heading', (line, name, make) => {
  expect(readHeading(line)).toMatchObject({ name, make });
});

test('a list of abbreviations makes no part and no round', () => {
  for (const line of [
    'sc: single crochet',
    'inc – work 2 sc in next st',
    'sc2tog: single crochet 2 stitches together',
    'st(s) = stitch(es)',
  ])
    expect(isGlossary(line)).toBe(true);
  for (const line of ['sc 3, inc', 'R1: 6 sc in ring', 'inc x 6 [12]', 'ch 12, join'])
    expect(isGlossary(line)).toBe(false);
  expect(
    counts('sc: single crochet\ndec – decrease: sc 2 together\n\nHead\nR1: 6 sc in ring\nR2: inc x 6'),
  ).toEqual([6, 12]);
});

test.each(['switch to C2, sc around', 'with C2, sc around', 'sc 24 in C2'])(
  'a yarn called by letter and number, in “%s”, is not lost',
  (work) => {
    const toy = analyseToy(`Yarn C1: white\nYarn C2: red\n${below}R5: ${work} [24]`);
    expect(toy.problems.map(({ code }) => code)).toEqual([]);
    expect(JSON.stringify(toy.pattern)).toMatch(/"(name|colour)":"C2","?/);
    expect(counts(`Yarn C1: white\nYarn C2: red\n${below}R5: ${work} [24]`).at(-1)).toBe(24);
  },
);

test.each(['(count: 24 sc)', '(now: 24 sc)', '(front: 12 sc; back: 12 sc)'])(
  'a word before a colon is no colour: %s',
  (words) => {
    const [part] = analyseToy(`${below}R5: sc around ${words}`).parts;
    expect(part!.fabric.palette).toEqual(['']);
  },
);

test.each([
  ['R5: sc in each stitch (twenty-three)', 23],
  ['R5: (3 sc, inc) x 6 (thirty one stitches)', 31],
  ['R5: sc in each stitch: twenty sts', 20],
])('a total in words holds: %s', (line, said) => {
  expect(analyseToy(below + line).problems).toMatchObject([
    { code: 'count-mismatch', message: expect.stringContaining(`says ${said}`) },
  ]);
});

test('a word and a number between commas is a stitch that is asked about', () => {
  for (const work of ['foo 3, inc', 'sc 3, foo 3, sc 6']) {
    const { problems } = analyseToy(`${below}R5 ${work} [24]`);
    expect(problems.map(({ code }) => code)).toEqual(['unknown-stitch']);
    expect(problems[0]?.message).toContain('“foo 3”');
  }
  const { problems } = analyseToy(`${below}R5: sc around. Then 18 [24]`);
  expect(problems.flatMap(({ suggestions }) => suggestions).filter(({ title }) => /“”/.test(title))).toEqual(
    [],
  );
});

test('rounds in the words of a sentence keep their place', () => {
  const line = 'Put the eyes between the fourth and fifth row, 5 stitches showing.';
  const [eyes] = readSentences(line, 1);
  expect(eyes).toMatchObject({ kind: 'feature', feature: 'eyes', gap: [4, 5], showing: 5 });
  const spans = eyes?.roundNumbers?.flat().map(({ span }) => line.slice(span.from, span.to));
  expect(spans).toEqual(['fourth', 'fifth']);
});

test.each([
  'R1: ch 3, sl st to form a ring, ch 1, 8 sc in ring (8)',
  'R1: ch 3, slip stitch in first chain to form a circle, 8 sc in ring (8)',
  'R1: ch 4, ss to make a loop, ch 1, 8 sc into loop (8)',
  'R1: ch 3, join with sl st to form a ring, ch 1, 8 sc in ring (8)',
])('what closes a ring of chains is no stitch of its round: %s', (line) => {
  const toy = analyseToy(`Terms: US\nHat\n${line}\nR2: 2 sc in each st (16)`);
  expect(toy.parts.map(({ checks }) => checks.map(({ worked }) => worked))).toEqual([[8, 16]]);
  expect(toy.problems).toEqual([]);
});

test('a number before *around* that leaves stitches over is told, not stretched', () => {
  expect(counts(`${below}R5: sc 20 around`).at(-1)).toBe(20);
  expect(errors(`${below}R5: sc 20 around`)).toEqual(['stitches-left']);
});

test('each total of a range is compared with its own round', () => {
  const problems = analyseToy(`${below}R5-7: inc 6 evenly each round (30, 37, 42)`).problems;
  expect(problems.filter(({ code }) => code === 'count-mismatch').map(({ round }) => round)).toEqual([6]);
});

test.each([
  ['R5-R8: sc around for 3 rounds', 4],
  ['R5-R8: sc around (3 rounds)', 4],
  ['R5-R6: sc around for 5 rounds (24)', 2],
])('%s: that label and number differ is told, and the label is taken', (line, rounds) => {
  const toy = analyseToy(`Ball\n${below}${line}\n`);
  expect(toy.parts[0]!.checks).toHaveLength(4 + rounds);
  expect(toy.problems.map(({ code, line: at }) => [code, at])).toContainEqual(['rounds-differ', 6]);
});

test.each([
  ['Work even until it measures 4 cm.', '4 cm'],
  ['Sc in each st for 2 inches', '2 inches'],
  ['R5: sc around until the piece is 3,5 cm long', '3,5 cm'],
  ['Continue for 3 cm, stuffing as you go', '3 cm'],
  ['Continue in this way until it measures 5 cm', '5 cm'],
])('%s: for how many rounds is asked, and none are made up', (line, length) => {
  const toy = analyseToy(`Ball\n${below}${line}\n`);
  expect(toy.parts[0]!.checks).toHaveLength(4);
  const told = toy.problems.filter(({ code }) => code === 'rounds-by-length');
  expect(told.map(({ line: at, facts }) => [at, facts])).toEqual([[6, { line: 6, length }]]);
  expect(toy.pattern.notes.map(({ text }) => text)).toEqual([line]);
});

test('what is said beside a setting of the part is not lost with it', () => {
  const { pattern } = analyseToy(
    `Ball\n${below}Work in a spiral. Put the eyes between R3 and R4, 5 apart. Mark the first stitch.\nR5: sc around\n`,
  );
  const [part] = pattern.parts;
  expect(part!.steps.map(({ kind }) => kind)).toEqual(['feature']);
  expect(part!.joined).toBe(false);
});

test.each(['Continue in this way until R7.', 'Continue until there are 7 rounds.', 'Go on to round 5.'])(
  '%s: what may go on increasing is not taken to be plain',
  (line) => {
    const { parts, pattern } = analyseToy(`Ball\n${below}${line}\n`);
    expect(parts[0]!.checks).toHaveLength(4);
    expect(pattern.notes.map(({ text }) => text)).toEqual([line]);
  },
);

test.each([
  'Start with an adjustable ring, 6 sc into it.',
  'Form a ring, 6 sc in it.',
  'Form a magic ring and work 6 sc into the centre',
  'Create a magic loop and crochet 6 sc into it',
  'Make a ring, sc 6 into the middle of it',
  'Make a magic ring. 6 sc in it. (6)',
  'Make a slip knot, ch 2, 6 sc in 2nd ch from hook.',
  'Slip knot on hook, ch 2, 6 sc in 2nd ch from hook',
  'R1: Slip knot, ch 2, then 6 sc in the 2nd ch from hook (6)',
])('%s is the first round', (first) => {
  const toy = analyseToy(`Ball\n${first}\nR2: inc x 6 (12)`);
  expect(toy.parts[0]!.checks.map(({ worked }) => worked)).toEqual([6, 12]);
  expect(toy.problems).toEqual([]);
});

test('`it` is a ring only where one was named, and a slip knot alone is no round', () => {
  const toy = analyseToy('Head\nR1: 6 sc in ring (6)\nR2: inc x 6 (12)\nMake a slip knot and put it aside.');
  expect(toy.parts[0]!.checks.map(({ worked }) => worked)).toEqual([6, 12]);
  expect(toy.pattern.notes.map(({ text }) => text)).toEqual(['Make a slip knot and put it aside.']);
});
