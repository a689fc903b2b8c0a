import { z } from 'zod';

import { OutlineShape, place, angleWithin, Effect, step, turn, Value } from '@core/foundations/fields';

import type { StepFacts } from '../facts';

/** An outline turned by `angle`, radians, about the upright axis of its place; its middle `away` from it and `up` above. */
export const schema = z.strictObject({
  ...step,
  ...place,
  kind: z.literal('revolve'),
  effect: Effect,
  outline: OutlineShape,
  away: Value,
  up: Value,
  angle: angleWithin(0.02, 6.284),
  /** Radians, where it begins; 0 is to the right. */
  turn,
});

/** From here on it is a full turn, radians: it has no ends. */
export const FULL_TURN = 2 * Math.PI - 1e-3;

export const facts: StepFacts<z.infer<typeof schema>> = {
  makes: 'solid',
  outlined: true,
  group: 'form',
  begins: true,
  edges: ({ angle }) => (typeof angle === 'number' && angle > FULL_TURN ? ['all'] : ['ends', 'all']),
  risky: () => true,
};
