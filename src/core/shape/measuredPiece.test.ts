import { explainMeasured } from './measuredPiece';

const workedOut = { widthMm: 60, heightMm: 50 };
const stitch = { widthMm: 5, heightMm: 4 };

test.each<[string, [number, number], string, [number, number] | null]>([
  ['as worked out, as well as a tape tells', [61, 49], 'same', null],
  ['a tenth larger all over', [66, 55], 'stitch', [5.5, 4.4]],
  ['smaller all over', [54, 46], 'stitch', [4.5, 3.6]],
  ['wider only', [69, 50], 'width', [5.8, 4]],
  ['lower only', [60, 43], 'height', [5, 3.4]],
  ['wider and lower', [66, 45], 'both', [5.5, 3.6]],
  ['another piece', [90, 50], 'far', null],
  ['nothing', [0, 50], 'far', null],
])('%s', (_, [widthMm, heightMm], kind, gauge) => {
  const found = explainMeasured(workedOut, { widthMm, heightMm }, stitch);
  expect(found.kind).toBe(kind);
  expect(found.stitch && [found.stitch.widthMm, found.stitch.heightMm]).toEqual(gauge);
});
