import * as fc from 'fast-check';
import { analyseToy } from '../toy/analyse';
import type { Window } from './acts';
import { closingOf, gatherOrder } from './closing';
import { fewestMoments } from './stops';

/**
 * A head worked from the top: six more a round up to `widest`, plain rounds, six fewer a round down to six. Openings at 5 mm a stitch are
 * n · 5/π: 18 stitches 28.6 mm, 12 stitches 19.1 mm, 6 stitches 9.5 mm. Washers want 16 mm and are easy at 25; fingers want 22, a stick 10.
 */
function head(widest: number, plain: number, ...sentences: string[]): string {
  const lines = ['Gauge: 5 mm x 5 mm', 'Head', 'R1: 6 sc in ring'];
  const add = (line: string) => lines.push(`R${lines.length - 1}: ${line}`);
  const between = (n: number) => (n === 0 ? '' : `${n} sc, `);
  for (let n = 12; n <= widest; n += 6) add(`(${between(n / 6 - 2)}inc) x 6`);
  for (let i = 0; i < plain; i += 1) add('sc around');
  for (let n = widest - 6; n >= 6; n -= 6) add(`(${between(n / 6 - 1)}dec) x 6`);
  return [...lines, ...sentences].join('\n');
}
const planOf = (text: string) => analyseToy(text).parts[0]!.stops;
const told = (text: string) =>
  planOf(text).stops.map((stop) => [
    stop.after,
    stop.earliest,
    stop.latest,
    stop.acts.map(({ act, feature }) => (act === 'embroider' ? `embroider ${feature}` : act)).join(' '),
  ]);

// Rounds 1 to 4 grow to 24, 5 to 8 are plain, 9 to 11 decrease. The line of holes of the eyes is there after round 6; washers go on until
// round 10, easily until 9. What the text says is done when it says so, if it can be.
describe('a moment that the text names', () => {
  const eyes = (words: string) => told(head(24, 4, words));
  test.each([
    ['After R7, insert 9 mm eyes between R5 and R6, 5 showing.', 7],
    ['Insert 9 mm eyes between R5 and R6 after round 8, 5 showing.', 8],
    ['When you have finished R8, insert 9 mm eyes between R5 and R6, 5 showing.', 8],
    ['Stop after R10 and insert 9 mm eyes between R5 and R6, 5 showing.', 10],
  ])('eyes: %s', (words, after) => {
    expect(eyes(words).find(([, , , acts]) => String(acts).includes('seat-eyes'))?.[0]).toBe(after);
  });

  test('eyes that are put in early don’t draw the stuffing along', () => {
    expect(eyes('After R7, insert 9 mm eyes between R5 and R6, 5 showing.')).toEqual([
      [7, 6, 10, 'seat-eyes'],
      [9, 8, 10, 'stuff'],
      [10, 10, 10, 'top-up'],
      [11, 11, 11, 'close'],
    ]);
  });

  test.each([
    [
      'Stop after R11 and insert 9 mm eyes between R5 and R6, 5 showing.',
      9,
      /after round 11: by then no washer/,
    ],
    ['After R4, insert 9 mm eyes between R5 and R6, 5 showing.', 9, /after round 4: .* not worked/],
    ['After R3, stuff firmly.', 9, /after round 3: that is too early/],
    ['After R11, stuff firmly.', 9, /after round 11: by then nothing gets in/],
  ])('what can’t be done then is said: %s', (words, after, why) => {
    const [stop] = planOf(head(24, 4, words)).stops;
    expect(stop?.after).toBe(after);
    expect(stop?.acts[0]?.why).toMatch(why);
  });

  test('what is done at a stop with the rest is said, and what is done as said is not', () => {
    const whys = (words: string) => planOf(head(24, 4, words)).stops[0]?.acts.map(({ why }) => why) ?? [];
    const [eyes, stuffing] = whys('Eyes: 9 mm, between R5 and R6, 5 showing. Start stuffing after R8. ');
    expect([eyes, stuffing].join(' ')).not.toContain('Your pattern says');
    const [late] = whys(
      'Stop after R10, insert 9 mm eyes between R5 and R6, 5 showing. Start stuffing after R8.',
    );
    expect(late).toMatch(/^Your pattern says after round 10: it is done with the rest of this stop\./);
  });

  test.each([
    ['Start stuffing after R8.', 8],
    ['Begin to stuff at round 9.', 8],
    ['Stuff from R9 on.', 8],
    ['Begin to stuff the head after finishing round 8.', 8],
    ['When you have completed R9, stuff the head.', 9],
    ['Stuff from round 1 to round 8.', 9],
    ['Stuff the head when there are 24 stitches left.', 8],
    ['Stuff firmly once 18 sts remain.', 9],
    ['When 12 stitches are left, stuff.', 10],
  ])('stuffing: %s', (words, after) => {
    expect(told(head(24, 4, words)).find(([, , , acts]) => String(acts) === 'stuff')?.[0]).toBe(after);
  });

  test('so many stitches that no round leaves are told', () => {
    const codes = (words: string) => analyseToy(head(24, 4, words)).problems.map(({ code }) => code);
    expect(codes('Stuff when 20 stitches are left.')).toContain('words-unused');
    expect(codes('Stuff when 18 stitches are left.')).not.toContain('words-unused');
  });
});

// Worked out by hand: after, earliest, latest, acts.
test.each<[string, string, (number | string)[][]]>([
  [
    'eyes and bulk while 18 stitches are left, top up at 12, close at 6',
    head(24, 4, 'Eyes: 9 mm, between R5 and R6, 5 showing'),
    [
      [9, 6, 10, 'seat-eyes stuff'],
      [10, 10, 10, 'top-up'],
      [11, 11, 11, 'close'],
    ],
  ],
  [
    'a larger head',
    head(36, 6, 'Eyes: 9 mm, between R8 and R9, 6 showing'),
    [
      [15, 9, 16, 'seat-eyes stuff'],
      [16, 16, 16, 'top-up'],
      [17, 17, 17, 'close'],
    ],
  ],
  [
    'a larger one still, its mouth stitched at the same stop',
    head(
      48,
      8,
      'Eyes: 12 mm, between R12 and R13, 7 showing',
      'Mouth: 3 rounds below the eyes, 5 stitches wide',
    ),
    [
      [21, 16, 22, 'seat-eyes embroider mouth stuff'],
      [22, 22, 22, 'top-up'],
      [23, 23, 23, 'close'],
    ],
  ],
  [
    'without a face the bulk alone asks for the stop, from the widest round on',
    head(24, 4),
    [
      [9, 4, 10, 'stuff'],
      [10, 10, 10, 'top-up'],
      [11, 11, 11, 'close'],
    ],
  ],
  [
    'a bell of no said size counts as 25 mm: 18 stitches let it in, and it goes into the stuffing',
    head(24, 4, 'Put a bell inside before closing.'),
    [
      [9, 4, 9, 'put-in stuff'],
      [10, 10, 10, 'top-up'],
      [11, 11, 11, 'close'],
    ],
  ],
  [
    'one of 30 mm wants 24 stitches, a round before the bulk would go in',
    head(24, 4, 'Insert a 30 mm rattle.'),
    [
      [8, 4, 8, 'put-in stuff'],
      [10, 10, 10, 'top-up'],
      [11, 11, 11, 'close'],
    ],
  ],
  [
    'left open as it is said, also with six stitches: cut, not gathered',
    head(24, 4, 'Do not close the hole.'),
    [
      [9, 4, 10, 'stuff'],
      [10, 10, 10, 'top-up'],
      [11, 11, 11, 'cut'],
    ],
  ],
  ['left empty', head(24, 4, 'Do not stuff.'), [[11, 11, 11, 'close']]],
  [
    'embroidered eyes have no washers to press, only knots that are better inside',
    head(24, 4, 'Eyes: 8 mm, embroidered, between R5 and R6, 5 showing'),
    [
      [9, 6, 10, 'embroider eyes stuff'],
      [10, 10, 10, 'top-up'],
      [11, 11, 11, 'close'],
    ],
  ],
  [
    'a part of 12 stitches: no finger goes in, so the stick stuffs and the mouth is stitched from outside',
    head(12, 4, 'Mouth: between R4 and R5, 2 stitches wide'),
    [
      [6, 2, 6, 'stuff'],
      [7, 7, 7, 'embroider mouth close'],
    ],
  ],
  [
    'a ring at the start goes in while a hand still reaches down there, not before fingers fit',
    head(24, 4, 'Key ring through the start.'),
    [
      [9, 4, 9, 'key-ring stuff'],
      [10, 10, 10, 'top-up'],
      [11, 11, 11, 'close'],
    ],
  ],
  [
    'eyes near the crown are pressed once the opening is wide enough, with the bulk',
    head(30, 5, 'Eyes: 6 mm, between R2 and R3, 4 showing'),
    [
      [12, 5, 13, 'seat-eyes stuff'],
      [13, 13, 13, 'top-up'],
      [14, 14, 14, 'close'],
    ],
  ],
  [
    'the maker says when: after round 8 it is, for it can be done there',
    head(24, 4, 'After round 8, stuff firmly.'),
    [
      [8, 4, 10, 'stuff'],
      [10, 9, 10, 'top-up'],
      [11, 11, 11, 'close'],
    ],
  ],
  [
    'the maker says after round 11, when six stitches are left: no stick goes in, so it is done while it can be',
    head(24, 4, 'After round 11, stuff firmly.'),
    [
      [9, 4, 10, 'stuff'],
      [10, 10, 10, 'top-up'],
      [11, 11, 11, 'close'],
    ],
  ],
  [
    'the last rounds stay empty: nothing to top up',
    head(24, 4, 'Don’t stuff the last 3 rounds.'),
    [
      [9, 4, 10, 'stuff'],
      [11, 11, 11, 'close'],
    ],
  ],
  [
    'a tube of 24: fingers reach 80 mm, sixteen rounds below the eyes; a stick fills the rest',
    'Gauge: 5 mm x 5 mm\nTube\nR1: ch 24, join, sc around\nR2-R40: sc around\nEyes: 9 mm, between R5 and R6, 5 showing',
    [
      [22, 6, 22, 'seat-eyes stuff'],
      [40, 40, 40, 'top-up cut'],
    ],
  ],
  [
    'a sleeve of 60 takes the whole hand: 96 mm wide, eyes 20 rounds away are reached at the end',
    'Gauge: 5 mm x 5 mm\nSleeve\nR1: ch 60, join, sc around\nR2-R30: sc around\nEyes: 9 mm, between R5 and R6, 7 showing\nDo not stuff.',
    [[30, 30, 30, 'seat-eyes cut']],
  ],
  [
    'a head worked on into a body: each is filled by itself, the thin neck gets a core',
    'Gauge: 5 mm x 5 mm\nDoll\nR1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4: (2 sc, inc) x 6\nR5: (3 sc, inc) x 6\nR6-R9: sc around\nR10: (3 sc, dec) x 6\nR11: (2 sc, dec) x 6\nR12: (sc, dec) x 6\nR13: (sc, inc) x 6\nR14: (2 sc, inc) x 6\nR15: (3 sc, inc) x 6\nR16-R22: sc around\nR23: (3 sc, dec) x 6\nR24: (2 sc, dec) x 6\nR25: (sc, dec) x 6\nR26: dec x 6',
    [
      [11, 5, 25, 'stuff'],
      [12, 12, 25, 'top-up'],
      [24, 15, 25, 'core stuff'],
      [25, 25, 25, 'top-up'],
      [26, 26, 26, 'close'],
    ],
  ],
  [
    'a wide neck of 24 between 30 and 30 is no neck',
    'Gauge: 5 mm x 5 mm\nPear\nR1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4: (2 sc, inc) x 6\nR5: (3 sc, inc) x 6\nR6-R8: sc around\nR9: (3 sc, dec) x 6\nR10: (3 sc, inc) x 6\nR11-R14: sc around\nR15: (3 sc, dec) x 6\nR16: (2 sc, dec) x 6\nR17: (sc, dec) x 6\nR18: dec x 6',
    [
      [16, 5, 17, 'stuff'],
      [17, 17, 17, 'top-up'],
      [18, 18, 18, 'close'],
    ],
  ],
  [
    'an arm that is sewn on with its edge open is filled at the end and cut',
    'Gauge: 5 mm x 5 mm\nArm\nR1: 7 sc in ring\nR2: inc x 7\nR3-R12: sc around\nFasten off, leaving a long tail for sewing.',
    [[12, 12, 12, 'stuff cut']],
  ],
  [
    'a flat bib is cut, not gathered',
    'Gauge: 5 mm x 5 mm\nBib\nRow 1: ch 11, sc in 2nd ch from hook and in each ch across, turn\nRows 2-8: ch 1, sc across, turn',
    [[8, 8, 8, 'cut']],
  ],
])('%s', (_, text, expected) => {
  expect(told(text)).toEqual(expected);
});

const eyes = (mm: number, round: number) => `Eyes: ${mm} mm, between R${round} and R${round + 1}, 5 showing`;
const tube = (count: number, sentence: string) =>
  `Gauge: 5 mm x 5 mm\nTube\nR1: ch ${count}, join, sc around\nR2-R40: sc around\n${sentence}`;
/** The window of one act: after which round it can be done first, easily at the latest, and at all. */
const windowOf = (text: string, act: string): number[] => {
  const found = planOf(text).stops.flatMap(({ acts }) => acts.filter((one) => one.act === act));
  return found.slice(0, 1).flatMap(({ window: { earliest, easy, latest } }) => [earliest, easy, latest]);
};

// By hand, at 5 mm a stitch. Washers of 9 mm eyes pass at 12 stitches (19 mm) and easily at 18 (29 mm). That of a 16 mm eye is 24 across:
// edge first it passes where the way round is 52 (12 stitches are 60), flat at 18 stitches. That of 20 mm is 30: 64 round are 18 stitches,
// flat it wants 24 (38 mm). That of 24 mm is 36: 76 round are 18 stitches, flat it wants 24. Fingers want 18, a stick 12.
test.each<[what: string, act: string, text: string, window: number[]]>([
  ['18 wide, four plain', 'seat-eyes', head(18, 4, eyes(6, 4)), [5, 7, 8]],
  ['18 wide, six plain', 'seat-eyes', head(18, 6, eyes(6, 6)), [7, 9, 10]],
  ['24 wide, three plain', 'seat-eyes', head(24, 3, eyes(9, 5)), [6, 8, 9]],
  ['24 wide, six plain', 'seat-eyes', head(24, 6, eyes(9, 6)), [7, 11, 12]],
  ['30 wide, three plain', 'seat-eyes', head(30, 3, eyes(9, 6)), [7, 10, 11]],
  ['30 wide, six plain', 'seat-eyes', head(30, 6, eyes(9, 7)), [8, 13, 14]],
  ['36 wide, four plain', 'seat-eyes', head(36, 4, eyes(9, 7)), [8, 13, 14]],
  ['36 wide, eight plain', 'seat-eyes', head(36, 8, eyes(9, 9)), [10, 17, 18]],
  ['42 wide, five plain', 'seat-eyes', head(42, 5, eyes(9, 8)), [9, 16, 17]],
  ['42 wide, seven plain', 'seat-eyes', head(42, 7, eyes(9, 10)), [11, 18, 19]],
  ['48 wide, four plain', 'seat-eyes', head(48, 4, eyes(9, 9)), [10, 17, 18]],
  ['48 wide, six plain', 'seat-eyes', head(48, 6, eyes(9, 11)), [12, 19, 20]],
  ['54 wide, four plain', 'seat-eyes', head(54, 4, eyes(9, 11)), [12, 19, 20]],
  ['eyes of 16', 'seat-eyes', head(36, 8, eyes(16, 9)), [10, 17, 18]],
  ['eyes of 20', 'seat-eyes', head(36, 8, eyes(20, 9)), [10, 16, 17]],
  ['eyes of 24', 'seat-eyes', head(42, 5, eyes(24, 8)), [9, 15, 16]],
  [
    'a nose of 12: its washer of 18 passes at 12',
    'seat-nose',
    head(36, 8, 'Insert a 12 mm safety nose between R11 and R12.'),
    [12, 17, 18],
  ],
  ['filled while fingers fit, at all while a stick does', 'stuff', head(18, 6), [3, 9, 10]],
  ['24 wide, filled', 'stuff', head(24, 6), [4, 11, 12]],
  ['36 wide, filled', 'stuff', head(36, 8), [6, 17, 18]],
  ['48 wide, filled', 'stuff', head(48, 4), [8, 17, 18]],
  ['24 wide, topped up', 'top-up', head(24, 6), [12, 12, 12]],
  ['36 wide, topped up', 'top-up', head(36, 8), [18, 18, 18]],
  ['24 wide, closed', 'close', head(24, 6), [13, 13, 13]],
  ['36 wide, closed', 'close', head(36, 8), [19, 19, 19]],
  // Fingers reach 80 mm: sixteen rounds beyond the first that lies over the eyes.
  ['a tube of 30, eyes low down', 'seat-eyes', tube(30, eyes(9, 4)), [5, 21, 21]],
  ['a tube of 30, eyes further up', 'seat-eyes', tube(30, eyes(9, 8)), [9, 25, 25]],
  // 60 stitches are 95 mm across: the whole hand goes in, and 200 mm are forty rounds.
  ['a sleeve of 60', 'seat-eyes', tube(60, eyes(9, 8)), [9, 40, 40]],
])('the window of %s: %s', (_, act, text, window) => {
  expect(windowOf(text, act)).toEqual(window);
});

test('what is worked in has to be ready one round before', () => {
  const legs =
    head(30, 4).replace('Head', 'Body') +
    '\n\nLeg (make 2)\nR1: 6 sc in ring\nR2-R8: sc around\n\nAssembly\nJoin the legs without sewing in round 8 of the body.\n';
  const toy = analyseToy(legs);
  const [stop] = toy.parts[0]!.stops.stops.filter(({ acts }) => acts.some(({ act }) => act === 'work-in'));
  expect([stop?.after, stop?.latest, stop?.acts.flatMap(({ part }) => part ?? [])]).toEqual([
    7,
    7,
    ['left leg', 'right leg'],
  ]);
  const { steps } = toy.order;
  const lastLeg = steps.findLastIndex(({ do: doing, part }) => doing === 'work' && part === 'leg');
  const body = steps.findIndex(({ do: doing, part }) => doing === 'work' && part === 'body');
  expect(lastLeg).toBeLessThan(body);
});

test('eyes that no opening admits are said to be impossible', () => {
  const { impossible } = planOf(
    'Gauge: 3 mm x 3 mm\nHead\nR1: 5 sc in ring\nR2: inc x 5\nR3-R6: sc around\nEyes: 4 mm, between R3 and R4, 3 apart',
  );
  expect(impossible.map(({ act }) => act)).toContain('seat-eyes');
});

test('grams: a ball of 36 stitches, 57 mm, holds about 100 ml; medium stuffing is 35 g a litre', () => {
  const { stops } = planOf(head(36, 6));
  const grams = stops
    .flatMap(({ acts }) => acts.map(({ fills }) => fills?.grams ?? 0))
    .reduce((sum, one) => sum + one, 0);
  expect(grams).toBeGreaterThan(2.8);
  expect(grams).toBeLessThan(4.2);
});

test('the openings of the stops, n · 5/π: 18 stitches 29 mm, 12 stitches 19, 6 stitches 10', () => {
  const { stops } = planOf(head(30, 8, 'Eyes: 9 mm, between R9 and R10, 6 showing'));
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

test('a narrow neck below the eyes is what the washers must pass', () => {
  const { stops } = planOf(
    'Gauge: 5 mm x 5 mm\nHead and body\nR1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4-R7: sc around\nR8: (sc, dec) x 6\nR9: dec x 6\nR10: inc x 6\nR11: (sc, inc) x 6\nR12: sc around\nEyes: 8 mm, between R5 and R6, 4 apart',
  );
  const eyes = stops.find((stop) => stop.acts.some((act) => act.act === 'seat-eyes'))!;
  expect(eyes.after).toBe(7);
  expect(eyes.latest).toBe(8);
});

test('the fewest moments: as brute force finds them, never one outside its window', () => {
  const window = fc
    .record({ earliest: fc.integer({ min: 1, max: 8 }), long: fc.nat(5) })
    .map(({ earliest, long }): Window => ({
      act: 'stuff',
      feature: null,
      part: null,
      fills: null,
      earliest,
      easy: earliest + long,
      latest: earliest + long,
      why: () => '',
    }));
  fc.assert(
    fc.property(fc.array(window, { minLength: 1, maxLength: 6 }), (windows) => {
      const moments = fewestMoments(windows);
      for (const { after, acts } of moments)
        for (const { earliest, latest } of acts) expect(after >= earliest && after <= latest).toBe(true);
      expect(moments.flatMap(({ acts }) => acts)).toHaveLength(windows.length);
      // Every set of rounds from 1 to 13: the smallest that meets all windows.
      let fewest = Infinity;
      for (let set = 1; set < 1 << 13; set += 1) {
        const meets = windows.every(({ earliest, easy }) => {
          const inside = ((1 << easy) - 1) & ~((1 << (earliest - 1)) - 1);
          return (set & inside) !== 0;
        });
        if (meets) fewest = Math.min(fewest, set.toString(2).replaceAll('0', '').length);
      }
      expect(moments).toHaveLength(fewest);
    }),
    { numRuns: 60 },
  );
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
  expect(closingOf(12, 5, { stays: 'sewn' })).toMatchObject({ how: 'open', tailMm: 360 });
});

// Whether it is filled at all, in the words of many makers.
const isStuffed = (said: string) =>
  analyseToy(head(24, 4, said)).parts[0]!.stops.stops.some(({ acts }) =>
    acts.some(({ act }) => act === 'stuff'),
  );

test.each([
  'Leave the head empty.',
  'Do not add any filling.',
  'Stuffing: none',
  'You don’t have to stuff it.',
  'It is not necessary to stuff the head.',
  'There is no need for stuffing.',
  'It doesn’t get any stuffing.',
  'Stuffing is not used here.',
  'The head remains flat.',
  'Keep the head hollow.',
])('%s is left empty', (said) => {
  expect(isStuffed(said)).toBe(false);
});

test.each([
  'Stuff; the base stays flat.',
  'Do not stuff too firmly.',
  'Do not stuff yet.',
  'Do not overstuff.',
  'Stuff the tip only, leave the rest empty.',
  'Leave the last 3 rounds empty.',
  'Leave the top half hollow.',
])('%s is stuffed all the same', (said) => {
  expect(isStuffed(said)).toBe(true);
});

test('what is left open to be sewn on is not drawn together', () => {
  const acts = (said: string) =>
    analyseToy(head(12, 4, `Stuff. ${said}`)).parts[0]!.stops.stops.flatMap((stop) =>
      stop.acts.map(({ act }) => act),
    );
  expect(acts('Leave open for sewing.')).not.toContain('close');
  expect(acts('Leave the end open to be sewn to the body.')).not.toContain('close');
});

test('what no round lets in is told with its width, and what may hang outside puts nothing inside', () => {
  const problems = (said: string) => analyseToy(head(24, 4, said)).problems.map(({ code }) => code);
  expect(problems('Put a 45 mm music box inside.')).toContain('enclosed-no-opening');
  expect(problems('Put a 30 mm music box inside.')).not.toContain('enclosed-no-opening');
  for (const said of [
    'Sew a bell on the collar.',
    'Do not put magnets inside.',
    'Put a bell around the neck.',
  ])
    expect(
      told(head(24, 4, said))
        .flat()
        .join(' '),
    ).not.toContain('put-in');
});

const disc = 'R1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4: (2 sc, inc) x 6';
const stuffs = (text: string) =>
  analyseToy(text).parts[0]!.stops.stops.some(({ acts }) => acts.some(({ act }) => act === 'stuff'));

test('a part that only grows and lies flat takes no stuffing, unless the text gives it some', () => {
  expect(stuffs(`Patch\n${disc}`)).toBe(false);
  expect(stuffs(`Patch\n${disc}\nStuff lightly.`)).toBe(true);
  // A bowl, a cone, and the first two rounds of anything.
  expect(stuffs(`Muzzle\n${disc}\nR5: sc around`)).toBe(true);
  expect(stuffs('Beak\nR1: 4 sc in ring\nR2: (sc, inc) x 2\nR3: (2 sc, inc) x 2')).toBe(true);
  expect(stuffs('Bead\nR1: 6 sc in ring\nR2: inc x 6')).toBe(true);
});

const arm = 'Arm (make 2)\nR1: 6 sc in ring\nR2: inc x 6\nR3-R12: sc around';
const toldOf = (sentence: string, name = 'Arm') =>
  analyseToy(`${arm.replace('Arm', name)}\n${sentence}`).problems.flatMap(({ code, facts }) =>
    code === 'words-unused' ? [facts?.words] : [],
  );

test.each([
  ['Stuff only the hand.', 'only the hand'],
  ['Stuff the paws.', 'the paws'],
  ['Stuff the foot only.', 'the foot only'],
  ['Stuff just the tip.', 'just the tip'],
  ['Stuff just the first half.', 'just the first half'],
  ['Stuff lightly but not the top.', 'but not the top'],
  ['Add a bit of stuffing to the bottom.', 'a bit of stuffing to the bottom'],
  ['Stuff rounds 4 to 8.', 'rounds 4 to 8'],
])('which rounds are meant is asked: %s', (sentence, words) => {
  expect(toldOf(sentence)).toEqual([words]);
});

test('of a part that is called so, all of it is meant', () => {
  expect(toldOf('Stuff the paws.', 'Paw')).toEqual([]);
  expect(toldOf('Stuff only the tip of the paws.', 'Paw')).toHaveLength(1);
});

test.each([
  'Stuff up to round 6.',
  'Stuff to round 6 only.',
  'Stuff from round 1 to 6.',
  'Stuff the first 6 rounds.',
])('filled from the beginning so far: %s', (sentence) => {
  const { stops } = planOf(`${arm}\n${sentence}`);
  const fills = stops.flatMap(({ acts }) => acts.flatMap((act) => (act.act === 'stuff' ? [act.fills] : [])));
  expect(fills).toMatchObject([{ from: 1, to: 6 }]);
});

test('up to which round she stuffs as she goes says when, and not how far', () => {
  const { stops } = planOf(`${arm}\nStuff as you go up to round 6.`);
  const fills = stops.flatMap(({ acts }) => acts.flatMap((act) => (act.act === 'stuff' ? [act.fills] : [])));
  expect(fills).toMatchObject([{ to: 12 }]);
});

describe('which way the thread goes that draws an end together', () => {
  test.each([
    [6, [1, 4, 2, 5, 3, 6]],
    [5, [1, 4, 2, 5, 3]],
    [1, [1]],
  ])('a star over %p stitches goes across the hole', (stitches, order) => {
    expect(gatherOrder(stitches, 'star')).toEqual(order);
  });

  // After a slip stitch into stitch 1 the yarn comes from there: the second is the first it goes through.
  test.each([
    [6, null, [2, 3, 4, 5, 6, 1]],
    [6, 'star' as const, [2, 5, 3, 6, 4, 1]],
  ])('after a last slip stitch over %p it begins at the second', (stitches, school, order) => {
    expect(gatherOrder(stitches, school, true)).toEqual(order);
    expect(closingOf(stitches, 5, { school, slips: true }).words).toMatch(
      /^Slip stitch into the next stitch/,
    );
  });

  test('each loop once, whichever way', () => {
    for (const school of ['outside-in', 'inside-out', 'star', null] as const)
      for (let n = 1; n <= 12; n += 1)
        for (const slips of [true, false])
          expect([...gatherOrder(n, school, slips)].sort((a, b) => a - b)).toEqual(
            Array.from({ length: n }, (_, i) => i + 1),
          );
  });

  test.each([
    ['outside-in', /^From the outside in: .*down under the front loop of each of the last 6/],
    ['inside-out', /^From the inside out: .*so that the edge turns in/],
    ['star', /^As a star: under the front loops across the hole, 1, 4, 2, 5, 3, 6,/],
    [null, /^Run the tail through the front loops of the last 6/],
  ] as const)('%s is said as it is done', (school, words) => {
    expect(closingOf(6, 5, { school }).words).toMatch(words);
    // More than eight are not drawn together in one go, whichever way.
    expect(closingOf(10, 5, { school }).how).toBe('one-more-round');
  });
});
