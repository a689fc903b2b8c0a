/** A map of the two parameters of a surface: columns that each of them goes to. */
export interface FlatMap {
  u: readonly [number, number];
  v: readonly [number, number];
}

export const UNCHANGED: FlatMap = { u: [1, 0], v: [0, 1] };

export const mappedFlat = ({ u, v }: FlatMap, [a, b]: readonly number[]): [number, number] => [
  a! * u[0] + b! * v[0],
  a! * u[1] + b! * v[1],
];
