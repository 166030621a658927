import { analyseToy } from '../toy/analyse';
import { joinPart } from '../toy/joinAll';
import { joinDirections } from './directions';

const toy = (text: string) => {
  const analysis = analyseToy(`Gauge: 5 mm x 5 mm\nTerms: US\n${text}`);
  const parts = analysis.parts.map((part) => joinPart(part));
  const said = analysis.joined.workedOn.map((join) => joinDirections(join, analysis.joined, parts));
  return { joins: analysis.joined.workedOn, loose: analysis.joined.loose, said };
};

const stem = 'Stem\nR1: 6 sc in ring\nR2: inc x 6\nR3: sc around\nR4: BLO sc around\nR5: sc around\n\n';

// Round 3 has twelve front loops. Of a round of increases two go into each.
test.each([
  ['sc around [12]', [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12]],
  ['(sc, inc) x 6 [18]', [1, 2, 2, 3, 4, 4, 5, 6, 6, 7, 8, 8, 9, 10, 10, 11, 12, 12]],
])('a skirt of %s is begun in the loops that a round has left', (work, loops) => {
  const { joins, loose, said } = toy(
    `${stem}Skirt\nR1: in the front loops of R3 of the stem, ${work}\nR2: sc around`,
  );
  const [join] = joins;
  expect(join).toMatchObject({
    kind: 'worked-on',
    on: { part: 'stem', unit: 1 },
    round: 3,
    loops: 'front',
    covers: { rounds: [3, 3], stitches: [1, 12] },
  });
  expect(join!.path!.map(({ edge, stitch }) => [edge, stitch])).toEqual(
    loops.map((stitch, i) => [i + 1, stitch]),
  );
  expect(loose).toEqual([]);
  expect(said[0]!.address).toBe('Front loops of round 3 of the stem');
});

// Around the second leg, three chains, around the first, back along the chains: 1 to 12, 16 to 27.
test('legs that a body goes on from have the stitches of its first round', () => {
  const { joins, said } = toy(
    'Leg (make 2)\nR1: 6 sc in magic ring (6)\nR2: inc x 6 (12)\nR3-R6: sc around (12)\nFasten off the first leg. Do not fasten off the second leg.\n\nBody\nR1: sc around the second leg, ch 3, sc around the first leg, sc in 3 ch (30)\nR2-R8: sc around',
  );
  const byLeg = new Map(joins.map((join) => [join.unit.unit, join.covers!.stitches]));
  expect(byLeg.get(2)).toEqual([1, 12]);
  expect(byLeg.get(1)).toEqual([16, 27]);
  expect(joins.every(({ path }) => path!.length === 12)).toBe(true);
  expect(said.map(({ title }) => title)).toEqual(['Leg 1', 'Leg 2']);
});

test('a part that begins by itself is not worked on', () => {
  expect(toy(stem).joins).toEqual([]);
});
