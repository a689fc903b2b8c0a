import { placedAnew, type TaggedSolid } from '@core/shaping/kernel';

import { stretched } from './uneven/stretched';

/**
 * A solid grown about the origin along x, y and z, as a new one.
 * @throws KernelRefusal where it grows unevenly and a surface of it cannot.
 */
export function grownBy(solid: TaggedSolid, by: readonly [x: number, y: number, z: number]): TaggedSolid {
  const [x, y, z] = by;
  return x === y && y === z
    ? placedAnew(solid, { scale: x, axis: 'z', turn: 0, by: [0, 0, 0] })
    : stretched(solid, by);
}
