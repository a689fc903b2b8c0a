import { z } from 'zod';

import { place, angleWithin, Effect, step, turn, Value } from '@core/foundations/fields';

import type { StepFacts } from '../facts';

/** Radians by which the face that holds leans back, so that it hooks; less than nothing, and it can be pulled out again. */
const undercut = angleWithin(-1, 0.8).optional();

/**
 * A springy tongue standing up from its place, bending along x, with a bump at its end that snaps in. Cut, it is the
 * room for one: `play` wider all round.
 */
export const schema = z.strictObject({
  ...step,
  ...place,
  kind: z.literal('tongue'),
  effect: Effect,
  length: Value,
  breadth: Value,
  thickness: Value,
  /** How far the bump stands out; it snaps behind an edge that deep. */
  bump: Value,
  undercut,
  play: Value,
  turn,
});

/** Length of the bump along the tongue, as a multiple of how far it stands out: it leads in at 27°. */
export const BUMP_LENGTHS = 2;

export const facts: StepFacts<z.infer<typeof schema>> = {
  makes: 'solid',
  group: 'form',
  edges: ['rims', 'all'],
};
