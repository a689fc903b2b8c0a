import type { Vec3 } from '@core/foundations/vectors';

/** Looking from the front, right and above, as the corner stance does. Unit vectors. */
export const RIGHT = [Math.SQRT1_2, Math.SQRT1_2, 0] as const;

const UP = [-0.5 * Math.SQRT1_2, 0.5 * Math.SQRT1_2, Math.sqrt(3) / 2] as const;

export const TOWARDS = [Math.sqrt(3 / 8), -Math.sqrt(3 / 8), 0.5] as const;

export const flat = (x: number, y: number, z: number): [number, number] => [
  round(x * RIGHT[0] + y * RIGHT[1] + z * RIGHT[2]),
  round(x * UP[0] + y * UP[1] + z * UP[2]),
];

/** Where a point of the model is on a picture, mm. */
export const onPicture = ([x, y, z]: Vec3): [number, number] => flat(x, y, z);

export const round = (value: number) => Math.round(value * 100) / 100;
