import { analyseToy } from '../toy/analyse';
import { unfolded } from './unfold';

/** Whole pieces in the manners of different makers, with the stitches of every round worked out by hand. */
const pieces: readonly [text: string, counts: number[]][] = [
  [
    'US\nBall\nRnd 1: Ch 2, work 6 sc into second chain from hook. (6)\nRnd 2: work 2 sc in every st (12)\nRnd 3: *work 1 sc, then 2 sc in next st* six times (18)\nRnd 4: *1 sc in each of next 2 sts, 2 sc in next* around (24)\nRnds 5, 6, 7: 1 sc in each st (24)\nRnd 8: *1 sc in each of next 2 sts, dec over next 2* around (18)\nRnd 9: *1 sc, sc2tog* 6x (12)\nRnd 10: sc2tog all around (6)',
    [6, 12, 18, 24, 24, 24, 24, 18, 12, 6],
  ],
  [
    'Terms: US\nFoot\nCh 7.\nR1: inc in 2nd ch, 4 sc, 4 sc in last ch, turn to work along the bottom, 4 sc, 2 sc in last (16)\nR2: 2 inc, 4 sc, 4 inc, 4 sc, 2 inc (24)\nR3: sc in BLO around (24)',
    [16, 24, 24],
  ],
  [
    'Terms: US\nSnout: ch 5, sc in 2nd ch from hook, 2 sc, 3 sc in last ch, working on the opposite side: 2 sc, 2 sc in the same ch as first st (10)\nR2: 2 sc in first st, 2 sc, (2 sc in next) x3, 2 sc, (2 sc in next) x2 (16)',
    [10, 16],
  ],
  [
    'Terms: US\nEar\nR1. 4 sc in mr\nR2. (1 sc, 1 inc) x 2 [6]\nR3. (2 sc, 1 inc) x 2 [8]\nR4. (3 sc, 1 inc) twice [10]\nR5-7. 10 sc [10]',
    [4, 6, 8, 10, 10, 10, 10],
  ],
  [
    'Terms: US\nLeg\n1) 6sc into MC\n2) 6x inc =12\n3) 12sc\n4) 3x dec, 6sc = 9\n5-10) 9sc each',
    [6, 12, 12, 9, 9, 9, 9, 9, 9, 9],
  ],
  [
    'Terms: US\nHead\nRound 1: start 6 single crochet in a magic ring (6 st)\nRound 2: increase in all 6 st (12 st)\nRound 3: (sc in next st, inc in next st) repeat 6 times (18 st)\nRound 4: (sc in next 2 st, inc in next st) repeat 6 times (24 st)\nRound 5 - 9: sc in all 24 st (24 st)\nRound 10: (sc in next 2 st, dec) repeat 6 times (18 st)',
    [6, 12, 18, 24, 24, 24, 24, 24, 24, 18],
  ],
  [
    'Terms: US\nTail\nR1: MR 5 (5)\nR2: inc 5 (10)\nR3: BLO sc 10 (10)\nR4: sc 3, inc, sc 2, inc, sc 3 (12)\nR5: sc (12)\nR6: sc, dec, repeat to end (8)\nR7: dec 4 (4)',
    [5, 10, 10, 12, 12, 8, 4],
  ],
  [
    'Terms: US\nWing\nRow 1: Ch 6, turn, sc in 2nd ch and across (5)\nRow 2: Ch1, turn, 2 sc in first, sc to last, 2 sc in last (7)\nRow 3: Ch1, turn, sc across (7)\nRow 4: Ch1, turn, sc2tog, sc 3, sc2tog (5)\nRow 5: Ch 1, turn, sc2tog, sc, sc2tog (3)\nRow 6: ch 1, turn, sc3tog (1)',
    [5, 7, 7, 5, 3, 1],
  ],
  [
    'Terms: US\nBody\nR1: 8 sc in ring\nR2: 2 sc in each sc: 16\nR3: *sc in next sc, 2 sc in next sc; rep from * around: 24\nR4: *sc in each of next 3 sc, sc2tog; rep from * 3 more times, sc in last 4 sc: 20',
    [8, 16, 24, 20],
  ],
  [
    'Terms: UK\nBody\nR1: 6 dc in ring\nR2: 2 dc in each dc (12)\nR3: (1 dc, 2 dc in next) to end (18)\nR4: dc2tog, 14 dc, dc2tog (16)\nR5: 1 htr in each st (16)',
    [6, 12, 18, 16, 16],
  ],
  [
    'Terms: US\nHead\nR1: 7 sc in MR\nR2: inc x7\nR3: [sc, inc] x7\nR4: [sc, inc, sc] x7\nR5: [3 sc, inc] x 7\nR6-R8: [35]\nR9: [3 sc, dec] x 7',
    [7, 14, 21, 28, 35, 35, 35, 35, 28],
  ],
  [
    'Terms: US\nArm\n1 rnd: 6 sc in ring (6)\n2 rnd: (inc) * 6 (12)\n3-4 rnd: 12 sc (12)\n5 rnd: sc3, dec3x, sc3 (9)\n6 - 12 rnd: sc 9 (9)\n13 rnd: 3 dec, 3 sc (6)',
    [6, 12, 12, 12, 9, 9, 9, 9, 9, 9, 9, 9, 6],
  ],
  ['Terms: US\nScarf\nCh 41. Row 1: hdc in 3rd ch from hook and each ch across (39). Fasten off.', [39]],
  [
    'Terms: US\nCap\nR1: Into a magic ring, ch 2 (does not count), 8 hdc, sl st to first hdc (8)\nR2: ch 2, 2 hdc in each st, join (16)\nR3: ch 2, *hdc, 2 hdc in next*, join (24)\nR4: ch 1, sc in each, join (24)',
    [8, 16, 24, 24],
  ],
  [
    'Terms: US\nHead\nR1 - 6 sc in ring - 6\nR2 - 6 inc - 12\nR3 - 6 x (1 sc, inc) - 18\nR4 - 6 x (2 sc, inc) - 24\nR5 - 24 sc - 24\nR6 - 6 x (2 sc, dec) - 18',
    [6, 12, 18, 24, 24, 18],
  ],
  [
    'Terms: US\nEgg\nR1: 6 sc in magic ring\nR2: [inc] rep x6 (12)\nR3: [1 sc, inc] rep x6 (18)\nR4: 18 sc\nR5: [5 sc, inc] rep x3 (21)\nR6 to R9: 21 sc\nR10: [5 sc, dec] rep x3 (18)',
    [6, 12, 18, 18, 21, 21, 21, 21, 21, 18],
  ],
  [
    'Terms: US\nHead\nR1: MR6\nR2: 6V\nR3: (X,V)6\nR4: (2X,V)6\nR5-R7: 24X\nR8: (2X,A)6\nR9: (X,A)6\nR10: 6A',
    [6, 12, 18, 24, 24, 24, 24, 18, 12, 6],
  ],
  [
    'Terms: US\nTentacle (make 8)\nRow 1: Ch 20, starting in the second chain from the hook 2 sc in each ch (38)',
    [38],
  ],
  [
    'Terms: US\nBody\nR1: 6 sc mr\nR2: inc*6 (12)\nR3: 1sc 1inc *6 (18)\nR4: 2sc 1inc *6 (24)\nR5: 24sc\nR6: 2sc 1dec *6 (18)',
    [6, 12, 18, 24, 24, 18],
  ],
  [
    'Terms: US\nBody\nR1: 6 sc in MR [6]\nR2: inc [12]\nR3: sc, inc [18]\nR4: sc, sc, inc [24]\nR5: sc [24]\nR6: sc, sc, dec [18]\nR7: sc, dec [12]\nR8: dec [6]',
    [6, 12, 18, 24, 24, 18, 12, 6],
  ],
  [
    'Terms: US\nHorn\nR1: 4 sc in MR (4)\nR2: sc 4 (4)\nR3: inc, sc 3 (5)\nR4: sc 5 (5)\nR5: inc, sc 4 (6)\nR6: inc, sc to end (7)\nR7: sc 3, inc, sc to end (8)',
    [4, 4, 5, 5, 6, 7, 8],
  ],
  [
    'Terms: US\nHead\nR1: 6 sc in MR (6)\nR2: 2 sc in each st around (12 sc)\nR3: *1 sc, 2 sc in next st*; repeat from * to * 6 times (18 sc)\nR4: *2 sc, 2 sc in next st*; repeat between * * 6 times (24 sc)\nR5: *3 sc, 2 sc in next st*, repeat from * around (30 sc)\nR6: 30 sc\nR7: sc evenly around',
    [6, 12, 18, 24, 30, 30, 30],
  ],
  [
    'Terms: US\nPaw\nR1: 5sc in magic ring [5]\nR2: 5inc [10]\nR3-5: 10sc [10]\nR6: 2sc, bobble, 1sc, bobble, 1sc, bobble, 3sc [10]\nR7: 10sc [10]',
    [5, 10, 10, 10, 10, 10, 10],
  ],
  [
    'Terms: US\nShell\nR1: 6 sc in ring\nR2: inc x 6 (12)\nR3: FLO: (sc, hdc, 3 dc in next, hdc) x 3 (18)',
    [6, 12, 18],
  ],
  [
    'Terms: US\nMuzzle\nR1: Ch 8. Starting from 2nd ch from hook: 6 sc, 3 sc in last ch. On the other side of the chain: 5 sc, 2 sc in last. (16)\nR2: inc, 5 sc, 3 inc, 5 sc, 2 inc (22)',
    [16, 22],
  ],
  [
    'Terms: US\nHead\nR1: 6 sc in MR (6)\nR2: (inc) 6 times (12)\nR3: (sc 1, inc 1) 6 times (18)\nR4: sc 1, inc 1, (sc 2, inc 1) 5 times, sc 1 (24)\nR5: (sc 3, inc 1) 6 times (30)\nR6: sc 2, inc 1, (sc 4, inc 1) 5 times, sc 2 (36)',
    [6, 12, 18, 24, 30, 36],
  ],
  [
    'Terms: US\nNeck\nChain 18 and join into a ring without twisting.\nRound 1: sc in every chain (18)\nRounds 2 and 3: sc in every stitch\nRound 4: *decrease, sc in the next 4* 3 times (15)',
    [18, 18, 18, 15],
  ],
  [
    'Terms: US\nHead\nR1: 6 sc in MR (6)\nR2: inc every stitch (12)\nR3: inc every second stitch (18)\nR4: inc every third stitch (24)\nR5-R8: one round each of 24 sc\nR9: dec every third and fourth stitch together (18)',
    [6, 12, 18, 24, 24, 24, 24, 24, 18],
  ],
  [
    'Terms: US\nLeg\nRound 1 6 sc in a magic circle\nRound 2 inc in each (12)\nRound 3 sc in each around\nRound 4 repeat round 3\nRound 5 repeat round 3\nRound 6 sc 3, dec 3 times, sc 3 (9)',
    [6, 12, 12, 12, 12, 9],
  ],
  [
    'Terms: US\nArm\nR1. 6 scs in MR\nR2. 2 scs in each st. 12\nR3 - R10. sc. 12\nR11. dec, 10 sc. 11',
    [6, 12, 12, 12, 12, 12, 12, 12, 12, 12, 11],
  ],
  [
    'Terms: US\nBody\nR1: MR, 6 sc\nR2: 6 inc\nR3: 6 (1 sc + 1 inc)\nR4: 6 (2 sc + 1 inc)\nR5: 6 (3 sc + 1 inc)\nR6 / R7 / R8: 30 sc\nR9: 6 (3 sc + 1 dec)',
    [6, 12, 18, 24, 30, 30, 30, 30, 24],
  ],
  [
    'Terms: US\nFin\nRow 1: ch 7, sc 6 starting in 2nd ch (6)\nRow 2: turn, ch 1, dec, sc 2, dec (4)\nRow 3: turn, ch 1, sc 4\nRow 4: turn, ch 1, dec, dec (2)',
    [6, 4, 4, 2],
  ],
  [
    'Terms: US\nHead (color: tan)\nR1: 6 sc into an adjustable loop, pull closed [6]\nR2: 2 sc ea st [12]\nR3: *sc 1, 2 sc next st* x6 [18]\nR4: *sc 2, 2 sc next st* x6 [24]\nR5: sc ea st [24]\nR6: *sc 2, sc2tog* x6 [18]',
    [6, 12, 18, 24, 24, 18],
  ],
  [
    'Terms: US\nBody\nIn brown:\nR1: sc 6 in MR (6)\nR2: inc in each sc (12)\nR3: *sc, inc* repeat around (18)\nR4: sc in each sc around, change to cream in last st (18)\nR5: (cream) sc around (18)\nR6: *sc in 4, dec* x3 (15)\nR7: *sc in 3, dec* around (12)',
    [6, 12, 18, 18, 18, 15, 12],
  ],
  [
    'Terms: US\nEar, make two\nch 4\nR1: sc in 2nd ch, sc in next, 3 sc in last; other side: sc, 2 sc in last [8]\nR2: 2 sc in first, sc, 2 sc in each of next 3, sc, 2 sc in each of last 2 [14]',
    [8, 14],
  ],
  [
    'Terms: US\nHat brim\nR1: ch 30, sl st to join, sc 30 (30)\nR2: (sc 4, inc) x6 (36)\nR3: (sc 5, inc) x6 (42)',
    [30, 36, 42],
  ],
  [
    'Terms: US\nSnail shell\nRow 1: ch 31, sc in 2nd ch from hook, sc in each ch to end (30)\nRow 2: ch 1, turn, *sc in next 4, inc* to end (36)\nRow 3: ch 1 and turn, hdc in each st (36)',
    [30, 36, 36],
  ],
  [
    'Terms: US\nHead\nRd 1: 6 sc in MR (6 sts)\nRd 2: Inc 6 times (12 sts)\nRd 3: [1 sc, 1 inc] 6 times (18 sts)\nRd 4: 1 sc, 1 inc, [2 sc, 1 inc] 5 times, 1 sc (24 sts)\nRds 5-7: 1 sc in each st (24 sts per round)\nRd 8: 1 sc, 1 dec, [2 sc, 1 dec] 5 times, 1 sc (18 sts)\nRd 9: [1 sc, 1 dec] 6 times (12 sts)\nRd 10: 6 dec (6 sts)',
    [6, 12, 18, 24, 24, 24, 24, 18, 12, 6],
  ],
  [
    'Terms: US\nStar\nR1: 5 sc in MR (5)\nR2: inc x5 (10)\nR3: *ch 4, sl st in 2nd ch from hook, sc, hdc, sl st in next 2 sts* x5',
    [5, 10, 10],
  ],
  [
    'Terms: US\nCone\nR1: 4 sc in mr (4)\nR2: sc around (4)\nR3: inc in 1st, sc in rest (5)\nR4: sc around (5)\nR5: inc in first st, sc in remaining sts (6)\nR6: (inc, sc 2) 2x (8)',
    [4, 4, 5, 5, 6, 8],
  ],
  ['Terms: US\nLeaf\nRow 1: Ch 8, sl st in 2nd ch from hook, sc 1, hdc 1, dc 2, hdc 1, sc 1 (7)', [7]],
  [
    'Terms: US\nBody\nR1: ch 2, 7 sc in second ch from hook\nR2: inc in every st - 14\nR3: inc in every other st - 21\nR4: inc in every 3rd st - 28\nR5 to R10: sc in every st - 28\nR11: dec after every 2 sc - 21',
    [7, 14, 21, 28, 28, 28, 28, 28, 28, 28, 21],
  ],
  [
    'Terms: US\nPear\nRound 1: 8sc in MR\nRound 2: 8inc (16)\nRound 3: (1sc, inc, 1sc, 1sc, inc, 3sc) x2 (20)\nRound 4: 20sc\nRound 5: 9sc, inc, 9sc, inc (22)',
    [8, 16, 20, 20, 22],
  ],
  [
    'Terms: US\nTail\nRnd 1: 6 sc in MR [6]\nRnds 2-4: 6 sc [6]\nRnd 5: 2 sc in next st, 5 sc [7]\nRnds 6 – 9: 7 sc [7]\nRnd 10: 3 inc, 4 sc [10]',
    [6, 6, 6, 6, 7, 7, 7, 7, 7, 10],
  ],
  [
    'Terms: US\nBeak\nR1: 5 sc in MR\nR2: *2 sc in next st, 1 sc in next; repeat from *, 2 sc in last st (8)\nR3: 8 sc',
    [5, 8, 8],
  ],
  [
    'UK terms\nScarf\nRow 1: 41 ch, 1 dc in second ch from hook, 1 dc in each ch to end, turn. (40 dc)\nRow 2: 1 ch, 1 dc in each dc to end (40 dc)',
    [40, 40],
  ],
  [
    'Terms: US\nArms (2x)\nMR with 6\n(2) 6 inc\n(3-8) 12\n(9) dec 2, sc 8 = 10\n(10-14) 10',
    [6, 12, 12, 12, 12, 12, 12, 12, 10, 10, 10, 10, 10, 10],
  ],
  [
    'Terms: US\nHead\nR1: six sc in MR\nR2: two sc in each (twelve)\nR3: one sc, two sc in next, six times (18)\nR4: eighteen sc\nR5: one sc, dec, six times (12)',
    [6, 12, 18, 18, 12],
  ],
  [
    'Terms: US\nBody\nRound 1. 6 SC IN MR (6)\nRound 2. 6 INC (12)\nRound 3. (SC 1, INC) X 6 (18)\nRounds 4-6. SC IN EACH (18)\nRound 7. (SC, DEC) X 6 (12)\nFO',
    [6, 12, 18, 18, 18, 18, 12],
  ],
  [
    'Terms: US\nBunny head\nRnd 1: work 6 sc in a magic ring.\nRnd 2: work 2 sc in each of the 6 sc. (12)\nRnd 3: *work 2 sc in next sc, sc in next sc*, repeat 6 times. (18)\nRnd 4: *work 2 sc in next sc, sc in next 2 sc*, repeat 6 times. (24)\nRnd 5: work even on 24 sc.\nRnd 6: work even on 24 sc.\nRnd 7: *sc in next 2 sc, dec over next 2 sc*, repeat 6 times. (18)',
    [6, 12, 18, 24, 24, 24, 18],
  ],
  [
    'Terms: US\nLeg\nR1 6sc mr\nR2 inc* 6 (12)\nR3 (sc, inc)* 6 (18)\nR4-6 sc (18)\nR7 6 sc, 3 dec, 6 sc (15)\nR8 5 sc, (dec, sc) 2x, 4 sc (13)',
    [6, 12, 18, 18, 18, 18, 15, 13],
  ],
  [
    'Terms: US\nNose\nR1: Start with a MR with 4 sc. (4)\nR2: Increase every stitch. (8)\nR3: Increase every 2nd stitch. (12)\nR4: One sc in every stitch. (12)',
    [4, 8, 12, 12],
  ],
  [
    'Terms: US\nArm\nRound 1: 5 sc in MR\nRound 2: [sc, inc] x 2, sc (7)\nRounds 3 – 12: sc in each st around (7) – 10 rounds\nRound 13: dec, sc 5 (6)',
    [5, 7, 7, 7, 7, 7, 7, 7, 7, 7, 7, 7, 6],
  ],
  [
    'Terms: US\nBody\nR1: 6 sc in MR (6 sts)\nR2: inc in each st (12 sts)\nR3: *1sc, inc; rep from * (18 sts)\nR4: *2sc, inc; rep from * (24 sts)\nR5: *2sc, dec; rep from * (18 sts)',
    [6, 12, 18, 24, 18],
  ],
  [
    'Terms: US\nHead\n1: 6 sc in mr [6]\n2: [inc]6 [12]\n3: [1, inc]6 [18]\n4: [2, inc]6 [24]\n5-7: 24 [24]\n8: [2, dec]6 [18]',
    [6, 12, 18, 24, 24, 24, 24, 18],
  ],
  [
    'Terms: US\nTail\nch 10\nRow 1: starting with the second chain from the hook, 3 sc in each chain (27)',
    [27],
  ],
  [
    'Terms: US\nFoot\nRound 1: Ch 6, 2 sc in 2nd ch from hook, sc in next 3 ch, 4 sc in last ch; working in remaining loops on opposite side of chain, sc in next 3 ch, 2 sc in last ch (14)\nRound 2: 2 sc in each of first 2 sts, sc in next 3, 2 sc in each of next 4 sts, sc in next 3, 2 sc in each of last 2 sts (22)\nRound 3: sc in BL of each st (22)\nRounds 4-5: sc in each st\nRound 6: sc in next 7, [sc2tog] 4 times, sc in next 7 (18)',
    [14, 22, 22, 22, 22, 18],
  ],
  [
    'Terms: US\nBody\nRnd 1) 6 sc in magic ring {6}\nRnd 2) {inc} x 6 {12}\nRnd 3) {sc, inc} x 6 {18}\nRnd 4) {2 sc, inc} x 6 {24}',
    [6, 12, 18, 24],
  ],
  [
    'Terms: US\nHead\nR1: 6 SC in MR = 6\nR2: 2 SC each = 12\nR3: (1 SC, 2 SC in next) 6 times = 18\nR4: SC each = 18\nR5: (1 SC, SC2TOG) 6 times = 12',
    [6, 12, 18, 18, 12],
  ],
  [
    'Terms: US\nStem\nMR, ch 1, 8 sc, sl st to 1st sc [8]\nR2: ch 1, 8 sc BLO, sl st [8]\nR3: ch 1, sc around, sl st [8]\nR4: ch 1, (sc 3, inc) x 2, sl st [10]',
    [8, 8, 8, 10],
  ],
  [
    'Terms: US\nHair\nR1: 6 sc in MR\nR2: *ch 15, hdc in 2nd ch from hook and in next 13, sl st in next st* repeat around',
    [6, 6],
  ],
  [
    'Terms: US\nCup\nR1: 6 sc, R2: 6 inc (12), R3: (1 sc, inc) x 6 (18), R4-R6: 18 sc (18)',
    [6, 12, 18, 18, 18, 18],
  ],
  [
    'Terms: US\nBall\nRow 1: 6 sc in magic loop\nRow 2: 2 sc in each st (12)\nRow 3: (1 sc, 2 sc in next st) repeat (18)\nRow 4: sc around (18)\nRow 5: (1 sc, sc 2 tog) repeat (12)\nRow 6: sc 2 tog, repeat (6)',
    [6, 12, 18, 18, 12, 6],
  ],
  [
    'Terms: US\nWing\nR1: 6 sc in MR, turn\nR2: ch 1, inc x 6, turn (12)\nR3: ch 1, (sc, inc) x 6 (18)',
    [6, 12, 18],
  ],
  [
    'Terms: US\nBelly\nRnd 1: Ch 2. Sc 6x in the 2nd ch from the hook. (6)\nRnd 2: Sc 2x in each st. (12)\nRnd 3: *Sc 1, sc 2x in next st*. Repeat 6x. (18)',
    [6, 12, 18],
  ],
  [
    'Terms: US\nHead\nR1: 6 sc in mr.\nR2: inc 6x.\nR3: sc 1, inc 1; 6x.\nR4: sc 2, inc 1; 6x.\nR5: sc 24.\nR6: sc 2, dec 1; 6x.',
    [6, 12, 18, 24, 24, 18],
  ],
  [
    'Terms: US\nEar\nR1: sc 6 in MR.\nR2: sc 6.\nR3: [sc 1, inc] 3 times.\nR4: sc 9.\nR5: [sc 2, inc] 3 times.\nR6-8: sc 12.',
    [6, 6, 9, 9, 12, 12, 12, 12],
  ],
  [
    'Terms: US\nHead\nR1: 6 sc into a magic ring, pull to close (6)\nR2: 2sc into each st (12)\nR3: 2sc into the first st, 1sc into the next st, repeat around (18)\nR4: 2sc into the first st, 1sc into each of the next 2 sts, repeat around (24)\nR5-R8: 1sc into each st (24)\nR9: sc2tog, 1sc into each of the next 2 sts, repeat around (18)',
    [6, 12, 18, 24, 24, 24, 24, 24, 18],
  ],
  [
    'Terms: US\nBody\nR1: 6sc-mr (6)\nR2: 6inc (12)\nR3: (1sc-1inc)x6 (18)\nR4: (2sc-1inc)x6 (24)\nR5: 24sc (24)\nR6: (2sc-1dec)x6 (18)',
    [6, 12, 18, 24, 24, 18],
  ],
  [
    'Terms: US\nArms ×2\nRound 1: 6 sc in MR (6 stitches)\nRound 2: (sc, inc) ×3 (9 stitches)\nRounds 3 to 5: sc ×9 (9 stitches)\nRound 6: (sc, dec) ×3 (6 stitches)',
    [6, 9, 9, 9, 9, 6],
  ],
  [
    'Terms: US\nTrunk\nR1: 6 sc in MR\nR2: BLO 6 sc\nR3: inc, 5 sc\nR4: 7 sc\nR5: inc, 6 sc\nR6: 3 hdc, 5 sc (8)\nR7: 3 hdc, 5 sl st (8)',
    [6, 6, 7, 7, 8, 8, 8],
  ],
  [
    'Terms: US\nBody\nRnd 1: 6 sc in ring (6)\nRnd 2: inc ×6 (12)\nRnd 3: (inc, sc) ×6 (18)\nRnd 4: (inc, 2 sc) ×6 (24)\nRnd 5: (inc, 3 sc) ×6 (30)\nRnd 6: (inc, 4 sc) ×6 (36)\nRnds 7-11: sc in all 36 sts (5 rounds)\nRnd 12: (dec, 4 sc) ×6 (30)',
    [6, 12, 18, 24, 30, 36, 36, 36, 36, 36, 36, 30],
  ],
  [
    'Terms: US\nSnowman\nBody\nStart: make a magic ring with 6 sc.\nR2: increase in each stitch - 12 sc\nR3: increase in every other stitch - 18 sc\nR4: increase in every third stitch - 24 sc\nR5: increase in every fourth stitch - 30 sc\nR6-R9: 30 sc',
    [6, 12, 18, 24, 30, 30, 30, 30, 30],
  ],
  [
    'Terms: US\nEar\nR1: ch 2, 4 sc in 1st ch made (4)\nR2: sc around (4)\nR3: 2 sc in each (8)\nR4: (sc 3, inc) 2 times (10)',
    [4, 4, 8, 10],
  ],
  [
    'Terms: US\nPetal\nRow 1: Ch 5. Sc in second ch from hook, hdc in next 2, sc in last. Turn. (4)\nRow 2: Ch 1. Sc across. (4)',
    [4, 4],
  ],
  [
    'Terms: US\nHead\nR1: 6 sc in MR {6}\nR2: 6 inc {12}\nR3: *sc in the next st, inc in the next st* 6 times {18}\nR4: *sc in each of the next two sts, inc in the next st* six times {24}\nR5: *sc in each of the next three sts, inc* six times {30}\nR6: sc around, placing a marker every 5 sts {30}',
    [6, 12, 18, 24, 30, 30],
  ],
  [
    'Terms: US\nSeal\nRound 1\n6 sc in a magic ring\nRound 2\n2 sc in each st (12)\nRound 3\n(sc, inc) six times (18)\nRounds 4-6\nsc around',
    [6, 12, 18, 18, 18, 18],
  ],
  [
    'Terms: US\nMouse\nBody:\n· R1: 6 sc MR (6)\n· R2: (sc, inc) × 3 (9)\n· R3: sc × 9 (9)\n· R4: (2 sc, inc) × 3 (12)\n· R5: sc × 12 (12)',
    [6, 9, 9, 12, 12],
  ],
  [
    'Terms: US\nArm\nR1) 5 sc in MR (5)\nR2) inc all around (10)\nR3-8) sc all around (10)\nR9) dec, sc 8 (9)\nR10-12) sc all around (9)',
    [5, 10, 10, 10, 10, 10, 10, 10, 9, 9, 9, 9],
  ],
  [
    'Terms: US\nHead\nR1: 8 sc in MR\nR2: 8 inc (16)\nR3: 8 (sc, inc) (24)\nR4: 8 (2 sc, inc) (32)\nR5: 32 sc\nR6: 8 (2 sc, dec) (24)\nR7: 8 (sc, dec) (16)\nR8: 8 dec (8)',
    [8, 16, 24, 32, 32, 24, 16, 8],
  ],
  [
    'Terms: US\nLeg\nR1: 6 sc in MR\nR2: 6 inc (12)\nR3: 3 sc, 6 inc, 3 sc (18)\nR4-R5: 18 sc\nR6: 3 sc, 6 dec, 3 sc (12)\nR7: 3 sc, 3 dec, 3 sc (9)\nR8-R12: 9 sc\nChange to blue.\nR13-R15: 9 sc',
    [6, 12, 18, 18, 18, 12, 9, 9, 9, 9, 9, 9, 9, 9, 9],
  ],
  [
    'Terms: US\nFoot\nR1: ch 6, sc in 2nd ch from hook, sc in next 3 ch, 3 sc in last ch, rotate, sc in next 3 ch, 2 sc in last ch (12)\nR2: 2 sc in next st, sc in next 3 sts, 2 sc in each of next 3 sts, sc in next 3 sts, 2 sc in each of last 2 sts (18)',
    [12, 18],
  ],
  [
    'Terms: US\nHat\nR1: 6 sc in ring\nR2: inc x 6\nR3: (sc 2, ch 3, sl st in first ch) x 6 (12)',
    [6, 12, 12],
  ],
  ['Terms: US\nHead\nR1: 6 sc in ring\nR2: inc x 6\nR3: (sc 3, spike st) x 3 (12)', [6, 12, 12]],
  ['Terms: US\nHead\nWith white: R1: 6 sc in ring\nIn brown yarn, R2: inc x 6 (12)', [6, 12]],
  ['Terms: US\nEar (make 2): R1: 6 sc in ring; R2: inc x 6; R3: sc around', [6, 12, 12]],
  [
    'UK terms\nPaw\nR1: 9ch; starting in 2nd ch from hook 7dc, 3dc in last ch, turn and work back along other side: 6dc, 2 dc in last ch (18)\nR2: dc in each (18)',
    [18, 18],
  ],
  [
    'Terms: UK\nPaw\n1st rnd: 6dc into a magic loop.\n2nd rnd: 2dc in each dc. (12dc)\n3rd-4th rnds: dc around.',
    [6, 12, 12, 12],
  ],
  [
    'UK terms\nCap\nChain 18 and join with ss to form a loop\nR1: 18 dc\nR2: miss every 6th st (15)\nR3: (miss 1, 4 dc) x 3 (12)',
    [18, 15, 12],
  ],
];

test.each(pieces)('%j', (text, counts) => {
  const { parts, problems, pattern } = analyseToy(unfolded(text).text);
  expect(parts.flatMap(({ checks }) => checks.map(({ worked }) => worked))).toEqual(counts);
  expect(problems.filter(({ severity }) => severity === 'error').map(({ message }) => message)).toEqual([]);
  expect(pattern.notes).toEqual([]);
});

// The ring is drawn together, not the piece.
test('pulling the ring tight closes nothing', () => {
  const { problems } = analyseToy(
    'Terms: US\nHead\nR1: 6 sc in a magic ring. Pull tight. (6)\nR2: inc x 6 (12)\nR3: sc around',
  );
  expect(problems.map(({ code }) => code)).not.toContain('not-closed');
});

test('a colour before the number of a round is the colour of its work', () => {
  const [part] = analyseToy('Head\nWith white, R1: 6 sc in ring\nIn brown yarn: R2: inc x 6').parts;
  expect([...(part?.fabric.colour ?? [])].map((colour) => part?.fabric.palette[colour])).toEqual([
    ...Array.from({ length: 6 }, () => 'white'),
    ...Array.from({ length: 12 }, () => 'brown'),
  ]);
});

test('what is said before the number of a round and is no colour makes none', () => {
  const [part] = analyseToy(
    'Head\nWith right side facing, R1: 6 sc in ring\nWith a 3 mm hook, R2: inc x 6',
  ).parts;
  expect([part?.fabric.palette, part?.checks.map(({ worked }) => worked)]).toEqual([[''], [6, 12]]);
});

test('a part with all its rounds on one line is a part, once each round has a line of its own', () => {
  const { text } = unfolded('Ear (make 2): R1: 6 sc in ring; R2: inc x 6');
  expect(text.split('\n')).toHaveLength(3);
  expect(analyseToy(text).parts.map(({ source }) => [source.name, source.make])).toEqual([['Ear', 2]]);
  // With one round behind it the line is read as it is.
  expect(unfolded('Ear: R1: 6 sc in ring').text).toBe('Ear: R1: 6 sc in ring');
});
