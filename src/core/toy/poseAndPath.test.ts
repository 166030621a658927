import * as vec3 from 'gl-matrix/vec3';
import * as fc from 'fast-check';
import { roundNumbered } from '../fabric/rounds';
import type { Join } from '../join/joined';
import { sewnEdgeOf } from '../join/placing';
import { placeOf, type PosedUnit } from '../join/pose/posed';
import { alongAt } from '../join/wall';
import { stitchAzimuth } from '../shape/azimuth';
import { analyseToy } from './analyse';
import { assembled } from './assembled';

/** Where a stitch of a unit is in space. */
const stitchPlace = (posed: PosedUnit, round: number, stitch: number): vec3 =>
  placeOf(posed, {
    along: alongAt(posed.surface, round),
    azimuth: stitchAzimuth(posed.part.fabric, posed.part.starts, round, stitch),
  });

/** How far the stitches of an edge are from those they are sewn to, in mm, if it were turned by so many stitches, or over. */
function gapMm(join: Join, posed: readonly PosedUnit[], turnedBy: number, isOver: boolean): number {
  const path = join.path ?? [];
  const own = posed.find(({ unit }) => unit.part === join.unit.part && unit.unit === join.unit.unit)!;
  const wall = posed.find(({ unit }) => unit.part === join.on.part)!;
  const edge = sewnEdgeOf({ piece: own.part, sentence: join.sentence });
  const sum = path.reduce((total, { round, stitch }, i) => {
    const at = (((isOver ? -i : i) + turnedBy) % path.length) + path.length;
    const sewn = path[at % path.length]!;
    const row = roundNumbered(wall.part.fabric, round);
    return total + vec3.distance(stitchPlace(own, edge.round, sewn.edge), stitchPlace(wall, row, stitch));
  }, 0);
  return sum / path.length;
}

/** How much nearer the edges would come if it were turned or turned over: 0 where the toy is drawn as it is sewn. */
function offMm(text: string): number[] {
  const toy = analyseToy(text);
  const posed = assembled(toy);
  return toy.joined.joins
    .filter(({ path }) => path !== null)
    .map((join) => {
      const turns = join.path!.flatMap((_, by) => [
        gapMm(join, posed, by, false),
        gapMm(join, posed, by, true),
      ]);
      return gapMm(join, posed, 0, false) - Math.min(...turns);
    });
}

const ball = [
  'R1: 6 sc in ring',
  'R2: inc x 6',
  'R3: (sc, inc) x 6',
  'R4: (2 sc, inc) x 6',
  'R5: (3 sc, inc) x 6',
  'R6: (4 sc, inc) x 6',
  'R7-R16: sc around',
  'R17: (4 sc, dec) x 6',
  'R18: (3 sc, dec) x 6',
  'R19: sc around',
  'R20: (2 sc, dec) x 6',
];
const closed = ['R21: (sc, dec) x 6', 'R22: dec x 6'];
const pieces = {
  tube: ['R1: 6 sc in ring', 'R2: inc x 6', 'R3-R8: sc around'],
  foot: ['R1: 6 sc in ring', 'R2: inc x 6', 'R3: (sc, inc) x 6', 'R4: 3 sc, 6 dec, 3 sc', 'R5-R9: sc around'],
};
const onWall = [
  'Sew the pieces to the body on round 9, one on each side, turned 2 stitches clockwise.',
  'Sew the pieces to the body on round 12, 5 stitches from the front, turned 40 degrees up.',
  'Sew the pieces to the body on round 3, one on each side, turned a quarter turn anticlockwise.',
  'Flatten the pieces and sew them to the body on round 11, 5 stitches from the front, turned 30 degrees anticlockwise.',
  'Flatten the pieces and sew them to the body on round 5, one on each side, turned 45 degrees clockwise.',
  'Sew the pieces to the body on round 8, one on each side.',
  'Sew the pieces to the body on round 14, 4 stitches from the front.',
  'Sew the pieces to the body on round 3, one on each side.',
  'Sew the pieces to the body on round 9, 5 stitches from the back.',
  'Flatten the pieces and sew them to the body on round 5, one on each side.',
  'Flatten the pieces and sew them to the body on round 11, 5 stitches from the front.',
  'Flatten the pieces and sew them to the body on round 18, 5 stitches from the back.',
  'Flatten the pieces and sew them to the sides of the body, over rounds 9 to 13.',
  'Flatten the pieces and sew them to the body over rounds 3 to 7, 6 stitches from the front.',
];

// The way a piece is sewn and the way it is drawn are worked out apart. A stitch is 5 mm; half of one lies within what stitches allow.
const withinMm = 1.5;
const hand = fc.constantFrom('', 'Hand: left');
const lean = fc.constantFrom('Lean: 0', 'Lean: 0.25');
const start = fc.constantFrom('', 'Start: bottom');
const side = fc.constantFrom('', 'Side: in');

test('a piece on a wall is drawn turned as it is sewn, with either hand, on walls of either start and side', () => {
  fc.assert(
    fc.property(
      fc.record({ hand, lean, start, side, own: side }),
      fc.constantFrom(...onWall),
      fc.constantFrom(...Object.values(pieces)),
      (worked, sentence, piece) => {
        const text = [
          'Gauge: 5 mm x 4.2 mm',
          worked.hand,
          worked.lean,
          'Body',
          worked.start,
          worked.side,
          ...ball,
          ...closed,
          '',
          'Piece (make 2)',
          worked.own,
          ...piece,
          sentence,
        ];
        const off = offMm(
          text.filter((line, i) => line !== '' || text[i + 1]?.startsWith('Piece')).join('\n'),
        );
        expect(off).toHaveLength(2);
        for (const mm of off) expect(mm).toBeLessThan(withinMm);
      },
    ),
    { numRuns: 90 },
  );
});

test('so is a body under its head, and a head on the edge of its body, with arms that turn it', () => {
  fc.assert(
    fc.property(
      fc.record({ hand, lean }),
      fc.boolean(),
      fc.integer({ min: 5, max: 15 }),
      (worked, isOpen, round) => {
        const text = [
          'Gauge: 5 mm x 4.2 mm',
          worked.hand,
          worked.lean,
          'Body',
          'Start: bottom',
          ...ball,
          `Sew the head to the body.`,
          '',
          'Head',
          ...ball,
          ...(isOpen ? [] : closed),
          '',
          'Piece (make 2)',
          ...pieces.tube,
          `Sew the pieces to the body on round ${round}, one on each side.`,
        ];
        const off = offMm(text.filter((line, i) => line !== '' || i > 2).join('\n'));
        expect(off).toHaveLength(3);
        for (const mm of off) expect(mm).toBeLessThan(withinMm);
      },
    ),
    { numRuns: 30 },
  );
});

const hat = ['Hat', ...ball.slice(0, 6), 'R7-R9: sc around', 'R10: (4 sc, dec) x 6', 'R11: (3 sc, dec) x 6'];
const ends = [
  'Slip the hat over the head.',
  'Slip the hat over the head, down to round 8.',
  'Sew the edge of the hat to the edge of the body.',
  'Sew the head to the body.',
];

test('so is what goes over an end or against it, at whichever end it is said to begin', () => {
  fc.assert(
    fc.property(
      fc.record({ hand, lean, body: start, head: start }),
      fc.constantFrom(...ends),
      (worked, sentence) => {
        const lines = ['Gauge: 5 mm x 4.2 mm', worked.hand, worked.lean, 'Body', worked.body, ...ball];
        const head = ['Head', worked.head, ...ball, ...closed];
        const text = [...lines, ...head, ...hat, sentence].filter((line) => line !== '');
        const off = offMm(text.join('\n'));
        expect(off.length).toBeGreaterThan(0);
        for (const mm of off) expect(mm).toBeLessThan(withinMm);
      },
    ),
    { numRuns: 60 },
  );
});
