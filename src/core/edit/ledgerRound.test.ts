import * as fc from 'fast-check';
import { applyEdits } from '../notation/applyEdits';
import { analyseToy } from '../toy/analyse';
import { writeLedgerRound } from './ledgerRound';

/** A body of 24 stitches from round 5 to 14, arms of 8, legs of 12 and a tail of 6 stitches at their edges. */
const toy = (assembly: string, { header = 'Terms: US', plain = 'R5-R14: sc around (24)' } = {}) =>
  analyseToy(
    [
      header,
      `Body\nR1: 6 sc in ring (6)\nR2: inc x 6 (12)\nR3: (sc, inc) x 6 (18)\nR4: (2 sc, inc) x 6 (24)\n${plain}\nR15: (2 sc, dec) x 6 (18)`,
      'Arm (make 2)\nR1: 6 sc in ring (6)\nR2: (2 sc, inc) x 2 (8)\nR3-R6: sc around (8)',
      'Leg (make 2)\nR1: 6 sc in ring (6)\nR2: inc x 6 (12)\nR3-R6: sc around (12)',
      'Tail\nR1: 6 sc in ring (6)\nR2-R4: sc around (6)',
      `Assembly\n${assembly}`,
    ].join('\n\n'),
  );
type Toy = ReturnType<typeof toy>;
const placed = ({ joined }: Toy) =>
  joined.joins.map(({ unit, round, stitch }) => `${unit.name} ${round}/${stitch}`).sort();
const written = (before: Toy) => {
  const [join] = before.joined.joins;
  return writeLedgerRound(before, join!);
};
const whyNot = (before: Toy): string => {
  const tried = written(before);
  return tried.ok ? '' : tried.why;
};

describe('a no-sew round written into the pattern', () => {
  const arms = 'Crochet the arms into the body on round 9, on both sides.';
  test('the range is divided, the sentence goes, and every part stays in its stitches', () => {
    const before = toy(arms);
    const tried = written(before);
    if (!tried.ok) throw new Error(tried.why);
    // 24 stitches, the sides at 6½ and 18½, four through each arm.
    expect(tried.text).toContain(
      [
        'R5-R8: sc around [24]',
        'R9: 4 sc, 4 sc through the left arm and the body, 8 sc, 4 sc through the right arm and the body, 4 sc [24]',
        'R10-R14: sc around [24]',
      ].join('\n'),
    );
    expect(tried.text).not.toContain('Crochet the arms');
    expect(placed(analyseToy(tried.text))).toEqual(placed(before));
  });
  test('several sentences of one line go into one round, also over its beginning', () => {
    const before = toy(`${arms} Crochet the tail into the body on round 9, at the back.`);
    const tried = written(before);
    if (!tried.ok) throw new Error(tried.why);
    expect(tried.text).not.toContain('Crochet');
    expect(placed(analyseToy(tried.text))).toEqual(placed(before));
  });
  test('another round that is as good is written as it stands there', () => {
    // Three wide, its middle can’t lie at 24½: it is stitch 24, or 1.
    const before = toy('Crochet the tail into the body on round 9, at the back.');
    const [join] = before.joined.joins;
    expect(join?.otherLedgers).toHaveLength(1);
    const tried = writeLedgerRound(before, join!, join!.otherLedgers[0]);
    if (!tried.ok) throw new Error(tried.why);
    const [there] = analyseToy(tried.text).joined.joins;
    expect([join!.stitch, there?.stitch]).toEqual([24, 1]);
    expect(tried.text).not.toContain('Crochet');
  });
  test('in any round, with any distance, both hands, both ends', () => {
    const headers = [
      'Terms: US',
      'Terms: US\nHand: left',
      'Terms: US\nStart: bottom',
      'Terms: US\nHand: left\nStart: bottom',
    ];
    fc.assert(
      fc.property(
        fc.constantFrom(...headers),
        fc.integer({ min: 5, max: 14 }),
        fc.integer({ min: 2, max: 10 }),
        (header, round, aside) => {
          const before = toy(
            `Crochet the arms into the body on round ${round}, ${aside} stitches from the front.`,
            { header },
          );
          const tried = written(before);
          if (!tried.ok) throw new Error(tried.why);
          expect(placed(analyseToy(tried.text))).toEqual(placed(before));
        },
      ),
      { numRuns: 40 },
    );
  });
  test('a round that is more than plain stitches is not written over', () => {
    expect(whyNot(toy('Crochet the arms into the body on round 15, on both sides.'))).toMatch(
      /more than plain/,
    );
    expect(whyNot(toy(arms, { plain: 'R5-R14: sc in each st around, change to B (24)' }))).not.toBe('');
  });
  test('nor where one loop is meant', () => {
    expect(
      whyNot(toy('Crochet the arms into the front loops of the body on round 9, on both sides.')),
    ).toMatch(/one loop/);
  });
});

describe('where a round does not hold them', () => {
  const crowd = (round: number) =>
    `Crochet the legs into the body on round ${round}, on both sides. Crochet the arms into the body on round ${round}, 3 stitches from the front.`;
  test('the nearest round that does is tried and offered, for all that go in there', () => {
    // Two legs of 6 and two arms of 4 need 20: round 3 has 18, round 4 has 24.
    const [problem] = toy(crowd(3)).problems.filter(({ code }) => code === 'nosew-room');
    expect(problem!.message).toBe(
      'Round 3 of the body has 18 stitches, and what is worked into it needs 2 more. Round 4 is the nearest that holds them. With two stitches less at each edge the legs go in here.',
    );
    const [first] = problem!.suggestions;
    expect(first!.title).toBe('Work them into round 4');
    const mended = analyseToy(applyEdits(toy(crowd(3)).text, first!.edits));
    expect(mended.problems.filter(({ severity }) => severity === 'error')).toEqual([]);
    expect(new Set(mended.joined.joins.map(({ round }) => round))).toEqual(new Set([4]));
  });
  test('where none does, that is said', () => {
    const wide = analyseToy(
      toy(crowd(9)).text.replace(
        'R2: inc x 6 (12)\nR3-R6: sc around (12)',
        'R2: inc x 6 (12)\nR3: inc x 12 (24)',
      ),
    );
    const told = wide.problems.filter(({ code }) => code.startsWith('nosew'));
    // Two legs of 12 and two arms of 4 need 32; with 11 each 30, and the body is 24 at the widest.
    expect(told.map(({ message }) => message)).toEqual([
      'Round 9 of the body has 24 stitches, and what is worked into it needs 8 more. No round within reach holds them: make the parts narrower, or sew one of them on.',
    ]);
    expect(told[0]!.suggestions).toEqual([]);
  });
  test('each of one round keeps its own sentence: a step moves that one only', () => {
    const two = toy(
      `Crochet the arms into the body on round 9, on both sides. Crochet the tail into the body on round 9, at the back.`,
    );
    const said = two.joined.joins.map(({ unit, sentence }) => [unit.part, sentence.text]);
    expect(said.filter(([, text]) => text!.includes('tail')).map(([part]) => part)).toEqual(['tail']);
  });
});
