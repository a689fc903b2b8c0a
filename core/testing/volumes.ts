import type { Step } from '@core/record/model';
import type { Kernel } from '@core/shaping/kernel';

import { buildPiece } from './pieces';

/** A number that differs from another by less than a share of it. */
export const expectNear = (actual: number, exact: number, share = 1e-6): void =>
  expect(Math.abs(actual / exact - 1)).toBeLessThan(share);

/** The volume of steps that build to a closed, valid solid, mm³. */
export function wholeVolume(kernel: Kernel, ...steps: Step[]): number {
  const piece = buildPiece(kernel, steps);
  expect(piece.faults).toEqual([]);
  expect(piece.check).toMatchObject({ valid: true, closed: true });
  return piece.volume;
}
