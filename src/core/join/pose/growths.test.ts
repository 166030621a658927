import { analyseToy } from '../../toy/analyse';
import { assembled } from '../../toy/assembled';
import { linesOf } from './growths';
import type { Looking } from './looking';

const looking: Looking = { yaw: 0, pulled: 0, segments: 16 };

/** Ten rounds up of a tube of 20 stitches of 5 mm on a ring of its own, in brown and, at its top, red. */
const tube = (sentence: string) => {
  const toy = analyseToy(
    [
      'Gauge: 5 mm x 5 mm\nLean: 0\nYarn A: brown\nYarn B: red\n',
      'Body\nStart: bottom\nin brown\nR1: 5 sc in mr [5]\nR2: inc x 5 [10]\nR3: inc x 10 [20]\nR4-R12: sc around [20]\nR13: in red, sc around [20]',
      sentence,
    ].join('\n'),
  );
  const [body] = assembled(toy);
  return { faces: linesOf(body!, 0, looking), palette: body!.part.fabric.palette };
};

const ys = (corners: readonly number[]) => corners.filter((_, i) => i % 2 === 1);
const xs = (corners: readonly number[]) => corners.filter((_, i) => i % 2 === 0);

// From R5 to R11 there are six lines of holes, so five stitches from hole to hole: a spine each, drawn twice, across and along.
test('spines stand off the side they are worked along, in the yarn that is named', () => {
  const { faces, palette } = tube('Surface crochet spines in red along the left side from R5 to R11.');
  expect(faces).toHaveLength(2 * 5);
  expect(faces.every(({ corners }) => corners.length === 6)).toBe(true);
  expect(faces.map(({ colour }) => palette[colour])).toEqual(faces.map(() => 'red'));
  // The tube is 20 · 5 / 2π = 15.9 mm from its middle, stuffed about as wide; the tips stand 1.6 stitches, 8 mm, further to the left.
  const reach = Math.min(...faces.flatMap(({ corners }) => xs(corners)));
  expect(reach).toBeLessThan(-15.9 - 6);
});

test('a crest is a band, in the yarn of the stitches it stands on where none is named', () => {
  const { faces, palette } = tube('Work a crest along the front from R5 to R11.');
  expect(faces).toHaveLength(5);
  expect(faces.every(({ corners }) => corners.length === 8)).toBe(true);
  expect(new Set(faces.map(({ colour }) => palette[colour]))).toEqual(new Set(['brown']));
});

test('a yarn called by a letter is not found in every word', () => {
  const letters = (sentence: string) => {
    const toy = analyseToy(
      `Gauge: 5 mm x 5 mm\nLean: 0\nYarn A: brown\nYarn B: red\n\nBody\nStart: bottom\nin B\nR1: 5 sc in mr [5]\nR2: inc x 5 [10]\nR3: inc x 10 [20]\nR4-R12: sc around [20]\nR13: in A, sc around [20]\n${sentence}`,
    );
    const [body] = assembled(toy);
    return new Set(linesOf(body!, 0, looking).map(({ colour }) => body!.part.fabric.palette[colour]));
  };
  expect(letters('Work a crest along the front from R5 to R11.')).toEqual(new Set(['B']));
  expect(letters('Work a crest in A along the front from R5 to R11.')).toEqual(new Set(['A']));
});

test('a fringe hangs from every stitch it is knotted into, as long as its strands', () => {
  const { faces } = tube('Knot 105 mm strands of fringe into every second stitch of round 8.');
  expect(faces).toHaveLength(10);
  for (const { corners } of faces) {
    const hangs = Math.max(...ys(corners)) - Math.min(...ys(corners));
    // Folded in half, less the knot: 40 mm.
    expect(hangs).toBeGreaterThan(36);
    expect(hangs).toBeLessThan(44);
  }
});

test('nothing is drawn where a line could not be found', () => {
  expect(tube('Work a crest along the back from R5 to R40.').faces).toEqual([]);
});
