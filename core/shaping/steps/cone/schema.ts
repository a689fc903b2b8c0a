import { z } from 'zod';

import { place, Effect, step, Value } from '@core/foundations/fields';

import type { StepFacts } from '../facts';

/** Cone or stump of one: `lower` and `upper` diameters, `height` apart; either may be zero. */
export const schema = z.strictObject({
  ...step,
  ...place,
  kind: z.literal('cone'),
  effect: Effect,
  lower: Value,
  upper: Value,
  height: Value,
});

export const facts: StepFacts<z.infer<typeof schema>> = {
  makes: 'solid',
  group: 'form',
  begins: true,
  edges: ['rims', 'all'],
};
