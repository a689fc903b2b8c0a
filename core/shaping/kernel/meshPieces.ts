import { joinedFloats } from '@core/foundations/floats';
import type { FaceTag, MeshQuality, SolidMesh } from '@core/shaping/part';

import { dividedEdge } from './dividedEdge';
import type { FacePiece } from './facePiece';
import { flatTriangles } from './flatFaces';
import type { Kernel, Shape } from './kernel';
import { patchTriangles } from './patchTriangles';
import { planeOf, type PlaneOut } from './planeOf';
import { scoped, type Scope } from './scope';
import { spunPatchOf, type SpunPatch } from './spunPatch';
import { facesByEdge, hashOf, partsOf } from './topology';

/** What a mesh is put together from: the triangles of each face and the segments of each edge, by their hashes. */
export interface MeshPieces {
  faces: Map<number, FacePiece>;
  /** Six numbers a segment, mm. */
  edges: Map<number, Float32Array>;
}

/**
 * The pieces of all faces of a shape and of their edges. Those of `known` are taken as they are; flat faces and patches of plain surfaces
 * are triangulated here, in less time than the kernel takes, and what is left by the kernel. Either goes by the same points along edges.
 */
export function piecesOf(
  kernel: Kernel,
  shape: Shape,
  quality: MeshQuality,
  known: MeshPieces = NOTHING,
): MeshPieces {
  const pieces =
    scoped((scope) => piecesHere(kernel, scope, shape, quality, known)) ??
    wholeByKernel(kernel, shape, quality);
  // What the kernel notes on its faces would stay in memory with them.
  kernel.BRepTools.Clean(shape, true);
  return pieces;
}

const NOTHING: MeshPieces = { faces: new Map(), edges: new Map() };

/** All pieces as the kernel makes them. */
export const wholeByKernel = (kernel: Kernel, shape: Shape, quality: MeshQuality): MeshPieces => ({
  faces: facesByKernel(kernel, shape, quality),
  edges: linesByKernel(kernel, shape, quality),
});

/** Null where an edge cannot be divided here, or the edges of a flat face do not close. */
function piecesHere(
  kernel: Kernel,
  scope: Scope,
  shape: Shape,
  quality: MeshQuality,
  known: MeshPieces,
): MeshPieces | null {
  const flat: [Shape, PlaneOut][] = [];
  const patches: [Shape, SpunPatch][] = [];
  const rest: Shape[] = [];
  for (const face of partsOf(kernel, scope, shape, 'TopAbs_FACE')) {
    if (known.faces.has(hashOf(kernel, face))) continue;
    const plane = planeOf(kernel, face);
    const patch = plane ? null : spunPatchOf(kernel, scope, face);
    if (plane) flat.push([face, plane]);
    else if (patch) patches.push([face, patch]);
    else rest.push(face);
  }
  const fresh =
    rest.length > 0 ? wholeByKernel(kernel, facesTogether(kernel, scope, rest), quality) : NOTHING;
  const faces = new Map([...known.faces, ...fresh.faces]);
  // Lines that are there already are the ones that the known faces go by.
  const edges = new Map([...fresh.edges, ...known.edges]);
  for (const [face] of [...flat, ...patches]) {
    for (const edge of partsOf(kernel, scope, face, 'TopAbs_EDGE')) {
      const hash = hashOf(kernel, edge);
      const lines = edges.get(hash) ?? dividedEdge(kernel, scope, edge, quality);
      if (!lines) return null;
      edges.set(hash, lines);
    }
  }
  const linesOf = (edge: Shape) => edges.get(hashOf(kernel, edge))!;
  for (const [face, plane] of flat) {
    const triangles = flatTriangles(kernel, scope, face, plane, linesOf);
    if (!triangles) return null;
    faces.set(hashOf(kernel, face), triangles);
  }
  for (const [face, patch] of patches) {
    faces.set(hashOf(kernel, face), patchTriangles(patch, linesOf, quality));
  }
  return { faces, edges };
}

/** One mesh of the pieces of a shape, each face and edge named by `tagOf` from a face's hash. */
export function assembled(
  kernel: Kernel,
  shape: Shape,
  pieces: MeshPieces,
  tagOf: (faceHash: number) => FaceTag,
): SolidMesh {
  return scoped((scope) => {
    const faces: SolidMesh['faces'] = [];
    const made: FacePiece[] = [];
    let start = 0;
    for (const face of partsOf(kernel, scope, shape, 'TopAbs_FACE')) {
      const hash = hashOf(kernel, face);
      const piece = pieces.faces.get(hash);
      if (!piece) continue;
      made.push(piece);
      faces.push({ start, count: piece.indices.length, tag: tagOf(hash) });
      start += piece.indices.length;
    }
    const indices = new Uint32Array(start);
    let corners = 0;
    for (const [index, piece] of made.entries()) {
      const at = faces[index]!.start;
      for (let place = 0; place < piece.indices.length; place += 1) {
        indices[at + place] = piece.indices[place]! + corners;
      }
      corners += piece.positions.length / 3;
    }
    return {
      positions: joinedFloats(made.map(({ positions }) => positions)),
      normals: joinedFloats(made.map(({ normals }) => normals)),
      indices,
      faces,
      ...edgeRunsOf(kernel, scope, shape, pieces.edges, tagOf),
    };
  });
}

export function edgeRunsOf(
  kernel: Kernel,
  scope: Scope,
  shape: Shape,
  lines: ReadonlyMap<number, Float32Array>,
  tagOf: (faceHash: number) => FaceTag,
): Pick<SolidMesh, 'edges' | 'edgeRuns'> {
  const kept: Float32Array[] = [];
  const edgeRuns: SolidMesh['edgeRuns'] = [];
  let start = 0;
  for (const [edge, [first, second]] of facesByEdge(kernel, scope, shape).entries()) {
    const run = lines.get(hashOf(kernel, edge));
    const isSeam = first && second && first.IsSame(second);
    if (!run || isSeam) continue;
    const tags = [first, second ?? first].map((face) => (face ? tagOf(hashOf(kernel, face)) : ''));
    kept.push(run);
    edgeRuns.push({ start, count: run.length / 6, tags: tags as [FaceTag, FaceTag] });
    start += run.length / 6;
  }
  return { edges: joinedFloats(kept), edgeRuns };
}

function facesByKernel(kernel: Kernel, shape: Shape, quality: MeshQuality): Map<number, FacePiece> {
  return scoped((scope) => {
    const data = scope.keep(kernel.ReplicadMeshExtractor.extract(shape, quality.gapMm, quality.angle, false));
    // Views of the kernel's memory are copied at once: it may move when the kernel next allocates.
    const view = <T>(
      kind: new (buffer: ArrayBufferLike, at: number, size: number) => T,
      at: number,
      size: number,
    ) => new kind(kernel.wasmMemory.buffer, at, size);
    const positions = view(Float32Array, data.getVerticesPtr(), data.getVerticesSize());
    const normals = view(Float32Array, data.getNormalsPtr(), data.getNormalsSize());
    const indices = view(Uint32Array, data.getTrianglesPtr(), data.getTrianglesSize());
    const groups = view(Uint32Array, data.getFaceGroupsPtr(), data.getFaceGroupsSize());
    const faces = new Map<number, FacePiece>();
    for (let at = 0; at < groups.length; at += 3) {
      const own = indices.slice(groups[at], groups[at]! + groups[at + 1]!);
      // Each face has its corners one after the other.
      const first = own.reduce((least, corner) => Math.min(least, corner), Infinity);
      const last = own.reduce((most, corner) => Math.max(most, corner), -1);
      if (last < 0) continue;
      faces.set(groups[at + 2]!, {
        positions: positions.slice(3 * first, 3 * (last + 1)),
        normals: normals.slice(3 * first, 3 * (last + 1)),
        indices: own.map((corner) => corner - first),
      });
    }
    return faces;
  });
}

/** Segments of every edge of a shape's faces. Asked of a face that has no triangles yet, the kernel makes them first. */
export function linesByKernel(kernel: Kernel, shape: Shape, quality: MeshQuality): Map<number, Float32Array> {
  return scoped((scope) => {
    const data = scope.keep(kernel.ReplicadEdgeMeshExtractor.extract(shape, quality.gapMm, quality.angle));
    const memory = kernel.wasmMemory.buffer;
    const lines = new Float32Array(memory, data.getLinesPtr(), data.getLinesSize()).slice();
    const groups = new Int32Array(memory, data.getEdgeGroupsPtr(), data.getEdgeGroupsSize());
    const byHash = new Map<number, Float32Array>();
    for (let at = 0; at < groups.length; at += 3) {
      byHash.set(groups[at + 2]!, lines.subarray(3 * groups[at]!, 3 * (groups[at]! + groups[at + 1]!)));
    }
    return byHash;
  });
}

function facesTogether(kernel: Kernel, scope: Scope, shapes: readonly Shape[]): Shape {
  const compound = scope.keep(new kernel.TopoDS_Compound());
  const builder = scope.keep(new kernel.TopoDS_Builder());
  builder.MakeCompound(compound);
  for (const shape of shapes) builder.Add(compound, shape);
  return compound;
}
