import { z } from 'zod';

import { FacePick, step, Value } from '@core/foundations/fields';

import type { StepFacts } from '../facts';

/** What is there, hollowed to an even wall and open at its level faces, at faces that were picked, or nowhere. */
export const schema = z.strictObject({
  ...step,
  kind: z.literal('shell'),
  wall: Value,
  open: z.union([z.enum(['top', 'bottom', 'both', 'closed']), z.array(FacePick).min(1).max(20)]),
});

export const facts: StepFacts<z.infer<typeof schema>> = {
  makes: 'change',
  group: 'edges',
  edges: [],
  risky: () => true,
};
