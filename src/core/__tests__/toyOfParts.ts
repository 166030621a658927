import { analyseToy } from '../toy/analyse';

/** How a sample is worked, where not right-handed, from the top. */
export interface Worked {
  hand?: 'left';
  start?: 'bottom';
  lean?: number;
}

/** A toy of round numbers: 24 stitches around the body from round 4 to 24, 30 around the head from round 5 to 14. */
export const toyOfParts = (sentences: string, { hand, start, lean = 0 }: Worked = {}): string =>
  [
    hand ? `Hand: ${hand}` : '',
    `Lean: ${lean}`,
    'Gauge: 5 mm x 5 mm',
    'Body',
    start ? `Start: ${start}` : '',
    'R1: 6 sc in ring [6]\nR2: inc x 6 [12]\nR3: (sc, inc) x 6 [18]\nR4: (2 sc, inc) x 6 [24]\nR5-R24: sc around [24]',
    '\nHead',
    'R1: 6 sc in ring [6]\nR2: inc x 6 [12]\nR3: (sc, inc) x 6 [18]\nR4: (2 sc, inc) x 6 [24]\nR5: (3 sc, inc) x 6 [30]\nR6-R14: sc around [30]\nR15: (3 sc, dec) x 6 [24]',
    '\nArm (make 2)\nR1: 6 sc in ring [6]\nR2: (2 sc, inc) x 2 [8]\nR3-R9: sc around [8]',
    '\nLeg (make 4)\nR1: 8 sc in ring [8]\nR2-R8: sc around [8]',
    '\nEar (make 2)\nR1: 6 sc in ring [6]\nR2: inc x 6 [12]\nR3-R4: sc around [12]',
    '\nTail\nR1: 6 sc in ring [6]\nR2-R6: sc around [6]',
    '\nSnout\nR1: 6 sc in ring [6]\nR2: inc x 6 [12]\nR3-R4: sc around [12]',
    '\nAssembly',
    sentences,
  ].join('\n');

/** Each unit with the round and stitch of its middle. */
export const places = (text: string) => {
  const { joined } = analyseToy(text);
  return joined.joins
    .filter(({ round, stitch }) => round !== null || stitch !== null)
    .map(({ unit, round, stitch }) => [unit.name, round, stitch]);
};
