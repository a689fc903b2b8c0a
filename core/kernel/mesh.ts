import { type FaceTag, type MeshQuality, type SolidMesh } from '@core/part';

import { closedVolume } from './closedVolume';
import type { KeptPieces } from './keptPieces';
import type { Kernel, Shape } from './kernel';
import { assembled, edgeRunsOf, linesByKernel, piecesOf } from './meshPieces';
import { scoped } from './scope';
import type { TaggedSolid } from './tagged';

/** @param kept the pieces of the last mesh of the same part, of the same quality: only faces that are not among them are meshed. */
export function meshOf(solid: TaggedSolid, quality: MeshQuality, kept?: KeptPieces): SolidMesh {
  const { kernel, shape } = solid;
  const tags = solid.tagsByHash();
  const tagOf = (hash: number) => tags.get(hash) ?? '';
  const known = kept?.amongFacesOf(shape);
  if (known) {
    const pieces = piecesOf(kernel, shape, quality, known);
    const mesh = assembled(kernel, shape, pieces, tagOf);
    // Old and new faces meet in the same points, or all of it is made anew.
    if (closedVolume(mesh) !== null) {
      kept!.keep(shape, pieces);
      return mesh;
    }
  }
  const pieces = piecesOf(kernel, shape, quality);
  kept?.keep(shape, pieces);
  return assembled(kernel, shape, pieces, tagOf);
}

/** As meshOf, for a shape whose faces are named by `tagOf` from their hash. */
export const meshShape = (
  kernel: Kernel,
  shape: Shape,
  quality: MeshQuality,
  tagOf: (faceHash: number) => FaceTag,
): SolidMesh => assembled(kernel, shape, piecesOf(kernel, shape, quality), tagOf);

/** The edges of a shape alone, as in a mesh. */
export const edgesOf = (kernel: Kernel, shape: Shape, quality: MeshQuality): Float32Array =>
  scoped((scope) => edgeRunsOf(kernel, scope, shape, linesByKernel(kernel, shape, quality), () => '').edges);
