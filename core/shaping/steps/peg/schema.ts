import { z } from 'zod';

import { placeOnTop, Effect, step, Value } from '@core/foundations/fields';

import type { StepFacts } from '../facts';

/** Peg raised from what is there, or cut out of it. */
export const schema = z.strictObject({
  ...step,
  ...placeOnTop,
  kind: z.literal('peg'),
  effect: Effect.optional(),
  diameter: Value,
  height: Value,
  /** Its height says how high its floor lies above the ground, instead of how deep it is cut. */
  floor: z.literal(true).optional(),
});

export const facts: StepFacts<z.infer<typeof schema>> = {
  makes: 'solid',
  outlined: true,
  group: 'form',
  edges: ['rims', 'all'],
};
