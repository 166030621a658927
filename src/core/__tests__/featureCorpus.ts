/**
 * Sentences about features in different manners, on the head below: 36 stitches in rounds 6 to 14, eyes between 9 and 10 in holes 15 and 22
 * when right-handed with the start at the top. Worked out by hand: the line of holes (as the round below it) and the holes each unit
 * reaches from and to, left first. `asks` names the problem that asks or explains.
 */
export const featureHead = [
  'Head', 'R1: 6 sc in magic ring [6]', 'R2: inc x 6 [12]', 'R3: (sc, inc) x 6 [18]', 'R4: (sc 2, inc) x 6 [24]', 'R5: (sc 3, inc) x 6 [30]', 'R6: (sc 4, inc) x 6 [36]',
  'R7-R8: sc around [36]', 'R9: change to cream, sc around [36]', 'R10-R11: sc around [36]', 'R12: BLO sc around [36]', 'R13-R14: sc around [36]', 'R15: (sc 4, dec) x 6 [30]', 'R16: (sc 3, dec) x 6 [24]',
  'R17: (sc 2, dec) x 6 [18]', 'R18: (sc, dec) x 6 [12]', 'R19: dec x 6 [6]', 'Eyes: 8 mm, between R9 and R10, 7 apart (6 showing), in the holes.', '',
].join('\n');

export type FeatureCase = [sentence: string, line: number, units: [from: number, to: number][] | null, asks?: string];

export const featureCorpus: FeatureCase[] = [
  // Between rounds, from the start.
  ['Mouth: between R13 and R14, 3 stitches wide', 13, [[17, 20]]],
  ['Embroider the mouth between rounds 12 and 13, 5 stitches wide', 12, [[16, 21]]],
  ['Embroider a 3 stitch wide mouth between rounds 13 and 14', 13, [[17, 20]]],
  ['Smile between R13 & R14, 5 sts wide', 13, [[16, 21]]],
  ['Embroider a smile, 3 stitches across, between the 13th and 14th round', 13, [[17, 20]]],
  ['Mouth: a row of short stitches, between R12 and R13, 5 wide', 12, [[16, 21]]],
  ['Nose: satin stitch, between R10 and R11, 3 wide', 10, [[17, 20]]],
  ['Satin stitch a triangular nose between R10 and R11, 3 stitches wide, 2 rounds high', 10, [[17, 20]]],
  ['Insert a 12 mm safety nose between R11 and R12, 1 wide', 11, [[18, 19]]],
  ['Sew a 10 mm button between rounds 14 and 15, 1 stitch wide', 14, null],
  ['Sew a felt patch, 20 mm, between R12 and R13, 3 wide', 12, [[17, 20]]],
  ['Embroider brows between R6 and R7, 7 apart, 2 wide', 6, [[14, 16], [21, 23]]],
  ['Place cheeks between R11 and R12, 9 apart, felt, 8 mm', 11, [[14, 14], [23, 23]]],
  ['Freckles between R11 and R12, 5 apart, 2 wide', 11, [[15, 17], [20, 22]]],
  ['Whiskers between R12 and R13, 9 apart, 2 long', 12, [[13, 15], [22, 24]]],
  // By another feature, up and down.
  ['Mouth 4 rounds below the eyes, 3 wide', 13, [[17, 20]]],
  ['Embroider the mouth three rounds under the eyes, 5 stitches wide', 12, [[16, 21]]],
  ['The mouth goes 4 rounds down from the eyes, 3 wide', 13, [[17, 20]]],
  ['Mouth 4 rounds lower than the eyes, 3 wide', 13, [[17, 20]]],
  ['Embroider the nose just below the eyes, 3 wide', 10, [[17, 20]]],
  ['Embroider the nose directly under the eyes, 3 wide', 10, [[17, 20]]],
  ['Nose: 1 round beneath the safety eyes, 3 wide', 10, [[17, 20]]],
  ['Brows 3 rounds above the eyes, 7 apart, 2 wide', 6, [[14, 16], [21, 23]]],
  ['Embroider brows 3 rounds up from the eyes, 7 apart, 2 wide', 6, [[14, 16], [21, 23]]],
  ['Embroider brows two rounds higher than the eyes, 7 apart, 2 wide', 7, [[14, 16], [21, 23]]],
  ['Nose on the same round as the eyes, 1 wide', 9, [[18, 19]]],
  ['Nose: level with the eyes, 1 wide', 9, [[18, 19]]],
  ['Cheeks at the same level as the eyes, 13 apart, felt, 6 mm', 9, [[12, 12], [25, 25]]],
  // In line with, as wide as.
  ['Embroider brows 3 rounds above the eyes, in line with the middle of the eyes, 2 wide', 6, [[14, 16], [21, 23]]],
  ['Embroider brows 3 rounds above the eyes, in line with the eyes, 2 wide', 6, [[14, 16], [21, 23]]],
  ['Embroider brows 3 rounds above the eyes, aligned with the inner edge of the eyes, 2 wide', 6, [[15, 17], [20, 22]]],
  ['Felt spots, 4 mm, 2 rounds above the eyes, in line with the outer edge of the eyes', 7, [[14, 14], [23, 23]]],
  ['Mouth 4 rounds below the eyes, as wide as the middle of the eyes', 13, [[15, 22]]],
  ['Mouth: 4 rounds below the eyes, as wide as the inner edges of the eyes', 13, [[16, 21]]],
  // Outward.
  ['Felt cheeks, 8 mm, 2 rounds below the eyes, 1 stitch outside the eyes', 11, [[14, 14], [23, 23]]],
  ['Felt cheeks, 8 mm, 2 rounds below the eyes, two stitches outwards from the eyes', 11, [[13, 13], [24, 24]]],
  ['Felt cheeks, 8 mm, 2 rounds below the eyes, 3 stitches out from each eye', 11, [[12, 12], [25, 25]]],
  ['Cheeks 2 rounds below the eyes, 1 stitch outside each eye, 2 wide', 11, [[12, 14], [23, 25]]],
  ['Felt cheeks, 8 mm, 2 rounds below the eyes, 2 stitches away from the eyes', 11, [[13, 13], [24, 24]]],
  ['Whiskers 3 rounds below the eyes, 2 stitches outside the eyes, 3 long', 12, [[10, 13], [24, 27]]],
  // Ridge, colour change, live edge, base.
  ['Mouth 2 rounds below the ridge, 3 wide', 13, [[17, 20]]],
  ['Nose 1 round above the ridge, 3 wide', 10, [[17, 20]]],
  ['Embroider brows 2 rounds above the colour change, 7 apart, 2 wide', 6, [[14, 16], [21, 23]]],
  ['Nose 2 rounds below the colour change, 3 wide', 10, [[17, 20]]],
  ['Mouth: 6 rounds above the live edge, 3 wide', 13, [[17, 20]]],
  ['Mouth: 6 rounds up from the base, 3 wide', 13, [[17, 20]]],
  ['Mouth: 7 rounds above the bottom, 5 wide', 12, [[16, 21]]],
  ['Nose at round 10, 3 wide', 10, [[17, 20]], 'feature-on-round'],
  ['Mouth at round 6 from the end, 3 wide', 13, [[17, 20]], 'feature-on-round'],
  // At the back.
  ['Sew a 10 mm button at the back between R10 and R11, 1 wide', 10, [[36, 1]]],
  ['Patch of felt, 20 mm, on the back, between R12 and R13, 3 wide', 12, [[35, 2]]],
  // What hangs on more than one thing.
  ['Cheeks: felt, 6 mm, level with the eyes, two stitches outside the eyes', 9, [[13, 13], [24, 24]]],
  ['Lashes: on the same round as the eyes, in line with the outer edge of the eyes, 1 wide', 9, null],
  ['Sculpt the eyes', 9, null],
  // Left open, or impossible: it asks or explains.
  ['Embroider the key ring', 10, null, 'feature-where'],
  ['Mouth between R12 and R16, 3 wide', 12, [[17, 20]], 'gap-not-adjacent'],
  ['Mouth between R40 and R41, 3 wide', 18, null, 'gap-missing'],
  ['Mouth 30 rounds below the eyes, 3 wide', 18, null, 'gap-missing'],
  ['Brows 12 rounds above the eyes, 7 apart', 1, null, 'gap-missing'],
  ['Cheeks 1 round below the nose, 9 apart, felt, 6 mm', 10, null, 'anchor-missing'],
  ['Mouth 4 rounds below the eyes, 4 wide', 13, [[16, 20]], 'not-centred'],
  ['Cheeks between R11 and R12, 60 apart, felt, 6 mm', 11, null, 'apart-impossible'],
  ['Felt cheeks, 20 mm, on the same round as the eyes, 1 stitch outside the eyes', 9, [[14, 14], [23, 23]], 'features-overlap'],
  ['Nose: 12 mm safety nose, between R17 and R18, 1 wide', 17, null, undefined],
];
