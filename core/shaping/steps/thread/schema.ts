import { z } from 'zod';

import { line, place, step, Value } from '@core/foundations/fields';

import type { StepFacts } from '../facts';

/**
 * A screw thread: outside ones are added as a threaded rod, inside ones cut as a threaded hole. `play` is taken off
 * all round (outside) or added (inside). A drawn one is a plain cylinder of the size to thread by hand.
 */
export const schema = z.strictObject({
  ...step,
  ...place,
  kind: z.literal('thread'),
  side: z.enum(['outside', 'inside']),
  /** Name of the thread in the tables: M8, G 1/4. */
  size: line(40),
  length: z.union([z.literal('through'), Value]),
  play: Value,
  made: z.enum(['modelled', 'drawn']),
  /** The mouths of a threaded hole widen at 45°, so that a screw finds its way in. */
  eased: z.literal(true).optional(),
});

export const facts: StepFacts<z.infer<typeof schema>> = {
  makes: 'solid',
  group: 'holes',
  begins: true,
  effect: ({ side }) => (side === 'inside' ? 'cut' : 'add'),
  edges: ['all'],
};
