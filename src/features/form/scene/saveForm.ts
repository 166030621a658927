import { Group, InstancedMesh, Mesh, MeshStandardMaterial } from 'three';
import { GLTFExporter } from 'three/examples/jsm/exporters/GLTFExporter.js';
import { OBJExporter } from 'three/examples/jsm/exporters/OBJExporter.js';
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

/** The form as a GLB file. */
export async function formAsGlb(scene: FormScene): Promise<Blob> {
  const result = await new GLTFExporter().parseAsync(bakedModel(scene), { binary: true });
  return new Blob([result as ArrayBuffer], { type: 'model/gltf-binary' });
}

/** The form as an OBJ file. */
export function formAsObj(scene: FormScene): Blob {
  return new Blob([new OBJExporter().parse(bakedModel(scene))], { type: 'text/plain' });
}
