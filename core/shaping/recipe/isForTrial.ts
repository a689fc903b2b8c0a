import { testPieceOf } from '@core/fitting/fit';
import type { Body, Fit } from '@core/record/model';

import { gaugePlaces } from './gaugePlaces';

/** Whether a body is made to try a fit with, a test piece or a gauge row: it lies where the spare is and never meets it. */
export const isForTrial = (body: Pick<Body, 'name' | 'steps'>, fits: readonly Fit[]): boolean =>
  testPieceOf(body, fits) !== null || gaugePlaces(body, fits) !== null;
