import { z } from 'zod';

import { place, Effect, step, Value } from '@core/foundations/fields';

import type { StepFacts } from '../facts';

/** Ball whose middle is `up` above what it is placed on. */
export const schema = z.strictObject({
  ...step,
  ...place,
  kind: z.literal('sphere'),
  effect: Effect,
  diameter: Value,
  up: Value,
});

export const facts: StepFacts<z.infer<typeof schema>> = {
  makes: 'solid',
  group: 'form',
  begins: true,
  edges: ['all'],
};
