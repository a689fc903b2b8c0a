import { z } from 'zod';

import { DrawnPath, OutlineShape, place, Effect, step, Value } from '@core/foundations/fields';

import type { StepFacts } from '../facts';

/**
 * An outline run along a path of points (right, back and up from its place): straight with rounded bends, or smooth. Or along one that is drawn: `bend`,
 * `along` and `closed` are those of points alone.
 * `ending` is what its section has become at the end of an open path.
 */
export const schema = z.strictObject({
  ...step,
  ...place,
  kind: z.literal('sweep'),
  effect: Effect,
  outline: OutlineShape,
  ending: OutlineShape.optional(),
  path: z.union([
    z
      .array(z.strictObject({ x: Value, y: Value, up: Value }))
      .min(2)
      .max(60),
    DrawnPath,
  ]),
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
