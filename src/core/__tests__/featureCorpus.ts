/**
 * The head the sentences below are about: 36 stitches in rounds 6 to 24, a colour change under round 13, a ridge under round 21, 8 mm eyes
 * between 15 and 16. At the eyes the front, opposite the round start, is hole 18.5. A round starts a quarter of a stitch before the one
 * below, so on the line of holes L the front is hole c(L) = 18.5 + (L - 15) / 4:
 *
 *     L    8     9     10     11    12     13  14     15    16     17  18     19    20     21  22
 *     c  16.75  17.0  17.25  17.5  17.75  18  18.25  18.5  18.75  19  19.25  19.5  19.75  20  20.25
 *
 * The eyes are in holes 15 and 22, three and a half stitches either side.
 */
export const featureHead = [
  'Head',
  'R1: 6 sc in magic ring [6]',
  'R2: inc x 6 [12]',
  'R3: (sc, inc) x 6 [18]',
  'R4: (sc 2, inc) x 6 [24]',
  'R5: (sc 3, inc) x 6 [30]',
  'R6: (sc 4, inc) x 6 [36]',
  'R7-R12: sc around [36]',
  'R13: change to cream, sc around [36]',
  'R14-R20: sc around [36]',
  'R21: BLO sc around [36]',
  'R22-R24: sc around [36]',
  'R25: (sc 4, dec) x 6 [30]',
  'R26: (sc 3, dec) x 6 [24]',
  'R27: (sc 2, dec) x 6 [18]',
  'R28: (sc, dec) x 6 [12]',
  'R29: dec x 6 [6]',
  'Eyes: 8 mm, between R15 and R16, 7 apart (6 showing), in the holes.',
  '',
].join('\n');

/** A head with all that a head may have on it. */
export const fullHead = `Head\nR1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4: (sc 2, inc) x 6\nR5-R9: sc around [24]\nR10: (sc 2, dec) x 6\nR11: (sc, dec) x 6\nR12: dec x 6\n10 mm eyes between R6 and R7, 5 showing\nFelt cheeks, 8 mm\nNose: satin triangle, 1 round below the eyes, 3 wide\nMouth: smile 3 rounds below the eyes\nBrows 2 rounds above the eyes\nWhiskers\nSew a 10 mm button at the back between R5 and R6\nHair line from R2 to R5\nSculpt the eyes\nStuff firmly. Close.\n`;

type Holes = [from: number, to: number][];

/** A sentence and where it leads, worked out by hand. */
export interface FeatureCase {
  sentence: string;
  /** line of holes by the round below it, and the holes of each unit in the order of work; null where only the line was worked out */
  top: [line: number, holes: Holes | null];
  /** the same where the start is at the bottom of the toy; left out where it is the same */
  bottom?: [line: number, holes: Holes | null];
  /** the problem that asks or explains */
  asks?: string;
  /** one side only */
  side?: 'left' | 'right';
}

const row = (sentence: string, top: FeatureCase['top'], more: Partial<FeatureCase> = {}): FeatureCase => ({
  sentence,
  top,
  ...more,
});
const both = (line: number, holes: Holes | null): Pick<FeatureCase, 'bottom'> => ({ bottom: [line, holes] });

const mouthBelow = both(11, [[16, 19]]);
const noseBelow = both(14, [[17, 20]]);
const browsAbove = both(18, [
  [15, 17],
  [22, 24],
]);

export const featureCorpus: FeatureCase[] = [
  // Between rounds, from the start.
  row('Mouth: between R19 and R20, 3 stitches wide', [19, [[18, 21]]]),
  row('Embroider the mouth between rounds 18 and 19, 5 stitches wide', [18, [[17, 22]]]),
  row('Embroider a 3 stitch wide mouth between rounds 19 and 20', [19, [[18, 21]]]),
  row('Smile between R19 & R20, 5 sts wide', [19, [[17, 22]]]),
  row('Embroider a smile, 3 stitches across, between the 19th and 20th round', [19, [[18, 21]]]),
  row('Mouth: a row of short stitches, between R18 and R19, 5 wide', [18, [[17, 22]]]),
  row('Two-layer lips between R19 and R20, 5 wide', [19, [[17, 22]]]),
  row('Nose: satin stitch, between R16 and R17, 3 wide', [16, [[17, 20]]]),
  row('Satin stitch a triangular nose between R16 and R17, 3 stitches wide, 2 rounds high', [16, [[17, 20]]]),
  // A post goes into the hole nearest to the middle; where two are as near, between them: split 18 is 18.5.
  row('Insert a 12 mm safety nose between R17 and R18', [17, [[19, 19]]]),
  row('Insert a 12 mm safety nose between R15 and R16', [15, [[18, 18]]]),
  row('Sew a 10 mm button between rounds 20 and 21', [20, [[20, 20]]]),
  row('Sew a felt patch, 20 mm, between R18 and R19', [18, [[19, 19]]]),
  row('Embroider brows between R12 and R13, 7 apart, 2 wide', [
    12,
    [
      [13, 15],
      [20, 22],
    ],
  ]),
  row('Freckles between R17 and R18, 6 apart, 2 wide', [
    17,
    [
      [15, 17],
      [21, 23],
    ],
  ]),
  row('Whiskers between R18 and R19, 9 apart, 2 long', [
    18,
    [
      [14, 16],
      [23, 25],
    ],
  ]),
  // By another feature, up and down.
  row('Mouth 4 rounds below the eyes, 3 wide', [19, [[18, 21]]], mouthBelow),
  row('The mouth goes 4 rounds down from the eyes, 3 wide', [19, [[18, 21]]], mouthBelow),
  row('Mouth 4 rounds lower than the eyes, 3 wide', [19, [[18, 21]]], mouthBelow),
  row('4 rounds below the eyes embroider a mouth, 3 wide', [19, [[18, 21]]], mouthBelow),
  row(
    'Embroider the mouth three rounds under the eyes, 5 stitches wide',
    [18, [[17, 22]]],
    both(12, [[15, 20]]),
  ),
  row('Mouth centred between the eyes, 3 rounds below them, 5 wide', [18, [[17, 22]]], both(12, [[15, 20]])),
  row('Embroider the nose just below the eyes, 3 wide', [16, [[17, 20]]], noseBelow),
  row('Embroider the nose directly under the eyes, 3 wide', [16, [[17, 20]]], noseBelow),
  row('The nose goes right under the eyes, 3 wide', [16, [[17, 20]]], noseBelow),
  row('Nose: 1 round beneath the safety eyes, 3 wide', [16, [[17, 20]]], noseBelow),
  row(
    'Brows 3 rounds above the eyes, 7 apart, 2 wide',
    [
      12,
      [
        [13, 15],
        [20, 22],
      ],
    ],
    browsAbove,
  ),
  row(
    'Embroider brows 3 rounds up from the eyes, 7 apart, 2 wide',
    [
      12,
      [
        [13, 15],
        [20, 22],
      ],
    ],
    browsAbove,
  ),
  row(
    'Embroider eyebrows 3 rounds over the eyes, 7 apart, 2 sts long',
    [
      12,
      [
        [13, 15],
        [20, 22],
      ],
    ],
    browsAbove,
  ),
  row(
    'Embroider brows two rounds higher than the eyes, 6 apart, 2 wide',
    [
      13,
      [
        [14, 16],
        [20, 22],
      ],
    ],
    both(17, [
      [15, 17],
      [21, 23],
    ]),
  ),
  row('Nose on the same round as the eyes, 1 wide', [15, [[18, 19]]]),
  row('Nose: level with the eyes, 1 wide', [15, [[18, 19]]]),
  row('Nose centred between the eyes, 3 wide', [15, [[17, 20]]]),
  row('Cheeks at the same level as the eyes, 13 apart, felt, 6 mm', [
    15,
    [
      [12, 12],
      [25, 25],
    ],
  ]),
  // In line with, as wide as. The edges of the eyes are 0.8 of a stitch to either side of their posts.
  row(
    'Embroider brows 3 rounds above the eyes, in line with the middle of the eyes, 2 wide',
    [
      12,
      [
        [13, 15],
        [20, 22],
      ],
    ],
    browsAbove,
  ),
  row(
    'Embroider brows 3 rounds above the eyes, in line with the eyes, 2 wide',
    [
      12,
      [
        [13, 15],
        [20, 22],
      ],
    ],
    browsAbove,
  ),
  row(
    'Embroider brows 3 rounds above the eyes, aligned with the inner edge of the eyes, 2 wide',
    [
      12,
      [
        [14, 16],
        [19, 21],
      ],
    ],
    both(18, [
      [16, 18],
      [21, 23],
    ]),
  ),
  row(
    'Felt spots, 4 mm, 2 rounds above the eyes, in line with the outer edge of the eyes',
    [
      13,
      [
        [14, 14],
        [22, 22],
      ],
    ],
    both(17, [
      [15, 15],
      [23, 23],
    ]),
  ),
  row(
    'Mouth 4 rounds below the eyes, as wide as the middle of the eyes',
    [19, [[16, 23]]],
    both(11, [[14, 21]]),
  ),
  row(
    'Mouth: 4 rounds below the eyes, as wide as the inner edges of the eyes',
    [19, [[17, 22]]],
    both(11, [[15, 20]]),
  ),
  // Outward. Two rounds on, holes stand half a stitch aside: mirror-true there is half a stitch further out, not half a stitch to one side.
  row(
    'Felt cheeks, 8 mm, 2 rounds below the eyes, 1 stitch outside the eyes',
    [
      17,
      [
        [14, 14],
        [24, 24],
      ],
    ],
    both(13, [
      [13, 13],
      [23, 23],
    ]),
  ),
  row(
    'Felt cheeks, 8 mm, 2 rounds below the eyes, two stitches outwards from the eyes',
    [
      17,
      [
        [13, 13],
        [25, 25],
      ],
    ],
    both(13, [
      [12, 12],
      [24, 24],
    ]),
  ),
  row(
    'Felt cheeks, 8 mm, 2 rounds below the eyes, 3 stitches out from each eye',
    [
      17,
      [
        [12, 12],
        [26, 26],
      ],
    ],
    both(13, [
      [11, 11],
      [25, 25],
    ]),
  ),
  row(
    'Felt cheeks, 8 mm, 2 rounds below the eyes, 2 stitches away from the eyes',
    [
      17,
      [
        [13, 13],
        [25, 25],
      ],
    ],
    both(13, [
      [12, 12],
      [24, 24],
    ]),
  ),
  row(
    'Cheeks 4 rounds below the eyes, 1 stitch outside each eye, 2 wide',
    [
      19,
      [
        [13, 15],
        [24, 26],
      ],
    ],
    both(11, [
      [11, 13],
      [22, 24],
    ]),
  ),
  row(
    'Whiskers 4 rounds below the eyes, 2 stitches outside the eyes, 3 long',
    [
      19,
      [
        [11, 14],
        [25, 28],
      ],
    ],
    both(11, [
      [9, 12],
      [23, 26],
    ]),
  ),
  row(
    'Spots 3 rounds above the eyes, 4 stitches outwards from the front line, felt, 6 mm',
    [
      12,
      [
        [14, 14],
        [22, 22],
      ],
    ],
    both(18, [
      [15, 15],
      [23, 23],
    ]),
  ),
  row(
    'Cheeks 4 rounds below the eyes, 5 and a half stitches out from the middle, felt 8 mm',
    [
      19,
      [
        [14, 14],
        [25, 25],
      ],
    ],
    both(11, [
      [12, 12],
      [23, 23],
    ]),
  ),
  row(
    'Sew 6 mm buttons on both sides, 4 rounds below the eyes, 3½ stitches from the front line',
    [
      19,
      [
        [16, 16],
        [23, 23],
      ],
    ],
    both(11, [
      [14, 14],
      [21, 21],
    ]),
  ),
  row('Cheeks: felt, 6 mm, level with the eyes, two stitches outside the eyes', [
    15,
    [
      [13, 13],
      [24, 24],
    ],
  ]),
  // One side only.
  row(
    'Cheek on the left only: felt, 8 mm, 4 rounds below the eyes, 1 stitch outside the eyes',
    [
      19,
      [
        [15, 15],
        [24, 24],
      ],
    ],
    {
      ...both(11, [
        [13, 13],
        [22, 22],
      ]),
      side: 'left',
    },
  ),
  row(
    'Sew a felt patch, 20 mm, over the left eye',
    [
      15,
      [
        [15, 15],
        [22, 22],
      ],
    ],
    { side: 'left' },
  ),
  row(
    'Sew a bow on the right side, 25 mm, 4 rounds above the eyes, 5½ stitches from the front line',
    [
      11,
      [
        [12, 12],
        [23, 23],
      ],
    ],
    {
      ...both(19, [
        [14, 14],
        [25, 25],
      ]),
      side: 'right',
    },
  ),
  // Ridge, colour change, live edge, base, start. The live edge is a round's end, the base the lower end of the toy.
  row('Mouth 2 rounds below the ridge, 3 wide', [22, [[19, 22]]], both(18, [[18, 21]])),
  row('Nose 2 rounds above the ridge, 3 wide', [18, [[18, 21]]], both(22, [[19, 22]])),
  row(
    'Embroider brows 2 rounds above the colour change, 7 apart, 2 wide',
    [
      10,
      [
        [13, 15],
        [20, 22],
      ],
    ],
    both(14, [
      [14, 16],
      [21, 23],
    ]),
  ),
  row('Nose 4 rounds below the colour change, 3 wide', [16, [[17, 20]]], both(8, [[15, 18]])),
  row('Mouth: 10 rounds from the live edge, 3 wide', [19, [[18, 21]]]),
  row('Mouth: 10 rounds up from the base, 3 wide', [19, [[18, 21]]], both(10, [[16, 19]])),
  row('Mouth: 11 rounds above the bottom, 5 wide', [18, [[17, 22]]], both(11, [[15, 20]])),
  row('Mouth: 10 rounds from the edge, 3 wide', [19, [[18, 21]]]),
  row('Attach a key ring through the start', [1, null]),
  row('Hair line from R10 to R15, 1 wide', [14, [[18, 19]]], both(10, [[17, 18]])),
  row('Nose at round 16, 3 wide', [16, [[17, 20]]], { asks: 'feature-on-round' }),
  row('Mouth between rounds 10 and 11 from the end, 3 wide', [19, [[18, 21]]]),
  row('Mouth between rounds 10 and 11 from the base, 3 wide', [19, [[18, 21]]], both(10, [[16, 19]])),
  row('Mouth between rounds 19 and 20 from the top, 3 wide', [19, [[18, 21]]], both(10, [[16, 19]])),
  row('Mouth: 19 rounds from the top, 3 wide', [19, [[18, 21]]], both(10, [[16, 19]])),
  row('Embroider the mouth 19 rounds down from the top, 3 wide', [19, [[18, 21]]], both(10, [[16, 19]])),
  row('Mouth: 19 rounds from the magic ring, 3 wide', [19, [[18, 21]]]),
  row('Mouth at round 10 from the base, 3 wide', [19, [[18, 21]]], {
    ...both(10, [[16, 19]]),
    asks: 'feature-on-round',
  }),
  row('Mouth at round 10 from the end, 3 wide', [19, [[18, 21]]], { asks: 'feature-on-round' }),
  // In other words.
  row(
    'Felt cheeks, 8 mm, one stitch outside each eye, two rounds lower',
    [
      17,
      [
        [14, 14],
        [24, 24],
      ],
    ],
    both(13, [
      [13, 13],
      [23, 23],
    ]),
  ),
  row('The nose goes a round below the eyes, 3 wide', [16, [[17, 20]]], noseBelow),
  row(
    'Embroider brows a couple of rounds above the eyes, 6 apart, 2 wide',
    [
      13,
      [
        [14, 16],
        [20, 22],
      ],
    ],
    both(17, [
      [15, 17],
      [21, 23],
    ]),
  ),
  row('Embroider the mouth over 3 stitches, 4 rounds below the eyes', [19, [[18, 21]]], mouthBelow),
  row(
    'Embroider a smile 4 rounds below the eyes, from the inner edge of one eye to the inner edge of the other',
    [19, [[17, 22]]],
    both(11, [[15, 20]]),
  ),
  row('Mouth 4 rounds below the eyes, from eye to eye', [19, [[16, 23]]], both(11, [[14, 21]])),
  row(
    'Embroider brows 3 rounds above the inner edge of the eyes, 2 wide',
    [
      12,
      [
        [14, 16],
        [19, 21],
      ],
    ],
    both(18, [
      [16, 18],
      [21, 23],
    ]),
  ),
  row('Sew the felt muzzle, 20 mm, on rounds 17 to 20', [18, [[19, 19]]]),
  row('Cheeks: felt, 6 mm, two stitches from each eye, level with the eyes', [
    15,
    [
      [13, 13],
      [24, 24],
    ],
  ]),
  row(
    'Sew 6 mm buttons 4 rounds below the eyes, 3½ stitches to each side of the centre',
    [
      19,
      [
        [16, 16],
        [23, 23],
      ],
    ],
    both(11, [
      [14, 14],
      [21, 21],
    ]),
  ),
  row('Stitch eyelashes at the outer corner of each eye', [
    15,
    [
      [14, 15],
      [22, 23],
    ],
  ]),
  row(
    'Sew a 6 mm button to the left of the eyes, 2 stitches away, on the same round',
    [
      15,
      [
        [13, 13],
        [24, 24],
      ],
    ],
    { side: 'left' },
  ),
  row('Nose under the eyes, 3 wide', [16, [[17, 20]]], { ...noseBelow, asks: 'how-far' }),
  row('Sew the felt nose, 8 mm, slightly below the eyes', [16, [[19, 19]]], {
    ...both(14, [[18, 18]]),
    asks: 'how-far',
  }),
  row('Mouth midway between the eyes and the ridge, 3 wide', [19, [[18, 21]]], {
    ...mouthBelow,
    asks: 'words-unused',
  }),
  // On what can be seen, on the next round, over one eye.
  row('Sew a 25 mm bow on the ridge', [20, [[20, 20]]]),
  row('Sew a 10 mm button at the colour change', [12, [[18, 18]]]),
  row('Sew a 10 mm button along the back loop round', [20, [[20, 20]]]),
  row(
    'Felt cheeks, 8 mm, 1 stitch outside the eyes, on the round below',
    [
      16,
      [
        [14, 14],
        [23, 23],
      ],
    ],
    both(14, [
      [14, 14],
      [23, 23],
    ]),
  ),
  row('The nose goes on the next round down from the eyes, 3 wide', [16, [[17, 20]]], noseBelow),
  row(
    'Sew a 6 mm button 2 rounds above the left eye',
    [
      13,
      [
        [14, 14],
        [22, 22],
      ],
    ],
    {
      ...both(17, [
        [15, 15],
        [23, 23],
      ]),
      side: 'left',
    },
  ),
  row('Sew 6 mm buttons on either side of the middle, between R16 and R17, 6 apart', [
    16,
    [
      [16, 16],
      [22, 22],
    ],
  ]),
  row('Sew white felt circles, 6 mm, behind the eyes', [
    15,
    [
      [15, 15],
      [22, 22],
    ],
  ]),
  row('Cut two discs of white felt, 6 mm, and glue behind eyes', [
    15,
    [
      [15, 15],
      [22, 22],
    ],
  ]),
  // Widths and what parts belong together.
  row(
    'Mouth: one long stitch, 3 rounds below the eyes, 5 stitches long',
    [18, [[17, 22]]],
    both(12, [[15, 20]]),
  ),
  row('Embroider a straight mouth between R19 and R20, 3 wide', [19, [[18, 21]]]),
  row('Mouth 4 rounds below the eyes, spanning three stitches', [19, [[18, 21]]], mouthBelow),
  row('Embroider the mouth 4 rounds below the eyes, 3 sts', [19, [[18, 21]]], mouthBelow),
  row('Mouth: 4 rounds below the eyes; 3 sts wide; black yarn', [19, [[18, 21]]], mouthBelow),
  row('Embroider the mouth between rounds nineteen and twenty, 3 wide', [19, [[18, 21]]]),
  row(
    'Nose: satin stitch over 3 sts and 2 rounds, starting one round below the eyes',
    [16, [[17, 20]]],
    noseBelow,
  ),
  row('Embroider the mouth between R19 and R20, with 4 stitches showing between its ends', [19, [[17, 22]]]),
  row('Insert a triangle safety nose, 12 mm, between R17 and R18', [17, [[19, 19]]]),
  row('Embroider the mouth from stitch 17 of round 19 to stitch 22 of round 19', [18, [[17, 22]]], {
    asks: 'stitch-of-round',
  }),
  row('Sew 6 mm buttons between R16 and R17, 6 apart', [
    16,
    [
      [16, 16],
      [22, 22],
    ],
  ]),
  row(
    'Black felt eye patch, 12 mm, on the right eye',
    [
      15,
      [
        [15, 15],
        [22, 22],
      ],
    ],
    { side: 'right' },
  ),
  row('Sew a 10 mm button on the front line, 10 rounds from the edge', [19, [[19, 19]]]),
  // Two about the middle of the back: hole 17.75 + 18 of line 12 is 35.75, 18.75 + 18 of line 16 is 36.75.
  row('Sew two 6 mm buttons at the back of the head, between R16 and R17, 5 showing', [
    16,
    [
      [34, 34],
      [4, 4],
    ],
  ]),
  row('Two felt spots, 6 mm, at the back, 7 apart, between R12 and R13', [
    12,
    [
      [32, 32],
      [3, 3],
    ],
  ]),
  row('Sew 6 mm buttons in a straight line, between R16 and R17, 6 apart', [
    16,
    [
      [16, 16],
      [22, 22],
    ],
  ]),
  row('Sew an oval felt patch, 20 mm, between R18 and R19', [18, [[19, 19]]]),
  row('Embroider a straight line for the mouth between R19 and R20, 3 wide', [19, [[18, 21]]]),
  // Filled as usual, or not to be had: it says so.
  row('Embroider a mouth, 3 wide, 2 strands', [19, [[18, 21]]], { ...mouthBelow, asks: 'as-usual' }),
  row(
    'Felt cheeks, 8 mm, 2 rounds below the eyes',
    [
      17,
      [
        [14, 14],
        [24, 24],
      ],
    ],
    {
      ...both(13, [
        [13, 13],
        [23, 23],
      ]),
      asks: 'as-usual',
    },
  ),
  row('Embroider three whiskers on each side, beginning 3 stitches from the nose', [15, null], {
    asks: 'anchor-missing',
  }),
  row('Place the cheeks so that their top is level with the bottom of the eyes', [15, null], {
    asks: 'words-unused',
  }),
  row(
    'Brows 3 rounds above the eyes, inner ends in line with the inner edges of the eyes, 2 wide',
    [12, null],
    { ...both(18, null), asks: 'words-unused' },
  ),
  row('Brows, 2 wide, 1 stitch above and outside the eyes', [12, null], {
    ...both(18, null),
    asks: 'words-unused',
  }),
  row('Tie a bow around the neck, 25 mm', [15, null], { asks: 'landmark-missing' }),
  // At stitches by their numbers; two of what is sewn on are a pair, and of a pair one number gives both.
  row('Embroider the mouth between R19 and R20 from stitch 18 to stitch 21', [19, [[18, 21]]]),
  row('Mouth between R19 and R20, at stitches 18 and 21', [19, [[18, 21]]]),
  row('Sew 6 mm buttons between R19 and R20 at stitches 16 and 23', [
    19,
    [
      [16, 16],
      [23, 23],
    ],
  ]),
  row('Felt cheeks, 8 mm, through the holes of the 14th and 24th stitches, between R17 and R18', [
    17,
    [
      [14, 14],
      [24, 24],
    ],
  ]),
  row('Sew a 10 mm button at stitch 4, between R20 and R21', [20, [[4, 4]]]),
  row('Make a mouth between R19 and R20, one and a half stitches to each side of the middle', [
    19,
    [[18, 21]],
  ]),
  row('Sew a 10 mm button on the 20th stitch of round 21', [20, [[20, 20]]], { asks: 'stitch-of-round' }),
  row('Mouth between R19 and R20, at stitches 18 and 40', [19, [[17, 21]]], { asks: 'stitch-missing' }),
  row('Back of the head: sew a 10 mm button between R16 and R17', [16, [[1, 1]]]),
  row('Place the key ring in the magic ring', [1, null]),
  // At the back, 18 holes on.
  row('Sew a 10 mm button at the back between R16 and R17', [16, [[1, 1]]]),
  row('Patch of felt, 20 mm, on the back, between R18 and R19', [18, [[1, 1]]]),
  row('Bow at the back between R14 and R15, crocheted, 4 wide', [14, [[34, 2]]]),
  row('Sculpt the eyes', [15, null]),
  // Left open, or impossible: it asks or explains.
  row('Embroider the key ring', [15, null], { asks: 'feature-where' }),
  row('Mouth between R18 and R22, 3 wide', [18, [[18, 21]]], { asks: 'gap-not-adjacent' }),
  row('Mouth between R40 and R41, 3 wide', [28, null], { asks: 'gap-missing' }),
  row('Mouth 30 rounds below the eyes, 3 wide', [28, null], { ...both(1, null), asks: 'gap-missing' }),
  row('Brows 20 rounds above the eyes, 7 apart', [1, null], { ...both(28, null), asks: 'gap-missing' }),
  row('Cheeks 1 round below the nose, 9 apart, felt, 6 mm', [15, null], { asks: 'anchor-missing' }),
  row('Mouth 4 rounds below the eyes, 4 wide', [19, [[17, 21]]], {
    ...both(11, [[15, 19]]),
    asks: 'not-centred',
  }),
  row(
    'Place cheeks between R17 and R18, 9 apart, felt, 8 mm',
    [
      17,
      [
        [14, 14],
        [23, 23],
      ],
    ],
    { asks: 'not-centred' },
  ),
  row('Cheeks between R17 and R18, 60 apart, felt, 6 mm', [17, null], { asks: 'apart-impossible' }),
  row(
    'Felt cheeks, 20 mm, on the same round as the eyes, 1 stitch outside the eyes',
    [
      15,
      [
        [14, 14],
        [23, 23],
      ],
    ],
    { asks: 'features-overlap' },
  ),
  row('Sew 10 mm buttons between R18 and R19 and between R22 and R23', [18, [[19, 19]]], {
    asks: 'feature-two-places',
  }),
  row('Insert a 12 mm safety nose between R19 and R20', [19, [[19, 19]]], { asks: 'washer-on-ridge' }),
  row('Insert an 18 mm safety nose just below the eyes', [16, [[19, 19]]], {
    ...both(14, [[18, 18]]),
    asks: 'washers-overlap',
  }),
];
