import { z } from 'zod';

import { Id, line, MODEL_LIMIT_MM } from './ids';

export const SizeValue = z.strictObject({ from: z.literal('size'), id: Id });
/** A sum or a formula over sizes, kept as typed; `unit` is the unit of bare numbers in it where a length is meant. */
export const FormulaValue = z.strictObject({
  from: z.literal('formula'),
  text: line(200),
  unit: z.enum(['mm', 'cm', 'in']),
});

/**
 * A number in a recipe: typed in place, or taken from a size, from the working size of a fit, from a formula or
 * from a point of a layout, so that it follows when a reading changes. Lengths in mm.
 */
export const Value = z.discriminatedUnion('from', [
  z.strictObject({ from: z.literal('number'), mm: z.number().min(-MODEL_LIMIT_MM).max(MODEL_LIMIT_MM) }),
  SizeValue,
  z.strictObject({ from: z.literal('fit'), id: Id }),
  FormulaValue,
  /** Where the adjusted layout puts a point, along x or y. */
  z.strictObject({ from: z.literal('layout'), id: Id, point: Id, axis: z.enum(['x', 'y']) }),
]);
export type Value = z.infer<typeof Value>;

export const numberValue = (mm: number): Value => ({ from: 'number', mm });
export const sizeValue = (id: Id): Value & { from: 'size' } => ({ from: 'size', id });
export const fitValue = (id: Id): Value => ({ from: 'fit', id });
