/** Whole patterns in different makers' manners, with the counts of every round worked out by hand, and the terms they turn out to be in. */
export interface PatternCase {
  name: string;
  text: string;
  terms: 'us' | 'uk';
  parts: { name: string; make: number; counts: number[]; start: string }[];
  notes: number;
}

const many = (n: number, count: number): number[] => Array.from({ length: count }, () => n);

export const patternCorpus: PatternCase[] = [
  {
    name: 'abbreviated',
    terms: 'us',
    notes: 0,
    text: 'PEA\nR1: 6 sc mr (6)\nR2: inc x6 (12)\nR3: (1sc, inc)x6 (18)\nR4-6: 18sc (18)\nR7: (1sc, dec)x6 (12)\nR8: dec x6 (6)\nFO, close.',
    parts: [{ name: 'PEA', make: 1, counts: [6, 12, 18, 18, 18, 18, 12, 6], start: 'ring' }],
  },
  {
    name: 'wordy',
    terms: 'us',
    notes: 2,
    text: 'The duckling\n\nI like a bright yellow for this one.\n\nHead\nRound 1: Start by working six single crochet into a magic ring. (6 stitches)\nRound 2: Work two single crochet in each stitch around. (12 stitches)\nRound 3: *Single crochet in the next stitch, two single crochet in the following stitch; repeat from * around. (18 stitches)\nRounds 4 through 7: Single crochet in each stitch around. (18 stitches)\nRound 8: *Single crochet in the next stitch, single crochet the next two stitches together; repeat from * around. (12 stitches)\nTake a break and have some tea.\nRound 9: Single crochet two together six times. (6 stitches)',
    parts: [{ name: 'Head', make: 1, counts: [6, 12, 18, 18, 18, 18, 18, 12, 6], start: 'ring' }],
  },
  {
    name: 'UK, declared, in rounds',
    terms: 'uk',
    notes: 0,
    text: 'Written in UK terms.\nMouse body\nRnd 1. 5 dc into ring. (5)\nRnd 2. 2 dc in every st. (10)\nRnd 3. (1 dc, 2 dc in next) to end. (15)\nRnds 4–9. Dc in every st. (15)\nRnd 10. (1 dc, dc2tog) 5 times. (10)\nRnd 11. dc2tog 5 times. (5)\nStuff before closing.',
    parts: [{ name: 'Mouse body', make: 1, counts: [5, 10, 15, ...many(15, 6), 10, 5], start: 'ring' }],
  },
  {
    name: 'UK by its words',
    terms: 'uk',
    notes: 0,
    text: 'Petal (make 5)\nR1: ch 2, 6 dc in 2nd ch from hook\nR2: 2 htr in next st, dc 2, 2 htr in next st, dc 2\nR3: miss 1, dc 7',
    parts: [{ name: 'Petal', make: 5, counts: [6, 8, 7], start: 'ring' }],
  },
  {
    name: 'joined rounds',
    terms: 'us',
    notes: 0,
    text: 'Basket\nRounds: joined\nRnd 1: 8 sc in magic ring, sl st to first st [8]\nRnd 2: ch 1, inc around, sl st to first st [16]\nRnd 3: ch 1, BLO sc in each st around, sl st to first st [16]\nRnds 4-6: ch 1, sc in each st around, join with sl st [16]',
    parts: [{ name: 'Basket', make: 1, counts: [8, 16, 16, 16, 16, 16], start: 'ring' }],
  },
  {
    name: 'bottom up, legs by name',
    terms: 'us',
    notes: 0,
    text: 'Gauge: 6 x 6 mm\nLegs, make 2\nStart: bottom\n1) 7 sc in ring = 7\n2) inc x 7 = 14\n3-5) sc around = 14\n6) dec x 2, sc around = 12\n7) sc around = 12\nStuff the foot firmly.',
    parts: [{ name: 'Legs', make: 2, counts: [7, 14, 14, 14, 14, 12, 12], start: 'ring' }],
  },
  {
    name: 'rows',
    terms: 'us',
    notes: 0,
    text: 'Scarf\nCh 7.\nRow 1: sc in 2nd ch from hook and in each ch across, turn. [6]\nRows 2-9: ch 1, sc in each st across, turn. [6]\nRow 10: ch 1, dec, sc 2, dec. [4]\nFasten off.',
    parts: [{ name: 'Scarf', make: 1, counts: [...many(6, 9), 4], start: 'row' }],
  },
  {
    name: 'an oval sole',
    terms: 'us',
    notes: 0,
    text: 'Sole\nR1: ch 8, sc in 2nd ch from hook, sc in next 5 ch, 3 sc in last ch, on the other side of the chain: sc in next 5, 2 sc in last [16]\nR2: inc, sc 5, inc 3, sc 5, inc 2 [22]\nR3: BLO sc around [22]\nR4-R6: sc around [22]',
    parts: [{ name: 'Sole', make: 1, counts: [16, 22, 22, 22, 22, 22], start: 'oval' }],
  },
  {
    name: 'a tube and a folded ear',
    terms: 'us',
    notes: 0,
    text: 'Neck\nR1: ch 20, join, sc in each ch around [20]\nR2-R4: sc around\n\nEar (make 2)\nR1: 6 sc in ring [6]\nR2: inc x 6 [12]\nR3: (sc, inc) x 6 [18]\nR4: fold in half, sc through both layers along the edge [9]\nSew the ears to the neck.',
    parts: [
      { name: 'Neck', make: 1, counts: [20, 20, 20, 20], start: 'tube' },
      { name: 'Ear', make: 2, counts: [6, 12, 18, 9], start: 'ring' },
    ],
  },
  {
    name: 'mixed signs, pasted from a page',
    terms: 'us',
    notes: 0,
    text: '<h2>Bee</h2>\r\n• Rnd&nbsp;1: 6 sc in MR &nbsp;[6]\r\n• Rnd 2: {inc} × 6 [12]\r\n• Rnd 3 – 5: sc around [12]\r\n• Rnd 6: change to yellow, [sc 4, dec] × 2 [10]\r\n',
    parts: [{ name: 'Bee', make: 1, counts: [6, 12, 12, 12, 12, 10], start: 'ring' }],
  },
  {
    name: 'a frill into loops left free',
    terms: 'us',
    notes: 0,
    text: 'Jellyfish\nR1: 6 sc in ring\nR2: inc around\nR3: (sc, inc) around\nR4: BLO: sc around\nR5: (sc, dec) around\nR6: dec around\nR7: into the unworked front loops of R3, inc in each st around [36]\nR8: (sc 5, ch 6, sl st in 2nd ch from hook, sc, hdc 3, sc) x 6 [36]',
    parts: [{ name: 'Jellyfish', make: 1, counts: [6, 12, 18, 18, 12, 6, 36, 36], start: 'ring' }],
  },
  {
    name: 'rounds repeated by number, one line left plain',
    terms: 'us',
    notes: 0,
    text: 'Caterpillar\nRnd 1: 8 sc in a ring\nRnd 2: inc in each st (16)\nRnds 3 & 4: sc around\nRnd 5: dec around (8)\nRepeat rounds 2 to 5 three times\nRnd 18: sc in next 3, 2 sc in next, twice (10)',
    parts: [
      {
        name: 'Caterpillar',
        make: 1,
        counts: [8, ...[0, 1, 2, 3].flatMap(() => [16, 16, 16, 8]), 10],
        start: 'ring',
      },
    ],
  },
  {
    name: 'left-handed header, colours by letter, taller stitches for a bend',
    terms: 'us',
    notes: 0,
    text: 'Toy: Bent leg\nHand: left\nYarn A: moss green\nYarn B: black\n\nLeg\nin B\nR1: 6 sc in ring [6]\nR2: inc around [12]\nR3: BLO sc around [12]\nR4: change to A, sc 4, hdc 4, sc 4 [12]\nR5: sc 4, dec x 2, sc 4 [10]\nR6-R8: sc around [10]',
    parts: [{ name: 'Leg', make: 1, counts: [6, 12, 12, 12, 10, 10, 10, 10], start: 'ring' }],
  },
];
