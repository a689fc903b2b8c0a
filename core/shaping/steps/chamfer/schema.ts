import { z } from 'zod';

import { angleWithin, step, Value, EdgeRule } from '@core/foundations/fields';

import type { StepFacts } from '../facts';

/** Flat ease (chamfer), `size` measured along each face; with `other` along the second one, or at an angle to the first. */
export const schema = z.strictObject({
  ...step,
  kind: z.literal('chamfer'),
  size: Value,
  other: z
    .union([z.strictObject({ length: Value }), z.strictObject({ angle: angleWithin(0.05, 1.5) })])
    .optional(),
  where: EdgeRule,
});

export const facts: StepFacts<z.infer<typeof schema>> = {
  makes: 'change',
  group: 'edges',
  dresses: true,
  edges: [],
};
