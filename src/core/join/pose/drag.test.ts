import * as fc from 'fast-check';
import { roundCount } from '../../fabric/fabric';
import { stitchAzimuth, turn, wrapAngle } from '../../shape/azimuth';
import { analyseToy } from '../../toy/analyse';
import { assembled } from '../../toy/assembled';
import { draggedTo, isWithinReach, type Grip } from './drag';
import { seen } from './looking';
import { normalAt, placeOf } from './posed';
import { alongAt } from '../wall';

const toy = (header: string, sentence: string) =>
  analyseToy(
    `${header}\nTerms: US\nBody\nR1: 6 sc in ring (6)\nR2: inc x 6 (12)\nR3: (sc, inc) x 6 (18)\nR4: (2 sc, inc) x 6 (24)\nR5-R14: sc around (24)\nR15: (2 sc, dec) x 6 (18)\n\nArm (make 2)\nR1: 6 sc in ring (6)\nR2-R6: sc around (6)\n\nTail\nR1: 4 sc in ring (4)\nR2-R4: sc around (4)\n\nAssembly\n${sentence}\n`,
  );

/** What a thumb holds of the first unit that a sentence joins. */
function grip(sentence: string, goes: Grip['goes'], header = ''): Grip {
  const analysis = toy(header, sentence);
  const [join] = analysis.joined.joins;
  const wall = assembled(analysis).find(({ unit }) => unit.part === join!.on.part)!;
  const row = wall.part.fabric.label.indexOf(Math.round(join!.round!)) + 1;
  return { wall, row, azimuth: join!.centre!.azimuth, front: analysis.joined.fronts.get('body')!, goes };
}

/** Where a place of the wall is on the page. */
function page({ wall }: Grip, row: number, azimuth: number, yaw: number) {
  const point = { along: alongAt(wall.surface, row), azimuth };
  const [x = 0, y = 0] = seen(placeOf(wall, point), yaw);
  const towards = seen(normalAt(wall, point), yaw)[2]!;
  return { x, y: -y, towards };
}

const arms = 'Sew the arms to the body on round 9, 5 stitches from the front.';
const tail = 'Sew the tail to the body on round 12, at the back.';

test('not drawn at all, a pair stays where it is, from whichever side it is looked at', () => {
  const held = grip(arms, 'pair');
  expect(draggedTo(held, { x: 0, y: 0 }, 0)).toEqual({ round: 9, at: { kind: 'aside', stitches: 5 } });
});

test('straight down the page it goes down its rounds and stays as far from the front, also where the wall turns away', () => {
  const held = grip('Sew the arms to both sides of the body on round 9.', 'pair');
  const from = page(held, 9, held.azimuth, 0);
  const to = page(held, 12, held.azimuth, 0);
  expect(draggedTo(held, { x: 0, y: to.y - from.y }, 0)).toEqual({
    round: 12,
    at: { kind: 'aside', stitches: 6 },
  });
});

test('one alone goes from the middle of the back to a stitch, and back into the middle', () => {
  const held = grip(tail, 'alone');
  const aside = stitchAzimuth(held.wall.part.fabric, held.wall.part.starts, 12, 4);
  const yaw = Math.PI;
  const from = page(held, 12, held.azimuth, yaw);
  const to = page(held, 12, aside, yaw);
  expect(to.towards).toBeGreaterThan(0.3);
  const there = draggedTo(held, { x: to.x - from.x, y: to.y - from.y }, yaw);
  expect(there).toEqual({ round: 12, at: { kind: 'stitch', stitch: 4 } });
  const back = draggedTo({ ...held, azimuth: aside }, { x: from.x - to.x, y: from.y - to.y }, yaw);
  expect(back).toEqual({ round: 12, at: { kind: 'back' } });
});

test('from the front what is behind can’t be taken hold of', () => {
  const held = grip(tail, 'alone');
  expect(isWithinReach(held, 0)).toBe(false);
  expect(isWithinReach(held, Math.PI)).toBe(true);
});

test('of several, joined by one sentence, only the round changes', () => {
  const held = grip(arms, 'together');
  const down = page(held, 11, held.azimuth, 0).y - page(held, 9, held.azimuth, 0).y;
  expect(draggedTo(held, { x: 3, y: down }, 0)).toEqual({ round: 11, at: null });
});

test('drawn to any place of the wall that can be seen it comes there: every hand, start and side', () => {
  const hands = ['', 'Hand: left', 'Start: bottom', 'Hand: left\nStart: bottom'];
  fc.assert(
    fc.property(
      fc.constantFrom(...hands),
      fc.integer({ min: 3, max: 14 }),
      fc.integer({ min: 1, max: 8 }),
      fc.double({ min: -0.6, max: 0.6, noNaN: true }),
      (header, round, stitches, yaw) => {
        const held = grip(arms, 'pair', header);
        const count = roundCount(held.wall.part.fabric, round);
        const side = Math.sign(wrapAngle(held.azimuth - held.front));
        const azimuth = held.front + (side * turn * stitches) / count;
        const from = page(held, held.row, held.azimuth, yaw);
        const to = page(held, round, azimuth, yaw);
        // At the rim of what can be seen neighbouring stitches lie over each other: there any of them is right.
        fc.pre(to.towards > 0.5);
        const there = draggedTo(held, { x: to.x - from.x, y: to.y - from.y }, yaw)!;
        const { kind, ...at } = there.at as { kind: 'aside'; stitches: number };
        expect(kind).toBe('aside');
        const found = page(held, there.round, held.front + (side * turn * at.stitches) / count, yaw);
        const near = Math.hypot(found.x - to.x, found.y - to.y);
        expect(near).toBeLessThan(held.wall.part.gauge.widthMm);
      },
    ),
    { numRuns: 60 },
  );
});
