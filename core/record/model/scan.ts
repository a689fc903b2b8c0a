import { z } from 'zod';

import { Id, name } from '@core/foundations/fields';

/** Name of a scan's file: the SHA-256 of its bytes, in hexadecimal. */
export const ScanFile = z.string().regex(/^[0-9a-f]{64}$/);

const mm = z.number().min(-100_000).max(100_000);
const part = z.number().min(-1).max(1);

/** Where a scan lies on the spare: turned by a unit quaternion (x, y, z, w), then moved, mm. */
export const ScanPlace = z.strictObject({
  turn: z
    .tuple([part, part, part, part])
    .refine((turn) => Math.abs(Math.hypot(...turn) - 1) < 1e-6, 'must have the length 1'),
  move: z.tuple([mm, mm, mm]),
  /** Enough of it and of the spare is explained there; else it may lie elsewhere. */
  isSure: z.boolean(),
});
export type ScanPlace = z.infer<typeof ScanPlace>;

/** A mesh that was scanned or found, kept with the repair: a PLY in mm, and where it was laid over a body. */
export const Scan = z.strictObject({
  id: Id,
  version: z.int().nonnegative(),
  name,
  bodyId: Id,
  file: ScanFile,
  triangles: z.int().positive().max(500_000),
  place: ScanPlace,
  removed: z.boolean(),
});
export type Scan = z.infer<typeof Scan>;
