import type { NamedLength, Result, StepFault } from '@core/foundations/fault';
import type { EvaluatedRepair } from '@core/fitting/fit';
import type { Place } from '@core/record/model';

import { resolveAll, resolvePosition } from './resolve';

/** The numbers of a place: along it, across it, and how far it is lifted. */
export interface PlaceNumbers {
  x: NamedLength;
  y: NamedLength;
  lift?: NamedLength | undefined;
}

export const placeNumbers = (place: Place, numbers: EvaluatedRepair): Result<PlaceNumbers, StepFault> =>
  resolveAll({
    x: resolvePosition(place.x, 'placeAlong', numbers),
    y: resolvePosition(place.y, 'placeAcross', numbers),
    lift: place.lift && resolvePosition(place.lift, 'lift', numbers),
  });
