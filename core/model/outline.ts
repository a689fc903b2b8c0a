import { z } from 'zod';

import { Value } from './value';

/** A plain outline, its middle where the step puts it. Numbers are lengths, mm. */
export const OutlineShape = z.discriminatedUnion('shape', [
  z.strictObject({ shape: z.literal('circle'), diameter: Value }),
  z.strictObject({ shape: z.literal('ellipse'), length: Value, breadth: Value }),
  z.strictObject({ shape: z.literal('rectangle'), length: Value, breadth: Value, cornerRadius: Value }),
  /** Rounded at both ends; `length` is over all. */
  z.strictObject({ shape: z.literal('slot'), length: Value, breadth: Value }),
  /** Regular, measured over flats (a flat to the corner opposite, for odd ones) or over corners. */
  z.strictObject({
    shape: z.literal('polygon'),
    sides: z.int().min(3).max(24),
    by: z.enum(['flats', 'corners']),
    across: Value,
  }),
]);
export type OutlineShape = z.infer<typeof OutlineShape>;
export type OutlineShapeName = OutlineShape['shape'];
