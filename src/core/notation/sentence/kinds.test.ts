import * as fc from 'fast-check';
import { writeClose, type CloseSentence } from './close';
import { writeCut, type CutSentence } from './cut';
import { writeFold, type FoldSentence } from './fold';
import { isJoin, writeJoin, type JoinSentence, type PinSentence } from './join';
import { readJoinPlace, writeJoinPlace, type JoinPlace } from './joinPlace';
import {
  closeExamples,
  cutExamples,
  encloseExamples,
  foldExamples,
  joinExamples,
  reinforceExamples,
  stuffExamples,
  surfaceExamples,
} from './examples';
import { PartNames } from './names';
import { handOver } from './owners';
import { writeEnclose } from './enclose';
import { writeSurface } from './surface';
import { writeReinforce, type ReinforceSentence } from './reinforce';
import type { Sentence } from './sentence';
import { readSentences } from './readSentences';
import { writeStuff, type Portion, type StuffSentence } from './stuff';
import type { PartSource } from '../pattern';

const names = ['Head', 'Body', 'Ears', 'Arm', 'Legs', 'Tail'];
const partOf = (name: string): PartSource =>
  ({
    id: name.toLowerCase(),
    name,
    make: 2,
    line: 1,
    firstLine: 1,
    lastLine: 1,
    rounds: [],
    steps: [],
  }) as unknown as PartSource;

/** A sentence as it stands in a pattern that has these parts. */
function inPattern(text: string): Sentence[] {
  const parts = names.map(partOf);
  const [home] = parts;
  home!.steps = readSentences(text, 1);
  handOver(parts, []);
  return parts.flatMap(({ steps }) => steps);
}

const written = (sentence: Sentence): string => {
  switch (sentence.kind) {
    case 'stuff':
      return writeStuff(sentence);
    case 'close':
      return writeClose(sentence);
    case 'fold':
      return writeFold(sentence);
    case 'cut':
      return writeCut(sentence);
    case 'surface':
      return writeSurface(sentence);
    case 'enclose':
      return writeEnclose(sentence);
    case 'reinforce':
      return writeReinforce(sentence);
    case 'feature':
      throw new Error('features are written by their rules');
    default:
      return writeJoin(sentence);
  }
};

/** What a sentence says, without where it stands. */
function saying({
  text: _text,
  line: _line,
  whole: _whole,
  span: _span,
  on: _on,
  roundNumbers: _numbers,
  ...said
}: Sentence) {
  return said;
}

test.each([
  ...stuffExamples,
  ...closeExamples,
  ...foldExamples,
  ...cutExamples,
  ...joinExamples,
  ...reinforceExamples,
  ...encloseExamples,
  ...surfaceExamples,
])('%s', (text, expected) => {
  const [sentence, ...more] = inPattern(text);
  expect(more).toEqual([]);
  expect(sentence).toMatchObject(expected);
  // Written back it says the same.
  const [again] = inPattern(written(sentence!));
  expect(saying(again!)).toEqual(saying(sentence!));
});

test.each([
  ['Stitch the mouth twice on round 12.', 'feature'],
  ['Run the tail through the front loops twice and pull tight.', 'close'],
  ['Insert 9 mm safety eyes between R8 and R9 with felt behind the washers.', 'feature'],
  ['Sew the ears to the head on round 5, going around twice.', 'sew'],
  ['Reinforce the neck with more stuffing.', 'stuff'],
  ['Sew the hole shut, going over it twice.', 'close'],
  ['Stuff the ears and sew around them twice.', 'stuff reinforce'],
  ['Put felt behind the washers and stuff firmly.', 'stuff reinforce'],
  ['Fold it flat, sew it shut twice through both layers.', 'fold'],
  ['Weave the tail in twice and cut the yarn.', 'close'],
])('%s: %s', (text, kinds) => {
  expect(
    inPattern(text)
      .map(({ kind }) => kind)
      .join(' '),
  ).toBe(kinds);
});

const named = fc.constantFrom(null, { id: 'body', name: 'Body' }, { id: 'tail', name: 'Tail' });
const after = fc.option(fc.integer({ min: 1, max: 60 }), { nil: undefined });
const portion: fc.Arbitrary<Portion | null> = fc.oneof(
  fc.constant(null),
  fc.record({ by: fc.constant('end' as const), end: fc.constantFrom('upper' as const, 'lower' as const) }),
  fc.record({
    by: fc.constant('rounds' as const),
    rounds: fc.integer({ min: 2, max: 12 }),
    at: fc.constantFrom('first' as const, 'last' as const),
  }),
);
const unit = fc.record({
  name: fc.constantFrom('Ears', 'Arm', 'Legs', 'Tail'),
  count: fc.constantFrom(1, 2, 3, 'all' as const),
});
const stuffs = fc
  .record({ firmness: fc.constantFrom('light', 'medium', 'firm', null), portion, part: named, after })
  .map((said) => ({ kind: 'stuff', empty: null, ...said }) as StuffSentence);
const closes = fc
  .record({
    how: fc.constantFrom('gathered', 'sewn'),
    stitches: fc.option(fc.integer({ min: 3, max: 12 })),
    part: named,
    after,
  })
  .map((said) => ({ kind: 'close', ...said }) as CloseSentence);
const folds = fc
  .record({
    how: fc.constantFrom('folded', 'flattened', 'pinched'),
    shut: fc.boolean(),
    part: named,
  })
  .map((said) => ({ kind: 'fold', ...said }) as FoldSentence);
const cuts = fc
  .record({ tailMm: fc.option(fc.integer({ min: 5, max: 60 }).map((cm) => cm * 10)), part: named })
  .map((said) => ({ kind: 'cut', ...said }) as CutSentence);
const reinforcing = fc.oneof(
  fc.record({
    how: fc.constant('twice'),
    feature: fc.constant(null),
    discMm: fc.constant(null),
    part: named,
  }),
  fc.record({
    how: fc.constant('twice'),
    feature: fc.constantFrom('cheeks', 'bow', 'patch'),
    discMm: fc.constant(null),
    part: named,
  }),
  fc.record({
    how: fc.constant('backing'),
    feature: fc.constantFrom('eyes', 'nose'),
    discMm: fc.option(fc.integer({ min: 8, max: 60 })),
    part: named,
  }),
  fc.record({
    how: fc.constant('sewn-down'),
    feature: fc.constant(null),
    discMm: fc.constant(null),
    part: named,
  }),
);
const reinforces = reinforcing.map((said) => ({ kind: 'reinforce', ...said }) as ReinforceSentence);
const joins = fc
  .record({
    kind: fc.constantFrom('sew', 'nosew', 'pin'),
    parts: fc.uniqueArray(unit, { minLength: 1, maxLength: 2, selector: ({ name }) => name }),
    wall: fc.constantFrom('Head', 'Body'),
    round: fc.option(fc.integer({ min: 1, max: 60 }), { nil: undefined }),
    stitches: fc.option(
      fc.integer({ min: 1, max: 60 }).map((n) => [n]),
      { nil: undefined },
    ),
    back: fc.constantFrom(true, undefined),
    edge: fc.constantFrom('open', 'flattened', 'pinched', null),
    place: fc.oneof(
      fc.constant({}),
      fc.record({
        aside: fc.record({
          stitches: fc.integer({ min: 1, max: 9 }),
          of: fc.constantFrom('front', 'eyes'),
        }),
      }),
      fc.record({
        outFrom: fc.record({ rounds: fc.integer({ min: 1, max: 9 }), end: fc.constantFrom('start', 'end') }),
      }),
      fc.record({ around: fc.constantFrom('top', 'bottom', 'start', 'end') }),
      fc.record({ evenly: fc.constant(true) }),
    ),
  })
  .map(({ parts, wall, ...said }) => {
    const joined = [
      {
        parts: parts.map(({ name, count }) => ({ id: name.toLowerCase(), name, count, side: null })),
        wall: { id: wall.toLowerCase(), name: wall },
      },
    ];
    return { joined, ...said } as unknown as JoinSentence | PinSentence;
  });

test('whatever is written is read back to the same', () => {
  fc.assert(
    fc.property(fc.oneof(stuffs, closes, folds, cuts, joins, reinforces), (sentence: Sentence) => {
      const text = written(sentence);
      const [again, ...more] = inPattern(text);
      expect([text, more.length]).toEqual([text, 0]);
      const wanted = Object.fromEntries(Object.entries(sentence).filter(([, value]) => value !== undefined));
      expect([text, saying(again!)]).toEqual([text, wanted]);
    }),
    { numRuns: 400 },
  );
});

test('names of parts are words: one or many, to which, from how many, beside which', () => {
  const parts = new PartNames(['Front Leg', 'Ears', 'Body', 'Back'].map((name) => ({ id: name, name })));
  expect(
    parts.in('Sew both front legs to the body').map(({ id, count, isGoal }) => [id, count, isGoal]),
  ).toEqual([
    ['Front Leg', 2, false],
    ['Body', 1, true],
  ]);
  expect(parts.in('Spots on both sides of the leg')[0]).toMatchObject({ id: 'Front Leg', isBeside: true });
  expect(parts.in('Ears: sew on')[0]).toMatchObject({ id: 'Ears', opens: true });
  // A place is no part.
  expect(parts.in('On the back of it')).toEqual([]);
});

test('what joins goes by its names, also where it stands among another part’s lines', () => {
  const [join] = inPattern('Sew the ears to the head, the arm and the legs to the body');
  expect(
    join && isJoin(join) && join.joined.map(({ parts, wall }) => [parts.map(({ id }) => id), wall?.id]),
  ).toEqual([
    [['ears'], 'head'],
    [['arm', 'legs'], 'body'],
  ]);
});

test.each([
  ['Foot', 'the feet'],
  ['Antenna', 'both antennae'],
  ['Wings', 'the wing'],
  ['Leaf', 'two leaves'],
  ['Hoof', 'the hooves'],
  ['Dress', 'the dress'],
])('%s is called %s, too', (name, said) => {
  const names = new PartNames([{ id: 'one', name }]);
  expect(names.in(`Sew ${said} to something, constructor and all`).map(({ id }) => id)).toEqual(['one']);
});

test.each<JoinPlace>([
  { off: { direction: 'below', rounds: 2 } },
  { off: { direction: 'above', rounds: null } },
  { byEdge: 'upper' },
  { byEdge: 'lower', front: true },
])('a place beside a round is written and read back: %j', (place) => {
  const said = `Sew the tail to the body on round 8, ${writeJoinPlace(place).join(', ')}.`;
  expect(readJoinPlace(said, []).place).toEqual(place);
});
