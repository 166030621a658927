import { eyesSaid } from '../__tests__/eyesSaid';
import { eyeCorpus } from '../__tests__/eyeCorpus';
import { applyEdits } from '../notation/applyEdits';
import { analyseToy } from '../toy/analyse';
import { writeRule } from './rule/writeRule';

const rounds =
  'R1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4: (2 sc, inc) x 6\nR5: (3 sc, inc) x 6\nR6-R13: sc around\nR14: (3 sc, dec) x 6\nR15: (2 sc, dec) x 6\nR16: (sc, dec) x 6\nR17: dec x 6';
const asking = [
  'eyes-on-round',
  'gap-not-adjacent',
  'eyes-spacing',
  'eyes-where',
  'eyes-size',
  'apart-showing-differ',
  'gap-missing',
  'apart-impossible',
  'eyes-size-odd',
  'eyes-two-lines',
  'words-unused',
  'how-far',
];
const eyesOf = (sentence: string, header = '', under = '') =>
  analyseToy(`Gauge: 5 mm x 5 mm\n${header}Head\n${under}${rounds}\n${sentence}`).parts[0]!.eyes;

test('the corpus is large enough to mean something', () => {
  expect(eyeCorpus.length).toBeGreaterThanOrEqual(60);
});

// Every row has all three: Jest would hand a missing one its `done`.
const cases = eyeCorpus.map(([sentence, rule, asks = '']) => [sentence, rule, asks] as const);

test.each(cases)('%s', (sentence, rule, asks) => {
  const eyes = eyesOf(sentence);
  expect(eyesSaid(eyes!)).toMatchObject(rule);
  const asked = eyes!.problems.map((problem) => problem.code).filter((code) => asking.includes(code));
  if (asks) expect(asked).toContain(asks);
  else expect(asked).toEqual([]);
});

// Hand and start end turn the sides round and leave the holes; every sentence alike.
test.each(cases.filter(([, , asks]) => !asks).map(([sentence]) => [sentence]))(
  'both hands, both start ends: %s',
  (sentence) => {
    const sides = (header: string, under: string) =>
      eyesOf(sentence, header, under)!.units.map((post) => post.from);
    const right = sides('', '');
    expect(sides('Hand: left\n', '')).toEqual([...right].reverse());
    if (/from the (base|end|edge|last)/.test(sentence)) return;
    expect(sides('', 'Start: bottom\n')).toEqual([...right].reverse());
    expect(sides('Hand: left\n', 'Start: bottom\n')).toEqual(right);
  },
);

// One size beside the ring is the ring’s, and the eyes’ is asked for; of two each has its own, in either order.
test.each([
  ['Eyes with felt circles of 16 mm behind them, between R8 and R9, 6 apart', 9, 16],
  ['Eyes between R8 and R9, 6 apart, with 16 mm felt circles.', 9, 16],
  ['Glue felt circles (16 mm) to the eyes and insert them between R8 and R9, 6 apart.', 9, 16],
  ['With 16 mm felt circles and 8 mm eyes between R8 and R9, 6 apart.', 8, 16],
  ['Eyes (8 mm) with circles of white felt, 16 mm across, between R8 and R9, 6 apart', 8, 16],
])('%s: eyes of %i, rings of %i', (sentence, eyeMm, ringMm) => {
  const text = `Head\nR1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4-R12: sc around\n${sentence}`;
  const toy = analyseToy(text);
  const { rule } = toy.parts[0]!.eyes!;
  expect([rule.sizeMm, rule.ring?.sizeMm]).toEqual([eyeMm, ringMm]);
  expect(toy.problems.some(({ code }) => code === 'eyes-size')).toBe(eyeMm === 9);
});

// A ring that is given no size is half as wide again as the eye.
test.each([
  ['Insert 12 mm oval safety eyes between R8 and R9, 6 apart', 'oval', undefined],
  ['Insert 9 mm eyes with felt rings between R8 and R9, 6 apart', undefined, { of: 'felt', sizeMm: 14 }],
  [
    'Insert 9 mm safety eyes with crocheted rings behind, between R8 and R9, 6 apart',
    undefined,
    { of: 'crochet', sizeMm: 14 },
  ],
  ['Insert 9 mm eyes between R8 and R9, 6 apart', undefined, undefined],
  [
    'Insert 8 mm oval eyes with white felt circles of 16 mm behind them, between R8 and R9, 6 apart',
    'oval',
    { of: 'felt', sizeMm: 16 },
  ],
  [
    'Eyes: 8 mm with 12 mm crochet discs, between R8 and R9, 6 apart',
    undefined,
    { of: 'crochet', sizeMm: 12 },
  ],
] as const)('%s keeps how they look when they are moved', (sentence, style, ring) => {
  const text = `Head\nR1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4-R12: sc around\n${sentence}`;
  const part = analyseToy(text).parts[0]!;
  expect(part.eyes!.rule.style).toBe(style ?? null);
  expect(part.eyes!.rule.ring).toEqual(ring);
  const moved = applyEdits(text, [
    writeRule(part.source, 'eyes', { ...part.eyes!.rule, vertical: { by: 'gap', gap: [7, 8] } }),
  ]);
  expect(analyseToy(moved).parts[0]!.eyes!.rule).toEqual({
    ...part.eyes!.rule,
    vertical: { by: 'gap', gap: [7, 8] },
  });
});
