import { joinDirections } from '../join/directions';
import { joinPicture } from '../join/joinPicture';
import { analyseToy } from './analyse';
import { drawAssembled, modelOfToy, toyPicture } from './assembled';
import { joinPart } from './joinAll';
import { standingOf } from './standing';

const body = 'Body\nR1: 6 sc in mr\nR2: inc x 6\nR3: (sc, inc) x 6\nR4-R9: sc around';

/** Flat pieces as they come: chains in a row, one stitch, no row at all, far too large, an edging about the rows. */
const pieces = [
  'Ch 4\nRow 1: sc in 2nd ch from hook and across\nRow 2: ch 1, turn, (sc, ch 2, sc) in next, sc\nRow 3: ch 1, turn, dec, dec',
  'Ch 3\nRow 1: sc in 2nd ch, inc\nRow 2: ch 1, turn, ch 5\nRow 3: sc',
  'Ch 2',
  'Row 1: ch 20, turn\nRow 2: sc 19',
  'Ch 10\nRow 1: dc in 4th ch from hook and in each ch across\nRow 2: ch 3, turn, dc across\nR3: sc around the edge',
  'Row 1: sc 1\nRow 2: sc 1',
  'Ch 50\nRow 1: sc in 2nd ch from hook and in each across\nRow 2-30: ch 1, turn, sc across',
].map((rows) => `Patch\n${rows}`);

const sentences = [
  'Sew the patch to the front of the body on round 6.',
  'Sew the patch to the body on round 1 all round its edge, turned 900 degrees up.',
  'Sew the patch around the start of the body.',
  'Sew the patch to the body at round 6 by its first row, drooping 30 degrees.',
  'Sew the body to the patch on row 2, in the middle.',
  'Sew the body to the patch on row 1, stitch 900.',
  'Pull the patch through the body at round 5.',
  'String the patch and the body together.',
  'Hang the patch from the body at round 3 by a 0 cm chain.',
  'Knot a fringe into every 99th stitch of round 4 of the body.',
  'Knot a fringe into every 0th stitch of round 4 of the body.',
  'Sew the patch to the patch.',
];

const texts = pieces.flatMap((piece) =>
  sentences.flatMap((sentence) => [
    `${body}\n\n${piece}\n\nAssembly\n${sentence}`,
    `${piece}\n\n${body}\n\nAssembly\n${sentence}`,
  ]),
);

test('whatever is flat and wherever it should go, no step fails and every number is one', () => {
  for (const text of texts) {
    const toy = analyseToy(text, { searches: false });
    const failed = toy.problems.filter(({ code }) => code === 'step-failed').map(({ message }) => message);
    expect([text, failed]).toEqual([text, []]);
    const parts = toy.parts.map((part) => joinPart(part));
    const { joins, workedOn } = toy.joined;
    const said = [...joins, ...workedOn].map((join) => [
      joinDirections(join, toy.joined, parts),
      joinPicture(join, toy.joined, parts),
      [join.path, join.pins, join.covers, join.turned],
    ]);
    const { box } = drawAssembled(toy, { yaw: 0.3, pulled: 5, segments: 8 });
    standingOf(toy);
    toyPicture(toy);
    const positions = modelOfToy(toy).surfaces.flatMap((surface) => [...surface.positions]);
    expect(positions.every(Number.isFinite)).toBe(true);
    // What is no number turns into null where it is written down.
    const written = JSON.stringify([box, said], (_, value: unknown) =>
      typeof value === 'number' && !Number.isFinite(value) ? 'no number' : value,
    );
    expect(written).not.toMatch(/no number|NaN|undefined/);
  }
});
