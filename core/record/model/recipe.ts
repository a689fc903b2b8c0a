import { z } from 'zod';

import { BED_ADHESIONS, Id, LASTINGS, line, name, Side, SUPPORTS } from '@core/foundations/fields';
import { Step } from '@core/shaping/steps/data';

export const BodyRole = z.enum(['spare', 'counterpart']);
export type BodyRole = z.infer<typeof BodyRole>;

const share = z.number().min(-1).max(1);
const direction = z.tuple([share, share, share]);
const far = z.number().min(-10_000).max(10_000);
const place = z.tuple([far, far, far]);

/** How a body is laid in layers. */
export const PrintSetup = z.strictObject({
  /** The direction in its own frame that lies on the bed, of length 1. */
  down: direction,
  /** The settings by name. */
  settings: Id,
  support: z.enum(SUPPORTS),
  foot: z.enum(BED_ADHESIONS),
  /** The direction in its own frame along which it is pulled or bent, of length 1; absent where nobody said. */
  load: direction.optional(),
  /** How strong that load is, N, and the places in its own frame where it acts and where the part is held against it, mm. */
  held: z
    .strictObject({
      forceN: z.number().min(0.1).max(100_000),
      at: place,
      heldAt: place,
      /** How long it acts at a time, and the safety factor; as the brief lets one think where nobody said. */
      lasts: z.enum(LASTINGS).optional(),
      safety: z.number().min(1).max(20).optional(),
    })
    .optional(),
});
export type PrintSetup = z.infer<typeof PrintSetup>;

/** How a spare lies and is laid if nobody has chosen: as it stands. */
export const USUAL_PRINT_SETUP: PrintSetup = {
  down: [0, 0, -1],
  settings: 'everyday',
  support: 'none',
  foot: 'skirt',
};

/** What the sides of a body are called where it is used: `wall side`, `up`. */
export const SideNames = z.partialRecord(Side, line(40));
export type SideNames = z.infer<typeof SideNames>;

/** A solid built by a recipe. Spares are made; counterparts are what they must fit, shown as ghosts. */
export const Body = z.strictObject({
  id: Id,
  version: z.int().nonnegative(),
  name,
  role: BodyRole,
  steps: z.array(Step).max(500),
  /** How it is sliced, if that was chosen. */
  laying: PrintSetup.optional(),
  sides: SideNames.optional(),
  removed: z.boolean(),
});
export type Body = z.infer<typeof Body>;
