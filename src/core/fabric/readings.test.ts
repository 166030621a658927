import { analyseToy } from '../toy/analyse';

/** Stitches of each round of the first part, and the errors. */
function read(text: string) {
  const toy = analyseToy(`US terms\nHead\n${text}`);
  const errors = toy.problems.filter(({ severity }) => severity === 'error').map(({ code }) => code);
  return { counts: (toy.parts[0]?.checks ?? []).map(({ worked }) => worked), errors };
}

const start = 'R1: 6 sc in mr\nR2: inc x 6\nR3: (sc, inc) x 6\nR4: (2 sc, inc) x 6';

// Answers by hand, over 24 stitches, without a total that could help.
test.each<[string, number[]]>([
  ['R5: *sc in next 3, inc in next* repeat from * to * around', [30]],
  ['R5: [3 sc, inc] repeat 6 times', [30]],
  ['R5: sc in the first 3 sts, 2 sc in the next st; rep from beg around', [30]],
  ['R5: sc 3, inc, repeat to end', [30]],
  ['R5: 1 sc in next 3 st, 1 inc, repeat 5 more times', [30]],
  ['R5: sc in first st, inc, *3 sc, inc* 5 times, 2 sc', [30]],
  ['R5: 2 sc, inc, (3 sc, inc) x 5, sc', [30]],
  ['R5: 1sc, 1inc, {3sc, 1inc}*5, 2sc', [30]],
  ['R5: sc in each of next 10 sts, inc, sc in each of next 12 sts, inc', [26]],
  ['R5: 10 sc, 2 sc in next st, 12 sc, 2 sc in last st', [26]],
  ['R5: sc around, working in back loops only', [24]],
  ['R5: BLO: 24 sc', [24]],
  ['R5: sc2tog around', [12]],
  ['R5: (sc2tog, sc 2) 6 times', [18]],
  ['R5: *2 sc, invisible decrease; repeat from * 5 more times', [18]],
  ['R5: *2 sc, invisible decrease; repeat from * 5 times more', [18]],
  ['R5: *2 sc, dec; rep from * five more times.', [18]],
  ['R5: sc in next 2 sts, sc2tog, rep around', [18]],
  ['R5: skip 1, sc 23', [23]],
  ['R5: sc 8, ch 4, skip 4, sc 12', [24]],
  ['R5: sc 10, hdc 4, sc 10', [24]],
  ['R5: sl st 2, sc 20, sl st 2', [24]],
  ['R5: sc 6, bobble, sc 10, bobble, sc 6', [24]],
  ['R5: 24sc\nR6: 24sc', [24, 24]],
  ['R5 - R7: sc around (24)\nR8: (2 sc, dec) x 6 (18)', [24, 24, 24, 18]],
  ['R5 to 7: sc in each st (24)', [24, 24, 24]],
  ['R5 & R6: sc around', [24, 24]],
  ['R5+6: sc around', [24, 24]],
  ['R5, R6, R7: sc around', [24, 24, 24]],
  ['Rounds 5 through 8: sc in each stitch around', [24, 24, 24, 24]],
  ['Rnd 5-6 (2 rnds): sc in each st around [24 sts]', [24, 24]],
  ['R5: sc in each st around\nR6-8: repeat round 5', [24, 24, 24, 24]],
  ['R5: sc in each st around\nR6-8: same as R5', [24, 24, 24, 24]],
  ['R5: (sc 3, inc) x 6\nR6: sc\nR7: as R6', [30, 30, 30]],
  ['R5: sc around.\nContinue for 3 more rounds', [24, 24, 24, 24]],
  ['R5: sc 11, 3 sc in next, sc 11, 3 sc in next', [28]],
  ['R5: (sc, inc, sc) x 8', [32]],
  ['R5: sc 3, inc x 2, sc 6, inc x 2, sc 6, inc x 2, sc 3', [30]],
  ['R5: inc 3, sc 9, inc 3, sc 9', [30]],
  ['R5: 3 inc, 9 sc, 3 inc, 9 sc', [30]],
  ['R5: 3 x inc, 9 x sc, 3 x inc, 9 x sc', [30]],
  ['R5: (sc)3, (inc)3, (sc)18', [27]],
  ['R5: work 1 sc into each of the 24 stitches', [24]],
  ['R5: sc evenly around, decreasing 6 times evenly', [18]],
  ['R5: increase 6 stitches evenly', [30]],
  ['R5: inc 6 evenly spaced around', [30]],
  ['R5: sc in each st, increasing in every 4th st', [30]],
  ['R5: *dec, sc 2; rep from * around, sl st to join', [18]],
  ['R5: (dec, 2 sc) x 6, sl st, fasten off', [18]],
  ['R5: 4sc, dec, 4sc, dec, 4sc, dec, 4sc, dec', [20]],
  ['R5: (4 sc, dec) * 4', [20]],
  ['R5: [Sc 1 in next 2 sts, Inc in next st] x8', [32]],
  ['R5: Sc in next 2 st. Inc in next st. Repeat 8 times.', [32]],
  ['R5: 2 sc in each of next 6 sts, 1 sc in each of next 18 sts', [30]],
  ['R5: 2 sc in each of the first 6 sts, sc in remaining 18 sts', [30]],
  ['R5: inc in first 6 sts, sc in rem sts', [30]],
  ['R5: sc to last 3 sts, dec, sc', [23]],
  ['R5: dec, sc to the end', [23]],
  ['R5: dec twice, sc to the last 4 sts, dec twice', [20]],
  ['R5: sc in FLO around\nR6: sc around', [24, 24]],
  ['R5: ch 2, hdc in each st around, sl st to first hdc', [24]],
  ['R5: *sc 1, sc2tog* x 8', [16]],
  ['R5: (sc2tog, sc) around', [16]],
  ['R5: sc, dec around', [16]],
  ['R5: 24 sc. Change to white.\nR6: 24 sc', [24, 24]],
  ['R5: with white, 10 sc, with black 4 sc, with white 10 sc', [24]],
  ['R5: (white) 10 sc, (black) 4 sc, (white) 10 sc', [24]],
  ['R5: 10 sc in white, 4 sc in black, 10 sc in white', [24]],
  ['R5: sc3tog x 8', [8]],
  ['R5: (inc, sc in next 5 sts) 4x', [28]],
  ['R5: (inc, 5) x 4', [28]],
  ['R5: 5 sc, inc (x4)', [28]],
  ['R5: [5 sc, inc] 4 times = 28', [28]],
  ['R5: [5 sc, inc] 4 times => 28 sts', [28]],
  ['R5: sc all around (24)', [24]],
  ['R5: sc x 24', [24]],
  ['R5: sc x24 (24)', [24]],
  ['5. sc 24', [24]],
  ['5) (2sc, dec) x 6', [18]],
  ['5th round: (2sc, dec) x 6', [18]],
  ['Round five: (2sc, dec) x 6', [18]],
  ['R5: sc around, inc in each 3rd st', [32]],
  ['R5: sc with an increase every 4th stitch', [30]],
  ['R5: work 1 sc in each stitch, with 2 sc in every 4th st', [30]],
  ['R5: sc in every other stitch', [12]],
  ['R5: sc in every third st (8)', [8]],
  ['R5: triple inc, sc 23', [26]],
  ['R5: 1 sc per stitch', [24]],
  ['R5: one round plain', [24]],
  ['R5: sc in 12 sts, sc in the other 12 sts', [24]],
  ['R5: 6 repeats of (2 sc, dec)', [18]],
  ['R5: (2 sc, dec) • 6', [18]],
  ['R5: *sc 3, inc*, repeat from * to * until you have 30 sts', [30]],
  ['R5: decrease by 6 (18)', [18]],
  ['R5 (and R6): sc around', [24, 24]],
  ['Next round: sc around', [24]],
  ['R5: sc around\nRepeat last round twice.', [24, 24, 24]],
  ['R5: sc around\nR6: ditto', [24, 24]],
  ['R5: sc around\nR6-R7: as before', [24, 24, 24]],
  ['R5: sc(10), inc(2), sc(12)', [26]],
  ['R5: sc for 10 sts, inc for 2 sts, sc for 12', [26]],
  ['R5: sc 5, MB, sc 12, MB, sc 5', [24]],
  ['R5: sc 5, bobble (5 dc), sc 18', [24]],
  ['R5: sc 5, dc5tog in same st, sc 18', [24]],
  ['R5: sc 5, ch 3 picot, sc 19', [24]],
  ['R5: sl st, ch 1, sc in same st, sc 23', [24]],
  ['R5: (sc 3, inc) x 6. There should now be 30 stitches.', [30]],
  ['R5: (sc 3, inc) x 6, ending with 30 sts', [30]],
  ['R5: (sc 3, inc) x 6 (30 stitches at the end of this round)', [30]],
  ['R5: (sc 3, inc) x 6 (24+6=30)', [30]],
  ['R5: (sc 3, inc) x 6 (+6, 30)', [30]],
  ['R5: (sc 3, inc) x 6 30sc', [30]],
  ['R5: (sc 3, inc) x 6 - 30 sts. Place marker.', [30]],
])('over 24: %s', (line, counts) => {
  const { counts: found, errors } = read(`${start}\n${line}`);
  expect(errors).toEqual([]);
  expect(found.slice(4)).toEqual(counts);
});

test.each<[string, number[]]>([
  ['Row 1: ch 9, sc in 2nd ch from hook, sc in next 7\nRow 2: ch 1, turn, sc 8', [8, 8]],
  ['Ch 9\nRow 1: sc in second ch from hook and across (8)\nRow 2-5: ch 1, turn. sc across', [8, 8, 8, 8, 8]],
  [
    'Ch 9.\nRow 1: Starting in the 2nd ch from hook, sc in each ch across. Turn.\nRow 2: Ch 1, sc2tog, sc across to last 2 sts, sc2tog. Turn.',
    [8, 6],
  ],
  ['Row 1: ch 9, starting from the second chain: 8 sc\nRow 2: ch 1, turn, inc, 6 sc, inc', [8, 10]],
  [
    'Row 1 (RS): ch 6, sc in 2nd ch from hook and each ch across\nRow 2 (WS): ch 1, turn, sc in each st',
    [5, 5],
  ],
  ['R1: ch 6, sc in 2nd ch from hook, sc 3, 3 sc in last ch, working on other side: sc 3, inc', [12]],
  [
    'R1: Ch 6. Starting from 2nd ch: 4 sc, 3 sc in the last ch. Continue on the other side of the chain: 3 sc, 2 sc in the last',
    [12],
  ],
  [
    'R1: ch 5, 2 sc in 2nd ch from hook, sc in next 2 ch, 4 sc in last ch; on opposite side sc in next 2 ch, 2 sc in last ch',
    [12],
  ],
  ['R1: start 6 sc in a magic ring\nR2: 2 sc in every stitch', [6, 12]],
  ['R1: Magic ring with 6 sc\nR2: inc in all stitches', [6, 12]],
  ['R1: make 6sc into magic loop\nR2: inc every st', [6, 12]],
  ['R1: MC 6\nR2: inc*6', [6, 12]],
  ['R1: 6 sc in a magic circle, pull tight\nR2: 6 inc', [6, 12]],
  ['R1: ch 2, 6 sc in 2nd ch from hook\nR2: 6inc', [6, 12]],
  ['R1: ch 2, work 6 sc into the 2nd chain from the hook\nR2: 2sc in each sc around', [6, 12]],
  ['R1: ch 4, sl st in first ch to form ring, 8 sc in ring\nR2: inc around', [8, 16]],
  ['R1: 6X\nR2: 6V\nR3: (X,V)*6\nR4: (X,A)*6', [6, 12, 18, 12]],
  ['R1: 6sc\nR2: inc6', [6, 12]],
  ['1: 6 sc in mr (6)\n2: inc x6 (12)\n3-5: sc around (12)', [6, 12, 12, 12, 12]],
  ['Rnd 1. 6 sc in magic ring. (6 sts)\nRnd 2. Inc in each st around. (12 sts)', [6, 12]],
  ['First round: 6 sc in ring\nSecond round: inc around\nThird round: (sc 1, inc) around', [6, 12, 18]],
  ['R1: 5 sc in mr\nR2: inc, sc, inc, sc, inc', [5, 8]],
  ['R1: 8 sc in mr\nR2: (sc, inc) x 4\nR3: sc 4, skip 4, sc 4', [8, 12, 8]],
  ['R1: 6 sc in mr\nR2: inc x 6\nR3: BLO sc x 12\nR4: sc x 12\nFasten off', [6, 12, 12, 12]],
  ['R1: 6 sc in mr\nR2: inc x 6\nR3-4: 12 sc each\nR5: dec x 6', [6, 12, 12, 12, 6]],
  ['R1: 6 sc in mr\nR2: inc x 6\nR3, 4: sc\nR5: dec x 6', [6, 12, 12, 12, 6]],
  ['R1: 6 sc in mr\nR2: inc x 6\nNext 2 rounds: sc around\nNext round: dec x 6', [6, 12, 12, 12, 6]],
  ['R1: 6 sc in mr\nR2: inc x 6\nWork 2 rounds even\nR5: dec x 6', [6, 12, 12, 12, 6]],
  ['R1: 6 sc in mr\nR2: inc x 6\nR3-R4: work even\nR5: dec x 6', [6, 12, 12, 12, 6]],
  ['R1: 6 sc in mr\nR2: inc x 6\nR3-R4: even\nR5: dec x 6', [6, 12, 12, 12, 6]],
  ['R1: 6 sc in mr\nR2: inc x 6\nR3: sc around, 2 rounds\nR5: dec x 6', [6, 12, 12, 12, 6]],
  ['R1: 6 sc in mr\nR2: inc x 6\nR3: sc around. Repeat this round 3 times.', [6, 12, 12, 12, 12, 12]],
  [
    'R1: 6 sc in mr\nR2: inc x 6\nR3: sc around\nRepeat R3 2 more times\nR6: dec around',
    [6, 12, 12, 12, 12, 6],
  ],
  ['R1: 6 sc in mr\nR2: (inc) repeat 6 times\nR3: (sc 1, inc 1) repeat 6 times', [6, 12, 18]],
  ['R1: 6 sc in mr\nR2: inc in each st\nR3: 1 sc, inc - repeat around', [6, 12, 18]],
  ['R1: 6 sc in mr\nR2: inc in each st\nR3: sc, inc, repeat', [6, 12, 18]],
  ['R1: 6 sc in mr\nR2: inc in each st\nR3: (sc-inc) x 6', [6, 12, 18]],
  ['R1: 6 sc in mr\nR2: inc in each st\nR3: (1 sc + 1 inc) x 6', [6, 12, 18]],
  ['R1: 6 sc in mr\nR2: inc in each st\nR3: 6 x (1 sc, 1 inc)', [6, 12, 18]],
  ['R1: 6 sc in mr\nR2: inc in each st\nR3: /1 sc, 1 inc/ x 6', [6, 12, 18]],
  ['R1: 6 sc in mr\nR2: inc in each st\nR3: <1 sc, 1 inc> x 6', [6, 12, 18]],
  ['R1: 6 sc in mr\nR2: inc in each st\nR3: "sc, inc" x 6', [6, 12, 18]],
  ['R1: 6 sc in mr\nR2: inc in each st\nR3: (single crochet, increase) six times', [6, 12, 18]],
  [
    'R1: 6 sc in mr\nR2: inc in each st\nR3: single crochet 1, increase; repeat from beginning 5 more times',
    [6, 12, 18],
  ],
  ['R1: 6 sc in mr\nR2: inc in each st\nR3: dec 2x, 8 sc', [6, 12, 10]],
  ['R1: 6 sc in mr\nR2: inc in each st\nR3: 2 dec, 8 sc', [6, 12, 10]],
  ['R1: 6 sc in mr\nR2: inc in each st\nR3: 2 decs, 8 scs', [6, 12, 10]],
  ['R1: 6 sc in mr\nR2: inc in each st\nR3: sc across next 4 sts, dec, sc rest', [6, 12, 11]],
  ['R1: 6 sc in mr\nR2: inc in each st\nR3: sc 4, (dec) 2 times, sc 4', [6, 12, 10]],
])('a whole part: %s', (text, counts) => {
  expect(read(text)).toEqual({ counts, errors: [] });
});

test.each<[string, number[]]>([
  ['R2: sc around increasing every 3rd stitch', [8]],
  ['R2: sc around, inc every other st', [9]],
  ['R2: sc around, increase in every stitch', [12]],
  ['R2: sc around, working 2 sc in each st', [12]],
  ['R2: sc around, making an increase in every 2nd st', [9]],
])('what changes the count is worked among the plain stitches: %s', (line, counts) => {
  const { counts: found, errors } = read(`R1: 6 sc in mr\n${line}`);
  expect(errors).toEqual([]);
  expect(found.slice(1)).toEqual(counts);
});

test.each([
  ['R2: sc around, decreasing every 4th st', 'repeat-remainder'],
  ['R2: sc around, (3 sc, inc) around', 'nothing-left'],
])('what does not come out is asked about, never dropped: %s', (line, code) => {
  expect(read(`R1: 6 sc in mr\n${line}`).errors).toEqual([code]);
});

const row = 'Row 1: ch 9, sc in 2nd ch from hook and in each ch across, turn';
test.each<[string, number]>([
  ['Row 2: ch 1, sc2tog, sc across to last 2 sts, sc2tog, turn', 6],
  ['Row 2: ch 1, dec, sc to last 2 sts, dec. Turn.', 6],
  ['Row 2: Ch 1, dec, sc across, dec. Turn.', 6],
  ['Row 2: ch 1, turn, dec, sc in each st across to last 2, dec', 6],
  ['Row 2: ch 1, turn, inc in first st, sc across to last st, inc in last st', 10],
  ['Row 2: ch 1, turn, 2 sc in first st, sc in each st to last st, 2 sc in last st', 10],
  ['Row 2: ch 1, turn, skip first st, sc across', 7],
])('a row over 8 that ends otherwise than it goes on: %s', (line, count) => {
  expect(read(`${row}\n${line}`)).toEqual({ counts: [8, count], errors: [] });
});

test.each<[string, number]>([
  ['R3: sc around. Repeat this round 3 times.', 6],
  ['R3: sc around\nRepeat this round 3 times.', 6],
  ['R3: sc around; rep this rnd twice more', 5],
  ['R3: sc around. Do this 4 times in total', 6],
  ['R3: sc around. Repeat the last round 3 more times', 6],
  ['R3: sc around\nRepeat round 3 three more times.', 6],
])('a round that is said to come again: %s', (lines, rounds) => {
  const { counts, errors } = read(`R1: 6 sc in mr\nR2: inc x 6\n${lines}`);
  expect(errors).toEqual([]);
  expect(counts).toEqual([6, ...Array.from({ length: rounds - 1 }, () => 12)]);
});

const body = 'Body\nR1: 6 sc in mr\nR2: inc x 6\nR3: (sc, inc) x 6\nR4: (2 sc, inc) x 6\nR5: sc around';
test.each([
  'Rounds 1-4: Work as for the body. [24]',
  'R1-R4: same as body',
  'Rnds 1-4: as for rounds 1-4 of the body (24)',
  'R1-4: Same as for body [24]',
])('rounds of another part are worked again: %s', (line) => {
  const toy = analyseToy(`US terms\n${body}\n\nHead\n${line}\nR5: (3 sc, inc) x 6 [30]`);
  expect(toy.problems).toEqual([]);
  expect(toy.parts[1]!.checks.map(({ worked }) => worked)).toEqual([6, 12, 18, 24, 30]);
});

test('the total of rounds that are worked again is compared, and rounds that are not there are asked', () => {
  const codes = (line: string) =>
    analyseToy(`US terms\n${body}\n\nHead\n${line}`).problems.map(({ code }) => code);
  expect(codes('R1-R4: same as body (25)')).toEqual(['count-mismatch']);
  expect(codes('R1-R9: same as body')).not.toEqual([]);
  expect(codes('R1-R4: same as the tail')).not.toEqual([]);
});
