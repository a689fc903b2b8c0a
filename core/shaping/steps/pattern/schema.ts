import { z } from 'zod';

import { Id, countWithin, step, Value } from '@core/foundations/fields';

import type { StepFacts } from '../facts';

/** How often something is made, the first time included. */
const count = countWithin(2, 200);

/**
 * What an earlier step, or each of several, made or took away, again: evenly round the axle line, in a row, or at the points of a
 * layout. Of several, the first says where they stand: the others keep their places beside it.
 */
export const schema = z.strictObject({
  ...step,
  kind: z.literal('pattern'),
  of: z.union([Id, z.array(Id).min(2).max(60)]),
  pattern: z.discriminatedUnion('by', [
    /** Evenly round the axle line, or round an upright axis through a point. */
    z.strictObject({ by: z.literal('round'), count, x: Value.optional(), y: Value.optional() }),
    z.strictObject({ by: z.literal('row'), count, dx: Value, dy: Value, dz: Value.optional() }),
    /** Rows and columns, the first time at the left and the front. */
    z.strictObject({ by: z.literal('grid'), count, rows: count, dx: Value, dy: Value }),
    /** Evenly along a line from point to point, counted from where the step stands. */
    z.strictObject({
      by: z.literal('path'),
      count,
      points: z
        .array(z.strictObject({ x: Value, y: Value }))
        .min(1)
        .max(60),
    }),
    /** At places of their own, from the axle line; where the step stands already it is not made again. */
    z.strictObject({
      by: z.literal('points'),
      points: z
        .array(z.strictObject({ x: Value, y: Value }))
        .min(1)
        .max(200),
    }),
    z.strictObject({ by: z.literal('layout'), id: Id }),
  ]),
});

export const facts: StepFacts<z.infer<typeof schema>> = {
  makes: 'change',
  group: 'again',
  edges: ['mouths', 'rims', 'all'],
};

/** The steps that a pattern makes again. */
export const repeatedBy = ({ of }: { of: string | readonly string[] }): readonly string[] =>
  typeof of === 'string' ? [of] : of;
