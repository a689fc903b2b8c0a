import load, { type Manifold, type ManifoldToplevel } from 'manifold-3d';

import type { WeldedMesh } from '@core/shaping/part';

let loaded: Promise<ManifoldToplevel> | null = null;

/** Another kernel, of meshes: solids that tests put together without ours. */
export function manifoldKernel(): Promise<ManifoldToplevel> {
  loaded ??= load().then((kernel) => {
    kernel.setup();
    return kernel;
  });
  return loaded;
}

/** Its triangles, corners shared, mm. */
export function meshOfManifold(solid: Manifold): WeldedMesh {
  const { vertProperties, numProp, triVerts } = solid.getMesh();
  const count = vertProperties.length / numProp;
  const positions = new Float32Array(3 * count);
  for (let corner = 0; corner < count; corner += 1) {
    for (let axis = 0; axis < 3; axis += 1)
      positions[3 * corner + axis] = vertProperties[corner * numProp + axis]!;
  }
  return { positions, indices: new Uint32Array(triVerts) };
}
