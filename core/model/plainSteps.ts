import { z } from 'zod';

import { Id } from './ids';
import { place, placeOnGround, placeOnTop } from './place';
import { Effect, step } from './stepBase';
import { turn } from './turn';
import { Value } from './value';

/** Disc or cylinder turned about the axle line (z), standing on z = 0, unless it has a place of its own. */
export const TurnStep = z.strictObject({
  ...step,
  ...placeOnGround,
  kind: z.literal('turn'),
  effect: Effect.optional(),
  diameter: Value,
  width: Value,
});

/** Plate lying on z = 0 about the axle line, unless it has a place of its own; corners rounded as seen in plan. */
export const PlateStep = z.strictObject({
  ...step,
  ...placeOnGround,
  kind: z.literal('plate'),
  effect: Effect.optional(),
  length: Value,
  breadth: Value,
  thickness: Value,
  cornerRadius: Value,
  turn: turn.optional(),
});

/** Peg raised from what is there, or cut out of it. */
export const PegStep = z.strictObject({
  ...step,
  ...placeOnTop,
  kind: z.literal('peg'),
  effect: Effect.optional(),
  diameter: Value,
  height: Value,
  /** Its height says how high its floor lies above the ground, instead of how deep it is cut. */
  floor: z.literal(true).optional(),
});

/** Groove cut round the rim of a turned step, in the middle of its width. */
export const GrooveStep = z.strictObject({
  ...step,
  kind: z.literal('groove'),
  rimOf: Id,
  width: Value,
  depth: Value,
  /** Above the middle of the width; below it if negative. */
  up: Value.optional(),
});

/** A block whose top slopes along x, from `low` high on the left to `high` on the right; either may be zero. */
export const WedgeStep = z.strictObject({
  ...step,
  ...place,
  kind: z.literal('wedge'),
  effect: Effect,
  length: Value,
  breadth: Value,
  low: Value,
  high: Value,
  turn,
});

/** Cone or stump of one: `lower` and `upper` diameters, `height` apart; either may be zero. */
export const ConeStep = z.strictObject({
  ...step,
  ...place,
  kind: z.literal('cone'),
  effect: Effect,
  lower: Value,
  upper: Value,
  height: Value,
});

/** Ball whose middle is `up` above what it is placed on. */
export const BallStep = z.strictObject({
  ...step,
  ...place,
  kind: z.literal('ball'),
  effect: Effect,
  diameter: Value,
  up: Value,
});

/** Ring of round section: `across` the middle of the section, `thick`; the middle of the section `up` above its place. */
export const RingStep = z.strictObject({
  ...step,
  ...place,
  kind: z.literal('ring'),
  effect: Effect,
  across: Value,
  thick: Value,
  up: Value,
});

/**
 * A shape read along its upright axis as calipers take it: heights above the place, and the diameter at each; straight
 * or smooth between. Round it is turned; oval or square in section it has a depth as well, and `diameter` is its width.
 */
export const StationsStep = z.strictObject({
  ...step,
  ...place,
  kind: z.literal('stations'),
  effect: Effect,
  rows: z
    .array(z.strictObject({ at: Value, diameter: Value, depth: Value.optional() }))
    .min(2)
    .max(60),
  section: z.enum(['oval', 'box']).optional(),
  between: z.enum(['straight', 'smooth']),
});
