import { dot, minus } from '@core/foundations/vectors';
import type { Vec3 } from '@core/foundations/vectors';

import type { Morph } from '../solid/protocol';
import type { Arrow, Point } from './placeLabels';

/** A place of the part that is nearer than this to the end of a size is that end, mm. */
const AT_END_MM = 1;
/** An end that moves by less than this for a millimetre of the number stays where it is. */
const STAYS = 0.05;
/** Seen so short, an arrow can't be pulled: px for a millimetre. */
const END_ON = 0.15;

/** Whether an arrow is seen well enough to be pulled along itself. */
export const canBePulled = ({ perMm }: Arrow): boolean => Math.hypot(perMm.x, perMm.y) > END_ON;

/** How far a pull went along an arrow, mm on the part. */
export function pulledMm({ perMm }: Arrow, from: Point, to: Point): number {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  return (dx * perMm.x + dy * perMm.y) / (perMm.x ** 2 + perMm.y ** 2);
}

/**
 * By how much the end of a size moves outwards for each millimetre that its number grows: one half for a diameter, whose middle stays, one
 * for a height. An end that stays is pulled by itself: 1.
 *
 * @param morph the part at the number and at the ends of its range; null while it is not known: 1.
 */
export function motionOfEnd(
  morph: Morph | null,
  { at, along }: Pick<Arrow, 'at' | 'along'>,
  { middle, high }: { middle: number; high: number },
): number {
  const target = morph?.high?.target;
  if (!morph || !target) return 1;
  const nearest = nearestOf(morph.mesh.edges, at) ?? nearestOf(morph.mesh.positions, at);
  if (!nearest) return 1;
  const ends = nearest.of === morph.mesh.edges ? target.edges : target.positions;
  const moved = minus(pointAt(ends, nearest.index), pointAt(nearest.of, nearest.index));
  const share = dot(moved, along) / (high - middle);
  return Math.abs(share) < STAYS ? 1 : share;
}

const pointAt = (points: Float32Array, index: number): Vec3 => [
  points[index]!,
  points[index + 1]!,
  points[index + 2]!,
];

function nearestOf(of: Float32Array, at: Vec3): { of: Float32Array; index: number } | null {
  let [best, index] = [AT_END_MM, -1];
  for (let place = 0; place < of.length; place += 3) {
    const away = Math.hypot(of[place]! - at[0], of[place + 1]! - at[1], of[place + 2]! - at[2]);
    if (away < best) [best, index] = [away, place];
  }
  return index < 0 ? null : { of, index };
}
