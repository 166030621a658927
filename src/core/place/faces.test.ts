import { applyEdits } from '../notation/applyEdits';
import { wrapAngle } from '../shape/azimuth';
import { holePoint } from '../shape/form/holePoint';
import { standing } from '../shape/form/stand';
import { analyseFaces as analyseToy, type FacePart as PartAnalysis } from '../__tests__/faces';
import { measurePart, standOf } from '../toy/formOfPart';
import { eyesOnForm, featureOnForm } from './check/onForm';
import { proposedEyes } from './rule/proposeRule';

/** Pieces that carry a face in every way a piece is worked, each with eyes, a nose just below and a mouth four rounds below. */
const ball = (first = 'R1: 6 sc in magic ring') => [
  first,
  'R2: inc x 6',
  'R3: (sc, inc) x 6',
  'R4: (sc 2, inc) x 6',
  'R5: (sc 3, inc) x 6',
  'R6: (sc 4, inc) x 6',
  'R7-R16: sc around',
  'R17: (sc 4, dec) x 6',
  'R18: (sc 3, dec) x 6',
  'R19: (sc 2, dec) x 6',
];
const closed = ['R20: (sc, dec) x 6', 'R21: dec x 6'];
const face = (line: number, apart = 7) => [
  `Insert 8 mm eyes between R${line} and R${line + 1}, ${apart} post to post.`,
  'Embroider the nose just below the eyes, 3 wide, satin stitch.',
  'Embroider a smile 4 rounds below the eyes, 3 stitches wide.',
];

const faces: [name: string, text: string[]][] = [
  ['a plain head', ['Head', ...ball(), ...closed, ...face(10)]],
  [
    'a head worked on into the body, over a narrow neck',
    [
      'Body',
      ...ball(),
      'R20: sc around',
      'R21: (sc 2, inc) x 6',
      'R22: (sc 3, inc) x 6',
      'R23-R32: sc around',
      'R33: (sc 3, dec) x 6',
      'R34: (sc 2, dec) x 6',
      'R35: (sc, dec) x 6',
      'R36: dec x 6',
      ...face(10),
    ],
  ],
  [
    'a body worked up into the head, over a narrow neck',
    [
      'Body',
      'Start: bottom',
      ...ball(),
      'R20: sc around',
      'R21: (sc 2, inc) x 6',
      'R22: (sc 3, inc) x 6',
      'R23-R32: sc around',
      'R33: (sc 3, dec) x 6',
      'R34: (sc 2, dec) x 6',
      'R35: (sc, dec) x 6',
      'R36: dec x 6',
      ...face(29),
    ],
  ],
  ['from the chin up', ['Head', 'Start: bottom', ...ball(), ...closed, ...face(11)]],
  ['left-handed', ['Hand: left', 'Head', ...ball(), ...closed, ...face(10)]],
  [
    'joined rounds with a seam',
    ['Head', 'Rounds: joined', ...ball('R1: 6 sc in magic ring, sl st to first st'), ...closed, ...face(10)],
  ],
  [
    'on an oval',
    [
      'Head',
      'R1: ch 8, sc in 2nd ch from hook, sc in next 5, 3 sc in last ch, working on other side: sc in next 5, 2 sc in last',
      'R2: inc, sc 5, inc x 3, sc 5, inc x 2',
      'R3: sc, inc, sc 5, (sc, inc) x 3, sc 5, (sc, inc) x 2',
      'R4-R12: sc around',
      'R13: (sc 5, dec) x 4',
      'R14: (sc 4, dec) x 4',
      'R15: (sc 3, dec) x 4',
      ...face(6, 6),
    ],
  ],
];

const facePart = (text: string[]) => analyseToy(`Apart: post to post\n${text.join('\n')}\n`).parts[0]!;
const serious = (part: PartAnalysis) =>
  [...part.problems].filter((problem) => problem.severity === 'error').map((problem) => problem.code);
const middleOf = (units: readonly { azimuth: number }[]) =>
  units[0]!.azimuth + wrapAngle(units.at(-1)!.azimuth - units[0]!.azimuth) / 2;

describe.each(faces)('%s', (_, text) => {
  const part = facePart(text);
  const eyes = part.eyes!;
  const stitch = (2 * Math.PI) / eyes.units[0]!.of;

  test('is placed without an error, eyes, nose and mouth', () => {
    expect(serious(part)).toEqual([]);
    expect(part.features.map(({ id }) => id)).toEqual(['nose', 'mouth']);
  });

  test('shares one middle: nose and mouth are never half a stitch off the eyes', () => {
    for (const { id, units } of part.features)
      expect([id, Math.abs(wrapAngle(middleOf(units) - middleOf(eyes.units))) / stitch < 0.5 + 1e-9]).toEqual(
        [id, true],
      );
  });

  test('has the nose below the eyes and the mouth below the nose, as one looks at the finished piece', () => {
    const down = part.source.start === 'top' ? 1 : -1;
    expect(part.features.map(({ line }) => (line - eyes.line) * down)).toEqual([1, 4]);
  });

  test('has them where the form says: in the middle, level, and facing forward', () => {
    const { form } = measurePart(part);
    const stand = standOf(part);
    const seen = eyesOnForm(part.form, eyes, form, stand)!;
    // A round counted evenly is a stitch off at most where increases pile up, as on an oval's ends.
    expect(Math.abs(seen.offMm)).toBeLessThan(6);
    expect(Math.abs(seen.rightHigherMm)).toBeLessThan(3);
    for (const feature of part.features) {
      const lies = featureOnForm(part.form, feature, form, stand)!;
      expect([feature.id, Math.abs(lies.offMm - seen.offMm) < 4.5]).toEqual([feature.id, true]);
    }
    const placed = standing(form, stand, false);
    for (const { from: hole } of eyes.units)
      expect(
        holePoint(part.fabric, { nodes: form.nodes, placed, stand }, eyes.line, hole)!.at[2],
      ).toBeGreaterThan(0);
  });
});

test.each([
  ['from the crown down', '', [10, 11]],
  ['from the feet up', 'Start: bottom\n', [27, 28]],
] as const)('eyes set by thumb on head and body in one piece go on the head, %s', (_, header, gap) => {
  // A head of 36 stitches and a body of 48, or the other way up.
  const [small, large] = [
    'R2: inc x 6|R3: (sc, inc) x 6|R4: (2 sc, inc) x 6|R5: (3 sc, inc) x 6|R6: (4 sc, inc) x 6|R7-R14: sc around|R15: (4 sc, dec) x 6|R16: (3 sc, dec) x 6|R17: (2 sc, dec) x 6',
    'R18: (2 sc, inc) x 6|R19: (3 sc, inc) x 6|R20: (4 sc, inc) x 6|R21: (5 sc, inc) x 6|R22: (6 sc, inc) x 6|R23-R32: sc around',
  ].map((text) => text.split('|').join('\n'));
  const down = `Body\n${header}R1: 6 sc in ring\n${small}\n${large}\n`;
  const up = `Body\n${header}R1: 6 sc in ring\nR2: inc x 6\nR3: inc x 12\nR4: inc x 24\nR5-R16: sc around\nR17: (6 sc, dec) x 6\nR18: (5 sc, dec) x 6\nR19: (4 sc, dec) x 6\nR20: (3 sc, dec) x 6\nR21: (2 sc, dec) x 6\nR22: (2 sc, inc) x 6\nR23-R32: sc around\n`;
  const part = analyseToy(header ? up : down).parts[0]!;
  expect(proposedEyes(part.form).vertical).toEqual({ by: 'gap', gap });
});

test('on a flat piece the middle is between the edges, and every other row counts back', () => {
  const part = facePart([
    'Bib',
    'Row 1: ch 17, sc in 2nd ch from hook and in each ch across, turn',
    'Rows 2-14: ch 1, sc across, turn',
    ...face(8, 6),
  ]);
  expect(serious(part)).toEqual([]);
  // 16 stitches, middle between hole 8 and 9: 6 apart are holes 5.5 and 11.5, the nearest pair half a stitch off, and it says so.
  expect(part.eyes!.problems.map(({ code }) => code)).toContain('not-centred');
  expect(Math.abs(part.eyes!.missStitches)).toBeCloseTo(0.5, 6);
  const odd = facePart([
    'Bib',
    'Row 1: ch 17, sc in 2nd ch from hook and in each ch across, turn',
    'Rows 2-14: ch 1, sc across, turn',
    ...face(8, 7),
  ]);
  expect(odd.eyes!.units.map((post) => post.from).sort((a, b) => a - b)).toEqual([5, 12]);
  expect(odd.eyes!.missStitches).toBeCloseTo(0, 6);
});

test.each([
  [[]],
  [['Gauge: 5 mm x 3.8 mm']],
  [['Gauge: 5 mm x 4.2 mm']],
  [['Gauge: 5 mm x 4.4 mm']],
  [['Gauge: 5 mm x 4.8 mm']],
])('on a circle folded in half the eyes come to the front half and share its middle %s', (gauge) => {
  const part = facePart([
    ...gauge,
    'Wing',
    'R1: 6 sc in magic ring',
    'R2: inc x 6',
    'R3: (sc, inc) x 6',
    'R4: (sc 2, inc) x 6',
    'R5: (sc 3, inc) x 6',
    'R6: (sc 4, inc) x 6',
    'R7: (sc 5, inc) x 6',
    'Fold in half.',
    'Do not stuff.',
    'Insert 6 mm eyes between R5 and R6, 6 post to post.',
    'Embroider the nose between R6 and R7, 2 wide, satin stitch.',
  ]);
  expect(serious(part)).toEqual([]);
  const { form } = measurePart(part);
  const seen = eyesOnForm(part.form, part.eyes!, form, standOf(part))!;
  expect(Math.abs(seen.rightHigherMm)).toBeLessThan(3);
  expect(
    Math.abs(wrapAngle(middleOf(part.features[0]!.units) - middleOf(part.eyes!.units))) * 36,
  ).toBeLessThan(Math.PI);
});

test('where increases are clustered the form decides: nearer holes are offered, and taking them brings the eyes to its middle', () => {
  const text = [
    'Head',
    'R1: 6 sc in ring',
    'R2: inc x 6',
    'R3: (sc, inc) x 6',
    'R4: (2 sc, inc) x 6',
    'R5: (3 sc, inc) x 6',
    'R6: sc around',
    'R7: sc 2, inc 12, sc 16',
    'R8-R12: sc around',
    'R13: sc 2, dec 12, sc 16',
    'R14-R15: sc around',
    'R16: (3 sc, dec) x 6',
    'R17: (2 sc, dec) x 6',
    'R18: (sc, dec) x 6',
    'R19: dec x 6',
    'Eyes: 8 mm, between R9 and R10, 8 post to post.',
    '',
  ].join('\n');
  const off = (of: string) => {
    const part = analyseToy(of).parts[0]!;
    return { part, seen: eyesOnForm(part.form, part.eyes!, measurePart(part).form, standOf(part))! };
  };
  const { part, seen } = off(text);
  expect(seen.better).not.toBeNull();
  const after = off(
    applyEdits(text, [{ line: part.source.line, text: seen.better!.front, insertAfter: true }]),
  );
  expect(Math.abs(after.seen.offMm)).toBeLessThan(Math.abs(seen.offMm));
});
