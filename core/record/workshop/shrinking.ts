import type { Machine } from '@core/record/model';

/** How much larger than itself a spare goes into its files, along x, y and z: 1 for as it is. */
export type Growth = readonly [x: number, y: number, z: number];

/**
 * What makes up for shrinkage: every size of the file is 1 / (1 − s) of what it is to be, so that it comes out right. Null where
 * nothing shrinks. Working sizes have nothing of it: they are what is to come out.
 */
export function growthOf({ shrinkage }: Pick<Machine, 'shrinkage'>): Growth | null {
  if (!shrinkage) return null;
  const { x, y, z } = shrinkage;
  return x === 0 && y === 0 && z === 0 ? null : [1 / (1 - x), 1 / (1 - y), 1 / (1 - z)];
}
