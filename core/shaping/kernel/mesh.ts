import { type FaceTag, type MeshQuality, type SolidMesh } from '@core/shaping/part';

import { closedVolume } from './closedVolume';
import type { KeptPieces } from './keptPieces';
import type { Kernel, Shape } from './kernel';
import { assembled, edgeRunsOf, linesByKernel, piecesOf, wholeByKernel, type MeshPieces } from './meshPieces';
import { scoped } from './scope';
import type { TaggedSolid } from './tagged';

/** @param kept the pieces of the last mesh of the same part, of the same quality: only faces that are not among them are meshed. */
export function meshOf(solid: TaggedSolid, quality: MeshQuality, kept?: KeptPieces): SolidMesh {
  const { kernel, shape } = solid;
  const tags = solid.tagsByHash();
  const { mesh, pieces } = closedMesh(
    kernel,
    shape,
    quality,
    (hash) => tags.get(hash) ?? '',
    kept?.amongFacesOf(shape),
  );
  kept?.keep(shape, pieces);
  return mesh;
}

/** As meshOf, for a shape whose faces are named by `tagOf` from their hash. */
export const meshShape = (
  kernel: Kernel,
  shape: Shape,
  quality: MeshQuality,
  tagOf: (faceHash: number) => FaceTag,
): SolidMesh => closedMesh(kernel, shape, quality, tagOf).mesh;

/** Old and new faces, and those of the kernel's and our own, meet in the same points: or all is made anew, at last by the kernel alone. */
function closedMesh(
  kernel: Kernel,
  shape: Shape,
  quality: MeshQuality,
  tagOf: (faceHash: number) => FaceTag,
  known?: MeshPieces,
): { mesh: SolidMesh; pieces: MeshPieces } {
  const ways = [
    ...(known ? [() => piecesOf(kernel, shape, quality, known)] : []),
    () => piecesOf(kernel, shape, quality),
  ];
  for (const way of ways) {
    const pieces = way();
    const mesh = assembled(kernel, shape, pieces, tagOf);
    if (closedVolume(mesh) !== null) return { mesh, pieces };
  }
  const pieces = wholeByKernel(kernel, shape, quality);
  kernel.BRepTools.Clean(shape, true);
  return { mesh: assembled(kernel, shape, pieces, tagOf), pieces };
}

/** The edges of a shape alone, as in a mesh. */
export const edgesOf = (kernel: Kernel, shape: Shape, quality: MeshQuality): Float32Array =>
  scoped((scope) => edgeRunsOf(kernel, scope, shape, linesByKernel(kernel, shape, quality), () => '').edges);
