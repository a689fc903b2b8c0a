/** A sharp hollow corner between two steps: where one stands on the other. Segments: six numbers each, mm. */
export interface SharpRoot {
  of: string;
  on: string;
  segments: Float32Array;
}
