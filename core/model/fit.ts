import { z } from 'zod';

import { Id, name } from '@core/fields';
import { FitClass } from './workshop';

/**
 * How the spare meets the counterpart. The spare is the one named first: a bore over a shaft, a peg in a hole, a
 * slot over a tab, a tab in a slot, a recess that something lies in, a gap between faces that something goes
 * into, a thread in or over one, the spacing of holes against pegs.
 */
export const FitFeature = z.enum([
  'bore',
  'peg',
  'slot',
  'tab',
  'recess',
  'between',
  'nut',
  'screw',
  'spacing',
]);
export type FitFeature = z.infer<typeof FitFeature>;

/** How a feature of the spare goes with a size of the counterpart. */
export const Fit = z.strictObject({
  id: Id,
  version: z.int().nonnegative(),
  name,
  counterpartSizeId: Id,
  /** Further counterparts that it must fit as well: older tools and newer ones, the other feet of a chair. */
  alsoSizeIds: z.array(Id).max(20).optional(),
  feature: FitFeature,
  fitClass: FitClass,
  /** Clearance on the diameter chosen by hand, mm, instead of the class's own; positive is looser. */
  ownClearanceMm: z.number().min(-5).max(20).nullable(),
  /** ISO 286 tolerance classes of hole and shaft for machined parts, as H7 and g6, instead of either. */
  iso: z
    .strictObject({
      hole: z.string().regex(/^[A-Z]{1,2}\d{1,2}$/),
      shaft: z.string().regex(/^[a-z]{1,2}\d{1,2}$/),
    })
    .nullable(),
  removed: z.boolean(),
});
export type Fit = z.infer<typeof Fit>;
