import { drawToy } from '../join/drawn';
import { placeOf, sizeOfToy, type PosedUnit } from '../join/pose';
import { analyseToy } from './analyse';
import { assembled, drawAssembled, toyPicture } from './assembled';

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
  const patches = toyPicture(one)!.on.filter(({ kind }) => kind === 'patch');
  expect(patches.length).toBeGreaterThan(20);
  expect(toyPicture(analyseToy(`Body\n${tube}`))).toBeNull();
});
