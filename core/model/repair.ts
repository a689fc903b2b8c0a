import { z } from 'zod';

import { Id, line, MODEL_LIMIT_MM, name, paragraph } from './ids';
import { Body } from './recipe';

const version = z.int().nonnegative();
const instant = z.iso.datetime();
const removed = z.boolean();

/** Where the calipers touch: over the outside, inside a hole, down with the depth rod, or across a step. */
export const Jaw = z.enum(['outside', 'inside', 'depth', 'step']);
export type Jaw = z.infer<typeof Jaw>;

/** Measured: from readings. Stated: from a manual, drawing or standard. Chosen: nothing depends on it. */
export const SizeKind = z.enum(['measured', 'stated', 'chosen']);
export type SizeKind = z.infer<typeof SizeKind>;

const positiveLength = z.number().positive().max(MODEL_LIMIT_MM);

/** A named length, mm. `givenMm` and `source` serve stated and chosen sizes; readings serve measured ones. */
export const Size = z.strictObject({
  id: Id,
  version,
  tag: z.string().regex(/^[A-Z]{1,2}$/),
  name,
  kind: SizeKind,
  /** Taken on the broken piece (or its twin), or on the thing the spare must fit. */
  of: z.enum(['piece', 'counterpart']),
  jaw: Jaw,
  givenMm: positiveLength.nullable(),
  source: line(200),
  removed,
});
export type Size = z.infer<typeof Size>;

/** One value taken once. `leftOut` holds the reason when it does not count, else null. */
export const Reading = z.strictObject({
  id: Id,
  version,
  sizeId: Id,
  mm: positiveLength,
  /** Exactly what was typed or sent. */
  typed: line(60),
  instrumentId: Id,
  takenAt: instant,
  leftOut: line(200).nullable(),
  removed,
});
export type Reading = z.infer<typeof Reading>;

/** How freely two mating features should go together, in workshop words. */
export const FitClass = z.enum(['loose', 'turns', 'slides', 'snug', 'pressed']);
export type FitClass = z.infer<typeof FitClass>;

/** How a feature of the spare goes with a size of the counterpart. */
export const Fit = z.strictObject({
  id: Id,
  version,
  name,
  counterpartSizeId: Id,
  /** `bore`: the spare goes over the counterpart. `peg`: the spare goes into it. */
  feature: z.enum(['bore', 'peg']),
  fitClass: FitClass,
  /** Clearance on the diameter chosen by hand, mm, instead of the class's own; positive is looser. */
  ownClearanceMm: z.number().min(-5).max(20).nullable(),
  removed,
});
export type Fit = z.infer<typeof Fit>;

/** The fields of a repair that stand in its own row. */
export const RepairHead = z.strictObject({
  id: Id,
  version,
  name,
  place: line(120),
  whatBroke: paragraph(2000),
  materialId: Id,
  machineId: Id,
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
  sizes: z.array(Size).max(2000),
  readings: z.array(Reading).max(50_000),
  fits: z.array(Fit).max(2000),
  bodies: z.array(Body).max(100),
});
export type RepairState = z.infer<typeof RepairState>;

/** A frozen state that was made or is worth keeping. Never changed, only added. */
export const Revision = z.strictObject({
  id: Id,
  version,
  letter: z.string().regex(/^[A-Z]{1,2}$/),
  note: line(200),
  frozenAt: instant,
  state: RepairState,
  figures: z.array(FrozenFigures).max(100),
  removed,
});
export type Revision = z.infer<typeof Revision>;

/** One thing to mend, whole. */
export const Repair = RepairState.extend({ revisions: z.array(Revision).max(200) });
export type Repair = z.infer<typeof Repair>;
