import * as vec3 from 'gl-matrix/vec3';
import { analyseToy } from '../../toy/analyse';
import { assembled } from '../../toy/assembled';
import { standingOf } from '../../toy/standing';
import { balanceOf, centreOfWeight } from './balance';
import { overlapsOf } from './overlaps';
import type { PosedUnit } from './posed';
import type { Wall } from '../wall';

const anyToy = analyseToy(
  'Body\nR1: 6 sc in ring\nR2: inc x 6\nR3: sc around\n\nTail\nR1: 6 sc in ring\n\nSew the tail to the body on round 2, at the back.\n',
);
const [like] = assembled(anyToy);

/** A solid turned about an upright axis: its radius at heights from its lowest place up. */
function solid(
  name: string,
  at: readonly [number, number, number],
  rings: readonly [number, number][],
): PosedUnit {
  const z = Float64Array.from(rings, ([height]) => height);
  const along = Float64Array.from(rings, (_, i) => i);
  const surface = {
    ...like!.surface,
    along,
    z,
    radius: Float64Array.from(rings, ([, radius]) => radius),
  } as Wall;
  return {
    ...like!,
    unit: { part: name, unit: 1, name, side: null },
    surface,
    loose: false,
    frame: {
      origin: vec3.fromValues(...at),
      away: vec3.fromValues(0, 1, 0),
      front: vec3.fromValues(0, 0, 1),
      right: vec3.fromValues(-1, 0, 0),
    },
  };
}
const ball = (name: string, radius: number, [x, y, z]: readonly [number, number, number]) =>
  solid(
    name,
    [x, y - radius, z],
    Array.from({ length: 41 }, (_, i) => {
      const height = (2 * radius * i) / 40;
      return [height, Math.sqrt(Math.max(0, radius ** 2 - (height - radius) ** 2))];
    }),
  );
const tube = (name: string, radius: number, height: number, at: readonly [number, number, number]) =>
  solid(name, at, [
    [0, 0],
    [0, radius],
    [height, radius],
    [height, 0],
  ]);

describe('where the weight is', () => {
  test('of a cone a quarter of its height up, to the fineness of its rings', () => {
    const cone = solid(
      'cone',
      [3, 10, -2],
      Array.from({ length: 61 }, (_, i) => [i, 30 - i / 2]),
    );
    const [x, y, z] = centreOfWeight([cone]);
    expect(x).toBeCloseTo(3, 4);
    expect(z).toBeCloseTo(-2, 4);
    expect(y! - 10).toBeCloseTo(15, 1);
  });
  test('of two balls between them, by the cubes of their radii', () => {
    const [x] = centreOfWeight([ball('one', 10, [0, 0, 0]), ball('other', 20, [90, 0, 0])]);
    expect(x).toBeCloseTo(80, 6);
  });
});

describe('set down on the table', () => {
  test('a tube stands, its weight as far inside as its radius', () => {
    const rests = balanceOf([tube('post', 12, 50, [0, 0, 0])])!;
    expect(rests).toMatchObject({ stands: true, leans: 0, way: null });
    // 24 corners stand for the round rim.
    expect(rests.insideMm).toBeGreaterThan(12 * Math.cos(Math.PI / 24) - 1e-6);
    expect(rests.insideMm).toBeLessThanOrEqual(12);
  });
  test('what is held flat carries nothing: a toy stands on its body, not on wings that hang below it', () => {
    const round = tube('wing', 6, 40, [20, -10, 0]);
    const thick = round.surface.along.map(() => 0.28);
    const wing = { ...round, surface: { ...round.surface, thick } };
    const rests = balanceOf([tube('body', 15, 50, [0, 0, 0]), wing])!;
    expect(rests.rests.map(({ name }) => name)).toEqual(['body']);
    expect(rests.stands).toBe(true);
  });
  test('a tube with a heavy head far to one side falls to that side', () => {
    const heavy = (x: number, z: number) =>
      balanceOf([tube('post', 6, 60, [0, 0, 0]), ball('head', 25, [x, 75, z])])!;
    expect(heavy(20, 0)).toMatchObject({ stands: false, way: 'right' });
    expect(heavy(-20, 0)).toMatchObject({ stands: false, way: 'left' });
    expect(heavy(0, 20)).toMatchObject({ stands: false, way: 'forward' });
    expect(heavy(0, -20)).toMatchObject({ stands: false, way: 'back' });
  });
  test('feet in front that lift it a little: it leans back until its ball touches', () => {
    // The ball hangs 8 mm over the table, its lowest place 30 mm behind the feet's.
    const rests = balanceOf([
      ball('body', 30, [0, 38, 0]),
      ball('left foot', 8, [-15, 8, 30]),
      ball('right foot', 8, [15, 8, 30]),
    ])!;
    expect(rests.stands).toBe(true);
    expect(rests.way).toBe('back');
    expect(rests.rests.map(({ name }) => name)).toEqual(['body', 'left foot', 'right foot']);
    // Over the middle of the feet down to the ball: about the arc whose tangent is 8 over 30, less what fabric gives.
    expect(rests.leans).toBeGreaterThan(8);
    expect(rests.leans).toBeLessThan(16);
  });
});

describe('in each other’s way', () => {
  test('two tubes beside each other, as deep as their radii are more than they are apart', () => {
    const found = overlapsOf([tube('one', 10, 40, [0, 0, 0]), tube('other', 10, 40, [14, 10, 0])], []);
    expect(found.map(({ units }) => units.map(({ name }) => name))).toEqual([['one', 'other']]);
    // 16 places around each are looked at, and the nearest may lie between two of them.
    expect(found[0]!.deepMm).toBeGreaterThan(5.5);
    expect(found[0]!.deepMm).toBeLessThanOrEqual(6);
  });
  test('what only touches is not told, nor what is joined to each other', () => {
    expect(overlapsOf([tube('one', 10, 40, [0, 0, 0]), tube('other', 10, 40, [18, 0, 0])], [])).toEqual([]);
    const { joins } = anyToy.joined;
    const posed = assembled(anyToy);
    expect(joins).toHaveLength(1);
    expect(overlapsOf(posed, joins)).toEqual([]);
  });
});

describe('said of a toy', () => {
  const head =
    'Head\nR1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4: (2 sc, inc) x 6\nR5: (3 sc, inc) x 6\nR6-R10: sc around\nR11: (3 sc, dec) x 6\nR12: (2 sc, dec) x 6\nEyes: 8 mm, between R8 and R9, 4 apart\n';
  const snout = (where: string) =>
    analyseToy(
      `Terms: US\n${head}\nSnout\nR1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4-R7: sc around\n\nSew the snout to the head ${where}.\n`,
    );
  test('a snout over the eyes hides them; at the back it does not', () => {
    const hides = standingOf(snout('on round 8, in the middle of the front')).trouble;
    expect(hides).toEqual([expect.stringContaining('the snout hides the eyes of the head')]);
    expect(standingOf(snout('on round 8, at the back')).trouble).toEqual([]);
  });
  test('where no two parts are together nothing is said', () => {
    expect(standingOf(analyseToy(head))).toEqual({ balance: null, trouble: [] });
  });
});
