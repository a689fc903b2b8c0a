import { z } from 'zod';

import { place, Effect, step, turn, Value } from '@core/foundations/fields';

import type { StepFacts } from '../facts';

/** A block whose top slopes along x, from `low` high on the left to `high` on the right; either may be zero. */
export const schema = z.strictObject({
  ...step,
  ...place,
  kind: z.literal('wedge'),
  effect: Effect,
  length: Value,
  breadth: Value,
  low: Value,
  high: Value,
  turn,
});

export const facts: StepFacts<z.infer<typeof schema>> = {
  makes: 'solid',
  group: 'form',
  begins: true,
  edges: ['rims', 'upright', 'all'],
};
