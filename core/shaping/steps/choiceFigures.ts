import { z } from 'zod';

import { CHOICE_FIGURES, type ChoiceFigure } from '@core/shaping/sentence';

import drawn from './choiceFigures.json';
import { StepFigure } from './figures';

/** The choices that are drawn, each from its example by `npm run figures`; a test holds them against the kernel. */
export const CHOICE_DRAWINGS: Readonly<Record<ChoiceFigure, StepFigure>> = z
  .record(z.enum(CHOICE_FIGURES), StepFigure)
  .parse(drawn);
