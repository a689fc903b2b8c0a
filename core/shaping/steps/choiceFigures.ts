import { z } from 'zod';

import { DrawnFigure } from '@core/record/model';
import { CHOICE_FIGURES, type ChoiceFigure } from '@core/shaping/sentence';

import drawn from './choiceFigures.json';

/** The choices that are drawn, each from its example by `npm run figures`; a test holds them against the kernel. */
export const CHOICE_DRAWINGS: Readonly<Record<ChoiceFigure, DrawnFigure>> = z
  .record(z.enum(CHOICE_FIGURES), DrawnFigure)
  .parse(drawn);
