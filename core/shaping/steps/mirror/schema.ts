import { z } from 'zod';

import { Id, step } from '@core/foundations/fields';

import type { StepFacts } from '../facts';

/**
 * Mirrored across an upright plane through the axle line or the ground: the whole part, beside itself or instead; or only what
 * some steps before it made or took away, and the edges that they rounded or eased, beside themselves.
 */
export const schema = z.strictObject({
  ...step,
  kind: z.literal('mirror'),
  of: z.array(Id).min(1).max(60).optional(),
  across: z.enum(['sides', 'frontBack', 'upDown']),
  keep: z.enum(['both', 'other']),
});

export const facts: StepFacts<z.infer<typeof schema>> = { makes: 'change', group: 'again', edges: [] };
