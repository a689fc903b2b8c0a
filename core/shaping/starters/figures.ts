import { z } from 'zod';

import { StarterFigure } from './figure';
import drawn from './figures.json';

/** Every starter as it is drawn at its usual numbers, by its id. Drawn by `npm run figures`; a test holds it against the kernel. */
export const STARTER_FIGURES: Readonly<Record<string, StarterFigure>> = z
  .record(z.string(), StarterFigure)
  .parse(drawn);
