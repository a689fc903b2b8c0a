import { z } from 'zod';

import { QUANTITIES } from '@core/foundations/quantity';

import { Id, line, MODEL_LIMIT_MM, name } from '@core/foundations/fields';

const version = z.int().nonnegative();

/** Where the calipers touch: over the outside, inside a hole, down with the depth rod, or across a step. */
export const Jaw = z.enum(['outside', 'inside', 'depth', 'step']);
export type Jaw = z.infer<typeof Jaw>;

/**
 * Measured: from readings. Stated: from a manual, drawing or standard. Derived: worked out from other sizes.
 * Chosen: nothing depends on it.
 */
export const SizeKind = z.enum(['measured', 'stated', 'derived', 'chosen']);
export type SizeKind = z.infer<typeof SizeKind>;

/** Which value of the readings is taken. */
export const Taken = z.enum(['mean', 'largest', 'smallest', 'median']);
export type Taken = z.infer<typeof Taken>;

/** An input of a construction: a size, or a plain number in the core's units (mm, radians, a count). */
export const Source = z.discriminatedUnion('from', [
  z.strictObject({ from: z.literal('size'), id: Id }),
  z.strictObject({ from: z.literal('number'), value: z.number().min(-100_000).max(100_000) }),
]);
export type Source = z.infer<typeof Source>;

/** How a derived size is worked out. */
export const Derivation = z.discriminatedUnion('by', [
  /** A formula over tags, kept as typed; `unit` is the unit of bare numbers in it. */
  z.strictObject({ by: z.literal('formula'), text: line(200), unit: z.enum(['mm', 'cm', 'in']) }),
  /** One of the drawn constructions, by its name, with its inputs and, where it gives several, the result meant. */
  z.strictObject({
    by: z.literal('construction'),
    construction: z.string().max(40),
    inputs: z.record(z.string().max(40), Source),
    result: z.string().max(40),
  }),
]);
export type Derivation = z.infer<typeof Derivation>;

/** A named length (mm), angle (radians) or count. Readings serve measured sizes, `given` stated and chosen ones. */
export const Size = z.strictObject({
  id: Id,
  version,
  tag: z.string().regex(/^[A-Z]{1,3}$/),
  name,
  quantity: z.enum(QUANTITIES),
  kind: SizeKind,
  /** Taken on the broken piece (or its twin), or on the thing the spare must fit. */
  of: z.enum(['piece', 'counterpart']),
  jaw: Jaw,
  /** How important it is. */
  importance: z.enum(['critical', 'plain', 'free']),
  taken: Taken,
  /** Why not the mean. */
  takenWhy: line(200),
  given: z
    .number()
    .positive()
    .max(MODEL_LIMIT_MM * 10)
    .nullable(),
  /** Half of what its limits leave it, where a stated number comes with limits; in the unit of the size. */
  givenPlusMinus: z.number().positive().max(MODEL_LIMIT_MM).optional(),
  source: line(200),
  derivation: Derivation.nullable(),
  removed: z.boolean(),
});
export type Size = z.infer<typeof Size>;

/** One value taken once. `leftOut` holds the reason when it does not count, else null. */
export const Reading = z.strictObject({
  id: Id,
  version,
  sizeId: Id,
  /** mm, radians or a count, as the size's quantity says. */
  value: z.number().positive().max(10_000),
  /** Exactly what was typed or sent. */
  typed: line(60),
  instrumentId: Id,
  takenAt: z.iso.datetime(),
  leftOut: line(200).nullable(),
  removed: z.boolean(),
});
export type Reading = z.infer<typeof Reading>;
