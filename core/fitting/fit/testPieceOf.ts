import type { Body, Fit } from '@core/record/model';

export const testPieceName = ({ name }: Pick<Fit, 'name'>): string => `Test piece, ${name}`.slice(0, 80);

/**
 * The body that a test piece is cut from and the fit that it is for; null for a body that is none. A test piece is what a block has in common with
 * a spare. One that was named otherwise is for all fits of that spare.
 */
export function testPieceOf(
  { name, steps }: Pick<Body, 'name' | 'steps'>,
  fits: readonly Fit[],
): { bodyId: string; fitId: string | null } | null {
  const [block, cut] = steps;
  if (steps.length < 2 || block!.kind !== 'extrude' || cut!.kind !== 'body' || cut.effect !== 'common')
    return null;
  const fit = fits.find((one) => !one.removed && name === testPieceName(one));
  return { bodyId: cut.of, fitId: fit?.id ?? null };
}
