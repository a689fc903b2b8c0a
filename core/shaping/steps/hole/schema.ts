import { z } from 'zod';

import { placeOnTop, angleWithin, step, Value, HoleHead } from '@core/foundations/fields';

import type { StepFacts } from '../facts';

/** Round hole square to its place: right through, or `depth` down from it, with a flat or a pointed end. */
export const schema = z.strictObject({
  ...step,
  ...placeOnTop,
  kind: z.literal('hole'),
  diameter: Value,
  depth: z.union([z.literal('through'), Value]),
  /** Its depth says how high its floor lies above the ground, instead of how deep it is cut. */
  floor: z.literal(true).optional(),
  head: HoleHead.optional(),
  /** Radians, the whole angle of the point of a blind hole; `depth` is then measured to its shoulder. */
  point: angleWithin(0.5, 3).optional(),
});

export const facts: StepFacts<z.infer<typeof schema>> = {
  makes: 'solid',
  outlined: true,
  group: 'holes',
  effect: () => 'cut',
  edges: ['mouths', 'all'],
};
