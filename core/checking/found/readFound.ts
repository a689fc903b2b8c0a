import { Mesh, type BufferGeometry } from 'three';
import { OBJLoader } from 'three/examples/jsm/loaders/OBJLoader.js';
import { PLYLoader } from 'three/examples/jsm/loaders/PLYLoader.js';
import { STLLoader } from 'three/examples/jsm/loaders/STLLoader.js';

import { no, ok, type FoundFault, type Result } from '@core/foundations/fault';

import { MOST_FOUND_BYTES, MOST_TRIANGLES, type FoundMesh } from './foundMesh';
import { areasUpTo } from './samples';
import {
  lookOverObj,
  lookOverPly,
  lookOverTextStl,
  mostTriangles,
  OddFile,
  TooManyTriangles,
} from './limits';
import { isThreeMf, readThreeMf } from './readThreeMf';

/**
 * Reads a mesh that was scanned or made elsewhere: STL (binary or text), 3MF, OBJ or PLY, told apart by what is in the file. Only triangles are
 * taken.
 */
export function readFound(bytes: Uint8Array, name: string): Result<FoundMesh, FoundFault> {
  if (bytes.length > MOST_FOUND_BYTES) {
    return no({ code: 'found.tooBig', name, bytes: bytes.length, limitBytes: MOST_FOUND_BYTES });
  }
  let mesh: FoundMesh | null;
  try {
    mesh = isThreeMf(bytes) ? readThreeMf(bytes) : joined(geometriesOf(bytes));
  } catch (error) {
    if (error instanceof TooManyTriangles) {
      return no({ code: 'found.tooMany', name, count: error.count, limit: MOST_TRIANGLES });
    }
    if (error instanceof OddFile) return no({ code: 'found.odd', name, oddly: error.what });
    // What it is that the file lacks, readers say in words that help nobody.
    return no({ code: 'found.notRead', name });
  }
  if (!mesh) return no({ code: 'found.notRead', name });
  const count = mesh.indices.length / 3;
  if (count === 0) return no({ code: 'found.noFaces', name });
  if (count > MOST_TRIANGLES) return no({ code: 'found.tooMany', name, count, limit: MOST_TRIANGLES });
  const isSound =
    mesh.positions.every((value) => Number.isFinite(value)) &&
    mesh.indices.every((corner) => 3 * corner < mesh.positions.length);
  if (!isSound) return no({ code: 'found.notRead', name });
  // Triangles that are all lines or points are no surface.
  return areasUpTo(mesh).at(-1)! > 0 ? ok(mesh) : no({ code: 'found.noFaces', name });
}

/** What a file holds, or null if it is of none of these formats. */
function geometriesOf(bytes: Uint8Array): BufferGeometry[] | null {
  const buffer = bytes.slice().buffer;
  const head = new TextDecoder().decode(bytes.subarray(0, 1024));
  if (/^ply\s/.test(head)) {
    lookOverPly(bytes);
    const ply = new PLYLoader().parse(buffer);
    // Without an index it is a cloud of points.
    return ply.index ? [ply] : [];
  }
  if (isBinaryStl(bytes)) {
    mostTriangles((bytes.length - STL_HEAD) / 50);
    return [new STLLoader().parse(buffer)];
  }
  if (/^\s*solid\b/.test(head)) {
    lookOverTextStl(bytes);
    return [new STLLoader().parse(buffer)];
  }
  // An OBJ has no mark of its own: lines that begin with what it knows.
  if (!/^(v|f|o|g|vn|vt|mtllib|usemtl|s|#)\s/m.test(head)) return null;
  const text = new TextDecoder().decode(bytes);
  lookOverObj(text);
  const meshes: BufferGeometry[] = [];
  new OBJLoader().parse(text).traverse((object) => {
    if (object instanceof Mesh) meshes.push(object.geometry as BufferGeometry);
  });
  return meshes;
}

const STL_HEAD = 84;

/** Whether its length is that of as many triangles as it says. */
function isBinaryStl(bytes: Uint8Array): boolean {
  if (bytes.length < STL_HEAD) return false;
  const count = new DataView(bytes.buffer, bytes.byteOffset).getUint32(80, true);
  return bytes.length === STL_HEAD + 50 * count;
}

function joined(geometries: readonly BufferGeometry[] | null): FoundMesh | null {
  if (!geometries) return null;
  const parts = geometries.map((geometry) => {
    const places = geometry.getAttribute('position');
    const count = places?.count ?? 0;
    const positions = new Float32Array(3 * count);
    for (let corner = 0; corner < count; corner += 1) {
      positions.set([places!.getX(corner), places!.getY(corner), places!.getZ(corner)], 3 * corner);
    }
    return { positions, index: geometry.index ? Array.from(geometry.index.array) : null };
  });
  const positions = new Float32Array(parts.reduce((sum, part) => sum + part.positions.length, 0));
  const indices: number[] = [];
  let begins = 0;
  for (const { positions: own, index } of parts) {
    positions.set(own, begins);
    const first = begins / 3;
    const corners = index ?? Array.from({ length: own.length / 3 }, (_, corner) => corner);
    for (const corner of corners) indices.push(first + corner);
    begins += own.length;
  }
  return { positions, indices: new Uint32Array(indices), unitMm: null };
}
