import { z } from 'zod';

import { place, Effect, step, Value } from '@core/foundations/fields';

import type { StepFacts } from '../facts';

/**
 * A shape read along its upright axis as calipers take it: heights above the place, and the diameter at each; straight
 * or smooth between. Round it is turned; oval or square in section it has a depth as well, and `diameter` is its width.
 */
export const schema = z.strictObject({
  ...step,
  ...place,
  kind: z.literal('stations'),
  effect: Effect,
  rows: z
    .array(z.strictObject({ at: Value, diameter: Value, depth: Value.optional() }))
    .min(2)
    .max(60),
  section: z.enum(['oval', 'box']).optional(),
  between: z.enum(['straight', 'smooth']),
});

export const facts: StepFacts<z.infer<typeof schema>> = {
  makes: 'solid',
  group: 'form',
  begins: true,
  edges: ['rims', 'all'],
  risky: ({ section }) => section !== undefined,
};
