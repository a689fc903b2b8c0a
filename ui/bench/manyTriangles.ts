import type { SolidMesh } from '@core/shaping/part';

/** Bands along the turned part, triangles round it and along each band. */
const BANDS = 100;
const ROUND = 100;
const ALONG = 5;

/** A turned part of a thousand triangles a band, a face each, with the edges between them; of 100 bands it is as heavy as a part gets. */
export function manyTriangles(bands = BANDS): SolidMesh {
  const rows = bands * ALONG;
  const positions: number[] = [];
  const normals: number[] = [];
  const indices: number[] = [];
  const edges: number[] = [];
  const faces: SolidMesh['faces'] = [];
  const edgeRuns: SolidMesh['edgeRuns'] = [];
  const radiusAt = (row: number) => 20 + 2 * Math.sin((row / ALONG) * 0.9);
  const at = (row: number, turn: number) => {
    const angle = (2 * Math.PI * turn) / ROUND;
    return [
      radiusAt(row) * Math.cos(angle),
      radiusAt(row) * Math.sin(angle),
      (60 * row) / rows - 30,
    ] as const;
  };
  for (let band = 0; band < bands; band += 1) {
    const start = indices.length;
    for (let row = band * ALONG; row <= (band + 1) * ALONG; row += 1) {
      for (let turn = 0; turn <= ROUND; turn += 1) {
        const [x, y, z] = at(row, turn);
        positions.push(x, y, z);
        normals.push(x / radiusAt(row), y / radiusAt(row), 0);
        if (row === (band + 1) * ALONG || turn === ROUND) continue;
        const corner = positions.length / 3 - 1;
        const above = corner + ROUND + 1;
        indices.push(corner, corner + 1, above, corner + 1, above + 1, above);
      }
    }
    faces.push({ start, count: indices.length - start, tag: `band:${band}` });
    for (let turn = 0; turn < ROUND; turn += 1) {
      edges.push(...at(band * ALONG, turn), ...at(band * ALONG, turn + 1));
    }
    edgeRuns.push({ start: band * ROUND, count: ROUND, tags: [`band:${band}`, `band:${band - 1}`] });
  }
  return {
    positions: new Float32Array(positions),
    normals: new Float32Array(normals),
    indices: new Uint32Array(indices),
    faces,
    edges: new Float32Array(edges),
    edgeRuns,
  };
}
