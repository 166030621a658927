import { isJoin, writeJoin } from '../notation/sentence/join';
import { analyseToy } from './analyse';
import { assembled } from './assembled';

const ring = [
  'R1: 6 sc in ring',
  'R2: inc x 6',
  'R3: (sc, inc) x 6',
  'R4: (2 sc, inc) x 6',
  'R5: (3 sc, inc) x 6',
];
/**
 * A head of 36 stitches, closed, with eyes; a body of 30 with an open top of 18; a cap with an edge of 24, a stem with one of 24 as
 * well, a thin stick of 12, a strand of 60 chains.
 */
const toyWith = (sentence: string) =>
  analyseToy(
    [
      'Gauge: 5 mm x 4 mm\nLean: 0',
      [
        'Head',
        ...ring,
        'R6: (4 sc, inc) x 6',
        'R7-R12: sc around',
        'R13: (4 sc, dec) x 6',
        'R14: (3 sc, dec) x 6',
        'R15: (2 sc, dec) x 6',
        'R16: (sc, dec) x 6',
        'R17: dec x 6',
        'Eyes: 8 mm, between R8 and R9, 6 showing.',
      ].join('\n'),
      ['Body', ...ring, 'R6-R12: sc around', 'R13: (3 sc, dec) x 6', 'R14: (2 sc, dec) x 6'].join('\n'),
      ['Cap', ...ring.slice(0, 4), 'R5-R6: sc around'].join('\n'),
      ['Stem', ...ring.slice(0, 4), 'R5-R10: sc around'].join('\n'),
      'Stick\nR1: 6 sc in ring\nR2: inc x 6\nR3-R8: sc around',
      'Strand\nR1: Ch 61, sc in 2nd ch from hook and in each ch across (60)',
      `Assembly\n${sentence}`,
    ].join('\n\n'),
  );
const joined = (sentence: string) =>
  toyWith(sentence).joined.joins.map(({ kind, unit, on, round, covers }) => [
    kind,
    unit.name,
    on.part,
    round,
    covers?.rounds ?? null,
  ]);
const codes = (sentence: string) =>
  toyWith(sentence).joined.joins.flatMap(({ problems }) => problems.map(({ code }) => code));

// The cap's edge of 24 stitches is as wide round as round 4 of the head, and of the stem any round from 4 on.
test.each<[string, unknown[]]>([
  ['Slip the cap over the head and sew it on.', ['pushed-in', 'cap', 'head', 4, [1, 4]]],
  ['Put the cap over the top of the head.', ['pushed-in', 'cap', 'head', 4, [1, 4]]],
  [
    'Slide the cap down over the head to round 5 and sew around its edge.',
    ['pushed-in', 'cap', 'head', 5, [1, 5]],
  ],
  // A round that is named says which end: round 14 of 17 is by the end of the head.
  ['Slide the cap over the chin of the head to round 14.', ['pushed-in', 'cap', 'head', 14, [14, 17]]],
  // Two rounds of ten lie inside: 9 and 10.
  [
    'Push the stem into the cap so that it sits 2 rounds deep, and sew around.',
    ['pushed-in', 'cap', 'stem', 8, [8, 10]],
  ],
  ['Pull the cap 3 rounds down over the stem.', ['pushed-in', 'cap', 'stem', 7, [7, 10]]],
  // Three rounds at its start lie inside: the edge is sewn to the fourth.
  ['Pull the cap 3 rounds down over the start of the head.', ['pushed-in', 'cap', 'head', 4, [1, 4]]],
  // The end that is named is that of the cap, and what goes in is the open end of the stem.
  ['Push the stem into the end of the cap, 2 rounds deep.', ['pushed-in', 'cap', 'stem', 8, [8, 10]]],
  ['Push the stem into the cap up to round 7 of the stem and sew.', ['pushed-in', 'cap', 'stem', 7, [7, 10]]],
  // Said by a round of the cap, the edge of the stem is sewn there from inside.
  [
    'Insert the stem into the cap and sew it along round 5 of the cap.',
    ['pushed-in', 'stem', 'cap', 5, [5, 6]],
  ],
])('%s', (sentence, expected) => {
  expect(joined(sentence)).toEqual([expected]);
});

test('every stitch of the edge meets one of the round, front to front', () => {
  const [join] = toyWith('Slip the cap over the head.').joined.joins;
  expect(join?.path).toHaveLength(24);
  expect(new Set(join?.path?.map(({ stitch }) => stitch)).size).toBe(24);
  expect(join?.path?.every(({ round }) => round === 4)).toBe(true);
  expect(join?.doubles).toEqual([]);
});

test('how deep is asked for where nothing says it, and what can not fit is told', () => {
  expect(codes('Push the stem into the cap.')).toEqual(['fit-depth']);
  expect(joined('Push the stem into the cap.')[0]?.[3]).toBeNull();
  // Both have a round 5: it is not said whose.
  expect(codes('Push the stem into the cap and sew around at round 5.')).toEqual(['fit-depth']);
  // An edge of 24 around a stick of 12 gapes; where it is as wide no round is.
  expect(codes('Push the stick into the cap, 2 rounds deep.')).toEqual(['fit-width']);
});

// Round 8 of the body: 30 stitches, front at 15½, sides at 8 and 23. Its radius is 30 × 5 mm / 2π, across 47.7 mm.
test.each([
  'Pull the strand through the body from side to side at round 8.',
  'Thread the strand through the body at round 8, from one side to the other, and secure it with a stitch on each side.',
  'Pass the strand straight through the body on round 8 so both ends hang out.',
])('%s', (sentence) => {
  const [join, ...more] = toyWith(sentence).joined.joins;
  expect(more).toEqual([]);
  expect(join).toMatchObject({ kind: 'through', round: 8, stitch: 8, insideMm: 48 });
  expect(join?.pins?.map(({ stitch }) => stitch)).toEqual([8, 23]);
  // 60 stitches of 5 mm are 300 mm: 126 on each side.
  expect(join?.problems[0]).toMatchObject({ code: 'join-through', facts: { outMm: 126 } });
});

test('from front to back it goes in at the front line', () => {
  const [join] = toyWith('Pull the strand through the body from front to back between rounds 7 and 8.').joined
    .joins;
  expect(join).toMatchObject({ kind: 'through', round: 7.5 });
  expect(join?.pins?.map(({ stitch }) => stitch)).toEqual([15.5, 0.5]);
});

test('too short to come out on the other side is told', () => {
  expect(codes('Pull the stick through the body at round 8.')).toEqual(['through-short']);
});

test('hung by a thread, with how long it is', () => {
  const [join] = toyWith(
    'Hang the stick from the head by a 6 cm chain, at round 10 in the middle of the front.',
  ).joined.joins;
  expect(join).toMatchObject({
    kind: 'hung',
    round: 10,
    stitch: 18.5,
    problems: [{ facts: { threadMm: 60 } }],
  });
});

test('the cap sits on the head in the toy', () => {
  const posed = assembled(toyWith('Slip the cap over the head.'));
  const [head, cap] = ['head', 'cap'].map((name) => posed.find(({ unit }) => unit.part === name));
  expect(cap?.loose).toBe(false);
  // Its start is above the start of the head, one axis over the other.
  expect(cap!.frame.origin[1]).toBeGreaterThan(head!.frame.origin[1]! - 1);
  expect(cap!.frame.origin[0]).toBeCloseTo(head!.frame.origin[0]!, 6);
});

// Laid on a surface and sewn, or beside something: nothing goes over, into or through anything.
test.each([
  ['Sew the stick to the body at round 8.', 'open-on-wall'],
  ['Sew the stem to the body 2 rounds above the base.', 'open-on-wall'],
  ['Insert the stick in the head at round 8, on the left side, and sew it on.', 'open-on-wall'],
])('%s', (sentence, kind) => {
  expect(joined(sentence)[0]?.[0]).toBe(kind);
});

test.each([
  'Slip the cap over the head.',
  'Push the stem 3 rounds deep into the cap.',
  'Pull the strand through the body from side to side at round 8.',
  'Pull the strand through the body from front to back between rounds 7 and 8.',
  'Hang the stick from the head by a 6 cm chain, at round 10 in the middle of the front.',
])('written back it is read as the same: %s', (sentence) => {
  const join = (text: string) => {
    const found = toyWith(text).parts.flatMap(({ source }) => source.steps.filter(isJoin))[0]!;
    const { way, joined: who, place, round, gap } = found;
    return { said: found, same: { way, who, place, round, gap } };
  };
  const first = join(sentence);
  expect(join(writeJoin(first.said)).same).toEqual(first.same);
});

test('what passes through is ready, and pulled through, before the stuffing; it is not sewn on again at the end', () => {
  const { parts, order } = toyWith('Pull the strand through the body from side to side at round 8.');
  const body = parts.find(({ source }) => source.id === 'body')!;
  const pause = body.stops.stops.find(({ acts }) => acts.some(({ act }) => act === 'pull-through'))!;
  // The round over its own has to be there; the body stays open and is stuffed last.
  expect(pause.earliest).toBeGreaterThanOrEqual(9);
  expect(pause.acts.map(({ act }) => act).slice(0, 2)).toEqual(['pull-through', 'stuff']);
  const done = order.steps.map((step) => `${step.do} ${step.unit}`);
  expect(done.filter((one) => one.startsWith('sew strand'))).toEqual([]);
  expect(done.findIndex((one) => one.startsWith('work strand'))).toBeLessThan(
    done.findIndex((one) => one.startsWith('pull-through')),
  );
});

test('two boots go over two legs, each over its own', () => {
  const leg = 'Leg (make 2)\nR1: 6 sc in ring\nR2: inc x 6\nR3-R8: sc around';
  const boot = 'Boot (make 2)\nR1: 6 sc in ring\nR2: inc x 6\nR3-R5: sc around';
  const body = 'Body\nR1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4-R9: sc around';
  const { joined } = analyseToy(
    [
      body,
      leg,
      boot,
      'Assembly\nSew the legs to both sides of the body on round 6.\nPull the boots over the start of the legs to round 4 and sew.',
    ].join('\n\n'),
  );
  const boots = joined.joins.filter(({ unit }) => unit.part === 'boot');
  expect(boots.map(({ kind, unit, on, round }) => [kind, unit.unit, on.part, on.unit, round])).toEqual([
    ['pushed-in', 1, 'leg', 1, 4],
    ['pushed-in', 2, 'leg', 2, 4],
  ]);
});

describe('the sides a strand comes out of are those one sees, whichever way the piece is worked', () => {
  const body =
    'R1: 7 sc in ring\nR2: inc x 7\nR3: (sc, inc) x 7\nR4: (2 sc, inc) x 7\nR5: (3 sc, inc) x 7\nR6-R12: sc around';
  const exits = (header: string, start: string, where: string) => {
    const strand = 'Strand\nR1: ch 61, sc in 2nd ch from hook and in each ch across';
    const text = [
      `Lean: 0\n${header}`,
      `Body\n${start}\n${body}`,
      strand,
      `Assembly\nPull the strand through the body ${where}.`,
    ];
    return analyseToy(text.join('\n\n')).joined.joins.map(({ pins, problems }) => [
      pins?.map(({ stitch }) => stitch) ?? null,
      problems[0]?.code,
    ]);
  };
  // 35 stitches, the front at 18: a quarter of a round is 8¾, and 9 and 27 are as far from the front.
  test.each<[string, string, number[]]>([
    ['', '', [9, 27]],
    ['Hand: left', '', [27, 9]],
    ['', 'Start: bottom', [27, 9]],
    ['Hand: left', 'Start: bottom', [9, 27]],
  ])('%s %s', (header, start, stitches) => {
    expect(exits(header, start, 'from side to side at round 8')).toEqual([[stitches, 'join-through']]);
  });
  test('where it lies on its side nothing is made up, nor where a stitch is named that is not there', () => {
    expect(exits('', 'Start: left', 'from side to side at round 8')).toEqual([[null, 'join-unworked']]);
    expect(exits('', '', 'at round 8 at stitches 9 and 230')).toEqual([[null, 'join-row-missing']]);
  });
});

test('an end that goes into another stays open', () => {
  const { parts } = analyseToy(
    'Cap\nR1: 6 sc in ring\nR2: inc x 6\nR3-R5: sc around\n\nStem\nR1: 6 sc in ring\nR2: inc x 6\nR3-R9: sc around\n\nAssembly\nPush the stem into the cap, 2 rounds deep, and sew around.',
  );
  expect(parts.map(({ stops }) => stops.closing?.how)).toEqual(['open', 'open']);
});

test('what is flat goes over nothing', () => {
  const { joined } = analyseToy(
    'Head\nR1: 6 sc in ring\nR2: inc x 6\nR3-R6: sc around\nR7: dec x 6\n\nScarf\nRow 1: ch 31, sc in 2nd ch from hook and in each ch across\nRow 2: ch 1, turn, sc across\nRow 3: ch 1, turn, sc across\n\nAssembly\nSlip the scarf over the head.',
  );
  expect(joined.joins.map(({ round, problems }) => [round, problems[0]?.code])).toEqual([
    [null, 'join-unworked'],
  ]);
});
