import { eyesSaid } from '../__tests__/eyesSaid';
import { analyseToy } from '../toy/analyse';
import { compareToys } from './compareToys';
import { measurePart } from '../toy/formOfPart';
import { eyeForScale, scaleEyes } from './inYarn';
import { putYarn } from './yarnInText';
import { readHeader } from '../notation/headers';
import type { Yarn } from '../supplies/yarn';

const rounds = [
  'R1: 6 sc in ring',
  'R2: inc x 6',
  'R3: (sc, inc) x 6',
  'R4: (2 sc, inc) x 6',
  'R5-R9: sc around',
  'R10: (2 sc, dec) x 6',
  'R11: (sc, dec) x 6',
  'R12: dec x 6',
].join('\n');
const text = `Toy: Wren\nGauge: 5 mm x 4.8 mm\n\nHead\n${rounds}\nEyes: 8 mm, between R6 and R7, 6 apart (5 showing), in the holes.\nStuff firmly. Close the hole.\n`;
const yarn: Yarn = {
  id: 'a',
  name: 'Thick felt',
  weight: 'bulky',
  hookMm: 5,
  swatch: { tenStitchesMm: 75, tenRoundsMm: 72 },
  wandered: 4,
};

test.each([
  ['Gauge: 5 mm x 4.8 mm', 5, 4.8, null, false],
  ['Gauge: 5 x 4.8', 5, 4.8, null, false],
  ['Gauge: 7.5 mm x 7.2 mm, Thick felt', 7.5, 7.2, 'Thick felt', false],
  ['Gauge: 4,4 mm x 4,2 mm, assumed', 4.4, 4.2, null, true],
  ['Gauge: 5 mm x 4.8 mm, River 4 cotton, assumed', 5, 4.8, 'River 4 cotton', true],
])('%s', (line, widthMm, heightMm, yarnName, assumed) => {
  expect(readHeader(line)).toEqual({
    scope: 'toy',
    key: 'gauge',
    widthMm,
    heightMm,
    yarn: yarnName,
    assumed,
  });
});

test('a yarn is written into the text and read from it again; twice is once', () => {
  const put = putYarn(text, yarn);
  const { gauge, lean, pattern } = analyseToy(put);
  expect(gauge).toEqual({ widthMm: 7.5, heightMm: 7.2, assumed: false });
  expect(lean).toBe(0.4);
  expect(pattern.header).toMatchObject({ hook: '5 mm', gauge: { yarn: 'Thick felt' } });
  expect(putYarn(put, yarn)).toBe(put);
  expect(putYarn(put, { ...yarn, swatch: null, wandered: null })).toContain(
    'Gauge: 7 mm x 5.7 mm, Thick felt, assumed',
  );
  expect(analyseToy(putYarn(put, { ...yarn, wandered: null })).lean).toBeNull();
});

test('what changes is said, and nothing else', () => {
  const before = analyseToy(text);
  expect(compareToys(before, before)).toEqual([]);
  const changes = compareToys(before, analyseToy(putYarn(text, { ...yarn, wandered: null })));
  expect(changes).toContainEqual({ part: 'Head', what: 'eyes apart', before: '30 mm', after: '45 mm' });
  expect(changes).toContainEqual({
    part: 'Head',
    what: 'widest',
    before: '39 mm',
    after: '59 mm',
  });
  expect(changes.map((change) => change.what)).not.toContain('eyes, holes');
  // A wider opening can be pressed through later.
  expect(changes.map((change) => change.what)).toContain('stops after round');
});

test('a changed lean moves the holes, not the sizes', () => {
  // The front was set low down, so the columns wander away from it.
  const set = text.replace('Head\n', 'Head\nFront: stitch 9 of round 4\n');
  const changes = compareToys(analyseToy(set), analyseToy(set.replace('\n\nHead', '\nLean: 0.9\n\nHead')));
  expect(changes.map((change) => change.what)).not.toContain('widest');
  expect(changes.map((change) => change.what)).toContain('eyes, holes');
});

test('eyes follow the scale in sizes that are sold', () => {
  expect(eyeForScale(8, 1)).toBe(8);
  expect(eyeForScale(8, 1.5)).toBe(12);
  expect(eyeForScale(9, 3.3)).toBe(24);
  expect(eyeForScale(6, 0.1)).toBe(4);
  const scaled = scaleEyes(text, 1.5);
  expect(eyesSaid(analyseToy(scaled).parts[0]!.eyes!)).toMatchObject({ sizeMm: 12, apart: 6, gap: [6, 7] });
  expect(scaleEyes(scaled, 1)).toBe(scaled);
});

test('a toy half as large again has the same form, half as large again', () => {
  const [once, more] = [text, putYarn(text, { ...yarn, wandered: null })].map(
    (one) => measurePart(analyseToy(one).parts[0]!).measures,
  );
  expect(more!.widthMm / once!.widthMm).toBeCloseTo(1.5, 2);
  expect(more!.volumeMl / once!.volumeMl).toBeCloseTo(1.5 ** 3, 1);
});
