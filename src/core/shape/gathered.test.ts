import { array, assert, integer, nat, property, record } from 'fast-check';
import { gathered, outline, type PageFace } from './gathered';

/** Is a point inside a convex face? */
function covers({ corners }: PageFace, x: number, y: number): boolean {
  const sides = new Set<number>();
  for (let i = 0; i < corners.length; i += 2) {
    const [ax = 0, ay = 0] = [corners[i], corners[i + 1]];
    const j = (i + 2) % corners.length;
    const [bx = 0, by = 0] = [corners[j], corners[j + 1]];
    sides.add(Math.sign((bx - ax) * (y - ay) - (by - ay) * (x - ax)));
  }
  return sides.size === 1;
}

/** The colour one sees at a point where faces are laid one on the other. */
const seen = (faces: readonly PageFace[], x: number, y: number) =>
  faces.findLast((face) => covers(face, x, y))?.colour;

/** The faces of a path, read back from how it is written. */
const facesOf = ({ d, colour }: { d: string; colour: string }): PageFace[] =>
  d
    .split('Z')
    .filter(Boolean)
    .map((piece) => ({ colour, corners: piece.slice(1).split(/[L ]/).map(Number) }));

const square = (x: number, y: number, side: number, colour: string): PageFace => ({
  colour,
  corners: [x, y, x + side, y, x + side, y + side, x, y + side],
});

test('a face joins an earlier patch of its colour unless that would hide it', () => {
  const apart = [square(0, 0, 10, 'red'), square(20, 0, 10, 'blue'), square(40, 0, 10, 'red')];
  expect(gathered(apart).map(({ colour }) => colour)).toEqual(['red', 'blue']);
  const across = [square(0, 0, 10, 'red'), square(5, 0, 10, 'blue'), square(8, 0, 10, 'red')];
  expect(gathered(across).map(({ colour }) => colour)).toEqual(['red', 'blue', 'red']);
  const touching = [square(0, 0, 10, 'red'), square(10, 0, 10, 'blue'), square(20, 0, 10, 'red')];
  expect(gathered(touching)).toHaveLength(2);
});

test('gathered, a heap of squares looks as it did, and none is lost', () => {
  const heap = array(
    record({ x: nat(30), y: nat(30), side: integer({ min: 2, max: 12 }), colour: nat(3) }).map(
      ({ x, y, side, colour }) => square(x, y, side, `c${colour}`),
    ),
    { maxLength: 40 },
  );
  assert(
    property(heap, (faces) => {
      const after = gathered(faces).flatMap(facesOf);
      expect(after).toHaveLength(faces.length);
      const changed: [number, number][] = [];
      for (let x = 0.5; x < 42; x += 1)
        for (let y = 0.5; y < 42; y += 1) if (seen(after, x, y) !== seen(faces, x, y)) changed.push([x, y]);
      expect(changed).toEqual([]);
    }),
    { numRuns: 60 },
  );
});

// A square against the clock and the same square with it: laid over each other in one path they would cut each other out.
test('faces go round one way, whichever way they came', () => {
  const square = [0, 0, 2, 0, 2, 2, 0, 2];
  const turned = [0, 2, 2, 2, 2, 0, 0, 0];
  const areaOf = (d: string) => {
    const points = d
      .slice(1, -1)
      .split('L')
      .map((point) => point.split(' ').map(Number));
    return points.reduce((sum, [x = 0, y = 0], i) => {
      const [a = 0, b = 0] = points[(i + 1) % points.length]!;
      return sum + (x * b - a * y) / 2;
    }, 0);
  };
  expect([square, turned].map((corners) => areaOf(outline(corners)))).toEqual([4, 4]);
});
