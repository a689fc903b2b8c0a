import { Delaunay } from 'd3-delaunay';

import type { WeldedMesh } from '@core/shaping/part';
import { areaOfCorners, both, isNothing, outside } from '@core/making/slice';

import type { BedPlace } from './partOnBed';

/** What a part covers of the bed at most: the corners of its convex hull seen from above, mm. */
export type Hull = readonly BedPlace[];

export function hullOf({ positions }: Pick<WeldedMesh, 'positions'>): Hull {
  const flat = new Float64Array((positions.length / 3) * 2);
  for (let corner = 0; corner < positions.length / 3; corner += 1) {
    flat[2 * corner] = positions[3 * corner]!;
    flat[2 * corner + 1] = positions[3 * corner + 1]!;
  }
  return Array.from(new Delaunay(flat).hull, (corner): BedPlace => [
    flat[2 * corner]!,
    flat[2 * corner + 1]!,
  ]);
}

export const hullAt = (hull: Hull, [x, y]: BedPlace): Hull =>
  hull.map(([ownX, ownY]): BedPlace => [ownX + x, ownY + y]);

/** Whether two hulls come nearer to each other than so many mm. */
export const areNearer = (one: Hull, other: Hull, mm: number): boolean =>
  !isNothing(both(outside(anticlockwise(one), mm), anticlockwise(other)));

/** Outer edges run so. */
const anticlockwise = (hull: Hull) => {
  let twice = 0;
  for (const [index, [x, y]] of hull.entries()) {
    const [nextX, nextY] = hull[(index + 1) % hull.length]!;
    twice += x * nextY - nextX * y;
  }
  return areaOfCorners(twice < 0 ? [...hull].reverse() : hull);
};
