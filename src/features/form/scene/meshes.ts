import {
  BackSide,
  BufferAttribute,
  BufferGeometry,
  CatmullRomCurve3,
  Color,
  CylinderGeometry,
  DoubleSide,
  Float32BufferAttribute,
  Group,
  InstancedMesh,
  Mesh,
  MeshLambertMaterial,
  MeshPhongMaterial,
  Quaternion,
  SphereGeometry,
  TubeGeometry,
  Vector3,
} from 'three';
import { palette } from '../../../ui/palette';
import type { DrawnForm } from '../drawnForm';
import { stitchShape } from './stitchShapes';

/** Above this many stitches the strands are drawn with fewer faces. */
const fineUpTo = 1500;

/** The fabric under the stitches: it carries the colour where strands leave gaps, and is what a tap meets. */
export function fabricMesh({ placed, surface, colours, mirrored }: DrawnForm): Mesh {
  const { triangles, stitch } = surface;
  const positions = new Float32Array(triangles.length * 3);
  const tints = new Float32Array(triangles.length * 3);
  const tint = new Color();
  for (let i = 0; i < triangles.length; i += 1) {
    const corner = mirrored && i % 3 !== 0 ? (i % 3 === 1 ? i + 1 : i - 1) : i;
    const node = triangles[corner] ?? 0;
    positions.set([placed[node * 3] ?? 0, placed[node * 3 + 1] ?? 0, placed[node * 3 + 2] ?? 0], i * 3);
    tint.set(colours[stitch[Math.floor(i / 3)] ?? 0] ?? palette.yarnUnknown).multiplyScalar(0.5);
    tints.set([tint.r, tint.g, tint.b], i * 3);
  }
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(positions, 3));
  geometry.setAttribute('color', new BufferAttribute(tints, 3));
  geometry.computeVertexNormals();
  return new Mesh(geometry, new MeshLambertMaterial({ vertexColors: true, side: DoubleSide }));
}

/** Every stitch by its shape, one mesh a shape. */
export function stitchMeshes({ frames, colours }: DrawnForm): InstancedMesh[] {
  const total = frames.reduce((sum, { stitch }) => sum + stitch.length, 0);
  return frames.map(({ look, stitch, matrices }) => {
    const mesh = new InstancedMesh(
      stitchShape(look, total <= fineUpTo ? 'fine' : 'plain'),
      new MeshLambertMaterial(),
      stitch.length,
    );
    mesh.instanceMatrix.array.set(matrices);
    const tint = new Color();
    stitch.forEach((index, i) => {
      // No two stitches catch the light alike: a little unevenness, the same every time.
      mesh.setColorAt(
        i,
        tint
          .set(colours[index] ?? palette.yarnUnknown)
          .multiplyScalar(0.94 + (0.12 * ((index * 7919) % 17)) / 17),
      );
    });
    mesh.frustumCulled = false;
    mesh.userData.look = look;
    mesh.userData.still = mesh.geometry;
    return mesh;
  });
}

/** What fills the part, seen when it is cut open: its own wall, a little smaller. */
export function stuffing(wall: BufferGeometry): Mesh {
  const geometry = wall.clone().scale(0.9, 0.9, 0.9);
  geometry.setAttribute(
    'color',
    new Float32BufferAttribute(
      new Float32Array((geometry.getAttribute('position').count || 0) * 3).fill(0.92),
      3,
    ),
  );
  const mesh = new Mesh(geometry, new MeshLambertMaterial({ vertexColors: true, side: BackSide }));
  mesh.userData.inside = true;
  return mesh;
}

/** A pressed eye: dome outside, post through the fabric, washer inside. */
export function eyeGroup({ at, out, radius, washer, style, ring }: DrawnForm['eyes'][number]): Group {
  const group = new Group();
  const black = new MeshPhongMaterial({ color: palette.eye, specular: palette.eyeShine, shininess: 90 });
  const dome = new Mesh(new SphereGeometry(radius, 24, 12, 0, Math.PI * 2, 0, Math.PI / 2), black);
  dome.scale.set(style === 'oval' ? 0.72 : 1, 0.7, 1);
  if (ring) {
    const felt = new Mesh(
      new CylinderGeometry(ring.radius, ring.radius, ring.of === 'felt' ? 1.2 : 2.4, 28),
      new MeshLambertMaterial({ color: palette.thread }),
    );
    felt.position.y = radius * 0.3;
    group.add(felt);
  }
  dome.position.y = radius * 0.35;
  group.add(dome);
  if (washer > 0) {
    const post = new Mesh(new CylinderGeometry(radius * 0.22, radius * 0.22, radius * 2.4, 12), black);
    post.position.y = -radius * 0.9;
    const disc = new Mesh(
      new CylinderGeometry(washer / 2, washer / 2, 1.2, 24),
      new MeshPhongMaterial({ color: palette.washer }),
    );
    disc.position.y = -radius * 0.9;
    for (const part of [post, disc]) {
      part.userData.inside = true;
      group.add(part);
    }
  }
  group.traverse((object) => {
    object.userData.hardware = true;
  });
  group.quaternion.copy(new Quaternion().setFromUnitVectors(new Vector3(0, 1, 0), new Vector3(...out)));
  group.position.set(...at);
  return group;
}

/** Thread lying on the fabric, and pieces sewn onto it. */
export function needlework({ strokes, patches, step }: DrawnForm): Mesh[] {
  const thread = strokes.map(({ from, to, colour }) => {
    const [a, b] = [new Vector3(...from.at), new Vector3(...to.at)];
    const lift = (share: number, out: [number, number, number]) =>
      a
        .clone()
        .lerp(b, share)
        .addScaledVector(new Vector3(...out), step * 0.66);
    const way = new CatmullRomCurve3([
      a.clone().addScaledVector(new Vector3(...from.out), step * 0.1),
      lift(0.2, from.out),
      lift(0.8, to.out),
      b.clone().addScaledVector(new Vector3(...to.out), step * 0.1),
    ]);
    return new Mesh(
      new TubeGeometry(way, 10, step * 0.19, 6, false),
      new MeshLambertMaterial({ color: colour }),
    );
  });
  const pieces = patches.map(({ at, radius, colour }) => {
    const piece = new Mesh(new SphereGeometry(radius, 20, 10), new MeshLambertMaterial({ color: colour }));
    piece.scale.y = 0.16;
    piece.quaternion.setFromUnitVectors(new Vector3(0, 1, 0), new Vector3(...at.out));
    piece.position.set(...at.at).addScaledVector(new Vector3(...at.out), step * 0.3);
    return piece;
  });
  return [...thread, ...pieces];
}
