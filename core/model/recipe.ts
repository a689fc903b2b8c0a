import { z } from 'zod';

import { FEET, Id, name, SUPPORTS } from '@core/fields';
import { Step } from '@core/steps/data';

export const BodyRole = z.enum(['spare', 'counterpart']);
export type BodyRole = z.infer<typeof BodyRole>;

/** How a body is laid in layers. */
export const Laying = z.strictObject({
  /** The direction in its own frame that lies on the bed, of length 1. */
  down: z.tuple([z.number().min(-1).max(1), z.number().min(-1).max(1), z.number().min(-1).max(1)]),
  /** The settings by name. */
  settings: Id,
  support: z.enum(SUPPORTS),
  foot: z.enum(FEET),
});
export type Laying = z.infer<typeof Laying>;

/** A solid built by a recipe. Spares are made; counterparts are what they must fit, shown as ghosts. */
export const Body = z.strictObject({
  id: Id,
  version: z.int().nonnegative(),
  name,
  role: BodyRole,
  steps: z.array(Step).max(500),
  /** How it is laid in layers, if anybody has chosen. */
  laying: Laying.optional(),
  removed: z.boolean(),
});
export type Body = z.infer<typeof Body>;
