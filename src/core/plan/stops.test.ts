import { analyseToy } from '../toy/analyse';
import { closingOf } from './closing';

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
`;
const planOf = (text: string) => analyseToy(text).parts[0]!.stops;

// Openings by hand, n·5/π: round 14 has 24 stitches, 38 mm; round 15 18, 29 mm; round 16 12, 19 mm; round 17 6, 10 mm.
test('eyes and bulk in one stop while it is easy, top up, close: with openings worked out by hand', () => {
  const { stops } = planOf(`${head}Eyes: 9 mm, between R9 and R10, 6 showing`);
  expect(
    stops.map((stop) => [
      stop.after,
      stop.earliest,
      stop.latest,
      Math.round(stop.openingMm),
      stop.acts.map((act) => act.act),
    ]),
  ).toEqual([
    [15, 10, 16, 29, ['seat-eyes', 'stuff']],
    [16, 16, 16, 19, ['top-up']],
    [17, 17, 17, 10, ['close']],
  ]);
});

test('without eyes the bulk alone asks for the stop', () => {
  expect(planOf(head).stops.map((stop) => stop.acts.map((act) => act.act))).toEqual([
    ['stuff'],
    ['top-up'],
    ['close'],
  ]);
});

test('a part left flat has no stuffing', () => {
  expect(planOf(`${head}Do not stuff.`).stops.map((stop) => stop.acts.map((act) => act.act))).toEqual([
    ['close'],
  ]);
});

test('eyes that no opening admits are said to be impossible', () => {
  const { impossible } = planOf(
    'Gauge: 3 mm x 3 mm\nHead\nR1: 5 sc in ring\nR2: inc x 5\nR3-R6: sc around\nEyes: 4 mm, between R3 and R4, 3 apart',
  );
  expect(impossible.map(({ act }) => act)).toContain('seat-eyes');
});

test('a narrow neck below the eyes is what the washers must pass', () => {
  const { stops } = planOf(
    'Gauge: 5 mm x 5 mm\nHead and body\nR1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4-R7: sc around\nR8: (sc, dec) x 6\nR9: dec x 6\nR10: inc x 6\nR11: (sc, inc) x 6\nR12: sc around\nEyes: 8 mm, between R5 and R6, 4 apart',
  );
  const eyes = stops.find((stop) => stop.acts.some((act) => act.act === 'seat-eyes'))!;
  expect(eyes.after).toBe(7);
  expect(eyes.latest).toBe(8);
});

test.each([
  [5, 'gather'],
  [8, 'gather'],
  [9, 'one-more-round'],
  [12, 'one-more-round'],
  [13, 'open'],
  [24, 'open'],
])('%i stitches: %s', (n, how) => {
  expect(closingOf(n, 5).how).toBe(how);
});

test('tails: n·w + 150 to gather, three and a half times the edge + 150 to sew', () => {
  expect(closingOf(6, 5).tailMm).toBe(180);
  expect(closingOf(20, 5).tailMm).toBe(500);
  expect(closingOf(12, 5, true)).toMatchObject({ how: 'open', tailMm: 360 });
});
