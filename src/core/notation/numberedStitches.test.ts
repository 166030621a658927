import { analyseToy } from '../toy/analyse';

const third = (round: string) => {
  const toy = analyseToy(`Terms: US\n\nBody\nR1: 6 sc in mr\nR2: inc x 6\nR3: ${round}\n`);
  const [, , check] = toy.parts[0]!.checks;
  return { count: check!.worked, kinds: toy.problems.map(({ code }) => code) };
};

// Of twelve stitches; one more for each that is named.
test.each([
  ['inc in stitches 2, 4, 6, 8', 16],
  ['inc in stitches 3, 6, 9, 12, sc in all others', 16],
  ['sc around with inc in sts 3, 6, 9 and 12', 16],
  ['sc in every stitch, but inc in the 4th, 8th and 12th', 15],
  ['sc around with increases in the 3rd, 6th, 9th and 12th stitches (16)', 16],
  ['inc in the 1st and 7th st', 14],
  ['sc around, inc in the 4th st', 13],
  ['hdc around, inc in the 4th and 8th st', 14],
])('an increase in each that is named: %s', (round, count) => {
  expect(third(round)).toEqual({ count, kinds: [] });
});

test('they stand where they are named', () => {
  const toy = analyseToy(
    'Terms: US\n\nBody\nR1: 6 sc in mr\nR2: inc x 6\nR3: sc in every stitch, but inc in the 4th, 8th and 12th\n',
  );
  const { fabric } = toy.parts[0]!;
  const begun = fabric.offset[2]!;
  const parents = Array.from(
    { length: 15 },
    (_, i) => fabric.parentFirst[begun + i]! - fabric.offset[1]! + 1,
  );
  const doubled = parents.filter((parent, i) => parents[i + 1] === parent);
  expect(doubled).toEqual([4, 8, 12]);
});

test('all of them are the stitch that is said', () => {
  const made = (round: string) => {
    const toy = analyseToy(`Terms: US\n\nBody\nR1: 6 sc in mr\nR2: inc x 6\nR3: ${round}\n`);
    const { fabric } = toy.parts[0]!;
    return new Set(fabric.kind.slice(fabric.offset[2], fabric.offset[3]));
  };
  expect(made('hdc around, inc in the 4th and 8th st')).toEqual(made('hdc around'));
  expect(made('hdc around')).not.toEqual(made('sc around'));
});

test('in UK terms the plain stitch is theirs', () => {
  const toy = analyseToy(
    'Terms: UK\n\nBody\nR1: 6 dc in mr\nR2: inc x 6\nR3: dc around, inc in the 4th, 8th and 12th st\n',
  );
  expect([toy.parts[0]!.checks.at(-1)!.worked, toy.problems.length]).toEqual([15, 0]);
});

test('beside other work, where the numbers may count from there, it is told', () => {
  expect(third('sc 2, inc in the 3rd and 4th st, sc 8').kinds).not.toEqual([]);
});

test.each(['sc around, inc in the 8th and 4th st', 'sc around, dec in the 4th and 8th st'])(
  'what has no order, or does not say which two go together, is asked: %s',
  (round) => {
    expect(third(round).kinds).toContain('unknown-stitch');
  },
);

test.each([
  'sc around, stop 2 before the end',
  'sc halfway around',
  'sc around except the last 3',
  'sc around, plus one more',
])('words that take or add stitches and are not read are told: %s', (round) => {
  expect(third(round).kinds).toContain('unknown-stitch');
});

test.each(['sc around, loosely', 'sc around, leaving a long tail', 'sc around and stuff as you go'])(
  'other words beside the work are none: %s',
  (round) => {
    expect(third(round)).toEqual({ count: 12, kinds: [] });
  },
);

test.each([
  ['sc around leaving the last 3 unworked', 9],
  ['sc around, leave the last 2 sts unworked', 10],
  ['(sc, inc) around, leaving the last 2 unworked', 15],
])('what is left at the end is left: %s', (round, count) => {
  expect(third(round)).toEqual({ count, kinds: [] });
});
