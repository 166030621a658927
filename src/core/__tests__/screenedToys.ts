/** Pieces of toys that are screened: a head of 18 rounds, what is put on it and what is sewn to it. */
export const head = (rounds: string[], ...more: string[]) =>
  ['Gauge: 5 mm x 4 mm', 'Head', ...rounds, ...more].join('\n');
export const ball = [
  'R1: 6 sc in ring',
  'R2: inc x 6',
  'R3: (sc, inc) x 6',
  'R4: (2 sc, inc) x 6',
  'R5: (3 sc, inc) x 6',
  'R6: (4 sc, inc) x 6',
  'R7-R13: sc around',
  'R14: (4 sc, dec) x 6',
  'R15: (3 sc, dec) x 6',
  'R16: (2 sc, dec) x 6',
  'R17: (sc, dec) x 6',
  'R18: dec x 6',
];
export const eyes = 'Insert 9 mm safety eyes between R9 and R10, 6 showing.';
export const forWhom = (who: string, text: string) => `For: ${who}\n${text}`;
// A flat ear of 12 stitches is 19 mm wide and some 16 high: it goes into the cylinder of 31.7 by 57.1 mm.
export const ear =
  '\n\nEar (make 2)\nR1: 6 sc in ring\nR2: inc x 6\nR3-R4: sc around\nDo not stuff.\nSew the ears to the head on round 5, one on each side.';

// As a tube of 24 stitches lying flat it is 60 mm wide: it goes into no cylinder.
export const wing =
  '\n\nWing (make 2)\nR1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4: (2 sc, inc) x 6\nR5-R10: sc around\nDo not stuff.\nSew the wings to the head on round 9, one on each side.';
export const cheeks = [
  'Eyes: 8 mm, embroidered, between R9 and R10, 6 showing.',
  'Cheeks: felt, 10 mm, 2 rounds below the eyes.',
];
export const tail =
  '\n\nTail\nR1: 4 sc in ring\nR2-R6: sc around\nDo not stuff.\nSew the tail to the head on round 12 at the back.';
