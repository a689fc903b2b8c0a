import { z } from 'zod';

import {
  OutlineShape,
  FacePick,
  place,
  angleWithin,
  Effect,
  step,
  turn,
  Value,
} from '@core/foundations/fields';

import type { StepFacts } from '../facts';

/** An outline raised straight up to a height, or right through what is there. */
export const schema = z.strictObject({
  ...step,
  ...place,
  kind: z.literal('extrude'),
  effect: Effect,
  outline: OutlineShape,
  turn,
  height: z.union([z.literal('through'), Value]),
  /** It ends at this face, instead of at its height. */
  upTo: FacePick.optional(),
  /** Its height says how high its floor lies above the ground, instead of how deep it is cut. */
  floor: z.literal(true).optional(),
  /** Half of the height to each side of its place. */
  bothWays: z.literal(true).optional(),
  /** Radians by which its sides lean in, away from its place; outward if negative. */
  draft: angleWithin(-1, 1).optional(),
});

export const facts: StepFacts<z.infer<typeof schema>> = {
  makes: 'solid',
  outlined: true,
  group: 'form',
  begins: true,
  edges: ({ outline }) =>
    ['circle', 'ellipse'].includes(outline.shape) ? ['rims', 'all'] : ['rims', 'upright', 'all'],
  risky: ({ draft, outline }) => draft !== undefined || ['gear', 'points', 'ellipse'].includes(outline.shape),
};
