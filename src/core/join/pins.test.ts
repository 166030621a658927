import * as fc from 'fast-check';
import { analyseToy } from '../toy/analyse';
import { joinPart } from '../toy/joinAll';
import type { Pin } from './joined';
import { pinWord } from './pins';

const ball = [
  'R1: 6 sc in ring',
  'R2: inc x 6',
  'R3: (sc, inc) x 6',
  'R4: (2 sc, inc) x 6',
  'R5-R12: sc around',
  'R13: (2 sc, dec) x 6',
  'R14: (sc, dec) x 6',
];

/** A ball of 24, gathered at 12, and something joined to it. */
function joinedTo(header: string, ...joined: string[]) {
  const text = ['Gauge: 5 mm x 4 mm', 'Lean: 0', 'Head', header, ...ball, 'R15: dec x 6', '', ...joined];
  const toy = analyseToy(text.join('\n'));
  const head = joinPart(toy.parts[0]!);
  return toy.joined.joins.map(({ pins, path, covers }) => ({
    pins: (pins ?? []).map((pin) => [pinWord(head, pin.at), pin.round, pin.stitch]),
    path,
    covers,
  }));
}

const body = ['Body', 'Start: bottom', ...ball, 'Sew the head to the body.'];

// The body's edge of 12 goes about the gathered end of the head, onto round 14 of 12: the front is opposite its start, at 6½. The first of
// two that are as near is taken.
test('an edge all the way round is pinned at the front, at the back and on both sides', () => {
  const [{ pins } = { pins: [] }] = joinedTo('Start: top', ...body);
  expect(pins.map(([word]) => word)).toEqual(['front', 'back', 'left', 'right']);
  expect(new Set(pins.map(([, , stitch]) => stitch)).size).toBe(4);
  const stitchOf = (word: string) => Number(pins.find(([one]) => one === word)?.[2]);
  expect([6, 7]).toContain(stitchOf('front'));
  expect([12, 1]).toContain(stitchOf('back'));
  expect([3, 4]).toContain(stitchOf('left'));
  expect([9, 10]).toContain(stitchOf('right'));
});

test('the hand, the end it begins at and the side of the fabric that is out each turn left and right', () => {
  const leftOf = (header: string) =>
    Number(joinedTo(header, ...body)[0]?.pins.find(([one]) => one === 'left')?.[2]);
  expect(leftOf('Start: top')).toBeLessThan(6);
  expect(leftOf('Start: top\nSide: in')).toBeGreaterThan(6);
});

// Twelve stitches flat are six places, about stitch 6½ of 24 (a quarter from the front at 12½): 4 to 9, and 16 to 21 on the right.
test('a flat edge is pinned at both ends and in its middle, and covers what it is sewn to', () => {
  const ears = ['Ear (make 2)', 'R1: 6 sc in ring', 'R2: inc x 6', 'R3-R4: sc around'];
  const [left, right] = joinedTo(
    'Start: top',
    ...ears,
    'Flatten the ears and sew them to the head on round 8, one on each side.',
  );
  expect(left?.path?.slice(0, 6).map(({ stitch }) => stitch)).toEqual([4, 5, 6, 7, 8, 9]);
  expect(right?.covers).toMatchObject({ rounds: [8, 8], stitches: [16, 21] });
  expect(left?.covers).toMatchObject({ rounds: [8, 8], stitches: [4, 9] });
  expect(left?.pins.slice(0, 2)).toEqual([
    ['left', 8, 4],
    ['right', 8, 9],
  ]);
  expect(left?.pins[2]?.[0]).toBe('middle');
});

// The ring of an ear two rounds out from the start reaches around it.
test('around the start the sides of a ring are beside its middle, not beyond the start', () => {
  const cap = ['Cap', 'R1: 6 sc in ring', 'R2: inc x 6', 'R3: (sc, inc) x 6'];
  const [found] = joinedTo('Start: top', ...cap, 'Sew the cap to the front of the head on round 2.');
  const rounds = found?.pins.map(([, round]) => Number(round)) ?? [];
  expect(found?.pins.map(([word]) => word)).toEqual(['top', 'bottom', 'left', 'right']);
  // Over the start the ring is nearest to it, on the front furthest; its sides are between the two.
  expect(rounds[0]).toBeLessThan(rounds[2] ?? 0);
  expect(rounds[2]).toBeLessThan(rounds[1] ?? 0);
  expect(rounds[2]).toBe(rounds[3]);
});

test('whatever is joined, every pin holds a stitch of the edge, and no two hold the same', () => {
  const sentence = fc.constantFrom(
    'Sew the pieces to the head on round 8, one on each side.',
    'Flatten the pieces and sew them to the head on round 7, 5 stitches from the front.',
    'Pinch the pieces and sew them to the head on round 6, 4 stitches from the front.',
    'Sew the pieces to the head on round 3, 3 stitches from the front.',
  );
  fc.assert(
    fc.property(sentence, fc.integer({ min: 5, max: 14 }), fc.boolean(), (said, count, startsBelow) => {
      const piece = ['Piece (make 2)', `R1: ${count} sc in ring`, 'R2-R4: sc around', said];
      const text = [
        'Head',
        startsBelow ? 'Start: bottom' : 'Start: top',
        ...ball,
        'R15: dec x 6',
        '',
        ...piece,
      ];
      const { joins } = analyseToy(text.join('\n')).joined;
      for (const { pins, path } of joins) {
        const spot = ({ round, stitch }: Pick<Pin, 'round' | 'stitch'>) => `${round}/${stitch}`;
        const sewn = new Set((path ?? []).map(spot));
        const spots = (pins ?? []).map(spot);
        expect(spots.every((one) => sewn.has(one))).toBe(true);
        expect(new Set(spots).size).toBe(spots.length);
        const isOnePlace = said.startsWith('Pinch') && count < 6;
        if (path) expect(spots.length > 1).toBe(!isOnePlace);
      }
    }),
    { numRuns: 40 },
  );
});
