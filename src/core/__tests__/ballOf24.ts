/** A ball of 24 stitches, round by round: 174 plain or increased stitches, and 18 decreases of which the last six close it. */
export const ballOf24 = [
  'R1: 6 sc in magic ring',
  'R2: inc x 6',
  'R3: (sc, inc) x 6',
  'R4: (sc 2, inc) x 6',
  'R5-R8: sc around',
  'R9: (sc 2, dec) x 6',
  'R10: (sc, dec) x 6',
  'R11: dec x 6',
] as const;
