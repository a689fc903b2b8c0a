import { z } from 'zod';

import { Chain } from './chain';
import { Fit } from './fit';
import { Brief, Id, line, name, paragraph } from '@core/fields';
import { Layout } from './layout';
import { LIST_LIMITS } from './limits';
import { Photo } from './photo';
import { Body } from './recipe';
import { Reading, Size } from './size';
import { Trial } from './trial';
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
  sizes: z.array(Size).max(LIST_LIMITS.sizes),
  readings: z.array(Reading).max(LIST_LIMITS.readings),
  layouts: z.array(Layout).max(LIST_LIMITS.layouts),
  fits: z.array(Fit).max(LIST_LIMITS.fits),
  chains: z.array(Chain).max(LIST_LIMITS.chains),
  photos: z.array(Photo).max(LIST_LIMITS.photos),
  bodies: z.array(Body).max(LIST_LIMITS.bodies),
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

/** One thing to mend, whole. */
export const Repair = RepairState.extend({
  revisions: z.array(Revision).max(LIST_LIMITS.revisions),
  /** Not frozen with a revision: a trial belongs to what was made of it. Absent in what was written before there were any. */
  trials: z.array(Trial).max(LIST_LIMITS.trials).default([]),
});
export type Repair = z.infer<typeof Repair>;
