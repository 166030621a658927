import * as vec3 from 'gl-matrix/vec3';
import * as fc from 'fast-check';
import { analyseToy } from '../toy/analyse';
import { assembled } from '../toy/assembled';
import { joinPart } from '../toy/joinAll';
import { standingOf } from '../toy/standing';
import { stitchAzimuth } from '../shape/azimuth';
import { joinDirections } from './directions';
import { joinPicture } from './joinPicture';
import { flatPiece, xOf } from './outline';
import { placeOf, type PosedUnit } from './pose/posed';
import { alongAt } from './wall';

/** A blanket of twenty stitches and sixteen rows, a head that ends open with twelve, ears with six. Stitches and rows are 5 mm. */
const toy = (sentence: string, { hand = '', start = 'Start: bottom', own = '' } = {}) =>
  analyseToy(
    [
      'Gauge: 5 mm x 5 mm',
      hand,
      'Blanket',
      start,
      'Ch 21\nRow 1: sc in 2nd ch from hook and in each ch across [20]\nRow 2-16: ch 1, turn, sc across [20]',
      '\nHead',
      own,
      'R1: 6 sc in ring [6]\nR2: inc x 6 [12]\nR3-R5: sc around [12]',
      '\nEar (make 2)\nR1: 6 sc in ring [6]\nR2: sc around [6]',
      '\nAssembly',
      sentence,
    ]
      .filter((line) => line !== '')
      .join('\n'),
  );

const said = (analysis: ReturnType<typeof toy>) =>
  analysis.joined.joins.map((join) =>
    joinDirections(
      join,
      analysis.joined,
      analysis.parts.map((part) => joinPart(part)),
    ),
  );

// Twelve stitches are a ring 19 mm across: 1.9 rows and stitches to each side of row 8 and of 10½.
test('a head in the middle of a blanket', () => {
  const analysis = toy('Sew the head to the blanket on row 8, in the middle.');
  const [join] = analysis.joined.joins;
  expect(join).toMatchObject({
    kind: 'open-on-wall',
    round: 8,
    stitch: 10.5,
    covers: { rounds: [6, 10], stitches: [9, 12] },
  });
  const { address, pins } = said(analysis)[0]!;
  expect(address).toBe('Row 8 of the blanket, between stitches 10 and 11');
  expect(pins.map((pin) => pin.replace(/: its stitch.* to /, ': '))).toEqual([
    expect.stringMatching(/^top: row 10, stitch 1[01]$/),
    expect.stringMatching(/^bottom: row 6, stitch 1[01]$/),
    'left: row 8, stitch 9',
    'right: row 8, stitch 12',
  ]);
});

// The first row of a right-handed maker runs to the left, so the tenth runs to the right; left-handed it is the other way round.
test.each([
  ['', 'Sew the ears to the blanket on row 10, 5 stitches from the middle.', [5.5, 15.5]],
  ['Hand: left', 'Sew the ears to the blanket on row 10, 5 stitches from the middle.', [15.5, 5.5]],
  ['', 'Sew the ears to the blanket on row 11, 5 stitches from the middle.', [15.5, 5.5]],
])('%s %s', (hand, sentence, stitches) => {
  const { joins } = toy(sentence, { hand }).joined;
  expect(joins.map(({ unit }) => unit.name)).toEqual(['left ear', 'right ear']);
  expect(joins.map(({ stitch }) => stitch)).toEqual(stitches);
});

test('it is drawn with its pins where they are', () => {
  const analysis = toy('Sew the head to the blanket on row 8, in the middle.');
  const picture = joinPicture(
    analysis.joined.joins[0]!,
    analysis.joined,
    analysis.parts.map((part) => joinPart(part)),
  )!;
  const at = (words: string) =>
    picture.marks.find((mark) => mark.kind === 'words' && mark.words === words) as { x: number; y: number };
  expect(at('top').y).toBeLessThan(at('bottom').y);
  expect(at('left').x).toBeLessThan(at('right').x);
  expect(picture.marks.filter((mark) => mark.kind === 'dot' && mark.tone === 'piece')).toHaveLength(12);
});

// A ring of six is 4.8 mm from its middle: of 80 mm height it lies 35.2 up, in the last row; of 100 mm width 45.2 aside, at 1½ and 19½.
test('ears at the upper corners, with their edges at the edge', () => {
  const { joins } = toy('Sew the ears to the upper corners of the blanket.').joined;
  expect(joins.map(({ unit, round, stitch }) => [unit.name, round, stitch])).toEqual([
    ['left ear', 16, 1.5],
    ['right ear', 16, 19.5],
  ]);
});

test('what is worked in rounds has no corners', () => {
  const { problems } = toy('Sew the ears to the corners of the head.');
  expect(problems.filter(({ code }) => code === 'join-row-missing').map(({ message }) => message)).toEqual([
    expect.stringContaining('corners'),
  ]);
});

test('a line has its ends and its middle', () => {
  const pins = (sentence: string) =>
    said(toy(sentence))[0]!.pins.map((pin) => pin.slice(0, pin.indexOf(':')));
  expect(pins('Flatten the ears and sew them to the blanket on row 10, stitches 5 and 16.')).toEqual([
    'left',
    'right',
    'middle',
  ]);
  expect(pins('Flatten the ears and sew them to the blanket over rows 8 to 12, stitches 5 and 16.')).toEqual([
    'top',
    'bottom',
    'middle',
  ]);
});

test.each([
  ['Sew the head to the blanket on row 15, in the middle.', 'join-over-edge'],
  ['Sew the head to the blanket on row 8, stitch 2.', 'join-over-edge'],
  ['Sew the ears to the blanket on row 8, on both sides.', 'join-around'],
  ['Sew the head to the blanket.', 'join-unworked'],
  ['Sew the head to the blanket on row 40.', 'join-row-missing'],
])('%s is told by %s', (sentence, code) => {
  expect(toy(sentence).problems.map((one) => one.code)).toContain(code);
});

/** Where a stitch of a row of a flat piece is drawn. */
function stitchPlace({ part, sheet, surface }: PosedUnit, row: number, stitch: number): vec3 {
  const { left, right } = flatPiece(part).rows[row - 1]!;
  const share = (xOf(flatPiece(part).rows[row - 1]!, stitch) - left) / (right - left);
  return sheet!.placeAt({ along: alongAt(surface, row - 0.5), azimuth: Math.PI * share });
}

test('a head is drawn turned as it is sewn, with either hand, whichever row is up', () => {
  fc.assert(
    fc.property(
      fc.record({
        hand: fc.constantFrom('', 'Hand: left'),
        start: fc.constantFrom('Start: bottom', 'Start: top'),
        own: fc.constantFrom('', 'Side: in'),
      }),
      fc.integer({ min: 4, max: 12 }),
      fc.integer({ min: 4, max: 16 }),
      (worked, row, stitch) => {
        const analysis = toy(`Sew the head to the blanket on row ${row}, stitch ${stitch}.`, worked);
        const [join] = analysis.joined.joins;
        const posed = assembled(analysis);
        const wall = posed.find(({ unit }) => unit.part === 'blanket')!;
        const head = posed.find(({ unit }) => unit.part === 'head')!;
        expect(head.loose).toBe(false);
        const off = join!.path!.map((sewn) => {
          const azimuth = stitchAzimuth(
            head.part.fabric,
            head.part.starts,
            head.part.fabric.rounds,
            sewn.edge,
          );
          const own = placeOf(head, { along: alongAt(head.surface, head.part.fabric.rounds), azimuth });
          return vec3.distance(own, stitchPlace(wall, sewn.row, sewn.stitch));
        });
        expect(Math.max(...off)).toBeLessThan(6.5);
      },
    ),
    { numRuns: 60 },
  );
});

test('what is sewn onto a blanket lies with it, and is not said to fall over', () => {
  expect(standingOf(toy('Sew the head to the blanket on row 8, in the middle.')).balance).toBeNull();
});
