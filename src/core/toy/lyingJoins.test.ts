import { firstJoin, rewriteJoin, stepJoin, type JoinStep } from '../join/move';
import { placeOf } from '../join/pose/posed';
import { applyEdits } from '../notation/applyEdits';
import { analyseToy } from './analyse';
import { assembled } from './assembled';
import { joinPart } from './joinAll';

// A body of 36 in its middle, worked from the left to the right: stitches run upwards, and its front is at 18½. A quarter of a round is 9.
const lying = (sentences: string, start = 'left', hand = '') =>
  [
    hand,
    `Lean: 0\nGauge: 5 mm x 5 mm\nBody\nStart: ${start}\nR1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4: (2 sc, inc) x 6\nR5: (3 sc, inc) x 6\nR6: (4 sc, inc) x 6\nR7-R13: sc around\nR14: (4 sc, dec) x 6\nR15: (3 sc, dec) x 6\nR16: (2 sc, dec) x 6\nR17: (sc, dec) x 6\nR18: dec x 6`,
    '\nFoot (make 4)\nR1: 6 sc in ring\nR2: inc x 6\nR3-R5: sc around',
    '\nFin\nR1: 6 sc in ring\nR2-R4: sc around',
    `\nAssembly\n${sentences}`,
  ]
    .filter((line) => line !== '')
    .join('\n');

const places = (text: string) =>
  analyseToy(text).joined.joins.map(({ unit, round, stitch }) => [unit.part, round, stitch]);

test.each<[sentence: string, places: [number, number][]]>([
  ['Sew the fin to the top of the body at round 9.', [[9, 27.5]]],
  ['Sew the fin to the bottom of the body, on round 9.', [[9, 9.5]]],
  ['Sew the fin to the front of the body on round 9.', [[9, 18.5]]],
  ['Sew the fin to the back of the body on round 9.', [[9, 36.5]]],
  [
    'Sew two feet to the body at round 7, stitches 4 and 14.',
    [
      [7, 4],
      [7, 14],
    ],
  ],
  [
    'Sew the feet evenly around round 10 of the body.',
    [
      [10, 5],
      [10, 14],
      [10, 23],
      [10, 32],
    ],
  ],
])('%s', (sentence, expected) => {
  const found = places(lying(sentence)).map(([, round, stitch]) => [round, stitch === 0.5 ? 36.5 : stitch]);
  // Whole stitches take a half either way.
  for (const [i, [round, stitch]] of expected.entries()) {
    expect(found[i]![0]).toBe(round);
    expect(Math.abs(Number(found[i]![1]) - stitch)).toBeLessThanOrEqual(0.5);
  }
  expect(found).toHaveLength(expected.length);
});

describe.each([
  ['left', ''],
  ['right', ''],
  ['left', 'Hand: left'],
  ['right', 'Hand: left'],
])('begun at the %s, %s', (start, hand) => {
  const tip = (sentence: string) => {
    const toy = analyseToy(lying(sentence, start, hand));
    const fin = assembled(toy).find(({ unit }) => unit.part === 'fin')!;
    return placeOf(fin, { along: 0, azimuth: 0 });
  };

  test('on top is up, underneath is down', () => {
    expect(tip('Sew the fin to the top of the body at round 9.')[1]).toBeGreaterThan(30);
    expect(tip('Sew the fin to the bottom of the body at round 9.')[1]).toBeLessThan(-30);
  });

  test.each<[JoinStep, 0 | 1, number]>([
    ['up', 1, 1],
    ['down', 1, -1],
    ['right', 0, 1],
    ['left', 0, -1],
  ])('a step %s goes there', (step, axis, way) => {
    const text = lying('Sew the fin to the front of the body on round 9.', start, hand);
    const toy = analyseToy(text);
    const [join] = toy.joined.joins;
    const wall = joinPart(toy.parts[0]!);
    const now = { round: join!.round!, fromFront: 0, paired: false, azimuths: [join!.centre!.azimuth] };
    const moved = applyEdits(text, [rewriteJoin(join!.sentence, stepJoin(join!.sentence, wall, now, step)!)]);
    const at = (said: string) => {
      const fin = assembled(analyseToy(said)).find(({ unit }) => unit.part === 'fin')!;
      return placeOf(fin, { along: 0, azimuth: 0 })[axis]!;
    };
    expect((at(moved) - at(text)) * way).toBeGreaterThan(1);
  });
});

test.each([
  'Sew two feet to the body on round 8, 5 stitches from the front.',
  'Sew the feet to both sides of the body at round 9.',
  'Sew the fin to the body, 3 rounds above the foot.',
  'Flatten the fin and sew it to the body at round 9.',
])('%s is asked about, not guessed', (sentence) => {
  const [join] = analyseToy(lying(sentence)).joined.joins;
  expect(join!.stitch).toBeNull();
  expect(join!.problems.map(({ code }) => code)).toEqual(['join-unworked']);
});

test('the place that a pair is given to begin with is underneath', () => {
  const toy = analyseToy(lying('', 'left'));
  const [wall, foot] = toy.parts.map((part) => joinPart(part));
  const pair = { ...foot!, part: { ...foot!.part, make: 2 } };
  // The front at 18½ of 36, underneath at 9½: 3 stitches to either side.
  expect(firstJoin(pair, wall!)).toMatch(/at stitches (6|7) and (12|13)\.$/);
});
