import * as fc from 'fast-check';
import { analyseToy, type ToyAnalysis } from '../toy/analyse';
import { plannedForHands } from '../toy/planToy';
import { suppliesOf } from '../toy/supplies/suppliesOf';
import {
  handLimits,
  handsBySize,
  inOrder,
  readHands,
  sizeOfHands,
  usualHands,
  type HandFigure,
  type Hands,
} from './hands';

/** 30 stitches at 5 mm, then 24, 18, 12 and 6 left: openings of 38.2, 28.6, 19.1 and 9.5 mm after rounds 14 to 17. */
const head = `Gauge: 5 mm x 5 mm
Head
R1: 6 sc in ring
R2: inc x 6
R3: (sc, inc) x 6
R4: (2 sc, inc) x 6
R5: (3 sc, inc) x 6
R6-R13: sc around
R14: (3 sc, dec) x 6
R15: (2 sc, dec) x 6
R16: (sc, dec) x 6
R17: dec x 6
Insert 9 mm safety eyes between R8 and R9, 6 showing.
Stuff.`;
const toy = analyseToy(head);
const seating = ({ parts }: ToyAnalysis) =>
  parts[0]!.stops.stops.find(({ acts }) => acts.some(({ act }) => act === 'seat-eyes'));
const momentsOf = (found: ToyAnalysis) => {
  const stop = seating(found);
  return stop ? [stop.after, stop.latest] : null;
};

test('usual hands change nothing, and nothing is worked out again', () => {
  expect(plannedForHands(toy, usualHands)).toBe(toy);
  expect(plannedForHands(toy, { ...usualHands })).toBe(toy);
  // Easy at 25 mm, possible at 16: 28.6 mm after round 15, 19.1 after round 16.
  expect(momentsOf(toy)).toEqual([15, 16]);
});

// By hand: the last round with an opening at least as wide as washers want, tight and in comfort.
test.each<[string, Partial<Hands>, [number, number]]>([
  ['washers want 20 mm: one round earlier', { washersTight: 20 }, [15, 15]],
  ['easy only at 30 mm', { washersEasy: 30 }, [14, 16]],
  ['easy at 19 mm', { washersEasy: 19 }, [16, 16]],
  // The 30 stitches are 47.7 mm: easy at 45 until round 13. What wants 50 is never easy here: the last that is possible.
  ['easy at 45 mm', { washersEasy: 45 }, [13, 16]],
  ['easy at 50 mm, never wide enough', { washersEasy: 50 }, [16, 16]],
])('%s', (_, some, moments) => {
  expect(momentsOf(plannedForHands(toy, { ...usualHands, ...some }))).toEqual(moments);
});

test('what no opening admits is told for these hands, and no more for others', () => {
  const codes = (found: ToyAnalysis) => found.problems.map(({ code }) => code);
  const huge = { ...usualHands, washersTight: 55, washersEasy: 60 };
  expect(codes(toy)).not.toContain('eyes-no-opening');
  expect(codes(plannedForHands(toy, huge))).toContain('eyes-no-opening');
  expect(
    codes(plannedForHands(plannedForHands(toy, huge), { ...usualHands, washersTight: 15 })),
  ).not.toContain('eyes-no-opening');
});

test('what is sewn on by its edge stays so for other hands', () => {
  const sewn = analyseToy(
    `${head}\n\nArm (make 2)\nR1: 6 sc in ring\nR2: (sc, inc) x 3\nR3-R8: sc around\n\nAssembly\nSew the arms to the head on round 12, one on each side.`,
  );
  const closings = (found: ToyAnalysis) => found.parts.map(({ stops }) => stops.closing?.how);
  expect(closings(sewn)).toEqual(['gather', 'open']);
  expect(closings(plannedForHands(sewn, handsBySize.large))).toEqual(['gather', 'open']);
});

const anyHands = fc
  .record(
    Object.fromEntries(
      Object.entries(handLimits).map(([key, [least, most]]) => [key, fc.integer({ min: least, max: most })]),
    ) as Record<HandFigure, fc.Arbitrary<number>>,
  )
  .map(inOrder);

test('a wider hand never has longer, and every plan keeps its windows', () => {
  fc.assert(
    fc.property(anyHands, fc.integer({ min: 0, max: 10 }), (hands, wider) => {
      const own = plannedForHands(toy, hands);
      const [, latest = 0] = momentsOf(own) ?? [];
      const [, latestWider = 0] =
        momentsOf(plannedForHands(toy, { ...hands, washersTight: hands.washersTight + wider })) ?? [];
      expect(latestWider).toBeLessThanOrEqual(latest);
      for (const { after, earliest, latest: last } of own.parts[0]!.stops.stops) {
        expect(after).toBeGreaterThanOrEqual(earliest);
        expect(after).toBeLessThanOrEqual(last);
      }
    }),
    { numRuns: 60 },
  );
});

test('hands go by their size where no figure was changed', () => {
  for (const size of ['small', 'usual', 'large'] as const)
    expect(sizeOfHands({ ...handsBySize[size] })).toBe(size);
  expect(sizeOfHands({ ...usualHands, toolReach: 300 })).toBeNull();
});

test('stuffing that was weighed counts at the stops and among what is bought', () => {
  const grams = (found: ToyAnalysis) => suppliesOf(found).stuffingG;
  const light = plannedForHands(toy, { ...usualHands, stuffingShare: 0.5 });
  expect(grams(toy)).toBeGreaterThan(1);
  expect(grams(light)).toBeCloseTo(grams(toy) / 2, 9);
  expect(momentsOf(light)).toEqual(momentsOf(toy));
  expect(readHands(JSON.stringify({ ...usualHands, stuffingShare: 0 }))).toBe(usualHands);
});

describe('the longest needle', () => {
  // Twenty-four stitches of 5 mm are 38 mm across: with 20 mm to hold, a needle of 60 reaches and one of 50 does not.
  const pulled = analyseToy(
    'Gauge: 5 mm x 5 mm\nBody\nR1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4: (2 sc, inc) x 6\nR5-R12: sc around\n\nArms\nR1: ch 31, sc in 2nd ch from hook and in each ch across [30]\n\nAssembly\nPull the arms through the body from side to side at round 8.',
  );
  const told = (needle: number) =>
    plannedForHands(pulled, { ...usualHands, needle }).problems.filter(({ code }) => code === 'needle-short');

  test('is told where it is too short for what is drawn through', () => {
    expect(told(60)).toEqual([]);
    expect(told(50).map(({ message }) => message)).toEqual([
      expect.stringMatching(/for the arm the needle goes about 38 mm .* yours is 50 mm .* at least 60 mm/),
    ]);
    // Back again: nothing is kept of what another needle could not do.
    expect(
      plannedForHands(plannedForHands(pulled, { ...usualHands, needle: 50 }), {
        ...usualHands,
        needle: 65,
      }).problems.map(({ code }) => code),
    ).not.toContain('needle-short');
  });

  test('hands that were kept before it was asked for have the usual one', () => {
    const { needle: _, ...before } = usualHands;
    expect(readHands(JSON.stringify({ ...before, washersTight: 20 }))).toEqual({
      ...usualHands,
      washersTight: 20,
    });
    expect(readHands(JSON.stringify({ ...usualHands, needle: 'long' }))).toBe(usualHands);
  });
});
