import { joinDirections } from '../join/directions';
import { analyseToy } from './analyse';
import { joinPart } from './joinAll';

/** A piece of increases to `widest`, `plain` rounds and decreases to six: closed at both ends. */
function ball(name: string, widest: number, plain: number, ...more: string[]): string {
  const lines = ['R1: 6 sc in ring', 'R2: inc x 6'];
  const add = (line: string) => lines.push(`R${lines.length + 1}: ${line}`);
  for (let n = 18; n <= widest; n += 6) add(`(${n / 6 - 2} sc, inc) x 6`);
  for (let i = 0; i < plain; i += 1) add('sc around');
  for (let n = widest - 6; n >= 6; n -= 6) add(`(${n / 6 - 1} sc, dec) x 6`);
  return [name, ...more.slice(0, 1), ...lines, ...more.slice(1)].join('\n');
}
const limb = (name: string, rounds: number) =>
  `${name}\nR1: 6 sc in ring\nR2: inc x 6\nR3-R${rounds}: sc around`;

/** Head: 36 stitches in rounds 6 to 12, eyes in line 8. Body: the same with 14 of them. */
const bear = (sentence: string, ...header: string[]) =>
  analyseToy(
    [
      ['Gauge: 5 mm x 4 mm', 'Lean: 0', ...header].join('\n'),
      ball('Head', 36, 6, '', 'Eyes: 8 mm, between R8 and R9, 6 showing.'),
      ball('Body', 36, 14),
      limb('Arm (make 2)', 8),
      limb('Ear (make 2)', 4),
      limb('Tail', 5),
      'Muzzle\nR1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4: sc around',
      `Assembly\n${sentence}`,
    ].join('\n\n'),
  );
const placed = (sentence: string, ...header: string[]) =>
  bear(sentence, ...header).joined.joins.map(({ unit, on, round, stitch }) => [
    unit.name,
    on.part,
    round,
    stitch,
  ]);

// The front of a round of 36 is at 18½, its sides at 9½ and 27½; of 30 at 15½, 8 and 23; of 18 at 9½, 5 and 14.
test.each<[string, (string | number)[][]]>([
  [
    'Place the ears on both sides of the head, on R6-R9.',
    [
      ['left ear', 'head', 7.5, 9.5],
      ['right ear', 'head', 7.5, 27.5],
    ],
  ],
  ['Put the tail at the back of the body on round 14.', [['tail', 'body', 14, 0.5]]],
  [
    'Stuff the muzzle lightly and sew it to the head, from round 9 to round 12.',
    [['muzzle', 'head', 10.5, 18.5]],
  ],
  [
    'Sew one ear to stitches 7-12 of round 8 of the head and the other to stitches 25-30.',
    [
      ['left ear', 'head', 8, 9.5],
      ['right ear', 'head', 8, 27.5],
    ],
  ],
  [
    'Sew the arms to the body on round 8, between stitches 7 and 12 and between stitches 25 and 30.',
    [
      ['left arm', 'body', 8, 9.5],
      ['right arm', 'body', 8, 27.5],
    ],
  ],
  // 5 stitches between the edges of two arms of 12, each about 4 wide: their middles are 9 apart.
  [
    'Sew the arms to the body on round 8, spaced 5 stitches.',
    [
      ['left arm', 'body', 8, 14],
      ['right arm', 'body', 8, 23],
    ],
  ],
  [
    'Sew the arms to the body on round 8, 5 stitches left and right of the centre front.',
    [
      ['left arm', 'body', 8, 13.5],
      ['right arm', 'body', 8, 23.5],
    ],
  ],
  ['Sew the tail to round 14 of the body, stitches 17 to 20.', [['tail', 'body', 14, 18.5]]],
  [
    'The tail should be attached 14 rounds from the start of the body, at the back.',
    [['tail', 'body', 14, 0.5]],
  ],
  [
    'Center the muzzle on the front of the head between R9 and R12 and sew.',
    [['muzzle', 'head', 10.5, 18.5]],
  ],
  ['The muzzle has to be placed on the front of the head, from R9 to R12.', [['muzzle', 'head', 10.5, 18.5]]],
  ['Sew the tail to the back of the body, 11 rounds before the last round.', [['tail', 'body', 14, 0.5]]],
  ['Close the hole and sew the tail to the back of the body on round 14.', [['tail', 'body', 14, 0.5]]],
  [
    'Using the leftover tails, attach the arms to the sides of the body on round 8.',
    [
      ['left arm', 'body', 8, 9.5],
      ['right arm', 'body', 8, 27.5],
    ],
  ],
  [
    'Sew the ears to the sides of the head, in line with the eyes.',
    [
      ['left ear', 'head', 8.5, 9.5],
      ['right ear', 'head', 8.5, 27.5],
    ],
  ],
  [
    'Sew the ears to the sides of the head at eye level.',
    [
      ['left ear', 'head', 8.5, 9.5],
      ['right ear', 'head', 8.5, 27.5],
    ],
  ],
  [
    'Sew the arms to the sides of the body, 3 rounds down from the neck.',
    [
      ['left arm', 'body', 3, 5],
      ['right arm', 'body', 3, 14],
    ],
  ],
  ['Sew the muzzle to the head between the eyes.', [['muzzle', 'head', 8.5, 18.5]]],
  // Eighteen edge stitches of 5 mm make a ring of 14.3 mm about its middle, 3.6 rounds; eyes of 8 mm reach one round down. The front passes round 13 at 15.9.
  ['Sew the muzzle to the head just below the eyes.', [['muzzle', 'head', 13, 16]]],
])('%s', (sentence, expected) => {
  expect(placed(sentence)).toEqual(expected);
});

test('rounds below the neck are counted from the end the head sits on, also where the body begins at the bottom', () => {
  const text = bear('').text.replace('Body\n', 'Body\nStart: bottom\n');
  const sewn = analyseToy(`${text}Sew the arms to the body between the 4th and 5th round below the neck.`);
  // Of 25 rounds the 4th and 5th from the top are rounds 22 and 21.
  expect(sewn.joined.joins.map(({ round }) => round)).toEqual([21.5, 21.5]);
});

test.each(['Place a stitch marker on round 6 of the head.', 'Put the head in a box.'])(
  'what puts no part onto another stays a note: %s',
  (sentence) => {
    const { joined, pattern } = bear(sentence);
    expect(joined.joins).toEqual([]);
    expect(pattern.notes.map(({ text }) => text)).toEqual([sentence]);
  },
);

test.each(['Sew the hole of the head closed.', 'Sew the opening shut at the back of the head.'])(
  'what is sewn shut is joined to nothing: %s',
  (sentence) => {
    expect(bear(sentence).joined.joins).toEqual([]);
  },
);

// A closed head of 36 is sewn through its round of 18, around the round of 18 of the body: fronts at 9½ of both.
test.each([
  ['', '', 'right', 1],
  ['Start: bottom', '', 'right', -1],
  ['', 'Start: bottom', 'right', -1],
  ['Start: bottom', 'Start: bottom', 'right', 1],
  ['', '', 'left', 1],
  ['Start: bottom', '', 'left', -1],
] as const)('a closed head onto a closed body: head %s, body %s, %s-handed', (head, body, hand, sense) => {
  const toy = analyseToy(
    [
      `Gauge: 5 mm x 4 mm\nLean: 0\nHand: ${hand}`,
      ball('Head', 36, 6, head),
      ball('Body', 36, 6, body),
      'Assembly\nSew the head to the top of the body.',
    ].join('\n\n'),
  );
  const [join] = toy.joined.joins;
  expect(join).toMatchObject({ kind: 'closed-on-wall', round: null, through: head === '' ? 15 : 3 });
  const path = join!.path!;
  expect(path.map(({ edge }) => edge)).toEqual(Array.from({ length: 18 }, (_, i) => i + 1));
  const rounds = new Set(path.map(({ round }) => round));
  expect([...rounds]).toEqual([body === '' ? 3 : 15]);
  // Each stitch goes on to the next of the wall, forward where both are worked the same way round.
  path.forEach(({ stitch }, i) => {
    const next = path[(i + 1) % 18]!.stitch;
    expect((next - stitch + 18) % 18).toBe((sense + 18) % 18);
  });
  // The fronts, between stitches 9 and 10 of each, come together within a stitch.
  const front = path.find(({ edge }) => edge === 9)!.stitch;
  expect(Math.abs(front - (sense === 1 ? 9 : 10))).toBeLessThanOrEqual(1);
});

test('a head that nothing places is taken to sit on top, and it is told', () => {
  const toy = bear('Sew the head to the body with the long tail, adding more stuffing before you close.');
  const [join] = toy.joined.joins;
  expect(join).toMatchObject({ kind: 'closed-on-wall', through: 15 });
  expect(join!.problems.map(({ code }) => code)).toEqual(['join-closed', 'join-assumed']);
});

test('a closed head that lies on its side touches with its side: not worked out, and said', () => {
  const toy = analyseToy(
    [
      'Gauge: 5 mm x 4 mm',
      ball('Head', 36, 6, 'Start: left'),
      ball('Body', 36, 6),
      'Assembly\nSew the head to the top of the body.',
    ].join('\n\n'),
  );
  expect(toy.joined.joins.map(({ path, problems }) => [path, problems.map(({ code }) => code)])).toEqual([
    [null, ['join-unworked']],
  ]);
});

test('a stem that a larger cap is sewn to is what the toy stands on: nothing is left over', () => {
  const cup = (name: string, rounds: number) =>
    `${name}\nR1: 6 sc in ring\nR2: inc x 6\nR3-R${rounds}: sc around`;
  const toy = analyseToy([cup('Stem', 6), cup('Cap', 12), 'Sew the cap to the stem.'].join('\n\n'));
  expect(toy.joined.loose).toEqual([]);
  expect(toy.problems.map(({ code }) => code)).not.toContain('part-unused');
});

test.each<[string, (string | number)[][]]>([
  // The front passes round 5, of 30 stitches, at 15.8.
  [
    'The ears are sewn on round 5 of the head.',
    [
      ['left ear', 'head', 5, 8],
      ['right ear', 'head', 5, 23.5],
    ],
  ],
  [
    'The ears go on R6 of the head, one on each side.',
    [
      ['left ear', 'head', 6, 9.5],
      ['right ear', 'head', 6, 27.5],
    ],
  ],
  ['Secure the tail to the back of the body at round 14.', [['tail', 'body', 14, 0.5]]],
  [
    'Sew on the arms at round 8.',
    [
      ['left arm', 'body', 8, 9.5],
      ['right arm', 'body', 8, 27.5],
    ],
  ],
  [
    'Arms sewn on at R8.',
    [
      ['left arm', 'body', 8, 9.5],
      ['right arm', 'body', 8, 27.5],
    ],
  ],
  // The muzzle's ring of 18 reaches 3.6 rounds about its middle.
  [
    'Sew the muzzle to the front of the head so that its top edge is on round 8.',
    [['muzzle', 'head', 12, 18.5]],
  ],
])('in other words: %s', (sentence, expected) => {
  expect(placed(sentence)).toEqual(expected);
});

// The muzzle reaches 3.6 rounds, so directly beside a round its middle lies 4.1 from it; the bodies begin on top.
test.each<[string, number]>([
  ['Sew the arms to the sides of the body 2 rounds below round 8.', 10],
  ['Sew the arms to the sides of the body, three rows above row 8.', 5],
  ['Sew the arms to the sides of the body, one round under R8.', 9],
  ['Sew the muzzle to the front of the head just below round 6.', 10],
  ['Sew the muzzle to the front of the head, directly above round 12.', 8],
  ['Sew the muzzle to the front of the head so that its top sits on round 6.', 10],
  ['Sew the tail over round 8, at the back of the body.', 8],
])('so many rounds from a round, or directly beside it: %s', (sentence, row) => {
  const { joins } = bear(sentence).joined;
  expect(joins.map(({ round }) => round)).toEqual(joins.map(() => row));
  expect(joins.length).toBeGreaterThan(0);
});

test.each([
  'slightly lower',
  'near the front',
  'close together',
  'half way between the front and the sides',
  'a bit forward',
  'behind the legs',
  '2 rounds below the scarf',
  'in line with the whiskers',
  'at a slant',
  'both on the left side',
  'a quarter of the way round',
])('a place that is not quite said is told, not passed over: %s', (words) => {
  const { problems } = bear(`Sew the arms to the body on round 8, ${words}.`);
  const told = problems.filter(({ code }) => code === 'words-unused');
  expect(told.map(({ message }) => message)).toEqual([expect.stringContaining(words)]);
});

test.each(['slightly below round 8', 'a little above round 8', 'starting at round 8'])(
  'a round that is not quite said is told, not passed over: %s',
  (words) => {
    const { problems } = bear(`Sew the arms to the sides of the body, ${words}.`);
    const told = problems.filter(({ code }) => code === 'words-unused');
    expect(told.map(({ message }) => message)).toEqual([expect.stringContaining(words)]);
  },
);

test('two parts with a round each in one sentence go each to its own', () => {
  const places = placed('Sew on arms (R6) and ears (R5).').map(([name, , round]) => [name, round]);
  expect(places).toEqual([
    ['left arm', 6],
    ['right arm', 6],
    ['left ear', 5],
    ['right ear', 5],
  ]);
});

test('what names a place for each of a pair is asked about, never given to both', () => {
  const toy = bear('Sew the left arm to round 6 of the body and the right arm to round 7.');
  expect(toy.joined.joins).toEqual([]);
  expect(toy.problems.map(({ code }) => code)).toContain('join-two-rounds');
});

test('stitches that are not as many as the parts are asked about', () => {
  const toy = bear('Attach the arms at stitch 9 of round 8.');
  expect(
    toy.joined.joins.flatMap(({ stitch, problems }) => [stitch, ...problems.map(({ code }) => code)]),
  ).toEqual([null, 'join-around', null, 'join-around']);
});

test('what sits on a head and is sewn to nothing that is named goes to the head, and that is told', () => {
  const toy = bear('Sew the ears on round 5, one on each side.');
  expect(toy.joined.joins.map(({ on }) => on.part)).toEqual(['head', 'head']);
  expect(toy.problems.map(({ code }) => code)).toContain('join-wall');
});

describe('an end that is shut flat is neither drawn together nor a ring', () => {
  const pieces = (end: string, sewing: string) =>
    analyseToy(
      `Gauge: 5 mm x 5 mm\nBody\nR1: 6 sc in mr\nR2: inc x 6\nR3: (sc, inc) x 6\nR4-R10: sc around\n\nWing (make 2)\nR1: 5 sc in mr\nR2: inc x 5\nR3-R6: sc around\n${end}\n\nFoot (make 2)\nR1: 6 sc in mr\nR2-R3: sc around\n\nAssembly\n${sewing}`,
    );
  test.each([
    'Press flat and sc 5 through both sides to close.',
    'Fold flat and sc 5 through both layers to close.',
    'Flatten and close with 5 sc.',
    'Fold in half and sc across through both layers.',
    'Lay it flat and whipstitch both edges together.',
    'Flatten and sew the opening closed.',
    'R7: fold flat, sc 5 through both layers',
    'Sew both sides together to close.',
  ])('%s', (end) => {
    const { joined, parts, problems } = pieces(end, 'Sew the wings to both sides of the body at R7.');
    expect(joined.joins.map(({ kind, path }) => [kind, path?.length])).toEqual([
      ['flattened', 10],
      ['flattened', 10],
    ]);
    expect(parts[1]!.stops.closing?.how).toBe('flat');
    expect(problems.filter(({ code }) => code.startsWith('join'))).toEqual([]);
  });

  test.each(['Close up, keeping the bottom flat.', 'Close the hole.'])('%s draws it together', (end) => {
    const { joined, parts } = pieces(end, 'Sew the wings to both sides of the body at R7.');
    expect(joined.joins.map(({ kind }) => kind)).toEqual(['closed-on-wall', 'closed-on-wall']);
    expect(parts[1]!.stops.closing?.how).not.toBe('flat');
  });

  test('the tail of one that is shut and then sewn on is long enough for both', () => {
    const { parts } = pieces('Flatten and close with 5 sc.', 'Sew the wings to the sides of the body at R7.');
    // Ten stitches of 5 mm, three and a half times, and what is left to bury.
    expect(parts[1]!.stops.closing?.tailMm).toBeCloseTo(3.5 * 50 + 150, 6);
  });

  test('pinched it is shut at its middle', () => {
    const { joined } = pieces('Pinch the bottom and sew it closed.', 'Sew the wings to the sides at R7.');
    expect(joined.joins.map(({ kind }) => kind)).toEqual(['pinched', 'pinched']);
  });

  test('a foot that a sentence elsewhere sews on keeps its edge, however few stitches that has', () => {
    const sewn = pieces('', 'Sew the feet to the body at R9, 4 stitches between them.').parts[2]!;
    expect(sewn.stops.closing?.how).toBe('open');
    expect(sewn.stops.stops.at(-1)?.acts.map(({ act }) => act)).toEqual(['cut']);
    expect(pieces('', '').parts[2]!.stops.closing?.how).toBe('gather');
  });
});

test.each([
  ['On round 8 of the body, join the arms: one at each side.', 'open-on-wall'],
  ['Sew one arm to the left side of the body at R8 and the other one opposite.', 'open-on-wall'],
  ['Attach the arms to the body while working round 8, on both sides.', 'no-sew'],
  ['R8 of the body: attach the arms at the sides as you crochet this round.', 'no-sew'],
])('%s puts two arms and nothing else', (sentence, kind) => {
  const toy = analyseToy(
    `Body\nR1: 6 sc in mr\nR2: inc x 6\nR3: (sc, inc) x 6\nR4: (2 sc, inc) x 6\nR5: (3 sc, inc) x 6\nR6-R14: sc around\n\nArm (make 2)\nR1: 6 sc in mr\nR2-R9: sc around\n\nTail\nR1: 5 sc in mr\nR2-R6: sc around\n\nAssembly\n${sentence}`,
  );
  const found = toy.joined.joins.map((join) => [join.kind, join.unit.name, join.round, join.stitch]);
  expect(found).toEqual([
    [kind, 'left arm', 8, 8],
    [kind, 'right arm', 8, 23],
  ]);
  const codes = toy.problems.map(({ code, part }) => `${code} ${part}`);
  expect(codes).not.toContain('part-count Arm');
});

test('a strand is fastened by one end; a larger flat piece is sewn down around its outline', () => {
  const toy = analyseToy(
    'Gauge: 5 mm x 5 mm\nLean: 0\nBody\nR1: 6 sc in mr\nR2: inc x 6\nR3: (sc, inc) x 6\nR4-R10: sc around\n\nFeeler (make 2)\nCh 6, sl st in 2nd ch from hook and in next 4 ch.\n\nPocket\nCh 6\nRow 1: sc in 2nd ch from hook and in each ch across\nRow 2-5: ch 1, turn, sc across\n\nAssembly\nSew the feelers to the body at R3, 4 stitches between them.\nSew the pocket to the back of the body at R7.',
  );
  expect(toy.joined.joins.map(({ kind, unit, round, stitch }) => [kind, unit.name, round, stitch])).toEqual([
    // A strand one row wide stands on one stitch: 5 from middle to middle, about the front at 9½.
    ['by-end', 'left feeler', 3, 7],
    ['by-end', 'right feeler', 3, 12],
    ['outline', 'pocket', 7, 0.5],
  ]);
  expect(toy.problems.map(({ code }) => code)).toEqual(expect.arrayContaining(['join-strand', 'join-flat']));
});

describe('units that would go by one name have numbers, and pairs are those that mirror each other', () => {
  const octopus = analyseToy(
    'Gauge: 5 mm x 5 mm\nLean: 0\nBody\nR1: 6 sc in mr\nR2: inc x 6\nR3: (sc, inc) x 6\nR4: (2 sc, inc) x 6\nR5-R10: sc around\n\nTentacle (make 8)\nR1: ch 21, sc in 2nd ch from hook and in each ch across\n\nAssembly\nSew the tentacles evenly around round 9 of the body.',
  );
  test('eight tentacles have eight names, and what holds for all of them is told once', () => {
    const { joins } = octopus.joined;
    expect(new Set(joins.map(({ unit }) => unit.name)).size).toBe(8);
    expect(octopus.problems.filter(({ code }) => code === 'join-strand')).toHaveLength(1);
  });
  test('what is said to lie as far from the front line does', () => {
    const { joined, parts } = octopus;
    const own = parts.map((part) => joinPart(part));
    const [left] = joined.joins.filter(({ unit }) => unit.name === 'left front tentacle 1');
    const lines = joinDirections(left!, joined, own).lines.join(' ');
    const [, other = ''] = /The (right front tentacle \d) is/.exec(lines) ?? [];
    const right = joined.joins.find(({ unit }) => unit.name === other);
    // The front of a round of 24 is at 12½: two that mirror each other add up to 25.
    expect(left!.stitch! + right!.stitch!).toBe(25);
  });
});

test('two on each side of the front are two', () => {
  const toy = analyseToy(
    'Lean: 0\nShell\nR1: 6 sc in mr\nR2: inc x 6\nR3: (sc, inc) x 6\nR4-R9: sc around\n\nFlipper (make 4)\nR1: 4 sc in mr\nR2: (sc, inc) x 2\n\nAssembly\nSew two flippers to the shell on R6, 4 stitches each side of the front centre.',
  );
  // The front of a round of 18 is at 9½.
  expect(toy.joined.joins.map(({ stitch }) => stitch)).toEqual([5.5, 13.5]);
});

test('two to each side are four, and where is asked', () => {
  const toy = analyseToy(
    'Shell\nR1: 6 sc in mr\nR2: inc x 6\nR3: (sc, inc) x 6\nR4-R9: sc around\n\nFlipper (make 4)\nR1: 4 sc in mr\nR2: (sc, inc) x 2\n\nAssembly\nSew 2 flippers to each side of the shell on R6.',
  );
  expect(toy.joined.joins).toHaveLength(4);
  expect(toy.problems.map(({ code }) => code)).toContain('join-around');
});

test('a bow that is made is joined like any part; a nose that is made is placed as the nose', () => {
  const made = (name: string, sentence: string) =>
    analyseToy(
      `Lean: 0\nHat\nR1: 6 sc in mr\nR2: inc x 6\nR3: (sc, inc) x 6\nR4-R7: sc around\n\n${name}\nR1: 6 sc in mr\n\nAssembly\n${sentence}`,
    );
  const bow = made('Bow', 'Sew the bow to the front of the hat on round 5.');
  expect(bow.joined.joins.map(({ unit, round, stitch }) => [unit.name, round, stitch])).toEqual([
    ['bow', 5, 9.5],
  ]);
  const nose = made('Nose', 'Sew the nose to the hat between R5 and R6, in the middle.');
  expect(nose.parts[0]!.features.map(({ kind }) => kind)).toEqual(['nose']);
  for (const toy of [bow, nose]) expect(toy.problems.map(({ code }) => code)).not.toContain('part-unused');
});

test('a sentence that stuffs and sews stands in its own line', () => {
  const toy = analyseToy(
    'Shell\nR1: 6 sc in mr\nR2: inc x 6\nR3-R6: sc around\n\nBelly\nR1: 6 sc in mr\nR2: inc x 6\n\nAssembly\nSew the belly to the shell, edge to edge, stuffing before you close.',
  );
  expect(toy.joined.joins[0]?.sentence.line).toBe(11);
});

test('a tube that is sewn shut lies flat, and one that is sewn on flat is not drawn together', () => {
  const toy = (end: string, sewing: string) =>
    analyseToy(
      `Body\nR1: 6 sc in mr\nR2: inc x 6\nR3: (sc, inc) x 6\nR4-R9: sc around\n\nArm (make 2)\nR1: 6 sc in mr\nR2: (sc, inc) x 3\nR3-R6: sc around\n${end}\n\nAssembly\n${sewing}`,
    ).parts[1]!.stops.closing?.how;
  expect(toy('Sew the opening shut.', '')).toBe('flat');
  expect(toy('', 'Flatten the arms and sew them to both sides of the body on round 6.')).toBe('open');
});

// An arm of 12 stitches is 4 wide: with 3 between their edges the two are 7 apart, 15 and 22 about the front at 18½.
const three = [
  ['left arm', 'body', 8, 15],
  ['right arm', 'body', 8, 22],
];
test.each([
  'Sew the arms to the body on round 8, with 3 stitches free between them.',
  'Sew the arms to the body on round 8, 3 free stitches between.',
  'Sew the arms to round 8 of the body with a gap of 3 stitches.',
  'Sew the arms to round 8 of the body with a 3-stitch gap.',
  'Sew the arms to the body on round 8, 3 stitches showing between them.',
  'Sew the arms to the body on round 8, leaving 3 sts in between.',
  'Arms go on the body on round 8, with 3 stitches free between them.',
  'Arms: body, R8, 3 stitches between them',
])('%s', (sentence) => {
  expect(placed(sentence)).toEqual(three);
});

// The name, and where it goes: in a list, without a verb.
const atSides = [
  ['left arm', 'body', 8, 9.5],
  ['right arm', 'body', 8, 27.5],
];
test.each<[string, (string | number)[][]]>([
  ['Arms: R8, one on each side', atSides],
  ['Arms - R8, sides', atSides],
  ['Arms → R8 of the body, sides', atSides],
  ['Arms at R8, on both sides.', atSides],
  [
    'Arms: R8, st 9 and st 27',
    [
      ['left arm', 'body', 8, 9],
      ['right arm', 'body', 8, 27],
    ],
  ],
  [
    'Left arm: R8, stitch 9. Right arm: R8, stitch 27',
    [
      ['left arm', 'body', 8, 9],
      ['right arm', 'body', 8, 27],
    ],
  ],
  ['Tail: R14, centre back', [['tail', 'body', 14, 0.5]]],
  ['Tail (R14, centre back)', [['tail', 'body', 14, 0.5]]],
  ['Tail at centre back R14.', [['tail', 'body', 14, 0.5]]],
])('%s', (sentence, places) => {
  expect(placed(sentence)).toEqual(places);
});

test('what is said of a part that is made, and is no place, stays a note and opens no part', () => {
  for (const said of ['Ears: brown', 'Tail: the end stays open', 'Set the arms aside.']) {
    const { pattern } = bear(said);
    expect([said, pattern.parts.length, pattern.notes.map(({ text }) => text)]).toEqual([said, 6, [said]]);
  }
  // A second heading over work is a part all the same, also where its rounds are numbered on.
  expect(bear('Tail: continued\nR6: sc around').pattern.parts).toHaveLength(7);
  expect(bear('Ears: brown\nR1: 6 sc in ring').pattern.parts).toHaveLength(7);
});

test('a number of stitches of which nothing is made is told', () => {
  const told = (sentence: string) =>
    bear(sentence).problems.flatMap(({ code, facts }) => (code === 'words-unused' ? [facts?.words] : []));
  expect(told('Sew the arms to round 8 of the body, 3 stitches lower than the tail.')).toEqual([
    '3 stitches',
  ]);
  expect(told('Sew the arms to round 8 of the body, 4 cm apart.')).toEqual(['4 cm apart']);
  expect(told('Sew the arms to round 8 of the body, 3 stitches apart.')).toEqual([]);
  expect(told('Sew the arms to round 8 of the body at the 9th and 27th stitch.')).toEqual([]);
  // What is only gone by is not joined.
  expect(placed('Sew the arms to round 8 of the body, 3 stitches lower than the tail.')).toEqual(atSides);
});

/** Head and body end open with 18 stitches each. */
const open = (sentence: string) => {
  const dome = (name: string) =>
    `${name}\nR1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4-R9: sc around\nFasten off.`;
  return analyseToy(
    ['Lean: 0', dome('Head'), dome('Body'), limb('Arm (make 2)', 8), `Assembly\n${sentence}`].join('\n\n'),
  );
};

test('a head that sits on top of a body as wide is sewn edge to edge, and which way up is asked', () => {
  const toy = open('The head sits on top of the body. Sew stitch to stitch.');
  expect(toy.joined.joins.map(({ unit, kind }) => [unit.name, kind])).toEqual([['head', 'edge-to-edge']]);
  expect(toy.problems.map(({ code }) => code)).toContain('edges-same-end');
});

test('below the neck of a body that may stand on its head is asked', () => {
  const toy = open('Sew the arms to both sides of the body, 2 rounds below the neck.');
  expect(toy.joined.joins.map(({ round }) => round)).toEqual([null, null]);
  expect(toy.problems.map(({ code }) => code)).toContain('join-row-missing');
});

test('what of a line is not understood stays a note where the rest of it is read', () => {
  const { pattern } = open('Sew the head to the body. Admire your work from every side. Stuff the arms.');
  expect(pattern.notes.map(({ text }) => text)).toEqual(['Admire your work from every side']);
});

test.each<[string, (string | number)[][]]>([
  [
    'Left ear: head, R6, stitch 9. Right ear: head, R6, stitch 28.',
    [
      ['left ear', 'head', 6, 9],
      ['right ear', 'head', 6, 28],
    ],
  ],
  // Arms 4 wide with 14 between them at the back: 9 to each side of the middle of the back at ½ of 36.
  [
    'Sew the arms to round 8 of the body, 14 stitches between them at the back.',
    [
      ['left arm', 'body', 8, 9.5],
      ['right arm', 'body', 8, 27.5],
    ],
  ],
  [
    'Sew the arms to round 8 of the body, 10 stitches between them at the back.',
    [
      ['left arm', 'body', 8, 7.5],
      ['right arm', 'body', 8, 29.5],
    ],
  ],
])('%s', (sentence, places) => {
  expect(placed(sentence)).toEqual(places);
});

test('two parts and two rounds, respectively: asked, never the round between', () => {
  const toy = bear('Sew the arms and ears to the sides of the body on R14 and R6 respectively.');
  expect(toy.joined.joins).toEqual([]);
  expect(toy.problems.map(({ code }) => code)).toContain('join-two-rounds');
});

test('only a head is sewn to an open end as wide: a hat on top of a head goes onto its crown', () => {
  const dome = (name: string) =>
    `${name}\nR1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4-R9: sc around\nFasten off.`;
  const kinds = (sentence: string) =>
    analyseToy(
      ['Lean: 0', dome('Head'), dome('Hat'), dome('Body'), `Assembly\n${sentence}`].join('\n\n'),
    ).joined.joins.map(({ unit, kind }) => [unit.name, kind]);
  expect(kinds('Sew the hat to the top of the head.')).toEqual([['hat', 'open-on-wall']]);
  expect(kinds('Sew the head to the top of the body.')).toEqual([['head', 'edge-to-edge']]);
  expect(kinds('Sew the head to the top of the body on round 3.')).toEqual([['head', 'open-on-wall']]);
});

test.each([
  'Sew the tail to the back of the body, 6 rounds up from the bottom.',
  'Sew the arms to the sides of the body, level with round 8.',
])('%s: what is read is not told as unread', (said) => {
  expect(bear(said).problems.map(({ code }) => code)).not.toContain('words-unused');
});

test.each([
  ['Sew the arms to the sides of the body on round 8 so they point forward.', 'so they point forward'],
  ['Sew the ears to the head on round 6 at a 45 degree angle, on both sides.', 'at a 45 degree angle'],
  ['Sew the ears to the head on round 6 in a curve, on both sides.', 'in a curve'],
])('%s: what is not followed is told', (said, words) => {
  const unused = bear(said).problems.filter(({ code }) => code === 'words-unused');
  expect(unused.map(({ facts }) => facts?.words)).toEqual([words]);
});

test.each([
  'Sew the arms to the body on round 8, in line with the ears. Sew the ears to the body on round 12, at the sides.',
  'Sew the ears to the body on round 12, at the sides. Sew the arms to the body on round 8, in line with the ears.',
  'Sew the arms above the ears on round 8 of the body. Sew the ears to the body on round 12, at the sides.',
])('%s: in whichever order they are said', (said) => {
  const arms = placed(said).filter(([name]) => String(name).endsWith('arm'));
  expect(arms).toEqual([
    ['left arm', 'body', 8, 9.5],
    ['right arm', 'body', 8, 27.5],
  ]);
});

test('two that go by each other wait, and that is told', () => {
  const codes = bear(
    'Sew the arms to the body on round 8, in line with the ears. Sew the ears to the body on round 12, in line with the arms.',
  ).problems.map(({ code }) => code);
  expect(codes.filter((code) => code === 'join-waits')).toHaveLength(2);
});

test('a number of pieces behind a round is no second round', () => {
  const told = bear('Sew one arm on round 3 and two ears on round 10 of the body.').problems;
  expect(told.map(({ code }) => code)).toContain('join-two-rounds');
});

// The body's open edge of 18 is sewn onto the closed head: its seam lies behind round 11, and 4 rounds under that is the line 7|8.
test('below a closed head that sits on an open body', () => {
  const body = ball('Body', 24, 6).replace(/\nR1[23]: .*/g, '');
  const { joined } = analyseToy(
    `Gauge: 5 mm x 4 mm\nLean: 0\n\n${body.replace('Body', 'Body\nStart: bottom')}\n\n${ball('Head', 36, 6)}\n\n${limb('Arm (make 2)', 8)}\n\nAssembly\nSew the arms to the body, 4 rounds below the head, on both sides.\nSew the head to the body.`,
  );
  const arms = joined.joins.filter(({ unit }) => unit.name.endsWith('arm'));
  expect(arms.map(({ unit, round }) => [unit.name, round])).toEqual([
    ['left arm', 7.5],
    ['right arm', 7.5],
  ]);
});

const onBothSides = (piece: string, round: number) => [
  [`left ${piece}`, 'body', round, 9.5],
  [`right ${piece}`, 'body', round, 27.5],
];

// What is only gone by, and what was joined before, is not joined by the sentence.
test.each<[string, unknown[]]>([
  ['Once the ears are attached, sew the arms on round 8 of the body.', onBothSides('arm', 8)],
  ['After sewing the tail, sew the arms on round 8 of the body.', onBothSides('arm', 8)],
  ['When sewing the arms to the body, place them on round 8.', onBothSides('arm', 8)],
  ['With the arm tails, sew the arms on round 8 of the body.', onBothSides('arm', 8)],
  ['Sew the arms on round 8 of the body, next to the ears.', onBothSides('arm', 8)],
  ['Sew the arms on round 8 of the body, opposite the ears and behind the tail.', onBothSides('arm', 8)],
  ['Flatten the arm openings and sew them to round 8 of the body.', onBothSides('arm', 8)],
  ['Sew the left arm to the left side on round 8, the right arm to the right side.', onBothSides('arm', 8)],
  ['Sew the tail to the body on round 14, in the middle between the arms.', [['tail', 'body', 14, 18.5]]],
])('%s', (said, expected) => {
  expect(placed(said)).toEqual(expected);
});

test.each([
  ['Sew the tail to the bottom of the back of the body.', 'bottom of the back'],
  ['Sew the tail to the body at the back, at the bottom.', 'at the bottom'],
  ['Sew the tail to the lower back of the body.', 'lower back'],
  ['Sew the tail to the body, low on the back.', 'low on the back'],
])('how low is asked: %s', (said, words) => {
  const { problems, joined } = bear(said);
  expect(problems.find(({ code }) => code === 'words-unused')?.facts?.words).toBe(words);
  expect(problems.map(({ code }) => code)).toContain('join-where');
  expect(joined.joins.map(({ round }) => round)).toEqual([null]);
});

test.each([
  'Sew the arms to the body on round 8, the left one at stitch 28, the right one at stitch 9.',
  'Arms: sew to the body at R8, left arm at st 28, right arm at st 9.',
  'Sew the arms to the body on R8, left at st 28, right at st 9.',
])('a side that is said to a stitch of the other is told: %s', (said) => {
  expect(bear(said).problems.filter(({ code }) => code === 'join-side')).toHaveLength(2);
  expect(
    bear(said.replace('28', 'x').replace('9.', '28.').replace('x', '9')).problems.map(({ code }) => code),
  ).not.toContain('join-side');
});

test('a number that is not said to be a stitch is told', () => {
  const told = bear('Sew the arms to the body on R8: left at 9, right at 28.').problems;
  expect(told.filter(({ code }) => code === 'words-unused').map(({ facts }) => facts?.words)).toEqual([
    'left at 9',
    'right at 28',
  ]);
});
