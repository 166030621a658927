import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { pictureSize } from '../shape/picture';
import { analyseToy } from '../toy/analyse';
import { partPicture, toyCard } from './toyCard';

const folder = join(__dirname, '../../../demo');
const demo = readdirSync(folder)
  .filter((name) => name.endsWith('.txt'))
  .map((name) => readFileSync(join(folder, name), 'utf8'));

/** Every number in the paths of a picture. */
const numbers = (paths: string[]) => paths.flatMap((d) => d.match(/-?\d+(\.\d+)?/g) ?? []).map(Number);

test('a card says the name, what comes next, and how many parts there are', () => {
  const card = toyCard(
    analyseToy('Toy: Dot\nHead\nR1: 6 sc in ring [6]\nR2: inc x 6 [13]\n\nTail\nR1: 4 sc in ring\n'),
  );
  expect(card).toMatchObject({ name: 'Dot', next: 'Round 2 does not add up', parts: 2 });
  expect(toyCard(analyseToy(''))).toEqual({
    name: 'Toy without a name',
    next: 'Write the first round',
    language: 'en',
    parts: 0,
    picture: null,
  });
  expect(toyCard(analyseToy('Ear\nR1: 6 sc in ring')).name).toBe('Ear');
});

test('the picture is of the largest part', () => {
  const toy = analyseToy('Tail\nR1: 4 sc in ring\n\nHead\nR1: 6 sc in ring\nR2: inc x 6\nR3: sc around\n');
  expect(toyCard(toy).picture).toEqual(partPicture(toy.parts[1]!, toy.pattern.header));
});

test('pictures of the demo toys stay in their square, hold no fractions, and come back from storage the same', () => {
  for (const text of demo) {
    const { picture } = toyCard(analyseToy(text));
    const patches = picture!.on.flatMap((shape) => (shape.kind === 'patch' ? [shape.d] : []));
    const places = numbers([...picture!.fabric.map(({ d }) => d), ...patches]);
    expect(places.length).toBeGreaterThan(100);
    expect(places.every((place) => Number.isInteger(place) && place >= 0 && place <= pictureSize)).toBe(true);
    for (const shape of picture!.on)
      if (shape.kind === 'dot')
        expect(Math.max(shape.x, shape.y) + shape.radius).toBeLessThanOrEqual(pictureSize);
    expect(JSON.parse(JSON.stringify(picture))).toEqual(picture);
  }
});

test('the eyes lie level and alike on both sides of the middle', () => {
  const toy = analyseToy(
    'Lean: 0\nHead\nR1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4: (2 sc, inc) x 6\nR5-R10: sc around\nR11: (2 sc, dec) x 6\nR12: (sc, dec) x 6\nR13: dec x 6\nEyes: 9 mm, between R6 and R7, 4 showing\nStuff firmly.',
  );
  const [left, , right] = partPicture(toy.parts[0]!, toy.pattern.header)!.on.flatMap((shape) =>
    shape.kind === 'dot' ? [shape] : [],
  );
  expect(left!.y).toBe(right!.y);
  expect(Math.abs(left!.x + right!.x - pictureSize)).toBeLessThanOrEqual(2);
  expect(left!.radius).toBe(right!.radius);
});

test('two yarns make two paths in their own colours', () => {
  const toy = analyseToy(
    'Yarn A: red\nYarn B: cream\nBall\nR1: with A, 6 sc in ring\nR2: inc x 6\nR3: change to B, sc around\n',
  );
  expect(partPicture(toy.parts[0]!, toy.pattern.header)!.fabric).toHaveLength(2);
});
