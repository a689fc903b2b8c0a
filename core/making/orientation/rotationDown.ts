import { isSameWay } from '@core/foundations/tolerance';

import type { Vec3 } from '@core/foundations/vectors';

/** The least turn that brings a direction to straight down: nine numbers, row by row (Rodrigues' formula). */
export function rotationDown([x, y, z]: Vec3): number[] {
  const cos = -z;
  // Upside down: half a turn about the x axis.
  if (isSameWay(-cos)) return [1, 0, 0, 0, -1, 0, 0, 0, -1];
  // The axis is down × (0, 0, -1), its length the sine.
  const [ax, ay] = [-y, x];
  const k = 1 / (1 + cos);
  return [cos + k * ax * ax, k * ax * ay, ay, k * ax * ay, cos + k * ay * ay, -ax, -ay, ax, cos];
}
