import { coordinatesOf, type FaceTag, type MeshQuality, type SolidMesh } from '@core/part';

import { busyFacesOf, trianglesOf, type FaceTriangles } from './busyFaces';
import type { Kernel, Shape } from './kernel';
import { scoped, type Scope } from './scope';
import type { TaggedSolid } from './tagged';
import { facesByEdge, hashOf, partsOf } from './topology';

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
    const busy = busyFacesOf(kernel, scope, shape);
    const mesh =
      (busy.length > 0 ? meshBesides(kernel, shape, busy, quality, tagOf) : null) ??
      withEdges(meshByKernel(kernel, shape, quality, tagOf), kernel, shape, quality, tagOf);
    kernel.BRepTools.Clean(shape, true);
    return mesh;
  });
}

type Triangles = Pick<SolidMesh, 'positions' | 'normals' | 'indices' | 'faces'>;

function withEdges(
  triangles: Triangles,
  kernel: Kernel,
  shape: Shape,
  quality: MeshQuality,
  tagOf: (faceHash: number) => FaceTag,
): SolidMesh {
  const { edges, edgeRuns } = edgeSegments(kernel, shape, quality, tagOf);
  return { ...triangles, edges, edgeRuns };
}

function meshByKernel(
  kernel: Kernel,
  shape: Shape,
  quality: MeshQuality,
  tagOf: (faceHash: number) => FaceTag,
): Triangles {
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
    return {
      positions: floats(data.getVerticesPtr(), data.getVerticesSize()),
      normals: floats(data.getNormalsPtr(), data.getNormalsSize()),
      indices: integers(data.getTrianglesPtr(), data.getTrianglesSize()),
      faces,
    };
  });
}

/** All but the busy faces by the kernel, and these between the points of their edges; null where those do not close. */
function meshBesides(
  kernel: Kernel,
  shape: Shape,
  busy: readonly Shape[],
  quality: MeshQuality,
  tagOf: (faceHash: number) => FaceTag,
): SolidMesh | null {
  return scoped((scope) => {
    const rest = scope.keep(new kernel.TopoDS_Compound());
    const builder = scope.keep(new kernel.TopoDS_Builder());
    builder.MakeCompound(rest);
    for (const face of partsOf(kernel, scope, shape, 'TopAbs_FACE')) {
      if (!busy.some((one) => one.IsSame(face))) builder.Add(rest, face);
    }
    const others = meshByKernel(kernel, rest, quality, tagOf);
    const { byHash, ...lines } = edgeSegments(kernel, shape, quality, tagOf, rest);
    const made: { tag: FaceTag; triangles: FaceTriangles }[] = [];
    for (const face of busy) {
      const triangles = trianglesOf(kernel, scope, face, (hash) => byHash.get(hash));
      if (!triangles) return null;
      made.push({ tag: tagOf(hashOf(kernel, face)), triangles });
    }
    return { ...joined(others, made), ...lines };
  });
}

function joined(others: Triangles, made: readonly { tag: FaceTag; triangles: FaceTriangles }[]): Triangles {
  const faces = [...others.faces];
  const [positions, normals, indices] = [[others.positions], [others.normals], [others.indices]];
  let corners = others.positions.length / 3;
  let places = others.indices.length;
  for (const { tag, triangles } of made) {
    const count = triangles.positions.length / 3;
    positions.push(Float32Array.from(triangles.positions));
    normals.push(Float32Array.from({ length: 3 * count }, (_, at) => triangles.normal[at % 3]!));
    indices.push(Uint32Array.from(triangles.indices, (corner) => corner + corners));
    faces.push({ start: places, count: triangles.indices.length, tag });
    corners += count;
    places += triangles.indices.length;
  }
  const floats = (parts: readonly Float32Array[]) => {
    const all = new Float32Array(parts.reduce((sum, part) => sum + part.length, 0));
    parts.reduce((at, part) => (all.set(part, at), at + part.length), 0);
    return all;
  };
  const all = new Uint32Array(places);
  indices.reduce((at, part) => (all.set(part, at), at + part.length), 0);
  return { positions: floats(positions), normals: floats(normals), indices: all, faces };
}

function edgeSegments(
  kernel: Kernel,
  shape: Shape,
  quality: MeshQuality,
  tagOf: (faceHash: number) => FaceTag,
  /** Faces of the shape that have their triangles: asked for the edges of others, the kernel makes those of them first. */
  meshed: Shape = shape,
): Pick<SolidMesh, 'edges' | 'edgeRuns'> & { byHash: Map<number, Float32Array> } {
  return scoped((scope) => {
    const data = scope.keep(kernel.ReplicadEdgeMeshExtractor.extract(meshed, quality.gapMm, quality.turn));
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
    const byHash = new Map<number, Float32Array>();
    for (let at = 0; at < groups.length; at += 3) {
      byHash.set(groups[at + 2]!, lines.subarray(3 * groups[at]!, 3 * (groups[at]! + groups[at + 1]!)));
    }
    // What is left lies between two flat faces, and is straight.
    for (const edge of meshed === shape ? [] : partsOf(kernel, scope, shape, 'TopAbs_EDGE')) {
      const hash = hashOf(kernel, edge);
      if (!byHash.has(hash)) byHash.set(hash, straightLine(kernel, scope, edge));
    }
    const kept: Float32Array[] = [];
    const edgeRuns: SolidMesh['edgeRuns'] = [];
    let segmentsSoFar = 0;
    for (const [hash, run] of byHash) {
      const tags = sides.get(hash);
      if (tags === null) continue;
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
    return { edges, edgeRuns, byHash };
  });
}

function straightLine(kernel: Kernel, scope: Scope, edge: Shape): Float32Array {
  const curve = scope.keep(new kernel.BRepAdaptor_Curve(scope.keep(kernel.TopoDS.Edge(edge))));
  const at = (parameter: number) => coordinatesOf(scope.keep(curve.Value(parameter)));
  return Float32Array.from([...at(curve.FirstParameter()), ...at(curve.LastParameter())]);
}

/** The edges of a shape alone, as in a mesh. */
export const edgesOf = (kernel: Kernel, shape: Shape, quality: MeshQuality): Float32Array =>
  edgeSegments(kernel, shape, quality, () => '').edges;
