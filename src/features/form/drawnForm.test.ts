import { analyseToy } from '../../core/toy/analyse';
import { formInputOf } from '../../core/toy/formOfPart';
import { formSoFar, relaxForm } from '../../core/shape/form/relaxForm';
import { Relaxation } from '../../core/shape/form/relaxation';
import { drawnForm } from './drawnForm';
import { bakeInstances } from './scene/bakeInstances';
import { eyeGroup, fabricMesh, stitchMeshes } from './scene/meshes';
import { stitchShape } from './scene/stitchShapes';

const head = (header: string, sentences: string) =>
  [
    'Yarn moss: medium, moss green',
    'Head',
    header,
    'in moss',
    'R1: 6 sc in ring',
    'R2: inc x 6',
    'R3: (sc, inc) x 6',
    'R4: (2 sc, inc) x 6',
    'R5: (3 sc, inc) x 6',
    'R6-R11: sc around',
    'R12: (3 sc, dec) x 6',
    'R13: (2 sc, dec) x 6',
    'R14: (sc, dec) x 6',
    'R15: dec x 6',
    sentences,
    'Stuff firmly. Close the hole.',
    '',
  ].join('\n');
const drawn = (
  header = 'Start: top',
  sentences = 'Eyes: 8 mm, between R7 and R8, 6 apart (5 showing), in the holes.',
) => {
  const toy = analyseToy(head(header, sentences));
  const part = toy.parts[0]!;
  return { part, form: drawnForm(part, relaxForm(formInputOf(part)), toy.pattern.header) };
};
const length = (v: readonly number[]) => Math.hypot(...v);

test('every stitch has its shape, its colour and its place', () => {
  const { part, form } = drawn();
  const stitches = part.fabric.offset[part.fabric.rounds]!;
  expect(form.frames.reduce((sum, { stitch }) => sum + stitch.length, 0)).toBe(stitches);
  expect(form.colours).toHaveLength(stitches);
  const [red, green, blue] = [1, 3, 5].map((at) => Number.parseInt(form.colours[0]!.slice(at, at + 2), 16));
  expect(new Set(form.colours).size).toBe(1);
  expect(green).toBeGreaterThan(Math.max(red!, blue!));
  expect(form.placed.every(Number.isFinite)).toBe(true);
  expect(form.stuffed).toBe(true);
});

test.each([
  ['Start: top', 'Eyes: 8 mm, between R7 and R8, 6 apart (5 showing), in the holes.'],
  ['Start: bottom', 'Eyes: 8 mm, between R7 and R8, 6 apart (5 showing), in the splits.'],
  ['Start: left', 'Eyes: 8 mm, 4 rounds apart.'],
  ['Start: right', 'Eyes: 8 mm, 4 rounds apart, oval.'],
])('%s: the eyes look forward from either side, level, and outward', (header, sentence) => {
  const { form } = drawn(header, sentence);
  const [left, right] = form.eyes;
  expect(form.eyes).toHaveLength(2);
  expect(left!.at[0]).toBeLessThan(0);
  expect(right!.at[0]).toBeGreaterThan(0);
  expect(Math.abs(left!.at[1] - right!.at[1])).toBeLessThan(3);
  for (const eye of form.eyes) {
    expect(eye.at[2]).toBeGreaterThan(10);
    expect(eye.out[2]).toBeGreaterThan(0.5);
    expect(length(eye.out)).toBeCloseTo(1, 6);
    expect([eye.radius, eye.washer]).toEqual([4, 12]);
  }
});

test('stitched strokes lie on the fabric, felt at its place, a pressed nose is a dome', () => {
  const { form } = drawn(
    'Start: top',
    'Eyes: 8 mm, between R7 and R8, 6 apart (5 showing), in the holes. Mouth: smile, 3 rounds below the eyes, 4 stitches wide. Cheeks: felt, 8 mm, 2 rounds below the eyes, 1 stitch outside the eyes. Insert a 10 mm safety nose 1 round below the eyes.',
  );
  expect(form.strokes.length).toBeGreaterThanOrEqual(2);
  for (const { from, to } of form.strokes) {
    for (const point of [from, to]) expect(point.at[2]).toBeGreaterThan(8);
    expect(from.at[1]).toBeLessThan(form.eyes[0]!.at[1]);
  }
  expect(form.patches.map(({ radius }) => radius)).toEqual([4, 4]);
  expect(Math.sign(form.patches[0]!.at.at[0])).toBe(-Math.sign(form.patches[1]!.at.at[0]));
  expect(form.eyes).toHaveLength(3);
  expect(Math.abs(form.eyes[2]!.at[0])).toBeLessThan(4);
});

test('left-handed work is the mirror image, its outside still out', () => {
  const [right, left] = [drawn('Start: top').form, drawn('Start: top\nHand: left').form];
  expect(right.mirrored).not.toBe(left.mirrored);
  for (const form of [right, left]) {
    // Seen from the middle, the wall's outward side looks away.
    const wall = form.frames
      .flatMap(({ stitch }) => [...stitch])
      .filter((stitch) => stitch > 150 && stitch < 250);
    for (const stitch of wall) {
      const [x = 0, z = 0] = [form.placed[stitch * 3], form.placed[stitch * 3 + 2]];
      const out = form.outward(stitch);
      expect(x * out[0] + z * out[2]).toBeGreaterThan(0);
    }
  }
});

describe('meshes', () => {
  test('the fabric is closed by triangles that face out, tinted by the yarn', () => {
    const { form } = drawn();
    const geometry = fabricMesh(form).geometry;
    const [position, normal, colour] = [
      geometry.getAttribute('position'),
      geometry.getAttribute('normal'),
      geometry.getAttribute('color'),
    ];
    expect(position.count).toBe(form.surface.triangles.length);
    expect(colour.count).toBe(position.count);
    let out = 0;
    for (let i = 0; i < position.count; i += 1)
      out += Math.sign(
        position.getX(i) * normal.getX(i) +
          position.getY(i) * normal.getY(i) +
          position.getZ(i) * normal.getZ(i),
      );
    expect(out / position.count).toBeGreaterThan(0.9);
    expect(colour.getY(0)).toBeGreaterThan(colour.getX(0));
  });

  test('stitches of one shape are one mesh; as a file each has its own vertices', () => {
    const { part, form } = drawn();
    const meshes = stitchMeshes(form);
    expect(meshes.reduce((sum, mesh) => sum + mesh.count, 0)).toBe(part.fabric.offset[part.fabric.rounds]);
    const [mesh] = meshes;
    const baked = bakeInstances(mesh!);
    const each = mesh!.geometry.getAttribute('position').count;
    expect(baked.getAttribute('position').count).toBe(each * mesh!.count);
    expect(baked.getIndex()!.count).toBe(mesh!.geometry.getIndex()!.count * mesh!.count);
    expect(Math.max(...baked.getIndex()!.array)).toBeLessThan(each * mesh!.count);
    baked.computeBoundingBox();
    const size = baked.boundingBox!.max.clone().sub(baked.boundingBox!.min);
    expect(size.x).toBeGreaterThan(40);
    expect(size.x).toBeLessThan(90);
  });

  test('shapes have fewer faces where more is drawn, and both legs of a stitch mirror each other', () => {
    for (const look of ['v', 'decrease', 'tall', 'loop'] as const) {
      const faces = (['fine', 'plain', 'coarse'] as const).map(
        (detail) => stitchShape(look, detail).getIndex()!.count,
      );
      expect(faces[0]).toBeGreaterThan(faces[1]!);
      expect(faces[1]).toBeGreaterThan(faces[2]!);
      const shape = stitchShape(look, 'fine');
      shape.computeBoundingBox();
      expect(shape.boundingBox!.max.x).toBeCloseTo(-shape.boundingBox!.min.x, 1);
    }
  });

  test('an eye has a dome outside, a post and a washer inside', () => {
    const { form } = drawn();
    const group = eyeGroup(form.eyes[0]!);
    expect(group.children.length).toBeGreaterThanOrEqual(3);
    expect(group.children.some((child) => child.userData.inside)).toBe(true);
  });
});

test('a part of 40,000 stitches is drawn before it has settled', () => {
  const toy = analyseToy('Part\nR1: 200 sc in ring\nR2-R200: sc around');
  const part = toy.parts[0]!;
  const input = formInputOf(part);
  const form = drawnForm(part, formSoFar(new Relaxation(input), input.gauge.widthMm), toy.pattern.header);
  expect(form.colours).toHaveLength(40_000);
  expect(form.placed.every(Number.isFinite)).toBe(true);
  expect(stitchMeshes(form).reduce((sum, mesh) => sum + mesh.count, 0)).toBe(40_000);
});

test.each([
  ['Start: top', 'eyes: 8 mm, between R7 and R8, 6 apart (5 showing), in the holes.'],
  ['Start: bottom', 'eyes: 8 mm, between R7 and R8, 6 apart (5 showing), in the splits.'],
  ['Start: left', 'eyes: 8 mm, 4 rounds apart.'],
])('%s: eyes that are sewn on lie where pressed ones would', (header, sentence) => {
  const pressed = drawn(header, sentence).form.eyes;
  const { eyes, patches } = drawn(header, `Felt ${sentence}`).form;
  expect(eyes).toEqual([]);
  expect(patches.map(({ radius }) => radius)).toEqual([4, 4]);
  expect(patches.map(({ at }) => at.at)).toEqual(pressed.map(({ at }) => at));
});

test('a nose of felt is drawn, one that is pressed in is none of felt', () => {
  const nosesOf = (sentence: string) => drawn('Start: top', sentence).form.patches.length;
  expect(nosesOf('Sew a felt nose, 10 mm, between R9 and R10.')).toBe(1);
  expect(nosesOf('Insert a 12 mm safety nose between R9 and R10.')).toBe(0);
});
