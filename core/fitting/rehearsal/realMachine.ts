import { z } from 'zod';

import { featureOf, isRound } from '@core/fitting/fit';
import { FeatureKind, FitFeature, type BedDirection } from '@core/record/model';

import type { Lots } from './chances';

const tenth = z.number().min(-1).max(1);

/**
 * A printer as it really is, for rehearsals: what it makes of a size is asked + offset + scale × asked, and what else real ones do, and it varies
 * about that. mm, on the diameter.
 */
export const RealMachine = z.strictObject({
  name: z.string().min(1).max(80),
  /** Made less asked; kinds that are not named come out as asked. */
  habits: z
    .array(
      z.strictObject({
        feature: FeatureKind,
        offsetMm: z.number().min(-2).max(2),
        /** Share of the size, as −0.002 for 0.2 % smaller. */
        scale: z.number().min(-0.05).max(0.05).default(0),
      }),
    )
    .max(4),
  /** One standard deviation of what it makes. */
  scatterMm: z.number().positive().max(1),
  /** Insides are smaller by this over their size, mm². */
  smallHolesMm2: z.number().min(0).max(5).optional(),
  /** How much more it scales along x than along y, a share of the size. */
  across: z.number().min(-0.05).max(0.05).optional(),
  /** What a kind of fit is off besides. */
  fits: z.partialRecord(FitFeature, tenth).optional(),
  /** A make has an offset of its own, one standard deviation. */
  makeMm: z.number().min(0).max(1).optional(),
  /** Each make is larger than the one before by this. */
  driftMm: tenth.optional(),
  /** Degrees of freedom of Student's t with which it varies; absent for a normal one. */
  tail: z.number().min(2.1).max(100).optional(),
});
export type RealMachine = z.infer<typeof RealMachine>;

/** Something that is made: how large it was asked to be, what kind of fit it is, and the direction of the bed along which it lies. */
export interface AskedFor {
  feature: FitFeature;
  askedMm: number;
  along: BedDirection;
}

/** What the machine makes of a size on average, mm. @param make how many it has made before. */
export function meanMade(machine: RealMachine, { feature, askedMm, along }: AskedFor, make: number): number {
  const { kind } = featureOf(feature);
  const habit = machine.habits.find((one) => one.feature === kind);
  const hasDirection = kind !== 'height' && !isRound(feature);
  return (
    askedMm * (1 + (habit?.scale ?? 0)) +
    (habit?.offsetMm ?? 0) +
    (machine.fits?.[feature] ?? 0) +
    (hasDirection ? ((along === 'x' ? 1 : -1) * (machine.across ?? 0) * askedMm) / 2 : 0) -
    (kind === 'inside' ? (machine.smallHolesMm2 ?? 0) / askedMm : 0) +
    (machine.driftMm ?? 0) * make
  );
}

/** How far a size varies about its mean this once, mm, scaled so that its standard deviation is the machine's. */
export function varied({ scatterMm, tail }: RealMachine, lots: Lots): number {
  const normal = lots.normal();
  if (tail === undefined) return scatterMm * normal;
  // Student's t: a normal number over the root of a mean of squares.
  const degrees = Math.round(tail);
  const squares = Array.from({ length: degrees }, () => lots.normal() ** 2).reduce(
    (sum, one) => sum + one,
    0,
  );
  return (scatterMm * normal) / Math.sqrt(squares / degrees) / Math.sqrt(degrees / (degrees - 2));
}
