import { z } from 'zod';

import { Picture, type StepKind } from '@core/record/model';

import drawn from './figures.json';

/**
 * A kind of step as it is drawn where one is chosen: its example, which of the edges the step made, by their index, and what was there before where
 * the step changes everything.
 */
export const StepFigure = Picture.extend({
  made: z.array(z.int().nonnegative()),
  ghost: z.array(z.array(z.number())),
});
export type StepFigure = z.infer<typeof StepFigure>;

/** Every kind of step, drawn from its example by `npm run figures`; a test holds them against the kernel. */
export const STEP_FIGURES: Readonly<Record<StepKind, StepFigure>> = z
  .record(z.string(), StepFigure)
  .parse(drawn) as Record<StepKind, StepFigure>;
