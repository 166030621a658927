import { Rewriting } from '../notation/rewriting';
import { workedIn, workedInManners } from '../notation/workedIn';
import { analyseToy } from './analyse';

const limb = (name: string, edge: number) => {
  const opening = edge === 10 ? ['R1: 5 sc in ring', 'R2: inc x 5'] : ['R1: 6 sc in ring', 'R2: inc x 6'];
  return [name, ...opening, 'R3-R6: sc around'].join('\n');
};
const bodyRounds = [
  'R1: 6 sc in ring',
  'R2: inc x 6',
  'R3: (sc, inc) x 6',
  'R4: (2 sc, inc) x 6',
  'R5: (3 sc, inc) x 6',
  'R6-R9: sc around',
];

/** A body of 30 stitches whose round 10 is the maker's own, with arms of 12 and ears of 10 stitches to their edge. */
const withRound = (round: string, ...header: string[]) =>
  analyseToy(
    [
      ['Lean: 0', ...header].join('\n'),
      limb('Arm (make 2)', 12),
      limb('Wing (make 2)', 10),
      ['Body', ...bodyRounds, round, 'R11: sc around', 'R12: (3 sc, dec) x 6'].join('\n'),
    ].join('\n\n'),
  );
const inPlace = (round: string, ...header: string[]) =>
  withRound(round, ...header).joined.joins.map(({ unit, round: at, stitch, sum }) => [
    unit.name,
    at,
    stitch,
    sum,
  ]);
/** Errors and warnings of the round. Wings or arms that a text leaves out are not asked for here. */
const told = (round: string, ...header: string[]) =>
  withRound(round, ...header)
    .problems.filter(({ severity, code }) => severity !== 'info' && !code.startsWith('part-'))
    .map(({ code }) => code);

test.each(workedInManners.map(({ example }) => example))('%s is read as %s', (said, read) => {
  const rewriting = new Rewriting(said);
  workedIn(rewriting);
  expect(rewriting.text).toBe(read);
});

// 5 plain, stitches 6 to 11 with the middle at 8½, 8 plain, 20 to 25 at 22½, 5 plain: even about the front at 15½.
const even = [
  ['left arm', 10, 8.5, 30],
  ['right arm', 10, 22.5, 30],
];
test.each([
  'R10 (attach arms): 5 sc, 6 sc, 8 sc, 6 sc, 5 sc (30)',
  'R10: 5 sc, sew on arm while making 6 sc, 8 sc, the other arm while making 6 sc, 5 sc',
  'R10: sc in the first 5 sts, hold the arm in front and sc the next 6 sts together with it, sc in the next 8 sts, same with the second arm over 6 sts, sc in the last 5 sts',
])('%s: that it names the arms is not left unsaid', (round) => {
  const { joined, problems } = withRound(round);
  expect(joined.joins).toEqual([]);
  const told = problems.filter(({ code }) => code === 'nosew-unread');
  expect(told.map(({ part, line }) => [part, line])).toEqual([['Arm', 20]]);
  expect(told[0]!.message).toMatch(
    /^Round 10 of the body names the arm, .*“6 sc through the arm and the body”/,
  );
});

test('a part that is joined by a sentence may be named by a round in any words', () => {
  const text = withRound('R10 (between the arms): sc around').text;
  const sewn = analyseToy(`${text}\n\nAssembly\nSew the arms to both sides of the body on round 10.`);
  expect(sewn.problems.filter(({ code }) => code === 'nosew-unread')).toEqual([]);
});

test('plain stitches of two digits after a piece are no number of it', () => {
  // 4 plain, 6 with the middle at 7½, 10 plain, 6 at 23½, 4 plain.
  const apart = [
    ['left arm', 10, 7.5, 30],
    ['right arm', 10, 23.5, 30],
  ];
  expect(
    inPlace(
      'R10: 4 sc, 6 sc through the left arm and the body, 10 sc, 6 sc through the right arm and the body, 4 sc',
    ),
  ).toEqual(apart);
  expect(
    inPlace(
      'R10: 4 sc, hold the arm on the body, 6 sc through both, 10 sc, hold the other arm on the body, 6 sc through both, 4 sc',
    ),
  ).toEqual(apart);
});

test.each([
  'R10: 5 sc, 6 sc through the first arm and the body, 8 sc, 6 sc through the second arm and the body, 5 sc (30)',
  'R10: 5 sc, 6 sc (through both arm and body), 8 sc, 6 sc (through both arm and body), 5 sc (30)',
  'R10: sc 5, (arm) sc 6, sc 8, (arm) sc 6, sc 5',
  'R10: 5 sc [arm: 6 sc] 8 sc [arm: 6 sc] 5 sc',
  'R10: 5 sc; with arm: 6 sc; 8 sc; with arm: 6 sc; 5 sc',
  'R10: 5 sc, 1 sc through arm and body x 6, 8 sc, 1 sc through arm and body x 6, 5 sc',
  'R10: 5 sc, put arm against the body, 6 sc through the three layers, 8 sc, put arm against the body, 6 sc through the three layers, 5 sc',
  'R10: attaching arms: 5 sc, 6 sc with arm, 8 sc, 6 sc with arm, 5 sc (30)',
  'R10: 5 sc, hold the left arm to the body and sc through both layers 6, 8 sc, hold the right arm to the body and sc through both layers 6, 5 sc (30)',
  'R10: 5 sc, join the left arm with 6 sc, 8 sc, join the right arm with 6 sc, 5 sc (30)',
  'R10: sc in next 5, crochet first arm to body with 6 sc, sc in next 8, crochet second arm with next 6 sc, sc in last 5 (30)',
  'R10: 5 sc, arm 6 sc, 8 sc, arm 6 sc, 5 sc (30)',
  'R10: 5 sc, 6 sc in arm and body together, 8 sc, 6 sc in other arm and body together, 5 sc (30)',
  'R10: 5 sc, 6 sc through arm 1 and body, 8 sc, 6 sc through arm 2 and body, 5 sc (30)',
  'R10: sc 5, sc through both the left arm and the body for 6 sts, sc 8, sc through both the right arm and body for 6 sts, sc 5 (30)',
  'R10: sc 5, place the arm on the body and sc 6 through both, sc 8, place the other arm and sc 6 through both layers, sc 5 [30]',
  'R10: sc 5, hold arm in front of body, sc 6 through both layers, sc 8, hold the second arm in front, sc 6 through both layers, sc 5 [30]',
  'R10: sc 5, attach arm over next 6 sts, sc 8, attach second arm over next 6 sts, sc 5 (30)',
  'R10: sc 5, attach left arm (6 sc), sc 8, attach right arm (6 sc), sc 5',
  'Round 10. 5 sc, 6 sc joining first arm, 8 sc, 6 sc joining second arm, 5 sc.',
  '10) 5 sc, 6 sc with first arm, 8 sc, 6 sc with second arm, 5 sc. (30)',
  'R10: 5 sc, 6 sc while attaching the left arm, 8 sc, 6 sc while attaching the right arm, 5 sc. (30)',
  'R10: sc in the next 5 sts, sc in the next 6 sts of the left arm and the body together, sc in the next 8 sts, sc in the next 6 sts of the right arm and the body together, sc 5 (30)',
  'R10: 5 sc, 6 sc (left arm), 8 sc, 6 sc (right arm), 5 sc (30)',
  'R10: 5 sc, insert the left arm and work 6 sc through both, 8 sc, insert the right arm and work 6 sc through both, 5 sc',
])('the arms are where the round has them: %s', (round) => {
  expect(inPlace(round)).toEqual(even);
  expect(told(round)).toEqual([]);
});

test('loops, the round below and the ledger are those of the line', () => {
  const round = 'R10: BLO: 5 sc, 6 sc joining the arm, 8 sc, 6 sc joining the other arm, 5 sc (30)';
  const [first] = withRound(round).joined.joins;
  expect(first).toMatchObject({ kind: 'no-sew', base: 9, loops: 'back', asWritten: true });
  const numbers = first?.ledger?.map((entry) => ('plain' in entry ? entry.plain : entry.stitches));
  expect(numbers).toEqual([5, 6, 8, 6, 5]);
});

test('UK words, left-handed, two kinds of parts in one round', () => {
  const round =
    'R10: 1 dc, 5 dc joining the wing, 3 dc, 6 dc joining the arm, 6 dc joining the arm, 3 dc, 5 dc joining the wing, 1 dc (30)';
  const uk = withRound(round, 'Terms: UK', 'Hand: left');
  // Left-handed the numbers run the other way: the first is on the right.
  expect(uk.joined.joins.map(({ unit, stitch }) => [unit.name, stitch])).toEqual([
    ['right arm', 12.5],
    ['left arm', 18.5],
    ['right wing', 4],
    ['left wing', 27],
  ]);
});

test('what the round begins in the middle of is one run', () => {
  const round =
    'R10: 3 sc joining the arm, 9 sc, 6 sc joining the other arm, 9 sc, 3 sc joining the arm (30)';
  expect(inPlace(round).map(([, , stitch]) => stitch)).toEqual([15.5, 0.5]);
});

test.each<[string, string]>([
  ['R10: 5 sc, 6 sc joining the arm, 8 sc, 6 sc joining the other arm, 4 sc (30)', 'count-mismatch'],
  ['R10: 5 sc, 6 sc joining the arm, 9 sc, 6 sc joining the other arm, 5 sc (30)', 'not-enough-stitches'],
  ['R10: 5 sc, 6 sc joining the arm, 8 sc, 6 sc joining the other arm, 3 sc', 'stitches-left'],
  ['R10: 4 sc, 6 sc joining the arm, 8 sc, 6 sc joining the other arm, 6 sc (30)', 'nosew-uneven'],
  ['R10: 3 sc, 6 sc joining the arm, 8 sc, 6 sc joining the other arm, 7 sc (30)', 'nosew-uneven'],
  ['R10: 6 sc, 5 sc joining the arm, 8 sc, 5 sc joining the other arm, 6 sc (30)', 'nosew-width'],
  ['R10: 5 sc, 6 sc joining the arm, 9 sc, 5 sc joining the other arm, 5 sc (30)', 'nosew-width'],
  [
    'R10: 3 sc, 12 sc through the arm and the body, 12 sc through the other arm and the body, 3 sc',
    'nosew-width',
  ],
  [
    'R10: 3 sc, 6 sc joining the arm, 3 sc, 6 sc joining the arm, 3 sc, 6 sc joining the arm, 3 sc',
    'nosew-units',
  ],
  ['R10: 5 sc, 6 sc joining the paw, 8 sc, 6 sc joining the other paw, 5 sc (30)', 'nosew-piece'],
  [
    'R10: 1 sc, 5 sc joining the wing, 4 sc, 6 sc joining the arm, 6 sc joining the arm, 3 sc, 5 sc joining the wing (30)',
    'nosew-uneven',
  ],
  ['R10: 5 sc, 6 sc joining the right arm, 8 sc, 6 sc joining the left arm, 5 sc (30)', 'join-side'],
])('a slip is told: %s (%s)', (round, code) => {
  expect(told(round)).toContain(code);
});

// Half a stitch off is what whole stitches come to: nine between them can't be even about a line between two stitches.
test.each([
  'R10: 5 sc, 6 sc joining the arm, 9 sc, 6 sc joining the other arm, 4 sc (30)',
  'R10: 4 sc, 6 sc joining the arm, 9 sc, 6 sc joining the other arm, 5 sc (30)',
])('no slip: %s', (round) => {
  expect(told(round)).toEqual([]);
});

// Legs that a body grows out of, colours, loops: nothing is held on.
test.each([
  'R1: 6 sc on first leg, ch 3, 12 sc around second leg, 3 sc in ch, 6 sc on first leg',
  'R5: 6 sc with white, 12 sc with grey',
  'R5: join white, 6 sc, join grey, 12 sc',
  'R8: sc in the next 5 sts, sc in front loops and back loops of next 6 sts',
  'R2: 6 sc in magic ring',
  'R9: sc in next 6, inc, sc in front of the marker',
])('stays as it was: %s', (line) => {
  const rewriting = new Rewriting(line);
  workedIn(rewriting);
  expect(rewriting.text).toBe(line);
});

test('what is even in its own round and not under the face is told, and one tap brings the face there', () => {
  const round = 'R10: 5 sc, 6 sc joining the arm, 8 sc, 6 sc joining the other arm, 5 sc (30)';
  const face = 'R12-R17: sc around\nEyes: 8 mm, between R16 and R17, 6 showing.';
  const text = [
    limb('Arm (make 2)', 12),
    ['Body', ...bodyRounds, round, 'R11: sc around', face].join('\n'),
  ].join('\n\n');
  // Rounds lean a quarter of a stitch each: six or seven of them come to a stitch and a half.
  const toy = analyseToy(`Lean: 0.25\n\n${text}`);
  const told = toy.problems.find(({ code }) => code === 'nosew-leans');
  expect(told).toMatchObject({ severity: 'info', facts: { off: 1.5 } });
  const [edit] = told!.suggestions[0]!.edits;
  expect(edit).toMatchObject({ text: 'Front: stitch 15.5 of round 10', insertAfter: true });
  const lines = `Lean: 0.25\n\n${text}`.split('\n');
  lines.splice(edit!.line, 0, edit!.text);
  const inLine = analyseToy(lines.join('\n'));
  expect(inLine.problems.map(({ code }) => code)).not.toContain('nosew-leans');
});

describe('a left and a right arm with headings of their own are a pair', () => {
  const pair = (round: string, ...header: string[]) =>
    analyseToy(
      [
        ['Lean: 0', ...header.slice(0, 1)].join('\n'),
        limb('Left arm', 12),
        limb('Right arm', 12),
        ['Body', ...header.slice(1), ...bodyRounds, round, 'R11: sc around'].join('\n'),
      ].join('\n\n'),
    );
  const codesOf = (toy: ReturnType<typeof pair>) =>
    toy.problems.filter(({ severity }) => severity !== 'info').map(({ code }) => code);
  const written = 'R10: 5 sc, 6 sc joining the left arm, 8 sc, 6 sc joining the right arm, 5 sc (30)';
  test('even, and on the side each is called by', () => {
    expect(codesOf(pair(written))).toEqual([]);
    expect(codesOf(pair(written, 'Hand: left', 'Start: bottom'))).toEqual([]);
  });
  test('not even is told', () => {
    const uneven = 'R10: 3 sc, 6 sc joining the left arm, 8 sc, 6 sc joining the right arm, 7 sc (30)';
    expect(codesOf(pair(uneven))).toEqual(['nosew-uneven']);
  });
  test('on the other side is told, for each', () => {
    expect(codesOf(pair(written, 'Hand: left'))).toEqual(['join-side', 'join-side']);
    expect(codesOf(pair(written, 'Hand: right', 'Start: bottom'))).toEqual(['join-side', 'join-side']);
  });
  test('on a body that lies no side is told by the stitches of a round', () => {
    const { joins } = pair(written, 'Hand: right', 'Start: left').joined;
    expect(joins.map(({ unit, stitch }) => [unit.side, stitch])).toEqual([
      [null, 8.5],
      [null, 22.5],
    ]);
  });
});
