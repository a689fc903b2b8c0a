import { z } from 'zod';

import { placeOnGround, Effect, step, turn, Value } from '@core/foundations/fields';

import type { StepFacts } from '../facts';

/** Plate lying on z = 0 about the axle line, unless it has a place of its own; corners rounded as seen in plan. */
export const schema = z.strictObject({
  ...step,
  ...placeOnGround,
  kind: z.literal('plate'),
  effect: Effect.optional(),
  length: Value,
  breadth: Value,
  thickness: Value,
  cornerRadius: Value,
  turn: turn.optional(),
});

export const facts: StepFacts<z.infer<typeof schema>> = {
  makes: 'solid',
  outlined: true,
  group: 'form',
  begins: true,
  lies: 'ground',
  edges: ['rims', 'upright', 'all'],
};
