import { z } from 'zod';

/**
 * How the spare meets the counterpart. The spare is the one named first: a bore over a shaft, a peg in a hole, a
 * slot over a tab, a tab in a slot, a recess that something lies in, a gap between faces that something goes
 * into, a thread in or over one, the spacing of holes against pegs.
 */
export const FitFeature = z.enum([
  'bore',
  'peg',
  'slot',
  'tab',
  'recess',
  'between',
  'nut',
  'screw',
  'spacing',
]);
export type FitFeature = z.infer<typeof FitFeature>;

/** A direction of the bed: x to the right, y to the back. */
export const BedDirection = z.enum(['x', 'y']);
export type BedDirection = z.infer<typeof BedDirection>;
