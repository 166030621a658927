import { places, toyOfParts as toy, type Worked } from '../__tests__/toyOfParts';
import { putJoin, rewriteJoin, stepJoin, type JoinStep } from '../join/move';
import { applyEdits } from '../notation/applyEdits';
import { analyseToy } from './analyse';
import { joinPart } from './joinAll';

// Front line of 24: stitch 12½; the sides a quarter of a round from it, 6½ and 18½; the back 24½, which is ½. Of 30: 15½, 8, 23, ½.
const sides: [string, number, number][] = [
  ['left arm', 20, 6.5],
  ['right arm', 20, 18.5],
];

test.each([
  ['Sew the arms to the body at round 20, one on each side.', sides],
  ['Sew the arms to both sides of the body on round 20.', sides],
  ['Sew an arm to each side of the body at R20.', sides],
  ['Attach the arms to the sides of the body on row 20.', sides],
  ['Join the arms to the body on round 20, one on each side.', sides],
  ['Sew the left arm to the body on round 20. Sew the right arm to the body on round 20.', sides],
  ['Sew the arms to the body at round 5 from the base.', sides],
  ['Sew the arms to the body, 5 rounds up from the base.', sides],
  ['Sew the arms to the body five rounds from the end, on both sides.', sides],
  [
    'Sew the arms to the body at stitches 6 and 18 of round 20.',
    [
      ['left arm', 20, 6],
      ['right arm', 20, 18],
    ],
  ],
  [
    'Sew the arms to the body on round 20, 4 stitches from the front.',
    [
      ['left arm', 20, 8.5],
      ['right arm', 20, 16.5],
    ],
  ],
  [
    'Sew the arms to the body on round 20, five stitches to each side of the middle.',
    [
      ['left arm', 20, 7.5],
      ['right arm', 20, 17.5],
    ],
  ],
  [
    'Sew the arms on round 20 of the body, 3 stitches from the back.',
    [
      ['left arm', 20, 3.5],
      ['right arm', 20, 21.5],
    ],
  ],
  [
    'Sew the arms to the body between R19 and R20.',
    [
      ['left arm', 19.5, 6.5],
      ['right arm', 19.5, 18.5],
    ],
  ],
  ['Sew the arms to the body from R18 to R22.', sides],
  ['Sew the tail to the back of the body on round 7.', [['tail', 7, 0.5]]],
  ['Sew the tail to the centre back of the body, between rounds 6 and 8.', [['tail', 7, 0.5]]],
  ['Sew the tail to the body at round 7.', [['tail', 7, 0.5]]],
  ['Sew the snout to the front of the head on round 10.', [['snout', 10, 15.5]]],
  ['Sew the snout to the head over R8-R12, in the middle.', [['snout', 10, 15.5]]],
  [
    'Sew the ears to the head, two rounds out from the start.',
    [
      ['left ear', 2, 3.5],
      ['right ear', 2, 9.5],
    ],
  ],
  [
    'Sew the ears to the head on round 5, one on each side.',
    [
      ['left ear', 5, 8],
      ['right ear', 5, 23],
    ],
  ],
  [
    'Flatten the ears and sew them to the head on round 6, 4 stitches from the front.',
    [
      ['left ear', 6, 11.5],
      ['right ear', 6, 19.5],
    ],
  ],
  [
    'Sew the legs evenly around round 20 of the body.',
    [
      ['left back leg', 20, 3.5],
      ['left front leg', 20, 9.5],
      ['right front leg', 20, 15.5],
      ['right back leg', 20, 21.5],
    ],
  ],
  [
    'Sew two legs to the body on round 18, 3 stitches from the front. Sew two legs to the body on round 18, 3 stitches from the back.',
    [
      ['left front leg', 18, 9.5],
      ['right front leg', 18, 15.5],
      ['left back leg', 18, 3.5],
      ['right back leg', 18, 21.5],
    ],
  ],
  [
    'Sew two legs to the body on round 20, 4 stitches from the front. Sew the arms to the body 8 rounds above the legs.',
    [
      ['left arm', 12, 6.5],
      ['right arm', 12, 18.5],
      ['left leg', 20, 8.5],
      ['right leg', 20, 16.5],
    ],
  ],
  [
    'Sew two legs to the body on round 20, 4 stitches from the front. Sew the arms to the body 8 rounds above the legs, straight above them.',
    [
      ['left arm', 12, 8.5],
      ['right arm', 12, 16.5],
      ['left leg', 20, 8.5],
      ['right leg', 20, 16.5],
    ],
  ],
  [
    'Sew the arms to the body 8 rounds above the legs, in line with them. Sew two legs to the body on round 20, 4 stitches from the front.',
    [
      ['left arm', 12, 8.5],
      ['right arm', 12, 16.5],
      ['left leg', 20, 8.5],
      ['right leg', 20, 16.5],
    ],
  ],
] as const)('%s', (sentence, expected) => {
  expect(places(toy(sentence))).toEqual(expected);
});

describe('the other hand, the other end', () => {
  const sentence = 'Sew the arms to the body on round 20, 4 stitches from the front.';
  test('left-handed, numbers run the other way: the left arm has the larger', () => {
    expect(places(toy(sentence, { hand: 'left' }))).toEqual([
      ['left arm', 20, 16.5],
      ['right arm', 20, 8.5],
    ]);
  });
  test('begun at the bottom likewise', () => {
    expect(places(toy(sentence, { start: 'bottom' }))).toEqual([
      ['left arm', 20, 16.5],
      ['right arm', 20, 8.5],
    ]);
  });
  test('both at once change nothing', () => {
    expect(places(toy(sentence, { start: 'bottom', hand: 'left' }))).toEqual(places(toy(sentence)));
  });
  test('the base of a body begun at the bottom is its start', () => {
    const base = 'Sew the arms to the body at round 5 from the base.';
    expect(places(toy(base, { start: 'bottom' }))).toEqual([
      ['left arm', 5, 18.5],
      ['right arm', 5, 6.5],
    ]);
  });
  test('rounds that lean are counted at each row: eight rounds higher the same line is two stitches on', () => {
    const two =
      'Sew two legs to the body on round 20, 4 stitches from the front. Sew the arms to the body on round 12, 4 stitches from the front.';
    const straight = places(toy(two));
    const leaning = places(toy(two, { lean: 0.25 }));
    expect(straight.map(([, , stitch]) => stitch)).toEqual([8.5, 16.5, 8.5, 16.5]);
    // The front lies opposite the mean of both starts: each is one stitch off it, one way and the other.
    expect(leaning.map(([, , stitch]) => stitch)).toEqual([7.5, 15.5, 9.5, 17.5]);
  });
});

test('a face sets the front that limbs go by', () => {
  const eyes =
    'Eyes on the head: between R9 and R10, at stitches 13 and 19.\nSew the snout to the front of the head on round 12.';
  expect(places(toy(eyes))).toEqual([['snout', 12, 16]]);
});

describe('what is asked', () => {
  const asks = (sentence: string) =>
    analyseToy(toy(sentence)).joined.joins.flatMap(({ problems }) => problems.map(({ code }) => code));
  test.each([
    ['Sew the arms to the body.', ['join-where']],
    ['Sew the legs to the body on round 20.', ['join-around', 'join-around', 'join-around', 'join-around']],
    ['Sew the tail to the body on round 7.', ['join-assumed']],
    ['Sew the arms to the body on round 40, one on each side.', ['join-row-missing']],
    ['Sew the arms to the body 3 rounds above the legs.', ['join-waits']],
    ['Sew the snout to the tail on round 3, in the front.', ['limb-wider-than-wall']],
    ['Sew the arms to the body on round 24, one on each side.', ['join-over-edge', 'join-over-edge']],
    ['Sew the arms to the body at stitches 10 and 12 of round 20.', ['joins-overlap']],
    [
      'Eyes on the head: between R9 and R10, at stitches 14 and 17.\nSew the snout to the front of the head on round 9.',
      ['join-on-feature'],
    ],
  ])('%s', (sentence, codes) => {
    expect(asks(sentence)).toEqual(codes);
  });
});

test('head to body, edge to edge: 24 to 24, fronts together, one of them turned', () => {
  const { joined } = analyseToy(toy('Sew the head to the body.', { start: 'bottom' }));
  const [join] = joined.joins;
  expect(join).toMatchObject({ kind: 'edge-to-edge', doubles: [], problems: [] });
  const met = new Map(join!.path!.map(({ edge, stitch }) => [edge, stitch]));
  // Left to right over the front: the head's numbers rise, those of a body begun at the bottom fall.
  expect([met.get(12), met.get(13), met.get(1), met.get(24)]).toEqual([13, 12, 24, 1]);
});

test('a body that begins at the top like its head, sewn by both ends, is asked about, and a tap settles it', () => {
  const { joined } = analyseToy(toy('Sew the head to the body.'));
  const [problem] = joined.joins[0]!.problems;
  expect(problem).toMatchObject({ code: 'edges-same-end' });
  expect(problem!.suggestions.map(({ edits }) => edits[0]!.text)).toEqual(['Start: bottom', 'Start: top']);
});

test.each([
  ['Sew the ears to the head on round 5 with 8 stitches between them.', 'ear', [9.5, 21.5]],
  ['Sew the ears to the head on round 5, 8 stitches apart.', 'ear', [9.5, 21.5]],
  ['Sew arms to the sides of the body at round 19.', 'arm', [6.5, 18.5]],
  ['Using the yarn tail, sew each arm to the body at round 19.', 'arm', [6.5, 18.5]],
  [
    'Eyes on the head: between R9 and R10, 6 apart.\nSew the snout between the eyes on round 12 of the head.',
    'snout',
    [15.5],
  ],
  [
    'Eyes on the head: between R9 and R10, 6 apart.\nSew the snout to the head between rounds 10 and 14, centered under the eyes.',
    'snout',
    [15.5],
  ],
  ['Sew everything together.', 'arm', []],
  ['Sew the opening shut and hide the tail inside.', 'tail', []],
])('said otherwise: %s', (sentence, part, stitches) => {
  const { joined } = analyseToy(toy(sentence));
  expect(joined.joins.filter(({ stitch }) => stitch !== null).map(({ unit }) => unit.part)).toEqual(
    stitches.map(() => part),
  );
  expect(joined.joins.flatMap(({ stitch }) => stitch ?? [])).toEqual(stitches);
});

test('a unit called left that comes to lie on the right is told', () => {
  const said = 'Sew the right arm to the body at stitch 6 of round 19, and the left arm at stitch 18.';
  const codes = analyseToy(toy(said)).joined.joins.map(({ problems }) => problems.map(({ code }) => code));
  expect(codes).toEqual([['join-side'], ['join-side']]);
});

test('a button between the ears joins no ears', () => {
  const { joined } = analyseToy(toy('Sew a 10 mm button on the head between the ears, between R5 and R6.'));
  expect(joined.joins).toEqual([]);
});

describe('no-sew rounds', () => {
  const round = (sentence: string) =>
    analyseToy(toy(sentence)).joined.joins.map(({ ledger, sum, unit, stitch }) => [
      unit.name,
      stitch,
      sum,
      ledger?.map((entry) =>
        'plain' in entry ? entry.plain : `${entry.part} ${entry.unit}: ${entry.stitches}`,
      ),
    ]);
  test('two arms of 8, held flat, take 4 stitches each', () => {
    const ledger = [4, 'arm 1: 4', 8, 'arm 2: 4', 4];
    expect(round('Crochet the arms into round 18 of the body, one on each side.')).toEqual([
      ['left arm', 6.5, 24, ledger],
      ['right arm', 18.5, 24, ledger],
    ]);
  });
  test('arms and a tail in one round', () => {
    const ledger = ['tail 1: 1', 3, 'arm 1: 4', 8, 'arm 2: 4', 3, 'tail 1: 1'];
    const joins = round(
      'No-sew: join the arms to the body at round 18. No-sew: join the tail to the back of the body at round 18.',
    );
    expect(joins.map(([name]) => name)).toEqual(['left arm', 'right arm', 'tail']);
    expect(joins[0]![3]).not.toBeUndefined();
    expect(ledger).toHaveLength(7);
  });
});

test('rounds go by the maker’s own numbers, also where those leave some out', () => {
  const numbered = toy(
    'Sew two legs to the body on round 40, 4 stitches from the front. Sew the arms to the body 8 rounds above the legs, in line with them.',
  ).replace('R5-R24: sc around', 'R25-R44: sc around');
  expect(places(numbered)).toEqual([
    ['left arm', 32, 8.5],
    ['right arm', 32, 16.5],
    ['left leg', 40, 8.5],
    ['right leg', 40, 16.5],
  ]);
});

test.each([
  'Pin the ears to the head. Sew them on round 6, 4 stitches from the front.',
  'Pin the ears. Sew them to the head on round 6, 4 stitches from the front.',
  'Pin the ears to the head. Sew the ears to the head on round 6, 4 stitches from the front.',
  'Sew the ears to the head on round 6, 4 stitches from the front. Sew them on firmly.',
])('told in two sentences: %s', (sentence) => {
  expect(places(toy(sentence))).toEqual([
    ['left ear', 6, 11.5],
    ['right ear', 6, 19.5],
  ]);
});

test('in line with four there is no line for two: it is asked', () => {
  const four =
    'Sew the legs evenly around round 20 of the body. Sew the arms on round 12 of the body, in line with the legs.';
  const arms = analyseToy(toy(four)).joined.joins.filter(({ unit }) => unit.part === 'arm');
  expect(arms.map(({ stitch, problems }) => [stitch, problems[0]?.code])).toEqual([
    [null, 'join-around'],
    [null, 'join-around'],
  ]);
});

test('worked in by the place of another part: a round of its own', () => {
  const text = toy(
    'Sew two legs to the body on round 20, 4 stitches from the front. Crochet the arms into the body 8 rounds above the legs, one on each side.',
  );
  const arms = analyseToy(text).joined.joins.filter(({ unit }) => unit.part === 'arm');
  expect(arms.map(({ kind, round, stitch, sum }) => [kind, round, stitch, sum])).toEqual([
    ['no-sew', 12, 6.5, 24],
    ['no-sew', 12, 18.5, 24],
  ]);
});

describe('two parts in one sentence, each with a round of its own', () => {
  const both = [
    ['left arm', 9, 6.5],
    ['right arm', 9, 18.5],
    ['tail', 18, 0.5],
  ];
  test.each([
    'Sew the arms to R9 of the body at the sides and the tail to R18 at the back.',
    'Sew the arms between R8 and R10 of the body at the sides and the tail between R17 and R19 at the back.',
    'Sew the arms to the body between R8-R10 at the sides, and the tail to R18 at the back.',
    'Sew the arms over rounds 8-10 of the body at the sides, the tail at round 18 at the back.',
    'Sew the tail to R18 of the body, at the back, and both arms at R9, on both sides.',
  ])('%s', (sentence) => {
    expect(places(toy(sentence))).toEqual(both);
  });
  test('each is moved by itself, and the other stays', () => {
    const moved = (part: string, text: string): string => {
      const { joined, parts } = analyseToy(text);
      const join = joined.joins.find(({ unit }) => unit.part === part)!;
      const wall = joinPart(parts.find(({ source }) => source.id === join.on.part)!);
      const put = putJoin(join.sentence, wall, { round: join.round! + 1, at: null });
      return applyEdits(text, [rewriteJoin(join.sentence, put)]);
    };
    const text = toy('Sew the arms to R9 of the body at the sides and the tail to R18 at the back.');
    expect(places(moved('tail', text))).toEqual([both[0], both[1], ['tail', 19, 0.5]]);
    expect(places(moved('arm', moved('tail', text)))).toEqual([
      ['left arm', 10, 6.5],
      ['right arm', 10, 18.5],
      ['tail', 19, 0.5],
    ]);
  });
  test('where the second names no part, its round is asked about', () => {
    const { joined, problems } = analyseToy(
      toy('Sew the arms to R9-R10 of the body at the sides and again at R14.'),
    );
    expect(joined.joins).toEqual([]);
    expect(problems.map(({ code }) => code)).toContain('join-two-rounds');
  });
});

test('a stitch of a round between the two that are named is no other place', () => {
  const text = toy('Sew the arms to both sides of the body between rounds 8 and 10, the middle on round 9.');
  expect(analyseToy(text).joined.joins.map(({ round }) => round)).toEqual([9, 9]);
});

describe('moved by thumb', () => {
  const stepped = (sentence: string, step: JoinStep, worked: Worked = {}) => {
    const text = toy(sentence, worked);
    const { joined, parts } = analyseToy(text);
    const [join] = joined.joins;
    const wall = joinPart(parts.find(({ source }) => source.id === join!.on.part)!);
    const count = 24;
    const off = Math.abs(join!.stitch! - 12.5);
    const now = {
      round: join!.round!,
      fromFront: Math.min(off, count - off),
      paired: joined.joins.length === 2,
      azimuths: joined.joins.map(({ centre }) => centre!.azimuth),
    };
    const next = stepJoin(join!.sentence, wall, now, step)!;
    return places(applyEdits(text, [rewriteJoin(join!.sentence, next)])).map(([, round, stitch]) => [
      round,
      stitch,
    ]);
  };
  test.each([
    [
      'Sew the arms to both sides of the body on round 12.',
      'down',
      [
        [13, 6.5],
        [13, 18.5],
      ],
    ],
    [
      'Sew the arms to both sides of the body 2 rounds below round 10.',
      'down',
      [
        [13, 6.5],
        [13, 18.5],
      ],
    ],
    [
      'Sew the arms to both sides of the body so that their top edge is on round 10.',
      'up',
      [
        [10, 6.5],
        [10, 18.5],
      ],
    ],
    [
      'Sew the arms to the body at stitches 8 and 17 of round 12.',
      'up',
      [
        [11, 8],
        [11, 17],
      ],
    ],
    [
      'Sew the arms to the body on round 12 with 4 stitches between them.',
      'further',
      [
        [12, 7.5],
        [12, 17.5],
      ],
    ],
    [
      'Sew the arms evenly around round 12 of the body.',
      'nearer',
      [
        [12, 7.5],
        [12, 17.5],
      ],
    ],
    [
      'Sew the arms to the body at round 12 from the base, on both sides.',
      'up',
      [
        [12, 6.5],
        [12, 18.5],
      ],
    ],
    ['Sew the tail to the back of the body on round 12.', 'up', [[11, 0.5]]],
  ] as const)('%s One step %s', (sentence, step, expected) => {
    expect(stepped(sentence, step)).toEqual(expected);
  });
  test('up is up, also on a body begun at the bottom', () => {
    const both = 'Sew the arms to both sides of the body on round 12.';
    expect(stepped(both, 'up', { start: 'bottom' })).toEqual([
      [13, 18.5],
      [13, 6.5],
    ]);
  });
  test('what was placed by the eyes stays on the face', () => {
    const text = toy('Eyes on the head: between R9 and R10, 6 apart.\nSew the snout 1 round below the eyes.');
    const { joined, parts } = analyseToy(text);
    const [join] = joined.joins;
    const wall = joinPart(parts.find(({ source }) => source.id === 'head')!);
    const next = stepJoin(
      join!.sentence,
      wall,
      { round: join!.round!, fromFront: 0, paired: false, azimuths: [] },
      'down',
    )!;
    const moved = analyseToy(applyEdits(text, [rewriteJoin(join!.sentence, next)])).joined.joins[0]!;
    expect([moved.on.part, moved.round]).toEqual(['head', 12]);
  });
});

test('legs that grow into a body are joined by the work: nothing asks for their place, and rounds go by the body’s own numbers', () => {
  const grown =
    'Hand: left\nTerms: US\nLeg (make 2)\nR1: 6 sc in ring (6)\nR2: inc x 6 (12)\nR3-R9: sc around (12)\nJoin the legs: ch 3, sc 12 on the first leg, 3 sc on ch, 12 sc on second leg, 3 sc on ch (30)\nR11-R20: sc around (30)\n\nArm (make 2)\nR1: 7 sc in ring (7)\nR2-R9: sc around (7)\n\nTail\nR1: 5 sc in ring\nR2-R4: sc around\n\nAssembly\nSew the arms to the body on round 18, 6 stitches from the front. Sew the tail 4 rounds below the arms, at the back.\n';
  const { joined } = analyseToy(grown);
  // Four rounds lower the spiral has leaned one stitch less: the back is at 29½ and not at ½.
  expect(joined.joins.map(({ unit, round, stitch }) => [unit.name, round, stitch])).toEqual([
    ['left arm', 18, 9.5],
    ['right arm', 18, 21.5],
    ['tail', 14, 29.5],
  ]);
  expect(joined.loose).toEqual([]);
});
