import { z } from 'zod';

import { Id, step, Value } from '@core/foundations/fields';

import type { StepFacts } from '../facts';

/** Faces of a step, of all steps that a fit gives a number, or all faces, moved out by a length (in, if negative). */
export const schema = z.strictObject({
  ...step,
  kind: z.literal('offset'),
  of: z.union([z.literal('all'), z.literal('mating'), Id]),
  by: Value,
});

export const facts: StepFacts<z.infer<typeof schema>> = {
  makes: 'change',
  group: 'edges',
  edges: [],
  risky: () => true,
};
