import { z } from 'zod';

import {
  OutlineShape,
  place,
  angleWithin,
  countWithin,
  Effect,
  step,
  turn,
  Value,
} from '@core/foundations/fields';

import type { StepFacts } from '../facts';

/**
 * From outline to outline, straight or smooth: heights above its place, each moved aside and turned as it says. `tilt`,
 * radians, leans one about the way to its right; `shift` lets its corners meet those so many further on.
 */
export const schema = z.strictObject({
  ...step,
  ...place,
  kind: z.literal('loft'),
  effect: Effect,
  sections: z
    .array(
      z.strictObject({
        outline: OutlineShape,
        at: Value,
        x: Value,
        y: Value,
        turn,
        tilt: angleWithin(-1.5, 1.5).optional(),
        shift: countWithin(-24, 24).optional(),
      }),
    )
    .min(2)
    .max(20),
  between: z.enum(['straight', 'smooth']),
});

export const facts: StepFacts<z.infer<typeof schema>> = {
  makes: 'solid',
  group: 'form',
  begins: true,
  edges: ['rims', 'all'],
  risky: () => true,
};
