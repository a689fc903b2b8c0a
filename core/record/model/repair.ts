import { z } from 'zod';

import { Brief, Id, line, name, paragraph } from '@core/foundations/fields';

import { listSchemas } from './rowKinds';
import { STATE_ROWS } from './stateRows';
import { Workshop } from './workshopRows';

const version = z.int().nonnegative();
const instant = z.iso.datetime();
const removed = z.boolean();
const letter = z.string().regex(/^[A-Z]{1,2}$/);

/** The fields of a repair that stand in its own row. */
export const RepairHead = z.strictObject({
  id: Id,
  version,
  name,
  place: line(120),
  whatBroke: paragraph(2000),
  materialId: Id,
  machineId: Id,
  /** What is known of the break and of where the part lives; absent until somebody said anything. */
  brief: Brief.optional(),
  /** The letter of the revision that what stands now goes back to; absent where that is the newest. */
  standsOn: letter.optional(),
  createdAt: instant,
  removed,
});
export type RepairHead = z.infer<typeof RepairHead>;

/** What a spare came out as when its revision was frozen. Lengths mm, volume mm³, mass g. */
export const FrozenFigures = z.strictObject({
  bodyId: Id,
  closed: z.boolean(),
  pieces: z.int(),
  volumeMm3: z.number(),
  areaMm2: z.number(),
  massG: z.number(),
  bboxMm: z.tuple([z.number(), z.number(), z.number()]),
});
export type FrozenFigures = z.infer<typeof FrozenFigures>;

/** Everything of a repair that a revision freezes. */
export const RepairState = z.strictObject({
  head: RepairHead,
  ...listSchemas(STATE_ROWS),
});
export type RepairState = z.infer<typeof RepairState>;

/** A frozen state that was made or is worth keeping. Never changed, only added. */
export const Revision = z.strictObject({
  id: Id,
  version,
  letter,
  note: line(200),
  frozenAt: instant,
  state: RepairState,
  /** The workshop's instruments, machines and fits as they were, so that its numbers stay what they were. */
  workshop: Workshop,
  figures: z.array(FrozenFigures).max(100),
  removed,
});
export type Revision = z.infer<typeof Revision>;
