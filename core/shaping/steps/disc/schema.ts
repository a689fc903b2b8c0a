import { z } from 'zod';

import { placeOnGround, Effect, step, Value } from '@core/foundations/fields';

import type { StepFacts } from '../facts';

/** Disc or cylinder turned about the axle line (z), standing on z = 0, unless it has a place of its own. */
export const schema = z.strictObject({
  ...step,
  ...placeOnGround,
  kind: z.literal('disc'),
  effect: Effect.optional(),
  diameter: Value,
  width: Value,
});

export const facts: StepFacts<z.infer<typeof schema>> = {
  makes: 'solid',
  outlined: true,
  group: 'form',
  begins: true,
  lies: 'ground',
  edges: ['rims', 'all'],
};
