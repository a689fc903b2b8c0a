import { z } from 'zod';

import { Id, name } from '@core/foundations/fields';

const length = z.number().min(-10_000).max(10_000);

/** A link of a chain: a size, a fit's working size, or a number; added, or taken away. */
export const ChainLink = z.strictObject({
  id: Id,
  value: z.discriminatedUnion('from', [
    z.strictObject({ from: z.literal('size'), id: Id }),
    z.strictObject({ from: z.literal('fit'), id: Id }),
    z.strictObject({ from: z.literal('number'), mm: length }),
  ]),
  /** How often it stands in the chain: four equal washers are one link. */
  times: z.int().min(1).max(500),
  sign: z.union([z.literal(1), z.literal(-1)]),
  /** How far it may be off, plus or minus, mm; null for what is known of the size or of the machine. */
  plusMinusMm: z.number().min(0).max(100).nullable(),
});
export type ChainLink = z.infer<typeof ChainLink>;

/** Lengths one after the other, and what they may add up to. */
export const Chain = z.strictObject({
  id: Id,
  version: z.int().nonnegative(),
  name,
  links: z.array(ChainLink).max(100),
  /** Smallest and largest sum that will do, mm; null for no limit. */
  fromMm: length.nullable(),
  toMm: length.nullable(),
  removed: z.boolean(),
});
export type Chain = z.infer<typeof Chain>;
