import { featureCorpus, featureHead } from '../__tests__/featureCorpus';
import { applyEdits } from '../notation/applyEdits';
import { readSentences } from '../notation/sentence/readSentences';
import type { FeatureKind } from '../notation/sentence/said';
import { analyseFaces as analyseToy, headWith, type FacePart as PartAnalysis } from '../__tests__/faces';
import { frameOfPart } from '../toy/analyse';
import { ruleEdits } from './move/front';
import { withApart, raised, widened } from './move/step';
import { ruleSentence } from './rule/writeRule';
import { featureWords } from './words/directions';
import { landmarkLines } from './frame/landmarks';
import { featureLibrary } from './rule/library';

const asking = new Set([
  'as-usual',
  'how-far',
  'words-unused',
  'stitch-of-round',
  'stitch-missing',
  'anchor-missing',
  'gap-missing',
  'feature-where',
  'feature-on-round',
  'feature-two-places',
  'feature-spacing',
  'landmark-missing',
  'landmark-ambiguous',
  'anchor-circle',
  'apart-impossible',
  'not-centred',
]);
const kinds = Object.keys(featureLibrary) as FeatureKind[];
const only = (part: PartAnalysis) => part.features[0]!;

describe('sentences, worked out by hand', () => {
  test('there are sixty and more of them', () => {
    expect(featureCorpus.length).toBeGreaterThanOrEqual(60);
  });

  // Left-handed work runs the other way round; so does a head that starts at the chin. Both together run as at first.
  describe.each([
    ['', true],
    ['Hand: left\n', false],
    ['Start: bottom\n', false],
    ['Hand: left\nStart: bottom\n', true],
  ] as const)('%j', (header, leftFirst) => {
    const start = header.includes('bottom') ? 'bottom' : 'top';

    test.each(featureCorpus.map((one) => [one.sentence, one] as const))(
      '%s',
      (sentence, { top, bottom = top, asks, side }) => {
        const [line, holes] = start === 'top' ? top : bottom;
        const placed = only(headWith(sentence, header));
        expect(placed.line).toBe(line);
        if (holes) {
          const inOrder = leftFirst ? holes : [...holes].reverse();
          const wanted =
            side === 'left' ? inOrder.slice(0, 1) : side === 'right' ? inOrder.slice(1) : inOrder;
          expect(placed.units.map(({ from, to }) => [from, to])).toEqual(wanted);
          expect(placed.units.map((unit) => unit.side)).toEqual(
            holes.length === 1 ? ['middle'] : side ? [side] : ['left', 'right'],
          );
        }
        const codes = placed.problems.map((problem) => problem.code);
        if (asks) expect(codes).toContain(asks);
        else expect(codes.filter((code) => asking.has(code))).toEqual([]);
      },
    );
  });

  test('below is towards the feet, whichever end the work began at', () => {
    expect(only(headWith('Mouth 4 rounds below the eyes, 3 wide')).line).toBe(19);
    expect(only(headWith('Mouth 4 rounds below the eyes, 3 wide', 'Start: bottom\n')).line).toBe(11);
    expect(only(headWith('Mouth 3 rounds up from the base, 3 wide', 'Start: bottom\n')).line).toBe(3);
  });

  test('landmarks are found, or missed in words', () => {
    const { fabric } = headWith('');
    expect(
      (['ridge', 'colour change', 'edge', 'base'] as const).map((landmark) =>
        landmarkLines(fabric, landmark),
      ),
    ).toEqual([[20], [12], [29], [0]]);
    const plain = analyseToy(
      'Head\nR1: 6 sc in ring\nR2: inc x 6\nR3-R6: sc around\nMouth 1 round below the ridge, 3 wide',
    ).parts[0]!;
    expect(plain.features[0]!.problems[0]).toMatchObject({ code: 'landmark-missing', severity: 'error' });
  });

  test('a circle is named, and everything is placed all the same', () => {
    const part = headWith('Nose 1 round below the mouth, 3 wide.\nMouth 2 rounds below the nose, 3 wide.');
    expect(part.features).toHaveLength(2);
    expect(part.features.flatMap((feature) => feature.problems.map((problem) => problem.code))).toContain(
      'anchor-circle',
    );
  });
});

describe('what is said and not read', () => {
  const unused = (sentence: string) =>
    readSentences(sentence, 1).flatMap((step) => (step.kind === 'feature' ? (step.unused ?? []) : []));

  test.each([
    ['Sew two 6 mm buttons, one below the other, 3 rounds below the ridge', 'one below the other'],
    ['Brows 3 rounds above the eyes, slanting inward', 'slanting inward'],
    ['Mouth 4 rounds below the eyes, 3 rounds above the ridge, 3 wide', '3 rounds above the ridge'],
    ['Nose between R15 and R16, 3 wide, a bit higher if you like', 'a bit higher if you like'],
    ['Embroider nose and mouth between R16 and R17, 3 wide', 'Embroider nose and mouth between R16 and R17'],
    ['Brows 2 rounds above the eyes, slightly outward', 'slightly outward'],
    ['Sew a 25 mm bow on the top of the head', 'Sew a 25 mm bow on the top of the head'],
    ['Whiskers between R17 and R18, at the edge of the muzzle', 'at the edge of the muzzle'],
    ['Hair line from R10 to R15, 1 wide: 4 rounds in all', '4 rounds in all'],
    ['Cheeks at round 17 or at round 18, 9 apart', 'Cheeks at round 17 or at round 18'],
  ])('%s', (sentence, clause) => {
    expect(unused(sentence)).toEqual([clause]);
  });

  test.each([
    'Embroider the mouth with 2 strands of black yarn, 4 rounds below the eyes, 3 wide',
    'Embroider the nose with 4 short stitches, between R15 and R16, 3 wide',
    'Insert two 8 mm eyes between R15 and R16, 6 showing',
    'Embroider three whiskers on each side of the nose',
    'Mouth: a smile held down at the middle, 4 rounds below the eyes, 3 wide',
    'Sew on both 10 mm buttons between R20 and R21',
    'Sew felt cheek patches, 8 mm, 2 rounds below the eyes',
    'Felt cheeks, 8 mm, level with the eyes, just outside the eyes',
    'Sculpt the face: in above the eyes, out below the eyes, pull together twice',
    'Embroider the mouth 4 rounds below the eyes, 3 wide, under the nose',
  ])('nothing in: %s', (sentence) => {
    expect(unused(sentence).filter((clause) => clause !== 'under the nose')).toEqual([]);
  });

  test.each([
    ['Embroider three spots between R15 and R16', 'three spots', '2 of them are planned'],
    ['Spots: 5 on the head between R15 and R16', '5', '2 of them are planned'],
    ['Sew 3 small felt spots on between R15 and R16', '3 small felt spots', 'of them'],
    ['Sew three 6 mm buttons between R15 and R16', 'three 6 mm buttons', 'only one of them is planned'],
    ['Four eyes: 8 mm, between R15 and R16, 6 showing', 'Four eyes', '2 of them are planned'],
    ['Eyes: 3 of 8 mm, between R15 and R16, 6 showing', '3', '2 of them are planned'],
  ])('more of it than is planned is told: %s', (sentence, words, told) => {
    const found = headWith(`${sentence}.\n`).problems.filter(({ code }) => code === 'words-unused');
    expect(found.map(({ message }) => message)).toEqual([expect.stringContaining(`“${words}”`)]);
    expect(found[0]!.message).toContain(told);
  });

  test.each([
    'Insert two 8 mm eyes between R15 and R16, 6 showing',
    'Place 9 mm eyes between R15 and R16, 6 showing',
    'Between rounds 15 and 16, two safety eyes, 6 showing',
    'Eyes: 2 x 8 mm, between R15 and R16, 6 showing',
    'Sew two felt cheeks, 8 mm, 2 rounds below R15',
    'Embroider one spot between R15 and R16',
    'Embroider two eyebrows between R12 and R13',
    'With 2 strands embroider the eyebrows between R12 and R13',
    'Place the eyes between rounds 15 and 16, 6 stitches showing',
  ])('as many as are planned: %s', (sentence) => {
    const codes = headWith(`${sentence}.\n`).problems.map(({ message }) => message);
    expect(codes.filter((message) => message.includes('planned.'))).toEqual([]);
  });

  test('it says so, and can be kept as placed or said by a number', () => {
    const text = `${featureHead}Brows 3 rounds above the eyes, slanting inward.\nNose under the eyes, 3 wide.\n`;
    const { features } = analyseToy(text).parts[0]!;
    const asked = features.map(({ problems }) =>
      problems.find(({ code }) => code === 'words-unused' || code === 'how-far')!,
    );
    expect(asked.map(({ message }) => message)).toEqual([
      expect.stringContaining('“slanting inward” could not be read'),
      expect.stringContaining('“under the eyes” does not say how far'),
    ]);
    const [kept, two] = [
      applyEdits(text, asked[0]!.suggestions[0]!.edits),
      applyEdits(text, asked[1]!.suggestions[1]!.edits),
    ];
    expect(analyseToy(kept).parts[0]!.features[0]!.units).toEqual(features[0]!.units);
    expect(analyseToy(kept).parts[0]!.problems.map(({ code }) => code)).not.toContain('words-unused');
    expect(analyseToy(two).parts[0]!.features[1]!.line).toBe(17);
  });

  test('eyes too, and on a part that lies on its side', () => {
    const codes = (sentences: string, header = '') =>
      headWith(sentences, header).problems.map(({ code }) => code);
    expect(codes('Eyes: 8 mm, between R15 and R16, 7 apart, a little lower on the left.')).toContain(
      'words-unused',
    );
    expect(codes('Eyes: 8 mm, above the ridge, 7 apart.')).toContain('how-far');
    expect(
      codes(
        'Eyes: 8 mm, between R12 and R13 and between R17 and R18, slanted.\nMouth below the eyes, 3 rounds wide.',
        'Start: left\n',
      ),
    ).toEqual(expect.arrayContaining(['words-unused', 'how-far']));
  });
});

describe('needle', () => {
  test('a smile is one long stitch held at its middle a round lower', () => {
    const { needle } = only(headWith('Embroider a smile 4 rounds below the eyes, 3 stitches wide.'));
    expect(needle!.points.map(({ act, line }) => [act, line])).toEqual([
      ['out', 19],
      ['in', 19],
      ['out', 20],
      ['in', 20],
    ]);
    const [from, to, hold, again] = needle!.points.map(({ hole }) => hole);
    expect([from, to]).toEqual([18, 21]);
    expect(again).toBe(hold);
    // Held down, it lies as two strokes.
    expect(needle!.lies).toEqual([
      [0, 2],
      [2, 1],
    ]);
    expect(needle!.threadMm).toBeGreaterThan(300);
    expect(needle!.threadMm).toBeLessThan(420);
  });

  test('a row of short stitches goes back over each', () => {
    const { needle } = only(headWith('Mouth: a row of short stitches, between R18 and R19, 3 wide.'));
    expect(needle!.points.map(({ act, hole }) => `${act} ${hole}`)).toEqual([
      'out 19',
      'in 18',
      'out 20',
      'in 19',
      'out 21',
      'in 20',
    ]);
  });

  test('a triangle narrows to one hole', () => {
    const { needle } = only(
      headWith('Satin stitch a triangle nose between R10 and R11, 3 wide, 2 rounds high.'),
    );
    const down = needle!.points.filter(({ act, line }) => act === 'in' && line === 12);
    expect(down.length).toBe(4);
    expect(new Set(down.map(({ hole }) => hole)).size).toBe(1);
  });

  test('sculpting goes top, bottom, bottom, top, twice, and comes back to where it began', () => {
    const { needle } = only(headWith('Sculpt the eyes.'));
    expect(needle!.points.map(({ line }) => line)).toEqual([14, 16, 16, 14, 14, 16, 16, 14]);
    expect(needle!.knot).toContain('first hole');
  });

  test('what is sewn on has no needle path, what is stitched always comes out before it goes in', () => {
    expect(
      only(headWith('Felt cheeks, 8 mm, 2 rounds below the eyes, 1 stitch outside the eyes')).needle,
    ).toBeNull();
    for (const kind of kinds) {
      for (const placed of headWith(`${featureLibrary[kind].name}: satin stitch, between R11 and R12`)
        .features) {
        placed.needle?.points.forEach((point, i) => expect(point.act).toBe(i % 2 === 0 ? 'out' : 'in'));
        for (const point of placed.needle?.points ?? []) {
          expect(point.hole).toBeGreaterThanOrEqual(1);
          expect(point.hole).toBeLessThanOrEqual(36);
        }
      }
    }
  });

  test('three wordings of the same place', () => {
    const part = headWith('Brows 3 rounds above the eyes, 7 apart, 2 wide.');
    const words = featureWords(only(part), frameOfPart(part), part.eyes);
    expect(words.address).toBe(
      'Brows between round 12 and 13, left holes 13 to 15, right holes 20 to 22 of 36',
    );
    expect(words.count).toContain('stitches 13, 15, 20 and 22 of 36');
    // The front is 17.75 there, the eyes 3.5 to either side of it: holes 15 and 20 are 0.75 and 1.25 nearer to the middle.
    expect(words.there).toBe(
      'From the left eye’s hole 3 rounds straight up, then 1 stitch towards the middle: the inner end of the left one; from the right eye’s hole 3 rounds straight up, then 1½ stitches towards the middle: the inner end of the right one. The line of holes is on the same line as the colour change, 8 rounds above the ridge, 17 rounds from the last round.',
    );
    expect(words.markers).toContain('While working round 13');
    expect(words.check).toMatch(/^Check: 4 whole stitches show between the two/);
  });
});

describe('above and below what covers several rounds', () => {
  const nose = 'Nose: triangle, between R16 and R17, 3 wide, 2 high.\n';

  test('counts from its edge, at both start ends', () => {
    const lines = (sentence: string, header = '') =>
      headWith(nose + sentence, header).features.map((feature) => feature.line);
    expect(lines('Mouth 1 round below the nose, 3 wide.')).toEqual([16, 19]);
    expect(lines('Mouth 1 round below the nose, 3 wide.', 'Start: bottom\n')).toEqual([16, 13]);
    expect(lines('Felt spots, 4 mm, 2 rounds above the nose, 6 apart.')).toEqual([16, 14]);
    expect(lines('Cheeks level with the nose, 9 apart.')).toEqual([16, 16]);
    expect(
      headWith(`${nose}Mouth 1 round below the nose, 3 wide.`).problems.map(({ code }) => code),
    ).not.toContain('features-overlap');
    expect(headWith(`${nose}Mouth between R17 and R18, 3 wide.`).problems.map(({ code }) => code)).toContain(
      'features-overlap',
    );
  });

  test('from one round to another it covers those rounds, worked from its upper end', () => {
    const across = (header: string) =>
      headWith('Nose: triangle, from R16 to R19, 3 wide.', header).features[0]!;
    expect([across('').line, across('').needle!.points.map(({ line }) => line)]).toEqual([
      16,
      expect.arrayContaining([16, 19]),
    ]);
    expect(Math.max(...across('').needle!.points.map(({ line }) => line))).toBe(19);
    expect(across('Start: bottom\n').line).toBe(19);
    expect(Math.min(...across('Start: bottom\n').needle!.points.map(({ line }) => line))).toBe(16);
  });

  test.each(['', 'Start: bottom\n'])('moving by thumb goes line by line past its edges: %j', (header) => {
    let [mouth] = headWith(`Mouth: row, 3 rounds above the nose, 3 wide.\n${nose}`, header).features;
    const lines = [mouth!.line];
    for (let i = 0; i < 8; i += 1) {
      const part = headWith(`${nose}${ruleSentence(mouth!.rule)}.`, header);
      const now = part.features[1]!;
      const rule = raised(frameOfPart(part), now, -1)!;
      mouth = headWith(`${nose}${ruleSentence(rule)}.`, header).features[1];
      lines.push(mouth!.line);
    }
    const down = header === '' ? 1 : -1;
    expect(lines).toEqual(lines.map((_, i) => lines[0]! + down * i));
  });
});

describe('stitches by their numbers', () => {
  const textAt = (holes: string, header = '') =>
    `${header.includes('Hand') ? header : ''}${featureHead.replace('Head\n', `Head\n${header.includes('Start') ? header : ''}`).replace(/Eyes:.*\n/, `Insert 8 mm eyes between R15 and R16 at stitches ${holes}.\n`)}`;
  const eyesAt = (holes: string, header = '') => analyseToy(textAt(holes, header));
  const posts = (toy: ReturnType<typeof analyseToy>) =>
    toy.parts[0]!.eyes!.units.map(({ side, from }) => [side, from]);

  test('eyes go where they are said to, on every hand and start end', () => {
    expect(posts(eyesAt('15 and 22'))).toEqual([
      ['left', 15],
      ['right', 22],
    ]);
    expect(posts(eyesAt('15 and 22', 'Hand: left\n'))).toEqual([
      ['left', 22],
      ['right', 15],
    ]);
    expect(posts(eyesAt('22 and 15', 'Start: bottom\n'))).toEqual([
      ['left', 22],
      ['right', 15],
    ]);
    expect(eyesAt('15 and 22').parts[0]!.eyes).toMatchObject({
      apart: 7,
      rule: { sideways: { by: 'holes', holes: [15, 22] } },
      missStitches: 0,
    });
    // Around the start of the round: 34, 35, 36, 1, 2, 3.
    expect(eyesAt('34 and 3').parts[0]!.eyes!.apart).toBe(5);
  });

  test('the face is where its eyes are: the front goes with them and says so, and what hangs on it', () => {
    const text = `${textAt('13 and 20')}Mouth: row, between R15 and R16, 3 wide.\n`;
    const { eyes, features, problems } = analyseToy(text).parts[0]!;
    expect([eyes!.missStitches, features[0]!.units.map(({ from, to }) => [from, to])]).toEqual([
      0,
      [[15, 18]],
    ]);
    expect(problems.find(({ code }) => code === 'front-by-eyes')?.message).toMatch(
      /^Stitches 13 and 20 put the front 2 stitches beside/,
    );
    expect(analyseToy(textAt('15 and 22')).parts[0]!.problems.map(({ code }) => code)).not.toContain(
      'front-by-eyes',
    );
    // Moved by thumb they keep that front, and the mouth its place.
    const part = analyseToy(text).parts[0]!;
    const wider = analyseToy(
      applyEdits(text, ruleEdits(part.form, part.eyes!, withApart(frameOfPart(part), part.eyes!, 9)!)),
    ).parts[0]!;
    expect(wider.eyes!.units.map(({ from }) => from)).toEqual([12, 21]);
    expect(wider.features[0]!.units.map(({ from, to }) => [from, to])).toEqual([[15, 18]]);
  });

  test('beside a front that is set they say so; it can be moved to them, and they stay', () => {
    const text = textAt('13 and 20').replace('Head\n', 'Head\nFront: stitch 18.5 of round 16\n');
    const { eyes, problems } = analyseToy(text).parts[0]!;
    expect(Math.round(eyes!.missStitches)).toBe(-2);
    const move = problems
      .find(({ code }) => code === 'not-centred')!
      .suggestions.find(({ title }) => title === 'Move the front')!;
    const after = analyseToy(applyEdits(text, move.edits)).parts[0]!;
    expect(after.eyes!.units.map(({ from }) => from)).toEqual([13, 20]);
    expect(after.eyes!.missStitches).toBeCloseTo(0, 1);
    expect(after.problems.map(({ code }) => code)).not.toContain('not-centred');
  });

  test('numbers there are not, twice the same, or only one: it says so', () => {
    const codes = (holes: string) => eyesAt(holes).parts[0]!.problems.map(({ code }) => code);
    expect(codes('15 and 44')).toContain('stitch-missing');
    expect(codes('15 and 15')).toContain('same-hole');
    expect(
      analyseToy(
        `${featureHead.replace(/Eyes:.*\n/, 'Insert 8 mm eyes between R15 and R16 at stitch 15.\n')}`,
      ).parts[0]!.problems.map(({ code }) => code),
    ).toContain('eyes-spacing');
    expect(
      headWith('Mouth between R12 and R13, at stitch 15, 3 rounds wide.', 'Start: left\n').problems.map(
        ({ code }) => code,
      ),
    ).toContain('words-unused');
  });

  test('moved up by thumb they keep their distance, not their numbers', () => {
    const part = headWith(
      'Sew 6 mm buttons between R19 and R20 at stitches 16 and 23. Sew a 10 mm button at stitch 4, between R20 and R21. Mouth between R18 and R19, at stitches 18 and 21.',
    );
    const up = part.features.map((feature) => raised(frameOfPart(part), feature, 1)!.sideways);
    expect(up).toEqual([
      { by: 'apart', apart: 7 },
      { by: 'outward', stitches: 16, from: 'front' },
      { by: 'front' },
    ]);
    expect(widened(frameOfPart(part), part.features[2]!, 1)!.sideways).toEqual({ by: 'front' });
  });
});

test('what belongs to each eye goes with the eyes as they are seated', () => {
  // 8 apart on the line of the eyes is half a stitch off the middle: 14 and 22. Their inner edges lie 0.8 of a stitch inside, which is a hole.
  const eyes = 'Eyes: 8 mm, between R15 and R16, 8 apart (7 showing), in the holes.\n';
  const beside = (sentence: string) => headWith(`${eyes}${sentence}`).features[0]!;
  const posts = headWith(eyes)
    .eyes!.units.map(({ from }) => from)
    .sort((a, b) => a - b);
  expect(posts[1]! - posts[0]!).toBe(8);
  expect(
    beside('Sculpt the eyes.')
      .units.map(({ from }) => from)
      .sort((a, b) => a - b),
  ).toEqual([posts[0]! + 1, posts[1]! - 1]);
  expect(
    beside('Sew felt patches, 12 mm, over both eyes.')
      .units.map(({ from }) => from)
      .sort((a, b) => a - b),
  ).toEqual(posts);
});
