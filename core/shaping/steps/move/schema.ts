import { z } from 'zod';

import { factorWithin, step, turn, Value } from '@core/foundations/fields';

import type { StepFacts } from '../facts';

/** 1 leaves it as it is. */
const factor = factorWithin(0.01, 100);

/** All that is there, moved, turned about an axis through the origin, and scaled about it: evenly or each direction by its own. */
export const schema = z.strictObject({
  ...step,
  kind: z.literal('move'),
  dx: Value,
  dy: Value,
  dz: Value,
  axis: z.enum(['x', 'y', 'z']),
  turn,
  scale: z.union([factor, z.strictObject({ x: factor, y: factor, z: factor })]),
});

export const facts: StepFacts<z.infer<typeof schema>> = { makes: 'change', group: 'whole', edges: [] };
