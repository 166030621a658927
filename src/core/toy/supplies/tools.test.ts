import { ballOf24 } from '../../__tests__/ballOf24';
import { analyseToy } from '../analyse';
import { needLines, suppliesOf, supplyLines } from './suppliesOf';
import { toolUseWords, type ToolKind, type ToolNeed } from './tools';

const eyes = 'Insert 8 mm eyes between R6 and R7, 4 showing.';
const ear = ['R1: 6 sc in magic ring', 'R2: inc x 6', 'R3: sc around'];
const open = 'Fasten off, leaving a long tail for sewing.';

const toolsIn = (...lines: string[]): ToolNeed[] =>
  suppliesOf(analyseToy(['Gauge: 5 mm x 4 mm', ...lines].join('\n'))).tools;
const countOf = (tools: readonly ToolNeed[], kind: ToolKind): number =>
  tools.filter((tool) => tool.kind === kind).reduce((sum, { count }) => sum + count, 0);
const whyOf = (tools: readonly ToolNeed[], kind: ToolKind) =>
  tools.flatMap((tool) => (tool.kind === kind && tool.use ? [toolUseWords(tool.use)] : []))[0];
const hooksIn = (...lines: string[]) =>
  toolsIn(...lines, 'Head', ...ballOf24).flatMap(({ kind, sizeMm }) =>
    kind === 'crochet hook' ? [sizeMm] : [],
  );

describe('markers, where most are in use at once', () => {
  test('a spiral has one where its round begins', () => {
    expect(countOf(toolsIn('Head', ...ballOf24), 'stitch marker')).toBe(1);
  });

  test('joined rounds and rows are found without', () => {
    expect(countOf(toolsIn('Head', 'Rounds: joined', ...ballOf24), 'stitch marker')).toBe(0);
    const rows = ['Scarf', 'Row 1: ch 11, sc in 2nd ch from hook and across', 'Row 2: ch 1, turn, sc across'];
    expect(countOf(toolsIn(...rows), 'stitch marker')).toBe(0);
  });

  // The eyes go in after round 9: until then both their stitches of round 7 are marked.
  test('the posts of the eyes are marked until the eyes are in', () => {
    const tools = toolsIn('Head', ...ballOf24, eyes);
    expect(countOf(tools, 'stitch marker')).toBe(3);
    expect(whyOf(tools, 'stitch marker')).toBe('1 where a round begins, 2 where something is put on later');
  });

  // Their middles are marked in round 9, while the eyes are still out.
  test('cheeks that are sewn on in the end are marked beside them', () => {
    const cheeks = 'Felt cheeks, 8 mm, 1 stitch outside the eyes, 2 rounds below the eyes.';
    expect(countOf(toolsIn('Head', ...ballOf24, eyes, cheeks), 'stitch marker')).toBe(5);
  });

  // Each head keeps the two marks of its cheeks to the end; the second has those of its eyes and its round beside them.
  test('a second piece comes on top of what still waits on the first', () => {
    const cheeks = 'Felt cheeks, 8 mm, 1 stitch outside the eyes, 2 rounds below the eyes.';
    expect(countOf(toolsIn('Head (make 2)', ...ballOf24, eyes, cheeks), 'stitch marker')).toBe(7);
  });

  test('a piece that is laid aside has one on its loop and one where its round begins', () => {
    const tools = toolsIn(
      'Body',
      ...ballOf24.slice(0, 3),
      'R4: in BLO, sc around',
      'R5: sc around',
      'R6: sc 4, sc 4 through the skirt and the body, sc 10',
      'Skirt',
      'R1: join yarn in the front loops of R3 of the body, sc around',
      'R2: sc around',
    );
    expect(countOf(tools, 'stitch marker')).toBe(3);
    expect(whyOf(tools, 'stitch marker')).toBe('2 where a round begins, 1 to hold a loop that is laid aside');
  });
});

describe('pins, by the piece that takes most', () => {
  const sewn = 'Sew the ears to the body on round 4, left and right.';

  test('an open edge has four, one ear after the other', () => {
    const tools = toolsIn('Body', ...ballOf24, 'Ears (make 2)', ...ear, open, sewn);
    expect(countOf(tools, 'pin')).toBe(4);
    expect(whyOf(tools, 'pin')).toBe('for one piece at a time');
  });

  test('a piece that goes nowhere yet is tried with four', () => {
    const tools = toolsIn('Body', ...ballOf24, 'Tail', ...ear, open);
    expect(countOf(tools, 'pin')).toBe(4);
    expect(whyOf(tools, 'pin')).toBe('for the tail');
  });

  test('a single piece has none', () => {
    expect(countOf(toolsIn('Body', ...ballOf24), 'pin')).toBe(0);
  });
});

describe('needles', () => {
  test('a blunt one for ends, a sewing needle for what is stitched or sewn on, none for pressed eyes', () => {
    const plain = toolsIn('Head', ...ballOf24, eyes);
    expect(countOf(plain, 'darning needle')).toBe(1);
    expect(countOf(plain, 'sewing needle')).toBe(0);
    const mouth = 'Embroider a mouth between R8 and R9, 4 stitches wide.';
    expect(countOf(toolsIn('Head', ...ballOf24, mouth), 'sewing needle')).toBe(1);
    const button = 'Sew a 10 mm button at the back between R6 and R7.';
    expect(countOf(toolsIn('Head', ...ballOf24, button), 'sewing needle')).toBe(1);
  });

  test('a long one reaches through what is pulled through, and 20 mm are left to hold', () => {
    const strand = ['Strand', 'R1: ch 31, sc in 2nd ch from hook and in each ch across [30]'];
    const pulled = 'Pull the strand through the head from side to side at round 7.';
    const tools = toolsIn('Head', ...ballOf24, ...strand, 'Assembly', pulled);
    const long = tools.find(({ kind }) => kind === 'long needle');
    // 24 stitches of 5 mm go round 38.2 mm; with 20 mm more the next five is 60.
    expect(long).toEqual({ kind: 'long needle', sizeMm: 60, count: 1, use: { of: 'through', part: 'head' } });
  });
});

describe('hooks, one of each size the text names', () => {
  test.each<[string[], (number | null)[]]>([
    [['Hook: 3.5 mm'], [3.5]],
    [['Hook: 3,5 mm'], [3.5]],
    [['Hook: 3.5 mm and 3 mm'], [3, 3.5]],
    [
      ['Hook: 3.5 mm', 'Work the ears with a 2.5 mm hook.'],
      [2.5, 3.5],
    ],
    [['Hook: 3.5 mm', 'Change to a 3.5-mm hook.'], [3.5]],
    [['Hook: 3.5 mm', '// a 9 mm hook is too large'], [3.5]],
    [['Hook: E/4'], [null]],
    [['Hook: C/2.75mm for the head, D-3.25mm for the body'], [2.75, 3.25]],
    [['You need a hook 7 (4.5 mm).'], [4.5]],
    [['You need a hook size E/4 (3.5 mm).'], [3.5]],
    [['Use a 2 mm hook for 6 mm eyes.'], [2]],
    [['Hook: 3.5-4 mm'], [null]],
    [['You need a 3.5 or 4 mm hook.'], [null]],
    [
      ['Hook: 3 mm', 'You need a 3 mm or 3.5 mm hook.'],
      [3, null],
    ],
    [[], [null]],
  ])('%j', (lines, sizes) => {
    expect(hooksIn(...lines)).toEqual(sizes);
  });

  test('a size that is not in mm stands as it is said; where none is said, that is said', () => {
    expect(whyOf(toolsIn('Hook: E/4', 'Head', ...ballOf24), 'crochet hook')).toBe('E/4');
    expect(whyOf(toolsIn('Head', ...ballOf24), 'crochet hook')).toBe('the pattern names no size');
    expect(whyOf(toolsIn('Hook: 3,5–4 mm', 'Head', ...ballOf24), 'crochet hook')).toBe('3,5–4 mm');
  });
});

test('as many for twelve toys as for one, behind what they take', () => {
  const toy = analyseToy(['Hook: 3 mm', 'Head', ...ballOf24, eyes].join('\n'));
  expect(suppliesOf(toy, 12).tools).toEqual(suppliesOf(toy).tools);
  const supplies = suppliesOf(toy);
  expect(needLines(supplies).slice(supplyLines(supplies).length)).toEqual([
    'Crochet hook, 3 mm',
    'Darning needle, blunt',
    '3 stitch markers: 1 where a round begins, 2 where something is put on later',
  ]);
});

test('nothing is made with nothing', () => {
  expect(suppliesOf(analyseToy('')).tools).toEqual([]);
});
