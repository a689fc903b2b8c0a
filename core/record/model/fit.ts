import { z } from 'zod';

import { Id, name } from '@core/foundations/fields';
import { BedDirection, FitFeature } from './fitFeature';
import { FitClass } from './workshop';

/** How a feature of the spare goes with a size of the counterpart. */
export const Fit = z.strictObject({
  id: Id,
  version: z.int().nonnegative(),
  name,
  counterpartSizeId: Id,
  /** Further counterparts that it must fit as well: older tools and newer ones, the other feet of a chair. */
  alsoSizeIds: z.array(Id).max(20).optional(),
  feature: FitFeature,
  /** The direction of the bed along which it lies, where that was said: some printers scale one direction otherwise than the other. */
  along: BedDirection.optional(),
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
