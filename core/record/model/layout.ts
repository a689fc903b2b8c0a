import { z } from 'zod';

import { Id, line, MODEL_LIMIT_MM, name } from '@core/foundations/fields';
import { Source } from './size';

const coordinate = z
  .number()
  .min(-MODEL_LIMIT_MM * 10)
  .max(MODEL_LIMIT_MM * 10);

/** Straight datum edges: left is x = 0, bottom is y = 0; right and top stand where distances put them. */
export const DatumEdge = z.enum(['left', 'right', 'bottom', 'top']);
export type DatumEdge = z.infer<typeof DatumEdge>;

/** A hole's or a peg's centre, or a corner, placed by distances. */
export const LayoutPoint = z.strictObject({
  id: Id,
  /** Number on the picture. */
  label: z.string().regex(/^[0-9]{1,3}$/),
  kind: z.enum(['hole', 'peg', 'corner']),
  /** Where it was put on the sketch, mm: tells mirrored solutions apart. */
  x: coordinate,
  y: coordinate,
  /** Its diameter, for distances taken between rims; null when nobody measured it. */
  diameter: Source.nullable(),
});
export type LayoutPoint = z.infer<typeof LayoutPoint>;

/** An end of a distance: a point, or a datum edge. */
export const LayoutEnd = z.union([z.strictObject({ point: Id }), z.strictObject({ edge: DatumEdge })]);
export type LayoutEnd = z.infer<typeof LayoutEnd>;

/** A distance as it was taken. */
export const LayoutDistance = z.strictObject({
  id: Id,
  from: LayoutEnd,
  to: LayoutEnd,
  /** Between centres; between the near rims (inside jaws on pegs, across the web of holes); over the far rims. */
  over: z.enum(['centres', 'near', 'far']),
  source: Source,
  /** Why it does not count, else null. */
  leftOut: line(200).nullable(),
});
export type LayoutDistance = z.infer<typeof LayoutDistance>;

/** Points and the distances between them, adjusted together. */
export const Layout = z.strictObject({
  id: Id,
  version: z.int().nonnegative(),
  name,
  /** Where the coordinates that steps use begin: where the frame does, or in the middle of the piece. */
  zero: z.enum(['start', 'middle']),
  points: z.array(LayoutPoint).max(200),
  distances: z.array(LayoutDistance).max(1000),
  removed: z.boolean(),
});
export type Layout = z.infer<typeof Layout>;
