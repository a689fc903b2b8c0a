import { z } from 'zod';

import { place, Effect, step, Value } from '@core/foundations/fields';

import type { StepFacts } from '../facts';

/** Ring of round section: `across` the middle of the section, `thick`; the middle of the section `up` above its place. */
export const schema = z.strictObject({
  ...step,
  ...place,
  kind: z.literal('torus'),
  effect: Effect,
  across: Value,
  thick: Value,
  up: Value,
});

export const facts: StepFacts<z.infer<typeof schema>> = {
  makes: 'solid',
  group: 'form',
  begins: true,
  edges: ['all'],
};
