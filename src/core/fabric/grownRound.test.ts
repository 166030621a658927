import * as fc from 'fast-check';
import { analyseToy } from '../toy/analyse';
import { foreignParents } from './foreign';
import { freeEdges } from './freeEdges';

const leg = 'R1: 6 sc in MR (6)\nR2: inc x 6 (12)\nR3: sc around (12)\nFasten off.\n';
const twice = `Legs (make 2)\n${leg}`;
const each = `Leg 1\n${leg}Leg 2\n${leg.replace('Fasten off.', 'Do not fasten off.')}`;
const grownOf = (text: string) => analyseToy(text).parts.at(-1)!;

describe('two legs joined into a body, as makers say it', () => {
  test.each([
    ['R4: ch 3, sc 12 on first leg, sc 3 on chain, sc 12 on second leg, sc 3 on chain', 30],
    ['R4: ch 3, join to first leg with sl st, sc around first leg, sc 3 along ch, sc around second leg', 30],
    ['R4: sc 12 around leg 1, ch 3, sc 12 around leg 2, ch 3 (30)', 30],
    [
      'R4: Ch 3, sc in each of the 12 sts of leg 1, sc in each of 3 ch, sc in each of 12 sts of leg 2, sc in each of 3 ch',
      30,
    ],
    [
      'R4: On second leg, ch 3, sc into first leg, sc in next 11 sts, sc in each of 3 ch, sc 12 around second leg, sc 3 on the other side of ch. (30)',
      30,
    ],
    [
      'R4: ch 3, join to other leg with sc, sc in next 11 sts, sc in 3 ch, sc in next 12 sts of second leg, sc in the 3 ch (30)',
      30,
    ],
    [
      'R4: chain 3, single crochet in each stitch around the first leg, single crochet across the chain, single crochet in each stitch around the second leg, single crochet across the other side of the chain (30)',
      30,
    ],
    ['Join the legs: ch 2, sc 12 on the first leg, 2 sc on ch, 12 sc on second leg, 2 sc on ch (28)', 28],
    ['Body\nR1: 12 sc on the first leg, 12 sc on the other leg (24)', 24],
    ['Joining round: sc 6 on leg 1, sc 12 around leg 2, sc 6 on leg 1 (24)', 24],
    ['Ch 3.\nR4: sc 12 on first leg, sc 3 on ch, sc 12 on second leg, sc 3 on ch (30)', 30],
  ])('%s', (round, made) => {
    for (const legs of [twice, each]) {
      const { parts, problems } = analyseToy(`${legs}${round}`);
      const body = parts.at(-1)!;
      expect(body.source.name).toBe('Body');
      expect(body.checks.map(({ worked }) => worked)).toEqual([made]);
      const codes = problems.map(({ code }) => code);
      expect(codes).toEqual([]);
    }
  });

  test('what does not go over all of the edges is told', () => {
    const body = grownOf(`${twice}R4: sc 10 on first leg, ch 3, sc 12 on second leg, sc 3 on ch (28)`);
    expect(body.problems.map(({ code }) => code)).toEqual(['stitches-left']);
    expect(body.problems[0]!.message).toContain('2 left over');
  });

  test('legs that are not in the text are taken at their word', () => {
    const body = grownOf(
      'Body\nNext round: work 12 sc on first leg, ch 3, 12 sc on second leg, sc in 3 ch (30)',
    );
    expect(body.checks).toMatchObject([{ worked: 30, ok: true }]);
  });

  test('sewing legs on is no round', () => {
    const { parts } = analyseToy(
      `${twice}Body\nR1: 6 sc in MR\nSew the first leg and the second leg on with 12 sc.`,
    );
    expect(parts.map(({ source }) => source.name)).toEqual(['Legs', 'Body']);
    expect(parts[1]!.source.grown).toBeUndefined();
  });
});

test('N = a + b + 2c; each stitch knows the stitch of the leg it is worked into', () => {
  const size = fc.integer({ min: 4, max: 30 });
  fc.assert(
    fc.property(size, size, fc.integer({ min: 1, max: 9 }), (a, b, c) => {
      const legs = `Leg 1\nR1: ${a} sc in ring\nLeg 2\nR1: ${b} sc in ring\n`;
      const round = `R2: ch ${c}, sc around leg 1, sc ${c} on ch, sc around leg 2, sc ${c} on ch [${a + b + 2 * c}]`;
      const { parts, problems } = analyseToy(`${legs}${round}\nR3: sc around`);
      expect(problems).toEqual([]);
      const { fabric } = parts[2]!;
      const at = (stitch: number) => foreignParents(fabric, stitch)[0];
      expect(at(1)).toEqual({ part: 'leg-1', unit: 1, round: 1, stitch: 1, loops: 'both' });
      expect(at(a)).toMatchObject({ part: 'leg-1', stitch: a });
      expect(at(a + 1)).toBeUndefined();
      expect(at(a + c + b)).toMatchObject({ part: 'leg-2', stitch: b });
      expect(at(a + c + b + c)).toBeUndefined();
      expect(freeEdges(parts[0]!.fabric, parts[0]!.taken)).toEqual([]);
    }),
  );
});

test('the edge that the body goes on from is not closed, and the legs are not left over', () => {
  const toy = analyseToy(
    `${twice}Body\nR4: ch 3, sc around first leg, sc 3 on ch, sc around second leg, sc 3 on ch\nR5-R9: sc around\nHead\nR1: 6 sc in MR\nSew the head to the body.`,
  );
  const [legs] = toy.parts;
  expect(legs!.stops.closing).toMatchObject({ how: 'open', stitches: 12 });
  expect(legs!.stops.closing!.words).toContain('Body goes on from it');
  expect(toy.problems.map(({ code }) => code)).not.toContain('part-unused');
});

test('a frill in loops that the body has worked into already is told, with the loops it has left', () => {
  const body = 'Body\nR1: 6 sc in MR\nR2: inc x 6\nR3: BLO sc around\n';
  const right = analyseToy(`${body}Frill\nR1: into the front loops of R2 of the body, inc around (24)`);
  expect(right.problems).toEqual([]);
  expect(right.parts[1]!.fabric.ground).toMatchObject([
    { part: 'body', round: 2, loops: 'front', count: 12 },
  ]);
  expect(freeEdges(right.parts[0]!.fabric, right.parts[0]!.taken).map(({ round }) => round)).toEqual([3]);
  const wrong = analyseToy(`${body}Frill\nR1: into the back loops of R2 of the body, inc around (24)`);
  expect(wrong.problems.map(({ code, partId }) => [code, partId])).toEqual([['loops-used', 'frill']]);
});
