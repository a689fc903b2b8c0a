import { z } from 'zod';

import { line, place, Effect, step, turn, Value } from '@core/foundations/fields';

import type { StepFacts } from '../facts';

/** Most letters of one step. */
export const LETTERS_LIMIT = 40;

/** Raised or sunk letters, `height` their capital height and `depth` how far they stand out or go in. */
export const schema = z.strictObject({
  ...step,
  ...place,
  kind: z.literal('text'),
  effect: Effect,
  text: line(LETTERS_LIMIT),
  height: Value,
  depth: Value,
  turn,
});

export const facts: StepFacts<z.infer<typeof schema>> = {
  makes: 'solid',
  group: 'form',
  edges: ['rims', 'all'],
};
