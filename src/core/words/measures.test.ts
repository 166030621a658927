import * as fc from 'fast-check';
import {
  chooseMeasures,
  cutWords,
  fineSizeWords,
  number,
  sizeAfter,
  sizesWords,
  sizeWords,
  tenthWords,
  threadWords,
  usualMeasures,
  weightWords,
  yarnWords,
} from './measures';

const inInches = () => chooseMeasures({ length: 'inches', weight: 'ounces' });

afterEach(() => chooseMeasures(usualMeasures));

test('as most makers measure', () => {
  expect([sizeWords(152.6), sizeAfter(127.4), sizesWords([80, 60.2])]).toEqual([
    '153 mm',
    '127',
    '80 × 60 mm',
  ]);
  expect([fineSizeWords(3.44), fineSizeWords(12.4), tenthWords(12.44), tenthWords(-0.02)]).toEqual([
    '3.4 mm',
    '12 mm',
    '12.4 mm',
    '0 mm',
  ]);
  expect([cutWords(301), threadWords(304)]).toEqual(['310 mm', '30 cm']);
  expect([yarnWords(12.01), yarnWords(2.04, 1), yarnWords(2.1, 1)]).toEqual(['13 m', '2.1 m', '2.1 m']);
  expect([weightWords(8.4), weightWords(2.46, 1), weightWords(8.01, 0, Math.ceil)]).toEqual([
    '8 g',
    '2.5 g',
    '9 g',
  ]);
});

test('in inches, by the eighths of a tape, and small things in mm as they are sold', () => {
  inInches();
  // 6 in are 152.4 mm; an eighth is 3.175 mm.
  expect([152.4, 155.6, 158.75, 149.2, 25.4, 12.7, 9.9].map(sizeWords)).toEqual([
    '6 in',
    '6 1/8 in',
    '6 1/4 in',
    '5 7/8 in',
    '1 in',
    '1/2 in',
    '10 mm',
  ]);
  expect([sizeAfter(127), sizeAfter(8), sizesWords([152.4, 9])]).toEqual(['5 in', '8 mm', '6 in × 9 mm']);
  expect([fineSizeWords(3.44), fineSizeWords(25.4), tenthWords(12.44)]).toEqual([
    '3.4 mm',
    '1 in',
    '12.4 mm',
  ]);
});

test('what is cut or bought in inches, yards and ounces is enough', () => {
  inInches();
  // 300 mm are 11.8 in; 10 m are 10.94 yd; 50 g are 1.76 oz, 20 g 0.71.
  expect([cutWords(300), cutWords(304.8), threadWords(300)]).toEqual(['12 in', '12 in', '12 in']);
  expect([yarnWords(10), yarnWords(10, 1), yarnWords(0.9144 * 3)]).toEqual(['11 yd', '11 yd', '3 yd']);
  expect([weightWords(50), weightWords(20), weightWords(50.5, 0, Math.ceil)]).toEqual([
    '1.8 oz',
    '0.71 oz',
    '1.8 oz',
  ]);
  const written = (words: string) => Number(words.split(' ')[0]);
  fc.assert(
    fc.property(fc.double({ min: 0.5, max: 5000, noNaN: true }), (amount) => {
      expect(written(cutWords(amount)) * 25.4).toBeGreaterThanOrEqual(amount - 1e-4);
      expect(written(yarnWords(amount, 1)) * 0.9144).toBeGreaterThanOrEqual(amount - 1e-4);
      expect(written(weightWords(amount, 0, Math.ceil)) * 28.349523125).toBeGreaterThanOrEqual(amount - 1e-4);
    }),
  );
});

test('a length in inches is at most a sixteenth off', () => {
  inInches();
  const inchesOf = (words: string) =>
    words
      .replace(' in', '')
      .split(' ')
      .map((part) => part.split('/').map(Number))
      .reduce((sum, [over = 0, of = 1]) => sum + over / of, 0);
  fc.assert(
    fc.property(fc.double({ min: 10, max: 3000, noNaN: true }), (mm) => {
      expect(Math.abs(inchesOf(sizeWords(mm)) * 25.4 - mm)).toBeLessThanOrEqual(25.4 / 16 + 1e-9);
    }),
  );
});

test('numbers are written as where she lives', () => {
  chooseMeasures({ locale: 'de-AT' });
  expect([number(3.44, 1), number(12345.6, 1), fineSizeWords(3.44), weightWords(2.46, 1)]).toEqual([
    '3,4',
    '12345,6',
    '3,4 mm',
    '2,5 g',
  ]);
  chooseMeasures({ locale: 'en-GB' });
  expect(number(3.44, 1)).toBe('3.4');
});
