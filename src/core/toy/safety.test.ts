import * as fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { applyEdits } from '../notation/applyEdits';
import { audiences, audienceWords, readAudience, type Audience } from '../safety/audience';
import { reinforceJoin } from '../safety/reinforce';
import { changedRules, readRuleBook, shippedRules, writeRuleBook } from '../safety/ruleBook';
import { analyseToy } from './analyse';
import { safetyOf } from './safetyOf';

const head = (rounds: string[], ...more: string[]) =>
  ['Gauge: 5 mm x 4 mm', 'Head', ...rounds, ...more].join('\n');
const ball = [
  'R1: 6 sc in ring',
  'R2: inc x 6',
  'R3: (sc, inc) x 6',
  'R4: (2 sc, inc) x 6',
  'R5: (3 sc, inc) x 6',
  'R6: (4 sc, inc) x 6',
  'R7-R13: sc around',
  'R14: (4 sc, dec) x 6',
  'R15: (3 sc, dec) x 6',
  'R16: (2 sc, dec) x 6',
  'R17: (sc, dec) x 6',
  'R18: dec x 6',
];
const eyes = 'Insert 9 mm safety eyes between R9 and R10, 6 showing.';
const found = (text: string) =>
  safetyOf(analyseToy(text)).findings.map(({ code, severity }) => `${severity[0]} ${code}`);
const forWhom = (who: string, text: string) => `For: ${who}\n${text}`;
// A flat ear of 12 stitches is 19 mm wide and some 16 high: it goes into the cylinder of 31.7 by 57.1 mm.
const ear =
  '\n\nEar (make 2)\nR1: 6 sc in ring\nR2: inc x 6\nR3-R4: sc around\nDo not stuff.\nSew the ears to the head on round 5, one on each side.';

// What screening finds, by hand: e stops it, w to look at, i told.
test.each<[string, string, string[]]>([
  ['a plain ball for a child of three', forWhom('3 and over', head(ball)), []],
  ['the same for a baby', forWhom('babies', head(ball)), []],
  ['a ball nobody has said for whom', head(ball), ['i audience-unknown']],
  ['pressed eyes under three', forWhom('under 3', head(ball, eyes)), ['e pressed-part']],
  ['pressed eyes from three on', forWhom('3 and over', head(ball, eyes)), ['w pressed-part']],
  ['pressed eyes on a keepsake', forWhom('keepsake', head(ball, eyes)), ['i pressed-part']],
  ['pressed eyes for a dog', forWhom('a dog', head(ball, eyes)), ['e pressed-part']],
  [
    'embroidered eyes under three',
    forWhom('under 3', head(ball, 'Eyes: 8 mm, embroidered, between R9 and R10, 6 showing.')),
    [],
  ],
  [
    'a pressed nose besides',
    forWhom('under 3', head(ball, eyes, 'Insert a 10 mm safety nose between R11 and R12.')),
    ['e pressed-part', 'e pressed-part'],
  ],
  [
    'an embroidered nose',
    forWhom('under 3', head(ball, 'Nose: between R11 and R12, 3 stitches wide, satin stitch.')),
    [],
  ],
  [
    'a button',
    forWhom('under 3', head(ball, 'Sew a 12 mm button between R12 and R13 on the front.')),
    ['e button'],
  ],
  [
    'a button from three on',
    forWhom('3+', head(ball, 'Sew a 12 mm button between R12 and R13 on the front.')),
    ['w button'],
  ],
  ['beads in the words', forWhom('under 3', head(ball, 'The eyes are beads.')), ['e button']],
  ['a key ring', forWhom('3 and over', head(ball, 'Key ring through the start.')), ['w key-ring']],
  [
    'a key ring on a baby’s toy',
    forWhom('under 3', head(ball, 'Key ring through the start.')),
    ['e key-ring'],
  ],
  ['glue', forWhom('under 3', head(ball, 'Glue the cheeks on.')), ['e glue']],
  ['glue on a keepsake', forWhom('an adult', head(ball, 'The hat is glued on.')), ['i glue']],
  ['no glue', forWhom('under 3', head(ball, 'Do not use glue.')), []],
  ['wire', forWhom('3 and over', head(ball, 'Put a wire into the neck.')), ['e wire']],
  [
    'a pipe cleaner on a keepsake',
    forWhom('display', head(ball, 'A pipe cleaner holds the arm.')),
    ['i wire'],
  ],
  ['a magnet', forWhom('3 and over', head(ball, 'A magnet goes into the paw.')), ['e magnet']],
  ['a rattle', forWhom('under 3', head(ball, 'Put a rattle inside.')), ['w rattle']],
  ['fur', forWhom('under 3', `Yarn A: faux fur, brown\n${head(ball)}`), ['w long-pile']],
  ['a hanging loop', forWhom('3 and over', head(ball, 'Make a hanging loop at the top.')), ['w loop-size']],
  ['left open and stuffed', forWhom('3 and over', head(ball.slice(0, 9))), ['e opening-left']],
  ['left open and empty', forWhom('3 and over', head(ball.slice(0, 9), 'Do not stuff.')), []],
  ['gathered with twelve', forWhom('3 and over', head(ball.slice(0, 11))), ['w gather-hole']],
  ['gathered with twelve on a keepsake', forWhom('keepsake', head(ball.slice(0, 11))), ['i gather-hole']],
  ['small ears on a baby’s toy', forWhom('under 3', head(ball) + ear), ['w small-part']],
  ['small ears from three on', forWhom('3 and over', head(ball) + ear), ['i small-part']],
  ['small ears on a keepsake', forWhom('keepsake', head(ball) + ear), []],
  // Eighteen stitches are 28.6 mm wide: the whole toy is small.
  [
    'a tiny toy',
    forWhom(
      'under 3',
      head([
        'R1: 6 sc in ring',
        'R2: inc x 6',
        'R3: (sc, inc) x 6',
        'R4-R5: sc around',
        'R6: (sc, dec) x 6',
        'R7: dec x 6',
      ]),
    ),
    ['e small-toy'],
  ],
  [
    'a tiny toy from three on',
    forWhom(
      '3 and over',
      head([
        'R1: 6 sc in ring',
        'R2: inc x 6',
        'R3: (sc, inc) x 6',
        'R4-R5: sc around',
        'R6: (sc, dec) x 6',
        'R7: dec x 6',
      ]),
    ),
    ['w small-toy'],
  ],
  [
    'a tail of four stitches: thin, small',
    forWhom(
      '3 and over',
      `${head(ball)}\n\nTail\nR1: 4 sc in ring\nR2-R6: sc around\nDo not stuff.\nSew the tail to the head on round 12 at the back.`,
    ),
    ['w thin-join', 'i small-part'],
  ],
  // Sixty chains of 5 mm are 300 mm.
  [
    'a chain of sixty with a row along it',
    forWhom(
      'under 3',
      'Gauge: 5 mm x 4 mm\nCord\nRow 1: ch 61, sc in 2nd ch from hook and in each ch across',
    ),
    ['e cord-length'],
  ],
  [
    'a chain of forty: 200 mm',
    forWhom(
      'under 3',
      'Gauge: 5 mm x 4 mm\nCord\nRow 1: ch 41, sc in 2nd ch from hook and in each ch across',
    ),
    [],
  ],
  ['hair', forWhom('under 3', head(ball, 'Hair: along R3.')), ['e strands']],
  [
    'felt cheeks',
    forWhom(
      'under 3',
      head(
        ball,
        'Eyes: 8 mm, embroidered, between R9 and R10, 6 showing.',
        'Cheeks: felt, 10 mm, 2 rounds below the eyes.',
      ),
    ),
    ['w sewn-on'],
  ],
  [
    'stuffing shows: 7 mm stitches of a medium yarn',
    forWhom('3 and over', `Yarn A: medium, grey\n${head(ball).replace('5 mm x 4', '7 mm x 6')}`),
    ['w stuffing-shows'],
  ],
  [
    '7 mm stitches of a yarn nobody named',
    forWhom('3 and over', head(ball).replace('5 mm x 4', '7 mm x 6')),
    [],
  ],
])('%s', (_, text, expected) => {
  expect(found(text).sort()).toEqual([...expected].sort());
});

test.each<[string, Audience | null]>([
  ['under 3', 'under-3'],
  ['under three', 'under-3'],
  ['a newborn', 'under-3'],
  ['6-18 months', 'under-3'],
  ['ages 1-2', 'under-3'],
  ['3+', '3-and-over'],
  ['3 and over', '3-and-over'],
  ['ages 3 and up', '3-and-over'],
  ['5 years', '3-and-over'],
  ['2 years and older', 'under-3'],
  ['keepsake', 'keepsake'],
  ['my cat', 'pet'],
  ['adults', 'keepsake'],
  ['my niece', '3-and-over'],
  ['', null],
  ['the fair', null],
])('For: %s means %s', (line, audience) => {
  expect(readAudience(line)).toBe(audience);
});

test('each audience is read from the words it is written in', () => {
  for (const audience of audiences) expect(readAudience(audienceWords[audience])).toBe(audience);
});

test('the owl for babies passes; with safety eyes it is stopped, and the embroidered ones go to the same holes', () => {
  const owl = readFileSync(resolve(__dirname, '../../../demo/owl.txt'), 'utf8');
  const isStopped = (text: string) =>
    safetyOf(analyseToy(text)).findings.some(({ severity }) => severity === 'error');
  expect(isStopped(owl)).toBe(false);
  const pressed = owl.replace('Embroider sleeping eyes', 'Insert 9 mm safety eyes');
  const { findings } = safetyOf(analyseToy(pressed));
  const [stop] = findings.filter(({ severity }) => severity === 'error');
  expect(stop).toMatchObject({ code: 'pressed-part', feature: 'eyes' });
  const mended = applyEdits(pressed, stop!.remedy.edits!);
  expect(isStopped(mended)).toBe(false);
  const holes = (text: string) =>
    analyseToy(text)
      .parts[0]!.features.find(({ kind }) => kind === 'eyes')!
      .units.map(({ fromLine, fromAzimuth, toAzimuth }) => [
        fromLine,
        Math.round(((fromAzimuth + toAzimuth) / 2) * 5),
      ]);
  expect(holes(mended)).toEqual(holes(pressed));
});

test('an embroidered eye in place of a pressed one clears the finding and raises none as serious', () => {
  const sizes = fc.constantFrom(6, 8, 9, 12);
  fc.assert(
    fc.property(
      sizes,
      fc.integer({ min: 8, max: 11 }),
      fc.integer({ min: 4, max: 8 }),
      (size, round, showing) => {
        const text = forWhom(
          'under 3',
          head(
            ball,
            `Insert ${size} mm safety eyes between R${round} and R${round + 1}, ${showing} showing.`,
          ),
        );
        const stops = (of: string) =>
          safetyOf(analyseToy(of)).findings.filter(({ severity }) => severity === 'error');
        const [stop] = stops(text);
        expect(stop?.code).toBe('pressed-part');
        const mended = applyEdits(text, stop!.remedy.edits!);
        expect(stops(mended)).toEqual([]);
        const gap = (of: string) =>
          analyseToy(of).parts[0]!.features.find(({ kind }) => kind === 'eyes')?.gap;
        expect(gap(mended)).toEqual([round, round + 1]);
      },
    ),
    { numRuns: 25 },
  );
});

test('a rule book: written, read, what differs is told; a broken one is refused with its place', () => {
  const stricter = structuredClone(shippedRules);
  stricter.figures.cordMm = 150;
  stricter.rules.button.weights['3-and-over'] = 'stop';
  const read = readRuleBook(writeRuleBook(stricter));
  expect(read).toEqual({ ok: true, book: stricter });
  expect(changedRules(stricter)).toEqual(['figures.cordMm', 'rules.button.weights.3-and-over']);
  expect(changedRules(shippedRules)).toEqual([]);
  const broken = readRuleBook(writeRuleBook(stricter).replace('"cordMm": 150', '"cordMm": -1'));
  expect(broken).toMatchObject({ ok: false, message: expect.stringContaining('cordMm') });
  expect(readRuleBook('{')).toMatchObject({ ok: false });
});

test.each<[string, string[]]>([
  ['Fill the base with plastic pellets.', ['e loose-filling']],
  ['Add weight beads in the bottom.', ['e button', 'e loose-filling']],
  ['Fill the feet with rice.', ['e loose-filling']],
  ['Tie a ribbon around the neck.', ['e cord-length']],
  ['Put a music box inside.', ['w rattle']],
  ['Use googly eyes.', ['e button']],
  // What only sounds like it.
  ['Yarn B: lavender', []],
  ['Yarn B: rice white, sand', []],
  ['Yarn B: cotton ribbon yarn', []],
  ['Do not use pellets.', []],
])('%s, for a baby', (said, codes) => {
  expect(found(forWhom('under 3', head(ball, said))).sort()).toEqual(codes);
});

test('a rule book kept before a rule was there is read, with that rule as it is shipped', () => {
  const older = JSON.parse(writeRuleBook(shippedRules)) as { rules: Record<string, unknown> };
  delete older.rules['loose-filling'];
  const read = readRuleBook(JSON.stringify(older));
  expect(read.ok && read.book).toEqual(shippedRules);
  delete older.rules.glue;
  expect(readRuleBook(JSON.stringify(older)).ok).toBe(false);
});

test('a stricter rule book finds what the shipped one lets pass', () => {
  const cord = forWhom(
    'under 3',
    'Gauge: 5 mm x 4 mm\nCord\nRow 1: ch 41, sc in 2nd ch from hook and in each ch across',
  );
  const stricter = { ...shippedRules, figures: { ...shippedRules.figures, cordMm: 150 } };
  expect(safetyOf(analyseToy(cord), stricter).findings.map(({ code }) => code)).toEqual(['cord-length']);
});

test('reinforcement: twice round for the smallest and for thin joins, no promise in its words', () => {
  const few = reinforceJoin({ stitches: 4, noSew: false }, '3-and-over', shippedRules);
  const usual = reinforceJoin({ stitches: 12, noSew: false }, '3-and-over', shippedRules);
  const small = reinforceJoin({ stitches: 12, noSew: false }, 'under-3', shippedRules);
  expect([few.how, small.how].every((how) => how.includes('twice round'))).toBe(true);
  expect(usual.how).toContain('once round');
  for (const { how, test: trial } of [few, usual, small])
    expect(`${how} ${trial}`).not.toMatch(/\b(safe|certif\w*|guarantee\w*|approved|meets)\b/i);
});
