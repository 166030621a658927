import * as fc from 'fast-check';
import { analyseToy } from '../analyse';
import { inOtherColour, type OtherColour } from './otherColour';
import { suppliesOf } from './suppliesOf';

const yarns = ['Gauge: 5 mm x 4 mm', 'Yarn A: medium, grey', 'Yarn B: medium, oat'];
/** Every round by itself, so that any of them can be worked in another colour. */
const ball = (plain: number): string[] => [
  '6 sc in magic ring',
  'inc x 6',
  '(sc, inc) x 6',
  '(sc 2, inc) x 6',
  ...Array.from({ length: plain }, () => 'sc around'),
  '(sc 2, dec) x 6',
  '(sc, dec) x 6',
  'dec x 6',
];
const ear = ['6 sc in magic ring', 'inc x 6', 'sc around', 'sc around'];

interface Piece {
  name: string;
  make: number;
  rounds: string[];
}
const pieces: readonly Piece[] = [
  { name: 'Body', make: 1, rounds: ball(8) },
  { name: 'Left Ear', make: 1, rounds: ear },
  { name: 'Right Ear', make: 1, rounds: ear },
  { name: 'Leg', make: 2, rounds: ear.slice(0, 3) },
];

/** The toy in A, but for some rounds of some pieces, which are in B. */
function written(some: readonly Piece[], isOther: (name: string, round: number) => boolean): string {
  const lines = some.flatMap(({ name, make, rounds }) => [
    '',
    `${name} (make ${make})`,
    ...rounds.flatMap((round, i) => {
      const inOther = isOther(name, i + 1);
      const changes = i === 0 || inOther !== isOther(name, i);
      return [...(changes ? [`change to ${inOther ? 'B' : 'A'}`] : []), `R${i + 1}: ${round}`];
    }),
  ]);
  return [...yarns, ...lines].join('\n');
}

const toyOf = (some: readonly Piece[]) => analyseToy(written(some, () => false));
const metresOf = (text: string, yarn: string): number =>
  suppliesOf(analyseToy(text)).yarns.find(({ name }) => name === yarn)?.metres ?? 0;
const names = ({ parts }: OtherColour) => parts.map(({ name, make }) => `${make} ${name}`);

/** What is proposed, done to the text: what both yarns then come to. */
function done(some: readonly Piece[], { parts, rounds }: OtherColour) {
  const isOther = (name: string, round: number) =>
    parts.some((part) => part.name === name) && (!rounds || (round >= rounds[0] && round <= rounds[1]));
  const text = written(some, isOther);
  return { ofThis: metresOf(text, 'A'), ofOther: metresOf(text, 'B') };
}

const all = metresOf(
  written(pieces, () => false),
  'A',
);
const ofOnly = (name: string): number =>
  metresOf(
    written(pieces, () => false),
    'A',
  ) -
  metresOf(
    written(pieces, (one) => one === name),
    'A',
  );
const missing = (metres: number) => inOtherColour(toyOf(pieces), 'A', all - metres);

test('where the yarn lasts, nothing', () => {
  expect(inOtherColour(toyOf(pieces), 'A', all)).toEqual([]);
  expect(inOtherColour(toyOf(pieces), 'A', all + 5)).toEqual([]);
  expect(inOtherColour(toyOf(pieces), 'B', 0)).toEqual([]);
});

test('the smallest kind of piece that is enough: both ears go together, and both legs', () => {
  const [ears, legs] = [2 * ofOnly('Left Ear'), ofOnly('Leg')];
  expect(legs).toBeLessThan(ears);
  expect(names(missing(legs - 0.01)[0]!)).toEqual(['2 Leg']);
  expect(names(missing(legs + 0.01)[0]!)).toEqual(['1 Left Ear', '1 Right Ear']);
  expect(names(missing(ears + 0.01)[0]!)).toEqual(['1 Body']);
});

test('where one kind is not enough, as few together as are', () => {
  const [body, legs] = [ofOnly('Body'), ofOnly('Leg')];
  expect(names(missing(body + 0.01)[0]!)).toEqual(['1 Body', '2 Leg']);
  expect(names(missing(body + legs + 0.01)[0]!)).toEqual(['1 Body', '1 Left Ear', '1 Right Ear']);
});

test('of very many kinds the largest go first, and something is always left of this colour', () => {
  const letters = [...'abcdefghijklmnopqrst'];
  const many = letters.map((letter, i) => ({
    name: `Piece ${letter}${letter}`,
    make: 1,
    rounds: ball(i % 5),
  }));
  const whole = metresOf(
    written(many, () => false),
    'A',
  );
  const [way] = inOtherColour(toyOf(many), 'A', whole * 0.2);
  expect(way!.parts.length).toBeGreaterThan(12);
  const { ofThis, ofOther } = done(many, way!);
  expect(ofThis).toBeLessThanOrEqual(whole * 0.2);
  expect(ofOther).toBeCloseTo(way!.otherM, 6);
});

test('a toy of one piece has a stripe only, of at most half its rounds', () => {
  const one = pieces.slice(0, 1);
  const whole = metresOf(
    written(one, () => false),
    'A',
  );
  const [stripe, ...others] = inOtherColour(toyOf(one), 'A', whole - 1.5);
  expect(others).toEqual([]);
  // A round of 24 takes 0.62 m.
  expect(stripe).toMatchObject({ isRows: false, parts: [{ name: 'Body', make: 1 }] });
  const [from, to] = stripe!.rounds!;
  expect(to - from + 1).toBe(3);
  expect(inOtherColour(toyOf(one), 'A', whole / 10)).toEqual([]);
});

test('what is proposed is enough, and takes and leaves what it says: the text is worked out with it', () => {
  const some = fc
    .array(
      fc.record({
        name: fc.constantFrom('Body', 'Head', 'Left Ear', 'Right Ear', 'Tail', 'Front Leg'),
        make: fc.integer({ min: 1, max: 3 }),
        rounds: fc.oneof(fc.integer({ min: 0, max: 9 }).map(ball), fc.constant(ear)),
      }),
      { minLength: 1, maxLength: 4 },
    )
    .filter((list) => new Set(list.map(({ name }) => name)).size === list.length);
  let proposed = 0;
  fc.assert(
    fc.property(some, fc.double({ min: 0.4, max: 0.99, noNaN: true }), (list, share) => {
      const there =
        metresOf(
          written(list, () => false),
          'A',
        ) * share;
      for (const way of inOtherColour(toyOf(list), 'A', there)) {
        proposed += 1;
        const { ofThis, ofOther } = done(list, way);
        expect(ofThis).toBeLessThanOrEqual(there + 1e-9);
        expect(there - ofThis).toBeCloseTo(way.leftM, 6);
        expect(ofOther).toBeCloseTo(way.otherM, 6);
      }
    }),
    { numRuns: 80 },
  );
  expect(proposed).toBeGreaterThan(20);
});

test('no shorter stripe is enough, in any piece', () => {
  const lost = 0.15 * all;
  const stripe = missing(lost).find(({ rounds }) => rounds !== null)!;
  const length = stripe.rounds![1] - stripe.rounds![0] + 1;
  for (const { name, rounds } of pieces)
    for (let from = 1; from + length - 2 <= rounds.length; from += 1) {
      const to = from + length - 2;
      if (to - from + 1 > rounds.length / 2) continue;
      const text = written(pieces, (one, round) => one === name && round >= from && round <= to);
      expect(metresOf(text, 'A')).toBeGreaterThan(all - lost);
    }
});
