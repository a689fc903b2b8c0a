import {
  BoxGeometry,
  ConeGeometry,
  CylinderGeometry,
  SphereGeometry,
  TorusGeometry,
  type BufferGeometry,
} from 'three';

import { weld, type WeldedMesh } from '@core/shaping/part';

/** A geometry as a closed mesh. */
export function meshOfGeometry({ index, attributes }: BufferGeometry): WeldedMesh {
  return weld({
    positions: new Float32Array(attributes.position!.array),
    indices: new Uint32Array(index!.array),
  });
}

/** A block about the origin. */
export const block = (x: number, y: number, z: number): WeldedMesh =>
  meshOfGeometry(new BoxGeometry(x, y, z));

/** An upright round bar about the origin; its circle is a polygon of so many corners. */
export const bar = (diameter: number, height: number, corners = 96): WeldedMesh =>
  meshOfGeometry(new CylinderGeometry(diameter / 2, diameter / 2, height, corners).rotateX(Math.PI / 2));

export const lyingBar = (diameter: number, length: number): WeldedMesh =>
  meshOfGeometry(new CylinderGeometry(diameter / 2, diameter / 2, length, 96));

export const cone = (diameter: number, height: number, corners = 96): WeldedMesh =>
  meshOfGeometry(new ConeGeometry(diameter / 2, height, corners).rotateX(Math.PI / 2));

export const ball = (diameter: number): WeldedMesh =>
  meshOfGeometry(new SphereGeometry(diameter / 2, 64, 48));

export const torus = (across: number, thick: number): WeldedMesh =>
  meshOfGeometry(new TorusGeometry(across / 2, thick / 2, 48, 96));

/** Meshes beside each other as one. */
export function together(
  ...meshes: { mesh: WeldedMesh; at: readonly [number, number, number] }[]
): WeldedMesh {
  const positions = meshes.flatMap(({ mesh, at }) =>
    [...mesh.positions].map((mm, index) => mm + at[index % 3]!),
  );
  let first = 0;
  const indices = meshes.flatMap(({ mesh }) => {
    const own = [...mesh.indices].map((index) => index + first);
    first += mesh.positions.length / 3;
    return own;
  });
  return { positions: new Float32Array(positions), indices: new Uint32Array(indices) };
}

/** Inside out: for hollows. */
export const turnedInside = ({ positions, indices }: WeldedMesh): WeldedMesh => ({
  positions,
  indices: indices.map((_, at) => indices[3 * Math.floor(at / 3) + (2 - (at % 3))]!),
});
