import { z } from 'zod';

import { Afterwork, Id, line, name, paragraph } from '@core/foundations/fields';

import { BedDirection, FitFeature } from './fitFeature';
import { FitClass } from './workshop';

/** What was tried: the whole spare, a piece of it round one fit, or a row of places from tight to loose. */
export const TrialOf = z.enum(['part', 'testPiece', 'gaugeRow']);
export type TrialOf = z.infer<typeof TrialOf>;

/** How it went together, from too loose to too tight, in the words of the bench. */
export const Verdict = z.enum(['rattles', 'loose', 'right', 'stiff', 'willNotGo']);
export type Verdict = z.infer<typeof Verdict>;

/** What was done to the made part to learn how much it lacks, or to save it. */
export const Remedy = z.enum(['filed', 'drilled', 'reamed', 'sanded', 'warmed', 'shimmed', 'tied']);
export type Remedy = z.infer<typeof Remedy>;

const length = z.number().min(-10_000).max(10_000);
const offset = z.number().min(-1000).max(1000);

/** One reading of a made size, as typed. */
export const MadeReading = z.strictObject({
  typed: line(60),
  mm: z.number().positive().max(10_000),
  instrumentId: Id,
});
export type MadeReading = z.infer<typeof MadeReading>;

/**
 * One fit of what was tried: the working size that was asked for, the size that was made, and how it fits. The asked size is kept as it was, since
 * fits and machines change later. Lengths mm, on the diameter.
 */
export const TrialResult = z.strictObject({
  /** The fit it is about, which may be gone since. */
  fitId: Id,
  fitName: name,
  feature: FitFeature,
  /** The direction of the bed along which it lay, where the fit said so. */
  along: BedDirection.optional(),
  fitClass: FitClass,
  /** The counterpart's size, the allowance and the correction that added up to the working size, signed as in its trail. */
  counterpartMm: length,
  allowanceMm: length,
  correctionMm: length,
  /** Standard uncertainty of the counterpart's size then, the instrument's own error left out. */
  counterpartStandardMm: z.number().min(0).max(1000),
  made: z.array(MadeReading).max(20),
  /**
   * Across the edge that stood on the bed, where the first layer spreads: readings, and how much of that was taken back on each side when it was
   * laid, mm. Absent where nothing was laid in layers.
   */
  foot: z
    .strictObject({ takenBackMm: z.number().min(0).max(1), made: z.array(MadeReading).max(20) })
    .optional(),
  verdict: Verdict.nullable(),
  /** Of a gauge row: how much looser than the working size the place was that felt right. */
  looserMm: z.number().min(-2).max(2).nullable(),
  done: z.array(z.strictObject({ what: Remedy, mm: z.number().min(0).max(100).nullable() })).max(10),
  note: line(200),
  /** It is about a critical size of the piece, and `fitId` is that one's; `counterpartMm` is what it should have come out as. */
  ofSize: z.literal(true).optional(),
  /** Its clearance was typed, or came from ISO limits: it says nothing of what the class means to a person. */
  byHand: z.literal(true).optional(),
  /**
   * How much further on its place should be, mm: to the right and to the back on level ground, to the right and up on the front and the back, to
   * the back and up on the left and the right. Absent where it was in the right place.
   */
  misplaced: z.strictObject({ firstMm: offset, secondMm: offset }).optional(),
  /** Why nothing is to be learned from this one, where the rest of the trial counts; absent when it does. */
  leftOut: line(200).optional(),
});
export type TrialResult = z.infer<typeof TrialResult>;

/** As many as a trial holds. */
export const RESULTS_LIMIT = 50;

/** Something that was done to what was made before it was tried; `fitId` where it was done at one fit. */
export const FinishedWork = z.strictObject({ what: Afterwork, fitId: Id.optional() });
export type FinishedWork = z.infer<typeof FinishedWork>;

/** What a made part measured and how it fitted. */
export const Trial = z.strictObject({
  id: Id,
  version: z.int().nonnegative(),
  /** In a list of trials: "Revision A, Bench printer". */
  name,
  of: TrialOf,
  /** The letter of the revision that was made; null for one that was never frozen. */
  letter: z
    .string()
    .regex(/^[A-Z]{1,2}$/)
    .nullable(),
  machineId: Id,
  materialId: Id,
  triedAt: z.iso.datetime(),
  /** The made part that came from a machine of the workshop, to measure it; null for one made elsewhere. */
  madePartId: Id.nullable(),
  results: z.array(TrialResult).max(RESULTS_LIMIT),
  /** Why nothing is to be learned from it; null when it counts. */
  leftOut: line(200).nullable(),
  /** What was changed because of it, in words: the reasons of the next revision. */
  taken: z.array(line(200)).max(50),
  note: paragraph(1000),
  /** Photos of the repair that show what came out. */
  photoIds: z.array(Id).max(20).optional(),
  /** What was ticked off of what comes after it was made. */
  finished: z.array(FinishedWork).max(60).optional(),
  removed: z.boolean(),
});
export type Trial = z.infer<typeof Trial>;
