import * as fc from 'fast-check';
import { readPattern } from '../notation/readPattern';
import { stitchKinds } from '../notation/stitchKinds';
import { arbitraryPart, textOf } from '../__tests__/arbitraryPart';
import { buildFabric } from './buildFabric';
import { roundCount, stitchCount } from './fabric';
import { rowEdges } from './edges';
import { freeEdges } from './freeEdges';
import { colourJogs } from './jogs';

const fabricOf = (text: string) => {
  const pattern = readPattern(text);
  return buildFabric(pattern.parts[0]!, pattern.terms.value);
};

test('an increase shares its parent, a decrease has two', () => {
  const { fabric } = fabricOf('R1: 6 sc in ring\nR2: (sc, inc) x 3\nR3: (sc, dec) x 3');
  expect([...fabric.parentFirst.slice(6, 15)]).toEqual([0, 1, 1, 2, 3, 3, 4, 5, 5]);
  expect([...fabric.parentCount.slice(15)]).toEqual([1, 2, 1, 2, 1, 2]);
});

test('back-loop rounds leave their front loops free, by number', () => {
  const { fabric } = fabricOf('R1: 6 sc in ring\nR2: inc x 6\nR3: BLO sc around\nR4: sc around');
  expect(freeEdges(fabric)).toEqual([
    { round: 2, loop: 'front', count: 12, runs: [[1, 12]] },
    { round: 4, loop: 'both', count: 12, runs: [[1, 12]] },
  ]);
});

test('a frill into loops left free hangs from that round, and using them twice is named', () => {
  const text =
    'R1: 6 sc in ring\nR2: inc x 6\nR3: BLO sc around\nR4: into the unworked front loops of R2, inc around';
  const once = fabricOf(text);
  expect(once.fabric.base[3]).toBe(2);
  expect(roundCount(once.fabric, 4)).toBe(24);
  expect(once.problems).toEqual([]);
  const twice = fabricOf(`${text}\nR5: into the front loops of R2, sc around`);
  expect(twice.problems.map((problem) => problem.code)).toEqual(['loops-used']);
});

test('colours belong to stitches, and last until the next change', () => {
  const { fabric } = fabricOf(
    'R1: 6 sc in ring\nR2: sc 2, change to red, sc 2, sc 1 in blue, sc\nR3: sc around',
  );
  const names = [...fabric.colour].map((at) => fabric.palette[at]);
  expect(names.slice(6)).toEqual([
    '',
    '',
    'red',
    'red',
    'blue',
    'red',
    'red',
    'red',
    'red',
    'red',
    'red',
    'red',
  ]);
});

test('outgrowths hang from the fabric and do not count', () => {
  const { fabric } = fabricOf('R1: 6 sc in ring\nR2: sc 3, ch 6, sl st in 2nd ch from hook, sc, hdc 3, sc 3');
  expect(roundCount(fabric, 2)).toBe(6);
  expect(fabric.outgrowths).toHaveLength(1);
  expect(fabric.outgrowths[0]?.kinds.filter((kind) => kind !== 'ch')).toEqual([
    'sl',
    'sc',
    'hdc',
    'hdc',
    'hdc',
  ]);
});

test('a colour on a line of its own holds also before a chain on another', () => {
  const { fabric } = fabricOf('Bib\nin navy\nCh 4\nRow 1: sc in 2nd ch from hook and in each ch across');
  expect([...fabric.colour].map((at) => fabric.palette[at])).toEqual(['navy', 'navy', 'navy']);
});

test('UK words name other stitches than US words', () => {
  const kinds = (text: string) => [...fabricOf(text).fabric.kind].map((code) => stitchKinds[code]);
  expect(kinds('Terms: UK\nR1: 3 dc in ring\nR2: tr, htr, dc')).toEqual([
    'sc',
    'sc',
    'sc',
    'dc',
    'hdc',
    'sc',
  ]);
  expect(kinds('Terms: US\nR1: 3 sc in ring\nR2: dc, hdc, sc')).toEqual([
    'sc',
    'sc',
    'sc',
    'dc',
    'hdc',
    'sc',
  ]);
});

test('rows come back along the row below', () => {
  const { fabric } = fabricOf(
    'Row 1: ch 4, sc in 2nd ch from hook and in each ch across, turn [3]\nRow 2: ch 1, sc across [3]\nRow 3: ch 1, turn, sc across [3]',
  );
  expect([...fabric.parentFirst]).toEqual([-1, -1, -1, 2, 1, 0, 5, 4, 3]);
});

test('a part in rows has edges and corners', () => {
  const { fabric } = fabricOf(
    'Ch 6\nRow 1: sc in 2nd ch from hook and in each ch across [5]\nRows 2-3: ch 1, sc across\nRow 4: ch 1, dec, sc, dec',
  );
  expect(rowEdges(fabric)).toEqual({ rowEnds: 4, start: 5, end: 3, corners: [0, 4, 15, 17] });
  expect(rowEdges(fabricOf('R1: 6 sc in ring').fabric)).toBeNull();
});

test('a colour that begins with a round jogs in a spiral, not in joined rounds', () => {
  const text = 'R1: 6 sc in ring\nR2: inc x 6\nR3: change to red, sc around\nR4: sc 3, change to blue, sc 9';
  expect(colourJogs(fabricOf(text).fabric)).toEqual([3]);
  expect(colourJogs(fabricOf(`Rounds: joined\n${text}`).fabric)).toEqual([]);
});

test('every stitch has its parents in the round it is worked into', () => {
  fc.assert(
    fc.property(arbitraryPart, (rounds) => {
      const { fabric } = fabricOf(textOf(rounds));
      for (let round = 1; round < fabric.rounds; round += 1) {
        for (let i = fabric.offset[round]!; i < fabric.offset[round + 1]!; i += 1) {
          expect(fabric.parentFirst[i]).toBeGreaterThanOrEqual(fabric.offset[round - 1]!);
          expect(fabric.parentFirst[i]! + fabric.parentCount[i]!).toBeLessThanOrEqual(fabric.offset[round]!);
        }
      }
      expect(stitchCount(fabric)).toBe(rounds.reduce((sum, round) => sum + round.count, 0));
    }),
    { numRuns: 60 },
  );
});
