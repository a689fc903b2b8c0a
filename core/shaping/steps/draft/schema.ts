import { z } from 'zod';

import { Id, angleWithin, step } from '@core/foundations/fields';

import type { StepFacts } from '../facts';

/** Sides of a step leaned in by an angle, radians, held at its bottom or its top. */
export const schema = z.strictObject({
  ...step,
  kind: z.literal('draft'),
  of: Id,
  angle: angleWithin(-1, 1),
  held: z.enum(['bottom', 'top']),
});

export const facts: StepFacts<z.infer<typeof schema>> = {
  makes: 'change',
  group: 'edges',
  edges: [],
  risky: () => true,
};
