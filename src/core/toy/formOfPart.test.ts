import { explainMeasured } from '../shape/measuredPiece';
import { analyseToy } from './analyse';
import { formInputOf, formKey, measurePart, standOf } from './formOfPart';

const text = (more = '', header = '') =>
  `${header}Head\nR1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4-R7: sc around\nR8: (sc, dec) x 6\nR9: dec x 6\nStuff firmly. Close the hole.\n${more}`;
const key = (of: string) => formKey(formInputOf(analyseToy(of).parts[0]!));

test('a form is kept as long as nothing it depends on changes', () => {
  expect(key(text())).toBe(key(text()));
  // What is put on it does not shape it.
  expect(key(text('Eyes: 6 mm, between R5 and R6, 4 apart (3 showing).'))).toBe(key(text()));
  // A round, the gauge, the lean, the stuffing and closing do.
  const others = [
    text().replace('R4-R7', 'R4-R6').replace('R8', 'R7').replace('R9', 'R8'),
    text('', 'Gauge: 6 mm x 5 mm\n'),
    text('', 'Lean: 0.5\n'),
    text().replace('Stuff firmly', 'Stuff lightly'),
  ];
  expect(new Set(others.map(key)).size).toBe(4);
  for (const other of others) expect(key(other)).not.toBe(key(text()));
});

test('how a part stands: the start at any of the four sides, the size with it', () => {
  const sized = (header: string) => {
    const part = analyseToy(text().replace('Head\n', `Head\nStart: ${header}\n`)).parts[0]!;
    const { widthMm, heightMm, depthMm } = measurePart(part).measures;
    return { stand: standOf(part), size: [widthMm, heightMm, depthMm] };
  };
  const [top, bottom, left, right] = ['top', 'bottom', 'left', 'right'].map(sized);
  expect([top, bottom, left, right].map((one) => [one!.stand.start, one!.stand.lying])).toEqual([
    ['top', false],
    ['bottom', false],
    ['top', true],
    ['bottom', true],
  ]);
  expect(left!.size[0]).toBeCloseTo(top!.size[1]!, 3);
  expect(left!.size[1]).toBeCloseTo(top!.size[0]!, 3);
  expect(left!.size[2]).toBeCloseTo(top!.size[2]!, 3);
  expect(right!.size[0]).toBeCloseTo(bottom!.size[1]!, 3);
});

test.each([
  [1.15, 1.15],
  [0.85, 0.85],
  [1.12, 1],
  [1, 0.85],
  [1.1, 0.9],
])('hands whose stitch is %f as wide and %f as high are found from the finished piece', (wider, higher) => {
  const sized = (widthMm: number, heightMm: number) =>
    measurePart(analyseToy(text('', `Gauge: ${widthMm} mm x ${heightMm} mm\n`)).parts[0]!).measures;
  const taken = { widthMm: 5, heightMm: 4.5 };
  const real = sized(5 * wider, 4.5 * higher);
  const { stitch } = explainMeasured(sized(taken.widthMm, taken.heightMm), real, taken);
  const again = sized(stitch!.widthMm, stitch!.heightMm);
  expect(Math.abs(again.widthMm / real.widthMm - 1)).toBeLessThan(0.05);
  expect(Math.abs(again.heightMm / real.heightMm - 1)).toBeLessThan(0.05);
});
