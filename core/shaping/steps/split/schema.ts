import { z } from 'zod';

import { FacePick, step, Value } from '@core/foundations/fields';

import type { StepFacts } from '../facts';

/** Cut in two by a plane square to an axis; of both halves kept, the upper one is moved off by `gap`. */
export const schema = z.strictObject({
  ...step,
  kind: z.literal('split'),
  axis: z.enum(['x', 'y', 'z']),
  at: Value,
  /** Split by the plane of this flat face instead: `low` is then the half behind it, `high` the half in front of it. */
  face: FacePick.optional(),
  keep: z.enum(['low', 'high', 'both']),
  gap: Value,
  /** Pegs on the lower half and sockets in the upper, to find each other by. */
  pegs: z.strictObject({ diameter: Value, length: Value, apart: Value, play: Value }).optional(),
  /** Two slots through both halves, for a strap that ties them together. */
  ties: z.strictObject({ breadth: Value, thickness: Value, apart: Value }).optional(),
});

export const facts: StepFacts<z.infer<typeof schema>> = { makes: 'change', group: 'whole', edges: ['all'] };
