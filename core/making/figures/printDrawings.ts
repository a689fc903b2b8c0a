import { z } from 'zod';

import { DrawnFigure } from '@core/record/model';

import type { PrintFigure } from './printFigures';
import drawn from './printFigures.json';

const DRAWINGS = z.record(z.string(), DrawnFigure).parse(drawn);

/** How a print setting looks, drawn from its layers by `npm run figures`; a test holds the drawings against the slicer. */
export function printDrawing({ setting, choice }: PrintFigure): DrawnFigure {
  const drawing = DRAWINGS[`${setting} ${choice}`];
  if (!drawing) throw new Error(`Nothing is drawn for ${setting} ${choice}.`);
  return drawing;
}
