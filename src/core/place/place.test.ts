import * as fc from 'fast-check';
import { applyEdits } from '../notation/applyEdits';
import { analyseToy } from '../toy/analyse';
import { direction } from './frame/direction';
import { ruleSentence, writeRule } from './rule/writeRule';
import { eyeAddress } from './words/directions';
import { holeAt } from './frame/holes';
import { apartOf, choosePair, showingOf } from './frame/pair';
import { seatHoles } from './frame/partForm';
import type { FeatureRule } from './rule/rule';
import { proposedEyes } from './rule/proposeRule';

const rounds = [
  'R1: 6 sc in ring',
  'R2: inc x 6',
  'R3: (sc, inc) x 6',
  'R4: (2 sc, inc) x 6',
  'R5: (3 sc, inc) x 6',
  'R6-R13: sc around',
  'R14: (3 sc, dec) x 6',
  'R15: (2 sc, dec) x 6',
  'R16: (sc, dec) x 6',
  'R17: dec x 6',
];
const head = (sentence: string, top = '', under = '') =>
  analyseToy(`Gauge: 5 mm x 5 mm\n${top}Head\n${under}${rounds.join('\n')}\n${sentence}`).parts[0]!;
const eyesOf = (sentence: string, top = '', under = '') => head(sentence, top, under).eyes!;
const posts = (sentence: string, top = '', under = '') =>
  eyesOf(sentence, top, under).units.map((post) => post.from);

describe('direction', () => {
  test.each([
    ['right', 'top', 'out', 1],
    ['right', 'top', 'in', -1],
    ['right', 'bottom', 'out', -1],
    ['right', 'bottom', 'in', 1],
    ['left', 'top', 'out', -1],
    ['left', 'top', 'in', 1],
    ['left', 'bottom', 'out', 1],
    ['left', 'bottom', 'in', -1],
  ] as const)('%s hand, start at the %s, %sside out: %i', (hand, start, side, dir) => {
    expect(direction({ hand, start, side })).toBe(dir);
  });

  test('changing the hand twice changes nothing, and once it swaps left and right', () => {
    const right = posts('Eyes: 9 mm, between R9 and R10, 5 showing');
    const left = posts('Eyes: 9 mm, between R9 and R10, 5 showing', 'Hand: left\n');
    expect(left).toEqual([...right].reverse());
    expect(posts('Eyes: 9 mm, between R9 and R10, 5 showing', '', 'Start: bottom\n')).toEqual(left);
    expect(posts('Eyes: 9 mm, between R9 and R10, 5 showing', 'Hand: left\n', 'Start: bottom\n')).toEqual(
      right,
    );
  });
});

describe('pairs', () => {
  test('no other pair of holes is nearer to the middle', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 60, noNaN: true }),
        fc.integer({ min: 1, max: 30 }),
        (middle, apart) => {
          const pair = choosePair(middle, apart);
          let best = Infinity;
          for (let a = -60; a <= 120; a += 1) best = Math.min(best, Math.abs(a + apart / 2 - middle));
          expect(Math.abs(pair.miss)).toBeLessThanOrEqual(best + 1e-9);
          expect(pair.b - pair.a).toBe(apart);
        },
      ),
    );
  });

  test('both readings of apart', () => {
    expect([showingOf(8, 'foot'), showingOf(8, 'split'), apartOf(7, 'foot'), apartOf(7, 'split')]).toEqual([
      7, 8, 8, 7,
    ]);
  });
});

describe('eyes', () => {
  // By hand, without lean: every round of 30 begins at the same place, hole i of gap 9|10 stands over the middle of stitch i, so at
  // (i - ½)·12°. The front is opposite the start, at 180°, hole 15.5. Six apart: a + 3 = 15.5, a = 12 or 13, each half a stitch off.
  test('holes worked out by hand, joined rounds', () => {
    const joined = 'Rounds: joined\n';
    const six = eyesOf('Eyes: 9 mm, between R9 and R10, 6 apart', 'Lean: 0\n', joined);
    expect(six.units.map((post) => post.from)).toEqual([12, 18]);
    expect(six.missStitches).toBeCloseTo(-0.5, 6);
    expect(six.problems.map((problem) => problem.code)).toContain('not-centred');
    const seven = eyesOf('Eyes: 9 mm, between R9 and R10, 7 apart', 'Lean: 0\n', joined);
    expect(seven.units.map((post) => post.from)).toEqual([12, 19]);
    expect(seven.missStitches).toBeCloseTo(0, 6);
    expect(seven.problems).toEqual([]);
    expect(seven.showing).toBe(6);
  });

  // The same with a quarter of lean: round 10 began a quarter stitch before round 9. The front lies opposite the mean of both starts,
  // an eighth before round 9's, and the hole an eighth before the stitch of round 9 below it: the numbers stay.
  test('lean moves the front with the round starts of the eyes’ own rounds', () => {
    const { form, eyes } = head('Eyes: 9 mm, between R9 and R10, 7 apart', 'Lean: 0.25\n');
    const middle = holeAt(seatHoles(form, 9, 'foot'), eyes!.front);
    expect(middle).toBeCloseTo(15.5, 6);
    expect(eyes!.units.map((post) => post.from)).toEqual([12, 19]);
  });

  test('a front set further up stands at another stitch lower down: one more for every four rounds', () => {
    const front = 'Front: stitch 15.5 of round 6\n';
    const near = head('Eyes: 9 mm, between R6 and R7, 7 apart', 'Lean: 0.25\n', front);
    const far = head('Eyes: 9 mm, between R10 and R11, 7 apart', 'Lean: 0.25\n', front);
    const middle = (part: typeof near, round: number) =>
      holeAt(seatHoles(part.form, round, 'foot'), part.eyes!.front);
    expect(middle(far, 10) - middle(near, 6)).toBeCloseTo(1, 6);
  });

  test('distances from the gauge: around, straight, level', () => {
    const eyes = eyesOf('Eyes: 9 mm, between R9 and R10, 6 showing');
    expect(eyes.surfaceMm).toBeCloseTo(7 * 5, 6);
    expect(eyes.straightMm).toBeCloseTo(((30 * 5) / Math.PI) * Math.sin((Math.PI * 7) / 30), 6);
    expect(eyes.levelMm).toBeCloseTo((5 * 7) / 30, 6);
    expect(eyes.lower).toBe('right');
    expect(eyesOf('Eyes: 9 mm, between R9 and R10, 6 showing', '', 'Rounds: joined\n').lower).toBeNull();
  });

  test('on a piece that starts at the bottom the higher number is the higher eye', () => {
    const eyes = eyesOf('Eyes: 9 mm, between R9 and R10, 6 showing', '', 'Start: bottom\n');
    const [left, right] = eyes.units;
    expect(left!.from).toBeGreaterThan(right!.from);
    expect(eyes.lower).toBe('right');
  });

  test.each([
    ['Eyes: 9 mm, between R20 and R21, 6 showing', 'gap-missing'],
    ['Eyes: 9 mm, between R9 and R10, 40 apart', 'apart-impossible'],
    ['Eyes: 12 mm, between R9 and R10, 1 showing', 'eyes-overlap'],
    ['Eyes: 9 mm, between R9 and R10, 1 showing', 'washers-overlap'],
    ['Eyes: 18 mm, between R9 and R10, 10 showing', 'eye-large'],
    ['Eyes: 9 mm, between R16 and R17, 3 apart', 'near-closing'],
    ['Eyes: 9 mm, between R13 and R14, 6 apart', 'on-decrease'],
    ['Eyes: 9 mm, between R9 and R12, 6 apart', 'gap-not-adjacent'],
    ['Eyes: 9 mm, on round 9, 6 apart', 'eyes-on-round'],
    ['Eyes: 9 mm, between R9 and R10, 8 apart, 5 showing', 'apart-showing-differ'],
    ['Insert 9 mm safety eyes', 'eyes-where'],
    ['After round 9, insert 9 mm safety eyes, 6 apart', 'eyes-where'],
    ['Insert 9 mm safety eyes after round 9, 6 apart', 'eyes-on-round'],
    ['Eyes: 9 mm, between R9 and R10', 'eyes-spacing'],
    ['Eyes: between R9 and R10, 6 apart', 'eyes-size'],
    ['Eyes: 40 mm, between R9 and R10, 6 apart', 'eyes-size-odd'],
  ])('%s: %s', (sentence, code) => {
    expect(eyesOf(sentence).problems.map((problem) => problem.code)).toContain(code);
  });

  test('“after round 9” may be a place or a moment: it is said which is taken', () => {
    const { gap, problems } = eyesOf('Insert 9 mm eyes after round 9, 6 apart');
    expect(gap).toEqual([9, 10]);
    expect(problems.map(({ message }) => message).join()).toContain('If it only says when');
    const face = head('9 mm eyes between R9 and R10, 6 apart\nAfter round 12, embroider the mouth, 3 wide');
    const codes = face.problems.map(({ code }) => code);
    expect(codes).toContain('as-usual');
    expect(codes).not.toContain('feature-on-round');
  });

  test('rounds counted from the base are counted from the end that is the base', () => {
    expect(eyesOf('Eyes: 9 mm, between rounds 7 and 8 from the base, 6 apart').gap).toEqual([10, 11]);
    expect(
      eyesOf('Eyes: 9 mm, between rounds 7 and 8 from the base, 6 apart', '', 'Start: bottom\n').gap,
    ).toEqual([7, 8]);
  });

  test('“8 apart, 8 showing” can only be between stitches', () => {
    expect(eyesOf('Eyes: 9 mm, between R9 and R10, 8 apart (8 showing)').rule.seat).toBe('split');
  });

  test('every remedy for a pair off the middle brings it nearer', () => {
    const text = `Gauge: 5 mm x 5 mm\nHead\n${rounds.join('\n')}\nEyes: 9 mm, between R9 and R10, 6 apart`;
    const problem = analyseToy(text).parts[0]!.eyes!.problems.find((found) => found.code === 'not-centred')!;
    expect(problem.suggestions.length).toBeGreaterThanOrEqual(3);
    expect(problem.suggestions.map((suggestion) => suggestion.title)).toContain('Move the front');
    for (const suggestion of problem.suggestions) {
      const after = analyseToy(applyEdits(text, suggestion.edits)).parts[0]!.eyes!;
      expect(Math.abs(after.missStitches)).toBeLessThan(0.1);
    }
  });

  test('a rule written as a sentence is read back as the same rule', () => {
    const part = head('');
    fc.assert(
      fc.property(
        fc.record({
          sizeMm: fc.integer({ min: 4, max: 24 }),
          round: fc.integer({ min: 2, max: 15 }),
          apart: fc.integer({ min: 1, max: 11 }),
          seat: fc.constantFrom('foot' as const, 'split' as const),
        }),
        ({ sizeMm, round, apart, seat }) => {
          const rule: FeatureRule = {
            ...proposedEyes(part.form),
            sizeMm,
            vertical: { by: 'gap', gap: [round, round + 1] },
            sideways: { by: 'apart', apart },
            seat,
          };
          expect(eyesOf(ruleSentence(rule)).rule).toEqual(rule);
        },
      ),
      { numRuns: 60 },
    );
    expect(writeRule(part.source, 'eyes', proposedEyes(part.form)).insertAfter).toBe(true);
  });

  test('resolving is idempotent: the pair of the pair’s own rule is the pair', () => {
    const part = head('Eyes: 9 mm, between R9 and R10, 6 apart');
    const { seat, line, apart, units, front } = part.eyes!;
    const again = choosePair(holeAt(seatHoles(part.form, line, seat), front), apart!);
    expect([again.a, again.b]).toEqual(units.map((post) => post.from));
  });

  test('the address in words', () => {
    const { form, eyes } = head('Eyes: 9 mm, between R9 and R10, 6 showing');
    expect(eyeAddress(form, eyes!)).toEqual({
      gap: 'between round 9 and 10',
      holes: 'holes 12 and 19',
      showing: '6 show',
    });
  });
});
