import { BufferAttribute, BufferGeometry, Color, Matrix4, Vector3, type InstancedMesh } from 'three';

/** One stitch after the other as plain meshes, for files that know no repeated shapes. */
export function bakeInstances(mesh: InstancedMesh): BufferGeometry {
  const shape = mesh.geometry;
  const positions = shape.getAttribute('position');
  const normals = shape.getAttribute('normal');
  const index = shape.getIndex();
  const { count } = mesh;
  const place = new Float32Array(positions.count * count * 3);
  const facing = new Float32Array(positions.count * count * 3);
  const tints = new Float32Array(positions.count * count * 3);
  const faces = new Uint32Array((index?.count ?? 0) * count);
  const matrix = new Matrix4();
  const vector = new Vector3();
  const tint = new Color();
  for (let i = 0; i < count; i += 1) {
    mesh.getMatrixAt(i, matrix);
    mesh.getColorAt(i, tint);
    for (let k = 0; k < positions.count; k += 1) {
      const at = (i * positions.count + k) * 3;
      vector.fromBufferAttribute(positions, k).applyMatrix4(matrix).toArray(place, at);
      vector.fromBufferAttribute(normals, k).transformDirection(matrix).toArray(facing, at);
      tint.toArray(tints, at);
    }
    for (let k = 0; k < (index?.count ?? 0); k += 1)
      faces[i * (index?.count ?? 0) + k] = (index?.getX(k) ?? 0) + i * positions.count;
  }
  const baked = new BufferGeometry();
  baked.setAttribute('position', new BufferAttribute(place, 3));
  baked.setAttribute('normal', new BufferAttribute(facing, 3));
  baked.setAttribute('color', new BufferAttribute(tints, 3));
  baked.setIndex(new BufferAttribute(faces, 1));
  return baked;
}
