/** Triangles of one face, flat arrays, mm: three corners a triangle, anticlockwise from outside, counted among its own. */
export interface FacePiece {
  positions: Float32Array;
  normals: Float32Array;
  indices: Uint32Array;
}
