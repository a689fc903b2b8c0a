import { z } from 'zod';

import { angleWithin } from './plainNumber';
import { turn } from './turn';
import { numberValue, Value } from './value';

/** What a hole widens to, for what goes in it. */
export const HoleHead = z.discriminatedUnion('kind', [
  /** A round recess at its mouth, for a screw head or a bearing: what is left below it is the lip. */
  z.strictObject({ kind: z.literal('seat'), diameter: Value, depth: Value }),
  /** A cone at its mouth; `angle` is the whole of it, radians. */
  z.strictObject({ kind: z.literal('sink'), diameter: Value, angle: angleWithin(0.5, 2.6) }),
  /**
   * A pocket that holds a nut or a bolt head by its flats, at its mouth, at its far end, or between them and open to a
   * side, so that the nut is slid in.
   */
  z.strictObject({
    kind: z.literal('nut'),
    sides: z.union([z.literal(4), z.literal(6)]),
    across: Value,
    depth: Value,
    at: z.enum(['mouth', 'far', 'side']),
    /** Of one that is open to a side: from the mouth down to it. */
    below: Value.optional(),
    /** The way that it opens, if it is open to a side: 0 is to the right. */
    turn,
  }),
]);
export type HoleHead = z.infer<typeof HoleHead>;

/** How far below the mouth a nut is slid in, 2 mm where nothing is said. */
export const belowOf = ({ below }: Extract<HoleHead, { kind: 'nut' }>): Value => below ?? numberValue(2);
