import { numberValue, type StepOf } from '@core/model';

import { edgesLeft } from '../ease/edgesLeft';
import type { FirstValues } from '../firstValues';

/** A new one, on the edges that are left. */
export const first = (values: FirstValues): StepOf<'round'> => ({
  id: values.id,
  kind: 'round',
  size: numberValue(1),
  where: edgesLeft(values),
});
