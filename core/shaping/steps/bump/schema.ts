import { z } from 'zod';

import { place, angleWithin, Effect, step, turn, Value } from '@core/foundations/fields';

import type { StepFacts } from '../facts';

/** Radians by which the face that holds leans back, so that it hooks; less than nothing, and it can be pulled out again. */
const undercut = angleWithin(-1, 0.8).optional();

/**
 * A ridge that snaps behind an edge or into a slot: square, or by its undercut, on the left, and with a slope that leads
 * in on the right. Cut, it is the room for one: `play` wider all round.
 */
export const schema = z.strictObject({
  ...step,
  ...place,
  kind: z.literal('bump'),
  effect: Effect,
  breadth: Value,
  /** How far it stands out. */
  bump: Value,
  undercut,
  play: Value,
  turn,
});

export const facts: StepFacts<z.infer<typeof schema>> = {
  makes: 'solid',
  group: 'form',
  edges: ['all'],
};
