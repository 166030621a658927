import {
  BufferAttribute,
  BufferGeometry,
  Color,
  DoubleSide,
  Group,
  InstancedMesh,
  Mesh,
  MeshStandardMaterial,
  SphereGeometry,
} from 'three';
import { GLTFExporter } from 'three/examples/jsm/exporters/GLTFExporter.js';
import { OBJExporter } from 'three/examples/jsm/exporters/OBJExporter.js';
import type { ToyModel } from '../../../core/toy/assembled';
import { bakeInstances } from './bakeInstances';
import type { FormScene } from './formScene';

/** The form with every stitch a mesh of its own, one unit a metre as such files expect. */
function bakedModel(scene: FormScene): Group {
  const model = new Group();
  for (const object of scene.model().children) {
    if (object instanceof InstancedMesh)
      model.add(
        new Mesh(bakeInstances(object), new MeshStandardMaterial({ vertexColors: true, roughness: 0.95 })),
      );
    else if (object instanceof Mesh) {
      const material = new MeshStandardMaterial({
        vertexColors: Boolean(object.geometry.getAttribute('color')),
        roughness: 0.95,
        side: object.material.side,
      });
      if (!material.vertexColors) material.color.copy(object.material.color);
      const mesh = new Mesh(object.geometry, material);
      object.updateWorldMatrix(true, false);
      mesh.applyMatrix4(object.matrixWorld);
      model.add(mesh);
    }
  }
  model.scale.setScalar(0.001);
  model.updateMatrixWorld(true);
  return model;
}

/** A model, in mm, as a GLB file. */
async function asGlb(model: Group): Promise<Blob> {
  const result = await new GLTFExporter().parseAsync(model, { binary: true });
  return new Blob([result as ArrayBuffer], { type: 'model/gltf-binary' });
}

/** A model as an OBJ file. */
const asObj = (model: Group): Blob => new Blob([new OBJExporter().parse(model)], { type: 'text/plain' });

/** The form as a GLB file. */
export const formAsGlb = (scene: FormScene): Promise<Blob> => asGlb(bakedModel(scene));

/** The form as an OBJ file. */
export const formAsObj = (scene: FormScene): Blob => asObj(bakedModel(scene));

/** One unit of a toy that is put together. */
function surfaceMesh({ name, positions, index, colours }: ToyModel['surfaces'][number]): Mesh {
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(positions, 3));
  geometry.setIndex(new BufferAttribute(index, 1));
  const rgb = new Float32Array(positions.length);
  const colour = new Color();
  colours.forEach((hex, piece) => {
    colour.set(hex);
    for (let corner = 0; corner < 4; corner += 1) colour.toArray(rgb, piece * 12 + corner * 3);
  });
  geometry.setAttribute('color', new BufferAttribute(rgb, 3));
  geometry.computeVertexNormals();
  const mesh = new Mesh(
    geometry,
    new MeshStandardMaterial({ vertexColors: true, roughness: 0.95, side: DoubleSide }),
  );
  mesh.name = name;
  return mesh;
}

/** A toy that is put together, one unit a metre as such files expect. */
function toyModel({ surfaces, balls }: ToyModel): Group {
  const model = new Group();
  for (const surface of surfaces) model.add(surfaceMesh(surface));
  for (const { at, radiusMm, colour } of balls) {
    const ball = new Mesh(new SphereGeometry(radiusMm, 24, 16), new MeshStandardMaterial({ color: colour }));
    ball.position.set(...at);
    model.add(ball);
  }
  model.scale.setScalar(0.001);
  model.updateMatrixWorld(true);
  return model;
}

/** The toy put together as a GLB file. */
export const toyAsGlb = (toy: ToyModel): Promise<Blob> => asGlb(toyModel(toy));

/** The toy put together as an OBJ file. */
export const toyAsObj = (toy: ToyModel): Blob => asObj(toyModel(toy));
