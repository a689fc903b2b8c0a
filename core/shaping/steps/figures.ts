import { z } from 'zod';

import { DrawnFigure, type StepKind } from '@core/record/model';

import drawn from './figures.json';

/** Every kind of step, drawn from its example by `npm run figures`; a test holds them against the kernel. */
export const STEP_FIGURES: Readonly<Record<StepKind, DrawnFigure>> = z
  .record(z.string(), DrawnFigure)
  .parse(drawn) as Record<StepKind, DrawnFigure>;
