import type { FaceTag, SolidMesh } from '@core/shaping/part';

import type { Vec3 } from '@core/foundations/vectors';

import { wallBehind, type FindHit } from './rays';

/** The thinnest wall that was found: how thick, mm, where, the face it was looked through, and the one behind it. */
export interface ThinWall {
  mm: number;
  at: Vec3;
  tag: FaceTag;
  behind: FaceTag;
}

/** Triangles that are looked through: enough to meet every face of a usual part. */
const SAMPLES = 600;

/**
 * The thinnest wall of a mesh: from the middles of its triangles, square into the material, to the far side. Where two
 * faces meet at an edge there is no wall, however near they are, so the far side must look the other way.
 */
export function thinnestWall(mesh: SolidMesh, find?: FindHit): ThinWall | null {
  const stride = Math.max(1, Math.floor(mesh.indices.length / 3 / SAMPLES));
  let best: ThinWall | null = null;
  for (const face of mesh.faces) {
    // Every face is looked through at least once.
    for (let at = face.start; at < face.start + face.count; at += 3 * stride) {
      const wall = wallBehind(mesh, at, best?.mm, find);
      if (wall) best = { ...wall, tag: face.tag };
    }
  }
  return best;
}
