import { z } from 'zod';

import { NextThing } from './nextThing';
import { Change } from './change';
import { Trial } from './trial';
import { Id, line, name } from '@core/foundations/fields';

/** Everything that crosses between screen and server. */
export const NewRepair = z.strictObject({ id: Id, name, place: line(120) });
export type NewRepair = z.infer<typeof NewRepair>;

export const Stage = z.enum(['brief', 'sizes', 'fits', 'shape', 'make', 'trial']);
export type Stage = z.infer<typeof Stage>;
export const STAGES: readonly Stage[] = Stage.options;

/** A small line drawing of the spare for lists. Coordinates in mm, y up; flat arrays x0,y0,x1,y1,… */
export const Picture = z.strictObject({
  /** Hash of the built recipe, to tell an old picture from a current one. */
  key: z.string().max(80),
  /** Filled outline, outer loops and holes together (even-odd). */
  outline: z.array(z.array(z.number()).max(4000)).max(200),
  /** Visible edges. */
  edges: z.array(z.array(z.number()).max(4000)).max(1000),
});
export type Picture = z.infer<typeof Picture>;

/**
 * A choice as it is drawn where it is made: a picture of an example, which of its edges are the choice's own, by their index, and what was there
 * before where it changes everything.
 */
export const DrawnFigure = Picture.extend({
  made: z.array(z.int().nonnegative()),
  ghost: z.array(z.array(z.number())),
});
export type DrawnFigure = z.infer<typeof DrawnFigure>;

/** A line of the list of repairs. */
export const RepairLine = z.strictObject({
  id: Id,
  name: z.string(),
  place: z.string(),
  updatedAt: z.string(),
  stage: Stage,
  next: NextThing,
  revision: z.string().nullable(),
  picture: Picture.nullable(),
});
export type RepairLine = z.infer<typeof RepairLine>;

export const RepairList = z.strictObject({
  repairs: z.array(RepairLine),
  /** Give it back as `after` to get the next page; null at the end. */
  next: z.string().nullable(),
  /** How many there are, as far as is counted. */
  total: z.int(),
  /** Whether there are more than are counted. */
  more: z.boolean(),
});
export type RepairList = z.infer<typeof RepairList>;

export const ListQuery = z.strictObject({
  search: z.string().max(200).default(''),
  /** Those that were deleted instead. */
  removed: z
    .enum(['true', 'false'])
    .default('false')
    .transform((word) => word === 'true'),
  after: z.string().max(200).optional(),
  limit: z.coerce.number().int().min(1).max(100).default(30),
});

/** The row that was changed comes back with its new version, and the tag it was given. */
export const ChangeReply = z.strictObject({ repairId: Id, change: Change });
export type ChangeReply = z.infer<typeof ChangeReply>;
export const CreatedReply = z.strictObject({ id: Id });

/** Trials of all repairs. */
export const TrialList = z.strictObject({ trials: z.array(Trial) });

/** What a machine's new corrections would change in one fit of a repair. Working sizes mm, chances from 0 to 1. */
export const CorrectionEffect = z.strictObject({
  repairId: Id,
  repairName: z.string(),
  fitName: z.string(),
  working: z.strictObject({ fromMm: z.number(), toMm: z.number() }),
  chance: z.strictObject({ from: z.number(), to: z.number() }),
});
export type CorrectionEffect = z.infer<typeof CorrectionEffect>;

/** Of the repairs on that machine that were changed last; `more` where there are others that were not looked at. */
export const CorrectionEffects = z.strictObject({
  effects: z.array(CorrectionEffect),
  looked: z.int(),
  more: z.boolean(),
});
export type CorrectionEffects = z.infer<typeof CorrectionEffects>;

/** Every refusal has this shape. `fault` is the data; `sentence` is for people who call the API by hand. */
export const Refusal = z.object({
  fault: z.looseObject({ code: z.string() }),
  sentence: z.string(),
});
export type Refusal = z.infer<typeof Refusal>;
