import { z } from 'zod';

import { OutlineShape, place, Effect, step, Value } from '@core/foundations/fields';

import type { StepFacts } from '../facts';

/**
 * An outline run along a path of points (right, back and up from its place): straight with rounded bends, or smooth.
 * `ending` is what its section has become at the end of an open path.
 */
export const schema = z.strictObject({
  ...step,
  ...place,
  kind: z.literal('sweep'),
  effect: Effect,
  outline: OutlineShape,
  ending: OutlineShape.optional(),
  path: z
    .array(z.strictObject({ x: Value, y: Value, up: Value }))
    .min(2)
    .max(60),
  bend: Value,
  along: z.enum(['straight', 'smooth']),
  closed: z.boolean(),
});

export const facts: StepFacts<z.infer<typeof schema>> = {
  makes: 'solid',
  outlined: true,
  group: 'form',
  begins: true,
  edges: ({ closed }) => (closed ? ['all'] : ['ends', 'all']),
  risky: () => true,
};
