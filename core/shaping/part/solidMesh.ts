import type { FaceTag } from '@core/foundations/faceTag';

/** How closely flat triangles follow a curved face: largest gap in mm, largest angle between neighbours in radians. */
export interface MeshQuality {
  gapMm: number;
  angle: number;
}

/** For the screen: smooth to the eye, quick to make. */
export const SCREEN_QUALITY: MeshQuality = { gapMm: 0.05, angle: 0.2 };

/** For files: below what a machine can make. */
export const FILE_QUALITY: MeshQuality = { gapMm: 0.01, angle: 0.15 };

/** For laying in layers: circles are right to within what a printed one is measured by. */
export const LAYER_QUALITY: MeshQuality = { gapMm: 0.004, angle: 0.12 };

/** Triangles and edges of a solid. Flat arrays, mm, x y z after each other; every array may be transferred. */
export interface SolidMesh {
  positions: Float32Array;
  normals: Float32Array;
  /** Three a triangle, anticlockwise seen from outside. */
  indices: Uint32Array;
  /** Runs of `indices` that belong to one face. */
  faces: { start: number; count: number; tag: FaceTag }[];
  /** Segments along the edges, six numbers each; seams of round faces are left out. */
  edges: Float32Array;
  /** Runs of `edges`, counted in segments, that belong to one edge, by the tags on both of its sides. */
  edgeRuns: { start: number; count: number; tags: [FaceTag, FaceTag] }[];
}
