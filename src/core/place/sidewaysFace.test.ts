import * as fc from 'fast-check';
import { analyseFaces as analyseToy, type FacePart as PartAnalysis } from '../__tests__/faces';
import { formInputOf, standOf } from '../toy/formOfPart';
import { relaxForm } from '../shape/form/relaxForm';
import { eyesOnForm, featureOnForm } from './check/onForm';
import { ruleSentence } from './rule/writeRule';
import { footHoles, holeAzimuth } from './frame/holes';
import { heightAt, heightUp, levelPair, middleOf, rightOf, stitchesUp } from './frame/sidewaysFrame';

/**
 * A head worked from the toy's side, 5 mm by 5 mm. By the profile its increases and decreases advance 1.49 mm a round, its straight
 * rounds 5 mm: 9.0 + 40 + 7.5 = 56.3 mm from end to end. Half of that is reached 3.84 rounds past round 6, so the middle of the face lies
 * on line 9.84.
 *
 * Eyes 4 rounds apart go to lines 8 and 12. Their front lies opposite the round start on line 10, hole 18.5 of 36; a round starts a
 * quarter of a stitch before the one below it, so on line L the front is hole c(L) = 18.5 + (L - 10) / 4:
 *
 *     L    7      8   9      10    11     12  13
 *     c  17.75  18.0  18.25  18.5  18.75  19  19.25
 */
const head = (start: string, hand: string) =>
  [
    `Hand: ${hand}`,
    'Gauge: 5 mm x 5 mm',
    '',
    'Head',
    `Start: ${start}`,
    'R1: 6 sc in magic ring [6]',
    'R2: inc x 6 [12]',
    'R3: (sc, inc) x 6 [18]',
    'R4: (sc 2, inc) x 6 [24]',
    'R5: (sc 3, inc) x 6 [30]',
    'R6: (sc 4, inc) x 6 [36]',
    'R7-R14: sc around [36]',
    'R15: (sc 4, dec) x 6 [30]',
    'R16: (sc 3, dec) x 6 [24]',
    'R17: (sc 2, dec) x 6 [18]',
    'R18: (sc, dec) x 6 [12]',
    'R19: dec x 6 [6]',
    '',
  ].join('\n');
const eyesSaid = 'Eyes: 8 mm, between R8 and R9 and between R12 and R13.\n';
const part = (sentences: string, start = 'left', hand = 'right'): PartAnalysis =>
  analyseToy(`${head(start, hand)}${sentences}\n`).parts[0]!;
const places = ({ units }: PartAnalysis['features'][number]) =>
  units
    .flatMap((unit) => [
      [unit.fromLine, unit.from],
      ...(unit.toLine === unit.fromLine ? [] : [[unit.toLine, unit.to]]),
    ])
    .sort((a, b) => a[0]! - b[0]!);
const codes = (problems: readonly { code: string }[]) => problems.map(({ code }) => code);

test('the middle of the face is where half the length is', () => {
  const { form } = part('');
  expect(middleOf(form)).toBeCloseTo(9.84, 1);
  expect(rightOf(form)).toBe(1);
  expect(rightOf(part('', 'right').form)).toBe(-1);
});

describe('eyes', () => {
  test.each([
    ['left', 'right'],
    ['right', 'left'],
    ['left', 'left'],
    ['right', 'right'],
  ])('start %s, %s-handed: on the front of their lines, holes 18 and 19', (start, hand) => {
    const { eyes } = part(eyesSaid, start, hand);
    const first = start === 'left' ? 'left' : 'right';
    expect(eyes?.units.map(({ side, fromLine, from, of }) => [side, fromLine, from, of])).toEqual(
      first === 'left'
        ? [
            ['left', 8, 18, 36],
            ['right', 12, 19, 36],
          ]
        : [
            ['left', 12, 19, 36],
            ['right', 8, 18, 36],
          ],
    );
    expect(eyes?.levelMm).toBeLessThan(0.01);
    // Lines 8 and 12 have their middle on 10, 0.15 of a round of 5 mm off.
    expect(eyes?.missMm).toBeCloseTo(0.75, 1);
    expect(eyes?.missSide).toBe(start === 'left' ? 'right' : 'left');
    expect([eyes?.surfaceMm, eyes?.straightMm]).toEqual([20, expect.closeTo(20, 5)]);
  });

  test.each<[string, [number, number], string[]]>([
    ['Eyes: 8 mm, 4 rounds apart', [8, 12], []],
    ['Insert 8 mm safety eyes 4 rounds apart', [8, 12], []],
    ['Eyes: 8 mm, between R12 and R13 and between R8 and R9', [8, 12], []],
    ['Place the 8 mm eyes between rounds 8 and 9 and between rounds 12 and 13', [8, 12], []],
    ['Eyes: 8 mm, 4 rounds showing between the eyes', [8, 12], []],
    ['Eyes: 8 mm, 2 rounds either side of the front line', [8, 12], []],
    ['Eyes: 8 mm, between R8 and R9', [8, 12], ['eyes-other-side']],
    ['Eyes: 8 mm, on round 8', [8, 12], ['eyes-other-side']],
    ['Eyes: 8 mm, between R8 and R9, 6 rounds apart', [8, 14], ['eyes-one-line']],
    ['Insert 4 rounds apart the eyes', [8, 12], ['eyes-size']],
    ['Eyes: 8 mm', [8, 12], ['eyes-spacing']],
    ['Eyes: 8 mm, between R8 and R10 and between R12 and R13', [8, 12], ['gap-not-adjacent']],
    ['Eyes: 8 mm, between R40 and R41 and between R12 and R13', [12, 18], ['gap-missing']],
    ['Eyes: 8 mm, 40 rounds apart', [1, 18], ['apart-impossible']],
    ['Eyes: 8 mm, between R8 and R9 and between R8 and R9', [9, 10], ['same-hole']],
    ['Eyes: 8 mm, 4 rounds apart, 2 rounds above the nose', [8, 12], ['anchor-missing', 'rounds-not-below']],
    ['Eyes: 8 mm, 4 stitches apart', [8, 12], ['across-in-stitches']],
    ['Eyes: 30 mm, 4 rounds apart', [8, 12], ['eyes-size-odd']],
  ])('%s', (sentence, lines, asked) => {
    const { eyes } = part(sentence);
    const own = new Set([
      'not-centred',
      'not-level',
      'washers-overlap',
      'eyes-overlap',
      'near-closing',
      'ring-too-small',
      'washer-on-decrease',
      'eye-large',
      'on-decrease',
    ]);
    expect(eyes?.units.map(({ fromLine }) => fromLine)).toEqual(lines);
    expect(codes(eyes?.problems ?? []).filter((code) => !own.has(code))).toEqual(asked);
  });

  test('stitches up are counted upwards, whichever way the numbers run', () => {
    const said = `${eyesSaid.trim().slice(0, -1)}, 2 stitches above the front line`;
    expect(part(said).eyes?.units.map(({ from }) => from)).toEqual([20, 21]);
    expect(part(said, 'left', 'left').eyes?.units.map(({ from }) => from)).toEqual([16, 17]);
    expect(part(said.replace('above', 'below')).eyes?.units.map(({ from }) => from)).toEqual([16, 17]);
  });

  test('lines whose holes do not meet level say so, and offer some that do', () => {
    const { eyes } = part('Eyes: 8 mm, 6 rounds apart.');
    const [off] = eyes!.problems.filter(({ code }) => code === 'not-level');
    expect(eyes?.levelMm).toBeCloseTo(2.5, 1);
    expect(off?.message).toMatch(/right eye's hole lies 2.5 mm lower/);
    expect(off?.suggestions.map(({ title }) => title)).toContain('4 rounds apart');
  });

  test('what has no room, or is too near an end, says so with remedies', () => {
    expect(codes(part('Eyes: 8 mm, 1 round apart.').eyes!.problems)).toContain('eyes-overlap');
    expect(codes(part('Eyes: 8 mm, 2 rounds apart.').eyes!.problems)).toContain('washers-overlap');
    const ends = part('Eyes: 8 mm, between R1 and R2 and between R17 and R18.').eyes!.problems;
    expect(codes(ends)).toEqual(expect.arrayContaining(['near-closing', 'ring-too-small']));
    for (const { code, suggestions } of ends)
      if (code !== 'not-centred' && code !== 'not-level') expect(suggestions.length).toBeGreaterThan(0);
    const shifted = part('Eyes: 8 mm, between R9 and R10 and between R13 and R14.').eyes!;
    expect(
      shifted.problems.find(({ code }) => code === 'not-centred')?.suggestions[0]?.edits[0]?.text,
    ).toContain('between R8 and R9 and between R12 and R13');
  });
});

/** Holes by line, worked out from c(L): up is towards higher numbers for a right-handed start at the left and a left-handed one at the right. */
const rows: [sentence: string, rising: number[][], falling: number[][], asks?: string][] = [
  [
    'Mouth: 5 stitches below the eyes, 4 rounds wide',
    [
      [8, 13],
      [12, 14],
    ],
    [
      [8, 23],
      [12, 24],
    ],
  ],
  [
    'Embroider a smile 5 stitches under the eyes, 4 rounds wide',
    [
      [8, 13],
      [12, 14],
    ],
    [
      [8, 23],
      [12, 24],
    ],
  ],
  [
    'Mouth: 5 stitches below the front line, between R8 and R9 and between R12 and R13',
    [
      [8, 13],
      [12, 14],
    ],
    [
      [8, 23],
      [12, 24],
    ],
  ],
  [
    'Mouth: 5 stitches below the eyes, as wide as the middle of the eyes',
    [
      [8, 13],
      [12, 14],
    ],
    [
      [8, 23],
      [12, 24],
    ],
  ],
  [
    'Mouth: from R8 to R12, 5 stitches below the eyes',
    [
      [8, 13],
      [12, 14],
    ],
    [
      [8, 23],
      [12, 24],
    ],
  ],
  [
    'Mouth 5 rounds below the eyes, 4 rounds wide',
    [
      [8, 13],
      [12, 14],
    ],
    [
      [8, 23],
      [12, 24],
    ],
    'rounds-not-below',
  ],
  [
    'Mouth 5 stitches below the eyes, 4 stitches wide',
    [
      [8, 13],
      [12, 14],
    ],
    [
      [8, 23],
      [12, 24],
    ],
    'across-in-stitches',
  ],
  // c(7) - 3 is 14.75 and c(13) - 3 is 16.25: holes 15 and 16 lie a quarter off each, half a stitch from level as any two do.
  [
    'Felt cheeks, 8 mm, 3 stitches below the eyes, 1 round outside the eyes',
    [
      [7, 15],
      [13, 16],
    ],
    [
      [7, 21],
      [13, 22],
    ],
  ],
  [
    'Cheeks: felt, 8 mm, 3 stitches below the eyes, 6 rounds post to post',
    [
      [7, 15],
      [13, 16],
    ],
    [
      [7, 21],
      [13, 22],
    ],
  ],
  [
    'Cheeks: felt, 8 mm, 3 stitches below the eyes, 3 rounds outwards from the front line',
    [
      [7, 15],
      [13, 16],
    ],
    [
      [7, 21],
      [13, 22],
    ],
  ],
  [
    'Brows: 4 stitches above the eyes, in line with the middle of the eyes, 2 rounds wide',
    [
      [7, 22],
      [9, 22],
      [11, 23],
      [13, 23],
    ],
    [
      [7, 14],
      [9, 14],
      [11, 15],
      [13, 15],
    ],
  ],
  // c(10) - 4 is 14.5: by the circle the hole below lies a little nearer in height than the one above.
  ['Sew a 10 mm button 4 stitches below the eyes, between R10 and R11', [[10, 14]], [[10, 23]]],
  ['Button, 10 mm, level with the eyes, between R9 and R10', [[9, 18]], [[9, 18]], 'not-centred'],
  [
    'Mouth 20 stitches below the eyes, 4 rounds wide',
    [
      [8, 18],
      [12, 19],
    ],
    [
      [8, 18],
      [12, 19],
    ],
    'gap-missing',
  ],
  [
    'Mouth: 5 stitches below the nose, 4 rounds wide',
    [
      [8, 13],
      [12, 14],
    ],
    [
      [8, 23],
      [12, 24],
    ],
    'anchor-missing',
  ],
  [
    'Mouth: 5 stitches below the eyes, between R30 and R31 and between R12 and R13',
    [
      [12, 14],
      [18, 2],
    ],
    [
      [12, 24],
      [18, 6],
    ],
    'gap-missing',
  ],
];

describe.each([
  ['left', 'right', 1],
  ['right', 'left', 1],
  ['left', 'left', 2],
  ['right', 'right', 2],
] as const)('start %s, %s-handed', (start, hand, column) => {
  test.each(rows)('%s', (...row) => {
    const [sentence, , , asks] = row;
    const [feature] = part(eyesSaid + sentence, start, hand).features;
    if (asks === 'gap-missing' && sentence.includes('R30'))
      expect(places(feature!).map(([line]) => line)).toEqual(row[column].map(([line]) => line));
    else expect(places(feature!)).toEqual(row[column]);
    if (asks) expect(codes(feature!.problems)).toContain(asks);
    else expect(codes(feature!.problems).filter((code) => code !== 'features-overlap')).toEqual([]);
  });
});

test('what can be counted from another feature follows when the eyes move', () => {
  const height = (sentences: string) => {
    const { features, form, map } = part(sentences);
    const unit = features[0]!.units[0]!;
    return heightAt(form, { front: map.front, facing: 1 }, unit.fromLine, unit.fromAzimuth);
  };
  const mouth = 'Mouth: 5 stitches below the eyes, 4 rounds wide.';
  const raised = eyesSaid.replace('.\n', ', 2 stitches above the front line.\n');
  // Two stitches of 36 higher, measured straight up: from 5 below the middle to 3 below it.
  const step = (2 * Math.PI) / 36;
  expect(height(raised + mouth) - height(eyesSaid + mouth)).toBeCloseTo(
    (180 / 2 / Math.PI) * (Math.sin(5 * step) - Math.sin(3 * step)),
    1,
  );
});

test('two that wait for each other, overlaps and pressed noses', () => {
  const circle = part(
    `${eyesSaid}Nose: 2 stitches above the mouth, 2 rounds wide. Mouth: 2 stitches below the nose, 2 rounds wide.`,
  );
  expect(codes(circle.problems)).toContain('anchor-circle');
  expect(
    codes(
      part(
        `${eyesSaid}Mouth: 5 stitches below the eyes, 4 rounds wide. Button: 12 mm, 5 stitches below the eyes.`,
      ).problems,
    ),
  ).toContain('features-overlap');
  expect(codes(part(`${eyesSaid}Insert a 12 mm safety nose 1 stitch below the eyes.`).problems)).toContain(
    'washers-overlap',
  );
  expect(
    codes(
      part(`${eyesSaid}Mouth: 5 stitches below the eyes, between R12 and R13 and between R15 and R16.`)
        .problems,
    ),
  ).toContain('not-centred');
});

test('over one eye: the line of the eye on that side', () => {
  expect(places(part(`${eyesSaid}Felt patch, 12 mm, over the left eye.`).features[0]!)).toEqual([[8, 18]]);
  expect(
    places(part(`${eyesSaid}Felt patch, 12 mm, over the left eye.`, 'right', 'left').features[0]!),
  ).toEqual([[12, 19]]);
});

test('at the back, up stays up', () => {
  const {
    form,
    map,
    features: [bow],
  } = part(`${eyesSaid}Sew a 10 mm button at the back 3 stitches above the front line.`);
  const unit = bow!.units[0]!;
  expect(heightAt(form, { front: map.front, facing: 1 }, unit.fromLine, unit.fromAzimuth)).toBeGreaterThan(8);
  expect(Math.cos(unit.fromAzimuth - map.front)).toBeLessThan(0);
});

test('a stitch up and back again is the same height', () => {
  const { form } = part('');
  fc.assert(
    fc.property(fc.integer({ min: -8, max: 8 }), (stitches) => {
      expect(stitchesUp(form, heightUp(form, 0, stitches)!)).toBeCloseTo(stitches, 9);
    }),
  );
});

test('no other two holes of two lines lie nearer to level at that height (brute force)', () => {
  const { form, map, fabric } = part('');
  const all = (line: number) => {
    const holes = footHoles(fabric, form.starts, form.lean, line);
    return Array.from({ length: holes.count }, (_, i) => holeAzimuth(holes, i + 1))
      .filter((azimuth) => Math.cos(azimuth - map.front) > 0)
      .map((azimuth) => heightAt(form, { front: map.front, facing: 1 }, line, azimuth));
  };
  fc.assert(
    fc.property(
      fc.integer({ min: 7, max: 13 }),
      fc.integer({ min: 7, max: 13 }),
      fc.double({ min: -18, max: 18, noNaN: true }),
      (a, b, height) => {
        const cost = (one: number, other: number) =>
          Math.abs(one - other) + Math.abs((one + other) / 2 - height) / 2;
        const [one, other] = levelPair(form, { front: map.front, facing: 1 }, [a, b], {
          heightMm: height,
          seat: 'foot',
        });
        let best = Infinity;
        for (const low of all(a)) for (const high of all(b)) best = Math.min(best, cost(low, high));
        expect(cost(one.heightMm, other.heightMm)).toBeLessThanOrEqual(best + 1e-6);
      },
    ),
  );
});

test('both other ways round at once give the same holes, sides changed', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 2, max: 10 }),
      fc.integer({ min: -4, max: 4 }),
      fc.integer({ min: 1, max: 6 }),
      (apart, rise, wide) => {
        const said = `Eyes: 8 mm, ${apart} rounds apart${rise === 0 ? '' : `, ${Math.abs(rise)} stitches ${rise > 0 ? 'above' : 'below'} the front line`}. Mouth: 4 stitches below the eyes, ${wide} rounds wide.`;
        const [one, other] = [part(said), part(said, 'right', 'left')];
        const posts = (of: PartAnalysis) =>
          of.eyes!.units.map(({ fromLine, from }) => `${fromLine}/${from}`).sort();
        expect(posts(one)).toEqual(posts(other));
        expect(places(one.features[0]!)).toEqual(places(other.features[0]!));
        expect(one.eyes!.missSide).not.toBe(other.eyes!.missSide);
      },
    ),
    { numRuns: 30 },
  );
});

test('rules are written so that they read back the same', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 12 }),
      fc.integer({ min: -5, max: 5 }),
      fc.integer({ min: 1, max: 6 }),
      fc.integer({ min: 1, max: 4 }),
      fc.constantFrom('foot', 'split'),
      (apart, rise, wide, high, seat) => {
        const eyes = part(
          `Eyes: 9 mm, ${apart} rounds apart${rise === 0 ? '' : `, ${Math.abs(rise)} stitches ${rise > 0 ? 'above' : 'below'} the front line`}${seat === 'split' ? ', in the splits' : ''}.`,
        ).eyes!;
        expect(part(ruleSentence(eyes.rule)).eyes!.rule).toEqual(eyes.rule);
        for (const said of [
          `Nose: satin, ${high} stitches below the eyes, ${wide} rounds wide, ${high} stitches high`,
          `Cheeks: felt, 8 mm, ${high} stitches below the eyes, ${wide} rounds outside the eyes`,
          `Mouth: level with the eyes, between R8 and R9 and between R13 and R14`,
        ]) {
          const [feature] = part(`${eyesSaid}${said}`).features;
          expect(part(`${eyesSaid}${ruleSentence(feature!.rule)}`).features[0]!.rule).toEqual(feature!.rule);
        }
      },
    ),
    { numRuns: 25 },
  );
});

test('on the stuffed form the eyes are level and the face is in the middle', () => {
  const face = part(
    `${eyesSaid}Mouth: 5 stitches below the eyes, 4 rounds wide. Felt cheeks, 8 mm, 3 stitches below the eyes, 1 round outside the eyes.`,
  );
  const form = relaxForm(formInputOf(face));
  const seen = eyesOnForm(face.form, face.eyes!, form, standOf(face))!;
  expect(Math.abs(seen.rightHigherMm)).toBeLessThan(1);
  expect(Math.abs(seen.offMm)).toBeLessThan(2);
  expect(seen.straightMm).toBeGreaterThan(14);
  const [mouth, cheeks] = face.features.map((feature) =>
    featureOnForm(face.form, feature, form, standOf(face))!,
  );
  expect(Math.abs(mouth!.offMm)).toBeLessThan(2);
  expect(Math.abs(cheeks!.rightHigherMm!)).toBeLessThan(3);
});

test('on a part that stands, stitches up and down are asked about and taken as rounds', () => {
  const upright = part(
    'Eyes: 8 mm, between R9 and R10, 7 apart (6 showing). Mouth: 4 stitches below the eyes, 3 stitches wide.',
    'top',
  );
  expect(upright.features[0]).toMatchObject({ line: 13 });
  const [asked] = upright.features[0]!.problems.filter(({ code }) => code === 'up-in-rounds');
  expect(asked?.suggestions[0]?.edits[0]?.text).toContain('4 rounds below the eyes');
  const wide = part(
    'Eyes: 8 mm, between R9 and R10, 7 rounds apart. Mouth: 4 rounds below the eyes, 3 rounds wide.',
    'top',
  );
  expect(codes(wide.eyes!.problems)).toContain('across-in-rounds');
  expect(
    wide.features[0]!.problems.find(({ code }) => code === 'across-in-rounds')?.suggestions[0]?.edits[0]
      ?.text,
  ).toContain('3 stitches wide');
});
