import type { WeldedMesh } from '@core/shaping/part';

const CORNER_BYTES = 12;
const TRIANGLE_BYTES = 13;
/** Longest head that is written, bytes. */
const HEAD_BYTES = 400;

const headOf = (corners: number, triangles: number) =>
  [
    'ply',
    'format binary_little_endian 1.0',
    'comment Even Spare, mm',
    `element vertex ${corners}`,
    'property float x',
    'property float y',
    'property float z',
    `element face ${triangles}`,
    'property list uchar uint vertex_indices',
    'end_header',
    '',
  ].join('\n');

/** Binary PLY, little-endian: shared corners as 32-bit floats, mm, and triangles by the numbers of their corners. */
export function writePly({ positions, indices }: WeldedMesh): Uint8Array<ArrayBuffer> {
  const [corners, triangles] = [positions.length / 3, indices.length / 3];
  const head = new TextEncoder().encode(headOf(corners, triangles));
  const bytes = new Uint8Array(head.length + CORNER_BYTES * corners + TRIANGLE_BYTES * triangles);
  bytes.set(head);
  const view = new DataView(bytes.buffer);
  let at = head.length;
  for (const value of positions) {
    view.setFloat32(at, value, true);
    at += 4;
  }
  for (let index = 0; index < indices.length; index += 1) {
    if (index % 3 === 0) {
      view.setUint8(at, 3);
      at += 1;
    }
    view.setUint32(at, indices[index]!, true);
    at += 4;
  }
  return bytes;
}

/** How many triangles a file as `writePly` writes it holds; null for any other file. Only its head and its length are looked at. */
export function trianglesOfPly(bytes: Uint8Array): number | null {
  const head = new TextDecoder('latin1').decode(bytes.subarray(0, HEAD_BYTES));
  const counts = /^ply\n[^]*?\nelement vertex (\d{1,9})\n[^]*?\nelement face (\d{1,9})\n/.exec(head);
  if (!counts) return null;
  const [corners, triangles] = [Number(counts[1]), Number(counts[2])];
  const wanted = headOf(corners, triangles);
  const isWhole =
    head.startsWith(wanted) &&
    bytes.length === wanted.length + CORNER_BYTES * corners + TRIANGLE_BYTES * triangles;
  return isWhole ? triangles : null;
}
