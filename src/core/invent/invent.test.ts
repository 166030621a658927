import * as fc from 'fast-check';
import { analyseToy } from '../toy/analyse';
import { sizeOfPart } from '../toy/stuffedPart';
import { canBeColour, mannerIn, tapsIn, withRoundDone, withTaps } from './soFar';
import { plainToEnd, roundWords, sameToEnd, tapWords, workedBy, type RoundManner, type Tap } from './taps';
import { countsBack, waysOn, withRounds } from './waysOn';

const [p, m, f] = ['plain', 'more', 'fewer'] as const;
const many = (tap: Tap, times: number) => Array.from({ length: times }, () => tap);
const ring = 'Head:\nR1: 6 sc in magic ring [6]\n';
const partOf = (text: string) => analyseToy(text).parts[0]!;

// Worked out by hand.
test.each<[Tap[], number, string]>([
  [many(p, 6), 0, '6 sc in magic ring'],
  [many(m, 6), 6, 'inc around'],
  [many(p, 12), 12, 'sc around'],
  [[p, m, p, m, p, m], 6, '(sc, inc) x 3'],
  [[p, p, p, m, p, p, p, m], 8, '(sc 3, inc) x 2'],
  [[p, p, f, f, p, m, m, m], 10, 'sc 2, dec x 2, sc, inc x 3'],
  [[p, p, p, p, p, m], 6, 'sc 5, inc'],
  [many(m, 6), 9, 'inc x 6'],
])('%j over %i is %s', (taps, below, words) => {
  expect(roundWords(taps, below)).toBe(words);
});

test('the same to the end, where it comes out even; plain to the end', () => {
  expect(tapWords(sameToEnd([p, p, m], 12)!)).toBe('(sc 2, inc) x 4');
  expect(sameToEnd([p, p, m], 13)).toBeNull();
  expect(sameToEnd([], 12)).toBeNull();
  expect(tapWords(plainToEnd([m, f], 12))).toBe('inc, dec, sc 9');
});

const tap = fc.constantFrom<Tap>('plain', 'more', 'fewer');

test('any taps are read back as they were worked', () => {
  fc.assert(
    fc.property(fc.array(tap, { minLength: 1, maxLength: 60 }), (taps) => {
      const { used, made } = workedBy(taps);
      fc.pre(used >= 3 && made >= 3);
      const text = `Head:\nR1: ${used} sc in magic ring [${used}]\n`;
      const done = withRoundDone(text, partOf(text).source, { taps, below: used, count: made, word: 'sc' });
      const [, check] = partOf(done).checks;
      expect(check).toMatchObject({ worked: made, used, ok: true });
    }),
  );
});

test('what is tapped outlives the text being read again, and counts for nothing', () => {
  fc.assert(
    fc.property(fc.array(tap, { maxLength: 40 }), fc.array(tap, { maxLength: 40 }), (first, then) => {
      const others = '\nBody:\nR1: 6 sc in magic ring [6]\n';
      const begun = withTaps(ring + others, partOf(ring + others).source, first);
      expect(tapsIn(begun, partOf(begun).source)).toEqual(first);
      expect(analyseToy(begun).parts.map(({ checks }) => checks.length)).toEqual([1, 1]);
      const next = withTaps(begun, partOf(begun).source, then);
      expect(tapsIn(next, partOf(next).source)).toEqual(then);
      expect(withTaps(next, partOf(next).source, [])).toBe(ring + others);
    }),
  );
});

test('what was tapped of a round that is written by hand since is of no other round', () => {
  const begun = withTaps(ring, partOf(ring).source, [p, m, p]);
  const written = begun.replace(
    'R1: 6 sc in magic ring [6]',
    'R1: 6 sc in magic ring [6]\nR2: inc around [12]',
  );
  expect(written).toContain('// R2 so far');
  expect(tapsIn(written, partOf(written).source)).toEqual([]);
  const next = withTaps(written, partOf(written).source, [p]);
  expect(next.match(/so far/g)).toHaveLength(1);
  expect(tapsIn(next, partOf(next).source)).toEqual([p]);
});

test('a first round, and the next behind it, in UK words', () => {
  const begun = withTaps('Terms: UK\n\nHead:\n', partOf('Terms: UK\n\nHead:\n').source, many(p, 6));
  const one = withRoundDone(begun, partOf(begun).source, {
    taps: many(p, 6),
    below: 0,
    count: 6,
    word: 'dc',
  });
  expect(one).toBe('Terms: UK\n\nHead:\nR1: 6 dc in magic ring [6]\n');
  const two = withRoundDone(one, partOf(one).source, { taps: many(m, 6), below: 6, count: 12, word: 'dc' });
  expect(two).toContain('R2: inc around [12]');
  expect(partOf(two).checks.map(({ worked }) => worked)).toEqual([6, 12]);
});

test.each([
  [
    [6, 12, 18, 24, 24],
    [18, 12, 6],
  ],
  [
    [6, 12, 12, 18],
    [12, 12, 6],
  ],
  [
    [6, 12, 18, 24, 18],
    [12, 6],
  ],
  [[6, 12, 18, 12, 18], []],
  [[6], []],
])('back in from %j is %j', (counts, back) => {
  expect(countsBack(counts)).toEqual(back);
});

describe('ways on', () => {
  const head = `Gauge: 5 mm x 4.5 mm\n\nHead:\nR1: 6 sc in magic ring [6]\nR2: inc around [12]\nR3: (sc, inc) x 6 [18]\nR4: (sc 2, inc) x 6 [24]\n`;
  const body =
    '\nBody:\nR1: 6 sc in magic ring [6]\nR2: inc around [12]\nR3: (sc, inc) x 6 [18]\nR4: sc around [18]\n';
  const waysOf = (text: string) => {
    const toy = analyseToy(text);
    return waysOn(toy, toy.parts[0]!);
  };
  const kinds = (text: string) => waysOf(text).map(({ kind }) => kind);

  test('the step again, plain, as a ball, back as it came, to the edge of another', () => {
    expect(kinds(head + body)).toEqual(['again', 'plain', 'ball', 'back', 'edge']);
    const [again, , , back, edge] = waysOf(head + body);
    expect(again?.rounds).toEqual([{ body: '(sc 3, inc) x 6', count: 30 }]);
    expect(back?.rounds.map(({ count }) => count)).toEqual([18, 12, 6]);
    expect(edge).toMatchObject({ part: 'Body', rounds: [{ body: '(sc 2, dec) x 6', count: 18 }] });
  });

  test('as a ball it is as high as wide: a plain round more or fewer is further from it', () => {
    const ball = waysOf(head).find(({ kind }) => kind === 'ball')!;
    const off = (rounds: typeof ball.rounds) => {
      const text = withRounds(head, partOf(head).source, rounds, 'sc');
      const { checks } = partOf(text);
      expect(checks.every(({ ok }) => ok)).toBe(true);
      const { widthMm, heightMm } = sizeOfPart(partOf(text));
      return Math.abs(1 - heightMm / widthMm);
    };
    const plain = ball.rounds[0]!;
    expect(plain).toEqual({ body: 'sc around', count: 24 });
    expect(off(ball.rounds)).toBeLessThanOrEqual(off([plain, ...ball.rounds]));
    expect(off(ball.rounds)).toBeLessThanOrEqual(off(ball.rounds.slice(1)));
  });

  test('written, rounds alike stand in one line', () => {
    const rounds = [
      ...Array.from({ length: 4 }, () => ({ body: 'sc around', count: 24 })),
      { body: '(sc 2, dec) x 6', count: 18 },
    ];
    expect(withRounds(head, partOf(head).source, rounds, 'sc')).toBe(
      `${head}R5-R8: sc around [24]\nR9: (sc 2, dec) x 6 [18]\n`,
    );
  });

  test('none where a round does not add up, or the piece is worked in rows', () => {
    expect(kinds('Head:\nR1: 6 sc in magic ring [6]\nR2: inc around [13]\n')).toEqual([]);
    expect(kinds('Bib:\nRow 1: ch 7, sc in 2nd ch from hook and in each ch across [6]\n')).toEqual([]);
    expect(kinds('Head:\n')).toEqual([]);
  });
});

describe('loops, colours and rows', () => {
  const done = (text: string, taps: Tap[], below: number) =>
    withRoundDone(text, partOf(text).source, { taps, below, count: workedBy(taps).made, word: 'sc' });
  const saying = (text: string, manner: Partial<RoundManner>) =>
    withTaps(text, partOf(text).source, tapsIn(text, partOf(text).source), {
      ...mannerIn(text, partOf(text).source),
      ...manner,
    });

  test('a round into the back loops in another colour: read back so, and the next goes on in it', () => {
    const said = saying(saying(ring, { loops: 'back' }), { colour: 'moss' });
    expect(said).toContain('// R2 so far: back loops, in moss');
    expect(mannerIn(said, partOf(said).source)).toEqual({ loops: 'back', colour: 'moss', rows: false });
    const tapped = withTaps(said, partOf(said).source, many(m, 6));
    const two = done(tapped, many(m, 6), 6);
    expect(two).toContain('R2: change to moss, BLO inc around [12]');
    const three = done(two, many(p, 12), 12);
    expect(three).not.toContain('so far');
    const { fabric, problems, checks } = partOf(three);
    expect(problems).toEqual([]);
    expect(checks.map(({ worked }) => worked)).toEqual([6, 12, 12]);
    const colourOf = (round: number) => fabric.palette[fabric.colour[fabric.offset[round - 1]!]!];
    expect([1, 2, 3].map(colourOf)).toEqual(['', 'moss', 'moss']);
    expect(fabric.into[fabric.offset[1]!]).not.toBe(fabric.into[fabric.offset[2]!]);
  });

  test.each(['2', 'dec', 'sc', 'white, inc x 3', '', '(', 'x'.repeat(41), 'BLO', '*', 'moss; repeat'])(
    '%s is no colour to change to',
    (name) => expect(canBeColour(name)).toBe(false),
  );
  test.each(['moss', 'Old rose', 'dark green', 'A'])('%s is one', (name) =>
    expect(canBeColour(name)).toBe(true),
  );

  test('what was said of a round can be taken back', () => {
    const said = saying(ring, { loops: 'front' });
    expect(saying(said, { loops: null })).toBe(ring);
  });

  test('a piece to and fro: a chain for the first row, turned before each other', () => {
    const begun = saying('Scarf:\n', { rows: true });
    expect(mannerIn(begun, partOf(begun).source).rows).toBe(true);
    const one = done(withTaps(begun, partOf(begun).source, many(p, 8)), many(p, 8), 0);
    expect(one).toBe('Scarf:\nRow 1: ch 9, sc in 2nd ch from hook and in each ch across [8]\n');
    expect(mannerIn(one, partOf(one).source).rows).toBe(true);
    const two = done(one, many(p, 8), 8);
    const three = done(two, [f, p, p, p, p, f], 8);
    expect(three).toContain('Row 2: ch 1, turn, sc across [8]\nRow 3: ch 1, turn, dec, sc 4, dec [6]\n');
    const part = partOf(three);
    expect([...part.fabric.row]).toEqual([1, 1, 1]);
    expect(part.checks.map(({ worked, ok }) => [worked, ok])).toEqual([
      [8, true],
      [8, true],
      [6, true],
    ]);
  });

  test('any taps in any manner are counted as they were worked', () => {
    fc.assert(
      fc.property(
        fc.array(tap, { minLength: 2, maxLength: 40 }),
        fc.constantFrom(null, 'front' as const, 'back' as const),
        fc.constantFrom(null, 'moss', 'old rose', 'MC', 'A', 'sage green 2'),
        fc.boolean(),
        (taps, loops, colour, rows) => {
          const { used, made } = workedBy(taps);
          fc.pre(used >= 3 && made >= 3 && (colour === null || canBeColour(colour)));
          const first = rows
            ? `Row 1: ch ${used + 1}, sc in 2nd ch from hook and in each ch across [${used}]`
            : `R1: ${used} sc in magic ring [${used}]`;
          const text = saying(`Head:\n${first}\n`, { loops, colour });
          const [, check] = partOf(done(text, taps, used)).checks;
          expect(check).toMatchObject({ worked: made, used, ok: true });
        },
      ),
    );
  });
});
