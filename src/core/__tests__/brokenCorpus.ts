/** Broken patterns: the text, the code expected, its line, and a line that a suggestion among the first three must write. */
export type BrokenCase = [name: string, text: string, code: string, line: number, mended: string];

const ball = [
  'Ball',
  'R1: 6 sc in magic ring [6]',
  'R2: inc x 6 [12]',
  'R3: (sc, inc) x 6 [18]',
  'R4: (sc 2, inc) x 6 [24]',
  'R5-R7: sc around [24]',
  'R8: (sc 2, dec) x 6 [18]',
  'R9: (sc, dec) x 6 [12]',
  'R10: dec x 6 [6]',
];
/** The ball with line `at` (from 1) written another way. */
const but = (at: number, line: string) =>
  ball.map((text, index) => (index === at - 1 ? line : text)).join('\n');
const good = (at: number) => ball[at - 1] ?? '';

export const brokenCorpus: BrokenCase[] = [
  ['total one too high', but(4, 'R3: (sc, inc) x 6 [19]'), 'count-mismatch', 4, good(4)],
  ['total with a digit lost', but(5, 'R4: (sc 2, inc) x 6 [4]'), 'count-mismatch', 5, good(5)],
  ['total of the round before', but(8, 'R9: (sc, dec) x 6 [18]'), 'count-mismatch', 8, good(8)],
  ['last total wrong', but(9, 'R10: dec x 6 [7]'), 'count-mismatch', 9, good(9)],
  ['one repeat too few', but(4, 'R3: (sc, inc) x 5 [18]'), 'count-mismatch', 4, good(4)],
  ['one repeat too many', but(5, 'R4: (sc 2, inc) x 7 [24]'), 'not-enough-stitches', 5, good(5)],
  ['three for two', but(5, 'R4: (sc 3, inc) x 6 [24]'), 'not-enough-stitches', 5, good(5)],
  ['one for two', but(5, 'R4: (sc 1, inc) x 6 [24]'), 'count-mismatch', 5, good(5)],
  ['dec for inc', but(4, 'R3: (sc, dec) x 6 [18]'), 'not-enough-stitches', 4, good(4)],
  ['inc for dec', but(7, 'R8: (sc 2, inc) x 6 [18]'), 'count-mismatch', 7, good(7)],
  ['inc for dec in the last round', but(9, 'R10: inc x 6 [6]'), 'count-mismatch', 9, good(9)],
  [
    'a repeat that does not fill',
    but(5, 'R4: (sc 3, inc) around'),
    'repeat-remainder',
    5,
    'R4: (sc 2, inc) around',
  ],
  [
    'a star repeat that does not fill',
    but(7, 'R8: *sc 3, dec; repeat from * around'),
    'repeat-remainder',
    7,
    'R8: *sc 2, dec; repeat from * around',
  ],
  [
    'a stitch left over',
    'Arm\nR1: 7 sc in ring [7]\nR2-R4: sc around [7]\nR5: (sc, dec) x 2',
    'stitches-left',
    4,
    'R5: (sc, dec) x 2, sc',
  ],
  [
    'stitches left over in a plain round',
    'Arm\nR1: 8 sc in ring [8]\nR2: sc 7\nR3: sc around [8]',
    'stitches-left',
    3,
    'R2: sc 8',
  ],
  [
    'a plain round too long',
    'Arm\nR1: 8 sc in ring [8]\nR2: sc 9\nR3: sc around [8]',
    'not-enough-stitches',
    3,
    'R2: sc 8',
  ],
  ['a misspelt stitch', but(4, 'R3: (sx, inc) x 6 [18]'), 'unknown-stitch', 4, good(4)],
  ['a misspelt stitch with a number', but(5, 'R4: (sd 2, inc) x 6 [24]'), 'unknown-stitch', 5, good(5)],
  ['a misspelt increase', but(4, 'R3: (sc, incc) x 6 [18]'), 'unknown-stitch', 4, good(4)],
  ['a misspelt decrease', but(9, 'R10: decc x 6 [6]'), 'unknown-stitch', 9, good(9)],
  [
    'a round missing',
    ball
      .filter((_, index) => index !== 4)
      .join('\n')
      .replace(
        'R3: (sc, inc) x 6 [18]\nR5-R7: sc around [24]\nR8: (sc 2, dec) x 6 [18]',
        'R3: (sc, inc) x 6 [18]\nR5-R7: sc around [18]\nR8: sc around [18]',
      ),
    'round-missing',
    5,
    'R4: sc around',
  ],
  [
    'a round twice',
    'Arm\nR1: 6 sc in ring\nR2: sc around\nR2: sc around\nR3: sc around',
    'round-duplicate',
    4,
    'R3: sc around',
  ],
  ['a bracket never closed, before a count', but(4, 'R3: (sc, inc x 6 [18]'), 'bracket-unpaired', 4, good(4)],
  ['a bracket never opened', but(6, 'R5-R7: sc) around [24]'), 'bracket-unpaired', 6, good(6)],
  ['a round with nothing in it', but(6, 'R5-R7:'), 'round-empty', 6, 'R5-R7: sc around'],
  [
    'loops worked twice',
    'Bell\nR1: 6 sc in ring\nR2: inc x 6\nR3: FLO sc around\nR4: into the front loops of R2, sc around',
    'loops-used',
    5,
    'R4: into the back loops of R2, sc around',
  ],
  [
    'closed with eighteen left',
    `${ball.slice(0, 7).join('\n')}\nClose the hole.`,
    'not-closed',
    8,
    'R9: dec around',
  ],
  ['dc and tr only', 'Ball\nR1: 6 dc in ring\nR2: 2 tr in each st', 'terms-ambiguous', 2, 'Terms: UK'],
  ['US and UK words together', 'Ball\nR1: 6 sc in ring\nR2: htr around', 'terms-mixed', 3, 'R2: hdc around'],
  [
    'a colour never defined',
    'Yarn A: cream\nBall\nin A\nR1: 6 sc in ring\nR2: change to B, sc around',
    'colour-undefined',
    5,
    'Yarn B: which colour?',
  ],
  [
    'several totals show what was meant',
    'Ball\nR1: 6 sc in ring [6]\nR2: inc x 5 [12]\nR3: (sc, inc) x 6 [18]',
    'count-mismatch',
    3,
    'R2: inc x 6 [12]',
  ],
  [
    'four times the work in one number',
    but(5, 'R4: (sc 22, inc) x 6 [24]'),
    'not-enough-stitches',
    5,
    good(5),
  ],
];
