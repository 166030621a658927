import { flatAtEnd, flatThickness, pressedFlat } from './pressedFlat';

const area = ({ half, z }: { half: Float64Array; z: Float64Array }): number =>
  half.reduce((sum, wide, i) => (i === 0 ? 0 : sum + (wide + half[i - 1]!) * (z[i]! - z[i - 1]!)), 0);

/** Rings of a flat disc of so many rounds that grows 5 mm a round, and of a tube of its width after it. */
function bag(disc: number, tube: number): { radius: Float64Array; along: Float64Array } {
  const rings = disc + tube + 1;
  const radius = Float64Array.from({ length: rings }, (_, i) => 5 * Math.min(i, disc));
  return { radius, along: Float64Array.from({ length: rings }, (_, i) => 5 * i) };
}

test('the end of a bag is round: wide at once, and steep at its sides', () => {
  const { radius, along } = bag(4, 3);
  const { half, z } = pressedFlat(radius, along);
  expect([...half].map(Math.round)).toEqual([0, 8, 16, 24, 31, 31, 31, 31]);
  // Half an ellipse: half widths 0, 1/4, 1/2, 3/4, 1 of the widest; its area π/4 · widest · depth is that of a triangle, so 2/π · 20 deep.
  const deep = (2 / Math.PI) * 20;
  [0, 0.0318, 0.134, 0.3386, 1].forEach((share, ring) => expect(z[ring]).toBeCloseTo(share * deep, 2));
  expect(z[5]! - z[4]!).toBeCloseTo(5);
  expect(z[7]! - z[4]!).toBeCloseTo(15);
});

test('a point stays one, a tube stays one', () => {
  const along = Float64Array.of(0, 5, 10, 15);
  const pointed = pressedFlat(Float64Array.of(0, 2, 4, 6), along);
  expect([...pointed.z]).toEqual([0, 5, 10, 15]);
  const tube = pressedFlat(Float64Array.of(6, 6, 6, 6), along);
  expect([...tube.z]).toEqual([0, 5, 10, 15]);
});

test('what is closed at both ends is round at both, and the same from either', () => {
  const along = Float64Array.of(0, 5, 10, 15, 20, 25, 30);
  const { z } = pressedFlat(Float64Array.of(0, 5, 10, 10, 10, 5, 0), along);
  const whole = z[6]!;
  z.forEach((mm, ring) => expect(mm).toBeCloseTo(whole - z[6 - ring]!));
  expect(whole).toBeLessThan(30);
  expect(z.every((mm, ring) => ring === 0 || mm >= z[ring - 1]!)).toBe(true);
});

test('a disc alone lies as one, with an edge; nothing and one ring are themselves', () => {
  const { radius, along } = bag(6, 0);
  const disc = pressedFlat(radius, along);
  expect(disc.z[6]).toBeCloseTo((2 / Math.PI) * 30);
  expect(area(disc)).toBeGreaterThan(0);
  expect([...pressedFlat(Float64Array.of(), Float64Array.of()).z]).toEqual([]);
  expect([...pressedFlat(Float64Array.of(0), Float64Array.of(0)).z]).toEqual([0]);
});

test('a stuffed part is flat at its edge, round at its tip, and as long round everywhere', () => {
  const along = Float64Array.of(0, 5, 10, 15, 20, 25, 30, 35, 40);
  const radius = along.map((_, i) => Math.min(10, 5 * i));
  const { half, thick } = flatAtEnd(radius, along);
  expect(thick[8]).toBeCloseTo(flatThickness);
  // Two radii of 10 mm from the edge it is round.
  [0, 2, 4].forEach((ring) => expect([thick[ring], half[ring]]).toEqual([1, radius[ring]]));
  for (let ring = 1; ring < 9; ring += 1) {
    // The way round an oval, stepped along: no formula of its own.
    let round = 0;
    for (let step = 0; step < 720; step += 1) {
      const at = (turn: number) =>
        [half[ring]! * Math.cos(turn), half[ring]! * thick[ring]! * Math.sin(turn)] as const;
      const [a, b] = [at((step * Math.PI) / 360), at(((step + 1) * Math.PI) / 360)];
      round += Math.hypot(a[0] - b[0], a[1] - b[1]);
    }
    expect(round / (2 * Math.PI * radius[ring]!)).toBeCloseTo(1, 2);
  }
});
