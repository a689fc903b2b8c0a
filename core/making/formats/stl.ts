import type { WeldedMesh } from '@core/shaping/part';

const HEADER_BYTES = 80;
const TRIANGLE_BYTES = 50;

/**
 * Binary STL, little-endian: 80 bytes of header, the count, then for each triangle its normal, three corners
 * (32-bit floats, mm by convention) and two spare bytes.
 *
 * @param title goes in the header, cut to what fits; never begins with "solid", which marks text files.
 */
export function writeStl({ positions, indices }: WeldedMesh, title: string): Uint8Array {
  const count = indices.length / 3;
  const bytes = new Uint8Array(HEADER_BYTES + 4 + count * TRIANGLE_BYTES);
  const view = new DataView(bytes.buffer);
  const header = new TextEncoder().encode(`Even Spare, mm: ${title}`).subarray(0, HEADER_BYTES);
  bytes.set(header);
  view.setUint32(HEADER_BYTES, count, true);
  let at = HEADER_BYTES + 4;
  const put = (value: number) => {
    view.setFloat32(at, value, true);
    at += 4;
  };
  for (let first = 0; first < indices.length; first += 3) {
    const corners = [0, 1, 2].map((offset) => {
      const index = 3 * indices[first + offset]!;
      return [positions[index]!, positions[index + 1]!, positions[index + 2]!] as const;
    }) as [Corner, Corner, Corner];
    normalOf(...corners).forEach(put);
    corners.flat().forEach(put);
    at += 2;
  }
  return bytes;
}

type Corner = readonly [number, number, number];

function normalOf(a: Corner, b: Corner, c: Corner): [number, number, number] {
  const [ux, uy, uz] = [b[0] - a[0], b[1] - a[1], b[2] - a[2]];
  const [vx, vy, vz] = [c[0] - a[0], c[1] - a[1], c[2] - a[2]];
  const normal = [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx] as const;
  const length = Math.hypot(...normal);
  return length > 0 ? [normal[0] / length, normal[1] / length, normal[2] / length] : [0, 0, 0];
}
