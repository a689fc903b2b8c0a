import { z } from 'zod';

import { step, Value, EdgeRule } from '@core/foundations/fields';

import type { StepFacts } from '../facts';

/** Round (fillet) of radius `size`. */
export const schema = z.strictObject({ ...step, kind: z.literal('fillet'), size: Value, where: EdgeRule });

export const facts: StepFacts<z.infer<typeof schema>> = {
  makes: 'change',
  group: 'edges',
  dresses: true,
  edges: [],
  risky: () => true,
};
