import { reachOf } from './foundMesh';
import type { WeldedMesh } from '@core/shaping/part';

/** Units that programs write meshes in, by what one is in mm. */
export const FOUND_UNITS = { mm: 1, cm: 10, inch: 25.4, m: 1000 } as const;
export type FoundUnit = keyof typeof FOUND_UNITS;

/** Longest, middle and shortest way through a mesh's box, in its own numbers. */
export const boxOf = (mesh: WeldedMesh): [number, number, number] => reachOf(mesh).sort((a, b) => b - a);

/**
 * The unit in which a mesh without one comes nearest to the spare's size, to be offered first; and whether it then is as large at all, within a
 * third: half a piece is shorter, and a slanted scan has a longer box.
 */
export function likelyUnit(mesh: WeldedMesh, spare: WeldedMesh): { unit: FoundUnit; isAlike: boolean } {
  const [found, wanted] = [boxOf(mesh)[0], boxOf(spare)[0]];
  const off = (unit: FoundUnit) => Math.abs(Math.log((found * FOUND_UNITS[unit]) / wanted));
  const units = Object.keys(FOUND_UNITS) as FoundUnit[];
  const unit = units.reduce((best, one) => (off(one) < off(best) ? one : best));
  return { unit, isAlike: off(unit) < Math.log(1.5) };
}
