import { z } from 'zod';

import { Id, line } from './ids';

/** `off`: kept in the recipe, and left out when it is built. `heading`: of the section that begins with it. */
export const step = {
  id: Id,
  note: line(200).optional(),
  off: z.literal(true).optional(),
  heading: line(60).optional(),
};

/**
 * What a step does with the solid it makes: joins it, takes it away, keeps what both have in common, or leaves it apart
 * as a piece of its own.
 */
export const Effect = z.enum(['add', 'cut', 'common', 'apart']);
export type Effect = z.infer<typeof Effect>;
/** Whether it goes into what is there, and not onto it. */
export const takesAway = (effect: Effect): boolean => effect === 'cut' || effect === 'common';
