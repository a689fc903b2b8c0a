import type { Kernel, Shape } from './kernel';
import { scoped } from './scope';
import type { FaceTag, TaggedSolid } from './tagged';
import { facesByEdge, hashOf } from './topology';

/** How closely flat triangles follow a curved face: largest gap in mm, largest turn between neighbours in radians. */
export interface MeshQuality {
  gapMm: number;
  turn: number;
}

/** For the screen: smooth to the eye, quick to make. */
export const SCREEN_QUALITY: MeshQuality = { gapMm: 0.05, turn: 0.2 };
/** For files: below what a machine can make. */
export const FILE_QUALITY: MeshQuality = { gapMm: 0.01, turn: 0.15 };

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

export function meshOf(solid: TaggedSolid, quality: MeshQuality): SolidMesh {
  const { kernel, shape } = solid;
  const tags = solid.tagsByHash();
  return meshShape(kernel, shape, quality, (hash) => tags.get(hash) ?? '');
}

/** As meshOf, for a shape whose faces are named by `tagOf` from their hash. */
export function meshShape(
  kernel: Kernel,
  shape: Shape,
  quality: MeshQuality,
  tagOf: (faceHash: number) => FaceTag,
): SolidMesh {
  return scoped((scope) => {
    const data = scope.keep(kernel.ReplicadMeshExtractor.extract(shape, quality.gapMm, quality.turn, false));
    // Views of the kernel's memory are copied at once: it may move when the kernel next allocates.
    const floats = (at: number, size: number) => new Float32Array(kernel.wasmMemory.buffer, at, size).slice();
    const integers = (at: number, size: number) =>
      new Uint32Array(kernel.wasmMemory.buffer, at, size).slice();
    const groups = integers(data.getFaceGroupsPtr(), data.getFaceGroupsSize());
    const faces: SolidMesh['faces'] = [];
    for (let at = 0; at < groups.length; at += 3) {
      faces.push({ start: groups[at]!, count: groups[at + 1]!, tag: tagOf(groups[at + 2]!) });
    }
    const mesh = {
      positions: floats(data.getVerticesPtr(), data.getVerticesSize()),
      normals: floats(data.getNormalsPtr(), data.getNormalsSize()),
      indices: integers(data.getTrianglesPtr(), data.getTrianglesSize()),
      faces,
      ...edgeSegments(kernel, shape, quality, tagOf),
    };
    kernel.BRepTools.Clean(shape, true);
    return mesh;
  });
}

function edgeSegments(
  kernel: Kernel,
  shape: Shape,
  quality: MeshQuality,
  tagOf: (faceHash: number) => FaceTag,
): Pick<SolidMesh, 'edges' | 'edgeRuns'> {
  return scoped((scope) => {
    const data = scope.keep(kernel.ReplicadEdgeMeshExtractor.extract(shape, quality.gapMm, quality.turn));
    const lines = new Float32Array(kernel.wasmMemory.buffer, data.getLinesPtr(), data.getLinesSize()).slice();
    const groups = new Int32Array(
      kernel.wasmMemory.buffer,
      data.getEdgeGroupsPtr(),
      data.getEdgeGroupsSize(),
    ).slice();
    const sides = new Map<number, [FaceTag, FaceTag] | null>();
    for (const [edge, faces] of facesByEdge(kernel, scope, shape).entries()) {
      const [first, second] = faces;
      const isSeam = first && second && first.IsSame(second);
      const tags = [first, second ?? first].map((face) => (face ? tagOf(hashOf(kernel, face)) : ''));
      sides.set(hashOf(kernel, edge), isSeam ? null : (tags as [FaceTag, FaceTag]));
    }
    const kept: Float32Array[] = [];
    const edgeRuns: SolidMesh['edgeRuns'] = [];
    let segmentsSoFar = 0;
    for (let at = 0; at < groups.length; at += 3) {
      const tags = sides.get(groups[at + 2]!);
      if (tags === null) continue;
      const run = lines.subarray(3 * groups[at]!, 3 * (groups[at]! + groups[at + 1]!));
      kept.push(run);
      edgeRuns.push({ start: segmentsSoFar, count: run.length / 6, tags: tags ?? ['', ''] });
      segmentsSoFar += run.length / 6;
    }
    const edges = new Float32Array(6 * segmentsSoFar);
    let at = 0;
    for (const run of kept) {
      edges.set(run, at);
      at += run.length;
    }
    return { edges, edgeRuns };
  });
}

/** The edges of a shape alone, as in a mesh. */
export const edgesOf = (kernel: Kernel, shape: Shape, quality: MeshQuality): Float32Array =>
  edgeSegments(kernel, shape, quality, () => '').edges;
