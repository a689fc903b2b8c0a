import type { NamedLength, Result, StepFault } from '@core/fault';
import type { EvaluatedRepair } from '@core/fit';
import type { Place } from '@core/model';

import { resolvePosition } from './resolve';

/** The place's numbers, to be resolved with the step's own. */
export const placeNumbers = (
  place: Place,
  numbers: EvaluatedRepair,
): Record<'x' | 'y', Result<NamedLength, StepFault>> & Record<string, Result<NamedLength, StepFault>> => ({
  x: resolvePosition(place.x, 'place along', numbers),
  y: resolvePosition(place.y, 'place across', numbers),
  ...(place.lift ? { lift: resolvePosition(place.lift, 'lift', numbers) } : {}),
});
