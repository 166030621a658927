import * as fc from 'fast-check';
import { featureHead } from '../__tests__/featureCorpus';
import { applyEdits } from '../notation/applyEdits';
import { analyseFaces as analyseToy, type FacePart as PartAnalysis } from '../__tests__/faces';
import { frameOfPart } from '../toy/analyse';
import { ruleSentence, writeRule } from './rule/writeRule';
import { nextSize, soldEyesMm } from './rule/hardware';
import { markerPlan } from './words/markerPlan';
import { featureWords } from './words/directions';
import { landmarkLines } from './frame/landmarks';
import { heightChoices, sideChoices } from './move/choices';
import { stitchedRule } from './move/stitchEyes';

const toy = (sentences: string, header = '') =>
  analyseToy(`${featureHead.replace('Head\n', `Head\n${header}`)}${sentences}\n`);
const face =
  'Nose: satin triangle, 1 round below the eyes, 3 wide, 2 rounds high.\nMouth: embroidered smile, 1 round below the nose, 3 wide.\nBrows: 3 rounds above the eyes, 9 apart, 2 wide.';
const choicesOf = (part: PartAnalysis, id: string) => {
  const placed = part.all.find((feature) => feature.id === id)!;
  return heightChoices(frameOfPart(part), placed, part.all);
};

describe('what a height is counted from', () => {
  test('it is offered from what is there and does not hang on it', () => {
    const part = toy(face).parts[0]!;
    expect(choicesOf(part, 'brows').map(({ from }) => from)).toEqual([
      null,
      'eyes',
      'nose',
      'mouth',
      'ridge',
      'colour change',
      'edge',
    ]);
    // The mouth hangs on the nose, and both on the eyes.
    expect(choicesOf(part, 'nose').map(({ from }) => from)).not.toContain('mouth');
    expect(choicesOf(part, 'eyes').map(({ from }) => from)).toEqual([null, 'ridge', 'colour change', 'edge']);
  });

  test('worked out by hand: line 12 is 3 above the eyes, 8 above the ridge, on the colour change, 17 from the last round', () => {
    const choices = choicesOf(toy(face).parts[0]!, 'brows');
    expect(choices.map(({ vertical }) => vertical)).toEqual([
      { by: 'gap', gap: [12, 13] },
      { by: 'relation', rounds: 3, direction: 'above', to: 'eyes' },
      { by: 'relation', rounds: 4, direction: 'above', to: 'nose' },
      // The mouth is under the tip of the nose: 16 + 2 + 1.
      { by: 'relation', rounds: 7, direction: 'above', to: 'mouth' },
      { by: 'relation', rounds: 8, direction: 'above', to: 'ridge' },
      { by: 'relation', rounds: 0, direction: 'above', to: 'colour change' },
      { by: 'relation', rounds: 17, direction: 'from', to: 'edge' },
    ]);
  });

  test('whichever is chosen, it stays where it is, also left-handed and from the bottom', () => {
    const ids = ['nose', 'mouth', 'brows', 'eyes'];
    fc.assert(
      fc.property(
        fc.constantFrom(...ids),
        fc.constantFrom('', 'Start: bottom\n'),
        fc.nat(),
        (id, header, pick) => {
          const { text, parts } = toy(face, header);
          const part = parts[0]!;
          const choices = choicesOf(part, id);
          const { vertical } = choices[pick % choices.length]!;
          const placed = part.features.find((feature) => feature.id === id);
          const edit = placed
            ? writeRule(part.source, id, { ...placed.rule, vertical })
            : writeRule(part.source, 'eyes', { ...part.eyes!.rule, vertical });
          const after = analyseToy(applyEdits(text, [edit])).parts[0]!;
          expect(after.features.map(({ line }) => line)).toEqual(part.features.map(({ line }) => line));
          expect(after.eyes!.line).toBe(part.eyes!.line);
        },
      ),
    );
  });
});

describe('how far to the side', () => {
  const waysOf = (part: PartAnalysis, id: string) =>
    sideChoices(
      frameOfPart(part),
      part.features.find((feature) => feature.id === id)!,
      part.all,
    );

  test('so many apart stays; outside the eyes comes within a stitch; an edge of the eyes is theirs', () => {
    const { text, parts } = toy('Cheeks: felt, 8 mm, 2 rounds below the eyes, 13 apart.');
    const part = parts[0]!;
    const ways = waysOf(part, 'cheeks');
    expect(ways.map(({ way }) => way)).toEqual(['stitches', 'outward', 'inner', 'middle', 'outer']);
    // The eyes are 3½ stitches from the front: half of 13 is 3 further.
    expect(ways[1]!.sideways).toEqual({ by: 'outward', stitches: 3, from: 'eyes' });
    for (const { way, sideways } of ways) {
      const placed = part.features[0]!;
      const after = analyseToy(
        applyEdits(text, [writeRule(part.source, 'cheeks', { ...placed.rule, sideways })]),
      ).parts[0]!.features[0]!;
      expect(after.rule.sideways).toEqual(sideways);
      expect(Math.abs(after.apart! - 13)).toBeLessThanOrEqual(
        way === 'stitches' ? 0 : way === 'outward' ? 1 : 9,
      );
    }
  });

  test('a single feature gets its width from the eyes; what is sewn on has none', () => {
    const part = toy('Mouth 4 rounds below the eyes, 3 wide.\nSew a 10 mm button between R20 and R21.')
      .parts[0]!;
    expect(waysOf(part, 'mouth').map(({ way }) => way)).toEqual(['stitches', 'inner', 'middle', 'outer']);
    expect(waysOf(part, 'button')).toEqual([]);
  });
});

test.each(['', 'Start: bottom\n', 'Start: left\n'])(
  'stitched eyes take the place of pressed ones, and what hangs on them stays (%j)',
  (header) => {
    const sentences = header.includes('left')
      ? 'Eyes: 8 mm, between R12 and R13 and between R17 and R18.\nMouth: 3 stitches below the eyes, 3 rounds wide.'
      : face;
    const { text, parts } = toy(sentences, header);
    const part = parts[0]!;
    for (const style of ['satin', 'sleeping'] as const) {
      const after = analyseToy(
        applyEdits(text, [writeRule(part.source, 'eyes', stitchedRule(part.eyes!.rule, style))]),
      ).parts[0]!;
      const eyes = after.features.find(({ kind }) => kind === 'eyes')!;
      expect(eyes.rule).toMatchObject({ embroidered: true, style, sizeMm: null });
      expect(eyes.needle!.points.length).toBeGreaterThan(4);
      if (!header.includes('left')) {
        expect(after.eyes).toBeNull();
        expect(eyes.apart).toBe(part.eyes!.apart);
        expect(after.features.filter(({ kind }) => kind !== 'eyes').map(({ line }) => line)).toEqual(
          part.features.map(({ line }) => line),
        );
      }
    }
  },
);

test('rings that have no room next to each other say so, and the remedy makes room', () => {
  const { text, parts } = toy('Eyes: 8 mm, between R15 and R16, 3 apart, with felt rings of 20 mm.');
  const problem = parts[0]!.eyes!.problems.find(({ code }) => code === 'rings-overlap')!;
  expect(problem.message).toContain('20 mm wide');
  for (const { edits } of problem.suggestions)
    expect(
      analyseToy(applyEdits(text, edits)).parts[0]!.eyes!.problems.map(({ code }) => code),
    ).not.toContain('rings-overlap');
  expect(ruleSentence(parts[0]!.eyes!.rule)).toContain('with felt rings of 20 mm');
  // What lies under a ring lies under it as under an eye.
  const under = (rings: string) =>
    toy(
      `Eyes: 8 mm, between R15 and R16, 9 apart${rings}.\nFelt cheeks, 8 mm, 2 rounds below the eyes, 1 stitch outside the eyes.`,
    ).parts[0]!.features[0]!.problems.map(({ code }) => code);
  expect(under('')).not.toContain('features-overlap');
  expect(under(', with felt rings of 20 mm')).toContain('features-overlap');
});

test.each(['Embroider a mouth, 3 wide, 2 strands', 'Felt cheeks, 8 mm', 'Embroider whiskers on both sides'])(
  'what is filled as usual can be written so, and stays: %s',
  (sentence) => {
    const { text, parts } = toy(sentence);
    const [placed] = parts[0]!.features;
    const { message, suggestions } = placed!.problems.find(({ code }) => code === 'as-usual')!;
    expect(message).toContain('As is usual');
    const after = analyseToy(applyEdits(text, suggestions[0]!.edits)).parts[0]!.features[0]!;
    expect(after.units).toEqual(placed!.units);
    expect(after.problems.map(({ code }) => code)).not.toContain('as-usual');
  },
);

test('a key ring goes through the start, where nothing is counted or marked', () => {
  const part = toy('Attach a key ring through the start.').parts[0]!;
  const [ring] = part.features;
  const words = featureWords(ring!, frameOfPart(part), part.eyes);
  expect(words.address).toBe('Key ring through the start of the part');
  expect(words.markers).toBe('');
  expect(markerPlan(part.fabric, part.features)).toEqual([]);
});

test.each([
  [
    'Two felt spots, 6 mm, at the back, between R16 and R17, 6 apart',
    '5 whole stitches show between the two, 29 stitches around the front',
  ],
  [
    'Bow at the back between R14 and R15, crocheted, 4 wide',
    'it is 4 stitches wide, with 32 stitches around the front',
  ],
  [
    'Felt spots, 6 mm, between R16 and R17, 6 apart',
    '5 whole stitches show between the two, 29 stitches around the back',
  ],
])('what is at the back is checked the other way round: %s', (sentence, check) => {
  const part = toy(sentence).parts[0]!;
  expect(featureWords(part.features[0]!, frameOfPart(part), part.eyes).check).toBe(`Check: ${check}.`);
});

test('eyes come in the sizes that are sold', () => {
  expect([
    nextSize(soldEyesMm, 10, 1),
    nextSize(soldEyesMm, 10, -1),
    nextSize(soldEyesMm, 11, 1),
    nextSize(soldEyesMm, 24, 1),
    nextSize(soldEyesMm, 4, -1),
  ]).toEqual([12, 9, 12, null, null]);
});

describe('a neck', () => {
  const rounds = (counts: readonly number[]) =>
    `Body\nR1: 6 sc in ring\n${counts
      .map((count, i) => {
        const before = counts[i - 1] ?? 6;
        const by = count - before;
        return `R${i + 2}: ${by === 0 ? 'sc around' : by > 0 ? `(${before / by - 1} sc, inc) x ${by}`.replace('0 sc, ', '') : `(${before / -by - 2} sc, dec) x ${-by}`.replace('0 sc, ', '')}`;
      })
      .join('\n')}\n`;
  const necks = (counts: readonly number[]) =>
    landmarkLines(analyseToy(rounds(counts)).parts[0]!.fabric, 'neck');

  // Line 9 lies between the rounds with index 9 and 10; 12, 18, 24, 24, 18 are rounds 2 to 6.
  test.each([
    ['narrowest in one round', [12, 18, 24, 24, 18, 12, 18, 24, 24], [7]],
    ['in three rounds the middle one', [12, 18, 24, 18, 12, 12, 12, 18, 24], [7]],
    ['an end that closes is none', [12, 18, 24, 24, 18, 12, 6], []],
    ['a waist a little narrower is none', [12, 18, 24, 30, 30, 30, 25, 25, 30, 30], []],
    ['two of them', [12, 24, 12, 24, 12, 24], [4, 6]],
  ] as const)('%s', (_, counts, lines) => {
    expect(necks(counts)).toEqual(lines);
  });

  test('rounds are counted from it', () => {
    // The neck is line 7; five lines nearer to the start, which is at the top, is line 2.
    const part = analyseToy(
      `${rounds([12, 18, 24, 24, 18, 12, 18, 24, 24])}Mouth 3 rounds above the neck, 3 wide.\nSew a bow around the neck, 12 mm.`,
    ).parts[0]!;
    expect(part.features.map(({ line }) => line)).toEqual([4, 7]);
    expect(featureWords(part.features[0]!, frameOfPart(part), null).there).toContain(
      '3 rounds above the neck',
    );
  });
});

describe('remedies are tried before they are offered', () => {
  const codesOf = (text: string, id: string) => {
    const part = analyseToy(text).parts[0]!;
    return (
      id === 'eyes' ? part.eyes!.problems : part.features.find((feature) => feature.id === id)!.problems
    ).map(({ code }) => code);
  };

  test('what lies over something else is clear of everything on the lines that are offered', () => {
    let tried = 0;
    fc.assert(
      fc.property(
        fc.integer({ min: 12, max: 20 }),
        fc.integer({ min: 0, max: 3 }),
        fc.integer({ min: 6, max: 14 }),
        fc.constantFrom('', 'Start: bottom\n'),
        (line, outward, sizeMm, header) => {
          const { text, parts } = toy(
            `Mouth: embroidered smile, between R${line} and R${line + 1}, 5 wide.\nSew a ${sizeMm} mm button between R${line} and R${line + 1}.\nFelt cheeks, ${sizeMm} mm, level with the mouth, ${outward} stitches outside the mouth.`,
            header,
          );
          for (const { id, problems } of parts[0]!.features) {
            for (const { edits } of problems
              .filter(({ code }) => code === 'features-overlap')
              .flatMap(({ suggestions }) => suggestions)) {
              tried += 1;
              expect(codesOf(applyEdits(text, edits), id)).not.toContain('features-overlap');
            }
          }
        },
      ),
      { numRuns: 100 },
    );
    expect(tried).toBeGreaterThan(30);
  });

  test('eyes whose washers lie over decreases or a ridge find plain fabric', () => {
    let tried = 0;
    for (let line = 8; line <= 26; line += 1) {
      for (const sizeMm of [6, 10, 14]) {
        const { text, parts } = toy(
          `Eyes: ${sizeMm} mm, between R${line} and R${line + 1}, 7 apart (6 showing), in the holes.`,
        );
        for (const { code, suggestions } of parts[0]!.eyes!.problems.filter((problem) =>
          ['washer-on-decrease', 'washer-on-ridge', 'on-decrease', 'ring-too-small'].includes(problem.code),
        )) {
          for (const { edits } of suggestions) {
            tried += 1;
            expect(codesOf(applyEdits(text, edits), 'eyes')).not.toContain(code);
          }
        }
      }
    }
    expect(tried).toBeGreaterThan(10);
  });

  test('a middle that is not that of the eyes: brought nearer, or the eyes evened out where they are what is off', () => {
    let tried = 0;
    fc.assert(
      fc.property(
        fc.integer({ min: 5, max: 10 }),
        fc.integer({ min: 2, max: 5 }),
        fc.integer({ min: 1, max: 7 }),
        (apart, rounds, wide) => {
          const { text, parts } = toy(
            `Eyes: 8 mm, between R15 and R16, ${apart} post to post.\nMouth: embroidered smile, ${rounds} rounds below the eyes, ${wide} wide.`,
          );
          const message = (of: string) =>
            analyseToy(of).parts[0]!.features[0]!.problems.find(({ code }) => code === 'off-the-eyes')
              ?.message;
          const off = (said: string | undefined) => Number(/([\d.]+) mm/.exec(said ?? '0 mm')![1]);
          const problem = parts[0]!.features[0]!.problems.find(({ code }) => code === 'off-the-eyes');
          for (const { edits } of problem?.suggestions ?? []) {
            tried += 1;
            expect(off(message(applyEdits(text, edits)))).toBeLessThan(off(problem!.message));
          }
        },
      ),
      { numRuns: 120 },
    );
    expect(tried).toBeGreaterThan(10);
  });

  test('a pressed nose finds room for its washer', () => {
    const { text, parts } = toy('Insert an 18 mm safety nose just below the eyes.');
    const problem = parts[0]!.features[0]!.problems.find(({ code }) => code === 'washers-overlap')!;
    expect(problem.suggestions.length).toBeGreaterThan(0);
    for (const { edits } of problem.suggestions)
      expect(codesOf(applyEdits(text, edits), 'nose')).not.toEqual(
        expect.arrayContaining(['washers-overlap']),
      );
  });
});
