import { z } from 'zod';

import { Id, Effect, step, Value, Side } from '@core/foundations/fields';

import type { StepFacts } from '../facts';

/** Another body added to this one, taken out of it, or kept in common with it. */
export const schema = z.strictObject({
  ...step,
  kind: z.literal('body'),
  of: Id,
  effect: Effect,
  /** Its sizes that go through a fit are taken as their fits make them: each face with its own allowance. */
  byFits: z.literal(true).optional(),
  /** How much larger it is taken, all round; with fits, in addition to them. */
  grow: Value,
  /** From which side it can be put in: the way is cleared. */
  wayIn: z.union([z.literal('none'), Side]),
});

export const facts: StepFacts<z.infer<typeof schema>> = {
  makes: 'solid',
  group: 'holes',
  needs: 'otherBody',
  edges: ['all'],
  risky: () => true,
};
