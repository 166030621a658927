import * as vec3 from 'gl-matrix/vec3';
import { drawToy, unitAt } from '../join/pose/drawn';
import { seen } from '../join/pose/looking';
import { meshOf } from '../join/pose/mesh';
import { thicknessAtRing } from '../join/pose/posed';
import { placeOf, sizeOfToy, type PosedUnit } from '../join/pose/posed';
import { analyseToy } from './analyse';
import { assembled, drawAssembled, modelOfToy, toyPicture } from './assembled';

const tube = 'R1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4: (2 sc, inc) x 6\nR5-R20: sc around\n';
const toy = (start: 'top' | 'bottom', hand: 'left' | 'right') =>
  analyseToy(
    `Hand: ${hand}\nLean: 0\nGauge: 5 mm x 5 mm\nBody\nStart: ${start}\n${tube}\nArm (make 2)\nR1: 8 sc in ring\nR2-R8: sc around\n\nTail\nR1: 6 sc in ring\nR2-R4: sc around\n\nHat\nR1: 6 sc in ring\nR2: sc around\n\nAssembly\nSew the arms to the body on round 12, one on each side. Sew the tail to the back of the body on round 12.\n`,
  );
/** The middle of a unit's tip in space. */
const tip = (posed: readonly PosedUnit[], name: string) => {
  const unit = posed.find((one) => one.unit.name === name)!;
  return Array.from(placeOf(unit, { along: 0, azimuth: 0 }));
};

describe.each([
  ['top', 'right'],
  ['bottom', 'right'],
  ['top', 'left'],
  ['bottom', 'left'],
] as const)('begun at the %s, %s-handed', (start, hand) => {
  const posed = assembled(toy(start, hand));

  test('arms point to both sides alike, the left one to the left, and the tail back', () => {
    const [left, right, tail] = ['left arm', 'right arm', 'tail'].map((name) => tip(posed, name));
    expect(left![0]).toBeLessThan(-40);
    expect(right![0]).toBeCloseTo(-left![0]!, 3);
    expect(right![1]).toBeCloseTo(left![1]!, 3);
    expect(Math.abs(left![2]!)).toBeLessThan(1);
    expect(tail![2]).toBeLessThan(-20);
    expect(Math.abs(tail![0]!)).toBeLessThan(1);
  });

  test('turned by a quarter the left side is near, by three quarters the right', () => {
    const nearest = (yaw: number) => {
      const placed = posed.filter(({ loose }) => !loose);
      const { faces } = drawToy(placed, { yaw, pulled: 0, segments: 12 });
      return placed[faces.at(-1)!.unit]!.unit.name;
    };
    expect(nearest(Math.PI / 2)).toBe('left arm');
    expect(nearest((3 * Math.PI) / 2)).toBe('right arm');
    expect(nearest(Math.PI)).toBe('tail');
  });

  test('what has no place lies beside the toy and is not measured with it', () => {
    expect(posed.filter(({ loose }) => loose).map(({ unit }) => unit.name)).toEqual(['hat']);
    const { widthMm } = sizeOfToy(posed);
    // The body's radius, 24·5/2π, and an arm of eight rounds on either side, its first one flat.
    expect(widthMm).toBeGreaterThan(2 * (19.1 + 30));
    expect(widthMm).toBeLessThan(2 * (19.1 + 45));
  });
});

/** All the surface of a toy as it is seen, by triangles. */
const trianglesSeen = (posed: readonly PosedUnit[], yaw: number) =>
  posed.flatMap((one, unit) => {
    const { positions, index } = meshOf(one);
    const corners = Array.from({ length: positions.length / 3 }, (_, i) =>
      seen(vec3.fromValues(positions[i * 3]!, positions[i * 3 + 1]!, positions[i * 3 + 2]!), yaw),
    );
    return Array.from({ length: index.length / 3 }, (_, k) => ({
      unit,
      a: corners[index[k * 3]!]!,
      b: corners[index[k * 3 + 1]!]!,
      c: corners[index[k * 3 + 2]!]!,
    }));
  });

/** The unit that is nearest to us at a place of the page, and how near; null where there is none. */
function nearestAt(triangles: ReturnType<typeof trianglesSeen>, x: number, y: number) {
  let nearest = { unit: null as number | null, z: -Infinity };
  for (const { unit, a, b, c } of triangles) {
    const [bx, by, cx, cy] = [b[0]! - a[0]!, b[1]! - a[1]!, c[0]! - a[0]!, c[1]! - a[1]!];
    const area = bx * cy - by * cx;
    if (Math.abs(area) < 1e-9) continue;
    const [px, py] = [x - a[0]!, -y - a[1]!];
    const [u, v] = [(px * cy - py * cx) / area, (bx * py - by * px) / area];
    const z = a[2]! + u * (b[2]! - a[2]!) + v * (c[2]! - a[2]!);
    if (u >= 0 && v >= 0 && u + v <= 1 && z > nearest.z) nearest = { unit, z };
  }
  return nearest;
}

const bag =
  'Gauge: 5 mm x 5 mm\nBody\nR1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4: (2 sc, inc) x 6\nR5-R12: sc around\n\nPouch\nR1: 6 sc in ring\nR2: inc x 6\nR3-R6: sc around\nDo not stuff.\n\nTube (make 2)\nR1: ch 12, join\nR2-R6: sc around\n\nAssembly\nSew the pouch to the front of the body on round 8, drooping 40 degrees.\nSew the tubes to the sides of the body on round 8.\n';

describe.each([
  ['begun at the top, right-handed', () => toy('top', 'right')],
  ['begun at the bottom, right-handed', () => toy('bottom', 'right')],
  ['begun at the top, left-handed', () => toy('top', 'left')],
  ['begun at the bottom, left-handed', () => toy('bottom', 'left')],
  ['with a pouch and tubes that are open', () => analyseToy(bag)],
] as const)('%s', (_, made) => {
  const one = made();
  const placed = assembled(one).filter(({ loose }) => !loose);

  // 32 pieces around, as a model for other programs has: both have the same corners.
  test.each([0, 0.4, 1.2, 2, 3, 4.4, 5.9])('turned by %s all that can be seen is drawn', (yaw) => {
    const drawn = drawToy(placed, { yaw, pulled: 0, segments: 32 });
    const { left, top, width, height } = drawAssembled(one, { yaw, pulled: 0, segments: 32 }).box;
    const spots = Array.from({ length: 240 }, (_step, i) => ({
      x: left + ((i * 0.618) % 1) * width,
      y: top + ((i * 0.755) % 1) * height,
    }));
    const triangles = trianglesSeen(placed, yaw);
    const truth = spots.map(({ x, y }) => nearestAt(triangles, x, y));
    const shown = spots.map(({ x, y }) => drawn.faces.findLast((face) => unitAt([face], x, y) !== null));
    expect(shown.map((face) => face === undefined)).toEqual(truth.map(({ unit }) => unit === null));
    expect(shown.filter(Boolean).length).toBeGreaterThan(40);
    // Pieces are laid over each other by their middles: where two parts meet one in many lies the wrong way.
    const right = shown.flatMap((face, i) =>
      face && face.unit === truth[i]!.unit ? [[face, truth[i]!] as const] : [],
    );
    expect(right.length).toBeGreaterThan(shown.filter(Boolean).length * 0.93);
    // What is drawn is the near side: a piece is not longer than this.
    expect(Math.max(...right.map(([face, { z }]) => Math.abs(face.depth - z)))).toBeLessThan(6);
  });
});

test('drawn by bands of several rounds it is as large, in its colours, and of fewer pieces', () => {
  const striped = `Yarn A: red\nYarn B: blue\nGauge: 5 mm x 5 mm\nBody\n${tube.replace('R1: ', 'R1: with A, ').replace('R5-R20: sc around', 'R5-R12: sc around\nR13-R20: with B, sc around')}`;
  const one = analyseToy(striped);
  const [fine, coarse] = [1, 3].map((rounds) =>
    drawAssembled(one, { yaw: 0.3, pulled: 0, segments: 16, rounds }),
  );
  expect(coarse!.faces.length).toBeLessThan(fine!.faces.length / 2);
  expect(coarse!.box.height).toBeCloseTo(fine!.box.height, 6);
  expect(coarse!.box.width).toBeCloseTo(fine!.box.width, 0);
  const colours = (of: typeof fine) => new Set(of!.faces.map(({ colour }) => colour));
  expect(colours(fine).size).toBe(2);
  expect(colours(coarse)).toEqual(colours(fine));
});

test('what lies beside the toy does not stand before it when it is looked at from the side', () => {
  const one = toy('top', 'right');
  const units = (yaw: number) =>
    new Set(drawAssembled(one, { yaw, pulled: 0, segments: 8 }).patches.map(({ unit }) => unit)).size;
  expect(units(0)).toBe(units(Math.PI / 2) + 1);
});

test('pulled apart nothing comes nearer, and the small picture is of the joined toy alone', () => {
  const one = toy('top', 'right');
  const wide = (pulled: number) => drawAssembled(one, { yaw: 0, pulled, segments: 8 }).box.width;
  expect(wide(30)).toBeGreaterThan(wide(0) + 25);
  const patches = toyPicture(one)!.on.flatMap((shape) => (shape.kind === 'patch' ? [shape.d] : []));
  expect(patches.join('').split('Z').length).toBeGreaterThan(100);
  expect(patches.length).toBeLessThan(40);
  expect(toyPicture(analyseToy(`Body\n${tube}`))).toBeNull();
});

test('two legs that a body grows out of stand under it, side by side and alike', () => {
  const legs =
    'Gauge: 5 mm x 5 mm\nLeg (make 2)\nR1: 6 sc in mr\nR2: inc x 6\nR3-R8: sc around\n\nBody\nR9: join the legs: sc 12 on leg 1, sc 12 on leg 2\nR10-R16: sc around\n';
  const posed = assembled(analyseToy(legs));
  expect(posed.map(({ unit, loose }) => [unit.part, unit.unit, loose])).toEqual([
    ['body', 1, false],
    ['leg', 1, false],
    ['leg', 2, false],
  ]);
  const [one, other] = posed.slice(1).map((unit) => Array.from(placeOf(unit, { along: 0, azimuth: 0 })));
  // Twelve stitches of 5 mm are 19.1 mm across: the middles lie so far apart, a little more where stuffing widens them.
  expect(Math.abs(one![0]! - other![0]!)).toBeGreaterThan(18);
  expect(one![0]!).toBeCloseTo(-other![0]!, 6);
  expect(one![1]!).toBeLessThan(-25);
});

test('a frill worked into a round of another hangs about it, and no part of it lies beside', () => {
  const skirt =
    'Gauge: 5 mm x 5 mm\nBody\nStart: bottom\nR1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4-R12: sc around\nR13: BLO sc around\nR14: sc around\n\nSkirt\nR1: in the front loops of R12 of the body, sc around\nR2: (sc, inc) x 9\nR3-R5: sc around\nDo not stuff.';
  const posed = assembled(analyseToy(skirt));
  const [body, frill] = posed;
  expect(posed.map(({ unit, loose }) => [unit.part, loose])).toEqual([
    ['body', false],
    ['skirt', false],
  ]);
  const heightOf = (of: PosedUnit, along: number) => placeOf(of, { along, azimuth: 0 })[1]!;
  const round = heightOf(body!, body!.surface.along[12]!);
  expect(heightOf(frill!, 0)).toBeCloseTo(round, 6);
  expect(heightOf(frill!, frill!.surface.along.at(-1)!)).toBeLessThan(round - 10);
});

const head = (...more: string[]) =>
  [
    'Gauge: 5 mm x 5 mm',
    'Head',
    'R1: 6 sc in ring',
    'R2: inc x 6',
    'R3: (sc, inc) x 6',
    'R4: (2 sc, inc) x 6',
    'R5-R12: sc around',
    ...more,
  ].join('\n');

test('a smile is drawn as its thread lies, from the front and not from behind', () => {
  const posed = assembled(analyseToy(head('Mouth: between R9 and R10, 4 stitches wide, smile.')));
  const strokes = (yaw: number) => drawToy(posed, { yaw, pulled: 0, segments: 12 }).strokes;
  expect(strokes(0).map(({ feature }) => feature)).toEqual(['mouth', 'mouth']);
  expect(strokes(Math.PI)).toEqual([]);
});

test('spines stand off the fabric as far as their chains are long', () => {
  const spiny = head()
    .replace('R8: ', '')
    .replace(
      'R5-R12: sc around',
      'R5: sc around\nR6: (sc 4, ch 4, sl st in 2nd ch from hook, sl st 2) x 6\nR7: sc around',
    );
  const plain = spiny.replaceAll(', ch 4, sl st in 2nd ch from hook, sl st 2', '');
  const width = (text: string) =>
    drawAssembled(analyseToy(text), { yaw: 0, pulled: 0, segments: 24 }).box.width;
  // Four chains of 0.62 · 5 mm on either side.
  expect(width(spiny) - width(plain)).toBeGreaterThan(15);
  expect(width(spiny) - width(plain)).toBeLessThan(26);
});

test('an eye that another part stands before is not seen through it', () => {
  const text = head(
    'Eyes: 8 mm, between R8 and R9, 5 showing.',
    '',
    'Shield',
    'R1: 6 sc in ring',
    'R2: inc x 6',
    'R3: (sc, inc) x 6',
    'R4: sc around',
    'Sew the shield to the front of the head on round 9.',
  );
  const eyes = (of: string) =>
    drawToy(assembled(analyseToy(of)), { yaw: 0, pulled: 0, segments: 24 }).dots.filter(
      ({ feature }) => feature === 'eyes',
    ).length;
  expect(eyes(text.replace('5 showing', '9 showing'))).toBe(2);
  expect(eyes(text.replace('5 showing', '1 showing'))).toBe(0);
});

test('a part that is worked in is as flat as one that is sewn on flattened, and not as one sewn on by its ring', () => {
  const arms = (sentence: string) =>
    assembled(
      analyseToy(
        `Gauge: 5 mm x 5 mm\nBody\n${tube}\n\nArm (make 2)\nR1: 6 sc in mr\nR2-R9: sc around\n\nAssembly\n${sentence}`,
      ),
    )
      .filter(({ unit }) => unit.part === 'arm')
      .map((unit) => thicknessAtRing(unit, unit.surface.along.length - 1));
  const [workedIn] = arms('Crochet the arms into round 8 of the body, on both sides.');
  const [flattened] = arms('Flatten the arms and sew them to the sides of the body at R8.');
  const [round] = arms('Sew the arms to the sides of the body at R8.');
  expect([workedIn, round]).toEqual([flattened, 1]);
  expect(workedIn).toBeLessThan(0.5);
});

test('as a model for other programs every unit is there by its name, in its place, and what lies beside the toy is not', () => {
  const one = toy('top', 'right');
  const { surfaces, balls } = modelOfToy(one);
  expect(surfaces.map(({ name }) => name)).toEqual(['Body', 'left arm', 'right arm', 'tail']);
  expect(balls).toEqual([]);
  const corners = surfaces.flatMap(({ positions }) => Array.from(positions));
  const wide = corners.filter((_, i) => i % 3 === 0);
  // 32 corners around measure a little less or as much as eight do.
  const { widthMm } = sizeOfToy(assembled(one));
  expect(Math.max(...wide) - Math.min(...wide)).toBeGreaterThan(widthMm * 0.98);
  expect(Math.max(...wide) - Math.min(...wide)).toBeLessThan(widthMm * 1.03);
  for (const { positions, index, colours } of surfaces) {
    expect(positions).toHaveLength(colours.length * 12);
    expect(index).toHaveLength(colours.length * 6);
    expect(Math.max(...index)).toBe(positions.length / 3 - 1);
    expect(positions.every(Number.isFinite)).toBe(true);
    expect(colours.every((colour) => /^#[0-9a-f]{6}$/i.test(colour))).toBe(true);
  }
});

test('eyes of a model sit on the surface of the head, as large as they are', () => {
  const head =
    'Head\nR1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4-R8: sc around\nEyes: 8 mm, between R6 and R7, 5 apart\n\nEar (make 2)\nR1: 6 sc in ring\nR2-R3: sc around\n\nSew the ears to the head on round 3, on both sides.\n';
  const { balls } = modelOfToy(analyseToy(head));
  expect(balls.map(({ radiusMm }) => radiusMm)).toEqual([4, 4]);
  const [left, right] = balls.map(({ at }) => at);
  expect(left![0]).toBeCloseTo(-right![0], 3);
  expect(left![2]).toBeGreaterThan(5);
});
