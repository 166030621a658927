import { ballOf24 } from '../../__tests__/ballOf24';
import { analyseToy } from '../analyse';
import { ballLasts } from './ballLasts';
import { inOtherColour } from './otherColour';
import { leftOut, suppliesOf } from './suppliesOf';

// Over a gauge of 5 × 4 mm and yarn of 2.5 mm: a slip stitch that lies along the fabric is as long as a round is high, with two legs of
// 0.35 rounds, half a turn, and the yarn beneath it.
const surfaceSl = 2 * 4 + 2 * 0.35 * 4 + (Math.PI * 2.5) / 2 + 4;
const surfaceSc = 2 * 4 + 2 * 4 + Math.PI * 2.5 + 4;
const bothEnds = 240;

const two = ['Yarn A: medium, grey', 'Yarn B: medium, oat'];
const toyWith = (before: string[], heading: string, ...lines: string[]) =>
  analyseToy(['Gauge: 5 mm x 4 mm', ...before, heading, ...ballOf24, ...lines].join('\n'));

/** What sentences add to a toy, in mm, by yarn; and what they leave out. */
function added(before: string[], heading: string, ...lines: string[]) {
  const metresOf = (...said: string[]) => {
    const { yarns } = suppliesOf(toyWith(before, heading, ...said));
    return new Map(yarns.map(({ name, metres }) => [name, metres * 1000]));
  };
  const [without, having] = [metresOf(), metresOf(...lines)];
  const more = [...having].flatMap(([name, mm]) => {
    const by = Math.round(mm - (without.get(name) ?? 0));
    return by === 0 ? [] : [[name, by]];
  });
  return { more, left: leftOut(suppliesOf(toyWith(before, heading, ...lines))) };
}

// Between R3 and R9 lie six lines of holes, so five stitches; every second of 24 stitches is twelve.
test.each<[string, string[], string, string[], unknown[]]>([
  [
    'strands of a length that is said',
    [],
    'Head',
    ['Knot a fringe of 10 cm strands into every second stitch of round 7.'],
    [['main yarn', 1200]],
  ],
  [
    'on two heads twice',
    [],
    'Head (make 2)',
    ['Knot a fringe of 10 cm strands into every second stitch of round 7.'],
    [['main yarn', 2400]],
  ],
  [
    'slip stitches along the back, with both ends',
    [],
    'Head',
    ['Surface slip stitch along the back from R3 to R9.'],
    [['main yarn', Math.round(5 * surfaceSl + bothEnds)]],
  ],
  [
    'single crochet along the back',
    [],
    'Head',
    ['Work surface sc along the back from R3 to R9.'],
    [['main yarn', Math.round(5 * surfaceSc + bothEnds)]],
  ],
  [
    'along both sides, in the yarn that is named',
    two,
    'Head\nin A',
    ['Work surface slip stitches in B along both sides from R3 to R9.'],
    [['B', Math.round(2 * (5 * surfaceSl + bothEnds))]],
  ],
])('%s', (_name, before, heading, lines, more) => {
  expect(added(before, heading, ...lines)).toEqual({ more, left: [] });
});

test.each([
  [
    [],
    'Knot a fringe into every second stitch of round 7.',
    'Not counted: the yarn of the fringe on the head, which depends on how long it hangs',
  ],
  [
    [],
    'Work a crest along the back from R3 to R9.',
    'Not counted: the yarn of the crest on the head, which depends on how tall it grows',
  ],
  [
    [],
    'Crocheted eyes, 10 mm, between R6 and R7, 4 showing.',
    'Not counted: the yarn of the crocheted eyes on the head, whose rounds are in no text',
  ],
  [
    [],
    'Eyes: 8 mm, between R6 and R7, 4 showing, with crocheted rings of 12 mm.',
    'Not counted: the yarn of the rings behind the eyes on the head, whose rounds are in no text',
  ],
  [
    two,
    'Knot a fringe of 10 cm strands into every second stitch of round 7.',
    'Not counted: the fringe on the head, 1.2 m of a yarn that is not said',
  ],
])('%j, %s', (before, sentence, told) => {
  expect(added(before, before.length > 0 ? 'Head\nin A' : 'Head', sentence)).toEqual({
    more: [],
    left: [told],
  });
});

test('with a hook is in no yarn A, and two strands of a medium yarn are of both', () => {
  const fringe = 'Knot a fringe of 10 cm strands into every second stitch of round 7, with a small hook.';
  expect(added(two, 'Head\nin A', fringe).left).toHaveLength(1);
  const [plain, held] = ['', 'Hold two strands of a medium yarn together.'].map((line) =>
    suppliesOf(toyWith([...two, line], 'Head\nin B')).yarns.find(({ name }) => name === 'B')!,
  );
  expect([plain!.strands, held!.strands]).toEqual([1, 2]);
});

test('a ball that would last for the rounds alone ends at what is worked onto them', () => {
  const fringe = 'Knot a fringe of 10 cm strands into every second stitch of round 7.';
  const [plain, fringed] = [toyWith([], 'Head'), toyWith([], 'Head', fringe)];
  const there = suppliesOf(plain).yarns[0]!.metres + 1;
  expect(ballLasts(plain, 'main yarn', there).ends).toBeNull();
  expect(ballLasts(fringed, 'main yarn', there).ends).toEqual({ unit: 'Head', round: null });
  expect(ballLasts(fringed, 'main yarn', there + 0.2).leftM).toBeCloseTo(0, 9);
  // A stripe frees 0.2 m; a toy of one piece has no other way.
  expect(inOtherColour(fringed, 'main yarn', there)).toHaveLength(1);
});
