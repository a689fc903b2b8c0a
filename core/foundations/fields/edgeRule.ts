import { z } from 'zod';

import { Id } from './ids';
import { EdgePick, FacePick } from './place';

/** Which edges a round or an ease takes: chosen by rule, so that the choice survives changes of size. */
export const EdgeRule = z.discriminatedUnion('edges', [
  /** Where the wall of a hole meets the outside. */
  z.strictObject({ edges: z.literal('mouths'), of: Id }),
  /** The outer edges at the top and bottom of a step's own solid; of a cut, its mouths and the rim of its floor. */
  z.strictObject({
    edges: z.literal('rims'),
    of: Id,
    /** Those at one end alone. Where a cut has no face of its own left there, its mouth. */
    end: z.enum(['top', 'bottom']).optional(),
  }),
  /** The upright edges of a plate or a raised outline, where its sides meet. */
  z.strictObject({ edges: z.literal('upright'), of: Id }),
  /** Every edge of a step's own faces. */
  z.strictObject({ edges: z.literal('all'), of: Id }),
  /** Where the faces of two steps meet. */
  z.strictObject({ edges: z.literal('between'), of: Id, and: Id }),
  /** Every corner that is hollow, where two faces meet at less than a half turn of material outside. */
  z.strictObject({ edges: z.literal('insides') }),
  /** All round a face that was picked. */
  z.strictObject({ edges: z.literal('face'), face: FacePick }),
  /** Those that were picked one by one. */
  z.strictObject({ edges: z.literal('picked'), picks: z.array(EdgePick).min(1).max(60) }),
]);
export type EdgeRule = z.infer<typeof EdgeRule>;
