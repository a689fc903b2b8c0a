import { z } from 'zod';

import { Id, line, name } from '@core/foundations/fields';

import { FitFeature } from './fitFeature';

const version = z.int().nonnegative();
const removed = z.boolean();
const positive = z.number().positive().max(100_000);

/**
 * A measuring instrument and what it promises. Lengths in mm, angles in radians, as `quantity` says.
 */
export const Instrument = z.strictObject({
  id: Id,
  version,
  name,
  kind: z.enum(['caliper', 'micrometer', 'rule', 'tape', 'protractor', 'gauge']),
  quantity: z.enum(['length', 'angle']),
  /** The unit on its display; a number typed without a unit is taken in it. */
  shows: z.enum(['mm', 'in', 'deg']),
  /** Smallest step of its display. */
  resolution: positive,
  /** Largest reading it can give. */
  reach: positive,
  /** Permissible error of indication, plus or minus, for readings up to a value; by rising `upTo`. */
  permissibleErrors: z
    .array(z.strictObject({ upTo: positive, plusMinus: positive }))
    .min(1)
    .max(10),
  /** Spread (one standard deviation) expected of one hand's repeat readings; used while there is only one. */
  repeatability: positive,
  removed,
});
export type Instrument = z.infer<typeof Instrument>;

/** How a spare is made. */
export const Process = z.enum(['printing', 'resin', 'casting', 'machining', 'sheet']);
export type Process = z.infer<typeof Process>;

/** What it is made of, as far as fits and corrections care. */
export const MaterialFamily = z.enum(['plastic', 'soft', 'resin', 'metal', 'wood']);
export type MaterialFamily = z.infer<typeof MaterialFamily>;

/** Kinds of feature that a machine gets wrong in different ways. */
export const FeatureKind = z.enum(['inside', 'outside', 'spacing', 'height']);
export type FeatureKind = z.infer<typeof FeatureKind>;

const stated = {
  offsetMm: z.number().min(-5).max(5),
  /** Share of the size, as 0.004 for 0.4 %. */
  scale: z.number().min(-0.2).max(0.2),
  /** Expanded uncertainty of the correction, about 95 %, mm. */
  plusMinusMm: z.number().min(0).max(5),
  /** Where it was learned, for the trail. */
  learnedFrom: line(120),
};

/** One of several normal doubts of a learned correction. */
const LearnedPart = z.strictObject({
  share: z.number().positive().max(1),
  /** Covariance of the line's four coefficients: the lower triangle of the matrix, row by row. */
  doubt: z.array(z.number()).length(10),
  /** What is made about the line's mean, one standard deviation, mm. */
  scatterMm: positive,
});

/**
 * What is added to a size so that it comes out right, as trials taught it: offset + scale × size + small / size + across × size / 2 along x, less as
 * much along y. mm, on the diameter.
 */
export const LearnedLine = z.strictObject({
  offsetMm: z.number().min(-5).max(5),
  scale: z.number().min(-0.2).max(0.2),
  smallMm2: z.number().min(-10).max(10),
  across: z.number().min(-0.2).max(0.2),
  /** Shares add up to 1: how surely it is known is no single normal number. */
  parts: z.array(LearnedPart).min(1).max(6),
});
export type LearnedLine = z.infer<typeof LearnedLine>;

/** What trials taught beside the numbers of a correction. */
export const Learned = z.strictObject({
  /** Made sizes that it rests on, odd ones left out. */
  count: z.int().nonnegative(),
  /** Variance of the offset (mm²), its covariance with the scale (mm), variance of the scale (1). */
  doubt: z.tuple([z.number().min(0), z.number(), z.number().min(0)]),
  /** How far new makes scatter, one standard deviation, mm, and its degrees of freedom. */
  scatterMm: positive,
  degrees: positive,
  /** What it was measured with: the error that this has in everything is in the offset, and in a counterpart's readings. */
  instrumentId: Id,
  /** By kind of fit, and of any other of its kind of feature; absent in rows of before 30 November 2026, whose doubt is one normal number. */
  lines: z.partialRecord(z.enum(['any', ...FitFeature.options]), LearnedLine).optional(),
  /** By how much all doubts were widened, since more came out beside what was stated than should; absent where nothing was. */
  widened: z.number().min(1).max(20).optional(),
  /** What was stated before, for when it is forgotten; null if nothing was for this family of material. */
  before: z.strictObject(stated).nullable(),
});

/**
 * What is added to a size of the model so that it comes out right: offset + scale × size. On a diameter, mm.
 */
export const Correction = z.strictObject({
  family: z.union([MaterialFamily, z.literal('any')]),
  feature: FeatureKind,
  ...stated,
  /** How surely trials taught it; absent where somebody stated it. */
  learned: Learned.optional(),
});
export type Correction = z.infer<typeof Correction>;

/** A machine or a way of making, with its habits. */
export const Machine = z.strictObject({
  id: Id,
  version,
  name,
  process: Process,
  /** How far made sizes scatter about their mean, one standard deviation, mm. */
  scatterMm: z.number().positive().max(5),
  corrections: z.array(Correction).max(60),
  /**
   * Linear shrinkage of casting or curing, as a share, along x, y and z; null where nothing shrinks. Files are that much larger
   * than what is to come out.
   */
  shrinkage: z
    .strictObject({
      x: z.number().min(-0.1).max(0.3),
      y: z.number().min(-0.1).max(0.3),
      z: z.number().min(-0.1).max(0.3),
    })
    .nullable(),
  /** Trials before this instant say nothing of it any more: it was mended, or makes otherwise since. */
  learnsSince: z.iso.datetime().optional(),
  removed,
});
export type Machine = z.infer<typeof Machine>;

/** How freely two mating features should go together, in workshop words, from loosest to tightest. */
export const FitClass = z.enum(['loose', 'turns', 'slides', 'snug', 'pressed']);
export type FitClass = z.infer<typeof FitClass>;

const clearance = z.number().min(-5).max(20);

/**
 * Clearances of the fit classes for one process and family of material, mm on the diameter, as they are at a
 * size of 6 mm. Below zero is interference.
 */
export const FitTable = z.strictObject({
  id: Id,
  version,
  process: Process,
  family: z.union([MaterialFamily, z.literal('any')]),
  clearances: z.strictObject({
    loose: clearance,
    turns: clearance,
    slides: clearance,
    snug: clearance,
    pressed: clearance,
  }),
  removed,
});
export type FitTable = z.infer<typeof FitTable>;

export const DEFAULT_MATERIAL_ID = 'petg';
export const DEFAULT_MACHINE_ID = 'bench-printer';
export const BENCH_CALIPER_ID = 'bench-caliper';
