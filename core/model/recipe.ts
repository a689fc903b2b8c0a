import { z } from 'zod';

import { Id, name } from '@core/fields';
import { Step } from '@core/steps/data';

export const BodyRole = z.enum(['spare', 'counterpart']);
export type BodyRole = z.infer<typeof BodyRole>;

/** A solid built by a recipe. Spares are made; counterparts are what they must fit, shown as ghosts. */
export const Body = z.strictObject({
  id: Id,
  version: z.int().nonnegative(),
  name,
  role: BodyRole,
  steps: z.array(Step).max(500),
  removed: z.boolean(),
});
export type Body = z.infer<typeof Body>;
