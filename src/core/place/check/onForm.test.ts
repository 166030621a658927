import { featureHead } from '../../__tests__/featureCorpus';
import { analyseFaces as analyseToy } from '../../__tests__/faces';
import { setPartHeader } from '../../notation/editText';
import { measurePart, standOf } from '../../toy/formOfPart';
import { eyesOnForm } from '../check/onForm';

const seen = (text: string) => {
  const part = analyseToy(text).parts[0]!;
  return eyesOnForm(part.form, part.eyes!, measurePart(part).form, standOf(part))!;
};

test('on an even head the form agrees with the counting, within a quarter of a stitch', () => {
  const even = seen(featureHead);
  expect(Math.abs(even.offMm)).toBeLessThan(1.3);
  expect(Math.abs(even.rightHigherMm)).toBeLessThan(1.5);
  expect(even.better).toBeNull();
});

test('a spiral climbs: the eye that is worked later lies lower when the head starts at the top, higher when it starts at the chin', () => {
  const wide = featureHead.replace('7 apart (6 showing)', '15 apart (14 showing)');
  expect(seen(wide).rightHigherMm).toBeLessThan(-0.5);
  expect(seen(wide.replace('Head\n', 'Head\nStart: bottom\n')).rightHigherMm).toBeLessThan(-0.5);
  expect(seen(`Hand: left\n${wide}`).rightHigherMm).toBeGreaterThan(0.5);
});

const sided = [
  'Head',
  'R1: 6 sc in ring',
  'R2: inc x 6',
  'R3: (sc, inc) x 6',
  'R4: (2 sc, inc) x 6',
  'R5: (3 sc, inc) x 6',
  'R6: sc around',
  'R7: sc 2, inc 12, sc 16',
  'R8-R12: sc around',
  'R13: sc 2, dec 12, sc 16',
  'R14-R15: sc around',
  'R16: (3 sc, dec) x 6',
  'R17: (2 sc, dec) x 6',
  'R18: (sc, dec) x 6',
  'R19: dec x 6',
  'Eyes: 8 mm, between R9 and R10, 8 apart.',
  '',
].join('\n');

test('increases piled to one side move the middle of the form, and the nearer holes are named; taking them mends it', () => {
  const before = seen(sided);
  expect(Math.abs(before.offMm)).toBeGreaterThan(1.5);
  expect(before.better).not.toBeNull();
  expect(Math.abs(before.better!.offMm)).toBeLessThan(Math.abs(before.offMm));
  const part = analyseToy(sided).parts[0]!;
  const moved = setPartHeader(sided, part.source, 'Front', before.better!.front.replace('Front: ', ''));
  const posts = analyseToy(moved)
    .parts[0]!.eyes!.units.map((post) => post.from)
    .sort((a, b) => a - b);
  expect(posts).toEqual([...before.better!.holes].sort((a, b) => a - b));
});

test('a piece in rows: the middle is between its edges, numbers run back on every other row', () => {
  const bib = (gap: number) =>
    analyseToy(
      `Bib\nRow 1: ch 21, sc in 2nd ch from hook and in each ch across, turn\nRows 2-12: ch 1, sc across, turn\nEyes: 8 mm, between rows ${gap} and ${gap + 1}, 7 apart.\n`,
    ).parts[0]!;
  // Twenty stitches: holes 7 and 14 have six to either side.
  const there = bib(6).eyes!;
  expect(there.units.map(({ side, from }) => [side, from])).toEqual([
    ['left', 7],
    ['right', 14],
  ]);
  const back = bib(7).eyes!;
  expect(back.units.map(({ side, from }) => [side, from])).toEqual([
    ['left', 14],
    ['right', 7],
  ]);
  expect([there.missStitches, back.missStitches]).toEqual([0, 0]);
  expect(there.straightMm).toBeCloseTo(35, 6);
  expect(there.levelMm).toBe(0);
  const part = bib(6);
  const form = measurePart(part).form;
  const flat = eyesOnForm(part.form, part.eyes!, form, standOf(part))!;
  expect(flat.offMm).toBeCloseTo(0, 1);
  expect(flat.straightMm).toBeCloseTo(35, 0);
});
